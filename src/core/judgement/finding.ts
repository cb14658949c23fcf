/** A finding and its repairs as coded data; the sentences are written where they are shown. */
import type { MeasureFault } from '../parts/measure-faults';
import type { Part } from '../parts/part';
import type { Touch } from '../geometry/blade-on-head';
import type { Clearance } from '../geometry/clearance';
import type { Knock } from '../geometry/knocker';
import type { Edit } from '../lure/edit';
import type { Misfit } from '../fits/misfit';
import type { LureRule, RuleBreach } from './lure-rule';
import type { RivetFixing } from '../parts/kinds/rivet';
import type { End, ItemId } from '../lure/lure';
import type { Carrier } from '../carriers/carrier';
import type { StackedPair } from '../geometry/stacking';

export type Severity = 'fault' | 'caution' | 'good';

export type Repair =
  | { readonly code: 'addBeads'; readonly count: number; readonly part: Part; readonly edits: readonly Edit[] }
  | { readonly code: 'setFreeRoom'; readonly toM: number; readonly edits: readonly Edit[] }
  | { readonly code: 'turnBlade'; readonly edits: readonly Edit[] }
  | { readonly code: 'coverWithTube'; readonly edits: readonly Edit[] }
  | { readonly code: 'straighten'; readonly edits: readonly Edit[] }
  | { readonly code: 'bendNearHead'; readonly sideRad: number; readonly edits: readonly Edit[] }
  | { readonly code: 'bendArm'; readonly angleRad: number; readonly edits: readonly Edit[] }
  | { readonly code: 'lengthenArm'; readonly toM: number; readonly edits: readonly Edit[] }
  | { readonly code: 'closeLoop'; readonly edits: readonly Edit[] }
  | { readonly code: 'slideTubeUp'; readonly edits: readonly Edit[] }
  | { readonly code: 'roundTrailer'; readonly edits: readonly Edit[] }
  | { readonly code: 'threadStraight'; readonly edits: readonly Edit[] }
  | { readonly code: 'turnClaw'; readonly edits: readonly Edit[] }
  | { readonly code: 'moveCollar'; readonly toShare: number; readonly edits: readonly Edit[] }
  | { readonly code: 'thinTips'; readonly edits: readonly Edit[] }
  | { readonly code: 'putOn'; readonly part: Part; readonly edits: readonly Edit[] }
  | { readonly code: 'swapFor'; readonly part: Part; readonly edits: readonly Edit[] }
  | { readonly code: 'formLoop'; readonly edits: readonly Edit[] }
  | { readonly code: 'takeOutOfClevis'; readonly edits: readonly Edit[] }
  | { readonly code: 'takeOffStinger'; readonly edits: readonly Edit[] }
  | { readonly code: 'lengthenLine'; readonly toM: number; readonly edits: readonly Edit[] }
  | { readonly code: 'snellFromPoint'; readonly edits: readonly Edit[] }
  | { readonly code: 'setSpacing'; readonly toM: number; readonly edits: readonly Edit[] }
  | { readonly code: 'turnGate'; readonly edits: readonly Edit[] }
  | { readonly code: 'setNail'; readonly toM: number; readonly edits: readonly Edit[] }
  | { readonly code: 'dropArm'; readonly byM: number; readonly edits: readonly Edit[] }
  | { readonly code: 'slideStop'; readonly toM: number; readonly edits: readonly Edit[] }
  | { readonly code: 'standNailUp'; readonly edits: readonly Edit[] }
  | { readonly code: 'moveNail'; readonly toM: number; readonly edits: readonly Edit[] }
  | { readonly code: 'pinchBarbs'; readonly count: number; readonly edits: readonly Edit[] };

interface FindingBase {
  /** Stable within one build: what the finding is about. */
  readonly key: string;
  readonly severity: Severity;
  readonly items: readonly ItemId[];
  /** What would mend it. Some are looked for by trying, so they are worked out when they are asked for. */
  readonly repairs: () => readonly Repair[];
}

