/** What a prediction must come to at its limits. */
import { ridden, said } from '@/testing/predicted';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anyDressedLure } from '@/testing/any-lure';
import { bentAt, demoLure, SINKING_DEMOS } from '@/testing/lures';
import { figures, measured, percent } from '@/testing/measured';
import { DEMO_LURES } from '@/demo/scenario';
import { fishingLine, USUAL_OUTFIT } from '../hydro/outfit';
import { shakeOfArm } from '../hydro/arm-shake';
import { steadySpin } from '../hydro/spin';
import { GOOD_CLEVIS_BEARING } from '../hydro/blade-loads';
import { referenceBlade, spinBlade } from '../hydro/spin-blade';
import { lineShapes } from '../hydro/towed-line';
import { NO_LEAD, sumsOf, trimOf } from '../hydro/trim';
import { LAKE_WATER } from '../hydro/water';
import type { Lure } from '../lure/lure';
import { RIDE_OUTPUTS, type RideOutput } from './outputs';
import { predict, type Prediction } from './predict';
import { lureInWater } from './lure-in-water';
import { turnAll } from './turned';

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
            // Upside down is half a turn to either side.
            const isOver = key === 'leanRad' && Math.abs(Math.abs(a) - Math.PI) < 1e-9;
            expect(isOver ? Math.abs(b) : b, key).toBeCloseTo(isOver ? Math.PI : TURNED.has(key) ? -a : a, 8);
            compared++;
            if (TURNED.has(key) && Math.abs(a) > 1e-4) aside++;
          }
        },
      ),
      { seed: 17, numRuns: 60 },
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
          plates: [],
          lead: NO_LEAD,
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
    for (const lure of SINKING_DEMOS) {
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
        // Of those for trebles the rub is a larger share.
        const usual = spinners.filter(({ blade, nominal }) => blade(nominal).lengthM >= 0.018);
        return usual.map(({ blade, nominal, bearing }) => {
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
          return rate(1) > 0 ? 1 - rate(1.4) / rate(1) : 0;
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
