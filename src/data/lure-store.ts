/**
 * Lures in the browser's storage. Every command is written at once, in one transaction that awaits nothing else, and writes
 * only what it changed.
 * Two tabs: a write names the record's birth and the revision it was based on; when another tab was first, the command is
 * done again on what stands. A lure put away keeps its id, so that no other ever stands in its place.
 */
import * as z from 'zod/mini';
import {
  performCommand,
  startHistory,
  type Command,
  type CommandRefusal,
  type LureHistory,
} from '../core/lure/history';
import { buildSchema, lureSchema, type Build, type Lure, type LureId } from '../core/lure/lure';
import { lureProblem } from '../core/files/lure-problem';
import { freeId } from '../core/lure/lure-id';
import { salvage, type Salvaged } from '../core/files/record';
import { structureProblem } from '../core/lure/structure';
import { LURE_VERSION } from '../core/files/migrate';
import { newBirth, type MazurkaDatabase } from './database';
import { shelfEntryOf, type ShelfEntry, type StoredLure } from './stored';
import { StorageError } from './failure';
import { whenChanged } from './when-changed';
import { guarded, readable, type Stored } from './guarded';
import { historyOf, rawHistory, rowsOf, timelineOf, type RecordHead } from './lure-rows';

/** A lure as it stands in storage. */
export interface OpenLure {
  readonly history: LureHistory;
  readonly rev: number;
  readonly birth: string;
  /** The number of its oldest change. */
  readonly from: number;
  readonly isAway: boolean;
}

/** What became of commands done on a stored lure. */
export interface PerformResult {
  readonly open: OpenLure;
  /** How many were done. */
  readonly done: number;
  /** Why the others were not. */
  readonly refusals: readonly CommandRefusal[];
  readonly onOthersWork: boolean;
  /** It had been put away, and this brought it back. */
  readonly isBack: boolean;
  /** Another lure stands under its id by now, so it was kept beside that one. */
  readonly isBeside: boolean;
}

/** A record that cannot be read as a whole. */
export interface DamagedRecord {
  readonly id: string;
  /** Its number among those set aside when the database was brought up to date; null while it lies among the lures. */
  readonly setAside: number | null;
}

const drawable = z.object({ build: buildSchema });

/** Records read between two pauses. */
const LOOKED_AT_ONCE = 8;

const SEEDED_KEY = 'seeded';

/** Records that the app itself put in are the same in every browser. */
export function seedBirth(id: string): string {
  return `demo-${id}`;
}

export class LureStore {
  constructor(
    private readonly database: MazurkaDatabase,
    private readonly now: () => number,
  ) {}

  /** Puts the starting lures in once, on the first visit; later visits find what the user made of them. */
  seed(lures: readonly Lure[]): Promise<Stored<void>> {
    return this.within(async () => {
      const { database } = this;
      if (await database.settings.get(SEEDED_KEY)) return;
      // A lure can be here before the first seeding: kept when storage would not take the rest.
      const here = new Set(await database.lures.toCollection().primaryKeys());
      const fresh = lures.filter(({ id }) => !here.has(id));
      // Older than anything the user will do, the same in every browser; the first listed is the newest of them.
      for (const [i, lure] of fresh.entries()) {
        await this.writeWhole(startHistory(lure), {
          birth: seedBirth(lure.id),
          rev: 1,
          changedAt: -i,
          awayAt: null,
        });
      }
      await database.settings.put({ key: SEEDED_KEY, value: true });
    });
  }

  /** What a list shows of every lure on the shelf, last changed first. No lure is opened for it. */
  list(): Promise<Stored<readonly ShelfEntry[]>> {
    return this.guarded(async () => (await this.byChange()).filter(({ awayAt }) => awayAt === null));
  }

  /** What a list shows of the lures put away, last put away first. */
  listAway(): Promise<Stored<readonly ShelfEntry[]>> {
    return this.guarded(async () =>
      (await this.byChange()).filter(({ awayAt }) => awayAt !== null).sort((a, b) => (b.awayAt ?? 0) - (a.awayAt ?? 0)),
    );
  }

