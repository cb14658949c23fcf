/** Reads a backup, piece by piece. Nothing in it is trusted: every size is bounded and every file checked by itself. */
import { strFromU8, Unzip, UnzipInflate, type UnzipFile } from 'fflate';
import type * as z from 'zod/mini';
import { plainDataProblem } from '../../core/plain-data';
import { readHistory } from '../../core/files/record';
import { migrateLure } from '../../core/files/migrate';
import { structureProblem } from '../../core/lure/structure';
import { readPartsFile } from '../../core/parts/parts-file';
import { runSchema } from '../../core/make/run';
import type { LureRule } from '../../core/judgement/lure-rule';
import type { Part } from '../../core/parts/part';
import type { SetAside, StoredPhoto } from '../stored';
import { settingsSchema, type Settings } from '../settings';
import {
  BACKUP_VERSION,
  damagedSchema,
  ENTRIES,
  headSchema,
  lureRecordSchema,
  pictureListSchema,
  rulesFileSchema,
  runRecordSchema,
  settingsFileSchema,
  type BackupContents,
  type LureRecord,
  type RunRecord,
} from './backup-format';
import type { Progress } from './write-backup';

const MOST_ENTRIES = 60_000;
const MOST_ENTRY_BYTES = 128 * 1024 * 1024;
const MOST_BYTES = 2 * 1024 * 1024 * 1024;

export type BackupProblem =
  | { readonly code: 'notAZip' }
  | { readonly code: 'notABackup' }
  | { readonly code: 'fromTheFuture'; readonly version: number; readonly known: number }
  | { readonly code: 'tooLarge'; readonly mostBytes: number }
  | { readonly code: 'cutShort' };

export type BackupReading =
  | {
      readonly ok: true;
      readonly contents: BackupContents;
      /** Files in it that cannot be read; the others are. */
      readonly unreadable: readonly { readonly file: string; readonly message: string }[];
    }
  | { readonly ok: false; readonly problem: BackupProblem };

/** Never throws on bytes. */
export async function readBackup(file: Blob, onProgress: (progress: Progress) => void): Promise<BackupReading> {
  const entries = await unzip(file, onProgress);
  if (!(entries instanceof Map)) return { ok: false, problem: entries };
  const unreadable: { file: string; message: string }[] = [];
  const json = <T extends z.ZodMiniType>(name: string, schema: T): z.infer<T> | null => {
    const bytes = entries.get(name);
    if (!(bytes instanceof Uint8Array)) return null;
    try {
      const raw: unknown = JSON.parse(strFromU8(bytes));
      const shape = plainDataProblem(raw);
      const parsed = shape ? null : schema.safeParse(raw);
      if (parsed?.success) return parsed.data;
      const issue = parsed?.error?.issues[0];
      unreadable.push({
        file: name,
        message: shape?.code ?? `${issue?.path.map(String).join('.') ?? ''}: ${issue?.message ?? ''}`,
      });
    } catch (error) {
      unreadable.push({ file: name, message: error instanceof Error ? error.message : String(error) });
    }
    return null;
  };

  const head = json(ENTRIES.head, headSchema);
  if (!head) return { ok: false, problem: { code: 'notABackup' } };
  if (head.version > BACKUP_VERSION)
    return { ok: false, problem: { code: 'fromTheFuture', version: head.version, known: BACKUP_VERSION } };
  const named = (folder: string) =>
    [...entries.keys()].filter((name) => name.startsWith(folder) && name.endsWith('.json'));

  const lures: LureRecord[] = [];
  for (const name of named(ENTRIES.lures)) {
    const record = json(name, lureRecordSchema);
    if (!record) continue;
    const { birth, rev, changedAt, awayAt } = record;
    const read = readHistory(record.history, record.version);
    if (read.ok) lures.push({ birth, rev, changedAt, awayAt, history: read.history });
    else unreadable.push({ file: name, message: `${read.damage.path}: ${read.damage.message}` });
  }
  const runs: RunRecord[] = [];
  for (const name of named(ENTRIES.runs)) {
    const record = json(name, runRecordSchema);
    if (!record) continue;
    const run = runSchema.safeParse(migrateLure(record.run, record.version));
    const { birth, rev, changedAt } = record;
    if (run.success && structureProblem(run.data.build) === null) runs.push({ birth, rev, changedAt, run: run.data });
    else unreadable.push({ file: name, message: run.error?.issues[0]?.message ?? 'a build that cannot be' });
  }
  const damaged: SetAside[] = named(ENTRIES.damaged).flatMap((name) => {
    const record = json(name, damagedSchema);
    return record ? [{ id: record.id, version: record.version, history: record.history }] : [];
  });
  const pictures: StoredPhoto[] = [];
  for (const { file: at, type, ...photo } of json(ENTRIES.pictureList, pictureListSchema)?.pictures ?? []) {
    const picture = entries.get(at);
    if (picture instanceof Blob) pictures.push({ ...photo, picture: picture.slice(0, picture.size, type) });
    else unreadable.push({ file: at, message: 'is not in the zip' });
  }
  const rules: readonly LureRule[] = json(ENTRIES.rules, rulesFileSchema)?.rules ?? [];
  const settings = settingsOf(json(ENTRIES.settings, settingsFileSchema)?.settings);
  return {
    ok: true,
    contents: {
      madeAt: head.madeAt,
      lures,
      runs,
      pictures,
      parts: partsOf(entries.get(ENTRIES.parts), unreadable),
      rules,
      settings,
      damaged,
    },
    unreadable,
  };
}

