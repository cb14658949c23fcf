import { describe, expect, it } from 'vitest';
import { demoLure, plainBait, plainBuzz, plainSpinner, spinner, WIRE_DEMOS, withHead } from '@/testing/lures';
import { figures, measured } from '@/testing/measured';
import { USUAL_OUTFIT, type Outfit } from '../hydro/outfit';
import { LAKE_WATER } from '../hydro/water';
import type { Lure } from '../lure/lure';
import { withPart } from '../lure/resized';
import { CATALOGUE } from '../parts/catalogue';
import { HEAVIEST_KG, lightestHead, LIGHTEST_KG } from './head-finder';
import { moversOf } from './movers';
import { predict } from './predict';
import { retrievePath, type RetrievePath } from './retrieve-path';
import { rides } from './ride';

const depthOf = ({ build }: Lure, speedMps: number, outfit: Outfit = USUAL_OUTFIT) => {
  const [line] = rides(build, LAKE_WATER, [speedMps], outfit).at[0]?.lines ?? [];
  return line?.outcome === 'sinks' ? line.depthM : 0;
};

describe('the lightest head', () => {
  it('runs in the band and one a hundredth lighter does not; the part offered does too and is the lightest that does', () => {
    let found = 0;
    for (const lure of WIRE_DEMOS.filter(({ family }) => family !== 'buzzbait')) {
      const now = depthOf(lure, 0.8);
      const wanted = { speedMps: 0.8, fromM: now * 1.1, toM: now * 1.4 };
      const head = lightestHead(lure.build, LAKE_WATER, wanted, CATALOGUE);
      if (head.outcome !== 'found') continue;
      found++;
      expect(head.depthM, lure.name).toBeGreaterThanOrEqual(wanted.fromM);
      expect(head.depthM, lure.name).toBeLessThan(wanted.fromM * 1.02);
      const part = lure.build.items[head.station]?.part;
      expect(head.massKg, lure.name).toBeGreaterThan(part?.massKg ?? 1);
      if (!head.part) continue;
      const offered = CATALOGUE.filter(
        ({ kind, massKg }) => kind === part?.kind && massKg < (head.part?.part.massKg ?? 0),
      );
      for (const lighter of offered) {
        const depth = depthOf({ ...lure, build: withPart(lure.build, head.station, () => lighter) }, 0.8);
        expect(depth < wanted.fromM || depth > wanted.toM, `${lighter.id} on ${lure.name}`).toBe(true);
      }
    }
    expect(found).toBeGreaterThan(3);
  });

  it('says when none is heavy or light enough, and when there is none', () => {
    const { build } = plainBait();
    expect(lightestHead(build, LAKE_WATER, { speedMps: 1.5, fromM: 9.5, toM: 9.9 })).toMatchObject({
      outcome: 'notDeepEnough',
      massKg: HEAVIEST_KG,
    });
    expect(lightestHead(build, LAKE_WATER, { speedMps: 0.2, fromM: 0.05, toM: 0.06 })).toMatchObject({
      outcome: 'tooDeep',
      massKg: LIGHTEST_KG,
    });
    expect(lightestHead(spinner([]).build, LAKE_WATER, { speedMps: 0.8, fromM: 1, toM: 2 })).toEqual({
      outcome: 'noHead',
    });
    expect(() => lightestHead(build, LAKE_WATER, { speedMps: 0.8, fromM: 2, toM: 1 })).toThrow(/fromM < toM/);
  });
});

function runs(path: RetrievePath): Extract<RetrievePath, { outcome: 'runs' }> {
  if (path.outcome !== 'runs') throw new Error(`it runs: ${JSON.stringify(path)}`);
  return path;
}

