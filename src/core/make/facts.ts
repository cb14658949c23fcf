/** Facts as operations state them. */
import { carrierRoom } from '../carriers/carrier';
import type { Item, ItemId } from '../lure/lure';
import type { Goal } from './goal';
import type { About, Fact, Facts } from './operation-rule';

/** What an operation needs, gives and takes. */
export function facts(needs: readonly Fact[], gives: readonly Fact[] = [], takes: readonly Fact[] = []): Facts {
  return { needs, gives, takes };
}

/** The same fact about each of these. */
export function each(about: About, ids: readonly ItemId[]): Fact[] {
  return ids.map((id): Fact => `${about} ${id}`);
}

/** What holds of a piece before anything is done. */
export function factsOfPiece({ id, part, seat }: Item): Fact[] {
  const isCast = seat.on === 'item' && seat.how === 'moulded';
  return [
    ...(isCast ? [] : each('loose', [id])),
    ...(part.kind === 'splitRing' ? each('opens', [id]) : []),
    ...(part.kind === 'hook' ? [...each('point', [id]), ...each('shank', [id]), ...each('bare', [id])] : []),
  ];
}

/** What is strung on a bent wire goes on after its bends are in it. */
export function bentFirst({ build: { carrier } }: Goal): Fact[] {
  return carrierRoom(carrier).bends(carrier) === null ? [] : ['bent'];
}
