/**
 * How what is threaded on a carrier stands, measured back from its tail (x ≤ 0), m. What holds its place stands as far ahead
 * of the next that does as it was set: a hook on its snell, a stop. All else slides and rests on what is behind it, as the
 * stream draws it; a clevis's fore leg stands at least its leg gap ahead of its aft leg, further when more lies between them.
 */
import { roomOf } from '../parts/part';
import { itemOf, type Build, type Item, type ItemId, type StrandEntry } from '../lure/lure';
import type { Span } from './placed';

/** How a carrier lies: drawn through the water by its nose, slack on the bench, hung up by its tail. */
export const RESTS = ['towed', 'slack', 'hung'] as const;
export type Rest = (typeof RESTS)[number];

export interface Stack {
  readonly spans: readonly Span[];
  readonly totalM: number;
}

/** The stack as the stream draws it, on wire or line this thick, m. */
export function stackOf(build: Build, strand: readonly StrandEntry[], wireM: number): Stack {
  const spans: Span[] = new Array<Span>(strand.length);
  const aftLegs = new Map<ItemId, Span>();
  let front = 0;
  let heldFront = 0;
  for (let index = strand.length - 1; index >= 0; index--) {
    const entry = strand[index];
    if (!entry) continue;
    const item = itemOf(build, entry.item);
    const length = entryLength(build, strand, index, item, wireM);
    const behindM = holdsItself(item);
    let x1M = front;
    if (behindM !== null) x1M = Math.min(x1M, heldFront - behindM);
    if (item.part.kind === 'clevis' && entry.leg === 'fore') {
      const aft = aftLegs.get(item.id);
      if (aft) x1M = Math.min(x1M, aft.x0M - item.part.legGapM);
    }
    const span = { x0M: x1M - length, x1M };
    if (entry.leg === 'aft') aftLegs.set(item.id, span);
    spans[index] = span;
    front = Math.min(front, span.x0M);
    if (behindM !== null) heldFront = span.x0M;
  }
  return { spans, totalM: -front };
}

/** How far ahead of the next that holds its place an item holds its own, m; null for one that slides. */
export function holdsItself({ part, state }: Item): number | null {
  return roomOf(part).threads?.behindM?.(state) ?? null;
}

/** Length an entry takes up in the stack, m. */
function entryLength(
  build: Build,
  strand: readonly StrandEntry[],
  index: number,
  { part, state, flipped }: Item,
  wireM: number,
): number {
  const { threads } = roomOf(part);
  const beside = strand[flipped ? index - 1 : index + 1];
  const open = beside ? itemOf(build, beside.item).part : null;
  return threads ? threads.stackM(part, state, { open, isLast: index === strand.length - 1, wireM }) : 0;
}

/**
 * The same stack at rest otherwise: what slides between two that hold lies at their front end when it is hung up by the tail,
 * and evenly spread when it is slack. @param runM from the nose to the tail, m
 */
export function atRest(
  build: Build,
  strand: readonly StrandEntry[],
  { spans }: Stack,
  runM: number,
  rest: Rest,
): readonly Span[] {
  if (rest === 'towed') return spans;
  const moved = [...spans];
  let group: number[][] = [];
  const settle = (limitM: number) => {
    const foremost = group.at(-1)?.map((index) => spans[index]?.x0M ?? 0) ?? [];
    const freeM = Math.max(Math.min(...foremost) - limitM, 0);
    group.forEach((unit, nth) => {
      const byM = rest === 'hung' ? freeM : (freeM * (nth + 1)) / (group.length + 1);
      for (const index of unit) {
        const span = spans[index];
        if (span) moved[index] = { x0M: span.x0M - byM, x1M: span.x1M - byM };
      }
    });
    group = [];
  };
  for (const unit of unitsFromTail(strand)) {
    const [first = 0] = unit;
    const entry = strand[first];
    const held = entry && unit.length === 1 && holdsItself(itemOf(build, entry.item)) !== null;
    if (held) settle(spans[first]?.x1M ?? 0);
    else group.push(unit);
  }
  settle(-runM);
  return moved;
}

/** What moves as one along the strand, tail first: single entries, and clevises with all that lies among their legs. */
function unitsFromTail(strand: readonly StrandEntry[]): number[][] {
  const units: number[][] = [];
  let unit: number[] = [];
  const open = new Set<ItemId>();
  for (let index = strand.length - 1; index >= 0; index--) {
    const { item, leg } = strand[index] as StrandEntry;
    unit.push(index);
    if (leg === 'aft') open.add(item);
    if (leg === 'fore') open.delete(item);
    if (open.size > 0) continue;
    units.push(unit);
    unit = [];
  }
  return unit.length > 0 ? [...units, unit] : units;
}
