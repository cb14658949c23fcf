import { isMouldedEye } from '../parts/kinds/screw-eye';
import { describe, expect, it } from 'vitest';
import fc from 'fast-check';
import { anyDressedLure } from '@/testing/any-lure';
import { demoLure, edited, itemId, part } from '@/testing/lures';
import { afterDoing, atFirst } from '@/testing/slow-order';
import { fingerWords } from '@/words/finger-words';
import { stepWords } from '@/words/make-words';
import { threadParts } from '../lure/editing';
import { cutLengths } from '../lengths/lengths';
import { showLength } from '../units/write';
import { inFingers } from '../units/finger-spans';
import { goalOf } from './goal';
import { kitFor } from './kit';
import type { Fact } from './operation-rule';
import { planMake } from './plan';
import { begin, runSchema, startRun, stepBack, stepDone, type Run } from './run';
import { spoil, type Spoilable } from './spoil';

function planned(slug: string) {
  const { build } = demoLure(slug);
  const plan = planMake(build);
  if (plan.outcome !== 'planned') throw new Error('there is a way');
  return { build, ...plan, names: plan.steps.map(({ id }) => id) };
}

describe('a run', () => {
  const { names } = planned('suvra-fan');
  const fresh = startRun(demoLure('suvra-fan'), 'run-1', 1);
  const after = (count: number) =>
    Array.from({ length: count }).reduce<Run>((run) => stepDone(run, names), begin(fresh, names));

  it('goes through every step once, then to the checks; back goes the same way', () => {
    let run = begin(fresh, names);
    const seen: string[] = [];
    while (run.stage === 'steps') {
      if (run.at) seen.push(run.at);
      run = stepDone(run, names);
    }
    expect(seen).toEqual(names);
    expect(run.stage).toBe('checks');
    run = stepBack(run, names);
    expect(run.at).toBe(names.at(-1));
    for (let n = 1; n < names.length; n++) run = stepBack(run, names);
    expect(run.at).toBe(names[0]);
    expect(stepBack(run, names).stage).toBe('before');
    expect(runSchema.parse(run)).toEqual(run);
  });

  it('looked back at, its steps stay done, and it goes on where it was', () => {
    const back = stepBack(stepBack(after(6), names), names);
    expect(back.done).toHaveLength(6);
    expect(begin({ ...back, stage: 'before' }, names).at).toBe(names[6]);
  });

  it('a damaged one is refused, not shown', () => {
    expect(runSchema.safeParse({ ...fresh, stage: 'half' }).success).toBe(false);
    expect(runSchema.safeParse({ ...fresh, build: {} }).success).toBe(false);
  });
});

