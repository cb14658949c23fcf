/** Skirts as strands that drape and soft tails as they are moulded, in millimetres; the axis is the hook's shank. */
import { never } from '../core/never';
import type { ItemState } from '../core/parts/part';
import type { SkirtForm, StrandGroup } from '../core/parts/skirt-form';
import type { Skirt } from '../core/parts/kinds/skirt';
import { softHalfM, SWIMMER_SIDE } from '../core/parts/soft-form';
import type { Trailer } from '../core/parts/kinds/trailer';
import { darker, edgeOf, lighter } from './colour';
import { paintOf } from './paint';
import { OUTLINE_MM } from './part-shapes';
import { curve, ellipse, polygon, polyline, scatter, turned, type Point } from './path';
import type { CoveredPoint } from '../core/geometry/covered-point';
import type { Shape } from './shape';

const MM = 1000;
/** How far strands sag under their own weight by their tips, of their length. */
const SAG = 0.1;
/** Every layer is drawn in so many shades, each one path. */
const SHADES = 3;
/** Beyond so many strands of a layer more only fill the page. */
const MOST_DRAWN = 26;

/** The collar at x = 0 with its strands to both sides: those to the nose fold back over the head in the water's pull. */
export function skirtShapes(part: Skirt, form: SkirtForm): Shape[] {
  const collar = part.collarLengthM * MM;
  const radius = (part.collarDiameterM * MM) / 2;
  const strands = form.groups.flatMap((group, layer) => layerShapes(group, form, layer, collar, radius));
  return [
    ...strands,
    {
      d: turned([
        { x: 0, y: radius * 0.75 },
        { x: collar * 0.15, y: radius },
        { x: collar * 0.85, y: radius },
        { x: collar, y: radius * 0.75 },
      ]),
      fill: paintOf(part.finish, 'across'),
      stroke: edgeOf(part.finish.hex, 0.5),
      strokeWidth: OUTLINE_MM,
      opacity: part.finish.sheen === 'clear' ? 0.85 : 1,
    },
  ];
}

function layerShapes(group: StrandGroup, form: SkirtForm, layer: number, collar: number, radius: number): Shape[] {
  const count = Math.min(group.count, MOST_DRAWN);
  const ways: string[][] = Array.from({ length: SHADES }, () => []);
  const accents: string[] = [];
  for (let i = 0; i < count; i++) {
    const salt = layer * 7;
    // Where about the collar it leaves: its height as seen from the side.
    const around = scatter(i, salt + 1) * 2 - 1;
    const shade = Math.floor(scatter(i, salt + 2) * SHADES);
    const thinned = form.isThinned ? 0.62 + 0.38 * scatter(i, salt + 3) : 0.97 + 0.03 * scatter(i, salt + 3);
    for (const [reachM, side] of [
      [group.toTailM, 1],
      [group.toNoseM, -1],
    ] as const) {
      const reach = reachM * MM * thinned;
      if (reach < 1) continue;
      const way = strand(around, reach, side, form.flareRad, collar, radius, scatter(i, salt + 4));
      ways[shade]?.push(curve(way));
      if (group.accentHex !== null && i % 2 === 0) accents.push(curve(way));
    }
  }
  const width = group.widthM * MM * 0.8;
  const shades = ways.map((way, shade): Shape => ({
    d: way.join(''),
    stroke: shade === 0 ? darker(group.hex, 0.22) : shade === 1 ? group.hex : lighter(group.hex, 0.2),
    strokeWidth: width,
    opacity: group.sheen === 'clear' ? 0.6 : 0.93,
    round: true,
  }));
  const flakes: Shape[] =
    accents.length > 0 && group.accentHex !== null
      ? [{ d: accents.join(''), stroke: group.accentHex, strokeWidth: width * 0.45, opacity: 0.7, dash: [0.7, 2.6] }]
      : [];
  return [...shades.filter(({ d }) => d !== ''), ...flakes];
}

/** One strand: out at the flare, then laid back by the water, sagging to its tip. */
function strand(
  around: number,
  reach: number,
  side: 1 | -1,
  flareRad: number,
  collar: number,
  radius: number,
  wander: number,
): Point[] {
  const root = { x: side === 1 ? collar * 0.7 : collar * 0.3, y: around * radius * 0.8 };
  const out = Math.sin(flareRad) * around;
  const sag = SAG * reach;
  const drift = (wander - 0.5) * reach * 0.1;
  if (side === 1) {
    return [
      root,
      { x: root.x + reach * 0.22, y: root.y + out * reach * 0.2 },
      { x: root.x + reach * 0.6, y: root.y + out * reach * 0.34 + sag * 0.4 + drift * 0.5 },
      { x: root.x + reach * 0.97, y: root.y + out * reach * 0.3 + sag + drift },
    ];
  }
  // To the nose: stands up ahead of the collar and is folded back by the water.
  const lift = Math.sign(around || 1) * radius * 0.5;
  return [
    root,
    { x: root.x - reach * 0.28, y: root.y + lift + out * reach * 0.24 },
    { x: root.x - reach * 0.2, y: root.y + lift * 1.6 + out * reach * 0.55 + sag * 0.2 },
    { x: root.x + reach * 0.22, y: root.y + lift * 1.6 + out * reach * 0.72 + sag * 0.6 + drift },
  ];
}

