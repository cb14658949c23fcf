/**
 * What no order of work could ever reach. Everything else is a design with findings.
 */
import type { Holds, Port } from '../parts/kinds/room';
import { portsOf, type PartKind } from '../parts/part';
import type { Section } from '../parts/wire-form';
import { usualState } from './item-state';
import {
  childrenOf,
  DEEPEST,
  MOST_ENTRIES,
  MOST_ITEMS,
  type Build,
  type Carrier,
  type End,
  type Holder,
  type Item,
  type ItemId,
  type Seat,
} from './lure';
import { type How } from '../parts/kinds/room';

export type Refusal =
  | { readonly code: 'unknownItem'; readonly item: string }
  | { readonly code: 'itemExists'; readonly item: ItemId }
  | { readonly code: 'idMismatch'; readonly item: string }
  | { readonly code: 'noSuchPlace'; readonly index: number; readonly length: number }
  | { readonly code: 'cannotSit'; readonly item: ItemId; readonly kind: PartKind; readonly seat: Seat['on'] }
  | {
      readonly code: 'nothingToHoldIt';
      readonly item: ItemId;
      readonly kind: PartKind;
      readonly on: ItemId;
      readonly onKind: PartKind;
      readonly how: How;
    }
  | { readonly code: 'seatTaken'; readonly item: ItemId; readonly on: Holder }
  | { readonly code: 'hangsOnItself'; readonly item: ItemId }
  | { readonly code: 'leavesHanging'; readonly item: ItemId; readonly on: ItemId }
  | { readonly code: 'legsCrossed'; readonly item: ItemId }
  | { readonly code: 'strandMismatch'; readonly item: ItemId }
  | { readonly code: 'hookWithoutRole'; readonly item: ItemId }
  | { readonly code: 'wrongState'; readonly item: ItemId; readonly kind: PartKind }
  | { readonly code: 'notOfThisWire'; readonly field: string; readonly carrier: Carrier['kind'] }
  /** More than the lure's own file takes. */
  | { readonly code: 'beyondBounds'; readonly of: Bounded; readonly most: number }
  /** A value that the lure's own file does not take: where it stands in the change, and what would be right. */
  | { readonly code: 'faultyValue'; readonly path: string; readonly message: string }
  | { readonly code: 'noSuchVersion'; readonly index: number; readonly length: number }
  | { readonly code: 'swapKind'; readonly item: ItemId; readonly from: PartKind; readonly to: PartKind };

/** What a lure can have too much of. */
export type Bounded = 'versions' | 'items' | 'entries' | 'depth' | 'data' | 'edits';

/** What a loop of the wire takes, what is forced over its tie, and what is cast about the nose of a bent one. */
const LOOP_TAKES: ReadonlySet<Port> = new Set<Port>(['coil', 'hookEye', 'hole', 'swivelEye']);
const TIE_TAKES: ReadonlySet<Port> = new Set<Port>(['coil']);
const NOSE_TAKES: ReadonlySet<Port> = new Set<Port>(['cast']);

export function canThread(kind: PartKind): boolean {
  return portsOf(kind).threads !== null;
}

export function canSitOn(kind: PartKind, parent: PartKind, how: How): boolean {
  const port = portOf(kind, how);
  return port !== null && (holdsOf(parent, how)?.takes.includes(port) ?? false);
}

function portOf(kind: PartKind, how: How): Port | null {
  return portsOf(kind).sits[how]?.port ?? null;
}

function holdsOf(kind: PartKind, how: How): Pick<Holds<never>, 'takes' | 'isOnlyOne'> | undefined {
  return portsOf(kind).holds[how];
}

/** False when this item's one place to hold something in this way is taken. */
export function hasRoomToHold(build: Build, item: Item, how: How): boolean {
  return !holdsOf(item.part.kind, how)?.isOnlyOne || heldOn(build, item, how).length === 0;
}

function heldOn(build: Build, { id }: Item, how: How): Item[] {
  return childrenOf(build, id).filter(({ seat }) => seat.on === 'item' && seat.how === how);
}

