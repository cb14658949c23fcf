import { describe, expect, it } from 'vitest';
import { BLADE_PATTERNS, PATTERNS } from './blade-pattern';
import { CATALOGUE, partsOfKind } from './catalogue';
import { massFromGeometry } from './mass';
import { bladeStrips, chordRatio, hollowDepth, outlineRim, planArea, sheetArea } from './outline';
import { PART_KINDS, partSchema } from './part';
import { isBored, radiusProfile } from './bored';
import { hookLimb } from './hook-form';

describe('the catalogue', () => {
  it('has about two hundred parts, every kind and every blade pattern, with ids of their own', () => {
    expect(CATALOGUE.length).toBeGreaterThanOrEqual(200);
    expect(new Set(CATALOGUE.map(({ id }) => id)).size).toBe(CATALOGUE.length);
    expect(new Set(CATALOGUE.map(({ kind }) => kind))).toEqual(new Set(PART_KINDS));
    expect(new Set(partsOfKind('blade').map(({ pattern }) => pattern))).toEqual(new Set(BLADE_PATTERNS));
  });

  it.each(CATALOGUE.map((part) => [part.id, part] as const))(
    'mass of %s agrees with geometry × density within 15 %%',
    (_, part) => {
      expect(Math.abs(part.massKg / massFromGeometry(part) - 1)).toBeLessThan(0.15);
    },
  );

  it('lets two makers disagree about the same number', () => {
    const thirds = partsOfKind('blade').filter(({ pattern, label }) => pattern === 'colorado' && label === '#3');
    const lengthBy = new Map(thirds.map(({ maker, lengthM }) => [maker, lengthM]));
    expect(lengthBy.size).toBe(2);
    expect(new Set(lengthBy.values()).size).toBe(2);
  });

  it('gives every turned part a profile within its own length and diameter, wider than its bore', () => {
    const bored = CATALOGUE.filter(isBored);
    expect(bored.length).toBeGreaterThan(20);
    for (const part of bored) {
      const profile = radiusProfile(part);
      expect(profile.at(0)?.xM).toBe(0);
      expect(profile.at(-1)?.xM).toBeCloseTo(part.lengthM, 12);
      expect(Math.max(...profile.map(({ radiusM }) => radiusM)) * 2).toBeGreaterThan(part.boreM);
      for (let i = 1; i < profile.length; i++) {
        expect((profile[i]?.xM ?? 0) - (profile[i - 1]?.xM ?? 0)).toBeGreaterThanOrEqual(0);
      }
    }
  });

  it('brings a hook back from its bend to a point at the gap', () => {
    for (const hook of partsOfKind('hook')) {
      const { path, pointTip } = hookLimb(hook);
      expect(Math.max(...path.map(({ xM }) => xM)) + hook.wireDiameterM / 2).toBeCloseTo(hook.lengthM, 6);
      expect(pointTip.xM).toBeLessThan(hook.lengthM - hook.gapM);
      expect(Math.abs(pointTip.radiusM / hook.gapM - 1)).toBeLessThan(0.05);
    }
  });

  it('refuses a part that says too much or too little', () => {
    const [blade] = partsOfKind('blade');
    expect(partSchema.safeParse({ ...blade, sparkle: 1 }).success).toBe(false);
    expect(partSchema.safeParse({ ...blade, thicknessM: -0.001 }).success).toBe(false);
    expect(partSchema.safeParse({ ...blade, backFinish: undefined }).success).toBe(false);
  });
});

describe('the outline', () => {
  const shape = { lengthM: 0.03, widthM: 0.024, cupDepthM: 0.004, holeOffsetM: 0.0018 };

  it('of a flat ellipse has the area πLW/4, of a pointed willow ⅔LW', () => {
    const ellipse = { widestAt: 0.5, root: { p: 2, e: 0.5 }, tip: { p: 2, e: 0.5 } };
    expect(planArea(ellipse, shape)).toBeCloseTo((Math.PI / 4) * 0.03 * 0.024, 10);
    expect(planArea(PATTERNS.willow.outline, shape)).toBeCloseTo((2 / 3) * 0.03 * 0.024, 8);
  });

  it.each(BLADE_PATTERNS)(
    'of %s is widest where it says, closed at both ends, and settled when its mesh doubles',
    (pattern) => {
      const { outline } = PATTERNS[pattern];
      expect(chordRatio(outline, outline.widestAt)).toBeCloseTo(1, 12);
      expect(chordRatio(outline, 0)).toBe(0);
      expect(chordRatio(outline, 1)).toBe(0);
      const area = (count: number) => bladeStrips(outline, shape, count).areaM2.reduce((sum, each) => sum + each, 0);
      expect(Math.abs(area(20) / area(400) - 1)).toBeLessThan(0.004);
      expect(Math.abs(area(40) / area(400) - 1)).toBeLessThan(Math.abs(area(10) / area(400) - 1) + 1e-6);
      const rim = outlineRim(outline, shape);
      expect(Math.max(...rim.map(({ acrossM }) => acrossM)) * 2).toBeGreaterThan(0.97 * shape.widthM);
    },
  );

  it('has a hollow whose mean over the chord is d·4x(1 − x)·⅔, and a sheet a little larger than its plan', () => {
    const x = 0.3;
    const steps = 2000;
    const mean =
      Array.from({ length: steps }, (_, i) => hollowDepth(0.004, x, ((i + 0.5) / steps) * 2 - 1)).reduce(
        (a, b) => a + b,
      ) / steps;
    expect(mean).toBeCloseTo(0.004 * 4 * x * (1 - x) * (2 / 3), 8);
    const stretch = sheetArea(PATTERNS.colorado.outline, shape) / planArea(PATTERNS.colorado.outline, shape);
    expect(stretch).toBeGreaterThan(1.01);
    expect(stretch).toBeLessThan(1.25);
  });
});