describe('a piece spoiled on the way', () => {
  const spoiled = (slug: string, doneTo: RegExp, piece: Spoilable) => {
    const { build, steps, names } = planned(slug);
    const last = names.findIndex((name) => doneTo.test(name));
    expect(last).toBeGreaterThan(0);
    return { ...spoil(build, steps, names.slice(0, last + 1), piece), names };
  };

  it('the wire at the line tie: all that was strung comes off sound, the shrunk tube is lost, the dressing stays tied', () => {
    const { again, lost, sound } = spoiled('hovna-lantern', /formLoop nose/, 'wire');
    expect(new Set(lost)).toEqual(new Set(['wire', itemId('shrinkTube-1')]));
    for (const id of ['bead-1', 'weight-1', 'clevis-1', 'blade-1', 'hook-1', 'splitRing-1'])
      expect(sound).toContain(itemId(id));
    expect(again).toContain('cutWire');
    expect(again.some((name) => name.startsWith('tieDressing'))).toBe(false);
  });

  it('a bead on open wire: only what was strung after it comes off; behind a closed loop the wire goes too', () => {
    const open = spoiled('hovna-lantern', /threadClevis/, itemId('bead-2'));
    expect(open.lost).toEqual([itemId('bead-2')]);
    expect(open.again).toEqual(['thread bead-2', 'threadClevis clevis-1 blade-1']);
    expect(new Set(open.sound)).toEqual(new Set([itemId('clevis-1'), itemId('blade-1')]));
    const shut = spoiled('hovna-lantern', /formLoop nose/, itemId('bead-2'));
    expect(shut.lost).toContain('wire');
    expect(shut.again).toContain('cutWire');
  });

  it('a hook takes its dressing with it; a rear blade only its ring is opened for', () => {
    const hook = spoiled('mirrow-drum', /hangByRing/, itemId('hook-1'));
    expect(new Set(hook.lost)).toEqual(new Set([itemId('hook-1'), itemId('dressing-1')]));
    expect(hook.again).not.toContain('cutWire');
    const blade = spoiled('torvane-lanes', /pushTrailer/, itemId('blade-2'));
    expect(blade.lost).toEqual([itemId('blade-2')]);
    expect(blade.again).toEqual(['hangByRing splitRing-1 blade-2']);
    expect(blade.sound).toEqual([itemId('splitRing-1')]);
  });

  it('what comes again can be done again in its order, whatever is spoiled whenever', () => {
    for (const slug of ['hovna-lantern', 'torvane-lanes', 'suvra-fan', 'stolk-kettle']) {
      const { build, steps, names } = planned(slug);
      names.forEach((_, i) => {
        const done = names.slice(0, i + 1);
        for (const piece of ['wire', ...(steps[i]?.items ?? [])] as Spoilable[]) {
          const { again, lost, sound } = spoil(build, steps, done, piece);
          expect(lost).toContain(piece);
          for (const name of again) expect(done).toContain(name);
          for (const id of sound) expect(lost).not.toContain(id);
          // Every piece of the build is strung, hung or pushed by some step that is left to do.
          const left = steps.filter(({ id }) => !done.includes(id) || again.includes(id)).flatMap(({ items }) => items);
          for (const id of lost) if (id !== 'wire') expect(left).toContain(id);
        }
      });
    }
  });
});

describe('whatever is spoiled in whatever lure', () => {
  it('what comes again can be done again: nothing it needs is left shut, and the lure comes out the same', () => {
    let spoils = 0;
    fc.assert(
      fc.property(anyDressedLure(), fc.nat(), fc.nat(), (lure, upTo, which) => {
        const plan = planMake(lure.build);
        if (plan.outcome === 'noWay') return;
        const { over, steps } = plan;
        const goal = goalOf(lure.build, over);
        const names = steps.map(({ id }) => id);
        const done = names.slice(0, 1 + (upTo % names.length));
        const made = steps.filter(({ id }) => done.includes(id)).flatMap(({ items }) => items);
        const pieces: Spoilable[] = ['wire', ...made];
        const piece = pieces[which % pieces.length] ?? 'wire';
        const { again, lost, sound } = spoil(lure.build, steps, done, piece);
        spoils++;
        expect(lost).toContain(piece);
        for (const id of sound) expect(lost).not.toContain(id);
        // Facts after what is still done, as if the rest had never been: the rest can be done upon them, in its order.
        let known: Set<Fact> | null = atFirst(goal);
        for (const { operation, id } of steps)
          if (done.includes(id) && !again.includes(id)) known = known && afterDoing(goal, known, operation);
        expect(known).not.toBeNull();
        for (const { operation, id } of steps) {
          if (!done.includes(id) || again.includes(id)) known = known && afterDoing(goal, known, operation);
          expect(known, `${piece} spoiled at ${done.at(-1) ?? ''}, ${id} again`).not.toBeNull();
        }
      }),
      { seed: 23, numRuns: 150 },
    );
    expect(spoils).toBeGreaterThan(80);
  });
});

describe('the kit', () => {
  it('has every part of the lure once, in the order of the steps, and every tool they name', () => {
    for (const slug of ['hovna-lantern', 'torvane-lanes', 'suvra-fan', 'asp-pair']) {
      const { build, steps } = planned(slug);
      const { parts, tools } = kitFor(steps);
      const ids = parts.flatMap(({ items }) => items);
      expect(new Set(ids).size).toBe(ids.length);
      const isBought = build.carrier.kind === 'bentWire' && build.carrier.bought !== null;
      const onFrame = isBought ? 2 : 0;
      expect(ids).toHaveLength(Object.keys(build.items).length - onFrame);
      expect(parts.map(({ step }) => step)).toEqual(parts.map(({ step }) => step).toSorted((a, b) => a - b));
      for (const step of steps) for (const tool of step.tools) expect(tools).toContain(tool);
    }
  });
});

