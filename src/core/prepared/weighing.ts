/**
 * The bodies of a laid assembly in the water, as numbers by slot, and their sums: what lure/bodies.ts and predict/tuned.ts
 * work out. Of a slot whose part stays and lies as long as before, mass and areas are kept.
 */
import type { TrimSums } from '../hydro/trim';
import { GRAVITY_MPS2 } from '../hydro/water';
import { armCarrying, facedWaterKg, type ArmOutcome } from '../lure/arm';
import { besidePath, carrierBodies, crookedBy, STRIP_MIDDLE, type Body } from '../lure/bodies';
import { carrierRoom } from '../lure/carriers/carrier';
import { stateOf } from '../lure/item-state';
import { lockTerms, tubeTerms } from '../lure/lengths';
import { FIRST_CARRIER, type Item } from '../lure/lure';
import { lengthInLure } from '../lure/mass';
import type { WirePath } from '../lure/wire-path';
import { TURNING_AREAS, type Areas } from '../parts/kinds/room';
import { roomOf, type Part } from '../parts/part';
import { swinging, type Tuned } from '../predict/tuned';
import type { Assembly } from './assembly';
import type { LaidOn, Laying } from './laying';

/** The bodies of a carrier as they were last worked out, and from what. */
interface KeptWire {
  readonly path: WirePath | null;
  readonly stackM: number;
  readonly xM: number;
  readonly yM: number;
  readonly bodies: readonly Body[];
}

/** Places shift by the last digits of their sums: what lies elsewhere is not longer for that. */
const SAME_LENGTH_M = 1e-12;

export class Weighing {
  readonly massKg: Float64Array;
  readonly volumeM3: Float64Array;
  /** Of each body from the line tie; zM beside the plane of the lure. */
  readonly xM: Float64Array;
  readonly yM: Float64Array;
  readonly zM: Float64Array;
  private readonly areas: Areas[];
  private readonly parts: (Part | null)[];
  private readonly lengthsM: Float64Array;
  private readonly isTurning: boolean[];
  private readonly heldSlots: readonly (readonly number[])[];
  /** Of each slot what it held when its areas were worked out. */
  private readonly held: Part[][];
  private readonly wires: (KeptWire | null)[];
  private tie = { xM: 0, yM: 0 };

  constructor(private readonly assembly: Assembly) {
    const { items, carriers, turns } = assembly;
    const bySlot = () => new Float64Array(items.length);
    this.massKg = bySlot();
    this.volumeM3 = bySlot();
    this.xM = bySlot();
    this.yM = bySlot();
    this.zM = bySlot();
    this.lengthsM = bySlot();
    this.areas = items.map(() => TURNING_AREAS);
    this.parts = items.map(() => null);
    this.isTurning = items.map((_, slot) => turns.some((each) => each.slot === slot));
    this.heldSlots = items.map(({ id }) =>
      items.flatMap(({ seat }, slot) => (seat.on === 'item' && seat.item === id ? [slot] : [])),
    );
    this.held = items.map(() => []);
    this.wires = carriers.map(() => null);
  }

  /** Works out all bodies as they lie with these parts. */
  weighInPlace(laying: Laying, parts: readonly Part[]): void {
    const { items, on, lines, isThreaded } = this.assembly;
    const tie = laying.tie();
    this.tie = tie;
    for (let slot = 0; slot < items.length; slot++) {
      const part = parts[slot] as Part;
      const item = items[slot] as Item;
      const [x0M, x1M] = [laying.x0M[slot] as number, laying.x1M[slot] as number];
      this.weigh(slot, item, part, x1M - x0M, parts, laying);
      const laid = laying.carriers[on[slot] as number] as LaidOn;
      const kind = lines[slot] ?? 'run';
      const isStrip = part.kind === 'skirtLayer' && !isThreaded[slot];
      const alongM = isStrip ? x0M + STRIP_MIDDLE * part.lengthM : (x0M + x1M) / 2;
      const upM = kind === 'head' ? (laying.offAxisM[slot] as number) : 0;
      const { xM, yM, angleRad } = laid.lines[kind];
      const [cos, sin] = angleRad === 0 ? [1, 0] : [Math.cos(angleRad), Math.sin(angleRad)];
      this.xM[slot] = xM + alongM * cos - upM * sin - tie.xM;
      this.yM[slot] = yM + alongM * sin + upM * cos - tie.yM;
      this.zM[slot] =
        part.kind === 'trailer'
          ? crookedBy(part, stateOf(item, 'trailer').crookedRad)
          : besidePath(laid.path, kind, alongM, laid.shaftX1M);
    }
    laying.carriers.forEach((laid, index) => this.weighWire(laid, index));
  }

