/** Mass of the whole lure as built, kg: measured parts, and of wire and tube the length that is in it. */
import { wireMass } from '../parts/mass';
import { roomOf } from '../parts/part';
import { cutLengths, wireCut, type CutLength } from './lengths';
import type { Build, Item } from './lure';

export function lureMass(build: Build, cuts: readonly CutLength[] = cutLengths(build)): number {
  const parts = Object.values(build.items).reduce((sum, item) => sum + itemMass(item, cuts), 0);
  return parts + wireMass(build.carrier.wire, lengthInLure(cuts.find(({ of }) => of === 'wire') ?? wireCut(build)));
}

/** Mass of one item as it is on the lure: of what is sold by length its length in it, of a trailer what is left of it. */
export function itemMass({ id, part, state }: Item, cuts: readonly CutLength[]): number {
  const cut = cuts.find((each) => each.item?.id === id);
  return roomOf(part).massKg(part, state, cut ? lengthInLure(cut) : null);
}

/** Tags are clipped off. */
function lengthInLure({ terms }: CutLength): number {
  return terms.filter(({ code }) => code !== 'tag').reduce((total, term) => total + term.lengthM, 0);
}
