/**
 * One door: what a lure does in a water at each speed, with the spread that the coefficients' own uncertainty gives.
 *
 * Spread: ψ, k_c and C_A of each pattern are trade estimates, each known to ±20 % until measured. Each is moved up and
 * down alone and the answer solved afresh; on each side the three ratios add as the root of their squares. A test holds
 * this against random draws of all three together.
 */
import { COEFFICIENT_SPREAD, type ReferenceCoefficients } from './hydro/spin-blade';
import { FOR_ANSWER, FOR_BAND, steadySpin, type SpinOutcome, type Turning } from './hydro/spin';
import { stallSpeed, type Stall } from './hydro/stall';
import { wakeDeficit } from './hydro/wake';
import { waterDensity, type Water } from './hydro/water';
import type { BladeState } from './lure/bearing';
import { layOut, type Layout } from './lure/layout';
import type { Build, ItemId } from './lure/lure';
import { stackedPairs } from './lure/stacking';
import { spinners, type Spinner } from './lure/spin-seats';

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

/** How often two blades on one wire come round together: |n₁ − n₂|. */
export interface Beat {
  readonly stations: readonly [ItemId, ItemId];
  /** Per speed, Hz; null while either stands still. */
  readonly at: readonly (Banded | null)[];
}

export interface Prediction {
  readonly speedsMps: readonly number[];
  /** What turns on the wire, nose first; empty when there is nothing. */
  readonly blades: readonly BladePredictions[];
  /** Neighbours that turn by themselves; two on stacked clevises push each other round and have no beat. */
  readonly beats: readonly Beat[];
}

const COEFFICIENT_KEYS = ['setAngleRad', 'flapFactor', 'edgeDrag'] as const;

/**
 * Predicts every turning blade of a build.
 * @param speedsMps speeds through the water, m/s; those the model does not cover come back as a named outcome
 * @param state what has happened to the blades: clean, weed on the clevis, a clevis swung across its wire
 */
export function predict(
  build: Build,
  water: Water,
  speedsMps: readonly number[],
  state: BladeState = 'clean',
): Prediction {
  const density = waterDensity(water);
  const blades: BladePredictions[] = [];
  const ahead: Ahead[] = [];
  for (const spinner of spinners(build, density, state)) {
    const localSpeeds = speedsMps.map((speed, i) => speed * passedBy(ahead, spinner, i));
    const solve = (coefficients: ReferenceCoefficients, precision = FOR_BAND) =>
      steadySpin(spinner.blade(coefficients), spinner.bearing, density, localSpeeds, precision);
    const { nominal } = spinner;
    const outcomes = solve(nominal, FOR_ANSWER);
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
    blades.push({ station: spinner.station, at });
    ahead.push({ spinner, outcomes });
  }
  return { speedsMps, blades, beats: beatsOf(build, blades) };
}

/** What each blade does at these speeds with the coefficients as they stand and no spread: for weighing many parts. */
export function predictNominal(
  build: Build,
  water: Water,
  speedsMps: readonly number[],
  layout: Layout = layOut(build),
) {
  const density = waterDensity(water);
  return turnAll(spinners(build, density, 'clean', layout), density, speedsMps).map(({ spinner, outcomes }) => ({
    station: spinner.station,
    outcomes,
  }));
}

export interface StallPrediction {
  readonly station: ItemId;
  /** In speeds of the lure: behind another blade a blade needs more. */
  readonly stall: Stall;
}

/** Rounds in which the speed of the lure at which a rear blade stalls is found. */
const WAKE_ROUNDS = 6;

/** The slowest speed at which each blade keeps turning, as a band, nose first. The axle is level. */
export function stallSpeeds(build: Build, water: Water, state: BladeState = 'clean'): StallPrediction[] {
  const density = waterDensity(water);
  const all = spinners(build, density, state);
  return all.map((spinner, index) => {
    const setting = { waterDensityKgM3: density, slopeRad: 0 };
    const stall = stallSpeed(spinner.blade(spinner.nominal), spinner.bearing, setting);
    if (stall.outcome !== 'stalls' || index === 0) return { station: spinner.station, stall };
    const lureSpeed = (localMps: number) => {
      let speed = localMps;
      for (let round = 0; round < WAKE_ROUNDS; round++) {
        const ahead = turnAll(all.slice(0, index), density, [speed]);
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

interface Ahead {
  readonly spinner: Spinner;
  readonly outcomes: readonly SpinOutcome[];
}

/** Each in the wake of those ahead of it, nose first, with the coefficients as they stand. */
function turnAll(all: readonly Spinner[], density: number, speedsMps: readonly number[]): Ahead[] {
  const ahead: Ahead[] = [];
  for (const spinner of all) {
    const local = speedsMps.map((speed, i) => speed * passedBy(ahead, spinner, i));
    ahead.push({ spinner, outcomes: steadySpin(spinner.blade(spinner.nominal), spinner.bearing, density, local) });
  }
  return ahead;
}

/** Share of the lure's speed that the blades ahead leave at this place. */
function passedBy(ahead: readonly Ahead[], { placeM, meetsWakeAtM }: Spinner, index: number): number {
  return ahead.reduce((share, { spinner: front, outcomes }) => {
    const outcome = outcomes[index];
    if (outcome?.outcome !== 'turning') return share;
    return share * (1 - wakeDeficit(outcome, placeM - front.placeM, meetsWakeAtM));
  }, 1);
}

function beatsOf(build: Build, blades: readonly BladePredictions[]): Beat[] {
  const stacked = blades.length > 1 ? stackedPairs(layOut(build)) : [];
  return blades.slice(1).flatMap((rear, i): Beat[] => {
    const front = blades[i];
    if (!front || isStacked(build, stacked, front.station, rear.station)) return [];
    return [
      {
        stations: [front.station, rear.station],
        at: rear.at.map((b, index) => {
          const a = front.at[index];
          return a?.outcome === 'turning' && b.outcome === 'turning' ? apart(a.rateHz, b.rateHz) : null;
        }),
      },
    ];
  });
}

function isStacked(build: Build, stacked: ReturnType<typeof stackedPairs>, a: ItemId, b: ItemId): boolean {
  const holder = (id: ItemId) => {
    const seat = build.items[id]?.seat;
    return seat?.on === 'item' ? seat.item : null;
  };
  return stacked.some(({ fore, aft }) => fore === holder(a) && aft === holder(b));
}

/** The difference of two rates. Their errors are taken to be free of each other, which is the wider reading. */
function apart(a: Banded, b: Banded): Banded {
  const overlap = a.low <= b.high && b.low <= a.high;
  return {
    value: Math.abs(a.value - b.value),
    low: overlap ? 0 : Math.max(a.low - b.high, b.low - a.high),
    high: Math.max(a.high - b.low, b.high - a.low),
  };
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
