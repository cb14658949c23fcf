/**
 * Where parts of a lure can meet as it is drawn along. A contact is data of the parts' places, whichever family the lure is
 * of: which two, where, what drives them together and over what room, and whether that is what the builder wants.
 */
import { pointOn, type PlanePlace } from '../carriers/wire-path';
import { headTouch, type Touch } from '../geometry/blade-on-head';
import { turningClearance } from '../geometry/clearance';
import { laidWith, trailingHooks, type LaidCarrier, type Layout } from '../geometry/layout';
import { outsideRadius } from '../geometry/outside-radius';
import { poseOf, type PlacedEntry } from '../geometry/placed';
import { deltaSeats, spinSeats, type DeltaSeat, type SpinSeat } from '../geometry/seats';
import { stateOf } from '../lure/item-state';
import { childrenOf, type Build, type Item, type ItemId } from '../lure/lure';
import { PATTERNS } from '../parts/blade-pattern';
import { bladeReach } from '../parts/outline';
import type { RivetFixing } from '../parts/kinds/rivet';
import { roomOf, type Part } from '../parts/part';
import { LEAST_PLAY_M } from '../in-water/bearing';
import { bottomPiece, pieceOf, type Piece } from './striking';

export const CONTACT_KINDS = [
  'sideBySide',
  'insideClevis',
  'bell',
  'bladeOnHead',
  'bladeOnRivet',
  'bladeOnStack',
  'bladeOnHook',
  'headOnBottom',
] as const;
export type ContactKind = (typeof CONTACT_KINDS)[number];

/** What a head is dragged over. */
export const BOTTOMS = ['none', 'gravel', 'rock', 'wood'] as const;
export type Bottom = (typeof BOTTOMS)[number];

/** What brings the two together. */
export type Driven =
  /**
   * What turns rocks on its wire once a turn, and its face knocks what stands beside it; further off less of that comes
   * through. What lies before the contact is pressed against it by its drag.
   */
  | {
      readonly by: 'rocking';
      readonly tiltM: number;
      readonly steps: number;
      readonly ahead: Ahead;
      /** Along the wire, its share of the play; across it, the play of the tighter of the two. */
      readonly gapM: number;
      readonly acrossM: number;
    }
  /** A bead between the legs of a clevis, with play of its own. */
  | { readonly by: 'cage'; readonly playM: number; readonly areaM2: number }
  /** A bell on its sleeve. */
  | { readonly by: 'swing'; readonly playM: number; readonly isPinched: boolean }
  /** Lobes that come by one after the other. */
  | { readonly by: 'lobes'; readonly clearanceM: number; readonly touch: Touch; readonly tipM: number }
  /** A blade's ears slipping on a rivet. */
  | { readonly by: 'slip'; readonly fixing: RivetFixing }
  /** The tip of a blade reaching what does not turn. */
  | { readonly by: 'sweep'; readonly clearanceM: number }
  /** A blade lying on what it passes over. */
  | { readonly by: 'brush'; readonly clearanceM: number }
  | { readonly by: 'way'; readonly bottom: Exclude<Bottom, 'none'> };

/** What lies before a place on a wire: what it weighs with the water it carries, its own drag area, and the blades on it. */
export interface Ahead {
  readonly massKg: number;
  readonly dragM2: number;
  readonly blades: readonly ItemId[];
}

export interface Contact {
  readonly id: string;
  readonly kind: ContactKind;
  /** The second is null where it is not of the lure. */
  readonly between: readonly [ItemId, ItemId | null];
  /** Null of a piece so soft that no blow of it is heard. */
  readonly pieces: readonly [Piece | null, Piece | null];
  /** Whose plates ring when it strikes. */
  readonly ringing: readonly Part[];
  /** In the plane of the lure, x to the tail and y up, m. */
  readonly at: PlanePlace;
  readonly isWanted: boolean;
  /** The blade whose turning drives it; null where none does. */
  readonly station: ItemId | null;
  /** Of the shake at the end of its arm, the share at this place; 1 where the whole lure is shaken. */
  readonly shakeShare: number;
  readonly driven: Driven;
}

