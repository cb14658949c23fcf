import * as z from 'zod/mini';
import { breakingN, partLengthM, stockLengthM, thicknessM } from '../../schema';
import { common } from './common';
import { WIRE_DRAG, asMeasured, bearsAt, noWords, plain, roundStock, type KindRoom } from './room';

/** Line sold by the length, a short piece of which holds a second hook behind the first; the mass is that of one stock length. */
export const linkSchema = z.strictObject({
  kind: z.literal('link'),
  ...common,
  diameterM: thicknessM,
  stockLengthM,
  breakingN,
});
export type Link = z.infer<typeof linkSchema>;

/** From the eye it is looped through to the eye of the hook behind. */
export const linkStateSchema = z.strictObject({ of: z.literal('link'), lengthM: partLengthM });

export const linkRoom: KindRoom<Link, z.infer<typeof linkStateSchema>> = {
  ...asMeasured,
  ...plain,
  ...roundStock,
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
  profile: null,
  areas: ({ diameterM }, { lengthM }) => ({
    kind: 'wire',
    axialM2: 0,
    strandM2: 0,
    sideM2: WIRE_DRAG * diameterM * lengthM,
    slopeM2: 0,
  }),
  words: noWords,
};
