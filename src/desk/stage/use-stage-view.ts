'use client';

import { useMemo } from 'react';
import type { Layout } from '@/core/geometry/layout';
import type { Motion } from '@/drawing/motion';
import { reachOf } from '@/drawing/stage-reach';
import { stageScale, viewOf, type StageView } from '@/drawing/stage-view';
import type { Size } from '@/ui/use-media';
import { useDesk } from '../desk-state';
import { stageRoom } from './stage-room';
import { useStageLook } from './stage-look';

/** How the lure lies on a stage of this size: one view for as long as its numbers stay, since most edits move nothing of it. */
export function useStageView(size: Size | null, layout: Layout | null, motions: readonly Motion[]): StageView | null {
  const look = useStageLook((state) => state.look);
  const fixedPxPerMm = useDesk(({ settings }) => (settings.trueSize ? settings.screenPxPerMm : null));
  const scale = size && layout ? stageScale(reachOf(layout, motions), stageRoom(size), look, fixedPxPerMm) : null;
  const { widthPx = 0, heightPx = 0, pxPerMm = 0, originX = 0, originY = 0, middleY = 0 } = scale ?? {};
  return useMemo(
    () => (widthPx === 0 ? null : viewOf({ widthPx, heightPx, pxPerMm, originX, originY, middleY })),
    [widthPx, heightPx, pxPerMm, originX, originY, middleY],
  );
}
