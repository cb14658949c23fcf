import * as z from 'zod/mini';
import { lineLengthM, partLengthM, thicknessM } from '../../schema';
import { eyeLengthM } from '../hook-form';
import { snellLength } from '../knots';
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
  /** Its shank is bent so that it rolls what is threaded on it; absent where it is straight. */
  rolls: z.optional(z.boolean()),
});
export type Hook = z.infer<typeof hookSchema>;

/**
 * Line wrapped about the shank, held by its own wraps. `behindM`: line from the last of them to what stands next behind on
 * the line. `enters`: the side of the eye that the line comes in by, the point's or the back's.
 */
export const snellSchema = z.strictObject({
  wraps: z.int().check(z.minimum(3), z.maximum(20)),
  behindM: lineLengthM,
  enters: z.enum(['pointSide', 'backSide']),
});
export type Snell = z.infer<typeof snellSchema>;

/** Seven wraps, the line in by the point's side, so that a pull turns the point outward. */
export const USUAL_SNELL: Snell = { wraps: 7, behindM: 0, enters: 'pointSide' };

/** `pinched`: the barb was pressed flat. */
export const hookStateSchema = z.strictObject({
  of: z.literal('hook'),
  pinched: z.boolean(),
  /** How it is snelled on the line that goes through its eye; absent of a hook that hangs. */
  snell: z.optional(snellSchema),
});

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
  // Its place on the line stays.
  asTaken: ({ snell }) => ({ of: 'hook', pinched: false, ...(snell ? { snell } : {}) }),
  threads: {
    needsLine: true,
    side: ({ eyeInnerDiameterM }) => ({ port: 'bore', boreM: eyeInnerDiameterM, fit: 'swinging' }),
    stackM: (part, { snell }, { wireM }) => eyeLengthM(part) + snellLength(snell?.wraps ?? 0, wireM),
    behindM: ({ snell }) => snell?.behindM ?? 0,
    betweenLegsM: null,
  },
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
    /** A disc over the point lies on the near side of the bend. */
    kept: {
      takes: ['disc'],
      isOnlyOne: true,
      hanger: () => ({ hanger: 'point' }),
      bearing: ({ lengthM, gapM }, lies, at) => ({
        ...at,
        alongM: lies.x0M + lengthM - gapM / 2,
        offAxisM: at.offAxisM + gapM,
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
  words: ({ points, barb, rolls }) => [
    points === 3 ? 'treble' : 'single',
    barb ? 'barbed' : 'barbless',
    ...(rolls ? ['rolling', 'bent shank'] : []),
  ],
};
