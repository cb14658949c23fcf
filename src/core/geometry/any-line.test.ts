/** What holds of every lure holds of any that can be strung on line: hooks, stops, links and bait among them. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { CLINCH, harness, itemId, on } from '@/testing/lures';
import { readLureFile, writeLureFile } from '../files/lure-file';
import { findings } from '../judgement/findings';
import { fishingLine, USUAL_OUTFIT } from '../hydro/outfit';
import { lureCurve, lureShapes } from '../hydro/outfit-line';
import { LAKE_WATER } from '../hydro/water';
import { wireCut } from '../lengths/lengths';
import { lureMass } from '../lengths/mass';
import { applyEdits } from '../lure/edit';
import { seatPart } from '../lure/editing';
import type { Lure } from '../lure/lure';
import { structureProblem } from '../lure/structure';
import { planMake, standsAfter } from '../make/plan';
import { CATALOGUE } from '../parts/catalogue';
import { predict } from '../predict/predict';
import { drawnShort, wholeLengthM } from './drawn-short';
import { layOut } from './layout';
import { atRest, holdsItself, RESTS, stackOf } from './stack';

const idsOf = (...kinds: readonly string[]) => CATALOGUE.filter(({ kind }) => kinds.includes(kind)).map(({ id }) => id);
const SLIDING = idsOf('bead', 'clevis', 'filmBlade', 'weight');
const HOLDING = [
  ...idsOf('stop'),
  ...CATALOGUE.flatMap((part) => (part.kind === 'hook' && part.points === 1 ? [part.id] : [])),
];

/** Any parts on a line of any length, some of them held so far apart, a bait on the front hook where there is one. */
const anyOnLine = fc
  .tuple(
    fc.array(fc.oneof(fc.constantFrom(...SLIDING), fc.constantFrom(...HOLDING)), { minLength: 1, maxLength: 9 }),
    fc.array(
      fc.nat(300).map((mm) => mm / 1000),
      { minLength: 9, maxLength: 9 },
    ),
    fc.integer({ min: 50, max: 4000 }).map((mm) => mm / 1000),
    fc.constantFrom(...idsOf('bait')),
    fc.constantFrom(...idsOf('blade')),
  )
  .map(([ids, apart, lengthM, bait, blade]): Lure => {
    let lure = harness(ids, [], { lengthM });
    lure = apart.reduce((each, behindM, i) => {
      const item = Object.values(each.build.items)[i];
      if (!item) return each;
      const { state } = item;
      const held =
        state?.of === 'stop'
          ? { ...state, behindM }
          : state?.of === 'hook' && state.snell
            ? { ...state, snell: { ...state.snell, behindM } }
            : null;
      if (!held) return each;
      const done = applyEdits(each, [{ kind: 'adjust', item: item.id, changes: { state: held } }]);
      return done.ok ? done.lure : each;
    }, lure);
    const more = [
      [bait, on('hook-1', 'pushed')],
      [blade, on('clevis-1', 'hung')],
    ] as const;
    return more.reduce((each, [id, seat]) => {
      const part = CATALOGUE.find((one) => one.id === id);
      const isThere = seat.on === 'item' && itemId(seat.item) in each.build.items;
      const done = part && isThere ? applyEdits(each, [seatPart(each.build, part, seat)]) : null;
      return done?.ok ? done.lure : each;
    }, lure);
  });

