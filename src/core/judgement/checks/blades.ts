/** Blade against hook, blade against blade, with the beads that would keep them apart. */
import type { Part } from '../../parts/part';
import { isBored } from '../../parts/bored';
import {
  bladeToBlade,
  BLADE_GAP_M,
  CLEAR_MARGIN_M,
  restClearance,
  turningClearance,
  type Clearance,
} from '../../geometry/clearance';
import { applyEdits } from '../../lure/edit';
import { strandIndexes, threadParts } from '../../lure/editing';
import { noRepairs, type Finding, type Repair, type Severity } from '../finding';
import { SLIDING_FIT_M } from '../../fits/fit';
import { layOut, trailingHooks, type Layout } from '../../geometry/layout';
import type { Build, ItemId, Lure } from '../../lure/lure';
import { spinSeats, type SpinSeat } from '../../geometry/seats';
import { stackedPairs } from '../../geometry/stacking';

/** The spread angles to check each turning blade at, by its station: the ends and the middle of its predicted band. */
export type Spreads = ReadonlyMap<ItemId, readonly number[]>;

const MOST_BEADS_ADDED = 12;

/** Every turning blade against every hook, in both postures. */
export function bladeClearances(build: Build, spreads: Spreads, layout: Layout = layOut(build)): Clearance[] {
  return spinSeats(build, layout).flatMap((seat) => {
    const toCheck = spreads.get(seat.item.id) ?? [];
    return trailingHooks(layout).flatMap((hook) => [
      restClearance(layout, seat, hook),
      ...(toCheck.length > 0 ? [turningClearance(layout, seat, hook, toCheck)] : []),
    ]);
  });
}

/**
 * Blades against hooks and against each other.
 * @param spreads angles to check each blade at, rad; @param spare beads that a repair may reach for
 * @param spreadsOf the same of a lure that is mended: beads put in change what its blades meet
 */
export function bladeFindings(
  lure: Lure,
  layout: Layout,
  spreads: Spreads,
  spare: readonly Part[],
  spreadsOf: (build: Build) => Spreads,
): Finding[] {
  return [...againstHooks(lure, layout, spreads, spare, spreadsOf), ...againstBlades(lure.build, layout, spreads)];
}

function severityOf(clearanceM: number, wantedM: number): Severity {
  return clearanceM < 0 ? 'fault' : clearanceM < wantedM ? 'caution' : 'good';
}

function againstHooks(
  lure: Lure,
  layout: Layout,
  spreads: Spreads,
  spare: readonly Part[],
  spreadsOf: (build: Build) => Spreads,
): Finding[] {
  const behind = behindOthers(layout);
  return bladeClearances(lure.build, spreads, layout).flatMap((clearance): Finding[] => {
    const { blade, hook, posture, clearanceM, isHeldByTube } = clearance;
    const severity = severityOf(clearanceM, CLEAR_MARGIN_M);
    if (severity === 'good' && behind.has(hook)) return [];
    const finding: Finding = {
      code: 'bladeAgainstHook',
      key: `bladeAgainstHook ${posture} ${blade} ${hook}`,
      severity,
      items: [blade, hook],
      posture,
      clearanceM,
      wantedM: CLEAR_MARGIN_M,
      isHeldByTube,
      repairs: severity === 'good' ? noRepairs : () => beadRepair(lure, layout, clearance, spreads, spare, spreadsOf),
    };
    return [finding];
  });
}

/** Hooks snelled behind another on their line: what is clear of that is clear of them. */
function behindOthers({ carriers }: Layout): ReadonlySet<ItemId> {
  return new Set(
    carriers.flatMap(({ strand }) =>
      strand
        .filter(({ item }) => item.part.kind === 'hook')
        .slice(1)
        .map(({ item }) => item.id),
    ),
  );
}

function againstBlades(build: Build, layout: Layout, spreads: Spreads): Finding[] {
  const seats = spinSeats(build, layout);
  const stacked = stackedPairs(layout);
  const pairs = stacked.map(({ fore, aft, form }): Finding => ({
    code: 'stackedClevises',
    key: `stackedClevises ${fore} ${aft}`,
    severity: 'good',
    items: [fore, aft],
    form,
    repairs: noRepairs,
  }));
  const isStacked = (a: SpinSeat, b: SpinSeat) =>
    stacked.some(({ fore, aft }) => fore === a.clevis?.item.id && aft === b.clevis?.item.id);
  const apart = seats.slice(1).flatMap((rear, i): Finding[] => {
    const front = seats[i];
    if (!front || isStacked(front, rear)) return [];
    const [a, b] = [spreads.get(front.item.id) ?? [], spreads.get(rear.item.id) ?? []];
    if (a.length === 0 || b.length === 0) return [];
    const clearanceM = bladeToBlade(layout, front, a, rear, b);
    return [
      {
        code: 'bladeAgainstBlade',
        key: `bladeAgainstBlade ${front.item.id} ${rear.item.id}`,
        severity: severityOf(clearanceM, BLADE_GAP_M),
        items: [front.item.id, rear.item.id],
        clearanceM,
        wantedM: BLADE_GAP_M,
        repairs: noRepairs,
      },
    ];
  });
  return [...pairs, ...apart];
}

/** The fewest beads of one kind, threaded behind the clevis, that give the clearance its margin. */
function beadRepair(
  lure: Lure,
  layout: Layout,
  clearance: Clearance,
  spreads: Spreads,
  spare: readonly Part[],
  spreadsOf: (build: Build) => Spreads,
): Repair[] {
  const seat = spinSeats(lure.build, layout).find(({ item }) => item.id === clearance.blade);
  const [, aft] = seat?.clevis ? strandIndexes(lure.build, seat.clevis.item.id) : [];
  const part = beadToAdd(layout, spare);
  if (aft === undefined || !part) return [];
  for (let count = 1; count <= MOST_BEADS_ADDED; count++) {
    const edits = [threadParts(lure.build, part, aft + 1, count)];
    const tried = applyEdits(lure, edits);
    if (!tried.ok) return [];
    const { build } = tried.lure;
    const isClear = (at: Spreads) =>
      bladeClearances(build, at).some(
        ({ blade, hook, posture, clearanceM }) =>
          blade === clearance.blade &&
          hook === clearance.hook &&
          posture === clearance.posture &&
          clearanceM >= CLEAR_MARGIN_M,
      );
    if (isClear(spreads) && isClear(spreadsOf(build))) return [{ code: 'addBeads', count, part, edits }];
  }
  return [];
}

/** The longest bead of those on the lure already, else the spare one that sits closest on the wire. */
export function beadToAdd(layout: Layout, spare: readonly Part[]): Part | null {
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
