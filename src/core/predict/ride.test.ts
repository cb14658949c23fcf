import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anyDressedLure } from '@/testing/any-lure';
import {
  bait,
  bentAt,
  demoLure,
  edited,
  itemId,
  on,
  part,
  plainBait,
  plainBuzz,
  plainSpinner,
  TAIL,
} from '@/testing/lures';
import { DEMO_LURES } from '@/demo/scenario';
import { USUAL_OUTFIT } from '../hydro/outfit';
import { aimOff, leanOf } from '../hydro/tracking';
import { sumsOf, trimOf, type TrimBody } from '../hydro/trim';
import { GRAVITY_MPS2, LAKE_WATER, waterDensity } from '../hydro/water';
import { bodiesOf } from '../lure/bodies';
import { seatPart } from '../lure/editing';
import { layOut } from '../lure/layout';
import type { Lure } from '../lure/lure';
import { lureMass } from '../lure/mass';
import { partsOfKind } from '../parts/catalogue';
import type { Head, PartOf } from '../parts/part';
import { predictSpin } from './spin';
import { nominalCrossings } from './crossings';
import { rides } from './ride';

const RHO = waterDensity(LAKE_WATER);
const sinkOf = ({ build }: Lure) => nominalCrossings(build, LAKE_WATER).sinkMps;

/** As it is cast and wound, with half the cast still out. Far behind, a lure that drags more pulls its line straighter, which blurs it. */
function depthOf(lure: Lure, speedMps = 0.8, lineOutM = USUAL_OUTFIT.lineOutM): number {
  const [at] = rides(lure.build, LAKE_WATER, [speedMps], USUAL_OUTFIT, [lineOutM]).at;
  const [line] = at?.lines ?? [];
  return line?.outcome === 'sinks' ? line.depthM : 0;
}

/** A tandem bait with these blades, front on its clevis, rear on its swivel. */
function tandem(front: string, rear: string): Lure {
  const lure = bait(
    'spinnerbait',
    ['bead-brass-3', 'clevis-stirrup-1', 'bead-brass-3', 'bead-brass-3'],
    [
      [front, on('clevis-1', 'hung')],
      ['swivel-crane-k7', TAIL],
      ['ring-o1', on('swivel-1', 'hung')],
      [rear, on('splitRing-1', 'hung')],
    ],
  );
  return edited(lure, { kind: 'carrier', changes: { tail: { form: 'bentLoop', insideDiameterM: 0.003, gapM: 0 } } });
}

/** The same head in more or less metal: all its lengths grow with the cube root of its mass. */
function withHead(lure: Lure, share: number): Lure {
  const head = lure.build.items[itemId('head-1')]?.part as Head;
  const by = Math.cbrt(share);
  const scaled: Head = {
    ...head,
    massKg: head.massKg * share,
    lengthM: head.lengthM * by,
    heightM: head.heightM * by,
    widthM: head.widthM * by,
  };
  return edited(lure, { kind: 'swapPart', item: itemId('head-1'), part: scaled });
}

const named = (blade: PartOf<'blade'>) => `${blade.pattern} ${blade.label ?? ''}`;

/** Holds in at least four of five pairs; the rest are named. */
function expectMostly(pairs: readonly { readonly holds: boolean; readonly name: string }[], least: number) {
  expect(pairs.length).toBeGreaterThanOrEqual(least);
  const not = pairs.filter(({ holds }) => !holds).map(({ name }) => name);
  if (not.length > 0) console.info(`exceptions: ${not.join('; ')}`);
  expect(not.length / pairs.length, not.join('; ')).toBeLessThanOrEqual(0.2);
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
    for (const lure of DEMO_LURES) {
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
      sideM2: 4e-4,
      slopeM2: 1.2e-4,
    };
    const second = { ...body, xM: 0.07, massKg: 0.002, volumeM3: 1.2e-6 };
    const blade = { xM: 0.03, yM: 0.02, dragN: 0.06, axleRad: 0.2 };
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
      const [fx, fy] = [Math.cos(0.2 - pitchRad), Math.sin(0.2 - pitchRad)].map((each) => each * blade.dragN);
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
    for (const lure of DEMO_LURES) {
      const bySpeed = [0.4, 0.6, 0.8, 1, 1.3].map((speed) => depthOf(lure, speed));
      expect(bySpeed, lure.name).toEqual(bySpeed.toSorted((a, b) => b - a));
      expect(depthOf(lure, 0.8, 30)).toBeGreaterThan(depthOf(lure, 0.8, 15));
    }
    const falls = [0.5, 1, 2, 4].map((share) => sinkOf(withHead(plainBait(), share)) ?? 0);
    expect(falls).toEqual(falls.toSorted((a, b) => a - b));
  });
});

