/**
 * One door: what a lure does in a water at each speed and how sure that is. Outcomes are data; a lure or a speed outside a
 * model gets a named outcome with its quantity and limit.
 *
 * All outputs are worked out as believed, then with each factor (factors.ts) moved a half width up and down, and banded
 * (band.ts). Only a blade's own factors spin it anew; the shared ones take what the blades do as it stands.
 */
import { USUAL_OUTFIT, type Outfit } from '../hydro/outfit';
import { MAX_SPEED_MPS } from '../hydro/spin';
import { STEPS_FOR_BAND } from '../hydro/towed-line';
import { waterViscosity, type Water } from '../hydro/water';
import type { ArmOutcome } from '../in-water/arm';
import type { BladeState } from '../in-water/bearing';
import type { Build } from '../lure/lure';
import { said, spreadOf, type Banded, type Moved, type Said } from './band';
import { crossingsOf, GRID_MPS, type Crossings } from './crossings';
import { coefficientsAt, sharedAt, movedBy, type Belief, type Factor, type SharedKey } from './factors';
import {
  LURE_FORMS,
  LURE_OUTPUTS,
  RIDE_FORMS,
  RIDE_OUTPUTS,
  lineOutcome,
  lureOutput,
  outputsOf,
  type BeliefCase,
  type LineOutcome,
  type LureOutput,
  type Pair,
  type PredictionBasis,
  type RideOutput,
} from './outputs';
import { centresOf, type Centres } from './centres';
import { rideAt, type NearbyRide, type Ride } from './ride';
import { lureInWater, type LureInWater } from './lure-in-water';
import { rescaled, scaledTo, type ScaledLure } from './scaled-lure';
import { soundsSaid, type SoundAsked, type SoundPrediction } from './sound';
import { bladesSaid, spinsOf, type SpinPrediction, type Spins } from './spin';
import { troubleAt, type Trouble } from './trouble';
import { outcomesAt, turnAll, type BladeOutcome, type Turned } from './turned';

export interface Asked {
  readonly outfit?: Outfit;
  /** What has happened to the blades. */
  readonly state?: BladeState;
  /** What readings have taught; null before any. */
  readonly learnt?: Belief | null;
  /** What of its sound is asked; nothing is said of it where nothing is. */
  readonly sound?: SoundAsked | null;
}

export type RideSaid = Readonly<Record<RideOutput, Said | null>>;

export type RidePrediction =
  | {
      readonly outcome: 'rides';
      readonly line: LineOutcome;
      readonly lean: Ride['lean']['outcome'];
      readonly said: RideSaid;
      readonly centres: Centres;
    }
  | Trouble;

export interface Prediction {
  readonly speedsMps: readonly number[];
  readonly spin: SpinPrediction;
  /** One per asked speed, in order. */
  readonly rides: readonly RidePrediction[];
  /** One per asked speed where sound was asked for; else none. */
  readonly sounds: readonly SoundPrediction[];
  readonly lure: Readonly<Record<LureOutput, Said | null>>;
  /** The spring the blades shake, or why there is none. */
  readonly arm: ArmOutcome;
  readonly belief: Belief;
}

/** Factors that move no weight and no drag, towed or falling. */
const NO_DRAG: ReadonlySet<SharedKey> = new Set([
  'armStiffness',
  'carriedWater',
  'armDamping',
  'fling',
  'moment',
  'kick',
  'rub',
  'turnsWhich',
  'flapping',
  'sideways',
  'wobbleRate',
  'wobbleDrive',
]);

