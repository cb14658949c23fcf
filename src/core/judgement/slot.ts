/** A place on a lure that asks for its next part. */
import type { Placement } from '../fits/placement';
import type { PartKind } from '../parts/part';

export type SlotCode =
  | 'head'
  | 'mainHook'
  | 'guardBead'
  | 'blade'
  | 'bladeOnClevis'
  | 'bearingBead'
  | 'body'
  | 'spacer'
  | 'swivel'
  | 'endRing'
  | 'endBlade'
  | 'deltaBlade'
  | 'rivet'
  | 'tailRing'
  | 'tailHook'
  | 'skirt'
  | 'skirtLayer'
  | 'lastHook'
  | 'frontHook'
  | 'bait'
  | 'knotBead'
  | 'snap'
  | 'rearStop'
  | 'frontStop'
  | 'eyeRing'
  | 'bellyBlade'
  | 'eyeHook'
  | 'softBody'
  | 'nailWeight';

/** A place that asks for a part, and the kinds that go there. */
export interface Slot {
  readonly code: SlotCode;
  readonly placement: Placement;
  readonly kinds: readonly PartKind[];
}
