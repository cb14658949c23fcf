/** The side elevation of a build as shapes: everything but the turning blades and their clevises, which move. */
import { eyeLengthM } from '../core/parts/hook-form';
import { isBored } from '../core/parts/profile';
import type { Layout, PlacedEnd, PlacedEntry, PlacedOff } from '../core/lure/layout';
import type { Build, End, Item, ItemId } from '../core/lure/lure';
import type { Part } from '../core/parts/part';
import { darker, lighter } from './colour';
import { paintOf } from './paint';
import { faceOnShapes } from './blade-mesh';
import { boredShapes, dressingShapes, hookShapes, ringShapes } from './part-shapes';
import type { Shape } from './shape';
import { curve, ellipse, polyline, rectangle, turned } from './path';

/** What can be picked on the drawing and on the string. */
export type Pick = ItemId | 'wire' | End;

export interface DrawnThing {
  readonly pick: Pick;
  /** Where its own x = 0 lies, mm; mirrored things run to the nose. */
  readonly atMm: number;
  readonly mirrored: boolean;
  readonly shapes: readonly Shape[];
  /** Box to hit, mm: from, to and half height about the axis. */
  readonly hit: { readonly x0: number; readonly x1: number; readonly halfHeight: number };
}

const MM = 1000;

/** A part's shapes stay the same while it does, so that a change elsewhere redraws nothing of it. */
const known = new WeakMap<Part, { readonly plain: Shape[]; readonly flipped: Shape[] }>();

function shapesOf({ part, flipped }: Item): Shape[] {
  let both = known.get(part);
  if (!both) {
    both = {
      plain: partShapes(part, false),
      flipped: isBored(part) ? partShapes(part, true) : partShapes(part, false),
    };
    known.set(part, both);
  }
  return flipped ? both.flipped : both.plain;
}

function partShapes(part: Part, flipped: boolean): Shape[] {
  switch (part.kind) {
    case 'splitRing':
      return ringShapes(part);
    case 'hook':
      return hookShapes(part);
    case 'dressing':
      return dressingShapes(part);
    case 'blade':
      return faceOnShapes(part);
    default:
      return isBored(part) ? boredShapes(part, flipped) : [];
  }
}

/** Back to front. */
export function drawElevation(build: Build, layout: Layout): DrawnThing[] {
  const chain = layout.off.filter(({ how, item }) => how === 'hung' && item.part.kind !== 'blade');
  const tied = layout.off.filter(({ how }) => how === 'tied');
  const over = layout.off.filter(({ how }) => how === 'over');
  // Clevises and films turn; they are painted with the blades.
  const onWire = layout.strand.filter(({ item: { part } }) => part.kind !== 'clevis' && part.kind !== 'filmBlade');
  const hanging = layout.off.filter(
    ({ item, parent }) => item.part.kind === 'blade' && !layout.clevises.some((clevis) => clevis.item.id === parent),
  );
  return [
    endLoop('tail', build, layout),
    endLoop('nose', build, layout),
    ...[...hanging, ...chain, ...tied].map(drawOff),
    shaft(build, layout),
    ...onWire.filter(({ item }) => item.part.kind !== 'shrinkTube').map((entry) => drawEntry(entry)),
    ...over.map(drawOff),
    ...onWire.filter(({ item }) => item.part.kind === 'shrinkTube').map((entry) => drawTube(entry, layout)),
  ];
}

function thing(
  pick: Pick,
  x0M: number,
  x1M: number,
  halfHeightM: number,
  shapes: Shape[],
  mirrored = false,
): DrawnThing {
  const [x0, x1] = [x0M * MM, x1M * MM];
  return { pick, atMm: mirrored ? x1 : x0, mirrored, shapes, hit: { x0, x1, halfHeight: halfHeightM * MM } };
}

function shaft(build: Build, { shaft: span, wireDiameterM }: Layout): DrawnThing {
  const radius = (wireDiameterM * MM) / 2;
  const length = (span.x1M - span.x0M) * MM;
  const shapes = [{ d: rectangle(0, -radius, length, radius), fill: paintOf(build.carrier.wire.finish, 'across') }];
  return thing('wire', span.x0M, span.x1M, Math.max(wireDiameterM / 2, 0.0008), shapes);
}

