/** SVG path text from points in millimetres: x to the tail, y down. */

export interface Point {
  readonly x: number;
  readonly y: number;
}

const f = (value: number) => (Math.round(value * 1000) / 1000).toString();

export function polyline(points: readonly Point[]): string {
  return points.map(({ x, y }, i) => `${i === 0 ? 'M' : 'L'}${f(x)} ${f(y)}`).join('');
}

export function polygon(points: readonly Point[]): string {
  return `${polyline(points)}Z`;
}

/** A soft line through the points (Catmull–Rom). */
export function curve(points: readonly Point[]): string {
  const at = (i: number) => points[Math.min(points.length - 1, Math.max(0, i))] as Point;
  return points
    .map((point, i) => {
      if (i === 0) return `M${f(point.x)} ${f(point.y)}`;
      const [before, from, next] = [at(i - 2), at(i - 1), at(i + 1)];
      const c1 = { x: from.x + (point.x - before.x) / 6, y: from.y + (point.y - before.y) / 6 };
      const c2 = { x: point.x - (next.x - from.x) / 6, y: point.y - (next.y - from.y) / 6 };
      return `C${f(c1.x)} ${f(c1.y)} ${f(c2.x)} ${f(c2.y)} ${f(point.x)} ${f(point.y)}`;
    })
    .join('');
}

export function ellipse(cx: number, cy: number, rx: number, ry: number): string {
  return `M${f(cx - rx)} ${f(cy)}a${f(rx)} ${f(ry)} 0 1 0 ${f(2 * rx)} 0a${f(rx)} ${f(ry)} 0 1 0 ${f(-2 * rx)} 0Z`;
}

export function rectangle(x0: number, y0: number, x1: number, y1: number): string {
  return `M${f(x0)} ${f(y0)}H${f(x1)}V${f(y1)}H${f(x0)}Z`;
}

/** A turned piece: the profile above the axis and its mirror below. */
export function turned(profile: readonly Point[]): string {
  return polygon([...profile.map(({ x, y }) => ({ x, y: -y })), ...[...profile].reverse()]);
}

/** The same unordered numbers on every machine: a value in 0…1 for each pair. */
export function scatter(index: number, salt: number): number {
  const value = Math.sin(index * 12.9898 + salt * 78.233) * 43758.5453;
  return value - Math.floor(value);
}
