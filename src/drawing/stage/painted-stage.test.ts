import fc from 'fast-check';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { demoLure } from '@/testing/lures';
import type { Canvas } from '../canvas-context';
import { stillLure } from '../still-lure';
import { reachOf, sweptCorners } from '../stage-reach';
import { stageScale, steadyBox, sweptBox, viewOf } from '../stage-view';
import { turningThings } from '../turning-things';
import { PaintedStage, type Side, type StageShown } from './painted-stage';

/** A canvas that takes all and counts how often it is cleared. */
function canvas() {
  const count = { cleared: 0, filled: 0 };
  const context = new Proxy<Record<string, unknown>>(
    {},
    {
      get: (kept, name) =>
        name in kept
          ? kept[name as string]
          : () => {
              if (name === 'clearRect') count.cleared++;
              if (name === 'fill') count.filled++;
            },
    },
  );
  return { count, canvas: { width: 0, height: 0, getContext: () => context } as unknown as Canvas };
}

/** The frames of a browser, run by hand. */
function frames() {
  let now = 1000;
  let next: ((now: number) => void) | null = null;
  vi.stubGlobal('requestAnimationFrame', (step: (now: number) => void) => {
    next = step;
    return 1;
  });
  vi.stubGlobal('cancelAnimationFrame', () => {
    next = null;
  });
  return {
    isAsked: () => next !== null,
    run: (afterMs: number) => {
      now += afterMs;
      const step = next;
      next = null;
      step?.(now);
      return now;
    },
  };
}

const { layout, motions } = stillLure(demoLure('hovna-lantern').build);
const box = { widthPx: 400, heightPx: 300, originX: 0, originY: 150 };

function shown(rateHz: number, more: Partial<StageShown> = {}): StageShown {
  const turning = turningThings(
    motions.map((motion) => ({ ...motion, rateHz })),
    layout,
    1,
  );
  return {
    standing: [],
    shapes: new Map(),
    turning,
    ratio: 1,
    pxPerMm: 5,
    whole: box,
    swept: box,
    isStill: false,
    ...more,
  };
}

function stage(before?: PaintedStage) {
  const sides: Side[] = [];
  const [behind, still, front] = [canvas(), canvas(), canvas()];
  const painted = new PaintedStage(
    { behind: behind.canvas, still: still.canvas, before: front.canvas },
    (side) => sides.push(side),
    before,
  );
  return { painted, sides, still: still.count, front: front.count };
}

beforeEach(() => {
  vi.stubGlobal('Path2D', Object);
});
afterEach(() => {
  vi.unstubAllGlobals();
});

describe('the painted stage', () => {
  it('turns a blade at its rate, however unevenly the frames come', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.3, max: 6, noNaN: true }),
        fc.array(fc.double({ min: 4, max: 60, noNaN: true }), { minLength: 80, maxLength: 160 }),
        (rateHz, gaps) => {
          const browser = frames();
          const { painted, sides } = stage();
          painted.show(shown(rateHz), () => undefined);
          const from = browser.run(16);
          const to = gaps.reduce((_, gap) => browser.run(gap), from);
          // Each half turn it comes to the other side; the first of them may be a part of one.
          const halfTurns = (2 * rateHz * (to - from)) / 1000;
          expect(Math.abs(sides.length - 1 - halfTurns)).toBeLessThanOrEqual(1);
        },
      ),
      { numRuns: 12 },
    );
  });

  it('paints what stands at once, and tells that all is painted once the blades have come with their next frame', () => {
    const browser = frames();
    const { painted, still, front } = stage();
    const told = vi.fn();
    painted.show(shown(4), told);
    expect(told).toHaveBeenCalledTimes(1);
    browser.run(16);
    const [standing, blades] = [still.cleared, front.cleared];
    painted.show(shown(4), told);
    expect([still.cleared, front.cleared]).toEqual([standing + 1, blades]);
    expect(told).toHaveBeenCalledTimes(1);
    browser.run(16);
    expect(front.cleared).toBe(blades + 1);
    expect(told).toHaveBeenCalledTimes(2);
    // Nothing turns: nothing waits for a frame.
    painted.show(shown(0), told);
    browser.run(16);
    painted.show(shown(0), told);
    expect(told).toHaveBeenCalledTimes(4);
    expect(browser.isAsked()).toBe(false);
  });

  it('that takes the place of another turns on from where that one was', () => {
    const browser = frames();
    const first = stage();
    first.painted.show(shown(1), () => undefined);
    browser.run(16);
    for (let i = 0; i < 40; i++) browser.run(16);
    first.painted.stop();
    const second = stage(first.painted);
    second.painted.show(shown(1), () => undefined);
    browser.run(16);
    expect(second.sides[0]).toBe(first.sides.at(-1));
    // In the next second it comes to the other side twice.
    const before = second.sides.length;
    for (let i = 0; i < 63; i++) browser.run(16);
    expect(second.sides.length - before).toBe(2);
  });
});

describe('the box of the blades', () => {
  it('holds what is needed, and keeps its size while that serves', () => {
    const size = fc.integer({ min: 0, max: 20 }).map((steps) => steps * 96);
    const boxes = fc.record({ left: size, top: size, width: size, height: size });
    fc.assert(
      fc.property(boxes, boxes, (needed, before) => {
        const kept = steadyBox(needed, before);
        expect(kept).toMatchObject({ left: needed.left, top: needed.top });
        expect(kept.width).toBeGreaterThanOrEqual(needed.width);
        expect(kept.width).toBeLessThanOrEqual(2 * needed.width);
        expect(kept.height).toBeGreaterThanOrEqual(needed.height);
        expect(steadyBox(needed, kept)).toEqual(kept);
      }),
    );
    const view = viewOf(stageScale(reachOf(layout, motions), { widthPx: 960, heightPx: 480, topPx: 56 }));
    const corners = sweptCorners(layout, motions);
    const there = sweptBox(corners, view);
    for (let byMm = -4; byMm <= 4; byMm += 0.5) {
      const moved = sweptBox(
        corners.map(({ xM, yM }) => ({ xM: xM + byMm / 1000, yM })),
        view,
      );
      const larger = { ...there, width: there.width + 96 };
      expect(steadyBox(moved, larger).width).toBe(larger.width);
    }
  });
});
