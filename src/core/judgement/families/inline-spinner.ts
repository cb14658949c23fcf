/** Inline spinner: a straight wire with a loop at both ends, a blade that turns about it, a hook behind. */
import { noRepairs, type Finding } from '../finding';
import type { Layout } from '../../geometry/layout';
import { USUAL_LOOP, type Lure } from '../../lure/lure';
import { wireEnd, type Carrier } from '../../carriers/carrier';
import { lacking, onWrongWire, wireOf } from './common';

const USUAL_WIRE_M = 0.0009;

export const inlineSpinner = {
  carrier(): Carrier {
    return { kind: 'straightWire', wire: wireOf(USUAL_WIRE_M), nose: USUAL_LOOP, tail: USUAL_LOOP, freeRoomM: 0.0015 };
  },

  check(lure: Lure, layout: Layout): Finding[] {
    const found: Finding[] = [];
    for (const end of ['nose', 'tail'] as const) {
      if (wireEnd(lure.build.carrier, end).form !== 'plain') continue;
      found.push({
        code: 'endNotFormed',
        key: `endNotFormed ${end}`,
        severity: 'caution',
        items: [],
        end,
        repairs: noRepairs,
      });
    }
    return [...found, ...onWrongWire(lure, 'straightWire'), ...lacking(lure, layout)];
  },
};
