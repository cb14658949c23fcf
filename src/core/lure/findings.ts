/**
 * What is wrong, what to look at, and what is in order about a build, as coded data with numbers and repairs.
 * Checks here hold for any assembly. A family's own are in family/.
 */
import type { Part } from '../parts/part';
import { isBored } from '../parts/profile';
import { predict } from '../predict';
import { LAKE_WATER, type Water } from '../hydro/water';
import { CLEAR_MARGIN_M, restClearance, turningClearance, type Clearance } from './clearance';
import { applyEdits } from './edit';
import { strandIndexes, threadParts } from './editing';
import { layOut, trailingHooks, type Layout } from './layout';
import type { Finding, Repair, Severity } from './finding';
import type { Build, Item, ItemId, Lure } from './lure';
import { spinSeats } from './spin-seats';
import { familyFindings } from '../family/families';

/** Play a clevis needs to turn without binding, and beyond which it rattles along the wire. Trade estimates. */
export const LEAST_ROOM_M = 0.0005;
export const USUAL_ROOM_M = 0.0015;
/** Clearance that a bore needs to slide on a wire. */
const SLIDING_FIT_M = 0.00003;
const MOST_BEADS_ADDED = 12;

export interface FindingsContext {
  readonly water: Water;
  /** Speed through the water the blade is checked at, m/s. */
  readonly speedMps: number;
}

export const USUAL_CONTEXT: FindingsContext = { water: LAKE_WATER, speedMps: 0.8 };

/**
 * All findings, faults first.
 * @param spare parts that a repair may reach for, beside those already on the lure
 */
export function findings(lure: Lure, context: FindingsContext = USUAL_CONTEXT, spare: readonly Part[] = []): Finding[] {
  const layout = layOut(lure.build);
  const order: Severity[] = ['fault', 'caution', 'good'];
  return [
    ...clearances(lure, layout, context, spare),
    ...clevisRoom(lure.build, layout),
    ...fits(lure.build, layout),
    ...emptyClevises(layout),
    ...familyFindings(lure),
  ].sort((a, b) => order.indexOf(a.severity) - order.indexOf(b.severity));
}

/** The spread angles to check each turning blade at, by its station: the ends and the middle of its predicted band. */
type Spreads = ReadonlyMap<ItemId, readonly number[]>;

function spreadsToCheck(build: Build, context: FindingsContext): Spreads {
  const { blades } = predict(build, context.water, [context.speedMps]);
  return new Map(
    blades.map(({ station, at: [at] }) => [
      station,
      at?.outcome === 'turning' ? [at.spreadRad.low, at.spreadRad.value, at.spreadRad.high] : [],
    ]),
  );
}

/** Every turning blade against every hook, in both postures. */
export function bladeClearances(build: Build, spreads: Spreads): Clearance[] {
  const layout = layOut(build);
  return spinSeats(build, layout).flatMap((seat) => {
    const toCheck = spreads.get(seat.item.id) ?? [];
    return trailingHooks(layout).flatMap((hook) => [
      restClearance(layout, seat, hook),
      ...(toCheck.length > 0 ? [turningClearance(layout, seat, hook, toCheck)] : []),
    ]);
  });
}

function clearances(lure: Lure, layout: Layout, context: FindingsContext, spare: readonly Part[]): Finding[] {
  const spreads = spreadsToCheck(lure.build, context);
  return bladeClearances(lure.build, spreads).map((clearance) => {
    const { blade, hook, posture, clearanceM, isHeldByTube } = clearance;
    const severity: Severity = clearanceM < 0 ? 'fault' : clearanceM < CLEAR_MARGIN_M ? 'caution' : 'good';
    return {
      code: 'bladeAgainstHook',
      key: `bladeAgainstHook ${posture} ${blade} ${hook}`,
      severity,
      items: [blade, hook],
      posture,
      clearanceM,
      wantedM: CLEAR_MARGIN_M,
      isHeldByTube,
      repairs: severity === 'good' ? [] : beadRepair(lure, layout, clearance, spreads, spare),
    };
  });
}

/** The fewest beads of one kind, threaded behind the clevis, that give the clearance its margin. */
function beadRepair(
  lure: Lure,
  layout: Layout,
  clearance: Clearance,
  spreads: Spreads,
  spare: readonly Part[],
): Repair[] {
  const seat = spinSeats(lure.build, layout).find(({ item }) => item.id === clearance.blade);
  const [, aft] = seat ? strandIndexes(lure.build, seat.clevis.item.id) : [];
  const part = beadToAdd(layout, spare);
  if (aft === undefined || !part) return [];
  for (let count = 1; count <= MOST_BEADS_ADDED; count++) {
    const edits = [threadParts(lure.build, part, aft + 1, count)];
    const tried = applyEdits(lure, edits);
    if (!tried.ok) return [];
    const after = bladeClearances(tried.lure.build, spreads).find(
      ({ blade, hook, posture }) =>
        blade === clearance.blade && hook === clearance.hook && posture === clearance.posture,
    );
    if (after && after.clearanceM >= CLEAR_MARGIN_M) return [{ code: 'addBeads', count, part, edits }];
  }
  return [];
}

