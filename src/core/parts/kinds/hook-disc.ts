import * as z from 'zod/mini';
import { partLengthM, thicknessM } from '../../schema';
import { common } from './common';
import { asMeasured, discM2, hardAreas, noWords, plain, type KindRoom, untouched } from './room';
import { densityOf } from '../material';

/** A disc of rubber or plastic pushed over the point of a hook, so that what hangs in its bend stays there. */
export const hookDiscSchema = z.strictObject({
  kind: z.literal('hookDisc'),
  ...common,
  diameterM: partLengthM,
  thicknessM,
});
export type HookDisc = z.infer<typeof hookDiscSchema>;

const radiusM = ({ diameterM }: HookDisc) => diameterM / 2;

export const hookDiscRoom: KindRoom<HookDisc, null> = {
  ...asMeasured,
  ...plain,
  ...untouched,
  threads: null,
  sits: {
    kept: {
      port: 'disc',
      side: () => ({ port: 'disc' }),
      lies: ({ thicknessM: thickM }, { alongM }) => ({ x0M: alongM - thickM, x1M: alongM }),
    },
  },
  holds: {},
  radiusM,
  profile: null,
  geometricKg: ({ diameterM, thicknessM: thickM, material }) => discM2(diameterM) * thickM * densityOf(material),
  areas: (part, { lengthM }) => hardAreas(radiusM(part), lengthM, false),
  smaller: ({ thicknessM: thickM, diameterM }) => [['thickness', thickM, 'diameter', diameterM]],
  telling: ({ diameterM }) => [diameterM],
  words: noWords,
};