/** @param atPoint a claw: whether it stands on the side of the hook's point */
export function trailerShapes(
  part: Trailer,
  state: Extract<ItemState, { of: 'trailer' }>,
  atPoint: boolean,
  covers: CoveredPoint | null = null,
): Shape[] {
  const { hex } = part.finish;
  const cut = state.cutM * MM;
  const outline = (points: readonly Point[], look: Partial<Shape> = {}): Shape => ({
    d: polygon(points.map((point) => crooked(point, state.crookedRad))),
    fill: paintOf(part.finish, 'across'),
    stroke: edgeOf(hex, 0.4),
    strokeWidth: OUTLINE_MM,
    opacity: 0.95,
    ...look,
  });
  const whole = silhouette(part, cut, state.rounded, atPoint).map(({ points, shade }) =>
    outline(points, shade === 0 ? {} : { fill: shade < 0 ? darker(hex, 0.25) : lighter(hex, 0.2) }),
  );
  if (!covers) return whole;
  const foot = softHalfM(part, covers.atM + state.cutM) * MM;
  return [outline(hump(covers.atM * MM, foot, covers.upM * MM + SKIN_MM)), ...whole];
}

/** Skin over a point that lies under it, mm. */
const SKIN_MM = 1;
const HUMP_STEPS = 16;

/** A back pushed up over a point, about as wide to both sides as it stands high. */
function hump(at: number, foot: number, top: number): Point[] {
  const high = Math.max(top - foot, 0);
  const half = 0.9 * high + 2;
  const way = Array.from({ length: HUMP_STEPS + 1 }, (_, i): Point => {
    const t = (2 * i) / HUMP_STEPS - 1;
    return { x: at + t * half, y: -(foot * 0.9 + (high + foot * 0.1) * Math.cos((t * Math.PI) / 2) ** 2) };
  });
  return [...way, { x: at + half, y: 0 }, { x: at - half, y: 0 }];
}

/** Threaded off line, the whole swings about its head. */
function crooked({ x, y }: Point, angleRad: number): Point {
  return { x: x * Math.cos(angleRad) - y * Math.sin(angleRad), y: x * Math.sin(angleRad) + y * Math.cos(angleRad) };
}

interface Silhouette {
  readonly points: readonly Point[];
  /** −1 the far side, 0 the body, 1 lit. */
  readonly shade: -1 | 0 | 1;
}

