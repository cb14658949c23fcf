import { wireEnd } from '../carriers/carrier';
import type { Build } from '../lure/lure';
import { planned, put, expectEachCanBeDone, stacked } from '@/testing/making';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anyDressedLure } from '@/testing/any-lure';
import { demoLure, itemId, on, plainBait, plainBuzz, plainSpinner } from '@/testing/lures';
import { afterDoing, atFirst, countCost, everyOrder } from '@/testing/slow-order';
import { DEMO_LURES } from '@/demo/scenario';
import type { Lure } from '../lure/lure';
import { operationsFor } from './operations';
import type { Operation } from './operation';
import { goalOf, type Goal } from './goal';
import type { Fact } from './operation-rule';
import { ruleOf } from './operation-rules';
import { bestOrder } from './order';
import { cappedAfter, planMake, standsAfter } from './plan';

describe('making a lure, from bare wire', () => {
  it.each(DEMO_LURES.map((lure) => [lure.name, lure] as const))('%s: its steps give exactly that lure', (_, lure) => {
    const plan = planned(lure.build);
    expect(plan.isBest).toBe(true);
    const made = standsAfter(lure.build, plan.steps, plan.steps.length);
    expect(made.build).toEqual(lure.build);
    expect(made.aside).toEqual([]);
    expect(new Set(plan.steps.map(({ id }) => id)).size).toBe(plan.steps.length);
    expectEachCanBeDone(lure);
  });

  it('any lure that can be reached: its steps give it, none needs what was closed before; or why there is no way', () => {
    let made = 0;
    let stuck = 0;
    fc.assert(
      fc.property(anyDressedLure(), (lure) => {
        const plan = planMake(lure.build);
        if (plan.outcome === 'noWay') {
          stuck++;
          return;
        }
        made++;
        const { build, aside } = standsAfter(lure.build, plan.steps, plan.steps.length);
        expect(build).toEqual(lure.build);
        expect(aside).toEqual([]);
        expectEachCanBeDone(lure);
      }),
      { seed: 5, numRuns: 120 },
    );
    expect(made).toBeGreaterThan(70);
    expect(stuck).toBeGreaterThan(3);
  });

  it('on the way nothing is on it before its own step, and what lies aside is not on it', () => {
    for (const lure of DEMO_LURES) {
      const plan = planned(lure.build);
      const goal = goalOf(lure.build, plan.over);
      const on = new Set<string>();
      plan.steps.forEach(({ operation }, i) => {
        for (const fact of ruleOf(operation).facts(operation, goal).gives) {
          const [about, id] = fact.split(' ');
          if (id !== undefined && (about === 'in' || about === 'begun')) on.add(id);
        }
        const { build, aside } = standsAfter(lure.build, plan.steps, i + 1);
        for (const id of Object.keys(build.items)) expect(on, `${lure.name}, step ${i + 1}`).toContain(id);
        for (const { item } of aside) expect(build.items[item.id]).toBeUndefined();
        for (const entry of build.strand) expect(build.items[entry.item]).toBeDefined();
      });
    }
  });

  it('half way it stands as far as it is made: wire in hand shrinks as the stack grows', () => {
    const lure = demoLure('halvane-twins');
    const plan = planned(lure.build);
    const free = plan.steps.flatMap((_, i) => {
      const { carrier } = standsAfter(lure.build, plan.steps, i + 1).build;
      return carrier.kind === 'straightWire' ? [carrier.freeRoomM] : [];
    });
    for (const [i, each] of free.entries()) expect(each).toBeLessThanOrEqual((free[i - 1] ?? 1) + 1e-12);
    expect(free.at(0)).toBeGreaterThan(0.15);
    expect(free.at(-1)).toBe(0.0015);
  });
});

/** First to last: what counts more comes first. */
const worth = (cost: readonly number[]) => (cost[0] ?? 0) * 1e8 + (cost[1] ?? 0) * 1e4 + (cost[2] ?? 0);

/** Some order that can be done: at each turn any of what can be. */
function anyOrder(goal: Goal, operations: readonly Operation[], chance: () => number): Operation[] {
  const order: Operation[] = [];
  let known = atFirst(goal);
  // What takes something away waits until nothing left needs it, as it must.
  while (order.length < operations.length) {
    const left = operations.filter((operation) => !order.includes(operation));
    const open = left.flatMap((operation) => {
      const next = afterDoing(goal, known, operation);
      const { takes } = ruleOf(operation).facts(operation, goal);
      const isTooSoon = left.some(
        (other) =>
          other !== operation &&
          ruleOf(other)
            .facts(other, goal)
            .needs.some((fact) => takes.includes(fact)),
      );
      return next && !isTooSoon ? [{ operation, next }] : [];
    });
    const taken = open[Math.floor(chance() * open.length)];
    if (!taken) throw new Error('a way was found before');
    order.push(taken.operation);
    known = taken.next;
  }
  return order;
}

