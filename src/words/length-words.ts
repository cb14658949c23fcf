/** The terms of a cut length in words. */
import { never } from '../core/never';
import type { Carrier } from '../core/carriers/carrier';
import type { CutLength } from '../core/lengths/lengths';
import type { LengthTerm } from '../core/carriers/length-term';
import { HAND_PULL_N, stretchShare } from '../core/parts/stretch';
import { degrees } from './angle-words';
import { showLength, type UnitSystem } from '../core/units/write';

export function termWords(term: LengthTerm, system: UnitSystem): string {
  switch (term.code) {
    case 'loop':
      return `${term.end} loop, ${showLength(term.insideDiameterM, system)} inside`;
    case 'wraps':
      return `${term.wraps} ${term.end} wraps`;
    case 'underWraps':
      return `shaft under the ${term.end} wraps`;
    case 'tag':
      return `${term.end} tag`;
    case 'finished':
      return 'finished length';
    case 'knot':
      return `${term.end === 'nose' ? 'rod' : 'hook'} end knot, ${term.turns} ${term.turns === 1 ? 'turn' : 'turns'}`;
    case 'tiedLoop':
      return `${term.end === 'nose' ? 'rod' : 'hook'} end loop, ${showLength(term.insideM, system)} long`;
    case 'snell':
      return `snell of ${term.wraps} wraps on ${showLength(term.shankM, system)} wire`;
    case 'spare':
      return 'spare for a spoilt knot';
    case 'stack':
      return 'stack';
    case 'freeRoom':
      return 'free room';
    case 'overWraps':
      return 'over the wraps';
    case 'overLoop':
      return 'over the tail loop';
    case 'overRingAndEye':
      return 'over ring and hook eye';
    case 'lengthwiseShrink':
      return `lost in shrinking, ${Math.round(term.share * 100)} %`;
    case 'inHead':
      return 'cast into the head';
    case 'straight':
      return 'straight';
    case 'bend':
      return `bend of ${degrees(term.angleRad)}, inside radius ${showLength(term.insideRadiusM, system)}`;
    case 'coil':
      return `closed tie, ${showLength(term.insideDiameterM, system)} inside`;
    case 'arm':
      return 'arm';
    case 'turnedDown':
      return 'turned down at the end';
    case 'spacer':
      return 'spacer';
    case 'strip':
      return `strip of ${term.strands} strands`;
    case 'keeper':
      return 'leg, bight and barb';
    case 'lockTurns':
      return `${term.turns} ${term.turns === 1 ? 'turn' : 'turns'} about the collar`;
    case 'lockTwist':
      return 'ends to twist';
    default:
      return never(term, 'termWords');
  }
}

/** What a line measures lying slack and drawn tight, so that one is not taken for the other; null of a wire. */
export function stretchWords(carrier: Carrier, system: UnitSystem): string | null {
  if (carrier.kind !== 'line') return null;
  const share = stretchShare(carrier.wire, HAND_PULL_N);
  if (share === null) return null;
  const [slack, tight] = [carrier.lengthM, carrier.lengthM * (1 + share)].map((m) => showLength(m, system));
  return slack === tight
    ? 'Lengths are of line lying slack; drawn tight it measures the same.'
    : `Lengths are of line lying slack. Drawn tight in the hand, ${slack} measures about ${tight}.`;
}

/** What is cut: the wire of a carrier, or its line. */
export function cutName({ of }: Pick<CutLength, 'of'>, isLine: boolean): string {
  return of === 'wire' && isLine ? 'Line' : CUT_WORDS[of];
}

export const CUT_WORDS: Readonly<Record<CutLength['of'], string>> = {
  wire: 'Wire',
  shrinkTube: 'Shrink tube',
  spacer: 'Spacer tube',
  skirtLayer: 'Skirt strip',
  keeper: 'Keeper wire',
  lockWire: 'Lock wire',
  link: 'Link',
};
