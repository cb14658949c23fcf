/** One part as shapes, in millimetres, its front at x = 0 and the axis at y = 0. */
import { FILM_LOBE } from '../core/parts/blade-pattern';
import { hookLimb } from '../core/parts/hook-form';
import { chordRatio } from '../core/parts/outline';
import type { PartOf } from '../core/parts/part';
import { radiusProfile, type BoredPart } from '../core/parts/bored';
import { darker, edgeOf, lighter } from './colour';
import { paintOf } from './paint';
import type { Shape } from './shape';
import { curve, ellipse, polygon, polyline, scatter, turned, type Point } from './path';

const MM = 1000;
export const OUTLINE_MM = 0.12;

/** A bored part on the wire; `flipped` turns it end for end. */
export function boredShapes(part: BoredPart, flipped: boolean): Shape[] {
  const length = part.lengthM * MM;
  const points = radiusProfile(part).map(({ xM, radiusM }) => ({ x: xM * MM, y: radiusM * MM }));
  const profile = flipped ? points.map(({ x, y }) => ({ x: length - x, y })).reverse() : points;
  const isBall = part.kind === 'bead' && part.shape === 'round';
  const closed = closeEnds(profile, length);
  const shapes: Shape[] = [
    {
      d: turned(closed),
      fill: paintOf(part.finish, isBall ? 'ball' : 'across'),
      stroke: edgeOf(part.finish.hex, 0.55),
      strokeWidth: OUTLINE_MM,
    },
  ];
  return [...shapes, ...details(part, flipped, length)];
}

/** The foot of a walking sinker under its tube: its toe, ahead, turned up. */
function walkingFoot({ diameterM, finish }: PartOf<'weight'>, flipped: boolean, length: number): Shape {
  const sole = diameterM * MM;
  const points = [
    [0.3, 0],
    [0.02, 0.55],
    [0.1, 0.86],
    [0.3, 1],
    [0.82, 1],
    [0.98, 0.8],
    [0.7, 0],
  ] as const;
  const at = points.map(([x, y]) => ({ x: (flipped ? 1 - x : x) * length, y: y * sole }));
  return {
    d: `${curve(at)}Z`,
    fill: paintOf(finish, 'across'),
    stroke: edgeOf(finish.hex, 0.55),
    strokeWidth: OUTLINE_MM,
  };
}

function closeEnds(profile: readonly Point[], length: number): Point[] {
  return [{ x: 0, y: 0 }, ...profile, { x: length, y: 0 }];
}

function details(part: BoredPart, flipped: boolean, length: number): Shape[] {
  const line = darker(part.finish.hex, 0.4);
  switch (part.kind) {
    case 'weight':
      return part.shape === 'walking' ? [walkingFoot(part, flipped, length)] : [];
    case 'bell': {
      const x = flipped ? 0 : length;
      const radius = (part.mouthDiameterM * MM) / 2;
      return [
        {
          d: ellipse(x, 0, radius * 0.16, radius),
          fill: darker(part.finish.hex, 0.7),
          stroke: line,
          strokeWidth: 0.15,
        },
        { d: ellipse(x, 0, radius * 0.1, radius * 0.86), fill: darker(part.finish.hex, 0.82) },
      ];
    }
    case 'bead': {
      const radius = (part.diameterM * MM) / 2;
      if (part.shape === 'faceted') {
        const rows = [-0.45, 0, 0.45].map((share) =>
          polyline([
            { x: length * 0.12, y: share * radius * 0.8 },
            { x: length * 0.3, y: share * radius * 1.4 },
            { x: length * 0.7, y: share * radius * 1.4 },
            { x: length * 0.88, y: share * radius * 0.8 },
          ]),
        );
        return rows.map((d) => ({ d, stroke: lighter(part.finish.hex, 0.45), strokeWidth: 0.12, opacity: 0.8 }));
      }
      if (part.shape === 'round' && part.finish.sheen !== 'matte') {
        return [
          { d: ellipse(length * 0.36, -radius * 0.45, radius * 0.22, radius * 0.13), fill: '#ffffff', opacity: 0.75 },
        ];
      }
      return [];
    }
    case 'weight': {
      if (part.shape !== 'barrel' && part.shape !== 'cylinder') return [];
      const radius = (part.diameterM * MM) / 2;
      return [0.12, 0.16, 0.84, 0.88].map((share) => ({
        d: polyline([
          { x: length * share, y: -radius * 0.96 },
          { x: length * share, y: radius * 0.96 },
        ]),
        stroke: line,
        strokeWidth: 0.14,
        opacity: 0.55,
      }));
    }
    default:
      return [];
  }
}

