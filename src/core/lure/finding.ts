/** A finding and its repairs as coded data; the sentences are written where they are shown. */
import type { Part } from '../parts/part';
import type { Clearance } from './clearance';
import type { Edit } from './edit';
import type { Misfit } from './fit';
import type { HookRule, RuleBreach } from './hook-rule';
import type { End, ItemId } from './lure';
import type { StackedPair } from './stacking';

export type Severity = 'fault' | 'caution' | 'good';

export type Repair =
  | { readonly code: 'addBeads'; readonly count: number; readonly part: Part; readonly edits: readonly Edit[] }
  | { readonly code: 'setFreeRoom'; readonly toM: number; readonly edits: readonly Edit[] }
  | { readonly code: 'turnBlade'; readonly edits: readonly Edit[] }
  | { readonly code: 'coverWithTube'; readonly edits: readonly Edit[] }
  | { readonly code: 'pinchBarbs'; readonly count: number; readonly edits: readonly Edit[] };

interface FindingBase {
  /** Stable within one build: what the finding is about. */
  readonly key: string;
  readonly severity: Severity;
  readonly items: readonly ItemId[];
  readonly repairs: readonly Repair[];
}

export type Finding = FindingBase &
  (
    | Misfit
    | {
        readonly code: 'bladeAgainstHook';
        readonly posture: Clearance['posture'];
        readonly clearanceM: number;
        readonly wantedM: number;
        readonly isHeldByTube: boolean;
      }
    /** Two blades that turn by themselves: the nearest their sweeps come, below zero where they cross. */
    | { readonly code: 'bladeAgainstBlade'; readonly clearanceM: number; readonly wantedM: number }
    | { readonly code: 'stackedClevises'; readonly form: StackedPair['form'] }
    | { readonly code: 'clevisRoom'; readonly roomM: number; readonly wantedM: number }
    | { readonly code: 'crowdedClevis'; readonly insideM: number; readonly gapM: number }
    | { readonly code: 'emptyClevis' }
    /** Nothing smooth behind what turns: it bears on the wraps, on thread or on lead. */
    | { readonly code: 'missingGuard'; readonly bearsOn: 'wraps' | 'thread' | 'lead' | 'tube' }
    | { readonly code: 'hollowOutward' }
    | { readonly code: 'tubeCover'; readonly coversM: number; readonly neededM: number }
    | { readonly code: 'bellWithoutSleeve'; readonly boreM: number; readonly wireM: number }
    | { readonly code: 'sleeveInBell'; readonly sleeveM: number; readonly neededM: number }
    | { readonly code: 'silentBell' }
    /** A contact that is the purpose. One that is a fault has its own finding. */
    | { readonly code: 'intendedContact'; readonly between: 'bellAndStriker' | 'beadInClevis' }
    | { readonly code: 'ruleBroken'; readonly rule: HookRule; readonly breach: RuleBreach }
    | { readonly code: 'ruleKept'; readonly rule: HookRule }
    | { readonly code: 'endNotFormed'; readonly end: End }
    | { readonly code: 'noTurningBlade' }
    | { readonly code: 'noHook' }
  );
