/** The one database: lures with their history, the user's own parts and rules, and settings. Nothing else in the app touches storage. */
import Dexie, { type EntityTable } from 'dexie';
import { addItemStates } from '../core/lure/migrate';
import { StorageError } from './failure';

/** As stored: not trusted until parsed. `rev` rises by one with every write. */
export interface StoredLure {
  id: string;
  rev: number;
  changedAt: number;
  history: unknown;
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

export interface StoredSetting {
  key: string;
  value: unknown;
}

const DATABASE_NAME = 'mazurka';
const SCHEMA_VERSION = 2;
/** Dexie keeps ten steps of the browser's own version number for each of its own. */
const STEPS_PER_VERSION = 10;

export class MazurkaDatabase extends Dexie {
  lures!: EntityTable<StoredLure, 'id'>;
  parts!: EntityTable<StoredPart, 'id'>;
  rules!: EntityTable<StoredRule, 'id'>;
  settings!: EntityTable<StoredSetting, 'key'>;

  constructor(name = DATABASE_NAME) {
    super(name);
    this.version(1).stores({ lures: 'id, changedAt', settings: 'key' });
    this.version(SCHEMA_VERSION)
      .stores({ parts: 'id', rules: 'id' })
      .upgrade((transaction) =>
        transaction
          .table<StoredLure>('lures')
          .toCollection()
          .modify((row) => {
            row.history = addItemStates(row.history);
          }),
      );
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
