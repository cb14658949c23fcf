/**
 * The form of one limb of a hook in its own plane: x from the front of the eye, radius from the shank's axis.
 * A treble has three such limbs, a third of a turn apart. One form serves drawing and clearance.
 */
import { oncePer } from '../once';
import type { ProfilePoint } from './profile';

/** How far the point runs forward from the bend, as a share of the gap. */
const POINT_LIMB = 0.6;
const BEND_STEPS = 10;

/** What of a hook its form follows from. */
export interface HookMeasures {
  readonly lengthM: number;
  readonly gapM: number;
  readonly wireDiameterM: number;
  readonly eyeInnerDiameterM: number;
}

export interface HookLimb {
  /** Centre line from the shank's end round the bend to the point. */
  readonly path: readonly ProfilePoint[];
  readonly pointTip: ProfilePoint;
  readonly bendCentre: ProfilePoint;
  readonly bendRadiusM: number;
}

/** Length of a hook's eye along its shank, m. */
export function eyeLengthM(hook: Pick<HookMeasures, 'eyeInnerDiameterM' | 'wireDiameterM'>): number {
  return hook.eyeInnerDiameterM + 2 * hook.wireDiameterM;
}

/** One limb of a hook, m, worked out once for each hook. */
export const hookLimb = oncePer((hook: HookMeasures): HookLimb => {
  const bendRadiusM = hook.gapM / 2;
  const bendX = hook.lengthM - hook.wireDiameterM / 2 - bendRadiusM;
  const pointTip = { xM: bendX - POINT_LIMB * hook.gapM, radiusM: hook.gapM * 1.04 };
  const bend = Array.from({ length: BEND_STEPS + 1 }, (_, i) => {
    const angle = -Math.PI / 2 + (i / BEND_STEPS) * Math.PI;
    return { xM: bendX + bendRadiusM * Math.cos(angle), radiusM: bendRadiusM + bendRadiusM * Math.sin(angle) };
  });
  return {
    path: [{ xM: eyeLengthM(hook), radiusM: 0 }, ...bend, pointTip],
    pointTip,
    bendCentre: { xM: bendX, radiusM: bendRadiusM },
    bendRadiusM,
  };
});
