/**
 * The bodies of a laid assembly in the water, as numbers by slot, and their sums: what in-water/bodies.ts and predict/scaled-lure.ts
 * work out. Of a slot whose part stays and lies as long as before, mass and areas are kept.
 */
import { NO_LEAD, type LeadAreas, type PlacedPlate, type TrimSums } from '../hydro/trim';
import { GRAVITY_MPS2 } from '../hydro/water';
import { armCarrying, facedWaterKg, type ArmOutcome } from '../in-water/arm';
import { besidePath, carrierBodies, crookedBy, STRIP_MIDDLE, type Body } from '../in-water/bodies';
import { carrierRoom } from '../carriers/carrier';
import { stateOf } from '../lure/item-state';
import { linkTerms, lockTerms, tubeTerms } from '../lengths/lengths';
import { FIRST_CARRIER, type Item } from '../lure/lure';
import { lengthInLure } from '../lengths/mass';
import type { WirePath } from '../carriers/wire-path';
import { isLifted } from '../geometry/placed';
import { oncePer } from '../once';
import type { Blade } from '../parts/kinds/blade';
import { TURNING_AREAS, type Areas, type Plate } from '../parts/kinds/room';
import { roomOf, type Part } from '../parts/part';
import { swinging, type ScaledLure } from '../predict/scaled-lure';
import type { Assembly } from './assembly';
import type { LaidOn, Laying } from './laying';

/** The bodies of a carrier as they were last worked out, and from what. */
interface KeptWire {
  readonly path: WirePath | null;
  readonly stackM: number;
  readonly snelledM: number;
  readonly xM: number;
  readonly yM: number;
  readonly bodies: readonly Body[];
}

/** A part as a body in one slot, and what of the rest it hangs on. */
interface KeptBody {
  readonly part: Part;
  readonly lengthM: number;
  readonly held: readonly Part[];
  readonly massKg: number;
  readonly volumeM3: number;
  readonly areas: Areas;
}

/** Places shift by the last digits of their sums: what lies elsewhere is not longer for that. */
const SAME_LENGTH_M = 1e-12;

export class Weighing {
  /** Of each body from the line tie; zM beside the plane of the lure. */
  readonly xM: Float64Array;
  readonly yM: Float64Array;
  readonly zM: Float64Array;
  private bodies: (KeptBody | null)[];
  /** As they were when they were kept: all bodies, and their places in one. */
  private keptBodies: readonly (KeptBody | null)[] = [];
  private readonly places: Float64Array;
  private readonly keptPlaces: Float64Array;
  private readonly known: readonly WeakMap<Part, KeptBody[]>[];
  private readonly isTurning: readonly boolean[];
  private readonly heldSlots: readonly (readonly number[])[];
  private readonly wires: (KeptWire | null)[];
  private wireSum: SumOfBodies | null = null;
  private tie = { xM: 0, yM: 0 };

  constructor(
    private readonly assembly: Assembly,
    private readonly rho: number,
  ) {
    const { items, carriers, turns } = assembly;
    const count = items.length;
    this.places = new Float64Array(3 * count);
    this.keptPlaces = new Float64Array(3 * count);
    this.xM = this.places.subarray(0, count);
    this.yM = this.places.subarray(count, 2 * count);
    this.zM = this.places.subarray(2 * count);
    this.bodies = items.map(() => null);
    this.known = items.map(() => new WeakMap());
    this.isTurning = items.map((_, slot) => turns.some((each) => each.slot === slot));
    this.heldSlots = items.map(({ id }) =>
      items.flatMap(({ seat }, slot) => (seat.on === 'item' && seat.item === id ? [slot] : [])),
    );
    this.wires = carriers.map(() => null);
  }

  /** Works out all bodies as they lie with these parts. */
  weighInPlace(laying: Laying, parts: readonly Part[]): void {
    const before = this.tie;
    this.tie = laying.tie();
    for (let slot = 0; slot < parts.length; slot++) this.weighSlot(slot, laying, parts);
    let isSame = before.xM === this.tie.xM && before.yM === this.tie.yM;
    laying.carriers.forEach((laid, index) => {
      isSame = this.isWireKept(laid, index) && isSame;
    });
    if (!isSame || !this.wireSum) this.wireSum = this.sumOfWires();
  }

