/**
 * How much of a blade's rotating force comes twice a turn: a cranked tail or a crease across it makes it kick as it comes
 * round. Share of the force at the turn itself; smooth blades have none. Trade estimates.
 */
import type { BladePattern } from '../parts/blade-pattern';

export const KICK_SHARE: Readonly<Record<BladePattern, number>> = {
  colorado: 0,
  hardKick: 0.35,
  ridgedIndiana: 0.2,
  indiana: 0,
  flutedIndiana: 0,
  french: 0,
  willow: 0,
  alwaysTurning: 0.3,
};
