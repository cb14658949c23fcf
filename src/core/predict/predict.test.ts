import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anyDressedLure } from '@/testing/any-lure';
import {
  bentAt,
  demoLure,
  edited,
  itemId,
  on,
  plainBait,
  plainBuzz,
  plainSpinner,
  spinner,
  withHead,
} from '@/testing/lures';
import { figures, measured, percent } from '@/testing/measured';
import { normals, seeded } from '@/testing/seeded';
import { DEMO_LURES } from '@/demo/scenario';
import { fishingLine, USUAL_OUTFIT, type Outfit } from '../hydro/outfit';
import { shakeOfArm } from '../hydro/arm-shake';
import { steadySpin } from '../hydro/spin';
import { GOOD_CLEVIS_BEARING } from '../hydro/blade-loads';
import { referenceBlade, spinBlade } from '../hydro/spin-blade';
import { lineShapes } from '../hydro/towed-line';
import { sumsOf, trimOf } from '../hydro/trim';
import { LAKE_WATER } from '../hydro/water';
import { seatPart } from '../lure/editing';
import type { Lure } from '../lure/lure';
import { partsOfKind } from '../parts/catalogue';
import { HALF_WIDTHS_A_SIGMA, type Banded } from './band';
import { crossingsOf, GRID_MPS } from './crossings';
import { coefficientsAt, factorsOf, sharedAt } from './factors';
import { axleCosines } from './inclined';
import { LURE_OUTPUTS, outputsOf, lureOutput, RIDE_OUTPUTS, type LureOutput, type RideOutput } from './outputs';
import { predict, type Prediction, type RidePrediction } from './predict';
import { rideAt } from './ride';
import { lureInWater } from './lure-in-water';
import { scaledTo } from './scaled-lure';
import { outcomesAt, turnAll } from './turned';

function ridden(prediction: Prediction, at = 0): Extract<RidePrediction, { outcome: 'rides' }> {
  const ride = prediction.rides[at];
  if (ride?.outcome !== 'rides') throw new Error(`it rides: ${JSON.stringify(ride)}`);
  return ride;
}

const said = (lure: Lure, key: RideOutput, speedMps = 0.8, outfit: Outfit = USUAL_OUTFIT) =>
  ridden(predict(lure.build, LAKE_WATER, [speedMps], { outfit })).said[key]?.value ?? NaN;

function expectBand(band: Banded, name: string) {
  expect(Number.isFinite(band.value + band.low + band.high), name).toBe(true);
  expect(band.low, name).toBeLessThanOrEqual(band.value);
  expect(band.high, name).toBeGreaterThanOrEqual(band.value);
}

