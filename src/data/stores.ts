/** The stores on the browser's own database. Made once, on first use in the browser. */
import { lastBackup } from './backup/last-backup';
import { MazurkaDatabase } from './database';
import { LureStore } from './lure-store';
import { askToPersist, type Persistence } from './persistence';
import { PartsStore } from './parts-store';
import { RulesStore } from './rules-store';
import { RunStore } from './run-store';
import { SettingsStore } from './settings-store';

export interface Stores {
  readonly lures: LureStore;
  readonly parts: PartsStore;
  readonly rules: RulesStore;
  readonly settings: SettingsStore;
  readonly runs: RunStore;
  /** Asks the browser to keep what is stored; null when it was asked before. */
  /** When the last backup was saved; null when none was. */
  readonly lastBackup: () => Promise<number | null>;
  readonly askToPersist: () => Promise<Persistence | null>;
}

let made: Stores | null = null;
let database: MazurkaDatabase | null = null;

/** The browser's own database: for this room only. */
export function ownDatabase(): MazurkaDatabase {
  database ??= new MazurkaDatabase();
  return database;
}

export function stores(): Stores {
  if (!made) {
    const database = ownDatabase();
    made = {
      lures: new LureStore(database, () => Date.now()),
      parts: new PartsStore(database),
      rules: new RulesStore(database),
      settings: new SettingsStore(database),
      runs: new RunStore(database, () => Date.now()),
      askToPersist: () => askToPersist(database),
      lastBackup: () => lastBackup(database),
    };
  }
  return made;
}
