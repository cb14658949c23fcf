/** How a nail weight and a screw eye are put in, drawn from what they are: every one of the catalogue. */
import { describe, expect, it } from 'vitest';
import { demoLure, edited, itemId, part } from '@/testing/lures';
import { hangersOf, takeBody } from '@/core/lure/take-body';
import { seatPart } from '@/core/lure/editing';
import { partsOfKind } from '@/core/parts/catalogue';
import { planMake } from '@/core/make/plan';
import type { Build } from '@/core/lure/lure';
import { boxOfWay } from '../paint-canvas';
import type { Frame } from './frame';
import { handlingFrames } from './handling';

function framesOf(build: Build, op: 'screwNail' | 'screwIn') {
  const plan = planMake(build);
  if (plan.outcome === 'noWay') throw new Error(JSON.stringify(plan.why));
  const step = plan.steps.find(({ operation }) => operation.op === op);
  if (!step) throw new Error(`${op} is a step`);
  return { step, frames: handlingFrames(step) };
}

/** Everything drawn lies within its frame, in finite numbers. */
function expectWithin({ box, layers, measure }: Frame, slackMm: number) {
  for (const { shapes, at, scale } of layers) {
    for (const { d } of shapes) {
      expect(d).not.toMatch(/NaN|Infinity|undefined/);
      const drawn = boxOfWay(d);
      expect(drawn.y1 * scale + at.y).toBeLessThan(box.y1 + slackMm);
      expect(drawn.y0 * scale + at.y).toBeGreaterThan(box.y0 - slackMm);
    }
  }
  if (!measure) return;
  for (const { x, y } of [measure.from, measure.to]) {
    expect(x).toBeGreaterThanOrEqual(box.x0);
    expect(x).toBeLessThanOrEqual(box.x1);
    expect(y).toBeGreaterThanOrEqual(box.y0);
    expect(y).toBeLessThanOrEqual(box.y1);
  }
}

const lengthOf = ({ measure }: Frame) =>
  measure ? Math.hypot(measure.to.x - measure.from.x, measure.to.y - measure.from.y) / 1000 : 0;

describe('a nail weight going in', () => {
  it.each(partsOfKind('nailWeight'))('$id: marked, started upright, standing out as its step says', (nail) => {
    const ember = demoLure('mirrow-ember');
    for (const outM of [0, 0.0021, 0.0042]) {
      const lure = edited(
        ember,
        { kind: 'swapPart', item: itemId('nailWeight-1'), part: nail },
        {
          kind: 'adjust',
          item: itemId('nailWeight-1'),
          changes: { state: { of: 'nail', atM: 0.019, outM, leanRad: 0, clippedM: 0.001 } },
        },
      );
      const { step, frames } = framesOf(lure.build, 'screwNail');
      expect(frames.map(({ moment }) => moment)).toEqual(['nailMarked', 'nailStarted', 'nailIn']);
      const [marked, , standing] = frames;
      if (!marked || !standing) throw new Error('three frames');
      expect(step.amounts).toContainEqual({ of: 'fromHead', lengthM: 0.019 });
      expect(lengthOf(marked)).toBeCloseTo(0.019, 9);
      expect(lengthOf(standing)).toBeCloseTo(outM, 9);
      const way = boxOfWay(standing.layers[0]?.shapes[0]?.d ?? '');
      expect((way.y1 - way.y0) / 1000).toBeCloseTo(nail.lengthM - 0.001, 5);
      for (const frame of frames) expectWithin(frame, 6);
    }
  });
});

describe('a screw eye going in', () => {
  it.each(partsOfKind('lureBody'))('in $id: where its step says, as deep as its thread, square to the axis', (body) => {
    const start = demoLure('halvane-glint');
    const bare = edited(start, ...takeBody(start.build, body));
    const atM = Math.round(0.6 * body.lengthM * 1e4) / 1e4;
    for (const side of ['belly', 'back'] as const) {
      const eye = part('screw-eye-08-10');
      const lure = edited(bare, seatPart(bare.build, eye, { on: 'body', side, atM }));
      expect(hangersOf(lure.build).length).toBeGreaterThan(0);
      const { step, frames } = framesOf(lure.build, 'screwIn');
      expect(frames.map(({ moment }) => moment)).toEqual(['eyeHole', 'eyeTurned', 'eyeSquare']);
      const [hole, , square] = frames;
      if (!hole || !square) throw new Error('three frames');
      expect(step.amounts).toContainEqual({ of: 'fromNose', lengthM: atM });
      expect(lengthOf(hole)).toBeCloseTo(atM, 9);
      const thread = boxOfWay(square.layers[0]?.shapes[0]?.d ?? '');
      expect((thread.y1 - thread.y0) / 1000).toBeCloseTo(eye.kind === 'screwEye' ? eye.threadLengthM : 0, 5);
      expect(thread.x1 - thread.x0).toBeCloseTo(0, 6);
      for (const frame of frames) expectWithin(frame, 14);
    }
  });
});
