import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { figures, measured, percent } from '@/testing/measured';
import {
  armDamping,
  armStiffness,
  cantileverStiffness,
  magnification,
  naturalHz,
  shakeOfArm,
  shakeOfBody,
  STRUCTURAL_DAMPING,
  YOUNG_PA,
  type Arm,
} from './arm-shake';

const ARM: Arm = { youngPa: YOUNG_PA.stainless, wireM: 0.0009, lengthM: 0.06, bendWireM: 0.008, tipMassKg: 0.0035 };

/** The same oscillator followed in time until it is steady: the largest swing of its last turns. */
function swingInTime(arm: Arm, forceN: number, rateHz: number, dragN: number, speedMps: number): number {
  const [k, m] = [armStiffness(arm), arm.tipMassKg];
  const c = 2 * armDamping(arm, dragN, speedMps) * Math.sqrt(k * m);
  const omega = 2 * Math.PI * rateHz;
  const step = 1 / (Math.max(rateHz, naturalHz(arm)) * 400);
  let [x, v, largest] = [0, 0, 0];
  const lasts = 24 / (c / m) + 6 / rateHz;
  const pull = (t: number, at: number, going: number) => (forceN * Math.cos(omega * t) - c * going - k * at) / m;
  for (let t = 0; t < lasts; t += step) {
    const [a1, v1] = [pull(t, x, v), v];
    const [v2, a2] = [v + (step / 2) * a1, pull(t + step / 2, x + (step / 2) * v1, v + (step / 2) * a1)];
    const [v3, a3] = [v + (step / 2) * a2, pull(t + step / 2, x + (step / 2) * v2, v + (step / 2) * a2)];
    const [v4, a4] = [v + step * a3, pull(t + step, x + step * v3, v + step * a3)];
    x += (step / 6) * (v1 + 2 * v2 + 2 * v3 + v4);
    v += (step / 6) * (a1 + 2 * a2 + 2 * a3 + a4);
    if (t > lasts - 3 / rateHz) largest = Math.max(largest, Math.abs(x));
  }
  return largest;
}

describe('a wire arm', () => {
  it('of 193 GPa, 0.889 mm, 60 mm long is 82.19 N/m stiff at its tip', () => {
    expect(cantileverStiffness(193e9, 0.000889, 0.06)).toBeCloseTo(82.19, 2);
    measured(
      'Published and worked values',
      'Cantilever 193 GPa, 0.889 mm, 60 mm',
      `${figures(cantileverStiffness(193e9, 0.000889, 0.06), 4)} N/m`,
      '82.19 N/m',
      '3EI/L³',
    );
  });

  it('held in a bend it is softer, clamped it is the plain beam; twice the wire is sixteen times as stiff', () => {
    expect(armStiffness({ ...ARM, bendWireM: 0 })).toBeCloseTo(
      cantileverStiffness(ARM.youngPa, ARM.wireM, ARM.lengthM),
      9,
    );
    expect(armStiffness(ARM)).toBeLessThan(armStiffness({ ...ARM, bendWireM: 0 }));
    expect(armStiffness({ ...ARM, wireM: 2 * ARM.wireM }) / armStiffness(ARM)).toBeCloseTo(16, 9);
    expect(naturalHz({ ...ARM, tipMassKg: 4 * ARM.tipMassKg })).toBeCloseTo(naturalHz(ARM) / 2, 9);
  });

  it('of 0.030 to 0.040 in and 50 to 70 mm, with a blade’s few grams, is near the rates blades turn at', () => {
    for (const wireM of [0.000762, 0.000889, 0.001016]) {
      for (const lengthM of [0.05, 0.06, 0.07]) {
        const hz = naturalHz({ ...ARM, wireM, lengthM });
        expect(hz).toBeGreaterThan(8);
        expect(hz).toBeLessThan(45);
      }
    }
  });
});

