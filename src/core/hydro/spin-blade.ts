/** From a measured blade to what the spin model needs of it: strips, sheet mass, weight in water and coefficients. */
import { oncePer } from '../once';
import { densityOf, type MaterialId } from '../parts/material';
import { PATTERNS, type BladePattern } from '../parts/blade-pattern';
import { bladeReach, bladeStrips, sheetArea, type BladeShape } from '../parts/outline';
import { GRAVITY_MPS2 } from './water';
import type { SpinBlade, SpinCoefficients } from './blade-loads';
import calibrated from './spin-coefficients.json';

/** How much a deeper cup adds to edge drag, per unit of d/W. Trade estimate: deeper cups drag more and turn slower. */
const CUP_DRAG = 0.1;
/** How much a thicker edge adds to edge drag, per unit of t/W. Trade estimate. */
const EDGE_THICKNESS_DRAG = 0.6;
/** Hammer marks trip the flow over the face. Trade estimate: about as much as a tenth more cup. */
const HAMMERED_DRAG = 0.01;

/** Coefficients of a pattern's reference blade, as `npm run calibrate` finds them. */
export interface ReferenceCoefficients {
  readonly setAngleRad: number;
  readonly flapFactor: number;
  readonly edgeDrag: number;
}

/** The trade estimate's half width on each coefficient, as a share of it, until the user measures. */
export const COEFFICIENT_SPREAD = 0.2;

export interface MeasuredBlade extends BladeShape {
  readonly pattern: BladePattern;
  readonly thicknessM: number;
  readonly material: MaterialId;
  readonly texture: 'smooth' | 'hammered';
}

const COEFFICIENTS: Readonly<Record<BladePattern, ReferenceCoefficients>> = calibrated.patterns;

/** The coefficients of a pattern's reference blade. Source: `npm run calibrate`. */
export function referenceCoefficients(pattern: BladePattern): ReferenceCoefficients {
  return COEFFICIENTS[pattern];
}

/** C_A = C_A,ref + k_f Δ(d/W) + k_t Δ(t/W) + texture, Δ from the pattern's reference blade; never below zero. */
export function bladeCoefficients(blade: MeasuredBlade, reference: ReferenceCoefficients): SpinCoefficients {
  const pattern = PATTERNS[blade.pattern].reference;
  const cup = CUP_DRAG * (blade.cupDepthM / blade.widthM - pattern.cupRatio);
  const edge = EDGE_THICKNESS_DRAG * (blade.thicknessM / blade.widthM - pattern.thicknessM / pattern.widthM);
  const texture = blade.texture === 'hammered' ? HAMMERED_DRAG : 0;
  return { ...reference, edgeDrag: Math.max(0, reference.edgeDrag + cup + edge + texture) };
}

interface Geometry {
  readonly strips: SpinBlade['strips'];
  readonly planAreaM2: number;
  readonly sheetVolumeM3: number;
}

const geometryOf = oncePer((blade: MeasuredBlade): Geometry => {
  const { outline } = PATTERNS[blade.pattern];
  const strips = bladeStrips(outline, blade);
  return {
    strips,
    planAreaM2: strips.areaM2.reduce((sum, area) => sum + area, 0),
    sheetVolumeM3: sheetArea(outline, blade) * blade.thicknessM,
  };
});

/**
 * The blade as the spin model takes it.
 * @param reference the pattern's coefficients, or a disturbed set of them when a spread is worked out
 */
export function spinBlade(
  blade: MeasuredBlade,
  waterDensityKgM3: number,
  reference: ReferenceCoefficients = referenceCoefficients(blade.pattern),
): SpinBlade {
  const { strips, planAreaM2, sheetVolumeM3 } = geometryOf(blade);
  const density = densityOf(blade.material);
  return {
    strips,
    lengthM: blade.lengthM,
    planAreaM2,
    sheetMassKgM2: density * blade.thicknessM,
    reachM: bladeReach(blade),
    weightInWaterN: Math.max(0, density - waterDensityKgM3) * sheetVolumeM3 * GRAVITY_MPS2,
    lobes: 1,
    fixedSpreadRad: null,
    coefficients: bladeCoefficients(blade, reference),
  };
}

/** The pattern's own reference blade in brass, smooth: what the coefficients are calibrated to. */
export function referenceBlade(pattern: BladePattern): MeasuredBlade {
  const reference = PATTERNS[pattern].reference;
  return {
    pattern,
    lengthM: reference.lengthM,
    widthM: reference.widthM,
    thicknessM: reference.thicknessM,
    cupDepthM: reference.cupRatio * reference.widthM,
    holeOffsetM: REFERENCE_HOLE_OFFSET_M,
    material: 'brass',
    texture: 'smooth',
  };
}

export const REFERENCE_HOLE_OFFSET_M = 0.0018;
export const REFERENCE_SPEED_MPS = 0.8;
/** Fresh water at 20 °C as the reference behaviour is stated for, kg/m³. */
export const REFERENCE_WATER_DENSITY_KGM3 = 998;
