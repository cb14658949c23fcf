/**
 * Where parts of a lure can meet as it is drawn along. A contact is data of the parts' places, whichever family the lure is
 * of: which two, where, what drives them together and over what room, and whether that is what the builder wants.
 */
import { pointOn } from '../carriers/wire-path';
import { headTouch } from '../geometry/blade-on-head';
import { turningClearance } from '../geometry/clearance';
import { flashers, type Flasher } from '../geometry/flashers';
import { hungBlade } from '../hydro/flasher';
import { nailMeets, type NailMeet } from '../geometry/knocker';
import { riseAt, unevenness } from '../hydro/knock';
import { laidWith, trailingHooks, type Layout } from '../geometry/layout';
import { outsideRadius } from '../geometry/outside-radius';
import { tieOf } from '../geometry/tie';
import { poseOf } from '../geometry/placed';
import { deltaSeats, spinSeats, type DeltaSeat, type SpinSeat } from '../geometry/seats';
import { stateOf } from '../lure/item-state';
import { childrenOf, type Build, type Item } from '../lure/lure';
import { usualSpreadRad } from '../parts/blade-pattern';
import { bladeReach } from '../parts/outline';
import { LEAST_PLAY_M } from '../in-water/bearing';
import { contactId, type Bottom, type Contact, type ContactKind } from './contact';
import { bottomPiece, isHard, pieceOf } from './striking';
import { alongWire, nearestTo, turningOn } from './strung-contacts';

/** What of a head meets the bottom is round about so far, m: stones, ledges, and limbs. Trade estimates. */
const BOTTOM_ROUND_M: Readonly<Record<Exclude<Bottom, 'none'>, number>> = { gravel: 0.01, rock: 0.05, wood: 0.03 };
const STONE = { youngPa: 50e9, poisson: 0.25, yieldPa: null, lossFactor: 0.01 } as const;
const WOOD = { youngPa: 0.8e9, poisson: 0.35, yieldPa: 8e6, lossFactor: 0.05 } as const;

/** All contacts of a build, nose first, and with the bottom where one is named. */
export function contactsOf(build: Build, layout: Layout, waterKgM3: number, bottom: Bottom = 'none'): Contact[] {
  const spins = spinSeats(build, layout);
  const deltas = deltaSeats(layout);
  const all = [
    ...layout.carriers.flatMap((carrier) => alongWire(carrier, spins, waterKgM3)),
    ...bells(build, layout, spins, waterKgM3),
    ...deltas.flatMap((seat) => [...onHead(layout, seat, waterKgM3), ...onRivet(layout, seat, waterKgM3)]),
    ...spins.flatMap((seat) => [...onStack(layout, seat, waterKgM3), ...onHooks(layout, seat, waterKgM3)]),
    ...flashers(build, layout).map((each) => onBody(layout, each, waterKgM3)),
    ...nailMeets(build, layout, spins).map((met) => onNail(met, waterKgM3)),
    ...(bottom === 'none' ? [] : onBottom(layout, bottom, waterKgM3)),
  ];
  return all.sort((a, b) => a.at.xM - b.at.xM || (a.id < b.id ? -1 : 1));
}

/** A bell with what it strikes: a striker under or behind its mouth, or else what is nearest there. */
function bells(build: Build, layout: Layout, spins: readonly SpinSeat[], waterKgM3: number): Contact[] {
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
    ].filter(({ id, part }) => id !== bell.id && isHard(part));
    const struck = behind.find(({ part }) => part.kind === 'striker') ?? behind[0];
    if (!struck) return [];
    const insideM = sleeve?.part.kind === 'sleeve' ? sleeve.part.diameterM : laid.wireDiameterM;
    const playM = Math.max(0, (bell.part.boreM - insideM) / 2);
    const freeM = laid.freeRoom.x1M - laid.freeRoom.x0M;
    const nearest = nearestTo(turningOn(laid, spins), entry.index, entry.index);
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

/** A turning blade and what it meets. */
function bladeOn(
  kind: ContactKind,
  { item, blade }: Pick<DeltaSeat | SpinSeat, 'item' | 'blade'>,
  other: Item,
  waterKgM3: number,
  rest: Pick<Contact, 'at' | 'isWanted' | 'driven'>,
): Contact {
  return {
    id: contactId(kind, item.id, other.id),
    kind,
    between: [item.id, other.id],
    pieces: [pieceOf(blade, waterKgM3), pieceOf(other.part, waterKgM3)],
    ringing: [blade],
    station: item.id,
    shakeShare: 1,
    ...rest,
  };
}

