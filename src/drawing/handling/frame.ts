import type { Point } from '../path';
import type { Shape } from '../shape';

/** What a picture of handling shows, one moment after the other; the words are written where it is shown. */
export type Moment =
  | 'loopHalf'
  | 'loopRound'
  | 'loopWrapped'
  | 'loopClosed'
  | 'loopGap'
  | 'lowerLegs'
  | 'bladesHung'
  | 'upperLegs'
  | 'ringParted'
  | 'ringOn'
  | 'ringRound'
  | 'bandOver'
  | 'bandOn'
  | 'trailerBeside'
  | 'trailerOn'
  | 'lockTurns'
  | 'lockTwist'
  | 'lockPressed'
  | 'lineThroughEye'
  | 'wrapsOpen'
  | 'snellDrawn'
  | 'knotThrough'
  | 'knotTurns'
  | 'knotDrawn'
  | 'loopDoubled'
  | 'loopKnotted'
  | 'linkLooped'
  | 'linkTied'
  | 'baitBeside'
  | 'baitOn'
  | 'gateOpen'
  | 'gateShut'
  | 'nailMarked'
  | 'nailStarted'
  | 'nailIn'
  | 'eyeHole'
  | 'eyeTurned'
  | 'eyeSquare';

export interface Frame {
  readonly moment: Moment;
  /** Back to front. */
  readonly layers: readonly Layer[];
  /** Millimetres, y down. */
  readonly box: { readonly x0: number; readonly y0: number; readonly x1: number; readonly y1: number };
  /** A length shown in it, from one point to the other. */
  readonly measure: { readonly from: Point; readonly to: Point; readonly lengthM: number } | null;
}

/** Shapes set at a place, at a scale. */
export interface Layer {
  readonly shapes: readonly Shape[];
  readonly at: Point;
  readonly scale: number;
}

export function layer(shapes: readonly Shape[], x = 0, y = 0, scale = 1): Layer {
  return { shapes, at: { x, y }, scale };
}

/** Makes moments within one box, without a measure. */
export function frameIn(box: Frame['box']): (moment: Moment, shapes: readonly Shape[]) => Frame {
  return (moment, shapes) => ({ moment, layers: [layer(shapes)], box, measure: null });
}

export const MM = 1000;

/** An arrow along a way, its head at the end. */
export function arrow(points: readonly Point[], d: string, size: number): Shape[] {
  const tip = points.at(-1) ?? { x: 0, y: 0 };
  const before = points.at(-2) ?? tip;
  const angle = Math.atan2(tip.y - before.y, tip.x - before.x);
  const wing = (turn: number) => ({
    x: tip.x - size * Math.cos(angle + turn),
    y: tip.y - size * Math.sin(angle + turn),
  });
  const [a, b] = [wing(0.45), wing(-0.45)];
  return [
    { d, stroke: ARROW, strokeWidth: size * 0.28, round: true },
    { d: `M${a.x} ${a.y}L${tip.x} ${tip.y}L${b.x} ${b.y}`, stroke: ARROW, strokeWidth: size * 0.28, round: true },
  ];
}

/** Takes the colour of the page's accent. */
const ARROW = 'var(--accent)';

/** Points round a circle, angles anticlockwise from the right as seen, y down. */
export function arc(cx: number, cy: number, radius: number, fromRad: number, toRad: number, steps = 28): Point[] {
  return Array.from({ length: steps + 1 }, (_, i) => {
    const angle = fromRad + ((toRad - fromRad) * i) / steps;
    return { x: cx + radius * Math.cos(angle), y: cy - radius * Math.sin(angle) };
  });
}
