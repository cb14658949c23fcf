/** Every operation under its name, and the one door through which they are asked. */
import type { ItemId } from '../lure/lure';
import type { Operation, Op } from './operation';
import type { Goal } from './goal';
import { bodyOperations } from './body-operations';
import { headOperations } from './head-operations';
import { lineOperations } from './line-operations';
import { linkOperations } from './link-operations';
import type { OperationRule, OperationRules } from './operation-rule';
import { strandOperations } from './strand-operations';
import { wireOperations } from './wire-operations';

export const OPERATIONS: OperationRules = {
  ...wireOperations,
  ...strandOperations,
  ...lineOperations,
  ...linkOperations,
  ...headOperations,
  ...bodyOperations,
};

/** Hooks whose bare points this brings on the lure. */
export function pointsBrought(operation: Operation, goal: Goal): ItemId[] {
  const { gives } = ruleOf(operation).facts(operation, goal);
  return Object.values(goal.build.items).flatMap(({ id, part }) =>
    part.kind === 'hook' && gives.includes(`in ${id}`) ? [id] : [],
  );
}

/** The rule of an operation. Each is only ever handed operations of its own kind. */
export function ruleOf(operation: Operation): OperationRule<Op> {
  return OPERATIONS[operation.op] as unknown as OperationRule<Op>;
}
