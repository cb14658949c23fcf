/**
 * Where everything lies, pulled straight by the water: the stack against the tail wraps, the play at the nose.
 * x runs from the front of the nose loop towards the tail, m; radii are from the wire's axis.
 * Serves the drawing, the string, the clearances and the lengths alike.
 */
import { eyeLengthM } from '../parts/hook-form';
import type { Part, PartOf } from '../parts/part';
import { isBored } from '../parts/profile';
import { childrenOf, itemOf, type Build, type End, type Item, type ItemId, type Leg, type WireEnd } from './lure';

export interface Span {
  readonly x0M: number;
  readonly x1M: number;
}

export interface PlacedEnd extends Span {
  readonly form: WireEnd['form'];
  /** Centre of the loop; the end of the wire when it is plain. */
  readonly loopCentreM: number;
  readonly loopInsideRadiusM: number;
  readonly wraps: Span;
}

/** One entry of the strand as it lies on the wire. */
export interface PlacedEntry extends Span {
  readonly item: Item;
  readonly leg: Leg | null;
  readonly index: number;
  readonly radiusM: number;
}

/** Anything that does not have the wire through it: hung, tied or slid over. */
export interface PlacedOff extends Span {
  readonly item: Item;
  readonly parent: ItemId | End;
  readonly how: 'hung' | 'tied' | 'over';
  /** Where it bears on what it hangs from: the pivot it can swing about. */
  readonly pivotM: number;
  /** Distance of its line from the wire's axis: the clevis's drop for a blade, else 0. */
  readonly offAxisM: number;
  /** Hangs forward from the nose loop: its own front points to the tail. */
  readonly forward: boolean;
}

export interface PlacedClevis {
  readonly item: Item;
  readonly clevis: PartOf<'clevis'>;
  readonly foreM: number;
  readonly aftM: number;
  /** Axial place of the blade's hole. */
  readonly holeM: number;
  /** What lies between the legs, m, and how much room there is. */
  readonly insideM: number;
}

export interface Layout extends Span {
  readonly wireDiameterM: number;
  readonly nose: PlacedEnd;
  readonly tail: PlacedEnd;
  /** Bare wire between the wraps. */
  readonly shaft: Span;
  readonly freeRoom: Span;
  readonly stackM: number;
  readonly strand: readonly PlacedEntry[];
  readonly clevises: readonly PlacedClevis[];
  readonly off: readonly PlacedOff[];
}

export function layOut(build: Build): Layout {
  const { carrier, strand } = build;
  const d = carrier.wire.diameterM;
  const sizes = stackSizes(build);
  const stackM = sizes.totalM;

  const noseLoopM = loopLength(carrier.nose, d);
  const noseWrapsM = wrapsLength(carrier.nose, d);
  const shaft = {
    x0M: noseLoopM + noseWrapsM,
    x1M: noseLoopM + noseWrapsM + carrier.freeRoomM + stackM,
  };
  const nose: PlacedEnd = {
    form: carrier.nose.form,
    x0M: 0,
    x1M: noseLoopM,
    loopCentreM: noseLoopM / 2,
    loopInsideRadiusM: insideRadius(carrier.nose),
    wraps: { x0M: noseLoopM, x1M: shaft.x0M },
  };
  const tailWrapsM = wrapsLength(carrier.tail, d);
  const tailLoopM = loopLength(carrier.tail, d);
  const tail: PlacedEnd = {
    form: carrier.tail.form,
    wraps: { x0M: shaft.x1M, x1M: shaft.x1M + tailWrapsM },
    x0M: shaft.x1M + tailWrapsM,
    x1M: shaft.x1M + tailWrapsM + tailLoopM,
    loopCentreM: shaft.x1M + tailWrapsM + tailLoopM / 2,
    loopInsideRadiusM: insideRadius(carrier.tail),
  };

  const tailChain = hangAll(build, 'tail', tail.x1M - (tail.form === 'plain' ? 0 : d), 0);
  const noseChain = hangAll(build, 'nose', nose.form === 'plain' ? 0 : -d, 0).map(forward);
  const placed = strand.map((entry, index): PlacedEntry => {
    const item = itemOf(build, entry.item);
    const span = sizes.spans[index] ?? { x0M: 0, x1M: 0 };
    const isTailTube = item.part.kind === 'shrinkTube' && index === strand.length - 1;
    return {
      item,
      leg: entry.leg,
      index,
      radiusM: outsideRadius(item.part),
      ...(isTailTube ? tubeSpan(item, tail, tailChain) : { x0M: shaft.x1M + span.x0M, x1M: shaft.x1M + span.x1M }),
    };
  });
  const clevises = placeClevises(placed);
  const off = [
    ...noseChain,
    ...clevises.flatMap(({ item, clevis, holeM }) => hangAll(build, item.id, holeM, clevis.dropM)),
    ...placed.flatMap((entry) => slideOver(build, entry)),
    ...tailChain,
  ];
  const x1M = Math.max(tail.x1M, ...off.map((each) => each.x1M));
  const x0M = Math.min(0, ...off.map((each) => each.x0M));
  return {
    x0M,
    x1M,
    wireDiameterM: d,
    nose,
    tail,
    shaft,
    freeRoom: { x0M: shaft.x0M, x1M: shaft.x0M + carrier.freeRoomM },
    stackM,
    strand: placed,
    clevises,
    off,
  };
}

