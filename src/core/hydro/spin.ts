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
import type { BladeStrips } from '../parts/outline';
import { findRoot } from './root';

export interface SpinCoefficients {
  /** Set angle ψ of the chord, rad. */
  readonly setAngleRad: number;
  /** Flap factor k_c. */
  readonly flapFactor: number;
  /** Edge drag coefficient C_A of this very blade. */
  readonly edgeDrag: number;
}

export interface SpinBlade {
  readonly strips: BladeStrips;
  readonly lengthM: number;
  readonly planAreaM2: number;
  /** Mass of metal per plan area, ρ_b·t, kg/m². */
  readonly sheetMassKgM2: number;
  /** Hole to tip, m. */
  readonly reachM: number;
  /** Weight in water W′, N. */
  readonly weightInWaterN: number;
  /** How many of these stand evenly about the axle, like the two of a film blade; the radial loads of several cancel. */
  readonly lobes: 1 | 2 | 3 | 4;
  /** Spread of a blade that cannot flap, rad; null for one hung by its hole. */
  readonly fixedSpreadRad: number | null;
  readonly coefficients: SpinCoefficients;
}

export interface Bearing {
  /** Drop of the clevis r₀: axle to the hole of the blade, m. */
  readonly dropM: number;
  /** Coefficient of friction of the clevis's bore on the wire. */
  readonly friction: number;
  /** Coefficient of friction of the clevis's aft leg on what stands behind it. */
  readonly faceFriction: number;
  readonly wireRadiusM: number;
  readonly faceRadiusM: number;
  /** Torque that stays the same at every speed: a swivel, a pinched clevis, a strand of weed, the rub of a film. */
  readonly steadyTorqueNm: number;
  /** The widest spread the hanging allows, rad. */
  readonly mostSpreadRad: number;
}

const MAX_SPREAD_RAD = (89.5 * Math.PI) / 180;

/** Steel on brass, wet and clean: the bearing the reference behaviour is stated for. */
export const GOOD_CLEVIS_BEARING: Bearing = {
  dropM: 0.002,
  friction: 0.15,
  faceFriction: 0.15,
  wireRadiusM: 0.00045,
  faceRadiusM: 0.001,
  steadyTorqueNm: 0,
  mostSpreadRad: MAX_SPREAD_RAD,
};

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
/** Broadside normal coefficient of a low-aspect plate. */
export const STALLED_NORMAL = 1.18;
/** The scan of κ·reach from the fastest turning worth trying downward; a step is small against the distance of two roots. */
const SCAN_FASTEST = 8;
const SCAN_SLOWEST = 0.04;
const SCAN_RATIO = 0.8;
const SCAN_TOLERANCE_RAD = 1e-4;
const MOST_SECANT_STEPS = 6;
/** Precision of the spread, rad, and of κ as a share of it: for an answer, and for a band that is wide anyway. */
export const FOR_ANSWER = 1e-9;
export const FOR_BAND = 3e-4;

/** Lift-curve slope at low aspect ratio Λ = L²/A (Helmbold). */
export function normalSlope(lengthM: number, planAreaM2: number): number {
  const aspect = lengthM ** 2 / planAreaM2;
  return (2 * Math.PI * aspect) / (2 + Math.sqrt(4 + aspect ** 2));
}

/** Sums over the blade at U = 1, spread β and κ = ω/U. All fields scale with U². */
interface Loads {
  torque: number;
  radial: number;
  drag: number;
  dragMoment: number;
  flapMoment: number;
  spinMoment: number;
  centrifugal: number;
}

class BladeLoads {
  private readonly slope: number;
  private readonly sinPsi: number;
  private readonly cosPsi: number;
  readonly loads: Loads = {
    torque: 0,
    radial: 0,
    drag: 0,
    dragMoment: 0,
    flapMoment: 0,
    spinMoment: 0,
    centrifugal: 0,
  };
  evaluations = 0;

