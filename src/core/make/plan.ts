/**
 * How a build is made: its steps in the best order, each with its measures, tools, minutes, dangers, what it is the last
 * chance for, what to look at afterwards and how it could be undone. Derived from the build alone.
 */
import type { Build, End, ItemId } from '../lure/lure';
import { carrierRoom, wireEnd } from '../carriers/carrier';
import type { WireEnd } from '../parts/wire-form';
import { operationId, itemsOf, type Operation } from './operation';
import { closedEyes, operationsFor, inParts } from './operations';
import { goalOf, type Goal } from './goal';
import type { AfterCheck, Amount, Fact, Hazard, Supply, Tool, Undoing, Wait } from './operation-rule';
import { ruleOf, pointsBrought } from './operation-rules';
import { bestOrder, type OrderCost } from './order';
import { bareWire, settleWire, type Workpiece } from './workpiece';

export interface MakeStep {
  /** Stays the same for one build: notes and progress are kept under it. */
  readonly id: string;
  readonly operation: Operation;
  /** The pieces it puts on or works at. */
  readonly items: readonly ItemId[];
  readonly amounts: readonly Amount[];
  readonly tools: readonly Tool[];
  readonly supplies: readonly Supply[];
  readonly minutes: number;
  readonly hazards: readonly Hazard[];
  /** Pieces for which this step was the last chance: after it their way on is closed. */
  readonly lastChanceFor: readonly ItemId[];
  readonly after: readonly AfterCheck[];
  readonly undoing: Undoing;
  readonly wait: Wait | null;
}

export type NoWay =
  /** Nothing keeps what is strung from falling off. */
  | { readonly code: 'nothingHolds' }
  /** Hung on an eye that cannot be opened. */
  | { readonly code: 'closedEye'; readonly item: ItemId; readonly on: ItemId }
  /** In a loop that the wire does not have. */
  | { readonly code: 'noLoop'; readonly item: ItemId }
  /** Its second wire is another piece of work: order of work is known for one carrier. */
  | { readonly code: 'severalCarriers'; readonly count: number }
  /** Each of these waits for another of them. */
  | { readonly code: 'stuck'; readonly operations: readonly Operation[] };

export type Plan =
  | {
      readonly outcome: 'planned';
      /** The end that parts are passed over. */
      readonly over: End;
      readonly steps: readonly MakeStep[];
      readonly minutes: number;
      readonly cost: OrderCost;
      readonly nodes: number;
      readonly isBest: boolean;
    }
  | { readonly outcome: 'noWay'; readonly why: NoWay };

/** The steps that make a build from bare wire, or why there is no way. */
export function planMake(build: Build): Plan {
  if (build.joined.length > 0) return noWay({ code: 'severalCarriers', count: build.joined.length + 1 });
  const [closed] = closedEyes(build);
  if (closed?.seat.on === 'item') return noWay({ code: 'closedEye', item: closed.id, on: closed.seat.item });
  const loopless = Object.values(build.items).find(
    ({ seat }) => seat.on === 'end' && UNLOOPED.has(wireEnd(build.carrier, seat.end).form) && !isCast(build, seat.end),
  );
  if (loopless) return noWay({ code: 'noLoop', item: loopless.id });
  let stuck: readonly Operation[] = [];
  for (const over of carrierRoom(build.carrier).threadedOver) {
    const goal = goalOf(build, over);
    const ordered = bestOrder(goal, operationsFor(goal));
    if (ordered.outcome === 'stuck') {
      if (stuck.length === 0) stuck = ordered.operations;
      continue;
    }
    const { cost, nodes, isBest } = ordered;
    const steps = stepsOf(goal, withCaps(goal, ordered.operations.flatMap(inParts)));
    return { outcome: 'planned', over, steps, minutes: minutesOf(steps), cost, nodes, isBest };
  }
  const isHeld = operationsFor(goalOf(build, 'tail')).some(({ op }) => HOLDS.has(op));
  return noWay(isHeld ? { code: 'stuck', operations: stuck } : { code: 'nothingHolds' });
}

