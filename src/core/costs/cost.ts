/**
 * What a change costs on a lure that is already made: the difference between the build on the bench and the one wanted.
 * Closed loops hold everything on the wire, so whatever moves on it cuts the wire; what hangs on a ring only opens the ring. A hook
 * that was wrapped into its loop is itself cut off, never the loop: a ring or a hook whose eye opens takes its place.
 */
import { isSame } from '../same';
import { carrierRoom, opensAgain, wireEnd, wireOf, type Carrier } from '../carriers/carrier';
import type { Line } from '../parts/kinds/line';
import type { Wire } from '../parts/kinds/wire';
import { isMouldedEye } from '../parts/kinds/screw-eye';
import type { Part } from '../parts/part';
import { layOut } from '../geometry/layout';
import { carrierCut, cutLengths, wireCut } from '../lengths/lengths';
import { FIRST_CARRIER, itemOf, type Build, type Item, type ItemId, type Seat } from '../lure/lure';
import { carrierWith } from '../lure/strung';

export type Cost =
  | { readonly code: 'cutsWire'; readonly wire: Wire | Line; readonly newLengthM: number }
  /** Another body in place of this one. */
  | { readonly code: 'otherBody'; readonly part: Part }
  /** Screwed in or out. */
  | { readonly code: 'screws'; readonly items: readonly ItemId[] }
  /** Taken out, or screwed in somewhere else: where it was is a hole. */
  | { readonly code: 'leavesHole'; readonly items: readonly ItemId[] }
  /** An eye of the body itself bent open, for what hangs in it without a ring. */
  | { readonly code: 'opensBodyEye'; readonly items: readonly ItemId[] }
  | { readonly code: 'changesBladeAtClevis'; readonly items: readonly ItemId[] }
  | { readonly code: 'opensRing'; readonly items: readonly ItemId[] }
  /** Hooks that go with it: cut through at the eye. */
  | { readonly code: 'cutsHook'; readonly parts: readonly Part[] }
  | { readonly code: 'opensEye'; readonly items: readonly ItemId[] }
  | { readonly code: 'cutsTube'; readonly newLengthM: number }
  | { readonly code: 'bendsWire' }
  | { readonly code: 'opensEndLoop' }
  | { readonly code: 'newHead' }
  | { readonly code: 'slipsOff'; readonly items: readonly ItemId[] }
  | { readonly code: 'tiesAgain'; readonly items: readonly ItemId[] };

/** The work that leads from one build to the other; empty when they are the same to the hand. */
export function costOfChange(from: Build, to: Build): Cost[] {
  const changed = changedItems(from, to);
  const both = (id: ItemId) => [from.items[id], to.items[id]].filter((item) => item !== undefined);
  const holderIn = (build: Build, id: ItemId) => {
    const item = build.items[id];
    return item ? holder(item, build) : null;
  };
  const heldBy = (id: ItemId) => [from, to].flatMap((build) => holderIn(build, id) ?? []);

  const costs: Cost[] = [];
  const isRestrung =
    !isSame(from.strand, to.strand) ||
    changed.some((id) => (heldBy(id).includes('wire') && !isTube(both(id))) || holderIn(to, id) === 'closedLoop');
  if (changed.some((id) => heldBy(id).includes('head'))) return [{ code: 'newHead' }];
  const loosens = opensAgain(from.carrier, to.carrier);
  const isRebent = !isSame(from.carrier, to.carrier);
  if (loosens && isRestrung) costs.push({ code: 'opensEndLoop' });
  if (loosens && isRebent) costs.push({ code: 'bendsWire' });
  costs.push(...newJoined(from, to));
  if (!loosens && (isRestrung || isRebent)) {
    costs.push(madeAnew(to.carrier, wireCut(to).cutM));
    return [...costs, ...tiesAgain(changed, heldBy)];
  }
  const cutOff = changed.filter((id) => holderIn(from, id) === 'closedLoop');
  if (cutOff.length > 0) costs.push({ code: 'cutsHook', parts: cutOff.map((id) => itemOf(from, id).part) });
  const screwed = changed.filter((id) => heldBy(id).includes('screw'));
  if (screwed.length > 0) costs.push({ code: 'screws', items: screwed });
  const left = screwed.filter((id) => isElsewhere(from.items[id], to.items[id]));
  if (left.length > 0) costs.push({ code: 'leavesHole', items: left });
  const byBodyEye = changed.filter((id) => heldBy(id).includes('bodyEye'));
  if (byBodyEye.length > 0) costs.push({ code: 'opensBodyEye', items: byBodyEye });
  const byEye = changed.filter((id) => heldBy(id).includes('eye'));
  if (byEye.length > 0) costs.push({ code: 'opensEye', items: byEye });
  const atClevis = changed.filter((id) => heldBy(id).includes('quickChange'));
  if (atClevis.length > 0) costs.push({ code: 'changesBladeAtClevis', items: atClevis });
  const onRing = changed.filter((id) => heldBy(id).includes('ring'));
  const tube = cutLengths(to).find(({ of }) => of === 'shrinkTube');
  if (tube && (onRing.length > 0 || changed.some((id) => isTube(both(id))))) {
    costs.push({ code: 'cutsTube', newLengthM: tube.cutM });
  }
  if (onRing.length > 0) costs.push({ code: 'opensRing', items: onRing });
  const byHand = changed.filter((id) => heldBy(id).includes('hand'));
  if (byHand.length > 0) costs.push({ code: 'slipsOff', items: byHand });
  // What is tied to a hook that is cut off goes with it.
  const staying = changed.filter((id) => {
    const seat = from.items[id]?.seat;
    return id in to.items || seat?.on !== 'item' || !cutOff.includes(seat.item);
  });
  return [...costs, ...tiesAgain(staying, heldBy)];
}

