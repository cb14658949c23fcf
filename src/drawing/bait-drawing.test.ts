import { poseOf } from '../core/geometry/placed';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bentAt, demoLure, edited, itemId, on, part, plainBait, plainBuzz } from '@/testing/lures';
import { DEMO_LURES } from '@/demo/scenario';
import { seatPart } from '../core/lure/editing';
import { layOut } from '../core/geometry/layout';
import type { ItemState } from '../core/parts/part';
import type { Lure } from '../core/lure/lure';
import { pointOn } from '../core/carriers/wire-path';
import { partsOfKind } from '../core/parts/catalogue';
import { headShapes } from './bait-shapes';
import { bentEndShapes, leadPaths } from './bent-wire';
import { drawElevation, linePose, type DrawnThing } from './drawn-things';
import { boxOfWay } from './paint-canvas';
import type { Shape } from './shape';
import { trailerShapes } from './soft-shapes';
import { heights, reachOf, sweptCorners } from './stage-reach';
import { AT_REST, RULE_PX, stageScale, sweptBox, viewOf } from './stage-view';
import { frameFor, stillLure } from './still-lure';

const sound = plainBait();
const trailered = edited(sound, seatPart(sound.build, part('trailer-paddle-75-smelt'), on('hook-1', 'pushed')));

function thingOf(lure: Lure, id: string): DrawnThing {
  const found = drawElevation(lure.build, layOut(lure.build)).find(({ pick }) => pick === id);
  if (!found) throw new Error(`${id} is drawn`);
  return found;
}

function extent(shapes: readonly Shape[]) {
  const boxes = shapes.map(({ d }) => boxOfWay(d));
  return {
    x0: Math.min(...boxes.map(({ x0 }) => x0)),
    x1: Math.max(...boxes.map(({ x1 }) => x1)),
    y0: Math.min(...boxes.map(({ y0 }) => y0)),
    y1: Math.max(...boxes.map(({ y1 }) => y1)),
  };
}

const setSkirt = (collarAt: number, tips: 'even' | 'thinned', flipped = false) =>
  edited(sound, {
    kind: 'adjust',
    item: itemId('skirt-1'),
    changes: { flipped, state: { of: 'skirt', collarAt, tips } },
  });

describe('the box of a way', () => {
  it('is that of its points, its level and upright strokes and its ellipses', () => {
    expect(boxOfWay('M1 2L5 -3')).toEqual({ x0: 1, y0: -3, x1: 5, y1: 2 });
    expect(boxOfWay('M0 0H7V4Z')).toEqual({ x0: 0, y0: 0, x1: 7, y1: 4 });
    expect(boxOfWay('M-3 0a3 2 0 1 0 6 0a3 2 0 1 0 -6 0Z')).toEqual({ x0: -3, y0: -2, x1: 3, y1: 2 });
    expect(boxOfWay('M0 0C1 -1 2 5 3 0')).toMatchObject({ x0: 0, x1: 3, y0: -1, y1: 5 });
  });
});

