/**
 * Where everything lies, pulled straight by the water: on each carrier the stack against the tail end, the play at the nose.
 * Things lie along lines: the run that the strand is threaded on; the trail of what hangs at the tail, which the water
 * draws straight back; the head's own axis, which is the hook's shank; what is forced over the line tie. Places along a
 * line are in metres from its origin towards the tail, radii from its axis. Each line has its pose in the lure, x to the
 * tail and y up. On a straight wire all lines are one: x runs from the front of the nose loop. A joined carrier hangs where
 * what holds it bears, and lies with the stream.
 * Serves the drawing, the string, the clearances and the lengths alike.
 */
import { eyeLengthM } from '../parts/hook-form';
import { roomOf, type Part } from '../parts/part';
import { carrierRoom, strandOf, type Carrier } from '../carriers/carrier';
import type { CarrierLines, HeadAt, Lie } from '../carriers/room';
import { stateOf } from '../lure/item-state';
import {
  childrenOf,
  itemOf,
  spotOf,
  type Build,
  type CarrierId,
  type Item,
  type ItemId,
  type SpotKind,
  type StrandEntry,
} from '../lure/lure';
import { AT_AXIS, hangAll, hangInBody, heldOnWire, snellsOn } from './hanging';
import { outsideRadius } from './outside-radius';
import {
  isLifted,
  laidAlong,
  lineKind,
  lineOf,
  poseOf,
  type LeftOut,
  type PlacedClevis,
  type PlacedEnd,
  type PlacedEntry,
  type PlacedOff,
  type Snelled,
  type Span,
} from './placed';
import { bearsAtTail, noseOf, tailOf } from './placed-ends';
import { atRest, stackOf, type Rest } from './stack';
import { carriersOf, type Strung } from '../lure/strung';
import { pathMoved, pointOn, type PlanePlace, type Pose, type WirePath } from '../carriers/wire-path';

/** One carrier with what is threaded on it. */
export interface LaidCarrier {
  readonly id: CarrierId;
  readonly carrier: Carrier;
  /** What it hangs on, one above the other, the nearest first; none of the one that the line pulls. */
  readonly behind: readonly CarrierId[];
  /** Place of its front on the way from the first carrier's nose along all that it hangs on, m. */
  readonly fromM: number;
  readonly lines: CarrierLines;
  /** The way of a bent wire; null for a straight one. */
  readonly path: WirePath | null;
  /** Where the line pulls, where that is neither end; and of a body its outside. */
  readonly pulledAt: Pose | null;
  readonly outline: readonly PlanePlace[] | null;
  readonly wireDiameterM: number;
  readonly nose: PlacedEnd;
  readonly tail: PlacedEnd;
  /** Bare wire between the wraps. */
  readonly shaft: Span;
  readonly freeRoom: Span;
  readonly stackM: number;
  readonly snells: readonly Snelled[];
  /** Bare line left out of it; only of a layout to be drawn. */
  readonly leftOut: readonly LeftOut[];
  readonly strand: readonly PlacedEntry[];
  readonly clevises: readonly PlacedClevis[];
}

/** All of a lure. What is said of one carrier is said of the first, which the line pulls. */
export interface Layout extends LaidCarrier, Span {
  /** The lure's own box: x0M to x1M along, y0M to y1M up. */
  readonly y0M: number;
  readonly y1M: number;
  /** The first carrier, then those joined to it. */
  readonly carriers: readonly LaidCarrier[];
  /** Of every carrier what does not have the wire through it. */
  readonly off: readonly PlacedOff[];
}

/** Lays all of a build out as it rests, m and rad. @throws Error for a build that structureProblem refuses */
export function layOut(build: Build, rest: Rest = 'towed'): Layout {
  const [pulled, ...joined] = carriersOf(build);
  if (!pulled) throw new Error('layOut: a build has a carrier');
  const first = layCarrier(build, pulled, null, rest);
  const carriers = [first.laid];
  const off = [...first.off];
  let waiting = joined;
  while (waiting.length > 0) {
    const left: Strung[] = [];
    for (const each of waiting) {
      const hung = hangsAt(each.joint, carriers, off);
      if (!hung) {
        left.push(each);
        continue;
      }
      const { laid, off: own } = layCarrier(build, each, hung, rest);
      carriers.push(laid);
      off.push(...own);
    }
    if (left.length === waiting.length) {
      throw new Error('layOut: a carrier hangs on nothing; structureProblem should have refused it');
    }
    waiting = left;
  }
  const order = joined.map(({ id }) => id);
  carriers.sort((a, b) => order.indexOf(a.id) - order.indexOf(b.id));
  return { ...first.laid, ...boxOf(carriers, off), carriers, off };
}

