/** Distances in the plane of the lure between closed outlines and open lines of points, m; below zero where one reaches into the other. */

import { oncePer } from '../once';

export interface PlanePoint {
  readonly xM: number;
  readonly yM: number;
}

/** Points as plain numbers, and the box about them: distances stand in the innermost loops. */
interface Points {
  readonly count: number;
  readonly x: Float64Array;
  readonly y: Float64Array;
  readonly left: number;
  readonly right: number;
  readonly low: number;
  readonly high: number;
}

const pointsOf = oncePer((points: readonly PlanePoint[]): Points => {
  const count = points.length;
  const x = new Float64Array(count);
  const y = new Float64Array(count);
  let left = Infinity;
  let right = -Infinity;
  let low = Infinity;
  let high = -Infinity;
  for (let i = 0; i < count; i++) {
    const { xM, yM } = points[i] as PlanePoint;
    x[i] = xM;
    y[i] = yM;
    if (xM < left) left = xM;
    if (xM > right) right = xM;
    if (yM < low) low = yM;
    if (yM > high) high = yM;
  }
  return { count, x, y, left, right, low, high };
});

/**
 * The way from an open line to a closed outline. Below zero when points of the line lie inside: then how deep the deepest is.
 * @param knownM what is known to be nearer already: what lies further comes back as that
 */
export function lineToOutline(line: readonly PlanePoint[], outline: readonly PlanePoint[], knownM = Infinity): number {
  const [a, b] = [pointsOf(line), pointsOf(outline)];
  if (isFurther(a, b, knownM)) return knownM;
  const deepest = deepestIn(a, b);
  return Math.min(knownM, deepest > 0 ? -deepest : Math.sqrt(nearest2(a, false, b, true, knownM)));
}

/**
 * The way between two closed outlines; below zero by how deep the deepest corner of either lies in the other.
 * @param knownM as for lineToOutline
 */
export function outlineToOutline(a: readonly PlanePoint[], b: readonly PlanePoint[], knownM = Infinity): number {
  const [first, second] = [pointsOf(a), pointsOf(b)];
  if (isFurther(first, second, knownM)) return knownM;
  const deepest = Math.max(deepestIn(first, second), deepestIn(second, first));
  return Math.min(knownM, deepest > 0 ? -deepest : Math.sqrt(nearest2(first, true, second, true, knownM)));
}

/** Whether the boxes about both lie apart, and at least this far. */
function isFurther(a: Points, b: Points, knownM: number): boolean {
  const aside = Math.max(a.left - b.right, b.left - a.right, 0);
  const above = Math.max(a.low - b.high, b.low - a.high, 0);
  const apart2 = aside * aside + above * above;
  return apart2 > 0 && (knownM <= 0 || apart2 >= knownM * knownM);
}

/** How deep the deepest of these points lies in the outline; 0 when none does. */
function deepestIn(points: Points, outline: Points): number {
  let deepest = 0;
  for (let i = 0; i < points.count; i++) {
    const [x, y] = [points.x[i] as number, points.y[i] as number];
    if (x < outline.left || x > outline.right || y < outline.low || y > outline.high) continue;
    if (isInside(x, y, outline)) deepest = Math.max(deepest, Math.sqrt(toStretches2(x, y, outline, true, Infinity)));
  }
  return deepest;
}

/** Square of the shortest way between two lines of points; a closed one runs back from its last point to its first. */
function nearest2(a: Points, isClosedA: boolean, b: Points, isClosedB: boolean, knownM: number): number {
  const known2 = knownM > 0 ? knownM * knownM : 0;
  return cornersTo2(b, a, isClosedA, cornersTo2(a, b, isClosedB, known2));
}

/** From the points of one to the stretches of the other, or what was known to be nearer. */
function cornersTo2(points: Points, line: Points, isClosed: boolean, known: number): number {
  let nearest = known;
  for (let i = 0; i < points.count; i++) {
    const [x, y] = [points.x[i] as number, points.y[i] as number];
    const aside = Math.max(line.left - x, x - line.right, 0);
    const above = Math.max(line.low - y, y - line.high, 0);
    // No point of the line lies nearer than the box about it.
    if (aside * aside + above * above >= nearest) continue;
    nearest = toStretches2(x, y, line, isClosed, nearest);
  }
  return nearest;
}

function toStretches2(x: number, y: number, line: Points, isClosed: boolean, known: number): number {
  let nearest = known;
  let before = isClosed ? line.count - 1 : 0;
  for (let i = isClosed ? 0 : Math.min(1, line.count - 1); i < line.count; i++) {
    const distance2 = toStretch2(
      x,
      y,
      line.x[before] as number,
      line.y[before] as number,
      line.x[i] as number,
      line.y[i] as number,
    );
    if (distance2 < nearest) nearest = distance2;
    before = i;
  }
  return nearest;
}

function isInside(x: number, y: number, outline: Points): boolean {
  let inside = false;
  let before = outline.count - 1;
  for (let i = 0; i < outline.count; i++) {
    const [ax, ay] = [outline.x[before] as number, outline.y[before] as number];
    const [bx, by] = [outline.x[i] as number, outline.y[i] as number];
    if (ay > y !== by > y && x < ax + ((y - ay) / (by - ay)) * (bx - ax)) inside = !inside;
    before = i;
  }
  return inside;
}

/** Square of the way from a point to a stretch of line. */
export function toStretch2(px: number, py: number, ax: number, ay: number, bx: number, by: number): number {
  const dx = bx - ax;
  const dy = by - ay;
  const length2 = dx * dx + dy * dy;
  const t = length2 === 0 ? 0 : ((px - ax) * dx + (py - ay) * dy) / length2;
  const u = t < 0 ? 0 : t > 1 ? 1 : t;
  const x = px - ax - u * dx;
  const y = py - ay - u * dy;
  return x * x + y * y;
}
