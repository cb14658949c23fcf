/** The body of a hard bait and its hangers, in millimetres: its nose at x = 0, its axis at y = 0. */
import { bodyOutline } from '../core/carriers/body';
import { bodyAt, bodyProfile, lipOf } from '../core/parts/body-form';
import { nailsOf } from '../core/geometry/knocker';
import type { Layout } from '../core/geometry/layout';
import type { Build, ItemId } from '../core/lure/lure';
import type { LureBody } from '../core/parts/kinds/lure-body';
import type { NailState, NailWeight } from '../core/parts/kinds/nail-weight';
import type { ScrewEye } from '../core/parts/kinds/screw-eye';
import { darker, edgeOf, lighter } from './colour';
import { paintOf } from './paint';
import { OUTLINE_MM } from './part-shapes';
import { ellipse, polygon, polyline, rectangle, type Point } from './path';
import type { Shape } from './shape';

const MM = 1000;
/** Of a lip that is seen through. */
export const LIP_HEX = '#aebfc2';
/** Of the eyes at its ends. */
export const EYE_HEX = '#a7adb2';
/** Where its eye is painted, of its length, and how large, of its height. */
const EYE_AT = 0.13;
const EYE_SHARE = 0.13;
const GILL_AT = 0.25;
/** How thick a lip is drawn. */
const LIP_MM = 1;

/** The body from its side, with its lip and the eye that the line is tied to where that is not at its nose. */
export function lureBodyShapes(body: LureBody): Shape[] {
  const { hex } = body.finish;
  const stations = bodyProfile(body);
  const back = stations.map(({ xM, upM }): Point => ({ x: xM * MM, y: -upM * MM }));
  const belly = stations.map(({ xM, downM }): Point => ({ x: xM * MM, y: downM * MM }));
  // The belly is paler, as it is on a fish.
  const flank = stations.map(({ xM, downM }): Point => ({ x: xM * MM, y: downM * MM * 0.45 }));
  return [
    ...lipShapes(body),
    {
      d: polygon([...back, ...belly.toReversed()]),
      fill: paintOf(body.finish, 'across'),
      stroke: edgeOf(hex, 0.55),
      strokeWidth: OUTLINE_MM,
    },
    { d: polygon([...flank, ...belly.toReversed()]), fill: lighter(hex, 0.55), opacity: 0.35 },
    ...faceShapes(body),
  ];
}

function faceShapes(body: LureBody): Shape[] {
  const { hex } = body.finish;
  const eyeX = body.lengthM * EYE_AT * MM;
  const eye = Math.max(body.heightM * EYE_SHARE * MM, 0.6);
  const eyeY = -bodyAt(body, body.lengthM * EYE_AT).upM * MM * 0.35;
  const gill = bodyAt(body, body.lengthM * GILL_AT);
  const gillX = body.lengthM * GILL_AT * MM;
  return [
    {
      d: polyline([
        { x: gillX, y: -gill.upM * MM * 0.6 },
        { x: gillX + body.heightM * MM * 0.1, y: 0 },
        { x: gillX, y: gill.downM * MM * 0.6 },
      ]),
      stroke: darker(hex, 0.35),
      strokeWidth: 0.25,
      opacity: 0.6,
      round: true,
    },
    { d: ellipse(eyeX, eyeY, eye, eye), fill: '#f3efe2', stroke: edgeOf(hex, 0.6), strokeWidth: 0.14 },
    { d: ellipse(eyeX - eye * 0.1, eyeY, eye * 0.52, eye * 0.52), fill: '#161a1c' },
  ];
}

function lipShapes(body: LureBody): Shape[] {
  const lip = lipOf(body);
  if (!lip) return [];
  const across: Point = { x: Math.sin(body.lipDownRad) * LIP_MM, y: Math.cos(body.lipDownRad) * LIP_MM };
  // It is let into the body a little.
  const into: Point = { x: Math.cos(body.lipDownRad) * 3, y: -Math.sin(body.lipDownRad) * 3 };
  const root: Point = { x: lip.root.xM * MM + into.x, y: -lip.root.yM * MM + into.y };
  const tip: Point = { x: lip.tip.xM * MM, y: -lip.tip.yM * MM };
  return [
    {
      d: polygon([
        root,
        tip,
        { x: tip.x + across.x, y: tip.y + across.y },
        { x: root.x + across.x, y: root.y + across.y },
      ]),
      fill: LIP_HEX,
      stroke: edgeOf(LIP_HEX, 0.5),
      strokeWidth: OUTLINE_MM,
      opacity: 0.85,
    },
  ];
}

