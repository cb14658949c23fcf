/**
 * Steady spin of one blade on a clevis or swivel.
 *
 * Axes: the axle is x, nose to tail, water flowing along +x at U. The blade trails from its hole at the spread angle β
 * from the axle and turns at ω. A strip of area dA at distance s from the hole sits at radius
 *     r = r₀ + s·sin β                           (r₀ the drop of the clevis)
 *     v_t = ωr,   v_n = U·sin β,   q = ½ρ(v_t² + v_n²),   α = atan2(v_n, v_t) − ψ.
 * Normal and edge coefficients
 *     C_N = sin α / (1/a + (1/1.18 − 1/a)|sin α|),   a = 2πΛ/(2 + √(4 + Λ²)),   Λ = L²/A,    edge: C_A·cos α.
 * Torque      Q = Σ q r (C_N sin ψ − C_A cos α cos ψ) dA
 * Flow normal F = q (C_N cos ψ + C_A cos α sin ψ) dA, with radial part N = Σ F cos β and axial part D = Σ F sin β.
 * Flap        Σ (ρ_b t + ρz) ω² r s cos β dA = k_c Σ s F
 * Friction    Q = μ r_wire √((F_c − N)² + W′²) + μ_face r_face D + T,   F_c = Σ (ρ_b t + ρz) ω² r dA.
 *
 * Dividing by U², the flap balance holds κ = ω/U and β alone: one curve β(κ) serves every speed. What is left is one
 * equation in κ at each U. Of its roots the running one is the largest κ at which torque falls through friction.
 *
 * Not in it: gravity round the turn (see round-the-turn.ts, which every prediction goes through), wakes (wake.ts), the
 * start from rest. Source: the project's model note, docs/model.md; coefficients by `npm run calibrate`.
 */
import { BladeLoads, MAX_SPREAD_RAD, type Bearing, type Loads, type SpinBlade } from './blade-loads';
import { findRoot } from '../root';
import { scanOf, type ScanPoint, type TipRatioScan } from './spin-scan';

export interface Turning {
  readonly outcome: 'turning';
  readonly rateHz: number;
  readonly spreadRad: number;
  readonly tipSpeedRatio: number;
  readonly tipRadiusM: number;
  readonly dragN: number;
  readonly dragAreaM2: number;
  /** Moment of the axial force about the axle's crossing with it, ΣF sin β r: it goes round with the blade, N·m. */
  readonly dragMomentNm: number;
  /** Radial pull on the hinge F_c − N, N: two large terms that nearly cancel. */
  readonly hingeRadialN: number;
  readonly frictionTorqueNm: number;
  readonly driveTorqueNm: number;
  readonly evaluations: number;
}

export type SpinOutcome =
  | Turning
  | { readonly outcome: 'doesNotTurn'; readonly reason: 'noFlow' | 'frictionHoldsIt' }
  | {
      readonly outcome: 'outsideModel';
      readonly quantity: 'speedMps' | 'planAreaM2' | 'sheetMassKgM2' | 'spreadRad';
      readonly value: number;
      readonly limit: number;
    }
  | { readonly outcome: 'didNotConverge'; readonly residual: number }
  | { readonly outcome: 'notFinite'; readonly where: string };

/** Above this speed through the water blades leave it or fold; the trade's fastest retrieve is about 2 m/s. */
export const MAX_SPEED_MPS = 5;
/** Precision of the spread, rad, and of κ as a share of it: for an answer, and for a band that is wide anyway. */
export const FOR_ANSWER = 1e-9;
export const FOR_BAND = 3e-4;

/**
 * The steady turning state at each speed through the water.
 * @param speedsMps speeds U, m/s; 0 < U ≤ MAX_SPEED_MPS, others come back as a named outcome
 * @param precision FOR_ANSWER, or FOR_BAND for the edges of a spread
 * @returns one outcome per speed, in order; never throws on numbers, never returns NaN
 */
export function steadySpin(
  blade: SpinBlade,
  bearing: Bearing,
  waterDensityKgM3: number,
  speedsMps: readonly number[],
  precision = FOR_ANSWER,
): SpinOutcome[] {
  return speedsMps.map(steadySolver(blade, bearing, waterDensityKgM3, precision));
}

/** The same, a speed at a time: what is worked out for one serves the next. */
export function steadySolver(
  blade: SpinBlade,
  bearing: Bearing,
  waterDensityKgM3: number,
  precision = FOR_ANSWER,
): (speedMps: number) => SpinOutcome {
  if (!(blade.planAreaM2 > 0)) return () => outside('planAreaM2', blade.planAreaM2, 0);
  if (!(blade.sheetMassKgM2 >= 0)) return () => outside('sheetMassKgM2', blade.sheetMassKgM2, 0);
  const scan = scanOf(blade, bearing, waterDensityKgM3);
  return (speedMps) => spinAt(scan, blade, bearing, waterDensityKgM3, speedMps, precision);
}

/** Torque of the water on a blade that stands still at this speed, and of what it rubs with, N·m. */
export function restTorques(
  blade: SpinBlade,
  bearing: Bearing,
  waterDensityKgM3: number,
  speedMps: number,
): { readonly driveNm: number; readonly rubNm: number } {
  const loads = new BladeLoads(blade, bearing.dropM, bearing.mostSpreadRad, waterDensityKgM3);
  loads.sumInPlace(blade.fixedSpreadRad ?? 0, 0);
  return {
    driveNm: loads.loads.torque * speedMps * speedMps,
    rubNm: frictionTorque(loads.loads, bearing, speedMps, blade.weightInWaterN),
  };
}

function outside(quantity: 'speedMps' | 'planAreaM2' | 'sheetMassKgM2' | 'spreadRad', value: number, limit: number) {
  return { outcome: 'outsideModel', quantity, value: Number.isFinite(value) ? value : limit, limit } as const;
}