describe('what must come out right of depth', () => {
  const blades = partsOfKind('blade');
  const areaOf = ({ lengthM, widthM }: PartOf<'blade'>) => lengthM * widthM;

  it('4: more blade with the same head runs shallower at 0.8 m/s; a heavier head brings it back', () => {
    const pairs = blades.flatMap((small) =>
      blades
        .filter((large) => large.pattern === small.pattern && areaOf(large) > 1.3 * areaOf(small))
        .map((large) => {
          const [shallow, deep] = [depthOf(plainBait(large.id)), depthOf(plainBait(small.id))];
          return { holds: shallow < deep, name: `${named(large)} over ${named(small)}` };
        }),
    );
    expectMostly(pairs, 15);
    const big = plainBait('blade-colorado-k5');
    const small = depthOf(plainBait('blade-colorado-k3'));
    expect(depthOf(big)).toBeLessThan(small);
    expect([1.5, 2, 3, 4].some((share) => depthOf(withHead(big, share)) >= small)).toBe(true);
  });

  it('5: two Colorados run shallower than a willow behind a Colorado of the same numbers', () => {
    const colorados = blades.filter(({ pattern }) => pattern === 'colorado');
    const willows = blades.filter(({ pattern }) => pattern === 'willow');
    const pairs = colorados.flatMap((front) =>
      colorados.flatMap((rear) =>
        willows
          .filter(({ label }) => label === rear.label)
          .map((willow) => ({
            holds: depthOf(tandem(front.id, rear.id)) < depthOf(tandem(front.id, willow.id)),
            name: `${named(front)} before ${named(rear)} or ${named(willow)}`,
          })),
      ),
    );
    expectMostly(pairs, 20);
  });

  it('6: a bulky paddle tail slows the sink and holds the depth at a lower speed', () => {
    const tails = partsOfKind('trailer').filter(({ style }) => style === 'paddleTail');
    const pairs = tails.flatMap((tail) =>
      blades.flatMap((blade) => {
        const bare = plainBait(blade.id);
        const dressed = edited(bare, seatPart(bare.build, part(tail.id), on('hook-1', 'pushed')));
        const falls = [bare, dressed].map((lure) => sinkOf(lure) ?? 0);
        expect(falls[1]).toBeLessThan(falls[0] ?? 0);
        // Slower, and yet no deeper: it needs less speed to stay up.
        return [0.4, 0.6, 0.8].map((speed) => ({
          holds: depthOf(dressed, speed) < depthOf(bare, speed),
          name: `${named(blade)} with ${tail.name} ${tail.label ?? ''} at ${speed}`,
        }));
      }),
    );
    expectMostly(pairs, 60);
  });
});

describe('what must come out right of shake and tracking', () => {
  const colorados = partsOfKind('blade').filter(({ pattern }) => pattern === 'colorado');

  it('3: a bigger Colorado beats slower and pulls round harder on a stiff arm', () => {
    const at = (blade: PartOf<'blade'>) => {
      // On an inline wire, so that no arm's own rate stands between blade and hand.
      const [ride] = rides(plainSpinner(blade.id).build, LAKE_WATER, [0.8]).at;
      const [blades] = predictSpin(plainSpinner(blade.id).build, LAKE_WATER, [0.8]).blades;
      const turning = blades?.at[0];
      return {
        rateHz: turning?.outcome === 'turning' ? turning.rateHz.value : 0,
        thumpN: ride?.shakes[0]?.thumpN ?? 0,
      };
    };
    const pairs = colorados.flatMap((small) =>
      colorados
        .filter((large) => large.lengthM > 1.1 * small.lengthM)
        .map((large) => {
          const [little, big] = [at(small), at(large)];
          return {
            holds: big.rateHz < little.rateHz && big.thumpN > little.thumpN,
            name: `${named(large)} over ${named(small)}`,
          };
        }),
    );
    expectMostly(pairs, 15);
  });

  it('an arm of a demo bait swings of its own some tens of times a second, a buzzbait’s faster; a straight wire has none', () => {
    for (const lure of DEMO_LURES) {
      const { armHz } = rides(lure.build, LAKE_WATER, []);
      if (lure.family === 'inlineSpinner') expect(armHz).toBeNull();
      else {
        expect(armHz).toBeGreaterThan(5);
        // The short arm of a buzzbait carries its blade near its root.
        expect(armHz).toBeLessThan(lure.family === 'spinnerbait' ? 90 : 250);
      }
    }
  });

  it('7: thinner arm wire swings slower of its own, and moves more at the blade where that turns slower still', () => {
    const bare = demoLure('stolk-kettle');
    const { carrier } = bare.build;
    const wired = (diameterM: number) =>
      edited(bare, { kind: 'carrier', changes: { wire: { ...carrier.wire, diameterM } } });
    const arms = [0.0008, 0.0009, 0.001, 0.0011].map((diameterM) => rides(wired(diameterM).build, LAKE_WATER, [0.35]));
    const own = arms.map(({ armHz }) => armHz ?? 0);
    expect(own).toEqual(own.toSorted((a, b) => a - b));
    const moves = arms.flatMap(({ at }) => at.flatMap(({ shakes }) => shakes));
    const below = moves.filter(({ ratio }) => ratio !== null && ratio < 0.8).map(({ amplitudeM }) => amplitudeM);
    expect(below.length).toBeGreaterThan(1);
    expect(below).toEqual(below.toSorted((a, b) => b - a));
  });

  it('14: a single delta blade pulls to the side of its hand, a counter-turning pair nearly straight', () => {
    const aside = (lure: Lure, speedMps = 1.2) => rides(lure.build, LAKE_WATER, [speedMps]).at[0]?.sidePullRad ?? 0;
    const hands = partsOfKind('deltaBlade').map((blade) => ({ hand: blade.hand, pull: aside(plainBuzz(blade.id)) }));
    for (const { hand, pull } of hands) expect(Math.sign(pull)).toBe(hand === 'right' ? 1 : -1);
    const one = aside(demoLure('lommer-clapper'));
    const pair = aside(demoLure('asp-pair'));
    expect(Math.abs(pair)).toBeLessThan(Math.abs(one) / 2);
    expect(aimOff(one, 15)).toBeCloseTo(15 * Math.tan(one), 12);
    expect(aside(plainBait())).toBe(0);
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