const UNLOOPED: ReadonlySet<WireEnd['form']> = new Set(['plain', 'bentOver']);

/** The nose of a bent wire is in its head. */
function isCast({ carrier }: Build, end: End): boolean {
  return end === 'nose' && carrierRoom(carrier).castsNose;
}

const HOLDS: ReadonlySet<Operation['op']> = new Set([
  'formLoop',
  'tieEnd',
  'snell',
  'bendWire',
  'takeFrame',
  'takeBody',
  'castHead',
]);

function noWay(why: NoWay): Plan {
  return { outcome: 'noWay', why };
}

function minutesOf(steps: readonly MakeStep[]): number {
  return steps.reduce((sum, { minutes }) => sum + minutes, 0);
}

/** A point that came on while there is more to do is capped at once. */
function withCaps(goal: Goal, operations: readonly Operation[]): Operation[] {
  const last = operations.length - 1;
  return operations.flatMap((operation, i) => {
    const hooks = pointsBrought(operation, goal);
    return i === last ? [operation] : [operation, ...hooks.map((hook): Operation => ({ op: 'capPoint', hook }))];
  });
}

function stepsOf(goal: Goal, operations: readonly Operation[]): MakeStep[] {
  return operations.map((operation) => {
    const rule = ruleOf(operation);
    const { takes } = rule.facts(operation, goal);
    const items = itemsOf(operation);
    const amounts = rule.amounts(operation, goal);
    const count = amounts.find((each): each is Extract<Amount, { count: number }> =>
      ['count', 'layers', 'bends'].includes(each.of),
    );
    return {
      id: operationId(operation),
      operation,
      items,
      amounts,
      tools: [...(rule.tool ? [rule.tool] : []), ...(rule.alsoTools ?? [])],
      supplies: rule.supplies ?? [],
      minutes: rule.minutes + (rule.minutesEach ?? 0) * Math.max((count?.count ?? 1) - 1, 0),
      hazards: [...new Set(rule.hazards(operation, goal))],
      lastChanceFor: lastChance(goal, operations, takes, items),
      after: rule.after(operation, goal),
      undoing: rule.undoing,
      wait: rule.wait ?? null,
    };
  });
}

/** Ways on that stay shut once they are closed, and the pieces that had to come that way. */
function lastChance(
  goal: Goal,
  operations: readonly Operation[],
  takes: readonly Fact[],
  own: readonly ItemId[],
): ItemId[] {
  const closes = takes.filter((fact) => SHUTS.test(fact));
  if (closes.length === 0) return [];
  const passed = operations
    .filter((each) =>
      ruleOf(each)
        .facts(each, goal)
        .needs.some((fact) => closes.includes(fact)),
    )
    .flatMap((each) => itemsOf(each));
  return [...new Set(passed)].filter((id) => !own.includes(id));
}

const SHUTS = /^(open|rolled|opens|point|shank|bare) /;

/** The lure after the first `count` steps: what the drawing shows. */
export function standsAfter(build: Build, over: End, steps: readonly MakeStep[], count: number): Workpiece {
  const goal = goalOf(build, over);
  return steps
    .slice(0, count)
    .reduce<Workpiece>(
      (piece, { operation }) => settleWire(goal, ruleOf(operation).effect(operation, goal, piece)),
      bareWire(goal),
    );
}

/** Hooks whose points stand capped after the first `count` steps: until something goes over the point. */
export function cappedAfter(steps: readonly MakeStep[], count: number): ItemId[] {
  const capped = new Set<ItemId>();
  for (const { operation } of steps.slice(0, count)) {
    if (operation.op === 'capPoint') capped.add(operation.hook);
    if (operation.op === 'pushTrailer' || operation.op === 'keepStinger' || operation.op === 'tieDressing')
      capped.delete(operation.hook);
    if (operation.op === 'hangStinger') capped.delete(operation.on);
  }
  return [...capped];
}
