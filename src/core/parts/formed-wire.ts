/**
 * How much wire a form takes.
 *
 * A bend of angle θ about an inside radius R in wire of diameter d takes (R + K·d)·θ, K the share of the thickness at which
 * the wire neither stretches nor shrinks: half for a gentle bend in round wire, less for a sharp one. Trade estimate: K falls
 * evenly from 0.5 at R = 1.5 d to 0.4 at R = 0. Turns of a coil take π(D + d) each, D its inside diameter; a round loop
 * without wraps π(D + d) less the gap left open.
 */
import { never } from '../never';
import { knotAllowance, knotLength, loopAllowance, loopLength } from './knots';
import type { Section, WireEnd, WireForm } from './wire-form';
import { turnsAllowance, wrapsAllowance } from './turns';

const NEUTRAL_SHARE = 0.5;
const SHARP_BELOW_DIAMETERS = 1.5;
const SHARP_LOSS = 0.1;

/** Wire that a bend takes, m. */
export function bendAllowance(angleRad: number, insideRadiusM: number, wireM: number): number {
  const sharpness = Math.max(0, 1 - insideRadiusM / (SHARP_BELOW_DIAMETERS * wireM));
  return (insideRadiusM + (NEUTRAL_SHARE - SHARP_LOSS * sharpness) * wireM) * Math.abs(angleRad);
}

/** Wire that one section takes, m. */
export function wireIn(section: Section, wireM: number): number {
  switch (section.section) {
    case 'straight':
      return section.lengthM;
    case 'bend':
      return bendAllowance(Math.hypot(section.angleRad, section.sideRad), section.insideRadiusM, wireM);
    case 'coil':
      return turnsAllowance(section.insideDiameterM, section.turns, wireM);
    default:
      return never(section, 'wireIn');
  }
}

/** Wire in the finished end, the clipped tag not counted, m. */
export function wireInEnd(end: WireEnd, wireM: number): number {
  switch (end.form) {
    case 'plain':
      return 0;
    case 'wrappedLoop':
      return (
        turnsAllowance(end.insideDiameterM, end.turns, wireM) + wrapsAllowance(end.wraps, wireM) + end.wraps * wireM
      );
    case 'bentLoop':
      return Math.max(turnsAllowance(end.insideDiameterM, 1, wireM) - end.gapM, 0);
    case 'bentOver':
      return end.lengthM;
    case 'knot':
      return knotLength(end, wireM) + knotAllowance(end, wireM);
    case 'tiedLoop':
      return loopLength(end, wireM) + loopAllowance(end, wireM);
    default:
      return never(end, 'wireInEnd');
  }
}

/** Wire from where it leaves the head to its end, m. */
export function formedLength({ sections, armM, tail }: WireForm, wireM: number): number {
  return sections.reduce((sum, section) => sum + wireIn(section, wireM), armM) + wireInEnd(tail, wireM);
}
