/**
 * Where everything of an assembly lies with these parts: what geometry/layout.ts lays out, as numbers by slot that are written
 * over each time. Places along a line in metres from its origin; see layout.ts for the lines.
 */
import { eyeLengthM } from '../parts/hook-form';
import type { Hook } from '../parts/kinds/hook';
import type { Bearing } from '../parts/kinds/room';
import { roomOf, type Part } from '../parts/part';
import { carrierRoom, strandOf, type Carrier } from '../carriers/carrier';
import type { CarrierLines } from '../carriers/room';
import { stateOf } from '../lure/item-state';
import { AT_AXIS, skinBearing, snellsOn } from '../geometry/hanging';
import { headAt, hungBy } from '../geometry/layout';
import type { CarrierId, Item } from '../lure/lure';
import type { LineKind, PlacedEnd, Snelled } from '../geometry/placed';
import { hingedOn, tieOf } from '../geometry/tie';
import { bearsAtTail, noseOf, tailOf } from '../geometry/placed-ends';
import { pointOn, type PlanePlace, type Pose, type WirePath } from '../carriers/wire-path';
import type { AssembledCarrier, Assembly, Hanging, Reach } from './assembly';

export interface Direction {
  readonly cos: number;
  readonly sin: number;
}

const LINE_KINDS = ['run', 'trail', 'head', 'tie', 'skin'] as const;

function directionOf({ angleRad }: Pose): Direction {
  return { cos: Math.cos(angleRad), sin: Math.sin(angleRad) };
}

/** A carrier as it lies. */
export interface LaidOn {
  readonly id: CarrierId;
  readonly carrier: AssembledCarrier['carrier'];
  readonly nose: PlacedEnd;
  tail: PlacedEnd;
  lines: CarrierLines;
  /** Cosine and sine of each line's heading. */
  readonly directions: Record<LineKind, Direction>;
  path: WirePath | null;
  pulledAt: Pose | null;
  outline: readonly PlanePlace[] | null;
  /** Of its shaft, from the nose wraps to the tail wraps, m. */
  readonly shaftX0M: number;
  shaftX1M: number;
  stackM: number;
  keptStackM: number;
  /** Of its snells the turns about all their shanks, m. */
  snelledM: number;
  snells: readonly Snelled[];
  /** Place of its front on the way from the first carrier's nose, m. */
  fromM: number;
  /** Of each entry of its strand. */
  readonly entryX0M: Float64Array;
  readonly entryX1M: Float64Array;
}

export class Laying {
  /** Of each slot from where to where it lies; of a clevis its fore leg. */
  readonly x0M: Float64Array;
  readonly x1M: Float64Array;
  /** Of what hangs: where it bears, and its middle off the axis. */
  readonly pivotM: Float64Array;
  readonly offAxisM: Float64Array;
  /** Of a clevis its aft leg. */
  readonly aftX0M: Float64Array;
  readonly aftX1M: Float64Array;
  readonly carriers: LaidOn[];

  /** All of these in one, and as they were when they were kept. */
  private readonly places: Float64Array;
  private readonly kept: Float64Array;

  constructor(readonly assembly: Assembly) {
    const count = assembly.items.length;
    this.places = new Float64Array(6 * count);
    this.kept = new Float64Array(6 * count);
    const bySlot = (of: number) => this.places.subarray(of * count, (of + 1) * count);
    this.x0M = bySlot(0);
    this.x1M = bySlot(1);
    this.pivotM = bySlot(2);
    this.offAxisM = bySlot(3);
    this.aftX0M = bySlot(4);
    this.aftX1M = bySlot(5);
    this.carriers = assembly.carriers.map(({ id, carrier, strand }): LaidOn => {
      const room = carrierRoom(carrier);
      const d = strandOf(carrier);
      const nose = noseOf(room.end(carrier, 'nose'), d);
      const level = { cos: 1, sin: 0 };
      return {
        id,
        carrier,
        nose,
        tail: tailOf(room.end(carrier, 'tail'), 0, d),
        ...room.lie(carrier, 0, headAt([])),
        directions: { run: level, trail: level, head: level, tie: level, skin: level },
        shaftX0M: nose.wraps.x1M,
        shaftX1M: 0,
        stackM: 0,
        keptStackM: 0,
        snelledM: 0,
        snells: [],
        fromM: 0,
        entryX0M: new Float64Array(strand.length),
        entryX1M: new Float64Array(strand.length),
      };
    });
  }