/** What of a head meets the bottom is round about so far, m: stones, ledges, and limbs. Trade estimates. */
const BOTTOM_ROUND_M: Readonly<Record<Exclude<Bottom, 'none'>, number>> = { gravel: 0.01, rock: 0.05, wood: 0.03 };
const STONE = { youngPa: 50e9, poisson: 0.25, yieldPa: null, lossFactor: 0.01 } as const;
const WOOD = { youngPa: 0.8e9, poisson: 0.35, yieldPa: 8e6, lossFactor: 0.05 } as const;
/** Drag of a threaded piece over ½ρU² and its face. Trade estimate. */
const PIECE_DRAG = 0.6;

/** All contacts of a build, nose first, and with the bottom where one is named. */
export function contactsOf(build: Build, layout: Layout, waterKgM3: number, bottom: Bottom = 'none'): Contact[] {
  const spins = spinSeats(build, layout);
  const deltas = deltaSeats(layout);
  const all = [
    ...layout.carriers.flatMap((carrier) => alongWire(carrier, spins, waterKgM3)),
    ...bells(build, layout, waterKgM3),
    ...deltas.flatMap((seat) => [...onHead(layout, seat, waterKgM3), ...onRivet(layout, seat, waterKgM3)]),
    ...spins.flatMap((seat) => [...onStack(layout, seat, waterKgM3), ...onHooks(layout, seat, waterKgM3)]),
    ...(bottom === 'none' ? [] : onBottom(layout, bottom, waterKgM3)),
  ];
  return all.sort((a, b) => a.at.xM - b.at.xM || (a.id < b.id ? -1 : 1));
}

function contactId(kind: ContactKind, a: ItemId, b: ItemId | Bottom): string {
  return `${kind} ${a} ${b}`;
}

/** What turns on this wire, by the entries of its strand that turn with it. */
interface OnWire {
  readonly station: ItemId;
  readonly blade: Part;
  /** The first and last of its entries. */
  readonly from: number;
  readonly to: number;
  /** How far its face moves as it tilts on the wire, m. */
  readonly tiltM: number;
}

