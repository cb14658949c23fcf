/**
 * How a build is made: its steps in the best order, each with its measures, tools, minutes, dangers, what it is the last
 * chance for, what to look at afterwards and how it could be undone. Derived from the build alone.
 */
import { FIRST_CARRIER, type Build, type CarrierId, type End, type ItemId } from '../lure/lure';
import type { Part } from '../parts/part';
import { carrierRoom, wireEnd } from '../carriers/carrier';
import type { WireEnd } from '../parts/wire-form';
import { operationId, itemsOf, type Operation } from './operation';
import { closedEyes, operationsFor, inParts } from './operations';
import { goalOf, type Goal } from './goal';
import type { AfterCheck, Amount, Fact, Hazard, Supply, Tool, Undoing, Wait } from './operation-rule';
import { ruleOf, pointsBrought } from './operation-rules';
import { bestOrder, type OrderCost } from './order';
import { piecesOf, withBehind, withJoins, type Piece } from './piece';
import { bareWire, settleWire, type Workpiece } from './workpiece';

export interface MakeStep {
  /** Stays the same for one build: notes and progress are kept under it. */
  readonly id: string;
  readonly operation: Operation;
  /** What it is a step of: the whole lure, or one of its carriers that is made by itself. */
  readonly piece: Piece;
  /** The piece that this step joins on, by what it is made of; null for most. */
  readonly joins: { readonly carrier: CarrierId; readonly part: Part } | null;
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
  /** Each of these waits for another of them. */
  | { readonly code: 'stuck'; readonly operations: readonly Operation[] };

export type Plan =
  | {
      readonly outcome: 'planned';
      /** The end that parts are passed over, of the carrier that the line pulls. */
      readonly over: End;
      readonly steps: readonly MakeStep[];
      readonly minutes: number;
      readonly cost: OrderCost;
      readonly nodes: number;
      readonly isBest: boolean;
    }
  | { readonly outcome: 'noWay'; readonly why: NoWay };

/** The steps that make a build from bare wire, what hangs furthest behind first, or why there is no way. */
export function planMake(build: Build): Plan {
  let [steps, nodes, isBest]: [MakeStep[], number, boolean] = [[], 0, true];
  let [over, cost]: [End, OrderCost] = ['tail', { barePoint: 0, toolChanges: 0, unusual: 0 }];
  for (const piece of piecesOf(build)) {
    const planned = planPiece(build, piece);
    if (planned.outcome === 'noWay') return planned;
    steps = [...steps, ...planned.steps];
    over = planned.over;
    cost = {
      barePoint: cost.barePoint + planned.cost.barePoint,
      toolChanges: cost.toolChanges + planned.cost.toolChanges,
      unusual: cost.unusual + planned.cost.unusual,
    };
    nodes += planned.nodes;
    isBest &&= planned.isBest;
  }
  return { outcome: 'planned', over, steps, minutes: minutesOf(steps), cost, nodes, isBest };
}

function planPiece(
  whole: Build,
  { carrier, build }: Omit<Piece, 'over'>,
): Extract<Plan, { outcome: 'noWay' }> | Omit<Extract<Plan, { outcome: 'planned' }>, 'minutes'> {
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
    const operations = withJoins(withCaps(goal, ordered.operations.flatMap(inParts)), whole, carrier);
    return {
      outcome: 'planned',
      over,
      steps: stepsOf(whole, { carrier, build, over }, goal, operations),
      cost,
      nodes,
      isBest,
    };
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

function noWay(why: NoWay): Extract<Plan, { outcome: 'noWay' }> {
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

function stepsOf(whole: Build, piece: Piece, goal: Goal, operations: readonly Operation[]): MakeStep[] {
  return operations.map((operation) => {
    const rule = ruleOf(operation);
    const { takes } = rule.facts(operation, goal);
    const items = itemsOf(operation);
    const amounts = rule.amounts(operation, goal);
    const count = amounts.find((each): each is Extract<Amount, { count: number }> =>
      ['count', 'layers', 'bends'].includes(each.of),
    );
    return {
      // What is done to two pieces alike is told apart by the piece.
      id: piece.carrier === FIRST_CARRIER ? operationId(operation) : `${piece.carrier} ${operationId(operation)}`,
      operation,
      piece,
      joins: joinsOf(whole, operation),
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

function joinsOf({ joined }: Build, operation: Operation): MakeStep['joins'] {
  const behind = 'behind' in operation ? operation.behind : undefined;
  const found = joined.find(({ id }) => id === behind);
  return found ? { carrier: found.id, part: found.carrier.wire } : null;
}

/** The piece that is worked on after the first `count` steps, with what is joined to it by then: what the drawing shows. */
export function standsAfter(build: Build, steps: readonly MakeStep[], count: number): Workpiece {
  const done = steps.slice(0, count);
  const piece = (done.at(-1) ?? steps[0])?.piece;
  if (!piece) throw new Error('standsAfter: a plan has a step at least');
  const goal = goalOf(piece.build, piece.over);
  const own = done.filter((step) => step.piece === piece);
  const stands = own.reduce<Workpiece>(
    (at, { operation }) => settleWire(goal, ruleOf(operation).effect(operation, goal, at)),
    bareWire(goal),
  );
  const joined = own.flatMap(({ joins }) => (joins ? [joins.carrier] : []));
  return withBehind(build, piece, stands, joined);
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
