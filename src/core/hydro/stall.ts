/**
 * The slowest speed at which a blade keeps turning, in time: azimuth φ from straight down, spread β.
 *
 * With r = r₀ + s·sin β, m = ρ_b t + ρz the mass a strip carries round and w its weight in water per area, on an axle that
 * slopes nose up by γ:
 *     v_t = φ̇r,   v_n = U sin β + s β̇          (a blade that swings out meets more water)
 *     Σ (m + m_a) r² φ̈ = Q(v_t, v_n) − friction − 2 Σ (m + m_a) r s cos β β̇ φ̇ − Σ w r sin φ cos γ
 *     Σ (m + m_a) s² β̈ = Σ m r s cos β φ̇² − k_c Σ s F + Σ w s (cos β cos φ cos γ − sin β sin γ)
 * m_a = k_a ρπc/4 per area is the water a plate carries along, k_a = 1/E(√(1 − (W/L)²)) for its being short. It is in the
 * inertia and in what a change of inertia gives (Coriolis), not in the fling: the steady flap balance that k_c is fitted to
 * has none. β stops dead at the least spread the clevis leaves. Coulomb friction is that of the steady spin, against the
 * turning.
 *
 * The blade starts from its steady state at U; it has stalled when it makes no full turn in 2 s. The speed is bisected.
 * Lower edge of the band: β held at its steady value. Upper edge: β free, so that each turn's flap costs it speed.
 * A film blade is balanced and cannot flap: its band runs from the slowest steady state to the start from rest.
 *
 * From hanging still the model does not start a blade; a start is a stall speed and a twitch. Source: docs/model.md.
 */
import { ellipticE } from './elliptic';
import calibrated from './spin-coefficients.json';
import { MAX_SPEED_MPS, normalSlope, STALLED_NORMAL, steadySpin, type Bearing, type SpinBlade } from './spin';

/** No full turn in this long: it has stopped. */
const STOPPED_AFTER_S = 2;
/** Turning this long, or this many turns that no longer change: it keeps turning. */
const KEEPS_AFTER_S = 6;
const SETTLED_TURNS = 4;
const SETTLED_CHANGE = 0.002;
/** Steps in a turn of the steady state, and the longest step. */
const STEPS_A_TURN = 60;
const LONGEST_STEP_S = 0.004;
/** The clevis holds the blade this far off the wire. Trade estimate. */
const LEAST_SPREAD_RAD = 0.1;
/** Below this rate friction fades, so that a hanging blade comes to rest, rad/s. */
const FRICTION_FADE = 0.3;
/** The band's edges are found to this share of the speed. */
const SPEED_TOLERANCE = 0.01;

/**
 * What the two edges have in common over the blades, fitted to the time-domain model over the reference blades by
 * `npm run calibrate`: Π = ω² r_cg sin β / g′ at the lower edge, Π sin²β at the upper, g′ the weight in water over the mass
 * carried round. A blade that stands out wider flaps less at each turn, hence the sines.
 */
const QUICK: StallParameters = calibrated.quickStall;

export interface StallParameters {
  /** Π, which rules the lower edge. */
  readonly frozen: number;
  /** Π sin²β, which rules the upper edge. */
  readonly free: number;
}

export type Stall =
  | { readonly outcome: 'stalls'; readonly lowMps: number; readonly highMps: number; readonly simulations: number }
  | { readonly outcome: 'doesNotTurn' }
  | { readonly outcome: 'outsideModel'; readonly quantity: 'planAreaM2' | 'sheetMassKgM2'; readonly value: number };

export interface StallSetting {
  readonly waterDensityKgM3: number;
  /** Slope of the axle, nose up, rad. */
  readonly slopeRad: number;
}

/** The band of the slowest sustained spin. */
export function stallSpeed(blade: SpinBlade, bearing: Bearing, setting: StallSetting): Stall {
  if (!(blade.planAreaM2 > 0)) return { outcome: 'outsideModel', quantity: 'planAreaM2', value: blade.planAreaM2 };
  if (!(blade.sheetMassKgM2 >= 0)) {
    return { outcome: 'outsideModel', quantity: 'sheetMassKgM2', value: blade.sheetMassKgM2 };
  }
  return blade.fixedSpreadRad === null ? hungStall(blade, bearing, setting) : filmStall(blade, bearing, setting);
}

