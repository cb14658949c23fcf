/** Where mass, displaced water and drag of a lure have their middles. */
import { strandShare } from '../hydro/trim';
import { bladeDrags } from './blade-pull';
import type { LureInWater } from './lure-in-water';
import type { BladeOutcome } from './turned';
import { AS_ESTIMATED } from './factors';

/** Each m behind and above the line tie and beside the plane of the lure. */
export interface Centres {
  readonly ofMass: Centre;
  readonly ofBuoyancy: Centre;
  /** Of all drag at this speed, blades included. */
  readonly ofDrag: Centre;
}
export interface Centre {
  readonly xM: number;
  readonly yM: number;
  readonly zM: number;
}

/** Where the lure's mass and its drags act, m from the line tie. @param speedMps m/s */
export function centresOf(
  inWater: LureInWater,
  outcomes: readonly (BladeOutcome | undefined)[],
  speedMps: number,
): Centres {
  const { bodies, dragsAt, rho } = inWater;
  const drags = bladeDrags(inWater, AS_ESTIMATED, outcomes, speedMps);
  const q = 0.5 * rho * speedMps ** 2;
  return {
    ofMass: centre(bodies, ({ massKg }) => massKg),
    ofBuoyancy: centre(bodies, ({ volumeM3 }) => volumeM3),
    ofDrag: centre(
      [
        ...bodies.map(({ xM, yM, zM, axialM2, strandM2 }) => ({
          xM,
          yM,
          zM,
          dragN: q * (axialM2 + strandShare(speedMps) * strandM2),
        })),
        ...dragsAt.map(({ xM, yM, zM }, i) => ({ xM, yM, zM, dragN: drags[i] ?? 0 })),
      ],
      ({ dragN }) => dragN,
    ),
  };
}

function centre<T extends Centre>(things: readonly T[], weightOf: (thing: T) => number): Centre {
  const all = things.reduce((sum, thing) => sum + weightOf(thing), 0);
  const mean = (of: (thing: T) => number) =>
    all > 0 ? things.reduce((sum, thing) => sum + weightOf(thing) * of(thing), 0) / all : 0;
  return { xM: mean(({ xM }) => xM), yM: mean(({ yM }) => yM), zM: mean(({ zM }) => zM) };
}