  constructor(
    private readonly blade: SpinBlade,
    private readonly dropM: number,
    private readonly mostSpreadRad: number,
    private readonly waterDensityKgM3: number,
  ) {
    this.slope = normalSlope(blade.lengthM, blade.planAreaM2);
    this.sinPsi = Math.sin(blade.coefficients.setAngleRad);
    this.cosPsi = Math.cos(blade.coefficients.setAngleRad);
  }

  /** Writes the sums at (β, κ) into `loads`. */
  sumInPlace(spreadRad: number, kappa: number): void {
    this.evaluations++;
    const { strips, sheetMassKgM2, coefficients } = this.blade;
    const { armM, areaM2, hollowM, count } = strips;
    const { sinPsi, cosPsi, waterDensityKgM3: rho, dropM } = this;
    const inverseSlope = 1 / this.slope;
    const stallTerm = 1 / STALLED_NORMAL - inverseSlope;
    const sinBeta = Math.sin(spreadRad);
    const cosBeta = Math.cos(spreadRad);
    const vn = sinBeta;
    let torque = 0;
    let normal = 0;
    let normalMoment = 0;
    let flapMoment = 0;
    let spinMoment = 0;
    let centrifugal = 0;
    for (let i = 0; i < count; i++) {
      const s = armM[i] as number;
      const dA = areaM2[i] as number;
      const r = dropM + s * sinBeta;
      const vt = kappa * r;
      const v2 = vt * vt + vn * vn;
      if (v2 === 0) continue;
      const v = Math.sqrt(v2);
      const sinAlpha = (vn * cosPsi - vt * sinPsi) / v;
      const cosAlpha = (vt * cosPsi + vn * sinPsi) / v;
      const cn = sinAlpha / (inverseSlope + stallTerm * Math.abs(sinAlpha));
      const ca = coefficients.edgeDrag * cosAlpha;
      const qdA = 0.5 * rho * v2 * dA;
      const force = qdA * (cn * cosPsi + ca * sinPsi);
      torque += qdA * r * (cn * sinPsi - ca * cosPsi);
      normal += force;
      normalMoment += force * r;
      flapMoment += force * s;
      const inertia = (sheetMassKgM2 + rho * (hollowM[i] as number)) * kappa * kappa * r * dA;
      spinMoment += inertia * s;
      centrifugal += inertia;
    }
    const { lobes } = this.blade;
    const out = this.loads;
    out.torque = lobes * torque;
    out.radial = lobes > 1 ? 0 : normal * cosBeta;
    out.drag = lobes * normal * sinBeta;
    out.dragMoment = lobes * normalMoment * sinBeta;
    out.flapMoment = coefficients.flapFactor * flapMoment;
    out.spinMoment = spinMoment * cosBeta;
    out.centrifugal = lobes > 1 ? 0 : centrifugal;
  }

  /** β at which the flung blade and the flow balance for this κ; `loads` is left at that β. */
  balanceInPlace(kappa: number, guessRad: number | null, toleranceRad: number): number {
    if (this.blade.fixedSpreadRad !== null) return this.settle(this.blade.fixedSpreadRad, kappa);
    const excess = (spreadRad: number) => {
      this.sumInPlace(spreadRad, kappa);
      return this.loads.spinMoment - this.loads.flapMoment;
    };
    let low = 1e-4;
    let high = this.mostSpreadRad;
    if (guessRad !== null && this.followInPlace(excess, guessRad, toleranceRad)) return this.followedRad;
    if (guessRad !== null) {
      // A narrow bracket round the last answer, widened to the whole range when it does not hold the root.
      const near = findRoot(
        excess,
        Math.max(low, guessRad * 0.85),
        Math.min(high, guessRad * 1.15 + 0.01),
        toleranceRad,
      );
      if (near.outcome === 'converged') {
        this.lastSlope = this.slopeAt(excess, near.x);
        return this.settle(near.x, kappa);
      }
      if (near.outcome === 'noBracket') {
        if (near.fHigh > 0) low = Math.min(high, guessRad * 1.15 + 0.01);
        else high = Math.max(low, guessRad * 0.85);
      }
    }
    const wide = findRoot(excess, low, high, toleranceRad);
    if (wide.outcome === 'converged') {
      this.lastSlope = this.slopeAt(excess, wide.x);
      return this.settle(wide.x, kappa);
    }
    if (wide.outcome === 'noBracket') return this.settle(wide.fHigh > 0 ? this.mostSpreadRad : low, kappa);
    return NaN;
  }

