'use client';

import { useMemo } from 'react';
import type { Layout } from '@/core/geometry/layout';
import type { Motion } from '@/drawing/motion';
import { stageScale, viewOf, type StageView } from '@/drawing/stage-view';

/** Of the window's height, for the drawing on a wide screen. */
const STAGE_SHARE = 0.36;
/** A bent wire is nearly as high as it is long. */
const BENT_STAGE_SHARE = 0.42;
const LEAST_HEIGHT_PX = 240;

/**
 * How the lure lies on a stage of this size: one view for as long as its numbers stay, since most edits move nothing of it.
 * @param fixedPxPerMm its scale where that is given; null to fill the stage
 */
export function useStageView(
  size: { readonly width: number } | null,
  layout: Layout,
  motions: readonly Motion[],
  fixedPxPerMm: number | null,
): StageView | null {
  const windowPx = typeof window === 'undefined' ? 800 : window.innerHeight;
  const share = layout.path ? BENT_STAGE_SHARE : STAGE_SHARE;
  const stagePx = Math.max(LEAST_HEIGHT_PX, windowPx * share);
  const scale = size ? stageScale(layout, motions, size.width, stagePx, fixedPxPerMm) : null;
  const { widthPx = 0, heightPx = 0, pxPerMm = 0, originX = 0, originY = 0 } = scale ?? {};
  return useMemo(
    () => (widthPx === 0 ? null : viewOf({ widthPx, heightPx, pxPerMm, originX, originY })),
    [widthPx, heightPx, pxPerMm, originX, originY],
  );
}
