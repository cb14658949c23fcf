/** The terms of a cut length in words. */
import { never } from '../core/never';
import type { LengthTerm } from '../core/lure/lengths';
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
    default:
      return never(term, 'termWords');
  }
}
