import * as z from 'zod/mini';
import { partLengthM } from '../../schema';
import { densityOf } from '../material';
import { softHalfM } from '../soft-form';
import type { Trailer } from './trailer';
import { common } from './common';
import { asMeasured, discM2, NO_AREAS, plain, type KindRoom } from './room';

/** A slim ribbed or threaded weight that is screwed into a soft body. */
export const nailWeightSchema = z.strictObject({
  kind: z.literal('nailWeight'),
  ...common,
  lengthM: partLengthM,
  diameterM: partLengthM,
});
export type NailWeight = z.infer<typeof nailWeightSchema>;

/** The steepest lean of a nail: a quarter turn lays it lengthwise, its point to the tail. */
const QUARTER_RAD = Math.PI / 2;

/**
 * Where it sits in the body: from the body's head to where it goes in, how much of it stands out of the belly, how far it
 * leans from upright towards the tail, and what was clipped off it.
 */
export const nailStateSchema = z.strictObject({
  of: z.literal('nail'),
  atM: z.number().check(z.nonnegative(), z.maximum(0.6)),
  outM: z.number().check(z.nonnegative(), z.maximum(0.1)),
  leanRad: z.number().check(z.minimum(-QUARTER_RAD), z.maximum(QUARTER_RAD)),
  clippedM: z.number().check(z.nonnegative(), z.maximum(0.1)),
});
export type NailState = z.infer<typeof nailStateSchema>;

/** So much of a nail's length has to be in the body to grip. Trade estimate. */
export const GRIPS_FROM = 0.6;

/** What is left of a nail that was clipped, m. */
export function nailLengthM({ lengthM }: NailWeight, { clippedM }: NailState): number {
  return Math.max(lengthM - clippedM, 0);
}

export const nailWeightRoom: KindRoom<NailWeight, NailState> = {
  ...asMeasured,
  ...plain,
  usual: { of: 'nail', atM: 0.02, outM: 0, leanRad: 0, clippedM: 0 },
  asTaken: ({ atM, leanRad }) => ({ of: 'nail', atM, outM: 0, leanRad, clippedM: 0 }),
  threads: null,
  sits: {
    screwed: {
      port: 'nail',
      side: () => ({ port: 'nail' }),
      // Upright it takes its thickness of the body's length, lengthwise its own; about its middle, in from where it goes in.
      lies: (part, { alongM }, state) => {
        const lengthM = nailLengthM(part, state);
        const [sin, cos] = [Math.sin(state.leanRad), Math.cos(state.leanRad)];
        const halfM = (part.diameterM * cos + lengthM * Math.abs(sin)) / 2;
        const middleM = alongM + state.atM + (lengthM / 2 - state.outM) * sin;
        return { x0M: middleM - halfM, x1M: middleM + halfM };
      },
    },
  },
  holds: {},
  radiusM: ({ diameterM }) => diameterM / 2,
  profile: null,
  geometricKg: ({ lengthM, diameterM, material }) => discM2(diameterM) * lengthM * FULLNESS * densityOf(material),
  massKg: (part, state) => (part.massKg * nailLengthM(part, state)) / part.lengthM,
  middleUpM: (part, state, holder) => {
    const skinM = isSoft(holder) ? softHalfM(holder, state.atM) : 0;
    return (nailLengthM(part, state) / 2 - state.outM) * Math.cos(state.leanRad) - skinM;
  },
  // What stands out of the belly is in the lee of the blade.
  areas: () => NO_AREAS,
  smaller: ({ diameterM, lengthM }) => [['diameter', diameterM, 'length', lengthM]],
  telling: ({ lengthM, diameterM }) => [lengthM, diameterM],
  words: () => ['nail weight', 'knocker', 'insert'],
  heavier: (part, by) => ({
    ...part,
    massKg: part.massKg * by,
    lengthM: part.lengthM * Math.cbrt(by),
    diameterM: part.diameterM * Math.cbrt(by),
  }),
};

function isSoft(part: { readonly kind: string } | null): part is Trailer {
  return part?.kind === 'trailer';
}

/** Of the cylinder about its ribs and point, what is metal. Trade estimate. */
const FULLNESS = 0.8;
