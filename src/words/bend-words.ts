/** The bends of a wire by name, and their angles with the way they turn. */
import type { BentWire } from '../core/carriers/bent-wire';
import { degrees } from './angle-words';

/** The name of the bend at this section: the tie, those between head and tie, those of the arm behind it. */
export function bendName({ sections }: BentWire, index: number): string {
  const bends = sections.flatMap((each, at) => (each.section === 'bend' ? [{ at, isTie: each.isTie }] : []));
  const here = bends.find(({ at }) => at === index);
  if (!here) return 'bend';
  if (here.isTie) return 'line tie';
  const tieAt = sections.findIndex((each) => each.section === 'coil' || (each.section === 'bend' && each.isTie));
  const isBefore = tieAt === -1 || index < tieAt;
  const like = bends.filter(({ at, isTie }) => !isTie && (tieAt === -1 || at < tieAt) === isBefore);
  const name = isBefore ? 'bend near the head' : 'bend of the arm';
  return like.length === 1 ? name : `${name} ${like.findIndex(({ at }) => at === index) + 1}`;
}

/** `38° to the left`: how far, and which way the wire turns as one goes along it from the head. */
export function bendAngle(angleRad: number): string {
  return `${degrees(angleRad)}${wayOf(angleRad, 'to the left', 'to the right')}`;
}

/** `3° to you`: out of the flat of the lure, seen with its nose at the left. */
export function twistAngle(sideRad: number): string {
  return `${degrees(sideRad)}${wayOf(sideRad, 'to you', 'from you')}`;
}

function wayOf(angleRad: number, positive: string, negative: string): string {
  if (Math.abs(angleRad) < 5e-4) return '';
  return ` ${angleRad > 0 ? positive : negative}`;
}