  /** Lays all out with these parts, one a slot. */
  layInPlace(parts: readonly Part[]): void {
    this.assembly.carriers.forEach((each, index) => this.layCarrier(each, index, parts));
  }

  /** Keeps all places as they are now. */
  keep(): void {
    this.kept.set(this.places);
    for (const each of this.carriers) each.keptStackM = each.stackM;
  }

  /** All places as they were kept. */
  private goBack(): void {
    this.places.set(this.kept);
    for (const each of this.carriers) each.stackM = each.keptStackM;
  }

  /** Lays anew what a part on the only carrier reaches, all else lying as it was kept. */
  layReached(reach: Exclude<Reach, 'all'>, parts: readonly Part[]): void {
    this.goBack();
    const assembled = this.assembly.carriers[0] as AssembledCarrier;
    const laid = this.carriers[0] as LaidOn;
    if (reach === 'strand') {
      this.stack(assembled.strand, laid, parts);
      this.placeStrand(assembled.strand, laid, assembled.tail, parts);
    } else this.hangEnd(reach, assembled, laid, parts);
  }

  private hangEnd(
    end: 'nose' | 'tail' | 'tie' | 'body',
    { carrier, nose, tail, tie, body }: AssembledCarrier,
    laid: LaidOn,
    parts: readonly Part[],
  ): void {
    const d = strandOf(carrier);
    switch (end) {
      case 'tail':
        this.hangAll(tail, { ...AT_AXIS, alongM: bearsAtTail(laid.tail, d) }, parts);
        return;
      case 'tie':
        this.hangAll(tie, { ...AT_AXIS, alongM: -d / 2 }, parts);
        return;
      case 'body':
        for (const each of body) this.hang(each, this.skinBearing(carrier, each.slot), parts);
        return;
      case 'nose':
        if (carrierRoom(carrier).castsNose) this.hangAll(nose, AT_AXIS, parts);
        else {
          this.hangAll(nose, { ...AT_AXIS, alongM: laid.nose.form === 'plain' ? 0 : -d }, parts);
          this.turnForward(nose);
        }
    }
  }

  private layCarrier(assembled: AssembledCarrier, index: number, parts: readonly Part[]): void {
    const { carrier, strand, nose, tail, joint } = assembled;
    const laid = this.carriers[index] as LaidOn;
    const room = carrierRoom(carrier);
    const d = strandOf(carrier);
    this.stack(strand, laid, parts);
    laid.shaftX1M = laid.shaftX0M + room.runM(carrier, laid.stackM);
    laid.tail = tailOf(room.end(carrier, 'tail'), laid.shaftX1M, d);
    const bearM = bearsAtTail(laid.tail, d);

    const own = room.lie(carrier, bearM, headAt(nose.map(({ slot }) => parts[slot] as Part)));
    const insideNoseM = laid.nose.form === 'plain' ? 0 : d;
    if (joint) {
      const at = this.bearsAt(joint, parts);
      Object.assign(laid, hungBy(room.hangsBy, own, at, insideNoseM));
      laid.fromM = at.fromM - insideNoseM;
    } else Object.assign(laid, own);

    for (const kind of LINE_KINDS) laid.directions[kind] = directionOf(laid.lines[kind]);

    this.hangEnd('tail', assembled, laid, parts);
    this.placeStrand(strand, laid, tail, parts);
    this.hangEnd('nose', assembled, laid, parts);
    this.hangEnd('tie', assembled, laid, parts);
    this.hangEnd('body', assembled, laid, parts);
  }

