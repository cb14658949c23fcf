import fc from 'fast-check';
import { afterAll, describe, expect, it } from 'vitest';
import { figures, measured, percent } from '@/testing/measured';
import { slowSpin } from '@/testing/slow-spin';
import { BLADE_PATTERNS, PATTERNS } from '../parts/blade-pattern';
import { partsOfKind } from '../parts/catalogue';
import { bladeStrips, planArea } from '../parts/outline';
import { findRoot } from '../root';
import { meanSpin } from './round-the-turn';
import { steadySpin, type Turning } from './spin';
import { GOOD_CLEVIS_BEARING, type Bearing, type SpinBlade } from './blade-loads';
import {
  REFERENCE_SPEED_MPS,
  REFERENCE_WATER_DENSITY_KGM3 as RHO,
  referenceBlade,
  referenceCoefficients,
  spinBlade,
  type MeasuredBlade,
} from './spin-blade';
import { inductionFactor, wakeDeficit } from './wake';
import { LAKE_WATER, waterDensity } from './water';

const FREE: Bearing = { ...GOOD_CLEVIS_BEARING, friction: 0, faceFriction: 0 };
const BLADES = partsOfKind('blade');

function turn(blade: MeasuredBlade, speedMps: number, bearing = GOOD_CLEVIS_BEARING): Turning {
  const [outcome] = steadySpin(spinBlade(blade, RHO), bearing, RHO, [speedMps]);
  if (outcome?.outcome !== 'turning') throw new Error(`expected to turn: ${JSON.stringify(outcome)}`);
  return outcome;
}

/** The flat ellipse of the model note's verification case. */
function verificationBlade(strips: number): SpinBlade {
  const outline = { widestAt: 0.5, root: { p: 2, e: 0.5 }, tip: { p: 2, e: 0.5 } };
  const shape = { lengthM: 0.03, widthM: 0.024, cupDepthM: 0, holeOffsetM: 0.0018 };
  return {
    strips: bladeStrips(outline, shape, strips),
    lengthM: 0.03,
    planAreaM2: planArea(outline, shape),
    sheetMassKgM2: 8500 * 0.0006,
    reachM: 0.0282,
    weightInWaterN: 0,
    lobes: 1,
    fixedSpreadRad: null,
    coefficients: { setAngleRad: (20 * Math.PI) / 180, flapFactor: 0.5, edgeDrag: 0.25 },
  };
}

