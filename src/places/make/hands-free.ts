'use client';

import { useEffect, useEffectEvent, useLayoutEffect } from 'react';

export interface Hands {
  readonly onNext: () => void;
  readonly onBack?: () => void;
  readonly onRepeat?: () => void;
  readonly onTimer?: () => void;
  readonly onNote?: () => void;
}

/** Space, page keys, arrows or a pedal that sends them; R says it again, T starts the wait, N takes a note. */
export function useHandsFree(hands: Hands): void {
  const onKey = useEffectEvent((event: KeyboardEvent) => {
    if (event.ctrlKey || event.metaKey || event.altKey || event.defaultPrevented) return;
    const at = event.target instanceof HTMLElement ? event.target : null;
    if (at?.closest('input, textarea, select, [role="dialog"]')) return;
    const isOnControl = at?.closest('button, a') !== null && at?.closest('button, a') !== undefined;
    const does = KEYS[event.key];
    if (does === undefined || (isOnControl && (event.key === ' ' || event.key === 'Enter'))) return;
    event.preventDefault();
    // A key that is held, or a pedal that rests under a boot, is one press.
    if (!event.repeat) hands[does]?.();
  });
  // Before it is painted: a key pressed as soon as the step is seen is heard.
  useLayoutEffect(() => {
    window.addEventListener('keydown', onKey);
    window.addEventListener('click', letGo);
    return () => {
      window.removeEventListener('keydown', onKey);
      window.removeEventListener('click', letGo);
    };
  }, []);
}

/** A button pressed by finger or mouse does not keep the space bar and the pedal to itself; one reached by keys does. */
function letGo({ detail, target }: MouseEvent) {
  const button = target instanceof Element ? target.closest('button') : null;
  if (detail > 0 && button && !button.closest('[role="dialog"]')) button.blur();
}

const KEYS: Readonly<Record<string, keyof Hands>> = {
  ' ': 'onNext',
  Enter: 'onNext',
  PageDown: 'onNext',
  ArrowRight: 'onNext',
  ArrowDown: 'onNext',
  PageUp: 'onBack',
  ArrowLeft: 'onBack',
  ArrowUp: 'onBack',
  Backspace: 'onBack',
  r: 'onRepeat',
  R: 'onRepeat',
  t: 'onTimer',
  T: 'onTimer',
  n: 'onNote',
  N: 'onNote',
};

/** Keeps the screen on while the page is looked at, where the browser lets it. */
export function useWakeLock(): void {
  useEffect(() => {
    let lock: WakeLockSentinel | null = null;
    let isGone = false;
    const take = async () => {
      if (document.visibilityState !== 'visible' || !('wakeLock' in navigator)) return;
      try {
        const taken = await navigator.wakeLock.request('screen');
        if (isGone) await taken.release();
        else lock = taken;
      } catch {
        // A low battery, or a browser that will not: the screen dims as it does anyway.
      }
    };
    void take();
    document.addEventListener('visibilitychange', take);
    return () => {
      isGone = true;
      document.removeEventListener('visibilitychange', take);
      void lock?.release();
    };
  }, []);
}
