/** What two builds of a lure differ in, as coded data: for comparing versions. */
import { isSame } from '../same';
import type { Part } from '../parts/part';
import { carrierRoom, wireEnd, type Carrier } from '../carriers/carrier';
import type { Build, Item, ItemId } from '../lure/lure';
import { carriersOf, carrierWith } from '../lure/strung';

export type Difference =
  | { readonly code: 'added'; readonly item: ItemId; readonly part: Part }
  | { readonly code: 'takenOff'; readonly item: ItemId; readonly part: Part }
  | { readonly code: 'swapped'; readonly item: ItemId; readonly from: Part; readonly to: Part }
  | { readonly code: 'turned'; readonly item: ItemId; readonly part: Part }
  | { readonly code: 'handled'; readonly item: ItemId; readonly from: Item; readonly to: Item }
  | { readonly code: 'placedElsewhere'; readonly item: ItemId; readonly part: Part }
  | { readonly code: 'wire'; readonly from: Part; readonly to: Part }
  | { readonly code: 'bent' }
  | { readonly code: 'ends' }
  | { readonly code: 'restrung' };

/** Every difference on the way from one build to the other; empty when they are the same. */
export function differences(from: Build, to: Build): Difference[] {
  const ids = [...new Set([...Object.keys(from.items), ...Object.keys(to.items)])] as ItemId[];
  const order = (build: Build) =>
    carriersOf(build).map(({ id, joint, strand }) => [
      id,
      joint,
      strand.filter(({ item }) => item in from.items && item in to.items),
    ]);
  const isRestrung = !isSame(order(from), order(to));
  return [
    ...carriersOf(to).flatMap(({ id, carrier }) => {
      const before = carrierWith(from, id);
      return before ? ofCarrier(before.carrier, carrier) : [];
    }),
    ...(isRestrung ? [{ code: 'restrung' } as const] : []),
    ...ids.flatMap((id) => ofItem(from.items[id], to.items[id])),
  ];
}

function ofCarrier(from: Carrier, to: Carrier): Difference[] {
  const found: Difference[] = [];
  if (!isSame(from.wire, to.wire)) found.push({ code: 'wire', from: from.wire, to: to.wire });
  const form = (carrier: Carrier) => carrierRoom(carrier).formed(carrier);
  if (from.kind !== to.kind || !isSame(form(from), form(to))) found.push({ code: 'bent' });
  const ends = (carrier: Carrier) => [wireEnd(carrier, 'nose'), wireEnd(carrier, 'tail')];
  if (!isSame(ends(from), ends(to))) found.push({ code: 'ends' });
  return found;
}

function ofItem(from: Item | undefined, to: Item | undefined): Difference[] {
  if (!from) return to ? [{ code: 'added', item: to.id, part: to.part }] : [];
  if (!to) return [{ code: 'takenOff', item: from.id, part: from.part }];
  const found: Difference[] = [];
  if (!isSame(from.part, to.part)) found.push({ code: 'swapped', item: to.id, from: from.part, to: to.part });
  if (from.flipped !== to.flipped) found.push({ code: 'turned', item: to.id, part: to.part });
  if (!isSame(from.state, to.state)) found.push({ code: 'handled', item: to.id, from, to });
  if (!isSame(from.seat, to.seat)) found.push({ code: 'placedElsewhere', item: to.id, part: to.part });
  return found;
}
