import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anyDressedLure } from '@/testing/any-lure';
import { demoLure, edited, on, part, plainBait } from '@/testing/lures';
import { MOMENT_WORDS } from '@/words/handling-words';
import { seatPart } from '../core/lure/editing';
import type { Build } from '../core/lure/lure';
import { planMake, standsAfter } from '../core/make/plan';
import { DEMO_LURES } from '@/demo/scenario';
import type { Frame } from './handling/frame';
import { handlingFrames } from './handling/handling';
import { boxOfWay } from './paint-canvas';
import { stepScene } from './step-scene';

function eachStep(build: Build) {
  const plan = planMake(build);
  if (plan.outcome !== 'planned') return [];
  return plan.steps.map((step, i) => ({
    step,
    frames: handlingFrames(step),
    scene: stepScene(build, standsAfter(build, plan.steps, i + 1), step),
  }));
}

function expectFinite(frame: Frame) {
  const { x0, x1, y0, y1 } = frame.box;
  expect(x1 - x0).toBeGreaterThan(0);
  expect(y1 - y0).toBeGreaterThan(0);
  for (const { shapes, at, scale } of frame.layers) {
    expect(Number.isFinite(at.x + at.y + scale)).toBe(true);
    for (const { d } of shapes) expect(d).not.toMatch(/NaN|Infinity|undefined/);
  }
  expect(MOMENT_WORDS[frame.moment].length).toBeGreaterThan(5);
}

describe('the lure after each step', () => {
  it.each(DEMO_LURES.map((lure) => [lure.name, lure] as const))(
    '%s: drawn whole, what is new ringed inside it',
    (_, lure) => {
      for (const { step, scene } of eachStep(lure.build)) {
        const { box, mark, lure: still } = scene;
        expect(Number.isFinite(box.x0 + box.x1 + box.y0 + box.y1), step.id).toBe(true);
        expect(box.x1 - box.x0, step.id).toBeGreaterThan(3);
        expect(still.things.length + still.motions.length, step.id).toBeGreaterThan(0);
        if (!mark) continue;
        expect(mark.x0, step.id).toBeGreaterThanOrEqual(box.x0 - 1e-9);
        expect(mark.x1, step.id).toBeLessThanOrEqual(box.x1 + 1e-9);
        expect(mark.y0, step.id).toBeGreaterThanOrEqual(box.y0 - 1e-9);
        expect(mark.y1, step.id).toBeLessThanOrEqual(box.y1 + 1e-9);
      }
      const marked = eachStep(lure.build).filter(({ scene }) => scene.mark !== null);
      expect(marked.length).toBeGreaterThan(eachStep(lure.build).length / 2);
    },
  );

  it('a nail weight is drawn as long as it is, where and as far out as its step says; an eye as deep as its thread', () => {
    const { build } = demoLure('mirrow-ember');
    const nail = eachStep(build).find(({ step }) => step.operation.op === 'screwNail');
    const [marked, , standing] = nail?.frames ?? [];
    const amount = (of: string) => nail?.step.amounts.find((each) => each.of === of);
    expect(marked?.measure).toMatchObject({ lengthM: 0.0225 });
    expect(amount('fromHead')).toMatchObject({ lengthM: marked?.measure?.lengthM });
    expect((marked?.measure?.to.x ?? 0) - (marked?.measure?.from.x ?? 0)).toBeCloseTo(22.5, 9);
    expect(amount('standsOut')).toMatchObject({ lengthM: standing?.measure?.lengthM });
    const out = (standing?.measure?.to.y ?? 0) - (standing?.measure?.from.y ?? 0);
    expect(out / 1000).toBeCloseTo(standing?.measure?.lengthM ?? 0, 9);
    const [first] = standing?.layers[0]?.shapes ?? [];
    const drawn = boxOfWay(first?.d ?? '');
    // A clipped nail would be shorter; this one is whole.
    expect((drawn?.y1 ?? 0) - (drawn?.y0 ?? 0)).toBeCloseTo(12, 1);
    expect(drawn?.y1).toBeCloseTo(standing?.measure?.to.y ?? 0, 2);

    const eyed = edited(
      demoLure('halvane-glint'),
      seatPart(demoLure('halvane-glint').build, part('screw-eye-08-10'), { on: 'body', side: 'belly', atM: 0.04 }),
    );
    const eye = eachStep(eyed.build).find(({ step }) => step.operation.op === 'screwIn');
    expect(eye?.frames.map(({ moment }) => moment)).toEqual(['eyeHole', 'eyeTurned', 'eyeSquare']);
    const hole = eye?.frames[0]?.measure;
    expect((hole?.to.x ?? 0) - (hole?.from.x ?? 0)).toBeCloseTo(40, 9);
    const thread = boxOfWay(eye?.frames[2]?.layers[0]?.shapes[0]?.d ?? '');
    expect((thread?.y1 ?? 0) - (thread?.y0 ?? 0)).toBeCloseTo(10, 6);
    for (const frame of [...(nail?.frames ?? []), ...(eye?.frames ?? [])]) expectFinite(frame);
  });

  it('half way the two stacked clevises stand open, each with its blade', () => {
    const at = eachStep(demoLure('suvra-fan').build).find(({ step }) => step.id === 'hangOnClevis blade-1');
    const picks = at?.scene.lure.things.map(({ pick }) => pick);
    for (const id of ['clevis-1', 'clevis-2', 'blade-1', 'blade-2']) expect(picks).toContain(id);
  });

  it('a tube cut to length is as wide as it is sold: the flame comes later', () => {
    let seen = 0;
    for (const { build } of DEMO_LURES) {
      for (const { step, scene } of eachStep(build)) {
        if (step.operation.op !== 'cutTubes') continue;
        for (const thing of scene.lure.things) {
          const tube = Object.values(build.items).find(({ id }) => id === thing.pick)?.part;
          if (tube?.kind !== 'shrinkTube') continue;
          seen++;
          expect(thing.hit.halfHeight).toBeCloseTo((tube.suppliedBoreM / 2 + tube.suppliedWallM) * 1000, 9);
          expect(thing.shapes).toHaveLength(1);
        }
      }
    }
    expect(seen).toBeGreaterThan(0);
  });

  it('any lure that can be reached is drawn at every step, handling and all', () => {
    let steps = 0;
    fc.assert(
      fc.property(anyDressedLure(), (lure) => {
        for (const { frames, scene } of eachStep(lure.build)) {
          steps++;
          expect(Number.isFinite(scene.box.x0 + scene.box.x1 + scene.box.y0 + scene.box.y1)).toBe(true);
          frames.forEach(expectFinite);
        }
      }),
      { seed: 11, numRuns: 40 },
    );
    expect(steps).toBeGreaterThan(200);
  });
});

