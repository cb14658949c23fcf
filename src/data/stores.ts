/** The stores on the browser's own database. Made once, on first use in the browser. */
import { MazurkaDatabase } from './database';
import { LureStore } from './lure-store';
import { SettingsStore } from './settings-store';

let made: { readonly lures: LureStore; readonly settings: SettingsStore } | null = null;

export function stores() {
  if (!made) {
    const database = new MazurkaDatabase();
    made = { lures: new LureStore(database, () => Date.now()), settings: new SettingsStore(database) };
  }
  return made;
}
