/** A nail weight as it lies in its body, and what it does to the blade the further out it stands. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demoLure, edited, itemId } from '@/testing/lures';
import { unevenness } from '../hydro/knock';
import { partsOfKind } from '../parts/catalogue';
import { nailLengthM, type NailState } from '../parts/kinds/nail-weight';
import { findings } from '../judgement/findings';
import { layOut } from './layout';
import { nailMeets, nailsOf } from './knocker';
import { spinSeats } from './seats';

const ember = demoLure('mirrow-ember');
const NAILS = partsOfKind('nailWeight');

function nailed(nail: (typeof NAILS)[number], change: Partial<NailState>) {
  const state: NailState = { of: 'nail', atM: 0.0225, outM: 0.004, leanRad: 0, clippedM: 0, ...change };
  const lure = edited(
    ember,
    { kind: 'swapPart', item: itemId('nailWeight-1'), part: nail },
    { kind: 'adjust', item: itemId('nailWeight-1'), changes: { state } },
  );
  return { lure, state, layout: layOut(lure.build) };
}

describe('a nail weight in its body', () => {
  it('is as long as it is, leans as it is set, and moves out along itself by as much as it is drawn out', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...NAILS),
        fc.double({ min: -0.5, max: 1.5, noNaN: true }),
        fc.double({ min: 0, max: 0.006, noNaN: true }),
        fc.double({ min: 0, max: 0.004, noNaN: true }),
        (nail, leanRad, outM, clippedM) => {
          const { lure, state, layout } = nailed(nail, { leanRad, outM, clippedM });
          const [lies] = nailsOf(lure.build, layout);
          if (!lies) throw new Error('it lies in its body');
          const { end, tip, outRad } = lies;
          expect(Math.hypot(end.xM - tip.xM, end.yM - tip.yM)).toBeCloseTo(nailLengthM(nail, state), 9);
          expect(Math.atan2(end.yM - tip.yM, end.xM - tip.xM)).toBeCloseTo(
            Math.atan2(Math.sin(outRad), Math.cos(outRad)),
            6,
          );
          const further = nailed(nail, { leanRad, outM: outM + 0.001, clippedM });
          const [moved] = nailsOf(further.lure.build, further.layout);
          expect((moved?.end.xM ?? 0) - end.xM).toBeCloseTo(0.001 * Math.cos(outRad), 9);
          expect((moved?.end.yM ?? 0) - end.yM).toBeCloseTo(0.001 * Math.sin(outRad), 9);
        },
      ),
    );
  });

  it('upright it comes nearer the blade by as much as it is drawn out: missed, knocked, held, in this order', () => {
    const order = ['misses', 'knocks', 'jams'];
    for (const nail of NAILS) {
      let last = 0;
      let uneven = 0;
      for (let outM = 0; outM < Math.min(nail.lengthM, 0.008); outM += 0.0002) {
        const { lure, layout } = nailed(nail, { outM });
        const [met] = nailMeets(lure.build, layout, spinSeats(lure.build, layout));
        if (!met) throw new Error('the blade comes by');
        expect(order.indexOf(met.knock)).toBeGreaterThanOrEqual(last);
        last = order.indexOf(met.knock);
        if (met.knock !== 'knocks') continue;
        const share = unevenness(-met.gapM, met.mostM);
        expect(share).toBeGreaterThanOrEqual(uneven);
        expect(share).toBeLessThanOrEqual(0.5);
        uneven = share;
        const told = findings(lure).find(({ code }) => code === 'knocker');
        expect(told?.code === 'knocker' && told.unevenShare).toBeCloseTo(share, 12);
      }
      expect(last, nail.id).toBe(2);
      expect(uneven, nail.id).toBeGreaterThan(0.2);
    }
  });
});
