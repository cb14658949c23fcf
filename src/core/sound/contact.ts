/** Two parts of a lure that can meet, as data: what, where, what drives them together, and whether it is wanted. */
import type { PlanePlace } from '../carriers/wire-path';
import type { Touch } from '../geometry/blade-on-head';
import type { Knock } from '../geometry/knocker';
import type { HungBlade } from '../hydro/flasher';
import type { ItemId } from '../lure/lure';
import type { RivetFixing } from '../parts/kinds/rivet';
import type { Part } from '../parts/part';
import type { Piece } from './striking';

export const CONTACT_KINDS = [
  'sideBySide',
  'insideClevis',
  'bell',
  'bladeOnHead',
  'bladeOnRivet',
  'bladeOnStack',
  'bladeOnHook',
  'bladeOnNail',
  'bladeOnBody',
  'headOnBottom',
] as const;
export type ContactKind = (typeof CONTACT_KINDS)[number];

/** What a head is dragged over. */
export const BOTTOMS = ['none', 'gravel', 'rock', 'wood'] as const;
export type Bottom = (typeof BOTTOMS)[number];

/** What brings the two together. */
export type Driven =
  /**
   * What turns rocks on its wire once a turn, and its face knocks what stands beside it; further off less of that comes
   * through. What lies before the contact is pressed against it by its drag.
   */
  | {
      readonly by: 'rocking';
      readonly tiltM: number;
      readonly steps: number;
      readonly ahead: Ahead;
      /** Along the wire, its share of the play; across it, the play of the tighter of the two. */
      readonly gapM: number;
      readonly acrossM: number;
    }
  /** A bead between the legs of a clevis, with play of its own. */
  | { readonly by: 'cage'; readonly playM: number; readonly areaM2: number }
  /** A bell on its sleeve. */
  | { readonly by: 'swing'; readonly playM: number; readonly isPinched: boolean }
  /** Lobes that come by one after the other. */
  | { readonly by: 'lobes'; readonly clearanceM: number; readonly touch: Touch; readonly tipM: number }
  /** A blade's ears slipping on a rivet. */
  | { readonly by: 'slip'; readonly fixing: RivetFixing }
  /** The tip of a blade reaching what does not turn. */
  | { readonly by: 'sweep'; readonly clearanceM: number }
  /** A blade lying on what it passes over. */
  | { readonly by: 'brush'; readonly clearanceM: number }
  /** Once a turn the back of a blade runs up on the end of a nail. */
  | {
      readonly by: 'nail';
      readonly knock: Knock;
      readonly radiusM: number;
      readonly rise: number;
      readonly uneven: number;
    }
  /** A blade that hangs under a body is swung against it by its wobble. */
  | { readonly by: 'wobble'; readonly blade: HungBlade; readonly behindTieM: number }
  | { readonly by: 'way'; readonly bottom: Exclude<Bottom, 'none'> };

/** What lies before a place on a wire: what it weighs with the water it carries, its own drag area, and the blades on it. */
export interface Ahead {
  readonly massKg: number;
  readonly dragM2: number;
  readonly blades: readonly ItemId[];
}

export interface Contact {
  readonly id: string;
  readonly kind: ContactKind;
  /** The second is null where it is not of the lure. */
  readonly between: readonly [ItemId, ItemId | null];
  /** Null of a piece so soft that no blow of it is heard. */
  readonly pieces: readonly [Piece | null, Piece | null];
  /** Whose plates ring when it strikes. */
  readonly ringing: readonly Part[];
  /** In the plane of the lure, x to the tail and y up, m. */
  readonly at: PlanePlace;
  readonly isWanted: boolean;
  /** The blade whose turning drives it; null where none does. */
  readonly station: ItemId | null;
  /** Of the shake at the end of its arm, the share at this place; 1 where the whole lure is shaken. */
  readonly shakeShare: number;
  readonly driven: Driven;
}

/** A contact's name, the same as long as the two are on the lure. */
export function contactId(kind: ContactKind, a: ItemId, b: ItemId | Bottom): string {
  return `${kind} ${a} ${b}`;
}