describe('heads, wire and skirts as drawn', () => {
  it('a head is drawn as long and no higher than it measures, its collar behind it', () => {
    for (const head of partsOfKind('head')) {
      const { eye, ...solid } = head;
      const { x0, x1, y0, y1 } = extent(headShapes(solid));
      expect(x0).toBeCloseTo(0, 6);
      expect(x1).toBeCloseTo((head.lengthM + head.collarLengthM) * 1000, 6);
      expect(y1 - y0).toBeLessThanOrEqual(head.heightM * 1000 + 1e-6);
      const topM = eye ? eye.upM + eye.insideM / 2 + eye.wireM : head.heightM;
      expect(-extent(headShapes(head)).y0).toBeLessThanOrEqual(topM * 1000 + 1e-6);
    }
  });

  it('the lead of a bent wire runs from the head to where the arm begins', () => {
    for (const lure of DEMO_LURES) {
      const layout = layOut(lure.build);
      if (!layout.path) continue;
      const [way = ''] = leadPaths(layout.path);
      const numbers = (way.match(/-?\d+(\.\d+)?/g) ?? []).map(Number);
      expect(numbers.at(-2)).toBeCloseTo(layout.lines.run.xM * 1000, 2);
      expect(numbers.at(-1)).toBeCloseTo(-layout.lines.run.yM * 1000, 2);
      const head = layout.off.find(({ item }) => item.part.kind === 'head')?.item.part;
      expect(numbers[0]).toBeCloseTo((head?.kind === 'head' ? head.wireAtM : 0) * 1000, 2);
    }
  });

  it('a loop is drawn as open as it is, and a turned end as long as it is', () => {
    const round = (gapM: number) =>
      bentEndShapes({ form: 'bentLoop', insideDiameterM: 0.003, gapM }, 0.9, '#a7adb2')[0]?.d ?? '';
    expect(round(0)).not.toBe(round(0.0014));
    expect(boxOfWay(round(0)).x1).toBeCloseTo(3.9, 1);
    const down = bentEndShapes({ form: 'bentOver', lengthM: 0.004 }, 0.9, '#a7adb2')[0]?.d ?? '';
    expect(boxOfWay(down).y1).toBeCloseTo(4, 6);
    expect(bentEndShapes({ form: 'plain' }, 0.9, '#a7adb2')).toEqual([]);
  });

  it('strands reach as far as the skirt does, the long ones to the long side, and end unevenly when thinned', () => {
    const even = extent(thingOf(setSkirt(0.3, 'even'), 'skirt-1').shapes);
    const turned = extent(thingOf(setSkirt(0.3, 'even', true), 'skirt-1').shapes);
    expect(even.x1).toBeGreaterThan(92 * 0.7 * 0.9);
    expect(even.x1).toBeGreaterThan(turned.x1);
    const flared = extent(thingOf(setSkirt(0.15, 'even'), 'skirt-1').shapes);
    const held = extent(thingOf(setSkirt(0.5, 'even'), 'skirt-1').shapes);
    expect((flared.y1 - flared.y0) / (flared.x1 - flared.x0)).toBeGreaterThan(0.1);
    expect(flared.x1).toBeGreaterThan(held.x1);
    const thinned = thingOf(setSkirt(0.3, 'thinned'), 'skirt-1').shapes;
    expect(thinned.map(({ d }) => d)).not.toEqual(thingOf(setSkirt(0.3, 'even'), 'skirt-1').shapes.map(({ d }) => d));
  });

  it('a skirt is drawn anew only when it or a layer of it is another', () => {
    const again = thingOf(sound, 'skirt-1').shapes;
    expect(thingOf(bentAt(sound, 3, { angleRad: -2.5 }), 'skirt-1').shapes).toBe(again);
    expect(thingOf(setSkirt(0.2, 'even'), 'skirt-1').shapes).not.toBe(again);
    const layer = { kind: 'swapPart', item: itemId('skirtLayer-1'), part: part('strip-red') } as const;
    expect(thingOf(edited(sound, layer), 'skirt-1').shapes).not.toBe(again);
  });

  it('tails of every style: drawn to their length, shorter when cut, slimmer in front when rounded, off line when crooked', () => {
    const whole: Extract<ItemState, { of: 'trailer' }> = { of: 'trailer', cutM: 0, rounded: false, crookedRad: 0 };
    for (const tail of partsOfKind('trailer')) {
      const { x0, x1 } = extent(trailerShapes(tail, whole, false));
      expect(x0).toBeCloseTo(0, 3);
      expect(Math.abs(x1 - tail.lengthM * 1000)).toBeLessThan(tail.bodyM * 1000 * 0.3);
      const cut = extent(trailerShapes(tail, { ...whole, cutM: 0.01 }, false));
      expect(x1 - cut.x1).toBeCloseTo(10, 6);
      const crooked = extent(trailerShapes(tail, { ...whole, crookedRad: 0.2 }, false));
      expect(crooked.y1).toBeGreaterThan(extent(trailerShapes(tail, whole, false)).y1);
      const ways = (state: typeof whole, atPoint = false) => trailerShapes(tail, state, atPoint).map(({ d }) => d);
      if (tail.head === 'blunt') expect(ways({ ...whole, rounded: true })).not.toEqual(ways(whole));
      if (tail.style === 'claw') expect(ways(whole, true)).not.toEqual(ways(whole));
    }
  });
});

