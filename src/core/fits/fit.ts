/**
 * Whether a part goes where it is wanted: port in port. What a part brings to a joint and what it sits on are told by its
 * kind (parts/kinds); here one is held against the other, by their measures alone. One list of checks serves the finished
 * lure and the choice of parts for it. Tolerances are trade estimates.
 */
import type { Hanger, How, Side } from '../parts/kinds/room';
import { roomOf, type Part } from '../parts/part';
import type { Line } from '../parts/kinds/line';
import type { Wire } from '../parts/kinds/wire';
import type { WireEnd } from '../parts/wire-form';
import { carrierRoom, strandOf, wireEnd, type Carrier } from '../carriers/carrier';
import { strandIndexes } from '../lure/editing';
import {
  childrenOf,
  FIRST_CARRIER,
  itemOf,
  type Build,
  type CarrierId,
  type End,
  type Holder,
  type Item,
  type ItemId,
} from '../lure/lure';
import { carrierOfItem, carrierWith, threadedOn, type Strung } from '../lure/strung';
import { layOut, type Layout } from '../geometry/layout';
import { isLoose, type Misfit, type Through } from './misfit';

type LoopEnd = Extract<WireEnd, { form: 'wrappedLoop' | 'bentLoop' }>;
type Bore = Extract<Side, { port: 'bore' }>;
type Hole = Extract<Side, { port: 'hole' }>;
type Coil = Extract<Hanger, { hanger: 'coil' }>;
type Loop = Extract<Hanger, { hanger: 'loop' | 'tie' }>;

/** Something held, and in which way. */
interface Held {
  readonly how: How;
  readonly side: Side;
}

/** What a part meets in a place. */
export interface Place {
  /** In which way it sits there. */
  readonly by: How | 'threaded';
  readonly hanger: Hanger | null;
  /** What it would hold there. */
  readonly held: readonly Held[];
  /** Lengthwise room between the legs of the clevis it lies in, itself left out; null outside. */
  readonly roomInClevisM: number | null;
  /** The carrier's wire. */
  readonly wireM: number;
  /** What the wire goes through, when the part is the wire, and the loops it forms. */
  readonly threaded: readonly Side[];
  readonly loops: readonly LoopEnd[];
}

/** Clearance that a bore needs to slide on a wire. */
export const SLIDING_FIT_M = 0.00003;
/** A bore this many times its wire sits crooked and rattles. */
const MOST_BORE_RATIO = 2;
/** A spacer may be slid over the end of a loop, where two wires lie in it. */
const SPACER_BORE_RATIO = 3;
const LEAST_MOST_BORE_M = 0.0014;
/** A blade swings freely when its hole is wider than the lobe by this. */
const SWINGING_FIT_M = 0.0002;
/** An eye or loop takes both turns of a ring with this to spare. */
const RING_FIT_M = 0.0001;
/** A band grips when it is stretched, and tears when stretched too far. Trade estimates. */
const LEAST_STRETCH = 1.15;
const MOST_STRETCH = 3.5;
/** A ring forced over an open tie holds its two legs together when it is no wider than the bend and this. */
const SLACK_OVER_TIE_M = 0.0008;
/** Room a ring leaves for what it joins to swing past each other. */
const SWING_IN_RING_M = 0.0003;

/** Why a part does not go in a place, with the measures that say so, m; empty where it does. */
export function misfits(part: Part, place: Place): Misfit[] {
  const room = roomOf(part);
  const side = place.by === 'threaded' ? room.threads?.side?.(part) : room.sits[place.by]?.side(part);
  return [
    ...(side && place.hanger ? jointMisfits(side, place.hanger, place.wireM) : []),
    ...holdingMisfits(part, place),
    ...(part.kind === 'wire' || part.kind === 'line' ? wireMisfits(part, place) : []),
    ...roomMisfits(part, place),
  ];
}