/** Two turns of wire, seen almost edge on: links lie across one another. */
export function ringShapes(part: PartOf<'splitRing'>): Shape[] {
  const wire = part.wireDiameterM * MM;
  const radius = (part.outerDiameterM * MM) / 2;
  const { hex } = part.finish;
  return [
    { d: ellipse(radius, 0, radius - wire / 2, radius * 0.42), stroke: edgeOf(hex, 0.5), strokeWidth: wire * 1.9 },
    {
      d: ellipse(radius, -wire * 0.18, radius - wire / 2, radius * 0.42),
      stroke: lighter(hex, 0.25),
      strokeWidth: wire * 0.75,
    },
    {
      d: ellipse(radius, wire * 0.62, radius - wire / 2, radius * 0.42),
      stroke: hex,
      strokeWidth: wire * 0.5,
      opacity: 0.9,
    },
  ];
}

/** Where a hook's points stand to its shank as seen from the side, in shares of the gap, down positive. */
export function limbSides({ points }: PartOf<'hook'>): readonly number[] {
  return points === 3 ? [0.3, 0.72, -0.97] : [-1];
}

/** A hook from the side; a treble's three limbs at a third of a turn, one up. */
export function hookShapes(part: PartOf<'hook'>): Shape[] {
  const wire = part.wireDiameterM * MM;
  const eye = (part.eyeInnerDiameterM * MM) / 2;
  const { hex } = part.finish;
  const eyeCentre = eye + wire;
  return [
    ...limbSides(part).flatMap((side) => limbShapes(part, side)),
    {
      d: shankWay(part, 2 * eyeCentre - wire / 2, 0),
      stroke: edgeOf(hex, 0.35),
      strokeWidth: part.points === 3 ? wire * 1.7 : wire,
      round: true,
    },
    {
      d: shankWay(part, 2 * eyeCentre, -wire * 0.3),
      stroke: lighter(hex, 0.35),
      strokeWidth: wire * 0.3,
      opacity: 0.8,
    },
    { d: ellipse(eyeCentre, 0, eye + wire / 2, eye + wire / 2), stroke: edgeOf(hex, 0.3), strokeWidth: wire },
    {
      d: ellipse(eyeCentre, -wire * 0.1, eye + wire / 2, eye + wire / 2),
      stroke: lighter(hex, 0.25),
      strokeWidth: wire * 0.3,
    },
  ];
}

/** The shank from its eye to its bend; humped where it is bent to roll its bait. */
function shankWay(part: PartOf<'hook'>, fromX: number, y: number): string {
  const toX = (part.lengthM - part.gapM / 2) * MM;
  const ends = [
    { x: fromX, y },
    { x: toX, y },
  ];
  if (!part.rolls) return polyline(ends);
  const at = (share: number) => fromX + share * (toX - fromX);
  const hump = 0.28 * part.gapM * MM;
  return curve([
    { x: fromX, y },
    { x: at(0.2), y },
    { x: at(0.42), y: y + hump },
    { x: at(0.58), y: y + hump },
    { x: at(0.8), y },
    { x: toX, y },
  ]);
}

