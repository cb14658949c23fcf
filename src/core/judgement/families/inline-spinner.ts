/** Inline spinner: a straight wire with a loop at both ends, a blade that turns about it, a hook behind. */
import type { Finding } from '../finding';
import type { Layout } from '../../geometry/layout';
import { USUAL_LOOP, type Lure } from '../../lure/lure';
import { wireEnd, type Carrier } from '../../carriers/carrier';
import { endNotFormed, lacking, onWrongWire, wireOf } from './common';

const USUAL_WIRE_M = 0.0009;

export const inlineSpinner = {
  carrier(): Carrier {
    return { kind: 'straightWire', wire: wireOf(USUAL_WIRE_M), nose: USUAL_LOOP, tail: USUAL_LOOP, freeRoomM: 0.0015 };
  },

  check(lure: Lure, layout: Layout): Finding[] {
    const plain = (['nose', 'tail'] as const).filter((end) => wireEnd(lure.build.carrier, end).form === 'plain');
    return [...plain.map(endNotFormed), ...onWrongWire(lure, 'straightWire'), ...lacking(lure, layout)];
  },
};