  /** The same where only these slots lie elsewhere or hold another part than when all was kept. */
  weighReached(laying: Laying, parts: readonly Part[], slots: readonly number[]): void {
    this.bodies = [...this.keptBodies];
    this.places.set(this.keptPlaces);
    for (const slot of slots) this.weighSlot(slot, laying, parts);
  }

  /** Keeps all bodies as they are now. */
  keep(): void {
    this.keptBodies = [...this.bodies];
    this.keptPlaces.set(this.places);
  }

  private weighSlot(slot: number, laying: Laying, parts: readonly Part[]): void {
    const { items, on, lines, isThreaded } = this.assembly;
    const { tie } = this;
    const part = parts[slot] as Part;
    const x0M = laying.x0M[slot] as number;
    const x1M = laying.x1M[slot] as number;
    this.bodies[slot] = this.bodyOf(slot, part, x1M - x0M, parts, laying);
    const laid = laying.carriers[on[slot] as number] as LaidOn;
    const kind = lines[slot] ?? 'run';
    const isStrip = part.kind === 'skirtLayer' && !isThreaded[slot];
    const alongM = isStrip ? x0M + STRIP_MIDDLE * part.lengthM : (x0M + x1M) / 2;
    const item = items[slot] as Item;
    const host = item.seat.on === 'item' ? this.assembly.slots.get(item.seat.item) : undefined;
    const holder = host === undefined ? null : (parts[host] ?? null);
    const lift = roomOf(part).middleUpM?.(part, item.state, holder) ?? 0;
    const upM = isLifted(kind) ? (laying.offAxisM[slot] as number) + lift : 0;
    const pose = laid.lines[kind];
    const { cos, sin } = laid.directions[kind];
    this.xM[slot] = pose.xM + alongM * cos - upM * sin - tie.xM;
    this.yM[slot] = pose.yM + alongM * sin + upM * cos - tie.yM;
    this.zM[slot] =
      part.kind === 'trailer'
        ? crookedBy(part, stateOf(items[slot] as Item, 'trailer').crookedRad)
        : besidePath(laid.path, kind, alongM, laid.shaftX1M);
  }

  private bodyOf(slot: number, part: Part, lengthM: number, parts: readonly Part[], laying: Laying): KeptBody {
    const isByLength = part.kind === 'shrinkTube' || part.kind === 'softWire' || part.kind === 'link';
    const slots = this.heldSlots[slot] ?? [];
    const isThis = (each: KeptBody) =>
      each.part === part && Math.abs(each.lengthM - lengthM) < SAME_LENGTH_M && isHeld(each.held, slots, parts);
    const now = this.bodies[slot];
    if (now && !isByLength && isThis(now)) return now;
    const known = this.known[slot]?.get(part);
    if (known && !isByLength) {
      const found = known.find(isThis);
      if (found) return found;
    }
    const item = this.assembly.items[slot] as Item;
    const room = roomOf(part);
    const { state, flipped } = item;
    // What its areas hang on is learnt as they are worked out.
    let held: readonly Part[] = [];
    const on = {
      state,
      flipped,
      lengthM,
      get held() {
        held = slots.map((each) => parts[each] as Part);
        return held;
      },
    };
    const areas = this.isTurning[slot] ? TURNING_AREAS : room.areas(part, on);
    const massKg = room.massKg(part, state, isByLength ? this.lengthIn(slot, item, part, parts, laying) : null);
    const body: KeptBody = {
      part,
      lengthM,
      held,
      massKg,
      volumeM3: room.displacedM3(part, massKg),
      areas,
    };
    // The first is mostly that of the lure as it stands.
    if (known && known.length < 2) known.push(body);
    else if (known) known[1] = body;
    else this.known[slot]?.set(part, [body]);
    return body;
  }