function hungStall(blade: SpinBlade, bearing: Bearing, setting: StallSetting): Stall {
  const quick = quickStall(blade, bearing, setting.waterDensityKgM3);
  let simulations = 0;
  const keeps = (isFree: boolean) => (speedMps: number) => {
    simulations++;
    return keepsTurning(blade, bearing, setting, speedMps, isFree);
  };
  const low = slowest(keeps(false), quick?.lowMps ?? 0.4);
  const high = low === null ? null : slowest(keeps(true), Math.max(quick?.highMps ?? 0.5, low));
  if (low === null || high === null) return { outcome: 'doesNotTurn' };
  return { outcome: 'stalls', lowMps: Math.min(low, high), highMps: Math.max(low, high), simulations };
}

/** Both edges from steady spin alone: the speeds at which the two parameters reach their fitted values. */
export function quickStall(
  blade: SpinBlade,
  bearing: Bearing,
  waterDensityKgM3: number,
): { readonly lowMps: number; readonly highMps: number } | null {
  const at = (edge: keyof StallParameters) =>
    slowest((speedMps) => stallParameters(blade, bearing, waterDensityKgM3, speedMps)[edge] >= QUICK[edge], 0.4);
  const [lowMps, highMps] = [at('frozen'), at('free')];
  return lowMps === null || highMps === null ? null : { lowMps, highMps };
}

/** Both parameters of the steady state at this speed; 0 when it does not turn. */
export function stallParameters(
  blade: SpinBlade,
  bearing: Bearing,
  waterDensityKgM3: number,
  speedMps: number,
): StallParameters {
  const [steady] = steadySpin(blade, bearing, waterDensityKgM3, [speedMps]);
  if (steady?.outcome !== 'turning' || blade.weightInWaterN === 0) return { frozen: 0, free: 0 };
  const { armM, areaM2, hollowM, count } = blade.strips;
  let mass = 0;
  let moment = 0;
  for (let i = 0; i < count; i++) {
    const carried = (blade.sheetMassKgM2 + waterDensityKgM3 * (hollowM[i] as number)) * (areaM2[i] as number);
    mass += carried;
    moment += carried * (armM[i] as number);
  }
  const omega = 2 * Math.PI * steady.rateHz;
  const sinBeta = Math.sin(steady.spreadRad);
  const frozen = (omega ** 2 * (moment / mass) * sinBeta) / (blade.weightInWaterN / mass);
  return { frozen, free: frozen * sinBeta ** 2 };
}

/** The least speed at which `holds` is true, looked for around `guess` on a scale of ratios; null when at none. */
function slowest(holds: (speedMps: number) => boolean, guess: number): number | null {
  let high = Math.min(guess, MAX_SPEED_MPS);
  while (!holds(high)) {
    if (high >= MAX_SPEED_MPS) return null;
    high = Math.min(high * 1.4, MAX_SPEED_MPS);
  }
  let low = high / 1.25;
  while (holds(low)) {
    high = low;
    low /= 1.25;
    if (low < 0.01) return low;
  }
  while (high / low > 1 + SPEED_TOLERANCE) {
    const middle = Math.sqrt(high * low);
    if (holds(middle)) high = middle;
    else low = middle;
  }
  return Math.sqrt(high * low);
}

function filmStall(blade: SpinBlade, bearing: Bearing, { waterDensityKgM3 }: StallSetting): Stall {
  let simulations = 0;
  const turns = (speedMps: number) => {
    simulations++;
    return steadySpin(blade, bearing, waterDensityKgM3, [speedMps])[0]?.outcome === 'turning';
  };
  const low = slowest(turns, 0.1);
  const high = slowest((speedMps) => startsFromRest(blade, bearing, waterDensityKgM3, speedMps), 0.12);
  if (low === null || high === null) return { outcome: 'doesNotTurn' };
  return { outcome: 'stalls', lowMps: Math.min(low, high), highMps: Math.max(low, high), simulations };
}

/** Whether the torque on a blade that stands still is more than what it rubs with. */
function startsFromRest(blade: SpinBlade, bearing: Bearing, rho: number, speedMps: number): boolean {
  const flow = new Motion(blade, bearing, { waterDensityKgM3: rho, slopeRad: 0 }, speedMps);
  flow.sumInPlace(0, blade.fixedSpreadRad ?? 0, 0);
  return flow.torque > flow.friction;
}

