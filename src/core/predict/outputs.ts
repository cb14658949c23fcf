/** What is said of a lure: at each speed, and once; and how each is read from a ride worked out. */
import { naturalHz } from '../hydro/arm-shake';
import { wobbleStarts } from '../hydro/wobble';
import { meanSpin } from '../hydro/round-the-turn';
import { GOOD_CLEVIS_BEARING } from '../hydro/blade-loads';
import { REFERENCE_SPEED_MPS, REFERENCE_WATER_DENSITY_KGM3, referenceBlade, spinBlade } from '../hydro/spin-blade';
import { depthOf } from '../hydro/towed-line';
import { aimOff } from '../hydro/tracking';
import type { Scale } from './band';
import type { Crossings } from './crossings';
import type { Belief } from './factors';
import type { LureInWater } from './lure-in-water';
import type { Ride } from './ride';
import type { ScaledLure } from './scaled-lure';
import type { Turned } from './turned';

/** What is said at each speed. */
export const RIDE_OUTPUTS = [
  'thumpNs',
  'pulseN',
  'shakeM',
  'dragN',
  'lineSlopeRad',
  'depthM',
  'pitchRad',
  'leanRad',
  'yawRad',
  'sidePullRad',
  'aimOffM',
  'twistTurns',
  'twistBehindSwivelTurns',
  'wobbleHz',
  'wobbleRad',
] as const;
export type RideOutput = (typeof RIDE_OUTPUTS)[number];
/** What is said once. */
export const LURE_OUTPUTS = [
  'massKg',
  'sinkingN',
  'sinkMps',
  'armHz',
  'surfaceMps',
  'planingMps',
  'wobbleStartMps',
] as const;
export type LureOutput = (typeof LURE_OUTPUTS)[number];

/** Thump of a Colorado of reference size, which many makers call 3, on a good clevis at 0.8 m/s: what others are told beside. */
export function referenceThumpNs(): number {
  return (reference ??= workOutReference());
}

let reference: number | undefined;

function workOutReference(): number {
  const [spun] = meanSpin(
    spinBlade(referenceBlade('colorado'), REFERENCE_WATER_DENSITY_KGM3),
    GOOD_CLEVIS_BEARING,
    REFERENCE_WATER_DENSITY_KGM3,
    [REFERENCE_SPEED_MPS],
  );
  if (spun?.outcome !== 'turning') throw new Error('referenceThumpNs: the reference Colorado turns at its own speed');
  return spun.dragN / spun.rateHz;
}

/** How the line lies: sunk, with the lure at the surface, pulled up by it, or with a buzzbait planing. */
export type LineOutcome = 'sinks' | 'surfaces' | 'rises' | 'planes';

export interface OutputForm {
  readonly scale: Scale;
  readonly floor?: number;
  /** What is worked out is the most it can be, so that no band says nine in ten of it: from nothing to that. */
  readonly isBound?: boolean;
}
const SHARE: OutputForm = { scale: 'share' };
const STEP: OutputForm = { scale: 'step' };
const FROM_NOTHING: OutputForm = { scale: 'step', floor: 0 };
const AT_MOST: OutputForm = { scale: 'step', floor: 0, isBound: true };
export const RIDE_FORMS: Readonly<Record<RideOutput, OutputForm>> = {
  thumpNs: SHARE,
  pulseN: SHARE,
  shakeM: SHARE,
  dragN: SHARE,
  lineSlopeRad: STEP,
  depthM: FROM_NOTHING,
  pitchRad: STEP,
  leanRad: STEP,
  yawRad: STEP,
  sidePullRad: STEP,
  aimOffM: STEP,
  twistTurns: AT_MOST,
  twistBehindSwivelTurns: AT_MOST,
  wobbleHz: SHARE,
  wobbleRad: FROM_NOTHING,
};
export const LURE_FORMS: Readonly<Record<LureOutput, OutputForm>> = {
  massKg: SHARE,
  sinkingN: STEP,
  sinkMps: SHARE,
  armHz: SHARE,
  surfaceMps: SHARE,
  planingMps: SHARE,
  wobbleStartMps: SHARE,
};

/** Everything of one state of belief: its shared coefficients, and what the blades do under it. */
export interface BeliefCase {
  readonly scaled: ScaledLure;
  readonly turned: readonly Turned[];
  readonly crossings: Crossings;
}

/** All of a lure with one factor a half width up and down. */
export interface Pair {
  readonly up: BeliefCase;
  readonly down: BeliefCase;
}

/** What a prediction is worked out from: the lure, what is believed of it, and that with each factor moved. */
export interface PredictionBasis {
  readonly inWater: LureInWater;
  readonly belief: Belief;
  readonly believed: BeliefCase;
  /** In the order of the belief's factors. */
  readonly pairs: readonly Pair[];
}

/** What is said once of a lure, SI; null where it cannot be said. */
export function lureOutput({ scaled, crossings }: BeliefCase, rho: number, key: LureOutput): number | null {
  switch (key) {
    case 'massKg':
      return scaled.massKg;
    case 'sinkingN':
      return scaled.sums.weightN.all;
    case 'armHz':
      return scaled.arm && naturalHz(scaled.arm);
    case 'wobbleStartMps':
      return scaled.wobbling && wobbleStarts(scaled.wobbling, rho);
    default:
      return crossings[key];
  }
}

/**
 * @param isShaken whether what carries the blades can be worked out at all
 * @param lineOutM how far off it is when it is aimed
 */
export function outputsOf(
  ride: Ride,
  one: BeliefCase,
  isShaken: boolean,
  lineOutM: number,
): Readonly<Record<RideOutput, number | null>> {
  const { trim, lines, shakes, lean } = ride;
  const [line] = lines;
  return {
    thumpNs: ride.thumpNs,
    pulseN: isShaken ? Math.hypot(...shakes.map(({ pulseN }) => pulseN)) : null,
    shakeM: isShaken ? Math.hypot(...shakes.map(({ amplitudeM }) => amplitudeM)) : null,
    dragN: trim.dragN,
    lineSlopeRad: ride.lineSlopeRad,
    depthM: lineOutcome(ride, one) === 'planes' ? 0 : depthOf(line),
    pitchRad: trim.pitchRad,
    // Turned over, it lies as far round as a lean can be told.
    leanRad: lean.outcome === 'leans' ? lean.leanRad : lean.outcome === 'turnsOver' ? Math.PI / 2 : null,
    yawRad: ride.yawRad,
    sidePullRad: ride.sidePullRad,
    aimOffM: aimOff(ride.sidePullRad, lineOutM),
    twistTurns: ride.twistTurns,
    twistBehindSwivelTurns: ride.twistBehindSwivelTurns,
    // Nothing is said of one that does not swing.
    wobbleHz: ride.wobble && ride.wobble.rateHz,
    wobbleRad: ride.wobble && ride.wobble.swingRad,
  };
}

/** How the line lies at the speed of this ride. */
export function lineOutcome({ lines: [line], speedMps }: Ride, { crossings: { planingMps } }: BeliefCase): LineOutcome {
  if (planingMps !== null && speedMps >= planingMps) return 'planes';
  return line?.outcome ?? 'surfaces';
}
