import { describe, expect, it } from 'vitest';
import { DEMO_LURES } from '@/demo/scenario';
import { drawnAtRest } from './drawn-short';
import { holdsItself, RESTS } from './stack';

const ON_LINE = DEMO_LURES.filter(({ build }) => build.carrier.kind === 'line');

describe('a lure on line, drawn as it rests', () => {
  it('leaves out as much line however it lies, and never where something is', () => {
    expect(ON_LINE.length).toBeGreaterThan(5);
    let breaks = 0;
    for (const { build } of ON_LINE) {
      const [towed, ...others] = RESTS.map((rest) => drawnAtRest(build, rest).layout);
      for (const layout of others) {
        expect(layout.leftOut.map(({ lengthM }) => lengthM)).toEqual(towed?.leftOut.map(({ lengthM }) => lengthM));
        layout.leftOut.forEach(({ atM }, nth) => {
          breaks++;
          // Between the same two that hold their places.
          const ahead = (x: number) =>
            layout.strand.filter(({ item, x0M }) => holdsItself(item) !== null && x0M < x).map(({ item }) => item.id);
          expect(ahead(atM)).toEqual(ahead(towed?.leftOut[nth]?.atM ?? NaN));
          expect(atM).toBeGreaterThan(layout.shaft.x0M);
          expect(atM).toBeLessThan(layout.shaft.x1M);
          for (const { x0M, x1M } of layout.strand) expect(atM > x0M && atM < x1M).toBe(false);
        });
      }
    }
    expect(breaks).toBeGreaterThan(8);
  });

  it('what slides lies in three places, what holds itself in one', () => {
    for (const { build, name } of ON_LINE) {
      const at = RESTS.map((rest) => drawnAtRest(build, rest).layout.strand);
      const slides = (at[0] ?? []).some((_, i) => new Set(at.map((strand) => strand[i]?.x0M.toFixed(5))).size === 3);
      expect(slides, name).toBe(true);
      at[0]?.forEach(({ item }, i) => {
        if (item.part.kind !== 'hook' && item.part.kind !== 'stop') return;
        for (const strand of at) expect(strand[i]?.x0M).toBeCloseTo(at[0]?.[i]?.x0M ?? NaN, 9);
      });
    }
  });
});
