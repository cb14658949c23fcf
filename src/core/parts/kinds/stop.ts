import * as z from 'zod/mini';
import { lineLengthM, partLengthM } from '../../schema';
import { densityOf } from '../material';
import { common } from './common';
import { asMeasured, discM2, plain, type KindRoom } from './room';
import { turnedAreas } from './turned';

export const STOP_STYLES = ['rubber', 'knot', 'peg', 'shot'] as const;

/** What grips the line and holds its place on it: a rubber or knotted stop, a peg, a pinched shot. */
export const stopSchema = z.strictObject({
  kind: z.literal('stop'),
  ...common,
  style: z.enum(STOP_STYLES),
  lengthM: partLengthM,
  diameterM: partLengthM,
  /** The pull at which it slips along the line, N. */
  gripN: z.number().check(z.minimum(0.01), z.maximum(200)),
});
export type Stop = z.infer<typeof stopSchema>;

/** Line from its back to what holds its place next behind it. */
export const stopStateSchema = z.strictObject({ of: z.literal('stop'), behindM: lineLengthM });

const radiusM = ({ diameterM }: Stop) => diameterM / 2;

export const stopRoom: KindRoom<Stop, z.infer<typeof stopStateSchema>> = {
  ...asMeasured,
  ...plain,
  usual: { of: 'stop', behindM: 0.05 },
  asTaken: (state) => state,
  threads: {
    needsLine: true,
    // It grips, whatever the line.
    side: null,
    stackM: ({ lengthM }) => lengthM,
    behindM: ({ behindM }) => behindM,
    betweenLegsM: null,
  },
  sits: {},
  holds: {},
  radiusM,
  profile: null,
  geometricKg: ({ lengthM, diameterM, material }) => 0.75 * discM2(diameterM) * lengthM * densityOf(material),
  areas: turnedAreas(radiusM),
  smaller: () => [],
  telling: ({ diameterM, lengthM }) => [diameterM, lengthM],
  words: ({ style }) => [style, 'peg', 'stopper'],
};