/** @param speedsMps through the water, m/s */
export function predict(build: Build, water: Water, speedsMps: readonly number[], asked: Asked = {}): Prediction {
  const inWater = lureInWater(build, water, asked.outfit ?? USUAL_OUTFIT, asked.state);
  // The speeds that crossings are looked for between stand behind those that were asked for.
  const spins = spinsOf(inWater, [...speedsMps, ...GRID_MPS], asked.learnt ?? null);
  const basis = workOut(inWater, spins, speedsMps.length);
  const spin = bladesSaid(build, inWater.layout, speedsMps, spins);
  return {
    speedsMps,
    spin,
    rides: speedsMps.map((speedMps, i) => {
      const open = spin.blades.flatMap(({ at }, blade) => (at[i]?.outcome === 'mayStop' ? [blade] : []));
      return rideSaid(basis, speedMps, i, open);
    }),
    sounds: asked.sound ? soundsSaid(basis, waterViscosity(water), speedsMps, asked.sound) : [],
    lure: lureSaid(basis),
    arm: inWater.arm,
    belief: spins.belief,
  };
}

function workOut(inWater: LureInWater, spins: Spins, gridFrom: number): PredictionBasis {
  const { belief } = spins;
  const caseOf = (scaled: ScaledLure, turned: BeliefCase['turned'], near: Crossings | null): BeliefCase => ({
    scaled,
    turned,
    crossings: crossingsOf(inWater, scaled, turned, gridFrom, near),
  });
  const believed = caseOf(scaledTo(inWater, sharedAt(belief.factors, belief.middle)), spins.believed, null);
  const movedTo = (factor: Factor, k: number, side: 'up' | 'down'): BeliefCase => {
    const { scaled, turned, crossings } = believed;
    if (factor.of === 'blade') return caseOf(scaled, spins.moved[k]?.[side] ?? turned, crossings);
    const shared = sharedAt(belief.factors, movedBy(belief.middle, k, side === 'up' ? 1 : -1));
    if (NO_DRAG.has(factor.key)) return { ...believed, scaled: rescaled(scaled, inWater, shared) };
    return caseOf(scaledTo(inWater, shared), turned, crossings);
  };
  const pairs = belief.factors.map((factor, k): Pair => ({
    up: movedTo(factor, k, 'up'),
    down: movedTo(factor, k, 'down'),
  }));
  return { inWater, belief, believed, pairs };
}

function lureSaid({ inWater: { rho }, believed, pairs, belief }: PredictionBasis): Prediction['lure'] {
  const entries = LURE_OUTPUTS.map((key) => {
    const value = lureOutput(believed, rho, key);
    if (value === null) return [key, null];
    const moved = (one: BeliefCase) => lureOutput(one, rho, key) ?? BEYOND[key];
    const changes = pairs.map(({ up, down }): Moved => ({ up: moved(up), down: moved(down) }));
    return [key, said(spreadOf(value, LURE_FORMS[key].scale, changes, belief), belief.factors)];
  });
  return Object.fromEntries(entries) as Prediction['lure'];
}

/** What all blades do when this one, which may stop, does what is less likely. */
function withOneTurned({ inWater, belief, believed }: PredictionBasis, speedMps: number, index: number, blade: number) {
  const { spinners, rho } = inWater;
  const coefficients = spinners.map(({ nominal, station }) =>
    coefficientsAt(nominal, station, belief.factors, belief.middle),
  );
  const isLikely = (i: number) => believed.turned[i]?.outcomes[index]?.outcome !== 'stopped';
  const doesTurn = (i: number) => isLikely(i) !== (i === blade);
  const axleCos = believed.turned.map((each) => [each.axleCos[index] ?? 1]);
  return outcomesAt(turnAll(spinners, rho, [speedMps], { coefficients, axleCos, doesTurn }), 0);
}

/** What the blades do under a case, one of them doing the less likely; the wake it then leaves is as it was. */
function flipped(turned: readonly Turned[], index: number, blade: number | null): (BladeOutcome | undefined)[] {
  return turned.map(({ outcomes, ifTurning, localSpeedsMps }, i) => {
    const likely = outcomes[index];
    if (i !== blade) return likely;
    if (likely?.outcome === 'stopped') return ifTurning[index];
    return { outcome: 'stopped', localSpeedMps: localSpeedsMps[index] ?? 0 };
  });
}

