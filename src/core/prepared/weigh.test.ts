import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { LAKE_WATER } from '@/core/hydro/water';
import { restClearance } from '@/core/geometry/clearance';
import { layOut, trailingHooks } from '@/core/geometry/layout';
import type { Lure } from '@/core/lure/lure';
import { lureMass } from '@/core/lengths/mass';
import { placementEdits, type Placement } from '@/core/fits/placement';
import { spinSeats } from '@/core/geometry/seats';
import { CATALOGUE, partsOfKind } from '@/core/parts/catalogue';
import type { PartKind } from '@/core/parts/part';
import { predict } from '@/core/predict/predict';
import { USUAL_SOUND } from '@/core/predict/sound';
import { nominalSpin } from '@/core/predict/spin';
import { demoLure, edited, itemId, part, plainBuzz, plainSpinner, TAIL } from '@/testing/lures';
import { effectAt, weigh, weighing, type Effect } from './weigh';

const swap = (item: string): Placement => ({ put: 'swap', item: itemId(item) });
const inline = plainSpinner();
const tandem = demoLure('torvane-lanes');
const PLACES: readonly (readonly [name: string, lure: Lure, placement: Placement, kind: PartKind])[] = [
  ['a blade', inline, swap('blade-1'), 'blade'],
  ['a clevis', inline, swap('clevis-1'), 'clevis'],
  ['a bead on the wire', inline, { put: 'thread', index: 1 }, 'bead'],
  ['a hook at the tail', inline, { put: 'seat', seat: TAIL }, 'splitRing'],
  ['the wire itself', inline, { put: 'wire' }, 'wire'],
  ['one of two blades', tandem, swap('blade-2'), 'blade'],
  ['a head', tandem, swap('head-1'), 'head'],
  ['a delta blade', plainBuzz(), swap('deltaBlade-1'), 'deltaBlade'],
];

/** The same from the lure as it then is, by the slow way. */
function afterwards({ build }: Lure, placement: Placement, speedMps: number): Effect {
  const layout = layOut(build);
  const clearances = spinSeats(build, layout).flatMap((seat) =>
    trailingHooks(layout).map((hook) => restClearance(layout, seat, hook).clearanceM),
  );
  const spun = nominalSpin(build, LAKE_WATER, [speedMps]);
  const station = placement.put === 'swap' ? placement.item : null;
  const [sound] = predict(build, LAKE_WATER, [speedMps], { sound: USUAL_SOUND }).sounds;
  const outcome = (spun.find((each) => each.station === station) ?? spun[0])?.outcomes[0];
  return {
    rateHz: outcome?.outcome === 'turning' ? outcome.rateHz : null,
    dragN: outcome?.outcome === 'turning' ? outcome.dragN : null,
    massKg: lureMass(build),
    clearanceM: clearances.length > 0 ? Math.min(...clearances) : null,
    levelDb: sound && 'whole' in sound ? (sound.whole.levelDb?.value ?? null) : null,
  };
}

function expectAlike(got: number | null | undefined, wanted: number | null) {
  if (wanted === null) expect(got).toBeNull();
  else expect(Math.abs((got ?? NaN) - wanted)).toBeLessThanOrEqual(1e-6 * Math.abs(wanted) + 1e-12);
}

describe('what a part would do', () => {
  it('is what the lure does once it is there', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...PLACES),
        fc.nat(100),
        fc.double({ min: 0.3, max: 1.5, noNaN: true }),
        ([, lure, placement, kind], pick, speedMps) => {
          const parts = CATALOGUE.filter((each) => each.kind === kind);
          const each = parts[pick % parts.length];
          if (!each) throw new Error('the catalogue has parts of every kind');
          const effect = effectAt(weigh(lure, placement, [each], LAKE_WATER, speedMps), 0);
          const wanted = afterwards(edited(lure, ...placementEdits(lure.build, placement, each)), placement, speedMps);
          expectAlike(effect?.rateHz, wanted.rateHz);
          expectAlike(effect?.dragN, wanted.dragN);
          expectAlike(effect?.massKg, wanted.massKg);
          expectAlike(effect?.clearanceM, wanted.clearanceM);
          expectAlike(effect?.levelDb, wanted.levelDb);
        },
      ),
      { numRuns: 80 },
    );
  });

  it('is nothing for a part that cannot go there, and orders blades as they turn', () => {
    const asked = [part('blade-french-k2'), part('bead-brass-3'), part('blade-colorado-k4')];
    const effects = weigh(inline, swap('blade-1'), asked, LAKE_WATER, 0.8);
    const [french, bead, colorado] = [0, 1, 2].map((i) => effectAt(effects, i));
    expect(bead).toBeNull();
    expect(french?.rateHz).toBeGreaterThan(colorado?.rateHz ?? Infinity);
    expect(french?.dragN).toBeLessThan(colorado?.dragN ?? 0);
    expect(french?.massKg).toBeLessThan(colorado?.massKg ?? 0);
    expect(french?.clearanceM).toBeGreaterThan(colorado?.clearanceM ?? Infinity);
  });

  it('is worked out part by part, so that it can be given up between them', () => {
    const blades = partsOfKind('blade').slice(0, 5);
    const work = weighing(inline, swap('blade-1'), blades, LAKE_WATER, 0.8);
    expect([...work]).toEqual([1, 2, 3, 4, 5]);
  });
});
