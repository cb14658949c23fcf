import * as z from 'zod/mini';
import { partLengthM, stockLengthM, thicknessM } from '../../schema';
import { densityOf } from '../material';
import { common } from './common';
import { asMeasured, hardAreas, noWords, plain, stockMassKg, type KindRoom } from './room';

/** Tube sold by the length; the mass is that of one stock length, as supplied. It keeps its mass when it shrinks. */
export const shrinkTubeSchema = z.strictObject({
  kind: z.literal('shrinkTube'),
  ...common,
  suppliedBoreM: partLengthM,
  recoveredBoreM: partLengthM,
  suppliedWallM: thicknessM,
  stockLengthM,
  /** Share of its length that the tube loses when it shrinks. */
  lengthwiseShrink: z.number().check(z.minimum(0), z.maximum(0.3)),
});
export type ShrinkTube = z.infer<typeof shrinkTubeSchema>;

/** The length to cut, when the builder sets it; null takes the length worked out. */
export const tubeStateSchema = z.strictObject({ of: z.literal('tube'), cutLengthM: z.nullable(partLengthM) });

/** A tube somewhere on the shaft with no length set: enough to see and to slide. */
const UNSET_M = 0.01;

const radiusM = ({ recoveredBoreM, suppliedWallM }: ShrinkTube) => recoveredBoreM / 2 + 2 * suppliedWallM;

export const shrinkTubeRoom: KindRoom<ShrinkTube, z.infer<typeof tubeStateSchema>> = {
  ...asMeasured,
  ...plain,
  usual: { of: 'tube', cutLengthM: null },
  asTaken: (state) => state,
  threads: {
    side: null,
    // Last on the wire it lies over the tail wraps and takes no room.
    stackM: ({ lengthwiseShrink }, { cutLengthM }, { isLast }) =>
      isLast ? 0 : (cutLengthM ?? UNSET_M) * (1 - lengthwiseShrink),
    betweenLegsM: null,
  },
  sits: {},
  holds: {},
  radiusM,
  profile: null,
  geometricKg: ({ suppliedBoreM, suppliedWallM, stockLengthM: stockM, material }) =>
    Math.PI * (suppliedBoreM + suppliedWallM) * suppliedWallM * stockM * densityOf(material),
  massKg: stockMassKg,
  areas: (part, { lengthM }) => hardAreas(radiusM(part), lengthM, false),
  smaller: ({ recoveredBoreM, suppliedBoreM }) => [['shrunkHole', recoveredBoreM, 'hole', suppliedBoreM]],
  telling: ({ suppliedBoreM }) => [suppliedBoreM],
  words: noWords,
};
