'use client';

import { useEffect } from 'react';
import { useDark } from '@/ui/use-dark';
import { Notices } from './later';
import { useBench } from './bench-state';
import { startBench } from './bench-store';
import { OpenBench } from './OpenBench';

export function Bench() {
  const history = useBench((state) => state.history);
  const hasNotice = useBench((state) => state.notice !== null);
  const theme = useBench((state) => state.settings.theme);
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
  return (
    <>
      {history ? <OpenBench history={history} isDark={isDark} /> : <Opening />}
      {hasNotice && <Notices isDark={isDark} />}
    </>
  );
}

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
  const isUnsaved = useBench((state) => state.saving.state === 'failed');
  useEffect(() => {
    if (!isUnsaved) return;
    const onLeave = (event: BeforeUnloadEvent) => event.preventDefault();
    window.addEventListener('beforeunload', onLeave);
    return () => window.removeEventListener('beforeunload', onLeave);
  }, [isUnsaved]);
}