  /** Of what is sold by the length, the length of it in the lure, m; null where it is not cut to the lure. */
  private lengthIn(slot: number, item: Item, part: Part, parts: readonly Part[], laying: Laying): number | null {
    const { seat } = item;
    if (part.kind === 'softWire') {
      const about = seat.on === 'item' ? this.assembly.slots.get(seat.item) : undefined;
      return lengthInLure(lockTerms(part, stateOf(item, 'lock').turns, about === undefined ? undefined : parts[about]));
    }
    if (part.kind === 'link') return lengthInLure(linkTerms(part, stateOf(item, 'link').lengthM));
    const index = this.assembly.on[slot] as number;
    const carrier = this.assembly.carriers[index];
    const laid = laying.carriers[index];
    if (part.kind !== 'shrinkTube' || !laid || carrier?.strand.at(-1)?.slot !== slot) return null;
    return lengthInLure(tubeTerms(laid.tail, laying.tubeEnd(laid.tail, carrier.tail, parts), part.lengthwiseShrink));
  }

  /** False when the wire had to be worked out anew. */
  private isWireKept(laid: LaidOn, index: number): boolean {
    const known = this.wires[index];
    const { xM, yM } = laid.lines.run;
    const stackM = carrierRoom(laid.carrier).isAsLongAsItsStack ? laid.stackM : 0;
    const { path, snelledM } = laid;
    const isKept =
      known?.path === path &&
      known.stackM === stackM &&
      known.snelledM === snelledM &&
      known.xM === xM &&
      known.yM === yM;
    if (isKept) return true;
    this.wires[index] = { path, stackM, snelledM, xM, yM, bodies: carrierBodies(laid) };
    return false;
  }

  private sumOfWires(): SumOfBodies {
    const sum = new SumOfBodies(this.rho);
    for (const [index, wire] of this.wires.entries()) {
      for (const body of wire?.bodies ?? []) {
        const [xM, yM] = [body.xM - this.tie.xM, body.yM - this.tie.yM];
        sum.add(body, body, xM, yM, body.zM, index === 0 && this.assembly.isLed);
        if (body.plate) sum.addPlate(body.plate, xM, yM);
      }
    }
    return sum;
  }

  /** All of it with every shared coefficient at its estimate. */
  sums(): SumOfBodies {
    const { isLed, on } = this.assembly;
    const sum = new SumOfBodies(this.rho, this.wireSum);
    for (let slot = 0; slot < this.bodies.length; slot++) {
      const body = this.bodies[slot] as KeptBody;
      const isLead = isLed && on[slot] === 0;
      sum.add(body, body.areas, this.xM[slot] as number, this.yM[slot] as number, this.zM[slot] as number, isLead);
    }
    return sum;
  }

  /** Of each blade once. */
  private readonly facedKg = oncePer((blade: Blade) => facedWaterKg(blade, this.rho));

  /** The arm with what sits on it, as in-water/arm.ts has it. */
  arm(laying: Laying, parts: readonly Part[]): ArmOutcome {
    const { rho } = this;
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
      const alongM = isAlong
        ? isThreaded[slot]
          ? middleOf(laying, slot, part)
          : (laying.pivotM[slot] as number)
        : armM;
      const share = isAlong ? Math.min(1, alongM / armM) ** 2 : 1;
      const { massKg, volumeM3 } = this.bodies[slot] as KeptBody;
      carriedKg += share * (massKg + rho * volumeM3);
      if (part.kind === 'blade') waterKg += share * this.facedKg(part);
    }
    carriers.forEach(({ id, behind }, index) => {
      if (id === FIRST_CARRIER || !behind.includes(holder.id)) return;
      for (const { massKg, volumeM3 } of this.wires[index]?.bodies ?? []) carriedKg += massKg + rho * volumeM3;
    });
    return armCarrying(spring.spring, carriedKg, waterKg);
  }
}

function isHeld(held: readonly Part[], slots: readonly number[], parts: readonly Part[]): boolean {
  for (let i = 0; i < held.length; i++) if (parts[slots[i] as number] !== held[i]) return false;
  return true;
}

