/**
 * A lure made ready to be asked many times what a change would do: for choosing a part, for moves, for a search. Of a swap
 * only what hangs on the part is worked out, into room that is used again; blades are kept by what they turn on and in
 * which stream. Every coefficient stands at its estimate; there are no spreads, findings, repairs or sentences.
 * It gives what predict() gives as the middle of each figure, within a millionth (test).
 */
import { strandOf } from '../carriers/carrier';
import { isLifted } from '../geometry/placed';
import { deltaBearing } from '../hydro/delta-blade';
import { filmBearing } from '../hydro/film-blade';
import type { Bearing } from '../hydro/blade-loads';
import { fishingLine, USUAL_OUTFIT, type Outfit } from '../hydro/outfit';
import { lureShape } from '../hydro/outfit-line';
import { depthOf, type FishingLine } from '../hydro/towed-line';
import type { Water } from '../hydro/water';
import { headDragNm, type ArmOutcome } from '../in-water/arm';
import { bearingOn, ringBearing, swivelBearing } from '../in-water/bearing';
import { applyEdits, type Edit } from '../lure/edit';
import { misfits, placeOf, type Place } from '../fits/fit';
import type { Misfit } from '../fits/misfit';
import { itemOf, type Build, type Item, type ItemId, type Lure } from '../lure/lure';
import { wobbleStarts } from '../hydro/wobble';
import { planingAreas } from '../in-water/planing-areas';
import { twistingOf } from '../in-water/twisting';
import { clevisSeat, threadedSeat } from '../in-water/spinners';
import type { Refusal } from '../lure/structure';
import { pointOn } from '../carriers/wire-path';
import { headClearance } from '../geometry/blade-on-head';
import { deltaTipsM } from '../geometry/seats';
import type { Part, PartOf } from '../parts/part';
import { AS_ESTIMATED } from '../predict/factors';
import type { Crossings } from '../predict/crossings';
import { troubleAt } from '../predict/trouble';
import { pullOnLine, rideAt, thumpOf } from '../predict/ride';
import { aheadOf, wobblingOf, type BladePlace } from '../predict/lure-in-water';
import { hingedOn } from '../geometry/tie';
import { armScaled, type ScaledLure } from '../predict/scaled-lure';
import { outcomesAt } from '../predict/turned';
import { crossingsStanding, keptDownTo, trimWith, turnStanding, type Hanging, type Standing } from './turning';
import { Workshop } from './workshop';
import { assemble, type Assembly, type Reach, type Turns } from './assembly';
import type { Figures } from './figures';
import { Laying, type LaidOn } from './laying';
import { knockedOn } from './nails';
import { Weighing } from './weighing';

export interface Setting {
  readonly water: Water;
  readonly outfit?: Outfit;
  /** Through the water, m/s. */
  readonly speedMps: number;
}

/** One part in the place of another of its kind. */
export interface Swap {
  readonly item: ItemId;
  readonly part: Part;
}

/** @throws Error for a build that structureProblem refuses */
export function prepare(lure: Lure, setting: Setting): Prepared {
  return new Prepared(lure, setting, new Workshop(setting.water));
}

function isAhead(reach: Reach | undefined): boolean {
  return reach === 'nose' || reach === 'tie';
}

export class Prepared {
  /** The lure as it stands, nothing changed. */
  readonly figures: Figures;
  private readonly build: Build;
  private readonly outfit: Outfit;
  private readonly line: FishingLine;
  private readonly assembly: Assembly;
  private readonly laying: Laying;
  private readonly weighing: Weighing;
  private readonly parts: Part[];
  /** Of each slot once it is asked for. */
  private readonly places: (Place | undefined)[];
  /** Of the lure as it stands. */
  private still: { readonly arm: ArmOutcome; readonly standing: readonly Standing[] } | null = null;
  /** Whether something turns on its nose or its tie, or beside the head that sits there. */
  private readonly turnsAhead: boolean;
  /** The pitch of the lure as it stands, which others are near. */
  private firstPitchRad: number | null = null;
  /** Of each blade the slowest speed of the lure that keeps it, over that of a level axle: others of it are near. */
  private readonly keptRatios = new Map<ItemId, number>();
  /** All was laid for other parts. */
  private isMoved = false;