describe('handling that words cannot tell', () => {
  const full = [
    ['trailer-paddle-75-smelt', on('hook-1', 'pushed')],
    ['wire-soft-copper-03', on('skirt-1', 'tied')],
  ] as const;
  const bait = full.reduce((lure, [id, seat]) => edited(lure, seatPart(lure.build, part(id), seat)), plainBait());
  const framesOf = (build: Build, id: RegExp) => eachStep(build).find(({ step }) => id.test(step.id))?.frames ?? [];

  it('is drawn for loop, stacked clevises, ring, skirt, trailer and lock, moment after moment', () => {
    const moments = (build: Build, id: RegExp) => framesOf(build, id).map(({ moment }) => moment);
    const fan = demoLure('suvra-fan').build;
    expect(moments(fan, /rollLoop tail/)).toEqual(['loopHalf', 'loopRound', 'loopWrapped']);
    expect(moments(fan, /threadLeg lower/)).toEqual(['lowerLegs', 'bladesHung', 'upperLegs']);
    expect(moments(fan, /hangByRing/)).toEqual(['ringParted', 'ringOn', 'ringRound']);
    expect(moments(bait.build, /fitSkirt/)).toEqual(['bandOver', 'bandOn']);
    expect(moments(bait.build, /pushTrailer/)).toEqual(['trailerBeside', 'trailerOn']);
    expect(moments(bait.build, /lockSkirt/)).toEqual(['lockTurns', 'lockTwist', 'lockPressed']);
    expect(moments(demoLure('torvane-lanes').build, /rollLoop/)).toEqual(['loopHalf', 'loopGap']);
    for (const { frames } of eachStep(bait.build)) frames.forEach(expectFinite);
  });

  it('comes from the parts: the loop is as wide as its wire and inside say, the mark where the point comes out', () => {
    const { build } = demoLure('suvra-fan');
    const [, , wrapped] = framesOf(build, /rollLoop tail/);
    const round = wrapped?.layers[0]?.shapes[0]?.d ?? '';
    const { carrier } = build;
    if (carrier.kind !== 'straightWire' || carrier.tail.form !== 'wrappedLoop') throw new Error('a wrapped loop');
    const centreLine = carrier.tail.insideDiameterM * 1000 + carrier.wire.diameterM * 1000;
    const { y0, y1 } = boxOfWay(round);
    expect(y1 - y0).toBeCloseTo(centreLine, 1);
    const [beside] = framesOf(bait.build, /pushTrailer/);
    if (!beside?.measure) throw new Error('the point comes out somewhere');
    expect(beside.measure.to.x - beside.measure.from.x).toBeCloseTo(beside.measure.lengthM * 1000, 9);
  });

  it('two clevises stacked both ways show which is inside: interleaved legs alternate, nested ones do not', () => {
    const fan = demoLure('suvra-fan');
    const from = fan.build.strand.findIndex(({ item, leg }) => item === 'clevis-1' && leg === 'aft');
    const nested = edited(fan, { kind: 'move', from, to: from + 1 });
    const eyes = (build: Build) =>
      framesOf(build, /threadLeg lower/)
        .at(-1)
        ?.layers.flatMap(({ shapes }) => shapes.flatMap(({ d }) => (/a.*a/.test(d) ? [boxOfWay(d)] : [])))
        .filter(({ y0, y1 }) => Math.abs(y0 + y1) < 0.01)
        .map(({ x0, x1 }) => (x0 + x1) / 2) ?? [];
    const [interleaved, inside] = [eyes(fan.build), eyes(nested.build)];
    expect(interleaved).toHaveLength(4);
    expect(inside).toHaveLength(4);
    const span = (xs: number[], i: number) => [xs[2 * i] ?? 0, xs[2 * i + 1] ?? 0].toSorted((a, b) => a - b);
    const holds = (outer: number[], inner: number[]) =>
      (outer[0] ?? 0) < (inner[0] ?? 0) && (inner[1] ?? 0) < (outer[1] ?? 0);
    expect(holds(span(inside, 0), span(inside, 1)) || holds(span(inside, 1), span(inside, 0))).toBe(true);
    expect(holds(span(interleaved, 0), span(interleaved, 1)) || holds(span(interleaved, 1), span(interleaved, 0))).toBe(
      false,
    );
  });
});