describe('the way of a retrieve', () => {
  const slow = { countdownS: 0, speedMps: 0.46 };
  const cast: Outfit = { ...USUAL_OUTFIT, lineOutM: 25 };

  it('starts where the countdown left it, ends near the rod, is never deeper than its line reaches', () => {
    for (const lure of WIRE_DEMOS) {
      for (const countdownS of [0, 3, 100]) {
        const { points, startM, hung, deepestM } = runs(
          retrievePath(lure.build, LAKE_WATER, { ...slow, countdownS }, cast),
        );
        expect(points[0]).toEqual({ lineOutM: 25, timeS: 0, depthM: startM, towedM: depthOf(lure, 0.46, cast) });
        expect(hung).toBe(countdownS === 100);
        if (hung) expect(startM).toBeCloseTo(24, 9);
        for (const { lineOutM, depthM } of points) {
          expect(depthM).toBeGreaterThanOrEqual(0);
          expect(depthM + cast.tipHeightM, lure.name).toBeLessThanOrEqual(lineOutM + 1e-9);
        }
        expect(deepestM).toBe(Math.max(...points.map(({ depthM }) => depthM)));
        expect(points.at(-1)?.lineOutM).toBeCloseTo(1.5, 9);
        expect(points.at(-1)?.timeS).toBeCloseTo(23.5 / 0.46, 9);
      }
    }
  });

  it('counted down it runs deeper, faster shallower; with much line still out it comes to the depth it is towed at', () => {
    const lure = demoLure('stolk-kettle');
    const deepest = (countdownS: number, speedMps: number) =>
      runs(retrievePath(lure.build, LAKE_WATER, { countdownS, speedMps }, cast)).deepestM;
    expect(deepest(5, 0.46)).toBeGreaterThan(deepest(0, 0.46));
    expect(deepest(0, 0.66)).toBeLessThan(deepest(0, 0.46));
    const far: Outfit = { ...USUAL_OUTFIT, lineOutM: 80 };
    let worst = 0;
    for (const countdownS of [0, 15]) {
      const { points } = runs(retrievePath(lure.build, LAKE_WATER, { ...slow, countdownS }, far));
      const middle = points.find(({ lineOutM }) => lineOutM < 30);
      if (!middle) throw new Error('it comes by');
      const towed = depthOf(lure, slow.speedMps, { ...far, lineOutM: middle.lineOutM });
      worst = Math.max(worst, Math.abs(middle.depthM / towed - 1));
    }
    expect(worst).toBeLessThan(0.12);
    measured(
      'Steady against time',
      'A retrieve from 80 m, at 30 m of line: its depth against towed level there',
      `within ${figures(worst * 100, 2)} %`,
      'within 12 %: it still rises',
    );
  });

  it('names a lure that floats and a reel that does not turn', () => {
    expect(retrievePath(plainBait().build, LAKE_WATER, { ...slow, speedMps: 0 })).toEqual({
      outcome: 'outsideModel',
      quantity: 'speedMps',
      value: 0,
      limit: 0,
    });
    expect(retrievePath(plainBait().build, LAKE_WATER, { ...slow, speedMps: 5.9 })).toMatchObject({ limit: 5 });
  });
});

describe('what moves it most', () => {
  it('three of each output, each by what it does when a tenth more, most first; the speed moves the rate of any blade most', () => {
    for (const lure of [plainSpinner(), plainBait(), plainBuzz(), demoLure('torvane-lanes')]) {
      const movers = moversOf(lure.build, LAKE_WATER, 0.8);
      for (const [key, most = []] of Object.entries(movers)) {
        expect(most.length, key).toBeLessThanOrEqual(3);
        const sizes = most.map(({ change }) => Math.abs(change));
        expect(sizes).toEqual(sizes.toSorted((a, b) => b - a));
      }
      for (const { station } of predict(lure.build, LAKE_WATER, [0.8]).spin.blades) {
        expect(movers[`rateHz of ${station}`]?.map(({ lever }) => lever.lever)).toContain('speed');
        expect(movers[`dragN of ${station}`]?.length).toBeGreaterThan(1);
      }
      expect(movers.massKg?.length).toBeGreaterThan(0);
    }
  });

  it('says what the prediction says when the thing is done', () => {
    const lure = plainBait();
    const depth = (each: Lure, speedMps = 0.8, outfit = USUAL_OUTFIT) => {
      const [ride] = predict(each.build, LAKE_WATER, [speedMps], { outfit }).rides;
      return ride?.outcome === 'rides' ? (ride.said.depthM?.value ?? NaN) : NaN;
    };
    const { depthM = [] } = moversOf(lure.build, LAKE_WATER, 0.8);
    const done: Readonly<Record<string, number>> = {
      speed: depth(lure, 0.88),
      ballast: depth(withHead(lure, 1.1)),
      lineOut: depth(lure, 0.8, { ...USUAL_OUTFIT, lineOutM: 11 }),
    };
    let checked = 0;
    for (const { lever, change } of depthM) {
      const to = done[lever.lever];
      if (to === undefined) continue;
      checked++;
      expect(change).toBeCloseTo(to - depth(lure), 9);
    }
    expect(checked).toBeGreaterThan(0);
    // An arm’s own rate does not hang on the line.
    expect(moversOf(lure.build, LAKE_WATER, 0.8).armHz?.map(({ lever }) => lever.lever)).not.toContain('lineOut');
  });
});
