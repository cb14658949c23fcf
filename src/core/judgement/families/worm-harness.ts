/** Worm harness: a leader with its hooks snelled on it, a blade and beads sliding ahead of them. */
import { partsOfKind } from '../../parts/catalogue';
import type { Line } from '../../parts/kinds/line';
import { noRepairs, type Finding } from '../finding';
import type { Layout } from '../../geometry/layout';
import { itemOf, type Build, type End, type Lure } from '../../lure/lure';
import { wireEnd, type Carrier } from '../../carriers/carrier';
import { lacking, onWrongWire } from './common';

const USUAL_LINE = 'line-fluoro-33';
const USUAL_LENGTH_M = 0.9;
const USUAL_SPARE_M = 0.15;
/** A loop at the rod end, for a snap. */
export const USUAL_TIED_LOOP = { form: 'tiedLoop', insideM: 0.012, tagM: 0.03 } as const;

/** The catalogue's line that leaders are commonly made of. @throws Error when it has no line at all */
export function usualLine(): Line {
  const lines = partsOfKind('line');
  const line = lines.find(({ id }) => id === USUAL_LINE) ?? lines[0];
  if (!line) throw new Error('usualLine: the catalogue needs at least one line');
  return line;
}

export const wormHarness = {
  carrier(): Carrier {
    return {
      kind: 'line',
      wire: usualLine(),
      nose: USUAL_TIED_LOOP,
      tail: { form: 'plain' },
      lengthM: USUAL_LENGTH_M,
      spareM: USUAL_SPARE_M,
    };
  },

  check(lure: Lure, layout: Layout): Finding[] {
    const loose = (['nose', 'tail'] as const).filter((end) => isLoose(lure.build, end));
    return [
      ...loose.map((end): Finding => ({
        code: 'endNotFormed',
        key: `endNotFormed ${end}`,
        severity: 'caution',
        items: [],
        end,
        repairs: noRepairs,
      })),
      ...onWrongWire(lure, 'line'),
      ...lacking(lure, layout),
    ];
  },
};

/** An end that nothing holds: neither a knot nor, at the tail, the snell of the last hook. */
function isLoose(build: Build, end: End): boolean {
  if (wireEnd(build.carrier, end).form !== 'plain') return false;
  const last = build.strand.at(-1);
  return end === 'nose' || !last || itemOf(build, last.item).part.kind !== 'hook';
}
