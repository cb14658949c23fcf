/**
 * A blade as a lit mesh of facets, posed about its axle and seen from the side.
 * Local axes: along the blade from its hole, across it, and out of its front face (the hollow opens the other way).
 * World: x to the tail, y up, z to the eye. The blade turns from +y towards +z.
 */
import { FILM_LOBE, PATTERNS, type BladePattern, type OutlineShape } from '../core/parts/blade-pattern';
import { chordRatio, filmLobe, hollowDepth } from '../core/parts/outline';
import { DELTA_LOBE, deltaLobe } from '../core/parts/delta-form';
import type { Blade } from '../core/parts/kinds/blade';
import type { DeltaBlade } from '../core/parts/kinds/delta-blade';
import type { FilmBlade } from '../core/parts/kinds/film-blade';
import type { Finish } from '../core/parts/kinds/common';
import { oncePer } from '../core/once';
import { darker, lighter, mix } from './colour';
import { polygon, scatter, type Point } from './path';
import type { Shape } from './shape';

const MM = 1000;
/** Facets along and across of one that moves: a smooth one in so many that it looks smooth, of a hammered one each is a mark of the hammer. */
const MOVING = { smooth: { along: 15, across: 8 }, hammered: { along: 13, across: 6 } } as const;
const STILL = { along: 24, across: 14 } as const;
const SMALL = { along: 14, across: 6 } as const;
const LIGHT = unit([-0.3, 0.75, 0.6]);
const GLINT = unit([LIGHT[0], LIGHT[1], LIGHT[2] + 1]);

type Vector = readonly [number, number, number];

/** One sheet that stands out from the axle: a blade hung by its hole, or half of a film. */
export interface Lobe {
  readonly outline: OutlineShape;
  /** For what stands up from the plain cup; null where nothing does. */
  readonly pattern: BladePattern | null;
  readonly lengthM: number;
  readonly widthM: number;
  readonly cupDepthM: number;
  readonly holeOffsetM: number;
  readonly holeDiameterM: number;
  readonly texture: Blade['texture'];
  readonly finish: Finish;
  readonly backFinish: Finish;
}

/** The same one for as long as the blade is the same; so with the other two. */
export const lobeOfBlade = oncePer((blade: Blade): Lobe => ({ ...blade, outline: PATTERNS[blade.pattern].outline }));

export const lobeOfFilm = oncePer((film: FilmBlade): Lobe => ({
  ...filmLobe(film),
  outline: FILM_LOBE,
  pattern: null,
  holeDiameterM: film.boreM,
  texture: 'smooth',
  finish: film.finish,
  backFinish: film.finish,
}));

export const lobeOfDelta = oncePer((blade: DeltaBlade): Lobe => ({
  ...deltaLobe(blade),
  outline: DELTA_LOBE,
  pattern: null,
  holeDiameterM: blade.boreM,
  texture: 'smooth',
  finish: blade.finish,
  backFinish: blade.finish,
}));

export interface BladeMesh {
  readonly blade: Lobe;
  /** Corner points, row by row from the root: along, across, out. */
  readonly corners: readonly Vector[];
  readonly facets: readonly (readonly [number, number, number, number])[];
  readonly hole: readonly Vector[];
}

export interface BladePose {
  /** Place of the hole along the axle and the drop of the clevis, mm. */
  readonly holeMm: number;
  readonly dropMm: number;
  readonly spreadRad: number;
  readonly setAngleRad: number;
  readonly azimuthRad: number;
  /** Hung the wrong way about. */
  readonly flipped: boolean;
}

export interface DrawnFacet {
  readonly points: readonly Point[];
  readonly fill: string;
  readonly depth: number;
}

export function bladeMesh(
  blade: Lobe,
  { along, across }: { along: number; across: number } = MOVING[blade.texture],
): BladeMesh {
  const { outline } = blade;
  const corners: Vector[] = [];
  for (let i = 0; i <= along; i++) {
    const x = (1 - Math.cos((i / along) * Math.PI)) / 2;
    const half = (chordRatio(outline, x) * blade.widthM * MM) / 2;
    for (let j = 0; j <= across; j++) {
      const v = (j / across) * 2 - 1;
      corners.push([
        x * blade.lengthM * MM - blade.holeOffsetM * MM,
        v * half,
        hollowDepth(blade.cupDepthM * MM, x, v) + relief(blade, x, v),
      ]);
    }
  }
  const facets: [number, number, number, number][] = [];
  for (let i = 0; i < along; i++) {
    for (let j = 0; j < across; j++) {
      const at = i * (across + 1) + j;
      facets.push([at, at + 1, at + across + 2, at + across + 1]);
    }
  }
  const holeRadius = (blade.holeDiameterM * MM) / 2;
  const hole = Array.from({ length: 12 }, (_, i): Vector => {
    const angle = (i / 12) * 2 * Math.PI;
    return [holeRadius * Math.cos(angle), holeRadius * Math.sin(angle), 0.15];
  });
  return { blade, corners, facets, hole };
}

