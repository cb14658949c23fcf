/**
 * How a bait rolls on a shank that is bent aside. It goes through the water like a screw of a coarse pitch, p a few lengths of the bait:
 * left to itself it turns 1/p times a metre of way, whatever its speed. Held still it turns the line with what the stream does on its
 * tail, which stands aside by about the gap of its hook:  Q = ½ρU² · C · d L · g/2, d and L of the bait.
 */

/** Lengths of a bait in which it turns once; share of the stream's push on its side that turns it. Trade estimates, a factor of two either way. */
const LENGTHS_A_TURN = 3;
const TURNING_SHARE = 0.15;

export interface BaitRoll {
  /** Left to itself, in a metre of way. */
  readonly turnsPerM: number;
  /** What turns the line while it is held, over ½ρU², m³. */
  readonly torqueM3: number;
}

/** @param gapM from the point to the shank of its hook */
export function baitRoll(lengthM: number, bodyM: number, gapM: number): BaitRoll {
  return { turnsPerM: 1 / (LENGTHS_A_TURN * lengthM), torqueM3: (TURNING_SHARE * bodyM * lengthM * gapM) / 2 };
}
