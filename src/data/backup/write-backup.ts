/**
 * Everything this browser holds as one zip, written record by record. What is written is handed to the browser every few
 * megabytes, which keeps large blobs on its disk, so that the page never holds the whole.
 */
import { strToU8, Zip, ZipDeflate, ZipPassThrough } from 'fflate';
import { writePartsFile } from '../../core/parts/parts-file';
import { partSchema } from '../../core/parts/part';
import { lureRuleSchema } from '../../core/judgement/lure-rule';
import { LURE_VERSION } from '../../core/files/migrate';
import { runSchema } from '../../core/make/run';
import type { MazurkaDatabase } from '../database';
import { historyOf, rawHistory } from '../lure-rows';
import { settingsSchema } from '../settings';
import { BACKUP_FORMAT, BACKUP_VERSION, ENTRIES } from './backup-format';

/** The same work gives the same zip: no entry carries the time it was written. */
const NO_TIME = new Date(2000, 0, 1);

/** Held in the page before it is handed over. */
const HELD_BYTES = 4 * 1024 * 1024;

export interface Progress {
  readonly done: number;
  readonly of: number;
}

/** @param madeAt the time written into the head of the backup */
export async function writeBackup(
  database: MazurkaDatabase,
  madeAt: Date,
  onProgress: (progress: Progress) => void,
): Promise<Blob> {
  const pieces: Blob[] = [];
  let [chunks, held]: [Uint8Array<ArrayBuffer>[], number] = [[], 0];
  const handOver = () => {
    pieces.push(new Blob(chunks));
    [chunks, held] = [[], 0];
  };
  let failure: Error | null = null;
  const zip = new Zip((error, chunk) => {
    if (error) failure = error;
    else {
      chunks.push(new Uint8Array(chunk));
      held += chunk.length;
      if (held > HELD_BYTES) handOver();
    }
  });
  const put = (name: string, bytes: Uint8Array, isPacked = true) => {
    const entry = isPacked ? new ZipDeflate(name, { level: 6 }) : new ZipPassThrough(name);
    entry.mtime = NO_TIME;
    zip.add(entry);
    entry.push(bytes, true);
    if (failure) throw failure;
  };
  const putJson = (name: string, value: unknown) => put(name, strToU8(`${JSON.stringify(value, null, 2)}\n`));

  const { lures, runs, photos } = database;
  const [lureIds, runIds, photoIds] = [
    (await lures.toCollection().primaryKeys()).sort(),
    (await runs.toCollection().primaryKeys()).sort(),
    (await photos.toCollection().primaryKeys()).sort(),
  ];
  const of = lureIds.length + runIds.length + photoIds.length;
  let done = 0;
  const step = async () => {
    onProgress({ done: ++done, of });
    // The page goes on meanwhile.
    if (done % 8 === 0) await new Promise((resolve) => setTimeout(resolve, 0));
  };

  putJson(ENTRIES.head, { format: BACKUP_FORMAT, version: BACKUP_VERSION, madeAt: madeAt.toISOString() });
  const damaged: { id: string; version: number; history: unknown }[] = [];
  for (const { id, version, history } of await database.setAside.toArray()) damaged.push({ id, version, history });
  for (const id of lureIds) {
    const row = await lures.get(id);
    if (!row) continue;
    const [versions, changes] = [await database.versions.get(id), await database.changesOf(id).toArray()];
    const read = historyOf(row, versions, changes);
    const { birth, rev, changedAt, awayAt } = row;
    if (read.ok)
      putJson(`${ENTRIES.lures}${id}.json`, {
        format: 'mazurka-lure-record',
        version: LURE_VERSION,
        birth,
        rev,
        changedAt,
        awayAt,
        history: read.history,
      });
    else damaged.push({ id, version: LURE_VERSION, history: rawHistory(row, versions, changes) });
    await step();
  }
  for (const id of runIds) {
    const row = await runs.get(id);
    const run = runSchema.safeParse(row?.run);
    if (row && run.success) {
      const { birth, rev, changedAt } = row;
      const head = { format: 'mazurka-run-record', version: LURE_VERSION, birth, rev, changedAt };
      putJson(`${ENTRIES.runs}${id}.json`, { ...head, run: run.data });
    } else if (row) damaged.push({ id, version: LURE_VERSION, history: row.run });
    await step();
  }
  const pictures = [];
  for (const [n, key] of photoIds.entries()) {
    const photo = await photos.get(key);
    if (photo) {
      const { id, runId, step: at, takenAt, picture } = photo;
      const type = picture.type === '' ? 'image/jpeg' : picture.type;
      const file = `${ENTRIES.pictures}${String(n + 1).padStart(5, '0')}.${type.slice('image/'.length)}`;
      put(file, new Uint8Array(await picture.arrayBuffer()), false);
      pictures.push({ id, runId, step: at, takenAt, type, file });
    }
    await step();
  }
  if (pictures.length > 0) putJson(ENTRIES.pictureList, { format: 'mazurka-pictures', version: 1, pictures });
  for (const [n, each] of damaged.entries())
    putJson(`${ENTRIES.damaged}${String(n + 1).padStart(4, '0')}.json`, { format: 'mazurka-damaged-record', ...each });

  const parts = (await database.parts.toArray()).flatMap(({ part }) => partSchema.safeParse(part).data ?? []);
  if (parts.length > 0) put(ENTRIES.parts, strToU8(writePartsFile(parts)));
  const rules = (await database.rules.toArray()).flatMap(({ rule }) => lureRuleSchema.safeParse(rule).data ?? []);
  if (rules.length > 0) putJson(ENTRIES.rules, { format: 'mazurka-rules', version: 1, rules });
  const settings = settingsSchema.safeParse((await database.settings.get('settings'))?.value);
  if (settings.success) putJson(ENTRIES.settings, { format: 'mazurka-settings', version: 1, settings: settings.data });
  zip.end();
  handOver();
  return new Blob(pieces, { type: 'application/zip' });
}
