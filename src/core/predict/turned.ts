/** What each blade of a lure does at each speed, each in the wake of those ahead of it. */
import type { ReferenceCoefficients } from '../hydro/spin-blade';
import { meanSolver, type MeanOutcome } from '../hydro/round-the-turn';
import { FOR_ANSWER } from '../hydro/spin';
import { wakeDeficit } from '../hydro/wake';
import type { Spinner } from '../in-water/spinners';
import { isLikelyKept } from './keeping';

/** Too slow: it hangs, and does not turn. */
export interface Stopped {
  readonly outcome: 'stopped';
  /** Of the water it meets, m/s. */
  readonly localSpeedMps: number;
}

/** What a blade does: it turns, or something else has a name. */
export type BladeOutcome = MeanOutcome | Stopped;

/** One blade and what it does at each speed. */
export interface Turned {
  readonly spinner: Spinner;
  /** Of the water along its axle. */
  readonly localSpeedsMps: readonly number[];
  /** Cosine of the angle between its axle and the stream. */
  readonly axleCos: readonly number[];
  /** What it does as long as it turns, even where it is not likely to. */
  readonly ifTurning: readonly MeanOutcome[];
  /** What it most likely does. */
  readonly outcomes: readonly BladeOutcome[];
}

/** Of each blade at each speed. */
export type AxleCosines = readonly (readonly number[])[];

export interface TurnedHow {
  readonly coefficients?: readonly ReferenceCoefficients[];
  readonly precision?: number;
  /** Those that are known already. */
  readonly ahead?: readonly Turned[];
  /** Cosine of the angle between the axle of this blade and the stream at this of the speeds; 1 unless told. */
  readonly axleCos?: AxleCosines;
  /** Whether this blade turns at this of the speeds; what is most likely, unless told. */
  readonly doesTurn?: (blade: number, speed: number) => boolean;
}

/** Each in the wake of those ahead of it, nose first. */
export function turnAll(
  all: readonly Spinner[],
  density: number,
  speedsMps: readonly number[],
  {
    coefficients = all.map(({ nominal }) => nominal),
    precision = FOR_ANSWER,
    ahead = [],
    axleCos,
    doesTurn,
  }: TurnedHow = {},
): Turned[] {
  const turned = [...ahead];
  for (const [i, spinner] of all.entries()) {
    if (i < ahead.length) continue;
    const cosines = speedsMps.map((_, at) => axleCos?.[i]?.[at] ?? 1);
    const localSpeedsMps = speedsMps.map((speed, at) => speed * passedBy(turned, spinner, at) * (cosines[at] ?? 1));
    const blade = spinner.blade(coefficients[i] ?? spinner.nominal);
    const meanAt = meanSolver(blade, spinner.bearing, density, precision);
    const ifTurning = localSpeedsMps.map((speed, at) => meanAt(speed, cosines[at]));
    const outcomes = ifTurning.map((outcome, at): BladeOutcome => {
      if (outcome.outcome !== 'turning') return outcome;
      const isTurning = doesTurn ? doesTurn(i, at) : isLikelyKept(outcome.keeping);
      return isTurning ? outcome : { outcome: 'stopped', localSpeedMps: localSpeedsMps[at] ?? 0 };
    });
    turned.push({ spinner, localSpeedsMps, axleCos: cosines, ifTurning, outcomes });
  }
  return turned;
}

/**
 * Share of the lure's speed that the blades ahead leave at this place. A wake follows what it was made on and all that
 * hangs on that; a blade on something else it meets where that lies in the stream, if it does.
 */
export function passedBy(ahead: readonly Turned[], rear: Spinner, index: number): number {
  return ahead.reduce((share, { spinner: front, outcomes }) => {
    const outcome = outcomes[index];
    if (outcome?.outcome !== 'turning') return share;
    if (rear.carrier === front.carrier || rear.behind.includes(front.carrier)) {
      return share * (1 - wakeDeficit(outcome, rear.placeM - front.placeM, rear.meetsWakeAtM));
    }
    const behindM = rear.at.xM - front.at.xM;
    if (behindM < 0) return share;
    return share * (1 - wakeDeficit(outcome, behindM, rear.meetsWakeAtM, Math.abs(rear.at.yM - front.at.yM)));
  }, 1);
}

/** What every blade does at one of the speeds. */
export function outcomesAt(turned: readonly Turned[], index: number): (BladeOutcome | undefined)[] {
  return turned.map(({ outcomes }) => outcomes[index]);
}
