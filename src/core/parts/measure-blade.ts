/**
 * A blade from caliper and scale. Length, width and the hole are measured; of thickness, crown and mass any one may be
 * left out and follows from the others through sheet area × thickness × density. With all three there is a check instead.
 */
import { findRoot } from '../root';
import { PATTERNS, type BladePattern } from './blade-pattern';
import { densityOf, type MaterialId } from './material';
import { sheetArea, type BladeShape } from './outline';

export interface BladeReadings {
  readonly pattern: BladePattern;
  readonly material: MaterialId;
  readonly lengthM: number;
  readonly widthM: number;
  readonly holeDiameterM: number;
  /** Root end to the near rim of the hole: what a caliper takes. */
  readonly rootToHoleM: number;
  readonly thicknessM: number | null;
  /** Height of the crown over the table, the blade lying hollow down: hollow and thickness together. */
  readonly crownM: number | null;
  readonly massKg: number | null;
}

export type BladeReading = 'thicknessM' | 'crownM' | 'massKg';

export type BladeFromReadings =
  | {
      readonly outcome: 'measured';
      readonly thicknessM: number;
      readonly cupDepthM: number;
      readonly holeOffsetM: number;
      readonly massKg: number;
      /** What was worked out rather than measured. */
      readonly computed: BladeReading | null;
      /** Mass from the measures over the mass weighed, with all three readings; 1 agrees. Null when one was computed. */
      readonly agreement: number | null;
    }
  | { readonly outcome: 'tooFew'; readonly missing: readonly BladeReading[] }
  | {
      readonly outcome: 'impossible';
      readonly reason: 'crownBelowThickness' | 'wider' | 'holeOutside' | 'holeTooWide' | 'tooLight' | 'tooHeavy';
      readonly limit: number;
    };

/** Measures and mass may disagree by this share before something is amiss. */
export const MASS_AGREES_WITHIN = 0.15;
const THINNEST_M = 0.0001;
const THICKEST_M = 0.004;
/** No blade is cupped deeper than this share of its width. */
const DEEPEST_CUP = 0.5;

/** The blade that these readings give, SI, or which reading is missing or impossible. Formulas above. */
export function bladeFromReadings(readings: BladeReadings): BladeFromReadings {
  const { lengthM, widthM, holeDiameterM, rootToHoleM, thicknessM, crownM, massKg } = readings;
  const missing = (['thicknessM', 'crownM', 'massKg'] as const).filter((key) => readings[key] === null);
  if (widthM > lengthM) return impossible('wider', lengthM);
  const holeOffsetM = rootToHoleM + holeDiameterM / 2;
  if (holeOffsetM + holeDiameterM / 2 > lengthM / 2) return impossible('holeOutside', lengthM / 2);
  if (mass(readings, holeOffsetM, THINNEST_M, 0) <= 0) return impossible('holeTooWide', widthM);
  if (missing.length > 1) return { outcome: 'tooFew', missing };

  const massWith = (thickness: number, cupDepthM: number) => mass(readings, holeOffsetM, thickness, cupDepthM);
  const done = (thickness: number, cupDepthM: number, kg: number, agreement: number | null): BladeFromReadings => ({
    outcome: 'measured',
    thicknessM: thickness,
    cupDepthM,
    holeOffsetM,
    massKg: kg,
    computed: missing[0] ?? null,
    agreement,
  });
  if (thicknessM !== null && crownM !== null) {
    const cupDepthM = crownM - thicknessM;
    if (cupDepthM < 0) return impossible('crownBelowThickness', thicknessM);
    const computed = massWith(thicknessM, cupDepthM);
    return massKg === null
      ? done(thicknessM, cupDepthM, computed, null)
      : done(thicknessM, cupDepthM, massKg, computed / massKg);
  }
  if (massKg === null) return { outcome: 'tooFew', missing };
  if (crownM !== null) {
    // The hollow is what the crown leaves over the thickness, so both move together.
    const excess = (thickness: number) => massWith(thickness, Math.max(crownM - thickness, 0)) - massKg;
    const root = findRoot(excess, THINNEST_M, Math.min(THICKEST_M, crownM), 1e-7);
    if (root.outcome === 'noBracket') return tooLightOrHeavy(root.fLow > 0, massWith, crownM);
    if (root.outcome !== 'converged') return impossible('tooLight', 0);
    return done(root.x, crownM - root.x, massKg, null);
  }
  if (thicknessM === null) return { outcome: 'tooFew', missing };
  const excess = (cupDepthM: number) => massWith(thicknessM, cupDepthM) - massKg;
  const deepestM = DEEPEST_CUP * widthM;
  const root = findRoot(excess, 0, deepestM, 1e-7);
  if (root.outcome === 'converged') return done(thicknessM, root.x, massKg, null);
  return root.outcome === 'noBracket' && root.fLow > 0
    ? impossible('tooLight', massWith(thicknessM, 0))
    : impossible('tooHeavy', massWith(thicknessM, deepestM));
}

function tooLightOrHeavy(
  isTooLight: boolean,
  massWith: (thicknessM: number, cupDepthM: number) => number,
  crownM: number,
): BladeFromReadings {
  return isTooLight
    ? impossible('tooLight', massWith(THINNEST_M, crownM - THINNEST_M))
    : impossible('tooHeavy', massWith(Math.min(THICKEST_M, crownM), 0));
}

function mass(readings: BladeReadings, holeOffsetM: number, thicknessM: number, cupDepthM: number): number {
  const shape: BladeShape = { lengthM: readings.lengthM, widthM: readings.widthM, cupDepthM, holeOffsetM };
  const holeM2 = (Math.PI / 4) * readings.holeDiameterM ** 2;
  const areaM2 = sheetArea(PATTERNS[readings.pattern].outline, shape) - holeM2;
  return areaM2 * thicknessM * densityOf(readings.material);
}

type Impossible = Extract<BladeFromReadings, { outcome: 'impossible' }>;

function impossible(reason: Impossible['reason'], limit: number): Impossible {
  return { outcome: 'impossible', reason, limit };
}