/** A blade looked at square on its front, its root end at x = 0; `small` for a list. */
export function faceOnShapes(blade: Blade, size: 'full' | 'small' = 'full'): Shape[] {
  const pose: BladePose = {
    holeMm: blade.holeOffsetM * MM,
    dropMm: 0,
    spreadRad: 0,
    setAngleRad: 0,
    azimuthRad: Math.PI / 2,
    flipped: false,
  };
  const { facets, hole } = poseBlade(bladeMesh(lobeOfBlade(blade), size === 'full' ? STILL : SMALL), pose);
  return [
    ...facets.map(({ points, fill }) => ({ d: polygon(points), fill, stroke: fill, strokeWidth: 0.4 })),
    { d: polygon(hole), fill: '#e8ece9', stroke: '#3c4442', strokeWidth: 0.15 },
  ];
}

/** How far a blade that hangs under a belly stands off the body. */
const HANGING_OFF_RAD = 0.2;

/** A blade hung under a belly, from its root end at x = 0: flat along the body, its hollow to it unless it is flipped. */
export function underBellyShapes(blade: Blade, flipped: boolean): Shape[] {
  const { facets } = poseBlade(bladeMesh(lobeOfBlade(blade), STILL), {
    holeMm: blade.holeOffsetM * MM,
    dropMm: 0,
    spreadRad: HANGING_OFF_RAD,
    setAngleRad: 0,
    azimuthRad: Math.PI,
    flipped,
  });
  return facets.map(({ points, fill }) => ({ d: polygon(points), fill, stroke: fill, strokeWidth: 0.4 }));
}

/** As seen from the side, y down. */
function onPage([x, y]: Vector): Point {
  return { x, y: -y };
}

/** What stands up from the plain cup: flutes, a crease, a cranked tail. For the eye only. */
function relief(blade: Lobe, x: number, v: number): number {
  const width = blade.widthM * MM;
  switch (blade.pattern) {
    case 'flutedIndiana':
      return 0.028 * width * Math.cos(v * 3 * Math.PI) * Math.sin(Math.PI * x);
    case 'ridgedIndiana':
      return 0.05 * width * Math.max(0, 1 - Math.abs(x - 0.62) / 0.1) * (1 - v * v);
    case 'hardKick':
    case 'alwaysTurning':
      return x > 0.8 ? -0.5 * (x - 0.8) * width * 0.6 : 0;
    default:
      return 0;
  }
}

/** The facets in painting order, far ones first; `hole` is the blade's hole. */
export function poseBlade(
  mesh: BladeMesh,
  pose: BladePose,
): { facets: DrawnFacet[]; hole: Point[]; towardsEye: boolean } {
  const { blade } = mesh;
  const [cosB, sinB] = [Math.cos(pose.spreadRad), Math.sin(pose.spreadRad)];
  const [cosA, sinA] = [Math.cos(pose.azimuthRad), Math.sin(pose.azimuthRad)];
  const [cosP, sinP] = [Math.cos(pose.setAngleRad), Math.sin(pose.setAngleRad)];
  const radial: Vector = [0, cosA, sinA];
  const span: Vector = [cosB, sinB * cosA, sinB * sinA];
  const tangent: Vector = [0, -sinA, cosA];
  const outward: Vector = [-sinB, cosB * cosA, cosB * sinA];
  const across = combine(tangent, cosP, outward, sinP);
  const side = pose.flipped ? -1 : 1;
  const out = scale(combine(outward, cosP, tangent, -sinP), side);
  const origin: Vector = [pose.holeMm, pose.dropMm * radial[1], pose.dropMm * radial[2]];
  const place = ([along, over, up]: Vector): Vector => [
    origin[0] + along * span[0] + over * across[0] + up * out[0],
    origin[1] + along * span[1] + over * across[1] + up * out[1],
    origin[2] + along * span[2] + over * across[2] + up * out[2],
  ];
  const world = mesh.corners.map(place);
  const facets = mesh.facets.map((corners, index): DrawnFacet => {
    const points = corners.map((corner) => world[corner] as Vector);
    const [a, b, c, d] = points as [Vector, Vector, Vector, Vector];
    const normal = unit(cross(minus(c, a), minus(d, b)));
    const facing = dot(normal, out) >= 0 ? normal : scale(normal, -1);
    const showsFront = facing[2] >= 0;
    const seen = showsFront ? facing : scale(facing, -1);
    const dimple = blade.texture === 'hammered' ? scatter(index, 7) - 0.5 : 0;
    return {
      points: points.map(onPage),
      fill: shade(showsFront ? blade.finish : blade.backFinish, seen, dimple, !showsFront),
      depth: points.reduce((sum, [, , z]) => sum + z, 0) / 4,
    };
  });
  facets.sort((a, b) => a.depth - b.depth);
  const hole = mesh.hole.map(place);
  return { facets, hole: hole.map(onPage), towardsEye: sinA >= 0 };
}

