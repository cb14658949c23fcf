/**
 * Where the labels of a drawing stand: on free ground, as near as may be to what they are of, each with a straight leader
 * that crosses no other, runs under no label and over no part.
 *
 * Every place on a grid of free ground is tried for each label, nearest first; of a few labels every order is tried. A label
 * that finds no free ground stands where it covers least; one that finds no place whose leader crosses none still stands.
 */
import type { Point } from '../path';
import type { Box, Ground } from './ground';

export interface LabelWanted {
  readonly key: string;
  readonly widthPx: number;
  readonly heightPx: number;
  /** Where a leader can meet what it is of; at least one. */
  readonly anchors: readonly Point[];
}

export interface PlacedLabel extends Box {
  readonly key: string;
  readonly leader: { readonly from: Point; readonly to: Point };
}

const GRID_PX = 12;
const MARGIN_PX = 7;
/** A leader starts at the edge of its part, whose own cells are not in its way. */
const SPARED_PX = 13;
/** What a taken cell under a leader costs, in pixels of its length. */
const CROSSING_PX = 90;
/** A label stays where it stood unless it can come nearer by this. */
const STAYING_PX = 70;
/** What a covered cell costs: more than any leader, so that nothing is covered while there is free ground. */
const COVERING_PX = 2_000;
/** Places that cover so much more than the best are not looked at. */
const SLACK_CELLS = 40;
const MOST_IN_ALL_ORDERS = 3;

/** @param before where labels stood last: they stay there while they can */
export function placeLabels(
  wanted: readonly LabelWanted[],
  ground: Ground,
  before: ReadonlyMap<string, Box> = new Map(),
): PlacedLabel[] {
  const known = new Map(wanted.map((label) => [label.key, spotsOf(label, ground, before.get(label.key) ?? null)]));
  const everywhere = new Map<string, Spot[]>();
  const everySpot = (label: LabelWanted) => {
    const spots = everywhere.get(label.key) ?? spotsOf(label, ground, null, Infinity);
    everywhere.set(label.key, spots);
    return spots;
  };
  const orders = wanted.length <= MOST_IN_ALL_ORDERS ? ordersOf(wanted) : [wanted];
  let best: { readonly placed: PlacedLabel[]; readonly cost: number } | null = null;
  for (const order of orders) {
    const placed: PlacedLabel[] = [];
    let cost = 0;
    for (const label of order) {
      const found =
        bestSpot(label, known.get(label.key) ?? [], placed, ground, keepsOff) ??
        bestSpot(label, everySpot(label), placed, ground, keepsOff) ??
        bestSpot(label, everySpot(label), placed, ground, standsOff);
      if (found) placed.push({ key: label.key, ...found.box, leader: found.leader });
      cost += found?.cost ?? UNPLACED_PX;
    }
    if (best === null || cost < best.cost) best = { placed, cost };
  }
  return best?.placed ?? [];
}

/** No place at all keeps off the other labels. */
const UNPLACED_PX = 1e6;

/** Where a label could stand. */
interface Spot {
  readonly box: Box;
  /** What it costs at the least: its distance and what it covers, without what a leader would run over. */
  readonly least: number;
  /** The leader that costs least, once it was asked for. */
  way: { readonly leader: Leader; readonly cost: number } | null;
}

type Leader = PlacedLabel['leader'];

/** All spots of a label, the one that may be best first. */
function spotsOf(
  { widthPx, heightPx, anchors }: LabelWanted,
  ground: Ground,
  before: Box | null,
  slackCells = SLACK_CELLS,
): Spot[] {
  const found: Spot[] = [];
  let leastCovered = Infinity;
  const take = (left: number, top: number, gain: number) => {
    const box = { left, top, width: widthPx, height: heightPx };
    const covered = ground.takenIn(grown(box, MARGIN_PX));
    if (covered === Infinity || covered > leastCovered + slackCells) return;
    leastCovered = Math.min(leastCovered, covered);
    let length = Infinity;
    for (const anchor of anchors) length = Math.min(length, distance(box, anchor));
    found.push({ box, least: length + COVERING_PX * covered - gain, way: null });
  };
  if (before) take(before.left, before.top, STAYING_PX);
  for (const top of steps(ground.heightPx - heightPx))
    for (const left of steps(ground.widthPx - widthPx)) take(left, top, 0);
  return found.sort((a, b) => a.least - b.least);
}