  /** Slope of the excess at the last balance, for the next one near by; 0 when there is none. */
  lastSlope = 0;
  private followedRad = 0;

  private slopeAt(excess: (spreadRad: number) => number, spreadRad: number): number {
    const step = 1e-4 * spreadRad;
    const slope = (excess(spreadRad + step) - excess(spreadRad)) / step;
    return Number.isFinite(slope) ? slope : 0;
  }

  /** A few secant steps from a good guess. False when they lead away; then the bracketed search decides. */
  private followInPlace(excess: (spreadRad: number) => number, guessRad: number, toleranceRad: number): boolean {
    let slope = this.lastSlope;
    if (slope === 0) return false;
    let spread = guessRad;
    let value = excess(spread);
    for (let round = 0; round < MOST_SECANT_STEPS; round++) {
      const step = -value / slope;
      const next = spread + step;
      if (!(Math.abs(step) < 0.15 * guessRad && next > 0 && next < this.mostSpreadRad)) return false;
      const nextValue = excess(next);
      const measured = (nextValue - value) / step;
      if (step !== 0 && Number.isFinite(measured) && measured * slope > 0) slope = measured;
      [spread, value] = [next, nextValue];
      if (Math.abs(step) <= toleranceRad) {
        this.lastSlope = slope;
        this.followedRad = spread;
        return true;
      }
    }
    return false;
  }

  private settle(spreadRad: number, kappa: number): number {
    this.sumInPlace(spreadRad, kappa);
    return spreadRad;
  }
}

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

interface ScanPoint {
  readonly kappa: number;
  readonly spreadRad: number;
  /** Of the flap's balance, for the next one near by. */
  readonly slope: number;
  readonly loads: Loads;
}

/** β(κ) and its loads from fast to slow turning, worked out only as far as a speed asks for it and then kept. */
class TipRatioScan {
  private readonly points: ScanPoint[] = [];

  constructor(
    readonly loads: BladeLoads,
    private readonly reachM: number,
  ) {}

  /** The step `index` of the scan, or null past its slow end. */
  at(index: number): ScanPoint | null {
    while (this.points.length <= index) {
      const kappaReach = SCAN_FASTEST * SCAN_RATIO ** this.points.length;
      if (kappaReach < SCAN_SLOWEST) return null;
      const kappa = kappaReach / this.reachM;
      const last = this.points.at(-1);
      this.loads.lastSlope = last?.slope ?? 0;
      const spreadRad = this.loads.balanceInPlace(kappa, last?.spreadRad ?? null, SCAN_TOLERANCE_RAD);
      this.points.push({ kappa, spreadRad, slope: this.loads.lastSlope, loads: { ...this.loads.loads } });
    }
    return this.points[index] ?? null;
  }
}

/** A scan hangs on neither speed nor rub: it serves every lure that carries this blade on a like hanger. */
interface KeptScan {
  readonly blade: SpinBlade;
  readonly dropM: number;
  readonly mostSpreadRad: number;
  readonly waterDensityKgM3: number;
  readonly scan: TipRatioScan;
}

/** Of each outline cut into strips, the last asked for first. All are let go when there are too many of them. */
let scans = new WeakMap<BladeStrips, KeptScan[]>();
let scansKept = 0;
/** As many as a blade with each of its three coefficients moved up and down, on two hangers. */
const KEPT_OF_ONE = 16;
/** A choice among twenty thousand blades must not stay in memory: a scan is about four kilobytes. */
const MOST_KEPT = 2000;

