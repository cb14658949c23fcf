/** What is to be made, and from which side. */
import { cutLengths, type CutLength } from '../lengths/lengths';
import { layOut, type Layout } from '../geometry/layout';
import { stackedPairs } from '../geometry/stacking';
import type { Build, End, ItemId } from '../lure/lure';

/** What is to be made, with all that an operation asks of it worked out once. */
export interface Goal {
  readonly build: Build;
  readonly cuts: readonly CutLength[];
  /** The end that parts are passed over. The other one is closed first. */
  readonly over: End;
  readonly layout: Layout;
  /** Clevises among whose legs this one's lie. */
  readonly stackedWith: (clevis: ItemId) => readonly ItemId[];
}

/** What is to be made, threaded over this end. */
export function goalOf(build: Build, over: End): Goal {
  const layout = layOut(build);
  const pairs = stackedPairs(layout);
  return {
    build,
    layout,
    over,
    cuts: cutLengths(build, layout),
    stackedWith: (id) => pairs.flatMap(({ fore, aft }) => (fore === id ? [aft] : aft === id ? [fore] : [])),
  };
}

/** The place of a strand entry in the order in which they go on, and the other way round. */
export function orderPlace({ build, over }: Goal, index: number): number {
  return over === 'nose' ? build.strand.length - 1 - index : index;
}

/** Where an item's entries stand in the order in which they go on, the first to go on first. */
export function orderPlaces(goal: Goal, id: ItemId): number[] {
  return goal.build.strand
    .flatMap(({ item }, index) => (item === id ? [orderPlace(goal, index)] : []))
    .sort((a, b) => a - b);
}

/** The end that is closed before anything is strung. */
export function heldEnd({ over }: Goal): End {
  return over === 'nose' ? 'tail' : 'nose';
}
