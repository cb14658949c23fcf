import type { Placement } from '@/core/fits/placement';
import type { PartKind } from '@/core/parts/part';

/** What the part picker is open for: a place, and the kinds of part that could go there. */
export interface PickerAim {
  readonly placement: Placement;
  readonly kinds: readonly PartKind[];
}
