import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { DEMO_LURES } from '@/demo/scenario';
import { reachOf } from '../stage-reach';
import { stageScale, viewOf } from '../stage-view';
import { stillLure } from '../still-lure';
import { Ground, NEVER_COVERED, polygonOf, type Box } from './ground';
import { lureGround, sweepOf } from './lure-ground';
import { cross, meets, overlap, placeLabels, type LabelWanted, type PlacedLabel } from './place-labels';

function expectApart(placed: readonly PlacedLabel[], about: string) {
  placed.forEach((a, i) => {
    for (const b of placed.slice(i + 1)) {
      expect(overlap(a, b), about).toBe(false);
      expect(cross(a.leader, b.leader), about).toBe(false);
    }
    for (const b of placed) if (b !== a) expect(meets(a.leader, b), about).toBe(false);
  });
}

describe('ground', () => {
  const asBox = ([left, top, width, height]: readonly number[]): Box => ({
    left: left ?? 0,
    top: top ?? 0,
    width: width ?? 0,
    height: height ?? 0,
  });
  const box = fc.array(fc.integer({ min: 20, max: 180 }), { minLength: 4, maxLength: 4 }).map(asBox);

  it('is taken wherever a box overlaps what was taken, and free a cell further', () => {
    fc.assert(
      fc.property(box, box, (taken, asked) => {
        const ground = new Ground(600, 600);
        ground.takePolygon(polygonOf(taken));
        if (overlap(taken, asked)) expect(ground.isFree(asked)).toBe(false);
        const wide = { left: taken.left - 7, top: taken.top - 7, width: taken.width + 14, height: taken.height + 14 };
        if (!overlap(wide, asked)) expect(ground.isFree(asked)).toBe(true);
      }),
      { seed: 5, numRuns: 300 },
    );
  });

  it('is not free beyond the stage, and a line across what is taken meets it', () => {
    const ground = new Ground(300, 200);
    ground.takePolygon(polygonOf({ left: 100, top: 50, width: 60, height: 60 }));
    expect(ground.isFree({ left: 250, top: 20, width: 60, height: 20 })).toBe(false);
    expect(ground.takenBetween({ x: 20, y: 80 }, { x: 280, y: 80 }, 0)).toBeGreaterThan(5);
    expect(ground.takenBetween({ x: 20, y: 20 }, { x: 280, y: 20 }, 0)).toBe(0);
  });
});

describe('labels', () => {
  it('of random anchors on open ground keep apart, cross no leader, and stay where they are while they can', () => {
    const anchor = fc.record({ x: fc.integer({ min: 150, max: 750 }), y: fc.integer({ min: 120, max: 380 }) });
    fc.assert(
      fc.property(fc.array(anchor, { minLength: 1, maxLength: 4 }), (anchors) => {
        const ground = new Ground(960, 520);
        for (const { x, y } of anchors)
          ground.takePolygon(polygonOf({ left: x - 30, top: y - 20, width: 60, height: 40 }));
        const wanted = anchors.map(({ x, y }, i): LabelWanted => ({
          key: String(i),
          widthPx: 150,
          heightPx: 60,
          anchors: [
            { x, y: y - 20 },
            { x, y: y + 20 },
          ],
        }));
        const placed = placeLabels(wanted, ground);
        expect(placed).toHaveLength(anchors.length);
        expectApart(placed, JSON.stringify(anchors));
        for (const each of placed) expect(ground.isFree(each)).toBe(true);
        const again = placeLabels(wanted, ground, new Map(placed.map((each) => [each.key, each])));
        if (anchors.length === 1) expect(again[0]).toMatchObject({ left: placed[0]?.left, top: placed[0]?.top });
      }),
      { seed: 8, numRuns: 120 },
    );
  });

  it('of every demo lure’s blades stand off every part and sweep at 1280 × 800, on free ground', () => {
    for (const lure of DEMO_LURES) {
      const { layout, motions, things } = stillLure(lure.build);
      const view = viewOf(stageScale(reachOf(layout, motions), { widthPx: 960, heightPx: 480, topPx: 56 }));
      const ground = lureGround(things, motions, layout, view);
      ground.takePolygon(polygonOf({ left: 0, top: 0, width: 960, height: 56 }));
      ground.takePolygon(polygonOf({ left: 0, top: 446, width: 960, height: 34 }));
      const wanted = motions.map((motion): LabelWanted => ({
        key: motion.station,
        widthPx: 240,
        heightPx: 118,
        anchors: sweepOf(motion, layout, view).tips,
      }));
      const placed = placeLabels(wanted, ground);
      expect(placed, lure.name).toHaveLength(motions.length);
      expectApart(placed, lure.name);
      for (const each of placed) expect(ground.isFree(each), lure.name).toBe(true);
    }
  });

  it('without free ground still stand, where they cover least', () => {
    const ground = new Ground(400, 200);
    ground.takePolygon(polygonOf({ left: 0, top: 0, width: 400, height: 150 }));
    const [placed] = placeLabels([{ key: 'a', widthPx: 200, heightPx: 90, anchors: [{ x: 200, y: 75 }] }], ground);
    expect(placed?.top).toBeGreaterThanOrEqual(100);
  });

  it('of two with free ground for one, both stand, one over the other’s parts and not over the other', () => {
    const ground = new Ground(400, 300);
    ground.takePolygon(polygonOf({ left: 0, top: 0, width: 400, height: 195 }));
    const wanted = ['a', 'b'].map((key, i): LabelWanted => ({
      key,
      widthPx: 300,
      heightPx: 85,
      anchors: [{ x: 150 + 60 * i, y: 120 }],
    }));
    const placed = placeLabels(wanted, ground);
    expect(placed).toHaveLength(2);
    const [a, b] = placed;
    expect(a && b && overlap(a, b)).toBe(false);
  });

  it('rather cover the lure than what is pressed', () => {
    const ground = new Ground(420, 200);
    ground.takePolygon(polygonOf({ left: 0, top: 0, width: 420, height: 200 }));
    ground.takePolygon(polygonOf({ left: 380, top: 0, width: 40, height: 200 }), NEVER_COVERED);
    const [placed] = placeLabels([{ key: 'a', widthPx: 200, heightPx: 90, anchors: [{ x: 400, y: 100 }] }], ground);
    expect((placed?.left ?? 0) + (placed?.width ?? 0)).toBeLessThanOrEqual(380);
  });
});
