'use client';

import { useEffect } from 'react';
// Listens from the start: the first sheet has to know what opened it.
import '@/ui/last-focus';
import { tell, useDesk } from '@/desk/desk-state';
import { exportOpenLure } from '@/desk/export-lure';
import { openAnother, startBench } from '@/desk/open-lure';
import { useUnsavedGuard } from '@/desk/use-unsaved-guard';
import { Boundary, type WayOut } from '@/ui/Boundary';
import { latePart } from '@/ui/late-part';
import { useDark } from '@/ui/use-dark';
import { useMissingParts } from '@/ui/use-missing-parts';
import { OpenTank } from './OpenTank';

const Notices = latePart(() => import('@/desk/Notices').then((room) => room.Notices));

export interface WholeTankProps {
  /** Its drawing stands: until then it is laid out unseen, behind the picture of it. */
  readonly isSeen: boolean;
  /** Called when its drawing is painted, or had the time to be. */
  readonly onStands: () => void;
}

/** The Tank with all that can be done in it; nothing until storage has given a lure. */
export function WholeTank({ isSeen, onStands }: WholeTankProps) {
  const isOpen = useDesk((state) => state.history !== null);
  const theme = useDesk((state) => state.settings.theme);
  const hasNotice = useDesk((state) => state.notice !== null);
  const history = useDesk((state) => state.history);
  const isDark = useDark(theme);
  useEffect(() => {
    let stop: (() => void) | null = null;
    let isGone = false;
    void startBench(new URLSearchParams(window.location.search).get('lure')).then((stopDesk) => {
      if (isGone) stopDesk();
      else stop = stopDesk;
    });
    return () => {
      isGone = true;
      stop?.();
    };
  }, []);
  useEffect(() => {
    if (!isOpen) return;
    const unseen = setTimeout(onStands, UNSEEN_MS);
    return () => clearTimeout(unseen);
  }, [isOpen, onStands]);
  useUnsavedGuard();
  useMissingParts((words) => tell('trouble', words));
  return (
    <>
      {isOpen && (
        <div className={isSeen ? undefined : 'invisible'}>
          <Boundary name="The Tank" resetOn={[history]} waysOut={WAYS_OUT}>
            <OpenTank isDark={isDark} onStands={onStands} />
          </Boundary>
        </div>
      )}
      {/* Beside it: a sheet makes the Tank inert, and what is told stays in reach. */}
      <Boundary name="The notices">{hasNotice && <Notices isDark={isDark} />}</Boundary>
    </>
  );
}

/** A drawing that is never painted, in a tab that is not looked at or by a fault, keeps nobody waiting longer. */
const UNSEEN_MS = 1500;

/** Out of a page that failed as a whole: keep the lure as a file, or go to another. */
const WAYS_OUT: readonly WayOut[] = [
  { label: 'Export this lure', run: exportOpenLure },
  { label: 'Another lure', run: () => void openAnother() },
];
