/** Whether the browser promises to keep what is stored here when its disk runs low. Asked once, at the first own change. */
import type { MazurkaDatabase } from './database';

export const PERSISTENCE = ['kept', 'mayBeCleared', 'unknown'] as const;
export type Persistence = (typeof PERSISTENCE)[number];

const TOLD_KEY = 'persistence told';

/** What the browser says now, without asking it for anything. */
export async function persistence(): Promise<Persistence> {
  if (typeof navigator === 'undefined' || !('storage' in navigator) || !navigator.storage.persisted) return 'unknown';
  return (await navigator.storage.persisted()) ? 'kept' : 'mayBeCleared';
}

/** Asks the browser to keep what is stored. The answer, or null when it was asked and told before. */
export async function askToPersist(database: MazurkaDatabase): Promise<Persistence | null> {
  try {
    if (await database.settings.get(TOLD_KEY)) return null;
    const now = await persistence();
    if (now === 'unknown') return null;
    const answer = now === 'kept' || (await navigator.storage.persist()) ? 'kept' : 'mayBeCleared';
    await database.settings.put({ key: TOLD_KEY, value: answer });
    return answer;
  } catch {
    return null;
  }
}
