import type { MazurkaDatabase } from './database';
import { toFailure, type StorageFailure } from './failure';

export type Stored<T> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly failure: StorageFailure };

/** Runs work on the opened database; whatever goes wrong comes back as a named failure. */
export async function guarded<T>(database: MazurkaDatabase, work: () => PromiseLike<T>): Promise<Stored<T>> {
  try {
    await database.openChecked();
    return { ok: true, value: await work() };
  } catch (error) {
    return { ok: false, failure: toFailure(error) };
  }
}
