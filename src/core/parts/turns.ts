/** Wire and line in turns and wraps. */

/** Wire that turns of this inside diameter take, m. */
export function turnsAllowance(insideDiameterM: number, turns: number, wireM: number): number {
  return Math.PI * (insideDiameterM + wireM) * turns;
}

/** Wire in close wraps about a shaft of the same wire, the shaft under them not counted, m. */
export function wrapsAllowance(wraps: number, wireM: number): number {
  return wraps * Math.hypot(2 * Math.PI * wireM, wireM);
}
