/** A finding and its repairs as coded data; the sentences are written where they are shown. */
import type { Part } from '../parts/part';
import type { Clearance } from './clearance';
import type { Edit } from './edit';
import type { End, ItemId } from './lure';

export type Severity = 'fault' | 'caution' | 'good';

export type Repair =
  | { readonly code: 'addBeads'; readonly count: number; readonly part: Part; readonly edits: readonly Edit[] }
  | { readonly code: 'setFreeRoom'; readonly toM: number; readonly edits: readonly Edit[] }
  | { readonly code: 'turnBlade'; readonly edits: readonly Edit[] };

interface FindingBase {
  /** Stable within one build: what the finding is about. */
  readonly key: string;
  readonly severity: Severity;
  readonly items: readonly ItemId[];
  readonly repairs: readonly Repair[];
}

export type Finding = FindingBase &
  (
    | {
        readonly code: 'bladeAgainstHook';
        readonly posture: Clearance['posture'];
        readonly clearanceM: number;
        readonly wantedM: number;
        readonly isHeldByTube: boolean;
      }
    | { readonly code: 'clevisRoom'; readonly roomM: number; readonly wantedM: number }
    | { readonly code: 'crowdedClevis'; readonly insideM: number; readonly gapM: number }
    | { readonly code: 'emptyClevis' }
    | { readonly code: 'boreTooTight'; readonly boreM: number; readonly throughM: number }
    | { readonly code: 'bladeHoleTooSmall'; readonly holeM: number; readonly lobeM: number }
    | { readonly code: 'hollowOutward' }
    | { readonly code: 'endNotFormed'; readonly end: End }
    | { readonly code: 'noTurningBlade' }
    | { readonly code: 'noHook' }
  );