/** What a joined carrier hangs on, laid. */
interface HangsAt extends PlanePlace {
  readonly holder: LaidCarrier;
  /** Place of the bearing along the holder's line, m. */
  readonly alongM: number;
}

/** Where a joined carrier bears on what holds it; null while that is not laid yet. */
function hangsAt(joint: Strung['joint'], carriers: readonly LaidCarrier[], off: readonly PlacedOff[]): HangsAt | null {
  if (!joint) return null;
  if (joint.on === 'end') {
    const holder = carriers.find(({ id }) => id === joint.carrier);
    if (!holder) return null;
    const { lines, tail, wireDiameterM } = holder;
    const [line, alongM] =
      joint.end === 'nose' ? [lines.run, 0] : ([lines.trail, bearsAtTail(tail, wireDiameterM)] as const);
    return { ...pointOn(line, alongM), holder, alongM };
  }
  const held = off.find(({ item }) => item.id === joint.item);
  if (!held) return null;
  const { part } = held.item;
  const at = { alongM: held.pivotM, offAxisM: held.offAxisM, coveredToM: null, roomM: 0 };
  const { alongM } = roomOf(part).holds.hung?.bearing(part, held, at) ?? at;
  const holder = laidAlong({ carriers }, held.line);
  const upM = isLifted(held.line) ? held.offAxisM : 0;
  return { ...pointOn(holder.lines[lineKind(held.line)], alongM, upM), holder, alongM };
}

function layCarrier(
  build: Build,
  { id, carrier, strand }: Strung,
  hung: HangsAt | null,
  rest: Rest,
): { readonly laid: LaidCarrier; readonly off: PlacedOff[] } {
  const room = carrierRoom(carrier);
  const d = strandOf(carrier);
  const stack = stackOf(build, strand, d);
  const nose = noseOf(room.end(carrier, 'nose'), d);
  const runM = room.runM(carrier, stack.totalM);
  const shaft = { x0M: nose.wraps.x1M, x1M: nose.wraps.x1M + runM };
  const tail = tailOf(room.end(carrier, 'tail'), shaft.x1M, d);
  const bearM = bearsAtTail(tail, d);
  const spot = (at: SpotKind) => spotOf(id, at);
  const line = (kind: keyof CarrierLines) => lineOf(id, kind);

  const own = room.lie(carrier, bearM, headAt(childrenOf(build, spot('nose')).map(({ part }) => part)));
  const insideNoseM = nose.form === 'plain' ? 0 : d;
  const lie = hung ? hungBy(room.hangsBy, own, hung, insideNoseM) : own;

  const tailChain = hangAll(build, spot('tail'), { ...AT_AXIS, alongM: bearM }, line('trail'));
  const placed = placeStrand(build, strand, atRest(build, strand, stack, runM, rest), shaft.x1M, tail, tailChain);
  const clevises = placeClevises(placed);
  const atNose = room.castsNose
    ? hangAll(build, spot('nose'), AT_AXIS, line('head'))
    : hangAll(build, spot('nose'), { ...AT_AXIS, alongM: nose.form === 'plain' ? 0 : -d }, line('run')).map(forward);
  return {
    laid: {
      id,
      carrier,
      behind: hung ? [hung.holder.id, ...hung.holder.behind] : [],
      fromM: hung ? hung.holder.fromM + hung.alongM - insideNoseM : 0,
      ...lie,
      wireDiameterM: d,
      nose,
      tail,
      shaft,
      freeRoom: { x0M: shaft.x0M, x1M: room.hasEyes ? shaft.x0M : shaft.x1M - stack.totalM },
      stackM: stack.totalM,
      leftOut: [],
      snells: snellsOn(placed.map(({ item }) => item)),
      strand: placed,
      clevises,
    },
    off: [
      ...atNose,
      ...hangAll(build, spot('tie'), { ...AT_AXIS, alongM: -d / 2 }, line('tie')),
      ...hangInBody(build, id, carrier, line('skin')),
      ...placed.flatMap((entry) => heldOnWire(build, entry, clevises, line('run'))),
      ...tailChain,
    ],
  };
}

/** What a wire meets in the head among these, which sit at its nose. */
export function headAt(atNose: readonly Part[]): HeadAt {
  const head = atNose.find((part) => part.kind === 'head');
  if (!head) return NO_HEAD;
  return { wireAtM: head.wireAtM, eye: head.eye ? { xM: head.eye.atM, yM: head.eye.upM } : null };
}

