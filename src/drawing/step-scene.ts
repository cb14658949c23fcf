/** The lure as it stands after a step of making, with what the step put on marked. */
import { carrierRoom } from '../core/carriers/carrier';
import { hookLimb } from '../core/parts/hook-form';
import { outsideRadius } from '../core/geometry/outside-radius';
import { stateOf } from '../core/lure/item-state';
import { itemOf, type Build, type End, type ItemId } from '../core/lure/lure';
import { nailsOf, type PlacedNail } from '../core/geometry/knocker';
import type { Layout } from '../core/geometry/layout';
import { poseOf, type Line, type PlacedEnd } from '../core/geometry/placed';
import { skirtOn } from '../core/geometry/skirt-on';
import { pointOn } from '../core/carriers/wire-path';
import type { MakeStep } from '../core/make/plan';
import type { Workpiece } from '../core/make/workpiece';
import { begunClevises } from './begun-clevis';
import { corks } from './corks';
import { tubeAsSold } from './drawn-kinds';
import type { DrawnThing } from './drawn-things';
import { stillLure, STOPPED_RAD, type StillLure } from './still-lure';

/** A box in the lure's own millimetres, y down. */
export interface Box {
  readonly x0: number;
  readonly y0: number;
  readonly x1: number;
  readonly y1: number;
}

export interface StepScene {
  readonly lure: StillLure;
  /** Everything painted, in its own millimetres. */
  readonly box: Box;
  /** Around what the step is about; null where it is about the whole. */
  readonly mark: Box | null;
  /** Where the bare wire is cut off for the drawing: its end, mm. */
  readonly brokenAt: { readonly xMm: number; readonly yMm: number } | null;
}

const MM = 1000;
/** Bare wire shown beyond what is on it, m; the rest is left out. */
const BARE_SHOWN_M = 0.026;
const UNBENT_SHOWN_M = 0.07;
/** Room about what is marked, mm. */
const ROUND = 1.2;

/**
 * @param goal what is being made
 * @param piece how it stands after the step
 * @param capped hooks with a cork on their points
 */
export function stepScene(goal: Build, piece: Workpiece, step: MakeStep, capped: readonly ItemId[] = []): StepScene {
  const isAside = step.items.length > 0 && step.items.every((id) => !piece.build.items[id]);
  return isAside ? sceneAside(goal, piece, step) : sceneOn(piece, step, capped);
}

function sceneOn(piece: Workpiece, step: MakeStep, capped: readonly ItemId[]): StepScene {
  const { build, isBroken } = shortened(piece.build);
  const still = stillLure(build);
  const lure = {
    ...still,
    things: [...still.things, ...begunClevises(build, still.layout), ...corks(still.layout, capped)],
  };
  const { layout } = lure;
  const marks = [
    ...step.items.flatMap((id) => boxesOfItem(build, lure, id)),
    ...('end' in step.operation && step.operation.end !== null ? endBox(layout, step.operation.end) : []),
    ...(step.operation.op === 'turnDown' ? endBox(layout, 'tail') : []),
  ];
  const skirts = layout.off.flatMap(({ item }) =>
    item.part.kind === 'skirt' ? boxesOfItem(build, lure, item.id) : [],
  );
  const far = carrierRoom(build.carrier).isAsLongAsItsStack ? layout.nose.x0M : layout.tail.x1M;
  const end = pointOn(layout.lines.run, far);
  return {
    lure,
    box: wholeBox(lure, [...marks, ...skirts]),
    mark: union(marks),
    brokenAt: isBroken ? { xMm: end.xM * MM, yMm: -end.yM * MM } : null,
  };
}

/** Pieces worked on before they go on, drawn as they will stand: only these. */
function sceneAside(goal: Build, piece: Workpiece, step: MakeStep): StepScene {
  const items = { ...goal.items };
  for (const { item } of piece.aside) items[item.id] = item;
  const build = { ...goal, items };
  const shown = new Set<ItemId>(step.items);
  for (const id of step.items) {
    const { seat } = itemOf(build, id);
    if (seat.on === 'item' && piece.aside.some(({ item }) => item.id === seat.item)) shown.add(seat.item);
  }
  const all = stillLure(build);
  const lure: StillLure = {
    ...all,
    things: all.things.filter(({ pick }) => shown.has(pick as ItemId)).map((each) => beforeFlame(build, each)),
    motions: all.motions.filter(({ station }) => shown.has(station)),
  };
  const boxes = [...shown].flatMap((id) => boxesOfItem(build, lure, id));
  const box = union(boxes) ?? { x0: -10, y0: -5, x1: 10, y1: 5 };
  return { lure, box, mark: null, brokenAt: null };
}

/** No tube is shrunk that is not on yet. */
function beforeFlame(build: Build, thing: DrawnThing): DrawnThing {
  const item = build.items[thing.pick as ItemId];
  if (item?.part.kind !== 'shrinkTube') return thing;
  const { hit } = thing;
  const cutM = stateOf(item, 'tube').cutLengthM ?? (hit.x1 - hit.x0) / MM / (1 - item.part.lengthwiseShrink);
  const { radius, shapes } = tubeAsSold(item.part, cutM * MM);
  return { ...thing, shapes, hit: { ...hit, x1: hit.x0 + cutM * MM, halfHeight: radius } };
}

