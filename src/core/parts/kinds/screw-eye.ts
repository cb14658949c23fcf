import * as z from 'zod/mini';
import { partLengthM, thicknessM } from '../../schema';
import { densityOf } from '../material';
import { common } from './common';
import { asMeasured, discM2, hardAreas, plain, type KindRoom, untouched } from './room';

/** A hanger in a body: an eye on a screw, or one that was moulded in, and was weighed with the body. */
export const screwEyeSchema = z.strictObject({
  kind: z.literal('screwEye'),
  ...common,
  style: z.enum(['screw', 'moulded']),
  eyeInnerDiameterM: partLengthM,
  wireDiameterM: thicknessM,
  /** What of it is in the body. */
  threadLengthM: partLengthM,
});
export type ScrewEye = z.infer<typeof screwEyeSchema>;

/** From the skin of the body to the far inside of the eye, m. */
const standsM = ({ eyeInnerDiameterM, wireDiameterM }: ScrewEye) => eyeInnerDiameterM + wireDiameterM;
const outsideM = ({ eyeInnerDiameterM, wireDiameterM }: ScrewEye) => eyeInnerDiameterM + 2 * wireDiameterM;

export const screwEyeRoom: KindRoom<ScrewEye, null> = {
  ...asMeasured,
  ...plain,
  ...untouched,
  threads: null,
  sits: {
    screwed: {
      port: 'screw',
      side: () => ({ port: 'screw' }),
      lies: (part, { alongM }) => ({ x0M: alongM - outsideM(part) / 2, x1M: alongM + outsideM(part) / 2 }),
    },
  },
  holds: {
    hung: {
      takes: ['coil', 'hookEye', 'hole', 'swivelEye', 'bodyEye', 'wireLoop'],
      isOnlyOne: false,
      hanger: ({ eyeInnerDiameterM, wireDiameterM }) => ({
        hanger: 'loop',
        insideM: eyeInnerDiameterM,
        wireM: wireDiameterM,
      }),
      // Off the skin, on whichever side of the axis that is.
      bearing: (part, { x0M, x1M }, at) => ({
        ...at,
        alongM: (x0M + x1M) / 2,
        offAxisM: at.offAxisM + Math.sign(at.offAxisM) * standsM(part),
      }),
    },
  },
  radiusM: (part) => outsideM(part) / 2,
  profile: null,
  geometricKg: ({ eyeInnerDiameterM, wireDiameterM, threadLengthM, material }) =>
    discM2(wireDiameterM) * (Math.PI * (eyeInnerDiameterM + wireDiameterM) + threadLengthM) * densityOf(material),
  massKg: ({ massKg, style }) => (style === 'moulded' ? 0 : massKg),
  areas: (part) => hardAreas(part.wireDiameterM, outsideM(part), false),
  smaller: ({ wireDiameterM, threadLengthM }) => [['wire', wireDiameterM, 'length', threadLengthM]],
  telling: ({ eyeInnerDiameterM, wireDiameterM }) => [eyeInnerDiameterM, wireDiameterM],
  words: ({ style }) => (style === 'screw' ? ['screw eye', 'hanger'] : ['moulded', 'hanger']),
};

/** An eye that came with its body: it is neither screwed in nor weighed by itself. */
export function isMouldedEye({ kind, style }: { readonly kind: string; readonly style?: string }): boolean {
  return kind === 'screwEye' && style === 'moulded';
}
