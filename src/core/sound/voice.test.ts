import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { MATERIAL_IDS, MATERIALS } from '../parts/material';
import { elasticOf, type Elastic } from './elastic';
import { discMode, noteInAir, noteInWater, type Disc } from './disc-modes';
import { contactModulus, LEAST_STOKES, pulseSpectrum, stokesNumber, strike, type Blow, type Striker } from './impact';

const WATER_PA_S = 1.0e-3;
const steel: Elastic = { youngPa: 205e9, poisson: 0.29, yieldPa: null, lossFactor: 0.001 };

function ball(elastic: Elastic, radiusM: number, densityKgM3: number): Striker {
  return { elastic, radiusM, massKg: (4 / 3) * Math.PI * radiusM ** 3 * densityKgM3 };
}

function blow(a: Striker, b: Striker, speedMps: number): Blow {
  const struck = strike(a, b, speedMps, WATER_PA_S);
  if (struck.outcome !== 'blow') throw new Error(`no blow: Stokes ${struck.stokes}`);
  return struck.blow;
}

const hard = MATERIAL_IDS.flatMap((id) => {
  const elastic = elasticOf(id);
  return elastic ? [{ id, elastic, densityKgM3: MATERIALS[id].densityKgM3 }] : [];
});
const striker = fc
  .record({ of: fc.constantFrom(...hard), radiusM: fc.double({ min: 0.001, max: 0.006, noNaN: true }) })
  .map(({ of, radiusM }) => ({ ...ball(of.elastic, radiusM, of.densityKgM3), id: of.id }));
const speed = fc.double({ min: 0.02, max: 2, noNaN: true });

describe('a blow', () => {
  it('of two steel balls of 10 mm at 1 m/s lasts 30.45 µs and comes to 248 N', () => {
    const { durationS, peakN, yields } = blow(ball(steel, 0.005, 7850), ball(steel, 0.005, 7850), 1);
    expect(durationS * 1e6).toBeCloseTo(30.45, 1);
    expect(peakN).toBeCloseTo(248, 0);
    expect(yields).toBe(false);
  });

  it('while elastic, at twice the speed lasts 2^(−1/5) as long and is 2^(6/5) as hard', () => {
    const glass = elasticOf('glass');
    if (!glass) throw new Error('glass is hard');
    fc.assert(
      fc.property(speed, fc.double({ min: 0.001, max: 0.006, noNaN: true }), (speedMps, radiusM) => {
        const bead = ball(glass, radiusM, 2500);
        fc.pre(stokesNumber(bead.massKg / 2, radiusM / 2, speedMps, WATER_PA_S) > LEAST_STOKES);
        const [once, twice] = [blow(bead, bead, speedMps), blow(bead, bead, 2 * speedMps)];
        expect(twice.durationS / once.durationS).toBeCloseTo(2 ** -0.2, 9);
        expect(twice.peakN / once.peakN).toBeCloseTo(2 ** 1.2, 9);
      }),
    );
  });

  it('brings no more than it had, is never harder for yielding, and is the same whichever piece strikes', () => {
    fc.assert(
      fc.property(striker, striker, speed, (a, b, speedMps) => {
        const struck = strike(a, b, speedMps, WATER_PA_S);
        expect(strike(b, a, speedMps, WATER_PA_S)).toEqual(struck);
        if (struck.outcome === 'damped') {
          expect(struck.stokes).toBeLessThan(LEAST_STOKES);
          return;
        }
        const { durationS, peakN, impulseNs, restitution } = struck.blow;
        const massKg = 1 / (1 / a.massKg + 1 / b.massKg);
        expect(restitution).toBeGreaterThan(0);
        expect(restitution).toBeLessThan(1);
        expect(impulseNs).toBeCloseTo(massKg * speedMps * (1 + restitution), 12);
        const brittle = (each: Striker) => ({ ...each, elastic: { ...each.elastic, yieldPa: null } });
        const unyielding = blow(brittle(a), brittle(b), speedMps);
        expect(peakN).toBeLessThanOrEqual(unyielding.peakN * (1 + 1e-12));
        // A half sine of this peak and length carries what goes over, within the shape of the pulse.
        const shape = impulseNs / ((2 / Math.PI) * peakN * durationS);
        expect(shape).toBeGreaterThan(0.8);
        expect(shape).toBeLessThan(1.25);
      }),
    );
  });

  it('of glass is shorter than of plastic, of tungsten on brass than of lead on brass, at the same speed and size', () => {
    const of = (id: (typeof hard)[number]['id'], on: (typeof hard)[number]['id'], speedMps: number) => {
      const [a, b] = [id, on].map((each) => {
        const found = hard.find((one) => one.id === each);
        if (!found) throw new Error(each);
        return ball(found.elastic, 0.002, found.densityKgM3);
      }) as [Striker, Striker];
      return blow(a, b, speedMps).durationS;
    };
    for (const speedMps of [0.1, 0.3, 0.6, 1]) {
      expect(of('glass', 'brass', speedMps)).toBeLessThan(of('plastic', 'brass', speedMps) / 2);
      expect(of('tungsten', 'brass', speedMps)).toBeLessThan(of('lead', 'brass', speedMps));
    }
  });

  it('is taken by the water where it is slow and the contact flat', () => {
    const flat: Striker = { elastic: steel, radiusM: Infinity, massKg: Infinity };
    const bead = ball(steel, 0.001, 7850);
    expect(strike(bead, flat, 0.002, WATER_PA_S)).toMatchObject({ outcome: 'damped' });
    expect(strike(bead, flat, 0.2, WATER_PA_S)).toMatchObject({ outcome: 'blow' });
    expect(contactModulus(steel, steel)).toBeCloseTo(205e9 / (1 - 0.29 ** 2) / 2, 0);
    expect(() => strike(flat, flat, 1, WATER_PA_S)).toThrow(RangeError);
    expect(() => strike(bead, flat, 0, WATER_PA_S)).toThrow(/speedMps above 0/);
  });

  it('is half as strong at 0.594 and a quarter at 0.82 of one over its length', () => {
    const pulse = { durationS: 40e-6, peakN: 3 };
    const share = (x: number) => (pulseSpectrum(pulse, x / pulse.durationS) / pulseSpectrum(pulse, 0)) ** 2;
    expect(share(0.594)).toBeCloseTo(0.5, 2);
    expect(share(0.82)).toBeCloseTo(0.25, 2);
    expect(pulseSpectrum(pulse, 0)).toBeCloseTo((2 / Math.PI) * 3 * 40e-6, 12);
    expect(pulseSpectrum(pulse, 0.5 / pulse.durationS)).toBeCloseTo(pulseSpectrum(pulse, 0.50001 / pulse.durationS), 8);
  });
});

