import type { Wire } from '../parts/kinds/wire';
import { wireOf } from '../carriers/carrier';
import { ridden, said, expectBand } from '@/testing/predicted';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anyDressedLure } from '@/testing/any-lure';
import { demoLure, edited, itemId, on, plainBait, plainBuzz, plainSpinner, spinner, withHead } from '@/testing/lures';
import { measured, percent } from '@/testing/measured';
import { normals } from '@/core/random';
import { seeded } from '@/testing/seeded';
import { DEMO_LURES } from '@/demo/scenario';
import { fishingLine, USUAL_OUTFIT, type Outfit } from '../hydro/outfit';
import { layOut } from '../geometry/layout';
import { LAKE_WATER } from '../hydro/water';
import { seatPart } from '../lure/editing';
import type { Lure } from '../lure/lure';
import { partsOfKind } from '../parts/catalogue';
import { HALF_WIDTHS_A_SIGMA } from './band';
import { crossingsOf, GRID_MPS } from './crossings';
import { coefficientsAt, factorsOf, sharedAt } from './factors';
import { axleCosines } from './inclined';
import { LURE_OUTPUTS, outputsOf, lureOutput, RIDE_OUTPUTS, type LureOutput, type RideOutput } from './outputs';
import { predict } from './predict';
import { rideAt } from './ride';
import { lureInWater } from './lure-in-water';
import { scaledTo } from './scaled-lure';
import { outcomesAt, turnAll } from './turned';

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
          ...Object.fromEntries(LURE_OUTPUTS.map((key) => [key, lureOutput(one, inWater.rho, key)])),
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
    const wired = (wire: Partial<Pick<Wire, 'material' | 'diameterM'>>) =>
      predict(
        edited(plainBait(), { kind: 'carrier', changes: { wire: { ...wireOf(carrier), ...wire } } }).build,
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
      const { x0M, x1M } = layOut(lure.build);
      for (const { xM } of [centres.ofMass, centres.ofBuoyancy, centres.ofDrag]) {
        expect(Math.abs(xM)).toBeLessThan(x1M - x0M);
      }
      if (lure.build.carrier.kind === 'bentWire') expect(centres.ofMass.yM).toBeLessThan(0);
    }
  });
});
