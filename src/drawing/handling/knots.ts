/** Snells, knots and links as they are tied, from hook and line themselves; worms as they are threaded; a gate that is shut. */
import { clinchPath, frontAndBack, snellPath, type KnotPath, type Point3 } from '../../core/geometry/knot-path';
import { layOut } from '../../core/geometry/layout';
import { stateOf } from '../../core/lure/item-state';
import { childrenOf, itemOf, type Build, type End, type ItemId } from '../../core/lure/lure';
import { wireEnd, wireOf } from '../../core/carriers/carrier';
import type { Line } from '../../core/parts/kinds/line';
import type { Wire } from '../../core/parts/kinds/wire';
import { eyeLengthM } from '../../core/parts/hook-form';
import type { PartOf } from '../../core/parts/part';
import { wireStrokes } from '../bent-wire';
import { clevisOutline } from '../clevis-outline';
import { darker, edgeOf, lighter } from '../colour';
import { baitShapes, linkShapes } from '../line-shapes';
import { hookShapes } from '../part-shapes';
import { curve, ellipse, polyline, type Point } from '../path';
import type { Shape } from '../shape';
import { arrow, frameIn, layer, MM, type Frame, type Layer } from './frame';

/** How much looser than seated the turns are first shown. */
const LOOSE = { looseBy: 2.4 } as const;
/** Line is drawn no thinner than this beside what it is tied to, mm. */
const LEAST_LINE_MM = 0.28;

type LineLook = Pick<Wire | Line, 'diameterM' | 'finish'>;

const flat = (points: readonly Point3[]): Point[] => points.map(({ xM, yM }) => ({ x: xM * MM, y: -yM * MM }));

/** A line that is seen against any ground: a clear one a shade darker. */
function strokes(points: readonly Point[], { diameterM, finish }: LineLook, isFar = false): Shape[] {
  const hex = finish.sheen === 'clear' ? darker(finish.hex, 0.25) : finish.hex;
  return wireStrokes(polyline(points), Math.max(LEAST_LINE_MM, diameterM * MM), isFar ? darker(hex, 0.3) : hex);
}

/** A knot: what of its turns is behind, what they lie about, what of them is before. */
function tied({ standing, turns, end }: KnotPath, line: LineLook): Shape[] {
  const { front, back } = frontAndBack(turns);
  return [
    ...back.flatMap((points) => strokes(flat(points), line, true)),
    ...strokes(flat(standing), line),
    ...front.flatMap((points) => strokes(flat(points), line)),
    ...strokes(flat(end), line),
  ];
}

export function snellFrames(build: Build, id: ItemId): Frame[] {
  const item = itemOf(build, id);
  const { part } = item;
  const { snell } = stateOf(item, 'hook');
  if (part.kind !== 'hook' || !snell) return [];
  const line = wireOf(build.carrier);
  const eyeMm = eyeLengthM(part) * MM;
  const hook = hookShapes(part);
  const at = (shapes: readonly Shape[]): Layer => layer(shapes, eyeMm);
  const loose = snellPath(snell.wraps, part.wireDiameterM, line.diameterM, LOOSE);
  const seated = snellPath(snell.wraps, part.wireDiameterM, line.diameterM);
  const reach = Math.max(part.lengthM * MM, eyeMm + (loose.end.at(-1)?.xM ?? 0) * MM) + 3;
  const box = { x0: -11, y0: -part.gapM * MM - 3, x1: reach, y1: 4.5 };
  const wayIn: Point[] = [
    { x: -8, y: snell.enters === 'pointSide' ? -3 : 3 },
    { x: eyeMm * 0.4, y: snell.enters === 'pointSide' ? -1.4 : 1.4 },
  ];
  const through = strokes(
    [
      { x: -11 - eyeMm, y: -(part.wireDiameterM / 2) * MM },
      { x: part.lengthM * 0.55 * MM - eyeMm, y: -(part.wireDiameterM / 2) * MM },
    ],
    line,
  );
  const frame = (moment: Frame['moment'], layers: readonly Layer[]): Frame => ({ moment, box, measure: null, layers });
  return [
    frame('lineThroughEye', [layer(hook), at(through), layer(arrow(wayIn, polyline(wayIn), 1.4))]),
    frame('wrapsOpen', [layer(hook), at(tied(loose, line))]),
    frame('snellDrawn', [layer(hook), at(tied(seated, line))]),
  ];
}

