/** Every operation under its name, and the one door through which they are asked. */
import type { ItemId } from '../lure/lure';
import type { Doing, Op } from './doing';
import type { Goal } from './goal';
import { headOperations } from './head-operations';
import { linkOperations } from './link-operations';
import type { Operation, Operations } from './operation';
import { strandOperations } from './strand-operations';
import { wireOperations } from './wire-operations';

export const OPERATIONS: Operations = {
  ...wireOperations,
  ...strandOperations,
  ...linkOperations,
  ...headOperations,
};

/** Hooks whose bare points this brings on the lure. */
export function pointsBrought(doing: Doing, goal: Goal): ItemId[] {
  const { gives } = operationOf(doing).facts(doing, goal);
  return Object.values(goal.build.items).flatMap(({ id, part }) =>
    part.kind === 'hook' && gives.includes(`in ${id}`) ? [id] : [],
  );
}

/** The operation of a doing. Each is only ever handed doings of its own kind. */
export function operationOf(doing: Doing): Operation<Op> {
  return OPERATIONS[doing.op] as unknown as Operation<Op>;
}
