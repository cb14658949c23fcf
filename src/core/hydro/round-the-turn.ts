/**
 * What gravity does to a hung blade round each turn: it slows the mean, and below some speed it stops the blade.
 *
 * Of the steady state (spin.ts), which knows nothing of it, with ω its rate and β its spread:
 *     P = ω² I / W,   I = Σ (m + m_a sin²ψ) r²,   W = Σ w r,   f = friction/W,   M = Σ m s² / Σ (m + m_a) s²
 * P is how much the turning blade has of speed against what gravity takes from it on the way up, a Froude number; f is what
 * friction takes beside it; M is how much of what flaps is flung. The blade keeps turning down to
 *     ln P = c₀ + c₁ ln sin β + c₂ ln cos β + c₃ ln M + c₄ f
 * with one set of constants for a flap that is held and one for a free one. Above that, with y = P over its value for the
 * free flap, the means of rate, spread and drag are less than the steady ones by the share a (sin β)^b y^−c, each with its
 * own a, b, c.
 * All constants are fitted by `npm run calibrate` to the blade followed in time (in-time.ts): over the whole catalogue and
 * the reference blades in four sizes, on a good and a weedy bearing, the held speed is met within 6 %, the free within 11 %.
 * A clevis, its rub and the water round it hold a real blade's flap somewhere between free and held: the two are the ends of
 * what is believed, see predict/keeping.ts.
 *
 * A film or a delta blade is balanced: gravity does nothing round its turn. It keeps turning down to the slowest steady
 * state, and starts by itself where the water's torque at rest is more than it rubs with.
 */
import { lastPer } from '../once';
import type { BladeStrips } from '../parts/outline';
import { addedMass } from './added-mass';
import { findRoot } from '../root';
import { FOR_ANSWER, MAX_SPEED_MPS, restTorques, steadySolver, type SpinOutcome, type Turning } from './spin';
import { flungMoments, type Bearing, type SpinBlade, type ThreeMoments } from './blade-loads';
import calibrated from './spin-coefficients.json';

/** P of a turning blade over the least that keeps it turning, its flap held and free: 1 where it stops. */
export interface Keeping {
  readonly held: number;
  readonly free: number;
}

/** a, b, c of a share a (sin β)^b y^−c. */
export type SlowedBy = readonly [number, number, number];

/** c₀…c₄. */
export type StopsAt = readonly [number, number, number, number, number];

export interface RoundTheTurn {
  readonly held: StopsAt;
  readonly free: StopsAt;
  readonly rate: SlowedBy;
  readonly spread: SlowedBy;
  readonly drag: SlowedBy;
}

export const ROUND_THE_TURN = calibrated.roundTheTurn as unknown as RoundTheTurn;

export interface TurnNumbers {
  readonly logP: number;
  /** 1, ln sin β, ln cos β, ln M, f: what the constants of StopsAt stand before. */
  readonly row: readonly [1, number, number, number, number];
}

/** Σ m sⁿ dA, Σ m_a sⁿ dA for n = 0, 1, 2 and Σ sⁿ dA for n = 0, 1: all that turning and flapping have of a blade. */
interface Moments {
  readonly carried: ThreeMoments;
  readonly added: ThreeMoments;
  readonly area: readonly [number, number];
}

const momentsOf = lastPer((strips: BladeStrips, lengthM: number, sheetMassKgM2: number, rho: number): Moments => {
  const { armM, areaM2, count } = strips;
  const along = addedMass(strips, lengthM, rho);
  const added: [number, number, number] = [0, 0, 0];
  const area: [number, number] = [0, 0];
  for (let i = 0; i < count; i++) {
    const [s, dA] = [armM[i] as number, areaM2[i] as number];
    const ma = (along[i] as number) * dA;
    added[0] += ma;
    added[1] += ma * s;
    added[2] += ma * s * s;
    area[0] += dA;
    area[1] += dA * s;
  }
  return { carried: flungMoments(strips, sheetMassKgM2, rho), added, area };
});

/** What rules the two speeds of a turning blade; null of one that gravity does nothing to. */
export function turnNumbers(
  blade: SpinBlade,
  bearing: Bearing,
  waterDensityKgM3: number,
  steady: Turning,
): TurnNumbers | null {
  if (blade.fixedSpreadRad !== null || blade.lobes > 1 || blade.weightInWaterN <= 0) return null;
  const { carried, added, area } = momentsOf(blade.strips, blade.lengthM, blade.sheetMassKgM2, waterDensityKgM3);
  const across = Math.sin(blade.coefficients.setAngleRad) ** 2;
  const sinBeta = Math.sin(steady.spreadRad);
  const drop = bearing.dropM;
  const [c0, c1, c2] = [carried[0] + across * added[0], carried[1] + across * added[1], carried[2] + across * added[2]];
  const inertia = drop * (drop * c0 + 2 * sinBeta * c1) + sinBeta * sinBeta * c2;
  const weight = (blade.weightInWaterN / blade.planAreaM2) * (drop * area[0] + sinBeta * area[1]);
  const omega = 2 * Math.PI * steady.rateHz;
  return {
    logP: Math.log((omega ** 2 * inertia) / weight),
    row: [
      1,
      Math.log(sinBeta),
      Math.log(Math.cos(steady.spreadRad)),
      Math.log(carried[2] / (carried[2] + added[2])),
      steady.frictionTorqueNm / weight,
    ],
  };
}

