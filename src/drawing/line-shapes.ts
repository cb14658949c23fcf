/** Line and what is on it, in millimetres; the axis is the line. */
import { knotLength } from '../core/parts/knots';
import type { Bait } from '../core/parts/kinds/bait';
import type { Finish } from '../core/parts/kinds/common';
import type { HookDisc } from '../core/parts/kinds/hook-disc';
import type { Link } from '../core/parts/kinds/link';
import type { Snap } from '../core/parts/kinds/snap';
import type { Stop } from '../core/parts/kinds/stop';
import type { WireEnd } from '../core/parts/wire-form';
import { wireStrokes } from './bent-wire';
import { darker, edgeOf, lighter } from './colour';
import { paintOf } from './paint';
import { OUTLINE_MM } from './part-shapes';
import { curve, ellipse, polygon, polyline, rectangle, turned, type Point } from './path';
import type { Shape } from './shape';

const MM = 1000;

/** Turns of line side by side about something this thick, from x on. */
export function turnsOfLine(fromMm: number, count: number, lineMm: number, aboutMm: number, hex: string): Shape[] {
  const half = (aboutMm + lineMm) / 2;
  return Array.from({ length: count }, (_, i): Shape[] => {
    const x = fromMm + (i + 0.5) * lineMm;
    const d = polyline([
      { x: x - lineMm * 0.25, y: -half },
      { x: x + lineMm * 0.25, y: half },
    ]);
    return [
      { d, stroke: edgeOf(hex, 0.45), strokeWidth: lineMm * 0.96, round: true },
      { d, stroke: lighter(hex, 0.25), strokeWidth: lineMm * 0.5, round: true },
    ];
  }).flat();
}

/** A knotted end, its own x from the outer end inward; a loop hangs drawn out by what is in it. */
export function lineEndShapes(
  end: Extract<WireEnd, { form: 'knot' | 'tiedLoop' }>,
  lineMm: number,
  loopMm: number,
  halfMm: number,
  hex: string,
): Shape[] {
  if (end.form === 'knot') {
    const long = knotLength(end, lineMm / MM) * MM;
    return [
      ...turnsOfLine(0, Math.max(2, Math.round(long / lineMm)), lineMm, lineMm, hex),
      ...wireStrokes(
        polyline([
          { x: lineMm, y: -lineMm },
          { x: lineMm * 2.4, y: -lineMm * 3.2 },
        ]),
        lineMm * 0.9,
        hex,
      ),
    ];
  }
  const side = (sign: number): Point[] => [
    { x: loopMm, y: 0 },
    { x: loopMm * 0.6, y: sign * halfMm },
    { x: loopMm * 0.22, y: sign * halfMm * 0.95 },
    { x: lineMm * 0.4, y: 0 },
  ];
  return [
    ...wireStrokes(curve(side(-1)), lineMm, hex),
    ...wireStrokes(curve(side(1)), lineMm, hex),
    ...turnsOfLine(loopMm, 6, lineMm, lineMm * 1.6, hex),
  ];
}

/** Braid looped through the eye before it and tied to the one behind. */
export function linkShapes({ diameterM, finish }: Pick<Link, 'diameterM' | 'finish'>, lengthMm: number): Shape[] {
  const line = diameterM * MM;
  const { hex } = finish;
  return [
    ...wireStrokes(
      polyline([
        { x: 0, y: 0 },
        { x: lengthMm, y: 0 },
      ]),
      line,
      hex,
    ),
    ...turnsOfLine(Math.min(1.2, lengthMm * 0.2), 4, line, line * 1.5, hex),
    ...turnsOfLine(lengthMm - 4 * line, 4, line, line, hex),
  ];
}

/** A clip of wire, its swivel before it where it has one. */
export function snapShapes({ lengthM, widthM, wireDiameterM, style, eyeInnerDiameterM, finish }: Snap): Shape[] {
  const [long, half, wire] = [lengthM * MM, (widthM * MM) / 2, wireDiameterM * MM];
  const { hex } = finish;
  const eye = (eyeInnerDiameterM * MM) / 2;
  const front = style === 'plain' ? 2 * (eye + wire) : long * 0.42;
  const bow = curve([
    { x: front, y: -half * 0.35 },
    { x: front + (long - front) * 0.35, y: -half },
    { x: long - half * 0.6, y: -half },
    { x: long - wire / 2, y: 0 },
    { x: long - half * 0.6, y: half },
    { x: front + (long - front) * 0.35, y: half },
    { x: front, y: half * 0.35 },
  ]);
  const clasp = polyline([
    { x: front + (long - front) * 0.3, y: -half * 1.1 },
    { x: front + (long - front) * 0.3, y: half * 1.1 },
  ]);
  const swivel: Shape[] =
    style === 'plain'
      ? []
      : [
          {
            d: turned([
              { x: 2 * (eye + wire), y: half * 0.35 },
              { x: front * 0.75, y: half * 0.6 },
              { x: front, y: half * 0.35 },
            ]),
            fill: paintOf(finish, 'across'),
            stroke: edgeOf(hex, 0.5),
            strokeWidth: OUTLINE_MM,
          },
        ];
  return [
    ...wireStrokes(ellipse(eye + wire, 0, eye + wire / 2, eye + wire / 2), wire, hex),
    ...swivel,
    ...wireStrokes(bow, wire, hex),
    ...wireStrokes(clasp, wire * 0.9, hex),
  ];
}

