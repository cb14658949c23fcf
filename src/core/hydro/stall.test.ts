import { describe, expect, it } from 'vitest';
import { edited, itemId, on, part, plainSpinner, spinner } from '@/testing/lures';
import { BLADE_PATTERNS, PATTERNS } from '../parts/blade-pattern';
import { measured, percent } from '@/testing/measured';
import { settledRate, slowStall } from '@/testing/slow-stall';
import { partsOfKind } from '../parts/catalogue';
import { bladeStrips } from '../parts/outline';
import { takeOff, threadParts } from '../lure/editing';
import type { Lure } from '../lure/lure';
import { predictSpin } from '../predict/spin';
import { stallSpeeds } from '../predict/stalls';
import { ellipticE } from './elliptic';
import { filmBearing, filmSpinBlade } from './film-blade';
import { GOOD_CLEVIS_BEARING, steadySpin } from './spin';
import { referenceBlade, spinBlade, type MeasuredBlade } from './spin-blade';
import { quickStall, stallSpeed, type Stall } from './stall';
import { LAKE_WATER } from './water';

const RHO = 998;
const LEVEL = { waterDensityKgM3: RHO, slopeRad: 0 };

function band(stall: Stall | undefined): { low: number; high: number } {
  if (stall?.outcome !== 'stalls') throw new Error(`expected to stall: ${JSON.stringify(stall)}`);
  return { low: stall.lowMps, high: stall.highMps };
}

const stallOf = (blade: MeasuredBlade, bearing = GOOD_CLEVIS_BEARING, setting = LEVEL) =>
  band(stallSpeed(spinBlade(blade, RHO), bearing, setting));

/** The blade with every length but its thickness and hole scaled. */
function scaled(blade: MeasuredBlade, by: number): MeasuredBlade {
  return { ...blade, lengthM: blade.lengthM * by, widthM: blade.widthM * by, cupDepthM: blade.cupDepthM * by };
}

describe('the complete elliptic integral of the second kind', () => {
  it.each([
    // Abramowitz & Stegun, table 17.1: E(m) at m = k².
    [0, Math.PI / 2],
    [0.25, 1.46746221],
    [0.5, 1.35064388],
    [0.81, 1.17169705],
    [1, 1],
  ])('at m = %d', (m, value) => {
    expect(ellipticE(Math.sqrt(m))).toBeCloseTo(value, 7);
  });

  it('names what it needs', () => {
    expect(() => ellipticE(1.2)).toThrow(/ellipticE: needs 0 ≤ k ≤ 1/);
  });
});

