import * as z from 'zod/mini';
import { partLengthM } from '../../schema';
import { densityOf } from '../material';
import { skirtForm } from '../skirt-form';
import { common } from './common';
import { asMeasured, discM2, plain, type Along, type Bearing, type KindRoom } from './room';

/** What holds a skirt: a band for layers of strips, or one piece with its strands moulded on. */
export const skirtSchema = z.strictObject({
  kind: z.literal('skirt'),
  ...common,
  style: z.enum(['banded', 'onePiece']),
  /** Inside when not stretched. */
  boreM: partLengthM,
  collarLengthM: partLengthM,
  collarDiameterM: partLengthM,
  /** Of a one-piece skirt; null for a band. */
  strands: z.nullable(z.strictObject({ count: z.int().check(z.positive(), z.maximum(300)), lengthM: partLengthM })),
});
export type Skirt = z.infer<typeof skirtSchema>;

/** `collarAt`: how far along its strands the collar sits, from the end that lies to the nose. */
export const skirtStateSchema = z.strictObject({
  of: z.literal('skirt'),
  collarAt: z.number().check(z.minimum(0.1), z.maximum(0.9)),
  tips: z.enum(['even', 'thinned']),
});

/** Section of a strand of a one-piece skirt, m². */
const ONE_PIECE_STRAND_M2 = 0.0011 * 0.0009;
/** Of the strands that stand into the flow, the share that is not in the lee of others. */
const SKIRT_OPEN = 0.3;

/** What it holds lies within its collar. */
function inCollar({ collarLengthM }: Skirt, lies: Along, at: Bearing): Bearing {
  return { ...at, alongM: lies.x0M, roomM: collarLengthM };
}

export const skirtRoom: KindRoom<Skirt, z.infer<typeof skirtStateSchema>> = {
  ...asMeasured,
  ...plain,
  usual: { of: 'skirt', collarAt: 0.36, tips: 'even' },
  asTaken: (state) => ({ ...state, tips: 'even' }),
  threads: null,
  sits: {
    collared: {
      port: 'band',
      side: ({ boreM }) => ({ port: 'band', boreM }),
      lies: ({ collarLengthM }, { alongM }) => ({ x0M: alongM, x1M: alongM + collarLengthM }),
    },
  },
  holds: {
    banded: { takes: ['strip'], isOnlyOne: false, hanger: () => ({ hanger: 'band' }), bearing: inCollar },
    tied: { takes: ['lashing'], isOnlyOne: true, hanger: () => ({ hanger: 'band' }), bearing: inCollar },
  },
  radiusM: ({ collarDiameterM }) => collarDiameterM / 2,
  profile: null,
  geometricKg: ({ collarDiameterM, boreM, collarLengthM, strands, material }) => {
    const bandM3 = (discM2(collarDiameterM) - discM2(boreM)) * collarLengthM;
    const strandsM3 = strands ? strands.count * strands.lengthM * ONE_PIECE_STRAND_M2 : 0;
    return (bandM3 + strandsM3) * densityOf(material);
  },
  areas: (part, { state, flipped, held }) => {
    const form = skirtForm(part, state, flipped, held);
    const standing = form.groups.reduce(
      (sum, { count, widthM, toNoseM, toTailM }) =>
        sum + count * widthM * (toNoseM * 1 + toTailM * Math.sin(form.flareRad) * 0.6),
      0,
    );
    const strandM2 = SKIRT_OPEN * standing;
    return { kind: 'soft', axialM2: 0, strandM2, sideM2: 0.6 * (strandM2 + 0.012 * form.toTailM), slopeM2: 0 };
  },
  smaller: ({ boreM, collarDiameterM }) => [['hole', boreM, 'collar', collarDiameterM]],
  telling: ({ strands, boreM }) => [strands?.lengthM ?? boreM],
  words: ({ style }) => [style === 'onePiece' ? 'one-piece' : style],
};
