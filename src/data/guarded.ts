import type { MazurkaDatabase } from './database';
import type * as z from 'zod/mini';
import { StorageError, toFailure, type Kept, type StorageFailure } from './failure';

export type Stored<T> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly failure: StorageFailure };

/**
 * The value as it will be read again. Whatever is written goes through the schema that reads it.
 * @throws StorageError `faulty` when it would not be read
 */
export function readable<T extends z.ZodMiniType>(schema: T, value: unknown, of: Kept): z.infer<T> {
  const parsed = schema.safeParse(value);
  if (parsed.success) return parsed.data;
  const [issue] = parsed.error.issues;
  const path = issue?.path.map(String).join('.') ?? '';
  throw new StorageError({ code: 'faulty', of, path, message: issue?.message ?? '' });
}

/** Runs work on the opened database; whatever goes wrong comes back as a named failure. */
export async function guarded<T>(database: MazurkaDatabase, work: () => PromiseLike<T>): Promise<Stored<T>> {
  try {
    await database.openChecked();
    return { ok: true, value: await work() };
  } catch (error) {
    const failure = toFailure(error);
    if (failure.code === 'disk' || failure.code === 'closed') database.isSuspect = true;
    return { ok: false, failure };
  }
}
