/** The body of a lure as the wobble model takes it: its wake, what it has to swing, and what holds it. */
import type { BodyShape } from '../parts/body-form';
import type { LureBody } from '../parts/kinds/lure-body';
import type { WobblingBody } from '../hydro/wobble';

/** A body swings about so far behind its line eye, of its length, and no further than this many of its heights. Trade estimates. */
const SWINGS_AT = 0.3;
const MOST_HEIGHTS = 1.2;
/** What of a body's height the wake of its blunt front takes in beside its lip. Trade estimate. */
const FRONT_SHARE = 0.35;
/** What a wake gives to the swing. Trade estimates. */
const GIVES = 1.4;
/** Drag of its side as it goes across, of its length and height. Trade estimate. */
const SIDE_DRAG = 0.7;
/** Bodies with a wake of their own but no lip, by what of their height is in it; of the others there is none. Trade estimates. */
const WAKES: Readonly<Partial<Record<BodyShape, number>>> = { lipless: 0.6, spoon: 0.7, bladeBait: 0.6, swimmer: 0.4 };
/** Tied on its back a body swings aside and not over: its keel hardly holds that. Trade estimate. */
const HELD_ON_BACK = 0.05;

/**
 * @param movedKg all of the lure with the water that goes along
 * @param keelNm of all its weights about the line eye, N·m/rad
 * @returns null for a body with neither lip nor wake
 */
export function wobblingBody(body: LureBody, movedKg: number, keelNm: number): WobblingBody | null {
  const { shape, lengthM, heightM, widthM, lipLengthM, lipWidthM, lipDownRad, tieOn } = body;
  const hasLip = lipLengthM > 0 && lipWidthM > 0;
  const share = hasLip ? FRONT_SHARE : WAKES[shape];
  if (share === undefined) return null;
  const wakeM = hasLip ? Math.sqrt(lipWidthM * heightM) : Math.max(Math.sqrt(widthM * heightM), heightM / 2);
  const frontM = share * heightM + (hasLip ? lipLengthM * Math.sin(lipDownRad) : 0);
  const leverM = Math.min(SWINGS_AT * lengthM, MOST_HEIGHTS * heightM);
  return {
    wakeM,
    inertia: movedKg * leverM ** 2,
    keelNm: Math.max(keelNm, 0) * (tieOn === 'back' ? HELD_ON_BACK : 1),
    drivesM4: GIVES * wakeM * frontM * leverM ** 2,
    brakesM5: SIDE_DRAG * lengthM * heightM * leverM ** 3,
  };
}
