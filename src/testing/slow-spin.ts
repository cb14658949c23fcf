/**
 * A second implementation of the steady spin for the tests: written from the equations alone, slow and obvious.
 * Midpoint strips, trigonometry spelt out, plain bisection on β inside plain bisection on ω from the fast side.
 */
import { chordRatio } from '@/core/parts/outline';
import { PATTERNS } from '@/core/parts/blade-pattern';
import { densityOf } from '@/core/parts/material';
import { bladeCoefficients, referenceCoefficients, type MeasuredBlade } from '@/core/hydro/spin-blade';
import type { Bearing } from '@/core/hydro/blade-loads';

export interface SlowSpin {
  readonly rateHz: number;
  readonly spreadRad: number;
  readonly dragN: number;
}

/** The model's sums and balances at one speed, for whatever solver. */
export function slowModel(
  blade: MeasuredBlade,
  bearing: Bearing,
  rho: number,
  weightInWaterN: number,
  U: number,
  count = 1500,
) {
  const {
    setAngleRad: psi,
    flapFactor: kc,
    edgeDrag: CA,
  } = bladeCoefficients(blade, referenceCoefficients(blade.pattern));
  const strips = Array.from({ length: count }, (_, i) => {
    const x = (i + 0.5) / count;
    return {
      s: x * blade.lengthM - blade.holeOffsetM,
      dA: chordRatio(PATTERNS[blade.pattern].outline, x) * blade.widthM * (blade.lengthM / count),
      z: (2 / 3) * blade.cupDepthM * 4 * x * (1 - x),
    };
  });
  const A = strips.reduce((sum, { dA }) => sum + dA, 0);
  const aspect = blade.lengthM ** 2 / A;
  const a = (2 * Math.PI * aspect) / (2 + Math.sqrt(4 + aspect ** 2));
  const sheet = densityOf(blade.material) * blade.thicknessM;

  const sums = (omega: number, beta: number) => {
    const total = { torque: 0, force: 0, moment: 0, fling: 0, pull: 0 };
    for (const { s, dA, z } of strips) {
      const r = bearing.dropM + s * Math.sin(beta);
      const vt = omega * r;
      const vn = U * Math.sin(beta);
      const q = 0.5 * rho * (vt ** 2 + vn ** 2);
      const alpha = Math.atan2(vn, vt) - psi;
      const cn = Math.sin(alpha) / (1 / a + (1 / 1.18 - 1 / a) * Math.abs(Math.sin(alpha)));
      const ca = CA * Math.cos(alpha);
      const normal = q * (cn * Math.cos(psi) + ca * Math.sin(psi)) * dA;
      total.torque += q * r * (cn * Math.sin(psi) - ca * Math.cos(psi)) * dA;
      total.force += normal;
      total.moment += s * normal;
      total.fling += (sheet + rho * z) * omega ** 2 * r * s * Math.cos(beta) * dA;
      total.pull += (sheet + rho * z) * omega ** 2 * r * dA;
    }
    return total;
  };
  /** Fling less flap: zero where the blade stands. */
  const flap = (omega: number, beta: number) => {
    const { fling, moment } = sums(omega, beta);
    return fling - kc * moment;
  };
  /** Drive less friction: zero where it runs. */
  const drive = (omega: number, beta: number) => {
    const { torque, force, pull } = sums(omega, beta);
    const onWire = Math.hypot(pull - force * Math.cos(beta), weightInWaterN);
    const onFace = force * Math.sin(beta);
    const friction =
      bearing.friction * bearing.wireRadiusM * onWire +
      bearing.faceFriction * bearing.faceRadiusM * onFace +
      bearing.steadyTorqueNm;
    return torque - friction;
  };
  return { sums, flap, drive };
}

export function slowSpin(
  blade: MeasuredBlade,
  bearing: Bearing,
  rho: number,
  weightInWaterN: number,
  U: number,
  count = 1500,
): SlowSpin | null {
  const { sums, flap, drive } = slowModel(blade, bearing, rho, weightInWaterN, U, count);
  const spreadFor = (omega: number) => bisect((beta) => flap(omega, beta), 1e-4, 1.56);
  const excess = (omega: number) => drive(omega, spreadFor(omega));
  const reach = blade.lengthM - blade.holeOffsetM;
  let fast = (8 * U) / reach;
  for (let slow = fast * 0.9; slow > (0.04 * U) / reach; slow *= 0.9) {
    if (excess(slow) > 0) {
      const omega = bisect((each) => -excess(each), slow, fast, 30);
      const beta = spreadFor(omega);
      return { rateHz: omega / (2 * Math.PI), spreadRad: beta, dragN: sums(omega, beta).force * Math.sin(beta) };
    }
    fast = slow;
  }
  return null;
}

/** Root of f, which falls from + to −, or for the caller's −f rises: the sign at `low` decides. */
function bisect(f: (x: number) => number, low: number, high: number, rounds = 34): number {
  const sign = Math.sign(f(low));
  let [a, b] = [low, high];
  for (let i = 0; i < rounds; i++) {
    const middle = (a + b) / 2;
    if (Math.sign(f(middle)) === sign) a = middle;
    else b = middle;
  }
  return (a + b) / 2;
}
