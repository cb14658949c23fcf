/**
 * A backup against what is here, and what is taken of it. Records are the same when their births are; of two states of one
 * the higher revision is the later. Nothing here is overwritten by anything that did not come out of it: what differs comes
 * beside it, and a state that a later one of a backup takes the place of is put away unless that one can be undone to it.
 */
import { isSame } from '@/core/same';
import { applyEdits } from '../../core/lure/edit';
import type { LureHistory } from '../../core/lure/history';
import { freeId } from '../../core/lure/lure-id';
import type { Lure } from '../../core/lure/lure';
import { writeLureFile } from '../../core/files/lure-file';
import type { LureRule } from '../../core/judgement/lure-rule';
import type { Run } from '../../core/make/run';
import { newBirth, type MazurkaDatabase } from '../database';
import { shelfEntryOf, type StoredRun } from '../stored';
import type { LureStore } from '../lure-store';
import { seedBirth } from '../lure-store';
import { rowsOf, type RecordHead } from '../lure-rows';
import type { PartsStore } from '../parts-store';
import type { Settings } from '../settings';
import type { BackupContents, LureRecord, RunRecord } from './backup-format';
import { StorageError } from '../failure';
import { guarded, type Stored } from '../guarded';

/** What a record of the backup is to what is here. */
export type Standing = 'new' | 'same' | 'later' | 'earlier' | 'differs';

export interface Offer {
  /** Names it among all offers of one backup. */
  readonly key: string;
  readonly of: 'lure' | 'run' | 'parts' | 'rules' | 'settings' | 'damaged';
  readonly name: string;
  readonly standing: Standing;
  readonly changedAt: number | null;
}

/** Everything a backup offers, in the order in which it is shown. */
export async function compareBackup(
  database: MazurkaDatabase,
  lures: LureStore,
  contents: BackupContents,
): Promise<Offer[]> {
  const offers: Offer[] = [];
  for (const record of contents.lures) {
    const { lure } = record.history;
    const standing = await lureStanding(lures, record);
    offers.push({ key: `lure ${lure.id}`, of: 'lure', name: lure.name, standing, changedAt: record.changedAt });
  }
  for (const record of contents.runs) {
    const here = await database.runs.get(record.run.id);
    const name = `Work on ${record.run.lureName}${record.run.number === null ? '' : `, No. ${record.run.number}`}`;
    offers.push({
      key: `run ${record.run.id}`,
      of: 'run',
      name,
      standing: runStanding(here, record),
      changedAt: record.changedAt,
    });
  }
  if (contents.parts.length > 0) {
    const here = new Map((await database.parts.toArray()).map(({ id, part }) => [id, part]));
    const isHere = contents.parts.every((part) => isSame(here.get(part.id), part));
    offers.push({
      key: 'parts',
      of: 'parts',
      name: counted(contents.parts.length, 'part of your own', 'parts of your own'),
      standing: isHere ? 'same' : 'new',
      changedAt: null,
    });
  }
  if (contents.rules.length > 0) {
    const here = new Map((await database.rules.toArray()).map(({ id, rule }) => [id, rule]));
    const isHere = contents.rules.every((rule) => isSame(here.get(rule.id), rule));
    offers.push({
      key: 'rules',
      of: 'rules',
      name: counted(contents.rules.length, 'rule', 'rules'),
      standing: isHere ? 'same' : 'new',
      changedAt: null,
    });
  }
  if (contents.settings) {
    const here = (await database.settings.get('settings'))?.value;
    const standing = isSame(here, contents.settings) ? 'same' : 'differs';
    offers.push({ key: 'settings', of: 'settings', name: 'Settings', standing, changedAt: null });
  }
  if (contents.damaged.length > 0) {
    const here = await database.setAside.toArray();
    const isHere = contents.damaged.every(({ id, history }) =>
      here.some((each) => each.id === id && isSame(each.history, history)),
    );
    offers.push({
      key: 'damaged',
      of: 'damaged',
      name: counted(contents.damaged.length, 'damaged record', 'damaged records'),
      standing: isHere ? 'same' : 'new',
      changedAt: null,
    });
  }
  return offers;
}

/** What is ticked until the user says otherwise: what adds or brings further, and nothing that would only lie beside. */
export function isOffered({ standing, of }: Offer): boolean {
  return standing === 'new' || standing === 'later' || (standing === 'differs' && of === 'settings');
}

function counted(count: number, one: string, many: string): string {
  return `${count.toLocaleString('en')} ${count === 1 ? one : many}`;
}

async function lureStanding(lures: LureStore, record: LureRecord): Promise<Standing> {
  const read = await lures.read(record.history.lure.id);
  if (!read.ok) return read.failure.code === 'gone' ? 'new' : 'differs';
  const { birth, rev, history } = read.value;
  if (birth !== record.birth) return isUntouchedSeed(read.value) ? 'later' : 'differs';
  if (isSame(history, record.history) && rev === record.rev) return 'same';
  return rev < record.rev ? 'later' : rev > record.rev ? 'earlier' : 'differs';
}

function runStanding(here: StoredRun | undefined, record: RunRecord): Standing {
  if (!here) return 'new';
  if (here.birth !== record.birth) return 'differs';
  if (isSame(here.run, record.run)) return 'same';
  return here.rev < record.rev ? 'later' : here.rev > record.rev ? 'earlier' : 'differs';
}

/** A lure the app put in itself and nobody has changed. */
function isUntouchedSeed({ birth, rev, history }: { birth: string; rev: number; history: LureHistory }): boolean {
  return rev === 1 && birth === seedBirth(history.lure.id);
}