describe('any lure on line', () => {
  it('nothing on it overlaps however it rests, and what holds its place is never moved by the rest', () => {
    fc.assert(
      fc.property(anyOnLine, ({ build }) => {
        const layout = layOut(build);
        const stack = stackOf(build, build.strand, layout.wireDiameterM);
        const runM = layout.shaft.x1M - layout.shaft.x0M;
        for (const rest of RESTS) {
          const spans = atRest(build, build.strand, stack, runM, rest);
          spans.slice(1).forEach(({ x0M }, i) => expect(x0M).toBeGreaterThanOrEqual((spans[i]?.x1M ?? 0) - 1e-9));
          build.strand.forEach(({ item }, i) => {
            const held = build.items[item];
            if (held && holdsItself(held) !== null) expect(spans[i]).toEqual(stack.spans[i]);
            // Slack and hung, what slides lies no further back than the stream draws it.
            else expect(spans[i]?.x0M).toBeLessThanOrEqual((stack.spans[i]?.x0M ?? 0) + 1e-12);
          });
        }
      }),
      { seed: 41, numRuns: 150 },
    );
  });

  it('is drawn shorter only in its bare line: what is left out makes up the whole, and every part is there', () => {
    let shortened = 0;
    fc.assert(
      fc.property(anyOnLine, ({ build }) => {
        const whole = layOut(build);
        const { layout, build: drawn } = drawnShort(build);
        const outM = layout.leftOut.reduce((sum, { lengthM }) => sum + lengthM, 0);
        expect(layout.shaft.x1M - layout.shaft.x0M + outM).toBeCloseTo(whole.shaft.x1M - whole.shaft.x0M, 9);
        expect(wholeLengthM(build)).toBe(whole.x1M - whole.x0M);
        expect(layout.strand.map(({ item }) => item.id)).toEqual(whole.strand.map(({ item }) => item.id));
        expect(structureProblem(drawn)).toBeNull();
        const span = ({ x0M, x1M }: { readonly x0M: number; readonly x1M: number }) => x1M - x0M;
        layout.strand.forEach((entry, i) => expect(span(entry)).toBeCloseTo(span(whole.strand[i] ?? entry), 12));
        for (const { atM } of layout.leftOut)
          expect(layout.strand.every(({ x0M, x1M }) => atM < x0M || atM > x1M)).toBe(true);
        if (layout.leftOut.length > 0) shortened++;
      }),
      { seed: 43, numRuns: 150 },
    );
    expect(shortened).toBeGreaterThan(60);
  });

  it('has its file, its mass, its cut, its way of making or a reason, findings, and a prediction or its limit by name', () => {
    let [planned, rides] = [0, 0];
    fc.assert(
      fc.property(anyOnLine, fc.double({ min: 0.3, max: 1.5, noNaN: true }), (lure, speedMps) => {
        const { build } = lure;
        const read = readLureFile(writeLureFile(lure));
        expect(read.ok && read.lure).toEqual(lure);
        const parts = Object.values(build.items).reduce((sum, { part }) => sum + part.massKg, 0);
        expect(lureMass(build)).toBeGreaterThan(parts - 1e-9);
        const line = build.carrier.kind === 'line' ? build.carrier : null;
        expect(wireCut(build).totalM).toBeGreaterThan((line?.lengthM ?? 0) + (line?.spareM ?? 0));
        const plan = planMake(build);
        if (plan.outcome === 'planned') {
          planned++;
          expect(standsAfter(build, plan.steps, plan.steps.length).build).toEqual(build);
        } else expect(plan.why.code.length).toBeGreaterThan(3);
        for (const { key } of findings(lure)) expect(key.length).toBeGreaterThan(3);
        const [ride] = predict(build, LAKE_WATER, [speedMps]).rides;
        if (ride?.outcome !== 'rides') return;
        rides++;
        for (const said of Object.values(ride.said)) if (said) expect(Number.isFinite(said.value)).toBe(true);
      }),
      { seed: 47, numRuns: 60 },
    );
    expect(planned).toBeGreaterThan(15);
    expect(rides).toBeGreaterThan(30);
  });
});

describe('the line with a sinker on it', () => {
  const setting = { waterDensityKgM3: 998, tipHeightM: 1, speedMps: 0.7 };
  const line = fishingLine(USUAL_OUTFIT.line);
  const pull = fc.record({
    aftN: fc.double({ min: 0.01, max: 0.4, noNaN: true }),
    downN: fc.double({ min: 0.005, max: 0.1, noNaN: true }),
  });
  const lineOutM = fc.double({ min: 5, max: 40, noNaN: true });

  it('is the line of the lure alone where the sinker weighs next to nothing, and ends at the depth that is told', () => {
    fc.assert(
      fc.property(pull, lineOutM, (pulled, outM) => {
        const alone = { ...USUAL_OUTFIT, lineOutM: outM };
        const light = { ...alone, sinker: { massKg: 1e-7, metal: 'lead', leaderM: 0.3 } as const };
        const heavy = { ...alone, sinker: { massKg: 0.02, metal: 'lead', leaderM: 0.3 } as const };
        const depth = (outfit: typeof light | typeof alone) => {
          const [shape] = lureShapes(line, outfit, pulled, setting, [outM]);
          return shape?.outcome === 'sinks' ? shape.depthM : 0;
        };
        fc.pre(depth(alone) > 0.2);
        expect(depth(light)).toBeCloseTo(depth(alone), 1);
        expect(depth(heavy)).toBeGreaterThan(depth(alone));
        for (const outfit of [alone, heavy]) {
          const curve = lureCurve(line, outfit, pulled, setting);
          expect(curve[0]?.depthM).toBeCloseTo(depth(outfit), 6);
          expect(curve.at(-1)?.depthM).toBeCloseTo(-outfit.tipHeightM, 1);
        }
      }),
      { seed: 53, numRuns: 80 },
    );
  });

  it('a knot of more turns is longer and takes more line, whatever the line', () => {
    const cutOf = (turns: number) => {
      const lure = harness(['hook-octopus-4']);
      const done = applyEdits(lure, [{ kind: 'carrier', changes: { nose: { ...CLINCH, turns } } }]);
      if (!done.ok) throw new Error('a clinch can be tied');
      return wireCut(done.lure.build).totalM;
    };
    for (let turns = 2; turns <= 12; turns++) expect(cutOf(turns)).toBeGreaterThan(cutOf(turns - 1));
  });
});
