/** Ids for lures and own parts: from a name, and free among those taken. */
import { lureIdSchema, type LureId } from './lure';

/** The id itself, or with the first free number behind it. */
export function freeId(wanted: string, taken: ReadonlySet<string>): LureId {
  for (let number = 1; ; number++) {
    const id = number === 1 ? wanted : `${wanted}-${number}`;
    if (!taken.has(id)) return lureIdSchema.parse(id);
  }
}

/** A lure id from a name: `Hovna Lantern` → `hovna-lantern`. */
export function idFromName(name: string): LureId {
  const plain = name
    .normalize('NFKD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, 60);
  return lureIdSchema.parse(plain === '' ? 'lure' : plain);
}
