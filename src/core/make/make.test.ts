import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anyDressedLure } from '@/testing/any-lure';
import { demoLure, edited, itemId, on, part, plainBait, plainBuzz, plainSpinner, spinner, TAIL } from '@/testing/lures';
import { afterDoing, atFirst, countCost, everyOrder } from '@/testing/slow-order';
import { DEMO_LURES } from '@/demo/scenario';
import { seatPart, threadParts } from '../lure/editing';
import { findings } from '../judgement/findings';
import type { Build, Lure } from '../lure/lure';
import { closingChecks } from './closing-checks';
import { operationsFor } from './operations';
import type { Operation } from './operation';
import { goalOf, type Goal } from './goal';
import type { Fact } from './operation-rule';
import { ruleOf } from './operation-rules';
import { bestOrder } from './order';
import { cappedAfter, planMake, standsAfter, type MakeStep } from './plan';

function planned(build: Build) {
  const plan = planMake(build);
  if (plan.outcome !== 'planned') throw new Error(`no way: ${JSON.stringify(plan.why)}`);
  return plan;
}

const steps = (lure: Lure): readonly MakeStep[] => planned(lure.build).steps;
const ids = (lure: Lure) => steps(lure).map(({ id }) => id);
const ops = (lure: Lure) => steps(lure).map(({ operation }) => operation.op);
const put = (lure: Lure, id: string, seat: Parameters<typeof seatPart>[2]) =>
  edited(lure, seatPart(lure.build, part(id), seat));

/** Every step can be done when its turn comes: nothing it needs is still to come or was closed before. */
function expectEachCanBeDone(lure: Lure) {
  const plan = planned(lure.build);
  const goal = goalOf(lure.build, plan.over);
  let known: Set<Fact> | null = atFirst(goal);
  for (const { operation, id } of plan.steps) {
    known = known && afterDoing(goal, known, operation);
    expect(known, id).not.toBeNull();
  }
}

/** Clevises that share a stretch of wire, as `form` says, the first blade in front. */
function stacked(form: 'interleaved' | 'nested'): Lure {
  const apart = spinner(
    ['clevis-folded-wide', 'clevis-folded-wide', 'bead-brass-3', 'weight-barrel-brass-8'],
    [
      ['blade-french-k2', on('clevis-1', 'hung')],
      ['blade-french-k1', on('clevis-2', 'hung')],
      ['ring-k2', TAIL],
      ['hook-treble-6', on('splitRing-1', 'hung')],
    ],
  );
  return edited(apart, { kind: 'move', from: 1, to: form === 'interleaved' ? 2 : 3 });
}

