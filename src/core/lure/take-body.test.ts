import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demoLure, edited, part } from '@/testing/lures';
import { partsOfKind } from '../parts/catalogue';
import { seatPart } from './editing';
import { freestPlace, hangersOf, takeBody } from './take-body';

const glint = demoLure('halvane-glint');

describe('a new eye', () => {
  it('of any body goes where there is most room: eyes screwed in one after the other stay apart, on the belly', () => {
    fc.assert(
      fc.property(fc.constantFrom(...partsOfKind('lureBody')), fc.integer({ min: 1, max: 5 }), (body, count) => {
        let lure = edited(glint, ...takeBody(glint.build, body));
        let apart = Infinity;
        for (let n = 0; n < count; n++) {
          const atM = freestPlace(lure.build, body);
          const taken = hangersOf(lure.build).map(({ seat }) => seat.atM);
          const nearest = Math.min(...taken.map((each) => Math.abs(each - atM)));
          expect(atM).toBeGreaterThan(0.1 * body.lengthM);
          expect(atM).toBeLessThan(0.93 * body.lengthM);
          // Room only grows less as they are put in.
          expect(nearest).toBeLessThanOrEqual(apart + 2e-4);
          expect(nearest).toBeGreaterThan((0.3 * body.lengthM) / (taken.length + 1));
          apart = nearest;
          lure = edited(lure, seatPart(lure.build, part('screw-eye-08-10'), { on: 'body', side: 'belly', atM }));
        }
        expect(hangersOf(lure.build).length).toBe(body.bellyEyesM.length + count);
      }),
      { numRuns: 40 },
    );
  });
});