describe('stall speed', () => {
  const blades = partsOfKind('blade');

  it('of brass blades: a band whose lower edge lies about 0.3 to 0.55 m/s; the quick formula meets both edges', () => {
    for (const blade of blades) {
      const { low, high } = stallOf(blade);
      expect(low).toBeGreaterThan(0.28);
      expect(low).toBeLessThan(0.56);
      expect(high).toBeGreaterThan(low);
      const quick = quickStall(spinBlade(blade, RHO), GOOD_CLEVIS_BEARING, RHO);
      if (!quick) throw new Error('the quick formula has an answer where the model has one');
      expect(Math.abs(Math.log(quick.lowMps / low))).toBeLessThan(Math.log(1.15));
      expect(Math.abs(Math.log(quick.highMps / high))).toBeLessThan(Math.log(1.3));
    }
  });

  it('grows as the root of the size when all of it grows, and thickness matters little', () => {
    const blade = referenceBlade('indiana');
    const sized = (by: number) => {
      const { dropM, wireRadiusM, faceRadiusM } = GOOD_CLEVIS_BEARING;
      const bearing = {
        ...GOOD_CLEVIS_BEARING,
        dropM: dropM * by,
        wireRadiusM: wireRadiusM * by,
        faceRadiusM: faceRadiusM * by,
      };
      const hole = { thicknessM: blade.thicknessM * by, holeOffsetM: blade.holeOffsetM * by };
      return stallOf({ ...scaled(blade, by), ...hole }, bearing);
    };
    const [small, large] = [sized(0.7), sized(1.4)];
    expect(large.low / small.low).toBeCloseTo(Math.SQRT2, 1);
    expect(large.high / small.high).toBeCloseTo(Math.SQRT2, 1);
    expect(stallOf(scaled(blade, 1.4)).low).toBeGreaterThan(stallOf(scaled(blade, 0.7)).low * 1.1);
    const [thin, thick] = [0.8, 1.25].map((by) => stallOf({ ...blade, thicknessM: blade.thicknessM * by }));
    expect(Math.abs(Math.log((thick?.low ?? 0) / (thin?.low ?? 1)))).toBeLessThan(Math.log(1.2));
  });

  it.each(['french', 'colorado', 'indiana'] as const)(
    'a second implementation on a general ODE library finds the same band for %s, within four hundredths',
    (pattern) => {
      const blade = referenceBlade(pattern);
      const { low, high } = stallOf(blade);
      const [frozen, free] = [[false, low] as const, [true, high] as const].map(([isFree, edge]) =>
        Math.abs(Math.log(slowStall(blade, GOOD_CLEVIS_BEARING, RHO, isFree) / edge)),
      );
      expect(frozen).toBeLessThan(0.04);
      expect(free).toBeLessThan(0.04);
      measured(
        'Second implementations',
        `Stall band of ${pattern} on a general ODE library`,
        `lower edge within ${percent(frozen ?? NaN)}, upper within ${percent(free ?? NaN)}`,
        'within 4 %',
      );
    },
  );

  it('well above its stall a blade followed in time settles on the rate of the steady state', () => {
    let worst = 0;
    for (const pattern of BLADE_PATTERNS) {
      const blade = referenceBlade(pattern);
      const [steady] = steadySpin(spinBlade(blade, RHO), GOOD_CLEVIS_BEARING, RHO, [1.6]);
      if (steady?.outcome !== 'turning') throw new Error(`${pattern} turns at 1.6 m/s`);
      worst = Math.max(worst, Math.abs(settledRate(blade, GOOD_CLEVIS_BEARING, RHO, 1.6) / steady.rateHz - 1));
    }
    expect(worst).toBeLessThan(0.06);
    measured(
      'Steady against time',
      'Rate at 1.6 m/s, all patterns: followed in time with flap and gravity, on a general ODE library, against steady',
      `within ${percent(worst)}`,
      'within 6 %',
    );
  });

  it('on a steep axle gravity pulls less across it: the lower edge falls', () => {
    const blade = referenceBlade('colorado');
    const steep = stallOf(blade, GOOD_CLEVIS_BEARING, { ...LEVEL, slopeRad: (60 * Math.PI) / 180 });
    expect(steep.low).toBeLessThan(stallOf(blade).low * 0.9);
  });

  it('does not hang on the number of strips', () => {
    const blade = referenceBlade('french');
    const strips = bladeStrips(PATTERNS.french.outline, blade, 40);
    const fine = band(stallSpeed({ ...spinBlade(blade, RHO), strips }, GOOD_CLEVIS_BEARING, LEVEL));
    expect(fine.low / stallOf(blade).low).toBeCloseTo(1, 1);
    expect(fine.high / stallOf(blade).high).toBeCloseTo(1, 1);
    measured(
      'Meshes',
      'Stall band on 40 strips against 20',
      `lower edge ${percent(Math.abs(fine.low / stallOf(blade).low - 1), 1)} off, upper ${percent(Math.abs(fine.high / stallOf(blade).high - 1), 1)}`,
      'within 5 %',
    );
  });

  it('a blade that friction always holds does not turn; one without area is outside the model', () => {
    const blade = spinBlade(referenceBlade('french'), RHO);
    expect(stallSpeed(blade, { ...GOOD_CLEVIS_BEARING, steadyTorqueNm: 1 }, LEVEL)).toEqual({ outcome: 'doesNotTurn' });
    expect(stallSpeed({ ...blade, planAreaM2: 0 }, GOOD_CLEVIS_BEARING, LEVEL)).toMatchObject({
      outcome: 'outsideModel',
      quantity: 'planAreaM2',
    });
  });
});

describe('film blades', () => {
  const film = partsOfKind('filmBlade')[1];
  if (!film) throw new Error('the catalogue has film blades');
  const at = (foldDeg: number) =>
    band(stallSpeed(filmSpinBlade(film, (foldDeg * Math.PI) / 180, RHO), filmBearing(GOOD_CLEVIS_BEARING), LEVEL));

  it('start near 0.1 m/s open flat and 0.2 folded to 50°, rising with the fold', () => {
    expect(at(0).low).toBeGreaterThan(0.08);
    expect(at(0).high).toBeLessThan(0.13);
    expect(at(50).low).toBeGreaterThan(0.16);
    expect(at(50).high).toBeLessThan(0.25);
    const lows = [0, 15, 30, 45, 60].map((fold) => at(fold).low);
    expect(lows).toEqual([...lows].sort((a, b) => a - b));
  });

  it('stall below every metal blade, and drag less when folded', () => {
    for (const blade of partsOfKind('blade')) expect(at(0).high).toBeLessThan(stallOf(blade).low);
    const drag = (foldRad: number) => {
      const [at08] = steadySpin(filmSpinBlade(film, foldRad, RHO), filmBearing(GOOD_CLEVIS_BEARING), RHO, [0.8]);
      if (at08?.outcome !== 'turning') throw new Error('a film turns at 0.8 m/s');
      return at08.dragN;
    };
    expect(drag(0.87)).toBeLessThan(drag(0));
  });
});