describe('steady spin', () => {
  const off = { reference: 0, rate: 0, drag: 0 };
  afterAll(() => {
    measured(
      'Published and worked values',
      'Reference behaviour of all eight patterns at 0.8 m/s: λ, β, D/(½ρU²A), worst miss',
      percent(off.reference),
      'within 0.2 %',
      'trade estimates of the model note, which the coefficients are calibrated to',
    );
    measured(
      'Second implementations',
      `Spin of ${BLADES.length} catalogue blades: 1,500 strips and nested bisection from the equations alone`,
      `rate within ${percent(off.rate)}, drag within ${percent(off.drag)}`,
      'within 0.4 % and 1.2 %',
    );
  });

  it('meets the verification case: 6.490 turns/s, 37.42°, 0.0547 N', () => {
    const [outcome] = steadySpin(verificationBlade(20), FREE, 998, [0.8]);
    expect(outcome).toMatchObject({ outcome: 'turning' });
    if (outcome?.outcome !== 'turning') return;
    expect(outcome.rateHz).toBeCloseTo(6.49, 3);
    expect((outcome.spreadRad * 180) / Math.PI).toBeCloseTo(37.42, 2);
    expect(outcome.dragN).toBeCloseTo(0.0547, 4);
    measured(
      'Published and worked values',
      'Flat ellipse, no hollow, no friction, at 0.8 m/s',
      `${figures(outcome.rateHz, 4)} a second, ${figures((outcome.spreadRad * 180) / Math.PI, 4)}°, ${figures(outcome.dragN)} N`,
      '6.490 a second, 37.42°, 0.0547 N',
      'worked case of the model note',
    );
  });

  it.each(BLADE_PATTERNS)('%s shows its reference behaviour at 0.8 m/s, on the mean round the turn', (pattern) => {
    const { tipSpeedRatio, spreadDeg, dragCoefficient } = PATTERNS[pattern].reference;
    const blade = referenceBlade(pattern);
    const [got] = meanSpin(spinBlade(blade, RHO), GOOD_CLEVIS_BEARING, RHO, [REFERENCE_SPEED_MPS]);
    if (got?.outcome !== 'turning') throw new Error('a reference blade turns');
    off.reference = Math.max(
      off.reference,
      Math.abs(got.tipSpeedRatio / tipSpeedRatio - 1),
      Math.abs((got.spreadRad * 180) / Math.PI / spreadDeg - 1),
      Math.abs(got.dragAreaM2 / spinBlade(blade, RHO).planAreaM2 / dragCoefficient - 1),
    );
    expect(Math.abs(got.tipSpeedRatio / tipSpeedRatio - 1)).toBeLessThan(0.002);
    expect(Math.abs((got.spreadRad * 180) / Math.PI - spreadDeg)).toBeLessThan(0.1);
    expect(Math.abs(got.dragAreaM2 / spinBlade(blade, RHO).planAreaM2 / dragCoefficient - 1)).toBeLessThan(0.002);
    expect(referenceCoefficients(pattern).flapFactor).toBeGreaterThan(0.3);
    expect(referenceCoefficients(pattern).flapFactor).toBeLessThan(1.2);
  });

  it.each(BLADES.map((blade) => [blade.id, blade] as const))(
    '%s agrees with the slow second implementation',
    (_, blade) => {
      const fast = turn(blade, 0.7);
      const { weightInWaterN } = spinBlade(blade, RHO);
      const slow = slowSpin(blade, GOOD_CLEVIS_BEARING, RHO, weightInWaterN, 0.7);
      if (!slow) throw new Error('the slow implementation found no turning state');
      off.rate = Math.max(off.rate, Math.abs(fast.rateHz / slow.rateHz - 1));
      off.drag = Math.max(off.drag, Math.abs(fast.dragN / slow.dragN - 1));
      expect(Math.abs(fast.rateHz / slow.rateHz - 1)).toBeLessThan(0.004);
      expect(Math.abs(fast.spreadRad - slow.spreadRad)).toBeLessThan(0.003);
      expect(Math.abs(fast.dragN / slow.dragN - 1)).toBeLessThan(0.012);
    },
  );

  it('does not hang on the number of strips: twice as many change little', () => {
    const off = { rate: 0, drag: 0 };
    for (const blade of BLADES) {
      const coarse = spinBlade(blade, RHO);
      const strips = bladeStrips(PATTERNS[blade.pattern].outline, blade, 2 * coarse.strips.count);
      const [at, fine] = [coarse, { ...coarse, strips }].map(
        (each) => steadySpin(each, GOOD_CLEVIS_BEARING, RHO, [0.7])[0],
      );
      if (at?.outcome !== 'turning' || fine?.outcome !== 'turning') throw new Error(`${blade.id} turns`);
      off.rate = Math.max(off.rate, Math.abs(fine.rateHz / at.rateHz - 1));
      off.drag = Math.max(off.drag, Math.abs(fine.dragN / at.dragN - 1));
    }
    expect(off.rate).toBeLessThan(0.004);
    expect(off.drag).toBeLessThan(0.012);
    measured(
      'Meshes',
      `Spin of ${BLADES.length} catalogue blades: twice the strips`,
      `rate within ${percent(off.rate)}, drag within ${percent(off.drag)}`,
      'within 0.4 % and 1.2 %',
    );
  });

  it('without friction λ and β do not depend on speed, and rate is in proportion to it', () => {
    let worst = 0;
    for (const blade of BLADES) {
      const [slow, fast] = [turn(blade, 0.3, FREE), turn(blade, 1.5, FREE)];
      worst = Math.max(worst, Math.abs(fast.rateHz / slow.rateHz / 5 - 1));
      expect(fast.tipSpeedRatio).toBeCloseTo(slow.tipSpeedRatio, 5);
      expect(fast.spreadRad).toBeCloseTo(slow.spreadRad, 5);
      expect(fast.rateHz / slow.rateHz).toBeCloseTo(5, 4);
    }
    measured(
      'Limits and identities',
      'Without friction the rate goes with the speed, 0.3 to 1.5 m/s, all catalogue blades: worst miss',
      percent(worst, 1),
      'within 0.01 %',
    );
  });

  it('no flow, no spin; beyond the model, a named outcome with its limit', () => {
    const blade = spinBlade(referenceBlade('french'), RHO);
    const outcomes = steadySpin(blade, GOOD_CLEVIS_BEARING, RHO, [0, 6, -1, Number.NaN]);
    expect(outcomes[0]).toEqual({ outcome: 'doesNotTurn', reason: 'noFlow' });
    expect(outcomes[1]).toEqual({ outcome: 'outsideModel', quantity: 'speedMps', value: 6, limit: 5 });
    expect(outcomes.slice(2).map(({ outcome }) => outcome)).toEqual(['outsideModel', 'outsideModel']);
    const noArea = { ...blade, planAreaM2: 0 };
    expect(steadySpin(noArea, GOOD_CLEVIS_BEARING, RHO, [1])[0]).toMatchObject({ quantity: 'planAreaM2' });
    measured('Limits and identities', 'No flow', 'no spin', 'no spin');
  });

  it('a massless flat blade trails along the wire', () => {
    const massless = { ...verificationBlade(20), sheetMassKgM2: 0 };
    const [outcome] = steadySpin(massless, FREE, 998, [0.8]);
    const [heavy] = steadySpin(verificationBlade(20), FREE, 998, [0.8]);
    if (heavy?.outcome !== 'turning') throw new Error('the flat ellipse turns');
    measured(
      'Limits and identities',
      'A massless flat blade',
      outcome?.outcome === 'turning'
        ? `trails at ${figures((outcome.spreadRad * 180) / Math.PI, 2)}°`
        : 'trails and does not turn',
      'trails along the wire',
    );
    if (outcome?.outcome === 'turning') expect(outcome.spreadRad).toBeLessThan(heavy.spreadRad / 5);
    else expect(outcome?.outcome).toBe('doesNotTurn');
  });

  it('the flow pays for the friction: drag power is never less', () => {
    for (const blade of BLADES) {
      for (const speed of [0.4, 0.8, 1.6]) {
        const got = turn(blade, speed);
        expect(got.dragN * speed).toBeGreaterThan(got.frictionTorqueNm * 2 * Math.PI * got.rateHz);
        expect(got.driveTorqueNm).toBeCloseTo(got.frictionTorqueNm, 9);
      }
    }
  });

  it('a rusty swivel holds a small blade at a speed at which a free one turns', () => {
    const at = (steadyTorqueNm: number) =>
      steadySpin(spinBlade(referenceBlade('french'), RHO), { ...GOOD_CLEVIS_BEARING, steadyTorqueNm }, RHO, [0.5])[0];
    expect(at(3e-6)?.outcome).toBe('turning');
    expect(at(150e-6)).toEqual({ outcome: 'doesNotTurn', reason: 'frictionHoldsIt' });
  });

  it('any blade, any speed: finite and positive, or a named outcome; rate never falls as speed rises', () => {
    let turned = 0;
    fc.assert(
      fc.property(
        fc.constantFrom(...BLADE_PATTERNS),
        fc.double({ min: 0.012, max: 0.09, noNaN: true }),
        fc.double({ min: 0.25, max: 0.95, noNaN: true }),
        fc.double({ min: 0, max: 0.3, noNaN: true }),
        fc.double({ min: 0.0002, max: 0.0015, noNaN: true }),
        fc.constantFrom('brass', 'stainless', 'aluminium', 'plastic') as fc.Arbitrary<MeasuredBlade['material']>,
        (pattern, lengthM, slimness, cup, thicknessM, material) => {
          const widthM = lengthM * slimness;
          const blade: MeasuredBlade = {
            pattern,
            lengthM,
            widthM,
            thicknessM,
            cupDepthM: cup * widthM,
            holeOffsetM: 0.0016,
            material,
            texture: 'smooth',
          };
          const outcomes = steadySpin(spinBlade(blade, RHO), GOOD_CLEVIS_BEARING, RHO, [0.15, 0.4, 0.9, 2]);
          let last = 0;
          for (const outcome of outcomes) {
            expect(['turning', 'doesNotTurn', 'outsideModel']).toContain(outcome.outcome);
            if (outcome.outcome !== 'turning') continue;
            turned++;
            for (const value of Object.values(outcome)) if (typeof value === 'number') expect(value).not.toBeNaN();
            expect(outcome.rateHz).toBeGreaterThan(last);
            expect(outcome.dragN).toBeGreaterThan(0);
            last = outcome.rateHz;
          }
        },
      ),
      { seed: 21, numRuns: 300 },
    );
    expect(turned).toBeGreaterThan(500);
  });
});

