'use client';

import { useMemo } from 'react';
import type { KeptPicture } from '@/data/kept-picture';
import { Rule } from '@/drawing/Rule';
import { StageCanvases } from '@/drawing/stage/StageCanvases';
import { stageScale, sweptBox, viewOf } from '@/drawing/stage-view';
import { useMedia, type Size } from '@/ui/use-media';
import { stageRoom } from './stage-room';

export interface PictureOnStageProps {
  readonly picture: KeptPicture;
  readonly size: Size;
  /** Only the lure. */
  readonly isBare?: boolean;
  readonly onPainted: () => void;
}

/** The lure as it was last painted, its blades turning. */
export function PictureOnStage({ picture, size, isBare = false, onPainted }: PictureOnStageProps) {
  const { things, turning, reach, swept, fixedPxPerMm, system, leftOut } = picture;
  const isStill = useMedia('(prefers-reduced-motion: reduce)');
  const view = useMemo(
    () => viewOf(stageScale(reach, stageRoom(size), undefined, fixedPxPerMm)),
    [reach, size, fixedPxPerMm],
  );
  const box = useMemo(() => sweptBox(swept, view), [swept, view]);
  return (
    <div aria-hidden className="absolute inset-x-0 top-0" style={{ height: view.heightPx }}>
      <StageCanvases
        things={things}
        turning={turning}
        view={view}
        swept={box}
        isStill={isStill}
        onPainted={onPainted}
      />
      {!isBare && (
        <svg width={view.widthPx} height={view.heightPx} className="relative block">
          <Rule view={view} system={system} leftOut={leftOut} />
        </svg>
      )}
    </div>
  );
}
