/**
 * What a lure of a family still lacks, in the order in which it is commonly strung: places that ask for their next part.
 * Nothing forbids another order; a place that is taken, or passed over, asks no more.
 */
import { oncePer } from '../../once';
import { heldOn } from '../../lure/structure';
import { carrierRoom, wireEnd } from '../../carriers/carrier';
import { hangersOf } from '../../lure/take-body';
import {
  childrenOf,
  itemOf,
  type Build,
  type End,
  type Family,
  type Item,
  type Lure,
  type StrandEntry,
} from '../../lure/lure';
import type { How } from '../../parts/kinds/room';
import type { PartKind } from '../../parts/part';
import type { Slot, SlotCode } from '../slot';

/** Without these it does not fish; the others are asked for while one is at it. */
const NEEDED: ReadonlySet<SlotCode> = new Set<SlotCode>([
  'lastHook',
  'head',
  'mainHook',
  'blade',
  'endBlade',
  'deltaBlade',
  'tailRing',
  'tailHook',
  'eyeRing',
  'bellyBlade',
  'eyeHook',
]);

/** A place that has to be filled still asks. */
export function lacksSomething(lure: Lure): boolean {
  const turns = Object.values(lure.build.items).some(({ part }) => TURNING.has(part.kind));
  return !turns || openSlots(lure).some(({ code }) => NEEDED.has(code));
}

const TURNING: ReadonlySet<PartKind> = new Set<PartKind>(['blade', 'filmBlade', 'deltaBlade']);

/** Every place of the lure that still asks, the one usually filled next first. */
export const openSlots = oncePer(({ family, build }: Lure): readonly Slot[] => SLOTS[family](build));

const SLOTS: Readonly<Record<Family, (build: Build) => Slot[]>> = {
  inlineSpinner: (build) => [...bladeOnWire(build, 0), ...bearing(build), ...body(build), ...behind(build)],
  spinnerbait: (build) => [...headAndHook(build), ...armOfSpinnerbait(build), ...skirt(build)],
  buzzbait: (build) => [...headAndHook(build), ...armOfBuzzbait(build), ...skirt(build)],
  wormHarness: harness,
  bladeLeader: (build) => [...bladeOnWire(build, 0), ...bearing(build), ...snapAtEnd(build)],
  bladeAhead: (build) => [...betweenStops(build), ...snapAtEnd(build)],
  hardBait: (build) => (hasBoth(build) ? [] : [...ringsInEyes(build), ...bladeAndHooks(build)]),
  underspin: (build) => [...headAndHook(build), ...endOfArm(build), ...softBody(build)],
};

/** What a lure is snapped to. */
function snapAtEnd(build: Build): Slot[] {
  return childrenOf(build, 'tail').length === 0 ? [seatAt('snap', 'tail', 'snap', 'swivel')] : [];
}

/** A stop behind the blade, the blade, a stop ahead of it. */
function betweenStops(build: Build): Slot[] {
  const stops = build.strand.filter(({ item }) => itemOf(build, item).part.kind === 'stop').length;
  if (stops === 0) return [thread('rearStop', build.strand.length, 'stop')];
  const front = itemOf(build, (build.strand[0] as StrandEntry).item).part.kind === 'stop';
  const isBladeOn = onStrand(build, 'clevis', 'filmBlade') !== -1;
  const ahead = isBladeOn && !(front && stops > 1) ? [thread('frontStop', 0, 'stop')] : [];
  return [...bladeOnWire(build, 0), ...bearing(build), ...ahead];
}

