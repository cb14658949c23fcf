import * as z from 'zod/mini';
import { wireLengthM } from '../schema';
import { wireSchema } from '../parts/kinds/wire';
import { wireEndSchema } from '../parts/wire-form';
import { ofWire, piecesOf, STRAIGHT } from './of-wire';
import type { CarrierRoom } from './room';

/** A straight wire. `freeRoomM` is the play left between the stack and the nose wraps. */
export const straightWireSchema = z.strictObject({
  kind: z.literal('straightWire'),
  wire: wireSchema,
  nose: wireEndSchema,
  tail: wireEndSchema,
  freeRoomM: wireLengthM,
});
export type StraightWire = z.infer<typeof straightWireSchema>;

/** All its lines are one: x runs from the front of the nose loop. It is as long as what is on it and the play. */
export const straightWireRoom: CarrierRoom<StraightWire> = {
  ...ofWire,
  end: (carrier, end) => carrier[end],
  forms: ['plain', 'wrappedLoop', 'bentLoop', 'bentOver'],
  castsNose: false,
  hangsBy: 'nose',
  tieInsideM: () => null,
  isLimp: false,
  isAsLongAsItsStack: true,
  runM: ({ freeRoomM }, stackM) => freeRoomM + stackM,
  lie: () => STRAIGHT,
  terms: ({ freeRoomM }, stackM) => [
    { code: 'freeRoom', lengthM: freeRoomM },
    { code: 'stack', lengthM: stackM },
  ],
  isCut: () => true,
  pieces: ({ wire }, { noseM, tailM, noseLoopRadiusM, lines: { run } }, terms) => {
    const lengthM = terms.reduce((sum, term) => sum + term.lengthM, 0);
    return piecesOf(wire, [
      { lengthM, xM: run.xM + (noseM + tailM) / 2, yM: run.yM, zM: 0, acrossM: 2 * noseLoopRadiusM },
    ]);
  },
  spring: () => null,
  bought: () => null,
  threadedOver: ['nose', 'tail'],
  unworked: (carrier) =>
    carrier.nose.form === 'plain'
      ? { lengthM: carrier.freeRoomM, at: (freeRoomM) => ({ ...carrier, freeRoomM }) }
      : null,
  stock: ['wire'],
  bare: (carrier, cutM) => ({ ...carrier, nose: { form: 'plain' }, tail: { form: 'plain' }, freeRoomM: cutM }),
  bends: () => null,
  settled: (now, wanted, { cutM, terms, stackM, isStrung }) => {
    const isFormed = now.nose.form === wanted.nose.form && now.tail.form === wanted.tail.form;
    const usedM = terms.reduce(
      (sum, term) => sum + ('end' in term && now[term.end].form !== 'plain' ? term.lengthM : 0),
      0,
    );
    const leftM = Math.max(cutM - usedM - stackM, wanted.freeRoomM);
    return { ...now, freeRoomM: isStrung && isFormed ? wanted.freeRoomM : leftM };
  },
  playM: ({ freeRoomM }) => freeRoomM,
  lengthened: null,
  // Its loops are wrapped: they are cut off.
  opensAgain: () => false,
  formed: ({ freeRoomM }) => [freeRoomM],
};
