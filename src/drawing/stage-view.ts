/** The scale and place of a lure on its stage: one scale for the drawing, the string and the rule under them. */
import type { PlanePlace } from '../core/carriers/wire-path';

export interface StageScale {
  readonly widthPx: number;
  readonly heightPx: number;
  readonly pxPerMm: number;
  /** Where x = 0 and the axis lie, px. */
  readonly originX: number;
  readonly originY: number;
  /** What lies here stays where it is while the scale changes about the middle, px from the top. */
  readonly middleY: number;
}

export interface StageView extends StageScale {
  /** Places along the wire in pixels. */
  readonly toX: (xM: number) => number;
}

/** Of the stage, for the lure at rest; the rest is for what is written about it. */
const SHARE_OF_WIDTH = 0.84;
const SHARE_OF_HEIGHT = 0.92;
export const RULE_PX = 34;
const LEAST_LENGTH_M = 0.06;

/** The scale as a view, with its way from metres to pixels. */
export function viewOf(scale: StageScale): StageView {
  return { ...scale, toX: (xM) => scale.originX + xM * 1000 * scale.pxPerMm };
}

/** How the stage is looked at: nearer than at rest by a factor, and moved by so much of the page. */
export interface StageLook {
  readonly zoom: number;
  readonly panXMm: number;
  readonly panYMm: number;
}

export const AT_REST: StageLook = { zoom: 1, panXMm: 0, panYMm: 0 };

export interface StageRoom {
  readonly widthPx: number;
  readonly heightPx: number;
  /** At the top, for the line of figures. */
  readonly topPx: number;
}

/** How far everything reaches, m: along the axis, and above and below it. */
export interface StageReach {
  readonly x0M: number;
  readonly x1M: number;
  readonly upM: number;
  readonly downM: number;
}

/** @param fixedPxPerMm the scale at rest where it is wanted, for true size; else the one at which all of it stands */
export function stageScale(
  { x0M, x1M, upM, downM }: StageReach,
  { widthPx, heightPx, topPx }: StageRoom,
  { zoom, panXMm, panYMm }: StageLook = AT_REST,
  fixedPxPerMm: number | null = null,
): StageScale {
  const lengthMm = Math.max(x1M - x0M, LEAST_LENGTH_M) * 1000;
  const freePx = heightPx - topPx - RULE_PX;
  const restPxPerMm =
    fixedPxPerMm ??
    Math.min((widthPx * SHARE_OF_WIDTH) / lengthMm, (freePx * SHARE_OF_HEIGHT) / ((upM + downM) * 1000));
  const pxPerMm = restPxPerMm * zoom;
  const middleXMm = ((x0M + x1M) / 2) * 1000 + panXMm;
  const middleYMm = ((downM - upM) / 2) * 1000 + panYMm;
  return {
    widthPx,
    heightPx,
    pxPerMm,
    originX: widthPx / 2 - middleXMm * pxPerMm,
    originY: topPx + freePx / 2 - middleYMm * pxPerMm,
    middleY: topPx + freePx / 2,
  };
}

export interface PixelBox {
  readonly left: number;
  readonly top: number;
  readonly width: number;
  readonly height: number;
}

/** Places and sizes go by whole steps, so that a small change keeps the same ones. */
const PLACE_STEP_PX = 24;
const SIZE_STEP_PX = 96;

/**
 * The part of the stage that the turning blades can reach: all that has to be painted sixty times a second. It begins on the
 * stage and may end a little beyond it.
 */
export function sweptBox(corners: readonly PlanePlace[], view: StageView): PixelBox {
  if (corners.length === 0) return { left: 0, top: 0, width: 0, height: 0 };
  const along = spanOnStage(
    corners.map(({ xM }) => view.toX(xM)),
    view.widthPx,
  );
  const down = spanOnStage(
    corners.map(({ yM }) => view.originY - yM * 1000 * view.pxPerMm),
    view.heightPx,
  );
  return { left: along.from, width: along.size, top: down.from, height: down.size };
}

/** The box at the size it had before, where that still serves: a canvas of a new size costs much more than a new place. */
export function steadyBox(needed: PixelBox, before: PixelBox): PixelBox {
  const serves = (size: number, had: number) => (size <= had && had <= 2 * size ? had : size);
  return { ...needed, width: serves(needed.width, before.width), height: serves(needed.height, before.height) };
}

function spanOnStage(px: readonly number[], stagePx: number): { readonly from: number; readonly size: number } {
  const from = Math.max(0, Math.floor(Math.min(...px) / PLACE_STEP_PX) * PLACE_STEP_PX);
  const to = Math.min(stagePx, Math.max(...px));
  return { from, size: Math.max(0, Math.ceil((to - from) / SIZE_STEP_PX) * SIZE_STEP_PX) };
}

/** A place in the plane of the lure on the stage, px. */
export function fromPlane(view: StageScale, { xM, yM }: PlanePlace): { readonly x: number; readonly y: number } {
  return { x: view.originX + xM * 1000 * view.pxPerMm, y: view.originY - yM * 1000 * view.pxPerMm };
}
