/**
 * A second copy of a lure whose last changes the database would not take, kept where the page can write at once. It stays
 * until the database has been asked again and holds the lure; work found here on the next visit is put beside what is stored.
 */
import * as z from 'zod/mini';
import { lureSchema, type Lure } from '../core/lure/lure';
import { lureProblem } from '../core/files/lure-problem';

const KEY = 'mazurka unsaved ';

const unsavedSchema = z.strictObject({ lure: lureSchema, at: z.number() });

/** False when this storage would not take it either: then the lure is in the open page only. */
export function keepUnsaved(storage: Storage | undefined, lure: Lure, at: number): boolean {
  try {
    storage?.setItem(KEY + lure.id, JSON.stringify({ lure, at }));
    return storage !== undefined;
  } catch {
    return false;
  }
}

/** All lures whose last changes are here only. */
export function readUnsaved(storage: Storage | undefined): readonly Lure[] {
  try {
    const keys = Array.from({ length: storage?.length ?? 0 }, (_, i) => storage?.key(i) ?? '');
    return keys
      .filter((key) => key.startsWith(KEY))
      .flatMap((key) => {
        const parsed = unsavedSchema.safeParse(JSON.parse(storage?.getItem(key) ?? 'null'));
        return parsed.success && lureProblem(parsed.data.lure) === null ? [parsed.data.lure] : [];
      });
  } catch {
    return [];
  }
}

export function dropUnsaved(storage: Storage | undefined, id: string): void {
  try {
    storage?.removeItem(KEY + id);
  } catch {
    return;
  }
}
