/**
 * A nail weight that stands out of a soft body's belly, and the blade that turns below it. Once a turn the blade's back comes
 * by under the nail. At its station s from the hole the back stands r₀ + s sin β + h cos β from the axle, h the depth of the
 * hollow there; towards its edges it falls away by h. A nail whose end is further off is missed; one that reaches in by less
 * than the back falls away is run up on and knocked; deeper, the edge meets it square and the blade is held.
 */
import { pointOn, type PlanePlace, type Pose } from '../carriers/wire-path';
import { stateOf } from '../lure/item-state';
import type { Build, Item } from '../lure/lure';
import { PATTERNS, usualSpreadRad } from '../parts/blade-pattern';
import type { Blade } from '../parts/kinds/blade';
import { nailLengthM, type NailState, type NailWeight } from '../parts/kinds/nail-weight';
import { bladeReach, chordRatio, hollowDepth } from '../parts/outline';
import type { Trailer } from '../parts/kinds/trailer';
import { softHalfM } from '../parts/soft-form';
import type { Layout } from './layout';
import { poseOf, type Span } from './placed';
import type { SpinSeat } from './seats';

/** What a blade does at a nail. */
export type Knock = 'misses' | 'knocks' | 'jams';

export interface KnockMeet {
  readonly knock: Knock;
  /** From the nail's end to the blade's back as it comes by, m; below zero by how far it reaches in. */
  readonly gapM: number;
  /** How far it may reach in before it holds the blade, m. */
  readonly mostM: number;
  /** Where along the blade it meets, m from the hole, and how far that is behind its widest. */
  readonly atM: number;
  readonly behindWidestM: number;
  /** Radius at which the two meet, m, and the width of the blade there. */
  readonly radiusM: number;
  readonly chordM: number;
}

/** A nail and the blade it may meet. */
export interface NailMeet extends KnockMeet {
  readonly nail: Item;
  readonly seat: SpinSeat;
  /** Where the nail ends, in the plane of the lure. */
  readonly end: PlanePlace;
}

/** Of the fall of the back towards its edge, what a nail may reach in: what is left is play in eye and ring. Trade estimate. */
const PASSES_SHARE = 0.8;
/** Even a flat blade gives way so far. Trade estimate. */
const LEAST_MOST_M = 0.0003;

/**
 * Where the end of a nail stands that lies from here to there along the axis of a soft body.
 * @param offAxisM of the body's axis, m
 */
export function nailEnd(
  part: NailWeight,
  state: NailState,
  body: Trailer,
  pose: Pose,
  { x0M, x1M }: Span,
  offAxisM: number,
): PlanePlace {
  const skinOffM = offAxisM - softHalfM(body, state.atM);
  const [sin, cos] = [Math.sin(state.leanRad), Math.cos(state.leanRad)];
  const inAtM = (x0M + x1M) / 2 - (nailLengthM(part, state) / 2 - state.outM) * sin;
  return pointOn(pose, inAtM - state.outM * sin, skinOffM - state.outM * cos);
}

/** What a blade on this axle does at a nail that ends here. @param holeM along the axle; @param dropM axle to hole */
export function meetNail(blade: Blade, axle: Pose, holeM: number, dropM: number, end: PlanePlace): KnockMeet | null {
  const spreadRad = usualSpreadRad(blade.pattern);
  const [sin, cos] = [Math.sin(spreadRad), Math.cos(spreadRad)];
  const [dx, dy] = [end.xM - axle.xM, end.yM - axle.yM];
  const alongM = dx * Math.cos(axle.angleRad) + dy * Math.sin(axle.angleRad);
  const offM = Math.abs(dy * Math.cos(axle.angleRad) - dx * Math.sin(axle.angleRad));
  const atM = (alongM - holeM) / cos;
  if (atM <= 0 || atM >= bladeReach(blade)) return null;
  const { outline } = PATTERNS[blade.pattern];
  const station = (atM + blade.holeOffsetM) / blade.lengthM;
  const depthM = hollowDepth(blade.cupDepthM, station, 0);
  const radiusM = dropM + atM * sin + depthM * cos;
  const gapM = offM - radiusM;
  const mostM = Math.max(PASSES_SHARE * depthM, LEAST_MOST_M);
  return {
    knock: gapM > 0 ? 'misses' : -gapM > mostM ? 'jams' : 'knocks',
    gapM,
    mostM,
    atM,
    behindWidestM: atM - (outline.widestAt * blade.lengthM - blade.holeOffsetM),
    radiusM,
    chordM: chordRatio(outline, station) * blade.widthM,
  };
}

/** A nail in its soft body, as it lies. */
export interface PlacedNail {
  readonly nail: Item;
  readonly part: NailWeight;
  readonly state: NailState;
  /** Where it ends, in the plane of the lure, and which way it stands out there. */
  readonly end: PlanePlace;
  readonly outRad: number;
  /** Its other end, in the body. */
  readonly tip: PlanePlace;
}

/** Every nail of a lure, nose first. */
export function nailsOf({ items }: Pick<Build, 'items'>, layout: Layout): PlacedNail[] {
  return layout.off.flatMap((placed): PlacedNail[] => {
    const { part, seat: sits } = placed.item;
    const body = sits.on === 'item' ? items[sits.item]?.part : undefined;
    if (part.kind !== 'nailWeight' || body?.kind !== 'trailer') return [];
    const state = stateOf(placed.item, 'nail');
    const pose = poseOf(layout, placed.line);
    const end = nailEnd(part, state, body, pose, placed, placed.offAxisM);
    const outRad = pose.angleRad - Math.PI / 2 - state.leanRad;
    const longM = nailLengthM(part, state);
    const tip = { xM: end.xM - longM * Math.cos(outRad), yM: end.yM - longM * Math.sin(outRad) };
    return [{ nail: placed.item, part, state, end, outRad, tip }];
  });
}

/** Every nail of a lure with the blade it may meet, nose first. */
export function nailMeets(build: Pick<Build, 'items'>, layout: Layout, seats: readonly SpinSeat[]): NailMeet[] {
  return nailsOf(build, layout).flatMap(({ nail, end }) =>
    seats.flatMap((seat): NailMeet[] => {
      const met = seat.swivel ? meetNail(seat.blade, poseOf(layout, seat.line), seat.holeM, seat.dropM, end) : null;
      return met ? [{ ...met, nail, seat, end }] : [];
    }),
  );
}

/** The nail that bears on a blade most: one that holds it, else one it knocks on; null where none does. */
export function nailFor(meets: readonly NailMeet[], station: Item['id']): NailMeet | null {
  const own = meets.filter(({ seat, knock }) => seat.item.id === station && knock !== 'misses');
  return own.find(({ knock }) => knock === 'jams') ?? own[0] ?? null;
}
