/**
 * A delta blade: two to four twisted lobes that cannot flap, driven round by the way it makes, half of it out of the water.
 * The steady spin of spin.ts holds with the lobes square to the axle in half the density; it rubs on the rivet behind it.
 *
 * All trade estimates until measured. Planing, side pull and what the surface does to it are not in it.
 */
import { densityOf } from '../parts/material';
import { DELTA_LOBE, deltaLobe } from '../parts/delta-form';
import { bladeStrips } from '../parts/outline';
import type { DeltaBlade } from '../parts/kinds/delta-blade';
import { GRAVITY_MPS2 } from './water';
import type { Bearing, SpinBlade } from './blade-loads';
import type { ReferenceCoefficients } from './spin-blade';

/** Twist of the lobes and their edge drag. They do not flap, so the flap factor is never used. */
export const DELTA_COEFFICIENTS: ReferenceCoefficients = { setAngleRad: 0.75, flapFactor: 1, edgeDrag: 0.16 };
/** Share of the sweep that is under water. */
const WETTED = 0.5;
/** Torque of its two ears on the wire. */
const EAR_RUB_NM = 1.2e-5;

/** A delta blade as the spin model takes it: half of its lobes' area under water, its spread fixed at 90°. @param waterDensityKgM3 kg/m³ */
export function deltaSpinBlade(
  blade: DeltaBlade,
  waterDensityKgM3: number,
  coefficients: ReferenceCoefficients = DELTA_COEFFICIENTS,
): SpinBlade {
  const shape = deltaLobe(blade);
  const whole = bladeStrips(DELTA_LOBE, shape);
  const strips = { ...whole, areaM2: whole.areaM2.map((area) => area * WETTED) };
  const planAreaM2 = whole.areaM2.reduce((sum, area) => sum + area, 0);
  const density = densityOf(blade.material);
  return {
    strips,
    lengthM: shape.lengthM,
    planAreaM2: planAreaM2 * WETTED,
    sheetMassKgM2: density * blade.thicknessM,
    reachM: shape.lengthM,
    weightInWaterN: (density - waterDensityKgM3 * WETTED) * blade.lobes * planAreaM2 * blade.thicknessM * GRAVITY_MPS2,
    lobes: blade.lobes,
    fixedSpreadRad: Math.PI / 2,
    coefficients,
  };
}

/** The bearing of a delta blade on its wire, from that of whatever turns there. @param dragNm of what else it drags on, N·m */
export function deltaBearing(bearing: Bearing, dragNm = 0): Bearing {
  return { ...bearing, dropM: 0, steadyTorqueNm: bearing.steadyTorqueNm + EAR_RUB_NM + dragNm };
}