/** A clinch or a palomar at an eye, or a loop in the line. */
export function knotFrames(build: Build, end: End): Frame[] {
  const form = wireEnd(build.carrier, end);
  const line = wireOf(build.carrier);
  if (form.form === 'tiedLoop') return loopFrames(line);
  if (form.form !== 'knot') return [];
  const eyeMm = 2.2;
  const eye: Shape[] = [{ d: ellipse(eyeMm, 0, eyeMm, eyeMm), stroke: EYE, strokeWidth: 0.8 }];
  const strands = form.knot === 'palomar' ? 2 : 1;
  const doubled = (shapes: readonly Shape[]): Layer[] =>
    Array.from({ length: strands }, (_, i) => layer(shapes, 0, i * 2 * line.diameterM * MM));
  const through = strokes(
    [
      { x: -14, y: -0.3 },
      { x: 1.2, y: -0.6 },
      { x: 2.4, y: 0.5 },
      { x: -6, y: 2.6 },
    ],
    line,
  );
  const loose = tied(clinchPath(form.turns, line.diameterM, LOOSE), line);
  const seated = tied(clinchPath(form.turns, line.diameterM), line);
  const box = { x0: -15, y0: -4.5, x1: 2 * eyeMm + 2, y1: 4.5 };
  const atEye = (moment: Frame['moment'], layers: readonly Layer[]): Frame => ({
    moment,
    box,
    measure: null,
    layers: [layer(eye), ...layers],
  });
  return [
    atEye('knotThrough', doubled(through)),
    atEye('knotTurns', doubled(loose)),
    atEye('knotDrawn', doubled(seated)),
  ];
}

const EYE = '#7d888c';

function loopFrames(line: LineLook): Frame[] {
  const frame = frameIn({ x0: -13, y0: -5, x1: 13, y1: 5 });
  const doubled = strokes(
    [
      { x: -12, y: -0.5 },
      { x: 9, y: -0.5 },
      { x: 11, y: 0 },
      { x: 9, y: 0.9 },
      { x: -8, y: 0.9 },
    ],
    line,
  );
  const knot = tied(clinchPath(2, 2 * line.diameterM, LOOSE), { ...line, diameterM: 2 * line.diameterM });
  const sides = [-1, 1].flatMap((side) =>
    strokes(
      [
        { x: 0, y: 0 },
        { x: 5, y: side * 2.2 },
        { x: 9, y: side * 2 },
        { x: 11, y: 0 },
      ],
      line,
    ),
  );
  return [frame('loopDoubled', doubled), frame('loopKnotted', [...sides, ...knot])];
}

/** The link looped through the eye before it, the hook behind tied to it, eye to eye as it is cut. */
export function linkFrames(build: Build, id: ItemId, hookId: ItemId): Frame[] {
  const link = itemOf(build, id);
  const front = itemOf(build, hookId).part;
  if (link.part.kind !== 'link' || front.kind !== 'hook') return [];
  const { lengthM } = stateOf(link, 'link');
  const rear = childrenOf(build, id)[0]?.part;
  const eyeMm = eyeLengthM(front) * MM;
  const endMm = eyeMm + lengthM * MM;
  const rearMm = rear?.kind === 'hook' ? rear.lengthM * MM : 4;
  const box = { x0: -5, y0: -front.gapM * MM - 5, x1: Math.max(endMm + rearMm, front.lengthM * MM) + 3, y1: 7 };
  const bight = strokes(
    [
      { x: eyeMm * 0.5, y: 3 },
      { x: eyeMm * 0.5 - 1.6, y: 0.4 },
      { x: eyeMm * 0.5, y: -1 },
      { x: eyeMm + 2, y: 0.2 },
      { x: endMm, y: 0.6 },
    ],
    link.part,
  );
  const measure = { from: { x: eyeMm, y: 4.5 }, to: { x: endMm, y: 4.5 }, lengthM };
  const hooks: Layer[] = [
    layer(hookShapes(front)),
    ...(rear?.kind === 'hook' ? [layer(hookShapes(rear), endMm - rear.wireDiameterM * MM)] : []),
  ];
  return [
    { moment: 'linkLooped', box, measure: null, layers: [layer(hookShapes(front)), layer(bight)] },
    { moment: 'linkTied', box, measure, layers: [...hooks, layer(linkShapes(link.part, lengthM * MM), eyeMm)] },
  ];
}