/** The cheapest spot that keeps off those already placed. */
function bestSpot(
  { anchors }: LabelWanted,
  spots: readonly Spot[],
  placed: readonly PlacedLabel[],
  ground: Ground,
  isClear: typeof keepsOff,
) {
  let best: { readonly box: Box; readonly leader: Leader; readonly cost: number } | null = null;
  for (const spot of spots) {
    if (best !== null && spot.least >= best.cost) break;
    const { box } = spot;
    const { leader, cost } = (spot.way ??= wayTo(spot, anchors, ground));
    if ((best === null || cost < best.cost) && placed.every((other) => isClear(box, leader, other)))
      best = { box, leader, cost };
  }
  return best;
}

function wayTo({ box, least }: Spot, anchors: readonly Point[], ground: Ground): NonNullable<Spot['way']> {
  const shortest = Math.min(...anchors.map((anchor) => distance(box, anchor)));
  const ways = anchors.map((from) => {
    const to = nearestOn(box, from);
    const longer = Math.hypot(to.x - from.x, to.y - from.y) - shortest;
    return { leader: { from, to }, cost: least + longer + CROSSING_PX * ground.takenBetween(from, to, SPARED_PX) };
  });
  return ways.reduce((a, b) => (b.cost < a.cost ? b : a));
}

function distance(box: Box, from: Point): number {
  const to = nearestOn(box, from);
  return Math.hypot(to.x - from.x, to.y - from.y);
}

/** From the margin on one side to the margin on the other, that itself included. */
function steps(roomPx: number): number[] {
  const last = roomPx - MARGIN_PX;
  const count = Math.max(0, Math.ceil((last - MARGIN_PX) / GRID_PX));
  return [...Array.from({ length: count }, (_, i) => MARGIN_PX + i * GRID_PX), last];
}

function keepsOff(box: Box, leader: Leader, other: PlacedLabel): boolean {
  const mine = grown(box, MARGIN_PX);
  return (
    !overlap(mine, other) &&
    !cross(leader, other.leader) &&
    !meets(leader, grown(other, MARGIN_PX)) &&
    !meets(other.leader, mine)
  );
}

/** Only the boxes, where no leader can be kept off. */
function standsOff(box: Box, _: Leader, other: PlacedLabel): boolean {
  return !overlap(grown(box, MARGIN_PX), other);
}

/** The nearest point of a box. */
function nearestOn({ left, top, width, height }: Box, { x, y }: Point): Point {
  return { x: Math.min(left + width, Math.max(left, x)), y: Math.min(top + height, Math.max(top, y)) };
}

function grown({ left, top, width, height }: Box, by: number): Box {
  return { left: left - by, top: top - by, width: width + 2 * by, height: height + 2 * by };
}

export function overlap(a: Box, b: Box): boolean {
  return a.left < b.left + b.width && b.left < a.left + a.width && a.top < b.top + b.height && b.top < a.top + a.height;
}

interface Segment {
  readonly from: Point;
  readonly to: Point;
}

export function cross(a: Segment, b: Segment): boolean {
  const side = (s: Segment, p: Point) =>
    (s.to.x - s.from.x) * (p.y - s.from.y) - (s.to.y - s.from.y) * (p.x - s.from.x);
  return side(a, b.from) * side(a, b.to) < 0 && side(b, a.from) * side(b, a.to) < 0;
}

/** Whether a segment runs through a box. */
export function meets({ from, to }: Segment, { left, top, width, height }: Box): boolean {
  let [enters, leaves] = [0, 1];
  for (const [start, step, low, high] of [
    [from.x, to.x - from.x, left, left + width],
    [from.y, to.y - from.y, top, top + height],
  ] as const) {
    if (step === 0) {
      if (start <= low || start >= high) return false;
      continue;
    }
    const [a, b] = [(low - start) / step, (high - start) / step];
    enters = Math.max(enters, Math.min(a, b));
    leaves = Math.min(leaves, Math.max(a, b));
  }
  return enters < leaves;
}

function ordersOf<T>(all: readonly T[]): readonly (readonly T[])[] {
  if (all.length < 2) return [all];
  return all.flatMap((first, i) => ordersOf([...all.slice(0, i), ...all.slice(i + 1)]).map((rest) => [first, ...rest]));
}
