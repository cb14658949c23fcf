/** What a builder's hand does to one piece. */
import { roomOf, type ItemState, type Part } from '../parts/part';

type StateOf<K extends ItemState['of']> = Extract<ItemState, { of: K }>;

/** The state a part comes in, before anything is done to it; null for kinds to which nothing is done. */
export function usualState(part: Pick<Part, 'kind'>): ItemState | null {
  return roomOf(part as Part).usual;
}

/** The item's state, known to be of this sort. @throws Error for an item of another kind: a caller's mistake. */
export function stateOf<K extends ItemState['of']>(
  item: { readonly id: string; readonly state: ItemState | null },
  of: K,
): StateOf<K> {
  if (item.state?.of !== of) throw new Error(`stateOf: ${item.id} has no ${of} state`);
  return item.state as StateOf<K>;
}
