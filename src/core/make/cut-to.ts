import type { CutLength } from '../lengths/lengths';
import type { ItemId } from '../lure/lure';
import type { Amount } from './operation-rule';

/** What these pieces are cut to, in their order. */
export function cutTo(cuts: readonly CutLength[], items: readonly ItemId[]): Amount[] {
  return items.flatMap((id) =>
    cuts.flatMap(({ item, cutM }): Amount[] => (item?.id === id ? [{ of: 'cut', lengthM: cutM }] : [])),
  );
}
