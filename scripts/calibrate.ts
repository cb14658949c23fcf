/**
 * Finds each pattern's set angle ψ, flap factor k_c and edge drag C_A so that its reference blade shows the reference
 * behaviour (λ, β, drag coefficient at 0.8 m/s), and writes src/core/hydro/spin-coefficients.json.
 * Then the two constants of the quick stall formula, from the time-domain model with those coefficients.
 * Levenberg–Marquardt on the three relative misses, from several starts; a pattern that misses by over 0.1 % fails.
 */
import { writeFileSync } from 'node:fs';
import { levenbergMarquardt } from 'ml-levenberg-marquardt';
import { BLADE_PATTERNS, PATTERNS, type BladePattern } from '../src/core/parts/blade-pattern';
import { GOOD_CLEVIS_BEARING, steadySpin } from '../src/core/hydro/spin';
import { stallParameters, stallSpeed } from '../src/core/hydro/stall';
import {
  REFERENCE_SPEED_MPS,
  REFERENCE_WATER_DENSITY_KGM3,
  referenceBlade,
  spinBlade,
  type ReferenceCoefficients,
} from '../src/core/hydro/spin-blade';

const OUTPUT = new URL('../src/core/hydro/spin-coefficients.json', import.meta.url);

/** [λ, β in rad, drag coefficient] of the reference blade with these coefficients, or null when it does not turn. */
function behaviour(pattern: BladePattern, coefficients: ReferenceCoefficients): [number, number, number] | null {
  const blade = spinBlade(referenceBlade(pattern), REFERENCE_WATER_DENSITY_KGM3, coefficients);
  const [result] = steadySpin(blade, GOOD_CLEVIS_BEARING, REFERENCE_WATER_DENSITY_KGM3, [REFERENCE_SPEED_MPS]);
  if (result?.outcome !== 'turning') return null;
  return [result.tipSpeedRatio, result.spreadRad, result.dragAreaM2 / blade.planAreaM2];
}

function calibrate(pattern: BladePattern) {
  const reference = PATTERNS[pattern].reference;
  const target = [reference.tipSpeedRatio, (reference.spreadDeg * Math.PI) / 180, reference.dragCoefficient];
  let best: { coefficients: ReferenceCoefficients; missPercent: number } | null = null;
  for (const setAngle of [0.15, 0.3, 0.45]) {
    for (const edgeDrag of [0.05, 0.15, 0.3]) {
      const fit = levenbergMarquardt(
        { x: [0, 1, 2], y: [1, 1, 1] },
        ([setAngleRad = 0, flapFactor = 0, edge = 0]) => {
          const got = behaviour(pattern, { setAngleRad, flapFactor, edgeDrag: edge });
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
      const got = behaviour(pattern, coefficients);
      if (!got) continue;
      const missPercent = Math.max(...got.map((value, i) => Math.abs(value / (target[i] ?? 1) - 1))) * 100;
      if (!best || missPercent < best.missPercent) best = { coefficients, missPercent };
    }
  }
  if (!best || best.missPercent > 0.1)
    throw new Error(`calibrate: ${pattern} misses by ${String(best?.missPercent)} %`);
  return best;
}

const patterns: Record<string, ReferenceCoefficients> = {};
for (const pattern of BLADE_PATTERNS) {
  const { coefficients, missPercent } = calibrate(pattern);
  patterns[pattern] = {
    setAngleRad: Number(coefficients.setAngleRad.toFixed(6)),
    flapFactor: Number(coefficients.flapFactor.toFixed(6)),
    edgeDrag: Number(coefficients.edgeDrag.toFixed(6)),
  };
  const degrees = ((coefficients.setAngleRad * 180) / Math.PI).toFixed(2);
  console.log(
    `${pattern.padEnd(14)} ψ ${degrees}°  k_c ${coefficients.flapFactor.toFixed(3)}  C_A ${coefficients.edgeDrag.toFixed(4)}  worst miss ${missPercent.toFixed(4)} %`,
  );
}

/** Geometric means over the reference blades of the two stall parameters at the edges of the time-domain band. */
function quickStall(): { frozen: number; free: number } {
  const edges = BLADE_PATTERNS.map((pattern) => {
    const blade = spinBlade(referenceBlade(pattern), REFERENCE_WATER_DENSITY_KGM3, patterns[pattern]);
    const setting = { waterDensityKgM3: REFERENCE_WATER_DENSITY_KGM3, slopeRad: 0 };
    const stall = stallSpeed(blade, GOOD_CLEVIS_BEARING, setting);
    if (stall.outcome !== 'stalls') throw new Error(`calibrate: ${pattern} does not stall: ${stall.outcome}`);
    const at = (speedMps: number) =>
      stallParameters(blade, GOOD_CLEVIS_BEARING, REFERENCE_WATER_DENSITY_KGM3, speedMps);
    const [{ frozen }, { free }] = [at(stall.lowMps), at(stall.highMps)];
    console.log(
      `${pattern.padEnd(14)} stalls ${stall.lowMps.toFixed(3)}…${stall.highMps.toFixed(3)} m/s  ${frozen.toFixed(2)} ${free.toFixed(2)}`,
    );
    return { frozen, free };
  });
  const mean = (values: number[]) =>
    Number(Math.exp(values.reduce((sum, value) => sum + Math.log(value), 0) / values.length).toFixed(3));
  return { frozen: mean(edges.map(({ frozen }) => frozen)), free: mean(edges.map(({ free }) => free)) };
}

const found = { madeBy: 'npm run calibrate', speedMps: REFERENCE_SPEED_MPS, patterns, quickStall: quickStall() };
writeFileSync(OUTPUT, `${JSON.stringify(found, null, 2)}\n`);
