/**
 * Does it once the next frame is painted and so many milliseconds have gone by.
 * @param unseenMs a tab that is not looked at paints nothing; it is done all the same after this much longer
 * @returns stops the waiting
 */
export function afterPaint(then: () => void, restMs: number, unseenMs: number): () => void {
  let timer: ReturnType<typeof setTimeout> | undefined;
  const stop = () => {
    cancelAnimationFrame(frame);
    clearTimeout(timer);
    clearTimeout(unseen);
  };
  const done = () => {
    stop();
    then();
  };
  const frame = requestAnimationFrame(() => {
    timer = setTimeout(done, restMs);
  });
  const unseen = setTimeout(done, unseenMs + restMs);
  return stop;
}

const UNSEEN_MS = 60;

/** Waits until the next frame is painted. */
export function painted(): Promise<void> {
  if (typeof requestAnimationFrame === 'undefined') return Promise.resolve();
  return new Promise((resolve) => {
    afterPaint(resolve, 0, UNSEEN_MS);
  });
}
