/**
 * Finds each pattern's set angle ψ, flap factor k_c and edge drag C_A so that its reference blade shows the reference
 * behaviour (λ, β, drag coefficient at 0.8 m/s) on the mean round the turn, and what gravity does round the turn
 * (hydro/round-the-turn.ts); writes src/core/hydro/spin-coefficients.json.
 * Each hangs on the other, so they are found by turns until neither moves: Levenberg–Marquardt on the three relative
 * misses, from several starts; then least squares over the catalogue's blades followed in time.
 */
import { writeFileSync } from 'node:fs';
import { levenbergMarquardt } from 'ml-levenberg-marquardt';
import { BLADE_PATTERNS, PATTERNS, type BladePattern } from '../src/core/parts/blade-pattern';
import { partsOfKind } from '../src/core/parts/catalogue';
import { meanInTime, slowestInTime } from '../src/core/hydro/in-time';
import {
  meanSpin,
  ROUND_THE_TURN,
  stopsAt,
  turnNumbers,
  type RoundTheTurn,
  type SlowedBy,
  type StopsAt,
} from '../src/core/hydro/round-the-turn';
import { steadySpin } from '../src/core/hydro/spin';
import { GOOD_CLEVIS_BEARING, type Bearing, type SpinBlade } from '../src/core/hydro/blade-loads';
import {
  REFERENCE_SPEED_MPS,
  REFERENCE_WATER_DENSITY_KGM3 as RHO,
  referenceBlade,
  spinBlade,
  type ReferenceCoefficients,
} from '../src/core/hydro/spin-blade';

const OUTPUT = new URL('../src/core/hydro/spin-coefficients.json', import.meta.url);
const ROUNDS = 3;
/** The reference blades are followed in these sizes too, their sheet as it is. */
const SIZES = [0.6, 0.8, 1, 1.25];

type Coefficients = Record<BladePattern, ReferenceCoefficients>;

/** [λ, β in rad, drag coefficient] of the reference blade with these coefficients, or null when it does not turn. */
function behaviour(
  pattern: BladePattern,
  coefficients: ReferenceCoefficients,
  constants: RoundTheTurn,
): [number, number, number] | null {
  const blade = spinBlade(referenceBlade(pattern), RHO, coefficients);
  const [result] = meanSpin(blade, GOOD_CLEVIS_BEARING, RHO, [REFERENCE_SPEED_MPS], undefined, constants);
  if (result?.outcome !== 'turning') return null;
  return [result.tipSpeedRatio, result.spreadRad, result.dragAreaM2 / blade.planAreaM2];
}

function calibrated(pattern: BladePattern, constants: RoundTheTurn) {
  const reference = PATTERNS[pattern].reference;
  const target = [reference.tipSpeedRatio, (reference.spreadDeg * Math.PI) / 180, reference.dragCoefficient];
  let best: { coefficients: ReferenceCoefficients; missPercent: number } | null = null;
  for (const setAngle of [0.15, 0.3, 0.45]) {
    for (const edgeDrag of [0.05, 0.15, 0.3]) {
      const fit = levenbergMarquardt(
        { x: [0, 1, 2], y: [1, 1, 1] },
        ([setAngleRad = 0, flapFactor = 0, edge = 0]) => {
          const got = behaviour(pattern, { setAngleRad, flapFactor, edgeDrag: edge }, constants);
          return (i: number) => (got?.[i] ?? 0) / (target[i] ?? 1);
        },
        {
          initialValues: [setAngle, 0.7, edgeDrag],
          minValues: [0.01, 0.05, 0.001],
          maxValues: [1.2, 3, 1],
          maxIterations: 300,
          gradientDifference: 1e-5,
          centralDifference: true,
          damping: 1e-3,
          errorTolerance: 1e-14,
        },
      );
      const [setAngleRad = 0, flapFactor = 0, edge = 0] = fit.parameterValues;
      const coefficients = { setAngleRad, flapFactor, edgeDrag: edge };
      const got = behaviour(pattern, coefficients, constants);
      if (!got) continue;
      const missPercent = Math.max(...got.map((value, i) => Math.abs(value / (target[i] ?? 1) - 1))) * 100;
      if (!best || missPercent < best.missPercent) best = { coefficients, missPercent };
    }
  }
  if (!best || best.missPercent > 0.1)
    throw new Error(`calibrate: ${pattern} misses by ${String(best?.missPercent)} %`);
  return best;
}

/** Blades to follow in time: the reference blades in several sizes and all of the catalogue, on a good bearing and on one with weed. */
function followed(coefficients: Coefficients): { blade: SpinBlade; bearing: Bearing }[] {
  const blades = [
    ...BLADE_PATTERNS.flatMap((pattern) => SIZES.map((by) => sized(pattern, by))),
    ...partsOfKind('blade'),
  ];
  const weedy = { ...GOOD_CLEVIS_BEARING, steadyTorqueNm: 1.2e-5 };
  return blades.flatMap((blade) =>
    [GOOD_CLEVIS_BEARING, weedy].map((bearing) => ({
      blade: spinBlade(blade, RHO, coefficients[blade.pattern]),
      bearing,
    })),
  );
}

function sized(pattern: BladePattern, by: number) {
  const blade = referenceBlade(pattern);
  return { ...blade, lengthM: blade.lengthM * by, widthM: blade.widthM * by, cupDepthM: blade.cupDepthM * by };
}

