/** What of a prediction tests look at. */
import { expect } from 'vitest';
import { USUAL_OUTFIT, type Outfit } from '@/core/hydro/outfit';
import { LAKE_WATER } from '@/core/hydro/water';
import type { Lure } from '@/core/lure/lure';
import type { Banded } from '@/core/predict/band';
import type { RideOutput } from '@/core/predict/outputs';
import { predict, type Prediction, type RidePrediction } from '@/core/predict/predict';

export function ridden(prediction: Prediction, at = 0): Extract<RidePrediction, { outcome: 'rides' }> {
  const ride = prediction.rides[at];
  if (ride?.outcome !== 'rides') throw new Error(`it rides: ${JSON.stringify(ride)}`);
  return ride;
}

export const said = (lure: Lure, key: RideOutput, speedMps = 0.8, outfit: Outfit = USUAL_OUTFIT) =>
  ridden(predict(lure.build, LAKE_WATER, [speedMps], { outfit })).said[key]?.value ?? NaN;

export function expectBand(band: Banded, name: string) {
  expect(Number.isFinite(band.value + band.low + band.high), name).toBe(true);
  expect(band.low, name).toBeLessThanOrEqual(band.value);
  expect(band.high, name).toBeGreaterThanOrEqual(band.value);
}
