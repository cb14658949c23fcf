import * as z from 'zod/mini';
import { hexColour, partLengthM } from '../../schema';
import { densityOf } from '../material';
import { common } from './common';
import { asMeasured, discM2, noWords, plain, type KindRoom, untouched } from './room';

/** Hair, feather or chenille tied down with thread: a band of `bandLengthM` and fibres trailing from it. */
export const dressingSchema = z.strictObject({
  kind: z.literal('dressing'),
  ...common,
  style: z.enum(['hair', 'feather', 'chenille']),
  bandLengthM: partLengthM,
  /** From the front of the band to the fibre tips. */
  fibreLengthM: partLengthM,
  /** Thickness of the bundle where it is fullest. */
  bulkM: partLengthM,
  /** Thickness of the bundle pressed flat under the thread: what its mass comes from. */
  coreM: partLengthM,
  threadHex: hexColour,
});
export type Dressing = z.infer<typeof dressingSchema>;

const DRESSING_DRAG = 0.45;

export const dressingRoom: KindRoom<Dressing, null> = {
  ...asMeasured,
  ...plain,
  ...untouched,
  threads: { side: null, stackM: ({ bandLengthM }) => bandLengthM, betweenLegsM: null },
  sits: {
    tied: {
      port: 'binding',
      side: () => ({ port: 'binding' }),
      lies: ({ fibreLengthM }, { alongM }) => ({ x0M: alongM, x1M: alongM + fibreLengthM }),
    },
  },
  holds: {},
  radiusM: ({ bulkM }) => bulkM / 2,
  profile: null,
  geometricKg: ({ coreM, fibreLengthM, material }) => discM2(coreM) * fibreLengthM * densityOf(material),
  areas: ({ bulkM, fibreLengthM }) => {
    const front = (Math.PI / 4) * bulkM ** 2;
    return {
      kind: 'soft',
      axialM2: DRESSING_DRAG * front,
      strandM2: 0,
      sideM2: 0.5 * fibreLengthM * bulkM,
      slopeM2: front,
    };
  },
  smaller: ({ bandLengthM, fibreLengthM, coreM, bulkM }) => [
    ['band', bandLengthM, 'length', fibreLengthM],
    ['core', coreM, 'bulk', bulkM],
  ],
  telling: ({ fibreLengthM }) => [fibreLengthM],
  words: noWords,
};