  /** Where something is screwed into this carrier's body. */
  private skinBearing(carrier: Carrier, slot: number): Bearing {
    const seat = this.assembly.items[slot]?.seat;
    const { skinM } = carrierRoom(carrier);
    if (seat?.on !== 'body' || !skinM) return AT_AXIS;
    return skinBearing(seat, skinM(carrier, seat.atM, seat.side));
  }

  /** Spans of the stack measured back from the tail wraps, x ≤ 0, and how long it is. */
  private stack(strand: AssembledCarrier['strand'], laid: LaidOn, parts: readonly Part[]): void {
    const { items } = this.assembly;
    const wireM = strandOf(laid.carrier);
    const { isLimp } = carrierRoom(laid.carrier);
    let front = 0;
    let heldFront = 0;
    for (let index = strand.length - 1; index >= 0; index--) {
      const entry = strand[index];
      if (!entry) continue;
      const { slot, leg } = entry;
      const part = parts[slot] as Part;
      const item = items[slot];
      const { threads } = roomOf(part);
      const beside = strand[item?.flipped ? index - 1 : index + 1];
      const open = beside ? (parts[beside.slot] ?? null) : null;
      const state = item?.state ?? null;
      const length = threads ? threads.stackM(part, state, { open, isLast: index === strand.length - 1, wireM }) : 0;
      const behindM = threads?.behindM?.(state) ?? null;
      let x1M = front;
      if (behindM !== null) {
        x1M = Math.min(x1M, heldFront - behindM);
        heldFront = x1M - length;
      }
      if (part.kind === 'clevis') {
        if (leg === 'fore') x1M = Math.min(x1M, (this.aftX0M[slot] as number) - part.legGapM);
        else this.aftX0M[slot] = x1M - length;
      }
      laid.entryX0M[index] = x1M - length;
      laid.entryX1M[index] = x1M;
      front = Math.min(front, x1M - length);
    }
    laid.stackM = -front;
    if (!isLimp) return;
    laid.snells = snellsOn(
      strand.map(({ slot }) => ({ part: parts[slot] as Part, state: items[slot]?.state ?? null })),
    );
    laid.snelledM = laid.snells.reduce((sum, { wraps, shankM }) => sum + wraps * shankM, 0);
  }

  private placeStrand(
    strand: AssembledCarrier['strand'],
    laid: LaidOn,
    tail: readonly Hanging[],
    parts: readonly Part[],
  ): void {
    const { entryX0M, entryX1M, shaftX1M } = laid;
    strand.forEach(({ slot, leg }, index) => {
      const part = parts[slot] as Part;
      if (part.kind === 'shrinkTube' && index === strand.length - 1) {
        const cutM = stateOf(this.assembly.items[slot] as Item, 'tube').cutLengthM;
        entryX0M[index] = laid.tail.wraps.x0M;
        entryX1M[index] =
          cutM === null
            ? this.tubeEnd(laid.tail, tail, parts)
            : laid.tail.wraps.x0M + cutM * (1 - part.lengthwiseShrink);
      } else {
        entryX0M[index] = shaftX1M + (entryX0M[index] as number);
        entryX1M[index] = shaftX1M + (entryX1M[index] as number);
      }
      const isAft = leg === 'aft';
      (isAft ? this.aftX0M : this.x0M)[slot] = entryX0M[index] as number;
      (isAft ? this.aftX1M : this.x1M)[slot] = entryX1M[index] as number;
    });
    for (const { slot, leg, held } of strand) {
      const part = parts[slot] as Part;
      if (part.kind === 'hook') {
        this.lieOnSnell(slot, part, held, parts);
        continue;
      }
      if (held.length === 0) continue;
      const x1M = (leg === 'fore' ? this.aftX1M : this.x1M)[slot] as number;
      this.hangHeld(part, held, { x0M: this.x0M[slot] as number, x1M }, AT_AXIS, parts);
    }
  }

