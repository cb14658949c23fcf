import * as z from 'zod/mini';
import { partLengthM, partLengthOrNoneM, thicknessM } from '../../schema';
import { HEAD_SHAPES, headVolume } from '../head-form';
import { densityOf } from '../material';
import { common } from './common';
import { asMeasured, discM2, hangsFrom, plain, type KindRoom, untouched } from './room';

/** A moulded head: the wire leaves it and a hook is cast in it; behind it a collar takes the skirt. */
export const headSchema = z.strictObject({
  kind: z.literal('head'),
  ...common,
  shape: z.enum(HEAD_SHAPES),
  /** Nose to the start of the collar. */
  lengthM: partLengthM,
  heightM: partLengthM,
  widthM: partLengthM,
  collarDiameterM: partLengthM,
  collarLengthM: partLengthM,
  /** Nose to where the wire comes out. */
  wireAtM: partLengthOrNoneM,
  /** Nose to the front of the hook's eye, inside the metal. */
  hookAtM: partLengthOrNoneM,
  /** Of a jig head: the eye that the line is tied to, its middle from the nose and above the axis. Absent where the wire has the tie. */
  eye: z.optional(
    z.strictObject({ atM: partLengthOrNoneM, upM: partLengthOrNoneM, insideM: partLengthM, wireM: thicknessM }),
  ),
});
export type Head = z.infer<typeof headSchema>;

const HEAD_DRAG = { bullet: 0.32, ball: 0.45, minnow: 0.3, flat: 0.55, cone: 0.4 } as const;
/** A flat head planes: its force across grows faster than a slender body's. */
const HEAD_LIFT = { bullet: 2, ball: 1.6, minnow: 2, flat: 3, cone: 1.8 } as const;
/** A head rides nose up on its underside, a flat one best: lift over ½ρU² and length × width. Trade estimates. */
const HEAD_PLANING = { bullet: 0.12, ball: 0.1, minnow: 0.15, flat: 0.3, cone: 0.12 } as const;

export const headRoom: KindRoom<Head, null> = {
  ...asMeasured,
  ...plain,
  ...untouched,
  threads: null,
  sits: {
    moulded: {
      port: 'cast',
      side: () => ({ port: 'cast' }),
      lies: ({ lengthM, collarLengthM }, at) => hangsFrom(at, 0, lengthM + collarLengthM),
    },
  },
  holds: {
    moulded: {
      takes: ['shank'],
      isOnlyOne: true,
      hanger: () => ({ hanger: 'bed' }),
      bearing: ({ hookAtM, lengthM, collarLengthM }, lies, at) => ({
        ...at,
        alongM: lies.x0M + hookAtM,
        coveredToM: lies.x0M + lengthM + collarLengthM,
      }),
    },
    collared: {
      takes: ['band'],
      isOnlyOne: true,
      hanger: ({ collarDiameterM }) => ({ hanger: 'collar', diameterM: collarDiameterM }),
      bearing: ({ lengthM }, lies, at) => ({ ...at, alongM: lies.x0M + lengthM }),
    },
  },
  radiusM: ({ heightM }) => heightM / 2,
  profile: null,
  geometricKg: (part) =>
    (headVolume(part) + discM2(part.collarDiameterM) * part.collarLengthM) * densityOf(part.material),
  displacedM3: headVolume,
  areas: ({ heightM, widthM, lengthM, shape }) => ({
    kind: 'hard',
    axialM2: HEAD_DRAG[shape] * ((Math.PI / 4) * heightM * widthM),
    strandM2: 0,
    sideM2: 0.8 * lengthM * widthM,
    slopeM2: HEAD_LIFT[shape] * (Math.PI / 4) * widthM ** 2,
  }),
  planingM2: ({ shape, lengthM, widthM }) => HEAD_PLANING[shape] * lengthM * widthM,
  smaller: ({ wireAtM, hookAtM, lengthM, collarLengthM }) => [
    ['wireAt', wireAtM, 'length', lengthM + collarLengthM],
    ['hookAt', hookAtM, 'length', lengthM + collarLengthM],
  ],
  telling: ({ lengthM, heightM }) => [lengthM, heightM],
  words: ({ shape, eye }) => [shape, ...(eye ? ['jig head'] : [])],
  heavier: (part, by) => ({
    ...part,
    massKg: part.massKg * by,
    lengthM: part.lengthM * Math.cbrt(by),
    heightM: part.heightM * Math.cbrt(by),
    widthM: part.widthM * Math.cbrt(by),
  }),
};
