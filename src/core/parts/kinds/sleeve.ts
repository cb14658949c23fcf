import * as z from 'zod/mini';
import { partLengthM } from '../../schema';
import { box } from '../profile';
import { bored, common } from './common';
import { asMeasured, bearsAt, noWords, plain, type KindRoom } from './room';
import { solidKg, threadedWhole, turnedAreas } from './turned';

/** A tube on the wire: the bearing a bell rides on, or a spacer. */
export const sleeveSchema = z.strictObject({
  kind: z.literal('sleeve'),
  ...common,
  ...bored,
  diameterM: partLengthM,
});
export type Sleeve = z.infer<typeof sleeveSchema>;

/** `slidUp`: pushed back over the end of the loop as a plug. */
export const sleeveStateSchema = z.strictObject({ of: z.literal('sleeve'), slidUp: z.boolean() });

const radiusM = ({ diameterM }: Sleeve) => diameterM / 2;
const profile = ({ lengthM, diameterM }: Sleeve) => box(lengthM, diameterM);

export const sleeveRoom: KindRoom<Sleeve, z.infer<typeof sleeveStateSchema>> = {
  ...asMeasured,
  ...plain,
  usual: { of: 'sleeve', slidUp: false },
  asTaken: () => ({ of: 'sleeve', slidUp: false }),
  threads: threadedWhole('spacer'),
  sits: {},
  holds: {
    over: {
      takes: ['bore'],
      isOnlyOne: false,
      hanger: ({ diameterM }) => ({ hanger: 'sleeve', diameterM }),
      bearing: (_, lies, at) => bearsAt(lies, at, lies.x1M - lies.x0M),
    },
  },
  radiusM,
  profile,
  geometricKg: solidKg(profile),
  areas: turnedAreas(radiusM),
  smaller: ({ boreM, diameterM }) => [['hole', boreM, 'diameter', diameterM]],
  telling: ({ lengthM, diameterM }) => [lengthM, diameterM],
  words: noWords,
};