  private byChange(): PromiseLike<ShelfEntry[]> {
    return this.database.shelf.orderBy('changedAt').reverse().toArray();
  }

  /**
   * Looks through every record, a few at a time, and names those that are damaged; they are left as they are. A sound one
   * that the shelf does not know is put on it.
   * @param pause lets other work go on between two looks
   */
  damaged(pause: () => Promise<void>): Promise<Stored<readonly DamagedRecord[]>> {
    return this.guarded(async () => {
      const { lures, shelf, setAside } = this.database;
      const found: DamagedRecord[] = (await setAside.toArray()).map(({ id, n }) => ({ id, setAside: n ?? null }));
      const onShelf = new Set(await shelf.toCollection().primaryKeys());
      const ids = await lures.toCollection().primaryKeys();
      for (let from = 0; from < ids.length; from += LOOKED_AT_ONCE) {
        for (const id of ids.slice(from, from + LOOKED_AT_ONCE)) {
          const row = await lures.get(id);
          if (!row) continue;
          const read = historyOf(
            row,
            await this.database.versions.get(id),
            await this.database.changesOf(id).toArray(),
          );
          if (!read.ok) found.push({ id, setAside: null });
          else if (!onShelf.has(id)) await shelf.put(shelfEntryOf(read.history.lure, row));
        }
        await pause();
      }
      return found;
    });
  }

  /** A damaged record as it lies in storage, and what can still be read of it (null: nothing). */
  readDamaged({ id, setAside }: DamagedRecord): Promise<Stored<{ raw: unknown; salvaged: Salvaged | null }>> {
    return this.guarded(async () => {
      if (setAside !== null) {
        const aside = await this.database.setAside.get(setAside);
        if (!aside) throw new StorageError({ code: 'gone', lureId: id });
        return { raw: aside.history, salvaged: salvage(aside.history, aside.version) };
      }
      const row = await this.database.lures.get(id);
      if (!row) throw new StorageError({ code: 'gone', lureId: id });
      const raw = rawHistory(row, await this.database.versions.get(id), await this.database.changesOf(id).toArray());
      return { raw, salvaged: salvage(raw, LURE_VERSION) };
    });
  }

  /** A lure, on the shelf or put away. */
  read(id: LureId): Promise<Stored<OpenLure>> {
    return this.guarded(() => this.opened(id));
  }

  /** Only what is needed to draw a lure in a list: its history is not looked at. */
  readBuild(id: LureId): Promise<Stored<Build>> {
    return this.guarded(async () => {
      const row = await this.database.lures.get(id);
      const parsed = drawable.safeParse(row?.lure);
      if (!parsed.success || structureProblem(parsed.data.build) !== null)
        throw new StorageError({ code: 'damaged', lureId: id, path: '' });
      return parsed.data.build;
    });
  }

  /** Adds a lure under a free id made from its name; the lure comes back as stored. */
  add(lure: Lure): Promise<Stored<Lure>> {
    return this.within(async () => {
      const stored = { ...lureOf(lure), id: await this.freeId(lure.id) };
      await this.writeWhole(startHistory(stored), this.freshHead());
      return stored;
    });
  }

  /** Takes a lure off the shelf. It is kept, with its id, and can be put back. False when there is none. */
  putAway(id: LureId): Promise<Stored<boolean>> {
    return this.setAway(id, this.now());
  }

  putBack(id: LureId): Promise<Stored<boolean>> {
    return this.setAway(id, null);
  }

  private setAway(id: LureId, awayAt: number | null): Promise<Stored<boolean>> {
    return this.within(async () => {
      const { lures, shelf } = this.database;
      const [row, entry] = [await lures.get(id), await shelf.get(id)];
      if (!row || !entry) return false;
      if ((row.awayAt === null) === (awayAt === null)) return true;
      const changed = { awayAt, rev: row.rev + 1 };
      await lures.put({ ...row, ...changed });
      await shelf.put({ ...entry, ...changed });
      return true;
    });
  }

