import { describe, expect, it } from 'vitest';
import { bait, edited, itemId, part, plainBait, plainBuzz } from '@/testing/lures';
import { swivelBearing } from '../in-water/bearing';
import type { Lure } from '../lure/lure';
import { partsOfKind } from '../parts/catalogue';
import { predictSpin } from '../predict/spin';
import { stallSpeeds } from '../predict/stalls';
import { deltaBearing, deltaSpinBlade } from './delta-blade';
import { steadySpin, type Turning } from './spin';
import { GOOD_CLEVIS_BEARING } from './blade-loads';
import { LAKE_WATER } from './water';

const RHO = 999.7;
const blades = partsOfKind('deltaBlade');

function spun(blade: (typeof blades)[number], speedMps: number): Turning {
  const [at] = steadySpin(deltaSpinBlade(blade, RHO), deltaBearing(GOOD_CLEVIS_BEARING), RHO, [speedMps]);
  if (at?.outcome !== 'turning') throw new Error(`${blade.id} turns at ${speedMps} m/s`);
  return at;
}

const rates = (lure: Lure, state: 'clean' | 'weed' = 'clean') =>
  predictSpin(lure.build, LAKE_WATER, [0.8], state).blades.map(({ at: [at] }) =>
    at?.outcome === 'turning' ? at.rateHz.value : 0,
  );

describe('delta blades', () => {
  it.each(blades.map((blade) => [blade.id, blade] as const))(
    '%s turns faster and drags more the faster it is drawn, square to its wire, never without driving its friction',
    (_, blade) => {
      let last = { rateHz: 0, dragN: 0 };
      for (const speed of [0.4, 0.6, 0.8, 1.2, 1.6]) {
        const at = spun(blade, speed);
        expect(at.rateHz).toBeGreaterThan(last.rateHz);
        expect(at.dragN).toBeGreaterThan(last.dragN);
        expect(at.spreadRad).toBe(Math.PI / 2);
        expect(at.dragN * speed).toBeGreaterThan(at.frictionTorqueNm * 2 * Math.PI * at.rateHz);
        last = at;
      }
    },
  );

  it('of the same form, more lobes drag more; a wider one turns slower', () => {
    const [blade] = blades;
    if (!blade) throw new Error('there are delta blades');
    const drag = (lobes: 2 | 3 | 4) => spun({ ...blade, lobes }, 0.8).dragN;
    expect(drag(3)).toBeGreaterThan(drag(2));
    expect(drag(4)).toBeGreaterThan(drag(3));
    const rate = (spanM: number) => spun({ ...blade, spanM }, 0.8).rateHz;
    expect(rate(0.042)).toBeLessThan(rate(0.036));
    expect(rate(0.036)).toBeLessThan(rate(0.03));
  });

  it('slows with weed on it, and the second of a pair in the wake of the first', () => {
    const buzz = plainBuzz();
    expect(rates(buzz, 'weed')[0]).toBeLessThan(rates(buzz)[0] ?? 0);
    const pair = edited(
      bait('buzzbait', ['delta-2-left-30-gold', 'bead-copper-4', 'delta-2-right-30-gold', 'rivet-alu-5']),
      { kind: 'carrier', changes: { armM: 0.06 } },
    );
    const [front = 0, rear = 0] = rates(pair);
    expect(rear).toBeLessThan(front);
    expect(rear).toBeGreaterThan(front * 0.5);
    for (const { stall } of stallSpeeds(pair.build, LAKE_WATER)) expect(stall.outcome).toBe('stalls');
  });
});

describe('the bearing behind a swivel', () => {
  const bearing = (id: string, condition: 'free' | 'gritty' | 'rusty') => {
    const lure = edited(plainBait('blade-colorado-k3', id), {
      kind: 'adjust',
      item: itemId('swivel-1'),
      changes: { state: { of: 'swivel', condition } },
    });
    const item = lure.build.items[itemId('swivel-1')];
    if (!item) throw new Error('a swivel is on');
    return swivelBearing(item).steadyTorqueNm;
  };

  it('grows with grit, rust and size, and asks nothing of what it cost', () => {
    for (const { id, barrelDiameterM } of partsOfKind('swivel')) {
      expect(bearing(id, 'gritty')).toBeGreaterThan(bearing(id, 'free') * 5);
      expect(bearing(id, 'rusty')).toBeGreaterThan(bearing(id, 'gritty') * 2);
      expect(bearing(id, 'free') / (barrelDiameterM / 0.004) ** 2).toBeCloseTo(3e-6, 12);
    }
    expect(() => swivelBearing({ ...bareItem(), part: part('bead-brass-4') })).toThrow(/not a swivel/);
  });

  function bareItem() {
    const item = plainBait().build.items[itemId('bead-1')];
    if (!item) throw new Error('a bead is on');
    return item;
  }
});
