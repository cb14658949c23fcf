import * as z from 'zod/mini';
import { partLengthM, thicknessM } from '../../schema';
import { densityOf } from '../material';
import { common } from './common';
import { asMeasured, bearsAt, discM2, hangsFrom, hardAreas, plain, type KindRoom } from './room';

/** Two eyes that turn against each other; of a three-way a third stands across, for the arm of a sinker. */
export const swivelSchema = z.strictObject({
  kind: z.literal('swivel'),
  ...common,
  style: z.enum(['barrel', 'crane', 'roller', 'ballBearing', 'threeWay']),
  /** Eye to eye, outside. */
  lengthM: partLengthM,
  barrelDiameterM: partLengthM,
  eyeInnerDiameterM: partLengthM,
  eyeWireM: thicknessM,
});
export type Swivel = z.infer<typeof swivelSchema>;

export const SWIVEL_CONDITIONS = ['free', 'gritty', 'rusty'] as const;
export type SwivelCondition = (typeof SWIVEL_CONDITIONS)[number];
export const swivelStateSchema = z.strictObject({ of: z.literal('swivel'), condition: z.enum(SWIVEL_CONDITIONS) });

const radiusM = ({ barrelDiameterM }: Swivel) => barrelDiameterM / 2;
const eye = ({ eyeInnerDiameterM, eyeWireM }: Swivel) => ({ openM: eyeInnerDiameterM, wireM: eyeWireM });

export const swivelRoom: KindRoom<Swivel, z.infer<typeof swivelStateSchema>> = {
  ...asMeasured,
  ...plain,
  usual: { of: 'swivel', condition: 'free' },
  asTaken: (state) => state,
  threads: null,
  sits: {
    hung: {
      port: 'swivelEye',
      side: (part) => ({ port: 'swivelEye', ...eye(part) }),
      lies: ({ eyeWireM, lengthM }, at) => hangsFrom(at, eyeWireM, lengthM),
    },
  },
  holds: {
    hung: {
      takes: ['hole', 'coil', 'wireLoop'],
      isOnlyOne: true,
      hanger: (part) => ({ hanger: 'swivelEye', ...eye(part) }),
      bearing: ({ lengthM, eyeWireM }, lies, at) => bearsAt(lies, at, lengthM - eyeWireM),
    },
  },
  radiusM,
  profile: null,
  geometricKg: ({ style, lengthM, eyeInnerDiameterM, eyeWireM, barrelDiameterM, material }) => {
    const barrelM = lengthM - 2 * (eyeInnerDiameterM + eyeWireM);
    const eyesM = (style === 'threeWay' ? 3 : 2) * Math.PI * (eyeInnerDiameterM + eyeWireM) + barrelM;
    return (discM2(barrelDiameterM) * Math.max(barrelM, 0) * 0.75 + discM2(eyeWireM) * eyesM) * densityOf(material);
  },
  areas: (part, { lengthM }) => hardAreas(radiusM(part), lengthM, false),
  smaller: ({ eyeInnerDiameterM, lengthM }) => [['eyes', 2 * eyeInnerDiameterM, 'length', lengthM]],
  telling: ({ lengthM }) => [lengthM],
  words: ({ style }) => [style === 'ballBearing' ? 'ball bearing' : style === 'threeWay' ? 'three-way' : style],
};
