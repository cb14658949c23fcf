'use client';

import { useMemo, useRef } from 'react';
import type { KeptPicture } from '@/data/kept-picture';
import { stageRoom } from '@/desk/stage/stage-room';
import { Rule } from '@/drawing/Rule';
import { StageCanvases } from '@/drawing/stage/StageCanvases';
import { stageScale, sweptBox, viewOf } from '@/drawing/stage-view';
import { Boundary } from '@/ui/Boundary';
import { useDark } from '@/ui/use-dark';
import { useMedia, useSize, type Size } from '@/ui/use-media';
import { BenchFrame } from './BenchFrame';
import { FileUnpressed, HeaderRow, LuresUnpressed, NAME_FIELD } from '@/desk/header/HeaderRow';

export interface FirstScreenProps {
  /** What was last drawn; null where there is none. */
  readonly picture: KeptPicture | null;
  /** Called once, when the picture is painted. */
  readonly onPainted: () => void;
}

const NOTHING_YET = { title: '', run: null };

/** The Bench before it is there: the lure as it was last painted, its blades turning, and the places of all else. */
export function FirstScreen({ picture, onPainted }: FirstScreenProps) {
  const isDark = useDark(picture?.theme ?? 'auto');
  const stage = useRef<HTMLDivElement>(null);
  const size = useSize(stage);
  return (
    <div className="absolute inset-0 bg-page">
      <BenchFrame
        header={
          <HeaderRow
            at="bench"
            lureId={picture?.lureId ?? null}
            system={picture?.system ?? 'metric'}
            isDark={isDark}
            lures={<LuresUnpressed />}
            name={<span className={`${NAME_FIELD} inline-flex items-center`}>{picture?.name}</span>}
            file={<FileUnpressed />}
            undo={NOTHING_YET}
            redo={NOTHING_YET}
            newLure={null}
            changeMeasures={null}
            changeTheme={null}
          />
        }
        stageRef={stage}
        stage={
          <>
            <p role="status" className={picture ? 'sr-only' : 'grid size-full place-items-center text-ink-soft'}>
              Laying out the bench…
            </p>
            <Boundary name="The drawing">
              {picture && size && <PictureOnStage picture={picture} size={size} onPainted={onPainted} />}
            </Boundary>
          </>
        }
        lureId={picture?.lureId ?? null}
      />
    </div>
  );
}

interface PictureOnStageProps {
  readonly picture: KeptPicture;
  readonly size: Size;
  readonly onPainted: () => void;
}

function PictureOnStage({ picture, size, onPainted }: PictureOnStageProps) {
  const { things, turning, reach, swept, fixedPxPerMm, system } = picture;
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
      <svg width={view.widthPx} height={view.heightPx} className="relative block">
        <Rule view={view} system={system} />
      </svg>
    </div>
  );
}
