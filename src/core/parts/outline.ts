/**
 * One outline per blade serves drawing, mass, clearance and hydrodynamics.
 * x is 0 at the root end and 1 at the tip; lengths in metres; the hollow opens towards the face called `back`.
 */
import type { OutlineShape } from './blade-pattern';

/** What of a blade the outline needs. */
export interface BladeShape {
  readonly lengthM: number;
  readonly widthM: number;
  readonly cupDepthM: number;
  readonly holeOffsetM: number;
}

/** One lobe of a film blade as a shape: flat, from the middle of the film to one tip. */
export function filmLobe(film: { readonly spanM: number; readonly widthM: number }): BladeShape {
  return { lengthM: film.spanM / 2, widthM: film.widthM, cupDepthM: 0, holeOffsetM: 0 };
}

/** Chord over width at station x, 0…1. */
export function chordRatio(outline: OutlineShape, x: number): number {
  if (x <= 0 || x >= 1) return 0;
  const isRoot = x < outline.widestAt;
  const side = isRoot ? outline.root : outline.tip;
  const u = isRoot ? (outline.widestAt - x) / outline.widestAt : (x - outline.widestAt) / (1 - outline.widestAt);
  return (1 - u ** side.p) ** side.e;
}

/** Depth of the hollow at station x, at `across` (−1…1 from edge to edge); its mean over the chord is d·4x(1 − x)·⅔. */
export function hollowDepth(cupDepthM: number, x: number, across: number): number {
  return cupDepthM * 4 * x * (1 - x) * (1 - across * across);
}

/** Strips across the blade for sums over its length, in order from the root end. */
export interface BladeStrips {
  readonly count: number;
  /** Distance from the hole along the blade, m: −hole at the root end, the reach at the tip. */
  readonly armM: Float64Array;
  /** Area of each strip, m². */
  readonly areaM2: Float64Array;
  /** Chord of each strip, m. */
  readonly chordM: Float64Array;
  /** Mean depth of the hollow over each strip, m. */
  readonly hollowM: Float64Array;
}

/** Stations at x = (1 − cos θ)/2, dense at both ends where the outline is steep. */
export function bladeStrips(outline: OutlineShape, shape: BladeShape, count = 20): BladeStrips {
  const armM = new Float64Array(count);
  const areaM2 = new Float64Array(count);
  const chordM = new Float64Array(count);
  const hollowM = new Float64Array(count);
  const step = Math.PI / count;
  for (let i = 0; i < count; i++) {
    const theta = (i + 0.5) * step;
    const x = (1 - Math.cos(theta)) / 2;
    const dx = (Math.sin(theta) / 2) * step;
    armM[i] = x * shape.lengthM - shape.holeOffsetM;
    const chord = chordRatio(outline, x) * shape.widthM;
    chordM[i] = chord;
    areaM2[i] = chord * dx * shape.lengthM;
    hollowM[i] = (2 / 3) * shape.cupDepthM * 4 * x * (1 - x);
  }
  return { count, armM, areaM2, chordM, hollowM };
}

/** Plan area, m². */
export function planArea(outline: OutlineShape, shape: BladeShape): number {
  return bladeStrips(outline, shape, 64).areaM2.reduce((sum, area) => sum + area, 0);
}

/** Area of the cupped sheet, m²: plan area stretched by the slope of the hollow. */
export function sheetArea(outline: OutlineShape, shape: BladeShape): number {
  const along = 48;
  const across = 24;
  let area = 0;
  for (let i = 0; i < along; i++) {
    const theta = ((i + 0.5) * Math.PI) / along;
    const x = (1 - Math.cos(theta)) / 2;
    const dxM = (Math.sin(theta) / 2) * (Math.PI / along) * shape.lengthM;
    const chordM = chordRatio(outline, x) * shape.widthM;
    if (chordM <= 0) continue;
    for (let j = 0; j < across; j++) {
      const v = ((j + 0.5) / across) * 2 - 1;
      const slopeAlong = (shape.cupDepthM * 4 * (1 - 2 * x) * (1 - v * v)) / shape.lengthM;
      const slopeAcross = (shape.cupDepthM * 4 * x * (1 - x) * -2 * v) / (chordM / 2);
      // Near the pointed ends the chord runs to nothing and with it the sense of a slope across it.
      const slope2 = Math.min(slopeAlong ** 2 + slopeAcross ** 2, 1);
      area += Math.sqrt(1 + slope2) * dxM * (chordM / across);
    }
  }
  return area;
}

/** A point of the outline: metres from the hole along the blade and to one side, with the depth of the hollow there. */
export interface OutlinePoint {
  readonly alongM: number;
  readonly acrossM: number;
  readonly depthM: number;
}

/** The closed rim, root → tip along +across and back along −across. The rim is the plane of depth 0. */
export function outlineRim(outline: OutlineShape, shape: BladeShape, perSide = 24): OutlinePoint[] {
  const half = Array.from({ length: perSide + 1 }, (_, i) => {
    const x = (1 - Math.cos((i / perSide) * Math.PI)) / 2;
    return {
      alongM: x * shape.lengthM - shape.holeOffsetM,
      acrossM: (chordRatio(outline, x) * shape.widthM) / 2,
      depthM: 0,
    };
  });
  const back = half
    .slice(1, -1)
    .reverse()
    .map((point) => ({ ...point, acrossM: -point.acrossM }));
  return [...half, ...back];
}

/** Hole to tip, m. */
export function bladeReach(shape: BladeShape): number {
  return shape.lengthM - shape.holeOffsetM;
}
