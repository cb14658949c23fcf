/**
 * Every single change that could be made to a lure, found by its parts and places alone: what sits where, what that place
 * takes, and what a hand can do to each piece. What tells most is offered first, so that a few are soon known.
 */
import { canThread } from '../lure/structure';
import type { BentWire } from '../carriers/bent-wire';
import { misfitsInPlace, placementEdits, type Placement } from '../fits/placement';
import { layOut, type Layout } from '../geometry/layout';
import { bendTo, withSection } from '../lure/bending';
import { applyEdits, type Edit } from '../lure/edit';
import { takeOff } from '../lure/editing';
import { childrenOf, itemOf, type Build, type Item, type ItemId, type Lure } from '../lure/lure';
import { hangingOn } from '../lure/strung';
import { armMeetsFrame } from '../judgement/mending';
import { isSame } from '../same';
import type { Clevis } from '../parts/kinds/clevis';
import { HOWS } from '../parts/kinds/room';
import { GRIPS_FROM, nailLengthM } from '../parts/kinds/nail-weight';
import { RIVET_FIXINGS } from '../parts/kinds/rivet';
import { PART_KINDS, portsOf, type ItemState, type Part, type PartKind } from '../parts/part';
import type { Handling, Move, MoveCode } from './move';
import { areTwins, withTwins } from './twins';

/** What a builder has, and what there is. */
export interface PartsAtHand {
  readonly own: readonly Part[];
  readonly catalogue: readonly Part[];
}

/** What turns and what weighs tells most, then what drags, then what bears and guards. */
const TELLING_FIRST: readonly PartKind[] = [
  'blade',
  'deltaBlade',
  'filmBlade',
  'head',
  'weight',
  'body',
  'bell',
  'trailer',
  'skirt',
  'skirtLayer',
  'swivel',
  'clevis',
  'bead',
];
const rankOf = (kind: PartKind) => {
  const at = TELLING_FIRST.indexOf(kind);
  return at < 0 ? TELLING_FIRST.length : at;
};

/** Kinds that builders add to a finished lure to change how it acts; on what holds them, or on the wire. */
const ADDED: readonly PartKind[] = ['trailer', 'skirtLayer', 'hook', 'bead', 'blade', 'weight', 'splitRing'];
/** Of those that could be added in one place so many are tried, the own ones and those like what is there first. */
const MOST_ADDED = 10;

/** All moves, most telling places first; each kind is looked for when it is asked for. */
export function* movesInTurn(lure: Lure, parts: PartsAtHand): Generator<Move> {
  const { build } = lure;
  const items = Object.values(build.items).sort((a, b) => rankOf(a.part.kind) - rankOf(b.part.kind));
  const byKind = partsByKind(parts);
  for (const item of items) yield* swaps(build, item, byKind.get(item.part.kind) ?? []);
  yield* handlings(lure);
  yield* takings(build, items);
  yield* additions(build, items, byKind);
  yield* wires(build, byKind.get(build.carrier.wire.kind) ?? []);
}

/** The same at one go. */
export function movesOf(lure: Lure, parts: PartsAtHand): Move[] {
  return [...movesInTurn(lure, parts)];
}

/** Own parts stand before those of the catalogue. */
function partsByKind({ own, catalogue }: PartsAtHand): ReadonlyMap<PartKind, readonly Part[]> {
  const seen = new Set<string>();
  const all = [...own, ...catalogue].filter(({ id }) => !seen.has(id) && seen.add(id));
  return new Map(PART_KINDS.map((kind) => [kind, all.filter((part) => part.kind === kind)]));
}

const CARRIER = 'the wire';

function move(code: MoveCode, place: string, what: string, edits: readonly Edit[], twins: readonly Part[] = []): Move {
  return { ...code, key: `${place} · ${what}`, place, edits, twins };
}

function fitting(build: Build, placement: Placement, parts: readonly Part[]): Part[] {
  if (parts.length === 0) return [];
  const found = misfitsInPlace(build, placement, parts);
  return parts.filter((_, i) => found[i]?.length === 0);
}

