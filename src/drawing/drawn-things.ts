/** The side elevation of a build as shapes: everything but the turning blades and their clevises, which move. */
import { eyeLengthM } from '../core/parts/hook-form';
import { isBored } from '../core/parts/bored';
import type { LaidCarrier, Layout } from '../core/geometry/layout';
import {
  carrierOfLine,
  isLifted,
  lineKind,
  lineOf,
  poseOf,
  type Line,
  type LineKind,
  type PlacedEnd,
  type PlacedEntry,
  type PlacedOff,
  type Span,
} from '../core/geometry/placed';
import {
  childrenOf,
  FIRST_CARRIER,
  spotOf,
  type Build,
  type CarrierId,
  type End,
  type Holder,
  type Item,
  type ItemId,
  type Spot,
} from '../core/lure/lure';
import { carrierRoom, wireEnd, type Carrier } from '../core/carriers/carrier';
import { lastPer, oncePer } from '../core/once';
import { endEyeShapes, lureBodyShapes } from './lure-body-shapes';
import { spinSeats } from '../core/geometry/seats';
import { coveredPoint } from '../core/geometry/covered-point';
import { nailWay } from './lure-body-shapes';
import { stateOf } from '../core/lure/item-state';
import type { Hook } from '../core/parts/kinds/hook';
import type { Part } from '../core/parts/part';
import { edgeOf, lighter } from './colour';
import { drawnKind, type Depth, type Piece } from './drawn-kinds';
import { paintOf } from './paint';
import { bentEndShapes, leadPaths, wireStrokes } from './bent-wire';
import { clevisOutline } from './clevis-outline';
import { OUTLINE_MM } from './part-shapes';
import type { Shape } from './shape';
import { lineEndShapes, turnsOfLine } from './line-shapes';
import { curve, ellipse, polyline, rectangle, turned } from './path';

/** What can be picked on the drawing and on the string. */
export type Pick = ItemId | 'wire' | CarrierId | Spot;

export interface DrawnThing {
  readonly pick: Pick;
  /** The line it lies along: its origin on the page, mm, y down, and how far it is turned clockwise. */
  readonly line: PagePose;
  /** Where its own x = 0 lies on that line and how far above it, mm; mirrored things run to the nose. */
  readonly atMm: number;
  readonly liftMm: number;
  readonly mirrored: boolean;
  readonly shapes: readonly Shape[];
  /** Box to hit on the line, mm: from, to and half height about the axis. */
  readonly hit: { readonly x0: number; readonly x1: number; readonly halfHeight: number };
  /** A way to hit instead of the box, in the thing's own coordinates: a bent wire. */
  readonly way: string | null;
}

export interface PagePose {
  readonly xMm: number;
  readonly yMm: number;
  readonly turnRad: number;
}

/** A line of the layout as it lies on the page. */
export function linePose(layout: Layout, line: Line): PagePose {
  const { xM, yM, angleRad } = poseOf(layout, line);
  return { xMm: xM * MM, yMm: -yM * MM, turnRad: -angleRad };
}

const MM = 1000;

/** Shapes of a part both ways round: they stay the same while it does, so that a change elsewhere redraws nothing of it. */
const byPart = new WeakMap<Part, Map<boolean, Shape[]>>();
/** Of what is drawn in its state, with what it holds and what holds it. */
const byPiece = new WeakMap<Item, { readonly piece: Piece; readonly shapes: Shape[] }>();

function shapesOf(piece: Piece): Shape[] {
  const { item } = piece;
  const { part, flipped } = item;
  const { follows, shapes } = drawnKind(part);
  if (follows === 'part') {
    const known = byPart.get(part) ?? new Map<boolean, Shape[]>();
    byPart.set(part, known);
    const drawn = known.get(flipped) ?? shapes(part, piece);
    known.set(flipped, drawn);
    return drawn;
  }
  const last = byPiece.get(item);
  if (last && isSamePiece(last.piece, piece)) return last.shapes;
  const drawn = shapes(part, piece);
  byPiece.set(item, { piece, shapes: drawn });
  return drawn;
}

