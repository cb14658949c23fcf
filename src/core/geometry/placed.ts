/** Things in their places: along which line of the lure, from where to where, how far from its axis. */
import type { PartOf } from '../parts/part';
import type { WireEnd } from '../parts/wire-form';
import type { CarrierLines } from '../carriers/room';
import { FIRST_CARRIER, type CarrierId, type Holder, type Item, type Leg } from '../lure/lure';
import type { Pose } from '../carriers/wire-path';
import type { How } from '../parts/kinds/room';

/** The lines of a carrier; see carriers/room.ts. */
export type LineKind = keyof CarrierLines;

/** A line of the lure: `trail` of the first carrier, `wire-2/trail` of another. */
export type Line = LineKind | `${CarrierId}/${LineKind}`;

/** The name of a carrier's line in the lure. */
export function lineOf(carrier: CarrierId, kind: LineKind): Line {
  return carrier === FIRST_CARRIER ? kind : `${carrier}/${kind}`;
}

/** Which of its carrier's lines this is. */
export function lineKind(line: Line): LineKind {
  return line.slice(line.lastIndexOf('/') + 1) as LineKind;
}

/** On a head's axis and a body's what lies off it lies above or below; on the others it goes round. */
export function isLifted(line: Line): boolean {
  const kind = lineKind(line);
  return kind === 'head' || kind === 'skin';
}

/** The carrier that this line belongs to. */
export function carrierOfLine(line: Line): CarrierId {
  const at = line.lastIndexOf('/');
  return at < 0 ? FIRST_CARRIER : (line.slice(0, at) as CarrierId);
}

/** The carrier that a line belongs to, as it is laid. @throws Error for a line of a carrier that is not there */
export function laidAlong<C extends { readonly id: CarrierId }>(
  { carriers }: { readonly carriers: readonly C[] },
  line: Line,
): C {
  const id = carrierOfLine(line);
  const carrier = carriers.find((each) => each.id === id);
  if (!carrier) throw new Error(`laidAlong: there is no carrier ${id}`);
  return carrier;
}

/** Where a line lies in the lure. */
export function poseOf(
  layout: { readonly carriers: readonly { readonly id: CarrierId; readonly lines: CarrierLines }[] },
  line: Line,
): Pose {
  return laidAlong(layout, line).lines[lineKind(line)];
}

export interface Span {
  readonly x0M: number;
  readonly x1M: number;
}

export interface PlacedEnd extends Span {
  readonly form: WireEnd['form'];
  /** Centre of the loop; the end of the wire when it is plain. */
  readonly loopCentreM: number;
  readonly loopInsideRadiusM: number;
  readonly wraps: Span;
}

/** One entry of the strand as it lies on the wire. */
export interface PlacedEntry extends Span {
  readonly item: Item;
  readonly leg: Leg | null;
  readonly index: number;
  readonly radiusM: number;
}

/** Anything that does not have the wire through it: hung, tied, cast, pushed or slid over. */
export interface PlacedOff extends Span {
  readonly item: Item;
  /** What it sits on; null for a hook that the line goes through. */
  readonly parent: Holder | null;
  readonly how: How | 'snelled';
  readonly line: Line;
  /** Where it bears on what it hangs from: the pivot it can swing about. */
  readonly pivotM: number;
  /** Distance of its middle from the line's axis: the clevis's drop for a blade, up for a stinger in a bend, else 0. */
  readonly offAxisM: number;
  /** Hangs forward from the nose loop: its own front points to the tail. */
  readonly forward: boolean;
}

/** A snell: its wraps, and the thickness of the shank they lie about, m. */
export interface Snelled {
  readonly wraps: number;
  readonly shankM: number;
}

/** Bare line that a drawing leaves out: at this place along the run, so much of it, m. */
export interface LeftOut {
  readonly atM: number;
  readonly lengthM: number;
}

export interface PlacedClevis {
  readonly item: Item;
  readonly clevis: PartOf<'clevis'>;
  readonly foreM: number;
  readonly aftM: number;
  /** Axial place of the blade's hole. */
  readonly holeM: number;
  /** What lies between the legs, m, and how much room there is. */
  readonly insideM: number;
}