/** Whether what was screwed in is gone, or sits in another hole now: how far a nail stands out is none. */
function isElsewhere(was: Item | undefined, is: Item | undefined): boolean {
  if (!was || isMouldedEye(was.part)) return false;
  const hole = ({ seat, state }: Item) => [seat, state?.of === 'nail' ? [state.atM, state.leanRad] : null];
  return !is || !isSame(hole(was), hole(is));
}

/** Joined carriers that have to be made anew, each from its own wire. */
function newJoined(from: Build, to: Build): Cost[] {
  const made = to.joined.flatMap((each) => {
    const before = from.joined.find(({ id }) => id === each.id);
    return isSame(before, each) ? [] : [each.id];
  });
  if (made.length === 0) return [];
  return layOut(to)
    .carriers.filter(({ id }) => made.includes(id))
    .map((laid) => madeAnew(laid.carrier, carrierCut(laid).cutM));
}

/** Wire and line are cut anew, a body is another. */
function madeAnew(carrier: Carrier, newLengthM: number): Cost {
  if (carrier.kind === 'body') return { code: 'otherBody', part: carrier.wire };
  return { code: 'cutsWire', wire: wireOf(carrier), newLengthM };
}

function tiesAgain(changed: readonly ItemId[], heldBy: (id: ItemId) => string[]): Cost[] {
  const items = changed.filter((id) => heldBy(id).includes('thread'));
  return items.length > 0 ? [{ code: 'tiesAgain', items }] : [];
}

function changedItems(from: Build, to: Build): ItemId[] {
  const ids = new Set([...Object.keys(from.items), ...Object.keys(to.items)] as ItemId[]);
  return [...ids].filter((id) => !isSame(physical(from.items[id]), physical(to.items[id])));
}

/** What of an item the hand can tell: a role is only a name. */
function physical(item: Item | undefined) {
  if (!item) return null;
  const { part, seat, flipped, state } = item;
  return { part, seat, flipped, state };
}

function isTube(items: readonly Item[]): boolean {
  return items.every(({ part }) => part.kind === 'shrinkTube');
}

/** What has to give for this item to come off. */
function holder(
  item: Item,
  build: Build,
): 'wire' | 'closedLoop' | 'eye' | 'bodyEye' | 'screw' | 'quickChange' | 'ring' | 'thread' | 'head' | 'hand' {
  if (item.part.kind === 'splitRing') return 'ring';
  if (item.part.kind === 'head') return 'head';
  if (item.seat.on === 'end') return inLoop(item, item.seat, build);
  if (item.seat.on === 'body') return 'screw';
  if (item.seat.on !== 'item') return 'wire';
  switch (item.seat.how) {
    case 'tied':
      return 'thread';
    case 'moulded':
      return 'head';
    case 'collared':
    case 'banded':
    case 'pushed':
    case 'kept':
      return 'hand';
    case 'screwed':
      return 'screw';
    case 'hung':
      if (item.part.kind === 'hook' && build.items[item.seat.item]?.part.kind === 'hook') return 'hand';
  }
  const parent = build.items[item.seat.item];
  if (!parent) return 'wire';
  if (parent.part.kind === 'splitRing') return 'ring';
  if (parent.part.kind === 'link') return 'thread';
  if (parent.part.kind === 'snap') return 'hand';
  if (parent.part.kind === 'screwEye') return inBodyEye(item.part);
  if (parent.part.kind === 'clevis' && parent.part.style === 'quickChange') return 'quickChange';
  return 'wire';
}

/** Of a hook whose own eye opens that one gives; of all else the eye of the body. */
function inBodyEye(part: Part) {
  return part.kind === 'hook' && part.eye === 'open' ? 'eye' : 'bodyEye';
}

/** A wrapped loop does not open again: its hook came with it, or has an eye that opens. */
function inLoop({ part }: Item, seat: Extract<Seat, { on: 'end' }>, build: Build) {
  const carrier = carrierWith(build, seat.carrier ?? FIRST_CARRIER)?.carrier;
  if (carrier && carrierRoom(carrier).hasEyes) return inBodyEye(part);
  if (part.kind !== 'hook' || !carrier || wireEnd(carrier, seat.end).form !== 'wrappedLoop') return 'wire';
  return part.eye === 'open' ? 'eye' : 'closedLoop';
}
