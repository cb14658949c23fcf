import * as z from 'zod/mini';
import { partLengthM, thicknessM } from '../../schema';
import { densityOf } from '../material';
import { common } from './common';
import { asMeasured, bearsAt, discM2, hangsFrom, hardAreas, noWords, plain, type KindRoom, untouched } from './room';

/** Two turns of wire. */
export const splitRingSchema = z.strictObject({
  kind: z.literal('splitRing'),
  ...common,
  outerDiameterM: partLengthM,
  wireDiameterM: thicknessM,
});
export type SplitRing = z.infer<typeof splitRingSchema>;

const radiusM = ({ outerDiameterM }: SplitRing) => outerDiameterM / 2;
const coil = ({ outerDiameterM, wireDiameterM }: SplitRing) => ({
  wiresM: 2 * wireDiameterM,
  insideM: outerDiameterM - 2 * wireDiameterM,
});

export const splitRingRoom: KindRoom<SplitRing, null> = {
  ...asMeasured,
  ...plain,
  ...untouched,
  threads: null,
  sits: {
    hung: {
      port: 'coil',
      side: (part) => ({ port: 'coil', ...coil(part) }),
      lies: ({ wireDiameterM, outerDiameterM }, at) => hangsFrom(at, wireDiameterM, outerDiameterM),
    },
  },
  holds: {
    hung: {
      takes: ['hookEye', 'coil', 'hole', 'swivelEye', 'bodyEye', 'wireLoop'],
      isOnlyOne: false,
      hanger: (part) => ({ hanger: 'coil', ...coil(part) }),
      bearing: ({ outerDiameterM, wireDiameterM }, lies, at) => bearsAt(lies, at, outerDiameterM - wireDiameterM),
    },
  },
  radiusM,
  profile: null,
  geometricKg: ({ wireDiameterM, outerDiameterM, material }) =>
    discM2(wireDiameterM) * 2 * Math.PI * (outerDiameterM - wireDiameterM) * densityOf(material),
  areas: (part, { lengthM }) => hardAreas(radiusM(part), lengthM, false),
  smaller: ({ wireDiameterM, outerDiameterM }) => [['wires', wireDiameterM * 2, 'diameter', outerDiameterM]],
  telling: ({ outerDiameterM, wireDiameterM }) => [outerDiameterM, wireDiameterM],
  words: noWords,
};
