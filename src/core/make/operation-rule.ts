/**
 * An operation as data: what has to be true before the hand can do it, what is true afterwards, what it puts an end to,
 * and what it does to the lure; beside that its tools, time, dangers and what to look at when it is done.
 * Building plans with these forwards; a modification undoes the ones that stand in its way.
 */
import type { End } from '../lure/lure';
import type { OperationOf, Op } from './operation';
import type { Goal } from './goal';
import type { Workpiece } from './workpiece';

/** What can come to harm at a step. */
export type Hazard = 'clippedWire' | 'flame' | 'hookPoint' | 'lead' | 'cement' | 'hotMetal' | 'blade';

export const TOOLS = [
  'cutters',
  'roundPliers',
  'flatPliers',
  'ringPliers',
  'rule',
  'vise',
  'bobbin',
  'scissors',
  'knife',
  'heat',
  'mould',
  'file',
  'awl',
] as const;
export type Tool = (typeof TOOLS)[number];

export type Supply = 'thread' | 'cement' | 'water' | 'cap' | 'goggles' | 'craftWire' | 'board' | 'lead' | 'glue';

/**
 * What is true while a lure is being made. `strung n`: the first n entries are on the wire, in the order in which they go
 * on. `open end`: parts can be passed over that end. `held end`: what is on the wire cannot fall off it. `loose x`: still
 * off the lure. `opens x`: a ring that can be got open. Of a hook: `point` nothing stands over it; `shank` a skirt can pass
 * along it; `bare` nothing soft is on it.
 */
export type Fact = 'wire' | 'bent' | `strung ${number}` | `${'open' | 'held' | 'rolled'} ${End}` | `${About} ${string}`;

/** What can be true of a piece. */
export type About = 'in' | 'loose' | 'ready' | 'opens' | 'begun' | 'point' | 'shank' | 'bare' | 'locked' | 'thinned';

export interface Facts {
  readonly needs: readonly Fact[];
  readonly gives: readonly Fact[];
  readonly takes: readonly Fact[];
}

/** Something to measure or count at a step. */
export type Amount =
  | {
      readonly of:
        | 'cut'
        | 'inside'
        | 'play'
        | 'gap'
        | 'turnedDown'
        | 'cutOff'
        | 'pushOut'
        | 'collarAt'
        | 'tag'
        | 'spacing'
        | 'finished'
        | 'fromNose'
        | 'depth'
        | 'fromHead'
        | 'standsOut';
      readonly lengthM: number;
    }
  | { readonly of: 'count' | 'wraps' | 'turns' | 'bends' | 'layers'; readonly count: number }
  | { readonly of: 'fold'; readonly angleRad: number };

export const SENSES = ['look', 'listen', 'feel'] as const;
export type Sense = (typeof SENSES)[number];

/** What to look at, listen for or feel for once it is done. */
export type AfterCheck =
  | 'cutFlat'
  | 'bendsFlat'
  | 'hookStraight'
  | 'knotSeated'
  | 'snellSeated'
  | 'baitStraight'
  | 'snapShut'
  | 'loopCentred'
  | 'wrapsTight'
  | 'freePlay'
  | 'loopCloses'
  | 'gapLeft'
  | 'endHolds'
  | 'order'
  | 'hollowIn'
  | 'bladeSwings'
  | 'gateForward'
  | 'legsFree'
  | 'bellRings'
  | 'tubeTight'
  | 'gapPlugged'
  | 'ringFlat'
  | 'swivelTurns'
  | 'hangsFree'
  | 'eyeClosed'
  | 'dressingHolds'
  | 'keeperHolds'
  | 'barbFlat'
  | 'foldEven'
  | 'rivetHolds'
  | 'rivetSqueaks'
  | 'bladeTicks'
  | 'collarPlace'
  | 'skirtFlares'
  | 'longSide'
  | 'lockFlat'
  | 'tipsUneven'
  | 'lengthRight'
  | 'trailerStraight'
  | 'pointUnderSkin'
  | 'clawOpposite'
  | 'strandsClear'
  | 'stingerTurns'
  | 'pointCovered'
  | 'bodyWhole'
  | 'eyeSquare'
  | 'eyeShut'
  | 'nailUpright'
  | 'bladeKnocks';

/** How a step is undone: with the fingers, with a tool, by opening a ring, or at the cost of what was made. */
export type Undoing = 'byHand' | 'withTool' | 'opensRing' | 'destroys';

/** Something that takes its time by itself. */
export interface Wait {
  readonly for: 'heat' | 'cement' | 'soak' | 'cooling';
  readonly seconds: number;
}

export interface OperationRule<O extends Op> {
  /** The tool in the hand; null for fingers. */
  readonly tool: Tool | null;
  readonly alsoTools?: readonly Tool[];
  readonly supplies?: readonly Supply[];
  /** Trade estimates, for one and for each more. */
  readonly minutes: number;
  readonly minutesEach?: number;
  readonly undoing: Undoing;
  readonly wait?: Wait;
  /** Where builders come to it in their day, lowest first; settles what nothing else does. */
  readonly habit: number;
  readonly facts: (operation: OperationOf<O>, goal: Goal) => Facts;
  readonly effect: (operation: OperationOf<O>, goal: Goal, piece: Workpiece) => Workpiece;
  readonly hazards: (operation: OperationOf<O>, goal: Goal) => readonly Hazard[];
  readonly amounts: (operation: OperationOf<O>, goal: Goal) => readonly Amount[];
  readonly after: (operation: OperationOf<O>, goal: Goal) => readonly AfterCheck[];
}

/** An operation for each name. */
export type OperationRules = { readonly [O in Op]: OperationRule<O> };
