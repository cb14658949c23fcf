import { describe, expect, it } from 'vitest';
import { demoLure, edited, plainBait, plainBuzz, plainSpinner } from '@/testing/lures';
import { DEMO_LURES } from '@/demo/scenario';
import { USUAL_OUTFIT } from '../core/hydro/outfit';
import { LAKE_WATER } from '../core/hydro/water';
import type { Build } from '../core/lure/lure';
import { moversOf } from '../core/predict/movers';
import { predict } from '../core/predict/predict';
import { glanceOf, headlineOf } from './glance-words';
import type { SpeedUnit } from './spin-words';
import { ALL_FIGURES, beatFigure, noRideWords, rideFigures, type RideShown } from './ride-words';

function shown(
  build: Build,
  system: 'metric' | 'trade' = 'metric',
  speedUnit: SpeedUnit = 'mps',
  speedMps = 0.8,
): RideShown {
  return {
    build,
    prediction: predict(build, LAKE_WATER, [speedMps], { outfit: USUAL_OUTFIT }),
    movers: moversOf(build, LAKE_WATER, speedMps),
    system,
    speedUnit,
  };
}

describe('how it rides in words', () => {
  it('every figure of every demo lure has a name, a value, a band and a sentence, none of them broken', () => {
    let told = 0;
    for (const { build } of DEMO_LURES) {
      for (const system of ['metric', 'trade'] as const) {
        for (const figure of rideFigures(shown(build, system, system === 'metric' ? 'mps' : 'mph'), ALL_FIGURES)) {
          told++;
          const text = Object.values(figure).join(' ');
          expect(text, figure.output).not.toMatch(/undefined|NaN|Infinity|null|\[object|-\d/);
          expect(figure.why).toMatch(/^[A-Z].*\.$/);
          const [low, high] = [...figure.band.matchAll(/[\d.]+/g)].map(([each]) => Number(each));
          if (low !== undefined && high !== undefined && !/[/−]/.test(figure.band))
            expect(low).toBeLessThanOrEqual(high);
        }
      }
    }
    expect(told).toBeGreaterThan(200);
  });

  it('says in words what a number would mislead about: a spinner rolls, a buzzbait planes, an unknown wire has no shake', () => {
    const of = (each: RideShown, output: string) =>
      rideFigures(each, ALL_FIGURES).find((figure) => figure.output === output);
    expect(of(shown(plainSpinner().build), 'leanRad')).toMatchObject({ value: 'rolls' });
    expect(of(shown(plainBuzz().build, 'metric', 'mps', 1.6), 'depthM')).toMatchObject({
      value: '0',
      band: 'planes on the surface',
    });
    const { carrier } = plainBait().build;
    const odd = edited(plainBait(), {
      kind: 'carrier',
      changes: { wire: { ...carrier.wire, material: 'aluminium' } },
    });
    expect(of(shown(odd.build), 'pulseN')).toMatchObject({ value: '–', band: 'no spring wire known of this metal' });
    expect(of(shown(plainBait().build), 'twistTurns')).toBeUndefined();
    expect(of(shown(plainSpinner().build), 'depthM')?.moves).toMatch(/^A tenth more speed: \d\.\d\d m less; /);
    expect(of(shown(plainSpinner().build), 'pulseN')?.unsure).toMatch(/^Least known: .* of the blade; .*\.$/);
  });

  it('of two blades the beat is told, with what moves it; of one there is none', () => {
    const tandem = beatFigure(shown(demoLure('torvane-lanes').build));
    expect(tandem).toMatchObject({ name: 'Beat of its blades', unit: 'a second' });
    expect(tandem?.moves).toMatch(/a tenth larger .* blade/i);
    expect(beatFigure(shown(plainBait().build))).toBeNull();
  });

  it('speaks of no figure outside the model, and says which limit', () => {
    const fast = shown(plainBait().build, 'metric', 'mps', 7);
    expect(glanceOf(fast)).toEqual([]);
    const [ride] = fast.prediction.rides;
    if (ride?.outcome !== 'outsideModel') throw new Error('7 m/s is outside');
    expect(noRideWords(ride)).toBe('The model holds from 0 to 5 m/s; this is 7.0 m/s.');
  });

  it('at a glance says what matters most first, and nothing that says nothing', () => {
    const slowBuzz = shown(plainBuzz().build, 'metric', 'mps', 0.4);
    expect(headlineOf(slowBuzz)).toEqual({ text: 'Does not plane: it sinks at this speed', isAmiss: true });
    expect(glanceOf(slowBuzz)[0]).toMatchObject({ output: 'planingMps' });
    expect(headlineOf(shown(plainBuzz().build, 'metric', 'mps', 1.6))).toEqual({
      text: 'Planes on the surface',
      isAmiss: false,
    });
    expect(headlineOf(shown(plainBait().build, 'metric', 'mps', 2.4))?.text).toBe('Comes to the surface at this speed');
    expect(headlineOf(shown(plainSpinner().build))).toBeNull();
    for (const { build, name } of DEMO_LURES) {
      for (const speedMps of [0.4, 0.8, 1.4]) {
        const figures = glanceOf(shown(build, 'metric', 'mps', speedMps));
        expect(figures.length, name).toBeGreaterThan(0);
        expect(figures.length, name).toBeLessThanOrEqual(4);
        for (const { value } of figures) expect(Number(value), name).not.toBe(0);
      }
    }
  });
});
