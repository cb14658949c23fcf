import * as z from 'zod/mini';
import { stockLengthM, thicknessM } from '../../schema';
import { densityOf } from '../material';
import { common } from './common';
import { asMeasured, discM2, NO_AREAS, noWords, plain, stockMassKg, type KindRoom, untouched } from './room';

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
  ...untouched,
  threads: null,
  sits: {},
  holds: {},
  radiusM: ({ diameterM }) => diameterM / 2,
  profile: null,
  geometricKg: ({ diameterM, stockLengthM: stockM, material }) => discM2(diameterM) * stockM * densityOf(material),
  massKg: stockMassKg,
  areas: () => NO_AREAS,
  smaller: ({ diameterM, stockLengthM: stockM }) => [['thickness', diameterM, 'length', stockM]],
  telling: ({ diameterM }) => [diameterM],
  words: noWords,
};