describe('on a lure', () => {
  const stalls = (lure: Lure, state?: 'weed' | 'crossedClevis') =>
    stallSpeeds(lure.build, LAKE_WATER, state).map(({ stall }) => band(stall));
  const rate = (lure: Lure, state?: 'weed' | 'crossedClevis') => {
    const [at] = predictSpin(lure.build, LAKE_WATER, [0.8], state).blades[0]?.at ?? [];
    return at?.outcome === 'turning' ? at : null;
  };
  const sound = plainSpinner();

  it('weed slows a blade and raises its stall; a crossed clevis does, and lets it out less', () => {
    const [clean] = stalls(sound);
    const [weedy] = stalls(sound, 'weed');
    expect(weedy?.low).toBeGreaterThan((clean?.low ?? 0) * 1.1);
    const [normal, weed, crossed] = [rate(sound), rate(sound, 'weed'), rate(sound, 'crossedClevis')];
    expect(weed?.rateHz.value).toBeLessThan(normal?.rateHz.value ?? 0);
    expect(crossed?.rateHz.value).not.toBe(normal?.rateHz.value);
    expect(crossed?.spreadRad.high).toBeLessThan(normal?.spreadRad.low ?? 0);
    expect(crossed?.dragN.value).toBeLessThan(normal?.dragN.value ?? 0);
  });

  it('what the clevis bears on matters: glass before brass before lead and thread; a pinch most', () => {
    const behind = (id: string) => plainSpinner('blade-french-k2', [id, 'weight-barrel-brass-5']);
    const rates = ['bead-glass-3-amber', 'bead-brass-3', 'weight-egg-lead-7', 'dressing-squirrel'].map(
      (id) => rate(behind(id))?.rateHz.value ?? 0,
    );
    expect(rates).toEqual([...rates].sort((a, b) => b - a));
    const pinched = edited(sound, { kind: 'carrier', changes: { freeRoomM: 0 } });
    expect(stalls(pinched)[0]?.low).toBeGreaterThan((stalls(sound)[0]?.low ?? 0) * 1.1);
    // A bead fore of the clevis takes no load.
    const fore = edited(sound, threadParts(sound.build, part('bead-glass-3-amber'), 0));
    expect(rate(fore)?.rateHz.value).toBe(rate(sound)?.rateHz.value);
  });

  function tandem(beads: number): Lure {
    const between = Array.from({ length: beads }, () => 'bead-brass-4');
    return spinner(
      ['clevis-folded-1', ...between, 'clevis-folded-1', 'bead-brass-3', 'weight-barrel-brass-8'],
      [
        ['blade-french-k2', on('clevis-1', 'hung')],
        ['blade-colorado-k3', on('clevis-2', 'hung')],
      ],
    );
  }

  it('two on one wire beat; the rear one stalls sooner than alone', () => {
    const at = (beads: number) => {
      const { blades, beats } = predictSpin(tandem(beads).build, LAKE_WATER, [0.8]);
      const rear = blades[1]?.at[0];
      if (rear?.outcome !== 'turning') throw new Error('the rear blade turns');
      const beat = beats[0]?.at[0];
      if (!beat) throw new Error('two free blades beat');
      expect(beat.low).toBeLessThanOrEqual(beat.value);
      expect(beat.high).toBeGreaterThanOrEqual(beat.value);
      return { rear: rear.rateHz.value, beat: beat.value };
    };
    const [near, far] = [at(8), at(24)];
    expect(near.rear).not.toBeCloseTo(far.rear, 2);
    expect(near.beat).not.toBeCloseTo(far.beat, 2);
    const both = tandem(12);
    const alone = edited(both, takeOff(both.build, itemId('blade-1')));
    expect(stalls(both)[1]?.low).toBeGreaterThan((stalls(alone)[0]?.low ?? 0) * 1.02);
  });

  it('two on stacked clevises go round together and have no beat', () => {
    const apart = spinner(
      ['clevis-folded-wide', 'clevis-folded-0', 'bead-brass-3', 'weight-barrel-brass-8'],
      [
        ['blade-french-k2', on('clevis-1', 'hung')],
        ['blade-french-k1', on('clevis-2', 'hung')],
      ],
    );
    expect(predictSpin(apart.build, LAKE_WATER, [0.8]).beats).toHaveLength(1);
    const nested = edited(apart, { kind: 'move', from: 1, to: 3 });
    expect(predictSpin(nested.build, LAKE_WATER, [0.8]).beats).toEqual([]);
  });
});
