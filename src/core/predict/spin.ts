/**
 * How the blades of a lure turn at each speed, each in the wake of those ahead of it, with the spread that their own
 * coefficients give (band.ts): what the drawing needs. The whole of what a lure does is predict.ts.
 *
 * A blade has one answer at each speed. Faster than the band of the slowest speed that keeps it turning (keeping.ts) it is
 * turning; within it, it may stop, with a chance; slower it has stopped and hangs.
 */
import { USUAL_OUTFIT } from '../hydro/outfit';
import type { MeanOutcome, Spinning } from '../hydro/round-the-turn';
import { FOR_BAND } from '../hydro/spin';
import type { Water } from '../hydro/water';
import type { BladeState } from '../in-water/bearing';
import { layOut, type Layout } from '../geometry/layout';
import type { Build, ItemId } from '../lure/lure';
import type { Spinner } from '../in-water/spinners';
import { stackedPairs } from '../geometry/stacking';
import { said, spreadOf, type Banded, type Moved, type Said } from './band';
import { beliefFor, BLADE_KEYS, coefficientsAt, movedBy, type Belief } from './factors';
import { axleCosines } from './inclined';
import { chanceOfTurning, keepsSaid, type KeepsSaid } from './keeping';
import { lureInWater, type LureInWater } from './lure-in-water';
import { turnAll, type BladeOutcome, type Stopped, type Turned } from './turned';

/** What a blade does when it turns, and how likely it does. */
export interface TurningPrediction {
  /** `mayStop` within the band of the slowest speed that keeps it turning: what is said is then of a blade that turns. */
  readonly outcome: 'turning' | 'mayStop';
  /** That it turns, 0…1; 1 above the band. */
  readonly chance: number;
  readonly rateHz: Said;
  readonly spreadRad: Said;
  readonly dragN: Said;
  readonly tipRadiusM: number;
  readonly tipSpeedRatio: number;
  /** Speed of the water along its axle, m/s: less than the lure's in another blade's wake, and where the axle slopes. */
  readonly localSpeedMps: number;
}

export type BladePrediction = TurningPrediction | Stopped | Exclude<MeanOutcome, Spinning>;

export interface BladePredictions {
  /** The blade's item: its station on this lure. */
  readonly station: ItemId;
  /** The slowest water along a level axle that keeps it turning; null when none does, or its measures are outside the model. */
  readonly keeps: KeepsSaid | null;
  /** One per asked speed, in order. */
  readonly at: readonly BladePrediction[];
}

/** How often two blades on one wire come round together: |n₁ − n₂|. */
export interface Beat {
  readonly stations: readonly [ItemId, ItemId];
  /** Per speed, Hz; null while either stands still. */
  readonly at: readonly (Banded | null)[];
}

export interface SpinPrediction {
  readonly speedsMps: readonly number[];
  /** What turns on the wire, nose first; empty when there is nothing. */
  readonly blades: readonly BladePredictions[];
  /** Neighbours that turn by themselves; two on stacked clevises push each other round and have no beat. */
  readonly beats: readonly Beat[];
}

/** All blades as believed, and with each factor of a blade moved a half width up and down. */
export interface Spins {
  readonly belief: Belief;
  readonly believed: readonly Turned[];
  /** In the order of the belief's factors; the shared ones move no blade. */
  readonly moved: readonly { readonly up: readonly Turned[]; readonly down: readonly Turned[] }[];
  /** Of each blade, in the speed of the water it meets. */
  readonly keeps: readonly (KeepsSaid | null)[];
}

/**
 * Predicts every turning blade of a build.
 * @param speedsMps speeds through the water, m/s; those the model does not cover come back as a named outcome
 * @param state what has happened to the blades: clean, weed on the clevis, a clevis swung across its wire, a gap lost
 * @param learnt what readings have taught; null before any
 */
export function predictSpin(
  build: Build,
  water: Water,
  speedsMps: readonly number[],
  state: BladeState = 'clean',
  layout: Layout = layOut(build),
  learnt: Belief | null = null,
): SpinPrediction {
  const known = LAST.get(build);
  const inWater =
    known?.water === water && known.state === state
      ? known.inWater
      : lureInWater(build, water, USUAL_OUTFIT, state, layout);
  LAST.set(build, { water, state, inWater });
  return bladesSaid(build, layout, speedsMps, spinsOf(inWater, speedsMps, learnt));
}

/** A build as it was last asked about: while a retrieve is drawn faster and slower it stays as it is. */
const LAST = new WeakMap<Build, { readonly water: Water; readonly state: BladeState; readonly inWater: LureInWater }>();

/** Where each blade stops before any reading: that does not hang on the speed either. */
const KEEPS = new WeakMap<Spinner, KeepsSaid | null>();

function keepsOf(spinner: Spinner, density: number, belief: Belief, isLearnt: boolean): KeepsSaid | null {
  const known = isLearnt ? undefined : KEEPS.get(spinner);
  if (known !== undefined) return known;
  const keeps = keepsSaid(spinner, density, belief);
  if (!isLearnt) KEEPS.set(spinner, keeps);
  return keeps;
}

