/** What the carriers and their ends are called. A kind that is missing here is a type error. */
import type { CarrierKind } from '../core/carriers/carrier';

export interface CarrierWords {
  /** Its ends and line tie on the string, and what hangers are screwed into. */
  readonly nose: string;
  readonly tail: string;
  readonly tie: string;
  readonly body: string;
  /** The same in as few words as a chip takes. */
  readonly short: { readonly nose: string; readonly tie: string; readonly body: string; readonly tail: string };
  /** The loop at its tail, in a step of work. */
  readonly tailLoop: string;
  /** What a hook is put in: a loop at its tail, or a head. */
  readonly hookIsIn: 'loop' | 'head';
  /** Why something cannot be set of it. */
  readonly hasNot: string;
  /** Why a family that wants it stands on the wrong one. */
  readonly wanted: { readonly title: string; readonly why: string };
}

export const CARRIER_WORDS: Readonly<Record<CarrierKind, CarrierWords>> = {
  straightWire: {
    nose: 'line tie loop',
    tail: 'tail loop',
    tie: 'line tie',
    body: 'wire',
    short: { nose: 'line tie', tie: 'line tie', body: 'wire', tail: 'tail loop' },
    tailLoop: 'tail loop',
    hookIsIn: 'loop',
    hasNot: 'This wire is straight: it has no bends and no arm.',
    wanted: { title: 'Not on a straight wire', why: 'An inline spinner is built on a straight wire.' },
  },
  line: {
    nose: 'rod end of the line',
    tail: 'hook end of the line',
    tie: 'rod end',
    body: 'line',
    short: { nose: 'rod end', tie: 'rod end', body: 'line', tail: 'hook end' },
    tailLoop: 'hook end of the line',
    hookIsIn: 'loop',
    hasNot:
      'This is a line: it has no bends, no arm and no loops of wire. It is made of line, its ends are knots or tied loops.',
    wanted: { title: 'Not on line', why: 'A worm harness and a line leader are built on line.' },
  },
  body: {
    nose: 'line eye at the nose',
    tail: 'eye at the tail',
    tie: 'line eye',
    body: 'body',
    short: { nose: 'nose eye', tie: 'line eye', body: 'body', tail: 'tail eye' },
    tailLoop: 'tail eye',
    hookIsIn: 'loop',
    hasNot: 'This is a body: it has no bends, no arm and no loops of wire. What hangs on it hangs from its eyes.',
    wanted: { title: 'Not on a body', why: 'A hard bait with a blade is built on the body of a hard bait.' },
  },
  bentWire: {
    nose: 'nose of the wire',
    tail: 'end of the arm',
    tie: 'line tie',
    body: 'wire',
    short: { nose: 'wire nose', tie: 'line tie', body: 'wire', tail: 'arm end' },
    tailLoop: 'end loop',
    hookIsIn: 'head',
    hasNot: 'This wire is bent: its nose is in its head and its arm is as long as it was bent.',
    wanted: {
      title: 'Not on a bent wire',
      why: 'A spinnerbait or buzzbait is built on a bent wire: head and hook on one arm, blades on the other.',
    },
  },
};