function scanOf(blade: SpinBlade, { dropM, mostSpreadRad }: Bearing, waterDensityKgM3: number): TipRatioScan {
  const kept = scans.get(blade.strips) ?? [];
  const at = kept.findIndex(
    (each) =>
      each.dropM === dropM &&
      each.mostSpreadRad === mostSpreadRad &&
      each.waterDensityKgM3 === waterDensityKgM3 &&
      isSameBlade(each.blade, blade),
  );
  const known = kept[at];
  if (known) {
    if (at > 0) kept.unshift(...kept.splice(at, 1));
    return known.scan;
  }
  const loads = new BladeLoads(blade, dropM, mostSpreadRad, waterDensityKgM3);
  const scan = new TipRatioScan(loads, blade.reachM);
  if (++scansKept > MOST_KEPT) {
    scans = new WeakMap();
    scansKept = 1;
  }
  kept.unshift({ blade, dropM, mostSpreadRad, waterDensityKgM3, scan });
  if (kept.length > KEPT_OF_ONE) kept.pop();
  scans.set(blade.strips, kept);
  return scan;
}

/** Whether the water does the same to both, of one outline. */
function isSameBlade(a: SpinBlade, b: SpinBlade): boolean {
  return (
    a.coefficients.setAngleRad === b.coefficients.setAngleRad &&
    a.coefficients.flapFactor === b.coefficients.flapFactor &&
    a.coefficients.edgeDrag === b.coefficients.edgeDrag &&
    a.sheetMassKgM2 === b.sheetMassKgM2 &&
    a.lengthM === b.lengthM &&
    a.planAreaM2 === b.planAreaM2 &&
    a.reachM === b.reachM &&
    a.lobes === b.lobes &&
    a.fixedSpreadRad === b.fixedSpreadRad
  );
}

function frictionTorque(loads: Loads, bearing: Bearing, speedMps: number, weightInWaterN: number): number {
  const u2 = speedMps * speedMps;
  const onWire = Math.hypot((loads.centrifugal - loads.radial) * u2, weightInWaterN);
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
  if (speedMps === 0) return { outcome: 'doesNotTurn', reason: 'noFlow' };
  if (!(speedMps > 0 && speedMps <= MAX_SPEED_MPS)) {
    return outside('speedMps', speedMps, speedMps > 0 ? MAX_SPEED_MPS : 0);
  }
  const u2 = speedMps * speedMps;
  const excessOf = (sums: Loads) => sums.torque * u2 - frictionTorque(sums, bearing, speedMps, blade.weightInWaterN);

  let faster: ScanPoint | null = null;
  let fasterExcess = 0;
  for (let index = 0; ; index++) {
    const point = scan.at(index);
    if (!point) return { outcome: 'doesNotTurn', reason: 'frictionHoldsIt' };
    const excess = excessOf(point.loads);
    if (!Number.isFinite(excess)) return { outcome: 'notFinite', where: 'torque' };
    if (faster && excess > 0 && fasterExcess <= 0) {
      return refine(
        scan.loads,
        point,
        faster,
        excess,
        fasterExcess,
        excessOf,
        blade,
        bearing,
        waterDensityKgM3,
        speedMps,
        precision,
      );
    }
    faster = point;
    fasterExcess = excess;
  }
}

function refine(
  loads: BladeLoads,
  slower: ScanPoint,
  faster: ScanPoint,
  slowerExcess: number,
  fasterExcess: number,
  excessOf: (sums: Loads) => number,
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
      return excessOf(loads.loads);
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

  const sums = loads.loads;
  const u2 = speedMps * speedMps;
  const omega = root.x * speedMps;
  const tipRadiusM = bearing.dropM + blade.reachM * Math.sin(spreadRad);
  const dragN = sums.drag * u2;
  return {
    outcome: 'turning',
    rateHz: omega / (2 * Math.PI),
    spreadRad,
    tipSpeedRatio: root.x * tipRadiusM,
    tipRadiusM,
    dragN,
    dragAreaM2: dragN / (0.5 * waterDensityKgM3 * u2),
    dragMomentNm: sums.dragMoment * u2,
    hingeRadialN: (sums.centrifugal - sums.radial) * u2,
    frictionTorqueNm: frictionTorque(sums, bearing, speedMps, blade.weightInWaterN),
    driveTorqueNm: sums.torque * u2,
    evaluations: loads.evaluations - before,
  };
}
