/** Heads, swivels, bodies on wire, keepers and skirt locks as shapes, in millimetres, front at x = 0 and the axis at y = 0. */
import { EYE_HEX, eyeRing } from './lure-body-shapes';
import { headProfile } from '../core/parts/head-form';
import { radiusProfile } from '../core/parts/bored';
import type { PartOf } from '../core/parts/part';
import type { Head } from '../core/parts/kinds/head';
import { darker, edgeOf, lighter } from './colour';
import { paintOf } from './paint';
import { OUTLINE_MM } from './part-shapes';
import { wireStrokes } from './bent-wire';
import { curve, ellipse, polygon, polyline, rectangle, turned } from './path';
import type { Shape } from './shape';

const MM = 1000;

export function headShapes(head: Head): Shape[] {
  const stations = headProfile(head);
  const { hex } = head.finish;
  const length = head.lengthM * MM;
  const up = stations.map(({ xM, upM }) => ({ x: xM * MM, y: -upM * MM }));
  const down = stations.map(({ xM, downM }) => ({ x: xM * MM, y: downM * MM }));
  const collar = (head.collarDiameterM * MM) / 2;
  const end = (head.lengthM + head.collarLengthM) * MM;
  const eyeX = length * 0.42;
  const eyeY = -head.heightM * MM * 0.14;
  const eye = head.heightM * MM * 0.15;
  const isBare = head.finish.sheen === 'matte' || head.finish.sheen === 'metal';
  return [
    {
      d: turned([
        { x: length - 1, y: collar },
        { x: end - 1.6, y: collar * 0.86 },
        { x: end - 1.4, y: collar * 1.12 },
        { x: end - 0.2, y: collar * 0.8 },
        { x: end, y: 0.6 },
      ]),
      fill: paintOf(head.finish, 'across'),
      stroke: edgeOf(hex, 0.5),
      strokeWidth: OUTLINE_MM,
    },
    {
      d: polygon([...up, ...down.reverse()]),
      fill: paintOf(head.finish, 'across'),
      stroke: edgeOf(hex, 0.55),
      strokeWidth: OUTLINE_MM,
    },
    ...(head.eye
      ? eyeRing(
          { x: head.eye.atM * MM, y: -head.eye.upM * MM },
          ((head.eye.insideM + head.eye.wireM) / 2) * MM,
          head.eye.wireM * MM,
          EYE_HEX,
        )
      : []),
    ...(isBare
      ? [
          {
            d: polyline([
              { x: length * 0.06, y: 0 },
              { x: length * 0.94, y: 0 },
            ]),
            stroke: edgeOf(hex, 0.3),
            strokeWidth: 0.14,
            opacity: 0.6,
          },
        ]
      : [
          { d: ellipse(eyeX, eyeY, eye, eye), fill: '#f3efe2', stroke: edgeOf(hex, 0.6), strokeWidth: 0.12 },
          { d: ellipse(eyeX - eye * 0.1, eyeY, eye * 0.52, eye * 0.52), fill: '#161a1c' },
        ]),
  ];
}

export function swivelShapes(part: PartOf<'swivel'>): Shape[] {
  const wire = part.eyeWireM * MM;
  const eye = (part.eyeInnerDiameterM * MM) / 2 + wire / 2;
  const length = part.lengthM * MM;
  const barrel = (part.barrelDiameterM * MM) / 2;
  const { hex } = part.finish;
  const inset = 2 * eye + wire * 0.6;
  const eyes = [eye + wire / 2, length - eye - wire / 2].flatMap((x) =>
    wireStrokes(ellipse(x, 0, eye, eye * 0.92), wire, hex),
  );
  const shoulder = part.style === 'crane' ? 0.5 : part.style === 'roller' ? 0.92 : 0.74;
  const middle = (inset + length - inset) / 2;
  const profile =
    part.style === 'ballBearing'
      ? [
          { x: inset, y: barrel * 0.5 },
          { x: middle - barrel * 0.35, y: barrel },
          { x: middle + barrel * 0.35, y: barrel },
          { x: length - inset, y: barrel * 0.5 },
        ]
      : [
          { x: inset, y: barrel * shoulder },
          { x: inset + (middle - inset) * 0.5, y: barrel },
          { x: middle + (middle - inset) * 0.5, y: barrel },
          { x: length - inset, y: barrel * shoulder },
        ];
  const across =
    part.style === 'threeWay' ? wireStrokes(ellipse(middle, barrel + eye * 0.92, eye * 0.92, eye), wire, hex) : [];
  return [
    ...eyes,
    ...across,
    {
      d: turned([{ x: inset, y: 0 }, ...profile, { x: length - inset, y: 0 }]),
      fill: paintOf(part.finish, 'across'),
      stroke: edgeOf(hex, 0.5),
      strokeWidth: OUTLINE_MM,
    },
    ...[-0.18, 0.18].map((share) => ({
      d: polyline([
        { x: middle + share * barrel * 2, y: -barrel * 0.92 },
        { x: middle + share * barrel * 2, y: barrel * 0.92 },
      ]),
      stroke: edgeOf(hex, 0.4),
      strokeWidth: 0.12,
      opacity: 0.6,
    })),
  ];
}

