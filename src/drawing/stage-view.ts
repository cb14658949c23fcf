/** The scale and place of a lure on its stage: one scale for the drawing, the string and the rule under them. */
import { poseOf } from '../core/geometry/placed';
import type { Layout } from '../core/geometry/layout';
import { pointOn } from '../core/carriers/wire-path';
import type { Motion } from './motion';

export interface StageScale {
  readonly widthPx: number;
  readonly heightPx: number;
  readonly pxPerMm: number;
  /** Where x = 0 and the axis lie, px. */
  readonly originX: number;
  readonly originY: number;
}

export interface StageView extends StageScale {
  /** Places along the wire in pixels. */
  readonly toX: (xM: number) => number;
}

const SIDE_PX = 22;
const TOP_PX = 26;
const RULE_PX = 34;
/** Room for a blade somewhat wider than its pattern's usual spread, so that speed does not move the page. */
const ROOM_BEYOND_DEG = 8;
const LEAST_HALF_HEIGHT_M = 0.016;
const LEAST_LENGTH_M = 0.06;
const LARGEST_SCALE = 11;

function usualSine(spreadRad: number): number {
  return Math.sin(Math.min(spreadRad + (ROOM_BEYOND_DEG * Math.PI) / 180, Math.PI / 2));
}

/** The scale as a view, with its way from metres to pixels. */
export function viewOf(scale: StageScale): StageView {
  return { ...scale, toX: (xM) => scale.originX + xM * 1000 * scale.pxPerMm };
}

/** Metres above and below the axis that everything takes, at its usual sweep. */
export function heights(layout: Layout, motions: readonly Motion[]): { readonly upM: number; readonly downM: number } {
  const sweeps = motions.map(({ line, holeM, dropM, reachM, usualSpreadRad }) => {
    const { yM } = pointOn(poseOf(layout, line), holeM);
    const radiusM = dropM + reachM * usualSine(usualSpreadRad);
    return { upM: yM + radiusM, downM: radiusM - yM };
  });
  if (!layout.path) {
    const halfM = Math.max(LEAST_HALF_HEIGHT_M, ...sweeps.map(({ upM }) => upM));
    return { upM: halfM, downM: halfM };
  }
  return {
    upM: Math.max(layout.y1M, ...sweeps.map(({ upM }) => upM)) + SPARE_M,
    downM: Math.max(-layout.y0M + DRAPE_M, ...sweeps.map(({ downM }) => downM)),
  };
}

/** Room below a head for the strands that drape from it, and above an arm for the eye. */
const DRAPE_M = 0.012;
const SPARE_M = 0.002;

/** @param fixedPxPerMm the scale wanted, for true size; else the largest that fits */
export function stageScale(
  layout: Layout,
  motions: readonly Motion[],
  widthPx: number,
  maxHeightPx: number,
  fixedPxPerMm: number | null = null,
): StageScale {
  const lengthMm = Math.max(layout.x1M - layout.x0M, LEAST_LENGTH_M) * 1000;
  const { upM, downM } = heights(layout, motions);
  const heightMm = (upM + downM) * 1000;
  const pxPerMm =
    fixedPxPerMm ??
    Math.min(LARGEST_SCALE, (widthPx - 2 * SIDE_PX) / lengthMm, (maxHeightPx - TOP_PX - RULE_PX) / heightMm);
  const heightPx = Math.round(heightMm * pxPerMm + TOP_PX + RULE_PX);
  // At true size a long lure is wider than its stage, which then slides.
  const wholePx = Math.max(widthPx, Math.ceil((layout.x1M - layout.x0M) * 1000 * pxPerMm + 2 * SIDE_PX));
  const originX = (wholePx - (layout.x1M - layout.x0M) * 1000 * pxPerMm) / 2 - layout.x0M * 1000 * pxPerMm;
  return {
    widthPx: wholePx,
    heightPx,
    pxPerMm,
    originX,
    originY: TOP_PX + upM * 1000 * pxPerMm,
  };
}

export interface PixelBox {
  readonly left: number;
  readonly top: number;
  readonly width: number;
  readonly height: number;
}

/** Boxes grow by whole steps, so that a small change of speed or place keeps the same one. */
const BOX_STEP_PX = 24;
const AHEAD_OF_HOLE_M = 0.012;

/** The part of the stage that the turning blades can reach: all that has to be painted sixty times a second. */
export function sweptBox(layout: Layout, motions: readonly Motion[], view: StageView): PixelBox {
  const corners = motions.flatMap(({ line, holeM, dropM, reachM, spreadRad, usualSpreadRad }) => {
    const radiusM = dropM + reachM * Math.max(usualSine(usualSpreadRad), Math.sin(spreadRad));
    return [holeM - AHEAD_OF_HOLE_M, holeM + Math.max(reachM, AHEAD_OF_HOLE_M)].flatMap((alongM) =>
      [-radiusM, radiusM].map((upM) => pointOn(poseOf(layout, line), alongM, upM)),
    );
  });
  if (corners.length === 0) return { left: 0, top: 0, width: 0, height: 0 };
  const xs = corners.map(({ xM }) => view.toX(xM));
  const ys = corners.map(({ yM }) => view.originY - yM * 1000 * view.pxPerMm);
  const from = (values: readonly number[]) => Math.max(0, Math.floor(Math.min(...values) / BOX_STEP_PX) * BOX_STEP_PX);
  const to = (values: readonly number[], most: number) =>
    Math.min(most, Math.ceil(Math.max(...values) / BOX_STEP_PX) * BOX_STEP_PX);
  const [left, top] = [from(xs), from(ys)];
  return {
    left,
    top,
    width: Math.max(0, to(xs, view.widthPx) - left),
    height: Math.max(0, to(ys, view.heightPx) - top),
  };
}