  constructor(
    readonly lure: Lure,
    readonly setting: Setting,
    private readonly workshop: Workshop,
  ) {
    this.build = lure.build;
    this.outfit = setting.outfit ?? USUAL_OUTFIT;
    this.line = fishingLine(this.outfit.line);
    this.assembly = assemble(lure.build);
    this.laying = new Laying(this.assembly);
    this.weighing = new Weighing(this.assembly, workshop.rho);
    this.parts = this.assembly.items.map(({ part }) => part);
    this.places = this.parts.map(() => undefined);
    this.turnsAhead = this.assembly.turns.some(
      ({ slot }) => isAhead(this.assembly.reaches[slot]) || this.parts[slot]?.kind === 'deltaBlade',
    );
    this.figures = this.work('all', []);
    this.laying.keep();
    this.weighing.keep();
    this.isMoved = false;
  }

  /**
   * What the lure does with this part in place of that of an item.
   * @throws Error for an item it does not have, or a part of another kind: a caller's mistake
   */
  swap(item: ItemId, part: Part): Figures {
    const slot = this.slotFor(item, part);
    const before = this.parts[slot] as Part;
    this.parts[slot] = part;
    try {
      return this.work(this.reachOf(slot, before, part), misfits(part, this.placeAt(slot)));
    } finally {
      this.parts[slot] = before;
    }
  }

  /** The same with several swapped at once. */
  swapAll(swaps: readonly Swap[]): Figures {
    const [only] = swaps;
    if (swaps.length === 1 && only) return this.swap(only.item, only.part);
    const slots = swaps.map(({ item, part }) => this.slotFor(item, part));
    const before = slots.map((slot) => this.parts[slot] as Part);
    swaps.forEach(({ part }, i) => (this.parts[slots[i] as number] = part));
    try {
      return this.work('all', this.misfitsOf(swaps));
    } finally {
      slots.forEach((slot, i) => (this.parts[slot] = before[i] as Part));
    }
  }

  /** The same at another speed, m/s. */
  atSpeed(speedMps: number): Prepared {
    return new Prepared(this.lure, { ...this.setting, speedMps }, this.workshop);
  }

  /**
   * The lure after these edits, ready for more: a bend, a place along the strand, something put on or taken off. What is
   * known of its blades is kept.
   */
  after(
    edits: readonly Edit[],
  ): { readonly ok: true; readonly prepared: Prepared } | { readonly ok: false; readonly refusal: Refusal } {
    const applied = applyEdits(this.lure, edits);
    return applied.ok ? { ok: true, prepared: new Prepared(applied.lure, this.setting, this.workshop) } : applied;
  }

  /** How far a swap reaches: a head that lets its wire out elsewhere moves the whole lure. */
  private reachOf(slot: number, before: Part, part: Part): Reach {
    const isElsewhere = before.kind === 'head' && part.kind === 'head' && before.wireAtM !== part.wireAtM;
    return isElsewhere ? 'all' : (this.assembly.reaches[slot] ?? 'all');
  }

  /** Lays and weighs what is reached, the rest lying as in the lure as it stands. */
  private lay(reach: Reach): void {
    const { laying, weighing, parts, assembly } = this;
    if (reach === 'all') {
      this.isMoved = true;
      this.layAll(parts);
      return;
    }
    if (this.isMoved) this.layAll(assembly.items.map(({ part }) => part));
    this.isMoved = false;
    laying.layReached(reach, parts);
    weighing.weighReached(laying, parts, assembly.reached[reach]);
  }

  private layAll(parts: readonly Part[]): void {
    this.laying.layInPlace(parts);
    this.weighing.weighInPlace(this.laying, parts);
  }

  private slotFor(item: ItemId, part: Part): number {
    const slot = this.assembly.slots.get(item);
    const now = slot === undefined ? undefined : this.parts[slot];
    if (slot === undefined || !now) throw new Error(`swap: this lure has no item ${item}`);
    if (now.kind !== part.kind) throw new Error(`swap: ${item} is a ${now.kind}, not a ${part.kind}`);
    return slot;
  }

  private placeAt(slot: number): Place {
    return (this.places[slot] ??= placeOf(this.build, this.assembly.items[slot] as Item));
  }

  private misfitsOf(swaps: readonly Swap[]): Misfit[] {
    const items = { ...this.build.items };
    for (const { item, part } of swaps) items[item] = { ...itemOf(this.build, item), part };
    const build: Build = { ...this.build, items };
    return swaps.flatMap(({ item, part }) => misfits(part, placeOf(build, itemOf(build, item))));
  }

