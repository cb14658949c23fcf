/** Mass of the whole lure as built, kg: measured parts, and of wire and tube the length that is in it. */
import { wireMass } from '../parts/mass';
import { stateOf } from './item-state';
import { cutLengths, wireCut, type CutLength } from './lengths';
import type { Build, Item } from './lure';

export function lureMass(build: Build, cuts: readonly CutLength[] = cutLengths(build)): number {
  const parts = Object.values(build.items).reduce((sum, item) => sum + itemMass(item, cuts), 0);
  return parts + wireMass(build.carrier.wire, lengthInLure(cuts.find(({ of }) => of === 'wire') ?? wireCut(build)));
}

/** Mass of one item as it is on the lure: of what is sold by length its length in it, of a trailer what is left of it. */
export function itemMass(item: Item, cuts: readonly CutLength[]): number {
  const { part } = item;
  if (part.kind === 'shrinkTube' || part.kind === 'softWire') {
    // Tubes keep their mass when they shrink.
    const cut = cuts.find((each) => each.item?.id === item.id);
    return cut ? wireMass(part, lengthInLure(cut)) : 0;
  }
  if (part.kind !== 'trailer') return part.massKg;
  return part.massKg * Math.max(0, 1 - stateOf(item, 'trailer').cutM / part.lengthM);
}

/** Tags are clipped off. */
function lengthInLure({ terms }: CutLength): number {
  return terms.filter(({ code }) => code !== 'tag').reduce((total, term) => total + term.lengthM, 0);
}
