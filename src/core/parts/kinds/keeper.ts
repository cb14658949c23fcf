import * as z from 'zod/mini';
import { partLengthM, thicknessM } from '../../schema';
import { densityOf } from '../material';
import { common } from './common';
import { asMeasured, discM2, hardAreas, noWords, plain, type KindRoom, untouched } from './room';

/** A bent clip lashed to the shank that keeps a trailer from sliding down. */
export const keeperSchema = z.strictObject({
  kind: z.literal('keeper'),
  ...common,
  wireDiameterM: thicknessM,
  /** Length of the leg that lies on the shank. */
  legM: partLengthM,
  /** How far its barb stands off the shank. */
  standM: partLengthM,
});
export type Keeper = z.infer<typeof keeperSchema>;

/** How far behind the collar a keeper is lashed. Trade estimate. */
const BEHIND_COLLAR_M = 0.003;

/** Wire in a keeper: the leg on the shank, the bight about it and the barb that stands off, m. */
export function keeperWire({ legM, standM, wireDiameterM }: Keeper): number {
  return legM + Math.PI * wireDiameterM * 2 + 2 * standM;
}

const radiusM = ({ standM }: Keeper) => standM;

export const keeperRoom: KindRoom<Keeper, null> = {
  ...asMeasured,
  ...plain,
  ...untouched,
  threads: null,
  sits: {
    tied: {
      port: 'binding',
      side: () => ({ port: 'binding' }),
      lies: ({ legM }, { alongM }) => ({ x0M: alongM + BEHIND_COLLAR_M, x1M: alongM + BEHIND_COLLAR_M + legM }),
    },
  },
  holds: {},
  radiusM,
  profile: null,
  geometricKg: (part) => discM2(part.wireDiameterM) * keeperWire(part) * densityOf(part.material),
  areas: (part, { lengthM }) => hardAreas(radiusM(part), lengthM, false),
  smaller: ({ wireDiameterM, legM }) => [['wire', wireDiameterM, 'length', legM]],
  telling: ({ legM }) => [legM],
  words: noWords,
};
