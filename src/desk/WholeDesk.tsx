'use client';

import { useEffect, type ReactNode } from 'react';
// Listens from the start: the first sheet has to know what opened it.
import '@/ui/last-focus';
import { Boundary } from '@/ui/Boundary';
import { latePart } from '@/ui/late-part';
import { useDark } from '@/ui/use-dark';
import { useMissingParts } from '@/ui/use-missing-parts';
import { tell, useDesk } from './desk-state';
import { startBench } from './open-lure';
import type { WholeProps } from './PictureFirst';
import { useUnsavedGuard } from './use-unsaved-guard';
import { PAGE_WAYS } from './ways-out';

const Notices = latePart(() => import('./Notices').then((room) => room.Notices));

export interface WholeDeskProps extends WholeProps {
  /** Of the place, for when it fails. */
  readonly name: string;
  readonly children: (isDark: boolean) => ReactNode;
}

/** A place with the lure that is open in it; nothing until storage has given one. */
export function WholeDesk({ isSeen, onStands, name, children }: WholeDeskProps) {
  const history = useDesk((state) => state.history);
  const theme = useDesk((state) => state.settings.theme);
  const hasNotice = useDesk((state) => state.notice !== null);
  const isDark = useDark(theme);
  const isOpen = history !== null;
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
  if (!isOpen) return null;
  return (
    <>
      <div className={isSeen ? undefined : 'invisible'}>
        {/* What fails as a whole is forgotten with the next change of the lure. */}
        <Boundary name={name} resetOn={[history]} waysOut={PAGE_WAYS}>
          {children(isDark)}
        </Boundary>
      </div>
      {/* Beside it: a sheet makes the place inert, and what is told stays in reach. */}
      <Boundary name="The notices">{hasNotice && <Notices isDark={isDark} />}</Boundary>
    </>
  );
}

/** A drawing that is never painted, in a tab that is not looked at or by a fault, keeps nobody waiting longer. */
const UNSEEN_MS = 1500;