  /** A hook on the line that goes through its eye. */
  private lieOnSnell(slot: number, hook: Hook, held: readonly Hanging[], parts: readonly Part[]): void {
    const x0M = this.x0M[slot] as number;
    const lies = { x0M, x1M: x0M + hook.lengthM };
    this.x1M[slot] = lies.x1M;
    this.pivotM[slot] = x0M;
    this.offAxisM[slot] = 0;
    this.hangHeld(hook, held, lies, { ...AT_AXIS, alongM: x0M }, parts);
  }

  private hangAll(all: readonly Hanging[], at: Bearing, parts: readonly Part[]): void {
    for (const each of all) this.hang(each, at, parts);
  }

  private hang({ slot, how, held }: Hanging, at: Bearing, parts: readonly Part[]): void {
    const part = parts[slot] as Part;
    const sits = roomOf(part).sits[how];
    if (!sits) throw new Error(`layInPlace: a ${part.kind} cannot be ${how}; structureProblem should have refused it`);
    const lies = sits.lies(part, at, this.assembly.items[slot]?.state ?? null);
    this.x0M[slot] = lies.x0M;
    this.x1M[slot] = lies.x1M;
    this.offAxisM[slot] = at.offAxisM;
    this.pivotM[slot] = this.assembly.lines[slot] === 'head' ? lies.x0M : at.alongM;
    if (held.length > 0) this.hangHeld(part, held, lies, at, parts);
  }

  private hangHeld(
    part: Part,
    held: readonly Hanging[],
    lies: { readonly x0M: number; readonly x1M: number },
    at: Bearing,
    parts: readonly Part[],
  ): void {
    const { holds } = roomOf(part);
    for (const each of held) {
      const holding = holds[each.how];
      if (holding) this.hang(each, holding.bearing(part, lies, at), parts);
    }
  }

  /** What hangs forward from the nose loop: its own front points to the tail. */
  private turnForward(all: readonly Hanging[]): void {
    for (const { slot, held } of all) {
      const x0M = this.x0M[slot] as number;
      this.x0M[slot] = -(this.x1M[slot] as number);
      this.x1M[slot] = -x0M;
      this.pivotM[slot] = -(this.pivotM[slot] as number);
      this.turnForward(held);
    }
  }

  /** Where a joined carrier bears on what holds it, in the lure and on the way from the first carrier's nose. */
  private bearsAt(joint: NonNullable<AssembledCarrier['joint']>, parts: readonly Part[]) {
    if ('carrier' in joint) {
      const { lines, tail, carrier, fromM } = this.carriers[joint.carrier] as LaidOn;
      const alongM = joint.end === 'nose' ? 0 : bearsAtTail(tail, strandOf(carrier));
      return { ...pointOn(joint.end === 'nose' ? lines.run : lines.trail, alongM), fromM: fromM + alongM };
    }
    const { slot } = joint;
    const part = parts[slot] as Part;
    const { lines, fromM } = this.carriers[this.assembly.on[slot] as number] as LaidOn;
    const at: Bearing = { ...AT_AXIS, alongM: this.pivotM[slot] as number, offAxisM: this.offAxisM[slot] as number };
    const lies = { x0M: this.x0M[slot] as number, x1M: this.x1M[slot] as number };
    const { alongM } = roomOf(part).holds.hung?.bearing(part, lies, at) ?? at;
    return { ...pointOn(lines[this.assembly.lines[slot] ?? 'run'], alongM), fromM: fromM + alongM };
  }

  /** The end of what a tube over the tail has to cover: loop, rings and the eye of the hooks. */
  tubeEnd(tail: PlacedEnd, hung: readonly Hanging[], parts: readonly Part[]): number {
    let end = tail.x1M;
    const reach = (all: readonly Hanging[]) => {
      for (const { slot, held } of all) {
        const part = parts[slot] as Part;
        if (part.kind === 'hook') end = Math.max(end, (this.x0M[slot] as number) + eyeLengthM(part));
        if (part.kind === 'splitRing') end = Math.max(end, this.x1M[slot] as number);
        reach(held);
      }
    };
    reach(hung);
    return end;
  }

  /** Where the line pulls. */
  tie(): PlanePlace {
    return tieOf(hingedOn(this.carriers) ?? (this.carriers[0] as LaidOn));
  }
}
