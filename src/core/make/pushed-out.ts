import { hookLimb } from '../parts/hook-form';
import type { Layout } from '../geometry/layout';
import type { ItemId } from '../lure/lure';

/**
 * How far behind a trailer's head the point has to come out for it to hang straight: from the collar to where the hook's
 * bend begins, m. Null when the hook's bend begins behind the trailer's end, or either is not on the lure.
 */
export function pushedOut(layout: Layout, trailer: ItemId, hook: ItemId): number | null {
  const soft = layout.off.find(({ item }) => item.id === trailer);
  const on = layout.off.find(({ item }) => item.id === hook);
  if (!soft || on?.item.part.kind !== 'hook') return null;
  const outM = on.x0M + hookLimb(on.item.part).bendCentre.xM - soft.x0M;
  return outM > 0 && outM < soft.x1M - soft.x0M ? outM : null;
}
