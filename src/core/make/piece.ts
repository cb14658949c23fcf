/**
 * What is made by itself: a carrier with all that is on it. A lure of several carriers is made piece by piece, what hangs
 * furthest behind first, and each is joined to what it hangs on: by the knot that ties the line to it, in a snap, in a ring.
 */
import { carrierOfItem, carriersOf, hangingOnJoined } from '../lure/strung';
import { FIRST_CARRIER, type Build, type CarrierId, type End, type Item, type ItemId, type Joined } from '../lure/lure';
import type { Operation } from './operation';
import type { Workpiece } from './workpiece';

export interface Piece {
  readonly carrier: CarrierId;
  /** The carrier as a lure of its own. */
  readonly build: Build;
  /** The end that parts are passed over. */
  readonly over: End;
}

/** The carriers of a build as lures of their own, in the order in which they are made. */
export function piecesOf(build: Build): { readonly carrier: CarrierId; readonly build: Build }[] {
  if (build.joined.length === 0) return [{ carrier: FIRST_CARRIER, build }];
  return carriersOf(build)
    .toReversed()
    .map(({ id, carrier, strand }) => {
      const own = Object.values(build.items).filter((item) => carrierOfItem(build, item) === id);
      return {
        carrier: id,
        build: {
          carrier,
          strand: [...strand],
          items: Object.fromEntries(own.map((item) => [item.id, onFirst(item)])),
          joined: [],
        },
      };
    });
}

/** An item of any carrier as on the first. */
function onFirst(item: Item): Item {
  const { seat } = item;
  if (seat.on === 'end') return { ...item, seat: { on: 'end', end: seat.end } };
  if (seat.on === 'tie') return { ...item, seat: { on: 'tie' } };
  return seat.on === 'body' ? { ...item, seat: { on: 'body', side: seat.side, atM: seat.atM } } : item;
}

/** The work of a piece with what joins others to it: the knot that ties one on, or a last step for each that hangs on an item. */
export function withJoins(operations: readonly Operation[], build: Build, carrier: CarrierId): Operation[] {
  const tied = (end: End) =>
    build.joined.find(({ joint }) => joint.on === 'end' && joint.carrier === carrier && joint.end === end);
  const hung = build.joined.flatMap(({ id, joint }): Operation[] => {
    const holder = joint.on === 'item' ? build.items[joint.item] : undefined;
    return holder && carrierOfItem(build, holder) === carrier ? [{ op: 'joinBehind', behind: id, on: holder.id }] : [];
  });
  return [
    ...operations.map((operation): Operation => {
      const behind = operation.op === 'tieEnd' ? tied(operation.end) : undefined;
      return operation.op === 'tieEnd' && behind ? { ...operation, behind: behind.id } : operation;
    }),
    ...hung,
  ];
}

/** A piece under work with those that were joined to it by now, whole. */
export function withBehind(
  build: Build,
  { carrier }: Piece,
  piece: Workpiece,
  behind: readonly CarrierId[],
): Workpiece {
  if (behind.length === 0) return piece;
  const away = behind.map((id) => hangingOnJoined(build, id));
  const carriers = new Set(away.flatMap((each) => each.carriers));
  const items = away.flatMap((each) => each.items).map((id): [ItemId, Item] => [id, build.items[id] as Item]);
  const joined = build.joined.filter(({ id }) => carriers.has(id)).map((each) => hungOnFirst(each, carrier));
  return {
    ...piece,
    build: {
      ...piece.build,
      items: { ...piece.build.items, ...Object.fromEntries(items) },
      joined: [...piece.build.joined, ...joined],
    },
  };
}

/** What hangs on an end of this carrier hangs on the first's, which it is drawn as. */
function hungOnFirst(each: Joined, carrier: CarrierId): Joined {
  const { joint } = each;
  return joint.on === 'end' && joint.carrier === carrier
    ? { ...each, joint: { ...joint, carrier: FIRST_CARRIER } }
    : each;
}
