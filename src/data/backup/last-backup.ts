/** When the last backup was saved: known without the code that writes one. */
import type { MazurkaDatabase } from '../database';
import { guarded, type Stored } from '../guarded';

const KEY = 'last backup';

/** Null when none was saved, or storage does not answer. */
export async function lastBackup(database: MazurkaDatabase): Promise<number | null> {
  const last = await guarded(database, () => database.settings.get(KEY));
  const at: unknown = last.ok ? last.value?.value : null;
  return typeof at === 'number' ? at : null;
}

/** Notes that a backup was handed to the user. */
export function noteBackup(database: MazurkaDatabase, now: number): Promise<Stored<void>> {
  return guarded(database, async () => {
    await database.settings.put({ key: KEY, value: now });
  });
}
