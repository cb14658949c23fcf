import * as z from 'zod/mini';
import { partLengthM } from '../../schema';
import { densityOf } from '../material';
import { box, curve, roundOff, type ProfilePoint } from '../profile';
import { bored, common } from './common';
import { asMeasured, plain, type KindRoom, untouched } from './room';
import { solidKg, threadedWhole, turnedAreas } from './turned';

export const weightSchema = z.strictObject({
  kind: z.literal('weight'),
  ...common,
  ...bored,
  shape: z.enum(['barrel', 'egg', 'cylinder', 'teardrop', 'bullet', 'walking']),
  /** Of a walking sinker, which stands on a foot under the line: from the line down to the foot's sole. */
  diameterM: partLengthM,
});
export type Weight = z.infer<typeof weightSchema>;

/** What the outside of turned metal follows from. */
export interface MetalForm {
  readonly shape: Weight['shape'];
  readonly lengthM: number;
  readonly diameterM: number;
  readonly boreM: number;
}

const radiusM = ({ shape, diameterM }: Weight) => (shape === 'walking' ? diameterM : diameterM / 2);

/** Outside of a walking sinker's tube over its bore; its foot as a share of the box about it, and how thick that is. Trade estimates. */
const WALKING_TUBE = 2;
const FOOT_SHARE = 0.62;
const FOOT_THICK = 0.4;

/** Of the foot of a walking sinker, m³. */
function footVolume({ lengthM, diameterM, boreM }: MetalForm): number {
  return FOOT_SHARE * lengthM * Math.max(diameterM - (WALKING_TUBE * boreM) / 2, 0) * FOOT_THICK * diameterM;
}

/** The outside of a weight, m. */
export function metalProfile({ shape, lengthM, diameterM, boreM }: MetalForm): ProfilePoint[] {
  switch (shape) {
    case 'cylinder':
      return box(lengthM, diameterM);
    case 'barrel':
      return roundOff(lengthM, diameterM, diameterM * 0.55, 2.6);
    case 'egg':
      return roundOff(lengthM, diameterM, boreM * 1.6, 2);
    // The tube that the line goes through; its foot hangs below.
    case 'walking':
      return box(lengthM, WALKING_TUBE * boreM);
    case 'bullet':
      return curve(lengthM, (x) => boreM * 0.7 + (diameterM / 2 - boreM * 0.7) * Math.sqrt(Math.min(1, x * 1.25)));
    case 'teardrop':
      return curve(lengthM, (x) => {
        const end = boreM * 0.8;
        const swell = x < 0.68 ? Math.sin((x / 0.68) * (Math.PI / 2)) ** 1.15 : Math.cos(((x - 0.68) / 0.32) * 1.25);
        return end + (diameterM / 2 - end) * Math.max(swell, 0);
      });
  }
}

export const weightRoom: KindRoom<Weight, null> = {
  ...asMeasured,
  ...plain,
  ...untouched,
  threads: threadedWhole(),
  sits: {},
  holds: {},
  radiusM,
  profile: metalProfile,
  geometricKg: (part) =>
    solidKg<Weight>(metalProfile)(part) + (part.shape === 'walking' ? footVolume(part) * densityOf(part.material) : 0),
  areas: turnedAreas(radiusM),
  smaller: ({ boreM, diameterM }) => [['hole', boreM, 'diameter', diameterM]],
  telling: ({ lengthM, diameterM }) => [lengthM, diameterM],
  words: ({ shape }) => [shape, ...(shape === 'walking' ? ['bottom sinker'] : [])],
  // Its bore stays: what metal it gains lies along and about it.
  heavier: (part, by) => ({
    ...part,
    massKg: part.massKg * by,
    lengthM: part.lengthM * Math.cbrt(by),
    diameterM: part.diameterM * Math.cbrt(by),
  }),
};
