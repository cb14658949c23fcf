/** Dangers that come with the piece in hand. */
import type { ItemId } from '../lure/lure';
import type { Goal } from './goal';
import type { Hazard } from './operation-rule';

/** Lead, where one of these pieces is of it. */
export function leadIn({ build }: Goal, ids: readonly (ItemId | null)[]): Hazard[] {
  return ids.some((id) => id && build.items[id]?.part.material === 'lead') ? ['lead'] : [];
}

/** Points, where one of these pieces is a hook. */
export function pointsIn({ build }: Goal, ids: readonly (ItemId | null)[]): Hazard[] {
  return ids.some((id) => id && build.items[id]?.part.kind === 'hook') ? ['hookPoint'] : [];
}