/** The eye at an end of a body, from its outer edge inward. */
export function endEyeShapes(outsideMm: number, wireMm: number): Shape[] {
  return eyeRing({ x: outsideMm / 2, y: 0 }, (outsideMm - wireMm) / 2, wireMm, EYE_HEX);
}

/** An eye of wire, looked at square. */
export function eyeRing({ x, y }: Point, radius: number, wire: number, hex: string): Shape[] {
  const ring = ellipse(x, y, radius, radius);
  return [
    { d: ring, stroke: edgeOf(hex, 0.5), strokeWidth: wire },
    { d: ring, stroke: hex, strokeWidth: wire * 0.7 },
    { d: ring, stroke: lighter(hex, 0.6), strokeWidth: wire * 0.2, opacity: 0.85 },
  ];
}

/** An eye that stands out of the skin, from x = 0; `down` where the skin is a belly's. */
export function screwEyeShapes(
  { eyeInnerDiameterM, wireDiameterM, finish: { hex } }: ScrewEye,
  down: boolean,
): Shape[] {
  const radius = ((eyeInnerDiameterM + wireDiameterM) / 2) * MM;
  const wire = wireDiameterM * MM;
  return eyeRing({ x: radius + wire / 2, y: (down ? 1 : -1) * radius }, radius, wire, hex);
}

/** Along a nail from end to end, on the page. */
export function nailWay(build: Build, layout: Layout, id: ItemId): { readonly way?: string } {
  const nail = nailsOf(build, layout).find((each) => each.nail.id === id);
  if (!nail) return {};
  const { end, tip } = nail;
  return { way: `M${end.xM * MM} ${-end.yM * MM}L${tip.xM * MM} ${-tip.yM * MM}` };
}

/** A nail weight from the front of what it takes up; its skin lies so far below the axis. */
export function nailShapes(
  { diameterM, finish }: NailWeight,
  lengthMm: number,
  { outM, leanRad }: Pick<NailState, 'outM' | 'leanRad'>,
  skinMm: number,
): Shape[] {
  const half = (diameterM / 2) * MM;
  const { hex } = finish;
  const [sin, cos] = [Math.sin(leanRad), Math.cos(leanRad)];
  const outMm = outM * MM;
  const spanMm = 2 * half * cos + lengthMm * Math.abs(sin);
  const baseX = spanMm / 2 - (lengthMm / 2 - outMm) * sin;
  const at = (side: number, up: number): Point => ({
    x: baseX + side * cos + (up - outMm) * sin,
    y: skinMm + side * sin - (up - outMm) * cos,
  });
  const count = Math.max(2, Math.round(lengthMm / 1.2));
  const ribs = Array.from({ length: count }, (_, i): Shape => {
    const up = ((i + 1) / (count + 1)) * lengthMm * 0.85;
    return { d: polyline([at(-half, up), at(half, up + 0.4)]), stroke: darker(hex, 0.4), strokeWidth: 0.16 };
  });
  return [
    {
      d: polygon([
        at(-half, 0),
        at(half, 0),
        at(half, lengthMm * 0.86),
        at(half * 0.25, lengthMm),
        at(-half * 0.25, lengthMm),
        at(-half, lengthMm * 0.86),
      ]),
      fill: hex,
      stroke: edgeOf(hex, 0.55),
      strokeWidth: OUTLINE_MM,
    },
    ...ribs,
  ];
}

/** A body alone, in lists: its box. */
export function bodyBox(body: LureBody) {
  const outline = bodyOutline(body);
  const xs = outline.map(({ xM }) => xM * MM);
  const ys = outline.map(({ yM }) => -yM * MM);
  const [left, right, top, bottom] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  return { left, width: right - left, height: bottom - top, middle: (top + bottom) / 2 };
}

/** A piece of skin for what is screwed into one, in lists. */
export function skinStrip(lengthMm: number): Shape {
  return { d: rectangle(-lengthMm / 2, -2, lengthMm, 0), fill: '#b9b2a0', opacity: 0.5 };
}
