import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { DEMO_LURES } from '@/demo/scenario';
import { bentAt, demoLure, edited, itemId, part, plainBait, plainBuzz, plainSpinner } from '@/testing/lures';
import { applyEdits } from '../lure/edit';
import { takeOff, threadParts } from '../lure/editing';
import type { Lure, LureId } from '../lure/lure';
import { CATALOGUE } from '../parts/catalogue';
import { startLure } from './families/families';
import { findings, USUAL_CONTEXT } from './findings';
import { bendsThroughSomething, mendings } from './mending';

const open = (lure: Lure) => findings(lure, USUAL_CONTEXT, CATALOGUE).filter(({ severity }) => severity !== 'good');

/** Each repair that is offered leaves fewer open findings, no new fault, and bends the wire through nothing. */
function expectHonest(lure: Lure): number {
  const before = open(lure);
  const found = mendings(lure, USUAL_CONTEXT, CATALOGUE);
  expect(Object.keys(found).sort()).toEqual(before.map(({ key }) => key).sort());
  let offered = 0;
  for (const { repairs, none } of Object.values(found)) {
    expect(repairs.length === 0).toBe(none !== null);
    for (const { edits } of repairs) {
      offered++;
      const done = applyEdits(lure, edits);
      if (!done.ok) throw new Error('a repair that is offered can be done');
      const after = open(done.lure);
      expect(after.length).toBeLessThan(before.length);
      const faults = (all: typeof before) => all.filter(({ severity }) => severity === 'fault').map(({ key }) => key);
      expect(faults(after).filter((key) => !faults(before).includes(key))).toEqual([]);
      expect(bendsThroughSomething(lure, done.lure)).toBe(false);
    }
  }
  return offered;
}

const without = (lure: Lure, id: string) => edited(lure, takeOff(lure.build, itemId(id)));

describe('what mends a finding', () => {
  it.each<[string, () => Lure, string, readonly string[]]>([
    ['no head', () => startLure('spinnerbait', 'bare' as LureId, 'Bare'), 'noHead', ['putOn']],
    ['no hook on a spinner', () => without(plainSpinner(), 'hook-1'), 'noHook', ['putOn']],
    ['no hook in a head', () => without(plainBait(), 'hook-1'), 'noHook', ['putOn']],
    ['a rivet missing', () => without(plainBuzz(), 'rivet-1'), 'rivetMissing', ['putOn']],
    ['an arm twisted', () => bentAt(plainBait(), 1, { sideRad: 0.2 }), 'armTwisted', ['straighten']],
  ])('%s', (_, make, code, codes) => {
    const lure = make();
    const finding = open(lure).find((each) => each.code === code);
    if (!finding) throw new Error(`the lure is meant to show ${code}`);
    const mending = mendings(lure, USUAL_CONTEXT, CATALOGUE)[finding.key];
    expect(mending?.repairs.map((each) => each.code).slice(0, codes.length)).toEqual(codes);
    expect(expectHonest(lure)).toBeGreaterThan(0);
  });

  it('a ring that is too thick for an eye or a hole is swapped, or what hangs in it', () => {
    let tried = 0;
    for (const [start, id] of [
      [plainSpinner(), 'splitRing-1'],
      [plainBait(), 'splitRing-1'],
    ] as const) {
      for (const ring of ['ring-o3', 'ring-k3']) {
        const lure = edited(start, { kind: 'swapPart', item: itemId(id), part: part(ring) });
        for (const finding of open(lure).filter(({ code }) => code === 'eyeTooSmall' || code === 'holeTooSmall')) {
          tried++;
          const mending = mendings(lure, USUAL_CONTEXT, CATALOGUE)[finding.key];
          expect([ring, mending?.repairs.map(({ code }) => code)]).toEqual([ring, ['swapFor']]);
        }
        expectHonest(lure);
      }
    }
    expect(tried).toBeGreaterThan(2);
  });

  it('of every demo lure without any one of its parts is honest, and mostly there', () => {
    let [asked, mended] = [0, 0];
    for (const lure of DEMO_LURES) {
      for (const { id } of Object.values(lure.build.items)) {
        const done = applyEdits(lure, [takeOff(lure.build, id)]);
        if (!done.ok) continue;
        asked += open(done.lure).length;
        mended += expectHonest(done.lure) > 0 ? 1 : 0;
      }
    }
    expect(asked).toBeGreaterThan(20);
    expect(mended).toBeGreaterThan(10);
  });

  it('of random bends of random lures never goes through the frame or leaves more than it found', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(plainBait(), plainBuzz(), demoLure('torvane-lanes'), demoLure('asp-pair')),
        fc.integer({ min: 0, max: 4 }),
        fc.double({ min: -3.2, max: 0.6, noNaN: true }),
        fc.double({ min: -0.4, max: 0.4, noNaN: true }),
        (lure, index, angleRad, sideRad) => {
          const { carrier } = lure.build;
          if (carrier.kind !== 'bentWire' || carrier.sections[index]?.section !== 'bend') return;
          expectHonest(bentAt(lure, index, { angleRad, sideRad }));
        },
      ),
      { seed: 15, numRuns: 60 },
    );
  });

  it('is told why there is none: a measure, a rule of one’s own, a wire of another kind', () => {
    const spinner = plainSpinner();
    const onBaitWire: Lure = { ...spinner, family: 'spinnerbait' };
    expect(mendings(onBaitWire, USUAL_CONTEXT, CATALOGUE)['wrongWire']?.none).toBe('anotherKind');
    const crowded = edited(spinner, threadParts(spinner.build, part('bead-brass-4'), 1, 3));
    for (const { repairs, none } of Object.values(mendings(crowded, USUAL_CONTEXT, [])))
      expect(repairs.length > 0 || none !== null).toBe(true);
  });
});