function isSamePiece(a: Piece, b: Piece): boolean {
  return (
    a.line === b.line &&
    a.lengthM === b.lengthM &&
    a.holder === b.holder &&
    a.covers?.atM === b.covers?.atM &&
    a.covers?.upM === b.covers?.upM &&
    a.held.length === b.held.length &&
    a.held.every((part, i) => part === b.held[i])
  );
}

/** Back to front. */
export function drawElevation(build: Build, layout: Layout): DrawnThing[] {
  const turning = new Set(spinSeats(build, layout).map(({ item }) => item.id));
  const isAt =
    (...depths: readonly Depth[]) =>
    (placed: { readonly item: Item }) =>
      depths.includes(drawnKind(placed.item.part).depth);
  const off = (placed: PlacedOff) => drawOff(build, layout, placed);
  const over = layout.off.filter(({ how }) => how === 'over');
  const drawn = layout.off.filter(
    (placed) => placed.how !== 'over' && !turning.has(placed.item.id) && !isAt('within')(placed),
  );
  const onHead = drawn.filter(({ line }) => lineKind(line) === 'head');
  const hanging = drawn.filter(({ line }) => lineKind(line) !== 'head');
  const blades = hanging.filter(({ item }) => item.part.kind === 'blade');
  const links = hanging.filter(({ item, how }) => how === 'hung' && item.part.kind !== 'blade');
  const tied = hanging.filter(({ how }) => how !== 'hung');
  const wires = wiresOf(layout);
  const strung = wires.flatMap((wire) => wire.laid.strand.map((placed) => ({ wire, placed, item: placed.item })));
  return [
    ...wires.flatMap((wire) => endLoops(wire)),
    ...[...blades, ...links, ...tied].map(off),
    ...onHead.filter(isAt('behind')).map(off),
    ...onHead.filter(isAt('tail')).map(off),
    ...wires.flatMap(lead),
    ...wires.map((wire) => shaft(layout, wire)),
    ...(['head', 'skirt', 'lock'] as const).flatMap((depth) => onHead.filter(isAt(depth)).map(off)),
    ...strung.filter(isAt('wire', 'behind', 'tail')).map(({ wire, placed }) => drawEntry(build, wire, placed)),
    ...wires.flatMap((wire) => emptyClevises(build, wire)),
    ...over.map(off),
    ...strung.filter(isAt('covers')).map(({ wire, placed }) => drawTube(build, wire, placed, layout)),
  ];
}

/** A clevis that carries nothing hangs straight down: one with a blade is drawn with it, turning. */
function emptyClevises(build: Build, { laid, run }: DrawnWire): DrawnThing[] {
  return laid.clevises
    .filter(({ item }) => childrenOf(build, item.id).length === 0)
    .map(({ item, clevis, foreM, aftM }) => {
      const { legs, bow } = clevisOutline(clevis, (aftM - foreM) * MM, -1);
      const { hex } = clevis.finish;
      return thing(item.id, run, foreM, aftM, clevis.dropM, [
        { d: bow, stroke: edgeOf(hex, 0.25), strokeWidth: clevis.lobeThicknessM * MM * 0.9, round: true },
        { d: legs, fill: lighter(hex, 0.1), stroke: edgeOf(hex, 0.5), strokeWidth: OUTLINE_MM },
      ]);
    });
}

/** A carrier as it is drawn: laid, the line its strand is on, and what is picked of it. */
interface DrawnWire {
  readonly laid: LaidCarrier;
  readonly run: PagePose;
  readonly pick: 'wire' | CarrierId;
}

function wiresOf(layout: Layout): DrawnWire[] {
  return layout.carriers.map((laid) => ({
    laid,
    run: linePose(layout, lineOf(laid.id, 'run')),
    pick: laid.id === FIRST_CARRIER ? 'wire' : laid.id,
  }));
}

