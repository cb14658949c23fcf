'use client';

import { useEffect } from 'react';
// Listens from the start: the first sheet has to know what opened it.
import '@/ui/last-focus';
import { tell, useDesk } from '@/desk/desk-state';
import { Notices } from '@/desk/Notices';
import { exportOpenLure } from '@/desk/export-lure';
import { openAnother, startBench } from '@/desk/open-lure';
import { useUnsavedGuard } from '@/desk/use-unsaved-guard';
import { Boundary, type WayOut } from '@/ui/Boundary';
import { useDark } from '@/ui/use-dark';
import { useMissingParts } from '@/ui/use-missing-parts';
import { OpenTank } from './OpenTank';

/** The Tank: the open lure swims, and what is wanted of it is brought nearer, one change at a time. */
export function Tank() {
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
  useUnsavedGuard();
  useMissingParts((words) => tell('trouble', words));
  return (
    <>
      {isOpen ? (
        <Boundary name="The Tank" resetOn={[history]} waysOut={WAYS_OUT}>
          <OpenTank isDark={isDark} />
        </Boundary>
      ) : (
        <main className="grid min-h-dvh place-items-center">
          <p role="status" className="text-ink-soft">
            Filling the tank…
          </p>
        </main>
      )}
      {/* Beside it: a sheet makes the Tank inert, and what is told stays in reach. */}
      <Boundary name="The notices">{hasNotice && <Notices isDark={isDark} />}</Boundary>
    </>
  );
}

/** Out of a page that failed as a whole: keep the lure as a file, or go to another. */
const WAYS_OUT: readonly WayOut[] = [
  { label: 'Export this lure', run: exportOpenLure },
  { label: 'Another lure', run: () => void openAnother() },
];
