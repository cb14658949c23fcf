/**
 * Lures in the browser's storage. Every deed is written at once, in one transaction that awaits nothing else.
 * Two tabs: a write names the revision it was based on; when another tab was first, the deed is done again on what stands.
 */
import { liveQuery } from 'dexie';
import * as z from 'zod/mini';
import { lureHistorySchema, performDeed, startHistory, type Deed, type LureHistory } from '../core/lure/history';
import { buildSchema, type Build, type Lure, type LureId } from '../core/lure/lure';
import { freeId } from '../core/lure/lure-id';
import type { Refusal } from '../core/lure/structure';
import type { MazurkaDatabase } from './database';
import { shelfEntryOf, type ShelfEntry, type StoredLure } from './database';
import { StorageError } from './failure';
import { guarded, type Stored } from './guarded';

export interface OpenLure {
  readonly history: LureHistory;
  readonly rev: number;
}

export type PerformResult =
  | { readonly outcome: 'done'; readonly open: OpenLure; readonly onOthersWork: boolean }
  | {
      readonly outcome: 'refused';
      readonly open: OpenLure;
      readonly refusal: Refusal | { readonly code: 'nothingToDo' };
    };

const drawable = z.object({ lure: z.object({ build: buildSchema }) });

/** Records read between two pauses. */
const LOOKED_AT_ONCE = 8;

const SEEDED_KEY = 'seeded';

export class LureStore {
  constructor(
    private readonly database: MazurkaDatabase,
    private readonly now: () => number,
  ) {}

  /** Puts the starting lures in once, on the first visit; later visits find what the user made of them. */
  seed(lures: readonly Lure[]): Promise<Stored<void>> {
    const { database } = this;
    return this.guarded(() =>
      database.transaction('rw', database.lures, database.shelf, database.settings, async () => {
        if (await database.settings.get(SEEDED_KEY)) return;
        const at = this.now();
        // A lure can be here before the first seeding: kept when storage would not take the rest.
        const here = new Set(await database.lures.toCollection().primaryKeys());
        const fresh = lures.filter(({ id }) => !here.has(id));
        // The first listed is the newest, so that it is the one opened.
        await database.lures.bulkAdd(
          fresh.map((lure, i) => ({ id: lure.id, rev: 1, changedAt: at - i, history: startHistory(lure) })),
        );
        await database.shelf.bulkPut(fresh.map((lure, i) => shelfEntryOf(lure, 1, at - i)));
        await database.settings.put({ key: SEEDED_KEY, value: true });
      }),
    );
  }

  /** What a list shows of every lure, last changed first. No lure is opened for it. */
  list(): Promise<Stored<readonly ShelfEntry[]>> {
    return this.guarded(() => this.database.shelf.orderBy('changedAt').reverse().toArray());
  }

  /**
   * Looks through every record, a few at a time, and names those that are damaged; they are left as they are. A sound one
   * that the shelf does not know is put on it.
   * @param pause lets other work go on between two looks
   */
  damaged(pause: () => Promise<void>): Promise<Stored<readonly string[]>> {
    return this.guarded(async () => {
      const { lures, shelf } = this.database;
      const found: string[] = [];
      const onShelf = new Set(await shelf.toCollection().primaryKeys());
      const ids = await lures.toCollection().primaryKeys();
      for (let from = 0; from < ids.length; from += LOOKED_AT_ONCE) {
        const rows = await lures.bulkGet(ids.slice(from, from + LOOKED_AT_ONCE));
        for (const row of rows) {
          if (!row) continue;
          const parsed = lureHistorySchema.safeParse(row.history);
          if (!parsed.success) found.push(row.id);
          else if (!onShelf.has(row.id)) await shelf.put(shelfEntryOf(parsed.data.lure, row.rev, row.changedAt));
        }
        await pause();
      }
      return found;
    });
  }

  read(id: LureId): Promise<Stored<OpenLure>> {
    return this.guarded(async () => parseRow(await this.database.lures.get(id), id));
  }

  /** Only what is needed to draw a lure in a list: its history is not looked at. */
  readBuild(id: LureId): Promise<Stored<Build>> {
    return this.guarded(async () => {
      const row = await this.database.lures.get(id);
      const parsed = drawable.safeParse(row?.history);
      if (!parsed.success) throw new StorageError({ code: 'damaged', lureId: id, path: '' });
      return parsed.data.lure.build;
    });
  }

  /** Adds a lure under a free id made from its name; the lure comes back as stored. */
  add(lure: Lure): Promise<Stored<Lure>> {
    const { database } = this;
    return this.guarded(() =>
      database.transaction('rw', database.lures, database.shelf, async () => {
        const taken = new Set(await database.lures.toCollection().primaryKeys());
        const stored = { ...lure, id: freeId(lure.id, taken) };
        await this.write({ id: stored.id, rev: 1, history: startHistory(stored) });
        return stored;
      }),
    );
  }

