import * as z from 'zod/mini';
import { partLengthM, thicknessM } from '../../schema';
import { densityOf } from '../material';
import { solidVolume } from '../profile';
import { common } from './common';
import { asMeasured, bearsAt, discM2, hangsFrom, hardAreas, plain, type KindRoom, untouched } from './room';
import { metalProfile } from './weight';

/** A weighted body on a wire of its own with an eye at each end: the second piece of a spinner in two pieces. */
export const bodySchema = z.strictObject({
  kind: z.literal('body'),
  ...common,
  shape: z.enum(['barrel', 'egg', 'teardrop']),
  /** Front of the front eye to the back of the rear eye. */
  lengthM: partLengthM,
  /** Length and thickness of the metal between the eyes. */
  metalLengthM: partLengthM,
  diameterM: partLengthM,
  wireDiameterM: thicknessM,
  eyeInnerDiameterM: partLengthM,
});
export type MetalBody = z.infer<typeof bodySchema>;

const radiusM = ({ diameterM }: MetalBody) => diameterM / 2;
const eye = ({ eyeInnerDiameterM, wireDiameterM }: MetalBody) => ({ openM: eyeInnerDiameterM, wireM: wireDiameterM });

export const bodyRoom: KindRoom<MetalBody, null> = {
  ...asMeasured,
  ...plain,
  ...untouched,
  threads: null,
  sits: {
    hung: {
      port: 'bodyEye',
      side: (part) => ({ port: 'bodyEye', ...eye(part) }),
      lies: ({ wireDiameterM, lengthM }, at) => hangsFrom(at, wireDiameterM, lengthM),
    },
  },
  holds: {
    hung: {
      takes: ['coil', 'hookEye'],
      isOnlyOne: false,
      hanger: (part) => ({ hanger: 'bodyEye', ...eye(part) }),
      bearing: ({ lengthM, wireDiameterM }, lies, at) => bearsAt(lies, at, lengthM - wireDiameterM),
    },
  },
  radiusM,
  profile: null,
  geometricKg: ({ shape, metalLengthM, diameterM, wireDiameterM, eyeInnerDiameterM, material }) => {
    const metal = { shape, lengthM: metalLengthM, diameterM, boreM: wireDiameterM };
    const eyesM = 2 * Math.PI * (eyeInnerDiameterM + wireDiameterM) + metalLengthM;
    return (solidVolume(metalProfile(metal), wireDiameterM) + discM2(wireDiameterM) * eyesM) * densityOf(material);
  },
  areas: (part, { lengthM }) => hardAreas(radiusM(part), lengthM, true),
  smaller: ({ metalLengthM, lengthM, wireDiameterM, diameterM }) => [
    ['metal', metalLengthM, 'length', lengthM],
    ['wire', wireDiameterM, 'diameter', diameterM],
  ],
  telling: ({ metalLengthM, diameterM }) => [metalLengthM, diameterM],
  words: ({ shape }) => [shape],
  heavier: (part, by) => {
    const metalLengthM = part.metalLengthM * Math.cbrt(by);
    return {
      ...part,
      massKg: part.massKg * by,
      metalLengthM,
      lengthM: part.lengthM + metalLengthM - part.metalLengthM,
      diameterM: part.diameterM * Math.cbrt(by),
    };
  },
};
