/** The open lure with the change that is under the hand; and the same as it was when it was last painted. */
import { startTransition, useEffect, useState } from 'react';
import type { LureHistory } from '@/core/lure/history';
import { oncePer } from '@/core/once';
import { useDesk, type DeskState, type Draft } from './desk-state';
import { afterPaint } from './painted';

const drafted = oncePer(({ lure }: Draft) => oncePer((history: LureHistory): LureHistory => ({ ...history, lure })));

/** A change under the hand is shown as if it were done; null while no lure is open. */
export function shownHistory({ history, draft }: DeskState): LureHistory | null {
  return history && draft ? drafted(draft)(history) : history;
}

/** How long a bend must be held still before what stands around the drawing follows it. */
const REST_UNDER_THE_HAND_MS = 140;
const UNSEEN_MS = 150;

/** The lure as it was when it was last painted: what stands around the drawing follows once the newest is on the screen. */
export function usePaintedHistory(): LureHistory | null {
  const [painted, setPainted] = useState(() => shownHistory(useDesk.getState()));
  useEffect(() => {
    let followed: LureHistory | null = null;
    let stopWaiting: () => void = () => undefined;
    const follow = () => {
      const state = useDesk.getState();
      const now = shownHistory(state);
      if (now === followed) return;
      followed = now;
      stopWaiting();
      stopWaiting = afterPaint(
        () => startTransition(() => setPainted(now)),
        state.draft === null ? 0 : REST_UNDER_THE_HAND_MS,
        UNSEEN_MS,
      );
    };
    follow();
    const stopFollowing = useDesk.subscribe(follow);
    return () => {
      stopFollowing();
      stopWaiting();
    };
  }, []);
  return painted;
}
