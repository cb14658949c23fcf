/**
 * A second implementation of the stall in time, for the tests and the benchmark: the two equations of motion written out
 * from the model note, integrated by a general-purpose ODE library while the water slows.
 */
import { createRequire } from 'node:module';
import { PATTERNS } from '@/core/parts/blade-pattern';
import { densityOf } from '@/core/parts/material';
import { chordRatio } from '@/core/parts/outline';
import { ellipticE } from '@/core/hydro/elliptic';
import type { Bearing } from '@/core/hydro/blade-loads';
import { bladeCoefficients, referenceCoefficients, spinBlade, type MeasuredBlade } from '@/core/hydro/spin-blade';
import { slowSpin } from './slow-spin';

/** What is used of the library, whose own types do not pass a strict check. */
interface OdeSolver {
  absoluteTolerance: number;
  relativeTolerance: number;
  maxSteps: number;
  solve(
    derivative: (x: number, y: number[]) => number[],
    from: number,
    start: number[],
    to: number,
    onStep: (step: number, xOld: number, x: number, y: number[]) => boolean,
  ): unknown;
}
const { Solver } = createRequire(import.meta.url)('odex') as { Solver: new (dimension: number) => OdeSolver };

const LEAST_SPREAD = 0.1;

/** The speed at which the blade stops in water that is slowed evenly from 1.4 times `aboutMps`, its flap held or free. */
export function slowStall(
  blade: MeasuredBlade,
  bearing: Bearing,
  rho: number,
  isFree: boolean,
  aboutMps: number,
  count = 20,
): number {
  const fromMps = 1.4 * aboutMps;
  const at = (t: number) => fromMps * Math.exp(-SLOWER_A_SECOND * Math.max(0, t - SETTLES_S));
  const motion = inMotion(blade, bearing, rho, at, isFree, count);
  if (!motion) return NaN;
  let stopsMps = NaN;
  motion.run(60, (t, _, omega) => {
    if (omega > 0) return true;
    stopsMps = at(t);
    return false;
  });
  return stopsMps;
}

const SETTLES_S = 2;
const SLOWER_A_SECOND = 0.015;

/** Turns a second that the blade settles to in time, flapping and with gravity round the turn: the mean of its last second. */
export function settledRate(blade: MeasuredBlade, bearing: Bearing, rho: number, U: number, count = 20): number {
  const motion = inMotion(blade, bearing, rho, () => U, true, count);
  if (!motion) return 0;
  let from: readonly [number, number] | null = null;
  let rate = 0;
  motion.run(4, (t, phi) => {
    if (t >= 3) from ??= [t, phi];
    if (from && t > from[0]) rate = (phi - from[1]) / (2 * Math.PI * (t - from[0]));
    return true;
  });
  return rate;
}

/** The blade as it moves from its steady state on; null where it has none. */
function inMotion(
  blade: MeasuredBlade,
  bearing: Bearing,
  rho: number,
  speedAt: (t: number) => number,
  isFree: boolean,
  count: number,
) {
  const { weightInWaterN, planAreaM2 } = spinBlade(blade, rho);
  const steady = slowSpin(blade, bearing, rho, weightInWaterN, speedAt(0), count);
  if (!steady) return null;
  const { setAngleRad: psi, flapFactor, edgeDrag } = bladeCoefficients(blade, referenceCoefficients(blade.pattern));
  const strips = Array.from({ length: count }, (_, i) => {
    const x = (1 - Math.cos(((i + 0.5) * Math.PI) / count)) / 2;
    const dx = (Math.sin(((i + 0.5) * Math.PI) / count) / 2) * (Math.PI / count);
    const chord = chordRatio(PATTERNS[blade.pattern].outline, x) * blade.widthM;
    const hollow = (2 / 3) * blade.cupDepthM * 4 * x * (1 - x);
    const added = (rho * Math.PI * chord) / 4 / ellipticE(Math.sqrt(1 - (blade.widthM / blade.lengthM) ** 2));
    const m = densityOf(blade.material) * blade.thicknessM + rho * hollow;
    return { s: x * blade.lengthM - blade.holeOffsetM, dA: chord * dx * blade.lengthM, m, added };
  });
  const aspect = blade.lengthM ** 2 / planAreaM2;
  const a = (2 * Math.PI * aspect) / (2 + Math.sqrt(4 + aspect ** 2));
  const w = weightInWaterN / planAreaM2;

  const derivative = (t: number, [phi = 0, omega = 0, beta = 0, rate = 0]: number[]): number[] => {
    const flapRate = isFree ? rate : 0;
    const U = speedAt(t);
    let [Q, F, M, I, J, C, G, P, wr, ws] = [0, 0, 0, 0, 0, 0, 0, 0, 0, 0];
    for (const { s, dA, m, added } of strips) {
      // Of its speed in turning a plate has the part sin ψ across itself, and only that carries water along.
      const turned = m + added * Math.sin(psi) ** 2;
      const r = bearing.dropM + s * Math.sin(beta);
      const vt = omega * r;
      const vn = U * Math.sin(beta) + s * flapRate;
      const q = 0.5 * rho * (vt ** 2 + vn ** 2);
      const alpha = Math.atan2(vn, vt) - psi;
      const cn = Math.sin(alpha) / (1 / a + (1 / 1.18 - 1 / a) * Math.abs(Math.sin(alpha)));
      const ca = edgeDrag * Math.cos(alpha);
      const f = q * (cn * Math.cos(psi) + ca * Math.sin(psi)) * dA;
      Q += q * r * (cn * Math.sin(psi) - ca * Math.cos(psi)) * dA;
      F += f;
      M += s * f;
      I += turned * r * r * dA;
      J += (m + added) * s * s * dA;
      C += turned * r * s * Math.cos(beta) * dA;
      G += m * r * s * Math.cos(beta) * dA;
      P += m * r * dA;
      wr += w * r * dA;
      ws += w * s * dA;
    }
    const onWire = Math.hypot(P * omega ** 2 - F * Math.cos(beta), weightInWaterN);
    const friction =
      bearing.friction * bearing.wireRadiusM * onWire +
      bearing.faceFriction * bearing.faceRadiusM * Math.abs(F * Math.sin(beta)) +
      bearing.steadyTorqueNm;
    const rub = (friction * omega) / Math.hypot(omega, 0.3);
    const turning = (Q - rub - 2 * C * flapRate * omega - wr * Math.sin(phi)) / I;
    if (!isFree) return [omega, turning, 0, 0];
    // The stop is a stiff, dead spring.
    const stop = beta < LEAST_SPREAD ? 2e4 * (LEAST_SPREAD - beta) - 150 * Math.min(rate, 0) : 0;
    return [omega, turning, rate, (G * omega ** 2 - flapFactor * M + ws * Math.cos(beta) * Math.cos(phi)) / J + stop];
  };
  const solver = new Solver(4);
  solver.absoluteTolerance = 1e-6;
  solver.relativeTolerance = 1e-5;
  solver.maxSteps = 200_000;
  return {
    /** Told of each step's time and azimuth until it answers false. */
    run: (seconds: number, onStep: (t: number, phi: number, omega: number) => boolean) => {
      solver.solve(
        derivative,
        0,
        [Math.PI, 2 * Math.PI * steady.rateHz, steady.spreadRad, 0],
        seconds,
        (_n, _old, t, y) => onStep(t, y[0] ?? 0, y[1] ?? 0),
      );
    },
  };
}
