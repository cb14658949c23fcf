/** When this page came, by the clock on the wall less the time it had been up. */
const CAME_AT = Date.now() - performance.now();

/**
 * The time in ms, as the clock on the wall shows it, but never running back while the page is open: a clock that is set back
 * stops no wait, and one that the machine slept through has gone on.
 */
export function steadyNow(): number {
  return Math.max(Date.now(), CAME_AT + performance.now());
}