function turningOn(carrier: LaidCarrier, spins: readonly SpinSeat[]): OnWire[] {
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
function alongWire(carrier: LaidCarrier, spins: readonly SpinSeat[], waterKgM3: number): Contact[] {
  const turning = turningOn(carrier, spins);
  const { strand, freeRoom, lines } = carrier;
  const pairs = strand.slice(1).flatMap((aft, i) => {
    const fore = strand[i];
    return fore && fore.item.id !== aft.item.id && isHard(fore) && isHard(aft) ? [{ fore, aft }] : [];
  });
  const gapM = (freeRoom.x1M - freeRoom.x0M) / Math.max(1, pairs.length);
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

/** What a piece can move across the wire that goes through it, m. */
function playAcross(part: Part, wireDiameterM: number): number {
  return 'boreM' in part ? Math.max(0, (part.boreM - wireDiameterM) / 2) : 0;
}

/** Whether a threaded piece can strike: of what hangs loose or is soft nothing is heard, and a bell has a contact of its own. */
function isHard({ item: { part } }: PlacedEntry): boolean {
  return pieceOf(part, 1000) !== null && roomOf(part).threads?.side !== null && part.kind !== 'bell';
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
function nearestTo(turning: readonly OnWire[], fore: number, aft: number) {
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

/** A bell with what it strikes: a striker under or behind its mouth, or else what is nearest there. */
function bells(build: Build, layout: Layout, waterKgM3: number): Contact[] {
  return Object.values(build.items).flatMap((bell): Contact[] => {
    if (bell.part.kind !== 'bell') return [];
    const sleeve = bell.seat.on === 'item' ? build.items[bell.seat.item] : undefined;
    const laid = laidWith(layout, sleeve?.id ?? bell.id);
    const entry = laid.strand.find(({ item }) => item.id === (sleeve?.id ?? bell.id));
    if (!entry) return [];
    const behind = [
      ...(sleeve ? childrenOf(build, sleeve.id) : []),
      ...laid.strand.slice(entry.index + 1).map(({ item }) => item),
      ...laid.strand
        .slice(0, entry.index)
        .map(({ item }) => item)
        .reverse(),
      ...(sleeve ? [sleeve] : []),
    ].filter(({ id, part }) => id !== bell.id && pieceOf(part, waterKgM3) !== null);
    const struck = behind.find(({ part }) => part.kind === 'striker') ?? behind[0];
    if (!struck) return [];
    const insideM = sleeve?.part.kind === 'sleeve' ? sleeve.part.diameterM : laid.wireDiameterM;
    const playM = Math.max(0, (bell.part.boreM - insideM) / 2);
    const freeM = laid.freeRoom.x1M - laid.freeRoom.x0M;
    const nearest = nearestTo(turningOn(laid, spinSeats(build, layout)), entry.index, entry.index);
    return [
      {
        id: contactId('bell', bell.id, struck.id),
        kind: 'bell',
        between: [bell.id, struck.id],
        pieces: [pieceOf(bell.part, waterKgM3), pieceOf(struck.part, waterKgM3)],
        ringing: [bell.part],
        at: pointOn(laid.lines.run, entry.x1M),
        isWanted: true,
        station: nearest?.station ?? null,
        shakeShare: 1,
        driven: { by: 'swing', playM, isPinched: playM < LEAST_PLAY_M / 2 || (!sleeve && freeM < LEAST_PLAY_M) },
      },
    ];
  });
}

function onHead(layout: Layout, seat: DeltaSeat, waterKgM3: number): Contact[] {
  const met = headTouch(layout, seat);
  if (!met) return [];
  const { head, clearanceM, touch } = met;
  return [
    {
      id: contactId('bladeOnHead', seat.item.id, head.id),
      kind: 'bladeOnHead',
      between: [seat.item.id, head.id],
      pieces: [pieceOf(seat.blade, waterKgM3), pieceOf(head.part, waterKgM3)],
      ringing: [seat.blade],
      at: pointOn(layout.lines.run, seat.tipsM, -seat.blade.spanM / 2),
      isWanted: stateOf(seat.item, 'deltaBlade').clacks,
      station: seat.item.id,
      shakeShare: 1,
      driven: { by: 'lobes', clearanceM, touch, tipM: seat.blade.spanM / 2 },
    },
  ];
}

/** A delta blade is driven back against the rivet behind it. */
function onRivet(layout: Layout, seat: DeltaSeat, waterKgM3: number): Contact[] {
  const behind = laidWith(layout, seat.item.id).strand[seat.index + 1]?.item;
  if (behind?.part.kind !== 'rivet') return [];
  const { fixing } = stateOf(behind, 'rivet');
  return [
    {
      id: contactId('bladeOnRivet', seat.item.id, behind.id),
      kind: 'bladeOnRivet',
      between: [seat.item.id, behind.id],
      pieces: [pieceOf(seat.blade, waterKgM3), pieceOf(behind.part, waterKgM3)],
      ringing: [seat.blade],
      at: pointOn(layout.lines.run, seat.x1M),
      isWanted: fixing !== 'free',
      station: seat.item.id,
      shakeShare: 1,
      driven: { by: 'slip', fixing },
    },
  ];
}

function usualSpread({ blade }: SpinSeat): number {
  return (PATTERNS[blade.pattern].reference.spreadDeg * Math.PI) / 180;
}

/** What is strung beside a blade's clevis and stands so far out that the turning blade brushes it. */
function onStack(layout: Layout, seat: SpinSeat, waterKgM3: number): Contact[] {
  const { blade, clevis, holeM, dropM } = seat;
  if (!clevis) return [];
  const [cos, sin] = [Math.cos(usualSpread(seat)), Math.sin(usualSpread(seat))];
  const { strand, lines } = laidWith(layout, clevis.item.id);
  return strand.flatMap(({ item, leg, x0M, x1M }): Contact[] => {
    if (leg !== null || pieceOf(item.part, waterKgM3) === null) return [];
    // Where its middle passes over this piece, from the hole to the tip.
    const passes = [x0M + (x1M - x0M) / 4, x1M - (x1M - x0M) / 4]
      .map((xM) => (xM - holeM) / cos)
      .filter((armM) => armM >= -blade.holeOffsetM && armM <= bladeReach(blade));
    const clearanceM = Math.min(...passes.map((armM) => dropM + armM * sin - outsideRadius(item.part)));
    if (!(clearanceM < 0)) return [];
    return [
      {
        id: contactId('bladeOnStack', seat.item.id, item.id),
        kind: 'bladeOnStack',
        between: [seat.item.id, item.id],
        pieces: [pieceOf(blade, waterKgM3), pieceOf(item.part, waterKgM3)],
        ringing: [blade],
        at: pointOn(lines.run, (x0M + x1M) / 2, outsideRadius(item.part)),
        isWanted: false,
        station: seat.item.id,
        shakeShare: 1,
        driven: { by: 'brush', clearanceM },
      },
    ];
  });
}

/** A hook within the sweep of a blade at its usual spread: a fault, and heard all the same. */
function onHooks(layout: Layout, seat: SpinSeat, waterKgM3: number): Contact[] {
  return trailingHooks(layout).flatMap((hook): Contact[] => {
    const { clearanceM } = turningClearance(layout, seat, hook, [usualSpread(seat)]);
    if (clearanceM >= 0) return [];
    return [
      {
        id: contactId('bladeOnHook', seat.item.id, hook.item.id),
        kind: 'bladeOnHook',
        between: [seat.item.id, hook.item.id],
        pieces: [pieceOf(seat.blade, waterKgM3), pieceOf(hook.item.part, waterKgM3)],
        ringing: [seat.blade],
        at: pointOn(poseOf(layout, hook.line), hook.x0M),
        isWanted: false,
        station: seat.item.id,
        shakeShare: 1,
        driven: { by: 'sweep', clearanceM },
      },
    ];
  });
}

/** The heaviest hard piece at the front, dragged over the bottom. */
function onBottom(layout: Layout, bottom: Exclude<Bottom, 'none'>, waterKgM3: number): Contact[] {
  const hard = [
    ...layout.off.map(({ item, line, x0M }) => ({ item, at: pointOn(poseOf(layout, line), x0M) })),
    ...layout.carriers.flatMap(({ strand, lines }) =>
      strand.map(({ item, x0M }) => ({ item, at: pointOn(lines.run, x0M) })),
    ),
  ].filter(({ item }) => FIRST_ON_BOTTOM.has(item.part.kind) && pieceOf(item.part, waterKgM3) !== null);
  const [first] = hard.sort((a, b) => b.item.part.massKg - a.item.part.massKg);
  if (!first) return [];
  return [
    {
      id: contactId('headOnBottom', first.item.id, bottom),
      kind: 'headOnBottom',
      between: [first.item.id, null],
      pieces: [
        pieceOf(first.item.part, waterKgM3),
        bottomPiece(bottom === 'wood' ? WOOD : STONE, BOTTOM_ROUND_M[bottom]),
      ],
      ringing: [],
      at: first.at,
      isWanted: true,
      station: null,
      shakeShare: 1,
      driven: { by: 'way', bottom },
    },
  ];
}

const FIRST_ON_BOTTOM: ReadonlySet<Item['part']['kind']> = new Set(['head', 'weight', 'body']);
