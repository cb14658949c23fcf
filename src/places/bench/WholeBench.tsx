'use client';

import { useEffect, type ReactNode } from 'react';
import { Boundary, type WayOut } from '@/ui/Boundary';
// Listens from the start: the first sheet has to know what opened it.
import '@/ui/last-focus';
import { useDark } from '@/ui/use-dark';
import { useMissingParts } from '@/ui/use-missing-parts';
import { tell, useDesk } from '@/desk/desk-state';
import { useUnsavedGuard } from '@/desk/use-unsaved-guard';
import { openAnother, startBench } from '@/desk/open-lure';
import { exportOpenLure } from '@/desk/export-lure';
import { Notices } from './later';
import { OpenBench, WAYS_OUT } from './OpenBench';

export interface WholeBenchProps {
  /** Its drawing stands: until then it is laid out unseen, behind the picture of it. */
  readonly isSeen: boolean;
  /** Called when its drawing is painted, or had the time to be. */
  readonly onStands: () => void;
}

/** The Bench with all that can be done on it; nothing until storage has given a lure. */
export function WholeBench(props: WholeBenchProps) {
  const { onStands } = props;
  const isOpen = useDesk((state) => state.history !== null);
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
  useEffect(() => {
    if (!isOpen) return;
    const unseen = setTimeout(onStands, UNSEEN_MS);
    return () => clearTimeout(unseen);
  }, [isOpen, onStands]);
  useUnsavedGuard();
  useMissingParts((words) => tell('trouble', words));
  return isOpen && <Opened {...props} />;
}

function Opened({ isSeen, onStands }: WholeBenchProps) {
  const theme = useDesk((state) => state.settings.theme);
  const isDark = useDark(theme);
  const hasNotice = useDesk((state) => state.notice !== null);
  return (
    <>
      <div className={isSeen ? undefined : 'invisible'}>
        <OnLure>
          <OpenBench isDark={isDark} onStands={onStands} />
        </OnLure>
      </div>
      {/* Beside it: a sheet makes the Bench inert, and what is told stays in reach. */}
      <Boundary name="The notices">{hasNotice && <Notices isDark={isDark} />}</Boundary>
    </>
  );
}

/** A drawing that is never painted, in a tab that is not looked at or by a fault, keeps nobody waiting longer. */
const UNSEEN_MS = 1500;

/** What fails as a whole is forgotten with the next change of the lure. */
function OnLure({ children }: { readonly children: ReactNode }) {
  const history = useDesk((state) => state.history);
  return (
    <Boundary name="The Bench" resetOn={[history]} waysOut={[...WAYS_OUT, ...FROM_THE_PAGE]}>
      {children}
    </Boundary>
  );
}

/** Out of a page that failed as a whole: keep the lure as a file, or go to another. */
const FROM_THE_PAGE: readonly WayOut[] = [
  { label: 'Export this lure', run: exportOpenLure },
  { label: 'Another lure', run: () => void openAnother() },
];
