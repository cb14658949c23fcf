import * as z from 'zod/mini';
import { stockLengthM, thicknessM } from '../../schema';
import { densityOf } from '../material';
import { common } from './common';
import { asMeasured, discM2, noWords, plain, stockMassKg, type KindRoom, noItem } from './room';

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
  ...noItem,
  radiusM: ({ diameterM }) => diameterM / 2,
  geometricKg: ({ diameterM, stockLengthM: stockM, material }) => discM2(diameterM) * stockM * densityOf(material),
  massKg: stockMassKg,
  smaller: ({ diameterM, stockLengthM: stockM }) => [['thickness', diameterM, 'length', stockM]],
  telling: ({ diameterM }) => [diameterM],
  words: noWords,
};
