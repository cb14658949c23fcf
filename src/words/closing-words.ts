/** The last look over a finished lure. */
import type { Closing } from '../core/make/closing-checks';

export const CLOSING_WORDS: Readonly<Record<Closing, string>> = {
  turnsFreely: 'Flick each blade: it turns freely and comes to rest by itself.',
  clearsHook: 'Lay the blade back and swing it out: it stays clear of the hook both ways. Keep off the points.',
  clearsBlade: 'Turn both blades by hand: neither touches the other.',
  hollowIn: 'The hollow of each blade faces the body.',
  ringsShut: 'Each ring lies flat, its coils shut.',
  swivelFree: 'Pulled, the swivel still turns.',
  endHolds: 'Nothing slips off the end of the arm.',
  inLine: 'From ahead, tie, arm, blades and hook stand in one line. A small bend near the head mends it.',
  sounds: 'Shake it and blow at it: what should knock, knocks; nothing else does.',
  skirtLies: 'The skirt lies as drawn and no strand reaches what kicks.',
  trailerStraight: 'The trailer hangs dead straight from above and from the side.',
  knotsSeated:
    'Pull each hook on something blunt, every other point capped: no snell slides, no knot creeps. Stiff line and long shanks seat worst.',
  baitLies: 'The bait hangs straight behind its collar, every point out.',
  gateForward: 'The gate of the clevis looks to the rod and is shut.',
  hooksAllowed: 'Count hooks and barbs against the rule where you fish: the authority’s current text decides.',
};
