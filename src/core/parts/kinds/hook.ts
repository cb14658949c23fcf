import * as z from 'zod/mini';
import { partLengthM, thicknessM } from '../../schema';
import { eyeLengthM } from '../hook-form';
import { densityOf } from '../material';
import { common } from './common';
import {
  asMeasured,
  bearsAt,
  discM2,
  hangsFrom,
  plain,
  WIRE_DRAG,
  type Along,
  type Bearing,
  type KindRoom,
} from './room';

export const hookSchema = z.strictObject({
  kind: z.literal('hook'),
  ...common,
  points: z.union([z.literal(1), z.literal(3)]),
  wireDiameterM: thicknessM,
  /** Front of the eye to the back of the bend. */
  lengthM: partLengthM,
  /** Point to shank. */
  gapM: partLengthM,
  eyeInnerDiameterM: partLengthM,
  eye: z.enum(['closed', 'open']),
  barb: z.boolean(),
});
export type Hook = z.infer<typeof hookSchema>;

/** `pinched`: the barb was pressed flat. */
export const hookStateSchema = z.strictObject({ of: z.literal('hook'), pinched: z.boolean() });

/** How much thicker a hook is at its barb. Trade estimate. */
const OVER_BARB = 1.5;

/** Where its shank comes free: behind its eye, or behind the head it is cast in. */
function onShank(part: Hook, lies: Along, at: Bearing): Bearing {
  return at.coveredToM === null ? bearsAt(lies, at, eyeLengthM(part)) : { ...at, alongM: at.coveredToM };
}

export const hookRoom: KindRoom<Hook, z.infer<typeof hookStateSchema>> = {
  ...asMeasured,
  ...plain,
  usual: { of: 'hook', pinched: false },
  asTaken: () => ({ of: 'hook', pinched: false }),
  threads: null,
  sits: {
    hung: {
      port: 'hookEye',
      side: ({ eyeInnerDiameterM, wireDiameterM }) => ({
        port: 'hookEye',
        openM: eyeInnerDiameterM,
        wireM: wireDiameterM,
      }),
      lies: ({ wireDiameterM, lengthM }, at) => hangsFrom(at, wireDiameterM, lengthM),
    },
    moulded: { port: 'shank', side: () => ({ port: 'shank' }), lies: ({ lengthM }, at) => hangsFrom(at, 0, lengthM) },
  },
  holds: {
    pushed: {
      takes: ['slit'],
      isOnlyOne: true,
      hanger: () => ({ hanger: 'point' }),
      bearing: onShank,
    },
    /** A stinger's eye has gone over the point and lies in the bend. */
    hung: {
      takes: ['hookEye'],
      isOnlyOne: true,
      hanger: ({ wireDiameterM }) => ({ hanger: 'bend', wireM: wireDiameterM * OVER_BARB }),
      bearing: ({ lengthM, wireDiameterM, gapM }, lies, at) => ({
        ...at,
        alongM: lies.x0M + lengthM - wireDiameterM,
        offAxisM: at.offAxisM + gapM / 2,
      }),
    },
    tied: {
      takes: ['binding'],
      isOnlyOne: false,
      hanger: () => ({ hanger: 'shank' }),
      bearing: onShank,
    },
  },
  radiusM: ({ gapM }) => gapM,
  profile: null,
  geometricKg: ({ gapM, lengthM, eyeInnerDiameterM, wireDiameterM, points, material }) => {
    const bendM = (Math.PI / 2) * gapM;
    const perPointM = lengthM - gapM / 2 + bendM + gapM * 0.6;
    const eyeM = Math.PI * (eyeInnerDiameterM + wireDiameterM);
    // A treble is one double hook and a single brazed to it: three bends, and about two shanks up to the fork.
    const wires = points === 1 ? 1 : 2.6;
    return discM2(wireDiameterM) * (perPointM * wires + eyeM) * densityOf(material);
  },
  areas: ({ points, gapM, wireDiameterM, lengthM }) => ({
    kind: 'hard',
    axialM2: WIRE_DRAG * points * (1.6 * gapM) * wireDiameterM,
    strandM2: 0,
    sideM2: WIRE_DRAG * lengthM * wireDiameterM,
    slopeM2: 0,
  }),
  smaller: ({ wireDiameterM, gapM, lengthM, eyeInnerDiameterM }) => [
    ['wire', wireDiameterM, 'gap', gapM],
    ['gap', gapM, 'length', lengthM],
    ['eye', eyeInnerDiameterM, 'length', lengthM],
  ],
  telling: ({ gapM, lengthM }) => [gapM, lengthM],
  words: ({ points, barb }) => [points === 3 ? 'treble' : 'single', barb ? 'barbed' : 'barbless'],
};
