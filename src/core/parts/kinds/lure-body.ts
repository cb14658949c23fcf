import * as z from 'zod/mini';
import { partLengthM, partLengthOrNoneM, thicknessM } from '../../schema';
import { BODY_SHAPES, bodyVolume } from '../body-form';
import { common } from './common';
import { noItem, plain, type KindRoom } from './room';

/** The most hangers that a body comes with under its belly. */
const MOST_BELLY_EYES = 4;

/** The most stations of a traced outline. */
export const MOST_STATIONS = 40;
const share = z.number().check(z.minimum(0), z.maximum(1));

function runsNoseToTail(stations: readonly { readonly at: number }[]): boolean {
  return (
    stations[0]?.at === 0 &&
    stations.at(-1)?.at === 1 &&
    stations.slice(1).every(({ at }, i) => at > (stations[i]?.at ?? 0))
  );
}

/**
 * The body of a hard bait, as it is bought or carved: weighed with all that is moulded into it, without hooks and rings.
 * It is what its carrier is made of; see carriers/body.ts.
 */
export const lureBodySchema = z.strictObject({
  kind: z.literal('lureBody'),
  ...common,
  shape: z.enum(BODY_SHAPES),
  /** Nose to tail without eyes and lip. */
  lengthM: partLengthM,
  heightM: partLengthM,
  widthM: partLengthM,
  /** Water it displaces, with its lip. */
  volumeM3: z.number().check(z.minimum(1e-9), z.maximum(1e-3)),
  /** Its eyes: clear inside and wire. */
  eyeInnerDiameterM: partLengthM,
  eyeWireM: thicknessM,
  /** Where the line is tied: an eye at its nose, on its back so far behind, or on its lip so far along it. */
  tieOn: z.enum(['nose', 'back', 'lip']),
  tieAtM: partLengthOrNoneM,
  hasTailEye: z.boolean(),
  /** Hangers moulded in under its belly, from its nose. */
  bellyEyesM: z.array(partLengthM).check(z.maxLength(MOST_BELLY_EYES)),
  /** 0 of a body without a lip. */
  lipLengthM: partLengthOrNoneM,
  lipWidthM: partLengthOrNoneM,
  /** Of the lip below the axis, from straight ahead. */
  lipDownRad: z.number().check(z.nonnegative(), z.maximum(Math.PI / 2)),
  /** Its outline where it was traced from a photo, nose to tail: shares of its length and height. */
  traced: z.optional(
    z
      .array(z.strictObject({ at: share, up: share, down: share }))
      .check(
        z.minLength(3),
        z.maxLength(MOST_STATIONS),
        z.refine(runsNoseToTail, 'from 0 at the nose, rising, to 1 at the tail'),
      ),
  ),
});
export type LureBody = z.infer<typeof lureBodySchema>;

export const lureBodyRoom: KindRoom<LureBody, null> = {
  ...noItem,
  ...plain,
  radiusM: ({ heightM }) => heightM / 2,
  // Plastic is hollow or foamed as it likes: what its form tells is held against the volume it was found to have.
  geometricKg: (part) => (part.massKg * bodyVolume(part)) / part.volumeM3,
  massKg: ({ massKg }) => massKg,
  displacedM3: ({ volumeM3 }) => volumeM3,
  smaller: ({ lengthM, heightM, widthM, tieAtM, tieOn, lipLengthM, eyeWireM, bellyEyesM }) => [
    ['width', widthM, 'length', lengthM],
    ['height', heightM, 'length', lengthM],
    ['wire', eyeWireM, 'height', heightM],
    ...(tieOn === 'back' ? ([['tieAt', tieAtM, 'length', lengthM]] as const) : []),
    // Without a lip there is none to tie to, and it is tied at its nose.
    ...(tieOn === 'lip' && lipLengthM > 0 ? ([['tieAt', tieAtM, 'lip', lipLengthM]] as const) : []),
    ...bellyEyesM.map((atM) => ['eyeAt', atM, 'length', lengthM] as const),
  ],
  telling: ({ lengthM }) => [lengthM],
  words: ({ shape, lipLengthM }) => [...SHAPE_WORDS[shape], 'hard bait', ...(lipLengthM > 0 ? ['lip', 'lipped'] : [])],
};

const SHAPE_WORDS = {
  diver: ['diver', 'diving bait', 'crankbait', 'plug'],
  minnow: ['minnow', 'jerkbait'],
  lipless: ['lipless', 'rattler'],
  popper: ['popper', 'topwater'],
  walker: ['walker', 'topwater', 'pencil'],
  swimmer: ['swimmer', 'swimbait'],
  spoon: ['spoon'],
  bladeBait: ['blade bait', 'metal'],
} as const;
