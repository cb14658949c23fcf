import { describe, expect, it } from 'vitest';
import { edited, itemId, on, part, plainSpinner, spinner } from '@/testing/lures';
import { BLADE_PATTERNS, PATTERNS } from '../parts/blade-pattern';
import { measured, percent } from '@/testing/measured';
import { settledRate, slowStall } from '@/testing/slow-stall';
import { partsOfKind } from '../parts/catalogue';
import { bladeStrips } from '../parts/outline';
import { takeOff, threadParts } from '../lure/editing';
import type { Lure } from '../lure/lure';
import { spinners } from '../in-water/spinners';
import { keptAt } from '../predict/keeping';
import { turnAll } from '../predict/turned';
import { doesTurn, predictSpin } from '../predict/spin';
import { stallSpeeds } from '../predict/stalls';
import { ellipticE } from './elliptic';
import { filmBearing, filmSpinBlade } from './film-blade';
import { meanInTime, slowestInTime } from './in-time';
import { CARRIES, meanSpin, slowestKept, type Kept } from './round-the-turn';
import { steadySpin } from './spin';
import { GOOD_CLEVIS_BEARING, type SpinBlade } from './blade-loads';
import { referenceBlade, spinBlade, type MeasuredBlade } from './spin-blade';
import { LAKE_WATER, waterDensity } from './water';

const RHO = 998;
const LEVEL = { waterDensityKgM3: RHO, slopeRad: 0 };

function kept(found: Kept) {
  if (found.outcome !== 'keeps') throw new Error(`expected to keep turning: ${JSON.stringify(found)}`);
  return found;
}

const keptOf = (blade: MeasuredBlade, bearing = GOOD_CLEVIS_BEARING) =>
  kept(slowestKept(spinBlade(blade, RHO), bearing, RHO));

const likely = (blade: MeasuredBlade) => keptAt(keptOf(blade), 0);

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