function swaps(build: Build, { id, part: from }: Item, parts: readonly Part[]): Move[] {
  const placement: Placement = { put: 'swap', item: id };
  const others = parts.filter((part) => part.id !== from.id && !areTwins(part, from));
  return withTwins(fitting(build, placement, others)).map(({ part, twins }) =>
    move({ code: 'swap', item: id, from, part }, `swap ${id}`, part.id, placementEdits(build, placement, part), twins),
  );
}

function wires(build: Build, parts: readonly Part[]): Move[] {
  const from = build.carrier.wire;
  const placement: Placement = { put: 'wire' };
  const others = parts.filter((part) => part.id !== from.id && !areTwins(part, from));
  return withTwins(fitting(build, placement, others)).map(({ part, twins }) =>
    move({ code: 'takeWire', from, part }, CARRIER, part.id, placementEdits(build, placement, part), twins),
  );
}

/**
 * What can come off and leave a lure that has a hook and something that turns. A blade comes off with its clevis; of several
 * alike on one piece one is told; and what only holds others stays.
 */
function takings(build: Build, items: readonly Item[]): Move[] {
  const told: Item[] = [];
  return items.flatMap((item): Move[] => {
    const { id, part, seat } = item;
    if (ONLY_HOLDS.has(part.kind) && childrenOf(build, id).length > 0) return [];
    if (seat.on === 'item' && build.items[seat.item]?.part.kind === 'clevis') return [];
    const isTold = told.some((each) => areTwins(each.part, part) && isSame(each.seat, seat));
    const gone = hangingOn(build, id).items;
    const left = items.filter((each) => !gone.includes(each.id));
    const stays = left.some((each) => each.part.kind === 'hook') && left.some((each) => TURNING.has(each.part.kind));
    if (!stays || isTold) return [];
    told.push(item);
    const meant = part.kind === 'clevis' ? (childrenOf(build, id)[0]?.part ?? part) : part;
    const from = seat.on === 'item' ? seat.item : seat.on;
    return [
      move({ code: 'takeOff', item: id, part: meant }, `take off ${part.kind} ${from}`, id, [takeOff(build, id)]),
    ];
  });
}

const ONLY_HOLDS: ReadonlySet<PartKind> = new Set<PartKind>(['splitRing', 'swivel', 'sleeve']);
const TURNING: ReadonlySet<PartKind> = new Set<PartKind>(['blade', 'filmBlade', 'deltaBlade']);

function additions(build: Build, items: readonly Item[], byKind: ReadonlyMap<PartKind, readonly Part[]>): Move[] {
  const found: Move[] = [];
  const offered = new Map(ADDED.map((kind) => [kind, likeThere(items, byKind.get(kind) ?? [])]));
  for (const kind of ADDED) {
    const parts = offered.get(kind) ?? [];
    const add = (placement: Placement, place: string, beside: ItemId | null) => {
      for (const { part, twins } of withTwins(fitting(build, placement, parts)).slice(0, MOST_ADDED))
        found.push(move({ code: 'add', part, beside }, place, part.id, placementEdits(build, placement, part), twins));
    };
    for (const item of items) {
      for (const how of HOWS) {
        if (!hasRoom(build, item, how, kind) || !isUsual(build, item, kind)) continue;
        add({ put: 'seat', seat: { on: 'item', item: item.id, how } }, `add ${kind} ${how} ${item.id}`, item.id);
      }
    }
    if (!canThread(kind, build.carrier) && kind !== 'blade') continue;
    const clevis = kind === 'blade' ? clevisFor(build, items, byKind) : null;
    if (kind === 'blade' && !clevis) continue;
    for (const { index, beside } of placesOnWire(build)) {
      if (kind === 'weight' && !isBesideWeight(build, index)) continue;
      const placement: Placement = clevis ? { put: 'threadOnClevis', index, clevis } : { put: 'thread', index };
      add(placement, `add ${kind} at ${index}`, beside);
    }
  }
  return found;
}

