/** The carriers of a build, each with what is threaded on it. */
import type { Carrier } from '../carriers/carrier';
import {
  childrenOf,
  FIRST_CARRIER,
  spotOf,
  type Build,
  type CarrierId,
  type Holder,
  type Item,
  type ItemId,
  type Joined,
  type Joint,
  type StrandEntry,
} from './lure';

export interface Strung {
  readonly id: CarrierId;
  readonly carrier: Carrier;
  readonly strand: readonly StrandEntry[];
  /** What it hangs on; null for the one that the line pulls. */
  readonly joint: Joint | null;
}

/** The one that the line pulls, then those joined to it. */
export function carriersOf({ carrier, strand, joined }: Build): readonly Strung[] {
  return [{ id: FIRST_CARRIER, carrier, strand, joint: null }, ...joined];
}

/** The carrier with this id; undefined when the build has none. */
export function carrierWith(build: Build, id: CarrierId): Strung | undefined {
  return carriersOf(build).find((each) => each.id === id);
}

/** The carrier that this item is threaded on, and where; null for one that is not. */
export function threadedOn(build: Build, id: ItemId): { readonly on: Strung; readonly index: number } | null {
  for (const on of carriersOf(build)) {
    const index = on.strand.findIndex(({ item }) => item === id);
    if (index >= 0) return { on, index };
  }
  return null;
}

/** What a carrier hangs on, as the holder of it. */
export function holderOfJoint(joint: Joint): Holder {
  return joint.on === 'item' ? joint.item : spotOf(joint.carrier, joint.end);
}

/** The carriers that hang on this. */
export function joinedTo({ joined }: Build, holder: Holder): Build['joined'] {
  return joined.filter(({ joint }) => holderOfJoint(joint) === holder);
}

/** The carrier that an item is on, threaded or by way of what holds it. @throws Error for a seat that leads nowhere */
export function carrierOfItem(build: Build, item: Item): CarrierId {
  const { seat } = item;
  if (seat.on === 'end' || seat.on === 'tie' || seat.on === 'body') return seat.carrier ?? FIRST_CARRIER;
  if (seat.on === 'item') {
    const holder = build.items[seat.item];
    if (!holder) throw new Error(`carrierOfItem: ${item.id} sits on ${seat.item}, which is not there`);
    return carrierOfItem(build, holder);
  }
  return threadedOn(build, item.id)?.on.id ?? FIRST_CARRIER;
}

interface ComesAway {
  readonly items: ItemId[];
  readonly carriers: CarrierId[];
}

/** All that would come away with an item: itself, what it holds, carriers that hang on any of it, and what is on those. */
export function hangingOn(build: Build, id: ItemId): ComesAway {
  const away: ComesAway = { items: [], carriers: [] };
  takeItem(build, id, away);
  return away;
}

/** All that would come away with a joined carrier, itself first. */
export function hangingOnJoined(build: Build, id: CarrierId): ComesAway {
  const away: ComesAway = { items: [], carriers: [] };
  const joined = build.joined.find((each) => each.id === id);
  if (joined) takeCarrier(build, joined, away);
  return away;
}

function takeItem(build: Build, id: ItemId, away: ComesAway): void {
  away.items.push(id);
  takeHeld(build, id, away);
}

function takeHeld(build: Build, holder: Holder, away: ComesAway): void {
  for (const child of childrenOf(build, holder)) takeItem(build, child.id, away);
  for (const each of joinedTo(build, holder)) takeCarrier(build, each, away);
}

function takeCarrier(build: Build, { id, strand }: Joined, away: ComesAway): void {
  away.carriers.push(id);
  for (const item of new Set(strand.map((entry) => entry.item))) takeItem(build, item, away);
  for (const at of ['nose', 'tail', 'tie', 'body'] as const) takeHeld(build, spotOf(id, at), away);
}