  /** @param reach of what holds another part than the lure as it stands */
  private work(reach: Reach, found: readonly Misfit[]): Figures {
    const { laying, weighing, parts, outfit, setting, workshop } = this;
    const { rho } = workshop;
    const { speedMps } = setting;
    this.lay(reach);
    // What is on the nose or the tie bears on neither the arm nor, mostly, on what turns.
    const still = isAhead(reach) && !this.turnsAhead && this.assembly.nails.length === 0 ? this.still : null;
    const arm = still?.arm ?? weighing.arm(laying, parts);
    const standing = still?.standing ?? this.standing();
    this.still ??= { arm, standing };
    const bodies = weighing.sums();
    const sums = bodies.upward();
    const hanging: Hanging = {
      rho,
      outfit,
      sums,
      spinners: standing.map(({ spinner }) => spinner),
      dragsAt: standing.map(({ place }) => place),
      planing: planingAreas(parts),
    };
    const { turned, pitchRad } = turnStanding(standing, hanging, speedMps, this.firstPitchRad);
    this.firstPitchRad ??= pitchRad;
    const outcomes = outcomesAt(turned, 0);
    const isOutside = troubleAt(speedMps, outcomes) !== null;
    const trim = isOutside ? null : trimWith(outcomes, hanging, speedMps, pitchRad);
    const towed = { waterDensityKgM3: rho, tipHeightM: outfit.tipHeightM, speedMps };
    const shape = trim ? lureShape(this.line, outfit, pullOnLine(trim), towed) : undefined;
    const scaled = (): ScaledLure => ({
      shared: AS_ESTIMATED,
      massKg: bodies.massKg,
      sums,
      asideSums: bodies.aside(),
      arm: armScaled(arm, AS_ESTIMATED),
      wobbling: wobblingOf(laying.carriers, bodies.massKg, sums.weightN),
      line: this.line,
      ...bodies.swing(),
    });
    let known: Crossings | null = null;
    const crossings = () => (known ??= crossingsStanding(standing, hanging, scaled()));
    const planingMps = hanging.planing !== null && trim !== null ? crossings().planingMps : null;
    const isPlaning = planingMps !== null && speedMps >= planingMps;
    return {
      massKg: bodies.massKg,
      sinkingN: sums.weightN.all,
      blades: standing.map(({ spinner, known }, i) => ({
        station: spinner.station,
        outcome: outcomes[i] ?? { outcome: 'stopped', localSpeedMps: 0 },
        keepsMps: () => known.keepsMps(),
      })),
      trim,
      line: isPlaning ? 'planes' : (shape?.outcome ?? 'surfaces'),
      depthM: isPlaning ? 0 : depthOf(shape),
      thumpNs: outcomes.reduce((most, outcome, i) => {
        const { strokes } = hanging.dragsAt[i] as BladePlace;
        return outcome?.outcome === 'turning' ? Math.max(most, thumpOf(outcome, strokes)) : most;
      }, 0),
      misfits: found,
      isShaken: arm.outcome !== 'outsideModel',
      bulkM2: sums.sideM2.all,
      wobbleStartMps: () => {
        const wobbling = wobblingOf(laying.carriers, bodies.massKg, sums.weightN);
        return wobbling && wobbleStarts(wobbling, rho);
      },
      keptDownToMps: () => this.keptDownTo(standing, hanging),
      crossings,
      ride: () => {
        if (!trim) return null;
        const twisting = twistingOf(this.assembly.items.map((item, slot) => ({ ...item, part: parts[slot] as Part })));
        return rideAt({ ...hanging, arm, twisting }, scaled(), outcomes, speedMps, [outfit.lineOutM]);
      },
    };
  }

  private keptDownTo(standing: readonly Standing[], hanging: Hanging): (number | null)[] {
    return standing.map((each, i) => {
      const near = this.keptRatios.get(each.spinner.station) ?? 1;
      const speedMps = keptDownTo(standing, hanging, i, near);
      const levelMps = each.known.keepsMps();
      if (speedMps !== null && levelMps !== null && near === 1)
        this.keptRatios.set(each.spinner.station, speedMps / levelMps);
      return speedMps;
    });
  }

  /** All that turns, nose first. */
  private standing(): Standing[] {
    const all = this.assembly.turns.map((each) => this.stand(each));
    return all.length > 1 ? all.sort((a, b) => a.spinner.placeM - b.spinner.placeM) : all;
  }

