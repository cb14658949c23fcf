import { wireOf } from '../carriers/carrier';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anyDressedLure } from '@/testing/any-lure';
import {
  bentAt,
  demoLure,
  edited,
  plainBait,
  plainSpinner,
  SINKING_DEMOS,
  WIRE_DEMOS,
  withHead,
} from '@/testing/lures';
import { DEMO_LURES } from '@/demo/scenario';
import { USUAL_OUTFIT } from '../hydro/outfit';
import { leanOf } from '../hydro/tracking';
import { sumsOf, trimOf, type TrimBody } from '../hydro/trim';
import { GRAVITY_MPS2, LAKE_WATER, waterDensity } from '../hydro/water';
import { bodiesOf } from '../in-water/bodies';
import { layOut } from '../geometry/layout';
import type { Lure } from '../lure/lure';
import { lureMass } from '../lengths/mass';
import { nominalCrossings } from './crossings';
import { rideAt, rides } from './ride';
import { lureInWater } from './lure-in-water';
import { AS_ESTIMATED } from './factors';
import { scaledTo } from './scaled-lure';
import { outcomesAt, turnAll } from './turned';
import { partsOfKind } from '../parts/catalogue';

const RHO = waterDensity(LAKE_WATER);
const BLADES = partsOfKind('blade');
const sinkOf = ({ build }: Lure) => nominalCrossings(build, LAKE_WATER).sinkMps;

/** As it is cast and wound, with half the cast still out. Far behind, a lure that drags more pulls its line straighter, which blurs it. */
function depthOf(lure: Lure, speedMps = 0.8, lineOutM = USUAL_OUTFIT.lineOutM): number {
  const [at] = rides(lure.build, LAKE_WATER, [speedMps], USUAL_OUTFIT, [lineOutM]).at;
  const [line] = at?.lines ?? [];
  return line?.outcome === 'sinks' ? line.depthM : 0;
}

describe('a body in the water', () => {
  it('the bodies of a lure weigh what the lure weighs, in whatever water', () => {
    for (const lure of DEMO_LURES) {
      const bodies = bodiesOf(lure.build, layOut(lure.build));
      expect(bodies.reduce((sum, { massKg }) => sum + massKg, 0)).toBeCloseTo(lureMass(lure.build), 9);
      const [fresh, salt] = [0, 35].map(
        (salinityGPerKg) => rides(lure.build, { ...LAKE_WATER, salinityGPerKg }, []).sinkingN,
      );
      expect(salt).toBeLessThan(fresh ?? 0);
    }
  });

  it('hangs straight down from its tie in still water, and lies along the flow in fast', () => {
    for (const lure of SINKING_DEMOS) {
      const [still, slow, fast] = rides(lure.build, LAKE_WATER, [0, 0.3, 2.5]).at;
      expect(still?.lineSlopeRad).toBeCloseTo(Math.PI / 2, 6);
      expect(slow?.trim.pitchRad).toBeGreaterThan(fast?.trim.pitchRad ?? 9);
      expect(Math.abs(fast?.trim.pitchRad ?? 9)).toBeLessThan(0.35);
    }
  });

  it('at the angle it hangs at nothing turns it, worked from each force and its place', () => {
    const body: TrimBody = {
      xM: 0.04,
      yM: -0.01,
      massKg: 0.012,
      volumeM3: 2e-6,
      axialM2: 3e-5,
      strandM2: 0,
      sideM2: 4e-4,
      slopeM2: 1.2e-4,
    };
    const second = { ...body, xM: 0.07, massKg: 0.002, volumeM3: 1.2e-6 };
    const blade = { xM: 0.03, yM: 0.02, dragN: 0.06, axleRad: 0.2, towardsStream: 0.6, carriesN: 0.004 };
    for (const speedMps of [0.2, 0.6, 1.2, 2]) {
      const { pitchRad, dragN, liftN, sinkingN } = trimOf(sumsOf([body, second], RHO), [blade], RHO, speedMps);
      const [sin, cos] = [Math.sin(pitchRad), Math.cos(pitchRad)];
      const q = 0.5 * RHO * speedMps ** 2;
      let turning = 0;
      let [aft, up] = [0, 0];
      for (const { xM, yM, massKg, volumeM3, axialM2, sideM2, slopeM2 } of [body, second]) {
        const [x, y] = [xM * cos + yM * sin, yM * cos - xM * sin];
        const across = q * (slopeM2 * sin * cos + sideM2 * sin * Math.abs(sin));
        const fx = q * axialM2 * cos ** 2 + across * sin;
        const fy = across * cos - (massKg - RHO * volumeM3) * GRAVITY_MPS2;
        turning += x * fy - y * fx;
        aft += fx;
        up += fy;
      }
      const [bx, by] = [blade.xM * cos + blade.yM * sin, blade.yM * cos - blade.xM * sin];
      // It pulls three fifths nearer to the stream than its axle, and carries a little.
      const off = 0.2 - pitchRad;
      const pull = blade.dragN;
      const [fx, fy] = [pull * Math.cos(0.4 * off), pull * Math.sin(0.4 * off) + blade.carriesN];
      turning += bx * (fy ?? 0) - by * (fx ?? 0);
      expect(turning).toBeCloseTo(0, 9);
      expect(dragN).toBeCloseTo(aft + (fx ?? 0), 12);
      expect(liftN - sinkingN).toBeCloseTo(up + (fy ?? 0), 12);
    }
  });

  it('any lure that can be reached has finite rides, or a line that surfaces or rises', () => {
    let sinks = 0;
    fc.assert(
      fc.property(anyDressedLure(), fc.double({ min: 0, max: 6, noNaN: true }), (lure, speedMps) => {
        const { massKg, sinkingN, at } = rides(lure.build, LAKE_WATER, [speedMps]);
        const sinkMps = sinkOf(lure);
        expect(Number.isFinite(massKg + sinkingN + (sinkMps ?? 0))).toBe(true);
        for (const { trim, lineSlopeRad, lines } of at) {
          expect(Number.isFinite(trim.pitchRad + trim.dragN + trim.liftN + lineSlopeRad)).toBe(true);
          expect(trim.dragN).toBeGreaterThanOrEqual(0);
          for (const line of lines) {
            if (line.outcome !== 'sinks') continue;
            sinks++;
            expect(line.depthM).toBeGreaterThan(0);
            expect(line.depthM).toBeLessThan(USUAL_OUTFIT.lineOutM);
          }
        }
      }),
      { seed: 13, numRuns: 80 },
    );
    expect(sinks).toBeGreaterThan(20);
  });

  it('runs shallower the faster it is drawn, deeper with more line, and falls faster the heavier its head', () => {
    for (const lure of WIRE_DEMOS) {
      const bySpeed = [0.4, 0.6, 0.8, 1, 1.3].map((speed) => depthOf(lure, speed));
      expect(bySpeed, lure.name).toEqual(bySpeed.toSorted((a, b) => b - a));
      expect(depthOf(lure, 0.8, 30)).toBeGreaterThan(depthOf(lure, 0.8, 15));
    }
    const falls = [0.5, 1, 2, 4].map((share) => sinkOf(withHead(plainBait(), share)) ?? 0);
    expect(falls).toEqual(falls.toSorted((a, b) => a - b));
  });
});

