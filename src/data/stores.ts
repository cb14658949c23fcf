/** The stores on the browser's own database. Made once, on first use in the browser. */
import { MazurkaDatabase } from './database';
import { LureStore } from './lure-store';
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
}

let made: Stores | null = null;

export function stores(): Stores {
  if (!made) {
    const database = new MazurkaDatabase();
    made = {
      lures: new LureStore(database, () => Date.now()),
      parts: new PartsStore(database),
      rules: new RulesStore(database),
      settings: new SettingsStore(database),
      runs: new RunStore(database, () => Date.now()),
    };
  }
  return made;
}
