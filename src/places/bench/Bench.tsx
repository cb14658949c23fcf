'use client';

import { useEffect } from 'react';
import { Boundary, type WayOut } from '@/ui/Boundary';
// Listens from the start: the first sheet has to know what opened it.
import '@/ui/last-focus';
import { useDark } from '@/ui/use-dark';
import { useMissingParts } from '@/ui/use-missing-parts';
import { Notices } from './later';
import { tell, useDesk } from '@/desk/desk-state';
import { openAnother, startBench } from '@/desk/open-lure';
import { exportLure } from '@/desk/export-lure';
import { OpenBench, WAYS_OUT } from './OpenBench';

export function Bench() {
  const history = useDesk((state) => state.history);
  const hasNotice = useDesk((state) => state.notice !== null);
  const theme = useDesk((state) => state.settings.theme);
  const isDark = useDark(theme);
  useEffect(() => {
    let stop: (() => void) | null = null;
    let isGone = false;
    void startBench(new URLSearchParams(window.location.search).get('lure')).then((stopBench) => {
      if (isGone) stopBench();
      else stop = stopBench;
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
      <Boundary name="The Bench" resetOn={[history]} waysOut={[...WAYS_OUT, ...FROM_THE_PAGE]}>
        {history ? <OpenBench history={history} isDark={isDark} /> : <Opening />}
      </Boundary>
      <Boundary name="The notices">{hasNotice && <Notices isDark={isDark} />}</Boundary>
    </>
  );
}

/** Out of a page that failed as a whole: keep the lure as a file, or go to another. */
const FROM_THE_PAGE: readonly WayOut[] = [
  {
    label: 'Export this lure',
    run: () => {
      const { history } = useDesk.getState();
      if (history) exportLure(history);
    },
  },
  { label: 'Another lure', run: () => void openAnother() },
];

function Opening() {
  return (
    <main className="grid min-h-dvh place-items-center">
      <p role="status" className="text-ink-soft">
        Laying out the bench…
      </p>
    </main>
  );
}

/** The browser asks before a page with unsaved work goes away. */
function useUnsavedGuard() {
  const isUnsaved = useDesk((state) => state.saving.state === 'failed');
  useEffect(() => {
    if (!isUnsaved) return;
    const onLeave = (event: BeforeUnloadEvent) => event.preventDefault();
    window.addEventListener('beforeunload', onLeave);
    return () => window.removeEventListener('beforeunload', onLeave);
  }, [isUnsaved]);
}
