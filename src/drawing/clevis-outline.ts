import type { PartOf } from '../core/parts/part';
import { curve, rectangle } from './path';

const MM = 1000;

/** A clevis square on: two legs down to the wire, the bow that carries the blade above. */
export function clevisOutline(part: PartOf<'clevis'>, spanMm: number, upright: number): { legs: string; bow: string } {
  const leg = part.legThicknessM * MM;
  const bottom = (part.boreM * MM) / 2 + leg;
  const drop = part.dropM * MM + (part.lobeThicknessM * MM) / 2;
  const y = (value: number) => value * upright;
  const legs = [0, spanMm - leg].map((x) => rectangle(x, y(bottom), x + leg, y(-drop * 0.55))).join('');
  const bow = curve([
    { x: leg / 2, y: y(-drop * 0.5) },
    { x: leg * 0.8, y: y(-drop * 0.86) },
    { x: spanMm / 2, y: y(-drop) },
    { x: spanMm - leg * 0.8, y: y(-drop * 0.86) },
    { x: spanMm - leg / 2, y: y(-drop * 0.5) },
  ]);
  return { legs, bow };
}
