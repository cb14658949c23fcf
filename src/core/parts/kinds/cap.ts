import * as z from 'zod/mini';
import { partLengthM, partLengthOrNoneM, thicknessM } from '../../schema';
import { curve } from '../profile';
import { bored, common } from './common';
import { asMeasured, noWords, plain, type KindRoom, untouched } from './room';
import { shellKg, slidOver, threadedWhole, turnedAreas } from './turned';

/** A domed cup that sits over the end of its neighbour by `nestDepthM`. */
export const capSchema = z.strictObject({
  kind: z.literal('cap'),
  ...common,
  ...bored,
  diameterM: partLengthM,
  wallM: thicknessM,
  nestDepthM: partLengthOrNoneM,
});
export type Cap = z.infer<typeof capSchema>;

const radiusM = ({ diameterM }: Cap) => diameterM / 2;

function profile({ lengthM, boreM, diameterM }: Cap) {
  return curve(lengthM, (x) => {
    const dome = Math.sqrt(1 - (1 - x) ** 2);
    return boreM / 2 + (diameterM / 2 - boreM / 2) * dome;
  });
}

/** What is thick enough to fill it. */
const FILLS: ReadonlySet<string> = new Set(['bead', 'weight']);

export const capRoom: KindRoom<Cap, null> = {
  ...asMeasured,
  ...plain,
  ...untouched,
  threads: {
    ...threadedWhole(),
    stackM: ({ lengthM, nestDepthM }, _, { open }) => (open && FILLS.has(open.kind) ? lengthM - nestDepthM : lengthM),
  },
  sits: { over: slidOver() },
  holds: {},
  radiusM,
  profile,
  geometricKg: shellKg(profile, ({ wallM }) => wallM),
  areas: turnedAreas(radiusM),
  smaller: ({ boreM, diameterM, nestDepthM, lengthM, wallM }) => [
    ['hole', boreM, 'diameter', diameterM],
    ['nest', nestDepthM, 'length', lengthM],
    ['wall', wallM, 'diameter', diameterM / 2],
  ],
  telling: ({ diameterM }) => [diameterM],
  words: noWords,
};
