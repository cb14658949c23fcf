import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { figures, measured, percent } from '@/testing/measured';
import { slowDepth } from '@/testing/slow-line';
import {
  lineShapes,
  lineWeight,
  type FishingLine,
  type LinePull,
  type LineSetting,
  type LineShape,
} from './towed-line';

const RHO = 998;
const NYLON: FishingLine = {
  diameterM: 0.0003,
  densityKgM3: 1140,
  normalDrag: 1.2,
  viscosityM2S: null,
  skinDrag: 0.01,
};
const WEIGHTLESS: FishingLine = { ...NYLON, densityKgM3: RHO, skinDrag: 0 };
const AT_SURFACE: LineSetting = { waterDensityKgM3: RHO, speedMps: 0.8, tipHeightM: 0 };

function shape(line: FishingLine, pull: LinePull, setting: LineSetting, lengthM: number, steps?: number): LineShape {
  const [only] = lineShapes(line, pull, setting, [lengthM], steps);
  if (!only) throw new Error('one length, one answer');
  return only;
}

function depth(...asked: Parameters<typeof shape>): number {
  const found = shape(...asked);
  if (found.outcome !== 'sinks') throw new Error(`it ${found.outcome}`);
  return found.depthM;
}

describe('a towed line', () => {
  it('weightless, without skin drag: 15 m of 0.30 mm at 0.8 m/s behind 0.20 N aft and 0.10 N down runs 2.967 m deep', () => {
    const found = depth(WEIGHTLESS, { aftN: 0.2, downN: 0.1 }, AT_SURFACE, 15);
    expect(found).toBeCloseTo(2.967, 3);
    measured(
      'Published and worked values',
      'Towed line 0.30 mm, C_n 1.2, 0.8 m/s, 0.20 N back, 0.10 N down, 15 m, weightless, no skin drag',
      `${figures(found, 4)} m`,
      '2.967 m',
      'worked case of the model note',
    );
  });

  it('without any drag and weight it is straight; a neutral lure on a neutral line rides at the tip’s level', () => {
    const free = { ...WEIGHTLESS, normalDrag: 0 };
    for (const lengthM of [1, 8, 40]) {
      expect(depth(free, { aftN: 0.3, downN: 0.4 }, AT_SURFACE, lengthM)).toBeCloseTo(lengthM * 0.8, 6);
    }
    expect(shape(free, { aftN: 0.3, downN: 0 }, AT_SURFACE, 10)).toEqual({ outcome: 'rises' });
    expect(depth(free, { aftN: 0.3, downN: 1e-9 }, AT_SURFACE, 10)).toBeLessThan(1e-6);
    measured(
      'Limits and identities',
      'A weightless line without drag, 40 m',
      `${figures(depth(free, { aftN: 0.3, downN: 0.4 }, AT_SURFACE, 40), 8)} m deep`,
      'straight: 32 m',
    );
    measured(
      'Limits and identities',
      'A neutral lure on a neutral line, 10 m',
      `${figures(depth(free, { aftN: 0.3, downN: 1e-9 }, AT_SURFACE, 10), 1)} m below the tip`,
      'at the tip’s level',
    );
  });

  it('straight, what is in the air is what reaches from the surface to the tip', () => {
    const free = { ...WEIGHTLESS, normalDrag: 0 };
    const found = shape(free, { aftN: 0.3, downN: 0.4 }, { ...AT_SURFACE, tipHeightM: 2 }, 10);
    if (found.outcome !== 'sinks') throw new Error('it sinks');
    expect(found.depthM).toBeCloseTo(6, 9);
    expect(found.inWaterM).toBeCloseTo(7.5, 9);
    expect(shape(free, { aftN: 0.3, downN: 0.4 }, { ...AT_SURFACE, tipHeightM: 8.1 }, 10)).toEqual({
      outcome: 'surfaces',
    });
  });

  it('a line of the lure’s weight a metre and no flow hangs as a catenary', () => {
    const heavy: FishingLine = {
      diameterM: 0.002,
      densityKgM3: 8000,
      normalDrag: 1.2,
      viscosityM2S: null,
      skinDrag: 0.01,
    };
    const still = { ...AT_SURFACE, speedMps: 0 };
    const [aftN, downN, lengthM] = [0.5, 0.2, 6];
    const w = lineWeight(heavy, RHO);
    const byHand = (Math.hypot(aftN, downN + w * lengthM) - Math.hypot(aftN, downN)) / w;
    expect(depth(heavy, { aftN, downN }, still, lengthM)).toBeCloseTo(byHand, 4);
    measured(
      'Published and worked values',
      'A heavy line in still water, 6 m',
      `${figures(depth(heavy, { aftN, downN }, still, lengthM), 5)} m`,
      `${figures(byHand, 5)} m`,
      'the catenary',
    );
  });

  it('agrees with short straight pieces walked one by one, and with twice the steps', () => {
    let compared = 0;
    const off = { slow: 0, mesh: 0 };
    fc.assert(
      fc.property(
        fc.record({
          diameterM: fc.double({ min: 0.0001, max: 0.0008, noNaN: true }),
          densityKgM3: fc.double({ min: 970, max: 1700, noNaN: true }),
          viscosityM2S: fc.constantFrom(null, 1e-6),
          normalDrag: fc.double({ min: 0.8, max: 1.6, noNaN: true }),
          skinDrag: fc.double({ min: 0, max: 0.03, noNaN: true }),
        }),
        fc.double({ min: 0.05, max: 1.5, noNaN: true }),
        fc.double({ min: 0.03, max: 0.6, noNaN: true }),
        fc.double({ min: 0.2, max: 2.5, noNaN: true }),
        fc.double({ min: 2, max: 60, noNaN: true }),
        (line, aftN, downN, speedMps, lengthM) => {
          const setting = { ...AT_SURFACE, speedMps };
          const found = shape(line, { aftN, downN }, setting, lengthM);
          if (found.outcome !== 'sinks') return;
          compared++;
          const slow = slowDepth(line, { aftN, downN }, setting, found.inWaterM, found.inWaterM / 20_000);
          const fine = depth(line, { aftN, downN }, setting, lengthM, 240);
          off.slow = Math.max(off.slow, Math.abs(found.depthM - slow) / slow);
          off.mesh = Math.max(off.mesh, Math.abs(fine / found.depthM - 1));
          expect(Math.abs(found.depthM - slow)).toBeLessThan(0.004 * slow + 0.002);
          expect(Math.abs(fine / found.depthM - 1)).toBeLessThan(1e-3);
        },
      ),
      { seed: 31, numRuns: 60 },
    );
    expect(compared).toBeGreaterThan(25);
    measured(
      'Second implementations',
      `Towed line, ${compared} random ones: 20,000 short straight pieces walked one by one`,
      `depth within ${percent(off.slow)}`,
      'within 0.4 % and 2 mm',
    );
    measured(
      'Meshes',
      `Towed line, ${compared} random ones: twice the steps`,
      `depth within ${percent(off.mesh)}`,
      'within 0.1 %',
    );
  });

  it('deeper with more line, more weight, less drag, less speed and thinner line; never deeper than it is long', () => {
    const pull = { aftN: 0.3, downN: 0.12 };
    const usual = { ...AT_SURFACE, tipHeightM: 1 };
    const lengths = [5, 10, 20, 40, 80];
    const depths = lineShapes(NYLON, pull, usual, lengths).map((each) => (each.outcome === 'sinks' ? each.depthM : 0));
    expect(depths).toEqual(depths.toSorted((a, b) => a - b));
    depths.forEach((each, i) => expect(each).toBeLessThan(lengths[i] ?? 0));
    const base = depth(NYLON, pull, usual, 20);
    expect(depth(NYLON, { ...pull, downN: 0.15 }, usual, 20)).toBeGreaterThan(base);
    expect(depth(NYLON, { ...pull, aftN: 0.36 }, usual, 20)).toBeLessThan(base);
    expect(depth(NYLON, pull, { ...usual, speedMps: 1 }, 20)).toBeLessThan(base);
    expect(depth({ ...NYLON, diameterM: 0.00015 }, pull, usual, 20)).toBeGreaterThan(base);
  });

  it('many lengths at once are the same as each alone, in whatever order they are asked', () => {
    const pull = { aftN: 0.25, downN: 0.1 };
    const lengths = [30, 5, 12, 60];
    const together = lineShapes(NYLON, pull, AT_SURFACE, lengths, 2000);
    lengths.forEach((lengthM, i) => {
      const [both, alone] = [together[i], shape(NYLON, pull, AT_SURFACE, lengthM, 2000)];
      if (both?.outcome !== 'sinks' || alone.outcome !== 'sinks') throw new Error('both sink');
      expect(both.depthM).toBeCloseTo(alone.depthM, 4);
    });
  });

  it('a floating line comes up and lies on the surface; a lure that pulls up is not of this model', () => {
    const floating = { ...NYLON, densityKgM3: 600, diameterM: 0.002 };
    const short = shape(floating, { aftN: 0.2, downN: 0.05 }, AT_SURFACE, 30);
    const long = shape(floating, { aftN: 0.2, downN: 0.05 }, AT_SURFACE, 60);
    if (short.outcome !== 'sinks' || long.outcome !== 'sinks') throw new Error('the lure hangs under it');
    expect(long.inWaterM).toBeLessThan(30);
    expect(long.depthM).toBeCloseTo(short.depthM, 2);
    expect(shape(NYLON, { aftN: 0.2, downN: -0.01 }, AT_SURFACE, 60)).toEqual({ outcome: 'rises' });
  });

  it('is finite for anything it is asked', () => {
    for (const speedMps of [0, 0.1, 5]) {
      for (const downN of [-1, 0, 1e-6, 3]) {
        for (const each of lineShapes(NYLON, { aftN: 0.01, downN }, { ...AT_SURFACE, speedMps }, [0, 0.5, 300])) {
          if (each.outcome === 'sinks') expect(Number.isFinite(each.depthM + each.inWaterM + each.tipPullN)).toBe(true);
        }
      }
    }
  });
});
