/**
 * Which sits on which in a build, and in what order: all that stays as parts are swapped for others of their kind. Items are
 * numbered; a slot is such a number.
 */
import type { How } from '../parts/kinds/room';
import {
  childrenOf,
  itemOf,
  spotOf,
  type Build,
  type Holder,
  type Item,
  type ItemId,
  type Leg,
  type End,
  type CarrierId,
} from '../lure/lure';
import { carrierRoom, type Carrier } from '../carriers/carrier';
import type { CarrierSpring } from '../carriers/room';
import type { LineKind } from '../geometry/placed';
import { hangerAbove } from '../geometry/seats';
import { hingedOn } from '../geometry/tie';
import { carrierOfItem, carriersOf, type Strung } from '../lure/strung';

/** An item that sits on something, and what sits on it. */
export interface Hanging {
  readonly slot: number;
  readonly how: How;
  readonly held: readonly Hanging[];
}

/** One entry of a strand. What a clevis holds stands at its fore leg. */
export interface Threaded {
  readonly slot: number;
  readonly leg: Leg | null;
  readonly held: readonly Hanging[];
}

export interface AssembledCarrier {
  readonly id: CarrierId;
  readonly carrier: Carrier;
  /** What it hangs on; null for the one that the line pulls. */
  readonly joint: { readonly slot: number } | { readonly carrier: number; readonly end: End } | null;
  /** The carriers that it hangs on, one above the other, the nearest first. */
  readonly behind: readonly CarrierId[];
  readonly strand: readonly Threaded[];
  readonly nose: readonly Hanging[];
  readonly tail: readonly Hanging[];
  readonly tie: readonly Hanging[];
  readonly body: readonly Hanging[];
}

/** Something that turns: on a clevis, behind a swivel, or threaded itself. */
export interface Turns {
  readonly slot: number;
  /** Its clevis or swivel; its own slot where it is threaded. */
  readonly hanger: number;
  /** What stands directly behind its hanger on the wire; null for the tail wraps, and behind a swivel. */
  readonly behind: number | null;
}

/**
 * How far the measures of a slot's part reach: to what hangs together with it, to all that is on the strand, or to the
 * whole lure.
 */
export type Reach = 'all' | 'strand' | 'nose' | 'tail' | 'tie' | 'body';

export interface Assembly {
  readonly items: readonly Item[];
  readonly slots: ReadonlyMap<ItemId, number>;
  /** Each after what it hangs on. */
  readonly carriers: readonly AssembledCarrier[];
  /** Of each slot the place of its carrier in `carriers`. */
  readonly on: Uint8Array;
  readonly lines: readonly LineKind[];
  /** Of each slot whether the wire goes through it. */
  readonly isThreaded: readonly boolean[];
  readonly turns: readonly Turns[];
  /** The first carrier is a line that bends ahead of what hangs on it. */
  readonly isLed: boolean;
  /** Nail weights, each with the soft body it is in. */
  readonly nails: readonly { readonly slot: number; readonly host: number }[];
  /** Of each slot. What reaches less than all is on the only carrier. */
  readonly reaches: readonly Reach[];
  /** The slots of each reach. */
  readonly reached: Readonly<Record<Exclude<Reach, 'all'>, readonly number[]>>;
  /** The carrier that swings like a spring, nearest to the line; null without one. */
  readonly spring: { readonly carrier: number; readonly spring: CarrierSpring } | null;
}

/** @throws Error for a carrier that hangs on nothing: structureProblem refuses such a build */
export function assemble(build: Build): Assembly {
  const items = Object.values(build.items);
  const slots = new Map(items.map(({ id }, slot) => [id, slot]));
  const on = new Uint8Array(items.length);
  const lines: LineKind[] = items.map(() => 'run');
  const isThreaded = items.map(() => false);
  const carriers: AssembledCarrier[] = [];

  const hangings = (holder: Holder, line: LineKind): Hanging[] =>
    childrenOf(build, holder).map(({ id, part, seat }): Hanging => {
      const slot = slotOf(slots, id);
      on[slot] = carriers.length;
      lines[slot] = line;
      const atSpot = part.kind === 'head' ? 'moulded' : seat.on === 'body' ? 'screwed' : 'hung';
      return { slot, how: seat.on === 'item' ? seat.how : atSpot, held: hangings(id, line) };
    });

  const assembleOne = ({ id, carrier, strand, joint }: Strung): AssembledCarrier => {
    const threaded = strand.map(({ item, leg }): Threaded => {
      const slot = slotOf(slots, item);
      on[slot] = carriers.length;
      // A hook on its snell lies where it is held, as what hangs does.
      isThreaded[slot] = items[slot]?.part.kind !== 'hook';
      return { slot, leg, held: leg === 'aft' ? [] : hangings(item, 'run') };
    });
    const under = joint && jointOf(joint, slots, carriers);
    const holder = under && carriers['slot' in under ? (on[under.slot] ?? 0) : under.carrier];
    return {
      id,
      carrier,
      joint: under,
      behind: holder ? [holder.id, ...holder.behind] : [],
      strand: threaded,
      nose: hangings(spotOf(id, 'nose'), carrierRoom(carrier).castsNose ? 'head' : 'run'),
      tail: hangings(spotOf(id, 'tail'), 'trail'),
      tie: hangings(spotOf(id, 'tie'), 'tie'),
      body: hangings(spotOf(id, 'body'), 'skin'),
    };
  };

  const placed = new Set<CarrierId>();
  let waiting = [...carriersOf(build)];
  while (waiting.length > 0) {
    const ready = waiting.filter(({ joint }) => isPlaced(build, joint, placed));
    if (ready.length === 0) throw new Error('assemble: a carrier hangs on nothing; structureProblem should refuse it');
    for (const each of ready) {
      carriers.push(assembleOne(each));
      placed.add(each.id);
    }
    waiting = waiting.filter(({ id }) => !placed.has(id));
  }
  const reaches = items.map((_, slot) => reachOf(slot, carriers, isThreaded, items));
  const reaching = (reach: Reach) => reaches.flatMap((each, slot) => (each === reach ? [slot] : []));
  return {
    items,
    slots,
    carriers,
    on,
    lines,
    isThreaded,
    isLed: hingedOn(carriers) !== null,
    nails: items.flatMap(({ part, seat }, slot) =>
      part.kind === 'nailWeight' && seat.on === 'item' ? [{ slot, host: slotOf(slots, seat.item) }] : [],
    ),
    turns: turnsOf(build, items, slots, isThreaded, carriers),
    reaches,
    reached: {
      strand: reaching('strand'),
      nose: reaching('nose'),
      tail: reaching('tail'),
      tie: reaching('tie'),
      body: reaching('body'),
    },
    spring: springOf(build, carriers),
  };
}

