import * as z from 'zod/mini';
import { partLengthM, wireLengthM } from '../../schema';
import { densityOf } from '../material';
import { common } from './common';
import { asMeasured, discM2, noWords, plain, type KindRoom } from './room';

export const TRAILER_STYLES = ['paddleTail', 'kickingFrog', 'grub', 'claw', 'segmentedMinnow', 'swimmer'] as const;

/** A soft tail pushed on the hook. */
export const trailerSchema = z.strictObject({
  kind: z.literal('trailer'),
  ...common,
  style: z.enum(TRAILER_STYLES),
  lengthM: partLengthM,
  /** Height and width of the body at its head. */
  bodyM: partLengthM,
  /** From its head to where the part that kicks begins. */
  kicksFromM: partLengthM,
  head: z.enum(['blunt', 'pointed']),
});
export type Trailer = z.infer<typeof trailerSchema>;

/** `cutM`: taken off its head end. `crookedRad`: how far from dead straight it is threaded. `pointBuried`: its back covers the point. */
export const trailerStateSchema = z.strictObject({
  of: z.literal('trailer'),
  cutM: wireLengthM,
  rounded: z.boolean(),
  crookedRad: z.number().check(z.nonnegative(), z.maximum(1)),
  pointBuried: z.optional(z.boolean()),
});

/** On the section of its head: a body of 0.3 and what kicks behind it, about as large as the body, broadside to the flow in part. */
const TAIL_DRAG = {
  paddleTail: 1.4,
  kickingFrog: 1.5,
  grub: 0.7,
  claw: 0.9,
  segmentedMinnow: 0.5,
  swimmer: 1.2,
} as const;
/** Of that, the body's own, which is less when it is cut shorter. */
const BODY_DRAG = 0.3;
/** How much of the cylinder about it a soft tail fills. Trade estimates. */
const FULLNESS = {
  paddleTail: 0.52,
  kickingFrog: 0.6,
  grub: 0.46,
  claw: 0.42,
  segmentedMinnow: 0.5,
  swimmer: 0.56,
} as const;

export const trailerRoom: KindRoom<Trailer, z.infer<typeof trailerStateSchema>> = {
  ...asMeasured,
  ...plain,
  usual: { of: 'trailer', cutM: 0, rounded: false, crookedRad: 0 },
  asTaken: ({ of, crookedRad }) => ({ of, cutM: 0, rounded: false, crookedRad }),
  threads: null,
  sits: {
    pushed: {
      port: 'slit',
      side: () => ({ port: 'slit' }),
      lies: ({ lengthM }, { alongM }, { cutM }) => ({ x0M: alongM, x1M: alongM + lengthM - cutM }),
    },
  },
  holds: {
    /** A nail weight goes in where its own state says, measured from the trailer's head as it came. */
    screwed: {
      takes: ['nail'],
      isOnlyOne: false,
      hanger: () => ({ hanger: 'bed' }),
      bearing: (_, { x0M }, at) => ({ ...at, alongM: x0M, coveredToM: null }),
    },
  },
  radiusM: ({ bodyM }) => bodyM / 2,
  profile: null,
  geometricKg: ({ bodyM, lengthM, style, material }) => discM2(bodyM) * lengthM * FULLNESS[style] * densityOf(material),
  massKg: ({ massKg, lengthM }, { cutM }) => massKg * Math.max(0, 1 - cutM / lengthM),
  areas: ({ bodyM, style, lengthM }, { state: { cutM } }) => {
    const front = (Math.PI / 4) * bodyM ** 2;
    return {
      kind: 'soft',
      // What is cut off is body; what kicks behind it stays.
      axialM2: (TAIL_DRAG[style] - BODY_DRAG * (cutM / lengthM)) * front,
      strandM2: 0,
      sideM2: 0.8 * (lengthM - cutM) * bodyM,
      slopeM2: 2.4 * front,
    };
  },
  smaller: ({ kicksFromM, lengthM, bodyM }) => [
    ['kicksFrom', kicksFromM, 'length', lengthM],
    ['body', bodyM, 'length', lengthM],
  ],
  telling: ({ lengthM }) => [lengthM],
  words: noWords,
};
