/**
 * The one database: lures, what was done to them, what a list shows of them, the user's own parts and rules, runs with
 * their pictures, and settings. Nothing else in the app touches storage.
 *
 * A lure lies in three tables, so that a command writes only what it changed: the lure itself, the builds kept under a name,
 * and one row for each change that can be undone or redone.
 */
import Dexie, { type EntityTable, type Table, type Transaction } from 'dexie';
import { readHistory } from '../core/files/record';
import { migrateLure } from '../core/files/migrate';
import { plainDataProblem } from '../core/plain-data';
import { StorageError } from './failure';
import { rowsOf } from './lure-rows';
import { renewStorage } from './renew-storage';
import {
  shelfEntryOf,
  type SetAside,
  type ShelfEntry,
  type StoredChange,
  type StoredLure,
  type StoredPart,
  type StoredPhoto,
  type StoredRule,
  type StoredRun,
  type StoredSetting,
  type StoredVersions,
} from './stored';

/** A lure record as it was until the fifth schema. */
interface OldLure {
  id: string;
  rev: number;
  changedAt: number;
  history: unknown;
  /** The shape of its history, where an upgrade from before the third schema noted it. */
  version?: number;
}

const DATABASE_NAME = 'mazurka';
const SCHEMA_VERSION = 6;
/** The shape of a lure that records without a note of it had when the fifth schema came. */
const SHAPE_BEFORE_FIFTH = 3;
/** Dexie keeps ten steps of the browser's own version number for each of its own. */
const STEPS_PER_VERSION = 10;

export class MazurkaDatabase extends Dexie {
  lures!: EntityTable<StoredLure, 'id'>;
  versions!: EntityTable<StoredVersions, 'id'>;
  changes!: Table<StoredChange, [string, number]>;
  shelf!: EntityTable<ShelfEntry, 'id'>;
  parts!: EntityTable<StoredPart, 'id'>;
  rules!: EntityTable<StoredRule, 'id'>;
  settings!: EntityTable<StoredSetting, 'key'>;
  runs!: EntityTable<StoredRun, 'id'>;
  photos!: EntityTable<StoredPhoto, 'id'>;
  setAside!: EntityTable<SetAside, 'n'>;

  /** The browser closed the storage by itself, or could not reach its disk: see `renewStorage`. */
  isSuspect = false;

  constructor(name = DATABASE_NAME) {
    // A write is told as done only once the browser has handed it to the disk.
    super(name, { chromeTransactionDurability: 'strict' });
    // The shape of what each schema held is noted here and brought up to date by the fifth, each record by itself.
    this.version(1).stores({ lures: 'id, changedAt', settings: 'key' });
    this.version(2)
      .stores({ parts: 'id', rules: 'id' })
      .upgrade((transaction) => noteShape(transaction, 1));
    this.version(3)
      .stores({ shelf: 'id, changedAt' })
      .upgrade((transaction) => noteShape(transaction, 2));
    this.version(4).stores({ runs: 'id, lureId, changedAt', photos: 'id, runId' });
    this.version(5).stores({ versions: 'id', changes: '[lure+seq]', setAside: '++n' }).upgrade(splitRecords);
    this.version(SCHEMA_VERSION).upgrade(joinCarriers);
    this.on('close', () => {
      this.isSuspect = true;
    });
  }

  /** The rows of all changes of one lure, in their order. */
  changesOf(id: string) {
    return this.changes.where('[lure+seq]').between([id, Dexie.minKey], [id, Dexie.maxKey]);
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
    if (!this.isSuspect) return;
    await renewStorage(this.settings);
    this.isSuspect = false;
  }
}

/** A name for a record that no other has. */
export function newBirth(): string {
  return crypto.randomUUID();
}

function noteShape(transaction: Transaction, version: number) {
  return transaction
    .table<OldLure>('lures')
    .toCollection()
    .modify((row) => {
      row.version ??= version;
    });
}

/** Reads every record of before by itself and lays it out anew; one that cannot be read is set aside as it was. */
async function splitRecords(transaction: Transaction) {
  const lures = transaction.table<OldLure | StoredLure, string>('lures');
  await transaction.table('shelf').clear();
  for (const id of await lures.toCollection().primaryKeys()) {
    const old = (await lures.get(id)) as OldLure | undefined;
    if (!old) continue;
    const version = old.version ?? SHAPE_BEFORE_FIFTH;
    const read = readHistory(old.history, version);
    if (!read.ok || read.history.lure.id !== id) {
      await transaction.table<SetAside>('setAside').add({ id, version, history: old.history });
      await lures.delete(id);
      continue;
    }
    const head = { birth: newBirth(), rev: old.rev, changedAt: old.changedAt, awayAt: null };
    const { row, versions, changes } = rowsOf(read.history, head, 0);
    await lures.put(row);
    await transaction.table('versions').put(versions);
    await transaction.table('changes').bulkPut([...changes]);
    await transaction.table('shelf').put(shelfEntryOf(read.history.lure, head));
  }
  await transaction
    .table<StoredRun>('runs')
    .toCollection()
    .modify((row) => {
      row.birth = newBirth();
    });
}

/** Brings every build, wherever it stands, from shape 3 to shape 4; what is no plain data is left as it is. */
async function joinCarriers(transaction: Transaction) {
  const brought = (value: unknown) =>
    plainDataProblem(value) === null ? migrateLure(value, SHAPE_BEFORE_FIFTH) : value;
  const each = <Row>(table: string, bring: (row: Row) => void) =>
    transaction.table<Row>(table).toCollection().modify(bring);
  await each<StoredLure>('lures', (row) => {
    row.lure = brought(row.lure);
  });
  await each<StoredVersions>('versions', (row) => {
    row.versions = brought(row.versions);
  });
  await each<StoredChange>('changes', (row) => {
    row.change = brought(row.change);
  });
  await each<StoredRun>('runs', (row) => {
    row.run = brought(row.run);
  });
}
