import * as z from 'zod/mini';
import { stockLengthM, thicknessM } from '../../schema';
import { common } from './common';
import { NO_AREAS, asMeasured, noWords, plain, roundStock, type KindRoom } from './room';

/** Soft wire sold in lengths, for locking a skirt or lashing a keeper; the mass is that of one stock length. */
export const softWireSchema = z.strictObject({
  kind: z.literal('softWire'),
  ...common,
  diameterM: thicknessM,
  stockLengthM,
});
export type SoftWire = z.infer<typeof softWireSchema>;

/** Turns of a skirt lock before its ends are twisted. */
export const lockStateSchema = z.strictObject({
  of: z.literal('lock'),
  turns: z.int().check(z.minimum(1), z.maximum(8)),
});

export const softWireRoom: KindRoom<SoftWire, z.infer<typeof lockStateSchema>> = {
  ...asMeasured,
  ...plain,
  ...roundStock,
  usual: { of: 'lock', turns: 3 },
  asTaken: (state) => state,
  threads: null,
  sits: {
    tied: {
      port: 'lashing',
      side: () => ({ port: 'lashing' }),
      lies: (_, { alongM, roomM }) => ({ x0M: alongM, x1M: alongM + roomM }),
    },
  },
  holds: {},
  profile: null,
  areas: () => NO_AREAS,
  words: noWords,
};