  /**
   * Does commands on the stored lure, one after the other, and writes once. `based` is what the caller sees: when it is
   * current its result is written as is. A command refused on another tab's work leaves the others to be done.
   */
  perform(based: OpenLure, ...commands: readonly Command[]): Promise<Stored<PerformResult>> {
    const { id } = based.history.lure;
    return this.within(async (): Promise<PerformResult> => {
      // The revision stands on the shelf too: a lure with a long history is read again only when another tab wrote.
      const entry = await this.database.shelf.get(id);
      const isSame = entry?.birth === based.birth;
      const isCurrent = isSame && entry.rev === based.rev;
      const row = isCurrent ? undefined : await this.database.lures.get(id);
      // Under its id stands another record, or an earlier state of this one that was brought in from elsewhere.
      const isBeside = row !== undefined && (row.birth !== based.birth || row.rev < based.rev);
      const onOthersWork = row !== undefined && !isBeside && row.rev !== based.rev;
      const current = row && !isBeside ? await this.opened(id) : based;
      const refusals: CommandRefusal[] = [];
      let { history } = current;
      for (const command of commands) {
        const result = performCommand(history, command);
        if (result.ok) history = result.history;
        else refusals.push(result.refusal);
      }
      const outcome = {
        done: commands.length - refusals.length,
        refusals,
        onOthersWork,
        isBack: current.isAway,
        isBeside,
      };
      if (outcome.done === 0) return { open: current, ...outcome, isBack: false, isBeside: false };
      if (isBeside) return { open: await this.writeBeside(history), ...outcome };
      const open =
        isCurrent || row
          ? await this.writeChanged(current, history)
          : await this.writeWhole(history, { ...this.headOf(current), rev: current.rev + 1 });
      return { open, ...outcome };
    });
  }

  /**
   * Writes an open lure as it stands in memory: what is left to do after a failure is mended. When another tab wrote
   * meanwhile, neither work is overwritten: this one is kept beside it as a lure of its own.
   */
  save(open: OpenLure): Promise<Stored<{ readonly open: OpenLure; readonly isBeside: boolean }>> {
    return this.within(async () => {
      const { history } = open;
      lureOf(history.lure);
      const row = await this.database.lures.get(history.lure.id);
      const isBeside = row !== undefined && (row.rev !== open.rev || row.birth !== open.birth);
      if (isBeside) return { open: await this.writeBeside(history), isBeside };
      // A lure that never was in storage has no birth yet.
      const birth = open.birth === '' ? newBirth() : open.birth;
      const head = { ...this.headOf(open), birth, rev: open.rev + 1 };
      return { open: await this.writeWhole(history, head), isBeside };
    });
  }

  /** True when storage, asked anew, holds the open lure as it is. */
  holds({ history, rev, birth }: OpenLure): Promise<Stored<boolean>> {
    return this.guarded(async () => {
      const stored = await this.opened(history.lure.id);
      return stored.birth === birth && stored.rev >= rev;
    });
  }

  /** Calls back with the revision when the record has changed, in this tab or another. */
  watchRevision(id: LureId, onRevision: (rev: number) => void): () => void {
    return whenChanged(this.database, 'shelf', async () => onRevision((await this.database.shelf.get(id))?.rev ?? 0));
  }

  /** Calls back when any lure was added, changed, put away or back. */
  watchList(onChange: () => void): () => void {
    return whenChanged(this.database, 'shelf', onChange);
  }

  private freshHead(): RecordHead {
    return { birth: newBirth(), rev: 1, changedAt: this.now(), awayAt: null };
  }

  /** The head that a next write builds on; writing brings a lure back that was put away. */
  private headOf({ birth, rev }: OpenLure): RecordHead {
    return { birth, rev, changedAt: this.now(), awayAt: null };
  }

