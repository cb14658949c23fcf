/**
 * What would mend a finding. Every repair is tried on a copy of the lure first: it is offered only when it leaves fewer open
 * findings than it found, brings no new fault, and bends the wire through nothing. Where none is left, the reason is told.
 */
import { isUsualIn, misfitsInPlace, placementEdits, type Placement } from '../fits/placement';
import { isLoose } from '../fits/misfit';
import { layOut, type Layout } from '../geometry/layout';
import { lineToOutline, type PlanePoint } from '../geometry/plane';
import { isBored } from '../parts/bored';
import { pointOn } from '../carriers/wire-path';
import { applyEdits } from '../lure/edit';
import { newItemId, USUAL_LOOP, USUAL_TIED_LOOP, type End, type ItemId, type Lure } from '../lure/lure';
import { carrierRoom } from '../carriers/carrier';
import { stepItem, strandIndexes, threadParts } from '../lure/editing';
import type { Part, PartKind } from '../parts/part';
import { beadToAdd } from './checks/blades';
import { isGentleOnLine } from './checks/lines';
import { headOutline } from '../geometry/blade-on-head';
import type { SlotCode } from './slot';
import { isUsualForSlot } from './families/usual';
import { nailRepairs } from './nail-mending';
import { openSlots } from './families/slots';
import type { Finding, Repair } from './finding';
import { findings, type FindingsContext } from './findings';

/** Why nothing is offered. */
export type NoRepairReason = 'measureAgain' | 'yourRule' | 'anotherKind' | 'onTheWater' | 'noneAtHand';

export interface Mending {
  readonly repairs: readonly Repair[];
  /** Null where there are repairs. */
  readonly none: NoRepairReason | null;
}

/** Repairs of one finding, the best first; and so many are tried at most. */
const MOST_OFFERED = 2;
const MOST_TRIED = 24;

/**
 * The mending of every open finding, by the finding's key.
 * @param spare parts that a repair may reach for, beside those already on the lure
 */
export function mendings(lure: Lure, context: FindingsContext, spare: readonly Part[]): Record<string, Mending> {
  const before = openOf(findings(lure, context, spare));
  return Object.fromEntries(before.map((finding) => [finding.key, mendingOf(lure, finding, before, context, spare)]));
}

function openOf(all: readonly Finding[]): Finding[] {
  return all.filter(({ severity }) => severity !== 'good');
}

function mendingOf(
  lure: Lure,
  finding: Finding,
  before: readonly Finding[],
  { water, speedMps, rules, leastKg, over }: FindingsContext,
  spare: readonly Part[],
): Mending {
  const tried = [...finding.repairs(), ...moreRepairs(lure, finding, spare)].slice(0, MOST_TRIED);
  const kept: Repair[] = [];
  for (const repair of tried) {
    if (kept.length === MOST_OFFERED) break;
    if (kept.some(({ code }) => code === repair.code)) continue;
    const done = applyEdits(lure, repair.edits);
    if (!done.ok || bendsThroughSomething(lure, done.lure)) continue;
    // At the same speed, but of the lure as it would be.
    const context = { water, speedMps, rules, leastKg, ...(over ? { over } : {}) };
    const after = openOf(findings(done.lure, context, spare));
    const newFault = after.some(
      ({ key, severity }) =>
        severity === 'fault' && !before.some((each) => each.key === key && each.severity === 'fault'),
    );
    const isGone = !after.some(({ key }) => key === finding.key);
    if (isGone && after.length < before.length && !newFault) kept.push(repair);
  }
  return { repairs: kept, none: kept.length > 0 ? null : reasonOf(finding) };
}

function reasonOf({ code }: Finding): NoRepairReason {
  switch (code) {
    case 'impossibleMeasure':
    case 'doubtfulMass':
      return 'measureAgain';
    case 'ruleBroken':
      return 'yourRule';
    case 'wrongWire':
      return 'anotherKind';
    case 'sinkerReach':
      return 'onTheWater';
    default:
      return 'noneAtHand';
  }
}

