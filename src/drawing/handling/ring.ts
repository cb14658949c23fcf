/** A split ring opened with its pliers, and an eye led round it: from the ring's own diameter and wire. */
import type { PartOf } from '../../core/parts/part';
import { wireStrokes } from '../bent-wire';
import { darker } from '../colour';
import { ellipse, polygon, polyline } from '../path';
import type { Shape } from '../shape';
import { arc, arrow, frameIn, MM, type Frame } from './frame';

const TOOL = '#7d888c';

/** @param eyeM inside of the eye that is put on, m */
export function ringFrames(ring: PartOf<'splitRing'>, eyeM: number, eyeHex: string): Frame[] {
  const wire = ring.wireDiameterM * MM;
  const radius = (ring.outerDiameterM * MM - wire) / 2;
  const { hex } = ring.finish;
  const under = wireStrokes(polyline(arc(0, 0, radius, 0.25, 2 * Math.PI - 0.15, 60)), wire, darker(hex, 0.18));
  /** The upper coil, its end lifted off at the right by `lift`. */
  const over = (lift: number) =>
    wireStrokes(
      polyline(
        arc(0, 0, radius, 0.1, 2 * Math.PI, 60).map(({ x, y }, i) => {
          const share = Math.max(0, 1 - i / 16);
          return { x: x + lift * share * 0.8, y: y - wire * 0.5 - lift * share * 0.35 };
        }),
      ),
      wire,
      hex,
    );
  const eyeRadius = Math.max((eyeM * MM) / 2 + 0.5, wire * 1.4);
  const eye = (angle: number): Shape[] => {
    const [x, y] = [(radius + eyeRadius * 0.55) * Math.cos(angle), -(radius + eyeRadius * 0.55) * Math.sin(angle)];
    return [{ d: ellipse(x, y, eyeRadius, eyeRadius), stroke: darker(eyeHex, 0.3), strokeWidth: Math.max(wire, 0.6) }];
  };
  const lift = wire * 2.4;
  const tooth: Shape = {
    d: polygon([
      { x: radius + lift + 4, y: -3.2 },
      { x: radius + 0.2, y: -0.5 },
      { x: radius + 0.2, y: 0.1 },
      { x: radius + lift + 4, y: 0.6 },
    ]),
    fill: TOOL,
    stroke: darker(TOOL, 0.4),
    strokeWidth: 0.15,
  };
  const reach = radius + 1.7 * eyeRadius + 0.6;
  const box = { x0: -reach, y0: -reach, x1: reach + 1.5, y1: radius + wire * 2 };
  const way = arc(0, 0, radius + eyeRadius * 1.7, 0.5, 2.2, 20);
  const frame = frameIn(box);
  return [
    frame('ringParted', [...under, tooth, ...over(lift)]),
    frame('ringOn', [...under, ...eye(0.35), ...over(lift), ...arrow(way, polyline(way), 1.1)]),
    frame('ringRound', [...eye(Math.PI), ...under, ...over(0)]),
  ];
}
