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
  if (seat.on === 'end' || seat.on === 'tie') return seat.carrier ?? FIRST_CARRIER;
  if (seat.on === 'item') {
    const holder = build.items[seat.item];
    if (!holder) throw new Error(`carrierOfItem: ${item.id} sits on ${seat.item}, which is not there`);
    return carrierOfItem(build, holder);
  }
  return threadedOn(build, item.id)?.on.id ?? FIRST_CARRIER;
}

/** All that would come away with an item: itself, what it holds, carriers that hang on any of it, and what is on those. */
export function hangingOn(build: Build, id: ItemId): { readonly items: ItemId[]; readonly carriers: CarrierId[] } {
  const items: ItemId[] = [];
  const carriers: CarrierId[] = [];
  const takeItem = (item: ItemId) => {
    items.push(item);
    takeAll(item);
  };
  const takeAll = (holder: Holder) => {
    for (const child of childrenOf(build, holder)) takeItem(child.id);
    for (const each of joinedTo(build, holder)) {
      carriers.push(each.id);
      new Set(each.strand.map(({ item }) => item)).forEach(takeItem);
      for (const at of ['nose', 'tail', 'tie'] as const) takeAll(spotOf(each.id, at));
    }
  };
  takeItem(id);
  return { items, carriers };
}
