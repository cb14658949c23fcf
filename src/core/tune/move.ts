/** One change that could be made to a lure, as coded data with the edits that make it. */
import type { Edit } from '../lure/edit';
import type { ItemId } from '../lure/lure';
import type { Part } from '../parts/part';
import type { RivetFixing } from '../parts/kinds/rivet';

/** What is done by hand to one piece, or to the wire. */
export type Handling =
  | { readonly code: 'bend'; readonly section: number; readonly byRad: number }
  | { readonly code: 'bendAside'; readonly section: number; readonly byRad: number }
  | { readonly code: 'arm'; readonly byM: number }
  | { readonly code: 'rivet'; readonly item: ItemId; readonly fixing: RivetFixing }
  | { readonly code: 'fold'; readonly item: ItemId; readonly toRad: number }
  | { readonly code: 'collar'; readonly item: ItemId; readonly toShare: number }
  | { readonly code: 'thinTips'; readonly item: ItemId }
  | { readonly code: 'cutTrailer'; readonly item: ItemId; readonly byM: number }
  | { readonly code: 'setNail'; readonly item: ItemId; readonly byM: number }
  | { readonly code: 'renewSwivel'; readonly item: ItemId }
  | { readonly code: 'turn'; readonly item: ItemId; readonly part: Part };

export type MoveCode =
  | { readonly code: 'swap'; readonly item: ItemId; readonly from: Part; readonly part: Part }
  | { readonly code: 'takeWire'; readonly from: Part; readonly part: Part }
  | { readonly code: 'takeOff'; readonly item: ItemId; readonly part: Part }
  /** `beside`: what it goes on or stands next to; null at the end of a wire. */
  | { readonly code: 'add'; readonly part: Part; readonly beside: ItemId | null }
  | Handling;

export type Move = MoveCode & {
  /** Names it among all moves of one lure. */
  readonly key: string;
  /** Moves with the same are done at the same place in the same way: they cost the same. */
  readonly place: string;
  readonly edits: readonly Edit[];
  /** Parts that would do the same here: other makers'. */
  readonly twins: readonly Part[];
};