/** The longest bead of those on the lure already, else the spare one that sits closest on the wire. */
function beadToAdd(layout: Layout, spare: readonly Part[]): Part | null {
  const wireM = layout.wireDiameterM;
  const slides = (part: Part) =>
    part.kind === 'bead' && part.shape !== 'disc' && part.boreM >= wireM + SLIDING_FIT_M && part.lengthM >= 0.002;
  const aboard = layout.strand.map(({ item }) => item.part).filter(slides);
  const lengthOf = (part: Part) => (isBored(part) ? part.lengthM : 0);
  const longest = aboard.sort((a, b) => lengthOf(b) - lengthOf(a))[0];
  if (longest) return longest;
  const fitting = spare.filter(slides);
  const looseness = (part: Part) => (isBored(part) ? part.boreM - wireM : Infinity);
  return fitting.sort((a, b) => looseness(a) - looseness(b) || a.id.localeCompare(b.id))[0] ?? null;
}

function clevisRoom(build: Build, layout: Layout): Finding[] {
  return layout.clevises.flatMap(({ item, clevis, insideM }): Finding[] => {
    const roomM = build.carrier.freeRoomM;
    const play: Finding = {
      code: 'clevisRoom',
      key: `clevisRoom ${item.id}`,
      severity: roomM < LEAST_ROOM_M ? 'fault' : 'good',
      items: [item.id],
      roomM,
      wantedM: LEAST_ROOM_M,
      repairs:
        roomM < LEAST_ROOM_M
          ? [
              {
                code: 'setFreeRoom',
                toM: USUAL_ROOM_M,
                edits: [{ kind: 'carrier', changes: { freeRoomM: USUAL_ROOM_M } }],
              },
            ]
          : [],
    };
    if (insideM <= clevis.legGapM) return [play];
    return [
      play,
      {
        code: 'crowdedClevis',
        key: `crowdedClevis ${item.id}`,
        severity: 'fault',
        items: [item.id],
        insideM,
        gapM: clevis.legGapM,
        repairs: [],
      },
    ];
  });
}

function fits(build: Build, layout: Layout): Finding[] {
  const wireM = layout.wireDiameterM;
  const found: Finding[] = [];
  for (const item of Object.values(build.items)) {
    const { part } = item;
    const through = passesThrough(build, item, wireM);
    const boreM = part.kind === 'clevis' || isBored(part) ? part.boreM : null;
    if (through !== null && boreM !== null && boreM < through + SLIDING_FIT_M) {
      found.push({
        code: 'boreTooTight',
        key: `boreTooTight ${item.id}`,
        severity: 'fault',
        items: [item.id],
        boreM,
        throughM: through,
        repairs: [],
      });
    }
    if (part.kind !== 'blade') continue;
    const holder = item.seat.on === 'item' ? build.items[item.seat.item]?.part : undefined;
    if (holder?.kind === 'clevis' && part.holeDiameterM < holder.lobeThicknessM + 0.0002) {
      found.push({
        code: 'bladeHoleTooSmall',
        key: `bladeHoleTooSmall ${item.id}`,
        severity: 'fault',
        items: [item.id],
        holeM: part.holeDiameterM,
        lobeM: holder.lobeThicknessM,
        repairs: [],
      });
    }
    if (item.flipped) {
      found.push({
        code: 'hollowOutward',
        key: `hollowOutward ${item.id}`,
        severity: 'caution',
        items: [item.id],
        repairs: [{ code: 'turnBlade', edits: [{ kind: 'adjust', item: item.id, changes: { flipped: false } }] }],
      });
    }
  }
  return found;
}

/** Diameter of what goes through this item's bore: the wire, or the sleeve it is slid over. */
function passesThrough(build: Build, item: Item, wireM: number): number | null {
  if (item.seat.on === 'strand') return wireM;
  if (item.seat.on !== 'item' || item.seat.how !== 'over') return null;
  const host = build.items[item.seat.item]?.part;
  return host?.kind === 'sleeve' ? host.diameterM : null;
}

function emptyClevises(layout: Layout): Finding[] {
  return layout.clevises
    .filter(({ item }) => !layout.off.some(({ parent }) => parent === item.id))
    .map(({ item }) => ({
      code: 'emptyClevis',
      key: `emptyClevis ${item.id}`,
      severity: 'caution',
      items: [item.id],
      repairs: [],
    }));
}
