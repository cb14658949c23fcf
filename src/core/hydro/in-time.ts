/**
 * A hung blade in time: azimuth φ from straight down, spread β, with gravity round the turn.
 *
 * With r = r₀ + s·sin β, m = ρ_b t + ρz the mass a strip carries round and w its weight in water per area, on an axle that
 * slopes nose up by γ:
 *     v_t = φ̇r,   v_n = U sin β + s β̇          (a blade that swings out meets more water)
 *     I φ̈ = Q(v_t, v_n) − friction − 2 Σ (m + m_a sin²ψ) r s cos β β̇ φ̇ − Σ w r sin φ cos γ,   I = Σ (m + m_a sin²ψ) r²
 *     Σ (m + m_a) s² β̈ = Σ m r s cos β φ̇² − k_c Σ s F + Σ w s (cos β cos φ cos γ − sin β sin γ)
 * m_a = k_a ρπc/4 per area is the water a plate carries along as it moves across itself, k_a = 1/E(√(1 − (W/L)²)) for its
 * being short. Flapping a blade moves across itself; turning it moves nearly edge on, and only the part sin ψ of its speed
 * is across it. m_a is not in the fling: the steady flap balance that k_c is fitted to has none. What the two motions
 * give each other through it is left out: it raises the speed at which a free blade stops by 1 to 9 %.
 * β stops dead at the least spread the clevis leaves. Coulomb friction is that of the steady spin, against the turning.
 *
 * By the classical fourth-order Runge–Kutta method, sixty steps a turn. It is what round-the-turn.ts is fitted to; no
 * prediction waits for it. Source: docs/model.md.
 */
import { addedMass } from './added-mass';
import { steadySpin } from './spin';
import { normalSlope, STALLED_NORMAL, type Bearing, type SpinBlade } from './blade-loads';

/** Steps in a turn, and the longest step. */
const STEPS_A_TURN = 60;
const LONGEST_STEP_S = 0.004;
/** The clevis holds the blade this far off the wire. Trade estimate. */
const LEAST_SPREAD_RAD = 0.1;
/** Below this rate friction fades, so that a hanging blade comes to rest, rad/s. */
const FRICTION_FADE = 0.3;
/** No full turn in this long: it has stopped. */
const STOPPED_AFTER_S = 2;
/** The water is slowed by this share after each turn. */
const SLOWER_EACH_TURN = 0.005;
/** It is slowed from this many times the speed it is told to stop near. */
const SLOWED_FROM = 1.5;
/** Turns it is given to settle, and turns a mean is taken over. */
const SETTLING_TURNS = 16;
const MEAN_TURNS = 8;

export interface TurnSetting {
  readonly waterDensityKgM3: number;
  /** Slope of the axle, nose up, rad. */
  readonly slopeRad: number;
}

/**
 * The speed at which a turning blade stops when the water is slowed little by little: no start is in it, so that it moves
 * with its inputs and not by chance. Null when it does not turn at the speed it is slowed from.
 * @param isFree whether the blade flaps; held at its mean spread it turns down to a lower speed
 * @param nearMps about where it stops
 */
export function slowestInTime(
  blade: SpinBlade,
  bearing: Bearing,
  setting: TurnSetting,
  isFree: boolean,
  nearMps: number,
): number | null {
  for (let fromMps = nearMps * SLOWED_FROM; fromMps < 5; fromMps *= 1.5) {
    const motion = started(blade, bearing, setting, fromMps, isFree);
    if (!motion) continue;
    let speedMps = fromMps;
    for (let turns = 0; motion.turn(speedMps); turns++) if (turns > 6) speedMps *= 1 - SLOWER_EACH_TURN;
    if (speedMps < fromMps) return speedMps;
  }
  return null;
}

export interface MeanTurning {
  readonly rateHz: number;
  readonly spreadRad: number;
  readonly dragN: number;
  /** What the water lifts the blade by, up and across the axle: the blade carries that much of its own weight. */
  readonly liftN: number;
}

/** Means over whole turns once it has settled, the blade free to flap; null when it stops. */
export function meanInTime(
  blade: SpinBlade,
  bearing: Bearing,
  setting: TurnSetting,
  speedMps: number,
): MeanTurning | null {
  const motion = started(blade, bearing, setting, speedMps, true);
  if (!motion) return null;
  for (let turns = 0; turns < SETTLING_TURNS; turns++) if (!motion.turn(speedMps)) return null;
  const from = { ...motion.sums };
  for (let turns = 0; turns < MEAN_TURNS; turns++) if (!motion.turn(speedMps)) return null;
  const { timeS, spread, drag, lift, phi } = motion.sums;
  const spanS = timeS - from.timeS;
  return {
    rateHz: (phi - from.phi) / (2 * Math.PI * spanS),
    spreadRad: (spread - from.spread) / spanS,
    dragN: (drag - from.drag) / spanS,
    liftN: (lift - from.lift) / spanS,
  };
}