/** @param open blades that may stop at this speed: the bands reach over what each may do instead */
function rideSaid(basis: PredictionBasis, speedMps: number, index: number, open: readonly number[]): RidePrediction {
  const { inWater, believed } = basis;
  const outcomes = outcomesAt(believed.turned, index);
  const trouble = troubleAt(speedMps, outcomes);
  if (trouble) return trouble;
  const likely = bandsAt(basis, speedMps, index, outcomes, null);
  const others = open.map(
    (blade) => bandsAt(basis, speedMps, index, withOneTurned(basis, speedMps, index, blade), blade).said,
  );
  const entries = RIDE_OUTPUTS.map((key) => {
    const own = likely.said[key];
    if (!own) return [key, null];
    const none: Banded = { value: 0, low: 0, high: 0 };
    const all = [own, ...others.map((each) => each[key] ?? none)];
    const [low, high] = [Math.min(...all.map((each) => each.low)), Math.max(...all.map((each) => each.high))];
    return [key, RIDE_FORMS[key].isBound ? { ...own, value: high, low: 0, high } : { ...own, low, high }];
  });
  return {
    outcome: 'rides',
    line: lineOutcome(likely.now, believed),
    lean: likely.now.lean.outcome,
    said: Object.fromEntries(entries) as RideSaid,
    centres: centresOf(inWater, outcomes, speedMps),
  };
}

/** All outputs with their bands, the blades doing this. */
function bandsAt(
  { inWater, believed, pairs, belief }: PredictionBasis,
  speedMps: number,
  index: number,
  outcomes: readonly (BladeOutcome | undefined)[],
  blade: number | null,
): { readonly now: Ride; readonly said: RideSaid } {
  const { lineOutM } = inWater.outfit;
  const isShaken = inWater.arm.outcome !== 'outsideModel';
  const now = rideAt(inWater, believed.scaled, outcomes, speedMps, [lineOutM]);
  const values = outputsOf(now, believed, isShaken, lineOutM);
  // The coarse line of the bands is set against itself.
  const likely = blade === null ? outcomes : flipped(believed.turned, index, blade);
  const base = rideAt(inWater, believed.scaled, likely, speedMps, [lineOutM], null, STEPS_FOR_BAND);
  const coarse = outputsOf(base, believed, isShaken, lineOutM);
  const near: NearbyRide = { ride: base, scaled: believed.scaled, outcomes: likely };
  const coarsely = (one: BeliefCase) => {
    const turned = one.turned === believed.turned ? likely : flipped(one.turned, index, blade);
    return outputsOf(rideAt(inWater, one.scaled, turned, speedMps, [lineOutM], near), one, isShaken, lineOutM);
  };
  const moved = pairs.map(({ up, down }) => ({ up: coarsely(up), down: coarsely(down) }));
  const entries = RIDE_OUTPUTS.map((key) => {
    const [value, from] = [values[key], coarse[key]];
    if (value === null || from === null) return [key, null];
    const changes = moved.map(({ up, down }): Moved => ({
      up: value + (up[key] ?? from) - from,
      down: value + (down[key] ?? from) - from,
    }));
    const { scale, floor } = RIDE_FORMS[key];
    return [key, said(spreadOf(value, scale, changes, belief, floor), belief.factors)];
  });
  return { now, said: Object.fromEntries(entries) as RideSaid };
}

/** What a moved factor makes of an output that can then not be said: as fast as the model goes, or no fall at all. */
const BEYOND: Readonly<Record<LureOutput, number>> = {
  massKg: 0,
  sinkingN: 0,
  sinkMps: 0,
  armHz: 0,
  surfaceMps: MAX_SPEED_MPS,
  planingMps: MAX_SPEED_MPS,
  wobbleStartMps: MAX_SPEED_MPS,
};