function keepingOf(
  blade: SpinBlade,
  bearing: Bearing,
  waterDensityKgM3: number,
  steady: Turning,
  { held, free }: RoundTheTurn,
  axleCos: number,
): (Keeping & { readonly logSin: number }) | null {
  const numbers = turnNumbers(blade, bearing, waterDensityKgM3, steady);
  if (!numbers) return null;
  const logP = numbers.logP - Math.log(axleCos);
  const [one, logSin, logCos, logM, rub] = numbers.row;
  const row = [one, logSin, logCos, logM, rub / axleCos] as const;
  const [heldOver, freeOver] = [logP - stopsAt(held, row), logP - stopsAt(free, row)];
  // A flap that is held never costs more than a free one.
  return { held: Math.exp(Math.max(heldOver, freeOver)), free: Math.exp(freeOver), logSin: row[1] };
}

/** ln P at which a blade with these numbers stops. */
export function stopsAt(constants: StopsAt, row: TurnNumbers['row']): number {
  const [c0, c1, c2, c3, c4] = constants;
  return c0 * row[0] + c1 * row[1] + c2 * row[2] + c3 * row[3] + c4 * row[4];
}

/** What it turns at on the mean round the turn, and how far it is from stopping. */
export interface Spinning extends Turning {
  /** Null where gravity does nothing to it. */
  readonly keeping: Keeping | null;
}

export type MeanOutcome = Spinning | Exclude<SpinOutcome, Turning>;

/**
 * How a blade turns on the mean at each speed, if it turns.
 * @param speedsMps as for steadySpin
 */
export function meanSpin(
  blade: SpinBlade,
  bearing: Bearing,
  waterDensityKgM3: number,
  speedsMps: readonly number[],
  precision = FOR_ANSWER,
  constants: RoundTheTurn = ROUND_THE_TURN,
): MeanOutcome[] {
  const at = meanSolver(blade, bearing, waterDensityKgM3, precision, constants);
  return speedsMps.map((speedMps) => at(speedMps));
}

/** The same, a speed at a time, on an axle that slopes: of its weight only the part across the axle goes round with it. */
export function meanSolver(
  blade: SpinBlade,
  bearing: Bearing,
  waterDensityKgM3: number,
  precision = FOR_ANSWER,
  constants: RoundTheTurn = ROUND_THE_TURN,
): (speedMps: number, axleCos?: number) => MeanOutcome {
  const steadyAt = steadySolver(blade, bearing, waterDensityKgM3, precision);
  return (speedMps, axleCos = 1) => {
    const steady = steadyAt(speedMps);
    if (steady.outcome !== 'turning') return steady;
    return meanOf(steady, blade, bearing, waterDensityKgM3, speedMps, axleCos, constants);
  };
}

/** What a steady state comes to on the mean round the turn. */
export function meanOf(
  steady: Turning,
  blade: SpinBlade,
  bearing: Bearing,
  waterDensityKgM3: number,
  speedMps: number,
  axleCos: number,
  constants: RoundTheTurn = ROUND_THE_TURN,
): Spinning {
  const keeping = keepingOf(blade, bearing, waterDensityKgM3, steady, constants, axleCos);
  if (!keeping) return { ...steady, keeping: null };
  const { held, free, logSin } = keeping;
  const logFree = Math.log(Math.max(free, 1));
  const spreadRad = steady.spreadRad * leftOf(constants.spread, logSin, logFree);
  const tipRadiusM = bearing.dropM + blade.reachM * Math.sin(spreadRad);
  const rateHz = steady.rateHz * leftOf(constants.rate, logSin, logFree);
  const dragLeft = leftOf(constants.drag, logSin, logFree);
  return {
    outcome: 'turning',
    rateHz,
    spreadRad,
    tipSpeedRatio: (2 * Math.PI * rateHz * tipRadiusM) / speedMps,
    tipRadiusM,
    dragN: steady.dragN * dragLeft,
    dragAreaM2: steady.dragAreaM2 * dragLeft,
    dragMomentNm: steady.dragMomentNm * dragLeft * (tipRadiusM / steady.tipRadiusM),
    hingeRadialN: steady.hingeRadialN,
    frictionTorqueNm: steady.frictionTorqueNm,
    driveTorqueNm: steady.driveTorqueNm,
    evaluations: steady.evaluations,
    keeping: { held, free },
  };
}