describe('wake', () => {
  it('slows the water behind, most just behind a heavy blade, and mixes away', () => {
    const front = turn(referenceBlade('colorado'), 0.8);
    const deficits = [0, 0.02, 0.04].map((x) => wakeDeficit(front, x, front.tipRadiusM));
    expect(deficits).toEqual([...deficits].sort((a, b) => a - b));
    expect(wakeDeficit(front, 1, front.tipRadiusM)).toBeLessThan(0.5 * (deficits[2] ?? 0));
    expect(wakeDeficit(front, 0.03, 3 * front.tipRadiusM)).toBeLessThan(wakeDeficit(front, 0.03, front.tipRadiusM));
  });

  it('follows momentum theory to a = 0.4 and goes on without a step', () => {
    measured(
      'Published and worked values',
      'Induction of an actuator disc at C_T 0.96',
      figures(inductionFactor(0.96), 4),
      '0.4, where Buhl’s line takes over',
      'Buhl, NREL/TP-500-36834 (2005)',
    );
    for (const ct of [0, 0.3, 0.6, 0.9]) {
      const a = inductionFactor(ct);
      expect(4 * a * (1 - a)).toBeCloseTo(ct, 12);
    }
    expect(inductionFactor(0.96)).toBeCloseTo(0.4, 6);
    expect(inductionFactor(0.9601)).toBeCloseTo(0.4, 2);
    expect(inductionFactor(1.2)).toBeGreaterThan(0.5);
  });
});