describe('the slowest water that keeps a blade turning', () => {
  // Smaller ones, for trebles, keep turning slower yet, as the root of their length.
  const blades = partsOfKind('blade').filter(({ lengthM }) => lengthM >= 0.018);
  const pieces = blades.map((blade) => ({ id: blade.id, blade, spun: spinBlade(blade, RHO) }));

  it('of brass blades lies between 0.3 and 0.65 m/s with the flap held; as followed in time within an eighth', () => {
    let [worstHeld, worstFree] = [0, 0];
    for (const { id, blade, spun } of pieces) {
      const { heldMps, freeMps } = keptOf(blade);
      expect(heldMps, id).toBeGreaterThan(0.28);
      expect(heldMps, id).toBeLessThan(0.65);
      expect(freeMps, id).toBeGreaterThanOrEqual(heldMps);
      const [held, free] = [false, true].map((isFree) =>
        slowestInTime(spun, GOOD_CLEVIS_BEARING, LEVEL, isFree, freeMps),
      );
      worstHeld = Math.max(worstHeld, Math.abs(heldMps / (held ?? NaN) - 1));
      worstFree = Math.max(worstFree, Math.abs(freeMps / (free ?? NaN) - 1));
    }
    expect(worstHeld).toBeLessThan(0.125);
    expect(worstFree).toBeLessThan(0.125);
    measured(
      'Steady against time',
      'Slowest water that keeps a catalogue blade turning: formula against followed in time',
      `flap held within ${percent(worstHeld)}, free within ${percent(worstFree)}`,
      'within 12.5 %',
    );
  });

  it('holds still: a hundredth on sheet, cup or length moves it by less than two, on twist, flap or edge by little more', () => {
    let [worst, worstOfCoefficients, inTime] = [0, 0, 0];
    for (const { spun, blade } of pieces) {
      const at = keptOf(blade);
      const { coefficients } = spun;
      const near: SpinBlade[] = [
        spinBlade({ ...blade, thicknessM: blade.thicknessM * 1.01 }, RHO),
        spinBlade({ ...blade, cupDepthM: blade.cupDepthM * 1.01 }, RHO),
        spinBlade({ ...blade, lengthM: blade.lengthM * 1.01 }, RHO),
        ...(['setAngleRad', 'flapFactor', 'edgeDrag'] as const).map((key) => ({
          ...spun,
          coefficients: { ...coefficients, [key]: coefficients[key] * 1.01 },
        })),
      ];
      const moves = near.map((each) => {
        const moved = kept(slowestKept(each, GOOD_CLEVIS_BEARING, RHO));
        return Math.max(Math.abs(moved.heldMps / at.heldMps - 1), Math.abs(moved.freeMps / at.freeMps - 1));
      });
      worst = Math.max(worst, ...moves.slice(0, 3));
      worstOfCoefficients = Math.max(worstOfCoefficients, ...moves.slice(3));
    }
    for (const pattern of BLADE_PATTERNS) {
      const blade = referenceBlade(pattern);
      for (const isFree of [false, true]) {
        const of = (thicknessM: number) =>
          slowestInTime(spinBlade({ ...blade, thicknessM }, RHO), GOOD_CLEVIS_BEARING, LEVEL, isFree, 0.8) ?? NaN;
        const at = of(blade.thicknessM);
        for (const by of [0.99, 1.01]) inTime = Math.max(inTime, Math.abs(of(blade.thicknessM * by) / at - 1));
      }
    }
    expect(worst).toBeLessThan(0.02);
    expect(worstOfCoefficients).toBeLessThan(0.022);
    expect(inTime).toBeLessThan(0.02);
    measured(
      'Steady against time',
      'Slowest water when an input moves by 1 %: most it moves with sheet, cup, length; with a coefficient; followed in time with sheet',
      `${percent(worst)}; ${percent(worstOfCoefficients, 2)}; ${percent(inTime)}`,
      'within 2; 2.2; 2 %',
    );
  });

  it('an always-turning blade keeps on to lower speeds than any metal blade within a tenth of its length', () => {
    const pairs = pieces
      .filter(({ blade }) => blade.pattern === 'alwaysTurning')
      .flatMap(({ id, blade }) =>
        pieces
          .filter((other) => other.blade.pattern !== 'alwaysTurning')
          .filter((other) => Math.abs(other.blade.lengthM / blade.lengthM - 1) <= 0.1)
          .map((other) => ({ name: `${id}, ${other.id}`, less: likely(blade), more: likely(other.blade) })),
      );
    expect(pairs.length).toBeGreaterThan(6);
    for (const { name, less, more } of pairs) expect(less, name).toBeLessThan(more);
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
      return keptOf({ ...scaled(blade, by), ...hole }, bearing);
    };
    const [small, large] = [sized(0.7), sized(1.4)];
    expect(large.heldMps / small.heldMps).toBeCloseTo(Math.SQRT2, 1);
    expect(large.freeMps / small.freeMps).toBeCloseTo(Math.SQRT2, 1);
    expect(keptOf(scaled(blade, 1.4)).heldMps).toBeGreaterThan(keptOf(scaled(blade, 0.7)).heldMps * 1.1);
    const [thin, thick] = [0.8, 1.25].map((by) => keptOf({ ...blade, thicknessM: blade.thicknessM * by }));
    expect(Math.abs(Math.log((thick?.heldMps ?? 0) / (thin?.heldMps ?? 1)))).toBeLessThan(Math.log(1.2));
  });

  it.each(['french', 'colorado', 'indiana'] as const)(
    'a second implementation on a general ODE library stops %s at the same speeds, within four hundredths',
    (pattern) => {
      const blade = referenceBlade(pattern);
      const [held, free] = [false, true].map((isFree) => {
        const stops = slowestInTime(spinBlade(blade, RHO), GOOD_CLEVIS_BEARING, LEVEL, isFree, 0.6) ?? NaN;
        return Math.abs(Math.log(slowStall(blade, GOOD_CLEVIS_BEARING, RHO, isFree, stops) / stops));
      });
      expect(held).toBeLessThan(0.04);
      expect(free).toBeLessThan(0.04);
      measured(
        'Second implementations',
        `Where ${pattern} stops, on a general ODE library`,
        `flap held within ${percent(held ?? NaN)}, free within ${percent(free ?? NaN)}`,
        'within 4 %',
      );
    },
  );

  it('the mean rate said is that of the blade followed in time, wherever that keeps turning', () => {
    const speeds = [0.5, 0.6, 0.7, 0.8, 1, 1.3, 1.6];
    const off: { readonly name: string; readonly speed: number; readonly rate: number; readonly drag: number }[] = [];
    for (const pattern of BLADE_PATTERNS) {
      const spun = spinBlade(referenceBlade(pattern), RHO);
      for (const speed of speeds) {
        const mean = meanInTime(spun, GOOD_CLEVIS_BEARING, LEVEL, speed);
        const [said] = meanSpin(spun, GOOD_CLEVIS_BEARING, RHO, [speed]);
        if (!mean || said?.outcome !== 'turning') continue;
        off.push({
          name: `${pattern} at ${speed} m/s`,
          speed,
          rate: said.rateHz / mean.rateHz - 1,
          drag: said.dragN / mean.dragN - 1,
        });
      }
    }
    expect(off.length).toBeGreaterThan(34);
    const worst = (key: 'rate' | 'drag', from: number) =>
      off.filter(({ speed }) => speed >= from).toSorted((a, b) => Math.abs(b[key]) - Math.abs(a[key]))[0];
    for (const { name, rate } of off) expect(Math.abs(rate), name).toBeLessThan(0.08);
    expect(Math.abs(worst('rate', 1)?.rate ?? NaN)).toBeLessThan(0.03);
    for (const [key, what] of [
      ['rate', 'Rate'],
      ['drag', 'Drag'],
    ] as const) {
      const [all, fast] = [worst(key, 0), worst(key, 1)];
      measured(
        'Steady against time',
        `${what} on the mean, all patterns, 0.5 to 1.6 m/s, said against followed in time (${off.length} that keep turning)`,
        `within ${percent(Math.abs(all?.[key] ?? NaN))} (${all?.name ?? ''}); from 1 m/s up within ${percent(Math.abs(fast?.[key] ?? NaN))}`,
        key === 'rate' ? 'within 8 %, 3 % from 1 m/s up' : 'reported',
      );
    }
  });

  it('a turning blade carries about two thirds of its own weight, as followed in time', () => {
    const shares = BLADE_PATTERNS.flatMap((pattern) =>
      [0.8, 1, 1.3, 1.6].flatMap((speed) => {
        const spun = spinBlade(referenceBlade(pattern), RHO);
        const mean = meanInTime(spun, GOOD_CLEVIS_BEARING, LEVEL, speed);
        return mean ? [mean.liftN / spun.weightInWaterN] : [];
      }),
    );
    const [least, most] = [Math.min(...shares), Math.max(...shares)];
    expect(least).toBeGreaterThan(0.4);
    expect(most).toBeLessThan(0.9);
    measured(
      'Steady against time',
      `Share of its own weight that a turning blade carries, all patterns, 0.8 to 1.6 m/s (${shares.length})`,
      `${percent(least)} to ${percent(most)}`,
      `taken as ${percent(CARRIES)}`,
    );
  });

  it('on the same general ODE library the mean rate is that of the first implementation', () => {
    let worst = 0;
    for (const pattern of BLADE_PATTERNS) {
      const blade = referenceBlade(pattern);
      for (const speed of [1, 1.6]) {
        const mean = meanInTime(spinBlade(blade, RHO), GOOD_CLEVIS_BEARING, LEVEL, speed);
        if (!mean) continue;
        worst = Math.max(worst, Math.abs(settledRate(blade, GOOD_CLEVIS_BEARING, RHO, speed) / mean.rateHz - 1));
      }
    }
    expect(worst).toBeLessThan(0.02);
    measured(
      'Second implementations',
      'Mean rate at 1 and 1.6 m/s, all patterns, on a general ODE library',
      `within ${percent(worst)}`,
      'within 2 %',
    );
  });

  it('on a steep axle gravity pulls less across it: it keeps on to lower speeds', () => {
    const spun = spinBlade(referenceBlade('colorado'), RHO);
    const stops = (slopeRad: number) =>
      slowestInTime(spun, GOOD_CLEVIS_BEARING, { ...LEVEL, slopeRad }, false, 0.6) ?? NaN;
    expect(stops((60 * Math.PI) / 180)).toBeLessThan(stops(0) * 0.9);
  });

  it('does not hang on the number of strips', () => {
    const blade = referenceBlade('french');
    const fine = { ...spinBlade(blade, RHO), strips: bladeStrips(PATTERNS.french.outline, blade, 40) };
    const off = [false, true].map((isFree) => {
      const [a, b] = [fine, spinBlade(blade, RHO)].map((each) =>
        slowestInTime(each, GOOD_CLEVIS_BEARING, LEVEL, isFree, 0.6),
      );
      return Math.abs((a ?? NaN) / (b ?? NaN) - 1);
    });
    for (const each of off) expect(each).toBeLessThan(0.05);
    measured(
      'Meshes',
      'Where a French stops on 40 strips against 20',
      `flap held ${percent(off[0] ?? NaN, 1)} off, free ${percent(off[1] ?? NaN, 1)}`,
      'within 5 %',
    );
  });

  it('a blade that friction always holds does not turn; one without area is outside the model', () => {
    const blade = spinBlade(referenceBlade('french'), RHO);
    expect(slowestKept(blade, { ...GOOD_CLEVIS_BEARING, steadyTorqueNm: 1 }, RHO)).toEqual({ outcome: 'doesNotTurn' });
    expect(slowestKept({ ...blade, planAreaM2: 0 }, GOOD_CLEVIS_BEARING, RHO)).toMatchObject({
      outcome: 'outsideModel',
      quantity: 'planAreaM2',
    });
  });
});