/** Light is told apart in so many steps; each colour is mixed once and kept. */
const LEVELS = 64;
const GLINTS = 8;
const mixed = new Map<string, string[]>();

function shade({ hex, sheen }: Finish, normal: Vector, dimple: number, isHollow: boolean): string {
  const key = `${hex} ${sheen === 'metal'} ${isHollow}`;
  let colours = mixed.get(key);
  if (!colours) {
    colours = [];
    mixed.set(key, colours);
  }
  const [level, glint] = sheen === 'metal' ? [mirrored(normal, dimple), 0] : [lit(normal), glinting(normal)];
  const at = level * GLINTS + glint;
  let colour = colours[at];
  if (colour === undefined) {
    const toned = sheen === 'metal' ? polished(hex, level) : coated(hex, level, glint);
    colour = isHollow ? darker(toned, 0.16) : toned;
    colours[at] = colour;
  }
  return colour;
}

function steps(share: number, count: number): number {
  return Math.min(count - 1, Math.max(0, Math.round(share * (count - 1))));
}

function lit(normal: Vector): number {
  return steps(dot(normal, LIGHT), LEVELS);
}

function glinting(normal: Vector): number {
  return steps(Math.max(0, dot(normal, GLINT)) ** 40, GLINTS);
}

/** Paint: lit by the lamp, with a small glint. */
function coated(hex: string, level: number, glint: number): string {
  const light = level / (LEVELS - 1);
  return lighter(mix(darker(hex, 0.5), hex, 0.25 + 0.85 * light), (glint / (GLINTS - 1)) * 0.5);
}

/** How far up the mirror of the metal looks, −MIRROR_SPAN to MIRROR_SPAN in steps. */
const MIRROR_SPAN = 1.6;

function mirrored(normal: Vector, dimple: number): number {
  const up = 2 * normal[1] * normal[2] + dimple * 0.7 - 0.25 * normal[0];
  return steps((up + MIRROR_SPAN) / (2 * MIRROR_SPAN), LEVELS);
}

/** Plated metal mirrors the bench: light above, a bright line at the window, dark below. */
function polished(hex: string, level: number): string {
  const up = (level / (LEVELS - 1)) * 2 * MIRROR_SPAN - MIRROR_SPAN;
  const sky = 1 / (1 + Math.exp(-5 * up));
  const window = Math.exp(-(((up - 0.42) / 0.16) ** 2));
  return lighter(mix(darker(hex, 0.58), hex, 0.1 + 0.95 * sky), Math.min(0.85, 0.7 * window + 0.12 * sky));
}

function combine(a: Vector, m: number, b: Vector, n: number): Vector {
  return [a[0] * m + b[0] * n, a[1] * m + b[1] * n, a[2] * m + b[2] * n];
}

function scale(a: Vector, m: number): Vector {
  return [a[0] * m, a[1] * m, a[2] * m];
}

function minus(a: Vector, b: Vector): Vector {
  return [a[0] - b[0], a[1] - b[1], a[2] - b[2]];
}

function dot(a: Vector, b: Vector): number {
  return a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
}

function cross(a: Vector, b: Vector): Vector {
  return [a[1] * b[2] - a[2] * b[1], a[2] * b[0] - a[0] * b[2], a[0] * b[1] - a[1] * b[0]];
}

function unit(a: Vector): Vector {
  const length = Math.hypot(...a) || 1;
  return [a[0] / length, a[1] / length, a[2] / length];
}
