/** A tab that is not looked at paints nothing; it goes on all the same after this long. */
const UNSEEN_MS = 60;

/** Waits until the next frame is painted. */
export function painted(): Promise<void> {
  if (typeof requestAnimationFrame === 'undefined') return Promise.resolve();
  return new Promise((resolve) => {
    requestAnimationFrame(() => setTimeout(resolve, 0));
    setTimeout(resolve, UNSEEN_MS);
  });
}
