/** The edits behind what a builder asks for: put in, take out, move, swap. Pure; the edits are applied elsewhere. */
import { USUAL_SNELL } from '../parts/kinds/hook';
import type { ItemState, Part } from '../parts/part';
import type { Edit } from './edit';
import { usualState } from './item-state';
import { hangingOn, threadedOn } from './strung';
import { newItemId, type Build, type Item, type ItemId, type Leg, type Seat, type StrandEntry } from './lure';

/** What a hook is called until the builder says otherwise. */
function hookRole(build: Build, seat: Seat): string {
  if (seat.on === 'strand') return 'snelled hook';
  if (seat.on !== 'item') return 'tail hook';
  if (seat.how === 'moulded') return 'main hook';
  return build.items[seat.item]?.part.kind === 'hook' ? 'stinger hook' : 'tail hook';
}

/** A hook on its snell, as it is tied unless told otherwise. */
const SNELLED: ItemState = { of: 'hook', pinched: false, snell: USUAL_SNELL };

function newItem(build: Build, part: Part, seat: Seat, taken: ReadonlySet<string>): Item {
  return {
    id: newItemId(build, part.kind, taken),
    part,
    seat,
    role: part.kind === 'hook' ? hookRole(build, seat) : null,
    flipped: false,
    state: part.kind === 'hook' && seat.on === 'strand' ? SNELLED : usualState(part),
  };
}

/** Threads `count` of a part on the wire, the first at `index`. A clevis goes on with both legs together. */
export function threadParts(build: Build, part: Part, index: number, count = 1): Edit {
  const taken = new Set<string>();
  const items: Item[] = [];
  const entries: { index: number; entry: StrandEntry }[] = [];
  for (let n = 0; n < count; n++) {
    const item = spaced(newItem(build, part, { on: 'strand' }, taken), build.strand.slice(index), build);
    taken.add(item.id);
    items.push(item);
    const legs: (Leg | null)[] = part.kind === 'clevis' ? ['fore', 'aft'] : [null];
    for (const leg of legs) entries.push({ index: index + entries.length, entry: { item: item.id, leg } });
  }
  return { kind: 'insert', items, entries };
}

/** Two and a half finger widths, as builders space their hooks. Trade estimate. */
const USUAL_SPACING_M = 0.045;

/** A hook that goes on ahead of another stands off it. */
function spaced(item: Item, behind: readonly StrandEntry[], { items }: Build): Item {
  const { state } = item;
  if (state?.of !== 'hook' || !state.snell) return item;
  const isAhead = behind.some((entry) => items[entry.item]?.part.kind === 'hook');
  return isAhead ? { ...item, state: { ...state, snell: { ...state.snell, behindM: USUAL_SPACING_M } } } : item;
}

/** Hangs, ties or slides a part onto a wire end or another item. */
export function seatPart(build: Build, part: Part, seat: Exclude<Seat, { on: 'strand' }>): Edit {
  return { kind: 'insert', items: [newItem(build, part, seat, new Set())], entries: [] };
}

/** Takes an item off with all that hangs on it, carriers with what is on them too. */
export function takeOff(build: Build, id: ItemId): Edit {
  const { items, carriers } = hangingOn(build, id);
  return { kind: 'remove', items, ...(carriers.length > 0 ? { carriers } : {}) };
}

/** Strand positions of an item on the carrier it is threaded on: two for a clevis. */
export function strandIndexes(build: Build, id: ItemId): number[] {
  const indexes: number[] = [];
  threadedOn(build, id)?.on.strand.forEach(({ item }, index) => {
    if (item === id) indexes.push(index);
  });
  return indexes;
}

/** True for a clevis whose legs are next to each other: it moves as one. */
export function legsTogether(build: Build, id: ItemId): boolean {
  const [fore, aft] = strandIndexes(build, id);
  return fore !== undefined && aft === fore + 1;
}

/**
 * Moves a run of strand entries so that it starts where the entry `beforeIndex` now stands (or at the end).
 * @param from first index of the run, `length` entries long
 */
export function moveRun(from: number, length: number, beforeIndex: number): Edit[] {
  if (beforeIndex >= from && beforeIndex <= from + length) return [];
  const towardsTail = beforeIndex > from;
  return Array.from({ length }, (_, n): Edit =>
    towardsTail ? { kind: 'move', from, to: beforeIndex - 1 } : { kind: 'move', from: from + n, to: beforeIndex + n },
  );
}

/**
 * One step towards nose (−1) or tail (+1), past the whole of the neighbour: a clevis with its legs together is passed,
 * and passes, in one go. Empty when there is nowhere to go.
 */
export function stepItem(build: Build, id: ItemId, direction: -1 | 1, leg: Leg | null = null): Edit[] {
  const indexes = strandIndexes(build, id);
  const [fore, aft] = indexes;
  if (fore === undefined) return [];
  const single = leg === 'aft' && aft !== undefined ? aft : fore;
  const asOne = leg === null && legsTogether(build, id);
  const [from, length] = asOne || indexes.length === 1 ? [fore, indexes.length] : [single, 1];
  const neighbourIndex = direction < 0 ? from - 1 : from + length;
  const neighbour = build.strand[neighbourIndex];
  if (!neighbour) return [];
  // A whole part passes a whole clevis; a single leg goes in between its legs, which is how two are interleaved.
  const passes = leg === null && neighbour.item !== id && legsTogether(build, neighbour.item) ? 2 : 1;
  return moveRun(from, length, direction < 0 ? from - passes : from + length + passes);
}