describe('film blades', () => {
  const film = partsOfKind('filmBlade')[1];
  if (!film) throw new Error('the catalogue has film blades');
  const at = (foldDeg: number) =>
    kept(slowestKept(filmSpinBlade(film, (foldDeg * Math.PI) / 180, RHO), filmBearing(GOOD_CLEVIS_BEARING), RHO));

  it('start near 0.1 m/s open flat and 0.2 folded to 50°, rising with the fold', () => {
    expect(at(0).heldMps).toBeGreaterThan(0.08);
    expect(at(0).startsMps).toBeLessThan(0.13);
    expect(at(50).heldMps).toBeGreaterThan(0.16);
    expect(at(50).startsMps).toBeLessThan(0.25);
    const lows = [0, 15, 30, 45, 60].map((fold) => at(fold).heldMps);
    expect(lows).toEqual([...lows].sort((a, b) => a - b));
  });

  it('stall below every metal blade, and drag less when folded', () => {
    for (const blade of partsOfKind('blade')) expect(at(0).startsMps).toBeLessThan(keptOf(blade).heldMps);
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
    stallSpeeds(lure.build, LAKE_WATER, state).map(({ stall }) => {
      if (stall.outcome !== 'stalls') throw new Error('it keeps turning at some speed');
      return stall.keepsMps;
    });
  const rate = (lure: Lure, state?: 'weed' | 'crossedClevis') => {
    const [at] = predictSpin(lure.build, LAKE_WATER, [0.8], state).blades[0]?.at ?? [];
    return doesTurn(at) ? at : null;
  };
  const sound = plainSpinner();

  it('weed slows a blade and raises its stall; a crossed clevis does, and lets it out less', () => {
    const [clean] = stalls(sound);
    const [weedy] = stalls(sound, 'weed');
    expect(weedy?.value).toBeGreaterThan((clean?.value ?? 0) * 1.1);
    const [normal, weed, crossed] = [rate(sound), rate(sound, 'weed'), rate(sound, 'crossedClevis')];
    expect(weed?.rateHz.value).toBeLessThan(normal?.rateHz.value ?? 0);
    expect(crossed?.rateHz.value).not.toBe(normal?.rateHz.value);
    expect(crossed?.spreadRad.high).toBeLessThan(normal?.spreadRad.low ?? 0);
    expect(crossed?.dragN.value).toBeLessThan(normal?.dragN.value ?? 0);
  });

  /** On a level axle: what lies behind the clevis also changes how the lure hangs. */
  const levelRate = (lure: Lure) => {
    const [turned] = turnAll(spinners(lure.build, waterDensity(LAKE_WATER)), waterDensity(LAKE_WATER), [0.8]);
    const [at] = turned?.ifTurning ?? [];
    return at?.outcome === 'turning' ? at.rateHz : 0;
  };

  it('what the clevis bears on matters: glass before brass before lead and thread; a pinch most', () => {
    const behind = (id: string) => plainSpinner('blade-french-k2', [id, 'weight-barrel-brass-5']);
    const rates = ['bead-glass-3-amber', 'bead-brass-3', 'weight-egg-lead-7', 'dressing-squirrel'].map((id) =>
      levelRate(behind(id)),
    );
    expect(rates).toEqual([...rates].sort((a, b) => b - a));
    const pinched = edited(sound, { kind: 'carrier', changes: { freeRoomM: 0 } });
    expect(stalls(pinched)[0]?.value).toBeGreaterThan((stalls(sound)[0]?.value ?? 0) * 1.1);
    // A bead fore of the clevis takes no load.
    const fore = edited(sound, threadParts(sound.build, part('bead-glass-3-amber'), 0));
    expect(levelRate(fore)).toBe(levelRate(sound));
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

  it('two on one wire beat; the rear one stops sooner than alone', () => {
    const at = (beads: number) => {
      const { blades, beats } = predictSpin(tandem(beads).build, LAKE_WATER, [0.8]);
      const rear = blades[1]?.at[0];
      if (!doesTurn(rear)) throw new Error('the rear blade turns');
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
    expect(stalls(both)[1]?.value).toBeGreaterThan((stalls(alone)[0]?.value ?? 0) * 1.02);
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
