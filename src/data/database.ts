/** The one database: lures with their history, and settings. Nothing else in the app touches storage. */
import Dexie, { type EntityTable } from 'dexie';

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

export const DATABASE_NAME = 'mazurka';

export class MazurkaDatabase extends Dexie {
  lures!: EntityTable<StoredLure, 'id'>;
  settings!: EntityTable<StoredSetting, 'key'>;

  constructor(name = DATABASE_NAME) {
    super(name);
    this.version(1).stores({ lures: 'id, changedAt', settings: 'key' });
  }
}
