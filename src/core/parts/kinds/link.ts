import * as z from 'zod/mini';
import { partLengthM, stockLengthM, thicknessM } from '../../schema';
import { densityOf } from '../material';
import { common } from './common';
import { asMeasured, bearsAt, discM2, noWords, plain, stockMassKg, WIRE_DRAG, type KindRoom } from './room';

/** Line sold by the length, a short piece of which holds a second hook behind the first; the mass is that of one stock length. */
export const linkSchema = z.strictObject({
  kind: z.literal('link'),
  ...common,
  diameterM: thicknessM,
  stockLengthM,
  breakingN: z.number().check(z.minimum(1), z.maximum(2000)),
});
export type Link = z.infer<typeof linkSchema>;

/** From the eye it is looped through to the eye of the hook behind. */
export const linkStateSchema = z.strictObject({ of: z.literal('link'), lengthM: partLengthM });

export const linkRoom: KindRoom<Link, z.infer<typeof linkStateSchema>> = {
  ...asMeasured,
  ...plain,
  usual: { of: 'link', lengthM: 0.03 },
  asTaken: (state) => state,
  threads: null,
  sits: {
    tied: {
      port: 'binding',
      side: () => ({ port: 'binding' }),
      lies: (_, { alongM }, { lengthM }) => ({ x0M: alongM, x1M: alongM + lengthM }),
    },
  },
  holds: {
    hung: {
      takes: ['hookEye'],
      isOnlyOne: true,
      hanger: ({ diameterM }) => ({ hanger: 'line', lineM: diameterM }),
      bearing: (_, lies, at) => bearsAt(lies, at, lies.x1M - lies.x0M),
    },
  },
  radiusM: ({ diameterM }) => diameterM / 2,
  profile: null,
  geometricKg: ({ diameterM, stockLengthM: stockM, material }) => discM2(diameterM) * stockM * densityOf(material),
  massKg: stockMassKg,
  areas: ({ diameterM }, { lengthM }) => ({
    kind: 'wire',
    axialM2: 0,
    strandM2: 0,
    sideM2: WIRE_DRAG * diameterM * lengthM,
    slopeM2: 0,
  }),
  smaller: ({ diameterM, stockLengthM: stockM }) => [['thickness', diameterM, 'length', stockM]],
  telling: ({ diameterM }) => [diameterM],
  words: noWords,
};
