/**
 * Orders of work the slow and obvious way: every order is tried step by step against what is true at the time, and its cost
 * is counted off the finished list. For tests only.
 */
import type { Doing } from '@/core/make/doing';
import { factsOfPiece } from '@/core/make/facts';
import type { Goal } from '@/core/make/goal';
import type { Fact } from '@/core/make/operation';
import { operationOf } from '@/core/make/operations';

/** What holds before anything is done. */
export function atFirst({ build }: Goal): Set<Fact> {
  return new Set(Object.values(build.items).flatMap(factsOfPiece));
}

/** What holds after this doing; null when something it needs does not hold. */
export function afterDoing(goal: Goal, known: ReadonlySet<Fact>, doing: Doing): Set<Fact> | null {
  const { needs, gives, takes } = operationOf(doing).facts(doing, goal);
  if (needs.some((fact) => !known.has(fact))) return null;
  const next = new Set(known);
  for (const fact of takes) next.delete(fact);
  for (const fact of gives) next.add(fact);
  return next;
}

/** Every order in which all of these can be done. */
export function* everyOrder(
  goal: Goal,
  left: readonly Doing[],
  known: ReadonlySet<Fact> = atFirst(goal),
): Generator<Doing[]> {
  if (left.length === 0) yield [];
  for (const doing of left) {
    const next = afterDoing(goal, known, doing);
    if (!next) continue;
    for (const rest of everyOrder(
      goal,
      left.filter((each) => each !== doing),
      next,
    ))
      yield [doing, ...rest];
  }
}

/** [steps with a bare point on the lure, changes of tool, pairs out of the usual course]: compared first to last. */
export function countCost(goal: Goal, order: readonly Doing[]): [number, number, number] {
  const hasPoint = (doing: Doing) =>
    operationOf(doing)
      .facts(doing, goal)
      .gives.some((fact) => {
        const [about, id] = fact.split(' ');
        return about === 'in' && goal.build.items[id as never]?.part.kind === 'hook';
      });
  const tools = order.map((doing) => operationOf(doing).tool).filter((tool) => tool !== null);
  const habits = order.map((doing) => operationOf(doing).habit);
  const firstPoint = order.findIndex(hasPoint);
  return [
    firstPoint < 0 ? 0 : order.length - 1 - firstPoint,
    tools.filter((tool, i) => tool !== tools[i - 1]).length,
    habits.reduce((sum, habit, i) => sum + habits.slice(i + 1).filter((later) => later < habit).length, 0),
  ];
}
