import * as z from 'zod/mini';
import { partLengthM, thicknessM } from '../../schema';
import { densityOf } from '../material';
import { box, facets, roundOff, shellVolume, solidVolume, type ProfilePoint } from '../profile';
import { bored, common } from './common';
import { asMeasured, plain, type KindRoom, untouched } from './room';
import { slidOver, threadedWhole, turnedAreas } from './turned';

export const beadSchema = z.strictObject({
  kind: z.literal('bead'),
  ...common,
  ...bored,
  shape: z.enum(['round', 'faceted', 'disc']),
  diameterM: partLengthM,
  /** Wall of a hollow metal bead; null when solid. */
  wallM: z.nullable(thicknessM),
});
export type Bead = z.infer<typeof beadSchema>;

const radiusM = ({ diameterM }: Bead) => diameterM / 2;

function profile({ shape, lengthM, diameterM, boreM }: Bead): ProfilePoint[] {
  switch (shape) {
    case 'disc':
      return box(lengthM, diameterM);
    case 'faceted':
      return facets(lengthM, diameterM, boreM);
    case 'round':
      return roundOff(lengthM, diameterM, boreM, 2);
  }
}

export const beadRoom: KindRoom<Bead, null> = {
  ...asMeasured,
  ...plain,
  ...untouched,
  threads: threadedWhole(),
  sits: { over: slidOver() },
  holds: {},
  radiusM,
  profile,
  geometricKg: (part) => {
    const outside = profile(part);
    const volumeM3 = part.wallM === null ? solidVolume(outside, part.boreM) : shellVolume(outside, part.wallM);
    return volumeM3 * densityOf(part.material);
  },
  areas: turnedAreas(radiusM),
  smaller: ({ boreM, diameterM, wallM }) => [
    ['hole', boreM, 'diameter', diameterM],
    ...(wallM === null ? [] : ([['wall', wallM, 'diameter', diameterM / 2]] as const)),
  ],
  telling: ({ diameterM }) => [diameterM],
  words: ({ shape, wallM }) => [shape, wallM === null ? 'solid' : 'hollow'],
};
