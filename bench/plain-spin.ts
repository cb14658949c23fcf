/**
 * The steady spin on a general-purpose root finder, for comparison: Newton's method with numerical derivatives, one for the
 * spread nested in one for the rate, on the same sums over the same number of strips.
 */
import { createRequire } from 'node:module';
import { GOOD_CLEVIS_BEARING } from '../src/core/hydro/blade-loads';
import { spinBlade, type MeasuredBlade } from '../src/core/hydro/spin-blade';
import { slowModel } from '../src/testing/slow-spin';

type Newton = (
  f: (x: number) => number,
  x0: number,
  options: { readonly tolerance: number; readonly h: number; readonly maxIterations: number },
) => number | false;

const newton = createRequire(import.meta.url)('newton-raphson-method') as Newton;

/** Turns a second. */
export function plainSpin(blade: MeasuredBlade, rho: number, speedMps: number): number {
  const { weightInWaterN, reachM, strips } = spinBlade(blade, rho);
  const { flap, drive } = slowModel(blade, GOOD_CLEVIS_BEARING, rho, weightInWaterN, speedMps, strips.count);
  let spread = 0.8;
  const spreadFor = (omega: number) => {
    const found = newton((beta) => flap(omega, beta), spread, { tolerance: 1e-9, h: 1e-4, maxIterations: 40 });
    if (found !== false) spread = found;
    return spread;
  };
  const start = (1.6 * speedMps) / (0.75 * reachM);
  const omega = newton((each) => drive(each, spreadFor(each)), start, {
    tolerance: 1e-9,
    h: 1e-3 * start,
    maxIterations: 40,
  });
  if (omega === false) throw new Error('plainSpin: Newton’s method did not converge');
  return omega / (2 * Math.PI);
}
