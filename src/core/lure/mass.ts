/** Mass of the whole lure as built, kg: measured parts, and of wire and tube the length that is in it. */
import { wireMass } from '../parts/mass';
import { stateOf } from './item-state';
import { cutLengths, wireCut, type CutLength } from './lengths';
import type { Build, Item } from './lure';

export function lureMass(build: Build, cuts: readonly CutLength[] = cutLengths(build)): number {
  const parts = Object.values(build.items).reduce((sum, item) => sum + massOf(item), 0);
  // Tubes keep their mass when they shrink.
  const cut = cuts.reduce((sum, each) => {
    const stock = each.item?.part;
    return stock?.kind === 'shrinkTube' || stock?.kind === 'softWire' ? sum + wireMass(stock, lengthInLure(each)) : sum;
  }, 0);
  return (
    parts + cut + wireMass(build.carrier.wire, lengthInLure(cuts.find(({ of }) => of === 'wire') ?? wireCut(build)))
  );
}

/** Of a piece that is not sold by length; a trailer weighs what is left of it. */
function massOf(item: Item): number {
  const { part } = item;
  if (part.kind === 'shrinkTube' || part.kind === 'softWire') return 0;
  if (part.kind !== 'trailer') return part.massKg;
  return part.massKg * Math.max(0, 1 - stateOf(item, 'trailer').cutM / part.lengthM);
}

/** Tags are clipped off. */
function lengthInLure({ terms }: CutLength): number {
  return terms.filter(({ code }) => code !== 'tag').reduce((total, term) => total + term.lengthM, 0);
}