function onHead(layout: Layout, seat: DeltaSeat, waterKgM3: number): Contact[] {
  const met = headTouch(layout, seat);
  if (!met) return [];
  const { head, clearanceM, touch } = met;
  return [
    bladeOn('bladeOnHead', seat, head, waterKgM3, {
      at: pointOn(layout.lines.run, seat.tipsM, -seat.blade.spanM / 2),
      isWanted: stateOf(seat.item, 'deltaBlade').clacks,
      driven: { by: 'lobes', clearanceM, touch, tipM: seat.blade.spanM / 2 },
    }),
  ];
}

/** A delta blade is driven back against the rivet behind it. */
function onRivet(layout: Layout, seat: DeltaSeat, waterKgM3: number): Contact[] {
  const behind = laidWith(layout, seat.item.id).strand[seat.index + 1]?.item;
  if (behind?.part.kind !== 'rivet') return [];
  const { fixing } = stateOf(behind, 'rivet');
  return [
    bladeOn('bladeOnRivet', seat, behind, waterKgM3, {
      at: pointOn(layout.lines.run, seat.x1M),
      isWanted: fixing !== 'free',
      driven: { by: 'slip', fixing },
    }),
  ];
}

/** What is strung beside a blade's clevis and stands so far out that the turning blade brushes it. */
function onStack(layout: Layout, seat: SpinSeat, waterKgM3: number): Contact[] {
  const { blade, clevis, holeM, dropM } = seat;
  if (!clevis) return [];
  const spreadRad = usualSpreadRad(blade.pattern);
  const [cos, sin] = [Math.cos(spreadRad), Math.sin(spreadRad)];
  const { strand, lines } = laidWith(layout, clevis.item.id);
  return strand.flatMap(({ item, leg, x0M, x1M }): Contact[] => {
    if (leg !== null || !isHard(item.part)) return [];
    // Where its middle passes over this piece, from the hole to the tip.
    const passes = [x0M + (x1M - x0M) / 4, x1M - (x1M - x0M) / 4]
      .map((xM) => (xM - holeM) / cos)
      .filter((armM) => armM >= -blade.holeOffsetM && armM <= bladeReach(blade));
    const clearanceM = Math.min(...passes.map((armM) => dropM + armM * sin - outsideRadius(item.part)));
    if (!(clearanceM < 0)) return [];
    return [
      bladeOn('bladeOnStack', seat, item, waterKgM3, {
        at: pointOn(lines.run, (x0M + x1M) / 2, outsideRadius(item.part)),
        isWanted: false,
        driven: { by: 'brush', clearanceM },
      }),
    ];
  });
}

/** A blade and the nail weight it comes by. */
function onNail({ nail, seat, end, knock, gapM, mostM, radiusM, chordM }: NailMeet, waterKgM3: number): Contact {
  const inM = Math.max(0, -gapM);
  return bladeOn('bladeOnNail', seat, nail, waterKgM3, {
    at: end,
    isWanted: true,
    driven: {
      by: 'nail',
      knock,
      radiusM,
      rise: riseAt({ inM, fallM: mostM, radiusM, chordM }),
      uneven: unevenness(inM, mostM),
    },
  });
}

/** A blade that the wobble swings against the body it hangs under. */
function onBody(layout: Layout, { item, blade, body, holeM, offAxisM }: Flasher, waterKgM3: number): Contact {
  const laid = layout.carriers.find(({ carrier }) => carrier.wire === body) ?? layout;
  const noseXM = laid.lines.skin.xM;
  return {
    id: contactId('bladeOnBody', item.id, 'none'),
    kind: 'bladeOnBody',
    between: [item.id, null],
    pieces: [pieceOf(blade, waterKgM3), pieceOf(body, waterKgM3)],
    ringing: [blade],
    at: pointOn(laid.lines.skin, holeM, offAxisM),
    isWanted: true,
    station: null,
    shakeShare: 1,
    driven: { by: 'wobble', blade: hungBlade(blade), behindTieM: Math.abs(noseXM + holeM - tieOf(laid).xM) },
  };
}

/** A hook within the sweep of a blade at its usual spread: a fault, and heard all the same. */
function onHooks(layout: Layout, seat: SpinSeat, waterKgM3: number): Contact[] {
  return trailingHooks(layout).flatMap((hook): Contact[] => {
    const { clearanceM } = turningClearance(layout, seat, hook, [usualSpreadRad(seat.blade.pattern)]);
    if (clearanceM >= 0) return [];
    return [
      bladeOn('bladeOnHook', seat, hook.item, waterKgM3, {
        at: pointOn(poseOf(layout, hook.line), hook.x0M),
        isWanted: false,
        driven: { by: 'sweep', clearanceM },
      }),
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
  ].filter(({ item }) => FIRST_ON_BOTTOM.has(item.part.kind) && isHard(item.part));
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
