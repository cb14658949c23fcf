/** Files of version 3, with what they were predicted to do before carriers could be joined: both stay as they were. */
import { describe, expect, it } from 'vitest';
import { LAKE_WATER } from '../hydro/water';
import { doesTurn } from './spin';
import { predict } from './predict';
import { readLureFile } from '../files/lure-file';
import { lureMass } from '../lengths/mass';
import before from '@/testing/fixtures/predictions-v3.json';

const SPEEDS = [0.3, 0.6, 0.9, 1.3];
type Triple = readonly number[] | null;

function expectSame(now: number | undefined, then: number | undefined, what: string) {
  const scale = Math.max(Math.abs(then ?? 0), 1e-6);
  expect(Math.abs((now ?? NaN) - (then ?? NaN)) / scale, what).toBeLessThan(1e-9);
}

function expectSameBand(
  now: { readonly value: number; readonly low: number; readonly high: number } | null,
  then: Triple,
  what: string,
) {
  if (then === null || now === null) {
    expect(now, what).toBe(then);
    return;
  }
  [now.value, now.low, now.high].forEach((each, i) => expectSame(each, then[i], `${what} ${i}`));
}

describe('a file of version 3', () => {
  it('holds what the fixture was made for', () => {
    expect(before.length).toBeGreaterThan(20);
    expect(before.every(({ file }) => file.version === 3 && !('joined' in file.lure.build))).toBe(true);
  });

  it.each(before.map((each, n) => [`${n} ${each.file.lure.name}`, each] as const))(
    '%s opens, and predicts the same to a billionth',
    (_, { file, massKg, blades, rides, lure: once }) => {
      const read = readLureFile(JSON.stringify(file));
      if (!read.ok) throw new Error(JSON.stringify(read.problem));
      const { build } = read.lure;
      expectSame(lureMass(build), massKg, 'mass');
      const said = predict(build, LAKE_WATER, SPEEDS);
      expect(said.spin.blades).toHaveLength(blades.length);
      said.spin.blades.forEach(({ at }, blade) =>
        at.forEach((each, i) => {
          const then = blades[blade]?.[i] as { outcome: string; rateHz?: object; dragN?: object };
          expect(each.outcome).toBe(then.outcome);
          if (!doesTurn(each)) return;
          expectSameBand(each.rateHz, tripleOf(then.rateHz), `rate ${i}`);
          expectSameBand(each.dragN, tripleOf(then.dragN), `drag ${i}`);
        }),
      );
      said.rides.forEach((ride, i) => {
        const then = rides[i] as Record<string, Triple> | string;
        if (ride.outcome !== 'rides' || typeof then === 'string') {
          expect(ride.outcome).toBe(then);
          return;
        }
        for (const [key, each] of Object.entries(ride.said)) expectSameBand(each, then[key] ?? null, `${key} ${i}`);
      });
      for (const [key, each] of Object.entries(said.lure)) {
        expectSameBand(each, (once as Record<string, Triple>)[key] ?? null, key);
      }
    },
  );
});

function tripleOf(said: object | undefined): Triple {
  const { value, low, high } = said as { value: number; low: number; high: number };
  return [value, low, high];
}
