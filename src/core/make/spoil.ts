/** What a spoiled piece takes with it, what has to be done again, and what stays sound. */
import { FIRST_CARRIER, type Build, type ItemId } from '../lure/lure';
import { carrierOfItem, hangingOn } from '../lure/strung';
import type { Op } from './operation';
import { facts as noFacts } from './facts';
import { goalOf, type Goal } from './goal';
import { ruleOf } from './operation-rules';
import type { MakeStep } from './plan';

/** A piece by its item, or the wire that carries all. */
export type Spoilable = ItemId | 'wire';

export interface Spoil {
  /** Steps to do again, by their names. */
  readonly again: readonly string[];
  readonly lost: readonly Spoilable[];
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
export function spoil(build: Build, steps: readonly MakeStep[], done: readonly string[], piece: Spoilable): Spoil {
  // What is spoiled of one piece leaves the others as they are.
  const item = piece === 'wire' ? null : build.items[piece];
  const carrier = item ? carrierOfItem(build, item) : FIRST_CARRIER;
  const own = steps.filter((step) => step.piece.carrier === carrier);
  const goals = new Map(own.map((step) => [step.piece, goalOf(step.piece.build, step.piece.over)]));
  const facts = new Map(
    own.map(({ id, operation, piece: of }) => [id, ruleOf(operation).facts(operation, goals.get(of) as Goal)]),
  );
  const made = own.filter(({ id }) => done.includes(id));
  const again = new Set<string>();
  const lost = new Set<Spoilable>([piece]);
  const lose = (each: Spoilable) => {
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
