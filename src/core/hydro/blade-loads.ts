/** What the water and the turning do to one blade at a spread and a rate: the sums of spin.ts, in its symbols. */
import type { BladeStrips } from '../parts/outline';
import { findRoot } from '../root';

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

/** A blade that stands wider than this has blown open. */
export const MAX_SPREAD_RAD = (89.5 * Math.PI) / 180;

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

/** Broadside normal coefficient of a low-aspect plate. */
export const STALLED_NORMAL = 1.18;
const MOST_SECANT_STEPS = 6;

/** Lift-curve slope at low aspect ratio Λ = L²/A (Helmbold). */
export function normalSlope(lengthM: number, planAreaM2: number): number {
  const aspect = lengthM ** 2 / planAreaM2;
  return (2 * Math.PI * aspect) / (2 + Math.sqrt(4 + aspect ** 2));
}

/** Sums over the blade at U = 1, spread β and κ = ω/U. All fields scale with U². */
export interface Loads {
  torque: number;
  radial: number;
  drag: number;
  dragMoment: number;
  flapMoment: number;
  spinMoment: number;
  centrifugal: number;
}

/** A sum over the strips with s⁰, s¹ and s². */
export type ThreeMoments = readonly [number, number, number];

/** Moments of what a turning blade flings, Σ (ρ_b t + ρz) sⁿ dA for n = 0, 1, 2: kg, kg m, kg m². */
export function flungMoments(
  { armM, areaM2, hollowM, count }: BladeStrips,
  sheetMassKgM2: number,
  waterDensityKgM3: number,
): ThreeMoments {
  let [m0, m1, m2] = [0, 0, 0];
  for (let i = 0; i < count; i++) {
    const s = armM[i] as number;
    const mass = (sheetMassKgM2 + waterDensityKgM3 * (hollowM[i] as number)) * (areaM2[i] as number);
    m0 += mass;
    m1 += mass * s;
    m2 += mass * s * s;
  }
  return [m0, m1, m2];
}