/** All blades at all speeds, as believed and with each of their factors moved. @param speedsMps m/s; @param learnt null before any reading */
export function spinsOf(inWater: LureInWater, speedsMps: readonly number[], learnt: Belief | null): Spins {
  const { spinners: all, rho: density } = inWater;
  const belief = beliefFor(
    all.map(({ station }) => station),
    learnt,
  );
  const coefficients = (at: readonly number[]) =>
    all.map(({ nominal, station }) => coefficientsAt(nominal, station, belief.factors, at));
  const keeps = all.map((spinner) => keepsOf(spinner, density, belief, learnt !== null));
  const axleCos = axleCosines(inWater, speedsMps);
  const believed = turnAll(all, density, speedsMps, { coefficients: coefficients(belief.middle), axleCos });
  const moved = all.flatMap((_, blade) =>
    BLADE_KEYS.map((__, key) => {
      const turn = (by: number) => {
        const at = movedBy(belief.middle, blade * BLADE_KEYS.length + key, by);
        // Those ahead of it do not feel it. Whether one stops is told with its chance, and is not in the band of what turns.
        const ahead = believed.slice(0, blade);
        return turnAll(all, density, speedsMps, {
          coefficients: coefficients(at),
          precision: FOR_BAND,
          ahead,
          axleCos,
          doesTurn: (i, speed) => believed[i]?.outcomes[speed]?.outcome !== 'stopped',
        });
      };
      return { up: turn(1), down: turn(-1) };
    }),
  );
  return { belief, believed, moved, keeps };
}

/** What each blade does at these speeds with the coefficients as they stand and no spread: for weighing many parts. */
export function nominalSpin(
  build: Build,
  water: Water,
  speedsMps: readonly number[],
  layout: Layout = layOut(build),
): { readonly station: ItemId; readonly outcomes: readonly BladeOutcome[] }[] {
  const inWater = lureInWater(build, water, USUAL_OUTFIT, 'clean', layout);
  const axleCos = axleCosines(inWater, speedsMps);
  return turnAll(inWater.spinners, inWater.rho, speedsMps, { axleCos }).map(({ spinner, outcomes }) => ({
    station: spinner.station,
    outcomes,
  }));
}

/** What the blades are said to do at these speeds, the first of those that were spun. */
export function bladesSaid(build: Build, layout: Layout, speedsMps: readonly number[], spins: Spins): SpinPrediction {
  const blades = spins.believed.map(({ spinner, ifTurning, localSpeedsMps, axleCos }, blade): BladePredictions => {
    const keeps = spins.keeps[blade] ?? null;
    return {
      station: spinner.station,
      keeps,
      at: ifTurning.slice(0, speedsMps.length).map((outcome, i): BladePrediction => {
        if (outcome.outcome !== 'turning') return outcome;
        const localSpeedMps = localSpeedsMps[i] ?? 0;
        const stallMps = againstStall(localSpeedMps, axleCos[i]);
        if (!keeps || stallMps < keeps.mps.low) return { outcome: 'stopped', localSpeedMps };
        const isSure = stallMps >= keeps.mps.high;
        return {
          outcome: isSure ? 'turning' : 'mayStop',
          chance: isSure ? 1 : chanceOfTurning(stallMps, keeps.mps),
          rateHz: bladeSaid(spins, blade, i, ({ rateHz }) => rateHz),
          spreadRad: bladeSaid(spins, blade, i, ({ spreadRad }) => spreadRad),
          dragN: bladeSaid(spins, blade, i, ({ dragN }) => dragN),
          tipRadiusM: outcome.tipRadiusM,
          tipSpeedRatio: outcome.tipSpeedRatio,
          localSpeedMps,
        };
      }),
    };
  });
  return { speedsMps, blades, beats: beatsOf(build, blades, layout) };
}

/**
 * The speed along a level axle that keeps a blade turning as well as this one along its sloping axle: what keeps it goes with
 * the square of the speed over the weight across the axle.
 */
export function againstStall(alongMps: number, axleCos = 1): number {
  return alongMps / Math.sqrt(axleCos);
}

/** Whether a blade turns, for all that is known. */
export function doesTurn(prediction: BladePrediction | undefined): prediction is TurningPrediction {
  return prediction !== undefined && (prediction.outcome === 'turning' || prediction.outcome === 'mayStop');
}

/** Something of a turning blade with its band; a blade that stops when a factor is moved counts as zero. */
function bladeSaid(spins: Spins, blade: number, at: number, pick: (turning: Spinning) => number): Said {
  const of = (turned: readonly Turned[]) => {
    const outcome = turned[blade]?.ifTurning[at];
    return outcome?.outcome === 'turning' ? pick(outcome) : 0;
  };
  const moved = spins.moved.map(({ up, down }): Moved => ({ up: of(up), down: of(down) }));
  return said(spreadOf(of(spins.believed), 'share', moved, spins.belief), spins.belief.factors);
}

function beatsOf(build: Build, blades: readonly BladePredictions[], layout: Layout): Beat[] {
  const stacked = blades.length > 1 ? stackedPairs(layout) : [];
  return blades.slice(1).flatMap((rear, i): Beat[] => {
    const front = blades[i];
    if (!front || isStacked(build, stacked, front.station, rear.station)) return [];
    return [
      {
        stations: [front.station, rear.station],
        at: rear.at.map((b, index) => {
          const a = front.at[index];
          return doesTurn(a) && doesTurn(b) ? apart(a.rateHz, b.rateHz) : null;
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
