/** Lures beside each other: what is said to be more is so in nine of ten joint draws, and what they share cancels. */
import { describe, expect, it } from 'vitest';
import { drawnRide } from '@/testing/drawn-ride';
import { demoLure, edited, part, plainSpinner } from '@/testing/lures';
import { measured, percent } from '@/testing/measured';
import { normals } from '@/core/random';
import { seeded } from '@/testing/seeded';
import { USUAL_OUTFIT } from '../hydro/outfit';
import { LAKE_WATER } from '../hydro/water';
import { ballastOf, heavier, withPart } from '../lure/resized';
import { DEMO_LURES } from '@/demo/scenario';
import { partsOfKind } from '../parts/catalogue';
import { HALF_WIDTHS_A_SIGMA } from './band';
import type { Verdict } from './apart';
import { compare } from './compare';
import { factorsOf, type Factor } from './factors';
import { lureInWater } from './lure-in-water';
import { learnFrom } from './readings';

const SPEED_MPS = 0.8;
const DRAWS = 160;

/** A draw of the factors of two lures that share all but what their blades are. */
function drawnPair(factors: readonly Factor[], normal: () => number): [number[], number[]] {
  const first = factors.map(() => normal() / HALF_WIDTHS_A_SIGMA);
  const second = factors.map((factor, i) => (factor.of === 'blade' ? normal() / HALF_WIDTHS_A_SIGMA : (first[i] ?? 0)));
  return [first, second];
}

const opposite: Readonly<Record<Verdict, Verdict>> = { more: 'less', less: 'more', unsure: 'unsure' };

describe('lures compared', () => {
  it.each(DEMO_LURES.map((lure) => [lure.id, lure] as const))('%s beside itself: nothing is more', (_, lure) => {
    const [, other] = compare([lure.build, structuredClone(lure.build)], LAKE_WATER, SPEED_MPS);
    const { verdicts } = other ?? {};
    const all = [
      ...Object.values(verdicts?.lure ?? {}),
      ...(verdicts?.blades ?? []).flatMap((each) => Object.values(each)),
    ];
    expect(all.length).toBeGreaterThan(5);
    expect(new Set(all)).toEqual(new Set(['unsure']));
  });

  it('a tenth more weight runs surely deeper, although the two bands overlap; turned round it is surely less', () => {
    const { build } = demoLure('hovna-lantern');
    const ballast = ballastOf(build);
    if (!ballast) throw new Error('it has a weight');
    const heavy = withPart(build, ballast, (part) => heavier(part, 1.1));
    const [light, other] = compare([build, heavy], LAKE_WATER, 1.2);
    const [a, b] = [light, other].map((each) => {
      const [ride] = each?.prediction.rides ?? [];
      return ride?.outcome === 'rides' ? ride.said.depthM : null;
    });
    expect((b?.low ?? 9) < (a?.high ?? 0)).toBe(true);
    expect(other?.verdicts?.lure.depthM).toBe('more');
    const [, back] = compare([heavy, build], LAKE_WATER, 1.2);
    for (const [key, verdict] of Object.entries(other?.verdicts?.lure ?? {})) {
      expect(back?.verdicts?.lure[key as 'depthM'], key).toBe(opposite[verdict]);
    }
  });

  it('what is said to be more is more in nine of ten joint draws, over pairs of catalogue blades', () => {
    const blades = partsOfKind('blade').filter(({ lengthM }) => lengthM >= 0.02);
    const shares: number[] = [];
    let unsure = 0;
    for (let i = 0; i < blades.length; i++) {
      const [one, two] = [blades[i], blades[(i * 7 + 5) % blades.length]];
      if (!one || !two || one === two) continue;
      const builds = [plainSpinner(one.id).build, plainSpinner(two.id).build];
      const [, other] = compare(builds, LAKE_WATER, SPEED_MPS);
      const inWater = builds.map((build) => lureInWater(build, LAKE_WATER, USUAL_OUTFIT));
      const [spinner] = inWater[0]?.spinners ?? [];
      if (!spinner || !inWater[0] || !inWater[1]) throw new Error('each has a blade');
      const factors = factorsOf([spinner.station]);
      const normal = normals(seeded(23));
      const right = { depthM: 0, thumpNs: 0 };
      let turning = 0;
      for (let n = 0; n < DRAWS; n++) {
        const [atOne, atTwo] = drawnPair(factors, normal);
        const [a, b] = [
          drawnRide(inWater[0], SPEED_MPS, factors, atOne),
          drawnRide(inWater[1], SPEED_MPS, factors, atTwo),
        ];
        // Said as long as both turn.
        if (a.keptMps > SPEED_MPS || b.keptMps > SPEED_MPS) continue;
        turning++;
        for (const key of ['depthM', 'thumpNs'] as const) {
          const difference = (b[key] ?? 0) - (a[key] ?? 0);
          if (other?.verdicts?.lure[key] === 'more' ? difference > 0 : difference < 0) right[key]++;
        }
      }
      for (const key of ['depthM', 'thumpNs'] as const) {
        if (other?.verdicts?.lure[key] === 'unsure') unsure++;
        else if (turning > DRAWS / 2) shares.push(right[key] / turning);
      }
    }
    const mean = shares.reduce((sum, each) => sum + each, 0) / shares.length;
    expect(shares.length).toBeGreaterThan(10);
    expect(mean).toBeGreaterThan(0.9);
    expect(Math.min(...shares)).toBeGreaterThanOrEqual(0.8);
    measured(
      'Bands and readings',
      `Compared at ${SPEED_MPS} m/s, depth and thump of ${shares.length + unsure} pairs, ${unsure} of them unsure: share of ${DRAWS} joint draws on the side said`,
      `${percent(mean)} on the mean, ${percent(Math.min(...shares))} at worst`,
      'mean above 90 %, each at least 80 %',
    );
  });

  it('what was read of the first holds for the others that have its blade: beside itself nothing is more, with another more is sure', () => {
    const { build } = demoLure('hovna-lantern');
    const [blade] = compare([build], LAKE_WATER, SPEED_MPS)[0]?.prediction.spin.blades ?? [];
    if (!blade) throw new Error('it has a blade');
    const reading = { kind: 'rate', station: blade.station, speedMps: 0.9, rateHz: 9, errorShare: 0.05 } as const;
    const { belief } = learnFrom(build, LAKE_WATER, [reading]);
    const asked = { learnt: belief };
    const [as, same] = compare([build, structuredClone(build)], LAKE_WATER, SPEED_MPS, asked);
    expect(same?.prediction.spin).toEqual(as?.prediction.spin);
    expect(same?.verdicts?.blades[0]?.rateHz).toBe('unsure');
    // Of another blade nothing was read.
    const swapped = edited(demoLure('hovna-lantern'), {
      kind: 'swapPart',
      item: blade.station,
      part: part('blade-french-k2'),
    });
    const widthOf = (all: ReturnType<typeof compare>) => {
      const at = all[1]?.prediction.spin.blades[0]?.at[0];
      return at && 'rateHz' in at ? at.rateHz.high / at.rateHz.low : NaN;
    };
    const builds = [build, swapped.build];
    expect(widthOf(compare(builds, LAKE_WATER, SPEED_MPS, asked))).toBeCloseTo(
      widthOf(compare(builds, LAKE_WATER, SPEED_MPS)),
      1,
    );
  });
});
