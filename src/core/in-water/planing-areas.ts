/** What of a lure planes on the surface: the lobes of its delta blades, and the underside of its head. */
import { roomOf, type Part } from '../parts/part';

/** Lift area of these parts at the surface, m²; null without a delta blade among them: then it is not made to stay up. */
export function planingAreas(parts: readonly Part[]): number | null {
  if (!parts.some(({ kind }) => kind === 'deltaBlade')) return null;
  return parts.reduce((sum, part) => sum + roomOf(part).planingM2(part), 0);
}
