/** What can be done to the picked unit of the string, by button, key or drag; null deeds are not to be had for it. */
import { stepItem, strandIndexes, takeOff } from '@/core/lure/editing';
import type { Placement } from '@/core/lure/placement';
import { canSitOn, canHangOnLoop, canThread, hasRoomToHold } from '@/core/lure/structure';
import type { Build } from '@/core/lure/lure';
import { PART_KINDS, type PartKind } from '@/core/parts/part';
import { change } from './bench-store';
import type { StringUnit } from './string-units';

/** What the part picker is open for: a place, and the kinds of part that could go there. */
export interface PickerAim {
  readonly placement: Placement;
  readonly kinds: readonly PartKind[];
}

export interface PartDeeds {
  readonly canMove: (direction: -1 | 1) => boolean;
  readonly canTakeOff: boolean;
  readonly canInsertBefore: boolean;
  readonly canInsertAfter: boolean;
  /** The word for putting something on the picked part, or null. */
  readonly holdWord: string | null;
  readonly swap: () => void;
  readonly move: (direction: -1 | 1) => void;
  readonly takeOff: () => void;
  readonly insertBefore: () => void;
  readonly insertAfter: () => void;
  readonly hold: () => void;
  /** The word for threading something between the legs of the picked clevis, or null. */
  readonly insideWord: string | null;
  readonly insertInside: () => void;
}

const THREADED_KINDS: readonly PartKind[] = (
  ['bead', 'clevis', 'filmBlade', 'weight', 'sleeve', 'cap', 'bell', 'striker', 'dressing', 'shrinkTube'] as const
).filter(canThread);

/** What goes between the legs of a clevis: beads that knock, another clevis, thin things. */
const INSIDE_KINDS: readonly PartKind[] = ['bead', 'clevis', 'sleeve', 'cap'];

/** Where on the strand something goes in before or after this unit; null where the wire ends. */
function insertIndex(unit: StringUnit | null, units: readonly StringUnit[], build: Build, side: 'before' | 'after') {
  if (!unit) return build.strand.length;
  if (unit.end === 'nose') return side === 'after' ? 0 : null;
  if (unit.end === 'tail') return side === 'before' ? build.strand.length : null;
  const at = units.indexOf(unit);
  const host = unit.strand ? unit : units.slice(0, at).findLast(({ strand, isHeld }) => strand && !isHeld);
  const isPastTail = units.slice(0, at).some(({ end }) => end === 'tail');
  if (!host?.strand || isPastTail) return null;
  return side === 'before' ? host.strand.from : host.strand.from + host.strand.length;
}

export function partDeeds(
  unit: StringUnit | null,
  units: readonly StringUnit[],
  build: Build,
  openPicker: (aim: PickerAim) => void,
): PartDeeds {
  const item = unit?.item ?? null;
  const before = unit ? insertIndex(unit, units, build, 'before') : null;
  const after = insertIndex(unit, units, build, 'after');
  const moves = (direction: -1 | 1) => (item && unit?.strand ? stepItem(build, item.id, direction, unit.leg) : []);
  const holding = unit ? holdingOf(unit, build) : null;
  const inside = item?.part.kind === 'clevis' ? strandIndexes(build, item.id)[1] : undefined;
  const thread = (index: number | null) => {
    if (index !== null) openPicker({ placement: { put: 'thread', index }, kinds: THREADED_KINDS });
  };
  return {
    canMove: (direction) => moves(direction).length > 0,
    canTakeOff: item !== null,
    canInsertBefore: before !== null,
    canInsertAfter: after !== null,
    holdWord: holding?.word ?? null,
    swap: () => {
      if (item) openPicker({ placement: { put: 'swap', item: item.id }, kinds: [item.part.kind] });
      else openPicker({ placement: { put: 'wire' }, kinds: ['wire'] });
    },
    move: (direction) => change('move', moves(direction)),
    takeOff: () => {
      if (item) change('take off', [takeOff(build, item.id)]);
    },
    insertBefore: () => thread(before),
    insertAfter: () => thread(after),
    hold: () => {
      if (holding) openPicker({ placement: { put: 'seat', seat: holding.seat }, kinds: holding.kinds });
    },
    insideWord: inside === undefined ? null : 'Insert inside',
    insertInside: () => {
      if (inside !== undefined) openPicker({ placement: { put: 'thread', index: inside }, kinds: INSIDE_KINDS });
    },
  };
}

function holdingOf(unit: StringUnit, build: Build) {
  if (unit.end) {
    const kinds = PART_KINDS.filter(canHangOnLoop);
    return { word: 'Hang on the loop', seat: { on: 'end', end: unit.end } as const, kinds };
  }
  if (!unit.item || !hasRoomToHold(build, unit.item)) return null;
  const words = { hung: 'Hang on it', tied: 'Tie on it', over: 'Slide over it' } as const;
  for (const how of ['hung', 'tied', 'over'] as const) {
    const { part, id } = unit.item;
    const kinds = PART_KINDS.filter((kind) => canSitOn(kind, part.kind, how));
    if (kinds.length > 0) return { word: words[how], seat: { on: 'item', item: id, how } as const, kinds };
  }
  return null;
}
