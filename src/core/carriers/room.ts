/**
 * What a kind of carrier says for itself. A carrier is what parts are threaded on: a wire, straight or bent. Each kind has a
 * room of its own in this folder; carrier.ts lists them all. A body carries what hangs from its eyes.
 */
import type { Areas, Plate } from '../parts/kinds/room';
import type { Wire } from '../parts/kinds/wire';
import type { WireEnd } from '../parts/wire-form';
import type { LengthTerm } from './length-term';
import type { PlanePlace, Pose, WirePath } from './wire-path';

/** Where the lines of a carrier run, in its own coordinates: x to the tail, y up, m. */
export interface CarrierLines {
  /** What the strand is threaded on, from the front of its nose. */
  readonly run: Pose;
  /** What hangs at its tail, which the water draws straight back. */
  readonly trail: Pose;
  /** What is cast about its nose. */
  readonly head: Pose;
  /** What is forced over its line tie. */
  readonly tie: Pose;
  /** The axis of a body, from its nose: what hangs under its belly lies off it. */
  readonly skin: Pose;
}

/** Where on a body a hanger sits. */
export const BODY_SIDES = ['belly', 'back'] as const;
export type BodySide = (typeof BODY_SIDES)[number];

/** What a wire meets in its head, from the head's nose: where it leaves it, and the head's own line eye, m. */
export interface HeadAt {
  readonly wireAtM: number;
  readonly eye: PlanePlace | null;
}

export interface Lie {
  readonly lines: CarrierLines;
  /** Its way where it is bent; null where it is straight. */
  readonly path: WirePath | null;
  /** Where the line pulls, where that is neither of its ends. */
  readonly pulledAt: Pose | null;
  /** Of a body its outside, once about; null of wire and line. */
  readonly outline: readonly PlanePlace[] | null;
}

/** A piece of a carrier in the water: its mass, what it displaces, its place, m, its areas and its lip. */
export interface CarrierPiece extends Areas {
  readonly massKg: number;
  readonly volumeM3: number;
  readonly xM: number;
  readonly yM: number;
  readonly zM: number;
  readonly plate?: Plate;
}

/** What a carrier's pieces follow from, once it is laid. */
export interface LaidRun extends Lie {
  readonly noseM: number;
  readonly tailM: number;
  readonly noseLoopRadiusM: number;
}

/** An arm with a mass at its end, bent at its root. */
export interface CarrierSpring {
  readonly wire: Wire;
  readonly armM: number;
  /** Wire in the bend at its root, m, and the clear inside of that; null where there is none. */
  readonly bendWireM: number;
  readonly bendInsideM: number | null;
}

/** How far the making of a carrier has come. */
export interface Making {
  readonly cutM: number;
  readonly terms: readonly LengthTerm[];
  /** Of what is on it by now, m. */
  readonly stackM: number;
  /** All that comes on it is on it. */
  readonly isStrung: boolean;
}

export interface CarrierRoom<C> {
  /** The form of an end; `plain` where it has none of its own. */
  readonly end: (carrier: C, end: 'nose' | 'tail') => WireEnd;
  /** What its ends can be made into. */
  readonly forms: readonly WireEnd['form'][];
  /** Whether a head is cast about its nose, so that nothing is hung there. */
  readonly castsNose: boolean;
  /** A body: its ends are eyes that came closed, and hangers are screwed into it. */
  readonly hasEyes: boolean;
  /** Thickness of what is threaded through, and of its loops or eyes, m. */
  readonly strandM: (carrier: C) => number;
  /** Of it with so much of its wire or line in the lure, kg. */
  readonly massKg: (carrier: C, inLureM: number) => number;
  /** Of a body: its skin this far behind its nose, above its axis, m. */
  readonly skinM: ((carrier: C, atM: number, side: BodySide) => number) | null;
  /** By what it hangs on another carrier. */
  readonly hangsBy: 'nose' | 'tie';
  /** Clear inside of its line tie, where that is neither of its ends, m; null without one. */
  readonly tieInsideM: (carrier: C) => number | null;
  /** A line: what is on it slides, hooks are snelled on it, and it hangs where it is not pulled. */
  readonly isLimp: boolean;
  /** Whether its run is made as long as what is on it and the play; else it is as long as it was bent. */
  readonly isAsLongAsItsStack: boolean;
  /** Length of the run its strand is on, m. */
  readonly runM: (carrier: C, stackM: number) => number;
  /** @param tailM from its nose to where what hangs at its tail bears, m; @param head the head that is cast about its nose */
  readonly lie: (carrier: C, tailM: number, head: HeadAt) => Lie;
  /** What is cut of it between its ends. */
  readonly terms: (carrier: C, stackM: number) => LengthTerm[];
  /** False for one that comes formed. */
  readonly isCut: (carrier: C) => boolean;
  /** @param terms all of its wire without tags */
  readonly pieces: (carrier: C, laid: LaidRun, terms: readonly LengthTerm[]) => CarrierPiece[];
  /** What of it swings like a spring under what it carries; null where nothing does. */
  readonly spring: (carrier: C) => CarrierSpring | null;
  /** The bought thing it came as; null where it is made of wire. */
  readonly bought: (carrier: C) => { readonly name: string } | null;
  /** Over which end parts are threaded, the usual way first: builders close the tail of a straight wire first. */
  readonly threadedOver: readonly ('nose' | 'tail')[];
  /** Its bare run as long as it stands and at another length; null once anything is formed or closed before it. */
  readonly unworked: (carrier: C) => { readonly lengthM: number; readonly at: (lengthM: number) => C } | null;
  /** What a builder takes in place of it. */
  readonly stock: readonly ('wire' | 'frame' | 'line' | 'lureBody')[];
  /** Its length of wire before anything is done to it. */
  readonly bare: (carrier: C, cutM: number) => C;
  /** How many bends the hand makes in it; null where it is not bent at all. */
  readonly bends: (carrier: C) => number | null;
  /** In the middle of being made: with what is still bare of it as long as it is by now. */
  readonly settled: (now: C, wanted: C, made: Making) => C;
  /** Play left when its last loop closes, m; null where it is as long as it was bent. */
  readonly playM: (carrier: C) => number | null;
  /** The same with its arm longer by this share; null where it has none. */
  readonly lengthened: ((carrier: C, by: number) => C) | null;
  /** Whether it comes open again to be made into the other, which wants no more wire. */
  readonly opensAgain: (from: C, to: C) => boolean;
  /** What of it is formed by hand, for telling two apart. */
  readonly formed: (carrier: C) => unknown;
}
