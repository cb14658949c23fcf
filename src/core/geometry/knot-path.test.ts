import { strandOf } from '../carriers/carrier';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { harness, itemId } from '@/testing/lures';
import { measured, percent } from '@/testing/measured';
import { wireCut } from '../lengths/lengths';
import { wrapsAllowance } from '../parts/turns';
import { CATALOGUE } from '../parts/catalogue';
import { clinchPath, frontAndBack, pathLength, snellPath, type Point3 } from './knot-path';

/** How often it goes round the axis. */
function turnsRound(points: readonly Point3[]): number {
  let angle = 0;
  for (const [i, point] of points.slice(1).entries()) {
    const before = points[i] as Point3;
    const step = Math.atan2(point.zM, point.yM) - Math.atan2(before.zM, before.yM);
    angle += Math.atan2(Math.sin(step), Math.cos(step));
  }
  return Math.abs(angle) / (2 * Math.PI);
}

const lineM = fc.double({ min: 0.0001, max: 0.0009, noNaN: true });
const shankM = fc.double({ min: 0.0004, max: 0.002, noNaN: true });

describe('the drawn way of a knot', () => {
  it('of a snell has its wraps, crosses the shank twice in each, and takes the line that is cut for it, on every hook', () => {
    let worst = 0;
    const hooks = CATALOGUE.filter((part) => part.kind === 'hook' && part.points === 1);
    for (const hook of hooks) {
      if (hook.kind !== 'hook') continue;
      const lure = harness([hook.id]);
      const term = wireCut(lure.build).terms.find(({ code }) => code === 'snell');
      const state = lure.build.items[itemId('hook-1')]?.state;
      const wraps = state?.of === 'hook' ? (state.snell?.wraps ?? 0) : 0;
      const { turns } = snellPath(wraps, hook.wireDiameterM, strandOf(lure.build.carrier));
      worst = Math.max(worst, Math.abs(pathLength(turns) / (term?.lengthM ?? NaN) - 1));
      expect(turnsRound(turns)).toBeCloseTo(wraps, 9);
      const { front, back } = frontAndBack(turns);
      expect(front.length + back.length).toBe(2 * wraps);
    }
    expect(hooks.length).toBeGreaterThan(25);
    expect(worst).toBeLessThan(0.002);
    measured(
      'Second implementations',
      `line in a snell as cut, against the way it is drawn in space, ${hooks.length} hooks`,
      percent(worst, 2),
      'within 0.2 %',
    );
  });

  it('of a clinch has its turns and takes their line; loosened it is wider and longer and turns as often', () => {
    fc.assert(
      fc.property(lineM, shankM, fc.integer({ min: 3, max: 12 }), (line, shank, count) => {
        const { turns } = clinchPath(count, line);
        expect(pathLength(turns) / wrapsAllowance(count, line)).toBeCloseTo(1, 2);
        expect(turnsRound(turns)).toBeCloseTo(count, 9);
        const loose = snellPath(count, shank, line, { looseBy: 2 });
        expect(turnsRound(loose.turns)).toBeCloseTo(count, 9);
        expect(pathLength(loose.turns)).toBeCloseTo(2 * pathLength(snellPath(count, shank, line).turns), 9);
      }),
      { seed: 5, numRuns: 60 },
    );
  });
});