function reachOf(
  slot: number,
  carriers: readonly AssembledCarrier[],
  isThreaded: readonly boolean[],
  items: readonly Item[],
): Reach {
  const [only] = carriers;
  // What is joined hangs on what is before it.
  if (!only || carriers.length > 1) return 'all';
  const isIn = (all: readonly Hanging[]): boolean => all.some((each) => each.slot === slot || isIn(each.held));
  // A head says where its wire leaves it, and where the line is tied.
  if (items[slot]?.part.kind === 'head') return 'all';
  if (isIn(only.nose)) return 'nose';
  if (isIn(only.tie)) return 'tie';
  if (isIn(only.body)) return 'body';
  const last = only.strand.at(-1);
  if (isIn(only.tail)) {
    // A tube over the tail is as long as what hangs there.
    const isUnderTube = last !== undefined && items[last.slot]?.part.kind === 'shrinkTube';
    return isUnderTube ? 'all' : 'tail';
  }
  const { isAsLongAsItsStack, isLimp } = carrierRoom(only.carrier);
  // On a line hooks move with what is behind them, and a hook's shank sets what line its snell takes.
  const isOnLine = isLimp && only.strand.some((each) => each.slot === slot);
  const isMovingAll = isOnLine || (isThreaded[slot] && isAsLongAsItsStack);
  return isMovingAll ? 'all' : 'strand';
}

function springOf(build: Build, carriers: readonly AssembledCarrier[]): Assembly['spring'] {
  for (const { id, carrier } of carriersOf(build)) {
    const spring = carrierRoom(carrier).spring(carrier);
    if (spring) return { carrier: carriers.findIndex((each) => each.id === id), spring };
  }
  return null;
}

function jointOf(
  joint: NonNullable<Strung['joint']>,
  slots: ReadonlyMap<ItemId, number>,
  carriers: readonly AssembledCarrier[],
): NonNullable<AssembledCarrier['joint']> {
  if (joint.on === 'item') return { slot: slotOf(slots, joint.item) };
  return { carrier: carriers.findIndex(({ id }) => id === joint.carrier), end: joint.end };
}

function isPlaced(build: Build, joint: Strung['joint'], placed: ReadonlySet<CarrierId>): boolean {
  if (!joint) return true;
  return placed.has(joint.on === 'end' ? joint.carrier : carrierOfItem(build, itemOf(build, joint.item)));
}

function slotOf(slots: ReadonlyMap<ItemId, number>, id: ItemId): number {
  const slot = slots.get(id);
  if (slot === undefined) throw new Error(`assemble: this build has no item ${id}`);
  return slot;
}

/** Blades on a clevis or behind a swivel, then what turns on the wire itself. */
function turnsOf(
  build: Build,
  items: readonly Item[],
  slots: ReadonlyMap<ItemId, number>,
  isThreaded: readonly boolean[],
  carriers: readonly AssembledCarrier[],
): Turns[] {
  const behind = (hanger: number): number | null => {
    for (const { strand } of carriers) {
      const last = strand.findLastIndex(({ slot }) => slot === hanger);
      if (last >= 0) return strand[last + 1]?.slot ?? null;
    }
    return null;
  };
  const hung = items.flatMap((item, slot): Turns[] => {
    const above = item.part.kind === 'blade' ? hangerAbove(build, item) : null;
    if (!above) return [];
    const hanger = slotOf(slots, above.id);
    const isTurning = above.part.kind === 'swivel' || above.part.kind === 'splitRing' || isThreaded[hanger];
    return isTurning ? [{ slot, hanger, behind: behind(hanger) }] : [];
  });
  const threaded = (kind: 'filmBlade' | 'deltaBlade') =>
    items.flatMap(({ part }, slot): Turns[] =>
      part.kind === kind && isThreaded[slot] ? [{ slot, hanger: slot, behind: behind(slot) }] : [],
    );
  return [...hung, ...threaded('filmBlade'), ...threaded('deltaBlade')];
}