describe('one door', () => {
  it('says all of any lure that can be reached, with bands that hold their value, or names why not', () => {
    let [rode, outside] = [0, 0];
    fc.assert(
      fc.property(anyDressedLure(), fc.double({ min: 0, max: 7, noNaN: true }), (lure, speedMps) => {
        const {
          rides: [ride],
          lure: once,
        } = predict(lure.build, LAKE_WATER, [speedMps]);
        for (const key of LURE_OUTPUTS) if (once[key]) expectBand(once[key], key);
        if (ride?.outcome !== 'rides') {
          expect(ride?.outcome).toBe('outsideModel');
          outside++;
          return;
        }
        rode++;
        for (const key of RIDE_OUTPUTS) {
          const band = ride.said[key];
          if (band) expectBand(band, `${key} of ${lure.name} at ${speedMps}`);
        }
        for (const { xM, yM, zM } of Object.values(ride.centres)) expect(Number.isFinite(xM + yM + zM)).toBe(true);
      }),
      { seed: 61, numRuns: 60 },
    );
    expect(rode).toBeGreaterThan(25);
    expect(outside).toBeGreaterThan(5);
    measured(
      'Any lure',
      'Random lures over the whole catalogue at 0 to 7 m/s',
      `${rode} said in full, finite; ${outside} with a named outcome`,
      'nothing else',
    );
  });

  it('the bands hold nine in ten of random draws of all factors together, linearised against sampled', () => {
    const rows: string[] = [];
    for (const slug of ['torvane-lanes', 'mirrow-drum', 'lommer-clapper', 'suvra-needle']) {
      const { build } = demoLure(slug);
      const prediction = predict(build, LAKE_WATER, [0.9]);
      const inWater = lureInWater(build, LAKE_WATER, USUAL_OUTFIT);
      const factors = factorsOf(inWater.spinners.map(({ station }) => station));
      const normal = normals(seeded(20_261));
      const draws = 200;
      const speeds = [0.9, ...GRID_MPS];
      const axleCos = axleCosines(inWater, speeds);
      const inside = new Map<string, number>();
      for (let n = 0; n < draws; n++) {
        const at = factors.map(() => normal() / HALF_WIDTHS_A_SIGMA);
        const turned = turnAll(inWater.spinners, inWater.rho, speeds, {
          axleCos,
          coefficients: inWater.spinners.map(({ nominal, station }) => coefficientsAt(nominal, station, factors, at)),
        });
        const scaled = scaledTo(inWater, sharedAt(factors, at));
        const one = { scaled, turned, crossings: crossingsOf(inWater, scaled, turned, 1) };
        const values: Record<string, number | null> = {
          ...outputsOf(rideAt(inWater, scaled, outcomesAt(turned, 0), 0.9, [USUAL_OUTFIT.lineOutM]), one, true, 10),
          ...Object.fromEntries(LURE_OUTPUTS.map((key) => [key, lureOutput(one, key)])),
        };
        for (const [key, value] of Object.entries(values)) {
          const band = ridden(prediction).said[key as RideOutput] ?? prediction.lure[key as LureOutput];
          // A side that has no spread at all says nothing of the draws.
          if (!band || band.high - band.low < 1e-9) continue;
          // A blade that stopped makes no thump: as low as can be.
          const held = value !== null && value >= band.low - 1e-9 && value <= band.high + 1e-9;
          inside.set(key, (inside.get(key) ?? 0) + (held ? 1 : 0));
        }
      }
      expect(inside.size).toBeGreaterThan(8);
      for (const [key, count] of inside) {
        expect(count / draws, `${key} of ${slug}`).toBeGreaterThan(0.78);
        rows.push(`${percent(count / draws)} ${key}`);
      }
      const mean = [...inside.values()].reduce((sum, each) => sum + each, 0) / inside.size / draws;
      expect(mean).toBeGreaterThan(0.86);
      expect(mean).toBeLessThan(0.97);
      measured(
        'Bands and readings',
        `Share of 200 random draws inside the bands of ${slug}, mean over ${inside.size} outputs`,
        percent(mean),
        '86 to 97 %, each above 78 %',
      );
    }
  });

  it('names the speed it does not cover, and its limit', () => {
    const { build } = demoLure('hovna-lantern');
    expect(predict(build, LAKE_WATER, [-1, 5.5, NaN]).rides).toEqual([
      { outcome: 'outsideModel', quantity: 'speedMps', value: -1, limit: 0 },
      { outcome: 'outsideModel', quantity: 'speedMps', value: 5.5, limit: 5 },
      { outcome: 'outsideModel', quantity: 'speedMps', value: 0, limit: 0 },
    ]);
  });

  it('a lure without a blade rides and does not shake; one held by rust hangs its blade and says so', () => {
    const bare = spinner(['weight-barrel-brass-5']);
    const none = predict(bare.build, LAKE_WATER, [0.8]);
    expect(none.spin.blades).toEqual([]);
    expect(ridden(none).said.pulseN).toMatchObject({ value: 0, low: 0, high: 0 });
    expect(ridden(none).said.depthM?.value).toBeGreaterThan(0.3);
    const rusty = edited(plainBait('blade-french-k1'), {
      kind: 'adjust',
      item: itemId('swivel-1'),
      changes: { state: { of: 'swivel', condition: 'rusty' } },
    });
    const held = predict(rusty.build, LAKE_WATER, [0.3]);
    expect(held.spin.blades[0]?.at[0]).toEqual({ outcome: 'doesNotTurn', reason: 'frictionHoldsIt' });
    expect(ridden(held).said.dragN?.value).toBeGreaterThan(0);
  });

  it('an arm of no known wire, or thicker than its bend, has no shake; the limit is named', () => {
    const { carrier } = plainBait().build;
    const wired = (wire: Partial<typeof carrier.wire>) =>
      predict(
        edited(plainBait(), { kind: 'carrier', changes: { wire: { ...carrier.wire, ...wire } } }).build,
        LAKE_WATER,
        [0.8],
      );
    const aluminium = wired({ material: 'aluminium' });
    expect(aluminium.arm).toEqual({
      outcome: 'outsideModel',
      quantity: 'wireMaterial',
      value: 'aluminium',
      limit: ['stainless', 'springSteel', 'brass'],
    });
    expect(ridden(aluminium).said.shakeM).toBeNull();
    expect(ridden(aluminium).said.depthM?.value).toBeGreaterThan(0);
    expect(aluminium.lure.armHz).toBeNull();
    const thick = wired({ diameterM: 0.0079 });
    expect(thick.arm).toMatchObject({ outcome: 'outsideModel', quantity: 'bendDiameterM', limit: 0.0079 });
    expect(ridden(thick).said.pulseN).toBeNull();
  });

  it('what has happened to the blades is in it: weed, a crossed clevis, a lost gap', () => {
    const lure = spinner(
      ['clevis-folded-1', 'bead-brass-4', 'bead-brass-4', 'bead-brass-4', 'clevis-folded-1', 'weight-barrel-brass-8'],
      [
        ['blade-french-k2', on('clevis-1', 'hung')],
        ['blade-french-k2', on('clevis-2', 'hung')],
      ],
    );
    const rates = (state: 'clean' | 'weed' | 'crossedClevis' | 'collapsedGap') =>
      predict(lure.build, LAKE_WATER, [0.8], { state }).spin.blades.map(({ at: [at] }) =>
        at?.outcome === 'turning' ? at.rateHz.value : 0,
      );
    const [clean, weed, lost] = [rates('clean'), rates('weed'), rates('collapsedGap')];
    expect(weed[0]).toBeLessThan(clean[0] ?? 0);
    // The front one is pinched; the rear one stands right in its wake.
    expect(lost[0]).toBeLessThan(clean[0] ?? 0);
    expect(lost[1]).not.toBeCloseTo(clean[1] ?? 0, 2);
    expect(rates('crossedClevis')[0]).not.toBeCloseTo(clean[0] ?? 0, 2);
  });
});