function settingsOf(value: unknown): Settings | null {
  return settingsSchema.safeParse(value).data ?? null;
}

function partsOf(
  bytes: Uint8Array | Blob | undefined,
  unreadable: { file: string; message: string }[],
): readonly Part[] {
  if (!(bytes instanceof Uint8Array)) return [];
  const read = readPartsFile(strFromU8(bytes));
  if (read.ok) return read.parts;
  unreadable.push({ file: ENTRIES.parts, message: read.problem.code });
  return [];
}

/** Every file of the zip; pictures are handed to the browser as they come, so that the page does not hold them. */
async function unzip(
  file: Blob,
  onProgress: (progress: Progress) => void,
): Promise<Map<string, Uint8Array<ArrayBuffer> | Blob> | BackupProblem> {
  const entries = new Map<string, Uint8Array<ArrayBuffer> | Blob>();
  const tooLarge: BackupProblem = { code: 'tooLarge', mostBytes: MOST_BYTES };
  if (file.size > MOST_BYTES) return tooLarge;
  let [problem, total, begun, ended, read]: [BackupProblem | null, number, number, number, number] = [null, 0, 0, 0, 0];
  const unzipper = new Unzip((entry: UnzipFile) => {
    if (++begun > MOST_ENTRIES) problem = tooLarge;
    const chunks: Uint8Array[] = [];
    let size = 0;
    entry.ondata = (error, chunk, isLast) => {
      size += chunk?.length ?? 0;
      total += chunk?.length ?? 0;
      if (error || size > MOST_ENTRY_BYTES || total > MOST_BYTES) problem ??= error ? { code: 'cutShort' } : tooLarge;
      if (problem) return;
      chunks.push(chunk);
      if (!isLast) return;
      ended++;
      const bytes = joined(chunks, size);
      entries.set(entry.name, entry.name.startsWith(ENTRIES.pictures) ? new Blob([bytes]) : bytes);
    };
    if (!problem) entry.start();
  });
  unzipper.register(UnzipInflate);
  const reader = file.stream().getReader();
  try {
    for (;;) {
      const { done, value } = await reader.read();
      unzipper.push(value ?? new Uint8Array(0), done);
      read += value?.length ?? 0;
      onProgress({ done: read, of: file.size });
      if (problem) return problem;
      if (done) break;
    }
  } catch {
    return begun === 0 ? { code: 'notAZip' } : { code: 'cutShort' };
  }
  if (begun === 0) return { code: 'notAZip' };
  return ended < begun ? { code: 'cutShort' } : entries;
}

function joined(chunks: readonly Uint8Array[], size: number): Uint8Array<ArrayBuffer> {
  const all = new Uint8Array(size);
  let at = 0;
  for (const chunk of chunks) {
    all.set(chunk, at);
    at += chunk.length;
  }
  return all;
}
