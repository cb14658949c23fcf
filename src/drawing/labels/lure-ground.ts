/** The ground of a stage that its lure takes: parts, wire, what the blades sweep; and where a label can meet a part. */
import type { Layout } from '../../core/geometry/layout';
import type { ItemId } from '../../core/lure/lure';
import { linePose, type DrawnThing, type PagePose } from '../drawn-things';
import { fromLine } from '../on-line';
import type { Motion } from '../motion';
import type { Point } from '../path';
import { usualSine } from '../stage-reach';
import { type StageView } from '../stage-view';
import { Ground } from './ground';

const PAGE: PagePose = { xMm: 0, yMm: 0, turnRad: 0 };
const WAY_PX = 10;
/** About each part, px. */
const EDGE_PX = 3;

export function lureGround(
  things: readonly DrawnThing[],
  motions: readonly Motion[],
  layout: Layout,
  view: StageView,
): Ground {
  const ground = new Ground(view.widthPx, view.heightPx);
  for (const thing of things) {
    if (thing.way !== null)
      ground.takeWay(
        pointsOf(thing.way).map(({ x, y }) => fromLine(view, PAGE, x * view.pxPerMm, y * view.pxPerMm)),
        WAY_PX,
      );
    else ground.takePolygon(cornersOf(thing, view, EDGE_PX));
  }
  for (const motion of motions) {
    const { hole, tips } = sweepOf(motion, layout, view);
    ground.takePolygon([hole, ...tips]);
  }
  return ground;
}

/** The hole and the two ends of the ring that the tip runs on, at the widest it usually stands or wider. */
export function sweepOf(motion: Motion, layout: Layout, view: StageView): { hole: Point; tips: [Point, Point] } {
  const { line, holeM, dropM, reachM, spreadRad, usualSpreadRad } = motion;
  const radius = (dropM + reachM * Math.max(usualSine(usualSpreadRad), Math.sin(spreadRad))) * 1000;
  const tipMm = (holeM + reachM * Math.cos(spreadRad)) * 1000;
  const pose = linePose(layout, line);
  const place = (xMm: number, yMm: number) => fromLine(view, pose, xMm * view.pxPerMm, yMm * view.pxPerMm);
  return { hole: place(holeM * 1000, 0), tips: [place(tipMm, -radius), place(tipMm, radius)] };
}

/** The middles of a part's long edges: where a label about it can point. */
export function anchorsOf(things: readonly DrawnThing[], item: ItemId | null, view: StageView): Point[] {
  const thing = things.find(({ pick, way }) => way === null && pick === item);
  if (!thing) return [];
  const [a, b, c, d] = cornersOf(thing, view, EDGE_PX);
  if (!a || !b || !c || !d) return [];
  const middle = (p: Point, q: Point): Point => ({ x: (p.x + q.x) / 2, y: (p.y + q.y) / 2 });
  return [middle(a, b), middle(c, d)];
}

/** Where something new would come on the wire of the first carrier: before the entry at this place, or behind the last. */
export function anchorOnStrand(layout: Layout, index: number, view: StageView): Point {
  const [entry, last] = [layout.strand[index], layout.strand.at(-1)];
  const alongM = entry?.x0M ?? last?.x1M ?? layout.freeRoom.x0M;
  return fromLine(view, linePose(layout, 'run'), alongM * 1000 * view.pxPerMm, 0);
}

/** The far side of an end of the wire. */
export function anchorAtEnd(layout: Layout, end: 'nose' | 'tail', view: StageView): Point {
  const { loopCentreM } = layout[end];
  return fromLine(view, linePose(layout, 'run'), loopCentreM * 1000 * view.pxPerMm, 0);
}

function cornersOf({ line, hit, liftMm }: DrawnThing, view: StageView, edgePx: number): Point[] {
  const edge = edgePx / view.pxPerMm;
  const [x0, x1] = [hit.x0 - edge, hit.x1 + edge];
  const half = hit.halfHeight + edge;
  return [
    { x: x0, y: -half - liftMm },
    { x: x1, y: -half - liftMm },
    { x: x1, y: half - liftMm },
    { x: x0, y: half - liftMm },
  ].map(({ x, y }) => fromLine(view, line, x * view.pxPerMm, y * view.pxPerMm));
}

/** The points of a way of straight pieces. */
function pointsOf(d: string): Point[] {
  return [...d.matchAll(/[ML](-?[\d.]+) (-?[\d.]+)/g)].map(([, x, y]) => ({ x: Number(x), y: Number(y) }));
}
