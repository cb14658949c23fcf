/**
 * What no order of work could ever reach. Everything else is a design with findings.
 */
import type { Holds, Port, How } from '../parts/kinds/room';
import { portsOf, type PartKind } from '../parts/part';
import { carrierRoom, wireEnd, type Carrier } from '../carriers/carrier';
import { carrierOfItem, carriersOf, carrierWith, holderOfJoint, threadedOn } from './strung';
import { usualState } from './item-state';
import {
  childrenOf,
  DEEPEST,
  FIRST_CARRIER,
  itemOf,
  MOST_ENTRIES,
  MOST_ITEMS,
  MOST_JOINED,
  spotOf,
  type Build,
  type CarrierId,
  type End,
  type Holder,
  type Item,
  type ItemId,
  type Joint,
  type Seat,
} from './lure';

export type Refusal =
  | { readonly code: 'unknownItem'; readonly item: string }
  | { readonly code: 'unknownCarrier'; readonly carrier: CarrierId }
  | { readonly code: 'carrierExists'; readonly carrier: CarrierId }
  /** A carrier that hangs, by way of others, on itself. */
  | { readonly code: 'joinsItself'; readonly carrier: CarrierId }
  /** A carrier hung on what has nothing to hold it. */
  | { readonly code: 'cannotJoin'; readonly carrier: CarrierId; readonly on: Holder }
  | { readonly code: 'itemExists'; readonly item: ItemId }
  | { readonly code: 'idMismatch'; readonly item: string }
  | { readonly code: 'notMade' }
  | { readonly code: 'noSuchPlace'; readonly index: number; readonly length: number }
  | { readonly code: 'cannotSit'; readonly item: ItemId; readonly kind: PartKind; readonly seat: Seat['on'] }
  /** Further back than the body is long. */
  | { readonly code: 'offBody'; readonly item: ItemId; readonly kind: PartKind; readonly lengthM: number }
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
  | { readonly code: 'noSuchReading'; readonly index: number; readonly length: number }
  | { readonly code: 'swapKind'; readonly item: ItemId; readonly from: PartKind; readonly to: PartKind };

/** What a lure can have too much of. */
export type Bounded = 'versions' | 'readings' | 'items' | 'entries' | 'carriers' | 'depth' | 'data' | 'edits';

/** What a loop of the wire takes, what is forced over its tie, and what is cast about the nose of a bent one. */
const LOOP_TAKES: ReadonlySet<Port> = new Set<Port>(['coil', 'hookEye', 'hole', 'swivelEye']);
const TIE_TAKES: ReadonlySet<Port> = new Set<Port>(['coil']);
const NOSE_TAKES: ReadonlySet<Port> = new Set<Port>(['cast']);

/** Whether this carrier goes through parts of this kind: a hook is snelled, a stop grips, on a line only; a body through none. */
export function canThread(kind: PartKind, carrier: Carrier): boolean {
  if (carrierRoom(carrier).hasEyes) return false;
  const { threads } = portsOf(kind);
  return threads !== null && (!threads.needsLine || carrierRoom(carrier).isLimp);
}

/** Whether a kind sits on another in this way. */
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

/** What sits on this item in this way. */
export function heldOn(build: Build, { id }: Item, how: How): Item[] {
  return childrenOf(build, id).filter(({ seat }) => seat.on === 'item' && seat.how === how);
}

/** What can be put on this end: hung in its loop, or cast about the nose of a bent wire. */
export function canSitAtEnd(kind: PartKind, carrier: Carrier, end: End): boolean {
  const isCast = end === 'nose' && carrierRoom(carrier).castsNose;
  const port = portOf(kind, isCast ? 'moulded' : 'hung');
  return port !== null && (isCast ? NOSE_TAKES : LOOP_TAKES).has(port);
}

/** Whether a kind can be forced over a line tie. */
export function canGoOverTie(kind: PartKind): boolean {
  const port = portOf(kind, 'hung');
  return port !== null && TIE_TAKES.has(port);
}

/** Whether a kind is screwed into this carrier. */
export function canSitInBody(kind: PartKind, carrier: Carrier): boolean {
  return carrierRoom(carrier).hasEyes && portOf(kind, 'screwed') === 'screw';
}

/** True when the wire has a line tie that is neither of its ends. */
export function hasTie(carrier: Carrier): boolean {
  return carrierRoom(carrier).tieInsideM(carrier) !== null;
}

/** The first reason why this build cannot exist, or null. */
export function structureProblem(build: Build): Refusal | null {
  if (Object.keys(build.items).length > MOST_ITEMS) return { code: 'beyondBounds', of: 'items', most: MOST_ITEMS };
  if (build.joined.length > MOST_JOINED) return { code: 'beyondBounds', of: 'carriers', most: MOST_JOINED };
  if (carriersOf(build).some(({ strand }) => strand.length > MOST_ENTRIES)) {
    return { code: 'beyondBounds', of: 'entries', most: MOST_ENTRIES };
  }
  for (const { carrier } of carriersOf(build)) {
    const problem = carrierProblem(carrier);
    if (problem) return problem;
  }
  for (const [key, item] of Object.entries(build.items)) {
    if (key !== item.id) return { code: 'idMismatch', item: key };
    const problem = seatProblem(build, item);
    if (problem) return problem;
  }
  return strandProblem(build) ?? joinedProblem(build);
}

