/** A blade on a ring behind a hard bait: from when it turns, how far the wobble carries it, how it flashes on the pause. */
import { describe, expect, it } from 'vitest';
import { demoLure, edited, itemId, on, part, TAIL } from '@/testing/lures';
import { expectOrdering, type Pair } from '@/testing/ordering';
import { LAKE_WATER } from '../hydro/water';
import { seatPart } from '../lure/editing';
import { bareBody } from '../lure/take-body';
import { partsOfKind } from '../parts/catalogue';
import type { Lure } from '../lure/lure';
import { bodySwing, pauseSwings } from './body-swing';
import { predictSpin } from './spin';
import { stallSpeeds } from './stalls';

const SMALL = partsOfKind('blade').filter(({ lengthM, pattern }) => lengthM < 0.03 && pattern !== 'alwaysTurning');
const BODIES = partsOfKind('lureBody').filter(({ hasTailEye }) => hasTailEye);

function behind(body: (typeof BODIES)[number], blade: (typeof SMALL)[number]): Lure {
  const start = { ...demoLure('halvane-glint'), build: bareBody(body) };
  const ringed = edited(start, seatPart(start.build, part('ring-k2'), TAIL));
  return edited(ringed, seatPart(ringed.build, blade, on('splitRing-1', 'hung')));
}

const freeOf = (lure: Lure, speedMps: number) => {
  const [free] = bodySwing(lure.build, LAKE_WATER, speedMps)?.free ?? [];
  if (!free) throw new Error('it is free all round');
  return free;
};

describe('a free blade behind a bait', () => {
  it.each(SMALL)('$id: turns from a speed that its own figures know, and starts above that', (blade) => {
    const [body] = BODIES;
    if (!body) throw new Error('the catalogue has bodies');
    const lure = behind(body, blade);
    const { turns } = freeOf(lure, 0.8);
    if (turns === null) {
      // One that turns at no speed is not told to turn at a fast retrieve either.
      const [at] = predictSpin(lure.build, LAKE_WATER, [2]).blades[0]?.at ?? [];
      expect(at?.outcome).not.toBe('turning');
      return;
    }
    expect(turns.startsMps).toBeGreaterThan(turns.keepsMps);
    const [own] = stallSpeeds(lure.build, LAKE_WATER).map(({ stall }) => stall);
    if (own?.outcome !== 'stalls') throw new Error('its stall is known');
    expect(turns.keepsMps / own.keepsMps.value).toBeCloseTo(1, 1);
    expect(turns.keepsMps).toBeGreaterThan(own.keepsMps.low * 0.9);
    expect(turns.keepsMps).toBeLessThan(own.keepsMps.high * 1.1);
  });

  it('is carried further the wider the bait swings and the longer it is; not at all by one that does not wobble', () => {
    const [blade] = SMALL;
    if (!blade) throw new Error('there are small blades');
    const pairs: Pair[] = [];
    for (const body of BODIES) {
      const lure = behind(body, blade);
      const swing = bodySwing(lure.build, LAKE_WATER, 0.9);
      const free = freeOf(lure, 0.9);
      if (!swing?.wobble) {
        expect(free.toAndFroM, body.id).toBe(0);
        continue;
      }
      expect(free.toAndFroM).toBeGreaterThan(0);
      expect(free.toAndFroM).toBeLessThan(1.2 * body.lengthM);
      const longer = { ...body, lengthM: 1.3 * body.lengthM };
      const other = freeOf(behind(longer, blade), 0.9);
      const swings = bodySwing(behind(longer, blade).build, LAKE_WATER, 0.9)?.wobble?.swingRad ?? 0;
      // For the same swing: the way of its tail grows with its length.
      const asFar = (free.toAndFroM / Math.sin(swing.wobble.swingRad)) * Math.sin(swings);
      pairs.push({ name: body.id, less: asFar, more: other.toAndFroM });
    }
    expectOrdering('a longer bait carries a blade at its tail further for the same swing', pairs);
  });

  it('flashes on the pause a few times, more often the heavier its sheet', () => {
    const pairs = SMALL.map((blade): Pair => {
      const swings = pauseSwings(blade, LAKE_WATER);
      expect(swings, blade.id).toBeGreaterThanOrEqual(1);
      const heavy = { ...blade, thicknessM: 3 * blade.thicknessM, massKg: 3 * blade.massKg };
      return { name: blade.id, less: swings, more: pauseSwings(heavy, LAKE_WATER) };
    });
    expectOrdering('a heavier blade swings more often on the pause', pairs);
  });

  it('under a belly is not among the free ones', () => {
    const glint = demoLure('halvane-glint');
    expect(bodySwing(glint.build, LAKE_WATER, 0.8)?.free).toEqual([]);
    expect(bodySwing(glint.build, LAKE_WATER, 0.8)?.flashing.map(({ item }) => item.id)).toEqual([itemId('blade-1')]);
  });
});
