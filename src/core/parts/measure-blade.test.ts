import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { agreementWords, measuredWords } from '../../words/measuring-words';
import { PATTERNS } from './blade-pattern';
import { partsOfKind } from './catalogue';
import { densityOf } from './material';
import { massFromGeometry } from './mass';
import { bladeFromReadings, type BladeReadings } from './measure-blade';
import { sheetArea } from './outline';
import type { Blade } from './kinds/blade';

const BLADES = partsOfKind('blade').filter(({ texture }) => texture === 'smooth');

/** What caliper and scale would read on this blade, its mass exactly that of its geometry. */
function readingsOn(blade: Blade): BladeReadings & { thicknessM: number; crownM: number; massKg: number } {
  const { pattern, material, lengthM, widthM, holeDiameterM, holeOffsetM, thicknessM, cupDepthM } = blade;
  return {
    pattern,
    material,
    lengthM,
    widthM,
    holeDiameterM,
    rootToHoleM: holeOffsetM - holeDiameterM / 2,
    thicknessM,
    crownM: cupDepthM + thicknessM,
    massKg: massFromGeometry(blade),
  };
}

describe('a blade from caliper and scale', () => {
  it.each(['thicknessM', 'crownM', 'massKg'] as const)('gives any catalogue blade back without its %s', (left) => {
    for (const blade of BLADES) {
      const got = bladeFromReadings({ ...readingsOn(blade), [left]: null });
      if (got.outcome !== 'measured') throw new Error(`${blade.id}: ${JSON.stringify(got)}`);
      expect(got.computed).toBe(left);
      expect(got.agreement).toBeNull();
      expect(got.thicknessM).toBeCloseTo(blade.thicknessM, 5);
      expect(got.holeOffsetM).toBeCloseTo(blade.holeOffsetM, 9);
      // A shallow hollow hardly stretches the sheet, so its depth is told by the mass only roughly.
      expect(Math.abs(got.cupDepthM - blade.cupDepthM)).toBeLessThan(1e-4);
      const area = sheetArea(PATTERNS[blade.pattern].outline, { ...blade, cupDepthM: got.cupDepthM });
      const hole = (Math.PI / 4) * blade.holeDiameterM ** 2;
      expect((area - hole) * got.thicknessM * densityOf(blade.material)).toBeCloseTo(got.massKg, 6);
    }
  });

  it('with all three readings checks mass against measures instead', () => {
    for (const blade of BLADES) {
      const right = bladeFromReadings(readingsOn(blade));
      expect(right).toMatchObject({ outcome: 'measured', computed: null });
      if (right.outcome === 'measured') expect(right.agreement).toBeCloseTo(1, 9);
      const heavy = bladeFromReadings({ ...readingsOn(blade), massKg: massFromGeometry(blade) * 1.4 });
      if (heavy.outcome !== 'measured' || heavy.agreement === null) throw new Error('measured');
      expect(heavy.agreement).toBeCloseTo(1 / 1.4, 9);
      expect(agreementWords(heavy.agreement, 'brass')).toMatch(/29 % less.*heavier metal/);
    }
    expect(agreementWords(1, 'brass')).toMatch(/agrees/);
    expect(agreementWords(1.08, 'brass')).toMatch(/8 % more than the scale: that agrees/);
    expect(agreementWords(1.3, 'copper')).toMatch(/In copper .*30 % more.*lighter metal/);
  });

  it('says what is missing and what cannot be, never throws, never gives a number that is none', () => {
    const measures = fc.record({
      lengthM: fc.double({ min: 0.001, max: 0.1, noNaN: true }),
      widthM: fc.double({ min: 0.001, max: 0.1, noNaN: true }),
      holeDiameterM: fc.double({ min: 0.0002, max: 0.01, noNaN: true }),
      rootToHoleM: fc.double({ min: 0.0001, max: 0.02, noNaN: true }),
      thicknessM: fc.option(fc.double({ min: 0.0001, max: 0.004, noNaN: true })),
      crownM: fc.option(fc.double({ min: 0.0001, max: 0.02, noNaN: true })),
      massKg: fc.option(fc.double({ min: 0.00001, max: 0.1, noNaN: true })),
    });
    const seen = new Set<string>();
    fc.assert(
      fc.property(measures, fc.constantFrom(...BLADES), (readings, { pattern, material }) => {
        const got = bladeFromReadings({ ...readings, pattern, material });
        seen.add(got.outcome === 'impossible' ? got.reason : got.outcome);
        const words = measuredWords(got, 'metric');
        expect([words.title, ...words.lines].join(' ')).not.toMatch(/NaN|undefined|Infinity/);
        if (got.outcome !== 'measured') return;
        for (const value of [got.thicknessM, got.massKg]) expect(value).toBeGreaterThan(0);
        expect(got.cupDepthM).toBeGreaterThanOrEqual(0);
      }),
      { numRuns: 400, seed: 11 },
    );
    expect([...seen].sort()).toEqual(
      [
        'crownBelowThickness',
        'holeOutside',
        'holeTooWide',
        'measured',
        'tooFew',
        'tooHeavy',
        'tooLight',
        'wider',
      ].sort(),
    );
    expect(measuredWords(null, 'metric').title).toMatch(/come first/);
  });
});
