'use client';

import { useEffect, useState } from 'react';

/** A tab that is not looked at paints nothing; it goes on all the same after this long. */
const UNSEEN_MS = 400;

/** True once what was ready has been painted: what is not needed for that loads then. */
export function useAfterPaint(isReady: boolean): boolean {
  const [isPainted, setPainted] = useState(false);
  useEffect(() => {
    if (!isReady || isPainted) return;
    const done = () => setPainted(true);
    let frame = requestAnimationFrame(() => {
      frame = requestAnimationFrame(done);
    });
    const timer = setTimeout(done, UNSEEN_MS);
    return () => {
      cancelAnimationFrame(frame);
      clearTimeout(timer);
    };
  }, [isReady, isPainted]);
  return isPainted;
}
