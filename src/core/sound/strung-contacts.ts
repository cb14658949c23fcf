/** What is strung beside each other on a wire, and between the legs of a clevis, as it can meet. */
import { carrierRoom } from '../carriers/carrier';
import { holdsItself } from '../geometry/stack';
import { pointOn } from '../carriers/wire-path';
import type { LaidCarrier } from '../geometry/layout';
import { outsideRadius } from '../geometry/outside-radius';
import type { PlacedEntry } from '../geometry/placed';
import type { SpinSeat } from '../geometry/seats';
import type { ItemId } from '../lure/lure';
import { roomOf, type Part } from '../parts/part';
import { contactId, type Ahead, type Contact } from './contact';
import { isHard, pieceOf } from './striking';

/** Drag of a threaded piece over ½ρU² and its face. Trade estimate. */
const PIECE_DRAG = 0.6;

/** What turns on this wire, by the entries of its strand that turn with it. */
export interface OnWire {
  readonly station: ItemId;
  readonly blade: Part;
  /** The first and last of its entries. */
  readonly from: number;
  readonly to: number;
  /** How far its face moves as it tilts on the wire, m. */
  readonly tiltM: number;
}

/** What turns on a wire, nose first. */
export function turningOn(carrier: LaidCarrier, spins: readonly SpinSeat[]): OnWire[] {
  const { strand, wireDiameterM } = carrier;
  const tilt = (boreM: number, overM: number, faceM: number) => (Math.max(0, boreM - wireDiameterM) / overM) * faceM;
  const onClevis = spins.flatMap((seat): OnWire[] => {
    const { clevis } = seat;
    const legs = strand.filter(({ item }) => item.id === clevis?.item.id).map(({ index }) => index);
    if (!clevis || legs.length === 0) return [];
    const { boreM, legGapM, legThicknessM } = clevis.clevis;
    const tiltM = tilt(boreM, legGapM + 2 * legThicknessM, outsideRadius(clevis.clevis));
    return [{ station: seat.item.id, blade: seat.blade, from: Math.min(...legs), to: Math.max(...legs), tiltM }];
  });
  const threaded = strand.flatMap(({ item: { id, part }, index }): OnWire[] =>
    part.kind === 'deltaBlade' || part.kind === 'filmBlade'
      ? [
          {
            station: id,
            blade: part,
            from: index,
            to: index,
            tiltM: tilt(part.boreM, Math.max(part.kind === 'deltaBlade' ? part.lengthM : part.boreM, 0.002), 0.001),
          },
        ]
      : [],
  );
  return [...onClevis, ...threaded].sort((a, b) => a.from - b.from);
}

/** Neighbours on a wire, and what lies between the legs of a clevis. */
export function alongWire(carrier: LaidCarrier, spins: readonly SpinSeat[], waterKgM3: number): Contact[] {
  const turning = turningOn(carrier, spins);
  const { strand, lines } = carrier;
  const pairs = strand.slice(1).flatMap((aft, i) => {
    const fore = strand[i];
    // What holds its place on the line does not slide down on what is behind it.
    const canMeet = fore && fore.item.id !== aft.item.id && holdsItself(fore.item) === null;
    return canMeet && canStrike(fore) && canStrike(aft) ? [{ fore, aft }] : [];
  });
  const gapM = roomToFly(carrier) / Math.max(1, pairs.length);
  const shakeShare = shareOnArm(carrier);
  const contacts = pairs.flatMap(({ fore, aft }): Contact[] => {
    const caged = cageAbout(strand, fore, aft);
    // Both legs of a clevis are one contact with what lies between them; it is told at the fore leg.
    if (caged && caged.leg !== 'fore') return [];
    const at = pointOn(lines.run, aft.x0M);
    const nearest = nearestTo(turning, fore.index, aft.index);
    const carries = (entry: PlacedEntry) =>
      turning.find(({ from, to }) => from <= entry.index && entry.index <= to && entry.leg !== null)?.blade ?? null;
    const common = {
      between: [fore.item.id, aft.item.id] as const,
      pieces: [
        pieceOf(fore.item.part, waterKgM3, carries(fore)),
        pieceOf(aft.item.part, waterKgM3, carries(aft)),
      ] as const,
      ringing: [carries(fore), carries(aft)].flatMap((blade) => blade ?? []),
      at,
      isWanted: true,
      station: nearest?.station ?? null,
      shakeShare: shakeShare(aft.x0M),
    };
    if (caged) {
      const radiusM = outsideRadius(caged.bead.part);
      return [
        {
          ...common,
          id: contactId('insideClevis', caged.clevis.id, caged.bead.id),
          kind: 'insideClevis',
          driven: { by: 'cage', playM: caged.playM, areaM2: PIECE_DRAG * Math.PI * radiusM ** 2 },
        },
      ];
    }
    const steps = nearest ? nearest.steps : Infinity;
    const acrossM = Math.min(...[fore, aft].map(({ item }) => playAcross(item.part, carrier.wireDiameterM)));
    const ahead = aheadOf(strand, turning, fore.index, waterKgM3);
    return [
      {
        ...common,
        id: contactId('sideBySide', fore.item.id, aft.item.id),
        kind: 'sideBySide',
        driven: { by: 'rocking', tiltM: nearest?.tiltM ?? 0, steps, ahead, gapM, acrossM },
      },
    ];
  });
  // Of two clevises whose legs lie among each other it is once told that they meet.
  return contacts.filter(
    ({ kind, between: [a, b] }, i) =>
      !contacts
        .slice(0, i)
        .some((other) => other.kind === kind && other.between.includes(a) && other.between.includes(b)),
  );
}

