/** A nail weight pushed into a soft body: the same metal upright under its middle, or lengthwise towards its tail. */
import type { TrimBody } from './trim';

export interface NailWeight {
  readonly massKg: number;
  readonly densityKgM3: number;
  readonly lengthM: number;
}

/**
 * What it adds to the body it is pushed into. The flow does not feel it; the soft stuff it pushes aside stays in the body,
 * so it displaces water of its own.
 * @param atM where its middle comes to lie, behind and above the line tie
 */
export function nailIn(nail: NailWeight, atM: { readonly xM: number; readonly yM: number }): TrimBody {
  return {
    ...atM,
    massKg: nail.massKg,
    volumeM3: nail.massKg / nail.densityKgM3,
    axialM2: 0,
    strandM2: 0,
    sideM2: 0,
    slopeM2: 0,
  };
}

/** Where its middle lies: upright, screwed up from the belly; or lengthwise, pushed in from the tail end. */
export function nailPlace(
  nail: NailWeight,
  body: { readonly middleXM: number; readonly bellyYM: number; readonly tailXM: number; readonly axisYM: number },
  way: 'upright' | 'lengthwise',
): { readonly xM: number; readonly yM: number } {
  return way === 'upright'
    ? { xM: body.middleXM, yM: body.bellyYM + nail.lengthM / 2 }
    : { xM: body.tailXM - nail.lengthM / 2, yM: body.axisYM };
}
