'use client';

import { startTransition, useEffect, useState } from 'react';

/** A tab that is not looked at paints nothing; it goes on all the same after this long. */
const UNSEEN_MS = 150;

/**
 * The value as it was when last painted: what hangs on it follows once the newest has reached the screen.
 * @param restMs and has stayed the same for so long: while something is drawn about, only the drawing follows
 */
export function usePainted<T>(value: T, restMs = 0): T {
  const [painted, setPainted] = useState(value);
  useEffect(() => {
    let afterPaint: ReturnType<typeof setTimeout> | undefined;
    const follow = () => startTransition(() => setPainted(() => value));
    const frame = requestAnimationFrame(() => {
      afterPaint = setTimeout(follow, restMs);
    });
    const unseen = setTimeout(follow, UNSEEN_MS + restMs);
    return () => {
      cancelAnimationFrame(frame);
      clearTimeout(afterPaint);
      clearTimeout(unseen);
    };
  }, [value, restMs]);
  return painted;
}
