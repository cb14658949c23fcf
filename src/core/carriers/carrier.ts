/** The kinds of carrier, together. What is missing is a type error. */
import * as z from 'zod/mini';
import type { WireEnd } from '../parts/wire-form';
import { bentWireRoom, bentWireSchema } from './bent-wire';
import type { CarrierRoom } from './room';
import { lineCarrierSchema, lineRoom } from './line';
import { straightWireRoom, straightWireSchema } from './straight-wire';

export const carrierSchema = z.discriminatedUnion('kind', [straightWireSchema, bentWireSchema, lineCarrierSchema]);
export type Carrier = z.infer<typeof carrierSchema>;
export type CarrierKind = Carrier['kind'];
/** What a carrier is made of. */
export type Stock = Carrier['wire'];

type Rooms = { readonly [K in CarrierKind]: CarrierRoom<Extract<Carrier, { kind: K }>> };

export const CARRIERS: Rooms = { straightWire: straightWireRoom, bentWire: bentWireRoom, line: lineRoom };

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