/** What is like a part of the lure comes first, then in their order. */
function likeThere(items: readonly Item[], parts: readonly Part[]): readonly Part[] {
  const there = new Set(items.map(({ part }) => part.id));
  return [...parts.filter(({ id }) => there.has(id)), ...parts.filter(({ id }) => !there.has(id))];
}

/** Whether this piece would take another of a kind so: it has the port, and place for one more. */
function hasRoom(build: Build, item: Item, how: (typeof HOWS)[number], kind: PartKind): boolean {
  const holds = portsOf(item.part.kind).holds[how];
  const sits = portsOf(kind).sits[how];
  if (!holds || !sits || !holds.takes.includes(sits.port)) return false;
  return !holds.isOnlyOne || !childrenOf(build, item.id).some(({ seat }) => seat.on === 'item' && seat.how === how);
}

/** A second hook goes on one with a single point, and a ring one blade; nothing hangs at the line tie. */
function isUsual(build: Build, { id, part, seat }: Item, kind: PartKind): boolean {
  if (seat.on === 'tie') return false;
  const held = childrenOf(build, id).map((each) => each.part.kind);
  if (kind === 'blade') return !held.includes('blade');
  if (kind !== 'hook') return true;
  return part.kind === 'hook' ? part.points === 1 : held.length === 0;
}

/** More weight goes to the weight that is there: high up on an arm it would only turn the lure over. */
function isBesideWeight({ items, strand }: Build, index: number): boolean {
  return [strand[index - 1], strand[index]].some((entry) => entry && items[entry.item]?.part.kind === 'weight');
}

/** Where on the wire something could go in: before each piece and behind the last; equal neighbours are one place. */
function placesOnWire(build: Build): { readonly index: number; readonly beside: ItemId | null }[] {
  const places: { readonly index: number; readonly beside: ItemId | null }[] = [];
  build.strand.forEach(({ item, leg }, index) => {
    const before = build.strand[index - 1];
    const isInside = leg === 'aft';
    const isSame = before && areTwins(itemOf(build, before.item).part, itemOf(build, item).part);
    if (!isInside && !isSame) places.push({ index, beside: item });
  });
  return [...places, { index: build.strand.length, beside: null }];
}

/** The clevis that a further blade comes on: like one that is there, or the first that goes on the wire. */
function clevisFor(
  build: Build,
  items: readonly Item[],
  byKind: ReadonlyMap<PartKind, readonly Part[]>,
): Clevis | null {
  const all = likeThere(items, byKind.get('clevis') ?? []);
  const [first] = fitting(build, { put: 'thread', index: build.strand.length }, all);
  return first?.kind === 'clevis' ? first : null;
}

const DEGREE = Math.PI / 180;
const BENT_BY_RAD = [3, 6, 12, 20].flatMap((degrees) => [degrees * DEGREE, -degrees * DEGREE]);
const BENT_ASIDE_BY_RAD = [3 * DEGREE, -3 * DEGREE];
const ARM_BY_M = [0.004, 0.008, 0.016, -0.004, -0.008];
const FOLDED_TO_RAD = [0, 15, 30, 45, 60].map((degrees) => degrees * DEGREE);
const COLLAR_AT = [0.2, 0.3, 0.4, 0.5];
const CUT_BY_M = [0.005, 0.01, 0.015];
const NAIL_BY_M = [0.0005, -0.0005, 0.001, -0.001, 0.002, -0.002];
/** Of the body of a trailer that much has to stay before what kicks. */
const BODY_LEFT_M = 0.006;

function handlings(lure: Lure): Move[] {
  const { build } = lure;
  const found: Move[] = [];
  for (const item of Object.values(build.items)) found.push(...ofPiece(item));
  if (build.carrier.kind === 'bentWire') found.push(...ofBentWire(lure, build.carrier, layOut(build)));
  return found;
}

function adjust(item: Item, code: Handling, what: string, state: ItemState): Move {
  return move(code, `${code.code} ${item.id}`, what, [{ kind: 'adjust', item: item.id, changes: { state } }]);
}

