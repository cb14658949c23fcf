import type { CutLength } from '../lure/lengths';
import type { ItemId } from '../lure/lure';
import type { Amount } from './operation';

/** What these pieces are cut to, in the order of the lengths. */
export function cutTo(cuts: readonly CutLength[], items: readonly ItemId[]): Amount[] {
  return cuts.flatMap(({ item, cutM }) => (item && items.includes(item.id) ? [{ of: 'cut', lengthM: cutM }] : []));
}