/** What is left of rate, spread or drag. */
function leftOf(by: SlowedBy, logSin: number, logFree: number): number {
  return Math.max(LEAST_LEFT, 1 - by[0] * Math.exp(by[1] * logSin - by[2] * logFree));
}

/**
 * Share of its own weight in water that a turning blade carries: on the way down it turns faster and stands wider, so that
 * the water pushes it up more than down. From the blade followed in time: 0.43 to 0.72 over the patterns from 0.8 m/s up, most
 * above 0.6.
 */
export const CARRIES = 0.65;

/** Of a blade about to stop no less than this is left of rate, spread and drag. */
const LEAST_LEFT = 0.4;

/** The slowest water that keeps a blade turning. */
export type Kept =
  | {
      readonly outcome: 'keeps';
      /** With its flap held and free; the same for a balanced blade. */
      readonly heldMps: number;
      readonly freeMps: number;
      /** Where a balanced blade starts by itself; null of one that hangs, which wants a twitch. */
      readonly startsMps: number | null;
    }
  | { readonly outcome: 'doesNotTurn' }
  | { readonly outcome: 'outsideModel'; readonly quantity: 'planAreaM2' | 'sheetMassKgM2'; readonly value: number };

/** Precision of a speed on the scale of ratios: for an answer, and for a band. */
const TOLERANCE = 1e-5;
const TOLERANCE_FOR_BAND = 2e-3;
const SLOWEST_MPS = 0.01;

/** @param nearMps about where it is, of nearly this blade: then found sooner */
export function slowestKept(
  blade: SpinBlade,
  bearing: Bearing,
  waterDensityKgM3: number,
  nearMps: { readonly heldMps: number; readonly freeMps: number } | null = null,
  precision = FOR_ANSWER,
): Kept {
  for (const quantity of ['planAreaM2', 'sheetMassKgM2'] as const) {
    const value = blade[quantity];
    if (!(quantity === 'planAreaM2' ? value > 0 : value >= 0)) return { outcome: 'outsideModel', quantity, value };
  }
  const at = meanSolver(blade, bearing, waterDensityKgM3, precision);
  const tolerance = precision === FOR_ANSWER ? TOLERANCE : TOLERANCE_FOR_BAND;
  const margin = (key: keyof Keeping) => (logU: number) => {
    const outcome = at(Math.exp(logU));
    if (outcome.outcome !== 'turning') return -1;
    return outcome.keeping ? Math.max(-1, Math.log(outcome.keeping[key])) : 1;
  };
  const heldMps = crossing(margin('held'), nearMps?.heldMps ?? null, tolerance);
  const freeMps =
    heldMps === null
      ? null
      : Math.max(heldMps, crossing(margin('free'), nearMps?.freeMps ?? heldMps, tolerance) ?? MAX_SPEED_MPS);
  if (heldMps === null || freeMps === null) return { outcome: 'doesNotTurn' };
  const startsMps = blade.fixedSpreadRad === null ? null : startOf(blade, bearing, waterDensityKgM3, heldMps);
  return { outcome: 'keeps', heldMps, freeMps, startsMps };
}

/** Where a balanced blade starts from rest, never below the speed it keeps turning down to. */
function startOf(blade: SpinBlade, bearing: Bearing, rho: number, keptMps: number): number {
  const margin = (logU: number) => {
    const { driveNm, rubNm } = restTorques(blade, bearing, rho, Math.exp(logU));
    return driveNm / Math.max(rubNm, 1e-12) - 1;
  };
  return Math.max(keptMps, crossing(margin, keptMps, TOLERANCE) ?? MAX_SPEED_MPS);
}

/** The slowest speed from which on `margin` is above zero; null when it is at none. */
function crossing(margin: (logU: number) => number, nearMps: number | null, tolerance: number): number | null {
  const [least, most] = [Math.log(SLOWEST_MPS), Math.log(MAX_SPEED_MPS)];
  let high = Math.log(nearMps ?? 0.5);
  let fHigh = margin(high);
  let low = high;
  let fLow = fHigh;
  const step = nearMps === null ? 0.35 : 0.08;
  for (let by = step; fHigh <= 0; by *= 2) {
    if (high >= most) return null;
    [low, fLow] = [high, fHigh];
    high = Math.min(most, high + by);
    fHigh = margin(high);
  }
  for (let by = step; fLow > 0; by *= 2) {
    if (low <= least) return SLOWEST_MPS;
    [high, fHigh] = [low, fLow];
    low = Math.max(least, low - by);
    fLow = margin(low);
  }
  const root = findRoot(margin, low, high, tolerance, fLow, fHigh);
  return Math.exp(root.outcome === 'converged' ? root.x : high);
}