function ofPiece(item: Item): Move[] {
  const { id, part, state } = item;
  switch (state?.of) {
    case 'rivet':
      return RIVET_FIXINGS.filter((fixing) => fixing !== state.fixing).map((fixing) =>
        adjust(item, { code: 'rivet', item: id, fixing }, fixing, { ...state, fixing }),
      );
    case 'film':
      return FOLDED_TO_RAD.filter((to) => Math.abs(to - state.foldRad) > DEGREE).map((toRad) =>
        adjust(item, { code: 'fold', item: id, toRad }, `${Math.round(toRad / DEGREE)}`, { ...state, foldRad: toRad }),
      );
    case 'swivel':
      return state.condition === 'free'
        ? []
        : [adjust(item, { code: 'renewSwivel', item: id }, 'free', { ...state, condition: 'free' })];
    case 'skirt':
      return [
        ...COLLAR_AT.filter((to) => Math.abs(to - state.collarAt) > 0.03).map((toShare) =>
          adjust(item, { code: 'collar', item: id, toShare }, `${toShare}`, { ...state, collarAt: toShare }),
        ),
        ...(state.tips === 'even'
          ? [adjust(item, { code: 'thinTips', item: id }, 'thinned', { ...state, tips: 'thinned' })]
          : []),
      ];
    case 'trailer': {
      if (part.kind !== 'trailer') return [];
      return CUT_BY_M.filter((byM) => state.cutM + byM < part.kicksFromM - BODY_LEFT_M).map((byM) =>
        adjust(item, { code: 'cutTrailer', item: id, byM }, `${Math.round(byM * 1000)}`, {
          ...state,
          cutM: state.cutM + byM,
        }),
      );
    }
    case 'nail':
      if (part.kind !== 'nailWeight') return [];
      return NAIL_BY_M.filter((byM) => staysIn(state.outM + byM, nailLengthM(part, state))).map((byM) =>
        adjust(item, { code: 'setNail', item: id, byM }, `${Math.round(byM * 1e4)}`, {
          ...state,
          outM: state.outM + byM,
        }),
      );
    default:
      return part.kind === 'blade' && item.flipped
        ? [
            move({ code: 'turn', item: id, part }, `turn ${id}`, '', [
              { kind: 'adjust', item: id, changes: { flipped: false } },
            ]),
          ]
        : [];
  }
}

/** A nail that stands out so far still grips its body. */
function staysIn(outM: number, lengthM: number): boolean {
  return outM >= 0 && lengthM - outM >= GRIPS_FROM * lengthM;
}

/** Bends but those of the line tie, and the arm, where the wire then goes through nothing. */
function ofBentWire(lure: Lure, carrier: BentWire, layout: Layout): Move[] {
  const bends = carrier.sections.flatMap((section, index): Move[] => {
    if (section.section !== 'bend' || section.isTie) return [];
    return [
      ...BENT_BY_RAD.map((byRad) =>
        move(
          { code: 'bend', section: index, byRad },
          `bend ${index}`,
          `${Math.round(byRad / DEGREE)}`,
          bendTo(carrier, index, section.angleRad + byRad),
        ),
      ),
      ...BENT_ASIDE_BY_RAD.map((byRad) =>
        move({ code: 'bendAside', section: index, byRad }, `bend ${index}`, `aside ${Math.round(byRad / DEGREE)}`, [
          withSection(carrier, index, { ...section, sideRad: section.sideRad + byRad }),
        ]),
      ),
    ];
  });
  const arms = ARM_BY_M.map((byM) =>
    move({ code: 'arm', byM }, 'arm', `${Math.round(byM * 1000)}`, [
      { kind: 'carrier', changes: { armM: carrier.armM + byM } },
    ]),
  );
  const touchesNow = armMeetsFrame(layout);
  return [...bends, ...arms].filter(({ edits }) => {
    if (edits.length === 0) return false;
    const done = applyEdits(lure, edits);
    if (!done.ok) return false;
    const after = layOut(done.lure.build);
    return after.shaft.x1M > after.shaft.x0M && (touchesNow || !armMeetsFrame(after));
  });
}