/** Loop and wraps. Local x runs from the outer end of the loop inward, so that both ends are one drawing. */
function endLoop(end: End, build: Build, layout: Layout): DrawnThing {
  const placed: PlacedEnd = layout[end];
  const { hex } = build.carrier.wire.finish;
  const wire = layout.wireDiameterM * MM;
  const loop = (placed.x1M - placed.x0M) * MM;
  const wrapsM = placed.wraps.x1M - placed.wraps.x0M;
  const radius = placed.loopInsideRadiusM * MM + wire / 2;
  const turns = Math.round((wrapsM * MM) / wire);
  const wraps = Array.from({ length: turns }, (_, i): Shape[] => {
    const x = loop + (i + 0.5) * wire;
    const d = polyline([
      { x: x - wire * 0.22, y: -wire * 1.05 },
      { x: x + wire * 0.22, y: wire * 1.05 },
    ]);
    return [
      { d, stroke: darker(hex, 0.5), strokeWidth: wire * 0.98, round: true },
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
  const shapes: Shape[] =
    placed.form === 'plain'
      ? []
      : [
          { d: ring, stroke: darker(hex, 0.5), strokeWidth: wire },
          { d: ring, stroke: hex, strokeWidth: wire * 0.7 },
          { d: neck, stroke: darker(hex, 0.4), strokeWidth: wire, round: true },
          { d: ring, stroke: lighter(hex, 0.6), strokeWidth: wire * 0.2, opacity: 0.85 },
          ...wraps,
        ];
  const x0M = Math.min(placed.x0M, placed.wraps.x0M);
  const x1M = Math.max(placed.x1M, placed.wraps.x1M);
  return thing(end, x0M, x1M, placed.loopInsideRadiusM + layout.wireDiameterM, shapes, end === 'tail');
}

function drawEntry({ item, x0M, x1M, radiusM }: PlacedEntry): DrawnThing {
  const shapes = shapesOf(item);
  return thing(item.id, x0M, Math.max(x1M, x0M), radiusM, shapes);
}

function drawOff({ item, x0M, x1M, forward }: PlacedOff): DrawnThing {
  const { part } = item;
  const mirrored = forward && !isBored(part);
  return thing(item.id, x0M, x1M, halfHeightOff(part), shapesOf(item), mirrored);
}

function halfHeightOff(part: Part): number {
  switch (part.kind) {
    case 'splitRing':
      return part.outerDiameterM / 2;
    case 'hook':
      return part.gapM;
    case 'dressing':
      return part.bulkM / 2;
    case 'blade':
      return part.widthM / 2;
    case 'bell':
      return 0.005;
    default:
      return isBored(part) ? 0.003 : 0.006;
  }
}

/** A shrunk tube follows what lies under it. */
function drawTube(entry: PlacedEntry, layout: Layout): DrawnThing {
  const { item, x0M, x1M } = entry;
  const { part } = item;
  if (part.kind !== 'shrinkTube') return drawEntry(entry);
  const wall = part.suppliedWallM * 1.6;
  const least = part.recoveredBoreM / 2 + wall;
  const { tail, wireDiameterM: d } = layout;
  const lies = (xM: number): number => {
    if (xM < tail.x0M) return 1.5 * d + wall;
    if (xM < tail.x1M - d) return tail.loopInsideRadiusM + d + wall;
    const under = layout.off.find(({ item: { part: each }, x0M: from, x1M: to }) => {
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
  return thing(item.id, x0M, x1M, halfHeightM, [
    {
      d: turned([{ x: 0, y: 0 }, ...profile, { x: (x1M - x0M) * MM, y: 0 }]),
      fill: paintOf(part.finish, 'across'),
      stroke: darker(part.finish.hex, 0.4),
      strokeWidth: 0.12,
      opacity: part.finish.sheen === 'clear' ? 0.7 : 0.94,
    },
  ]);
}