/** Starts from the steady state and runs until the blade has clearly stopped or clearly keeps on. */
function keepsTurning(
  blade: SpinBlade,
  bearing: Bearing,
  setting: StallSetting,
  speedMps: number,
  isFree: boolean,
): boolean {
  const [steady] = steadySpin(blade, bearing, setting.waterDensityKgM3, [speedMps]);
  if (steady?.outcome !== 'turning') return false;
  const motion = new Motion(blade, bearing, setting, speedMps);
  const omega = 2 * Math.PI * steady.rateHz;
  const step = Math.min(LONGEST_STEP_S, 1 / (steady.rateHz * STEPS_A_TURN));
  const state = new Float64Array([0, omega, Math.max(steady.spreadRad, LEAST_SPREAD_RAD), 0]);
  let lastTurn = 0;
  let turns = 0;
  let settled = 0;
  let lastTook = 0;
  for (let time = 0; time < KEEPS_AFTER_S; time += step) {
    motion.stepInPlace(state, step, isFree);
    if (!Number.isFinite(state[1] as number)) return false;
    if ((state[0] as number) >= 2 * Math.PI * (turns + 1)) {
      turns++;
      const took = time - lastTurn;
      settled = Math.abs(took - lastTook) <= Math.max(SETTLED_CHANGE * took, step) ? settled + 1 : 0;
      if (settled >= SETTLED_TURNS) return true;
      lastTook = took;
      lastTurn = time;
    }
    if (time - lastTurn > STOPPED_AFTER_S) return false;
  }
  return true;
}

/** The two equations of motion, with the strips' sums of the last state. */
class Motion {
  torque = 0;
  friction = 0;
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
    private readonly setting: StallSetting,
    private readonly speedMps: number,
  ) {
    const { strips, planAreaM2, lengthM } = blade;
    const widestM = strips.chordM.reduce((most, chord) => Math.max(most, chord), 0);
    const short = Math.min(widestM / lengthM, lengthM / widestM);
    const addedFactor = 1 / ellipticE(Math.sqrt(1 - short ** 2));
    this.addedKgM2 = strips.chordM.map((chord) => (addedFactor * setting.waterDensityKgM3 * Math.PI * chord) / 4);
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
    const { strips, sheetMassKgM2, coefficients, lobes, weightInWaterN } = this.blade;
    const { armM, areaM2, hollowM, count } = strips;
    const { sinPsi, cosPsi, inverseSlope, stallTerm } = this;
    const rho = this.setting.waterDensityKgM3;
    const [sinBeta, cosBeta] = [Math.sin(spreadRad), Math.cos(spreadRad)];
    const { dropM } = this.bearing;
    let [torque, normal, flapMoment, spinInertia, flapInertia] = [0, 0, 0, 0, 0];
    let [coriolis, centrifugal, weightRadius, weightArm, fling] = [0, 0, 0, 0, 0];
    for (let i = 0; i < count; i++) {
      const s = armM[i] as number;
      const dA = areaM2[i] as number;
      const r = dropM + s * sinBeta;
      const vt = omega * r;
      const vn = this.speedMps * sinBeta + s * flapRate;
      const v2 = vt * vt + vn * vn;
      const carried = (sheetMassKgM2 + rho * (hollowM[i] as number)) * dA;
      const moved = carried + (this.addedKgM2[i] as number) * dA;
      spinInertia += moved * r * r;
      flapInertia += moved * s * s;
      coriolis += moved * r * s * cosBeta;
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
      normal += force;
      flapMoment += force * s;
    }
    this.torque = lobes * torque;
    this.flapMoment = coefficients.flapFactor * flapMoment;
    this.spinInertia = lobes * spinInertia;
    this.flapInertia = flapInertia;
    this.coriolis = coriolis;
    this.fling = fling;
    this.weightRadius = lobes > 1 ? 0 : weightRadius;
    this.weightArm = weightArm;
    const { friction, faceFriction, wireRadiusM, faceRadiusM, steadyTorqueNm } = this.bearing;
    const radial = lobes > 1 ? 0 : centrifugal * omega * omega - normal * cosBeta;
    this.friction =
      friction * wireRadiusM * Math.hypot(radial, weightInWaterN) +
      faceFriction * faceRadiusM * Math.abs(lobes * normal * sinBeta) +
      steadyTorqueNm;
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
