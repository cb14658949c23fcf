/**
 * The wire as it is cut, straight: what each length of it becomes, in order from its nose end. Marks lie where one ends and
 * the next begins; sums are those of lengths.ts.
 */
import { wireCut } from './lengths';
import type { LengthTerm } from '../carriers/length-term';
import type { Build, End } from '../lure/lure';

export interface WireStretch {
  readonly becomes: LengthTerm;
  readonly fromM: number;
  readonly toM: number;
}

/** What of an end lies furthest out, first: clipped tag, wraps, loop, then the shaft under the wraps. */
const OUTWARD: readonly LengthTerm['code'][] = ['tag', 'wraps', 'loop', 'underWraps'];

/** The first carrier's wire from its nose end on, each stretch from and to, m. */
export function wireStretches(build: Build): WireStretch[] {
  const { terms } = wireCut(build);
  const at = (term: LengthTerm): End | null => ('end' in term ? term.end : null);
  const outward = (a: LengthTerm, b: LengthTerm) => OUTWARD.indexOf(a.code) - OUTWARD.indexOf(b.code);
  const ordered = [
    ...terms.filter((term) => at(term) === 'nose').sort(outward),
    ...terms.filter((term) => at(term) === null),
    ...terms.filter((term) => at(term) === 'tail').sort((a, b) => outward(b, a)),
  ];
  let alongM = 0;
  return ordered
    .filter(({ lengthM }) => lengthM > 0)
    .map((becomes) => {
      const fromM = alongM;
      alongM += becomes.lengthM;
      return { becomes, fromM, toM: alongM };
    });
}
