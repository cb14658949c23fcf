/** A script of a retrieve: against the path of a steady one, and what each kind of step must bring. */
import { describe, expect, it } from 'vitest';
import { DEMO_LURES } from '@/demo/scenario';
import { demoLure } from '@/testing/lures';
import { USUAL_OUTFIT } from '../hydro/outfit';
import { LAKE_WATER } from '../hydro/water';
import { lineCurve, depthOf, lineShapes } from '../hydro/towed-line';
import { fishingLine } from '../hydro/outfit';
import { retrievePath } from './retrieve-path';
import { followScript, type RetrieveScript } from './retrieve-script';

const steady = (speedMps: number, changes: Partial<RetrieveScript> = {}): RetrieveScript => ({
  countdownS: 0,
  steps: [{ seconds: 5, speedMps }],
  isTrolled: false,
  ...changes,
});

function runs(slug: string, script: RetrieveScript) {
  const path = followScript(demoLure(slug).build, LAKE_WATER, script);
  if (path.outcome !== 'runs') throw new Error(`${slug} runs`);
  return path;
}

const deepest = (path: ReturnType<typeof runs>) => Math.max(...path.points.map(({ depthM }) => depthM));

describe('a retrieve by script', () => {
  it('drawn steadily goes the way that a retrieve goes', () => {
    for (const { id, build } of DEMO_LURES) {
      for (const countdownS of [0, 4]) {
        const whole = retrievePath(build, LAKE_WATER, { countdownS, speedMps: 0.6 });
        if (whole.outcome !== 'runs') continue;
        const path = runs(id, steady(0.6, { countdownS }));
        // One is followed in steps of time, the other in steps of line: within a few centimetres.
        expect(Math.abs(deepest(path) - whole.deepestM), id).toBeLessThan(0.04 + 0.03 * whole.deepestM);
        expect(path.points.at(-1)?.lineOutM ?? NaN, id).toBeLessThan(2);
      }
    }
  });

  it('falls on the pause as fast as it falls on slack line, and goes deeper than without one', () => {
    const paused = runs('torvane-lanes', {
      ...steady(0.7),
      steps: [
        { seconds: 3, speedMps: 0.7 },
        { seconds: 2, speedMps: 0 },
      ],
    });
    expect(deepest(paused)).toBeGreaterThan(1.3 * deepest(runs('torvane-lanes', steady(0.7))));
    const falling = paused.points.filter(
      ({ speedMps }, i) => speedMps === 0 && (paused.points[i + 1]?.speedMps ?? 1) === 0,
    );
    const [a, b] = [falling[3], falling[4]];
    expect(((b?.depthM ?? 0) - (a?.depthM ?? 0)) / ((b?.timeS ?? 1) - (a?.timeS ?? 0))).toBeCloseTo(
      paused.sinkMps ?? NaN,
      6,
    );
    expect(paused.at.map(({ speedMps }) => speedMps)).toEqual([0, 0.7]);
  });

  it('trolled keeps its line and comes to the depth it is towed at', () => {
    const path = runs('torvane-lanes', steady(0.8, { isTrolled: true }));
    expect(new Set(path.points.map(({ lineOutM }) => lineOutM)).size).toBe(1);
    const [before, last] = [path.points.at(-50), path.points.at(-1)];
    expect(Math.abs((last?.depthM ?? 0) - (before?.depthM ?? 1))).toBeLessThan(0.01);
  });

  it('of a lure that planes tells the metres lost: more with the reel engaged after it lands', () => {
    const before = runs('lommer-clapper', steady(1));
    const after = runs('lommer-clapper', steady(1, { countdownS: 0.8 }));
    expect(before.lostM).not.toBeNull();
    expect(after.lostM ?? 0).toBeGreaterThan((before.lostM ?? 99) + 0.2);
    // Too slow to plane it never comes up, and a lure that is no surface lure loses nothing.
    expect(runs('lommer-clapper', steady(0.5)).lostM).toBeNull();
    expect(runs('torvane-lanes', steady(1)).lostM).toBeNull();
  });

  it('tells of a step at which a blade stalls, and of a speed outside the model', () => {
    const path = runs('hovna-lantern', {
      ...steady(0.2),
      steps: [
        { seconds: 1, speedMps: 0.2 },
        { seconds: 1, speedMps: 0.9 },
      ],
    });
    expect(path.at.map(({ rates }) => rates[0]?.rateHz === null)).toEqual([true, false]);
    expect(followScript(demoLure('hovna-lantern').build, LAKE_WATER, steady(9)).outcome).toBe('outsideModel');
    expect(() => followScript(demoLure('hovna-lantern').build, LAKE_WATER, steady(0))).toThrow(/a step that moves/);
  });
});

describe('the curve of a towed line', () => {
  it('starts at the depth of its lure, ends at the rod’s tip, and is as long as the line', () => {
    const line = fishingLine(USUAL_OUTFIT.line);
    const setting = { waterDensityKgM3: 998, tipHeightM: 1, speedMps: 0.7 };
    for (const pull of [
      { aftN: 0.3, downN: 0.15 },
      { aftN: 0.6, downN: 0.05 },
      { aftN: 0.2, downN: -0.1 },
    ]) {
      const points = lineCurve(line, pull, setting, 12);
      const depth = depthOf(lineShapes(line, pull, setting, [12])[0]);
      expect(points[0]?.depthM).toBe(depth);
      expect(points.at(-1)?.depthM).toBeCloseTo(-1, 6);
      const long = points
        .slice(1)
        .reduce(
          (sum, { forwardM, depthM }, i) =>
            sum + Math.hypot(forwardM - (points[i]?.forwardM ?? 0), depthM - (points[i]?.depthM ?? 0)),
          0,
        );
      expect(Math.abs(long - 12)).toBeLessThan(0.3);
    }
  });
});
