/** What can go wrong on line: knots that chafe or slip, hooks and bait, stops, twist. Of each carrier that is a line. */
import type { Bait } from '../../parts/kinds/bait';
import { USUAL_SNELL, type Hook, type Snell } from '../../parts/kinds/hook';
import { isBored } from '../../parts/bored';
import { isGentleToKnot, SMALL_BEAD_M } from '../../parts/gentle';
import type { ItemState, Part } from '../../parts/part';
import type { Edit } from '../../lure/edit';
import { seatPart, threadParts } from '../../lure/editing';
import { stateOf } from '../../lure/item-state';
import { USUAL_KNOT, type Build, type Item } from '../../lure/lure';
import type { LineCarrier } from '../../carriers/line';
import { twistingOf } from '../../in-water/twisting';
import type { Layout } from '../../geometry/layout';
import type { PlacedEntry, PlacedOff } from '../../geometry/placed';
import { holdsItself } from '../../geometry/stack';
import { noRepairs, type Finding, type Repair } from '../finding';

/** Of this line. @param spare parts that a repair may reach for; @param pullsN what each blade pulls, N */
export function lineFindings(
  build: Build,
  layout: Layout,
  spare: readonly Part[],
  pullsN: ReadonlyMap<string, number>,
): Finding[] {
  const { carrier } = build;
  if (carrier.kind !== 'line') return [];
  const hooks = layout.strand.filter(({ item }) => item.part.kind === 'hook');
  return [
    ...tooShort(carrier, layout),
    ...layout.strand.flatMap((entry, index) => atKnot(build, carrier, layout, entry, index, spare)),
    ...hooks.flatMap((hook, i) => hookOnLine(hook, hooks[i + 1] ?? null)),
    ...rolling(hooks),
    ...baits(layout, hooks),
    ...layout.strand.flatMap((entry) => clevisOnLine(entry)),
    ...layout.strand.flatMap((entry, index) => stop(layout, entry, index, pullsN)),
    ...twist(build, carrier, hooks, spare),
  ];
}

/** What is left free on a line that was too short. */
const ROOM_M = 0.25;

function tooShort(carrier: LineCarrier, { stackM, shaft }: Layout): Finding[] {
  const roomM = shaft.x1M - shaft.x0M - stackM;
  if (roomM >= 0) return [];
  const toM = Math.ceil((carrier.lengthM - roomM + ROOM_M) * 100) / 100;
  return [
    {
      code: 'lineTooShort',
      key: 'lineTooShort',
      severity: 'fault',
      items: [],
      lengthM: carrier.lengthM,
      neededM: carrier.lengthM - roomM,
      repairs: () => [{ code: 'lengthenLine', toM, edits: [{ kind: 'carrier', changes: { lengthM: toM } }] }],
    },
  ];
}

/** A knot is about three lines thick. Trade estimate. */
const KNOT_DIAMETERS = 3;

/** What rests on a hook's snell, a stop or the knot at the end. */
function atKnot(
  build: Build,
  carrier: LineCarrier,
  layout: Layout,
  { item }: PlacedEntry,
  index: number,
  spare: readonly Part[],
): Finding[] {
  if (holdsItself(item) !== null) return [];
  const behind = layout.strand[index + 1]?.item ?? null;
  const isAtEnd = behind === null && carrier.tail.form !== 'plain';
  const isAtHook = behind?.part.kind === 'hook';
  if (!isAtEnd && !isAtHook) return [];
  const { part } = item;
  const lineM = carrier.wire.diameterM;
  const items = [item.id, ...(behind ? [behind.id] : [])];
  const over: Finding[] =
    isAtEnd && carrier.tail.form === 'knot' && isBored(part) && part.boreM > KNOT_DIAMETERS * lineM
      ? [
          {
            code: 'slipsOverKnot',
            key: `slipsOverKnot ${item.id}`,
            severity: 'fault',
            items,
            boreM: part.boreM,
            knotM: KNOT_DIAMETERS * lineM,
            repairs: () => guardBead(build, spare, index + 1, lineM),
          },
        ]
      : [];
  const isGentle = isGentleToKnot(part);
  return [
    ...over,
    {
      code: 'knotGuard',
      key: `knotGuard ${item.id}`,
      severity: isGentle ? 'good' : 'caution',
      items,
      on: isAtHook ? 'snell' : 'knot',
      repairs: isGentle ? noRepairs : () => guardBead(build, spare, index + 1, lineM),
    },
  ];
}

