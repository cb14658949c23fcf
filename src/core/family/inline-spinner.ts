/** Inline spinner: a straight wire with a loop at both ends, a blade that turns about it, a hook behind. */
import { partsOfKind } from '../parts/catalogue';
import type { Finding } from '../lure/finding';
import { layOut, trailingHooks } from '../lure/layout';
import { USUAL_LOOP, type Lure, type LureId } from '../lure/lure';
import { spinnerWork } from './spinner-work';
import { filmSeats, spinSeats } from '../lure/spin-seats';

const USUAL_WIRE_M = 0.0009;

export const inlineSpinner = {
  name: 'Inline spinner',

  start(id: LureId, name: string): Lure {
    const wires = partsOfKind('wire');
    const wire = wires.find(({ diameterM }) => diameterM === USUAL_WIRE_M) ?? wires[0];
    if (!wire) throw new Error('inlineSpinner.start: the catalogue needs at least one wire');
    return {
      id,
      name,
      family: 'inlineSpinner',
      note: '',
      build: {
        carrier: { kind: 'straightWire', wire, nose: USUAL_LOOP, tail: USUAL_LOOP, freeRoomM: 0.0015 },
        items: {},
        strand: [],
      },
      made: null,
    };
  },

  work: spinnerWork,

  check(lure: Lure): Finding[] {
    const layout = layOut(lure.build);
    const found: Finding[] = [];
    for (const end of ['nose', 'tail'] as const) {
      if (lure.build.carrier[end].form !== 'plain') continue;
      found.push({
        code: 'endNotFormed',
        key: `endNotFormed ${end}`,
        severity: 'caution',
        items: [],
        end,
        repairs: [],
      });
    }
    if (spinSeats(lure.build, layout).length + filmSeats(layout).length === 0) {
      found.push({ code: 'noTurningBlade', key: 'noTurningBlade', severity: 'caution', items: [], repairs: [] });
    }
    if (trailingHooks(layout).length === 0) {
      found.push({ code: 'noHook', key: 'noHook', severity: 'caution', items: [], repairs: [] });
    }
    return found;
  },
};
