/** A lure painted once, its blades stopped half round: for lists, for laying one version over another. */
import { drawnAtRest, drawnShort } from '../core/geometry/drawn-short';
import type { Rest } from '../core/geometry/stack';
import type { Layout } from '../core/geometry/layout';
import type { Build } from '../core/lure/lure';
import { oncePer } from '../core/once';
import { deltaSeats, filmSeats, spinSeats } from '../core/geometry/seats';
import { drawElevation, type DrawnThing } from './drawn-things';
import { motionsOf, type Motion } from './motion';
import { paintThings, traceThings } from './paint-canvas';
import { heights } from './stage-reach';
import { TurningBlade } from './turning-blade';
import { turningThings } from './turning-things';

export const STOPPED_RAD = (58 * Math.PI) / 180;
const UNASKED = { speedsMps: [], blades: [], beats: [] } as const;

export interface StillLure {
  readonly layout: Layout;
  readonly motions: readonly Motion[];
  readonly things: readonly DrawnThing[];
}

/** Everything of a lure that is painted, worked out without a prediction: blades stand as their pattern usually does. */
export const stillLure = oncePer((whole: Build): StillLure => {
  const { build, layout } = drawnShort(whole);
  const motions = motionsOf(spinSeats(build, layout), filmSeats(layout), deltaSeats(layout), UNASKED).map((motion) => ({
    ...motion,
    rateHz: 1,
    spreadRad: motion.usualSpreadRad,
  }));
  return { layout, motions, things: drawElevation(build, layout) };
});

/** A lure on line as it rests: drawn through the water, slack, or hung up by its hook, when its blades hang still. */
export function restingLure(whole: Build, rest: Rest): StillLure {
  if (rest === 'towed') return stillLure(whole);
  const { build, layout } = drawnAtRest(whole, rest);
  const motions = motionsOf(spinSeats(build, layout), filmSeats(layout), deltaSeats(layout), UNASKED);
  return { layout, motions, things: drawElevation(build, layout) };
}

/** Paints it on a canvas already scaled to millimetres about the lure's own origin. */
export function paintStill(canvas: CanvasRenderingContext2D, lure: StillLure): void {
  const blades = stopped(lure);
  for (const blade of blades) if (!blade.isNear()) blade.paint(canvas, canvas);
  paintThings(canvas, lure.things);
  for (const blade of blades) if (blade.isNear()) blade.paint(canvas, canvas);
}

function stopped({ layout, motions }: StillLure): TurningBlade[] {
  return turningThings(motions, layout, 1).map((thing) => new TurningBlade(thing, STOPPED_RAD));
}

/** Its outlines in one colour, its blades as shadows. */
export function traceStill(canvas: CanvasRenderingContext2D, lure: StillLure, colour: string): void {
  traceThings(canvas, lure.things, colour);
  canvas.globalAlpha = SHADOW;
  for (const blade of stopped(lure)) blade.paint(canvas, canvas);
  canvas.globalAlpha = 1;
}

const SHADOW = 0.3;

export interface Frame {
  readonly widthPx: number;
  readonly heightPx: number;
  readonly pxPerMm: number;
  readonly originX: number;
  readonly originY: number;
}

/** The scale at which all of these lie whole within a box, one over the other. */
export function frameFor(lures: readonly StillLure[], widthPx: number, heightPx: number, mostPxPerMm: number): Frame {
  const tall = lures.map(({ layout, motions }) => heights(layout, motions));
  const upM = Math.max(...tall.map((each) => each.upM));
  const downM = Math.max(...tall.map((each) => each.downM));
  const x0M = Math.min(...lures.map(({ layout }) => layout.x0M));
  const x1M = Math.max(...lures.map(({ layout }) => layout.x1M));
  const pxPerMm = Math.min(
    mostPxPerMm,
    (widthPx - 2 * EDGE_PX) / ((x1M - x0M) * 1000),
    (heightPx - 2 * EDGE_PX) / ((upM + downM) * 1000),
  );
  return {
    widthPx,
    heightPx,
    pxPerMm,
    originX: widthPx / 2 - ((x0M + x1M) / 2) * 1000 * pxPerMm,
    originY: heightPx / 2 + ((upM - downM) / 2) * 1000 * pxPerMm,
  };
}

const EDGE_PX = 4;
