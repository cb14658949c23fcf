/** The one database: lures with their history and what a list shows of them, the user's own parts and rules, and settings. Nothing else in the app touches storage. */
import Dexie, { type EntityTable } from 'dexie';
import * as z from 'zod/mini';
import { familySchema, madeSchema, type Lure, type LureId } from '../core/lure/lure';
import { addItemStates, oneStatePerItem } from '../core/lure/migrate';
import { StorageError } from './failure';

/** As stored: not trusted until parsed. `rev` rises by one with every write. */
export interface StoredLure {
  id: string;
  rev: number;
  changedAt: number;
  history: unknown;
}

/** What a list of lures shows of each without opening it. Written with the lure, in the same transaction. */
export interface ShelfEntry {
  id: string;
  name: string;
  family: string;
  isMade: boolean;
  /** The revision of the lure it was written with. */
  rev: number;
  changedAt: number;
}

export function shelfEntryOf(
  lure: Pick<Lure, 'id' | 'name' | 'family' | 'made'>,
  rev: number,
  changedAt: number,
): ShelfEntry {
  return { id: lure.id, name: lure.name, family: lure.family, isMade: lure.made !== null, rev, changedAt };
}

/** A part the user measured or took in; not trusted until parsed. */
export interface StoredPart {
  id: string;
  part: unknown;
}

export interface StoredRule {
  id: string;
  rule: unknown;
}

/** A lure being made, or made; not trusted until parsed. */
export interface StoredRun {
  id: string;
  lureId: string;
  /** Counts its writes: what is read late is known to be old. */
  rev: number;
  changedAt: number;
  run: unknown;
}

/** A picture taken at a step. */
export interface StoredPhoto {
  id: string;
  runId: string;
  step: string;
  takenAt: number;
  picture: Blob;
}

export interface StoredSetting {
  key: string;
  value: unknown;
}

const shownOnShelf = z.object({
  lure: z.object({ name: z.string(), family: familySchema, made: z.nullable(madeSchema) }),
});

const DATABASE_NAME = 'mazurka';
const SCHEMA_VERSION = 4;
/** Dexie keeps ten steps of the browser's own version number for each of its own. */
const STEPS_PER_VERSION = 10;

export class MazurkaDatabase extends Dexie {
  lures!: EntityTable<StoredLure, 'id'>;
  shelf!: EntityTable<ShelfEntry, 'id'>;
  parts!: EntityTable<StoredPart, 'id'>;
  rules!: EntityTable<StoredRule, 'id'>;
  settings!: EntityTable<StoredSetting, 'key'>;
  runs!: EntityTable<StoredRun, 'id'>;
  photos!: EntityTable<StoredPhoto, 'id'>;

  constructor(name = DATABASE_NAME) {
    super(name);
    this.version(1).stores({ lures: 'id, changedAt', settings: 'key' });
    this.version(2)
      .stores({ parts: 'id', rules: 'id' })
      .upgrade((transaction) =>
        transaction
          .table<StoredLure>('lures')
          .toCollection()
          .modify((row) => {
            row.history = addItemStates(row.history);
          }),
      );
    this.version(3)
      .stores({ shelf: 'id, changedAt' })
      .upgrade(async (transaction) => {
        const entries: ShelfEntry[] = [];
        await transaction
          .table<StoredLure>('lures')
          .toCollection()
          .modify((row) => {
            row.history = oneStatePerItem(row.history);
            const known = shownOnShelf.safeParse(row.history);
            if (known.success)
              entries.push(shelfEntryOf({ ...known.data.lure, id: row.id as LureId }, row.rev, row.changedAt));
          });
        await transaction.table<ShelfEntry>('shelf').bulkPut(entries);
      });
    this.version(SCHEMA_VERSION).stores({ runs: 'id, lureId, changedAt', photos: 'id, runId' });
  }

  /** Opens if needed. @throws StorageError `blocked` while another tab holds an older version open, `newerVersion` for a later schema. */
  async openChecked(): Promise<void> {
    if (!this.isOpen()) {
      await new Promise<void>((resolve, reject) => {
        const onBlocked = () => reject(new StorageError({ code: 'blocked' }));
        this.on('blocked', onBlocked);
        this.open()
          .then(() => resolve(), reject)
          .finally(() => this.on.blocked.unsubscribe(onBlocked));
      });
    }
    if (this.backendDB().version > SCHEMA_VERSION * STEPS_PER_VERSION) throw new StorageError({ code: 'newerVersion' });
  }
}
