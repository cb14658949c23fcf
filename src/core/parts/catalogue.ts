/** The parts that ship with the app: invented makers, generic measures. Data in catalogue.json, checked here. */
import * as z from 'zod/mini';
import '../schema';
import { partSchema, type Part, type PartKind, type PartOf } from './part';
import raw from './catalogue.json';

export const CATALOGUE: readonly Part[] = z.array(partSchema).parse(raw);

/** All parts of one kind, as they are listed. */
export function partsOfKind<K extends PartKind>(kind: K, parts: readonly Part[] = CATALOGUE): PartOf<K>[] {
  return parts.filter((part): part is PartOf<K> => part.kind === kind);
}

/** The catalogue part with this id, or null. */
export function findPart(id: string, parts: readonly Part[] = CATALOGUE): Part | null {
  return parts.find((part) => part.id === id) ?? null;
}