describe('limits and identities', () => {
  /** The lure seen in a mirror: every bend to the other side, every surface blade of the other hand. */
  function mirrored(lure: Lure): Lure {
    const { carrier, items } = lure.build;
    return {
      ...lure,
      build: {
        ...lure.build,
        carrier:
          carrier.kind === 'bentWire'
            ? {
                ...carrier,
                sections: carrier.sections.map((each) =>
                  each.section === 'bend' ? { ...each, sideRad: -each.sideRad } : each,
                ),
              }
            : carrier,
        items: Object.fromEntries(
          Object.values(items).map((item) => [
            item.id,
            item.part.kind === 'deltaBlade'
              ? { ...item, part: { ...item.part, hand: item.part.hand === 'left' ? 'right' : 'left' } }
              : item,
          ]),
        ),
      },
    };
  }

  it('a mirror image leans, turns aside and pulls as far to the other side, and is else the same', () => {
    const TURNED: ReadonlySet<RideOutput> = new Set(['leanRad', 'yawRad', 'sidePullRad', 'aimOffM']);
    let [compared, aside] = [0, 0];
    fc.assert(
      fc.property(
        anyDressedLure(),
        fc.double({ min: -0.3, max: 0.3, noNaN: true }),
        fc.double({ min: 0.3, max: 2, noNaN: true }),
        (start, sideRad, speedMps) => {
          const lure = start.build.carrier.kind === 'bentWire' ? bentAt(start, 1, { sideRad }) : start;
          const [one, other] = [lure, mirrored(lure)].map(({ build }) => predict(build, LAKE_WATER, [speedMps]));
          if (one?.rides[0]?.outcome !== 'rides') return;
          const [as, seen] = [ridden(one).said, ridden(other as Prediction).said];
          for (const key of RIDE_OUTPUTS) {
            const [a, b] = [as[key]?.value ?? 0, seen[key]?.value ?? 0];
            expect(b, key).toBeCloseTo(TURNED.has(key) ? -a : a, 8);
            compared++;
            if (TURNED.has(key) && Math.abs(a) > 1e-4) aside++;
          }
        },
      ),
      { seed: 17, numRuns: 50 },
    );
    expect(aside).toBeGreaterThan(20);
    measured(
      'Limits and identities',
      'Mirror image of random lures over the whole catalogue: lean, yaw and pull aside turned round, all else the same',
      `${compared} figures, ${aside} of them to a side`,
      'to eight places',
    );
  });

  it('does not hang on the units it is told in: in other units of length, time and mass all follow', () => {
    const blade = spinBlade(referenceBlade('indiana'), 998);
    const line = { ...fishingLine(USUAL_OUTFIT.line), densityKgM3: 998, viscosityM2S: null };
    const arm = { youngPa: 193e9, wireM: 0.0009, lengthM: 0.06, bendWireM: 0.008, tipMassKg: 0.0035 };
    const sums = lureInWater(demoLure('torvane-lanes').build, LAKE_WATER, USUAL_OUTFIT).bodies;
    // One of the new units is so much of the old: a length is told as a times as many, and so on.
    const told = (a: number, t: number, m: number) => {
      const [speed, force, rho] = [a / t, (m * a) / t ** 2, m / a ** 3];
      const { strips } = blade;
      const by = (values: Float64Array, factor: number) => values.map((each) => each * factor);
      const [spun] = steadySpin(
        {
          ...blade,
          strips: {
            ...strips,
            armM: by(strips.armM, a),
            areaM2: by(strips.areaM2, a * a),
            hollowM: by(strips.hollowM, a),
            chordM: by(strips.chordM, a),
          },
          lengthM: blade.lengthM * a,
          planAreaM2: blade.planAreaM2 * a * a,
          sheetMassKgM2: (blade.sheetMassKgM2 * m) / a ** 2,
          reachM: blade.reachM * a,
          weightInWaterN: blade.weightInWaterN * force,
        },
        {
          ...GOOD_CLEVIS_BEARING,
          dropM: 0.002 * a,
          wireRadiusM: 0.00045 * a,
          faceRadiusM: 0.001 * a,
          steadyTorqueNm: 1e-5 * force * a,
        },
        998 * rho,
        [0.7 * speed],
      );
      const [shape] = lineShapes(
        { ...line, diameterM: line.diameterM * a, densityKgM3: 998 * rho },
        { aftN: 0.2 * force, downN: 0.1 * force },
        { waterDensityKgM3: 998 * rho, speedMps: 0.7 * speed, tipHeightM: a },
        [15 * a],
      );
      const shake = shakeOfArm(
        {
          youngPa: (arm.youngPa * force) / a ** 2,
          wireM: arm.wireM * a,
          lengthM: arm.lengthM * a,
          bendWireM: arm.bendWireM * a,
          tipMassKg: arm.tipMassKg * m,
        },
        0.05 * force,
        7 / t,
        0.03 * force,
        0.7 * speed,
      );
      const raw = sumsOf(sums, 998);
      const scaled = (sum: { all: number; x: number; y: number }, f: number) => ({
        all: sum.all * f,
        x: sum.x * f * a,
        y: sum.y * f * a,
      });
      const trim = trimOf(
        {
          weightN: scaled(raw.weightN, force),
          axialM2: scaled(raw.axialM2, a * a),
          // Strands bend at a speed that is their own, so they are left out here.
          strandM2: { all: 0, x: 0, y: 0 },
          sideM2: scaled(raw.sideM2, a * a),
          slopeM2: scaled(raw.slopeM2, a * a),
        },
        [{ xM: 0.05 * a, yM: 0.03 * a, dragN: 0.1 * force, axleRad: 0.3, towardsStream: 0.5, carriesN: 0.01 * force }],
        998 * rho,
        0.7 * speed,
      );
      if (spun?.outcome !== 'turning' || shape?.outcome !== 'sinks') throw new Error('it turns and sinks');
      return [
        spun.rateHz * t,
        spun.dragN / force,
        spun.spreadRad,
        shape.depthM / a,
        shake.amplitudeM / a,
        shake.pulseN / force,
        trim.pitchRad,
        trim.dragN / force,
      ];
    };
    const plain = told(1, 1, 1);
    let worst = 0;
    for (const units of [told(2.5, 1.7, 3), told(0.4, 0.6, 0.2), told(1, 2, 1), told(1.3, 1, 7)]) {
      units.forEach((each, i) => (worst = Math.max(worst, Math.abs(each / (plain[i] ?? NaN) - 1))));
    }
    expect(worst).toBeLessThan(1e-6);
    measured(
      'Limits and identities',
      'Told in four other systems of units: worst change of rate, drag, spread, depth, shake, thump, pitch',
      figures(worst, 1),
      'below 1e-6',
    );
  });

  it('falls monotone where it must: depth with speed and line diameter, rises with line out and salt water floats more', () => {
    for (const lure of DEMO_LURES) {
      const bySpeed = [0.4, 0.6, 0.8, 1, 1.3].map((speed) => said(lure, 'depthM', speed));
      expect(bySpeed, lure.name).toEqual(bySpeed.toSorted((a, b) => b - a));
      const byLine = [6, 10, 16, 25].map((lineOutM) => said(lure, 'depthM', 0.6, { ...USUAL_OUTFIT, lineOutM }));
      expect(byLine, lure.name).toEqual(byLine.toSorted((a, b) => a - b));
      const byThickness = [0.0001, 0.0002, 0.0004].map((diameterM) =>
        said(lure, 'depthM', 0.6, { ...USUAL_OUTFIT, line: { kind: 'braid', diameterM } }),
      );
      expect(byThickness, lure.name).toEqual(byThickness.toSorted((a, b) => b - a));
      const sinking = [0, 7, 35].map(
        (salinityGPerKg) => predict(lure.build, { ...LAKE_WATER, salinityGPerKg }, []).lure.sinkingN?.value ?? NaN,
      );
      expect(sinking).toEqual(sinking.toSorted((a, b) => b - a));
    }
    measured(
      'Any lure',
      'Depth of every demo lure falls with speed and thicker line, rises with line out; weight falls with salt',
      `${DEMO_LURES.length} lures`,
      'all',
    );
  });

  it('drag power is never less than what the bearings take', () => {
    let least = Infinity;
    for (const { build } of DEMO_LURES) {
      const inWater = lureInWater(build, LAKE_WATER, USUAL_OUTFIT);
      for (const { outcomes } of turnAll(inWater.spinners, inWater.rho, [0.5, 0.8, 1.4])) {
        outcomes.forEach((outcome, i) => {
          if (outcome.outcome !== 'turning') return;
          const paid = outcome.dragN * ([0.5, 0.8, 1.4][i] ?? 0);
          least = Math.min(least, paid / (2 * Math.PI * outcome.rateHz * outcome.frictionTorqueNm));
        });
      }
    }
    expect(least).toBeGreaterThan(1);
    measured(
      'Limits and identities',
      'Drag power over friction power, least of all demo blades',
      figures(least),
      'above 1',
    );
  });
});

