/**
 * Turns that a lure puts into its line. What its blade rubs with, Q, goes into the body; a keel holds it, and a lure without
 * one rolls until the line, wound up, holds it instead: turns over a length S of line  Q S/(2π G J). A swivel lets go
 * at its own torque, so no more than that goes up the line. It never rolls faster than its blade turns.
 */

/** A line is spoken of by this much of it, m. */
export const TWIST_OVER_M = 100;

/**
 * @param torqueNm what reaches the line
 * @param torsionNm2 G J of the line, N·m²
 * @param bladeTurnsPerM turns of the blade in a metre of way: the most the lure can roll
 * @returns turns in TWIST_OVER_M of line
 */
export function lineTwist(torqueNm: number, torsionNm2: number, bladeTurnsPerM: number): number {
  const wound = (Math.abs(torqueNm) * TWIST_OVER_M) / (2 * Math.PI * torsionNm2);
  return Math.min(wound, bladeTurnsPerM * TWIST_OVER_M);
}