describe('making a lure, from bare wire', () => {
  it.each(DEMO_LURES.map((lure) => [lure.name, lure] as const))('%s: its steps give exactly that lure', (_, lure) => {
    const plan = planned(lure.build);
    expect(plan.isBest).toBe(true);
    const made = standsAfter(lure.build, plan.over, plan.steps, plan.steps.length);
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
        const { build, aside } = standsAfter(lure.build, plan.over, plan.steps, plan.steps.length);
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
        const { build, aside } = standsAfter(lure.build, plan.over, plan.steps, i + 1);
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
      const { carrier } = standsAfter(lure.build, plan.over, plan.steps, i + 1).build;
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
    return { ...standsAfter(lure.build, plan.over, plan.steps, count), capped: cappedAfter(plan.steps, count) };
  };

  it('a rolled loop stands open and without wraps until it is closed', () => {
    const spun = demoLure('suvra-fan');
    expect(after(spun, /rollLoop tail/).build.carrier.tail).toMatchObject({ form: 'wrappedLoop', wraps: 0 });
    expect(after(spun, /closeLoop tail/).build.carrier.tail).toEqual(spun.build.carrier.tail);
    const bent = demoLure('torvane-lanes');
    const open = after(bent, /rollLoop tail/).build.carrier.tail;
    if (open.form !== 'bentLoop' || bent.build.carrier.tail.form !== 'bentLoop') throw new Error('a bent loop');
    expect(open.gapM).toBeGreaterThan(bent.build.carrier.tail.gapM);
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
    let beaten = 0;
    let tried = 0;
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
          for (let n = 0; n < 100; n++) {
            const order = anyOrder(goal, operations, () => chance.next().value ?? 0);
            const cost = worth(countCost(goal, order));
            expect(cost).toBeGreaterThanOrEqual(best);
            tried++;
            if (cost > best) beaten++;
          }
        },
      ),
      { seed: 17, numRuns: 25 },
    );
    expect(tried).toBeGreaterThan(1000);
    expect(beaten / tried).toBeGreaterThan(0.8);
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

describe('order of work, as builders do it', () => {
  const before = (lure: Lure, ...inOrder: readonly (string | RegExp)[]) => {
    const all = ids(lure);
    const places = inOrder.map((name) => all.findIndex((id) => new RegExp(name).test(id)));
    expect(places).not.toContain(-1);
    expect(places).toEqual([...places].sort((a, b) => a - b));
  };

  it('inline spinner: tail first; tube after ring and hook and before the weight; the line tie last of the wire', () => {
    const lure = demoLure('hovna-lantern');
    before(
      lure,
      /rollLoop tail/,
      /hangInLoop tail splitRing/,
      /closeLoop tail/,
      /hangByRing splitRing-1 hook/,
      /capPoint/,
      /^shrinkTube/,
      /thread bead-4/,
      /thread weight/,
      /threadClevis clevis-1 blade-1/,
      /formLoop nose/,
    );
    expect(ops(lure).at(-1)).toBe('formLoop');
  });

  it('inline spinner without a tube: the ring before its loop closes, the hook last, the dressing tied in the vise first', () => {
    before(
      demoLure('mirrow-drum'),
      /tieDressing/,
      /closeLoop tail splitRing/,
      /sleeve/,
      /slideOver bell/,
      /clevis/,
      /nose/,
      /hook/,
    );
    before(demoLure('aalmo-link'), /formLoop nose/, /hangByRing splitRing-1 body/, /hangByRing splitRing-2 hook/);
  });

  it('spinnerbait: tie first along the arm, the end loop after the spacer with its swivel in it, then the rear blade, skirt, trailer', () => {
    before(
      demoLure('torvane-lanes'),
      /takeFrame/,
      /capPoint/,
      /thread bead-1/,
      /threadClevis/,
      /thread bead-2/,
      /thread sleeve-1/,
      /rollLoop tail/,
      /hangInLoop tail swivel/,
      /closeLoop tail/,
      /hangByRing splitRing-1 blade-2/,
      /slideUp sleeve-1/,
      /fitSkirt/,
      /thinTips/,
      /pushTrailer/,
    );
    before(demoLure('torvane-lanes'), /cutTubes sleeve-1/, /thread sleeve-1/);
    expect(ops(demoLure('torvane-lanes')).at(-1)).toBe('pushTrailer');
  });

  it('own bent wire: cut, bent, then cast, so that no point is near while it is bent; stinger over the trailer’s hook last', () => {
    const dressed = [
      ['keeper-clip-08', on('hook-1', 'tied')],
      ['trailer-paddle-75-smelt', on('hook-1', 'pushed')],
      ['hook-stinger-1-0', on('hook-1', 'hung')],
      ['wire-soft-copper-03', on('skirt-1', 'tied')],
      ['ring-k1', { on: 'tie' }],
    ] as const;
    const lure = dressed.reduce((sofar, [id, seat]) => put(sofar, id, seat), plainBait());
    before(lure, /cutWire/, /bendWire/, /castHead/, /capPoint/, /thread bead/, /closeLoop/, /hangByRing splitRing-1/);
    before(lure, /pullLayers/, /fitSkirt/, /lockSkirt/, /lashKeeper/, /pushTrailer/, /hangStinger/);
    before(lure, /bendWire/, /ringOverTie/);
  });

  it('buzzbait: tie first, the end turned down, the rivet fixed, the arm bent until it ticks, skirt and trailer last', () => {
    before(
      demoLure('lommer-clapper'),
      /takeFrame/,
      /bead-1/,
      /deltaBlade-1/,
      /rivet-1/,
      /turnDown/,
      /fixRivet/,
      /bendToTick/,
      /fitSkirt/,
      /pushTrailer/,
    );
    before(
      demoLure('asp-pair'),
      /deltaBlade-1/,
      /bead-2/,
      /deltaBlade-2/,
      /rivet/,
      /turnDown/,
      /fitSkirt/,
      /hangStinger/,
    );
    expect(ops(plainBuzz())).not.toContain('fixRivet');
  });

  it.each(['interleaved', 'nested'] as const)(
    'two clevises %s: both lower legs, both blades, both upper legs',
    (form) => {
      const legs = steps(stacked(form)).flatMap(({ operation }) =>
        operation.op === 'threadLeg'
          ? [`${operation.which} ${operation.clevis}`]
          : operation.op === 'hangOnClevis'
            ? [`blade ${operation.clevis}`]
            : [],
      );
      const [lower, blades, upper] = [legs.slice(0, 2), legs.slice(2, 4), legs.slice(4)];
      expect(lower.every((each) => each.startsWith('lower'))).toBe(true);
      expect(blades.every((each) => each.startsWith('blade'))).toBe(true);
      expect(upper.every((each) => each.startsWith('upper'))).toBe(true);
      const name = (each: string | undefined) => each?.split(' ')[1];
      expect(name(lower[0]) === name(upper[0])).toBe(form === 'interleaved');
    },
  );

  it('on a straight wire with no tail loop the nose is closed first; with neither nothing holds, and it says so', () => {
    const bare = spinner(['bead-brass-3', 'weight-barrel-brass-5']);
    const noTail = edited(bare, { kind: 'carrier', changes: { tail: { form: 'plain' } } });
    expect(planned(noTail.build).over).toBe('tail');
    const threads = ids(noTail).filter((id) => id.startsWith('thread'));
    expect(threads).toEqual(['thread bead-1', 'thread weight-1']);
    const none = edited(noTail, { kind: 'carrier', changes: { nose: { form: 'plain' } } });
    expect(planMake(none.build)).toMatchObject({ outcome: 'noWay', why: { code: 'nothingHolds' } });
  });

  it('what no opening leads to is named: a blade on a swivel’s closed eye', () => {
    const lure = put(put(spinner([]), 'swivel-crane-k7', TAIL), 'blade-colorado-k3', on('swivel-1', 'hung'));
    expect(planMake(lure.build)).toMatchObject({
      outcome: 'noWay',
      why: { code: 'closedEye', item: itemId('blade-1'), on: itemId('swivel-1') },
    });
  });
});

describe('what each step says', () => {
  it('measures come from the core: wire, play, tube, where the point of the hook comes out of the trailer', () => {
    const amounts = (lure: Lure, op: string) =>
      steps(lure).flatMap(({ operation, amounts: all }) => (operation.op === op ? all : []));
    expect(amounts(demoLure('hovna-lantern'), 'cutWire')).toEqual([{ of: 'cut', lengthM: 0.127 }]);
    expect(amounts(demoLure('hovna-lantern'), 'formLoop')).toContainEqual({ of: 'play', lengthM: 0.0015 });
    expect(amounts(demoLure('hovna-lantern'), 'cutTubes')).toEqual([{ of: 'cut', lengthM: 0.016 }]);
    expect(amounts(demoLure('halvane-twins'), 'thread')).toContainEqual({ of: 'count', count: 6 });
    const [out] = amounts(demoLure('torvane-lanes'), 'pushTrailer');
    // Hook eye 6 mm into the head, collar's end 15 mm ahead of where the bend begins: worked from the parts' own measures.
    const { items } = demoLure('torvane-lanes').build;
    const [head, hook] = [items[itemId('head-1')]?.part, items[itemId('hook-1')]?.part];
    if (head?.kind !== 'head' || hook?.kind !== 'hook' || out?.of !== 'pushOut') throw new Error('a bait');
    const byHand =
      head.hookAtM + hook.lengthM - hook.wireDiameterM / 2 - hook.gapM / 2 - head.lengthM - head.collarLengthM;
    expect(out.lengthM).toBeCloseTo(byHand, 9);
  });

  it('cautions stand at their steps: clipped wire, points, cement, flame, lead, hot metal, blade', () => {
    const leaded = edited(
      demoLure('hovna-lantern'),
      threadParts(demoLure('hovna-lantern').build, part('weight-egg-lead-7'), 3),
    );
    const hazards = (lure: Lure, op: string) =>
      steps(lure).flatMap(({ operation, hazards: all }) => (operation.op === op ? all : []));
    expect(hazards(leaded, 'cutWire')).toEqual(['clippedWire']);
    expect(hazards(leaded, 'tieDressing')).toEqual(['hookPoint', 'cement']);
    expect(hazards(leaded, 'shrinkTube')).toEqual(['flame']);
    expect(hazards(leaded, 'thread')).toEqual(['lead']);
    expect(hazards(leaded, 'cutTubes')).toEqual(['blade']);
    expect(hazards(plainBait(), 'castHead')).toEqual(['lead', 'hotMetal', 'hookPoint']);
    expect(hazards(demoLure('torvane-lanes'), 'cutTrailer')).toEqual(['blade']);
  });

  it('says what is closed: the line tie everything on the wire, the tube its ring, the trailer its skirt', () => {
    const closes = (lure: Lure, id: RegExp) => steps(lure).find((step) => id.test(step.id))?.lastChanceFor;
    const hovna = demoLure('hovna-lantern');
    const onWire = new Set(hovna.build.strand.map(({ item }) => item));
    for (const item of onWire) expect(closes(hovna, /formLoop nose/)).toContain(item);
    expect(closes(hovna, /^shrinkTube/)).toEqual([itemId('splitRing-1'), itemId('hook-1')]);
    expect(closes(demoLure('torvane-lanes'), /pushTrailer/)).toContain(itemId('skirt-1'));
    expect(closes(hovna, /thread weight/)).toEqual([]);
  });

  it('the closing checks carry what the Bench found about each', () => {
    for (const lure of DEMO_LURES) {
      const found = findings(lure);
      const checks = closingChecks(lure.build, found);
      expect(checks.map(({ check }) => check)).toContain('turnsFreely');
      expect(checks.some(({ findings: about }) => about.length > 0)).toBe(true);
      const hooks = checks.find(({ check }) => check === 'clearsHook');
      expect(hooks?.findings.every(({ code }) => code === 'bladeAgainstHook')).toBe(true);
    }
  });
});