export function bodyShapes(part: PartOf<'body'>): Shape[] {
  const wire = part.wireDiameterM * MM;
  const eye = (part.eyeInnerDiameterM * MM + wire) / 2;
  const length = part.lengthM * MM;
  const from = (part.lengthM - part.metalLengthM) * MM * 0.5;
  const metal = { ...part, kind: 'weight', lengthM: part.metalLengthM, boreM: part.wireDiameterM } as const;
  const profile = radiusProfile(metal).map(({ xM, radiusM }) => ({ x: from + xM * MM, y: radiusM * MM }));
  const end = from + part.metalLengthM * MM;
  return [
    ...wireStrokes(
      polyline([
        { x: 2 * eye, y: 0 },
        { x: length - 2 * eye, y: 0 },
      ]),
      wire,
      '#a7adb2',
    ),
    ...[eye, length - eye].flatMap((x) => wireStrokes(ellipse(x, 0, eye - wire / 2, eye - wire / 2), wire, '#a7adb2')),
    {
      d: turned([{ x: from, y: 0 }, ...profile, { x: end, y: 0 }]),
      fill: paintOf(part.finish, 'across'),
      stroke: edgeOf(part.finish.hex, 0.55),
      strokeWidth: OUTLINE_MM,
    },
  ];
}

/** The leg on the shank, lashed, and the barb that stands off it. */
export function keeperShapes(part: PartOf<'keeper'>): Shape[] {
  const wire = part.wireDiameterM * MM;
  const leg = part.legM * MM;
  const stand = part.standM * MM;
  const way = curve([
    { x: 0, y: -wire * 0.6 },
    { x: leg * 0.9, y: -wire * 0.6 },
    { x: leg, y: -wire * 1.1 },
    { x: leg * 0.86, y: -stand },
  ]);
  const lashing = Array.from({ length: 7 }, (_, i) =>
    polyline([
      { x: leg * (0.12 + i * 0.09), y: -wire * 1.2 },
      { x: leg * (0.14 + i * 0.09), y: wire * 0.7 },
    ]),
  ).join('');
  return [
    ...wireStrokes(way, wire, part.finish.hex),
    { d: lashing, stroke: '#8d6a3a', strokeWidth: 0.35, round: true },
  ];
}

/** Turns of soft wire about a collar, and the twist pressed down. */
export function lockShapes(part: PartOf<'softWire'>, turns: number, collarM: number, lengthM: number): Shape[] {
  const wire = part.diameterM * MM;
  const radius = (collarM * MM) / 2;
  const from = lengthM * MM * 0.35;
  const rounds = Array.from({ length: turns }, (_, i) => {
    const x = from + i * wire * 1.1;
    return curve([
      { x, y: -radius * 1.02 },
      { x: x + wire * 0.5, y: 0 },
      { x: x + wire * 0.2, y: radius * 1.02 },
    ]);
  });
  const twist = curve([
    { x: from, y: -radius },
    { x: from + 1.4, y: -radius - 0.7 },
    { x: from + 3, y: -radius - 0.4 },
  ]);
  return [...rounds, twist].flatMap((d) => wireStrokes(d, wire, part.finish.hex));
}

/** A delta blade lying flat: its lobes about the wire, for a list. */
export function deltaFlat(part: PartOf<'deltaBlade'>): Shape[] {
  const length = part.lengthM * MM;
  const half = (part.spanM * MM) / 2;
  const { hex } = part.finish;
  const lobe = (up: 1 | -1) =>
    polygon([
      { x: 0, y: 0 },
      { x: length * 0.16, y: -up * half * 0.12 },
      { x: length * 0.78, y: -up * half },
      { x: length * 0.96, y: -up * half * 0.6 },
      { x: length, y: 0 },
    ]);
  return [
    ...([1, -1] as const).map((up) => ({
      d: lobe(up),
      fill: up === 1 ? lighter(hex, 0.25) : darker(hex, 0.18),
      stroke: edgeOf(hex, 0.5),
      strokeWidth: OUTLINE_MM,
    })),
    { d: rectangle(-0.6, -0.9, 0.6, 0.9), fill: darker(hex, 0.2) },
    { d: rectangle(length - 0.6, -0.9, length + 0.6, 0.9), fill: darker(hex, 0.2) },
  ];
}
