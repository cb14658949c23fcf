import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demoLure, edited, harness, itemId, on, part } from '@/testing/lures';
import { findings, USUAL_CONTEXT } from '../judgement/findings';
import { USUAL_OUTFIT, type Outfit } from '../hydro/outfit';
import { LAKE_WATER } from '../hydro/water';
import { seatPart, takeOff } from '../lure/editing';
import type { Lure } from '../lure/lure';
import { partsOfKind } from '../parts/catalogue';
import { rides } from '../predict/ride';
import { findingWords } from '../../words/finding-words';
import { spinners } from './spinners';
import { twistingOf } from './twisting';

const FISHED = [0.3, 0.5, 0.8, 1.1, 1.5] as const;
const NYLON: Outfit = { ...USUAL_OUTFIT, line: { kind: 'nylon', diameterM: 0.0003 } };

/** Turns put into the line at each speed that is fished. */
const twists = ({ build }: Lure) => rides(build, LAKE_WATER, FISHED, NYLON).at.map(({ twistTurns }) => twistTurns);

describe('what of a lure on line twists its line', () => {
  const swivelled = demoLure('okkel-roller');
  const rolling = edited(swivelled, takeOff(swivelled.build, itemId('swivel-1')));
  // Of its blade a line is twisted as well: without one only the bait is left.
  const bladeless = edited(rolling, takeOff(rolling.build, itemId('filmBlade-1')));

  it('a bait on a rolling hook does, bare or on a straight hook it does not, and a swivel at the nose takes most of it', () => {
    const bare = edited(bladeless, takeOff(bladeless.build, itemId('bait-1')));
    const straight = edited(bladeless, { kind: 'swapPart', item: itemId('hook-2'), part: part('hook-octopus-4') });
    expect(twistingOf(Object.values(bare.build.items)).roll).toBeNull();
    expect(twistingOf(Object.values(straight.build.items)).roll).toBeNull();
    expect(twists(bare)).toEqual([0, 0, 0, 0, 0]);
    expect(twists(straight)).toEqual([0, 0, 0, 0, 0]);
    const turned = twists(rolling);
    twists(bladeless).forEach((turns, i) => {
      expect(turns).toBeGreaterThan(10);
      expect(turned[i]).toBeGreaterThanOrEqual(turns);
    });
    twists(swivelled).forEach((turns, i) => expect(turns).toBeLessThan(turned[i] ?? NaN));
  });

  it('it never turns oftener than a bait left to itself: a longer one less often, a thicker one harder', () => {
    const { roll } = twistingOf(Object.values(rolling.build.items));
    if (!roll) throw new Error('a bait that rolls');
    twists(bladeless).forEach((turns) => expect(turns).toBeLessThanOrEqual(100 * roll.turnsPerM + 1e-9));
    fc.assert(
      fc.property(fc.constantFrom(...partsOfKind('bait')), fc.double({ min: 1.1, max: 2, noNaN: true }), (bait, by) => {
        const of = (changes: object) => {
          const swapped = edited(rolling, { kind: 'swapPart', item: itemId('bait-1'), part: { ...bait, ...changes } });
          return twistingOf(Object.values(swapped.build.items)).roll;
        };
        const [now, longer, thicker] = [of({}), of({ lengthM: bait.lengthM * by }), of({ bodyM: bait.bodyM * by })];
        expect(longer?.turnsPerM).toBeLessThan(now?.turnsPerM ?? 0);
        expect(thicker?.torqueM3).toBeGreaterThan(now?.torqueM3 ?? Infinity);
        expect(thicker?.turnsPerM).toBe(now?.turnsPerM);
      }),
    );
  });

  it('the finding tells how often, and that a swivel is missing', () => {
    const told = (lure: Lure) => {
      const finding = findings(lure, USUAL_CONTEXT).find(({ code }) => code === 'lineTwist');
      return finding && findingWords(finding, lure.build, 'metric');
    };
    expect(told(rolling)?.title).toBe('The bait rolls and there is no swivel');
    expect(told(rolling)?.figure).toMatch(/^about [2-6] turns a metre, give or take half$/);
    expect(told(swivelled)?.title).toBe('A swivel lets the line untwist');
  });
});

describe('what turns on line rubs on it', () => {
  const lure = harness(['clevis-quick-2', 'bead-glow-4', 'bead-guard-2', 'hook-octopus-4']);
  const bladed = edited(lure, seatPart(lure.build, part('blade-indiana-k2'), on('clevis-1', 'hung')));

  const rub = (clevis: string, line: string) => {
    const changed = edited(
      bladed,
      { kind: 'swapPart', item: itemId('clevis-1'), part: part(clevis) },
      { kind: 'carrier', changes: { wire: partsOfKind('line').find(({ material }) => material === line) } },
    );
    const [spinner] = spinners(changed.build, 998);
    return spinner?.bearing.friction ?? NaN;
  };

  it.each(['nylon', 'fluorocarbon', 'braid'])('%s clings to a clevis of plastic more than to one of metal', (line) => {
    expect(rub('clevis-quick-2', line)).toBeGreaterThan(rub('clevis-stirrup-3', line));
  });

  it('nylon clings more than braid to either', () => {
    for (const clevis of ['clevis-quick-2', 'clevis-stirrup-3'])
      expect(rub(clevis, 'nylon')).toBeGreaterThan(rub(clevis, 'braid'));
  });
});
