/** The scale and place of a lure on its stage: one scale for the drawing, the string and the rule under them. */
import type { Layout } from '../core/lure/layout';
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

export function stageScale(
  layout: Layout,
  motions: readonly Motion[],
  widthPx: number,
  maxHeightPx: number,
): StageScale {
  const lengthMm = Math.max(layout.x1M - layout.x0M, LEAST_LENGTH_M) * 1000;
  const reaches = motions.map(({ dropM, reachM, usualSpreadRad }) => dropM + reachM * usualSine(usualSpreadRad));
  const halfMm = Math.max(LEAST_HALF_HEIGHT_M, ...reaches) * 1000;
  const pxPerMm = Math.min(
    LARGEST_SCALE,
    (widthPx - 2 * SIDE_PX) / lengthMm,
    (maxHeightPx - TOP_PX - RULE_PX) / (2 * halfMm),
  );
  const heightPx = Math.round(2 * halfMm * pxPerMm + TOP_PX + RULE_PX);
  const originX = (widthPx - (layout.x1M - layout.x0M) * 1000 * pxPerMm) / 2 - layout.x0M * 1000 * pxPerMm;
  return {
    widthPx,
    heightPx,
    pxPerMm,
    originX,
    originY: TOP_PX + halfMm * pxPerMm,
  };
}