describe('what is cut', () => {
  it('is told with each piece its own length, whatever stands beside it: a spacer and a tube over the tail', () => {
    const start = demoLure('hovna-lantern');
    const lure = edited(start, threadParts(start.build, part('sleeve-spacer-clear-14'), 0));
    const plan = planMake(lure.build);
    if (plan.outcome !== 'planned') throw new Error('there is a way');
    const wanted = new Map(cutLengths(lure.build).map(({ item, cutM }) => [item?.id ?? 'wire', cutM]));
    expect(wanted.get(itemId('sleeve-1'))).not.toBe(wanted.get(itemId('shrinkTube-1')));
    const { parts } = kitFor(plan.steps);
    for (const id of [itemId('sleeve-1'), itemId('shrinkTube-1')])
      expect(parts.find(({ items }) => items.includes(id))?.cutM).toBe(wanted.get(id));
    expect(parts.find(({ part: each }) => each.kind === 'wire')?.cutM).toBe(wanted.get('wire'));
    const cut = plan.steps.find(({ operation }) => operation.op === 'cutTubes');
    if (!cut) throw new Error('tubes are cut');
    expect(cut.amounts).toEqual(cut.items.map((id) => ({ of: 'cut', lengthM: wanted.get(id) })));
    const { what } = stepWords(cut, 'metric');
    expect(what).toContain(`shrink tube 2:1 to ${showLength(wanted.get(itemId('shrinkTube-1')) ?? 0, 'metric')}`);
    expect(what).toMatch(new RegExp(`spacer tube.* to ${showLength(wanted.get(itemId('sleeve-1')) ?? 0, 'metric')}`));
  });
});

describe('the kit of any lure', () => {
  it('names every piece to be taken up, none twice, and no head that comes on its frame', () => {
    fc.assert(
      fc.property(anyDressedLure(), ({ build }) => {
        const plan = planMake(build);
        if (plan.outcome === 'noWay') return;
        const { parts } = kitFor(plan.steps);
        const ids = parts.flatMap(({ items }) => items);
        expect(new Set(ids).size).toBe(ids.length);
        const isBought = build.carrier.kind === 'bentWire' && build.carrier.bought !== null;
        for (const { id, part, seat } of Object.values(build.items)) {
          const isOnFrame = isBought && (part.kind === 'head' || (seat.on === 'item' && seat.how === 'moulded'));
          const isMoulded = isMouldedEye(part);
          expect(ids.includes(id), id).toBe(!isOnFrame && !isMoulded);
        }
        expect(parts.some(({ part }) => part.kind === build.carrier.wire.kind)).toBe(!isBought);
      }),
      { seed: 29, numRuns: 80 },
    );
  });
});

describe('lengths by hand', () => {
  const own = { thumb: 0.02, joint: 0.026, span: 0.21 };

  it('takes the measure that comes nearest, in quarters, and stays silent where none does', () => {
    const words = (lengthM: number, spans = own as Parameters<typeof inFingers>[1]) => {
      const found = inFingers(lengthM, spans);
      return found && fingerWords(found);
    };
    expect(words(0.045)).toBe('2¼ thumbs');
    expect(words(0.026)).toBe('1 joint');
    expect(words(0.21)).toBe('1 hand');
    expect(words(0.003)).toBeNull();
    expect(words(0.045, { thumb: null, joint: null, span: null })).toBeNull();
    for (let mm = 10; mm < 300; mm++) {
      const found = inFingers(mm / 1000, own);
      if (found) expect(Math.abs((own[found.finger] * found.quarters) / 4 / (mm / 1000) - 1)).toBeLessThanOrEqual(0.06);
    }
  });
});
