/** The slowest speed of a lure at which each of its blades keeps turning, as a band, and at which it starts. */
import { slowestKept } from '../hydro/round-the-turn';
import { USUAL_OUTFIT } from '../hydro/outfit';
import type { Water } from '../hydro/water';
import type { BladeState } from '../in-water/bearing';
import type { Build, ItemId } from '../lure/lure';
import { coefficientsAt, type Belief } from './factors';
import type { Said } from './band';
import { axleCosines } from './inclined';
import { lureInWater } from './lure-in-water';
import { againstStall, spinsOf } from './spin';
import { passedBy, turnAll } from './turned';

export type Stall =
  | {
      readonly outcome: 'stalls';
      /** Turning, it keeps turning down to this, m/s. */
      readonly keepsMps: Said;
      /** Hanging, it starts at this, m/s. */
      readonly startsMps: number;
      /** By itself; else with a twitch. */
      readonly isSelfStarting: boolean;
    }
  | { readonly outcome: 'doesNotTurn' }
  | { readonly outcome: 'outsideModel'; readonly quantity: 'planAreaM2' | 'sheetMassKgM2'; readonly value: number };

export interface StallPrediction {
  readonly station: ItemId;
  /** In speeds of the lure: behind another blade a blade needs more. */
  readonly stall: Stall;
}

/** Rounds in which the speed of the lure is found at which a blade meets that of its stall. */
const ROUNDS = 8;

/** Of each blade, nose first, as its lure hangs at that speed. */
export function stallSpeeds(
  build: Build,
  water: Water,
  state: BladeState = 'clean',
  learnt: Belief | null = null,
): StallPrediction[] {
  const inWater = lureInWater(build, water, USUAL_OUTFIT, state);
  const { spinners: all, rho: density } = inWater;
  const { belief, keeps } = spinsOf(inWater, [], learnt);
  const coefficients = all.map(({ nominal, station }) =>
    coefficientsAt(nominal, station, belief.factors, belief.middle),
  );
  return all.map((spinner, index): StallPrediction => {
    const { station } = spinner;
    const own = keeps[index];
    if (!own) {
      const kept = slowestKept(spinner.blade(coefficients[index] ?? spinner.nominal), spinner.bearing, density);
      return { station, stall: kept.outcome === 'outsideModel' ? kept : { outcome: 'doesNotTurn' } };
    }
    const { mps, startsMps, isSelfStarting } = own;
    const levelMps = [mps.value, mps.low, mps.high, startsMps];
    let speedsMps = levelMps;
    for (let round = 0; round < ROUNDS; round++) {
      const axleCos = axleCosines(inWater, speedsMps);
      const ahead = turnAll(all.slice(0, index), density, speedsMps, { coefficients, axleCos });
      speedsMps = levelMps.map((level, i) => {
        const along = axleCos[index]?.[i] ?? 1;
        return level / againstStall(passedBy(ahead, spinner, i) * along, along);
      });
    }
    const [value = 0, low = 0, high = 0, starts = 0] = speedsMps;
    return {
      station,
      stall: { outcome: 'stalls', keepsMps: { ...mps, value, low, high }, startsMps: starts, isSelfStarting },
    };
  });
}
