/** The open lure with the change that is under the hand; and the same as it was when it was last painted. */
import { startTransition, useEffect, useState } from 'react';
import type { LureHistory } from '@/core/lure/history';
import { oncePer } from '@/core/once';
import { useDesk, type DeskState, type Draft } from './desk-state';
import { afterPaint } from './painted';
import { retrieveSpeed } from './speed';

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
  return usePainted(shownHistory, restOfHand);
}

/** The speed through the water that was last painted: what is drawn follows the figures that follow the hand. */
export function usePaintedSpeed(): number {
  return usePainted(speedNow, noRest);
}

const restOfHand = ({ draft }: DeskState) => (draft === null ? 0 : REST_UNDER_THE_HAND_MS);
const speedNow = ({ settings }: DeskState) => retrieveSpeed(settings.retrieve);
const noRest = () => 0;

/** What is read from the desk, once the newest of it is on the screen and has rested so many milliseconds. */
function usePainted<T>(read: (state: DeskState) => T, restMs: (state: DeskState) => number): T {
  const [painted, setPainted] = useState(() => read(useDesk.getState()));
  useEffect(() => {
    let followed: { readonly value: T } | null = null;
    let stopWaiting: () => void = () => undefined;
    const follow = () => {
      const state = useDesk.getState();
      const now = read(state);
      if (followed?.value === now) return;
      followed = { value: now };
      stopWaiting();
      stopWaiting = afterPaint(() => startTransition(() => setPainted(() => now)), restMs(state), UNSEEN_MS);
    };
    follow();
    const stopFollowing = useDesk.subscribe(follow);
    return () => {
      stopFollowing();
      stopWaiting();
    };
  }, [read, restMs]);
  return painted;
}