/** Hook end first: hooks, the bead that spares the knot, beads for the blade to turn on, the blade, the bait. */
function harness(build: Build): Slot[] {
  const front = onStrand(build, 'hook');
  if (front === -1) return [thread('lastHook', build.strand.length, 'hook')];
  const hooks = build.strand.filter(({ item }) => itemOf(build, item).part.kind === 'hook').length;
  const beads = build.strand.slice(0, front).filter(({ item }) => itemOf(build, item).part.kind === 'bead').length;
  const frontHook = itemOf(build, (build.strand[front] as StrandEntry).item);
  const isBaited = heldOn(build, frontHook, 'pushed').length > 0;
  return [
    ...(hooks === 1 && !isBaited ? [thread('frontHook', front, 'hook')] : []),
    ...(beads === 0 ? [thread('knotBead', front, 'bead')] : []),
    ...(beads === 1 ? [thread('bearingBead', Math.max(front - 1, 0), 'bead')] : []),
    ...bladeOnWire(build, 0),
    ...(isBaited ? [] : [seatOn('bait', frontHook, 'pushed', 'bait')]),
  ];
}

function onStrand(build: Build, ...kinds: readonly PartKind[]): number {
  return build.strand.findIndex(({ item }) => kinds.includes(itemOf(build, item).part.kind));
}

const thread = (code: SlotCode, index: number, ...kinds: PartKind[]): Slot => ({
  code,
  placement: { put: 'thread', index },
  kinds,
});

const seatOn = (code: SlotCode, { id }: Item, how: How, ...kinds: PartKind[]): Slot => ({
  code,
  placement: { put: 'seat', seat: { on: 'item', item: id, how } },
  kinds,
});

const seatAt = (code: SlotCode, end: End, ...kinds: PartKind[]): Slot => ({
  code,
  placement: { put: 'seat', seat: { on: 'end', end } },
  kinds,
});

/** A blade that turns about the wire, on its clevis. */
function bladeOnWire(build: Build, index: number): Slot[] {
  if (onStrand(build, 'clevis', 'filmBlade') === -1)
    return [thread('bladeOnClevis', index, 'blade', 'filmBlade', 'clevis')];
  return build.strand.flatMap(({ item: id, leg }) => {
    const item = itemOf(build, id);
    const isEmpty = item.part.kind === 'clevis' && leg === 'aft' && heldOn(build, item, 'hung').length === 0;
    return isEmpty ? [seatOn('blade', item, 'hung', 'blade')] : [];
  });
}

/** Something smooth behind the last thing that turns. */
function bearing(build: Build): Slot[] {
  const last = build.strand.findLastIndex(({ item }) =>
    ['clevis', 'filmBlade'].includes(itemOf(build, item).part.kind),
  );
  if (last === -1) return [];
  const next = build.strand[last + 1];
  const isBead = next !== undefined && itemOf(build, next.item).part.kind === 'bead';
  return isBead ? [] : [thread('bearingBead', last + 1, 'bead')];
}

function body(build: Build): Slot[] {
  return onStrand(build, 'weight', 'bell') === -1 ? [thread('body', build.strand.length, 'weight', 'bell')] : [];
}

/** What hangs in the tail loop, down to a hook. */
function behind(build: Build): Slot[] {
  const [first] = childrenOf(build, 'tail');
  if (!first) return [seatAt('tailRing', 'tail', 'splitRing', 'hook', 'body')];
  if (first.part.kind !== 'splitRing') return [];
  return heldOn(build, first, 'hung').length === 0 ? [seatOn('tailHook', first, 'hung', 'hook', 'body')] : [];
}

/** A blade and a hook: other hangers may stay empty. */
function hasBoth({ items }: Build): boolean {
  const kinds = new Set(Object.values(items).map(({ part }) => part.kind));
  return kinds.has('blade') && kinds.has('hook');
}

/** Every eye of a body takes a ring. */
function ringsInEyes(build: Build): Slot[] {
  const atTail = wireEnd(build.carrier, 'tail').form !== 'plain' && childrenOf(build, 'tail').length === 0;
  return [
    ...hangersOf(build).flatMap((eye) =>
      heldOn(build, eye, 'hung').length === 0 ? [seatOn('eyeRing', eye, 'hung', 'splitRing', 'hook', 'blade')] : [],
    ),
    ...(atTail ? [seatAt('eyeRing', 'tail', 'splitRing', 'hook')] : []),
  ];
}

