import { describe, expect, it } from 'vitest';
import { demoLure, edited, itemId, on, part, plainSpinner, spinner } from '@/testing/lures';
import { DEMO_LURES } from '@/demo/scenario';
import { COEFFICIENT_SPREAD, referenceCoefficients, spinBlade } from '../hydro/spin-blade';
import { steadySpin } from '../hydro/spin';
import { LAKE_WATER, waterDensity } from '../hydro/water';
import { spinners, spinSeats } from '../lure/spin-seats';
import { predictSpin, type TurningPrediction } from './spin';

function turning(slug: string, speedMps: number): TurningPrediction {
  const at = predictSpin(demoLure(slug).build, LAKE_WATER, [speedMps]).blades[0]?.at[0];
  if (at?.outcome !== 'turning') throw new Error(`${slug} turns at ${speedMps} m/s`);
  return at;
}

/** Numbers in 0…1 from a seed (Park–Miller), the same on every machine. */
function seeded(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state * 48271) % 2147483647;
    return state / 2147483647;
  };
}

describe('one door', () => {
  it('answers for every speed in order, with bands that hold their value', () => {
    const speeds = [0, 0.5, 0.8, 1.5, 7];
    for (const { build } of DEMO_LURES) {
      const { blades } = predictSpin(build, LAKE_WATER, speeds);
      const turns = Object.values(build.items).filter(
        ({ part: { kind } }) => kind === 'blade' || kind === 'deltaBlade',
      );
      expect(blades).toHaveLength(turns.length);
      expect(blades[0]?.at.map(({ outcome }) => outcome)).toEqual([
        'doesNotTurn',
        'turning',
        'turning',
        'turning',
        'outsideModel',
      ]);
      for (const at of blades[0]?.at ?? []) {
        if (at.outcome !== 'turning') continue;
        // The lobes of a buzz blade stand square whatever the coefficients.
        const isFixed = at.spreadRad.value === Math.PI / 2;
        for (const band of isFixed ? [at.rateHz, at.dragN] : [at.rateHz, at.spreadRad, at.dragN]) {
          expect(band.low).toBeLessThan(band.value);
          expect(band.high).toBeGreaterThan(band.value);
          expect(band.low).toBeGreaterThanOrEqual(0);
        }
      }
    }
  });

  it.each(['hovna-lantern', 'mirrow-drum'])(
    'the bands of %s hold 85 to 100 %% of random draws of all three coefficients together',
    (slug) => {
      const { build } = demoLure(slug);
      const density = waterDensity(LAKE_WATER);
      const [seat] = spinSeats(build);
      const [spinner] = spinners(build, density);
      if (!seat || !spinner) throw new Error('a demo lure has a turning blade');
      const nominal = referenceCoefficients(seat.blade.pattern);
      const band = turning(slug, 0.8);
      const random = seeded(4711);
      // Uniform over ±20 % for each: the whole of the stated spread.
      const draw = (value: number) => value * (1 + COEFFICIENT_SPREAD * (2 * random() - 1));
      let [inRate, inDrag] = [0, 0];
      const draws = 400;
      for (let i = 0; i < draws; i++) {
        const coefficients = {
          setAngleRad: draw(nominal.setAngleRad),
          flapFactor: draw(nominal.flapFactor),
          edgeDrag: draw(nominal.edgeDrag),
        };
        const [outcome] = steadySpin(spinBlade(seat.blade, density, coefficients), spinner.bearing, density, [0.8]);
        if (outcome?.outcome !== 'turning') continue;
        if (outcome.rateHz >= band.rateHz.low && outcome.rateHz <= band.rateHz.high) inRate++;
        if (outcome.dragN >= band.dragN.low && outcome.dragN <= band.dragN.high) inDrag++;
      }
      expect(inRate / draws).toBeGreaterThan(0.85);
      expect(inDrag / draws).toBeGreaterThan(0.85);
      // And not so wide as to say nothing: the draws fill over half of the band.
      expect(band.rateHz.high / band.rateHz.low).toBeLessThan(2);
    },
  );

  it('two blades on one wire: the rear one turns slower in the wake, and catches up as it moves away', () => {
    const pair = (...between: string[]) =>
      spinner(
        ['clevis-folded-1', 'bead-brass-3', ...between, 'clevis-folded-1', 'weight-barrel-brass-5'],
        [
          ['blade-colorado-k2', on('clevis-1', 'hung')],
          ['blade-colorado-k2', on('clevis-2', 'hung')],
        ],
      );
    const rates = [pair(), pair(...Array.from({ length: 7 }, () => 'weight-barrel-brass-5'))].map(({ build }) =>
      predictSpin(build, LAKE_WATER, [0.8]).blades.map(({ at: [at] }) =>
        at?.outcome === 'turning' ? at.rateHz.value : 0,
      ),
    );
    const [close = [], far = []] = rates;
    expect(close[1] ?? 0).toBeLessThan(0.95 * (close[0] ?? 0));
    expect(far[1] ?? 0).toBeGreaterThan(close[1] ?? 0);
    expect(far[0]).toBeCloseTo(close[0] ?? 0, 9);
  });

  it('a lure without a turning blade predicts none, and a bare ring hung blade is not taken for one', () => {
    expect(predictSpin(spinner(['weight-barrel-brass-5']).build, LAKE_WATER, [0.8]).blades).toEqual([]);
    const lure = plainSpinner();
    const flasher = edited(
      lure,
      { kind: 'remove', items: [itemId('hook-1')] },
      { kind: 'reseat', item: itemId('blade-1'), seat: on('splitRing-1', 'hung') },
      { kind: 'swapPart', item: itemId('clevis-1'), part: part('clevis-folded-0') },
    );
    expect(predictSpin(flasher.build, LAKE_WATER, [0.8]).blades).toEqual([]);
  });
});
