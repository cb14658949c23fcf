/** What was measured holds for what it was measured on, and for nothing else. */
import { describe, expect, it } from 'vitest';
import { demoLure, edited, itemId, part } from '@/testing/lures';
import { LAKE_WATER } from '../hydro/water';
import { readLureFile, writeLureFile } from '../files/lure-file';
import { learnFrom } from '../predict/readings';
import { predictSpin } from '../predict/spin';
import { applyEdits } from './edit';
import { keptReading, readingsInUse } from './kept-readings';
import type { Lure } from './lure';
import { markOf, type Reading } from './reading';

const BLADE = itemId('blade-1');
const RATE: Reading = { kind: 'rate', station: BLADE, speedMps: 0.9, rateHz: 9, errorShare: 0.05 };
const DEPTH: Reading = { kind: 'depth', speedMps: 0.9, lineOutM: 20, depthM: 1, errorShare: 0.08 };

function measured(): Lure {
  const lure = demoLure('hovna-lantern');
  return [RATE, DEPTH].reduce(
    (now, reading, at) =>
      edited(now, { kind: 'keepReading', at, reading: keptReading(now.build, reading, '2031-09-14') }),
    lure,
  );
}

describe('readings of a lure', () => {
  it('are used while it is as it was, also out of a file, and undone as they were done', () => {
    const lure = measured();
    expect(readingsInUse(lure)).toEqual([RATE, DEPTH]);
    const read = readLureFile(writeLureFile(lure));
    expect(read.ok && readingsInUse(read.lure)).toEqual([RATE, DEPTH]);
    const forgotten = applyEdits(lure, [
      { kind: 'forgetReading', at: 0 },
      { kind: 'forgetReading', at: 0 },
    ]);
    if (!forgotten.ok) throw new Error('they can be forgotten');
    expect('readings' in forgotten.lure).toBe(false);
    expect(edited(forgotten.lure, ...forgotten.inverse)).toEqual(lure);
    expect(applyEdits(lure, [{ kind: 'forgetReading', at: 2 }])).toMatchObject({
      ok: false,
      refusal: { code: 'noSuchReading' },
    });
  });

  it('with another hook no depth is used, and the blade’s rate still is; of another blade nothing is', () => {
    const lure = measured();
    const hook = Object.values(lure.build.items).find((item) => item.part.kind === 'hook');
    if (!hook) throw new Error('it has a hook');
    const thicker = { ...hook.part, massKg: hook.part.massKg * 1.2 };
    expect(readingsInUse(edited(lure, { kind: 'swapPart', item: hook.id, part: thicker }))).toEqual([RATE]);
    const other = edited(lure, { kind: 'swapPart', item: BLADE, part: part('blade-french-k2') });
    expect(readingsInUse(other)).toEqual([]);
    const back = edited(other, { kind: 'swapPart', item: BLADE, part: lure.build.items[BLADE]?.part ?? part('none') });
    expect(readingsInUse(back)).toEqual([RATE, DEPTH]);
  });

  it('narrow what is said of the blade on the page to less than half', () => {
    const { build } = demoLure('hovna-lantern');
    const { belief } = learnFrom(build, LAKE_WATER, [RATE]);
    const widthOf = (learnt: typeof belief | null) => {
      const [blade] = predictSpin(build, LAKE_WATER, [0.9], 'clean', undefined, learnt).blades;
      const at = blade?.at[0];
      return at && 'rateHz' in at ? at.rateHz.high - at.rateHz.low : NaN;
    };
    expect(widthOf(belief)).toBeLessThan(widthOf(null) / 2);
  });

  it('marks hang on what a thing says and not on the order of its fields', () => {
    expect(markOf({ a: 1, b: [{ c: 2, d: 3 }] })).toBe(markOf({ b: [{ d: 3, c: 2 }], a: 1 }));
    expect(markOf({ a: 1 })).not.toBe(markOf({ a: 2 }));
  });
});