/** Nothing mends it, or it is in order. */
export const noRepairs = (): readonly Repair[] => [];

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
    | {
        readonly code: 'missingGuard';
        readonly bearsOn: 'wraps' | 'thread' | 'lead' | 'tube' | 'split' | 'rim' | 'knot' | 'lineKnot' | 'snell';
      }
    | { readonly code: 'hollowOutward' }
    | { readonly code: 'tubeCover'; readonly coversM: number; readonly neededM: number }
    | { readonly code: 'bellWithoutSleeve'; readonly boreM: number; readonly wireM: number }
    | { readonly code: 'sleeveInBell'; readonly sleeveM: number; readonly neededM: number }
    | { readonly code: 'silentBell' }
    /** A contact that is the purpose. One that is a fault has its own finding. */
    | { readonly code: 'intendedContact'; readonly between: 'bellAndStriker' | 'beadInClevis' | 'bladeAndHead' }
    /** A delta blade against its head: the nearest its tips come, below zero where they would pass through it. */
    | {
        readonly code: 'bladeAgainstHead';
        readonly touch: Touch;
        readonly wanted: boolean;
        readonly clearanceM: number;
      }
    /** What a delta blade runs against: fixed it rubs and squeaks with wear, upset at once, free it is silent. */
    | { readonly code: 'rivet'; readonly fixing: RivetFixing }
    | { readonly code: 'rivetMissing' }
    | { readonly code: 'counterTurning'; readonly isOpposed: boolean }
    | { readonly code: 'armTooShort'; readonly stackM: number; readonly armM: number }
    | { readonly code: 'armTwisted'; readonly sideRad: number; readonly mostRad: number }
    | { readonly code: 'armOutOfLine'; readonly offsetM: number; readonly mostM: number }
    | {
        readonly code: 'endLoop';
        readonly is: 'closed' | 'plugged' | 'open' | 'plugTooTight';
        readonly gapM: number;
      }
    | { readonly code: 'strandsFoulTail'; readonly strandsM: number; readonly kicksFromM: number }
    | { readonly code: 'bluntTrailer'; readonly bodyM: number; readonly collarM: number }
    | { readonly code: 'trailerStraight'; readonly crookedRad: number }
    /** Of a point in the back of a soft body: how far it stands above it, m; below zero so far within. */
    | { readonly code: 'pointBuried'; readonly aboveM: number }
    | { readonly code: 'trailerOverhang'; readonly behindBendM: number; readonly ofLengthM: number }
    | { readonly code: 'clawAtPoint' }
    | { readonly code: 'skirtSides'; readonly toNoseM: number; readonly toTailM: number; readonly longSide: End }
    | { readonly code: 'skirtWithoutLayers' }
    /** A hook that hangs in the bend of another, kept there by a disc or not. */
    | { readonly code: 'stingerKept' }
    | {
        readonly code: 'headAndBlades';
        readonly headKg: number;
        readonly bladeM2: number;
        readonly is: 'inKeeping' | 'headTooLight' | 'headTooHeavy';
      }
    | { readonly code: 'noHead' }
    | { readonly code: 'ruleBroken'; readonly rule: LureRule; readonly breach: RuleBreach }
    | { readonly code: 'ruleKept'; readonly rule: LureRule }
    | { readonly code: 'endNotFormed'; readonly end: End }
    | { readonly code: 'noTurningBlade' }
    /** A family's lure on a carrier it is never built on. */
    | { readonly code: 'wrongWire'; readonly wants: Carrier['kind'] }
    /** Two measures of one piece that cannot stand together; of the wire itself `items` is empty. */
    | ({ readonly code: 'impossibleMeasure' } & MeasureFault)
    /** A piece that weighs far more or less than its measures give. */
    | { readonly code: 'doubtfulMass'; readonly massKg: number; readonly geometryKg: number }
    | { readonly code: 'noHook' }
    /** What is on a line is longer than it. */
    | { readonly code: 'lineTooShort'; readonly lengthM: number; readonly neededM: number }
    /** A bead that a knot slips through. */
    | { readonly code: 'slipsOverKnot'; readonly boreM: number; readonly knotM: number }
    /** What rests on a knot or a snell: a small bead spares it, anything else chafes. */
    | { readonly code: 'knotGuard'; readonly on: 'snell' | 'knot' }
    | { readonly code: 'pointTurnsIn' }
    /** From a hook to the next: line from its last wrap to that eye, and air between the two. */
    | { readonly code: 'hookSpacing'; readonly spacingM: number; readonly gapM: number }
    | { readonly code: 'rollsBehind' }
    /** Bait beyond the last hook; below zero where the hook is beyond the bait. */
    | {
        readonly code: 'baitOnHooks';
        readonly is: 'held' | 'long' | 'short';
        readonly beyondM: number;
        readonly usualHooks: number;
      }
    /** Where the gate of a quick-change clevis looks. */
    | { readonly code: 'gate' }
    /** Thin metal that turns on bare line. */
    | { readonly code: 'sawsLine'; readonly legM: number }
    | { readonly code: 'stopHolds'; readonly gripN: number; readonly pullN: number }
    /** How far ahead of a lure a blade turns on its line. */
    | { readonly code: 'aheadOfLure'; readonly gapM: number; readonly is: 'near' | 'between' | 'far' }
    /** What the weakest of the way to the hooks carries, beside what it should. */
    | { readonly code: 'strength'; readonly carriesN: number; readonly wantedN: number }
    /** A sinker ahead of the lure, over the bottom; what would bring it there, null where it is there or nothing would. */
    | {
        readonly code: 'sinkerReach';
        readonly bottomM: number;
        readonly isOnBottom: boolean;
        readonly sinkerDepthM: number;
        readonly lureOverBottomM: number;
        readonly neededKg: number | null;
        readonly neededLineM: number | null;
      }
    /** A blade under a belly: how the body swings it, and what hooks are left. */
    | {
        readonly code: 'flasher';
        readonly wobbleHz: number | null;
        readonly swingRad: number;
        readonly ticksHz: number;
        readonly hooks: number;
        readonly points: number;
      }
    | { readonly code: 'widerThanBelly'; readonly bladeM: number; readonly bellyM: number }
    /** From its tip, lying back, to where the points of the hook behind begin. */
    | { readonly code: 'flasherAgainstHook'; readonly clearM: number }
    | {
        readonly code: 'flashesOnPause';
        readonly swings: number;
        /** Null of a blade that is not behind a body, whose own figures tell. */
        readonly turns: { readonly keepsMps: number; readonly startsMps: number } | 'never' | null;
        /** How far the wobble carries it to each side, m. */
        readonly toAndFroM: number;
        readonly wobbleHz: number | null;
      }
    /** How a hard bait lies in the water, and whether what hangs on it took its float. */
    | {
        readonly code: 'floats';
        readonly is: 'floats' | 'hovers' | 'sinks';
        readonly secondsPerM: number | null;
        readonly inWaterKg: number;
        readonly isLost: boolean;
      }
    | {
        readonly code: 'knocker';
        readonly knock: Knock;
        readonly gapM: number;
        readonly mostM: number;
        /** How much of a turn one may come early or late. */
        readonly unevenShare: number;
      }
    /** From the tip of the last blade on a line to the lure behind it: lying back, or turning where it reaches that even so. */
    | { readonly code: 'gapAhead'; readonly leftM: number }
    | { readonly code: 'bladeAheadOfDiver'; readonly aheadM: number }
    /** What a ring has left in the hanger it goes through, m. */
    | { readonly code: 'ringInHanger'; readonly roomM: number }
    | { readonly code: 'nailGrip'; readonly inM: number; readonly outM: number }
    | { readonly code: 'nailLeans'; readonly leanRad: number }
    | { readonly code: 'nailPlace'; readonly behindWidestM: number }
    | { readonly code: 'bladeAgainstSoft'; readonly clearM: number }
    /** How often a bait that rolls turns in a metre of way; null where none does. */
    | { readonly code: 'lineTwist'; readonly rollsPerM: number | null }
  );

/** What a bend of the wire can put right or wrong. */
export const TOUCHED_BY_BENDS: ReadonlySet<Finding['code']> = new Set<Finding['code']>([
  'armOutOfLine',
  'armTwisted',
  'armTooShort',
  'bladeAgainstBlade',
  'bladeAgainstHead',
  'bladeAgainstHook',
  'endLoop',
]);
