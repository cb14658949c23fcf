/**
 * The volume of a body from what it does in water: V = (m − m′)/ρ. What it weighs there, m′, is read on a scale, or follows
 * from how long it takes for a metre: rising or sinking flat at v it is held by ½ρ C A v², which is |m′| g. The hooks and rings
 * that were left on it weigh m_h(1 − ρ/ρ_steel) in water and are taken off.
 */
import { flatDragM2, type BodyForm } from '../parts/body-form';
import { densityOf } from '../parts/material';
import { GRAVITY_MPS2 } from './water';

export type InWater =
  /** On a scale, under water; what was hung below it to hold it down is taken off. */
  | { readonly by: 'scale'; readonly readsKg: number; readonly sinkerKg: number }
  | { readonly by: 'time'; readonly is: 'floats' | 'sinks'; readonly secondsPerM: number }
  | { readonly by: 'hovers' };

export type VolumeByWater =
  | { readonly outcome: 'found'; readonly volumeM3: number; readonly inWaterKg: number }
  /** It cannot weigh as much under water as above it. */
  | { readonly outcome: 'heavierInWater'; readonly mostKg: number }
  /** In this it would move as no bait does. */
  | { readonly outcome: 'tooFast'; readonly leastS: number };

/** A metre in less than this is a slip of the watch. */
const FASTEST_S = 0.25;

/**
 * @param massKg bare, in air
 * @param hangingKg of steel that was left on it in the water
 * @param rho of the water, kg/m³
 */
export function volumeByWater(
  form: Pick<BodyForm, 'lengthM' | 'widthM'>,
  massKg: number,
  hangingKg: number,
  inWater: InWater,
  rho: number,
): VolumeByWater {
  const hangingInWaterKg = hangingKg * (1 - rho / densityOf('stainless'));
  if (inWater.by === 'time' && inWater.secondsPerM < FASTEST_S) return { outcome: 'tooFast', leastS: FASTEST_S };
  const inWaterKg = weighsKg(form, inWater, rho) - hangingInWaterKg;
  const volumeM3 = (massKg - inWaterKg) / rho;
  return volumeM3 > 0
    ? { outcome: 'found', volumeM3, inWaterKg }
    : { outcome: 'heavierInWater', mostKg: massKg + hangingInWaterKg };
}

/** Of all that was in the water, kg; below zero it floats. */
function weighsKg(form: Pick<BodyForm, 'lengthM' | 'widthM'>, inWater: InWater, rho: number): number {
  if (inWater.by === 'hovers') return 0;
  if (inWater.by === 'scale') return inWater.readsKg - inWater.sinkerKg;
  const heldN = (0.5 * rho * flatDragM2(form)) / inWater.secondsPerM ** 2;
  return ((inWater.is === 'sinks' ? 1 : -1) * heldN) / GRAVITY_MPS2;
}