/** The smallest beads that slide on the line and do not slip over its knot. */
function guardBead(build: Build, spare: readonly Part[], index: number, lineM: number): Repair[] {
  return spare
    .filter((part) => part.kind === 'bead')
    .filter(({ diameterM, boreM }) => diameterM <= SMALL_BEAD_M && boreM > lineM && boreM < KNOT_DIAMETERS * lineM)
    .sort((a, b) => a.massKg - b.massKg)
    .slice(0, 3)
    .map((part): Repair => ({ code: 'putOn', part, edits: [threadParts(build, part, index)] }));
}

function snellOf(item: Item): Snell {
  return stateOf(item, 'hook').snell ?? USUAL_SNELL;
}

function withSnell(item: Item, changes: Partial<Snell>): Edit {
  const state: ItemState = { ...stateOf(item, 'hook'), snell: { ...snellOf(item), ...changes } };
  return { kind: 'adjust', item: item.id, changes: { state } };
}

/** Between the back of one hook and the eye of the next builders leave at least this, m. Trade estimate. */
const LEAST_GAP_M = 0.004;

function hookOnLine({ item, x0M }: PlacedEntry, next: PlacedEntry | null): Finding[] {
  const { enters, behindM } = snellOf(item);
  const found: Finding[] = [];
  if (enters === 'backSide') {
    found.push({
      code: 'pointTurnsIn',
      key: `pointTurnsIn ${item.id}`,
      severity: 'caution',
      items: [item.id],
      repairs: () => [{ code: 'snellFromPoint', edits: [withSnell(item, { enters: 'pointSide' })] }],
    });
  }
  if (item.part.kind === 'hook' && next) {
    const gapM = next.x0M - (x0M + item.part.lengthM);
    const isNear = gapM < LEAST_GAP_M;
    const toM = behindM + (LEAST_GAP_M + 0.02 - gapM);
    found.push({
      code: 'hookSpacing',
      key: `hookSpacing ${item.id}`,
      severity: isNear ? 'caution' : 'good',
      items: [item.id, next.item.id],
      spacingM: behindM,
      gapM,
      repairs: isNear ? () => [{ code: 'setSpacing', toM, edits: [withSnell(item, { behindM: toM })] }] : noRepairs,
    });
  }
  return found;
}

/** A bent-shank hook rolls what is threaded on it: it is the foremost. */
function rolling(hooks: readonly PlacedEntry[]): Finding[] {
  return hooks.flatMap(({ item }, i): Finding[] =>
    i > 0 && (item.part as Hook).rolls
      ? [
          {
            code: 'rollsBehind',
            key: `rollsBehind ${item.id}`,
            severity: 'caution',
            items: [item.id],
            repairs: noRepairs,
          },
        ]
      : [],
  );
}

/** Bait beyond the last point that short takers get away with, as a share of its length. Trade estimate. */
const MOST_BEYOND = 0.45;
/** From the end of the bait to where a last hook is set, as a share of the bait. Trade estimate. */
const LAST_HOOK_AT = 0.75;

function baits(layout: Layout, hooks: readonly PlacedEntry[]): Finding[] {
  return layout.off.flatMap((placed): Finding[] => {
    const { part, seat } = placed.item;
    if (part.kind !== 'bait' || seat.on !== 'item') return [];
    const front = hooks.findIndex(({ item }) => item.id === seat.item);
    return front < 0 ? [] : [baitOnHooks(placed, part, hooks.slice(front))];
  });
}

/** How a bait lies on its hooks: how much of it is beyond the last point, or how far the last hook is beyond it. */
function baitOnHooks({ item, x0M, x1M }: PlacedOff, bait: Bait, hooks: readonly PlacedEntry[]): Finding {
  const [front, last] = [hooks[0] as PlacedEntry, hooks.at(-1) as PlacedEntry];
  const beyondM = x1M - (last.x0M + (last.item.part as Hook).lengthM);
  // One hook in a minnow or a leech is how it is done; a worm is bitten short.
  const isOneHook = bait.style !== 'worm' && hooks.length === 1;
  const is = beyondM < 0 ? 'short' : beyondM > MOST_BEYOND * bait.lengthM && !isOneHook ? 'long' : 'held';
  const toM = respaced(front, last, hooks.length - 1, x0M + LAST_HOOK_AT * bait.lengthM);
  return {
    code: 'baitOnHooks',
    key: `baitOnHooks ${item.id}`,
    severity: is === 'held' ? 'good' : 'caution',
    items: [item.id, last.item.id],
    is,
    beyondM,
    usualHooks: bait.style === 'worm' ? 2 : 1,
    repairs:
      is === 'held' || toM === null
        ? noRepairs
        : () => [
            {
              code: 'setSpacing',
              toM,
              edits: hooks.slice(0, -1).map((each) => withSnell(each.item, { behindM: toM })),
            },
          ],
  };
}

