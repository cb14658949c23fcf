/**
 * A lure as bodies in the water: where each has its mass, the water it displaces and the drag it makes. Blades that turn
 * are not among the drags: how they pull is for the spin model, which gives their drag at their own places.
 *
 * Areas: `axialM2` is drag area with the flow along the lure, `sideM2` with the flow across it, `slopeM2` how the force
 * across grows with a small angle to the flow (slender bodies: twice their base, Munk). Coefficients are trade estimates
 * unless a source is named.
 */
import { TURNING_AREAS, type Areas, type Plate } from '../parts/kinds/room';
import type { Trailer } from '../parts/kinds/trailer';
import { roomOf } from '../parts/part';
import { carrierRoom } from '../carriers/carrier';
import { stateOf } from '../lure/item-state';
import type { LaidCarrier, Layout } from '../geometry/layout';
import { carrierCut, cutLengths, type CutLength } from '../lengths/lengths';
import { childrenOf, FIRST_CARRIER, type Build, type CarrierId, type Item, type ItemId } from '../lure/lure';
import { itemMass, staysInLure } from '../lengths/mass';
import { isLifted, laidAlong, lineKind, lineOf, poseOf, type Line, type LineKind } from '../geometry/placed';
import { deltaSeats, filmSeats, spinSeats } from '../geometry/seats';
import { pointOn, type WirePath } from '../carriers/wire-path';

/** Of its areas, strands lie down as it goes faster; see hydro/trim.ts. `plate`: the lip of a body. */
export interface Body extends Areas {
  readonly plate?: Plate;
  /** `wire` is the first carrier's. */
  readonly of: ItemId | CarrierId | 'wire';
  readonly massKg: number;
  readonly volumeM3: number;
  /** Middle of it in the plane of the lure, x to the tail and y up, and how far beside that plane, m. */
  readonly xM: number;
  readonly yM: number;
  readonly zM: number;
}

/** Every part and every piece of wire as a body: kg, m³, m², and where its middle lies, m. */
export function bodiesOf(build: Build, layout: Layout): Body[] {
  const cuts = cutLengths(build, layout);
  const turning = new Set(
    [...spinSeats(build, layout), ...filmSeats(layout), ...deltaSeats(layout)].map(({ item }) => item.id),
  );
  const strung = layout.carriers.flatMap(({ id, strand }) =>
    strand.flatMap(({ item, leg, x0M, x1M }) =>
      // A snelled hook is among what hangs.
      leg === 'aft' || item.part.kind === 'hook'
        ? []
        : [bodyAt(build, layout, cuts, item, lineOf(id, 'run'), (x0M + x1M) / 2, 0, x1M - x0M, turning)],
    ),
  );
  // Strips hang with their band: their mass lies along their strands.
  const off = layout.off.map(({ item, line, x0M, x1M, offAxisM }) => {
    const { part } = item;
    const middleM = part.kind === 'skirtLayer' ? x0M + STRIP_MIDDLE * part.lengthM : (x0M + x1M) / 2;
    return bodyAt(build, layout, cuts, item, line, middleM, offAxisM, x1M - x0M, turning);
  });
  return [...strung, ...off, ...layout.carriers.flatMap(carrierBodies)];
}

/** Where the middle of a strip's mass lies behind its band, of its length. Trade estimate. */
export const STRIP_MIDDLE = 0.25;

function bodyAt(
  build: Build,
  layout: Layout,
  cuts: readonly CutLength[],
  item: Item,
  line: Line,
  alongM: number,
  upM: number,
  lengthM: number,
  turning: ReadonlySet<ItemId>,
): Body {
  const { part, state, flipped } = item;
  const room = roomOf(part);
  const { xM, yM } = pointOn(
    poseOf(layout, line),
    alongM,
    isLifted(line) ? upM + (room.middleUpM?.(part, state, holderOf(build, item)) ?? 0) : 0,
  );
  const massKg = itemMass(item, cuts);
  return {
    of: item.id,
    massKg,
    volumeM3: room.displacedM3(part, massKg),
    xM,
    yM,
    zM: sideOf(layout, item, line, alongM),
    ...(turning.has(item.id)
      ? TURNING_AREAS
      : room.areas(part, { state, flipped, lengthM, held: childrenOf(build, item.id).map((child) => child.part) })),
  };
}

function holderOf({ items }: Build, { seat }: Item) {
  return seat.on === 'item' ? (items[seat.item]?.part ?? null) : null;
}

/** How far beside the plane of the lure this sits: on an arm bent sideways, at the tail of a crooked trailer. */
function sideOf(layout: Layout, item: Item, line: Line, alongM: number): number {
  if (item.part.kind === 'trailer') {
    return crookedBy(item.part, stateOf(item, 'trailer').crookedRad);
  }
  const { path, shaft } = laidAlong(layout, line);
  return besidePath(path, lineKind(line), alongM, shaft.x1M);
}

/** How far aside the middle of a trailer lies that is pushed on crooked, m. */
export function crookedBy({ lengthM }: Trailer, crookedRad: number): number {
  return (lengthM / 2) * Math.sin(crookedRad);
}

/** How far beside the plane of the lure a place along a line is, m. @param shaftM to the end of the carrier's shaft */
export function besidePath(path: WirePath | null, kind: LineKind, alongM: number, shaftM: number): number {
  if (!path || (kind !== 'run' && kind !== 'trail')) return 0;
  const { armStartZM, armEndZM } = path;
  const share = kind === 'run' ? Math.min(1, alongM / Math.max(shaftM, 1e-6)) : 1;
  return armStartZM + (armEndZM - armStartZM) * share;
}

/** A carrier's own mass and drag: as one piece when it is straight, section by section when it is bent, of a body its lip too. */
export function carrierBodies(
  laid: Pick<
    LaidCarrier,
    'id' | 'carrier' | 'lines' | 'path' | 'pulledAt' | 'outline' | 'nose' | 'tail' | 'stackM' | 'snells'
  >,
): Body[] {
  const { id, carrier, nose, tail } = laid;
  const terms = carrierCut(laid).terms.filter(staysInLure);
  const run = { ...laid, noseM: nose.x0M, tailM: tail.x1M, noseLoopRadiusM: nose.loopInsideRadiusM };
  return carrierRoom(carrier)
    .pieces(carrier, run, terms)
    .map((piece): Body => ({ of: id === FIRST_CARRIER ? 'wire' : id, ...piece }));
}
