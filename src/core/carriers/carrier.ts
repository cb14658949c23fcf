/** The kinds of carrier, together. What is missing is a type error. */
import * as z from 'zod/mini';
import type { Line } from '../parts/kinds/line';
import type { Wire } from '../parts/kinds/wire';
import type { WireEnd } from '../parts/wire-form';
import { bodyCarrierRoom, bodyCarrierSchema } from './body';
import { bentWireRoom, bentWireSchema } from './bent-wire';
import type { CarrierRoom } from './room';
import { lineCarrierSchema, lineRoom } from './line';
import { straightWireRoom, straightWireSchema } from './straight-wire';

export const carrierSchema = z.discriminatedUnion('kind', [
  straightWireSchema,
  bentWireSchema,
  lineCarrierSchema,
  bodyCarrierSchema,
]);
export type Carrier = z.infer<typeof carrierSchema>;
export type CarrierKind = Carrier['kind'];

type Rooms = { readonly [K in CarrierKind]: CarrierRoom<Extract<Carrier, { kind: K }>> };

export const CARRIERS: Rooms = {
  straightWire: straightWireRoom,
  bentWire: bentWireRoom,
  line: lineRoom,
  body: bodyCarrierRoom,
};

/** The room of this carrier's kind. */
export function carrierRoom<C extends Carrier>({ kind }: C): CarrierRoom<C> {
  // A room takes the carriers of its own kind, and this one is of its kind.
  return CARRIERS[kind] as unknown as CarrierRoom<C>;
}

/** Whether one carrier comes open again to be made into the other. */
export function opensAgain(from: Carrier, to: Carrier): boolean {
  return from.kind === to.kind && carrierRoom(from).opensAgain(from, to);
}

/** The form of an end of the carrier; `plain` for a nose that is in a head. */
export function wireEnd(carrier: Carrier, end: 'nose' | 'tail'): WireEnd {
  return carrierRoom(carrier).end(carrier, end);
}

/** Thickness of what is threaded through, and of what its loops or eyes are made of, m. */
export function strandOf(carrier: Carrier): number {
  return carrierRoom(carrier).strandM(carrier);
}

/** The wire or line of a carrier that is made of one. @throws Error for a body, which is cut and knotted nowhere */
export function wireOf(carrier: Carrier): Wire | Line {
  if (carrier.kind === 'body') throw new Error('wireOf: a body is not made of wire');
  return carrier.wire;
}