function frictionTorque(loads: Loads, bearing: Bearing, speedMps: number, weightInWaterN: number): number {
  const u2 = speedMps * speedMps;
  const hinge = (loads.centrifugal - loads.radial) * u2;
  const onWire = Math.sqrt(hinge * hinge + weightInWaterN * weightInWaterN);
  const onFace = Math.abs(loads.drag) * u2;
  const { friction, faceFriction, wireRadiusM, faceRadiusM, steadyTorqueNm } = bearing;
  return friction * wireRadiusM * onWire + faceFriction * faceRadiusM * onFace + steadyTorqueNm;
}

function spinAt(
  scan: TipRatioScan,
  blade: SpinBlade,
  bearing: Bearing,
  waterDensityKgM3: number,
  speedMps: number,
  precision: number,
): SpinOutcome {
  const bracket = bracketAt(scan, blade, bearing, speedMps);
  if (bracket.outcome !== 'bracketed') return bracket;
  return refine(scan.loads, bracket, blade, bearing, waterDensityKgM3, speedMps, precision);
}

/** Between these two steps of a scan the torque falls through friction: where it first does, from fast to slow, it runs. */
export interface Bracket {
  readonly outcome: 'bracketed';
  readonly slower: ScanPoint;
  readonly faster: ScanPoint;
  readonly slowerExcess: number;
  readonly fasterExcess: number;
}

/** The steps of the scan that its running state at this speed lies between, or why there is none. */
export function bracketAt(
  scan: TipRatioScan,
  blade: SpinBlade,
  bearing: Bearing,
  speedMps: number,
): Bracket | Exclude<SpinOutcome, Turning> {
  if (speedMps === 0) return { outcome: 'doesNotTurn', reason: 'noFlow' };
  if (!(speedMps > 0 && speedMps <= MAX_SPEED_MPS)) {
    return outside('speedMps', speedMps, speedMps > 0 ? MAX_SPEED_MPS : 0);
  }
  let faster: ScanPoint | null = null;
  let fasterExcess = 0;
  for (let index = 0; ; index++) {
    const point = scan.at(index);
    if (!point) return { outcome: 'doesNotTurn', reason: 'frictionHoldsIt' };
    const excess = excessTorque(point.loads, blade, bearing, speedMps);
    if (!Number.isFinite(excess)) return { outcome: 'notFinite', where: 'torque' };
    if (faster && excess > 0 && fasterExcess <= 0) {
      return { outcome: 'bracketed', slower: point, faster, slowerExcess: excess, fasterExcess };
    }
    faster = point;
    fasterExcess = excess;
  }
}

/** What the water's torque has more than friction takes, N·m. */
export function excessTorque(sums: Loads, blade: SpinBlade, bearing: Bearing, speedMps: number): number {
  return sums.torque * speedMps * speedMps - frictionTorque(sums, bearing, speedMps, blade.weightInWaterN);
}

function refine(
  loads: BladeLoads,
  { slower, faster, slowerExcess, fasterExcess }: Bracket,
  blade: SpinBlade,
  bearing: Bearing,
  waterDensityKgM3: number,
  speedMps: number,
  precision: number,
): SpinOutcome {
  const before = loads.evaluations;
  const guess = (kappa: number) =>
    slower.spreadRad + ((faster.spreadRad - slower.spreadRad) * (kappa - slower.kappa)) / (faster.kappa - slower.kappa);
  let spreadRad = slower.spreadRad;
  loads.lastSlope = slower.slope;
  const root = findRoot(
    (kappa) => {
      spreadRad = loads.balanceInPlace(kappa, guess(kappa), precision);
      return excessTorque(loads.loads, blade, bearing, speedMps);
    },
    slower.kappa,
    faster.kappa,
    precision * slower.kappa,
    slowerExcess,
    fasterExcess,
  );
  if (root.outcome === 'notFinite') return { outcome: 'notFinite', where: 'flap balance' };
  if (root.outcome !== 'converged') {
    return { outcome: 'didNotConverge', residual: root.outcome === 'didNotConverge' ? root.residual : fasterExcess };
  }
  spreadRad = loads.balanceInPlace(root.x, spreadRad, precision);
  if (blade.fixedSpreadRad === null && spreadRad >= MAX_SPREAD_RAD)
    return outside('spreadRad', spreadRad, MAX_SPREAD_RAD);

  return turningAt(
    loads.loads,
    root.x,
    spreadRad,
    blade,
    bearing,
    waterDensityKgM3,
    speedMps,
    loads.evaluations - before,
  );
}

/** The turning state with these sums. @param kappa ω/U, 1/m */
export function turningAt(
  sums: Loads,
  kappa: number,
  spreadRad: number,
  blade: SpinBlade,
  bearing: Bearing,
  waterDensityKgM3: number,
  speedMps: number,
  evaluations: number,
): Turning {
  const u2 = speedMps * speedMps;
  const omega = kappa * speedMps;
  const tipRadiusM = bearing.dropM + blade.reachM * Math.sin(spreadRad);
  const dragN = sums.drag * u2;
  return {
    outcome: 'turning',
    rateHz: omega / (2 * Math.PI),
    spreadRad,
    tipSpeedRatio: kappa * tipRadiusM,
    tipRadiusM,
    dragN,
    dragAreaM2: dragN / (0.5 * waterDensityKgM3 * u2),
    dragMomentNm: sums.dragMoment * u2,
    hingeRadialN: (sums.centrifugal - sums.radial) * u2,
    frictionTorqueNm: frictionTorque(sums, bearing, speedMps, blade.weightInWaterN),
    driveTorqueNm: sums.torque * u2,
    evaluations,
  };
}
