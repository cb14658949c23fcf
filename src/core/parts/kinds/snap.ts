import * as z from 'zod/mini';
import { partLengthM, thicknessM } from '../../schema';
import { densityOf } from '../material';
import { common } from './common';
import { asMeasured, bearsAt, discM2, hangsFrom, hardAreas, plain, untouched, type KindRoom } from './room';

/** A wire clip that opens by hand; with a swivel before it or without. */
export const snapSchema = z.strictObject({
  kind: z.literal('snap'),
  ...common,
  style: z.enum(['plain', 'withSwivel', 'withBallBearing']),
  /** Outside, from the front of its eye to the back of its bow. */
  lengthM: partLengthM,
  widthM: partLengthM,
  wireDiameterM: thicknessM,
  eyeInnerDiameterM: partLengthM,
});
export type Snap = z.infer<typeof snapSchema>;

const radiusM = ({ widthM }: Snap) => widthM / 2;

export const snapRoom: KindRoom<Snap, null> = {
  ...asMeasured,
  ...plain,
  ...untouched,
  threads: null,
  sits: {
    hung: {
      port: 'swivelEye',
      side: ({ eyeInnerDiameterM, wireDiameterM }) => ({
        port: 'swivelEye',
        openM: eyeInnerDiameterM,
        wireM: wireDiameterM,
      }),
      lies: ({ wireDiameterM, lengthM }, at) => hangsFrom(at, wireDiameterM, lengthM),
    },
  },
  holds: {
    hung: {
      takes: ['hole', 'coil', 'wireLoop', 'hookEye', 'bodyEye'],
      isOnlyOne: true,
      // Its wire is passed through what it takes.
      hanger: ({ wireDiameterM }) => ({ hanger: 'line', lineM: wireDiameterM / 2 }),
      bearing: ({ lengthM, wireDiameterM }, lies, at) => bearsAt(lies, at, lengthM - wireDiameterM),
    },
  },
  radiusM,
  profile: null,
  geometricKg: ({ lengthM, widthM, wireDiameterM, style, material }) => {
    // Two sides, both bows and the clasp; a swivel is about as much again.
    const wires = discM2(wireDiameterM) * (2.4 * lengthM + Math.PI * widthM);
    return wires * (style === 'plain' ? 1 : 1.9) * densityOf(material);
  },
  areas: (part, { lengthM }) => hardAreas(0.6 * radiusM(part), lengthM, false),
  smaller: ({ wireDiameterM, widthM, lengthM, eyeInnerDiameterM }) => [
    ['wire', wireDiameterM, 'width', widthM],
    ['eye', eyeInnerDiameterM, 'length', lengthM],
  ],
  telling: ({ lengthM }) => [lengthM],
  words: ({ style }) => [style === 'plain' ? 'clip' : 'snap swivel'],
};
