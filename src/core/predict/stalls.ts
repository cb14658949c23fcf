/** The slowest speed at which each blade of a lure keeps turning, as a band. */
import { stallSpeed, type Stall } from '../hydro/stall';
import { waterDensity, type Water } from '../hydro/water';
import type { BladeState } from '../lure/bearing';
import type { Build, ItemId } from '../lure/lure';
import { spinners } from '../lure/spin-seats';
import { beliefFor, coefficientsAt, type Belief } from './factors';
import { passedBy, turnAll } from './spin';

export interface StallPrediction {
  readonly station: ItemId;
  /** In speeds of the lure: behind another blade a blade needs more. */
  readonly stall: Stall;
}

/** Rounds in which the speed of the lure at which a rear blade stalls is found. */
const WAKE_ROUNDS = 6;

/** Of each blade, nose first. The axle is level. */
export function stallSpeeds(
  build: Build,
  water: Water,
  state: BladeState = 'clean',
  learnt: Belief | null = null,
): StallPrediction[] {
  const density = waterDensity(water);
  const all = spinners(build, density, state);
  const { factors, middle } = beliefFor(
    all.map(({ station }) => station),
    learnt,
  );
  const coefficients = all.map(({ nominal, station }) => coefficientsAt(nominal, station, factors, middle));
  return all.map((spinner, index) => {
    const setting = { waterDensityKgM3: density, slopeRad: 0 };
    const stall = stallSpeed(spinner.blade(coefficients[index] ?? spinner.nominal), spinner.bearing, setting);
    if (stall.outcome !== 'stalls' || index === 0) return { station: spinner.station, stall };
    const lureSpeed = (localMps: number) => {
      let speed = localMps;
      for (let round = 0; round < WAKE_ROUNDS; round++) {
        const ahead = turnAll(all.slice(0, index), density, [speed], coefficients);
        speed = localMps / passedBy(ahead, spinner, 0);
      }
      return speed;
    };
    return {
      station: spinner.station,
      stall: { ...stall, lowMps: lureSpeed(stall.lowMps), highMps: lureSpeed(stall.highMps) },
    };
  });
}
