'use client';

import { useRef } from 'react';
import type { KeptPicture } from '@/data/kept-picture';
import { PictureOnStage } from '@/desk/stage/PictureOnStage';
import { Boundary } from '@/ui/Boundary';
import { useDark } from '@/ui/use-dark';
import { useSize } from '@/ui/use-media';
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
