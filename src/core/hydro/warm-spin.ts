/**
 * The steady state of one blade on one bearing at one speed after another, each from the last: for weighing many lures that
 * carry it, where the water it meets changes little. The two unknowns κ = ω/U and β are found together by Broyden's
 * method from the state before, with the slopes it learnt there. What it finds is held against the scan: it is the running
 * state only between the two steps where the torque first falls through friction; anywhere else the bracketed search of
 * spin.ts decides. Source: C. G. Broyden, Math. Comp. 19 (1965), 577–593.
 */
import type { Bearing, SpinBlade } from './blade-loads';
import { meanOf, type MeanOutcome } from './round-the-turn';
import { bracketAt, excessTorque, FOR_ANSWER, steadySolver, turningAt, type SpinOutcome, type Turning } from './spin';
import { scanOf, type TipRatioScan } from './spin-scan';

/** Of both unknowns, κ as a share of itself. */
const TOLERANCE = 1e-10;
/** A step longer than this leads away. */
const LONGEST_STEP = 0.2;
const MOST_STEPS = 10;
const SLOPE_STEP = 1e-5;

export class WarmSpin {
  private readonly scan: TipRatioScan;
  private readonly cold: (speedMps: number) => SpinOutcome;
  /** The last state. */
  private kappa = 0;
  private spreadRad = 0;
  /** Inverse of the slopes of both residuals, as shares, with κ as a share of itself and with β; none before the first. */
  private slopes: { a: number; b: number; c: number; d: number } | null = null;

  /** @param waterDensityKgM3 kg/m³ */
  constructor(
    private readonly blade: SpinBlade,
    private readonly bearing: Bearing,
    private readonly waterDensityKgM3: number,
  ) {
    this.scan = scanOf(blade, bearing, waterDensityKgM3);
    this.cold = steadySolver(blade, bearing, waterDensityKgM3, FOR_ANSWER);
  }

  /** On the mean round the turn, as meanSolver. @param speedMps of the water along its axle */
  meanAt(speedMps: number, axleCos: number): MeanOutcome {
    const steady = this.at(speedMps);
    if (steady.outcome !== 'turning') return steady;
    return meanOf(steady, this.blade, this.bearing, this.waterDensityKgM3, speedMps, axleCos);
  }

  /** As steadySolver for an answer. */
  private at(speedMps: number): SpinOutcome {
    const { blade, bearing, scan } = this;
    const bracket = bracketAt(scan, blade, bearing, speedMps);
    if (bracket.outcome !== 'bracketed') return bracket;
    const isRunning = () => this.kappa >= bracket.slower.kappa && this.kappa <= bracket.faster.kappa;
    const before = scan.loads.evaluations;
    if (isRunning() && this.follow(speedMps) && isRunning()) {
      const { kappa, spreadRad, waterDensityKgM3 } = this;
      const evaluations = scan.loads.evaluations - before;
      return turningAt(scan.loads.loads, kappa, spreadRad, blade, bearing, waterDensityKgM3, speedMps, evaluations);
    }
    const found = this.cold(speedMps);
    this.remember(found, speedMps);
    return found;
  }

  private remember(found: SpinOutcome, speedMps: number): void {
    this.slopes = null;
    this.kappa = found.outcome === 'turning' ? kappaOf(found, speedMps) : 0;
    this.spreadRad = found.outcome === 'turning' ? found.spreadRad : 0;
  }

  /** Leaves the state and its sums at this speed; false where it leads away. */
  private follow(speedMps: number): boolean {
    const { loads } = this.scan;
    const isFixed = this.blade.fixedSpreadRad !== null;
    let { kappa, spreadRad } = this;
    loads.sumInPlace(spreadRad, kappa);
    // Residuals are told as shares of what they are a difference of.
    const flapScale = Math.max(Math.abs(loads.loads.flapMoment), 1e-15);
    const torqueScale = Math.max(Math.abs(loads.loads.torque) * speedMps * speedMps, 1e-15);
    const flap = () => (isFixed ? 0 : (loads.loads.spinMoment - loads.loads.flapMoment) / flapScale);
    const torque = () => excessTorque(loads.loads, this.blade, this.bearing, speedMps) / torqueScale;
    let f = flap();
    let g = torque();
    if (!this.slopes) {
      loads.sumInPlace(spreadRad, kappa * (1 + SLOPE_STEP));
      const [fk, gk] = [(flap() - f) / SLOPE_STEP, (torque() - g) / SLOPE_STEP];
      let [fb, gb] = [1, 0];
      if (!isFixed) {
        loads.sumInPlace(spreadRad + SLOPE_STEP, kappa);
        [fb, gb] = [(flap() - f) / SLOPE_STEP, (torque() - g) / SLOPE_STEP];
      }
      const det = fk * gb - fb * gk;
      if (!(Math.abs(det) > 1e-12)) return false;
      this.slopes = { a: gb / det, b: -fb / det, c: -gk / det, d: fk / det };
      loads.sumInPlace(spreadRad, kappa);
    }
    const inverse = this.slopes;
    for (let step = 0; step < MOST_STEPS; step++) {
      const p = -(inverse.a * f + inverse.b * g);
      const q = -(inverse.c * f + inverse.d * g);
      if (Math.abs(p) <= TOLERANCE && Math.abs(q) <= TOLERANCE) {
        this.kappa = kappa;
        this.spreadRad = spreadRad;
        return true;
      }
      if (!(Math.abs(p) < LONGEST_STEP && Math.abs(q) < LONGEST_STEP)) break;
      kappa *= 1 + p;
      spreadRad += q;
      if (!isFixed && !(spreadRad > 0 && spreadRad < this.bearing.mostSpreadRad)) break;
      loads.sumInPlace(spreadRad, kappa);
      const [f1, g1] = [flap(), torque()];
      const [df, dg] = [f1 - f, g1 - g];
      // Broyden's update of the inverse: H += (s − Hy) sᵀH / sᵀHy.
      const hp = inverse.a * df + inverse.b * dg;
      const hq = inverse.c * df + inverse.d * dg;
      const along = p * hp + q * hq;
      if (along !== 0) {
        const [rowA, rowB] = [p * inverse.a + q * inverse.c, p * inverse.b + q * inverse.d];
        const [byP, byQ] = [(p - hp) / along, (q - hq) / along];
        inverse.a += byP * rowA;
        inverse.b += byP * rowB;
        inverse.c += byQ * rowA;
        inverse.d += byQ * rowB;
      }
      f = f1;
      g = g1;
    }
    return false;
  }
}

function kappaOf({ rateHz }: Turning, speedMps: number): number {
  return (2 * Math.PI * rateHz) / speedMps;
}
