/** A hard bait's body from rule, scale and water: what of it was measured, and what is still open or cannot be. */
import { bodyVolume, type BodyShape, type TracedStation } from '../parts/body-form';
import type { LureBody } from '../parts/kinds/lure-body';
import { volumeByWater, type InWater, type VolumeByWater } from './volume-by-water';
import { waterDensity, type Water } from './water';

export interface BodyReadings {
  readonly shape: BodyShape;
  readonly lengthM: number | null;
  readonly heightM: number | null;
  readonly widthM: number | null;
  /** Bare, in air. */
  readonly massKg: number | null;
  /** Hooks and rings that were left on it in the water. */
  readonly hangingKg: number;
  /** Null while its reading is open. */
  readonly inWater: InWater | null;
  readonly eyeInnerDiameterM: number;
  readonly eyeWireM: number;
  readonly tieOn: LureBody['tieOn'];
  readonly tieAtM: number | null;
  readonly hasTailEye: boolean;
  readonly bellyEyesM: readonly number[];
  readonly hasLip: boolean;
  readonly lipLengthM: number | null;
  readonly lipWidthM: number | null;
  readonly lipDownRad: number;
  /** Its outline, where that was traced. */
  readonly traced: readonly TracedStation[] | null;
}

export type OpenReading =
  'lengthM' | 'heightM' | 'widthM' | 'massKg' | 'inWater' | 'tieAtM' | 'lipLengthM' | 'lipWidthM';

export type BodyMeasures = Omit<LureBody, 'id' | 'name' | 'maker' | 'label' | 'finish' | 'material'>;

export type MeasuredBody =
  | {
      readonly outcome: 'measured';
      readonly measures: BodyMeasures;
      /** What the bare body weighs in water, kg; below zero it floats. */
      readonly inWaterKg: number;
      /** Volume found by water over the volume of the outline; 1 agrees. */
      readonly agreement: number;
    }
  | { readonly outcome: 'open'; readonly open: readonly OpenReading[] }
  | Exclude<VolumeByWater, { outcome: 'found' }>;

/** Outline and water may disagree by this share before something is amiss. */
export const VOLUME_AGREES_WITHIN = 0.25;

/** What the readings give, SI. Never throws; whether the measures can stand together is asked of the part. */
export function bodyFromReadings(readings: BodyReadings, water: Water): MeasuredBody {
  const { lengthM, heightM, widthM, massKg, inWater, hasLip, traced, bellyEyesM, ...rest } = readings;
  const isTiedAt = rest.tieOn === 'back' || (rest.tieOn === 'lip' && hasLip);
  const open = (
    [
      ['lengthM', lengthM],
      ['heightM', heightM],
      ['widthM', widthM],
      ['massKg', massKg],
      ['inWater', inWater],
      ...(hasLip
        ? ([
            ['lipLengthM', rest.lipLengthM],
            ['lipWidthM', rest.lipWidthM],
          ] as const)
        : []),
      ...(isTiedAt ? ([['tieAtM', rest.tieAtM]] as const) : []),
    ] as const
  ).flatMap(([key, value]) => (value === null ? [key] : []));
  if (lengthM === null || heightM === null || widthM === null || massKg === null || inWater === null) {
    return { outcome: 'open', open };
  }
  if (open.length > 0) return { outcome: 'open', open };
  const found = volumeByWater({ lengthM, widthM }, massKg, readings.hangingKg, inWater, waterDensity(water));
  if (found.outcome !== 'found') return found;
  const measures: BodyMeasures = {
    kind: 'lureBody',
    shape: rest.shape,
    lengthM,
    heightM,
    widthM,
    massKg,
    volumeM3: found.volumeM3,
    eyeInnerDiameterM: rest.eyeInnerDiameterM,
    eyeWireM: rest.eyeWireM,
    tieOn: rest.tieOn,
    tieAtM: (isTiedAt ? rest.tieAtM : null) ?? 0,
    hasTailEye: rest.hasTailEye,
    bellyEyesM: [...bellyEyesM],
    lipLengthM: (hasLip ? rest.lipLengthM : null) ?? 0,
    lipWidthM: (hasLip ? rest.lipWidthM : null) ?? 0,
    lipDownRad: hasLip ? rest.lipDownRad : 0,
    ...(traced ? { traced: [...traced] } : {}),
  };
  return {
    outcome: 'measured',
    measures,
    inWaterKg: found.inWaterKg,
    agreement: found.volumeM3 / bodyVolume({ ...measures }),
  };
}
