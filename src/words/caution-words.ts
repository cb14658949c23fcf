/** Cautions, each where the step is that needs it. */
import type { Part } from '../core/parts/part';

export const CUTTING_WIRE = 'Clipped wire flies: wear eye protection and hold the tag down. Flatten the cut end.';
export const SHRINKING_TUBE =
  'Heat near hair, feathers and plastics: keep the flame moving and off them, and mind the fumes.';
export const HOOK_POINTS = 'Sharp: cap the points, or fit the hook last.';
export const LEAD =
  'Lead: wash your hands, keep it from food and children. Many waters restrict it; the authority’s current text decides.';
export const CEMENT = 'Head cement and glue: fresh air, off the skin, out of the eyes.';

export const HOT_METAL =
  'Molten metal: dry mould, dry hook, gloves, goggles and moving air. Many buy heads ready cast instead.';
export const KNIFE = 'Knife and razor: cut away from the hand, on a board.';

/** What to mind when handling this part; null when nothing out of the ordinary. */
export function handlingCaution(part: Part): string | null {
  if (part.kind === 'hook') return HOOK_POINTS;
  if (part.kind === 'wire' || part.kind === 'softWire') return CUTTING_WIRE;
  if (part.kind === 'shrinkTube') return SHRINKING_TUBE;
  if (part.kind === 'dressing') return CEMENT;
  if (part.material === 'lead') return LEAD;
  if (part.kind === 'trailer') return KNIFE;
  return null;
}