/** On a line the stream holds what slides together: they part no further than this, m. Trade estimate. */
const APART_ON_LINE_M = 0.003;

/** How far what is strung can move apart in all, m. */
function roomToFly({ carrier, freeRoom }: LaidCarrier): number {
  const roomM = freeRoom.x1M - freeRoom.x0M;
  return carrierRoom(carrier).isLimp ? Math.min(roomM, APART_ON_LINE_M) : roomM;
}

/** What a piece can move across the wire that goes through it, m. */
function playAcross(part: Part, wireDiameterM: number): number {
  return 'boreM' in part ? Math.max(0, (part.boreM - wireDiameterM) / 2) : 0;
}

/** Whether a threaded piece can strike: of what hangs loose or is soft nothing is heard, and a bell has a contact of its own. */
function canStrike({ item: { part } }: PlacedEntry): boolean {
  return isHard(part) && roomOf(part).threads?.side !== null && part.kind !== 'bell';
}

/** The clevis whose legs these two lie between, when one of them is its leg and the other between its legs. */
function cageAbout(strand: readonly PlacedEntry[], fore: PlacedEntry, aft: PlacedEntry) {
  const leg = fore.leg === 'fore' ? fore : aft.leg === 'aft' ? aft : null;
  if (!leg || leg.item.part.kind !== 'clevis') return null;
  const bead = leg === fore ? aft : fore;
  if (bead.leg !== null) return null;
  const { part } = leg.item;
  const inside = strand.filter(({ index, leg: own }) => {
    const [from, to] = [legIndex(strand, leg.item.id, 'fore'), legIndex(strand, leg.item.id, 'aft')];
    return own === null && from < index && index < to;
  });
  if (inside.length === 0) return null;
  const filledM = inside.reduce((sum, { x0M, x1M }) => sum + x1M - x0M, 0);
  return {
    clevis: leg.item,
    bead: bead.item,
    leg: leg === fore ? ('fore' as const) : ('aft' as const),
    playM: Math.max(0, part.legGapM - filledM),
  };
}

function legIndex(strand: readonly PlacedEntry[], clevis: ItemId, leg: 'fore' | 'aft'): number {
  return strand.findIndex((entry) => entry.item.id === clevis && entry.leg === leg);
}

/** The nearest that turns, and how many pieces stand between it and the contact. */
export function nearestTo(turning: readonly OnWire[], fore: number, aft: number) {
  let nearest: (OnWire & { readonly steps: number }) | null = null;
  for (const each of turning) {
    const steps = each.from > fore ? Math.max(0, each.from - aft) : Math.max(0, fore - each.to);
    if (!nearest || steps < nearest.steps) nearest = { ...each, steps };
  }
  return nearest;
}

function aheadOf(strand: readonly PlacedEntry[], turning: readonly OnWire[], last: number, waterKgM3: number): Ahead {
  let [massKg, dragM2] = [0, 0];
  for (const { item, leg, index } of strand) {
    if (index > last || leg === 'aft') continue;
    massKg += pieceOf(item.part, waterKgM3)?.massKg ?? item.part.massKg;
    dragM2 += PIECE_DRAG * Math.PI * outsideRadius(item.part) ** 2;
  }
  const blades = turning.filter(({ to }) => to <= last);
  for (const { blade } of blades) massKg += blade.massKg;
  return { massKg, dragM2, blades: blades.map(({ station }) => station) };
}

/** Of the shake at the end of an arm, the share at a place on it; 1 on a wire without one. */
function shareOnArm({ path, shaft }: LaidCarrier): (alongM: number) => number {
  if (!path) return () => 1;
  const endM = Math.max(shaft.x1M, 1e-3);
  return (alongM) => Math.min(1, Math.max(0, alongM / endM)) ** 2;
}