describe('where a bait is drawn', () => {
  it('each thing on its own line: the head level, the arm as bent, the chain straight back', () => {
    const layout = layOut(trailered.build);
    expect(thingOf(trailered, 'head-1').line).toEqual({ xMm: 0, yMm: -0, turnRad: -0 });
    expect(thingOf(trailered, 'bead-1').line).toEqual(linePose(layout, 'run'));
    expect(thingOf(trailered, 'swivel-1').line.turnRad).toBeCloseTo(0, 12);
    const order = drawElevation(trailered.build, layout).map(({ pick }) => pick);
    // The hook shows through behind the trailer, strands lie over both.
    expect(order.indexOf(itemId('hook-1'))).toBeLessThan(order.indexOf(itemId('trailer-1')));
    expect(order.indexOf(itemId('trailer-1'))).toBeLessThan(order.indexOf(itemId('skirt-1')));
  });

  it('a bend drawn further moves only what hangs beyond it', () => {
    const bent = bentAt(sound, 3, { angleRad: -2.4 });
    for (const id of ['head-1', 'hook-1', 'skirt-1']) expect(thingOf(bent, id).line).toEqual(thingOf(sound, id).line);
    expect(thingOf(bent, 'bead-1').line.turnRad).toBeLessThan(thingOf(sound, 'bead-1').line.turnRad);
  });

  it('fits its stage and its list picture whole, whatever way it is bent', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(sound, trailered, plainBuzz(), demoLure('torvane-lanes'), demoLure('asp-pair')),
        fc.double({ min: -3, max: -1.2, noNaN: true }),
        fc.integer({ min: 320, max: 1600 }),
        (start, angleRad, width) => {
          const lure = bentAt(start, 3, { angleRad });
          const still = stillLure(lure.build);
          const view = viewOf(
            stageScale(reachOf(still.layout, still.motions), { widthPx: width, heightPx: 420, topPx: 56 }),
          );
          expect(view.toX(still.layout.x0M)).toBeGreaterThanOrEqual(0);
          expect(view.toX(still.layout.x1M)).toBeLessThanOrEqual(width + 0.01);
          expect(view.originY - still.layout.y1M * 1000 * view.pxPerMm).toBeGreaterThanOrEqual(0);

          const frame = frameFor([still], 240, 84, 1.7);
          const at = (xM: number, yM: number) => [
            frame.originX + xM * 1000 * frame.pxPerMm,
            frame.originY - yM * 1000 * frame.pxPerMm,
          ];
          for (const [x = -1, y = -1] of [
            at(still.layout.x0M, still.layout.y0M),
            at(still.layout.x1M, still.layout.y1M),
          ]) {
            expect(x).toBeGreaterThanOrEqual(0);
            expect(x).toBeLessThanOrEqual(240);
            expect(y).toBeGreaterThanOrEqual(0);
            expect(y).toBeLessThanOrEqual(84);
          }
        },
      ),
      { numRuns: 80, seed: 3 },
    );
  });

  it('at true size keeps the scale asked for, its middle in the middle; nearer, it keeps the place moved to', () => {
    const { layout, motions } = stillLure(sound.build);
    const room = { widthPx: 390, heightPx: 300, topPx: 0 };
    const middleMm = ((layout.x0M + layout.x1M) / 2) * 1000;
    const trueSize = stageScale(reachOf(layout, motions), room, AT_REST, 4.2);
    expect(trueSize.pxPerMm).toBe(4.2);
    expect(trueSize.originX + middleMm * trueSize.pxPerMm).toBeCloseTo(195, 9);
    const near = stageScale(reachOf(layout, motions), room, { zoom: 3, panXMm: 5, panYMm: -2 }, 4.2);
    expect(near.pxPerMm).toBeCloseTo(12.6, 9);
    expect(near.originX + (middleMm + 5) * near.pxPerMm).toBeCloseTo(195, 9);
  });

  it('fills three quarters of the stage at rest, one way or the other', () => {
    for (const lure of DEMO_LURES) {
      const { layout, motions } = stillLure(lure.build);
      const view = stageScale(reachOf(layout, motions), { widthPx: 960, heightPx: 480, topPx: 56 });
      const { upM, downM } = heights(layout, motions);
      const across = ((layout.x1M - layout.x0M) * 1000 * view.pxPerMm) / 960;
      const up = ((upM + downM) * 1000 * view.pxPerMm) / (480 - 56 - RULE_PX);
      expect(Math.max(across, up), lure.name).toBeGreaterThanOrEqual(0.75);
    }
  });

  it('what is painted sixty times a second holds every blade at its widest, and is less than the stage', () => {
    for (const lure of DEMO_LURES) {
      const { layout, motions } = stillLure(lure.build);
      const view = viewOf(stageScale(reachOf(layout, motions), { widthPx: 960, heightPx: 400, topPx: 0 }));
      const box = sweptBox(sweptCorners(layout, motions), view);
      expect(box.width * box.height).toBeLessThan(view.widthPx * view.heightPx);
      for (const { line, holeM, dropM, reachM, spreadRad } of motions) {
        for (const side of [-1, 1]) {
          const tip = pointOn(
            poseOf(layout, line),
            holeM + reachM * Math.cos(spreadRad),
            side * (dropM + reachM * Math.sin(spreadRad)),
          );
          const [x, y] = [view.toX(tip.xM), view.originY - tip.yM * 1000 * view.pxPerMm];
          expect(x).toBeGreaterThanOrEqual(box.left - 0.5);
          expect(x).toBeLessThanOrEqual(box.left + box.width + 0.5);
          expect(y).toBeGreaterThanOrEqual(box.top - 0.5);
          expect(y).toBeLessThanOrEqual(box.top + box.height + 0.5);
        }
      }
    }
    const bare = viewOf(stageScale(reachOf(layOut(sound.build), []), { widthPx: 900, heightPx: 300, topPx: 0 }));
    expect(sweptBox(sweptCorners(layOut(sound.build), []), bare)).toMatchObject({ width: 0 });
  });
});
