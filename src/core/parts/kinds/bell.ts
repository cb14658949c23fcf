import * as z from 'zod/mini';
import { partLengthM, thicknessM } from '../../schema';
import { curve } from '../profile';
import { bored, common } from './common';
import { asMeasured, noWords, plain, type KindRoom, untouched } from './room';
import { shellKg, slidOver, threadedWhole, turnedAreas } from './turned';

/** A hollow bell: closed and bored at its neck, open at its mouth. */
export const bellSchema = z.strictObject({
  kind: z.literal('bell'),
  ...common,
  ...bored,
  neckDiameterM: partLengthM,
  mouthDiameterM: partLengthM,
  wallM: thicknessM,
});
export type Bell = z.infer<typeof bellSchema>;

const radiusM = ({ mouthDiameterM }: Bell) => mouthDiameterM / 2;

function profile({ lengthM, neckDiameterM, mouthDiameterM }: Bell) {
  return curve(lengthM, (x) => {
    const flare = Math.min(1, x / 0.55) ** 0.6 * 0.8 + 0.2 * x ** 2;
    return (neckDiameterM + (mouthDiameterM - neckDiameterM) * flare) / 2;
  });
}

export const bellRoom: KindRoom<Bell, null> = {
  ...asMeasured,
  ...plain,
  ...untouched,
  threads: threadedWhole('swinging'),
  sits: { over: slidOver('swinging') },
  holds: {},
  radiusM,
  profile,
  geometricKg: shellKg(profile, ({ wallM }) => wallM),
  areas: turnedAreas(radiusM),
  smaller: ({ boreM, neckDiameterM, mouthDiameterM, wallM }) => [
    ['hole', boreM, 'neck', neckDiameterM],
    ['neck', neckDiameterM, 'mouth', mouthDiameterM],
    ['wall', wallM, 'neck', neckDiameterM / 2],
  ],
  telling: ({ lengthM, mouthDiameterM }) => [lengthM, mouthDiameterM],
  words: noWords,
};
