/** The towed line on a general-purpose ODE library, for comparison: the same two equations, one integration for each length. */
import { createRequire } from 'node:module';
import { lineWeight, type FishingLine, type LinePull, type LineSetting } from '../src/core/hydro/towed-line';

interface OdeSolver {
  absoluteTolerance: number;
  relativeTolerance: number;
  solve(
    derivative: (s: number, y: number[]) => number[],
    from: number,
    start: number[],
    to: number,
  ): { readonly y: number[] };
}
const { Solver } = createRequire(import.meta.url)('odex') as { Solver: new (dimension: number) => OdeSolver };

/** Depth where the rod's tip is at the surface, m. */
export function plainDepth(line: FishingLine, pull: LinePull, setting: LineSetting, lengthM: number): number {
  const { waterDensityKgM3: rho, speedMps } = setting;
  const dynamic = 0.5 * rho * speedMps ** 2;
  const normal = dynamic * line.normalDrag * line.diameterM;
  const reynolds = line.viscosityM2S === null ? 0 : (speedMps * line.diameterM) / line.viscosityM2S;
  const skin = dynamic * line.skinDrag * Math.PI * line.diameterM;
  const weight = lineWeight(line, rho);
  const solver = new Solver(3);
  solver.absoluteTolerance = 1e-6;
  solver.relativeTolerance = 1e-6;
  const { y } = solver.solve(
    (_, [h = 0, v = 0]) => {
      const t = Math.hypot(h, v);
      const [cos, sin] = [h / t, v / t];
      const law = reynolds > 0 ? 1 + 10 * Math.max(1, reynolds * Math.abs(sin)) ** (-2 / 3) : 1;
      const across = normal * sin * Math.abs(sin) * law;
      const along = skin * cos * cos;
      return [across * sin + along * cos, weight - across * cos + along * sin, sin];
    },
    0,
    [pull.aftN, pull.downN, 0],
    lengthM,
  );
  return y[2] ?? 0;
}
