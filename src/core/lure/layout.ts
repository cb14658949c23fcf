/**
 * Where everything lies, pulled straight by the water: the stack against the tail end, the play at the nose.
 * Things lie along lines: the run that the strand is threaded on; the trail of what hangs at the tail, which the water
 * draws straight back; the head's own axis, which is the hook's shank; what is forced over the line tie. Places along a
 * line are in metres from its origin towards the tail, radii from its axis. Each line has its pose in the lure, x to the
 * tail and y up. On a straight wire all lines are one: x runs from the front of the nose loop.
 * Serves the drawing, the string, the clearances and the lengths alike.
 */
import { eyeLengthM } from '../parts/hook-form';

import type { Along, Bearing, How } from '../parts/kinds/room';
import { roomOf } from '../parts/part';
import type { WireEnd } from '../parts/wire-form';
import { stateOf } from './item-state';
import { childrenOf, itemOf, wireEnd, type BentWire, type Build, type Holder, type Item, type ItemId } from './lure';
import { outsideRadius } from './outside-radius';
import type { Line, PlacedClevis, PlacedEnd, PlacedEntry, PlacedOff, Span } from './placed';
import { pointOn, walkWire, type Pose, type WirePath } from './wire-path';

export interface Layout extends Span {
  /** The lure's own box: x0M to x1M along, y0M to y1M up. */
  readonly y0M: number;
  readonly y1M: number;
  readonly lines: Readonly<Record<Line, Pose>>;
  /** The way of a bent wire; null for a straight one. */
  readonly path: WirePath | null;
  readonly wireDiameterM: number;
  readonly nose: PlacedEnd;
  readonly tail: PlacedEnd;
  /** Bare wire between the wraps. */
  readonly shaft: Span;
  readonly freeRoom: Span;
  readonly stackM: number;
  readonly strand: readonly PlacedEntry[];
  readonly clevises: readonly PlacedClevis[];
  readonly off: readonly PlacedOff[];
}

export function layOut(build: Build): Layout {
  const { carrier } = build;
  const d = carrier.wire.diameterM;
  const sizes = stackSizes(build);
  const nose = noseOf(build);
  const shaft = { x0M: nose.wraps.x1M, x1M: nose.wraps.x1M + shaftLength(build, sizes.totalM) };
  const tail = tailOf(carrier.tail, shaft.x1M, d);
  const bearM = tail.form === 'plain' || tail.form === 'bentOver' ? tail.x1M : tail.x1M - d;
  const bent = carrier.kind === 'bentWire' ? bendWire(build, carrier, bearM) : null;
  const lines = bent?.lines ?? STRAIGHT_LINES;

  const tailChain = hangAll(build, 'tail', { ...AT_AXIS, alongM: bearM }, 'trail');
  const placed = placeStrand(build, sizes.spans, shaft.x1M, tail, tailChain);
  const clevises = placeClevises(placed);
  const off = [
    ...(carrier.kind === 'straightWire'
      ? hangAll(build, 'nose', { ...AT_AXIS, alongM: nose.form === 'plain' ? 0 : -d }, 'run').map(forward)
      : []),
    ...(bent?.off ?? []),
    ...placed.flatMap((entry) => heldOnWire(build, entry, clevises)),
    ...tailChain,
  ];
  return {
    ...boxOf(lines, nose, tail, off, bent?.path ?? null),
    lines,
    path: bent?.path ?? null,
    wireDiameterM: d,
    nose,
    tail,
    shaft,
    freeRoom: { x0M: shaft.x0M, x1M: shaft.x1M - sizes.totalM },
    stackM: sizes.totalM,
    strand: placed,
    clevises,
    off,
  };
}

const ORIGIN: Pose = { xM: 0, yM: 0, angleRad: 0 };
const STRAIGHT_LINES = { run: ORIGIN, trail: ORIGIN, head: ORIGIN, tie: ORIGIN };

/** A straight wire is as long as what is on it and the play; the arm of a bent one is as long as it was bent. */
function shaftLength({ carrier }: Build, stackM: number): number {
  return carrier.kind === 'straightWire' ? carrier.freeRoomM + stackM : carrier.armM;
}

function noseOf({ carrier }: Build): PlacedEnd {
  const end = wireEnd(carrier, 'nose');
  const d = carrier.wire.diameterM;
  const loopM = loopLength(end, d);
  return {
    form: end.form,
    x0M: 0,
    x1M: loopM,
    loopCentreM: loopM / 2,
    loopInsideRadiusM: insideRadius(end),
    wraps: { x0M: loopM, x1M: loopM + wrapsLength(end, d) },
  };
}

function tailOf(end: WireEnd, fromM: number, d: number): PlacedEnd {
  const wrapsM = wrapsLength(end, d);
  const loopM = loopLength(end, d);
  const x0M = fromM + wrapsM;
  return {
    form: end.form,
    wraps: { x0M: fromM, x1M: x0M },
    x0M,
    x1M: x0M + loopM,
    loopCentreM: x0M + loopM / 2,
    loopInsideRadiusM: insideRadius(end),
  };
}