function thing(
  pick: Pick,
  line: PagePose,
  x0M: number,
  x1M: number,
  halfHeightM: number,
  shapes: Shape[],
  look: { readonly mirrored?: boolean; readonly liftM?: number; readonly way?: string } = {},
): DrawnThing {
  const [x0, x1] = [x0M * MM, x1M * MM];
  const { mirrored = false, liftM = 0, way = null } = look;
  const hit = { x0, x1, halfHeight: halfHeightM * MM };
  return { pick, line, atMm: mirrored ? x1 : x0, liftMm: liftM * MM, mirrored, shapes, hit, way };
}

/** The bent part of the wire, from the head to the arm. */
function lead({ laid: { carrier, path, wireDiameterM }, pick }: DrawnWire): DrawnThing[] {
  if (!path) return [];
  const { finish } = carrier.wire;
  const wire = wireDiameterM * MM;
  const paths = leadPaths(path);
  const strokes = paths.flatMap((d) => wireStrokes(d, wire, finish.hex));
  return [thing(pick, PAGE_ORIGIN, 0, 0, 0, strokes, { way: paths.join('') })];
}

const PAGE_ORIGIN: PagePose = { xMm: 0, yMm: 0, turnRad: 0 };

function shaft(layout: Layout, { laid, run, pick }: DrawnWire): DrawnThing {
  const { carrier, shaft: span, wireDiameterM, leftOut } = laid;
  if (carrier.kind === 'body') {
    const { wire } = carrier;
    const skin = linePose(layout, lineOf(laid.id, 'skin'));
    return thing(pick, skin, 0, wire.lengthM, wire.heightM / 2, bodyShapes(wire));
  }
  const radius = (wireDiameterM * MM) / 2;
  const ends = [0, ...leftOut.flatMap(({ atM }) => breakEnds((atM - span.x0M) * MM)), (span.x1M - span.x0M) * MM];
  const fill = paintOf(carrier.wire.finish, 'across');
  const pieces = ends.flatMap((from, i): Shape[] =>
    i % 2 === 0 ? [{ d: rectangle(from, -radius, ends[i + 1] ?? from, radius), fill }] : [],
  );
  const slashes = ends.slice(1, -1).map((at): Shape => ({
    d: polyline([
      { x: at - 0.7, y: 1.9 },
      { x: at + 0.7, y: -1.9 },
    ]),
    stroke: BREAK_HEX,
    strokeWidth: 0.3,
    round: true,
  }));
  const reachM = Math.max(wireDiameterM / 2, 0.0008);
  return thing(pick, run, span.x0M, span.x1M, reachM, [...pieces, ...slashes]);
}

/** They stay the same while the body does. */
const bodyShapes = oncePer(lureBodyShapes);

/** Where line that is drawn shorter than it is stops and goes on. */
const BREAK_HEX = '#6f7d78';
const breakEnds = (atMm: number) => [atMm - 0.8, atMm + 0.8];

/** A nose that is in its head is not drawn. */
function endLoops(wire: DrawnWire): DrawnThing[] {
  const isCast = carrierRoom(wire.laid.carrier).castsNose;
  return [endLoop('tail', wire), ...(isCast ? [] : [endLoop('nose', wire)])];
}

/** Loop and wraps. Local x runs from the outer end of the loop inward, so that both ends are one drawing. */
function endLoop(end: End, { laid, run }: DrawnWire): DrawnThing {
  const { carrier, wireDiameterM } = laid;
  const pick = spotOf(laid.id, end);
  const { form, x0M, x1M, wraps, loopInsideRadiusM }: PlacedEnd = laid[end];
  const shapes = END_SHAPES[end](carrier, form, x1M - x0M, wraps.x1M - wraps.x0M, loopInsideRadiusM, wireDiameterM);
  if (form === 'bentLoop' || form === 'bentOver') {
    return thing(pick, run, x0M, x1M, loopInsideRadiusM + wireDiameterM, shapes);
  }
  const outer = Math.min(x0M, wraps.x0M);
  const inner = Math.max(x1M, wraps.x1M);
  return thing(pick, run, outer, inner, loopInsideRadiusM + wireDiameterM, shapes, { mirrored: end === 'tail' });
}