  private stand(turns: Turns): Standing {
    const { laying, weighing, assembly, workshop, parts } = this;
    const { slot } = turns;
    const item = assembly.items[slot] as Item;
    const part = parts[slot] as Part;
    const index = assembly.on[slot] as number;
    const laid = laying.carriers[index] as LaidOn;
    const kind = assembly.lines[slot] ?? 'run';
    const isHung = turns.hanger !== slot;
    const axle = isHung && kind !== 'run' ? null : laid.lines.run.angleRad;
    const [x0M, x1M] = [laying.x0M[slot] as number, laying.x1M[slot] as number];
    const middleM = (x0M + x1M) / 2;
    const dropM = isHung && !isLifted(kind) ? (laying.offAxisM[slot] as number) : 0;
    const alongM = isHung
      ? (laying.pivotM[slot] as number)
      : part.kind === 'deltaBlade'
        ? deltaTipsM({ x0M, x1M })
        : middleM;
    const ready = workshop.turner(item, part);
    const line = laid.lines[kind];
    const clean = this.bearingAt(turns, part, laid, dropM);
    const isKnocked = part.kind === 'blade' && parts[turns.hanger]?.kind === 'swivel' && assembly.nails.length > 0;
    const bearing = isKnocked
      ? knockedOn(clean, { blade: part, axle: line, holeM: alongM, dropM }, laying, parts)
      : clean;
    const { id, behind } = assembly.carriers[index] as Assembly['carriers'][number];
    const at = pointOn(line, alongM, isHung && isLifted(kind) ? (laying.offAxisM[slot] as number) : 0);
    const pulledAt = isHung ? at : pointOn(line, middleM);
    const tie = laying.tie();
    const isLead = assembly.isLed && index === 0;
    const hinged = isLead ? hingedOn(laying.carriers) : null;
    const { turner } = ready;
    return {
      spinner: {
        station: item.id,
        carrier: id,
        behind,
        placeM: laid.fromM + alongM,
        at,
        meetsWakeAtM: dropM + turner.reachesM,
        nominal: turner.nominal,
        bearing,
        blade: turner.blade,
      },
      place: {
        xM: pulledAt.xM - tie.xM,
        yM: pulledAt.yM - tie.yM,
        zM: weighing.zM[slot] as number,
        axleRad: isLead ? null : axle,
        isLead,
        ahead: hinged && isLead ? aheadOf(hinged, laid.fromM + alongM) : null,
        ...(axle === null ? ready.behindSwivel : ready.onWire),
      },
      known: workshop.book.find(ready.spun, bearing),
    };
  }

  private bearingAt({ slot, hanger, behind }: Turns, part: Part, laid: LaidOn, dropM: number): Bearing {
    const { assembly, parts } = this;
    const holding = parts[hanger] as Part;
    if (holding.kind === 'splitRing') return ringBearing(holding);
    if (holding.kind === 'swivel') {
      const swivel = assembly.items[hanger] as Item;
      return swivelBearing({ id: swivel.id, part: holding, state: swivel.state });
    }
    const onWire = {
      behind: behind === null ? null : (parts[behind] as Part),
      playM: laid.shaftX1M - laid.stackM - laid.shaftX0M,
      wire: { diameterM: strandOf(laid.carrier), material: laid.carrier.wire.material },
    };
    switch (part.kind) {
      case 'filmBlade':
        return filmBearing(bearingOn(onWire, { part, ...threadedSeat(part) }));
      case 'deltaBlade':
        return deltaBearing(bearingOn(onWire, { part, ...threadedSeat(part) }), this.headDragNm(slot, part, laid));
      default:
        if (holding.kind !== 'clevis') throw new Error(`bearingAt: slot ${slot} turns on a ${holding.kind}`);
        return bearingOn(onWire, clevisSeat(holding, dropM));
    }
  }

  /** What holds back a delta blade that drags on the head. */
  private headDragNm(slot: number, part: PartOf<'deltaBlade'>, { carrier }: LaidOn): number {
    const { laying, parts } = this;
    const at = parts.findIndex((each) => each?.kind === 'head');
    const head = parts[at];
    const [first] = laying.carriers;
    if (head?.kind !== 'head' || !first) return 0;
    const seat = { blade: part, x0M: laying.x0M[slot] as number };
    return headDragNm(carrier, part, headClearance(first, seat, head, laying.x0M[at] as number));
  }
}
