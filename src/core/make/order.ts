/**
 * Which order is best. Every operation states what it needs, gives and takes; a fact is given by one operation at most, so these
 * come down to who must stand before whom: the giver of a fact before all who need it, and all who need it before the
 * one that takes it. Among the orders that keep this, the best leaves the fewest steps to do with a bare point on the lure,
 * then changes tools least often, then keeps most to the builders' usual course.
 *
 * The search is over what has been done and the tool in hand, not over orders: two orders that have done the same things and
 * hold the same tool go on alike, so each such state is worked out once (Held and Karp's way with sequences).
 */
import type { Operation } from './operation';
import { factsOfPiece } from './facts';
import type { Goal } from './goal';
import type { Fact } from './operation-rule';
import { ruleOf, pointsBrought } from './operation-rules';

export interface OrderCost {
  /** Steps done while a point stands bare on the lure. */
  readonly barePoint: number;
  readonly toolChanges: number;
  /** Pairs of steps that stand the other way round than builders usually come to them. */
  readonly unusual: number;
}

export type Ordered =
  | {
      readonly outcome: 'ordered';
      readonly operations: readonly Operation[];
      readonly cost: OrderCost;
      /** States worked out. */
      readonly nodes: number;
      /** False when the search was given up and the builders' usual course taken instead. */
      readonly isBest: boolean;
    }
  /** Each of these waits for another of them, or for something that nothing brings about. */
  | { readonly outcome: 'stuck'; readonly operations: readonly Operation[] };

/** States after which the search is given up. */
const MOST_NODES = 60_000;

const POINT = 1e8;
const TOOL = 1e4;

/** The best order of these operations, or the first that can be found in so many states. @param mostNodes states to expand at most */
export function bestOrder(goal: Goal, operations: readonly Operation[], mostNodes = MOST_NODES): Ordered {
  const before = predecessors(goal, operations);
  const stuck = before ? stuckIn(before) : operations.map((_, i) => i);
  if (!before || stuck.length > 0) return { outcome: 'stuck', operations: stuck.flatMap((i) => operations[i] ?? []) };
  const jobs = jobsOf(goal, operations, before);
  const search = new Search(jobs, mostNodes);
  const found = search.run();
  const order = found ?? usualCourse(jobs);
  return {
    outcome: 'ordered',
    operations: order.flatMap((i) => operations[i] ?? []),
    cost: costOf(jobs, order),
    nodes: search.nodes,
    isBest: found !== null,
  };
}

interface Job {
  readonly bit: bigint;
  /** Bits of all that must be done before it. */
  readonly before: bigint;
  readonly tool: string | null;
  readonly habit: number;
  readonly bringsPoint: boolean;
}

/** For each operation those that must come first; null when something needs what nothing gives. */
function predecessors(goal: Goal, operations: readonly Operation[]): Set<number>[] | null {
  const all = operations.map((operation) => ruleOf(operation).facts(operation, goal));
  const given = new Map<Fact, number>();
  all.forEach(({ gives }, i) => gives.forEach((fact) => given.set(fact, i)));
  const atFirst = new Set<Fact>(Object.values(goal.build.items).flatMap(factsOfPiece));
  const before = all.map(() => new Set<number>());
  for (const [i, { needs }] of all.entries()) {
    for (const fact of needs) {
      const giver = given.get(fact);
      if (giver === undefined && !atFirst.has(fact)) return null;
      if (giver !== undefined && giver !== i) before[i]?.add(giver);
    }
  }
  for (const [taker, { takes }] of all.entries()) {
    for (const fact of takes) {
      all.forEach(({ needs }, i) => {
        if (i !== taker && needs.includes(fact)) before[taker]?.add(i);
      });
    }
  }
  return before;
}

/** Operations that no order ever reaches. */
function stuckIn(before: readonly ReadonlySet<number>[]): number[] {
  const done = new Set<number>();
  for (let grew = true; grew;) {
    grew = false;
    before.forEach((needed, i) => {
      if (!done.has(i) && [...needed].every((each) => done.has(each))) {
        done.add(i);
        grew = true;
      }
    });
  }
  return before.flatMap((_, i) => (done.has(i) ? [] : [i]));
}

