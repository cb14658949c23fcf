/**
 * Told of changes to a table, in this tab or another, once they have stopped coming for a moment. A live query would read
 * the table after every change, and a read that is under way holds up the next write.
 */
import Dexie, { type ObservabilitySet } from 'dexie';
import type { MazurkaDatabase } from './database';

const QUIET_MS = 250;

/** @param run may fail: a database that is being closed is none of its business */
export function whenChanged(database: MazurkaDatabase, table: string, run: () => void | Promise<void>): () => void {
  const part = `idb://${database.name}/${table}/`;
  let timer: ReturnType<typeof setTimeout> | undefined;
  const later = () => {
    clearTimeout(timer);
    timer = setTimeout(() => void Promise.resolve(run()).catch(() => undefined), QUIET_MS);
  };
  const heard = (parts: ObservabilitySet) => {
    if (Object.keys(parts).some((each) => each.startsWith(part))) later();
  };
  Dexie.on('storagemutated', heard);
  return () => {
    clearTimeout(timer);
    Dexie.on.storagemutated.unsubscribe(heard);
  };
}
