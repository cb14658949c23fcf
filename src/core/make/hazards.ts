/** Dangers that come with the piece in hand. */
import type { ItemId } from '../lure/lure';
import type { Goal } from './goal';
import type { Hazard } from './operation-rule';

export function leadIn({ build }: Goal, ids: readonly (ItemId | null)[]): Hazard[] {
  return ids.some((id) => id && build.items[id]?.part.material === 'lead') ? ['lead'] : [];
}

export function pointsIn({ build }: Goal, ids: readonly (ItemId | null)[]): Hazard[] {
  return ids.some((id) => id && build.items[id]?.part.kind === 'hook') ? ['hookPoint'] : [];
}