describe('what a turning blade does to it', () => {
  it('slowly turned it gives as a spring, far above its own rate as a free mass, and most between', () => {
    const f0 = naturalHz(ARM);
    const swing = (rateHz: number) => shakeOfArm(ARM, 0.05, rateHz, 0.03, 0.8).amplitudeM;
    expect(swing(f0 / 50)).toBeCloseTo(0.05 / armStiffness(ARM), 5);
    expect(swing(20 * f0)).toBeCloseTo(0.05 / (ARM.tipMassKg * (2 * Math.PI * 20 * f0) ** 2), 6);
    expect(swing(f0)).toBeGreaterThan(swing(f0 * 0.7));
    expect(swing(f0)).toBeGreaterThan(swing(f0 * 1.4));
    expect(shakeOfArm(ARM, 0.05, f0, 0.03, 0.8).ratio).toBeCloseTo(1, 12);
    expect(magnification(ARM, f0 / 50, 0.03, 0.8)).toBeCloseTo(1, 3);
    expect(magnification(ARM, f0, 0.03, 0.8)).toBeCloseTo(1 / (2 * armDamping(ARM, 0.03, 0.8)), 9);
  });

  it('is what the same arm does followed in time until it is steady', () => {
    let worst = 0;
    for (const share of [0.4, 0.9, 1, 1.1, 2]) {
      const rateHz = share * naturalHz(ARM);
      const steady = shakeOfArm(ARM, 0.05, rateHz, 0.04, 0.8).amplitudeM;
      const ratio = swingInTime(ARM, 0.05, rateHz, 0.04, 0.8) / steady;
      worst = Math.max(worst, Math.abs(ratio - 1));
      expect(ratio).toBeCloseTo(1, 2);
    }
    measured(
      'Steady against time',
      'Swing of a wire arm at 0.4 to 2 times its own rate: followed in time until it is steady',
      `within ${percent(worst)}`,
      'within 0.5 %',
    );
  });

  it('thinner wire moves more at the blade below its own rate (ordering 7); more drag damps it', () => {
    for (const wireM of [0.0007, 0.0008, 0.0009]) {
      const thin = { ...ARM, wireM };
      const thick = { ...ARM, wireM: wireM + 0.0001 };
      const rateHz = 0.6 * naturalHz(thin);
      expect(shakeOfArm(thin, 0.05, rateHz, 0.03, 0.8).amplitudeM).toBeGreaterThan(
        shakeOfArm(thick, 0.05, rateHz, 0.03, 0.8).amplitudeM,
      );
    }
    const f0 = naturalHz(ARM);
    expect(shakeOfArm(ARM, 0.05, f0, 0.09, 0.8).amplitudeM).toBeLessThan(
      shakeOfArm(ARM, 0.05, f0, 0.03, 0.8).amplitudeM,
    );
    expect(armDamping(ARM, 0, 0.8)).toBe(STRUCTURAL_DAMPING);
    expect(armDamping(ARM, 0.03, 0)).toBe(STRUCTURAL_DAMPING);
  });

  it('is twice as much at twice the force, and never below zero', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.0005, max: 0.0015, noNaN: true }),
        fc.double({ min: 0.02, max: 0.09, noNaN: true }),
        fc.double({ min: 0.0005, max: 0.02, noNaN: true }),
        fc.double({ min: 0.1, max: 60, noNaN: true }),
        (wireM, lengthM, tipMassKg, rateHz) => {
          const arm = { ...ARM, wireM, lengthM, tipMassKg };
          const one = shakeOfArm(arm, 0.02, rateHz, 0.03, 0.8);
          const two = shakeOfArm(arm, 0.04, rateHz, 0.03, 0.8);
          expect(one.amplitudeM).toBeGreaterThan(0);
          expect(two.amplitudeM / one.amplitudeM).toBeCloseTo(2, 9);
          expect(two.pulseN / one.pulseN).toBeCloseTo(2, 9);
        },
      ),
      { seed: 7, numRuns: 80 },
    );
  });

  it('without an arm the body moves: twice the mass half as far, the tie feels the blade’s own force', () => {
    const light = shakeOfBody(0.01, 0.05, 8);
    expect(shakeOfBody(0.02, 0.05, 8).amplitudeM).toBeCloseTo(light.amplitudeM / 2, 12);
    expect(light.pulseN).toBe(0.05);
    expect(shakeOfBody(0.01, 0.05, 0).amplitudeM).toBe(0);
  });
});