function limbShapes(part: PartOf<'hook'>, side: number): Shape[] {
  const wire = part.wireDiameterM * MM;
  const { hex } = part.finish;
  const limb = hookLimb(part);
  const at = ({ xM, radiusM }: { xM: number; radiusM: number }): Point => ({ x: xM * MM, y: radiusM * MM * side });
  const bend = limb.path.slice(1, -1).map(at);
  const last = bend.at(-1) ?? { x: 0, y: 0 };
  const tip = at(limb.pointTip);
  const isFar = side > 0 && side < 0.5;
  const body = isFar ? darker(hex, 0.55) : darker(hex, 0.3);
  const shapes: Shape[] = [
    { d: curve(bend), stroke: body, strokeWidth: wire, round: true },
    {
      d: polygon([
        { x: last.x, y: last.y - wire / 2 },
        { x: tip.x, y: tip.y },
        { x: last.x, y: last.y + wire / 2 },
      ]),
      fill: body,
      stroke: body,
      strokeWidth: 0.1,
    },
  ];
  if (part.barb) {
    const inward = -Math.sign(side) * wire;
    const root = { x: tip.x + (last.x - tip.x) * 0.42, y: tip.y + (last.y - tip.y) * 0.42 };
    shapes.push({
      d: polygon([root, { x: root.x + wire * 1.1, y: root.y + inward * 0.95 }, { x: root.x + wire * 1.3, y: root.y }]),
      fill: body,
    });
  }
  if (!isFar) shapes.push({ d: curve(bend), stroke: lighter(hex, 0.3), strokeWidth: wire * 0.28, opacity: 0.75 });
  return shapes;
}

/** Thread band at the front, fibres trailing behind it. */
export function dressingShapes(part: PartOf<'dressing'>): Shape[] {
  const band = part.bandLengthM * MM;
  const fibre = part.fibreLengthM * MM;
  const bulk = part.bulkM * MM;
  const core = part.coreM * MM;
  const { hex } = part.finish;
  const isFeather = part.style === 'feather';
  const count = isFeather ? 46 : 64;
  const fibres = Array.from({ length: count }, (_, i): Shape => {
    const spread = scatter(i, 1) * 2 - 1;
    const reach = fibre * (0.72 + 0.28 * scatter(i, 2)) * (1 - 0.12 * Math.abs(spread));
    const start = band * 0.55;
    const swell = spread * bulk * (isFeather ? 0.62 : 0.5);
    const tipDrift = spread * bulk * 0.34 + (scatter(i, 3) - 0.5) * bulk * 0.2;
    const shade = scatter(i, 4);
    return {
      d: curve([
        { x: start, y: spread * core * 0.5 },
        { x: start + reach * 0.35, y: swell * 0.75 },
        { x: start + reach * 0.7, y: swell },
        { x: reach, y: tipDrift },
      ]),
      stroke: shade < 0.5 ? darker(hex, 0.45 * (0.5 - shade) * 2) : lighter(hex, 0.35 * (shade - 0.5) * 2),
      strokeWidth: isFeather ? 0.42 : 0.26,
      opacity: 0.85,
      round: true,
    };
  });
  const turns = Math.max(3, Math.round(band / 0.45));
  const thread = Array.from({ length: turns }, (_, i): Shape => {
    const x = (i / turns) * band;
    return {
      d: polyline([
        { x: x + 0.1, y: -core * 0.62 },
        { x: x + 0.4, y: core * 0.62 },
      ]),
      stroke: lighter(part.threadHex, 0.22),
      strokeWidth: 0.16,
      opacity: 0.8,
    };
  });
  return [
    ...fibres,
    {
      d: turned([
        { x: 0, y: core * 0.42 },
        { x: band * 0.3, y: core * 0.66 },
        { x: band * 0.8, y: core * 0.66 },
        { x: band, y: core * 0.5 },
      ]),
      fill: part.threadHex,
      stroke: edgeOf(part.threadHex, 0.4),
      strokeWidth: OUTLINE_MM,
    },
    ...thread,
  ];
}

/** A film blade lying flat, seen from ahead, one tip at x = 0. */
export function filmFaceOn(part: PartOf<'filmBlade'>): Shape[] {
  const half = (part.spanM * MM) / 2;
  const { hex } = part.finish;
  const lobe = (direction: -1 | 1) => {
    const edge = Array.from({ length: 21 }, (_, i) => {
      const x = (1 - Math.cos((i / 20) * Math.PI)) / 2;
      return { x: half + direction * x * half, y: (chordRatio(FILM_LOBE, x) * part.widthM * MM) / 2 };
    });
    return turned(edge);
  };
  return [
    ...([-1, 1] as const).map((direction) => ({
      d: lobe(direction),
      fill: direction === 1 ? hex : lighter(hex, 0.12),
      stroke: edgeOf(hex, 0.35),
      strokeWidth: OUTLINE_MM,
      opacity: 0.92,
    })),
    { d: ellipse(half, 0, (part.boreM * MM) / 2, (part.boreM * MM) / 2), fill: darker(hex, 0.6) },
  ];
}
