import { carrierRoom } from '../carriers/carrier';
import { pointOn, type PlanePlace } from '../carriers/wire-path';
import type { LaidCarrier } from './layout';

/** Where the line pulls on a carrier: the tie of a bent wire, the eye of a body, the nose loop of a straight wire. */
export function tieOf({
  path,
  pulledAt,
  lines,
  nose,
}: Pick<LaidCarrier, 'path' | 'pulledAt' | 'lines' | 'nose'>): PlanePlace {
  return pulledAt ?? pointOn(lines.run, path ? 0 : nose.loopCentreM);
}

/** What hangs behind a line that bends ahead of it, and so pitches by itself: the first carrier on it; null where there is none. */
export function hingedOn<C extends { readonly carrier: LaidCarrier['carrier'] }>([
  line,
  behind,
]: readonly C[]): C | null {
  return line && behind && carrierRoom(line.carrier).isLimp ? behind : null;
}
