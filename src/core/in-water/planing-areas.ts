/** What of a lure planes on the surface: the lobes of its delta blades, and the underside of its head. */
import { roomOf } from '../parts/part';
import type { Build } from '../lure/lure';

/** Lift area at the surface, m²; null for a lure without a delta blade, which is not made to stay up. */
export function planingAreas({ items }: Build): number | null {
  const parts = Object.values(items).map(({ part }) => part);
  if (!parts.some(({ kind }) => kind === 'deltaBlade')) return null;
  return parts.reduce((sum, part) => sum + roomOf(part).planingM2(part), 0);
}
