/** What a spoiled piece takes with it, what has to be done again, and what stays sound. */
import type { Build, End, ItemId } from '../lure/lure';
import { hangingOn } from '../lure/strung';
import type { Op } from './operation';
import { facts as noFacts } from './facts';
import { goalOf } from './goal';
import { ruleOf } from './operation-rules';
import type { MakeStep } from './plan';

/** A piece by its item, or the wire that carries all. */
export type Piece = ItemId | 'wire';

export interface Spoil {
  /** Steps to do again, by their names. */
  readonly again: readonly string[];
  readonly lost: readonly Piece[];
  /** Pieces that come off sound and are used again. */
  readonly sound: readonly ItemId[];
}

/** What these make cannot be taken apart again: with the wire or the hook it is gone. */
const MAKES_ONE: ReadonlySet<Op> = new Set([
  'shrinkTube',
  'castHead',
  'takeFrame',
  'dressWire',
  'tieDressing',
  'lashKeeper',
]);
/** What these do to the wire is undone only by cutting it. */
const SHUTS_WIRE: ReadonlySet<Op> = new Set(['formLoop', 'closeLoop']);

/**
 * @param done names of the steps that have been done
 */
export function spoil(
  build: Build,
  over: End,
  steps: readonly MakeStep[],
  done: readonly string[],
  piece: Piece,
): Spoil {
  const goal = goalOf(build, over);
  const facts = new Map(steps.map(({ id, operation }) => [id, ruleOf(operation).facts(operation, goal)]));
  const made = steps.filter(({ id }) => done.includes(id));
  const again = new Set<string>();
  const lost = new Set<Piece>([piece]);
  const lose = (each: Piece) => {
    lost.add(each);
    for (const { id, operation, items } of made) {
      const isOfIt =
        each === 'wire'
          ? operation.op === 'cutWire' ||
            operation.op === 'cutLine' ||
            operation.op === 'takeFrame' ||
            operation.op === 'takeBody'
          : items.includes(each);
      if (isOfIt) again.add(id);
    }
  };
  lose(piece);
  if (piece !== 'wire') {
    // What was tied, cast or shrunk on it goes with it.
    for (const id of hangingOn(build, piece).items) {
      const fixed = made.find(({ operation, items }) => MAKES_ONE.has(operation.op) && items[0] === id);
      if (fixed) lose(id);
    }
  }
  for (let grew = true; grew;) {
    const before = again.size + lost.size;
    for (const { id, operation, items } of made) {
      const { needs, takes } = facts.get(id) ?? noFacts([]);
      const stands = [...again].some((each) => {
        const other = facts.get(each);
        return (
          each !== id &&
          other !== undefined &&
          (other.gives.some((fact) => needs.includes(fact)) || other.needs.some((fact) => takes.includes(fact)))
        );
      });
      if (stands) again.add(id);
      if (!again.has(id)) continue;
      if (SHUTS_WIRE.has(operation.op)) lose('wire');
      if (
        MAKES_ONE.has(operation.op) &&
        operation.op !== 'tieDressing' &&
        operation.op !== 'lashKeeper' &&
        lost.has('wire')
      )
        items.forEach(lose);
    }
    grew = again.size + lost.size > before;
  }
  const touched = made.filter(({ id }) => again.has(id)).flatMap(({ items }) => items);
  return {
    again: steps.flatMap(({ id }) => (again.has(id) ? [id] : [])),
    lost: [...lost],
    sound: [...new Set(touched)].filter((id) => !lost.has(id)),
  };
}