/** Repairs that need a part, beside those a check knows itself. */
function moreRepairs(lure: Lure, finding: Finding, spare: readonly Part[]): Repair[] {
  const [id, other] = finding.items;
  switch (finding.code) {
    case 'noHead':
      return fill(lure, spare, 'head');
    case 'noHook':
      return fill(lure, spare, 'mainHook', 'tailHook', 'tailRing', 'lastHook', 'eyeHook', 'eyeRing');
    case 'noTurningBlade':
      return fill(
        lure,
        spare,
        'blade',
        'bladeOnClevis',
        'deltaBlade',
        'endBlade',
        'endRing',
        'swivel',
        'bellyBlade',
        'eyeRing',
      );
    case 'knocker':
    case 'nailGrip':
      return id ? nailRepairs(lure, id, spare) : [];
    case 'emptyClevis':
      return fill(lure, spare, 'blade');
    case 'rivetMissing':
      return fill(lure, spare, 'rivet');
    case 'skirtWithoutLayers':
      return fill(lure, spare, 'skirtLayer');
    case 'missingGuard':
      return fill(lure, spare, 'bearingBead');
    case 'endNotFormed':
      return formEnd(lure, finding.end, spare);
    case 'silentBell':
      return id ? striker(lure, id, spare) : [];
    case 'bellWithoutSleeve':
      return id ? sleeveUnder(lure, id, spare) : [];
    case 'sleeveInBell':
      return other ? swaps(lure, other, spare, (part) => isBored(part) && part.lengthM >= finding.neededM) : [];
    case 'crowdedClevis':
      return id ? [{ code: 'takeOutOfClevis', edits: stepItem(lure.build, id, -1, 'aft') }] : [];
    case 'bladeAgainstBlade':
      return id ? [...beadsBehind(lure, id, spare), ...longerArm(lure)] : [];
    case 'headAndBlades':
      return id ? swaps(lure, id, spare, () => true) : [];
    case 'counterTurning':
      return other ? swaps(lure, other, spare, () => true) : [];
    case 'sawsLine':
      return id ? swaps(lure, id, spare, isGentleOnLine) : [];
    case 'bladeAgainstHook':
      return id ? swaps(lure, id, spare, (part) => part.kind === 'blade') : [];
    case 'widerThanBelly':
    case 'flasherAgainstHook':
    case 'bladeAgainstSoft':
      return id ? smallerBlades(lure, id, spare) : [];
    case 'boreTooTight':
    case 'boreTooLoose':
    case 'holeTooSmall':
    case 'rootMeetsWire':
    case 'eyeTooSmall':
    case 'loopTooSmall':
    case 'ringTooSmall':
    case 'ringTooLarge':
    case 'ringInHanger':
    case 'bandTooLoose':
    case 'bandTooTight':
    case 'noRoomInClevis':
      return [id, id && holderOf(lure, id)].flatMap((each) => (each ? swaps(lure, each, spare, () => true) : []));
    default:
      return [];
  }
}

/** A loop: of wire, or knotted into line; at the hook end of a line a hook. */
function formEnd(lure: Lure, end: End, spare: readonly Part[]): Repair[] {
  const { isLimp } = carrierRoom(lure.build.carrier);
  if (isLimp && end === 'tail') return fill(lure, spare, 'lastHook');
  const loop = isLimp ? USUAL_TIED_LOOP : USUAL_LOOP;
  return [{ code: 'formLoop', edits: [{ kind: 'carrier', changes: { [end]: loop } }] }];
}

/** How many parts of a kind are offered for a place. */
const MOST_PARTS = 4;

/** Fills the first of these places that asks. */
function fill(lure: Lure, spare: readonly Part[], ...codes: readonly SlotCode[]): Repair[] {
  const slot = openSlots(lure).find(({ code }) => codes.includes(code));
  if (!slot) return [];
  return slot.kinds.flatMap((kind) =>
    fitting(lure, slot.placement, spare, kind)
      .filter((part) => isUsualIn(slot.placement, part) && isUsualForSlot(lure, slot.code, part))
      .slice(0, MOST_PARTS)
      .map((part): Repair => ({ code: 'putOn', part, edits: placementEdits(lure.build, slot.placement, part) })),
  );
}

function fitting(lure: Lure, placement: Placement, spare: readonly Part[], kind: PartKind): Part[] {
  if (kind === 'blade' && placement.put === 'thread') return [];
  const parts = spare.filter((part) => part.kind === kind);
  const found = misfitsInPlace(lure.build, placement, parts);
  return parts.filter((_, i) => found[i]?.every(isLoose));
}

/** Another of its kind in its place, the nearest in mass first. */
function swaps(lure: Lure, id: ItemId, spare: readonly Part[], suits: (part: Part) => boolean): Repair[] {
  const item = lure.build.items[id];
  if (!item) return [];
  const placement: Placement = { put: 'swap', item: id };
  return fitting(lure, placement, spare, item.part.kind)
    .filter((part) => part.id !== item.part.id && isLike(item.part, part) && suits(part))
    .sort((a, b) => Math.abs(a.massKg - item.part.massKg) - Math.abs(b.massKg - item.part.massKg))
    .map((part): Repair => ({ code: 'swapFor', part, edits: placementEdits(lure.build, placement, part) }));
}

function smallerBlades(lure: Lure, id: ItemId, spare: readonly Part[]): Repair[] {
  const now = lure.build.items[id]?.part;
  return swaps(
    lure,
    id,
    spare,
    (part) =>
      part.kind === 'blade' && now?.kind === 'blade' && part.widthM <= now.widthM && part.lengthM <= now.lengthM,
  );
}