/** A blade that turns as its steady state does, straight up. */
function started(blade: SpinBlade, bearing: Bearing, setting: TurnSetting, speedMps: number, isFree: boolean) {
  const [steady] = steadySpin(blade, bearing, setting.waterDensityKgM3, [speedMps]);
  if (steady?.outcome !== 'turning') return null;
  const motion = new Motion(blade, bearing, setting, speedMps);
  const omega = 2 * Math.PI * steady.rateHz;
  const step = Math.min(LONGEST_STEP_S, 1 / (steady.rateHz * STEPS_A_TURN));
  const state = new Float64Array([Math.PI, omega, Math.max(steady.spreadRad, LEAST_SPREAD_RAD), 0]);
  const sums = { timeS: 0, spread: 0, drag: 0, lift: 0, phi: Math.PI };
  let done = 0;
  return {
    sums,
    /** One whole turn in water of this speed; false when it stops instead. */
    turn: (atMps: number): boolean => {
      motion.speedMps = atMps;
      const sinceS = sums.timeS;
      while ((state[0] as number) < Math.PI + 2 * Math.PI * (done + 1)) {
        motion.stepInPlace(state, step, isFree);
        sums.timeS += step;
        sums.spread += (state[2] as number) * step;
        sums.drag += motion.dragN * step;
        sums.lift += motion.liftN(state[0] as number) * step;
        sums.phi = state[0] as number;
        if (!Number.isFinite(state[1] as number) || (state[1] as number) < 0) return false;
        if (sums.timeS - sinceS > STOPPED_AFTER_S) return false;
      }
      done++;
      return true;
    },
  };
}

/** The two equations of motion, with the strips' sums of the last state. */
class Motion {
  dragN = 0;
  private torque = 0;
  private friction = 0;
  private inwardN = 0;
  private forwardN = 0;
  private flapMoment = 0;
  private spinInertia = 0;
  private flapInertia = 0;
  private coriolis = 0;
  private fling = 0;
  private weightRadius = 0;
  private weightArm = 0;

  private readonly addedKgM2: Float64Array;
  private readonly weightNM2: number;
  private readonly sinPsi: number;
  private readonly cosPsi: number;
  private readonly inverseSlope: number;
  private readonly stallTerm: number;
  private readonly cosSlope: number;
  private readonly sinSlope: number;
  private readonly rates = new Float64Array(2);

  constructor(
    private readonly blade: SpinBlade,
    private readonly bearing: Bearing,
    private readonly setting: TurnSetting,
    public speedMps: number,
  ) {
    const { strips, planAreaM2, lengthM } = blade;
    this.addedKgM2 = addedMass(strips, lengthM, setting.waterDensityKgM3);
    this.weightNM2 = blade.weightInWaterN / planAreaM2;
    this.sinPsi = Math.sin(blade.coefficients.setAngleRad);
    this.cosPsi = Math.cos(blade.coefficients.setAngleRad);
    this.inverseSlope = 1 / normalSlope(lengthM, planAreaM2);
    this.stallTerm = 1 / STALLED_NORMAL - this.inverseSlope;
    this.cosSlope = Math.cos(setting.slopeRad);
    this.sinSlope = Math.sin(setting.slopeRad);
  }

