/** Mass of the whole lure as built, kg: measured parts, and of wire and tube the length that is in it. */
import { carrierRoom } from '../carriers/carrier';
import { roomOf } from '../parts/part';
import { layOut } from '../geometry/layout';
import { carrierCut, cutLengths, type CutLength } from './lengths';
import type { LengthTerm } from '../carriers/length-term';
import type { Build, CarrierId, Item } from '../lure/lure';
import { carriersOf } from '../lure/strung';

/** Mass of the whole lure, kg. @throws Error for a build that structureProblem refuses */
export function lureMass(build: Build, cuts: readonly CutLength[] = cutLengths(build)): number {
  const parts = Object.values(build.items).reduce((sum, item) => sum + itemMass(item, cuts), 0);
  return carriersOf(build).reduce((sum, { id, carrier }) => {
    const cut = cuts.find((each) => each.carrier === id);
    return sum + carrierRoom(carrier).massKg(carrier, lengthInLure((cut ?? cutOf(build, id)).terms));
  }, parts);
}

/** Of a wire that comes formed, which is not among what has to be cut. */
function cutOf(build: Build, carrier: CarrierId): CutLength {
  const laid = layOut(build).carriers.find(({ id }) => id === carrier);
  if (!laid) throw new Error(`lureMass: there is no carrier ${carrier}`);
  return carrierCut(laid);
}

/** Mass of one item as it is on the lure: of what is sold by length its length in it, of a trailer what is left of it. */
export function itemMass({ id, part, state }: Item, cuts: readonly CutLength[]): number {
  const cut = cuts.find((each) => each.item?.id === id);
  return roomOf(part).massKg(part, state, cut ? lengthInLure(cut.terms) : null);
}

/** Whether this stays in the lure: tags are clipped off, and with them what was kept for a spoilt knot. */
export function staysInLure({ code }: LengthTerm): boolean {
  return code !== 'tag' && code !== 'spare';
}

/** Of what is cut, what stays in the lure, m. */
export function lengthInLure(terms: readonly LengthTerm[]): number {
  return terms.filter(staysInLure).reduce((total, term) => total + term.lengthM, 0);
}