/** The piece this one hangs on: it may be that which does not fit. */
function holderOf({ build }: Lure, id: ItemId): ItemId | null {
  const seat = build.items[id]?.seat;
  return seat?.on === 'item' ? seat.item : null;
}

/** A blade for one of its own pattern, a hook for one with as many points. */
function isLike(a: Part, b: Part): boolean {
  if (a.kind === 'blade' && b.kind === 'blade') return a.pattern === b.pattern;
  return a.kind !== 'hook' || b.kind !== 'hook' || a.points === b.points;
}

/** Something hard at the mouth of a bell. */
function striker(lure: Lure, id: ItemId, spare: readonly Part[]): Repair[] {
  const bell = lure.build.items[id];
  if (bell?.part.kind !== 'bell') return [];
  const host = bell.seat.on === 'item' ? bell.seat.item : id;
  const at = strandIndexes(lure.build, host).at(-1);
  if (at === undefined) return [];
  const index = bell.flipped ? at : at + 1;
  const placement: Placement = { put: 'thread', index };
  return (['striker', 'bead'] as const).flatMap((kind) =>
    fitting(lure, placement, spare, kind)
      .slice(0, 8)
      .map((part): Repair => ({ code: 'putOn', part, edits: placementEdits(lure.build, placement, part) })),
  );
}

/** A sleeve threaded where the bell is, and the bell slid over it. */
function sleeveUnder(lure: Lure, id: ItemId, spare: readonly Part[]): Repair[] {
  const { build } = lure;
  const [index] = strandIndexes(build, id);
  if (index === undefined) return [];
  const on = newItemId(build, 'sleeve');
  return fitting(lure, { put: 'thread', index }, spare, 'sleeve').map((part): Repair => ({
    code: 'putOn',
    part,
    edits: [threadParts(build, part, index), { kind: 'reseat', item: id, seat: { on: 'item', item: on, how: 'over' } }],
  }));
}

const MOST_BEADS = 8;

/** Beads behind the clevis of the front blade keep the rear one off. */
function beadsBehind(lure: Lure, blade: ItemId, spare: readonly Part[]): Repair[] {
  const { build } = lure;
  const seat = build.items[blade]?.seat;
  const last = seat?.on === 'item' ? strandIndexes(build, seat.item).at(-1) : undefined;
  const part = beadToAdd(layOut(build), spare);
  if (last === undefined || !part) return [];
  return Array.from({ length: MOST_BEADS }, (_, i): Repair => ({
    code: 'addBeads',
    count: i + 1,
    part,
    edits: [threadParts(build, part, last + 1, i + 1)],
  }));
}

/** An arm of 4 mm and more beyond what it is, m. */
const LONGER_M = [0.004, 0.008, 0.012, 0.016, 0.024];

function longerArm({ build: { carrier } }: Lure): Repair[] {
  if (carrier.kind !== 'bentWire') return [];
  return LONGER_M.map((byM): Repair => {
    const toM = carrier.armM + byM;
    return { code: 'lengthenArm', toM, edits: [{ kind: 'carrier', changes: { armM: toM } }] };
  });
}

/** Whether a bend that was not there before brings the arm through the lead or through the head. */
export function bendsThroughSomething(before: Lure, after: Lure): boolean {
  if (before.build.carrier === after.build.carrier) return false;
  return armMeetsFrame(layOut(after.build)) && !armMeetsFrame(layOut(before.build));
}

/** Nearer than this they meet. */
const TOUCHING_M = 1e-6;

export function armMeetsFrame(layout: Layout): boolean {
  const { path } = layout;
  if (!path) return false;
  const { run } = layout.lines;
  const [from, to] = [pointOn(run, layout.shaft.x0M), pointOn(run, layout.shaft.x1M)];
  const head = headOutline(layout);
  if (head && lineToOutline([from, to], head.outline) < TOUCHING_M) return true;
  // The lead up to its last section; that itself meets the arm where it ends.
  const lead = path.sections.slice(0, -1).flatMap(({ points }) => points);
  return lead.some((point, i) => {
    const next = lead[i + 1];
    return next !== undefined && crosses(point, next, from, to);
  });
}

function crosses(a: PlanePoint, b: PlanePoint, c: PlanePoint, d: PlanePoint): boolean {
  const side = (p: PlanePoint, q: PlanePoint, r: PlanePoint) =>
    (q.xM - p.xM) * (r.yM - p.yM) - (q.yM - p.yM) * (r.xM - p.xM);
  return side(a, b, c) * side(a, b, d) < 0 && side(c, d, a) * side(c, d, b) < 0;
}