/** The hooks that trail behind: those a blade could reach. */
export function trailingHooks(layout: Layout): PlacedOff[] {
  return layout.off.filter(({ item, forward: isForward }) => item.part.kind === 'hook' && !isForward);
}

/** Outer length of the loop along the wire. */
function loopLength(end: WireEnd, wireM: number): number {
  return end.form === 'plain' ? 0 : end.insideDiameterM + 2 * wireM;
}

function wrapsLength(end: WireEnd, wireM: number): number {
  return end.form === 'plain' ? 0 : end.wraps * wireM;
}

function insideRadius(end: WireEnd): number {
  return end.form === 'plain' ? 0 : end.insideDiameterM / 2;
}

/**
 * Spans measured back from the tail wraps (x ≤ 0). Each entry rests on the next; a clevis's fore leg stands at least
 * its leg gap ahead of its aft leg, further when more than that lies between them.
 */
function stackSizes(build: Build): { spans: Span[]; totalM: number } {
  const { strand } = build;
  const spans: Span[] = new Array<Span>(strand.length);
  const aftLegs = new Map<ItemId, Span>();
  let front = 0;
  for (let index = strand.length - 1; index >= 0; index--) {
    const entry = strand[index];
    if (!entry) continue;
    const item = itemOf(build, entry.item);
    const length = entryLength(build, index, item);
    let x1M = front;
    if (item.part.kind === 'clevis' && entry.leg === 'fore') {
      const aft = aftLegs.get(item.id);
      if (aft) x1M = Math.min(x1M, aft.x0M - item.part.legGapM);
    }
    const span = { x0M: x1M - length, x1M };
    if (entry.leg === 'aft') aftLegs.set(item.id, span);
    spans[index] = span;
    front = Math.min(front, span.x0M);
  }
  return { spans, totalM: -front };
}

/** Length an entry takes up in the stack. */
function entryLength(build: Build, index: number, item: Item): number {
  const { part } = item;
  switch (part.kind) {
    case 'clevis':
      return part.legThicknessM;
    case 'cap': {
      // The open side goes over a neighbour that is thick enough to fill it.
      const neighbour = build.strand[item.flipped ? index - 1 : index + 1];
      const beside = neighbour ? itemOf(build, neighbour.item).part : null;
      const isFilled = beside !== null && (beside.kind === 'bead' || beside.kind === 'weight');
      return isFilled ? part.lengthM - part.nestDepthM : part.lengthM;
    }
    case 'dressing':
      return part.bandLengthM;
    case 'filmBlade':
      return part.thicknessM;
    case 'shrinkTube':
      // Last on the wire it lies over the tail wraps and takes no room.
      return index === build.strand.length - 1 ? 0 : (item.cutLengthM ?? DEFAULT_TUBE_M) * (1 - part.lengthwiseShrink);
    default:
      return isBored(part) ? part.lengthM : 0;
  }
}

/** A tube somewhere on the shaft with no length set: enough to see and to slide. */
const DEFAULT_TUBE_M = 0.01;

export function outsideRadius(part: Part): number {
  switch (part.kind) {
    case 'bead':
    case 'sleeve':
    case 'striker':
    case 'cap':
    case 'weight':
      return part.diameterM / 2;
    case 'bell':
      return part.mouthDiameterM / 2;
    case 'clevis':
      return part.boreM / 2 + part.legThicknessM;
    case 'dressing':
      return part.bulkM / 2;
    case 'shrinkTube':
      return part.recoveredBoreM / 2 + 2 * part.suppliedWallM;
    case 'splitRing':
      return part.outerDiameterM / 2;
    case 'blade':
      return part.widthM / 2;
    case 'hook':
      return part.gapM;
    case 'filmBlade':
      return part.spanM / 2;
    case 'wire':
      return part.diameterM / 2;
  }
}

