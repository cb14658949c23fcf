/** A whole lure tied behind a line: its carriers and all that is on them come to hang on the line's end, under new ids. */
import { wireEnd } from '../carriers/carrier';
import { portsOf } from '../parts/part';
import type { Edit } from './edit';
import { carrierIdSchema } from './ids';
import {
  childrenOf,
  FIRST_CARRIER,
  newItemId,
  USUAL_KNOT,
  type Build,
  type CarrierId,
  type Item,
  type ItemId,
  type Joined,
  type Joint,
  type Seat,
} from './lure';
import { carriersOf, hangingOnJoined, joinedTo } from './strung';

/** The edits that tie `behind` on: in the snap at the end of the line where there is one, else by a knot. */
export function tieBehind(build: Build, behind: Build): Edit[] {
  const renamed = freshIds(build, behind);
  const joint = endOf(build);
  const joined = carriersOf(behind).map((each): Joined => ({
    id: renamed.carrier(each.id),
    joint: each.joint === null ? joint : renamedJoint(each.joint, renamed),
    carrier: each.carrier,
    strand: each.strand.map((entry) => ({ ...entry, item: renamed.item(entry.item) })),
  }));
  const items = Object.values(behind.items).map((item): Item => ({
    ...item,
    id: renamed.item(item.id),
    seat: renamedSeat(item.seat, renamed),
  }));
  const isTied = wireEnd(build.carrier, 'tail').form !== 'plain';
  return [
    ...(isTied ? [] : [{ kind: 'carrier', changes: { tail: USUAL_KNOT } } as const]),
    {
      kind: 'insert',
      items,
      entries: [],
      joined: joined.map((each, i) => ({ index: build.joined.length + i, joined: each })),
    },
  ];
}

/** Whether the line has an end to tie to: one that ends in the snell of its last hook has none. */
export function hasEndToTie({ strand, items }: Build): boolean {
  const last = strand.at(-1);
  return !last || items[last.item]?.part.kind !== 'hook';
}

/** The lure that hangs behind the end of the first carrier; null where none does. */
export function lureBehind(build: Build): CarrierId | null {
  const joint = endOf(build);
  const [behind] = joinedTo(build, joint.on === 'item' ? joint.item : 'tail');
  return behind?.id ?? null;
}

/** Takes it off again, whole. */
export function untieBehind(build: Build, behind: CarrierId): Edit {
  const { items, carriers } = hangingOnJoined(build, behind);
  return { kind: 'remove', items, carriers };
}

function endOf(build: Build): Joint {
  const holds = childrenOf(build, 'tail').find(({ part }) => portsOf(part.kind).holds.hung?.takes.includes('wireLoop'));
  return holds ? { on: 'item', item: holds.id } : { on: 'end', carrier: FIRST_CARRIER, end: 'tail' };
}

interface Renamed {
  readonly item: (id: ItemId) => ItemId;
  readonly carrier: (id: CarrierId) => CarrierId;
}

function freshIds(build: Build, behind: Build): Renamed {
  const taken = new Set<string>();
  const items = new Map<ItemId, ItemId>();
  for (const { id, part } of Object.values(behind.items)) {
    const fresh = newItemId(build, part.kind, taken);
    taken.add(fresh);
    items.set(id, fresh);
  }
  const used = new Set<string>(carriersOf(build).map(({ id }) => id));
  const carriers = new Map<CarrierId, CarrierId>();
  for (const { id } of carriersOf(behind)) {
    let number = 2;
    while (used.has(`wire-${number}`)) number++;
    used.add(`wire-${number}`);
    carriers.set(id, carrierIdSchema.parse(`wire-${number}`));
  }
  return { item: (id) => items.get(id) ?? id, carrier: (id) => carriers.get(id) ?? id };
}

function renamedJoint(joint: Joint, to: Renamed): Joint {
  return joint.on === 'item'
    ? { on: 'item', item: to.item(joint.item) }
    : { ...joint, carrier: to.carrier(joint.carrier) };
}

/** What sat on the first carrier without naming it now names what that has become. */
function renamedSeat(seat: Seat, to: Renamed): Seat {
  switch (seat.on) {
    case 'strand':
      return seat;
    case 'item':
      return { ...seat, item: to.item(seat.item) };
    case 'end':
    case 'tie':
    case 'body':
      return { ...seat, carrier: to.carrier(seat.carrier ?? FIRST_CARRIER) };
  }
}