/** One part's side against what it sits on. */
function jointMisfits(side: Side, on: Hanger, wireM: number): Misfit[] {
  switch (side.port) {
    case 'bore':
      if (on.hanger === 'wire') return boreMisfit(side, on.diameterM, 'wire', on.isLimp);
      return on.hanger === 'sleeve' ? boreMisfit(side, on.diameterM, 'sleeve', false) : [];
    case 'band':
      return on.hanger === 'collar' ? bandMisfits(side.boreM, on.diameterM) : [];
    case 'hole':
      return holeMisfits(side, on, wireM);
    case 'coil':
      if (on.hanger === 'loop') return ringInLoop(side.wiresM, on.insideM);
      if (on.hanger === 'tie') return ringOverTie(side.insideM, on);
      return on.hanger === 'swivelEye' ? eyeOnRing(on.openM, side.wiresM) : [];
    case 'hookEye':
      if (on.hanger === 'line') return eyeOnLine(side.openM, on.lineM);
      if (on.hanger === 'coil') return eyeOnRing(side.openM, on.wiresM);
      // A stinger's eye goes over the point and barb of the main hook.
      return on.hanger === 'bend' ? tooSmallEye(side.openM, on.wireM, 0) : [];
    case 'swivelEye':
      if (on.hanger === 'line') return eyeOnLine(side.openM, on.lineM);
      if (on.hanger === 'coil') return eyeOnRing(side.openM, on.wiresM);
      return on.hanger === 'loop' ? tooSmallEye(side.openM, on.wireM, RING_FIT_M) : [];
    case 'wireLoop':
      return on.hanger === 'coil' ? ringInLoop(on.wiresM, side.insideM) : [];
    // The ring that holds a body tells it.
    case 'bodyEye':
    case 'cast':
    case 'shank':
    case 'strip':
    case 'slit':
    case 'binding':
    case 'lashing':
    case 'disc':
    case 'screw':
    case 'nail':
      return [];
  }
}

/** What a part holds against its own side of those joints. What hangs tells it too; see `isToldByOther` of the findings. */
function holdingMisfits(part: Part, { held, hanger: own, wireM }: Place): Misfit[] {
  const { holds } = roomOf(part);
  return held.flatMap(({ how, side }) => {
    const hanger = holds[how]?.hanger(part);
    switch (hanger?.hanger) {
      case 'coil':
        return own?.hanger === 'tie' ? [] : inRing(hanger, side, thicknessInRing(own));
      case 'lobe':
      case 'swivelEye':
      case 'sleeve':
        return jointMisfits(side, hanger, wireM);
      default:
        return [];
    }
  });
}

function boreMisfit({ boreM, fit }: Bore, throughM: number, what: Through, isLimp: boolean): Misfit[] {
  if (boreM < throughM + SLIDING_FIT_M) return [{ code: 'boreTooTight', boreM, throughM, what }];
  // A bell swings about its sleeve and is meant to be loose.
  const ratio = fit === 'spacer' ? SPACER_BORE_RATIO : MOST_BORE_RATIO;
  const mostM = Math.max(ratio * throughM, LEAST_MOST_BORE_M);
  // On line it hangs crooked however tight it is.
  return what === 'wire' && !isLimp && fit !== 'swinging' && boreM > mostM
    ? [{ code: 'boreTooLoose', boreM, throughM, mostM }]
    : [];
}

function holeMisfits(hole: Hole, on: Hanger, wireM: number): Misfit[] {
  switch (on.hanger) {
    case 'lobe': {
      // The hole on the lobe, and the root of the blade against the wire when the blade stands at its usual spread.
      const tooSmall = holeOver(hole.openM, on.thickM);
      if (tooSmall.length > 0) return tooSmall;
      const rootM = hole.rootM * Math.sin(hole.spreadRad);
      const leftM = on.dropM - rootM - wireM / 2;
      return leftM < 0 ? [{ code: 'rootMeetsWire', shortM: -leftM, dropM: on.dropM, rootM }] : [];
    }
    case 'coil':
      return holeOver(hole.openM, on.wiresM);
    case 'swivelEye':
    case 'loop':
      return holeOver(hole.openM, on.wireM);
    default:
      return [];
  }
}

/** A blade's hole on what passes through it. */
function holeOver(holeM: number, lobeM: number): Misfit[] {
  return holeM < lobeM + SWINGING_FIT_M ? [{ code: 'holeTooSmall', holeM, lobeM }] : [];
}

function ringInLoop(ringWiresM: number, insideM: number): Misfit[] {
  return insideM < ringWiresM + RING_FIT_M ? [{ code: 'loopTooSmall', insideM, ringWiresM }] : [];
}

/** What a ring joins: it hangs on one thing, this thick, and holds another. */
function inRing(ring: Coil, side: Side, holderM: number): Misfit[] {
  switch (side.port) {
    case 'hole':
      return holeOver(side.openM, ring.wiresM);
    case 'swivelEye':
    case 'bodyEye':
      return eyeOnRing(side.openM, ring.wiresM);
    case 'hookEye':
      return [...eyeOnRing(side.openM, ring.wiresM), ...insideRing(ring, holderM, side.wireM)];
    case 'coil':
      return insideRing(ring, holderM, side.wiresM);
    default:
      return [];
  }
}

