/** The water a plate carries along as it moves across itself. */
import { lastPer } from '../once';
import type { BladeStrips } from '../parts/outline';
import { ellipticE } from './elliptic';

/**
 * Of each strip per area, kg/m²: k_a ρπc/4 with k_a = 1/E(√(1 − (W/L)²)), E the complete elliptic integral of the second
 * kind, for a plate that is short. Source: a strip of chord c carries ρπc²/4 along per span (Lamb, Hydrodynamics, §71); k_a as
 * of an elliptic plate.
 */
export const addedMass = lastPer((strips: BladeStrips, lengthM: number, waterDensityKgM3: number): Float64Array => {
  const { chordM } = strips;
  const widestM = chordM.reduce((most, chord) => Math.max(most, chord), 0);
  const short = Math.min(widestM / lengthM, lengthM / widestM);
  const factor = 1 / ellipticE(Math.sqrt(1 - short ** 2));
  return chordM.map((chord) => (factor * waterDensityKgM3 * Math.PI * chord) / 4);
});
