/** What a part is wanted for: which place it takes, which edits put it there, whether it fits. */
import type { Part } from '../parts/part';
import type { Clevis } from '../parts/kinds/clevis';
import type { Frame } from '../parts/kinds/frame';
import { carrierOfFrame } from '../carriers/bent-wire';
import type { Edit } from '../lure/edit';
import { seatPart, threadParts } from '../lure/editing';
import { takeBody } from '../lure/take-body';
import { misfits, placeOf, seatPlace, threadPlace, wirePlace, type Place } from './fit';
import type { Misfit } from './misfit';
import { childrenOf, itemOf, newItemId, type Build, type Item, type ItemId, type Seat } from '../lure/lure';

export type Placement =
  | { readonly put: 'swap'; readonly item: ItemId }
  | { readonly put: 'wire' }
  | { readonly put: 'thread'; readonly index: number }
  /** Hung on a clevis that is threaded with it. */
  | { readonly put: 'threadOnClevis'; readonly index: number; readonly clevis: Clevis }
  | { readonly put: 'seat'; readonly seat: Exclude<Seat, { on: 'strand' }> };

/** False when the piece a place was named by is no longer on the lure, or the string is shorter now. */
export function placeStands(build: Build, placement: Placement): boolean {
  switch (placement.put) {
    case 'swap':
      return Object.hasOwn(build.items, placement.item);
    case 'wire':
      return true;
    case 'thread':
    case 'threadOnClevis':
      return placement.index <= build.strand.length;
    case 'seat':
      return placement.seat.on !== 'item' || Object.hasOwn(build.items, placement.seat.item);
  }
}

/** The part that stands in the place now; null where there is none. */
export function partInPlace(build: Build, placement: Placement): Part | null {
  switch (placement.put) {
    case 'swap':
      return itemOf(build, placement.item).part;
    case 'wire':
      return build.carrier.wire;
    case 'thread':
    case 'threadOnClevis':
    case 'seat':
      return null;
  }
}

/** The edits that put this part there; none when it is of no kind that could. */
export function placementEdits(build: Build, placement: Placement, part: Part): Edit[] {
  switch (placement.put) {
    case 'swap':
      return [{ kind: 'swapPart', item: placement.item, part }];
    case 'wire':
      if (part.kind === 'frame') return takeFrame(build, part);
      if (part.kind === 'lureBody') return takeBody(build, part);
      return part.kind === 'wire' || part.kind === 'line' ? [{ kind: 'carrier', changes: { wire: part } }] : [];
    case 'thread':
      return [threadParts(build, part, placement.index)];
    case 'threadOnClevis':
      return [threadParts(build, placement.clevis, placement.index), seatPart(build, part, onNewClevis(build))];
    case 'seat':
      return [seatPart(build, part, placement.seat)];
  }
}

/** What a part would meet where it is wanted. @throws Error for an item the build does not have */
export function placeFor(build: Build, placement: Placement): Place {
  switch (placement.put) {
    case 'swap':
      return placeOf(build, itemOf(build, placement.item));
    case 'wire':
      return wirePlace(build);
    case 'thread':
      return threadPlace(build, placement.index);
    case 'threadOnClevis': {
      const seat = onNewClevis(build);
      const edit = threadParts(build, placement.clevis, placement.index);
      const [clevis] = edit.kind === 'insert' ? edit.items : [];
      return seatPlace(clevis ? { ...build, items: { ...build.items, [clevis.id]: clevis } } : build, seat);
    }
    case 'seat':
      return seatPlace(build, placement.seat);
  }
}

/** The seat of a blade on a clevis that goes on with it. */
function onNewClevis(build: Build) {
  return { on: 'item', item: newItemId(build, 'clevis'), how: 'hung' } as const;
}

/** The item that a part becomes where it is put: the one that is there, or a new one; null for the wire. */
export function itemPut(build: Build, placement: Placement, part: Part): ItemId | null {
  if (placement.put === 'wire') return null;
  return placement.put === 'swap' ? placement.item : newItemId(build, part.kind);
}

/** What builders put there unless they mean something else: in a head a hook with one point and a closed eye is cast. */
export function isUsualIn(placement: Placement, part: Part): boolean {
  const isCast = placement.put === 'seat' && placement.seat.on === 'item' && placement.seat.how === 'moulded';
  return part.kind !== 'hook' || !isCast || (part.points === 1 && part.eye === 'closed');
}

/** For each part why it does not go there; empty where it does. The place is looked at once for all of them. */
export function misfitsInPlace(build: Build, placement: Placement, parts: readonly Part[]): Misfit[][] {
  const place = placeFor(build, placement);
  return parts.map((part) => misfits(part.kind === 'frame' ? part.wire : part, place));
}

/** A bought frame in place of the wire: its head and hook come with it, what was on the old head's collar and hook moves over. */
function takeFrame(build: Build, frame: Frame): Edit[] {
  const { head, hook } = frame;
  const [oldHead] = childrenOf(build, 'nose');
  const oldHook = oldHead ? childrenOf(build, oldHead.id).find(({ part }) => part.kind === 'hook') : undefined;
  const put = (old: Item | undefined, part: Part, seat: Exclude<Seat, { on: 'strand' }>): Edit =>
    old ? { kind: 'swapPart', item: old.id, part } : seatPart(build, part, seat);
  const headId = oldHead?.id ?? newItemId(build, head.kind);
  return [
    { kind: 'carry', carrier: carrierOfFrame(frame) },
    put(oldHead, head, { on: 'end', end: 'nose' }),
    put(oldHook, hook, { on: 'item', item: headId, how: 'moulded' }),
  ];
}