it('two fifths more rub slows a demo blade by less than 5 hundredths at 0.5 m/s, 2.5 at 0.8', () => {
  const slowed = (speedMps: number) =>
    Math.max(
      ...DEMO_LURES.flatMap(({ build }) => {
        const { spinners, rho } = lureInWater(build, LAKE_WATER, USUAL_OUTFIT);
        return spinners.map(({ blade, nominal, bearing }) => {
          const rate = (by: number) => {
            const { friction, faceFriction, steadyTorqueNm } = bearing;
            const rubbing = {
              ...bearing,
              friction: friction * by,
              faceFriction: faceFriction * by,
              steadyTorqueNm: steadyTorqueNm * by,
            };
            const [at] = steadySpin(blade(nominal), rubbing, rho, [speedMps]);
            return at?.outcome === 'turning' ? at.rateHz : 0;
          };
          return 1 - rate(1.4) / rate(1);
        });
      }),
    );
  expect(slowed(0.5)).toBeLessThan(0.05);
  expect(slowed(0.8)).toBeLessThan(0.025);
  measured(
    'Bands and readings',
    'Two fifths more rub than estimated, which the rate’s band leaves out: most it slows a demo blade',
    `${percent(slowed(0.5), 2)} at 0.5 m/s, ${percent(slowed(0.8), 2)} at 0.8`,
    'below 5 and 2.5 %',
  );
});