  /** Sums over the strips at this rate of turning, spread and flap rate. */
  sumInPlace(omega: number, spreadRad: number, flapRate: number): void {
    const { strips, sheetMassKgM2, coefficients, weightInWaterN } = this.blade;
    const { armM, areaM2, hollowM, count } = strips;
    const { sinPsi, cosPsi, inverseSlope, stallTerm } = this;
    const rho = this.setting.waterDensityKgM3;
    const [sinBeta, cosBeta] = [Math.sin(spreadRad), Math.cos(spreadRad)];
    const { dropM } = this.bearing;
    let [torque, forward, normal, flapMoment, spinInertia, flapInertia] = [0, 0, 0, 0, 0, 0];
    let [coriolis, centrifugal, weightRadius, weightArm, fling] = [0, 0, 0, 0, 0];
    for (let i = 0; i < count; i++) {
      const s = armM[i] as number;
      const dA = areaM2[i] as number;
      const r = dropM + s * sinBeta;
      const vt = omega * r;
      const vn = this.speedMps * sinBeta + s * flapRate;
      const v2 = vt * vt + vn * vn;
      const carried = (sheetMassKgM2 + rho * (hollowM[i] as number)) * dA;
      const added = (this.addedKgM2[i] as number) * dA;
      const turned = carried + added * sinPsi * sinPsi;
      spinInertia += turned * r * r;
      flapInertia += (carried + added) * s * s;
      coriolis += turned * r * s * cosBeta;
      fling += carried * r * s * cosBeta;
      centrifugal += carried * r;
      weightRadius += this.weightNM2 * dA * r;
      weightArm += this.weightNM2 * dA * s;
      if (v2 === 0) continue;
      const v = Math.sqrt(v2);
      const sinAlpha = (vn * cosPsi - vt * sinPsi) / v;
      const cosAlpha = (vt * cosPsi + vn * sinPsi) / v;
      const cn = sinAlpha / (inverseSlope + stallTerm * Math.abs(sinAlpha));
      const ca = coefficients.edgeDrag * cosAlpha;
      const qdA = 0.5 * rho * v2 * dA;
      const force = qdA * (cn * cosPsi + ca * sinPsi);
      torque += qdA * r * (cn * sinPsi - ca * cosPsi);
      forward += qdA * (cn * sinPsi - ca * cosPsi);
      normal += force;
      flapMoment += force * s;
    }
    this.dragN = normal * sinBeta;
    this.inwardN = normal * cosBeta;
    this.forwardN = forward;
    this.torque = torque;
    this.flapMoment = coefficients.flapFactor * flapMoment;
    this.spinInertia = spinInertia;
    this.flapInertia = flapInertia;
    this.coriolis = coriolis;
    this.fling = fling;
    this.weightRadius = weightRadius;
    this.weightArm = weightArm;
    const { friction, faceFriction, wireRadiusM, faceRadiusM, steadyTorqueNm } = this.bearing;
    const radial = centrifugal * omega * omega - normal * cosBeta;
    this.friction =
      friction * wireRadiusM * Math.hypot(radial, weightInWaterN) +
      faceFriction * faceRadiusM * Math.abs(normal * sinBeta) +
      steadyTorqueNm;
  }

  /** What the water lifts it by at this azimuth, from the last sums: pushed inward and forward, N. */
  liftN(phi: number): number {
    return this.inwardN * Math.cos(phi) + this.forwardN * Math.sin(phi);
  }

  /** Accelerations at (φ, φ̇, β, β̇) into `rates`: φ̈ and β̈. */
  private ratesInPlace(phi: number, omega: number, spreadRad: number, flapRate: number, isFree: boolean): void {
    this.sumInPlace(omega, spreadRad, isFree ? flapRate : 0);
    const [sinBeta, cosBeta] = [Math.sin(spreadRad), Math.cos(spreadRad)];
    const rub = (this.friction * omega) / Math.hypot(omega, FRICTION_FADE);
    const flap = isFree ? flapRate : 0;
    this.rates[0] =
      (this.torque - rub - 2 * this.coriolis * flap * omega - this.weightRadius * Math.sin(phi) * this.cosSlope) /
      this.spinInertia;
    this.rates[1] = isFree
      ? (this.fling * omega * omega -
          this.flapMoment +
          this.weightArm * (cosBeta * Math.cos(phi) * this.cosSlope - sinBeta * this.sinSlope)) /
        this.flapInertia
      : 0;
  }

  /** One step of the classical fourth-order Runge–Kutta method; `state` is φ, φ̇, β, β̇. */
  stepInPlace(state: Float64Array, step: number, isFree: boolean): void {
    const [phi, omega, beta, flap] = state as unknown as [number, number, number, number];
    const { rates } = this;
    this.ratesInPlace(phi, omega, beta, flap, isFree);
    const [o1, f1] = [rates[0] as number, rates[1] as number];
    const half = step / 2;
    const [omega2, flap2] = [omega + half * o1, flap + half * f1];
    this.ratesInPlace(phi + half * omega, omega2, beta + half * flap, flap2, isFree);
    const [o2, f2] = [rates[0] as number, rates[1] as number];
    const [omega3, flap3] = [omega + half * o2, flap + half * f2];
    this.ratesInPlace(phi + half * omega2, omega3, beta + half * flap2, flap3, isFree);
    const [o3, f3] = [rates[0] as number, rates[1] as number];
    const [omega4, flap4] = [omega + step * o3, flap + step * f3];
    this.ratesInPlace(phi + step * omega3, omega4, beta + step * flap3, flap4, isFree);
    const [o4, f4] = [rates[0] as number, rates[1] as number];
    state[0] = phi + (step / 6) * (omega + 2 * omega2 + 2 * omega3 + omega4);
    state[1] = omega + (step / 6) * (o1 + 2 * o2 + 2 * o3 + o4);
    if (!isFree) return;
    state[2] = beta + (step / 6) * (flap + 2 * flap2 + 2 * flap3 + flap4);
    state[3] = flap + (step / 6) * (f1 + 2 * f2 + 2 * f3 + f4);
    const most = this.bearing.mostSpreadRad;
    if (state[2] < LEAST_SPREAD_RAD || state[2] > most) {
      state[2] = Math.min(Math.max(state[2], LEAST_SPREAD_RAD), most);
      state[3] = 0;
    }
  }
}