export class BladeLoads {
  /** Distance from the hole of each strip, then ½ρ times its area. */
  private readonly strips: Float64Array;
  private readonly count: number;
  private readonly inverseSlope: number;
  private readonly stallTerm: number;
  private readonly sinPsi: number;
  private readonly cosPsi: number;
  private readonly edgeDrag: number;
  private readonly flapFactor: number;
  private readonly lobes: number;
  private readonly massMoments: ThreeMoments;
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
    waterDensityKgM3: number,
  ) {
    const { setAngleRad, edgeDrag, flapFactor } = blade.coefficients;
    this.inverseSlope = 1 / normalSlope(blade.lengthM, blade.planAreaM2);
    this.stallTerm = 1 / STALLED_NORMAL - this.inverseSlope;
    this.sinPsi = Math.sin(setAngleRad);
    this.cosPsi = Math.cos(setAngleRad);
    this.edgeDrag = edgeDrag;
    this.flapFactor = flapFactor;
    this.lobes = blade.lobes;
    const { armM, areaM2, count } = blade.strips;
    this.count = count;
    this.strips = new Float64Array(2 * count);
    for (let i = 0; i < count; i++) {
      this.strips[i] = armM[i] as number;
      this.strips[count + i] = 0.5 * waterDensityKgM3 * (areaM2[i] as number);
    }
    this.massMoments = flungMoments(blade.strips, blade.sheetMassKgM2, waterDensityKgM3);
  }

  /**
   * Writes the sums at (β, κ) into `loads`. As r = r₀ + s sin β all of them hang on four: Σ q C_N dA and Σ q C_A cos α dA,
   * each also with s.
   */
  sumInPlace(spreadRad: number, kappa: number): void {
    this.evaluations++;
    const { strips, count, sinPsi, cosPsi, dropM, inverseSlope, stallTerm, lobes } = this;
    const sinBeta = Math.sin(spreadRad);
    const cosBeta = Math.cos(spreadRad);
    // A blade that lies flat and stands still meets no water at all: then next to none, so that nothing is divided by it.
    const stream2 = Math.max(sinBeta * sinBeta, 1e-200);
    const [vt0, vt1] = [kappa * dropM, kappa * sinBeta];
    const [across0, along0] = [sinBeta * cosPsi, sinBeta * sinPsi];
    let normal0 = 0;
    let normal1 = 0;
    let edge0 = 0;
    let edge1 = 0;
    for (let i = 0; i < count; i++) {
      const s = strips[i] as number;
      const half = strips[count + i] as number;
      const vt = vt0 + s * vt1;
      const v2 = vt * vt + stream2;
      const v = Math.sqrt(v2);
      // v sin α; v cos α is in the edge's part.
      const across = across0 - vt * sinPsi;
      const byNormal = (half * v2 * across) / (inverseSlope * v + stallTerm * Math.abs(across));
      const byEdge = half * v * (vt * cosPsi + along0);
      normal0 += byNormal;
      normal1 += byNormal * s;
      edge0 += byEdge;
      edge1 += byEdge * s;
    }
    edge0 *= this.edgeDrag;
    edge1 *= this.edgeDrag;
    const force0 = normal0 * cosPsi + edge0 * sinPsi;
    const force1 = normal1 * cosPsi + edge1 * sinPsi;
    const turning0 = normal0 * sinPsi - edge0 * cosPsi;
    const turning1 = normal1 * sinPsi - edge1 * cosPsi;
    const [m0, m1, m2] = this.massMoments;
    const kappa2 = kappa * kappa;
    const out = this.loads;
    out.torque = lobes * (dropM * turning0 + sinBeta * turning1);
    out.radial = lobes > 1 ? 0 : force0 * cosBeta;
    out.drag = lobes * force0 * sinBeta;
    out.dragMoment = lobes * (dropM * force0 + sinBeta * force1) * sinBeta;
    out.flapMoment = this.flapFactor * force1;
    out.spinMoment = kappa2 * (dropM * m1 + sinBeta * m2) * cosBeta;
    out.centrifugal = lobes > 1 ? 0 : kappa2 * (dropM * m0 + sinBeta * m1);
  }

  /** β at which the flung blade and the flow balance for this κ; `loads` is left at that β. */
  balanceInPlace(kappa: number, guessRad: number | null, toleranceRad: number): number {
    if (this.blade.fixedSpreadRad !== null) return this.settle(this.blade.fixedSpreadRad, kappa);
    if (guessRad !== null && this.followInPlace(kappa, guessRad, toleranceRad)) return this.followedRad;
    return this.searchInPlace(kappa, guessRad, toleranceRad);
  }

  private excess(spreadRad: number, kappa: number): number {
    this.sumInPlace(spreadRad, kappa);
    return this.loads.spinMoment - this.loads.flapMoment;
  }

  private searchInPlace(kappa: number, guessRad: number | null, toleranceRad: number): number {
    const excess = (spreadRad: number) => this.excess(spreadRad, kappa);
    let low = 1e-4;
    let high = this.mostSpreadRad;
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
  private followInPlace(kappa: number, guessRad: number, toleranceRad: number): boolean {
    let slope = this.lastSlope;
    if (slope === 0) return false;
    let spread = guessRad;
    let value = this.excess(spread, kappa);
    for (let round = 0; round < MOST_SECANT_STEPS; round++) {
      const step = -value / slope;
      const next = spread + step;
      if (!(Math.abs(step) < 0.15 * guessRad && next > 0 && next < this.mostSpreadRad)) return false;
      const nextValue = this.excess(next, kappa);
      const measured = (nextValue - value) / step;
      if (step !== 0 && Number.isFinite(measured) && measured * slope > 0) slope = measured;
      spread = next;
      value = nextValue;
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