  private weigh(slot: number, item: Item, part: Part, lengthM: number, parts: readonly Part[], laying: Laying): void {
    const isByLength = part.kind === 'shrinkTube' || part.kind === 'softWire';
    const isAsLong = Math.abs((this.lengthsM[slot] as number) - lengthM) < SAME_LENGTH_M;
    if (this.parts[slot] === part && isAsLong && !isByLength && this.holdsTheSame(slot, parts)) return;
    this.parts[slot] = part;
    this.held[slot] = (this.heldSlots[slot] ?? []).map((each) => parts[each] as Part);
    this.lengthsM[slot] = lengthM;
    const room = roomOf(part);
    const { state, flipped } = item;
    const massKg = room.massKg(part, state, isByLength ? this.lengthIn(slot, item, part, parts, laying) : null);
    this.massKg[slot] = massKg;
    this.volumeM3[slot] = room.displacedM3(part, massKg);
    this.areas[slot] = this.isTurning[slot]
      ? TURNING_AREAS
      : room.areas(part, { state, flipped, lengthM, held: this.held[slot] ?? [] });
  }

  private holdsTheSame(slot: number, parts: readonly Part[]): boolean {
    const [slots, held] = [this.heldSlots[slot] ?? [], this.held[slot] ?? []];
    return slots.every((each, i) => parts[each] === held[i]);
  }

  /** Of what is sold by the length, the length of it in the lure, m; null where it is not cut to the lure. */
  private lengthIn(slot: number, item: Item, part: Part, parts: readonly Part[], laying: Laying): number | null {
    const { seat } = item;
    if (part.kind === 'softWire') {
      const about = seat.on === 'item' ? this.assembly.slots.get(seat.item) : undefined;
      return lengthInLure(lockTerms(part, stateOf(item, 'lock').turns, about === undefined ? undefined : parts[about]));
    }
    const index = this.assembly.on[slot] as number;
    const carrier = this.assembly.carriers[index];
    const laid = laying.carriers[index];
    if (part.kind !== 'shrinkTube' || !laid || carrier?.strand.at(-1)?.slot !== slot) return null;
    return lengthInLure(tubeTerms(laid.tail, laying.tubeEnd(laid.tail, carrier.tail, parts), part.lengthwiseShrink));
  }

  private weighWire(laid: LaidOn, index: number): void {
    const known = this.wires[index];
    const { xM, yM } = laid.lines.run;
    const stackM = carrierRoom(laid.carrier).isAsLongAsItsStack ? laid.stackM : 0;
    if (known?.path === laid.path && known.stackM === stackM && known.xM === xM && known.yM === yM) return;
    this.wires[index] = { path: laid.path, stackM, xM, yM, bodies: carrierBodies(laid) };
  }

