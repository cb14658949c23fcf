'use client';

import { useRef } from 'react';
import type { KeptPicture } from '@/data/kept-picture';
import { HeaderRow, LuresUnpressed, NAME_FIELD } from '@/desk/header/HeaderRow';
import { PictureFirst } from '@/desk/PictureFirst';
import { PictureOnStage } from '@/desk/stage/PictureOnStage';
import { Boundary } from '@/ui/Boundary';
import { latePart } from '@/ui/late-part';
import { useDark } from '@/ui/use-dark';
import { useSize } from '@/ui/use-media';
import { TANK_GRID } from './tank-grid';

const WholeTank = latePart(() => import('./WholeTank').then((room) => room.WholeTank));

/** The Tank: the open lure swims, and what is wanted of it is brought nearer, one change at a time. */
export function Tank({ firstPicture }: { readonly firstPicture: string }) {
  return (
    <PictureFirst
      firstPicture={firstPicture}
      name="The Tank"
      before={(picture, onPainted) => <FirstSwim picture={picture} onPainted={onPainted} />}
      Whole={WholeTank}
    />
  );
}

const NOTHING_YET = { title: '', run: null };

/** The Tank before it is there: the lure as it was last painted, and the places of all else. */
function FirstSwim({ picture, onPainted }: { readonly picture: KeptPicture | null; readonly onPainted: () => void }) {
  const isDark = useDark(picture?.theme ?? 'auto');
  const stage = useRef<HTMLDivElement>(null);
  const size = useSize(stage);
  return (
    <div className="absolute inset-0 flex flex-col bg-page">
      <HeaderRow
        at="tank"
        lureId={picture?.lureId ?? null}
        system={picture?.system ?? 'metric'}
        isDark={isDark}
        lures={<LuresUnpressed />}
        name={<span className={`${NAME_FIELD} inline-flex items-center truncate`}>{picture?.name}</span>}
        undo={NOTHING_YET}
        redo={NOTHING_YET}
        newLure={null}
        changeMeasures={null}
        changeTheme={null}
      />
      <div className={TANK_GRID}>
        <main className="flex min-h-64 flex-col lg:min-h-0">
          <div ref={stage} className="relative flex-1 overflow-hidden bg-stage contain-strict">
            <p role="status" className={picture ? 'sr-only' : 'grid size-full place-items-center text-ink-soft'}>
              Filling the tank…
            </p>
            <Boundary name="The drawing">
              {picture && size && <PictureOnStage picture={picture} size={size} isBare onPainted={onPainted} />}
            </Boundary>
          </div>
        </main>
        <div className="bg-panel max-lg:hidden lg:row-span-2 lg:border-l lg:border-line" />
        <div className="h-[30rem] border-t border-line bg-panel lg:h-[29rem]" />
      </div>
    </div>
  );
}
