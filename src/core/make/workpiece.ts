/**
 * The lure as it stands in the middle of being made: what is on the wire, and beside it the pieces that were worked on but
 * do not hang on it yet. A clevis that has one leg on the wire stands in the strand once.
 */
import type { WireEnd } from '../parts/wire-form';
import { roomOf, type ItemState } from '../parts/part';
import { layOut } from '../geometry/layout';
import { itemOf, type Build, type End, type Item, type ItemId, type StrandEntry } from '../lure/lure';
import { carrierRoom, wireEnd, type Carrier } from '../carriers/carrier';
import type { Goal } from './goal';

export interface Workpiece {
  readonly build: Build;
  /** Pieces worked on off the lure. What is fixed to another of them comes along with it. */
  readonly aside: readonly AsidePiece[];
}

export interface AsidePiece {
  readonly item: Item;
  readonly isFixed: boolean;
}

/** The wire before anything is done to it, as long as it will be cut. */
export function bareWire({ build, cuts }: Goal): Workpiece {
  const { carrier } = build;
  const cutM = cuts.find(({ of }) => of === 'wire')?.cutM ?? 0;
  const bare = carrierRoom(carrier).bare(carrier, cutM);
  return { build: { carrier: bare, items: {}, strand: [], joined: [] }, aside: [] };
}

/** The item as it comes to hand: with what only a later step does to it not yet done. */
function asTaken(item: Item): Item {
  return { ...item, state: roomOf(item.part).asTaken(item.state) };
}

/** Puts items where the goal has them; what is fixed to them by now comes along. */
export function seat(goal: Goal, piece: Workpiece, ids: readonly ItemId[]): Workpiece {
  const items: Record<ItemId, Item> = { ...piece.build.items };
  const put = (id: ItemId) => {
    const held = piece.aside.find(({ item }) => item.id === id)?.item;
    items[id] = held ?? items[id] ?? asTaken(itemOf(goal.build, id));
    for (const { item, isFixed } of piece.aside) {
      if (isFixed && item.seat.on === 'item' && item.seat.item === id && !items[item.id]) put(item.id);
    }
  };
  ids.forEach(put);
  return { build: { ...piece.build, items }, aside: piece.aside.filter(({ item }) => !items[item.id]) };
}

/** Takes pieces in hand off the lure, to be worked on before they go on, and fixes others to them. */
export function layAside(
  goal: Goal,
  piece: Workpiece,
  ids: readonly ItemId[],
  fixed: readonly ItemId[] = [],
): Workpiece {
  const isThere = (id: ItemId) => piece.aside.some(({ item }) => item.id === id);
  const taken = [...ids, ...fixed].flatMap((id) =>
    isThere(id) ? [] : [{ item: asTaken(itemOf(goal.build, id)), isFixed: fixed.includes(id) }],
  );
  // What was worked on by itself before is fixed to another now.
  const there = piece.aside.map((each) => (fixed.includes(each.item.id) ? { ...each, isFixed: true } : each));
  return { ...piece, aside: [...there, ...taken] };
}

/** Brings one state of an item about, on the lure or beside it. */
export function bring(piece: Workpiece, id: ItemId, state: ItemState | null): Workpiece {
  const on = piece.build.items[id];
  return on
    ? { ...piece, build: { ...piece.build, items: { ...piece.build.items, [id]: { ...on, state } } } }
    : {
        ...piece,
        aside: piece.aside.map((each) => (each.item.id === id ? { ...each, item: { ...each.item, state } } : each)),
      };
}

/** Strings entries of the goal's strand where they stand in it among those already there. */
export function string(goal: Goal, piece: Workpiece, indexes: readonly number[]): Workpiece {
  const on = new Set(piece.build.strand.map((entry) => indexIn(goal.build, entry)));
  const all = [...on, ...indexes].sort((a, b) => a - b);
  const strand = all.flatMap((index) => goal.build.strand[index] ?? []);
  return { ...piece, build: { ...piece.build, strand } };
}

function indexIn({ strand }: Build, entry: StrandEntry): number {
  return strand.findIndex(({ item, leg }) => item === entry.item && leg === entry.leg);
}

/** Gives an end its finished form. */
export function formEnd(goal: Goal, piece: Workpiece, end: End): Workpiece {
  return withEnd(piece, end, wireEnd(goal.build.carrier, end));
}

/** Gives an end its form as far as its loop is rolled: no wraps yet, and open enough to hang something in. */
export function openEnd(goal: Goal, piece: Workpiece, end: End): Workpiece {
  const form = wireEnd(goal.build.carrier, end);
  switch (form.form) {
    case 'wrappedLoop':
      return withEnd(piece, end, { ...form, wraps: 0 });
    case 'bentLoop':
      return withEnd(piece, end, { ...form, gapM: Math.max(form.gapM, form.insideDiameterM * OPEN_SHARE) });
    case 'plain':
    case 'bentOver':
    case 'knot':
    case 'tiedLoop':
      return withEnd(piece, end, form);
  }
}

/** How far a loop is left open, as a share of its inside. Trade estimate. */
const OPEN_SHARE = 0.8;

function withEnd(piece: Workpiece, end: End, form: WireEnd): Workpiece {
  return { ...piece, build: { ...piece.build, carrier: { ...piece.build.carrier, [end]: form } as Carrier } };
}

/** The wire that is still bare: what was cut less what is formed and strung. Done when nothing is left to do it is the goal's own. */
export function settleWire(goal: Goal, piece: Workpiece): Workpiece {
  const { carrier, strand } = piece.build;
  const wanted = goal.build.carrier;
  if (carrier.kind !== wanted.kind) return piece;
  const wire = goal.cuts.find(({ of }) => of === 'wire');
  const settled = carrierRoom(carrier).settled(carrier, wanted, {
    cutM: wire?.cutM ?? 0,
    terms: wire?.terms ?? [],
    stackM: layOut(piece.build).stackM,
    isStrung: strand.length === goal.build.strand.length,
  });
  return { ...piece, build: { ...piece.build, carrier: settled } };
}