/** True when undoing leads from this history back to that lure. */
function comesFrom(history: LureHistory, earlier: Lure): boolean {
  const wanted = writeLureFile(earlier);
  let { lure } = history;
  if (writeLureFile(lure) === wanted) return true;
  for (const change of history.past.toReversed()) {
    const applied = applyEdits(lure, change.inverse);
    if (!applied.ok) return false;
    lure = applied.lure;
    if (writeLureFile(lure) === wanted) return true;
  }
  return false;
}

export interface Restored {
  readonly taken: number;
  /** Lures that came beside one already here, and those put away for a later state of themselves. */
  readonly beside: readonly string[];
  readonly putAway: readonly string[];
  /** The settings that stood here, when the backup's were taken. */
  readonly settingsBefore: Settings | null;
}

/** Takes the chosen offers in: own parts first, which only add to what is here, then all others in one transaction. */
export function restore(
  database: MazurkaDatabase,
  stores: { readonly lures: LureStore; readonly parts: PartsStore },
  contents: BackupContents,
  chosen: ReadonlySet<string>,
  now: number,
): Promise<Stored<Restored>> {
  return guarded(database, async () => {
    const writes: (() => PromiseLike<unknown>)[] = [];
    const taken = new Set(await database.lures.toCollection().primaryKeys());
    const [beside, putAway]: [string[], string[]] = [[], []];
    /** Ids under which lures came beside what was here. */
    const moved = new Map<string, string>();
    const put = (history: LureHistory, head: RecordHead) => {
      const rows = rowsOf(history, head, 0);
      taken.add(rows.row.id);
      writes.push(async () => {
        const { lures, versions, changes, shelf } = database;
        await database.changesOf(rows.row.id).delete();
        await changes.bulkPut([...rows.changes]);
        await versions.put(rows.versions);
        await lures.put(rows.row);
        await shelf.put(shelfEntryOf(history.lure, head));
      });
    };
    const putBeside = (history: LureHistory, awayAt: number | null) => {
      const id = freeId(history.lure.id, taken);
      put({ ...history, lure: { ...history.lure, id } }, { birth: newBirth(), rev: 1, changedAt: now, awayAt });
      return id;
    };
    for (const record of contents.lures) {
      const { lure } = record.history;
      if (!chosen.has(`lure ${lure.id}`)) continue;
      const { birth, rev, changedAt, awayAt } = record;
      const standing = await lureStanding(stores.lures, record);
      if (standing === 'same') continue;
      if (standing === 'new' || standing === 'later') {
        const here = standing === 'later' ? await stores.lures.read(lure.id) : null;
        if (here?.ok && !isUntouchedSeed(here.value) && !comesFrom(record.history, here.value.history.lure))
          putAway.push(putBeside(here.value.history, now));
        put(record.history, { birth, rev, changedAt, awayAt });
      } else {
        const id = putBeside(record.history, awayAt);
        moved.set(lure.id, id);
        beside.push(id);
      }
    }
    const runsHere = new Set(await database.runs.toCollection().primaryKeys());
    for (const record of contents.runs) {
      if (!chosen.has(`run ${record.run.id}`)) continue;
      const standing = runStanding(await database.runs.get(record.run.id), record);
      if (standing === 'same') continue;
      const isBeside = standing === 'earlier' || standing === 'differs';
      const id = isBeside ? freeId(record.run.id, runsHere) : record.run.id;
      runsHere.add(id);
      const lureId = (moved.get(record.run.lureId) ?? record.run.lureId) as Run['lureId'];
      const run: Run = { ...record.run, id, lureId };
      const { birth, rev, changedAt } = isBeside ? { birth: newBirth(), rev: 1, changedAt: now } : record;
      writes.push(() => database.runs.put({ id, birth, lureId, rev, changedAt, run }));
      for (const photo of contents.pictures.filter(({ runId }) => runId === record.run.id))
        writes.push(() => database.photos.put({ ...photo, runId: id, id: isBeside ? `${id} ${photo.id}` : photo.id }));
    }
    const settingsBefore = chosen.has('settings')
      ? (((await database.settings.get('settings'))?.value as Settings) ?? null)
      : null;
    const { settings } = contents;
    if (chosen.has('settings') && settings)
      writes.push(() => database.settings.put({ key: 'settings', value: settings }));
    if (chosen.has('rules')) writes.push(...(await rulesToPut(database, contents.rules)));
    if (chosen.has('damaged')) writes.push(() => database.setAside.bulkAdd([...contents.damaged]));
    if (chosen.has('parts')) {
      const added = await stores.parts.add(contents.parts);
      if (!added.ok) throw new StorageError(added.failure);
    }
    const { lures, versions, changes, shelf, runs, photos, rules, setAside } = database;
    await database.transaction(
      'rw',
      [lures, versions, changes, shelf, runs, photos, rules, setAside, database.settings],
      async () => {
        for (const write of writes) await write();
      },
    );
    return { taken: chosen.size, beside, putAway, settingsBefore };
  });
}

/** A rule that says otherwise under an id that is taken comes beside the one here. */
async function rulesToPut(database: MazurkaDatabase, wanted: readonly LureRule[]) {
  const here = new Map((await database.rules.toArray()).map(({ id, rule }) => [id, rule]));
  const writes: (() => PromiseLike<unknown>)[] = [];
  for (const rule of wanted) {
    if (isSame(here.get(rule.id), rule)) continue;
    let id = rule.id;
    for (let n = 1; here.has(id); n++) id = `rule-${n}`;
    here.set(id, rule);
    writes.push(() => database.rules.put({ id, rule: { ...rule, id } }));
  }
  return writes;
}
