/**
 * How the stream meets the axle of each blade. A lure hangs at a pitch (hydro/trim.ts), so that its axle stands at χ to the
 * stream: U cos χ goes along it, which is what turns the blade, and of the blade's weight only cos χ is across it. The pitch in
 * turn hangs on what the blades drag, so both are worked out by turns; the second is within a hundredth of what more give.
 * With all coefficients as estimated: what is not known of a pitch is known of a lure's ride and not of its blades.
 */
import { FOR_BAND } from '../hydro/spin';
import { trimOf } from '../hydro/trim';
import { bladePulls } from './blade-pull';
import type { LureInWater } from './lure-in-water';
import { scaledAsEstimated } from './scaled-lure';
import { outcomesAt, turnAll, type AxleCosines } from './turned';

/** The stream is never told to come less along an axle: steeper, the lure hangs on its line and hardly moves. */
const LEAST_COS = 0.3;
export const ROUNDS = 2;

/** Of each blade at each speed, 0.3…1. @param speedsMps m/s */
export function axleCosines(inWater: LureInWater, speedsMps: readonly number[]): AxleCosines {
  const { spinners, dragsAt, rho } = inWater;
  const { sums, shared } = scaledAsEstimated(inWater);
  let cosines: number[][] = spinners.map(() => speedsMps.map(() => 1));
  if (dragsAt.every(({ axleRad }) => axleRad === null)) return cosines;
  for (let round = 0; round < ROUNDS; round++) {
    const turned = turnAll(spinners, rho, speedsMps, { precision: FOR_BAND, axleCos: cosines });
    const pitches = speedsMps.map((speedMps, at) => {
      if (!(speedMps > 0)) return 0;
      const drags = bladePulls(inWater, shared, outcomesAt(turned, at), speedMps);
      return trimOf(sums, drags, rho, speedMps).pitchRad;
    });
    cosines = dragsAt.map(({ axleRad }) => pitches.map((pitch) => axleCosine(axleRad, pitch)));
  }
  return cosines;
}

/** Cosine of the angle between an axle and the stream, the lure hanging at this pitch; 1 of what turns itself into it. */
export function axleCosine(axleRad: number | null, pitchRad: number): number {
  return axleRad === null ? 1 : Math.max(LEAST_COS, Math.cos(axleRad - pitchRad));
}
