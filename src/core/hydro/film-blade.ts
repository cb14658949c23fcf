/**
 * A film blade: two flat lobes half a turn apart about their own bore, spread 90° less the fold, which cannot flap. The
 * steady spin of spin.ts holds with β fixed; the two lobes' radial loads cancel, so what it rubs with is its drag against
 * the stop behind it and the hub's own rub.
 *
 * All trade estimates until measured. The rub is set so that the reference film starts near 0.1 m/s open flat; that it
 * then starts near 0.2 m/s folded to 50° follows, and is a test.
 */
import { densityOf, type MaterialId } from '../parts/material';
import { FILM_LOBE } from '../parts/blade-pattern';
import { bladeStrips, filmLobe } from '../parts/outline';
import { GRAVITY_MPS2 } from './water';
import type { Bearing, SpinBlade } from './blade-loads';
import type { ReferenceCoefficients } from './spin-blade';

export interface MeasuredFilm {
  readonly spanM: number;
  readonly widthM: number;
  readonly thicknessM: number;
  readonly boreM: number;
  readonly material: MaterialId;
}

/** Twist of the lobes and their edge drag. A film does not flap, so its flap factor is never used. */
export const FILM_COEFFICIENTS: ReferenceCoefficients = { setAngleRad: 0.42, flapFactor: 1, edgeDrag: 0.12 };
/** Torque of the hub on a wire that goes through it snugly. */
const HUB_RUB_NM = 4.2e-6;

/** Spread of the lobes from the axle, rad, when folded back by `foldRad`. */
export function filmSpread(foldRad: number): number {
  return Math.PI / 2 - foldRad;
}

/** A film as the spin model takes it. @param foldRad fold of its lobes, 0 open flat; @param waterDensityKgM3 kg/m³ */
export function filmSpinBlade(
  film: MeasuredFilm,
  foldRad: number,
  waterDensityKgM3: number,
  coefficients: ReferenceCoefficients = FILM_COEFFICIENTS,
): SpinBlade {
  const shape = filmLobe(film);
  const strips = bladeStrips(FILM_LOBE, shape);
  const planAreaM2 = strips.areaM2.reduce((sum, area) => sum + area, 0);
  const density = densityOf(film.material);
  return {
    strips,
    lengthM: shape.lengthM,
    planAreaM2,
    sheetMassKgM2: density * film.thicknessM,
    reachM: shape.lengthM,
    weightInWaterN: Math.max(0, density - waterDensityKgM3) * 2 * planAreaM2 * film.thicknessM * GRAVITY_MPS2,
    lobes: 2,
    fixedSpreadRad: filmSpread(foldRad),
    coefficients,
  };
}

/** The bearing of a film on its wire, from that of whatever turns there. */
export function filmBearing(bearing: Bearing): Bearing {
  return { ...bearing, dropM: 0, steadyTorqueNm: bearing.steadyTorqueNm + HUB_RUB_NM };
}