function thicknessInRing(own: Hanger | null): number {
  switch (own?.hanger) {
    case 'coil':
      return own.wiresM;
    case 'loop':
    case 'swivelEye':
      return own.wireM;
    default:
      return 0;
  }
}

/** Both legs of the tie pass through the ring, and it holds them together only when it is no wider than the bend. */
function ringOverTie(insideM: number, tie: Loop): Misfit[] {
  const neededM = 2 * tie.wireM + RING_FIT_M;
  const mostM = tie.insideM + 2 * tie.wireM + SLACK_OVER_TIE_M;
  if (insideM < neededM) return [{ code: 'ringTooSmall', insideM, neededM }];
  return insideM > mostM ? [{ code: 'ringTooLarge', insideM, mostM }] : [];
}

function bandMisfits(boreM: number, collarM: number): Misfit[] {
  if (collarM < boreM * LEAST_STRETCH) return [{ code: 'bandTooLoose', boreM, collarM }];
  return collarM > boreM * MOST_STRETCH ? [{ code: 'bandTooTight', boreM, collarM }] : [];
}

/** A knot passes the line through the eye twice. */
function eyeOnLine(eyeM: number, lineM: number): Misfit[] {
  return tooSmallEye(eyeM, 2 * lineM, 0);
}

/** Both turns of the ring pass through the eye. */
function eyeOnRing(eyeM: number, ringWiresM: number): Misfit[] {
  return tooSmallEye(eyeM, ringWiresM, RING_FIT_M);
}

function tooSmallEye(eyeM: number, throughM: number, spareM: number): Misfit[] {
  return eyeM < throughM + spareM ? [{ code: 'eyeTooSmall', eyeM, ringWiresM: throughM }] : [];
}

/** What the ring joins must swing past each other inside it. */
function insideRing({ insideM }: Coil, holderM: number, heldM: number): Misfit[] {
  const neededM = holderM + heldM + SWING_IN_RING_M;
  return insideM < neededM ? [{ code: 'ringTooSmall', insideM, neededM }] : [];
}

function wireMisfits({ kind, diameterM }: Wire | Line, { threaded, held, loops }: Place): Misfit[] {
  const worst = threaded
    .flatMap((side) => jointMisfits(side, { hanger: 'wire', diameterM, isLimp: kind === 'line' }, diameterM))
    .sort((a, b) => Number(isLoose(a)) - Number(isLoose(b)))[0];
  const rings = held.flatMap(({ side }) =>
    side.port === 'coil' ? loops.flatMap((loop) => ringInLoop(side.wiresM, loop.insideDiameterM)) : [],
  );
  return [...(worst ? [worst] : []), ...rings.slice(0, 1)];
}

function roomMisfits(part: Part, { roomInClevisM: roomM }: Place): Misfit[] {
  const lengthM = roomOf(part).threads?.betweenLegsM?.(part);
  return roomM !== null && lengthM !== undefined && lengthM > roomM ? [{ code: 'noRoomInClevis', lengthM, roomM }] : [];
}

export const NOWHERE: Place = {
  by: 'hung',
  hanger: null,
  held: [],
  roomInClevisM: null,
  wireM: 0,
  threaded: [],
  loops: [],
};

/** The sides of all that sits on this, in the ways they sit. */
function heldSides(build: Build, holder: Holder): Held[] {
  return childrenOf(build, holder).flatMap(({ part, seat }): Held[] => {
    const how = seat.on === 'item' ? seat.how : 'hung';
    const sits = roomOf(part).sits[how];
    return sits ? [{ how, side: sits.side(part) }] : [];
  });
}

/** The place an item of a build sits in. */
export function placeOf(build: Build, item: Item, layout: Layout = layOut(build)): Place {
  const held = heldSides(build, item.id);
  const { seat } = item;
  if (seat.on === 'strand') {
    const { on, index } = threadedOn(build, item.id) ?? { on: undefined, index: 0 };
    return { ...threadPlace(build, index, item.id, layout, on?.id), held };
  }
  return { ...seatPlace(build, seat), held };
}