/** The lines of a bent wire, and what stands on its head and over its tie. */
function bendWire(build: Build, carrier: BentWire, bearM: number) {
  const head = childrenOf(build, 'nose').find(({ part }) => part.kind === 'head');
  const headPart = head?.part.kind === 'head' ? head.part : null;
  const path = walkWire(carrier, carrier.wire.diameterM, { xM: headPart?.wireAtM ?? 0, yM: 0 });
  const at = pointOn(path.arm, bearM);
  const lines = {
    run: path.arm,
    trail: { xM: at.xM - bearM, yM: at.yM, angleRad: 0 },
    head: ORIGIN,
    tie: path.tie ?? ORIGIN,
  };
  const d = carrier.wire.diameterM;
  return {
    path,
    lines,
    off: [...hangAll(build, 'nose', AT_AXIS, 'head'), ...hangAll(build, 'tie', { ...AT_AXIS, alongM: -d / 2 }, 'tie')],
  };
}

function placeStrand(
  build: Build,
  spans: readonly Span[],
  tailM: number,
  tail: PlacedEnd,
  tailChain: readonly PlacedOff[],
): PlacedEntry[] {
  return build.strand.map((entry, index) => {
    const item = itemOf(build, entry.item);
    const span = spans[index] ?? { x0M: 0, x1M: 0 };
    const isTailTube = item.part.kind === 'shrinkTube' && index === build.strand.length - 1;
    return {
      item,
      leg: entry.leg,
      index,
      radiusM: outsideRadius(item.part),
      ...(isTailTube ? tubeSpan(item, tail, tailChain) : { x0M: tailM + span.x0M, x1M: tailM + span.x1M }),
    };
  });
}

/** The box of everything but what swings or drapes. */
function boxOf(
  lines: Layout['lines'],
  nose: PlacedEnd,
  tail: PlacedEnd,
  off: readonly PlacedOff[],
  path: WirePath | null,
): Pick<Layout, 'x0M' | 'x1M' | 'y0M' | 'y1M'> {
  const box = { x0M: Infinity, x1M: -Infinity, y0M: Infinity, y1M: -Infinity };
  const hold = ({ xM, yM }: { readonly xM: number; readonly yM: number }) => {
    box.x0M = Math.min(box.x0M, xM);
    box.x1M = Math.max(box.x1M, xM);
    box.y0M = Math.min(box.y0M, yM);
    box.y1M = Math.max(box.y1M, yM);
  };
  for (const section of path?.sections ?? []) section.points.forEach(hold);
  hold(pointOn(lines.run, nose.x0M));
  hold(pointOn(lines.run, tail.x1M, tail.loopInsideRadiusM));
  hold(pointOn(lines.run, tail.x1M, -tail.loopInsideRadiusM));
  for (const { line, x0M, x1M, offAxisM, item } of off) {
    const half = path ? outsideRadius(item.part) : 0;
    const lift = line === 'head' ? offAxisM : 0;
    for (const alongM of [x0M, x1M]) {
      hold(pointOn(lines[line], alongM, lift - half));
      hold(pointOn(lines[line], alongM, lift + half));
    }
  }
  return box;
}

/** The hooks that trail behind: those a blade could reach. */
export function trailingHooks(layout: Layout): PlacedOff[] {
  return layout.off.filter(({ item, forward: isForward }) => item.part.kind === 'hook' && !isForward);
}

/** Outer length of the loop along the wire; a bent-over end is as long as the wire is thick. */
function loopLength(end: WireEnd, wireM: number): number {
  switch (end.form) {
    case 'plain':
      return 0;
    case 'bentOver':
      return wireM;
    case 'wrappedLoop':
    case 'bentLoop':
      return end.insideDiameterM + 2 * wireM;
  }
}

function wrapsLength(end: WireEnd, wireM: number): number {
  return end.form === 'wrappedLoop' ? end.wraps * wireM : 0;
}

function insideRadius(end: WireEnd): number {
  return end.form === 'wrappedLoop' || end.form === 'bentLoop' ? end.insideDiameterM / 2 : 0;
}

/**
 * Spans measured back from the tail wraps (x ≤ 0). Each entry rests on the next; a clevis's fore leg stands at least
 * its leg gap ahead of its aft leg, further when more than that lies between them.
 */
function stackSizes(build: Build): { spans: Span[]; totalM: number } {
  const { strand } = build;
  const spans: Span[] = new Array<Span>(strand.length);
  const aftLegs = new Map<ItemId, Span>();
  let front = 0;
  for (let index = strand.length - 1; index >= 0; index--) {
    const entry = strand[index];
    if (!entry) continue;
    const item = itemOf(build, entry.item);
    const length = entryLength(build, index, item);
    let x1M = front;
    if (item.part.kind === 'clevis' && entry.leg === 'fore') {
      const aft = aftLegs.get(item.id);
      if (aft) x1M = Math.min(x1M, aft.x0M - item.part.legGapM);
    }
    const span = { x0M: x1M - length, x1M };
    if (entry.leg === 'aft') aftLegs.set(item.id, span);
    spans[index] = span;
    front = Math.min(front, span.x0M);
  }
  return { spans, totalM: -front };
}

