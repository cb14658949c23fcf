/** A bent wire from the side, in millimetres: its lead, its open end, and wire as metal. */
import type { WireEnd } from '../core/parts/wire-form';
import type { WirePath } from '../core/carriers/wire-path';
import { edgeOf, lighter } from './colour';
import { polyline, type Point } from './path';
import type { Shape } from './shape';

const MM = 1000;

/** One way for the whole lead; where it crosses itself in a coil the later part lies over the earlier. */
export function leadPaths({ sections }: WirePath): string[] {
  const points: Point[] = [];
  for (const section of sections) {
    for (const { xM, yM } of points.length === 0 ? section.points : section.points.slice(1)) {
      points.push({ x: xM * MM, y: -yM * MM });
    }
  }
  return points.length > 1 ? [polyline(points)] : [];
}

/** Round wire along a way: its dark edge, its metal, its light. */
export function wireStrokes(d: string, wireMm: number, hex: string): Shape[] {
  return [
    { d, stroke: edgeOf(hex, 0.5), strokeWidth: wireMm, round: true },
    { d, stroke: hex, strokeWidth: wireMm * 0.7, round: true },
    { d, stroke: lighter(hex, 0.6), strokeWidth: wireMm * 0.22, round: true, opacity: 0.85 },
  ];
}

/** An end without wraps, its own x from where the arm ends: a round loop as far as it is closed, or the wire turned down. */
export function bentEndShapes(end: WireEnd, wireMm: number, hex: string): Shape[] {
  if (end.form === 'bentOver') {
    const down = end.lengthM * MM;
    const way = [
      { x: -wireMm, y: 0 },
      { x: wireMm * 0.2, y: 0 },
      { x: wireMm * 0.5, y: wireMm * 0.3 },
      { x: wireMm * 0.5, y: down },
    ];
    return wireStrokes(polyline(way), wireMm, hex);
  }
  if (end.form !== 'bentLoop') return [];
  const radius = (end.insideDiameterM * MM + wireMm) / 2;
  // From the arm over the top and round; what is open lies under the arm.
  const open = Math.min((end.gapM * MM) / radius, 2.4) + 0.25;
  const turn = 2 * Math.PI - open;
  const centre = { x: radius, y: radius * 0.55 };
  const from = Math.atan2(-centre.y, -centre.x);
  const round = Array.from({ length: 33 }, (_, i) => {
    const angle = from + (i / 32) * turn;
    return { x: centre.x + radius * Math.cos(angle), y: centre.y + radius * Math.sin(angle) };
  });
  return wireStrokes(polyline([{ x: -wireMm, y: 0 }, ...round]), wireMm, hex);
}
