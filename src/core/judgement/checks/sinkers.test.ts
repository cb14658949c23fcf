import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demoLure } from '@/testing/lures';
import { findingWords } from '../../../words/finding-words';
import { USUAL_OUTFIT, type Outfit } from '../../hydro/outfit';
import { rigShapes, SINKER_STYLES, sinkerPull, type Rig, type SinkerStyle } from '../../hydro/sinker-line';
import { fishingLine } from '../../hydro/outfit';
import { findings, USUAL_CONTEXT } from '../findings';
import { mendings } from '../mending';
import type { Finding } from '../finding';

const { build, ...rest } = demoLure('mirrow-drift');
const lure = { build, ...rest };

type Sinker = NonNullable<Outfit['sinker']>;
const rig = (change: Partial<Sinker>, lineOutM = 12): Outfit => ({
  ...USUAL_OUTFIT,
  lineOutM,
  sinker: { massKg: 0.014, metal: 'tungsten', leaderM: 0.9, style: 'walking', ...change },
});

function reach(outfit: Outfit, bottomM: number, speedMps = 0.5): Extract<Finding, { code: 'sinkerReach' }> | null {
  const context = { ...USUAL_CONTEXT, speedMps, over: { outfit, bottomM } };
  const found = findings(lure, context).find(({ code }) => code === 'sinkerReach');
  return found?.code === 'sinkerReach' ? found : null;
}

describe('a sinker against depth, speed and current', () => {
  it('keeps to a bottom within reach, and runs over a deeper one with what would bring it down', () => {
    expect(reach(rig({}), 1.5)).toMatchObject({ severity: 'good', isOnBottom: true, sinkerDepthM: 1.5 });
    const short = reach(rig({}), 6);
    expect(short).toMatchObject({ severity: 'caution', isOnBottom: false });
    const { neededKg, neededLineM } = short ?? {};
    // What is told is enough, and a little less is not.
    expect(reach(rig({ massKg: (neededKg ?? 0) * 1.001 }), 6)?.isOnBottom).toBe(true);
    expect(reach(rig({ massKg: (neededKg ?? 0) * 0.98 }), 6)?.isOnBottom).toBe(false);
    expect(reach(rig({}, (neededLineM ?? 0) * 1.001), 6)?.isOnBottom).toBe(true);
    expect(reach(rig({}, (neededLineM ?? 0) * 0.98), 6)?.isOnBottom).toBe(false);
  });

  it('faster, as against a current, it lifts: what it needs grows with the speed', () => {
    const needed = [0.4, 0.6, 0.9].map((speed) => reach(rig({}), 7, speed)?.neededKg ?? Infinity);
    expect(needed).toEqual([...needed].sort((a, b) => a - b));
    expect(needed[2]).toBeGreaterThan(1.3 * (needed[0] ?? Infinity));
  });

  it('one that slides on the line may be meant to swim: no caution; without one nothing is said', () => {
    expect(reach(rig({ style: 'bullet' }), 6)?.severity).toBe('good');
    expect(reach(USUAL_OUTFIT, 6)).toBeNull();
  });

  it('nothing of the lure mends it, and that is said', () => {
    const context = { ...USUAL_CONTEXT, speedMps: 0.5, over: { outfit: rig({}), bottomM: 6 } };
    expect(mendings(lure, context, [])['sinkerReach']).toEqual({ repairs: [], none: 'onTheWater' });
    const words = findingWords(reach(rig({}), 6) as Finding, build, 'metric');
    expect(words.title).toBe('The sinker runs over the bottom');
    expect(words.figure).toMatch(/^sinker at \d\.\d\d m of 6\.00 m, lure \d\.\d\d m over it$/);
    expect(words.why).toMatch(/^At this speed about [\d.]+ g, or [\d.]+ m of line out would bring it down\./);
  });
});

describe('how a sinker sits on the line', () => {
  const setting = { waterDensityKgM3: 998, speedMps: 0.5, tipHeightM: 1 };
  const braid = fishingLine(USUAL_OUTFIT.line);
  const shape = (style: SinkerStyle, dropperM?: number, bottomM = Infinity) => {
    const sinker = { massKg: 0.014, densityKgM3: 11_340, style, ...(dropperM ? { dropperM } : {}) };
    const of: Rig = { line: braid, leader: braid, leaderM: 0.9, sinker, bait: { aftN: 0.05, downN: -0.01 } };
    const [found] = rigShapes(of, setting, [12], bottomM);
    if (found?.outcome !== 'sinks') throw new Error('it sinks');
    return found;
  };

  it('a bullet drags least and runs deepest, a walking sinker most', () => {
    const drag = (style: SinkerStyle) => sinkerPull({ massKg: 0.014, densityKgM3: 11_340, style }, setting).aftN;
    for (const style of SINKER_STYLES) {
      expect(drag(style)).toBeGreaterThanOrEqual(drag('bullet'));
      expect(drag(style)).toBeLessThanOrEqual(drag('walking'));
      expect(sinkerPull({ massKg: 0.014, densityKgM3: 11_340, style }, setting).downN).toBeCloseTo(0.125, 3);
    }
    expect(shape('bullet').sinkerDepthM).toBeGreaterThan(shape('ball').sinkerDepthM);
  });

  it('on the bottom the arm of a three-way holds the lure up by about its length, a walking sinker by its foot', () => {
    const over = (style: SinkerStyle, dropperM?: number) => shape(style, dropperM, 1.5).baitOverSinkerM;
    fc.assert(
      fc.property(fc.double({ min: 0.1, max: 0.8, noNaN: true }), (dropperM) => {
        const lifted = over('threeWay', dropperM) - over('ball');
        expect(lifted).toBeLessThanOrEqual(dropperM);
        expect(lifted).toBeGreaterThan(0.9 * dropperM);
      }),
    );
    expect(over('walking') - over('bullet')).toBeCloseTo(0.03, 6);
    expect(shape('threeWay', 0.5, 1.5)).toMatchObject({ isOnBottom: true, sinkerDepthM: 1.5 });
  });
});
