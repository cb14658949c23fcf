import * as z from 'zod/mini';
import { partLengthM, thicknessM } from '../../schema';
import { deltaLobeArea } from '../delta-form';
import { densityOf } from '../material';
import { common } from './common';
import { asMeasured, plain, TURNING_AREAS, type KindRoom } from './room';
import { threadedWhole } from './turned';

/** A delta blade: lobes cut from sheet and twisted, its two ears threaded on the wire. Driving a screw, a left-hand one turns left. */
export const deltaBladeSchema = z.strictObject({
  kind: z.literal('deltaBlade'),
  ...common,
  lobes: z.union([z.literal(2), z.literal(3), z.literal(4)]),
  hand: z.enum(['left', 'right']),
  /** Circle its tips run on. */
  spanM: partLengthM,
  /** Front ear to rear ear along the wire. */
  lengthM: partLengthM,
  thicknessM,
  boreM: partLengthM,
});
export type DeltaBlade = z.infer<typeof deltaBladeSchema>;

/** `clacks`: the builder wants it to tick on the head. */
export const deltaBladeStateSchema = z.strictObject({ of: z.literal('deltaBlade'), clacks: z.boolean() });

/** Lobes press the water down and aft as they enter it: lift over ½ρU² and their area. Trade estimate. */
const LOBES_LIFT = 0.35;

const lobesM2 = (part: DeltaBlade) => part.lobes * deltaLobeArea(part);

export const deltaBladeRoom: KindRoom<DeltaBlade, z.infer<typeof deltaBladeStateSchema>> = {
  ...asMeasured,
  ...plain,
  usual: { of: 'deltaBlade', clacks: false },
  asTaken: () => ({ of: 'deltaBlade', clacks: false }),
  threads: threadedWhole(),
  sits: {},
  holds: {},
  radiusM: ({ spanM }) => spanM / 2,
  profile: null,
  geometricKg: (part) => deltaLobeArea(part) * part.lobes * part.thicknessM * densityOf(part.material),
  areas: () => TURNING_AREAS,
  turningM2: lobesM2,
  planingM2: (part) => LOBES_LIFT * lobesM2(part),
  smaller: ({ boreM, spanM, thicknessM: sheetM, lengthM }) => [
    ['hole', boreM, 'span', spanM],
    ['thickness', sheetM, 'length', lengthM],
  ],
  telling: ({ spanM }) => [spanM],
  words: ({ hand, lobes }) => [`${hand} hand`, `${lobes} lobes`, 'buzz'],
  larger: (part, by) => ({
    ...part,
    spanM: part.spanM * by,
    lengthM: part.lengthM * by,
    massKg: part.massKg * by ** 2,
  }),
};