  /** Takes a lure away and hands back its record, so that it can be put back. */
  remove(id: LureId): Promise<Stored<StoredLure | null>> {
    const { database } = this;
    return this.guarded(() =>
      database.transaction('rw', database.lures, database.shelf, async () => {
        const row = await database.lures.get(id);
        await database.lures.delete(id);
        await database.shelf.delete(id);
        return row ?? null;
      }),
    );
  }

  putBack(row: StoredLure): Promise<Stored<void>> {
    const { database } = this;
    return this.guarded(() =>
      database.transaction('rw', database.lures, database.shelf, async () => {
        await database.lures.put(row);
        const parsed = lureHistorySchema.safeParse(row.history);
        if (parsed.success) await database.shelf.put(shelfEntryOf(parsed.data.lure, row.rev, row.changedAt));
      }),
    );
  }

  /** Does one deed on the stored lure. `based` is what the caller sees: when it is current its result is written as is. */
  perform(based: OpenLure, deed: Deed): Promise<Stored<PerformResult>> {
    const { database } = this;
    const id = based.history.lure.id;
    return this.guarded(() =>
      database.transaction('rw', database.lures, database.shelf, async (): Promise<PerformResult> => {
        // The revision stands on the shelf too: a lure with a long history is read again only when another tab wrote.
        const isCurrent = (await database.shelf.get(id))?.rev === based.rev;
        const row = isCurrent ? undefined : await database.lures.get(id);
        const onOthersWork = row !== undefined && row.rev !== based.rev;
        const current = isCurrent || (row && !onOthersWork) ? based : row ? parseRow(row, id) : { ...based, rev: 0 };
        const result = performDeed(current.history, deed);
        if (!result.ok) return { outcome: 'refused', open: current, refusal: result.refusal };
        const rev = current.rev + 1;
        await this.write({ id, rev, history: result.history });
        return { outcome: 'done', open: { history: result.history, rev }, onOthersWork };
      }),
    );
  }

  /**
   * Writes an open lure as it stands in memory: what is left to do after a failure is mended. When another tab wrote
   * meanwhile, neither work is overwritten: this one is kept beside it as a lure of its own.
   */
  save(open: OpenLure): Promise<Stored<{ readonly open: OpenLure; readonly isBeside: boolean }>> {
    const { database } = this;
    const { lure } = open.history;
    return this.guarded(() =>
      database.transaction('rw', database.lures, database.shelf, async () => {
        const row = await database.lures.get(lure.id);
        const isBeside = row !== undefined && row.rev !== open.rev;
        const taken = isBeside ? new Set(await database.lures.toCollection().primaryKeys()) : new Set<string>();
        const kept = isBeside ? { ...lure, id: freeId(lure.id, taken) } : lure;
        const saved = { history: { ...open.history, lure: kept }, rev: isBeside ? 1 : open.rev + 1 };
        await this.write({ id: kept.id, rev: saved.rev, history: saved.history });
        return { open: saved, isBeside };
      }),
    );
  }

  /** Writes a lure and what lists show of it. Within a transaction on both. */
  private async write({ id, rev, history }: { id: LureId; rev: number; history: LureHistory }): Promise<void> {
    const changedAt = this.now();
    await this.database.lures.put({ id, rev, changedAt, history });
    await this.database.shelf.put(shelfEntryOf(history.lure, rev, changedAt));
  }

  private guarded<T>(work: () => PromiseLike<T>): Promise<Stored<T>> {
    return guarded(this.database, work);
  }

  /** Calls back with the revision each time the record changes, in this tab or another. */
  watchRevision(id: LureId, onRevision: (rev: number) => void): () => void {
    const subscription = liveQuery(async () => (await this.database.shelf.get(id))?.rev ?? 0).subscribe({
      next: onRevision,
      error: () => undefined,
    });
    return () => subscription.unsubscribe();
  }

  /** Calls back when any lure is added, changed or removed. */
  watchList(onChange: () => void): () => void {
    const subscription = liveQuery(() => this.database.shelf.orderBy('changedAt').keys()).subscribe({
      next: onChange,
      error: () => undefined,
    });
    return () => subscription.unsubscribe();
  }
}

function parseRow(row: StoredLure | undefined, id: string): OpenLure {
  if (!row) throw new StorageError({ code: 'gone', lureId: id });
  const parsed = lureHistorySchema.safeParse(row.history);
  if (!parsed.success) {
    const path = parsed.error.issues[0]?.path.map(String).join('.') ?? '';
    throw new StorageError({ code: 'damaged', lureId: id, path });
  }
  return { history: parsed.data, rev: row.rev };
}