/** The bait beside its hooks, each point's place marked, and on them. */
export function baitFrames(build: Build, id: ItemId): Frame[] {
  const layout = layOut(build);
  const bait = layout.off.find(({ item }) => item.id === id);
  if (bait?.item.part.kind !== 'bait') return [];
  const { part } = bait.item;
  const hooks = layout.off.flatMap(({ item, x0M }) =>
    item.part.kind === 'hook' && x0M <= bait.x1M && x0M >= bait.x0M - 0.01 ? [{ hook: item.part, x0M }] : [],
  );
  const x = (alongM: number) => (alongM - bait.x0M) * MM;
  const gapMm = Math.max(...hooks.map(({ hook }) => hook.gapM * MM), 5);
  const box = { x0: -8, y0: -gapMm - 4, x1: part.lengthM * MM + 4, y1: part.bodyM * MM * 2.4 + 3 };
  const onHooks = hooks.map(({ hook, x0M }) => layer(hookShapes(hook), x(x0M)));
  const below = part.bodyM * MM * 1.6 + 1;
  const marks: Shape[] = hooks.map(({ hook, x0M }) => ({
    d: polyline([
      { x: x(x0M + hook.lengthM * 0.75), y: 0 },
      { x: x(x0M + hook.lengthM * 0.75), y: below },
    ]),
    stroke: 'var(--accent)',
    strokeWidth: 0.35,
    dash: [1.2, 1],
  }));
  const leader = strokes(
    [
      { x: -8, y: 0 },
      { x: x(Math.max(...hooks.map(({ x0M }) => x0M), bait.x0M)), y: 0 },
    ],
    wireOf(build.carrier),
  );
  const body = baitShapes(part);
  return [
    {
      moment: 'baitBeside',
      box,
      measure: null,
      layers: [layer(leader), ...onHooks, layer(body, 0, below), layer(marks)],
    },
    { moment: 'baitOn', box, measure: null, layers: [layer(leader), ...onHooks, layer(body)] },
  ];
}

/** A gate that is opened for a blade and pressed shut, to the rod. */
export function gateFrames(clevis: PartOf<'clevis'>, line: LineLook): Frame[] {
  if (clevis.style !== 'quickChange') return [];
  const span = (clevis.legGapM + 2 * clevis.legThicknessM) * MM;
  const drop = clevis.dropM * MM;
  const { legs, bow } = clevisOutline(clevis, span, 1);
  const { hex } = clevis.finish;
  const frame = frameIn({ x0: -9, y0: -drop - 4, x1: span + 8, y1: 4 });
  const thread = strokes(
    [
      { x: -9, y: 0 },
      { x: span + 8, y: 0 },
    ],
    line,
  );
  const body: Shape[] = [
    { d: bow, stroke: edgeOf(hex, 0.3), strokeWidth: clevis.lobeThicknessM * MM, round: true },
    { d: legs, fill: hex, stroke: edgeOf(hex, 0.5), strokeWidth: 0.12 },
  ];
  const gate = (open: number): Shape[] =>
    wireStrokes(
      curve([
        { x: span * 0.5, y: -drop - 0.2 },
        { x: -0.6 - open * 0.6, y: -drop * 0.9 - open },
        { x: -0.9 - open * 1.6, y: -drop * 0.45 - open * 0.3 },
      ]),
      clevis.lobeThicknessM * MM * 0.8,
      lighter(hex, 0.15),
    );
  const toRod: Point[] = [
    { x: -2, y: -drop - 2.4 },
    { x: -8, y: -drop - 2.4 },
  ];
  return [
    frame('gateOpen', [...thread, ...body, ...gate(1.8), ...arrow(toRod, polyline(toRod), 1.4)]),
    frame('gateShut', [...thread, ...body, ...gate(0)]),
  ];
}
