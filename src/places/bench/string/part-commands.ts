/** What can be done to the picked unit of the string, by button, key or drag; null commands are not to be had for it. */
import { carrierRoom } from '@/core/carriers/carrier';
import { isSame } from '@/core/same';
import { stepItem, strandIndexes, takeOff } from '@/core/lure/editing';
import type { PickerAim } from '@/desk/picker/picker-state';
import { canGoOverTie, canSitAtEnd, canSitInBody, canSitOn, hasRoomToHold } from '@/core/lure/structure';
import { freestPlace } from '@/core/lure/take-body';
import { childrenOf, howSchema, type Build, type Item, type Seat } from '@/core/lure/lure';
import type { How } from '@/core/parts/kinds/room';
import { PART_KINDS, type PartKind } from '@/core/parts/part';
import { change } from '@/desk/open-lure';
import type { StringUnit } from './string-units';

export interface Hold {
  readonly word: string;
  readonly seat: Exclude<Seat, { on: 'strand' }>;
  readonly kinds: readonly PartKind[];
}

export interface PartCommands {
  readonly canMove: (direction: -1 | 1) => boolean;
  readonly canTakeOff: boolean;
  readonly canInsertBefore: boolean;
  readonly canInsertAfter: boolean;
  /** The ways of putting something on the picked part, each with its word. */
  readonly holds: readonly Hold[];
  readonly swap: () => void;
  readonly move: (direction: -1 | 1) => void;
  readonly takeOff: () => void;
  readonly insertBefore: () => void;
  readonly insertAfter: () => void;
  /** Opens the choice of what can be put there. */
  readonly hold: (seat: Hold['seat']) => void;
  /** The word for threading something between the legs of the picked clevis, or null. */
  readonly insideWord: string | null;
  readonly insertInside: () => void;
}

/** A blade goes on the wire with the clevis that carries it. */
const THREADED_KINDS: readonly PartKind[] = [
  'bead',
  'blade',
  'clevis',
  'filmBlade',
  'deltaBlade',
  'rivet',
  'weight',
  'sleeve',
  'cap',
  'bell',
  'striker',
  'dressing',
  'shrinkTube',
  'hook',
];

/** What goes between the legs of a clevis: beads that knock, another clevis, thin things. */
const INSIDE_KINDS: readonly PartKind[] = ['bead', 'clevis', 'sleeve', 'cap'];

/** Where on the strand something goes in before or after this unit; null where the wire ends. */
function insertIndex(unit: StringUnit | null, units: readonly StringUnit[], build: Build, side: 'before' | 'after') {
  if (carrierRoom(build.carrier).hasEyes) return null;
  if (!unit) return build.strand.length;
  if (unit.end === 'nose' || unit.end === 'tie') return side === 'after' ? 0 : null;
  if (unit.end === 'tail') return side === 'before' ? build.strand.length : null;
  const at = units.indexOf(unit);
  const host = unit.strand ? unit : units.slice(0, at).findLast(({ strand, isHeld }) => strand && !isHeld);
  const isPastTail = units.slice(0, at).some(({ end }) => end === 'tail');
  if (!host?.strand || isPastTail) return null;
  return side === 'before' ? host.strand.from : host.strand.from + host.strand.length;
}

export function partCommands(
  unit: StringUnit | null,
  units: readonly StringUnit[],
  build: Build,
  openPicker: (aim: PickerAim) => void,
): PartCommands {
  const item = unit?.item ?? null;
  const before = unit ? insertIndex(unit, units, build, 'before') : null;
  const after = insertIndex(unit, units, build, 'after');
  const moves = (direction: -1 | 1) => (item && unit?.strand ? stepItem(build, item.id, direction, unit.leg) : []);
  const holds = unit ? holdsOf(unit, build) : [];
  const inside = item?.part.kind === 'clevis' ? strandIndexes(build, item.id)[1] : undefined;
  const thread = (index: number | null) => {
    if (index !== null) openPicker({ placement: { put: 'thread', index }, kinds: THREADED_KINDS, slot: null });
  };
  return {
    canMove: (direction) => moves(direction).length > 0,
    canTakeOff: item !== null,
    canInsertBefore: before !== null,
    canInsertAfter: after !== null,
    holds,
    swap: () => {
      if (item) openPicker({ placement: { put: 'swap', item: item.id }, kinds: [item.part.kind], slot: null });
      else
        openPicker({
          placement: { put: 'wire' },
          kinds: carrierRoom(build.carrier).stock,
          slot: null,
        });
    },
    move: (direction) => change('move', moves(direction)),
    takeOff: () => {
      if (item) change('takeOff', [takeOff(build, item.id)]);
    },
    insertBefore: () => thread(before),
    insertAfter: () => thread(after),
    hold: (seat) => {
      const hold = holds.find((each) => isSame(each.seat, seat));
      if (hold) openPicker({ placement: { put: 'seat', seat: hold.seat }, kinds: hold.kinds, slot: null });
    },
    insideWord: inside === undefined ? null : 'Insert inside',
    insertInside: () => {
      if (inside !== undefined)
        openPicker({ placement: { put: 'thread', index: inside }, kinds: INSIDE_KINDS, slot: null });
    },
  };
}

const HOW_WORDS: Readonly<Record<How, string>> = {
  hung: 'Hang on it',
  tied: 'Tie on it',
  over: 'Slide over it',
  moulded: 'Cast a hook in',
  collared: 'Push a skirt on',
  banded: 'Pull a strip in',
  pushed: 'Push a trailer or bait on',
  kept: 'Keep it with a disc',
  screwed: 'Screw a weight in',
};

function hangs({ seat }: Item): boolean {
  return seat.on === 'item' && seat.how === 'hung';
}

function holdsOf(unit: StringUnit, build: Build): Hold[] {
  const { end, item } = unit;
  if (end === 'tie') {
    return [{ word: 'Force a ring over it', seat: { on: 'tie' }, kinds: PART_KINDS.filter(canGoOverTie) }];
  }
  if (end === 'body') {
    const atM = build.carrier.kind === 'body' ? freestPlace(build, build.carrier.wire) : 0;
    const kinds = PART_KINDS.filter((kind) => canSitInBody(kind, build.carrier));
    return [{ word: 'Screw an eye in', seat: { on: 'body', side: 'belly', atM }, kinds }];
  }
  if (end) {
    const kinds = PART_KINDS.filter((kind) => canSitAtEnd(kind, build.carrier, end));
    const isHead = kinds.includes('head');
    if (isHead && childrenOf(build, end).length > 0) return [];
    return [
      {
        word: isHead ? 'Cast a head on' : carrierRoom(build.carrier).hasEyes ? 'Hang on the eye' : 'Hang on the loop',
        seat: { on: 'end', end },
        kinds,
      },
    ];
  }
  if (!item) return [];
  return howSchema.options.flatMap((how): Hold[] => {
    const kinds = PART_KINDS.filter((kind) => canSitOn(kind, item.part.kind, how));
    if (kinds.length === 0 || !hasRoomToHold(build, item, how)) return [];
    // A disc keeps what hangs in the bend: without that there is nothing to keep.
    if (how === 'kept' && !childrenOf(build, item.id).some(hangs)) return [];
    const word = item.part.kind === 'hook' && how === 'hung' ? 'Hang a stinger' : HOW_WORDS[how];
    return [{ word, seat: { on: 'item', item: item.id, how }, kinds }];
  });
}