describe('half way', () => {
  const after = (lure: Lure, step: RegExp) => {
    const plan = planned(lure.build);
    const count = plan.steps.findIndex(({ id }) => step.test(id)) + 1;
    expect(count).toBeGreaterThan(0);
    return { ...standsAfter(lure.build, plan.steps, count), capped: cappedAfter(plan.steps, count) };
  };

  const tailOf = ({ carrier }: Build) => wireEnd(carrier, 'tail');

  it('a rolled loop stands open and without wraps until it is closed', () => {
    const spun = demoLure('suvra-fan');
    expect(tailOf(after(spun, /rollLoop tail/).build)).toMatchObject({ form: 'wrappedLoop', wraps: 0 });
    expect(tailOf(after(spun, /closeLoop tail/).build)).toEqual(tailOf(spun.build));
    const bent = demoLure('torvane-lanes');
    const [open, shut] = [tailOf(after(bent, /rollLoop tail/).build), tailOf(bent.build)];
    if (open.form !== 'bentLoop' || shut.form !== 'bentLoop') throw new Error('a bent loop');
    expect(open.gapM).toBeGreaterThan(shut.gapM);
  });

  it('a point is capped from when it is on until something goes over it', () => {
    const bent = demoLure('torvane-lanes');
    const hook = [itemId('hook-1')];
    expect(after(bent, /takeFrame/).capped).toEqual([]);
    expect(after(bent, /capPoint/).capped).toEqual(hook);
    expect(after(bent, /thinTips/).capped).toEqual(hook);
    expect(after(bent, /pushTrailer/).capped).toEqual([]);
    expect(after(demoLure('hovna-lantern'), /formLoop nose/).capped).toEqual(hook);
    expect(after(demoLure('suvra-fan'), /hangByRing/).capped).toEqual([]);
  });

  it('a spacer slides up only after its loop is closed; a rivet is fixed and a blade ticks only at their steps', () => {
    const bent = demoLure('torvane-lanes');
    expect(after(bent, /closeLoop/).build.items[itemId('sleeve-1')]?.state).toEqual({ of: 'sleeve', slidUp: false });
    expect(after(bent, /slideUp/).build.items[itemId('sleeve-1')]?.state).toEqual({ of: 'sleeve', slidUp: true });
    const buzz = demoLure('lommer-clapper');
    expect(after(buzz, /turnDown/).build.items[itemId('rivet-1')]?.state).toEqual({ of: 'rivet', fixing: 'free' });
    expect(after(buzz, /fixRivet/).build.items[itemId('rivet-1')]?.state).toEqual(
      buzz.build.items[itemId('rivet-1')]?.state,
    );
    expect(after(buzz, /fixRivet/).build.items[itemId('deltaBlade-1')]?.state).toMatchObject({ clacks: false });
  });
});

describe('the best order', () => {
  const SMALL: readonly (readonly [string, Lure])[] = [
    ['a plain spinner', plainSpinner()],
    ['one with its dressing', put(plainSpinner(), 'dressing-hackle-olive', on('hook-1', 'tied'))],
    ['two clevises interleaved', stacked('interleaved')],
    ['a buzzbait', plainBuzz()],
    ['a bait with a ring over its tie', put(plainBait(), 'ring-k1', { on: 'tie' })],
    ['the two-piece one', demoLure('aalmo-link')],
    ['a bought frame', demoLure('lommer-clapper')],
    ['a harness of two hooks', demoLure('mirrow-drift')],
    ['one whose treble gave way to a pair', demoLure('halvane-trail')],
  ];

  it.each(SMALL)('of %s is the best of all that can be done', (_, lure) => {
    const { over } = planned(lure.build);
    const goal = goalOf(lure.build, over);
    const operations = operationsFor(goal);
    const found = bestOrder(goal, operations);
    if (found.outcome !== 'ordered') throw new Error('there is an order');
    let least = Infinity;
    let most = 0;
    let count = 0;
    for (const order of everyOrder(goal, operations)) {
      const cost = worth(countCost(goal, order));
      least = Math.min(least, cost);
      most = Math.max(most, cost);
      count++;
    }
    expect(count).toBeGreaterThan(1);
    expect(most).toBeGreaterThan(least);
    expect(worth(countCost(goal, found.operations))).toBe(least);
    const { barePoint, toolChanges, unusual } = found.cost;
    expect(worth([barePoint, toolChanges, unusual])).toBe(least);
  });

  it('of any lure that can be reached is as good as a hundred orders taken at random that can be done, and better than most', () => {
    const beaten: number[] = [];
    fc.assert(
      fc.property(
        anyDressedLure(),
        fc.infiniteStream(fc.double({ min: 0, max: 0.999, noNaN: true })),
        (lure, chance) => {
          const plan = planMake(lure.build);
          if (plan.outcome === 'noWay' || !plan.isBest) return;
          const goal = goalOf(lure.build, plan.over);
          const operations = operationsFor(goal);
          const found = bestOrder(goal, operations);
          if (found.outcome !== 'ordered') throw new Error('it was planned');
          const best = worth(countCost(goal, found.operations));
          let hit = 0;
          for (let n = 0; n < 100; n++) {
            const order = anyOrder(goal, operations, () => chance.next().value ?? 0);
            const cost = worth(countCost(goal, order));
            expect(cost).toBeGreaterThanOrEqual(best);
            if (cost > best) hit++;
          }
          beaten.push(hit / 100);
        },
      ),
      { seed: 17, numRuns: 40 },
    );
    expect(beaten.length).toBeGreaterThan(20);
    // Where there is little to choose every order is as good: told by the middle of the lures.
    expect(beaten.toSorted((a, b) => a - b)[Math.floor(beaten.length / 2)]).toBeGreaterThan(0.8);
  });

  it('given too little room to search, takes the builders’ usual course, and says so', () => {
    const goal = goalOf(demoLure('torvane-lanes').build, 'tail');
    const hurried = bestOrder(goal, operationsFor(goal), 20);
    if (hurried.outcome !== 'ordered') throw new Error('there is an order');
    expect(hurried.isBest).toBe(false);
    let known: Set<Fact> | null = atFirst(goal);
    for (const operation of hurried.operations) known = known && afterDoing(goal, known, operation);
    expect(known).not.toBeNull();
  });
});