function jobsOf(goal: Goal, operations: readonly Operation[], before: readonly ReadonlySet<number>[]): Job[] {
  return operations.map((operation, i) => {
    const { tool, habit } = ruleOf(operation);
    const bits = [...(before[i] ?? [])].reduce((sum, each) => sum | (1n << BigInt(each)), 0n);
    const bringsPoint = pointsBrought(operation, goal).length > 0;
    return { bit: 1n << BigInt(i), before: bits, tool, habit, bringsPoint };
  });
}

/** What one job adds, done next. */
function costNext(jobs: readonly Job[], done: bigint, tool: string | null, job: Job): number {
  let cost = job.tool !== null && job.tool !== tool ? TOOL : 0;
  let hasPoint = false;
  for (const other of jobs) {
    if ((done & other.bit) !== 0n) hasPoint ||= other.bringsPoint;
    else if (other.habit < job.habit) cost += 1;
  }
  return hasPoint ? cost + POINT : cost;
}

/** What has been done and the tool in hand, as one number. */
type State = bigint;

class Search {
  nodes = 0;
  private readonly known = new Map<State, { readonly cost: number; readonly next: number }>();
  private readonly all: bigint;
  private readonly tools: readonly (string | null)[];

  constructor(
    private readonly jobs: readonly Job[],
    private readonly mostNodes: number,
  ) {
    this.all = (1n << BigInt(jobs.length)) - 1n;
    this.tools = [...new Set(jobs.map(({ tool }) => tool))];
  }

  run(): number[] | null {
    if (this.rest(0n, null) === null) return null;
    const order: number[] = [];
    let [done, tool]: [bigint, string | null] = [0n, null];
    while (done !== this.all) {
      const next: number = this.known.get(this.state(done, tool))?.next ?? -1;
      const job: Job | undefined = this.jobs[next];
      if (!job) return null;
      order.push(next);
      [done, tool] = [done | job.bit, job.tool ?? tool];
    }
    return order;
  }

  private state(done: bigint, tool: string | null): State {
    return (done << 4n) | BigInt(this.tools.indexOf(tool) + 1);
  }

  /** Least cost of all that is left; null when there was too much to look at. */
  private rest(done: bigint, tool: string | null): number | null {
    if (done === this.all) return 0;
    const state = this.state(done, tool);
    const known = this.known.get(state);
    if (known) return known.cost;
    if (++this.nodes > this.mostNodes) return null;
    let best = { cost: Infinity, next: -1 };
    for (const [i, job] of this.jobs.entries()) {
      if ((done & job.bit) !== 0n || (done & job.before) !== job.before) continue;
      const after = this.rest(done | job.bit, job.tool ?? tool);
      if (after === null) return null;
      const cost = after + costNext(this.jobs, done, tool, job);
      if (cost < best.cost) best = { cost, next: i };
    }
    this.known.set(state, best);
    return best.cost;
  }
}

/** Always what builders come to first of all that can be done. */
function usualCourse(jobs: readonly Job[]): number[] {
  const order: number[] = [];
  let done = 0n;
  while (order.length < jobs.length) {
    let next = -1;
    for (const [i, job] of jobs.entries()) {
      const isOpen = (done & job.bit) === 0n && (done & job.before) === job.before;
      if (isOpen && (next < 0 || job.habit < (jobs[next]?.habit ?? Infinity))) next = i;
    }
    const job = jobs[next];
    if (!job) break;
    order.push(next);
    done |= job.bit;
  }
  return order;
}

function costOf(jobs: readonly Job[], order: readonly number[]): OrderCost {
  let [done, tool, total]: [bigint, string | null, number] = [0n, null, 0];
  for (const i of order) {
    const job = jobs[i];
    if (!job) continue;
    total += costNext(jobs, done, tool, job);
    [done, tool] = [done | job.bit, job.tool ?? tool];
  }
  return {
    barePoint: Math.floor(total / POINT),
    toolChanges: Math.floor((total % POINT) / TOOL),
    unusual: total % TOOL,
  };
}
