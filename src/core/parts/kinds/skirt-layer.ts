import * as z from 'zod/mini';
import { hexColour, partLengthM, thicknessM } from '../../schema';
import { densityOf } from '../material';
import { common } from './common';
import { asMeasured, NO_AREAS, noWords, plain, type KindRoom, untouched } from './room';

/** One layer for a banded skirt: a strip slit into strands, pulled through the band. */
export const skirtLayerSchema = z.strictObject({
  kind: z.literal('skirtLayer'),
  ...common,
  strands: z.int().check(z.positive(), z.maximum(80)),
  lengthM: partLengthM,
  strandWidthM: thicknessM,
  strandThicknessM: thicknessM,
  /** The colour of flakes or bars in it; null when plain. */
  accentHex: z.nullable(hexColour),
});
export type SkirtLayer = z.infer<typeof skirtLayerSchema>;

export const skirtLayerRoom: KindRoom<SkirtLayer, null> = {
  ...asMeasured,
  ...plain,
  ...untouched,
  threads: null,
  sits: {
    banded: {
      port: 'strip',
      side: () => ({ port: 'strip' }),
      lies: (_, { alongM, roomM }) => ({ x0M: alongM, x1M: alongM + roomM }),
    },
  },
  holds: {},
  radiusM: ({ strandWidthM }) => strandWidthM,
  profile: null,
  geometricKg: ({ strands, lengthM, strandWidthM, strandThicknessM, material }) =>
    strands * lengthM * strandWidthM * strandThicknessM * densityOf(material),
  areas: () => NO_AREAS,
  smaller: ({ strandWidthM, lengthM }) => [['strandWidth', strandWidthM, 'length', lengthM]],
  telling: ({ lengthM }) => [lengthM],
  words: noWords,
};
