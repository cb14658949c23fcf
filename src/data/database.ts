/** The one database: lures with their history, and settings. Nothing else in the app touches storage. */
import Dexie, { type EntityTable } from 'dexie';
import { StorageError } from './failure';

/** As stored: not trusted until parsed. `rev` rises by one with every write. */
export interface StoredLure {
  id: string;
  rev: number;
  changedAt: number;
  history: unknown;
}

export interface StoredSetting {
  key: string;
  value: unknown;
}

const DATABASE_NAME = 'mazurka';
const SCHEMA_VERSION = 1;
/** Dexie keeps ten steps of the browser's own version number for each of its own. */
const STEPS_PER_VERSION = 10;

export class MazurkaDatabase extends Dexie {
  lures!: EntityTable<StoredLure, 'id'>;
  settings!: EntityTable<StoredSetting, 'key'>;

  constructor(name = DATABASE_NAME) {
    super(name);
    this.version(SCHEMA_VERSION).stores({ lures: 'id, changedAt', settings: 'key' });
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
