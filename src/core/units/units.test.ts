import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readingProblemWords, tradeSizeProblemWords } from '../../words/problem-words';
import { UNITS, unitsOf, type QuantityKind, type UnitId } from './quantity';
import { readQuantity } from './read';
import { readTradeSize, tradeSizeRank, TRADE_SCALES, writeTradeSize, type TradeScale } from './trade-size';
import { showLength, showMass, writeExact } from './write';

const KINDS: QuantityKind[] = ['length', 'mass', 'temperature', 'speed'];

describe('what people type', () => {
  const typed: [QuantityKind, UnitId, string, number][] = [
    ['mass', 'g', '7/16 oz', (7 / 16) * 0.028349523125],
    ['length', 'mm', '.038', 0.0009652],
    ['length', 'mm', ',038', 0.0009652],
    ['length', 'mm', '0.9 mm', 0.0009],
    ['length', 'mm', '0,9mm', 0.0009],
    ['length', 'mm', '5', 0.005],
    ['length', 'in', '20', 0.508],
    ['length', 'mm', '1 3/4"', 0.04445],
    ['length', 'mm', '1-3/4 in', 0.04445],
    ['length', 'mm', '1¾″', 0.04445],
    ['length', 'mm', '3/32 in', 0.00238125],
    ['length', 'mm', '3⁄32', 0.00238125],
    ['length', 'mm', '20 in', 0.508],
    ['length', 'mm', '2 ft', 0.6096],
    ['temperature', 'C', '46F', ((46 + 459.67) * 5) / 9],
    ['temperature', 'C', '8 °C', 281.15],
    ['temperature', 'C', '-4', 269.15],
    ['speed', 'mps', '1.5 mph', 0.67056],
    ['speed', 'mps', '3.6 km/h', 1],
    ['mass', 'g', '180 gr', 0.0116638038],
  ];
  it.each(typed)('%s, bare %s: %s', (kind, bare, text, si) => {
    const reading = readQuantity(kind, text, { bare });
    expect(reading).toMatchObject({ ok: true });
    if (reading.ok) expect(reading.si).toBeCloseTo(si, 12);
  });

  const wrong: [QuantityKind, string, string, RegExp][] = [
    ['length', '', 'empty', /Type a length/],
    ['length', 'five mm', 'noNumber', /does not start with a number/],
    ['length', '5 parsecs', 'unknownUnit', /not a unit of length/],
    ['length', '5 oz', 'wrongKind', /measures mass, not length/],
    ['mass', '1/0', 'noNumber', /7\/16 oz/],
    ['length', '1.2.3 mm', 'noNumber', /Write it like/],
    ['length', '11 mm', 'outOfRange', /too much: from 1 mm to 10 mm/],
    ['length', '0', 'outOfRange', /too little: from 1 mm to 10 mm/],
  ];
  it.each(wrong)('%s “%s” is refused as %s and told what would be right', (kind, text, code, words) => {
    const reading = readQuantity(kind, text, { bare: 'mm', minSi: 0.001, maxSi: 0.01 });
    expect(reading.ok).toBe(false);
    if (reading.ok) return;
    expect(reading.problem.code).toBe(code);
    expect(readingProblemWords(reading.problem)).toMatch(words);
  });

  it('never throws, whatever is typed, and never reads a value that is not finite', () => {
    fc.assert(
      fc.property(fc.constantFrom(...KINDS), fc.string({ maxLength: 24 }), (kind, text) => {
        const reading = readQuantity(kind, text, { bare: unitsOf(kind)[0] ?? 'mm' });
        if (reading.ok) expect(Number.isFinite(reading.si)).toBe(true);
        else expect(readingProblemWords(reading.problem).length).toBeGreaterThan(10);
      }),
      { seed: 11, numRuns: 2000 },
    );
  });
});

describe('write, then read, gives the same value', () => {
  const unitIds = Object.keys(UNITS) as UnitId[];
  it('to the last bit, in every unit', () => {
    const value = fc.oneof(
      fc.double({ min: 1e-6, max: 1e4, noNaN: true }),
      fc.integer({ min: 1, max: 640 }).map((n) => (n / 64) * 0.0254),
      fc.integer({ min: 1, max: 128 }).map((n) => (n / 64) * 0.028349523125),
    );
    fc.assert(
      fc.property(fc.constantFrom(...unitIds), value, (unitId, si) => {
        const reading = readQuantity(UNITS[unitId].kind, writeExact(si, unitId), { bare: unitId });
        expect(reading).toEqual({ ok: true, si, unit: unitId });
      }),
      { seed: 12, numRuns: 3000 },
    );
  });

  it('inches and ounces come out as the fractions of the trade', () => {
    expect(writeExact(0.04445, 'in')).toBe('1 3/4 in');
    expect(writeExact((7 / 16) * 0.028349523125, 'oz')).toBe('7/16 oz');
    expect(showLength(0.0009652, 'trade')).toBe('.038 in');
    expect(showMass((7 / 16) * 0.028349523125, 'trade')).toBe('7/16 oz');
    expect(() => writeExact(Number.NaN, 'mm')).toThrow(/finite/);
  });
});

describe('trade sizes', () => {
  const ascending: [TradeScale, string[]][] = [
    ['blade', ['00', '0', '½', '1', '#1½', '2', '3', '#3½', '4', '8']],
    ['clevis', ['00', '0', '1', '2']],
    ['ring', ['0', '1', '2', '3']],
    ['swivel', ['12', '10', '7', '2', '1', '1/0', '3/0']],
    ['hook', ['22', '10', '4', '3', '2', '1', '1/0', '2/0', '5/0']],
  ];
  it.each(ascending)('%s sizes run the way the trade runs them', (scale, texts) => {
    const ranks = texts.map((text) => {
      const reading = readTradeSize(scale, text);
      if (!reading.ok) throw new Error(`${scale} ${text} was refused`);
      return tradeSizeRank(scale, reading.size);
    });
    expect(ranks).toEqual([...ranks].sort((a, b) => a - b));
    expect(new Set(ranks).size).toBe(ranks.length);
  });

  it('write, then read, gives the same size on every scale', () => {
    const sizes = TRADE_SCALES.flatMap((scale) =>
      ['00', '0', '1', '1½', '2', '3½', '7', '12', '1/0', '2/0', '6/0'].flatMap((text) => {
        const reading = readTradeSize(scale, text);
        return reading.ok ? [{ scale, size: reading.size }] : [];
      }),
    );
    expect(sizes.length).toBeGreaterThan(30);
    for (const { scale, size } of sizes) expect(readTradeSize(scale, writeTradeSize(size))).toEqual({ ok: true, size });
  });

  it.each([
    ['blade', '2/0', 'notASize'],
    ['hook', '3½', 'notASize'],
    ['hook', '00', 'notASize'],
    ['hook', '0', 'sizeOutOfRange'],
    ['ring', '', 'emptySize'],
    ['swivel', 'big', 'notASize'],
    ['blade', '99', 'sizeOutOfRange'],
  ] as const)('%s “%s” is refused as %s', (scale, text, code) => {
    const reading = readTradeSize(scale, text);
    expect(reading).toMatchObject({ ok: false, problem: { code } });
    if (!reading.ok) expect(tradeSizeProblemWords(reading.problem)).toMatch(/such as|like/);
  });
});
