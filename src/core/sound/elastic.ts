/**
 * How materials meet in a blow. Moduli and Poisson's ratios are handbook values of the usual grade; yield and loss vary with
 * temper and make by a factor of two, so those are trade estimates.
 */
import type { MaterialId } from '../parts/material';

export interface Elastic {
  /** Young's modulus, Pa. */
  readonly youngPa: number;
  readonly poisson: number;
  /** Where it begins to yield, Pa; null for one that breaks before it yields. */
  readonly yieldPa: number | null;
  /** Share of its energy that a ringing piece loses in a radian, in air. */
  readonly lossFactor: number;
}

/** Null where a piece is so soft that a blow of it is no sound. */
const ELASTIC: Readonly<Record<MaterialId, Elastic | null>> = {
  brass: { youngPa: 105e9, poisson: 0.34, yieldPa: 300e6, lossFactor: 0.001 },
  copper: { youngPa: 120e9, poisson: 0.34, yieldPa: 200e6, lossFactor: 0.002 },
  nickelSilver: { youngPa: 125e9, poisson: 0.33, yieldPa: 400e6, lossFactor: 0.001 },
  stainless: { youngPa: 193e9, poisson: 0.29, yieldPa: 600e6, lossFactor: 0.001 },
  springSteel: { youngPa: 205e9, poisson: 0.29, yieldPa: 1400e6, lossFactor: 0.0005 },
  aluminium: { youngPa: 70e9, poisson: 0.33, yieldPa: 200e6, lossFactor: 0.001 },
  lead: { youngPa: 16e9, poisson: 0.44, yieldPa: 12e6, lossFactor: 0.02 },
  tungsten: { youngPa: 320e9, poisson: 0.28, yieldPa: 600e6, lossFactor: 0.002 },
  glass: { youngPa: 70e9, poisson: 0.22, yieldPa: null, lossFactor: 0.002 },
  plastic: { youngPa: 2.6e9, poisson: 0.38, yieldPa: 60e6, lossFactor: 0.04 },
  polyester: { youngPa: 4e9, poisson: 0.38, yieldPa: 100e6, lossFactor: 0.03 },
  polyolefin: { youngPa: 0.8e9, poisson: 0.42, yieldPa: 20e6, lossFactor: 0.1 },
  tin: { youngPa: 45e9, poisson: 0.33, yieldPa: 14e6, lossFactor: 0.01 },
  bismuth: { youngPa: 32e9, poisson: 0.33, yieldPa: 15e6, lossFactor: 0.01 },
  wood: { youngPa: 4e9, poisson: 0.35, yieldPa: 12e6, lossFactor: 0.05 },
  zinc: { youngPa: 85e9, poisson: 0.27, yieldPa: 220e6, lossFactor: 0.003 },
  // Line gives way sideways before it rings.
  nylon: null,
  fluorocarbon: null,
  braid: null,
  silicone: null,
  softPlastic: null,
  rubber: null,
  flesh: null,
  hair: null,
  feather: null,
};

/** How a material meets another; null for a soft one, whose blow is no sound. */
export function elasticOf(material: MaterialId): Elastic | null {
  return ELASTIC[material];
}