  private async freeId(wanted: string): Promise<LureId> {
    return freeId(wanted, new Set(await this.database.lures.toCollection().primaryKeys()));
  }

  private async writeBeside(history: LureHistory): Promise<OpenLure> {
    const id = await this.freeId(history.lure.id);
    return this.writeWhole({ ...history, lure: { ...history.lure, id } }, this.freshHead());
  }

  /** Writes a lure with its whole history. Within a transaction on its tables. */
  private async writeWhole(history: LureHistory, head: RecordHead): Promise<OpenLure> {
    const { lures, versions, changes, shelf } = this.database;
    const rows = rowsOf(history, head, 0);
    await this.database.changesOf(rows.row.id).delete();
    await changes.bulkPut([...rows.changes]);
    await versions.put(rows.versions);
    await lures.put(rows.row);
    await shelf.put(shelfEntryOf(history.lure, head));
    return { history, rev: head.rev, birth: head.birth, from: 0, isAway: head.awayAt !== null };
  }

  /** Writes what differs between two states of an open lure. Within a transaction on its tables. */
  private async writeChanged(before: OpenLure, history: LureHistory): Promise<OpenLure> {
    const { lures, versions, changes, shelf } = this.database;
    const head = { ...this.headOf(before), rev: before.rev + 1 };
    const { id } = history.lure;
    const old = timelineOf(before.history);
    const [first] = timelineOf(history);
    // How many of the oldest changes are no longer kept.
    const dropped = first === undefined ? 0 : old.indexOf(first);
    const from = before.from + (dropped < 0 ? old.length : dropped);
    const rows = rowsOf(history, head, from);
    const isStored = ({ seq, change }: { seq: number; change: unknown }) => old[seq - before.from] === change;
    const gone = old.map((_, i) => before.from + i).filter((seq) => seq < rows.row.from || seq >= rows.row.to);
    const areVersionsNew = history.lure.versions !== before.history.lure.versions;
    // Asked for together: with the page busy drawing, each answer waited for would hold the writing up.
    await Promise.all([
      changes.bulkPut(rows.changes.filter((row) => !isStored(row))),
      ...(gone.length > 0 ? [changes.bulkDelete(gone.map((seq): [string, number] => [id, seq]))] : []),
      ...(areVersionsNew ? [versions.put(rows.versions)] : []),
      lures.put(rows.row),
      shelf.put(shelfEntryOf(history.lure, head)),
    ]);
    return { history, rev: head.rev, birth: head.birth, from, isAway: false };
  }

  /** @throws StorageError `gone` or `damaged` */
  private async opened(id: string): Promise<OpenLure> {
    const row: StoredLure | undefined = await this.database.lures.get(id);
    if (!row) throw new StorageError({ code: 'gone', lureId: id });
    const read = historyOf(row, await this.database.versions.get(id), await this.database.changesOf(id).toArray());
    if (!read.ok) throw new StorageError({ code: 'damaged', lureId: id, path: read.damage.path });
    const { rev, birth, from, awayAt } = row;
    return { history: read.history, rev, birth, from, isAway: awayAt !== null };
  }

  private guarded<T>(work: () => PromiseLike<T>): Promise<Stored<T>> {
    return guarded(this.database, work);
  }

  /** One transaction on all that a lure lies in. */
  private within<T>(work: () => PromiseLike<T>): Promise<Stored<T>> {
    const { database } = this;
    const { lures, versions, changes, shelf, settings } = database;
    return this.guarded(() => database.transaction('rw', [lures, versions, changes, shelf, settings], work));
  }
}

/** The lure as it will be read again. @throws StorageError `faulty` when it would not be */
function lureOf(lure: Lure): Lure {
  const read = readable(lureSchema, lure, 'lure');
  const refusal = lureProblem(read);
  if (refusal) throw new StorageError({ code: 'faulty', of: 'lure', path: 'build', message: refusal.code });
  return read;
}
