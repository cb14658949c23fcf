/**
 * How a build is made: its steps in the best order, each with its measures, tools, minutes, dangers, what it is the last
 * chance for, what to look at afterwards and how it could be undone. Derived from the build alone.
 */
import type { Build, End, ItemId } from '../lure/lure';
import { carrierRoom, wireEnd } from '../carriers/carrier';
import type { WireEnd } from '../parts/wire-form';
import { doingId, itemsOf, type Doing } from './doing';
import { closedEyes, doingsFor, inParts } from './doings';
import { goalOf, type Goal } from './goal';
import type { AfterCheck, Amount, Fact, Hazard, Supply, Tool, Undoing, Wait } from './operation';
import { operationOf, pointsBrought } from './operations';
import { bestOrder, type OrderCost } from './order';
import { bareWire, settleWire, type Workpiece } from './workpiece';

export interface MakeStep {
  /** Stays the same for one build: notes and progress are kept under it. */
  readonly id: string;
  readonly doing: Doing;
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
  | { readonly code: 'stuck'; readonly doings: readonly Doing[] };

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

export function planMake(build: Build): Plan {
  if (build.joined.length > 0) return noWay({ code: 'severalCarriers', count: build.joined.length + 1 });
  const [closed] = closedEyes(build);
  if (closed?.seat.on === 'item') return noWay({ code: 'closedEye', item: closed.id, on: closed.seat.item });
  const loopless = Object.values(build.items).find(
    ({ seat }) => seat.on === 'end' && UNLOOPED.has(wireEnd(build.carrier, seat.end).form) && !isCast(build, seat.end),
  );
  if (loopless) return noWay({ code: 'noLoop', item: loopless.id });
  let stuck: readonly Doing[] = [];
  for (const over of carrierRoom(build.carrier).threadedOver) {
    const goal = goalOf(build, over);
    const ordered = bestOrder(goal, doingsFor(goal));
    if (ordered.outcome === 'stuck') {
      if (stuck.length === 0) stuck = ordered.doings;
      continue;
    }
    const { cost, nodes, isBest } = ordered;
    const steps = stepsOf(goal, withCaps(goal, ordered.doings.flatMap(inParts)));
    return { outcome: 'planned', over, steps, minutes: minutesOf(steps), cost, nodes, isBest };
  }
  const isHeld = doingsFor(goalOf(build, 'tail')).some(({ op }) => HOLDS.has(op));
  return noWay(isHeld ? { code: 'stuck', doings: stuck } : { code: 'nothingHolds' });
}

const UNLOOPED: ReadonlySet<WireEnd['form']> = new Set(['plain', 'bentOver']);

/** The nose of a bent wire is in its head. */
function isCast({ carrier }: Build, end: End): boolean {
  return end === 'nose' && carrierRoom(carrier).castsNose;
}

const HOLDS: ReadonlySet<Doing['op']> = new Set(['formLoop', 'bendWire', 'takeFrame', 'castHead']);

function noWay(why: NoWay): Plan {
  return { outcome: 'noWay', why };
}

function minutesOf(steps: readonly MakeStep[]): number {
  return steps.reduce((sum, { minutes }) => sum + minutes, 0);
}

/** A point that came on while there is more to do is capped at once. */
function withCaps(goal: Goal, doings: readonly Doing[]): Doing[] {
  const last = doings.length - 1;
  return doings.flatMap((doing, i) => {
    const hooks = pointsBrought(doing, goal);
    return i === last ? [doing] : [doing, ...hooks.map((hook): Doing => ({ op: 'capPoint', hook }))];
  });
}

function stepsOf(goal: Goal, doings: readonly Doing[]): MakeStep[] {
  return doings.map((doing) => {
    const operation = operationOf(doing);
    const { takes } = operation.facts(doing, goal);
    const items = itemsOf(doing);
    const amounts = operation.amounts(doing, goal);
    const count = amounts.find((each): each is Extract<Amount, { count: number }> =>
      ['count', 'layers', 'bends'].includes(each.of),
    );
    return {
      id: doingId(doing),
      doing,
      items,
      amounts,
      tools: [...(operation.tool ? [operation.tool] : []), ...(operation.alsoTools ?? [])],
      supplies: operation.supplies ?? [],
      minutes: operation.minutes + (operation.minutesEach ?? 0) * Math.max((count?.count ?? 1) - 1, 0),
      hazards: [...new Set(operation.hazards(doing, goal))],
      lastChanceFor: lastChance(goal, doings, takes, items),
      after: operation.after(doing, goal),
      undoing: operation.undoing,
      wait: operation.wait ?? null,
    };
  });
}

/** Ways on that stay shut once they are closed, and the pieces that had to come that way. */
function lastChance(goal: Goal, doings: readonly Doing[], takes: readonly Fact[], own: readonly ItemId[]): ItemId[] {
  const closes = takes.filter((fact) => SHUTS.test(fact));
  if (closes.length === 0) return [];
  const passed = doings
    .filter((each) =>
      operationOf(each)
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
      (piece, { doing }) => settleWire(goal, operationOf(doing).effect(doing, goal, piece)),
      bareWire(goal),
    );
}

/** Hooks whose points stand capped after the first `count` steps: until something goes over the point. */
export function cappedAfter(steps: readonly MakeStep[], count: number): ItemId[] {
  const capped = new Set<ItemId>();
  for (const { doing } of steps.slice(0, count)) {
    if (doing.op === 'capPoint') capped.add(doing.hook);
    if (doing.op === 'pushTrailer' || doing.op === 'tieDressing') capped.delete(doing.hook);
    if (doing.op === 'hangStinger') capped.delete(doing.on);
  }
  return [...capped];
}
