import * as z from 'zod/mini';
import { partLengthM } from '../../schema';
import type { ProfilePoint } from '../profile';
import { bored, common } from './common';
import { asMeasured, noWords, plain, type KindRoom } from './room';
import { solidKg, threadedWhole, turnedAreas } from './turned';

/** A flanged tube that stops a delta blade and that it rubs on. */
export const rivetSchema = z.strictObject({
  kind: z.literal('rivet'),
  ...common,
  ...bored,
  diameterM: partLengthM,
  flangeDiameterM: partLengthM,
});
export type Rivet = z.infer<typeof rivetSchema>;

export const RIVET_FIXINGS = ['free', 'crimped', 'upset'] as const;
export type RivetFixing = (typeof RIVET_FIXINGS)[number];

/** Free to spin, crimped on the wire, or crimped, upset and filed so that it bites. */
export const rivetStateSchema = z.strictObject({ of: z.literal('rivet'), fixing: z.enum(RIVET_FIXINGS) });

/** The flange, of its length. */
const FLANGE_SHARE = 0.2;

const radiusM = ({ flangeDiameterM }: Rivet) => flangeDiameterM / 2;

function profile({ lengthM, diameterM, flangeDiameterM }: Rivet): ProfilePoint[] {
  return [
    { xM: 0, radiusM: flangeDiameterM / 2 },
    { xM: lengthM * FLANGE_SHARE, radiusM: flangeDiameterM / 2 },
    { xM: lengthM * FLANGE_SHARE, radiusM: diameterM / 2 },
    { xM: lengthM, radiusM: diameterM / 2 },
  ];
}

export const rivetRoom: KindRoom<Rivet, z.infer<typeof rivetStateSchema>> = {
  ...asMeasured,
  ...plain,
  usual: { of: 'rivet', fixing: 'free' },
  asTaken: () => ({ of: 'rivet', fixing: 'free' }),
  threads: threadedWhole(),
  sits: {},
  holds: {},
  radiusM,
  profile,
  geometricKg: solidKg(profile),
  areas: turnedAreas(radiusM),
  smaller: ({ boreM, diameterM, flangeDiameterM }) => [
    ['hole', boreM, 'diameter', diameterM],
    ['diameter', diameterM, 'flange', flangeDiameterM],
  ],
  telling: ({ lengthM, diameterM }) => [lengthM, diameterM],
  words: noWords,
};