describe('at the surface, and in the line', () => {
  it('at its surface speed the line just lifts it to the tip’s angle; slower it runs sunk, faster at the surface', () => {
    for (const lure of DEMO_LURES) {
      const surface = predict(lure.build, LAKE_WATER, []).lure.surfaceMps;
      if (!surface || surface.value > 4) continue;
      expect(ridden(predict(lure.build, LAKE_WATER, [surface.value * 1.03])).line, lure.name).not.toBe('sinks');
      const slower = ridden(predict(lure.build, LAKE_WATER, [surface.value * 0.97]));
      expect(['sinks', 'planes'], lure.name).toContain(slower.line);
    }
  });

  it('a buzzbait planes from a speed that its weight sets; heavier needs more', () => {
    const planing = (lure: Lure) => predict(lure.build, LAKE_WATER, []).lure.planingMps?.value ?? NaN;
    const light = plainBuzz();
    const heavy = withHead(light, 1.5);
    expect(planing(light)).toBeGreaterThan(0.3);
    expect(planing(light)).toBeLessThan(1.2);
    expect(ridden(predict(light.build, LAKE_WATER, [planing(light) * 1.05])).line).toBe('planes');
    expect(ridden(predict(light.build, LAKE_WATER, [planing(light) * 1.05])).said.depthM?.value).toBe(0);
    expect(planing(heavy)).toBeGreaterThan(planing(light));
    expect(predict(plainBait().build, LAKE_WATER, []).lure.planingMps).toBeNull();
  });

  it('an inline spinner twists its line, less behind a free swivel; a bait with a keel does not', () => {
    const nylon: Outfit = { ...USUAL_OUTFIT, line: { kind: 'nylon', diameterM: 0.00028 } };
    const inline = plainSpinner('blade-colorado-k3');
    const straight = said(inline, 'twistTurns', 0.8, nylon);
    const behind = said(inline, 'twistBehindSwivelTurns', 0.8, nylon);
    expect(behind).toBeGreaterThan(0);
    expect(straight).toBeGreaterThan(behind);
    expect(said(inline, 'twistTurns', 0.8, { ...nylon, swivel: 'free' })).toBeCloseTo(behind, 9);
    expect(said(plainBait(), 'twistTurns', 0.8, nylon)).toBe(0);
    expect(fishingLine(nylon.line).densityKgM3).toBeGreaterThan(fishingLine(USUAL_OUTFIT.line).densityKgM3);
  });

  it('a trailer threaded crooked turns it aside and leans it', () => {
    const [trailer] = partsOfKind('trailer');
    if (!trailer) throw new Error('the catalogue has trailers');
    const lure = edited(plainBait(), seatPart(plainBait().build, trailer, on('hook-1', 'pushed')));
    const crooked = edited(lure, {
      kind: 'adjust',
      item: itemId('trailer-1'),
      changes: { state: { of: 'trailer', cutM: 0, rounded: false, crookedRad: 0.4 } },
    });
    expect(said(lure, 'yawRad')).toBe(0);
    expect(Math.abs(said(crooked, 'yawRad'))).toBeGreaterThan(0.003);
    expect(said(crooked, 'leanRad')).not.toBeCloseTo(said(lure, 'leanRad'), 3);
  });

  it('its middles of mass, water displaced and drag lie within it, that of mass below the tie of a bait', () => {
    for (const lure of DEMO_LURES) {
      const { centres } = ridden(predict(lure.build, LAKE_WATER, [0.8]));
      for (const { xM } of [centres.ofMass, centres.ofBuoyancy, centres.ofDrag]) {
        expect(Math.abs(xM)).toBeLessThan(0.2);
      }
      if (lure.family !== 'inlineSpinner') expect(centres.ofMass.yM).toBeLessThan(0);
    }
  });
});