/** The spacing that brings the back of the last of several hooks to a place, m; null for one hook, or where it cannot. */
function respaced(front: PlacedEntry, last: PlacedEntry, gaps: number, toM: number): number | null {
  if (gaps < 1) return null;
  const nowM = last.x0M + (last.item.part as Hook).lengthM;
  const spacingM = snellOf(front.item).behindM + (toM - nowM) / gaps;
  return spacingM > LEAST_GAP_M ? Math.round(spacingM * 1000) / 1000 : null;
}

/** Metal thinner than this cuts into line that it turns on, m. Trade estimate. */
const SHARP_LEG_M = 0.0005;

/** A clevis that turns on line without sawing it. */
export function isGentleOnLine(part: Part): boolean {
  return part.kind === 'clevis' && (part.material === 'plastic' || part.legThicknessM >= SHARP_LEG_M);
}

function clevisOnLine({ item, leg }: PlacedEntry): Finding[] {
  const { part, id, flipped } = item;
  if (part.kind !== 'clevis' || leg !== 'fore') return [];
  const found: Finding[] = [];
  if (part.style === 'quickChange') {
    found.push({
      code: 'gate',
      key: `gate ${id}`,
      severity: flipped ? 'caution' : 'good',
      items: [id],
      repairs: flipped
        ? () => [{ code: 'turnGate', edits: [{ kind: 'adjust', item: id, changes: { flipped: false } }] }]
        : noRepairs,
    });
  }
  if (!isGentleOnLine(part)) {
    found.push({
      code: 'sawsLine',
      key: `sawsLine ${id}`,
      severity: 'caution',
      items: [id],
      legM: part.legThicknessM,
      repairs: noRepairs,
    });
  }
  return found;
}

/** A pull comes in jerks of about twice its mean. Trade estimate. */
const JERK = 2;

function stop(layout: Layout, { item }: PlacedEntry, index: number, pullsN: ReadonlyMap<string, number>): Finding[] {
  const { part, id } = item;
  if (part.kind !== 'stop') return [];
  let pullN = 0;
  for (let ahead = index - 1; ahead >= 0; ahead--) {
    const each = layout.strand[ahead] as PlacedEntry;
    if (holdsItself(each.item) !== null) break;
    if (each.leg !== 'aft') pullN += pullOf(layout, each.item, pullsN);
  }
  const isHeld = part.gripN > JERK * pullN;
  return [
    {
      code: 'stopHolds',
      key: `stopHolds ${id}`,
      severity: isHeld ? 'good' : 'caution',
      items: [id],
      gripN: part.gripN,
      pullN: JERK * pullN,
      repairs: noRepairs,
    },
  ];
}

function pullOf({ off }: Layout, item: Item, pullsN: ReadonlyMap<string, number>): number {
  const held = off.filter(({ parent }) => parent === item.id).map((each) => each.item.id);
  return [item.id, ...held].reduce((sum, id) => sum + (pullsN.get(id) ?? 0), 0);
}

/** A bait that rolls, or a blade, turns the line with it unless a swivel lets it. */
function twist(build: Build, { nose }: LineCarrier, hooks: readonly PlacedEntry[], spare: readonly Part[]): Finding[] {
  const { roll, noseNm } = twistingOf(Object.values(build.items));
  const hasSwivel = noseNm < Infinity;
  const roller = hooks.find(({ item }) => (item.part as Hook).rolls);
  if (!roller && !hasSwivel) return [];
  const swivels = spare.filter((part) => part.kind === 'swivel').sort((a, b) => a.massKg - b.massKg);
  const knot: Edit[] = nose.form === 'knot' ? [] : [{ kind: 'carrier', changes: { nose: USUAL_KNOT } }];
  return [
    {
      code: 'lineTwist',
      key: 'lineTwist',
      severity: hasSwivel ? 'good' : 'caution',
      items: roller ? [roller.item.id] : [],
      rollsPerM: roll && roll.turnsPerM,
      repairs: hasSwivel
        ? noRepairs
        : () =>
            swivels.slice(0, 3).map((part) => ({
              code: 'putOn',
              part,
              edits: [...knot, seatPart(build, part, { on: 'end', end: 'nose' })],
            })),
    },
  ];
}