  /** All of it with every shared coefficient at its estimate. */
  sums(rho: number): Pick<Tuned, 'massKg' | 'sums' | 'asideSums' | 'movedKg' | 'forcePerMoment'> {
    let massKg = 0;
    let [movedKg, first, second] = [0, 0, 0];
    const up = new Float64Array(15);
    const aside = new Float64Array(5);
    const add = (kg: number, m3: number, areas: Areas, x: number, y: number, z: number) => {
      massKg += kg;
      const moved = kg + rho * m3;
      movedKg += moved;
      first += moved * x;
      second += moved * x * x;
      const weight = (kg - rho * m3) * GRAVITY_MPS2;
      tally(up, aside, 0, weight, x, y, z);
      tally(up, aside, 1, areas.axialM2, x, y, z);
      tally(up, aside, 2, areas.strandM2, x, y, z);
      tally(up, aside, 3, areas.sideM2, x, y, z);
      tally(up, aside, 4, areas.slopeM2, x, y, z);
    };
    for (let slot = 0; slot < this.massKg.length; slot++) {
      const [x, y, z] = [this.xM[slot] as number, this.yM[slot] as number, this.zM[slot] as number];
      add(this.massKg[slot] as number, this.volumeM3[slot] as number, this.areas[slot] as Areas, x, y, z);
    }
    for (const wire of this.wires) {
      for (const body of wire?.bodies ?? []) {
        add(body.massKg, body.volumeM3, body, body.xM - this.tie.xM, body.yM - this.tie.yM, body.zM);
      }
    }
    return { massKg, sums: sumsIn(up, null), asideSums: sumsIn(up, aside), ...swinging(movedKg, first, second) };
  }

  /** The arm with what sits on it, as lure/arm.ts has it. */
  arm(laying: Laying, parts: readonly Part[], rho: number): ArmOutcome {
    const { spring, carriers, on, lines, isThreaded } = this.assembly;
    const holder = spring && carriers[spring.carrier];
    if (!spring || !holder) return { outcome: 'noArm' };
    const { armM } = spring.spring;
    let [carriedKg, waterKg] = [0, 0];
    for (let slot = 0; slot < parts.length; slot++) {
      const index = on[slot] as number;
      const isBehind = carriers[index]?.behind.includes(holder.id) ?? false;
      if (!isBehind && index !== spring.carrier) continue;
      const part = parts[slot] as Part;
      const kind = lines[slot];
      if (!isBehind && kind !== 'trail' && kind !== 'run') continue;
      const isAlong = !isBehind && kind === 'run';
      const alongM = isAlong ? (isThreaded[slot] ? middleOf(laying, slot, part) : (laying.pivotM[slot] as number)) : armM;
      const share = isAlong ? Math.min(1, alongM / armM) ** 2 : 1;
      carriedKg += share * ((this.massKg[slot] as number) + rho * (this.volumeM3[slot] as number));
      if (part.kind === 'blade') waterKg += share * facedWaterKg(part, rho);
    }
    carriers.forEach(({ id, behind }, index) => {
      if (id === FIRST_CARRIER || !behind.includes(holder.id)) return;
      for (const { massKg, volumeM3 } of this.wires[index]?.bodies ?? []) carriedKg += massKg + rho * volumeM3;
    });
    return armCarrying(holder.carrier.wire, spring.spring, carriedKg, waterKg);
  }
}

/** Of a clevis its aft leg. */
function middleOf(laying: Laying, slot: number, { kind }: Part): number {
  const [from, to] = kind === 'clevis' ? [laying.aftX0M, laying.aftX1M] : [laying.x0M, laying.x1M];
  return ((from[slot] as number) + (to[slot] as number)) / 2;
}

function tally(up: Float64Array, aside: Float64Array, at: number, value: number, x: number, y: number, z: number): void {
  up[3 * at] = (up[3 * at] as number) + value;
  up[3 * at + 1] = (up[3 * at + 1] as number) + value * x;
  up[3 * at + 2] = (up[3 * at + 2] as number) + value * y;
  aside[at] = (aside[at] as number) + value * z;
}

/** @param aside moments to the side, where those upward are not wanted */
function sumsIn(up: Float64Array, aside: Float64Array | null): TrimSums {
  const sum = (at: number) => ({
    all: up[3 * at] as number,
    x: up[3 * at + 1] as number,
    y: (aside ? aside[at] : up[3 * at + 2]) as number,
  });
  return { weightN: sum(0), axialM2: sum(1), strandM2: sum(2), sideM2: sum(3), slopeM2: sum(4) };
}