function placeClevises(placed: readonly PlacedEntry[]): PlacedClevis[] {
  return placed
    .filter((entry) => entry.leg === 'fore')
    .flatMap((fore) => {
      const aft = placed.find((entry) => entry.leg === 'aft' && entry.item.id === fore.item.id);
      const { part } = fore.item;
      if (!aft || part.kind !== 'clevis') return [];
      const between = placed.filter((entry) => entry.index > fore.index && entry.index < aft.index);
      return [
        {
          item: fore.item,
          clevis: part,
          foreM: fore.x0M,
          aftM: aft.x1M,
          holeM: (fore.x0M + aft.x1M) / 2,
          insideM: lengthOver(between),
        },
      ];
    });
}

/** From the front of the first to the back of the last, with whatever another clevis holds apart between them. */
function lengthOver(spans: readonly Span[]): number {
  if (spans.length === 0) return 0;
  return Math.max(...spans.map(({ x1M }) => x1M)) - Math.min(...spans.map(({ x0M }) => x0M));
}

/** Hangs a chain of links: each bears on the inside of what holds it. */
function hangAll(build: Build, parent: ItemId | End, bearM: number, offAxisM: number): PlacedOff[] {
  return childrenOf(build, parent).flatMap((item) => {
    const { part } = item;
    const how = item.seat.on === 'item' ? item.seat.how : 'hung';
    const base = { item, parent, how, pivotM: bearM, offAxisM, forward: false };
    switch (part.kind) {
      case 'splitRing': {
        const x0M = bearM - part.wireDiameterM;
        const x1M = x0M + part.outerDiameterM;
        return [{ ...base, x0M, x1M }, ...hangAll(build, item.id, x1M - part.wireDiameterM, offAxisM)];
      }
      case 'hook': {
        const x0M = bearM - part.wireDiameterM;
        const bandM = x0M + eyeLengthM(part);
        return [{ ...base, x0M, x1M: x0M + part.lengthM }, ...hangAll(build, item.id, bandM, offAxisM)];
      }
      case 'blade': {
        const x0M = bearM - part.holeOffsetM;
        return [{ ...base, x0M, x1M: x0M + part.lengthM }];
      }
      case 'dressing':
        return [{ ...base, x0M: bearM, x1M: bearM + part.fibreLengthM }];
      default:
        return [];
    }
  });
}

/** The same link hung the other way, forward from the nose. */
function forward(link: PlacedOff): PlacedOff {
  return { ...link, x0M: -link.x1M, x1M: -link.x0M, pivotM: -link.pivotM, forward: true };
}

function slideOver(build: Build, host: PlacedEntry): PlacedOff[] {
  return childrenOf(build, host.item.id).flatMap((item) => {
    if (item.seat.on !== 'item' || item.seat.how !== 'over' || !isBored(item.part)) return [];
    const x0M = host.x1M - item.part.lengthM;
    return [
      {
        item,
        parent: host.item.id,
        how: 'over' as const,
        x0M,
        x1M: host.x1M,
        pivotM: host.x1M,
        offAxisM: 0,
        forward: false,
      },
    ];
  });
}

/** The end of what a tube over the tail has to cover: loop, rings and the eye of the hooks. */
export function tubeCoverEnd(tail: PlacedEnd, tailChain: readonly PlacedOff[]): number {
  const ends = tailChain.map(({ item, x0M, x1M }) =>
    item.part.kind === 'hook' ? x0M + eyeLengthM(item.part) : item.part.kind === 'splitRing' ? x1M : 0,
  );
  return Math.max(tail.x1M, ...ends);
}

function tubeSpan(item: Item, tail: PlacedEnd, tailChain: readonly PlacedOff[]): Span {
  const x0M = tail.wraps.x0M;
  if (item.cutLengthM === null || item.part.kind !== 'shrinkTube') return { x0M, x1M: tubeCoverEnd(tail, tailChain) };
  return { x0M, x1M: x0M + item.cutLengthM * (1 - item.part.lengthwiseShrink) };
}