/** A disc on the point of a hook, seen on its edge. */
export function discShapes({ diameterM, thicknessM, finish }: HookDisc): Shape[] {
  const radius = (diameterM * MM) / 2;
  return [
    {
      d: rectangle(0, -radius, thicknessM * MM, radius),
      fill: paintOf(finish, 'across'),
      stroke: edgeOf(finish.hex, 0.5),
      strokeWidth: OUTLINE_MM,
    },
  ];
}

export function stopShapes({ style, lengthM, diameterM, finish }: Stop): Shape[] {
  const [long, radius] = [lengthM * MM, (diameterM * MM) / 2];
  const { hex } = finish;
  if (style === 'knot') return turnsOfLine(0, Math.max(3, Math.round(long / (radius * 0.8))), long / 5, radius, hex);
  const profile: Point[] =
    style === 'peg'
      ? [
          { x: 0, y: radius * 0.5 },
          { x: long, y: radius },
        ]
      : Array.from({ length: 13 }, (_, i) => {
          const share = i / 12;
          return { x: share * long, y: radius * Math.sqrt(Math.max(0.1, 1 - (2 * share - 1) ** 2)) };
        });
  const body: Shape = {
    d: turned(profile),
    fill: paintOf(finish, 'across'),
    stroke: edgeOf(hex, 0.5),
    strokeWidth: OUTLINE_MM,
  };
  if (style !== 'shot') return [body];
  // The slit that was pinched shut on the line.
  const slit = polyline([
    { x: long * 0.08, y: 0 },
    { x: long * 0.92, y: 0 },
  ]);
  return [body, { d: slit, stroke: darker(hex, 0.5), strokeWidth: 0.25 }];
}

/** A bait from its head at x = 0, see-through, so that the hooks in it show. */
export function baitShapes({
  style,
  lengthM,
  bodyM,
  finish,
}: Pick<Bait, 'style' | 'lengthM' | 'bodyM' | 'finish'>): Shape[] {
  const [long, body] = [lengthM * MM, bodyM * MM];
  const { hex } = finish;
  const half = BODY[style];
  const steps = 28;
  const upper = Array.from({ length: steps + 1 }, (_, i): Point => {
    const share = i / steps;
    return { x: share * long, y: -half(share) * body - sway(style, share) * body };
  });
  const lower = Array.from({ length: steps + 1 }, (_, i): Point => {
    const share = 1 - i / steps;
    return { x: share * long, y: half(share) * body - sway(style, share) * body };
  });
  const outline: Shape = {
    d: polygon([...upper, ...lower]),
    fill: paintOf(finish, 'across'),
    stroke: edgeOf(hex, 0.4),
    strokeWidth: OUTLINE_MM,
    opacity: 0.55,
  };
  return [outline, ...marks(style, long, body, finish)];
}

/** Half thickness along a bait as a share of its thickest. */
const BODY: Readonly<Record<Bait['style'], (share: number) => number>> = {
  worm: (share) => 0.5 * Math.min(1, Math.sqrt(share * 14)) * Math.min(1, Math.sqrt((1 - share) * 6)),
  minnow: (share) =>
    share < 0.85 ? 0.5 * Math.sin(Math.PI * Math.min(1, (share + 0.08) / 1.05)) ** 0.7 : 0.12 + (share - 0.85) * 2,
  leech: (share) => 0.5 * Math.sin(Math.PI * share) ** 0.5 * (0.6 + 0.4 * share),
};

function sway(style: Bait['style'], share: number): number {
  return style === 'minnow' ? 0 : 0.18 * share * Math.sin(share * 9);
}

function marks(style: Bait['style'], long: number, body: number, { hex }: Finish): Shape[] {
  if (style === 'minnow') {
    return [
      { d: ellipse(long * 0.07, -body * 0.08, body * 0.09, body * 0.09), fill: darker(hex, 0.8), opacity: 0.8 },
      {
        d: curve([
          { x: long * 0.15, y: 0 },
          { x: long * 0.5, y: -body * 0.05 },
          { x: long * 0.85, y: 0 },
        ]),
        stroke: lighter(hex, 0.5),
        strokeWidth: body * 0.08,
        opacity: 0.5,
      },
    ];
  }
  if (style === 'leech') return [];
  // Rings of the worm, and its saddle behind the head.
  const rings = Array.from({ length: Math.floor(long / 2.4) }, (_, i) => {
    const share = ((i + 1) * 2.4) / long;
    const half = BODY.worm(share) * body;
    const lift = -sway('worm', share) * body;
    return polyline([
      { x: share * long, y: lift - half * 0.85 },
      { x: share * long + 0.25, y: lift + half * 0.85 },
    ]);
  });
  return [
    { d: rings.join(''), stroke: darker(hex, 0.35), strokeWidth: 0.18, opacity: 0.5 },
    {
      d: ellipse(long * 0.24, -sway('worm', 0.24) * body, long * 0.05, body * 0.52),
      fill: lighter(hex, 0.25),
      opacity: 0.4,
    },
  ];
}