/** The shapes of each end stay the same while it does. */
const END_SHAPES = { nose: lastPer(endShapes('nose')), tail: lastPer(endShapes('tail')) };

function endShapes(end: End) {
  return (
    carrier: Carrier,
    form: PlacedEnd['form'],
    loopM: number,
    wrapsM: number,
    insideRadiusM: number,
    wireDiameterM: number,
  ): Shape[] => {
    const { hex } = carrier.wire.finish;
    const wire = wireDiameterM * MM;
    const loop = loopM * MM;
    if (form === 'plain') return [];
    if (carrier.kind === 'body') return endEyeShapes(loop, wire);
    const made = wireEnd(carrier, end);
    if (made.form === 'knot' || made.form === 'tiedLoop') {
      return lineEndShapes(made, wire, loop, insideRadiusM * MM, hex);
    }
    if (form === 'bentLoop' || form === 'bentOver') return bentEndShapes(wireEnd(carrier, end), wire, hex);
    const radius = insideRadiusM * MM + wire / 2;
    const turns = Math.round((wrapsM * MM) / wire);
    const wraps = Array.from({ length: turns }, (_, i): Shape[] => {
      const x = loop + (i + 0.5) * wire;
      const d = polyline([
        { x: x - wire * 0.22, y: -wire * 1.05 },
        { x: x + wire * 0.22, y: wire * 1.05 },
      ]);
      return [
        { d, stroke: edgeOf(hex, 0.5), strokeWidth: wire * 0.98, round: true },
        { d, stroke: hex, strokeWidth: wire * 0.66, round: true },
        { d, stroke: lighter(hex, 0.55), strokeWidth: wire * 0.2, round: true, opacity: 0.8 },
      ];
    }).flat();
    const neck = curve([
      { x: loop / 2 + radius * 0.72, y: -radius * 0.69 },
      { x: loop - wire * 0.2, y: -wire * 0.7 },
      { x: loop + wire * 0.6, y: 0 },
    ]);
    const ring = ellipse(loop / 2, 0, radius, radius);
    return [
      { d: ring, stroke: edgeOf(hex, 0.5), strokeWidth: wire },
      { d: ring, stroke: hex, strokeWidth: wire * 0.7 },
      { d: neck, stroke: edgeOf(hex, 0.4), strokeWidth: wire, round: true },
      { d: ring, stroke: lighter(hex, 0.6), strokeWidth: wire * 0.2, opacity: 0.85 },
      ...wraps,
    ];
  };
}

function pieceOf(build: Build, item: Item, { x0M, x1M }: Span, parent: Holder | null, line: LineKind): Piece {
  const holder = parent !== null && Object.hasOwn(build.items, parent) ? build.items[parent as ItemId] : undefined;
  return {
    item,
    line,
    lengthM: x1M - x0M,
    holder: holder?.part ?? null,
    held: childrenOf(build, item.id).map(({ part }) => part),
    covers: null,
  };
}

function drawEntry(build: Build, wire: DrawnWire, entry: PlacedEntry): DrawnThing {
  const { run } = wire;
  const { item, x0M, x1M, radiusM } = entry;
  if (item.part.kind === 'hook') return drawSnell(wire, entry, item.part);
  const shapes = shapesOf(pieceOf(build, item, entry, null, 'run'));
  return thing(item.id, run, x0M, Math.max(x1M, x0M), radiusM, shapes);
}

