/**
 * How much line a knot takes and how long it is. Turns lie side by side, each about what the line is turned about. Source:
 * docs/model.md, lengths and fits. Lengths in m.
 */
import { wrapsAllowance } from './turns';
import type { WireEnd } from './wire-form';

type Knot = Extract<WireEnd, { form: 'knot' }>;
type TiedLoop = Extract<WireEnd, { form: 'tiedLoop' }>;

/** A loop is knotted by passing it twice through itself, doubled. */
const LOOP_KNOT_TURNS = 2;

/** A palomar is tied with the line doubled. */
function strandsIn({ knot }: Knot): number {
  return knot === 'palomar' ? 2 : 1;
}

/** How much of the finished length a knot is: its turns side by side, and what holds them. */
export function knotLength(knot: Knot, lineM: number): number {
  return strandsIn(knot) * (knot.turns + 1) * lineM;
}

/**
 * Line that a knot takes beside its length, the tag not counted. Clinch: its turns about the standing line and the way
 * through the eye. Palomar: the same twice, and the second strand along it.
 */
export function knotAllowance(knot: Knot, lineM: number): number {
  const strands = strandsIn(knot);
  const throughEyeM = 2 * Math.PI * lineM;
  return strands * (wrapsAllowance(knot.turns, lineM) + throughEyeM) + (strands - 1) * knotLength(knot, lineM);
}

/** How long the knot of a tied loop is. */
export function loopKnotLength(lineM: number): number {
  return 2 * (LOOP_KNOT_TURNS + 1) * lineM;
}

/** How much of the finished length a tied loop is, with its knot. */
export function loopLength({ insideM }: TiedLoop, lineM: number): number {
  return insideM + lineM + loopKnotLength(lineM);
}

/** Line that a tied loop takes beside its length, the tag not counted: its other side, and the turns of its knot, doubled. */
export function loopAllowance({ insideM }: TiedLoop, lineM: number): number {
  return insideM + loopKnotLength(lineM) + 2 * wrapsAllowance(LOOP_KNOT_TURNS, 2 * lineM);
}

/** What a knot leaves of the strength of its line, tied well and wetted. Trade estimates. */
const SHARES = { clinch: 0.85, palomar: 0.92, tiedLoop: 0.8 } as const;
export const SNELL_SHARE = 0.9;

export function knotShare(knot: keyof typeof SHARES): number {
  return SHARES[knot];
}

/** How far a snell reaches along the shank: its wraps side by side. */
export function snellLength(wraps: number, lineM: number): number {
  return wraps * lineM;
}

/** Line in the wraps of a snell beside the line under them, π(shank + line) a turn, each one line further along. */
export function snellAllowance(wraps: number, shankM: number, lineM: number): number {
  return wraps * Math.hypot(Math.PI * (shankM + lineM), lineM);
}
