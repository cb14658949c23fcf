/** Distances in the plane of the lure between closed outlines and open lines of points, m; below zero where one reaches into the other. */

export interface PlanePoint {
  readonly xM: number;
  readonly yM: number;
}

/**
 * The way from an open line to a closed outline. Below zero when points of the line lie inside: then how deep the deepest is.
 */
export function lineToOutline(line: readonly PlanePoint[], outline: readonly PlanePoint[]): number {
  let nearest = Infinity;
  let deepest = 0;
  line.forEach((point, i) => {
    const toRim = distanceToOutline(point, outline);
    if (isInside(point, outline)) deepest = Math.max(deepest, toRim);
    nearest = Math.min(nearest, toRim);
    const before = line[i - 1];
    if (before) for (const corner of outline) nearest = Math.min(nearest, toSegment(corner, before, point));
  });
  return deepest > 0 ? -deepest : nearest;
}

/** The way between two closed outlines; below zero by how deep the deepest corner of either lies in the other. */
export function outlineToOutline(a: readonly PlanePoint[], b: readonly PlanePoint[]): number {
  const [first, second] = [lineToOutline([...a, ...a.slice(0, 1)], b), lineToOutline([...b, ...b.slice(0, 1)], a)];
  return Math.min(first, second);
}

function distanceToOutline(point: PlanePoint, outline: readonly PlanePoint[]): number {
  let nearest = Infinity;
  outline.forEach((corner, i) => {
    nearest = Math.min(nearest, toSegment(point, corner, outline[(i + 1) % outline.length] ?? corner));
  });
  return nearest;
}

function isInside({ xM, yM }: PlanePoint, outline: readonly PlanePoint[]): boolean {
  let inside = false;
  outline.forEach((a, i) => {
    const b = outline[(i + 1) % outline.length] ?? a;
    const crosses = a.yM > yM !== b.yM > yM && xM < a.xM + ((yM - a.yM) / (b.yM - a.yM)) * (b.xM - a.xM);
    if (crosses) inside = !inside;
  });
  return inside;
}

/** The way from a point to a stretch of line, all as plain numbers: it stands in the innermost loops. */
export function toStretch(px: number, py: number, ax: number, ay: number, bx: number, by: number): number {
  const [dx, dy] = [bx - ax, by - ay];
  const length2 = dx * dx + dy * dy;
  const t = length2 === 0 ? 0 : ((px - ax) * dx + (py - ay) * dy) / length2;
  const u = Math.min(1, Math.max(0, t));
  return Math.hypot(px - ax - u * dx, py - ay - u * dy);
}

function toSegment(p: PlanePoint, a: PlanePoint, b: PlanePoint): number {
  return toStretch(p.xM, p.yM, a.xM, a.yM, b.xM, b.yM);
}
