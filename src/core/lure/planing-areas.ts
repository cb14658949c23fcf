/** What of a lure planes on the surface: the lobes of its buzz blades, and the underside of its head. */
import { bladeArea } from '../parts/blade-area';
import type { Build } from './lure';

/**
 * Lift over ½ρU² and area: lobes press the water down and aft as they enter it; a head rides nose up on its underside,
 * a flat one best. Trade estimates.
 */
const LOBES_LIFT = 0.35;
const HEAD_LIFT = { bullet: 0.12, ball: 0.1, minnow: 0.15, flat: 0.3, cone: 0.12 } as const;

/** Lift area at the surface, m²; null for a lure without a buzz blade, which is not made to stay up. */
export function planingAreas({ items }: Build): number | null {
  const parts = Object.values(items).map(({ part }) => part);
  if (!parts.some(({ kind }) => kind === 'deltaBlade')) return null;
  return parts.reduce((sum, part) => {
    if (part.kind === 'deltaBlade') return sum + LOBES_LIFT * bladeArea(part);
    return part.kind === 'head' ? sum + HEAD_LIFT[part.shape] * part.lengthM * part.widthM : sum;
  }, 0);
}
