/**
 * Whether a part goes where it is wanted: its hole against what passes through it, an eye against a ring, room in a clevis.
 * A place is what the part would meet there; one list of checks serves the finished lure and the choice of parts for it.
 * Tolerances are trade estimates.
 */
import { PATTERNS } from '../parts/blade-pattern';
import type { Blade, Hook, Part, PartOf } from '../parts/part';
import { isBored } from '../parts/profile';
import { childrenOf, itemOf, type Build, type Item, type ItemId, type WireEnd } from './lure';
import { strandIndexes } from './editing';
import { layOut, type Layout } from './layout';

type Loop = Extract<WireEnd, { form: 'wrappedLoop' }>;

/** What a part meets in a place. */
export interface Place {
  /** What passes through its bore: the wire, or the sleeve it slides over. */
  readonly through: { readonly what: 'wire' | 'sleeve'; readonly diameterM: number } | null;
  /** What it hangs on: another part, or a loop of the wire. */
  readonly holder: Part | { readonly kind: 'loop'; readonly loop: Loop; readonly wireM: number } | null;
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
      readonly what: 'wire' | 'sleeve';
    }
  | { readonly code: 'boreTooLoose'; readonly boreM: number; readonly throughM: number; readonly mostM: number }
  | { readonly code: 'holeTooSmall'; readonly holeM: number; readonly lobeM: number }
  | { readonly code: 'rootMeetsWire'; readonly shortM: number; readonly dropM: number; readonly rootM: number }
  | { readonly code: 'eyeTooSmall'; readonly eyeM: number; readonly ringWiresM: number }
  | { readonly code: 'loopTooSmall'; readonly insideM: number; readonly ringWiresM: number }
  | { readonly code: 'ringTooSmall'; readonly insideM: number; readonly neededM: number }
  | { readonly code: 'noRoomInClevis'; readonly lengthM: number; readonly roomM: number };

/** Misfits that only mar: the part goes on all the same. */
const LOOSE: ReadonlySet<Misfit['code']> = new Set(['boreTooLoose']);

export function isLoose({ code }: Misfit): boolean {
  return LOOSE.has(code);
}

/** Clearance that a bore needs to slide on a wire. */
export const SLIDING_FIT_M = 0.00003;
/** A bore this many times its wire sits crooked and rattles. */
const MOST_BORE_RATIO = 2;
const LEAST_MOST_BORE_M = 0.0014;
/** A blade swings freely when its hole is wider than the lobe by this. */
const SWINGING_FIT_M = 0.0002;
/** An eye or loop takes both turns of a ring with this to spare. */
const RING_FIT_M = 0.0001;
/** Room a ring leaves for what it joins to swing past each other. */
const SWING_IN_RING_M = 0.0003;

export function misfits(part: Part, place: Place): Misfit[] {
  return [
    ...boreMisfits(part, place),
    ...(part.kind === 'blade' ? bladeMisfits(part, place) : []),
    ...(part.kind === 'clevis' ? clevisMisfits(part, place) : []),
    ...(part.kind === 'splitRing' ? ringMisfits(part, place) : []),
    ...(part.kind === 'hook' ? hookMisfits(part, place) : []),
    ...(part.kind === 'wire' ? wireMisfits(part, place) : []),
    ...(part.kind === 'sleeve' ? place.held.flatMap((held) => boreMisfit(held, part.diameterM, 'sleeve')) : []),
    ...roomMisfits(part, place),
  ];
}

function boreMisfits(part: Part, { through }: Place): Misfit[] {
  return through ? boreMisfit(part, through.diameterM, through.what) : [];
}

function boreMisfit(part: Part, throughM: number, what: 'wire' | 'sleeve'): Misfit[] {
  if (part.kind !== 'clevis' && part.kind !== 'filmBlade' && !isBored(part)) return [];
  const { boreM } = part;
  if (boreM < throughM + SLIDING_FIT_M) return [{ code: 'boreTooTight', boreM, throughM, what }];
  // A bell swings about its sleeve and is meant to be loose.
  const mostM = Math.max(MOST_BORE_RATIO * throughM, LEAST_MOST_BORE_M);
  return what === 'wire' && part.kind !== 'bell' && boreM > mostM
    ? [{ code: 'boreTooLoose', boreM, throughM, mostM }]
    : [];
}

function bladeMisfits(blade: Blade, { holder, wireM }: Place): Misfit[] {
  return holder?.kind === 'clevis' ? bladeOnClevis(blade, holder, wireM) : [];
}

function clevisMisfits(clevis: PartOf<'clevis'>, { held, wireM }: Place): Misfit[] {
  return held.flatMap((part) => (part.kind === 'blade' ? bladeOnClevis(part, clevis, wireM) : []));
}

/** The hole on the lobe, and the root of the blade against the wire when the blade stands at its usual spread. */
function bladeOnClevis(blade: Blade, clevis: PartOf<'clevis'>, wireM: number): Misfit[] {
  const { holeDiameterM: holeM } = blade;
  const lobeM = clevis.lobeThicknessM;
  if (holeM < lobeM + SWINGING_FIT_M) return [{ code: 'holeTooSmall', holeM, lobeM }];
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
  const holderM = holder?.kind === 'loop' ? holder.wireM : holder?.kind === 'splitRing' ? 2 * holder.wireDiameterM : 0;
  for (const part of held) {
    if (part.kind === 'hook') found.push(...eyeOnRing(part, ring), ...insideRing(ring, holderM, part.wireDiameterM));
    if (part.kind === 'splitRing') found.push(...insideRing(ring, holderM, 2 * part.wireDiameterM));
  }
  return found;
}

function hookMisfits(hook: Hook, { holder }: Place): Misfit[] {
  return holder?.kind === 'splitRing' ? eyeOnRing(hook, holder) : [];
}

/** Both turns of the ring pass through the eye. */
function eyeOnRing({ eyeInnerDiameterM: eyeM }: Hook, ring: PartOf<'splitRing'>): Misfit[] {
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
  if (roomM === null || !(isBored(part) || part.kind === 'filmBlade')) return [];
  const lengthM = isBored(part) ? part.lengthM : part.thicknessM;
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
  const wireM = build.carrier.wire.diameterM;
  if (seat.on === 'end') {
    const end = build.carrier[seat.end];
    return { ...NOWHERE, wireM, holder: end.form === 'wrappedLoop' ? { kind: 'loop', loop: end, wireM } : null };
  }
  const parent = itemOf(build, seat.item).part;
  if (seat.how === 'over' && parent.kind === 'sleeve') {
    return { ...NOWHERE, wireM, through: { what: 'sleeve', diameterM: parent.diameterM } };
  }
  return { ...NOWHERE, wireM, holder: parent };
}

/** The place of the wire itself: everything threaded on it and hung on its loops. */
export function wirePlace(build: Build): Place {
  const threaded = Object.values(build.items)
    .filter(({ seat }) => seat.on === 'strand')
    .map(({ part }) => part);
  const held = (['nose', 'tail'] as const).flatMap((end) => childrenOf(build, end)).map(({ part }) => part);
  const loops = [build.carrier.nose, build.carrier.tail].filter((end) => end.form === 'wrappedLoop');
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
