/** What is easy on line and knots. */
import type { Part } from './part';

/** A bead no larger than this, or of plastic, is gentle to the knot it rests on, m. Trade estimate. */
export const SMALL_BEAD_M = 0.003;

/** What may rest on a knot or a snell without chafing it more than line chafes itself. */
export function isGentleToKnot(part: Part): boolean {
  return part.kind === 'bead' && (part.diameterM <= SMALL_BEAD_M || part.material === 'plastic');
}
