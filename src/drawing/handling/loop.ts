/** A loop at the end of a wire, rolled about round pliers: from its own inside diameter, wire and wraps. */
import type { WireEnd } from '../../core/parts/wire-form';
import type { Line } from '../../core/parts/kinds/line';
import type { Wire } from '../../core/parts/kinds/wire';
import { wireStrokes } from '../bent-wire';
import { darker, lighter } from '../colour';
import { ellipse, polyline, type Point } from '../path';
import type { Shape } from '../shape';
import { arc, arrow, frameIn, MM, type Frame } from './frame';

const PLIERS = '#8f999c';

export function loopFrames(form: WireEnd, wire: Wire | Line): Frame[] {
  if (form.form !== 'wrappedLoop' && form.form !== 'bentLoop') return [];
  const d = wire.diameterM * MM;
  const inside = (form.insideDiameterM * MM) / 2;
  const radius = inside + d / 2;
  const wraps = form.form === 'wrappedLoop' ? Math.round(form.wraps) : 0;
  const neck = -radius - d * 0.4;
  const shaftFrom = neck - (wraps + 5) * d - 3;
  const shaft: Point[] = [
    { x: shaftFrom, y: 0 },
    { x: neck - d * 0.6, y: 0 },
  ];
  const box = { x0: shaftFrom, y0: -radius - d - 4.5, x1: radius + d + 3, y1: radius + d + 4.5 };
  const strokes = (points: readonly Point[]) => wireStrokes(polyline(points), d, wire.finish.hex);
  const jaw: Shape[] = [
    {
      d: ellipse(0, 0, inside * 0.94, inside * 0.94),
      fill: lighter(PLIERS, 0.35),
      stroke: darker(PLIERS, 0.3),
      strokeWidth: 0.15,
    },
  ];
  const half = arc(0, 0, radius, Math.PI * 0.86, -0.1);
  const halfEnd = half.at(-1) ?? { x: radius, y: 0 };
  const tagDown = { x: halfEnd.x - 0.2, y: halfEnd.y + radius + 3 };
  const round = arc(0, 0, radius, Math.PI * 0.86, -Math.PI * 1.12, 44);
  const roundEnd = round.at(-1) ?? { x: neck, y: 0 };
  const tagUp = { x: neck - d, y: -radius - 3 };
  const frame = frameIn(box);
  if (form.form === 'bentLoop') {
    const gapRad = (form.gapM * MM) / radius;
    const closed = arc(0, 0, radius, Math.PI * 0.86, -Math.PI * 1.14 + Math.min(gapRad, 2), 44);
    return [
      frame('loopHalf', [...jaw, ...strokes([...shaft, ...half, tagDown]), ...turnArrow(radius + d + 1.6)]),
      frame(form.gapM > 0 ? 'loopGap' : 'loopClosed', strokes([...shaft, ...closed])),
    ];
  }
  const wrapped = Array.from({ length: wraps }, (_, i): Shape[] => {
    const x = neck - (i + 0.6) * d;
    return strokes([
      { x: x - d * 0.22, y: -d * 1.05 },
      { x: x + d * 0.22, y: d * 1.05 },
    ]);
  }).flat();
  return [
    frame('loopHalf', [...jaw, ...strokes([...shaft, ...half, tagDown]), ...turnArrow(radius + d + 1.6)]),
    frame('loopRound', [...jaw, ...strokes([...shaft, ...round]), ...strokes([roundEnd, tagUp])]),
    frame('loopWrapped', [...strokes([...shaft, ...round]), ...wrapped]),
  ];
}

function turnArrow(radius: number): Shape[] {
  const way = arc(0, 0, radius, 0.6, -0.5, 12);
  return arrow(way, polyline(way), 1.3);
}