/** Length an entry takes up in the stack. */
function entryLength(build: Build, index: number, { part, state, flipped }: Item): number {
  const { threads } = roomOf(part);
  const beside = build.strand[flipped ? index - 1 : index + 1];
  const open = beside ? itemOf(build, beside.item).part : null;
  return threads ? threads.stackM(part, state, open, index === build.strand.length - 1) : 0;
}

function placeClevises(placed: readonly PlacedEntry[]): PlacedClevis[] {
  return placed
    .filter((entry) => entry.leg === 'fore')
    .flatMap((fore) => {
      const aft = placed.find((entry) => entry.leg === 'aft' && entry.item.id === fore.item.id);
      const { part } = fore.item;
      if (!aft || part.kind !== 'clevis') return [];
      const between = placed.filter((entry) => entry.index > fore.index && entry.index < aft.index);
      return [
        {
          item: fore.item,
          clevis: part,
          foreM: fore.x0M,
          aftM: aft.x1M,
          holeM: (fore.x0M + aft.x1M) / 2,
          insideM: lengthOver(between),
        },
      ];
    });
}

/** From the front of the first to the back of the last, with whatever another clevis holds apart between them. */
function lengthOver(spans: readonly Span[]): number {
  if (spans.length === 0) return 0;
  return Math.max(...spans.map(({ x1M }) => x1M)) - Math.min(...spans.map(({ x0M }) => x0M));
}

const AT_AXIS: Bearing = { alongM: 0, offAxisM: 0, coveredToM: null, roomM: 0 };

/** All that sits on an end of the wire or its tie, with what each holds in turn. */
function hangAll(build: Build, parent: Holder, at: Bearing, line: Line): PlacedOff[] {
  return childrenOf(build, parent).flatMap((item) =>
    seatOn(build, item, item.part.kind === 'head' ? 'moulded' : 'hung', at, line, parent),
  );
}

/** An item where it bears, and all that it holds. */
function seatOn(build: Build, item: Item, how: How, at: Bearing, line: Line, parent: Holder): PlacedOff[] {
  const { part, state } = item;
  const sits = roomOf(part).sits[how];
  if (!sits) throw new Error(`layOut: a ${part.kind} cannot be ${how}; structureProblem should have refused it`);
  const lies = sits.lies(part, at, state);
  const pivotM = line === 'head' ? lies.x0M : at.alongM;
  const own: PlacedOff = { item, parent, how, line, ...lies, pivotM, offAxisM: at.offAxisM, forward: false };
  return [own, ...heldBy(build, item, lies, at, line)];
}

function heldBy(build: Build, item: Item, lies: Along, at: Bearing, line: Line): PlacedOff[] {
  const { holds } = roomOf(item.part);
  return childrenOf(build, item.id).flatMap((child) => {
    const how = child.seat.on === 'item' ? child.seat.how : 'hung';
    const holding = holds[how];
    return holding ? seatOn(build, child, how, holding.bearing(item.part, lies, at), line, item.id) : [];
  });
}

/** What hangs on a clevis or is slid over a sleeve. */
function heldOnWire(build: Build, entry: PlacedEntry, clevises: readonly PlacedClevis[]): PlacedOff[] {
  if (entry.leg === 'aft') return [];
  const clevis = clevises.find(({ item }) => item.id === entry.item.id);
  const lies = clevis ? { x0M: clevis.foreM, x1M: clevis.aftM } : entry;
  return heldBy(build, entry.item, lies, AT_AXIS, 'run');
}

/** The same link hung the other way, forward from the nose. */
function forward(link: PlacedOff): PlacedOff {
  return { ...link, x0M: -link.x1M, x1M: -link.x0M, pivotM: -link.pivotM, forward: true };
}

/** The end of what a tube over the tail has to cover: loop, rings and the eye of the hooks. */
export function tubeCoverEnd(tail: PlacedEnd, tailChain: readonly PlacedOff[]): number {
  const ends = tailChain.map(({ item, x0M, x1M }) =>
    item.part.kind === 'hook' ? x0M + eyeLengthM(item.part) : item.part.kind === 'splitRing' ? x1M : 0,
  );
  return Math.max(tail.x1M, ...ends);
}

function tubeSpan(item: Item, tail: PlacedEnd, tailChain: readonly PlacedOff[]): Span {
  const x0M = tail.wraps.x0M;
  const { cutLengthM } = stateOf(item, 'tube');
  if (cutLengthM === null || item.part.kind !== 'shrinkTube') return { x0M, x1M: tubeCoverEnd(tail, tailChain) };
  return { x0M, x1M: x0M + cutLengthM * (1 - item.part.lengthwiseShrink) };
}
