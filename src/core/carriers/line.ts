import * as z from 'zod/mini';
import { lineLengthM } from '../schema';
import { knotLength, loopLength } from '../parts/knots';
import { lineSchema } from '../parts/kinds/line';
import { wireEndSchema, type WireEnd } from '../parts/wire-form';
import { ofWire, piecesOf, STRAIGHT } from './of-wire';
import type { CarrierRoom } from './room';

/**
 * A line, which bends wherever it is not pulled straight: a leader, a harness. `wire` is what it is made of. `lengthM` is its
 * finished length, from where it bears at its nose to its end, knots and loops among it; `spareM` is cut with it for a knot
 * that is spoilt.
 */
export const lineCarrierSchema = z.strictObject({
  kind: z.literal('line'),
  wire: lineSchema,
  nose: wireEndSchema,
  tail: wireEndSchema,
  lengthM: lineLengthM,
  spareM: lineLengthM,
});
export type LineCarrier = z.infer<typeof lineCarrierSchema>;

/** Drag of the stream along a line, as if this share of its length stood across: skin friction of 0.011 all round it. Trade estimate. */
const SKIN_SHARE = 0.03;

/** How much of the finished length an end takes, m. */
function endM(end: WireEnd, lineM: number): number {
  if (end.form === 'knot') return knotLength(end, lineM);
  return end.form === 'tiedLoop' ? loopLength(end, lineM) : 0;
}

/** All its lines are one. Pulled straight, x runs from the front of its nose. */
export const lineRoom: CarrierRoom<LineCarrier> = {
  ...ofWire,
  end: (carrier, end) => carrier[end],
  forms: ['plain', 'knot', 'tiedLoop'],
  castsNose: false,
  hangsBy: 'nose',
  tieInsideM: () => null,
  isAsLongAsItsStack: false,
  bends: () => null,
  isLimp: true,
  runM: ({ lengthM, nose, tail, wire: { diameterM } }) =>
    Math.max(lengthM - endM(nose, diameterM) - endM(tail, diameterM), 0),
  lie: () => STRAIGHT,
  terms: ({ lengthM, spareM }) => [
    { code: 'finished', lengthM },
    ...(spareM > 0 ? [{ code: 'spare', lengthM: spareM } as const] : []),
  ],
  isCut: () => true,
  pieces: ({ wire }, { noseM, tailM, lines: { run } }, terms) => {
    const lengthM = terms.reduce((sum, term) => sum + term.lengthM, 0);
    return piecesOf(wire, [
      { lengthM, xM: run.xM + (noseM + tailM) / 2, yM: run.yM, zM: 0, acrossM: SKIN_SHARE * (tailM - noseM) },
    ]);
  },
  spring: () => null,
  bought: () => null,
  // Hook end first: what is tied there is the last that a knot can be drawn down on in the hand.
  threadedOver: ['nose'],
  // A drawing leaves out what of it is long and bare.
  unworked: () => null,
  stock: ['line'],
  bare: (carrier, cutM) => ({ ...carrier, nose: PLAIN, tail: PLAIN, lengthM: cutM }),
  settled: (now, wanted, { cutM, terms, isStrung }) => {
    if (isStrung && now.nose.form === wanted.nose.form) return { ...now, lengthM: wanted.lengthM };
    const usedM = terms.reduce((sum, { code, lengthM }) => sum + (code === 'finished' ? 0 : lengthM), 0);
    return { ...now, lengthM: Math.max(cutM - usedM, wanted.lengthM) };
  },
  playM: () => null,
  lengthened: (carrier, by) => ({ ...carrier, lengthM: carrier.lengthM * by }),
  // A knot is cut off.
  opensAgain: () => false,
  formed: ({ lengthM }) => [lengthM],
};

const PLAIN: WireEnd = { form: 'plain' };
