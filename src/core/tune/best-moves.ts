/** The few moves to look at first: the best of each place, with what they promise in full, ranked anew by that. */
import { applyEdits } from '../lure/edit';
import { troubleOf, type Ranked, LEAST_GAIN } from './rank';
import { chancesOf } from './chance';
import { areTied, promiseOf, type Promised, type PromiseAsked } from './promise';

/** The first of each place, in their order: ten blades for one blade are one thought. */
export function bestOfEachPlace(ranked: readonly Ranked[]): Ranked[] {
  const seen = new Set<string>();
  return ranked.filter(({ move }) => {
    const thought = thoughtOf(move.place);
    return !seen.has(thought) && seen.add(thought);
  });
}

/** A bead more is one thought, wherever it goes. */
function thoughtOf(place: string): string {
  return place.startsWith('add ') ? place.split(' ').slice(0, 2).join(' ') : place;
}

export interface ToldMove {
  readonly ranked: Ranked;
  readonly promised: Promised;
  /** No wanted line of it is surely apart from that of the one before. */
  readonly isTied: boolean;
}

/** Each with its whole card, the most worth for its trouble first. */
export function withPromises(best: readonly Ranked[], asking: PromiseAsked): ToldMove[] {
  const told = best.flatMap((ranked) => {
    const promised = promiseOf(ranked.move, asking);
    return promised ? [{ ranked, promised }] : [];
  });
  return inOrder(told, asking);
}

/** Told moves in the order of what their whole cards are worth for the trouble, ties marked. */
export function inOrder(told: readonly Omit<ToldMove, 'isTied'>[], asking: PromiseAsked): ToldMove[] {
  const worthNow = chancesOf(asking.before, asking.wants).worth;
  const byWhole = (one: Omit<ToldMove, 'isTied'>) => {
    const gain = one.promised.chances.worth - worthNow;
    // What brings a fault is no help until that is mended.
    const isSound = !one.promised.makes.some(({ severity }) => severity === 'fault');
    return {
      first: Number(gain >= LEAST_GAIN) + Number(gain >= LEAST_GAIN && isSound),
      by: gain / troubleOf(one.ranked),
    };
  };
  const sorted = told
    .map((one) => ({ one, ...byWhole(one) }))
    .sort((a, b) => b.first - a.first || (a.first > 0 ? b.by - a.by : 0));
  const buildOf = ({ ranked: { move } }: Omit<ToldMove, 'isTied'>) => {
    const done = applyEdits(asking.lure, move.edits);
    return done.ok ? done.lure.build : asking.lure.build;
  };
  return sorted.map(({ one }, i) => {
    const last = sorted[i - 1]?.one;
    const isTied =
      last !== undefined &&
      areTied(
        { card: last.promised.card, build: buildOf(last) },
        { card: one.promised.card, build: buildOf(one) },
        asking.wants,
      );
    return { ...one, isTied };
  });
}