describe('the notes of a disc', () => {
  const brass: Disc = {
    radiusM: 0.0135,
    thicknessM: 0.0006,
    densityKgM3: 8500,
    elastic: { youngPa: 105e9, poisson: 0.34, yieldPa: 300e6, lossFactor: 0.001 },
  };

  it('(2,0) has λ² = 5.262 at ν 0.33; the others are as published', () => {
    expect(discMode(2, 0, 0.33).lambdaSquared).toBeCloseTo(5.262, 3);
    // Leissa 1969, table 2.6, ν = 0.33, given to within half a percent.
    const published: readonly (readonly [number, number, number])[] = [
      [0, 1, 9.084],
      [3, 0, 12.23],
      [1, 1, 20.52],
      [4, 0, 21.6],
      [2, 1, 35.25],
      [0, 2, 38.55],
    ];
    for (const [diameters, circles, lambdaSquared] of published) {
      expect(discMode(diameters, circles, 0.33).lambdaSquared / lambdaSquared).toBeCloseTo(1, 2);
    }
    expect(() => discMode(1, 0, 0.33)).toThrow(/without bending/);
    expect(() => discMode(2.5, 0, 0.33)).toThrow(RangeError);
  });

  it('a brass disc of 13.5 mm radius and 0.60 mm sounds at 2956 Hz in air and 2191 Hz in water', () => {
    const mode = discMode(2, 0, 0.34);
    expect(noteInAir(brass, mode)).toBeCloseTo(2956, -0.5);
    expect(noteInWater(brass, mode, 1000)).toBeCloseTo(2191, -0.5);
  });

  it('rise with thickness and stiffness, fall with size, and are lower in water than in air', () => {
    const modes = [discMode(2, 0, 0.34), discMode(0, 1, 0.34), discMode(3, 0, 0.34)];
    fc.assert(
      fc.property(
        fc.constantFrom(...modes),
        fc.double({ min: 0.004, max: 0.03, noNaN: true }),
        fc.double({ min: 0.0002, max: 0.0012, noNaN: true }),
        (mode, radiusM, thicknessM) => {
          const disc = { ...brass, radiusM, thicknessM };
          const note = noteInWater(disc, mode, 998);
          expect(note).toBeLessThan(noteInAir(disc, mode));
          expect(noteInWater({ ...disc, thicknessM: 1.2 * thicknessM }, mode, 998)).toBeGreaterThan(note);
          expect(noteInWater({ ...disc, radiusM: 1.2 * radiusM }, mode, 998)).toBeLessThan(note);
          const stiffer = { ...disc, elastic: { ...disc.elastic, youngPa: 2 * disc.elastic.youngPa } };
          expect(noteInWater(stiffer, mode, 998) / note).toBeCloseTo(Math.SQRT2, 9);
        },
      ),
    );
  });
});
