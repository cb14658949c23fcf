/** Why there is no order of work, in words. */
import { never } from '../core/never';
import { itemOf, type Build, type ItemId } from '../core/lure/lure';
import { itemsOf, type Operation } from '../core/make/operation';
import type { NoWay } from '../core/make/plan';
import { listed, lower } from './step-names';

export function noWayWords(why: NoWay, build: Build): string {
  const name = (id: ItemId) => lower(itemOf(build, id).part);
  switch (why.code) {
    case 'nothingHolds':
      return 'Nothing holds what is strung: give the wire a loop at one end, or a bend.';
    case 'closedEye':
      return `The ${name(why.item)} hangs on a closed eye of the ${name(why.on)}, which nothing opens: put a split ring between them.`;
    case 'noLoop':
      return `The ${name(why.item)} hangs at an end of the wire that has no loop: give it one.`;
    case 'stuck':
      return `No order makes this: ${whatStands(why.operations, build)} stand in each other’s way. Take one of them off.`;
    default:
      return never(why, 'noWayWords');
  }
}

function whatStands(operations: readonly Operation[], build: Build): string {
  const names = [...new Set(operations.flatMap(itemsOf))].map((id) => lower(itemOf(build, id).part));
  return listed([...new Set(names)].slice(0, 5)) || 'its steps';
}