/** What can be put on this end: hung in its loop, or cast about the nose of a bent wire. */
export function canSitAtEnd(kind: PartKind, carrier: Carrier, end: End): boolean {
  const isCast = carrier.kind === 'bentWire' && end === 'nose';
  const port = portOf(kind, isCast ? 'moulded' : 'hung');
  return port !== null && (isCast ? NOSE_TAKES : LOOP_TAKES).has(port);
}

export function canGoOverTie(kind: PartKind): boolean {
  const port = portOf(kind, 'hung');
  return port !== null && TIE_TAKES.has(port);
}

/** True when the wire has a line tie that is neither of its ends. */
export function hasTie(carrier: Carrier): boolean {
  return carrier.kind === 'bentWire' && carrier.sections.some(isTie);
}

export function isTie(section: Section): boolean {
  return section.section === 'coil' || (section.section === 'bend' && section.isTie);
}

/** The first reason why this build cannot exist, or null. */
export function structureProblem(build: Build): Refusal | null {
  if (Object.keys(build.items).length > MOST_ITEMS) return { code: 'beyondBounds', of: 'items', most: MOST_ITEMS };
  if (build.strand.length > MOST_ENTRIES) return { code: 'beyondBounds', of: 'entries', most: MOST_ENTRIES };
  for (const [key, item] of Object.entries(build.items)) {
    if (key !== item.id) return { code: 'idMismatch', item: key };
    const problem = seatProblem(build, item);
    if (problem) return problem;
  }
  return strandProblem(build);
}

function seatProblem(build: Build, item: Item): Refusal | null {
  const { kind } = item.part;
  if (kind === 'hook' && item.role === null) return { code: 'hookWithoutRole', item: item.id };
  if (item.state?.of !== usualState(item.part)?.of) return { code: 'wrongState', item: item.id, kind };
  const { seat } = item;
  if (seat.on === 'strand') {
    return canThread(kind) ? null : { code: 'cannotSit', item: item.id, kind, seat: 'strand' };
  }
  if (seat.on === 'end') {
    if (!canSitAtEnd(kind, build.carrier, seat.end)) return { code: 'cannotSit', item: item.id, kind, seat: 'end' };
    const isCast = kind === 'head' && childrenOf(build, seat.end).length > 1;
    return isCast ? { code: 'seatTaken', item: item.id, on: seat.end } : null;
  }
  if (seat.on === 'tie') {
    return canGoOverTie(kind) && hasTie(build.carrier) ? null : { code: 'cannotSit', item: item.id, kind, seat: 'tie' };
  }

  const parent = build.items[seat.item];
  if (!parent) return { code: 'leavesHanging', item: item.id, on: seat.item };
  const seen = new Set<string>([item.id]);
  for (let above: Item | undefined = parent; above;) {
    if (seen.has(above.id)) return { code: 'hangsOnItself', item: item.id };
    if (seen.size > DEEPEST) return { code: 'beyondBounds', of: 'depth', most: DEEPEST };
    seen.add(above.id);
    above = above.seat.on === 'item' ? build.items[above.seat.item] : undefined;
  }
  if (!canSitOn(kind, parent.part.kind, seat.how)) {
    const onKind = parent.part.kind;
    return { code: 'nothingToHoldIt', item: item.id, kind, on: parent.id, onKind, how: seat.how };
  }
  if (holdsOf(parent.part.kind, seat.how)?.isOnlyOne && heldOn(build, parent, seat.how).length > 1) {
    return { code: 'seatTaken', item: item.id, on: parent.id };
  }
  return null;
}

function strandProblem(build: Build): Refusal | null {
  const places = new Map<ItemId, string[]>();
  for (const { item, leg } of build.strand) {
    const found = build.items[item];
    if (!found) return { code: 'unknownItem', item };
    if (found.seat.on !== 'strand') return { code: 'strandMismatch', item };
    places.set(item, [...(places.get(item) ?? []), leg ?? 'whole']);
  }
  for (const item of Object.values(build.items)) {
    if (item.seat.on !== 'strand') continue;
    const found = (places.get(item.id) ?? []).join(' ');
    const wanted = item.part.kind === 'clevis' ? 'fore aft' : 'whole';
    if (found === 'aft fore') return { code: 'legsCrossed', item: item.id };
    if (found !== wanted) return { code: 'strandMismatch', item: item.id };
  }
  return null;
}