/** Of a hook that is snelled only its snell: the hook is among what hangs. */
function drawSnell({ laid, run }: DrawnWire, { item, x0M, x1M }: PlacedEntry, hook: Hook): DrawnThing {
  const { carrier, wireDiameterM } = laid;
  const { snell } = stateOf(item, 'hook');
  const shapes = turnsOfLine(
    eyeLengthM(hook) * MM,
    snell?.wraps ?? 0,
    wireDiameterM * MM,
    hook.wireDiameterM * MM,
    carrier.wire.finish.hex,
  );
  return thing(item.id, run, x0M, x1M, hook.wireDiameterM, shapes);
}

function drawOff(build: Build, layout: Layout, placed: PlacedOff): DrawnThing {
  const { item, line, x0M, x1M, forward, offAxisM, parent } = placed;
  const { part } = item;
  const piece = { ...pieceOf(build, item, placed, parent, lineKind(line)), covers: coveredPoint(layout, placed) };
  const mirrored = forward && !isBored(part);
  const liftM = isLifted(line) ? offAxisM : 0;
  const reachM = drawnKind(part).reachM(part, piece);
  const look = { mirrored, liftM, ...(part.kind === 'nailWeight' ? nailWay(build, layout, item.id) : {}) };
  return thing(item.id, linePose(layout, line), x0M, x1M, reachM, shapesOf(piece), look);
}

/** A shrunk tube follows what lies under it. */
function drawTube(build: Build, wire: DrawnWire, entry: PlacedEntry, layout: Layout): DrawnThing {
  const { item, x0M, x1M } = entry;
  const { part } = item;
  if (part.kind !== 'shrinkTube') return drawEntry(build, wire, entry);
  const wall = part.suppliedWallM * 1.6;
  const least = part.recoveredBoreM / 2 + wall;
  const { tail, wireDiameterM: d, id } = wire.laid;
  const lies = (xM: number): number => {
    if (xM < tail.x0M) return 1.5 * d + wall;
    if (xM < tail.x1M - d) return tail.loopInsideRadiusM + d + wall;
    const under = layout.off.find(({ item: { part: each }, line, x0M: from, x1M: to }) => {
      if (carrierOfLine(line) !== id) return false;
      const end = each.kind === 'hook' ? from + eyeLengthM(each) : to;
      return (each.kind === 'splitRing' || each.kind === 'hook') && xM >= from && xM <= end;
    });
    const thing = under?.item.part;
    if (thing?.kind === 'splitRing') return thing.outerDiameterM * 0.24 + wall;
    if (thing?.kind === 'hook') return thing.eyeInnerDiameterM / 2 + thing.wireDiameterM + wall;
    return least;
  };
  const steps = 26;
  const raw = Array.from({ length: steps + 1 }, (_, i) => {
    const xM = x0M + ((x1M - x0M) * i) / steps;
    return { x: (xM - x0M) * MM, y: Math.max(least, lies(xM)) * MM };
  });
  // Tube bridges hollows: each point is the mean of its neighbours, pulled up to the larger.
  const profile = raw.map(({ x, y }, i) => {
    const beside = [raw[i - 2]?.y ?? y, raw[i - 1]?.y ?? y, y, raw[i + 1]?.y ?? y, raw[i + 2]?.y ?? y];
    return { x, y: Math.max(y * 0.94, beside.reduce((sum, each) => sum + each, 0) / beside.length) };
  });
  const halfHeightM = Math.max(...profile.map(({ y }) => y)) / MM;
  return thing(item.id, wire.run, x0M, x1M, halfHeightM, [
    {
      d: turned([{ x: 0, y: 0 }, ...profile, { x: (x1M - x0M) * MM, y: 0 }]),
      fill: paintOf(part.finish, 'across'),
      stroke: edgeOf(part.finish.hex, 0.4),
      strokeWidth: 0.12,
      opacity: part.finish.sheen === 'clear' ? 0.7 : 0.94,
    },
  ]);
}