/** A blade on the foremost ring under the belly, hooks on the others. */
function bladeAndHooks(build: Build): Slot[] {
  const under = hangersOf(build).flatMap((eye) => heldOn(build, eye, 'hung'));
  const rings = [...under, ...childrenOf(build, 'tail')].filter(({ part }) => part.kind === 'splitRing');
  const hasBlade = Object.values(build.items).some(({ part }) => part.kind === 'blade');
  return rings.flatMap((ring, i) => {
    if (heldOn(build, ring, 'hung').length > 0) return [];
    const isForBlade = !hasBlade && i === 0 && under.length > 0;
    return [
      isForBlade ? seatOn('bellyBlade', ring, 'hung', 'blade') : seatOn('eyeHook', ring, 'hung', 'hook', 'blade'),
    ];
  });
}

/** What turns at the end of the arm. */
function endOfArm(build: Build): Slot[] {
  const [swivel] = childrenOf(build, 'tail');
  if (!swivel) return [seatAt('swivel', 'tail', 'swivel')];
  const [ring] = heldOn(build, swivel, 'hung');
  if (!ring) return [seatOn('endRing', swivel, 'hung', 'splitRing', 'blade')];
  const isEmpty = ring.part.kind === 'splitRing' && heldOn(build, ring, 'hung').length === 0;
  return isEmpty ? [seatOn('endBlade', ring, 'hung', 'blade')] : [];
}

/** On the hook, and in its belly what the blade knocks on. */
function softBody(build: Build): Slot[] {
  const head = childrenOf(build, 'nose').find(({ part }) => part.kind === 'head');
  const [hook] = head ? heldOn(build, head, 'moulded') : [];
  if (!hook) return [];
  const [soft] = heldOn(build, hook, 'pushed');
  if (!soft) return [seatOn('softBody', hook, 'pushed', 'trailer')];
  return heldOn(build, soft, 'screwed').length === 0 ? [seatOn('nailWeight', soft, 'screwed', 'nailWeight')] : [];
}

function headAndHook(build: Build): Slot[] {
  if (!carrierRoom(build.carrier).castsNose) return [];
  const head = childrenOf(build, 'nose').find(({ part }) => part.kind === 'head');
  if (!head) return [seatAt('head', 'nose', 'head')];
  return heldOn(build, head, 'moulded').length === 0 ? [seatOn('mainHook', head, 'moulded', 'hook')] : [];
}

function armOfSpinnerbait(build: Build): Slot[] {
  const slots: Slot[] = [];
  if (onStrand(build, 'bead') === -1) slots.push(thread('guardBead', 0, 'bead'));
  const beads = build.strand.filter(({ item }) => itemOf(build, item).part.kind === 'bead').length;
  slots.push(...bladeOnWire(build, Math.min(beads, 1)), ...bearing(build));
  if (onStrand(build, 'clevis', 'filmBlade') !== -1 && onStrand(build, 'sleeve') === -1)
    slots.push(thread('spacer', build.strand.length, 'sleeve'));
  return [...slots, ...endOfArm(build)];
}

function armOfBuzzbait(build: Build): Slot[] {
  const blade = onStrand(build, 'deltaBlade');
  if (blade === -1) {
    const bead = onStrand(build, 'bead') === -1 ? [thread('guardBead', 0, 'bead')] : [];
    return [...bead, thread('deltaBlade', build.strand.length, 'deltaBlade')];
  }
  return onStrand(build, 'rivet') === -1 ? [thread('rivet', build.strand.length, 'rivet')] : [];
}

function skirt(build: Build): Slot[] {
  const head = childrenOf(build, 'nose').find(({ part }) => part.kind === 'head');
  if (!head) return [];
  const [skirtOn] = heldOn(build, head, 'collared').filter(({ part }) => part.kind === 'skirt');
  if (!skirtOn) return [seatOn('skirt', head, 'collared', 'skirt')];
  const isBare = skirtOn.part.kind === 'skirt' && skirtOn.part.style === 'banded';
  return isBare && heldOn(build, skirtOn, 'banded').length === 0
    ? [seatOn('skirtLayer', skirtOn, 'banded', 'skirtLayer')]
    : [];
}