/** Least squares of y on the rows, each with its weight, by the normal equations. */
function leastSquares(rows: readonly (readonly number[])[], y: readonly number[], weights: readonly number[]) {
  const n = rows[0]?.length ?? 0;
  const A = Array.from({ length: n }, (_, i) =>
    Array.from({ length: n + 1 }, (__, j) =>
      rows.reduce((sum, row, k) => sum + (weights[k] ?? 0) * (row[i] ?? 0) * (j < n ? (row[j] ?? 0) : (y[k] ?? 0)), 0),
    ),
  );
  for (let i = 0; i < n; i++) {
    const pivot = A[i] as number[];
    for (let k = 0; k < n; k++) {
      if (k === i) continue;
      const row = A[k] as number[];
      const by = (row[i] ?? 0) / (pivot[i] ?? 1);
      for (let j = i; j <= n; j++) row[j] = (row[j] ?? 0) - by * (pivot[j] ?? 0);
    }
  }
  return A.map((row, i) => (row[n] ?? 0) / (row[i] ?? 1));
}

const SPEEDS_MPS = [0.5, 0.6, 0.7, 0.8, 1, 1.3, 1.6];
const SETTING = { waterDensityKgM3: RHO, slopeRad: 0 };
/** A share lost of less is not looked at: there the fit would be to rounding. */
const LEAST_LOST = 2e-3;
/** A blade that has lost more of its rate is about to stop, and the fit is not bent to it. */
const MOST_LOST = 0.25;

function roundTheTurn(coefficients: Coefficients): RoundTheTurn {
  const blades = followed(coefficients);
  const numbers = (blade: SpinBlade, bearing: Bearing, speedMps: number) => {
    const [steady] = steadySpin(blade, bearing, RHO, [speedMps]);
    return steady?.outcome === 'turning' ? { steady, at: turnNumbers(blade, bearing, RHO, steady) } : null;
  };
  const edge = (isFree: boolean) => {
    const found = blades.flatMap(({ blade, bearing }) => {
      const stops = slowestInTime(blade, bearing, SETTING, isFree, 0.6);
      const at = stops === null ? null : (numbers(blade, bearing, stops)?.at ?? null);
      return at ? [at] : [];
    });
    const rows = found.map(({ row }) => row);
    const logP = found.map((each) => each.logP);
    const constants = leastSquares(
      rows,
      logP,
      logP.map(() => 1),
    ).map(round) as unknown as StopsAt;
    const worst = Math.max(...rows.map((row, i) => Math.abs((logP[i] ?? 0) - stopsAt(constants, row)) / 2));
    console.log(
      `${isFree ? 'free' : 'held'}: ${found.length} stops, speed within ${(100 * (Math.exp(worst) - 1)).toFixed(1)} %`,
    );
    return constants;
  };
  const [held, free] = [edge(false), edge(true)];
  const lost = blades.flatMap(({ blade, bearing }) =>
    SPEEDS_MPS.flatMap((speedMps) => {
      const found = numbers(blade, bearing, speedMps);
      const mean = found?.at ? meanInTime(blade, bearing, SETTING, speedMps) : null;
      if (!found?.at || !mean) return [];
      const { steady, at } = found;
      const logY = Math.max(0, at.logP - stopsAt(free, at.row));
      return [
        {
          logY,
          logSin: at.row[1],
          rate: 1 - mean.rateHz / steady.rateHz,
          spread: 1 - mean.spreadRad / steady.spreadRad,
          drag: 1 - mean.dragN / steady.dragN,
        },
      ];
    }),
  );
  const slowed = (key: 'rate' | 'spread' | 'drag'): SlowedBy => {
    const seen = lost.filter((each) => each[key] > LEAST_LOST && each.rate < MOST_LOST);
    const [a = 0, b = 0, c = 0] = leastSquares(
      seen.map(({ logSin, logY }) => [1, logSin, -logY]),
      seen.map((each) => Math.log(each[key])),
      seen.map((each) => each[key]),
    );
    const off = lost.map((each) => (1 - Math.exp(a + b * each.logSin - c * each.logY)) / (1 - each[key]) - 1);
    console.log(
      `${key}: ${lost.length} means, ${(100 * Math.min(...off)).toFixed(1)} to ${(100 * Math.max(...off)).toFixed(1)} % off`,
    );
    return [round(Math.exp(a)), round(b), round(c)];
  };
  return { held, free, rate: slowed('rate'), spread: slowed('spread'), drag: slowed('drag') };
}

function round(value: number): number {
  return Number(value.toFixed(4));
}

let constants = ROUND_THE_TURN;
let coefficients: Coefficients | null = null;
for (let turn = 0; turn < ROUNDS; turn++) {
  const now = constants;
  const entries = BLADE_PATTERNS.map((pattern) => {
    const { coefficients: each, missPercent } = calibrated(pattern, now);
    const degrees = ((each.setAngleRad * 180) / Math.PI).toFixed(2);
    console.log(
      `${pattern.padEnd(14)} ψ ${degrees}°  k_c ${each.flapFactor.toFixed(3)}  C_A ${each.edgeDrag.toFixed(4)}  worst miss ${missPercent.toFixed(4)} %`,
    );
    return [
      pattern,
      {
        setAngleRad: Number(each.setAngleRad.toFixed(6)),
        flapFactor: Number(each.flapFactor.toFixed(6)),
        edgeDrag: Number(each.edgeDrag.toFixed(6)),
      },
    ] as const;
  });
  coefficients = Object.fromEntries(entries) as Coefficients;
  if (turn < ROUNDS - 1) constants = roundTheTurn(coefficients);
}
const found = {
  madeBy: 'npm run calibrate',
  speedMps: REFERENCE_SPEED_MPS,
  patterns: coefficients,
  roundTheTurn: constants,
};
writeFileSync(OUTPUT, `${JSON.stringify(found, null, 2)}\n`);
