/** The line of an outfit, through a sinker where one is ahead of the lure. */
import { densityOf } from '../parts/material';
import type { Outfit } from './outfit';
import { aboveSinker, pullAbove, rigShapes, type Rig, type RigShape, type Sinker } from './sinker-line';
import {
  lineCurve,
  lineShape,
  lineShapes,
  type FishingLine,
  type LinePoint,
  type LinePull,
  type LineSetting,
  type LineShape,
} from './towed-line';

/** The least line above a sinker, m. */
const LEAST_ABOVE_M = 0.3;

function sinkerOf({ massKg, metal, style, dropperM }: NonNullable<Outfit['sinker']>): Sinker {
  return {
    massKg,
    densityKgM3: densityOf(metal),
    ...(style === undefined ? {} : { style }),
    ...(dropperM === undefined ? {} : { dropperM }),
  };
}

/** Where sinker and lure run with each of these lengths out, from the rod's tip to the lure, over a bottom, m. The leader is of the same line. */
export function rigsOver(
  line: FishingLine,
  sinker: NonNullable<Outfit['sinker']>,
  pull: LinePull,
  setting: LineSetting,
  lengthsOutM: readonly number[],
  bottomM = Infinity,
  steps?: number,
): RigShape[] {
  const { leaderM } = sinker;
  const rig: Rig = { line, leader: line, leaderM, sinker: sinkerOf(sinker), bait: pull };
  const above = lengthsOutM.map((lengthM) => Math.max(LEAST_ABOVE_M, lengthM - leaderM));
  return rigShapes(rig, setting, above, bottomM, steps);
}

/** What pulls the line above the sinker, the leader's own weight and drag left out; without one the lure's own pull. */
export function pullWithSinker({ sinker }: Outfit, pull: LinePull, setting: LineSetting): LinePull {
  return sinker ? pullAbove(sinkerOf(sinker), pull, setting) : pull;
}

/** How steeply the line runs up from the sinker, or from the lure without one, rad; level where it is lifted. */
export function slopeWithSinker(outfit: Outfit, pull: LinePull, setting: LineSetting): number {
  const { aftN, downN } = pullWithSinker(outfit, pull, setting);
  return Math.max(0, Math.atan2(downN, aftN));
}

/** Where the lure runs with each of these lengths out, from the rod's tip to the lure, m. */
export function lureShapes(
  line: FishingLine,
  { sinker }: Outfit,
  pull: LinePull,
  setting: LineSetting,
  lengthsOutM: readonly number[],
  steps?: number,
): LineShape[] {
  if (!sinker) return lineShapes(line, pull, setting, lengthsOutM, steps);
  return rigsOver(line, sinker, pull, setting, lengthsOutM, Infinity, steps).map((shape) =>
    shape.outcome === 'sinks'
      ? { outcome: 'sinks', depthM: shape.baitDepthM, inWaterM: shape.inWaterM, tipPullN: shape.tipPullN }
      : shape,
  );
}

/** The same with the outfit's own length out, sooner: for weighing many lures. */
export function lureShape(line: FishingLine, outfit: Outfit, pull: LinePull, setting: LineSetting): LineShape {
  if (!outfit.sinker) return lineShape(line, pull, setting, outfit.lineOutM);
  return lureShapes(line, outfit, pull, setting, [outfit.lineOutM])[0] ?? { outcome: 'surfaces' };
}

/** The way of the line from the lure to the rod's tip: with a sinker, first the leader, drawn straight. */
export function lureCurve(
  line: FishingLine,
  { sinker, lineOutM }: Outfit,
  pull: LinePull,
  setting: LineSetting,
): readonly LinePoint[] {
  if (!sinker) return lineCurve(line, pull, setting, lineOutM);
  const { leaderM } = sinker;
  const above = aboveSinker(line, sinkerOf(sinker), leaderM, pull, setting);
  const forwardM = Math.sqrt(Math.max(leaderM ** 2 - above.gainM ** 2, 0));
  const upper = lineCurve(line, above.pull, setting, Math.max(LEAST_ABOVE_M, lineOutM - leaderM));
  const depthM = Math.max(0, (upper[0]?.depthM ?? 0) + above.gainM);
  return [{ forwardM: 0, depthM }, ...upper.map((point) => ({ ...point, forwardM: point.forwardM + forwardM }))];
}
