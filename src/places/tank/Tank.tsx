'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import type { KeptPicture } from '@/data/kept-picture';
import { findPicture } from '@/desk/first-picture';
import { HeaderRow, LuresUnpressed, NAME_FIELD } from '@/desk/header/HeaderRow';
import { PictureOnStage } from '@/desk/stage/PictureOnStage';
import { Boundary } from '@/ui/Boundary';
import { latePart } from '@/ui/late-part';
import { useAfterPaint } from '@/ui/use-after-paint';
import { useDark } from '@/ui/use-dark';
import { useSize } from '@/ui/use-media';
import { TANK_GRID } from './tank-grid';

const WholeTank = latePart(() => import('./WholeTank').then((room) => room.WholeTank));

/**
 * The Tank: the open lure swims, and what is wanted of it is brought nearer, one change at a time. The lure as it was last
 * painted stands first; the rest loads behind it and takes its place.
 */
export function Tank({ firstPicture }: { readonly firstPicture: string }) {
  const [found, setFound] = useState<{ readonly picture: KeptPicture | null } | null>(null);
  const [isPainted, setPainted] = useState(false);
  const [stands, setStands] = useState(false);
  const [hasHadTime, setHadTime] = useState(false);
  useEffect(() => {
    let isShown = true;
    void findPicture(firstPicture).then((picture) => {
      if (isShown) setFound({ picture });
    });
    const timer = setTimeout(() => setHadTime(true), UNSEEN_MS);
    return () => {
      isShown = false;
      clearTimeout(timer);
    };
  }, [firstPicture]);
  const hasBeenSeen = useAfterPaint(isPainted);
  const mayLoad = hasBeenSeen || hasHadTime || (found !== null && found.picture === null);
  const onStands = useCallback(() => setStands(true), []);
  const onPainted = useCallback(() => setPainted(true), []);
  return (
    <>
      {!stands && <FirstSwim picture={found?.picture ?? null} onPainted={onPainted} />}
      {mayLoad && (
        <Boundary name="The Tank" isOver>
          <WholeTank isSeen={stands} onStands={onStands} />
        </Boundary>
      )}
    </>
  );
}

/** A picture that is not painted in this time keeps nobody waiting longer. */
const UNSEEN_MS = 4_000;
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
