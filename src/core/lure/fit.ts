/**
 * Whether a part goes where it is wanted: its hole against what passes through it, an eye against a ring, room in a clevis.
 * A place is what the part would meet there; one list of checks serves the finished lure and the choice of parts for it.
 * Tolerances are trade estimates.
 */
import { PATTERNS } from '../parts/blade-pattern';
import type { Blade, Hook, Part, PartOf } from '../parts/part';
import { isBored } from '../parts/profile';
import type { WireEnd } from '../parts/wire-form';
import { childrenOf, itemOf, wireEnd, type Build, type Item, type ItemId } from './lure';
import { strandIndexes } from './editing';
import { isTie } from './structure';
import { layOut, type Layout } from './layout';

type Loop = Extract<WireEnd, { form: 'wrappedLoop' | 'bentLoop' }>;
type Through = 'wire' | 'sleeve' | 'collar';

/** What a part meets in a place. */
export interface Place {
  /** What passes through its bore: the wire, the sleeve it slides over, the collar it grips. */
  readonly through: { readonly what: Through; readonly diameterM: number } | null;
  /** What it hangs on: another part, a loop of the wire, or its line tie with the bend's inside diameter. */
  readonly holder:
    | Part
    | { readonly kind: 'loop'; readonly loop: Loop; readonly wireM: number }
    | { readonly kind: 'tie'; readonly insideM: number; readonly wireM: number }
    | null;
  /** What hangs on it, is tied to it or slides over it. */
  readonly held: readonly Part[];
  /** Lengthwise room between the legs of the clevis it lies in, itself left out; null outside. */
  readonly roomInClevisM: number | null;
  /** The carrier's wire. */
  readonly wireM: number;
  /** What the wire goes through, when the part is the wire, and the loops it forms. */
  readonly threaded: readonly Part[];
  readonly loops: readonly Loop[];
}

/** Why a part does not go there, with the numbers; `loose` goes there but not well. */
export type Misfit =
  | {
      readonly code: 'boreTooTight';
      readonly boreM: number;
      readonly throughM: number;
      readonly what: Through;
    }
  | { readonly code: 'boreTooLoose'; readonly boreM: number; readonly throughM: number; readonly mostM: number }
  | { readonly code: 'holeTooSmall'; readonly holeM: number; readonly lobeM: number }
  | { readonly code: 'rootMeetsWire'; readonly shortM: number; readonly dropM: number; readonly rootM: number }
  | { readonly code: 'eyeTooSmall'; readonly eyeM: number; readonly ringWiresM: number }
  | { readonly code: 'loopTooSmall'; readonly insideM: number; readonly ringWiresM: number }
  | { readonly code: 'ringTooSmall'; readonly insideM: number; readonly neededM: number }
  | { readonly code: 'ringTooLarge'; readonly insideM: number; readonly mostM: number }
  | { readonly code: 'bandTooLoose'; readonly boreM: number; readonly collarM: number }
  | { readonly code: 'bandTooTight'; readonly boreM: number; readonly collarM: number }
  | { readonly code: 'noRoomInClevis'; readonly lengthM: number; readonly roomM: number };

/** Misfits that only mar: the part goes on all the same. */
const LOOSE: ReadonlySet<Misfit['code']> = new Set(['boreTooLoose', 'ringTooLarge']);