describe('tools of the solver', () => {
  it('finds roots in brackets and says when there is none', () => {
    const root = findRoot((x) => x ** 3 - 2, 0, 2, 1e-12);
    expect(root).toMatchObject({ outcome: 'converged' });
    if (root.outcome === 'converged') expect(root.x).toBeCloseTo(2 ** (1 / 3), 10);
    expect(findRoot((x) => x * x + 1, -1, 1, 1e-9).outcome).toBe('noBracket');
    expect(findRoot((x) => (x > 0.4 ? Number.NaN : -1), 0, 1, 1e-9, -1, 1).outcome).toBe('notFinite');
  });

  it('knows the density of water: 998.2 at 20 °C, 999.97 at 4 °C, about 1025 in the sea', () => {
    expect(waterDensity(LAKE_WATER)).toBeCloseTo(998.2, 1);
    expect(waterDensity({ temperatureK: 277.13, salinityGPerKg: 0 })).toBeCloseTo(999.97, 2);
    measured(
      'Published and worked values',
      'Density of fresh water at 4 and 20 °C',
      `${figures(waterDensity({ temperatureK: 277.13, salinityGPerKg: 0 }), 5)} and ${figures(waterDensity(LAKE_WATER), 4)} kg/m³`,
      '999.97 and 998.2 kg/m³',
      'Kell, J. Chem. Eng. Data 20 (1975)',
    );
    expect(waterDensity({ temperatureK: 288.15, salinityGPerKg: 35 })).toBeGreaterThan(1025);
    expect(waterDensity({ temperatureK: 288.15, salinityGPerKg: 35 })).toBeLessThan(1028);
  });
});
