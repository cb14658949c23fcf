import type { ItemId } from '../lure/lure';
import { stateOf } from '../lure/item-state';
import { hookLimb } from '../parts/hook-form';
import type { Layout } from './layout';
import type { PlacedOff } from './placed';

/** A point in the back of a soft body: behind its front and above its axis, m. */
export interface CoveredPoint {
  readonly atM: number;
  readonly upM: number;
  readonly hook: ItemId;
}

/** The point of the hook that this soft body is on, where its back covers that; null of any other part. */
export function coveredPoint({ off }: Layout, { item, x0M, parent }: PlacedOff): CoveredPoint | null {
  if (item.part.kind !== 'trailer' || !stateOf(item, 'trailer').pointBuried) return null;
  const hook = off.find((each) => each.item.id === parent);
  if (hook?.item.part.kind !== 'hook') return null;
  const { pointTip } = hookLimb(hook.item.part);
  return { atM: hook.x0M + pointTip.xM - x0M, upM: pointTip.radiusM, hook: hook.item.id };
}
