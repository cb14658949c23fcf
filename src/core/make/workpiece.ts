/**
 * The lure as it stands in the middle of being made: what is on the wire, and beside it the pieces that were worked on but
 * do not hang on it yet. A clevis that has one leg on the wire stands in the strand once.
 */
import { wireInEnd } from '../parts/formed-wire';
import { usualState, type ItemState } from '../lure/item-state';
import { layOut } from '../lure/layout';
import { wireEnd, type Build, type Carrier, type End, type Item, type ItemId, type StrandEntry } from '../lure/lure';
import type { Goal } from './goal';

export interface Workpiece {
  readonly build: Build;
  /** Pieces worked on off the lure, with what is already on them. */
  readonly aside: readonly Item[];
}

/** The wire before anything is done to it, as long as it will be cut. */
export function bareWire({ build, cuts }: Goal): Workpiece {
  const { carrier } = build;
  const cutM = cuts.find(({ of }) => of === 'wire')?.cutM ?? 0;
  const bare: Carrier =
    carrier.kind === 'straightWire'
      ? { ...carrier, nose: { form: 'plain' }, tail: { form: 'plain' }, freeRoomM: cutM }
      : { ...carrier, startRad: 0, sections: [], armM: cutM, tail: { form: 'plain' }, bought: null };
  return { build: { carrier: bare, items: {}, strand: [] }, aside: [] };
}

/** The item as it comes to hand: with what only a later step does to it not yet done. */
export function asTaken(item: Item): Item {
  return { ...item, state: untouched(item) };
}

/** States that a step of their own brings about. What is only a setting of the piece comes with it. */
function untouched({ part, state }: Item): ItemState | null {
  switch (state?.of) {
    case 'skirt':
      return { ...state, tips: 'even' };
    case 'trailer':
      return { ...state, cutM: 0, rounded: false };
    case 'film':
    case 'hook':
    case 'rivet':
    case 'sleeve':
    case 'deltaBlade':
      return usualState(part);
    case 'tube':
    case 'swivel':
    case 'lock':
    case undefined:
      return state;
  }
}

/** Puts items where the goal has them; what lay aside on them comes along. */
export function seat(goal: Goal, piece: Workpiece, ids: readonly ItemId[]): Workpiece {
  const items: Record<ItemId, Item> = { ...piece.build.items };
  const put = (id: ItemId) => {
    const item = goal.build.items[id];
    if (!item) throw new Error(`seat: the goal has no item ${id}`);
    items[id] = piece.aside.find((each) => each.id === id) ?? items[id] ?? asTaken(item);
    for (const each of piece.aside) {
      if (each.seat.on === 'item' && each.seat.item === id && !items[each.id]) put(each.id);
    }
  };
  ids.forEach(put);
  const aside = piece.aside.filter(({ id }) => !items[id]);
  return { build: { ...piece.build, items }, aside };
}

/** Takes pieces in hand off the lure: to be worked on before they go on. */
export function layAside(goal: Goal, piece: Workpiece, ids: readonly ItemId[]): Workpiece {
  const fresh = ids.filter((id) => !piece.aside.some((each) => each.id === id));
  const taken = fresh.map((id) => {
    const item = goal.build.items[id];
    if (!item) throw new Error(`layAside: the goal has no item ${id}`);
    return asTaken(item);
  });
  return { ...piece, aside: [...piece.aside, ...taken] };
}

/** Brings one state of an item about, on the lure or beside it. */
export function bring(piece: Workpiece, id: ItemId, state: ItemState | null): Workpiece {
  const on = piece.build.items[id];
  return on
    ? { ...piece, build: { ...piece.build, items: { ...piece.build.items, [id]: { ...on, state } } } }
    : { ...piece, aside: piece.aside.map((each) => (each.id === id ? { ...each, state } : each)) };
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
  const { carrier } = piece.build;
  return {
    ...piece,
    build: { ...piece.build, carrier: { ...carrier, [end]: wireEnd(goal.build.carrier, end) } as Carrier },
  };
}

/** The wire that is still bare: what was cut less what is formed and strung. Done when nothing is left to do it is the goal's own. */
export function settleWire(goal: Goal, piece: Workpiece): Workpiece {
  const { carrier } = piece.build;
  const wanted = goal.build.carrier;
  if (carrier.kind === 'bentWire' && wanted.kind === 'bentWire') {
    if (carrier.sections.length < wanted.sections.length) return piece;
    const isOpen = carrier.tail.form === 'plain' && wanted.tail.form !== 'plain';
    const armM = wanted.armM + (isOpen ? wireInEnd(wanted.tail, wanted.wire.diameterM) : 0);
    return { ...piece, build: { ...piece.build, carrier: { ...carrier, armM } } };
  }
  if (carrier.kind !== 'straightWire' || wanted.kind !== 'straightWire') return piece;
  const isStrung = piece.build.strand.length === goal.build.strand.length;
  const isFormed = (['nose', 'tail'] as const).every((end) => carrier[end].form === wanted[end].form);
  const wire = goal.cuts.find(({ of }) => of === 'wire');
  const used = (wire?.terms ?? []).reduce(
    (sum, term) => sum + ('end' in term && carrier[term.end].form !== 'plain' ? term.lengthM : 0),
    0,
  );
  const freeRoomM =
    isStrung && isFormed
      ? wanted.freeRoomM
      : Math.max((wire?.cutM ?? 0) - used - layOut(piece.build).stackM, wanted.freeRoomM);
  return { ...piece, build: { ...piece.build, carrier: { ...carrier, freeRoomM } } };
}