/** Of a clevis its aft leg. */
function middleOf(laying: Laying, slot: number, { kind }: Part): number {
  const [from, to] = kind === 'clevis' ? [laying.aftX0M, laying.aftX1M] : [laying.x0M, laying.x1M];
  return ((from[slot] as number) + (to[slot] as number)) / 2;
}

/** Weight in water, and the areas along, of strands, across, and by slope; see hydro/trim.ts. */
const SUMMED = 5;

/** All bodies together, as scaled-lure.ts takes them. */
export class SumOfBodies {
  massKg: number;
  private movedKg: number;
  private first: number;
  private second: number;
  /** Four numbers for each: all of it, and its moments about the tie along, up and to the side. */
  private readonly sums: Float64Array;
  private readonly plates: PlacedPlate[];
  private lead: LeadAreas;

  /** @param rho density of the water, kg/m³; @param from what is already summed */
  constructor(
    private readonly rho: number,
    from: SumOfBodies | null = null,
  ) {
    this.massKg = from?.massKg ?? 0;
    this.movedKg = from?.movedKg ?? 0;
    this.first = from?.first ?? 0;
    this.second = from?.second ?? 0;
    this.lead = from?.lead ?? NO_LEAD;
    this.plates = from ? [...from.plates] : [];
    this.sums = from ? from.sums.slice() : new Float64Array(4 * SUMMED);
  }

  add(
    { massKg, volumeM3 }: { readonly massKg: number; readonly volumeM3: number },
    { axialM2, strandM2, sideM2, slopeM2 }: Areas,
    x: number,
    y: number,
    z: number,
    isLead = false,
  ): void {
    const waterKg = this.rho * volumeM3;
    const movedKg = massKg + waterKg;
    this.massKg += massKg;
    this.movedKg += movedKg;
    this.first += movedKg * x;
    this.second += movedKg * x * x;
    if (isLead) {
      this.lead = {
        axialM2: this.lead.axialM2 + axialM2,
        sideM2: this.lead.sideM2 + sideM2,
        slopeM2: this.lead.slopeM2 + slopeM2,
      };
      this.tally(0, (massKg - waterKg) * GRAVITY_MPS2, 0, 0, 0);
      this.tally(4, axialM2, 0, 0, 0);
      this.tally(8, strandM2, 0, 0, 0);
      this.tally(12, sideM2, 0, 0, 0);
      this.tally(16, slopeM2, 0, 0, 0);
      return;
    }
    this.tally(0, (massKg - waterKg) * GRAVITY_MPS2, x, y, z);
    this.tally(4, axialM2, x, y, z);
    if (strandM2 !== 0) this.tally(8, strandM2, x, y, z);
    this.tally(12, sideM2, x, y, z);
    if (slopeM2 !== 0) this.tally(16, slopeM2, x, y, z);
  }

  addPlate(plate: Plate, xM: number, yM: number): void {
    this.plates.push({ ...plate, xM, yM });
  }

  private tally(at: number, value: number, x: number, y: number, z: number): void {
    const { sums } = this;
    sums[at] = (sums[at] as number) + value;
    sums[at + 1] = (sums[at + 1] as number) + value * x;
    sums[at + 2] = (sums[at + 2] as number) + value * y;
    sums[at + 3] = (sums[at + 3] as number) + value * z;
  }

  upward(): TrimSums {
    return this.toSide(2);
  }

  aside(): TrimSums {
    return this.toSide(3);
  }

  private toSide(moment: 2 | 3): TrimSums {
    const sum = (of: number) => ({
      all: this.sums[4 * of] as number,
      x: this.sums[4 * of + 1] as number,
      y: this.sums[4 * of + moment] as number,
    });
    return {
      weightN: sum(0),
      axialM2: sum(1),
      strandM2: sum(2),
      sideM2: sum(3),
      slopeM2: sum(4),
      plates: moment === 2 ? this.plates : [],
      lead: this.lead,
    };
  }

  swing(): Pick<ScaledLure, 'movedKg' | 'forcePerMoment'> {
    return swinging(this.movedKg, this.first, this.second);
  }
}
