import { skirtForm, type SkirtForm } from '../parts/skirt-form';
import { stateOf } from '../lure/item-state';
import { childrenOf, type Build, type Item } from '../lure/lure';

/**
 * How a skirt lies on its collar, with the strips that are pulled through its band.
 * @throws Error for an item that is no skirt: a caller's mistake
 */
export function skirtOn(build: Build, item: Item): SkirtForm {
  const { part, flipped } = item;
  if (part.kind !== 'skirt') throw new Error(`skirtOn: ${item.id} is a ${part.kind}`);
  const held = childrenOf(build, item.id).map((child) => child.part);
  return skirtForm(part, stateOf(item, 'skirt'), flipped, held);
}
