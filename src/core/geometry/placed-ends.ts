/** The ends of a wire as they lie: loops, wraps, and where what hangs in them bears. */
import { knotLength, loopKnotLength } from '../parts/knots';
import type { WireEnd } from '../parts/wire-form';
import type { PlacedEnd } from './placed';

/** The nose end of a wire as it lies, from 0. @param d thickness of the wire, m */
export function noseOf(end: WireEnd, d: number): PlacedEnd {
  const loopM = loopLength(end, d);
  return {
    form: end.form,
    x0M: 0,
    x1M: loopM,
    loopCentreM: loopM / 2,
    loopInsideRadiusM: insideRadius(end),
    wraps: { x0M: loopM, x1M: loopM + wrapsLength(end, d) },
  };
}

/** The tail end of a wire as it lies. @param fromM where the shaft ends, m; @param d thickness of the wire, m */
export function tailOf(end: WireEnd, fromM: number, d: number): PlacedEnd {
  const wrapsM = wrapsLength(end, d);
  const loopM = loopLength(end, d);
  const x0M = fromM + wrapsM;
  return {
    form: end.form,
    wraps: { x0M: fromM, x1M: x0M },
    x0M,
    x1M: x0M + loopM,
    loopCentreM: x0M + loopM / 2,
    loopInsideRadiusM: insideRadius(end),
  };
}

/** Outer length of the loop along the wire; a bent-over end is as long as the wire is thick. */
function loopLength(end: WireEnd, wireM: number): number {
  switch (end.form) {
    case 'plain':
      return 0;
    case 'bentOver':
      return wireM;
    case 'wrappedLoop':
    case 'bentLoop':
      return end.insideDiameterM + 2 * wireM;
    case 'knot':
      return 0;
    case 'tiedLoop':
      return end.insideM + wireM;
  }
}

function wrapsLength(end: WireEnd, wireM: number): number {
  switch (end.form) {
    case 'wrappedLoop':
      return end.wraps * wireM;
    case 'knot':
      return knotLength(end, wireM);
    case 'tiedLoop':
      return loopKnotLength(wireM);
    case 'plain':
    case 'bentOver':
    case 'bentLoop':
      return 0;
  }
}

/** Half width of a tied loop that hangs from something, as a share of its length. */
const TIED_LOOP_SHARE = 0.2;

function insideRadius(end: WireEnd): number {
  if (end.form === 'tiedLoop') return TIED_LOOP_SHARE * end.insideM;
  return end.form === 'wrappedLoop' || end.form === 'bentLoop' ? end.insideDiameterM / 2 : 0;
}

/** From the nose to where what hangs at the tail bears, m. */
export function bearsAtTail({ form, x1M }: PlacedEnd, wireM: number): number {
  return form === 'plain' || form === 'bentOver' || form === 'knot' ? x1M : x1M - wireM;
}