/** A knot is tied in line only, and a line is made of line. */
function carrierProblem(carrier: Carrier): Refusal | null {
  const { forms, stock } = carrierRoom(carrier);
  if (!stock.includes(carrier.wire.kind)) return { code: 'notOfThisWire', field: 'wire', carrier: carrier.kind };
  for (const field of ['nose', 'tail'] as const) {
    if (!forms.includes(wireEnd(carrier, field).form)) return { code: 'notOfThisWire', field, carrier: carrier.kind };
  }
  return null;
}

/** Every joined carrier has a name of its own and hangs, by way of others, on the first. */
function joinedProblem(build: Build): Refusal | null {
  const names = new Set<string>([FIRST_CARRIER]);
  for (const { id, joint } of build.joined) {
    if (names.has(id)) return { code: 'carrierExists', carrier: id };
    names.add(id);
    const on = holderOfJoint(joint);
    if (joint.on === 'item') {
      const holder = build.items[joint.item];
      const takes = holder && portsOf(holder.part.kind).holds.hung?.takes;
      if (!takes?.includes('wireLoop')) return { code: 'cannotJoin', carrier: id, on };
    } else {
      const holder = carrierWith(build, joint.carrier);
      if (!holder) return { code: 'unknownCarrier', carrier: joint.carrier };
      if (joint.end === 'nose' && carrierRoom(holder.carrier).castsNose) return { code: 'cannotJoin', carrier: id, on };
    }
  }
  for (const { id } of build.joined) {
    const seen = new Set<string>();
    for (let at = carrierWith(build, id); at?.joint; at = carrierWith(build, carrierOfJoint(build, at.joint))) {
      if (seen.has(at.id)) return { code: 'joinsItself', carrier: id };
      seen.add(at.id);
    }
  }
  return null;
}

function carrierOfJoint(build: Build, joint: Joint): CarrierId {
  return joint.on === 'end' ? joint.carrier : carrierOfItem(build, itemOf(build, joint.item));
}

/** A hook that the line goes through says how it is snelled, any other says nothing of it. */
function isSnelled({ state }: Item): boolean {
  return state?.of === 'hook' && state.snell !== undefined;
}

function seatProblem(build: Build, item: Item): Refusal | null {
  const { kind } = item.part;
  if (kind === 'hook' && item.role === null) return { code: 'hookWithoutRole', item: item.id };
  if (item.state?.of !== usualState(item.part)?.of) return { code: 'wrongState', item: item.id, kind };
  const { seat } = item;
  if (seat.on !== 'strand' && isSnelled(item)) return { code: 'wrongState', item: item.id, kind };
  if (seat.on === 'strand') {
    const on = threadedOn(build, item.id)?.on.carrier ?? build.carrier;
    if (!canThread(kind, on)) return { code: 'cannotSit', item: item.id, kind, seat: 'strand' };
    return isSnelled(item) === (kind === 'hook') ? null : { code: 'wrongState', item: item.id, kind };
  }
  if (seat.on === 'end') {
    const on = carrierWith(build, seat.carrier ?? FIRST_CARRIER);
    if (!on) return { code: 'unknownCarrier', carrier: seat.carrier ?? FIRST_CARRIER };
    if (!canSitAtEnd(kind, on.carrier, seat.end)) return { code: 'cannotSit', item: item.id, kind, seat: 'end' };
    const spot = spotOf(on.id, seat.end);
    const isCast = seat.end === 'nose' && carrierRoom(on.carrier).castsNose && childrenOf(build, spot).length > 1;
    return isCast ? { code: 'seatTaken', item: item.id, on: spot } : null;
  }
  if (seat.on === 'body') {
    const on = carrierWith(build, seat.carrier ?? FIRST_CARRIER);
    if (!on) return { code: 'unknownCarrier', carrier: seat.carrier ?? FIRST_CARRIER };
    if (!canSitInBody(kind, on.carrier)) return { code: 'cannotSit', item: item.id, kind, seat: 'body' };
    const lengthM = carrierRoom(on.carrier).runM(on.carrier, 0);
    return seat.atM > lengthM ? { code: 'offBody', item: item.id, kind, lengthM } : null;
  }
  if (seat.on === 'tie') {
    const on = carrierWith(build, seat.carrier ?? FIRST_CARRIER);
    if (!on) return { code: 'unknownCarrier', carrier: seat.carrier ?? FIRST_CARRIER };
    return canGoOverTie(kind) && hasTie(on.carrier) ? null : { code: 'cannotSit', item: item.id, kind, seat: 'tie' };
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
  for (const { strand } of carriersOf(build)) {
    const here = new Set<ItemId>();
    for (const { item, leg } of strand) {
      const found = build.items[item];
      if (!found) return { code: 'unknownItem', item };
      // Threaded on one carrier only.
      const isElsewhere = places.has(item) && !here.has(item);
      if (found.seat.on !== 'strand' || isElsewhere) return { code: 'strandMismatch', item };
      here.add(item);
      places.set(item, [...(places.get(item) ?? []), leg ?? 'whole']);
    }
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