export function isLoose({ code }: Misfit): boolean {
  return LOOSE.has(code);
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

export function misfits(part: Part, place: Place): Misfit[] {
  return [
    ...boreMisfits(part, place),
    ...(part.kind === 'blade' ? bladeMisfits(part, place) : []),
    ...(part.kind === 'clevis' ? clevisMisfits(part, place) : []),
    ...(part.kind === 'splitRing' ? ringMisfits(part, place) : []),
    ...(part.kind === 'hook' ? hookMisfits(part, place) : []),
    ...(part.kind === 'swivel' ? swivelMisfits(part, place) : []),
    ...(part.kind === 'skirt' ? bandMisfits(part, place) : []),
    ...(part.kind === 'wire' ? wireMisfits(part, place) : []),
    ...(part.kind === 'sleeve' ? place.held.flatMap((held) => boreMisfit(held, part.diameterM, 'sleeve')) : []),
    ...roomMisfits(part, place),
  ];
}

function boreMisfits(part: Part, { through }: Place): Misfit[] {
  return through ? boreMisfit(part, through.diameterM, through.what) : [];
}

function boreMisfit(part: Part, throughM: number, what: Through): Misfit[] {
  const isThreaded = part.kind === 'clevis' || part.kind === 'filmBlade' || part.kind === 'deltaBlade' || isBored(part);
  if (!isThreaded) return [];
  const { boreM } = part;
  if (boreM < throughM + SLIDING_FIT_M) return [{ code: 'boreTooTight', boreM, throughM, what }];
  // A bell swings about its sleeve and is meant to be loose.
  const ratio = part.kind === 'sleeve' ? SPACER_BORE_RATIO : MOST_BORE_RATIO;
  const mostM = Math.max(ratio * throughM, LEAST_MOST_BORE_M);
  return what === 'wire' && part.kind !== 'bell' && boreM > mostM
    ? [{ code: 'boreTooLoose', boreM, throughM, mostM }]
    : [];
}

function bladeMisfits(blade: Blade, { holder, wireM }: Place): Misfit[] {
  switch (holder?.kind) {
    case 'clevis':
      return bladeOnClevis(blade, holder, wireM);
    case 'splitRing':
      return holeOver(blade, 2 * holder.wireDiameterM);
    case 'swivel':
      return holeOver(blade, holder.eyeWireM);
    default:
      return [];
  }
}

/** A blade's hole on what passes through it. */
function holeOver({ holeDiameterM: holeM }: Blade, lobeM: number): Misfit[] {
  return holeM < lobeM + SWINGING_FIT_M ? [{ code: 'holeTooSmall', holeM, lobeM }] : [];
}

function clevisMisfits(clevis: PartOf<'clevis'>, { held, wireM }: Place): Misfit[] {
  return held.flatMap((part) => (part.kind === 'blade' ? bladeOnClevis(part, clevis, wireM) : []));
}

/** The hole on the lobe, and the root of the blade against the wire when the blade stands at its usual spread. */
function bladeOnClevis(blade: Blade, clevis: PartOf<'clevis'>, wireM: number): Misfit[] {
  const tooSmall = holeOver(blade, clevis.lobeThicknessM);
  if (tooSmall.length > 0) return tooSmall;
  const spreadRad = (PATTERNS[blade.pattern].reference.spreadDeg * Math.PI) / 180;
  const rootM = blade.holeOffsetM * Math.sin(spreadRad);
  const leftM = clevis.dropM - rootM - wireM / 2;
  return leftM < 0 ? [{ code: 'rootMeetsWire', shortM: -leftM, dropM: clevis.dropM, rootM }] : [];
}

function ringMisfits(ring: PartOf<'splitRing'>, { holder, held }: Place): Misfit[] {
  const ringWiresM = 2 * ring.wireDiameterM;
  const found: Misfit[] = [];
  if (holder?.kind === 'loop' && holder.loop.insideDiameterM < ringWiresM + RING_FIT_M) {
    found.push({ code: 'loopTooSmall', insideM: holder.loop.insideDiameterM, ringWiresM });
  }
  if (holder?.kind === 'tie') return ringOverTie(ring, holder);
  if (holder?.kind === 'swivel') found.push(...eyeOnRing(holder, ring));
  const holderM = thicknessInRing(holder);
  for (const part of held) {
    if (part.kind === 'blade') found.push(...holeOver(part, ringWiresM));
    if (part.kind === 'swivel' || part.kind === 'body') found.push(...eyeOnRing(part, ring));
    if (part.kind === 'hook') found.push(...eyeOnRing(part, ring), ...insideRing(ring, holderM, part.wireDiameterM));
    if (part.kind === 'splitRing') found.push(...insideRing(ring, holderM, 2 * part.wireDiameterM));
  }
  return found;
}

function thicknessInRing(holder: Place['holder']): number {
  switch (holder?.kind) {
    case 'loop':
      return holder.wireM;
    case 'splitRing':
      return 2 * holder.wireDiameterM;
    case 'swivel':
      return holder.eyeWireM;
    default:
      return 0;
  }
}

/** Both legs of the tie pass through the ring, and it holds them together only when it is no wider than the bend. */
function ringOverTie(ring: PartOf<'splitRing'>, tie: { readonly insideM: number; readonly wireM: number }): Misfit[] {
  const insideM = ring.outerDiameterM - 2 * ring.wireDiameterM;
  const neededM = 2 * tie.wireM + RING_FIT_M;
  const mostM = tie.insideM + 2 * tie.wireM + SLACK_OVER_TIE_M;
  if (insideM < neededM) return [{ code: 'ringTooSmall', insideM, neededM }];
  return insideM > mostM ? [{ code: 'ringTooLarge', insideM, mostM }] : [];
}

function hookMisfits(hook: Hook, { holder }: Place): Misfit[] {
  if (holder?.kind === 'splitRing') return eyeOnRing(hook, holder);
  if (holder?.kind !== 'hook') return [];
  // A stinger's eye goes over the point and barb of the main hook.
  const { eyeInnerDiameterM: eyeM } = hook;
  const ringWiresM = holder.wireDiameterM * OVER_BARB;
  return eyeM < ringWiresM ? [{ code: 'eyeTooSmall', eyeM, ringWiresM }] : [];
}

/** How much thicker a hook is at its barb. Trade estimate. */
const OVER_BARB = 1.5;

function swivelMisfits(swivel: PartOf<'swivel'>, { holder, held }: Place): Misfit[] {
  const { eyeInnerDiameterM: eyeM } = swivel;
  const onLoop: Misfit[] =
    holder?.kind === 'loop' && eyeM < holder.wireM + RING_FIT_M
      ? [{ code: 'eyeTooSmall', eyeM, ringWiresM: holder.wireM }]
      : [];
  const onRing = holder?.kind === 'splitRing' ? eyeOnRing(swivel, holder) : [];
  const carries = held.flatMap((part) =>
    part.kind === 'splitRing' ? eyeOnRing(swivel, part) : part.kind === 'blade' ? holeOver(part, swivel.eyeWireM) : [],
  );
  return [...onLoop, ...onRing, ...carries];
}

function bandMisfits({ boreM }: PartOf<'skirt'>, { through }: Place): Misfit[] {
  if (through?.what !== 'collar') return [];
  const collarM = through.diameterM;
  if (collarM < boreM * LEAST_STRETCH) return [{ code: 'bandTooLoose', boreM, collarM }];
  return collarM > boreM * MOST_STRETCH ? [{ code: 'bandTooTight', boreM, collarM }] : [];
}

/** Both turns of the ring pass through the eye. */
function eyeOnRing(
  { eyeInnerDiameterM: eyeM }: { readonly eyeInnerDiameterM: number },
  ring: PartOf<'splitRing'>,
): Misfit[] {
  const ringWiresM = 2 * ring.wireDiameterM;
  return eyeM < ringWiresM + RING_FIT_M ? [{ code: 'eyeTooSmall', eyeM, ringWiresM }] : [];
}

/** What the ring joins must swing past each other inside it. */
function insideRing(ring: PartOf<'splitRing'>, holderM: number, heldM: number): Misfit[] {
  const insideM = ring.outerDiameterM - 2 * ring.wireDiameterM;
  const neededM = holderM + heldM + SWING_IN_RING_M;
  return insideM < neededM ? [{ code: 'ringTooSmall', insideM, neededM }] : [];
}

function wireMisfits(wire: PartOf<'wire'>, { threaded, held, loops }: Place): Misfit[] {
  const worst = threaded
    .flatMap((part) => boreMisfit(part, wire.diameterM, 'wire'))
    .sort((a, b) => Number(isLoose(a)) - Number(isLoose(b)))[0];
  const rings = held.flatMap((part) =>
    part.kind === 'splitRing'
      ? loops.flatMap((loop) =>
          ringMisfits(part, { ...NOWHERE, holder: { kind: 'loop', loop, wireM: wire.diameterM } }),
        )
      : [],
  );
  return [...(worst ? [worst] : []), ...rings.slice(0, 1)];
}

function roomMisfits(part: Part, { roomInClevisM: roomM }: Place): Misfit[] {
  if (roomM === null || !(isBored(part) || part.kind === 'deltaBlade' || part.kind === 'filmBlade')) return [];
  const lengthM = part.kind === 'filmBlade' ? part.thicknessM : part.lengthM;
  return lengthM > roomM ? [{ code: 'noRoomInClevis', lengthM, roomM }] : [];
}

export const NOWHERE: Place = {
  through: null,
  holder: null,
  held: [],
  roomInClevisM: null,
  wireM: 0,
  threaded: [],
  loops: [],
};

/** The place an item of a build sits in. */
export function placeOf(build: Build, item: Item, layout: Layout = layOut(build)): Place {
  const held = childrenOf(build, item.id).map(({ part }) => part);
  const { seat } = item;
  if (seat.on === 'strand') {
    const [index = 0] = strandIndexes(build, item.id);
    return { ...threadPlace(build, index, item.id, layout), held };
  }
  return { ...seatPlace(build, seat), held };
}

/** The place on the wire that something threaded at this index would come to. `except`: an item that makes way. */
export function threadPlace(
  build: Build,
  index: number,
  except: ItemId | null = null,
  layout: Layout = layOut(build),
): Place {
  const wireM = build.carrier.wire.diameterM;
  return {
    ...NOWHERE,
    through: { what: 'wire', diameterM: wireM },
    wireM,
    roomInClevisM: roomInClevis(build, index, except, layout),
  };
}

/** The place that something hung, tied or slid over here would come to. */
export function seatPlace(build: Build, seat: Exclude<Item['seat'], { on: 'strand' }>): Place {
  const { carrier } = build;
  const wireM = carrier.wire.diameterM;
  switch (seat.on) {
    case 'end': {
      const end = wireEnd(carrier, seat.end);
      return { ...NOWHERE, wireM, holder: isLoop(end) ? { kind: 'loop', loop: end, wireM } : null };
    }
    case 'tie':
      return { ...NOWHERE, wireM, holder: { kind: 'tie', insideM: tieInside(build), wireM } };
    case 'item': {
      const parent = itemOf(build, seat.item).part;
      if (seat.how === 'over' && parent.kind === 'sleeve') {
        return { ...NOWHERE, wireM, through: { what: 'sleeve', diameterM: parent.diameterM } };
      }
      if (seat.how === 'collared' && parent.kind === 'head') {
        return { ...NOWHERE, wireM, through: { what: 'collar', diameterM: parent.collarDiameterM } };
      }
      return { ...NOWHERE, wireM, holder: parent };
    }
  }
}

function isLoop(end: WireEnd): end is Loop {
  return end.form === 'wrappedLoop' || end.form === 'bentLoop';
}

/** Inside diameter of the bend or coil that the line is tied in, m; 0 without one. */
function tieInside({ carrier }: Build): number {
  const tie = carrier.kind === 'bentWire' ? carrier.sections.find(isTie) : undefined;
  return tie?.section === 'coil' ? tie.insideDiameterM : tie?.section === 'bend' ? 2 * tie.insideRadiusM : 0;
}

/** The place of the wire itself: everything threaded on it and hung on its loops. */
export function wirePlace(build: Build): Place {
  const threaded = Object.values(build.items)
    .filter(({ seat }) => seat.on === 'strand')
    .map(({ part }) => part);
  const held = (['nose', 'tail'] as const).flatMap((end) => childrenOf(build, end)).map(({ part }) => part);
  const loops = (['nose', 'tail'] as const).map((end) => wireEnd(build.carrier, end)).filter(isLoop);
  return { ...NOWHERE, threaded, held, loops };
}

/** Room left between the legs of the tightest clevis that has this place between them. */
function roomInClevis(build: Build, index: number, except: ItemId | null, layout: Layout): number | null {
  let least: number | null = null;
  for (const { item, clevis } of layout.clevises) {
    const [fore, aft] = strandIndexes(build, item.id);
    if (fore === undefined || aft === undefined || item.id === except || index <= fore || index > aft) continue;
    // Between the legs there are others already, and other clevises' legs; the item itself makes way.
    const takenM = build.strand.slice(fore + 1, aft).reduce((sum, entry, n) => {
      const other = itemOf(build, entry.item);
      if (other.id === except) return sum;
      const placed = layout.strand[fore + 1 + n];
      return sum + (placed ? placed.x1M - placed.x0M : 0);
    }, 0);
    const roomM = Math.max(clevis.legGapM - takenM, 0);
    least = least === null ? roomM : Math.min(least, roomM);
  }
  return least;
}