function shortened(build: Build): { readonly build: Build; readonly isBroken: boolean } {
  const { carrier } = build;
  const room = carrierRoom(carrier);
  const bare = room.unworked(carrier);
  const shownM = room.isAsLongAsItsStack ? BARE_SHOWN_M : UNBENT_SHOWN_M;
  return bare && bare.lengthM > shownM
    ? { build: { ...build, carrier: bare.at(shownM) }, isBroken: true }
    : { build, isBroken: false };
}

function wholeBox({ layout, things, motions }: StillLure, marks: readonly Box[]): Box {
  const { x0M, x1M, y0M, y1M } = layout;
  const held = motions.map((motion): Box => {
    const { xM, yM } = pointOn(poseOf(layout, motion.line), motion.holeM);
    const reach = (motion.dropM + motion.reachM * Math.sin(motion.spreadRad)) * Math.abs(Math.cos(STOPPED_RAD)) * MM;
    return { x0: xM * MM, x1: (xM + motion.reachM) * MM, y0: -yM * MM - reach, y1: -yM * MM + reach * 0.4 };
  });
  const hit = things.map(({ line, hit: { x0, x1, halfHeight } }): Box => {
    const [cos, sin] = [Math.cos(line.turnRad), Math.sin(line.turnRad)];
    const ends = [x0, x1].map((x) => ({ x: line.xMm + x * cos, y: line.yMm + x * sin }));
    return {
      x0: Math.min(...ends.map(({ x }) => x)),
      x1: Math.max(...ends.map(({ x }) => x)),
      y0: Math.min(...ends.map(({ y }) => y)) - halfHeight,
      y1: Math.max(...ends.map(({ y }) => y)) + halfHeight,
    };
  });
  return union([
    { x0: x0M * MM, x1: x1M * MM, y0: -y1M * MM - 2, y1: -y0M * MM + 2 },
    ...held,
    ...hit,
    ...marks,
  ]) as Box;
}

function endBox(layout: Layout, end: End): Box[] {
  const { x0M, x1M, wraps, loopInsideRadiusM }: PlacedEnd = layout[end];
  const half = loopInsideRadiusM + layout.wireDiameterM;
  return [onLine(layout, 'run', Math.min(x0M, wraps.x0M), Math.max(x1M, wraps.x1M), -half, half)];
}

function boxesOfItem(build: Build, { layout, motions, things }: StillLure, id: ItemId): Box[] {
  const { part } = itemOf(build, id);
  const turning = motions.filter(({ station }) => station === id);
  if (turning.length > 0) {
    return turning.map((motion) => {
      const run = motion.reachM * Math.cos(motion.spreadRad);
      const high = (motion.dropM + motion.reachM * Math.sin(motion.spreadRad)) * Math.cos(STOPPED_RAD);
      return onLine(
        layout,
        motion.line,
        motion.holeM - 0.002,
        motion.holeM + Math.max(run, 0.004),
        -0.002,
        high + 0.002,
      );
    });
  }
  const strung = layout.strand.flatMap(({ item, x0M, x1M, radiusM }) =>
    item.id === id && part.kind !== 'hook' ? [onLine(layout, 'run', x0M, x1M, -radiusM, radiusM)] : [],
  );
  if (strung.length > 0) return strung;
  const nail = part.kind === 'nailWeight' ? nailsOf(build, layout).find((each) => each.nail.id === id) : undefined;
  if (nail) return [aboutNail(nail)];
  return layout.off.flatMap((placed) => {
    if (placed.item.id !== id || !things.some(({ pick }) => pick === id || pick === placed.parent)) return [];
    const { line, x0M, x1M, offAxisM } = placed;
    if (part.kind === 'skirt') {
      const { toNoseM, toTailM, flareRad } = skirtOn(build, placed.item);
      const out = Math.max(toNoseM, toTailM) * Math.sin(flareRad) * 0.6;
      return [onLine(layout, line, x0M - toNoseM * 0.4, x1M + toTailM * 1.05, -out, out)];
    }
    const half = part.kind === 'hook' ? hookLimb(part).pointTip.radiusM : Math.max(outsideRadius(part), 0.0015);
    return [onLine(layout, line, x0M, x1M, offAxisM - half, offAxisM + half)];
  });
}

function aboutNail({ end, tip, part: { diameterM } }: PlacedNail): Box {
  const half = (diameterM / 2) * MM + ROUND;
  return {
    x0: Math.min(end.xM, tip.xM) * MM - half,
    x1: Math.max(end.xM, tip.xM) * MM + half,
    y0: -Math.max(end.yM, tip.yM) * MM - ROUND,
    y1: -Math.min(end.yM, tip.yM) * MM + ROUND,
  };
}

function onLine(layout: Layout, line: Line, x0M: number, x1M: number, lowM: number, highM: number): Box {
  const corners = [x0M, x1M].flatMap((x) => [lowM, highM].map((y) => pointOn(poseOf(layout, line), x, y)));
  const [xs, ys] = [corners.map(({ xM }) => xM * MM), corners.map(({ yM }) => -yM * MM)];
  return {
    x0: Math.min(...xs) - ROUND,
    x1: Math.max(...xs) + ROUND,
    y0: Math.min(...ys) - ROUND,
    y1: Math.max(...ys) + ROUND,
  };
}

function union(boxes: readonly Box[]): Box | null {
  if (boxes.length === 0) return null;
  return {
    x0: Math.min(...boxes.map(({ x0 }) => x0)),
    y0: Math.min(...boxes.map(({ y0 }) => y0)),
    x1: Math.max(...boxes.map(({ x1 }) => x1)),
    y1: Math.max(...boxes.map(({ y1 }) => y1)),
  };
}
