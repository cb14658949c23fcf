/**
 * One door: what a lure does in a water at each speed, with the spread that the coefficients' own uncertainty gives.
 *
 * Spread: ψ, k_c and C_A of each pattern are trade estimates, each known to ±20 % until measured. Each is moved up and
 * down alone and the answer solved afresh; on each side the three ratios add as the root of their squares. A test holds
 * this against random draws of all three together.
 */
import {
  bladeCoefficients,
  spinBlade,
  referenceCoefficients,
  COEFFICIENT_SPREAD,
  type ReferenceCoefficients,
} from './hydro/spin-blade';
import { steadySpin, type SpinOutcome, type Turning } from './hydro/spin';
import { wakeDeficit } from './hydro/wake';
import { waterDensity, type Water } from './hydro/water';
import { layOut } from './lure/layout';
import type { Build, ItemId } from './lure/lure';
import { spinSeats, type SpinSeat } from './lure/spin-seats';

/** A value with the band it is believed to lie in. Low and high are never outside-in: low ≤ value ≤ high. */
export interface Banded {
  readonly value: number;
  readonly low: number;
  readonly high: number;
}

export interface TurningPrediction {
  readonly outcome: 'turning';
  readonly rateHz: Banded;
  readonly spreadRad: Banded;
  readonly dragN: Banded;
  readonly tipRadiusM: number;
  readonly tipSpeedRatio: number;
  /** Speed of the water this blade meets, m/s: less than the lure's in another blade's wake. */
  readonly localSpeedMps: number;
}

export type BladePrediction = TurningPrediction | Exclude<SpinOutcome, Turning>;

export interface BladePredictions {
  /** The blade's item: its station on this lure. */
  readonly station: ItemId;
  /** One per asked speed, in order. */
  readonly at: readonly BladePrediction[];
}

export interface Prediction {
  readonly speedsMps: readonly number[];
  /** The blades that turn on the wire, nose first; empty when there is none. */
  readonly blades: readonly BladePredictions[];
}

const COEFFICIENT_KEYS = ['setAngleRad', 'flapFactor', 'edgeDrag'] as const;

/**
 * Predicts every turning blade of a build.
 * @param speedsMps speeds through the water, m/s; those the model does not cover come back as a named outcome
 */
export function predict(build: Build, water: Water, speedsMps: readonly number[]): Prediction {
  const density = waterDensity(water);
  const seats = spinSeats(build, layOut(build));
  const blades: BladePredictions[] = [];
  const ahead: { seat: SpinSeat; outcomes: readonly SpinOutcome[] }[] = [];
  for (const seat of seats) {
    const localSpeeds = speedsMps.map((speed, i) => speed * passedBy(ahead, seat, i));
    const blade = spinBlade(seat.blade, density);
    const solve = (reference: ReferenceCoefficients) => {
      const coefficients = bladeCoefficients(seat.blade, reference);
      return steadySpin({ ...blade, coefficients }, seat.bearing, density, localSpeeds);
    };
    const nominal = referenceCoefficients(seat.blade.pattern);
    const outcomes = solve(nominal);
    const disturbed = COEFFICIENT_KEYS.map((key) => ({
      up: solve({ ...nominal, [key]: nominal[key] * (1 + COEFFICIENT_SPREAD) }),
      down: solve({ ...nominal, [key]: nominal[key] * (1 - COEFFICIENT_SPREAD) }),
    }));
    const at = outcomes.map((outcome, i): BladePrediction => {
      if (outcome.outcome !== 'turning') return outcome;
      const pairs = disturbed.map(({ up, down }) => [up[i], down[i]] as const);
      const band = (pick: (turning: Turning) => number) =>
        banded(
          pick(outcome),
          pairs.map((pair) => pair.map((each) => valueOf(each, pick))),
        );
      return {
        outcome: 'turning',
        rateHz: band((turning) => turning.rateHz),
        spreadRad: band((turning) => turning.spreadRad),
        dragN: band((turning) => turning.dragN),
        tipRadiusM: outcome.tipRadiusM,
        tipSpeedRatio: outcome.tipSpeedRatio,
        localSpeedMps: localSpeeds[i] ?? 0,
      };
    });
    blades.push({ station: seat.item.id, at });
    ahead.push({ seat, outcomes });
  }
  return { speedsMps, blades };
}

/** Share of the lure's speed that the blades ahead leave at this seat. */
function passedBy(
  ahead: readonly { seat: SpinSeat; outcomes: readonly SpinOutcome[] }[],
  seat: SpinSeat,
  index: number,
): number {
  return ahead.reduce((share, { seat: front, outcomes }) => {
    const outcome = outcomes[index];
    if (outcome?.outcome !== 'turning') return share;
    const rearRadiusM = seat.dropM + 0.65 * (seat.blade.lengthM - seat.blade.holeOffsetM);
    return share * (1 - wakeDeficit(outcome, seat.holeM - front.holeM, rearRadiusM));
  }, 1);
}

/** A disturbed blade that stops turning counts as zero: the band then reaches down to a standstill. */
function valueOf(outcome: SpinOutcome | undefined, pick: (turning: Turning) => number): number {
  return outcome?.outcome === 'turning' ? pick(outcome) : 0;
}

/** Changes are taken as logarithms of ratios: the outputs are products of powers, and a drag never falls below zero. */
function banded(value: number, disturbed: readonly (readonly number[])[]): Banded {
  const ratios = disturbed.map((pair) => pair.map((each) => Math.log(Math.max(each, 0) / value)));
  const up = Math.hypot(...ratios.map((pair) => Math.max(0, ...pair)));
  const down = Math.hypot(...ratios.map((pair) => Math.max(0, ...pair.map((ratio) => -ratio))));
  return { value, low: value * Math.exp(-down), high: value * Math.exp(up) };
}
