/**
 * What no order of work could ever reach. Everything else is a design with findings.
 */
import type { PartKind } from '../parts/part';
import { childrenOf, type Build, type Item, type ItemId, type Seat } from './lure';

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
      readonly how: 'hung' | 'tied' | 'over';
    }
  | { readonly code: 'seatTaken'; readonly item: ItemId; readonly on: ItemId }
  | { readonly code: 'hangsOnItself'; readonly item: ItemId }
  | { readonly code: 'leavesHanging'; readonly item: ItemId; readonly on: ItemId }
  | { readonly code: 'legsCrossed'; readonly item: ItemId }
  | { readonly code: 'strandMismatch'; readonly item: ItemId }
  | { readonly code: 'hookWithoutRole'; readonly item: ItemId }
  | { readonly code: 'swapKind'; readonly item: ItemId; readonly from: PartKind; readonly to: PartKind };

const THREADABLE: ReadonlySet<PartKind> = new Set([
  'clevis',
  'bead',
  'sleeve',
  'bell',
  'striker',
  'cap',
  'weight',
  'dressing',
  'shrinkTube',
  'filmBlade',
]);
const HANGS_ON_LOOP: ReadonlySet<PartKind> = new Set(['splitRing', 'hook', 'blade']);

/** What each kind of part can carry, and how. Absent: it has nothing to hold anything. */
const CARRIES: Readonly<Partial<Record<PartKind, Partial<Record<'hung' | 'tied' | 'over', ReadonlySet<PartKind>>>>>> = {
  clevis: { hung: new Set(['blade', 'splitRing']) },
  splitRing: { hung: new Set(['hook', 'splitRing', 'blade']) },
  hook: { tied: new Set(['dressing']) },
  sleeve: { over: new Set(['bell', 'cap', 'bead', 'striker']) },
};
/** A clevis has one lobe; a bare sleeve or shank can carry more. */
const CARRIES_ONE: ReadonlySet<PartKind> = new Set(['clevis']);

export function canThread(kind: PartKind): boolean {
  return THREADABLE.has(kind);
}

export function canSitOn(kind: PartKind, parent: PartKind, how: 'hung' | 'tied' | 'over'): boolean {
  return CARRIES[parent]?.[how]?.has(kind) ?? false;
}

/** False when this item's one place to hold something is taken. */
export function hasRoomToHold(build: Build, item: Item): boolean {
  return !CARRIES_ONE.has(item.part.kind) || childrenOf(build, item.id).length === 0;
}

export function canHangOnLoop(kind: PartKind): boolean {
  return HANGS_ON_LOOP.has(kind);
}

/** The first reason why this build cannot exist, or null. */
export function structureProblem(build: Build): Refusal | null {
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
  const { seat } = item;
  if (seat.on === 'strand') {
    return canThread(kind) ? null : { code: 'cannotSit', item: item.id, kind, seat: 'strand' };
  }
  if (seat.on === 'end') return canHangOnLoop(kind) ? null : { code: 'cannotSit', item: item.id, kind, seat: 'end' };

  const parent = build.items[seat.item];
  if (!parent) return { code: 'leavesHanging', item: item.id, on: seat.item };
  const seen = new Set<string>([item.id]);
  for (let above: Item | undefined = parent; above;) {
    if (seen.has(above.id)) return { code: 'hangsOnItself', item: item.id };
    seen.add(above.id);
    above = above.seat.on === 'item' ? build.items[above.seat.item] : undefined;
  }
  if (!canSitOn(kind, parent.part.kind, seat.how)) {
    const onKind = parent.part.kind;
    return { code: 'nothingToHoldIt', item: item.id, kind, on: parent.id, onKind, how: seat.how };
  }
  if (CARRIES_ONE.has(parent.part.kind) && childrenOf(build, parent.id).length > 1) {
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
