/** Mass of the whole lure as built, kg: measured parts, and of wire and tube the length that is in it. */
import { cutLengths, type CutLength } from './lengths';
import type { Build } from './lure';

export function lureMass(build: Build, cuts: readonly CutLength[] = cutLengths(build)): number {
  const parts = Object.values(build.items)
    .filter(({ part }) => part.kind !== 'shrinkTube')
    .reduce((sum, { part }) => sum + part.massKg, 0);
  const cut = cuts.reduce((sum, { item, terms }) => {
    const stock = item?.part ?? build.carrier.wire;
    if (stock.kind !== 'wire' && stock.kind !== 'shrinkTube') return sum;
    // Tags are clipped off; the tube keeps its mass when it shrinks.
    const inTheLure = terms.filter(({ code }) => code !== 'tag').reduce((total, term) => total + term.lengthM, 0);
    return sum + (stock.massKg / stock.stockLengthM) * inTheLure;
  }, 0);
  return parts + cut;
}