/** The place on the wire that something threaded at this index would come to. `except`: an item that makes way. */
export function threadPlace(
  build: Build,
  index: number,
  except: ItemId | null = null,
  layout: Layout = layOut(build),
  carrier: CarrierId = FIRST_CARRIER,
): Place {
  const on = carrierWith(build, carrier);
  const wireM = strandOf(on?.carrier ?? build.carrier);
  return {
    ...NOWHERE,
    by: 'threaded',
    hanger: { hanger: 'wire', diameterM: wireM, isLimp: carrierRoom((on ?? build).carrier).isLimp },
    wireM,
    roomInClevisM: on ? roomInClevis(build, on, index, except, layout) : null,
  };
}

/** The place that something hung, tied or slid over here would come to. */
export function seatPlace(build: Build, seat: Exclude<Item['seat'], { on: 'strand' }>): Place {
  const on = carrierAt(build, seat);
  const wireM = strandOf(on);
  switch (seat.on) {
    case 'end': {
      const end = wireEnd(on, seat.end);
      return { ...NOWHERE, wireM, hanger: hangerAt(end, wireM) };
    }
    case 'body':
      return { ...NOWHERE, by: 'screwed', wireM, hanger: { hanger: 'bed' } };
    case 'tie':
      // The eye of a body takes a ring as a loop does.
      if (carrierRoom(on).hasEyes)
        return { ...NOWHERE, wireM, hanger: { hanger: 'loop', insideM: tieInside(on), wireM } };
      return { ...NOWHERE, wireM, hanger: { hanger: 'tie', insideM: tieInside(on), wireM } };
    case 'item': {
      const { part } = itemOf(build, seat.item);
      return { ...NOWHERE, by: seat.how, wireM, hanger: roomOf(part).holds[seat.how]?.hanger(part) ?? null };
    }
  }
}

/** The carrier that something seated here is on, by way of what holds it. */
function carrierAt(build: Build, seat: Exclude<Item['seat'], { on: 'strand' }>): Carrier {
  const id = seat.on === 'item' ? carrierOfItem(build, itemOf(build, seat.item)) : (seat.carrier ?? FIRST_CARRIER);
  return carrierWith(build, id)?.carrier ?? build.carrier;
}

/** What an end offers to hang on. */
function hangerAt(end: WireEnd, wireM: number): Hanger | null {
  if (isLoop(end)) return { hanger: 'loop', insideM: end.insideDiameterM, wireM };
  return isLineEnd(end) ? { hanger: 'line', lineM: wireM } : null;
}

function isLineEnd({ form }: WireEnd): boolean {
  return form === 'knot' || form === 'tiedLoop';
}

function isLoop(end: WireEnd): end is LoopEnd {
  return end.form === 'wrappedLoop' || end.form === 'bentLoop';
}

/** Inside diameter of the bend or coil that the line is tied in, m; 0 without one. */
function tieInside(carrier: Carrier): number {
  return carrierRoom(carrier).tieInsideM(carrier) ?? 0;
}

const ENDS: readonly End[] = ['nose', 'tail'];

/** The place of the wire itself: everything threaded on it and hung on its loops. */
export function wirePlace(build: Build): Place {
  const threaded = Object.values(build.items).flatMap(({ seat, part }): Side[] => {
    const side = seat.on === 'strand' ? roomOf(part).threads?.side?.(part) : undefined;
    return side ? [side] : [];
  });
  const held = ENDS.flatMap((end) => heldSides(build, end));
  const loops = ENDS.map((end) => wireEnd(build.carrier, end)).filter(isLoop);
  return { ...NOWHERE, threaded, held, loops };
}

/** Room left between the legs of the tightest clevis that has this place between them. */
function roomInClevis(
  build: Build,
  { id, strand }: Strung,
  index: number,
  except: ItemId | null,
  { carriers }: Layout,
): number | null {
  const laid = carriers.find((each) => each.id === id);
  let least: number | null = null;
  for (const { item, clevis } of laid?.clevises ?? []) {
    const [fore, aft] = strandIndexes(build, item.id);
    if (fore === undefined || aft === undefined || item.id === except || index <= fore || index > aft) continue;
    // Between the legs there are others already, and other clevises' legs; the item itself makes way.
    const takenM = strand.slice(fore + 1, aft).reduce((sum, entry, n) => {
      if (entry.item === except) return sum;
      const placed = laid?.strand[fore + 1 + n];
      return sum + (placed ? placed.x1M - placed.x0M : 0);
    }, 0);
    const roomM = Math.max(clevis.legGapM - takenM, 0);
    least = least === null ? roomM : Math.min(least, roomM);
  }
  return least;
}
