import { flashers } from '../geometry/flashers';
import { layOut } from '../geometry/layout';
import { describe, expect, it } from 'vitest';
import { demoLure, edited, itemId, on, part, plainSpinner, spinner } from '@/testing/lures';
import { DEMO_LURES } from '@/demo/scenario';
import { COEFFICIENT_SPREAD, referenceCoefficients, spinBlade } from '../hydro/spin-blade';
import { meanSpin } from '../hydro/round-the-turn';
import { LAKE_WATER, waterDensity } from '../hydro/water';
import { spinners } from '../in-water/spinners';
import { spinSeats } from '../geometry/seats';
import { predict } from './predict';
import { turnAll } from './turned';
import { doesTurn, predictSpin, type TurningPrediction } from './spin';

function turning(slug: string, speedMps: number): TurningPrediction {
  const at = predictSpin(demoLure(slug).build, LAKE_WATER, [speedMps]).blades[0]?.at[0];
  if (!doesTurn(at)) throw new Error(`${slug} turns at ${speedMps} m/s`);
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

const ORDER: readonly string[] = ['stopped', 'mayStop', 'turning'];

describe('one door', () => {
  it('answers for every speed in order, with bands that hold their value', () => {
    const speeds = [0, 0.5, 0.8, 1.5, 7];
    for (const { build } of DEMO_LURES) {
      const { blades } = predictSpin(build, LAKE_WATER, speeds);
      const under = new Set(flashers(build, layOut(build)).map(({ item }) => item.id));
      const turns = Object.values(build.items).filter(
        ({ id, part: { kind } }) =>
          !under.has(id) && (kind === 'blade' || kind === 'deltaBlade' || kind === 'filmBlade'),
      );
      if (turns.length === 0) continue;
      expect(blades).toHaveLength(turns.length);
      const [none, ...rest] = blades[0]?.at ?? [];
      expect(none).toMatchObject({ outcome: 'doesNotTurn', reason: 'noFlow' });
      expect(rest.at(-1)).toMatchObject({ outcome: 'outsideModel' });
      expect(rest.at(-2)).toMatchObject({ outcome: 'turning', chance: 1 });
      for (const at of rest) {
        if (!doesTurn(at)) continue;
        // The lobes of a delta blade stand square whatever the coefficients.
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
        const spun = spinBlade(seat.blade, density, coefficients);
        const [outcome] = meanSpin(spun, spinner.bearing, density, [band.localSpeedMps]);
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

  it('one answer at each speed: turning above the band of its stall, with a chance within it, stopped below', () => {
    let seen = 0;
    for (const { build } of DEMO_LURES) {
      const speeds = Array.from({ length: 36 }, (_, i) => 0.05 + 0.04 * i);
      const { blades, beats } = predictSpin(build, LAKE_WATER, speeds);
      const { rides } = predict(build, LAKE_WATER, speeds);
      for (const [i, { station, at, keeps }] of blades.entries()) {
        if (!keeps) throw new Error('a demo blade keeps turning at some speed');
        // Behind a blade that begins to turn the water is slower, so only of the first is it plain how they follow.
        const order = at.flatMap(({ outcome }) => (outcome === 'doesNotTurn' ? [] : [ORDER.indexOf(outcome)]));
        if (i === 0) expect(order).toEqual(order.toSorted((a, b) => a - b));
        const chances = at.flatMap((each) => (doesTurn(each) ? [each.chance] : []));
        if (i === 0) expect(chances).toEqual(chances.toSorted((a, b) => a - b));
        for (const each of at) {
          if (each.outcome === 'doesNotTurn') continue;
          if (each.outcome === 'stopped') expect(each.localSpeedMps).toBeLessThan(keeps.mps.low);
          else if (doesTurn(each)) {
            if (each.outcome === 'turning') expect(each.chance).toBe(1);
            else expect(Math.abs(each.chance - 0.5)).toBeLessThan(0.46);
            if (each.localSpeedMps >= keeps.mps.high) expect(each.outcome).toBe('turning');
          } else throw new Error(`${station}: ${each.outcome}`);
          seen++;
        }
        expect(keeps.startsMps).toBeGreaterThanOrEqual(keeps.mps.value);
      }
      speeds.forEach((_, i) => {
        const ride = rides[i];
        if (ride?.outcome !== 'rides') throw new Error('it rides');
        const all = blades.map(({ at }) => at[i]);
        if (all.every((each) => !doesTurn(each))) {
          expect(ride.said.thumpNs).toMatchObject({ value: 0, high: 0 });
          expect(ride.said.shakeM).toMatchObject({ value: 0, high: 0 });
        }
        // Where one may stop, what hangs on it reaches over both.
        if (all.length === 1 && all[0]?.outcome === 'mayStop') expect(ride.said.thumpNs?.low).toBe(0);
        for (const { at } of beats) if (at[i]) expect(all.filter((each) => doesTurn(each)).length).toBeGreaterThan(1);
      });
    }
    expect(seen).toBeGreaterThan(300);
  });

  it('two blades on one wire: the rear one turns slower in the wake, and catches up as it moves away', () => {
    const pair = (...between: string[]) =>
      spinner(
        ['clevis-folded-1', 'bead-brass-3', ...between, 'clevis-folded-1', 'weight-barrel-brass-5'],
        [
          ['blade-colorado-k2', on('clevis-1', 'hung')],
          ['blade-colorado-k2', on('clevis-2', 'hung')],
        ],
      );
    // On level axles: what stands between them also changes how the lure hangs.
    const density = waterDensity(LAKE_WATER);
    const rates = [pair(), pair(...Array.from({ length: 7 }, () => 'weight-barrel-brass-5'))].map(({ build }) =>
      turnAll(spinners(build, density), density, [0.8]).map(({ ifTurning: [at] }) =>
        at?.outcome === 'turning' ? at.rateHz : 0,
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
