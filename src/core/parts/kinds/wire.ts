import * as z from 'zod/mini';
import { stockLengthM, thicknessM } from '../../schema';
import { common } from './common';
import { asMeasured, noItem, noWords, plain, roundStock, type KindRoom } from './room';

/** Straight wire sold in lengths; the mass is that of one stock length. A carrier is made of it: it is no item of a lure. */
export const wireSchema = z.strictObject({
  kind: z.literal('wire'),
  ...common,
  diameterM: thicknessM,
  stockLengthM,
});
export type Wire = z.infer<typeof wireSchema>;

export const wireRoom: KindRoom<Wire, null> = {
  ...asMeasured,
  ...plain,
  ...roundStock,
  ...noItem,
  words: noWords,
};
