/**
 * Orders of work the slow and obvious way: every order is tried step by step against what is true at the time, and its cost
 * is counted off the finished list. For tests only.
 */
import type { Operation } from '@/core/make/operation';
import { factsOfPiece } from '@/core/make/facts';
import type { Goal } from '@/core/make/goal';
import type { Fact } from '@/core/make/operation-rule';
import { ruleOf } from '@/core/make/operation-rules';

/** What holds before anything is done. */
export function atFirst({ build }: Goal): Set<Fact> {
  return new Set(Object.values(build.items).flatMap(factsOfPiece));
}

/** What holds after this operation; null when something it needs does not hold. */
export function afterDoing(goal: Goal, known: ReadonlySet<Fact>, operation: Operation): Set<Fact> | null {
  const { needs, gives, takes } = ruleOf(operation).facts(operation, goal);
  if (needs.some((fact) => !known.has(fact))) return null;
  const next = new Set(known);
  for (const fact of takes) next.delete(fact);
  for (const fact of gives) next.add(fact);
  return next;
}

/** Every order in which all of these can be done. */
export function* everyOrder(
  goal: Goal,
  left: readonly Operation[],
  known: ReadonlySet<Fact> = atFirst(goal),
): Generator<Operation[]> {
  if (left.length === 0) yield [];
  for (const operation of left) {
    const next = afterDoing(goal, known, operation);
    if (!next) continue;
    for (const rest of everyOrder(
      goal,
      left.filter((each) => each !== operation),
      next,
    ))
      yield [operation, ...rest];
  }
}

/** [steps with a bare point on the lure, changes of tool, pairs out of the usual course]: compared first to last. */
export function countCost(goal: Goal, order: readonly Operation[]): [number, number, number] {
  const hasPoint = (operation: Operation) =>
    ruleOf(operation)
      .facts(operation, goal)
      .gives.some((fact) => {
        const [about, id] = fact.split(' ');
        return about === 'in' && goal.build.items[id as never]?.part.kind === 'hook';
      });
  const tools = order.map((operation) => ruleOf(operation).tool).filter((tool) => tool !== null);
  const habits = order.map((operation) => ruleOf(operation).habit);
  const firstPoint = order.findIndex(hasPoint);
  return [
    firstPoint < 0 ? 0 : order.length - 1 - firstPoint,
    tools.filter((tool, i) => tool !== tools[i - 1]).length,
    habits.reduce((sum, habit, i) => sum + habits.slice(i + 1).filter((later) => later < habit).length, 0),
  ];
}