const NO_HEAD: HeadAt = { wireAtM: 0, eye: null };

/** A carrier moved so that the inside of its nose loop, or its line tie, lies where it bears. */
export function hungBy(
  by: 'nose' | 'tie',
  { lines, path, pulledAt, outline }: Lie,
  at: PlanePlace,
  insideNoseM: number,
): Lie {
  const from = by === 'tie' ? lines.tie : pointOn(lines.run, insideNoseM);
  const [xM, yM] = [at.xM - from.xM, at.yM - from.yM];
  const moved = <P extends PlanePlace>(place: P): P => ({ ...place, xM: place.xM + xM, yM: place.yM + yM });
  const { run, trail, head, tie, skin } = lines;
  return {
    lines: { run: moved(run), trail: moved(trail), head: moved(head), tie: moved(tie), skin: moved(skin) },
    path: path && pathMoved(path, xM, yM),
    pulledAt: pulledAt && moved(pulledAt),
    outline: outline && outline.map(moved),
  };
}

function placeStrand(
  build: Build,
  strand: readonly StrandEntry[],
  spans: readonly Span[],
  tailM: number,
  tail: PlacedEnd,
  tailChain: readonly PlacedOff[],
): PlacedEntry[] {
  return strand.map((entry, index) => {
    const item = itemOf(build, entry.item);
    const span = spans[index] ?? { x0M: 0, x1M: 0 };
    const isTailTube = item.part.kind === 'shrinkTube' && index === strand.length - 1;
    return {
      item,
      leg: entry.leg,
      index,
      radiusM: outsideRadius(item.part),
      ...(isTailTube ? tubeSpan(item, tail, tailChain) : { x0M: tailM + span.x0M, x1M: tailM + span.x1M }),
    };
  });
}

/** The box of everything but what swings or drapes. */
function boxOf(
  carriers: readonly LaidCarrier[],
  off: readonly PlacedOff[],
): Pick<Layout, 'x0M' | 'x1M' | 'y0M' | 'y1M'> {
  const box = { x0M: Infinity, x1M: -Infinity, y0M: Infinity, y1M: -Infinity };
  const hold = ({ xM, yM }: PlanePlace) => {
    box.x0M = Math.min(box.x0M, xM);
    box.x1M = Math.max(box.x1M, xM);
    box.y0M = Math.min(box.y0M, yM);
    box.y1M = Math.max(box.y1M, yM);
  };
  for (const { lines, nose, tail, path, outline } of carriers) {
    outline?.forEach(hold);
    for (const section of path?.sections ?? []) section.points.forEach(hold);
    hold(pointOn(lines.run, nose.x0M));
    hold(pointOn(lines.run, tail.x1M, tail.loopInsideRadiusM));
    hold(pointOn(lines.run, tail.x1M, -tail.loopInsideRadiusM));
  }
  // Along one straight line only lengths matter.
  const isBent = carriers.some(({ path, outline }) => path ?? outline);
  for (const { line, x0M, x1M, offAxisM, item } of off) {
    const half = isBent ? outsideRadius(item.part) : 0;
    const lift = isLifted(line) ? offAxisM : 0;
    const pose = poseOf({ carriers }, line);
    for (const alongM of [x0M, x1M]) {
      hold(pointOn(pose, alongM, lift - half));
      hold(pointOn(pose, alongM, lift + half));
    }
  }
  return box;
}

/** The carrier that this item is threaded on, as it is laid; the first for one that is threaded on none. */
export function laidWith(layout: Layout, item: ItemId): LaidCarrier {
  return layout.carriers.find(({ strand }) => strand.some((entry) => entry.item.id === item)) ?? layout;
}

/** The hooks that trail behind: those a blade could reach. */
export function trailingHooks(layout: Layout): PlacedOff[] {
  return layout.off.filter(({ item, forward: isForward }) => item.part.kind === 'hook' && !isForward);
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

/** The same link hung the other way, forward from the nose. */
function forward(link: PlacedOff): PlacedOff {
  return { ...link, x0M: -link.x1M, x1M: -link.x0M, pivotM: -link.pivotM, forward: true };
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
  const { cutLengthM } = stateOf(item, 'tube');
  if (cutLengthM === null || item.part.kind !== 'shrinkTube') return { x0M, x1M: tubeCoverEnd(tail, tailChain) };
  return { x0M, x1M: x0M + cutLengthM * (1 - item.part.lengthwiseShrink) };
}