function silhouette(part: Trailer, cut: number, isRounded: boolean, atPoint: boolean): Silhouette[] {
  const length = part.lengthM * MM - cut;
  const half = (part.bodyM * MM) / 2;
  const kick = part.kicksFromM * MM - cut;
  const isBlunt = (part.head === 'blunt' || cut > 0) && !isRounded;
  const head = isBlunt ? [0.86, 0.98, 1] : [0.35, 0.72, 0.95];
  const front = head.map((share, i) => ({ x: half * 0.45 * i, y: half * share }));
  const body = (end: number, tail: number): Point[] => {
    const top = [...front, { x: end * 0.4, y: half * 0.98 }, { x: end * 0.75, y: half * 0.72 }, { x: end, y: tail }];
    return [...top.map(({ x, y }) => ({ x, y: -y })), ...top.toReversed()];
  };
  switch (part.style) {
    case 'swimmer': {
      // A fish's back and belly, fullest behind the head, down to a wrist and an upright paddle.
      const wrist = half * 0.2;
      const side = SWIMMER_SIDE.map(([at, share]): Point => ({ x: at * part.kicksFromM * MM - cut, y: share * half }))
        .filter(({ x }) => x > 0)
        .toSpliced(0, 0, { x: 0, y: softHalfM(part, cut / MM) * MM * (isRounded ? 0.5 : 1) });
      const paddle = [
        { x: kick - 1, y: -wrist },
        { x: length - half * 0.7, y: -wrist * 0.8 },
        { x: length - half * 0.3, y: -half * 0.55 },
        { x: length, y: -half * 0.35 },
        { x: length - half * 0.02, y: half * 0.85 },
        { x: length - half * 0.5, y: half * 0.8 },
        { x: length - half * 0.75, y: wrist * 0.8 },
        { x: kick - 1, y: wrist },
      ];
      return [
        { points: paddle, shade: -1 },
        { points: [...side.map(({ x, y }) => ({ x, y: -y })), ...side.toReversed()], shade: 0 },
        { points: [...side.map(({ x, y }) => ({ x, y: y * 0.4 })), ...side.toReversed()], shade: 1 },
      ];
    }
    case 'paddleTail': {
      const wrist = half * 0.22;
      const paddle = [
        { x: kick, y: -wrist },
        { x: length - half * 0.9, y: -wrist },
        { x: length - half * 0.35, y: -half * 0.95 },
        { x: length, y: -half * 0.75 },
        { x: length - half * 0.05, y: half * 0.9 },
        { x: length - half * 0.6, y: half * 0.85 },
        { x: length - half * 0.95, y: wrist },
        { x: kick, y: wrist },
      ];
      return [
        { points: body(kick + 1, wrist), shade: 0 },
        { points: paddle, shade: 0 },
      ];
    }
    case 'grub': {
      const curl = tailWay(kick, length, half * 0.9, half * 0.32, 1.7);
      return [
        { points: body(kick + 1, half * 0.3), shade: 0 },
        { points: curl, shade: 1 },
      ];
    }
    case 'kickingFrog': {
      const leg = (up: 1 | -1): Point[] => {
        const way = [
          { x: kick, y: -up * half * 0.45 },
          { x: kick + (length - kick) * 0.35, y: -up * half * 0.95 },
          { x: kick + (length - kick) * 0.74, y: -up * half * 0.85 },
        ];
        const foot = -up * half * 0.8;
        return [
          ...way.map(({ x, y }) => ({ x, y: y - half * 0.18 })),
          { x: length - half * 0.5, y: foot - half * 0.62 },
          { x: length, y: foot - half * 0.3 },
          { x: length - half * 0.1, y: foot + half * 0.5 },
          { x: length - half * 0.7, y: foot + half * 0.4 },
          ...way.toReversed().map(({ x, y }) => ({ x, y: y + half * 0.18 })),
        ];
      };
      return [
        { points: leg(1), shade: -1 },
        { points: body(kick + half * 0.5, half * 0.6), shade: 0 },
        { points: leg(-1), shade: 0 },
      ];
    }
    case 'claw': {
      const up = atPoint ? -1 : 1;
      const claw = [
        { x: kick, y: half * 0.3 },
        { x: kick + (length - kick) * 0.4, y: up * half * 1.1 },
        { x: length, y: up * half * 0.9 },
        { x: kick + (length - kick) * 0.82, y: up * half * 1.5 },
        { x: kick + (length - kick) * 0.3, y: up * half * 1.75 },
        { x: kick - 2, y: up * half * 0.7 },
      ];
      return [
        { points: claw, shade: 1 },
        { points: body(kick + 2, half * 0.35), shade: 0 },
      ];
    }
    case 'segmentedMinnow': {
      const segments = 5;
      const step = (length - kick) / (segments + 1.2);
      const rings = Array.from({ length: segments }, (_, i): Silhouette => {
        const x = kick + i * step;
        const y = half * (0.62 - i * 0.08);
        return {
          points: [
            { x: x + step * 0.12, y: -y },
            { x: x + step * 0.86, y: -y * 0.94 },
            { x: x + step, y: 0 },
            { x: x + step * 0.86, y: y * 0.94 },
            { x: x + step * 0.12, y },
          ],
          shade: i % 2 === 0 ? 0 : 1,
        };
      });
      const fork = [
        { x: length - step * 1.3, y: 0 },
        { x: length, y: -half * 0.75 },
        { x: length - step * 0.4, y: 0 },
        { x: length, y: half * 0.75 },
      ];
      return [{ points: fork, shade: -1 }, { points: body(kick + 1, half * 0.5), shade: 0 }, ...rings];
    }
    default:
      return never(part.style, 'silhouette');
  }
}

/** A flat tail that waves: a band along a sine, narrowing to its tip. */
function tailWay(from: number, to: number, swing: number, width: number, waves: number): Point[] {
  const steps = 18;
  const at = (i: number, side: number) => {
    const share = i / steps;
    const y = Math.sin(share * Math.PI * waves) * swing * share;
    return { x: from + (to - from) * share, y: y + side * width * (1 + share) * (1 - share ** 4) };
  };
  const up = Array.from({ length: steps + 1 }, (_, i) => at(i, -1));
  const down = Array.from({ length: steps + 1 }, (_, i) => at(steps - i, 1));
  return [...up, ...down];
}

/** A strip of strands lying flat, for a list. */
export function stripShapes(
  hex: string,
  accentHex: string | null,
  strands: number,
  lengthMm: number,
  widthMm: number,
): Shape[] {
  const count = Math.min(strands, 14);
  const pitch = Math.max(widthMm, 0.9);
  const rows = Array.from({ length: count }, (_, i) => (i - (count - 1) / 2) * pitch);
  const lines = rows.map((y) =>
    polyline([
      { x: 0, y },
      { x: lengthMm, y: y + (scatter(Math.round(y * 10), 2) - 0.5) * 0.6 },
    ]),
  );
  return [
    { d: lines.join(''), stroke: hex, strokeWidth: pitch * 0.82 },
    ...(accentHex === null
      ? []
      : [
          {
            d: lines.filter((_, i) => i % 2 === 0).join(''),
            stroke: accentHex,
            strokeWidth: pitch * 0.4,
            dash: [1.4, 5] as const,
          },
        ]),
    { d: ellipse(lengthMm * 0.5, 0, 0.6, (count * pitch) / 2), fill: darker(hex, 0.35), opacity: 0.35 },
  ];
}
