import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { partsOfKind } from './catalogue';
import { bendAllowance, formedLength, wireIn, wireInEnd } from './formed-wire';
import { turnsAllowance } from './turns';
import { sectionSchema, wireFormSchema, type WireEnd } from './wire-form';

const D = 0.0009;
const thick = fc.double({ min: 0.0004, max: 0.0016, noNaN: true });
const radius = fc.double({ min: 0.0005, max: 0.02, noNaN: true });

describe('wire in a form', () => {
  it('a bend takes between its inner and its middle line, more the further and the wider it is bent, either way alike', () => {
    fc.assert(
      fc.property(thick, radius, fc.double({ min: 0.01, max: 3.6, noNaN: true }), (d, r, angle) => {
        const taken = bendAllowance(angle, r, d);
        expect(taken).toBeGreaterThan(r * angle);
        expect(taken).toBeLessThanOrEqual((r + d / 2) * angle + 1e-12);
        expect(taken).toBeGreaterThanOrEqual((r + 0.4 * d) * angle - 1e-12);
        expect(bendAllowance(-angle, r, d)).toBe(taken);
        expect(bendAllowance(angle * 1.1, r, d)).toBeGreaterThan(taken);
        expect(bendAllowance(angle, r * 1.1, d)).toBeGreaterThan(taken);
      }),
    );
  });

  it('a bend twisted out of the plane takes what the whole turn takes', () => {
    const bend = { section: 'bend', angleRad: 0.3, sideRad: 0.4, insideRadiusM: 0.003, isTie: false } as const;
    expect(wireIn(bend, D)).toBeCloseTo(bendAllowance(0.5, 0.003, D), 12);
  });

  it('ends: none, wrapped, round less its gap, turned down', () => {
    const wrapped: WireEnd = { form: 'wrappedLoop', insideDiameterM: 0.003, turns: 1, wraps: 3, tagM: 0.02 };
    expect(wireInEnd({ form: 'plain' }, D)).toBe(0);
    // π(3 + 0.9) of loop, three wraps of √((2π·0.9)² + 0.9²) and the shaft under them; the tag is clipped.
    expect(wireInEnd(wrapped, D) * 1000).toBeCloseTo(12.2522 + 3 * 5.72605 + 2.7, 3);
    const round = (gapM: number): WireEnd => ({ form: 'bentLoop', insideDiameterM: 0.003, gapM });
    expect(wireInEnd(round(0), D)).toBeCloseTo(turnsAllowance(0.003, 1, D), 12);
    expect(wireInEnd(round(0), D) - wireInEnd(round(0.0012), D)).toBeCloseTo(0.0012, 12);
    expect(wireInEnd(round(0.5), D)).toBe(0);
    expect(wireInEnd({ form: 'bentOver', lengthM: 0.004 }, D)).toBe(0.004);
  });

  it('a form takes what its sections, arm and end take together, for every frame of the catalogue', () => {
    for (const { form, wire } of partsOfKind('frame')) {
      const d = wire.diameterM;
      const parts = form.sections.reduce((sum, each) => sum + wireIn(each, d), 0) + form.armM + wireInEnd(form.tail, d);
      expect(formedLength(form, d)).toBeCloseTo(parts, 12);
      expect(formedLength(form, d)).toBeLessThan(wire.stockLengthM);
      expect(wireFormSchema.parse(form)).toEqual(form);
    }
  });

  it('refuses sections that no hand could bend', () => {
    for (const odd of [
      { section: 'straight', lengthM: -0.01 },
      { section: 'bend', angleRad: 9, sideRad: 0, insideRadiusM: 0.002, isTie: false },
      { section: 'bend', angleRad: 1, sideRad: 2, insideRadiusM: 0.002, isTie: false },
      { section: 'bend', angleRad: 1, sideRad: 0, insideRadiusM: 0, isTie: false },
      { section: 'coil', insideDiameterM: 0.003, turns: 1.5 },
      { section: 'spiral', lengthM: 0.01 },
    ]) {
      expect(sectionSchema.safeParse(odd).success).toBe(false);
    }
  });
});
