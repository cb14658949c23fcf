import * as z from 'zod/mini';
import { partLengthM } from '../../schema';
import { densityOf } from '../material';
import { common } from './common';
import { asMeasured, discM2, plain, type KindRoom } from './room';

export const BAIT_STYLES = ['worm', 'minnow', 'leech'] as const;

/** Natural bait as it goes on the hook, or a made one in its place. */
export const baitSchema = z.strictObject({
  kind: z.literal('bait'),
  ...common,
  style: z.enum(BAIT_STYLES),
  lengthM: partLengthM,
  /** How thick it is at its thickest. */
  bodyM: partLengthM,
});
export type Bait = z.infer<typeof baitSchema>;

/** How it lies behind the first hook: threaded straight, or the hook through its side once, the rest trailing. */
export const BAIT_HANGS = ['threaded', 'throughSide'] as const;
export type BaitHang = (typeof BAIT_HANGS)[number];
export const baitStateSchema = z.strictObject({ of: z.literal('bait'), hangs: z.enum(BAIT_HANGS) });

/** How much of the cylinder about it a bait fills, and its drag on the section at its thickest. Trade estimates. */
const FULLNESS = { worm: 0.9, minnow: 0.5, leech: 0.6 } as const;
const DRAG = { worm: 0.5, minnow: 0.35, leech: 0.6 } as const;
/** Hung by its side it stands across the stream in part. Trade estimate. */
const ASKEW = 1.8;

export const baitRoom: KindRoom<Bait, z.infer<typeof baitStateSchema>> = {
  ...asMeasured,
  ...plain,
  usual: { of: 'bait', hangs: 'threaded' },
  asTaken: (state) => state,
  threads: null,
  sits: {
    pushed: {
      port: 'slit',
      side: () => ({ port: 'slit' }),
      lies: ({ lengthM }, { alongM }) => ({ x0M: alongM, x1M: alongM + lengthM }),
    },
  },
  holds: {},
  radiusM: ({ bodyM }) => bodyM / 2,
  profile: null,
  geometricKg: ({ bodyM, lengthM, style, material }) => discM2(bodyM) * lengthM * FULLNESS[style] * densityOf(material),
  areas: ({ bodyM, style, lengthM }, { state: { hangs } }) => {
    const front = discM2(bodyM);
    return {
      kind: 'soft',
      axialM2: DRAG[style] * front * (hangs === 'throughSide' ? ASKEW : 1),
      strandM2: 0,
      sideM2: 0.9 * lengthM * bodyM,
      slopeM2: 2 * front,
    };
  },
  smaller: ({ bodyM, lengthM }) => [['body', bodyM, 'length', lengthM]],
  telling: ({ lengthM }) => [lengthM],
  words: ({ style }) => [style, 'live bait'],
};