describe('what it shakes on, and how it tracks', () => {
  it('an arm of a demo bait swings of its own some tens of times a second, a buzzbait’s faster; a straight wire has none', () => {
    for (const lure of DEMO_LURES) {
      const { armHz } = rides(lure.build, LAKE_WATER, []);
      if (lure.build.carrier.kind !== 'bentWire') expect(armHz).toBeNull();
      else {
        expect(armHz).toBeGreaterThan(5);
        // The short arm of a buzzbait carries its blade near its root, that of an underspin is shorter still.
        expect(armHz).toBeLessThan(lure.family === 'spinnerbait' ? 90 : lure.family === 'buzzbait' ? 250 : 600);
      }
    }
  });

  it('thinner arm wire swings slower of its own', () => {
    const bare = demoLure('stolk-kettle');
    const { carrier } = bare.build;
    const own = [0.0008, 0.0009, 0.001, 0.0011].map((diameterM) => {
      const wired = edited(bare, { kind: 'carrier', changes: { wire: { ...wireOf(carrier), diameterM } } });
      return rides(wired.build, LAKE_WATER, []).armHz ?? 0;
    });
    expect(own).toEqual(own.toSorted((a, b) => a - b));
  });

  it('a cranked blade kicks: part of its thump comes twice a turn, a smooth one’s does not', () => {
    const thump = (pattern: 'hardKick' | 'colorado', kick: number) => {
      const blade = BLADES.find((each) => each.pattern === pattern);
      if (!blade) throw new Error(`the catalogue has a ${pattern}`);
      const inWater = lureInWater(plainSpinner(blade.id).build, LAKE_WATER, USUAL_OUTFIT);
      const outcomes = outcomesAt(turnAll(inWater.spinners, inWater.rho, [0.8]), 0);
      const scaled = scaledTo(inWater, { ...AS_ESTIMATED, kick });
      return rideAt(inWater, scaled, outcomes, 0.8, [10]).shakes[0]?.pulseN ?? NaN;
    };
    expect(thump('hardKick', 1)).toBeCloseTo(thump('hardKick', 0) * Math.hypot(1, 0.35), 12);
    expect(thump('colorado', 1)).toBe(thump('colorado', 0));
  });

  it('an arm bent aside leans it to that side, its mirror image as far to the other; a plain spinner has no keel', () => {
    const leanAt = (lure: Lure) => {
      const [ride] = rides(lure.build, LAKE_WATER, [0.8]).at;
      return ride?.lean.outcome === 'leans' ? ride.lean.leanRad : null;
    };
    const [left, straight, right] = [-0.2, 0, 0.2].map((sideRad) => leanAt(bentAt(plainBait(), 1, { sideRad })));
    if (typeof left !== 'number' || typeof straight !== 'number' || typeof right !== 'number')
      throw new Error('all lean');
    expect(Math.abs(straight)).toBeLessThan(0.15);
    expect(Math.sign(left - straight)).toBe(-Math.sign(right - straight));
    expect(Math.abs(left - straight)).toBeCloseTo(Math.abs(right - straight), 2);
    expect(Math.abs(right - straight)).toBeGreaterThan(0.01);
  });
});

describe('lean, worked from weights and torque', () => {
  it('hangs its weight straight under the pull; a torque turns it until they balance, too much turns it over', () => {
    const under = { upNm: -0.002, asideNm: 0 };
    expect(leanOf(under, 0)).toMatchObject({ outcome: 'leans', keelNm: 0.002 });
    const turned = leanOf(under, 0.001);
    if (turned.outcome !== 'leans') throw new Error('it leans');
    expect(-0.002 * Math.sin(turned.leanRad)).toBeCloseTo(0.001, 12);
    expect(leanOf(under, 0.003)).toEqual({ outcome: 'turnsOver', torqueNm: 0.003, keelNm: 0.002 });
    expect(leanOf({ upNm: 0, asideNm: 0 }, 0.001)).toEqual({ outcome: 'noKeel' });
    const aside = leanOf({ ...under, asideNm: 0.0005 }, 0);
    if (aside.outcome !== 'leans') throw new Error('it leans');
    expect(aside.leanRad).toBeCloseTo(Math.atan(0.0005 / 0.002), 12);
  });
});
