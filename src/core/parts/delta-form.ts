/**
 * The form of a delta blade: lobes that rise from the wire at the front ear, stand widest towards the rear and fall back to
 * the rear ear. One form serves drawing, mass and the room it sweeps.
 */
import type { OutlineShape } from './blade-pattern';
import type { BladeShape } from './outline';
import type { ProfilePoint } from './profile';

/** Where along its length the tips stand, and how far out the trailing corner still is. Trade estimates. */
export const DELTA_TIPS_AT = 0.78;
const REAR_CORNER = 0.62;
const HUB_M = 0.0016;

/** A lobe laid out flat, from the wire to its tip: broadest well out. */
export const DELTA_LOBE: OutlineShape = { widestAt: 0.72, root: { p: 1.2, e: 0.9 }, tip: { p: 2, e: 0.5 } };
const LOBE_WIDTH = 0.8;

/** What of a delta blade its form follows from. */
export interface DeltaMeasures {
  readonly spanM: number;
  readonly lengthM: number;
}

/** One lobe of a delta blade as a shape, m. */
export function deltaLobe({ spanM, lengthM }: DeltaMeasures): BladeShape {
  return { lengthM: spanM / 2, widthM: lengthM * LOBE_WIDTH, cupDepthM: 0, holeOffsetM: 0 };
}

/** Radius it sweeps against the way from the front ear. */
export function deltaSweep({ lengthM, spanM }: DeltaMeasures): ProfilePoint[] {
  const tipM = spanM / 2;
  return [
    { xM: 0, radiusM: HUB_M },
    { xM: lengthM * 0.12, radiusM: HUB_M * 1.4 },
    { xM: lengthM * DELTA_TIPS_AT, radiusM: tipM },
    { xM: lengthM * 0.94, radiusM: tipM * REAR_CORNER },
    { xM: lengthM, radiusM: HUB_M },
  ];
}

/** Area of one lobe, m². */
export function deltaLobeArea(blade: DeltaMeasures): number {
  const sweep = deltaSweep(blade);
  return sweep.slice(1).reduce((sum, b, i) => {
    const a = sweep[i];
    return a ? sum + ((a.radiusM + b.radiusM) / 2) * (b.xM - a.xM) : sum;
  }, 0);
}
