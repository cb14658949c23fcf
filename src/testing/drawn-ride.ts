/** A lure with one blade, its coefficients drawn together at random: what bands are held against. */
import { slowestKept } from '@/core/hydro/round-the-turn';
import { FOR_BAND } from '@/core/hydro/spin';
import { USUAL_OUTFIT } from '@/core/hydro/outfit';
import { crossingsOf, GRID_MPS } from '@/core/predict/crossings';
import { coefficientsAt, sharedAt, type Factor } from '@/core/predict/factors';
import { axleCosines } from '@/core/predict/inclined';
import { keptAt, rubbed } from '@/core/predict/keeping';
import { outputsOf } from '@/core/predict/outputs';
import { rideAt } from '@/core/predict/ride';
import type { LureInWater } from '@/core/predict/lure-in-water';
import { againstStall } from '@/core/predict/spin';
import { scaledTo } from '@/core/predict/scaled-lure';
import { outcomesAt, turnAll } from '@/core/predict/turned';

export interface DrawnRide {
  /** Where its blade stops, m/s; infinite where it turns at no speed. */
  readonly keptMps: number;
  readonly thumpNs: number | null;
  readonly depthM: number | null;
}

/** @param at one place per factor */
export function drawnRide(inWater: LureInWater, speedMps: number, factors: readonly Factor[], at: number[]): DrawnRide {
  const [spinner] = inWater.spinners;
  if (!spinner) throw new Error('drawnRide: a lure with a blade');
  const speeds = [speedMps, ...GRID_MPS];
  const axleCos = axleCosines(inWater, speeds);
  const shared = sharedAt(factors, at);
  const coefficients = coefficientsAt(spinner.nominal, spinner.station, factors, at);
  const bearing = rubbed(spinner.bearing, shared.rub);
  const kept = slowestKept(spinner.blade(coefficients), bearing, inWater.rho, null, FOR_BAND);
  const keptMps = kept.outcome === 'keeps' ? keptAt(kept, shared.flapping) : Infinity;
  const turned = turnAll(inWater.spinners, inWater.rho, speeds, {
    coefficients: [coefficients],
    axleCos,
    doesTurn: (_, speed) => {
      const along = axleCos[0]?.[speed] ?? 1;
      return againstStall((speeds[speed] ?? 0) * along, along) >= keptMps;
    },
  });
  const scaled = scaledTo(inWater, shared);
  const one = { scaled, turned, crossings: crossingsOf(inWater, scaled, turned, 1) };
  const ride = rideAt(inWater, scaled, outcomesAt(turned, 0), speedMps, [USUAL_OUTFIT.lineOutM]);
  const { thumpNs, depthM } = outputsOf(ride, one, true, USUAL_OUTFIT.lineOutM);
  return { keptMps, thumpNs, depthM };
}
