import * as z from 'zod/mini';
import { partLengthM } from '../../schema';
import { box } from '../profile';
import { bored, common } from './common';
import { asMeasured, noWords, plain, type KindRoom, untouched } from './room';
import { slidOver, solidKg, threadedWhole, turnedAreas } from './turned';

/** A solid turned piece that knocks against a bell. */
export const strikerSchema = z.strictObject({
  kind: z.literal('striker'),
  ...common,
  ...bored,
  diameterM: partLengthM,
});
export type Striker = z.infer<typeof strikerSchema>;

const radiusM = ({ diameterM }: Striker) => diameterM / 2;
const profile = ({ lengthM, diameterM }: Striker) => box(lengthM, diameterM);

export const strikerRoom: KindRoom<Striker, null> = {
  ...asMeasured,
  ...plain,
  ...untouched,
  threads: threadedWhole(),
  sits: { over: slidOver() },
  holds: {},
  radiusM,
  profile,
  geometricKg: solidKg(profile),
  areas: turnedAreas(radiusM),
  smaller: ({ boreM, diameterM }) => [['hole', boreM, 'diameter', diameterM]],
  telling: ({ diameterM }) => [diameterM],
  words: noWords,
};
