/** What turns, as the spin model takes it, in its place and on its bearing. */
import { usualSpreadRad } from '../parts/blade-pattern';
import type { Blade } from '../parts/kinds/blade';
import type { DeltaBlade } from '../parts/kinds/delta-blade';
import type { FilmBlade } from '../parts/kinds/film-blade';
import type { PartOf } from '../parts/part';
import type { Bearing, SpinBlade } from '../hydro/blade-loads';
import { deltaBearing, deltaSpinBlade, DELTA_COEFFICIENTS } from '../hydro/delta-blade';
import { filmBearing, filmSpinBlade, FILM_COEFFICIENTS } from '../hydro/film-blade';
import { bladeCoefficients, referenceCoefficients, spinBlade, type ReferenceCoefficients } from '../hydro/spin-blade';
import { headDragNm } from './arm';
import { bearingOf, ringBearing, swivelBearing, type BladeState, type Seated } from './bearing';
import { stateOf } from '../lure/item-state';
import { headTouch } from '../geometry/blade-on-head';
import { nailFor, nailMeets, type KnockMeet } from '../geometry/knocker';
import { HELD_TORQUE_NM, knockTorque } from '../hydro/knock';
import { layOut, type Layout } from '../geometry/layout';
import { outsideRadius } from '../geometry/outside-radius';
import { laidAlong, poseOf, type Line } from '../geometry/placed';
import { deltaSeats, filmSeats, spinSeats, type SpinSeat } from '../geometry/seats';
import { pointOn, type PlanePlace } from '../carriers/wire-path';
import type { Build, CarrierId, Item, ItemId } from '../lure/lure';

/** Anything that turns, as the spin model takes it. */
export interface Spinner {
  readonly station: ItemId;
  readonly carrier: CarrierId;
  /** The carriers that its own hangs on, one above the other, the nearest first. */
  readonly behind: readonly CarrierId[];
  /** Its place on the way from the first carrier's nose along all that it hangs on, m. */
  readonly placeM: number;
  /** Where it turns in the plane of the lure, m. */
  readonly at: PlanePlace;
  /** Radius at which it meets another blade's wake, m. */
  readonly meetsWakeAtM: number;
  readonly nominal: ReferenceCoefficients;
  readonly bearing: Bearing;
  /** The blade under these coefficients. */
  readonly blade: (coefficients: ReferenceCoefficients) => SpinBlade;
}

/** Share of a blade's reach at which it meets the water it is driven by. Trade estimate. */
export const DRIVEN_AT = 0.65;

/** A part that turns, as the spin model takes it wherever it sits. */
export interface Turner {
  readonly nominal: ReferenceCoefficients;
  /** The blade under these coefficients. */
  readonly blade: (coefficients: ReferenceCoefficients) => SpinBlade;
  /** How far from its hole or its axle it meets another blade's wake, m. */
  readonly reachesM: number;
}

/** A blade that hangs by its hole. @param waterDensityKgM3 kg/m³ */
export function hungTurner(blade: Blade, waterDensityKgM3: number): Turner {
  const nominal = referenceCoefficients(blade.pattern);
  const prepared = spinBlade(blade, waterDensityKgM3, nominal);
  return {
    nominal,
    blade: (coefficients) => ({ ...prepared, coefficients: bladeCoefficients(blade, coefficients) }),
    reachesM: DRIVEN_AT * prepared.reachM * Math.sin(usualSpreadRad(blade.pattern)),
  };
}

/** Threaded through its middle, its lobes fixed: how it turns hangs on no coefficient of a hanging blade. */
function threadedTurner(prepared: SpinBlade, nominal: ReferenceCoefficients): Turner {
  return {
    nominal,
    blade: (coefficients) => ({ ...prepared, coefficients }),
    reachesM: DRIVEN_AT * prepared.reachM * Math.sin(prepared.fixedSpreadRad ?? Math.PI / 2),
  };
}

/** A film on a wire. @param foldRad 0 open flat; @param waterDensityKgM3 kg/m³ */
export function filmTurner(film: FilmBlade, foldRad: number, waterDensityKgM3: number): Turner {
  return threadedTurner(filmSpinBlade(film, foldRad, waterDensityKgM3), FILM_COEFFICIENTS);
}

/** A delta blade on a wire. @param waterDensityKgM3 kg/m³ */
export function deltaTurner(blade: DeltaBlade, waterDensityKgM3: number): Turner {
  return threadedTurner(deltaSpinBlade(blade, waterDensityKgM3), DELTA_COEFFICIENTS);
}

/** What of a clevis sits on the wire. @param dropM from the axle to the hole of what hangs on it */
export function clevisSeat(clevis: PartOf<'clevis'>, dropM: number): Omit<Seated, 'item'> {
  return { part: clevis, dropM, boreM: clevis.boreM, legRadiusM: outsideRadius(clevis) };
}

/** What of a film or a delta blade sits on the wire. */
export function threadedSeat({ boreM }: FilmBlade | DeltaBlade): Pick<Seated, 'dropM' | 'boreM' | 'legRadiusM'> {
  return { dropM: 0, boreM, legRadiusM: boreM / 2 + 0.001 };
}

/** All that turns on the wire, nose first. */
export function spinners(
  build: Build,
  waterDensityKgM3: number,
  state: BladeState = 'clean',
  layout: Layout = layOut(build),
): Spinner[] {
  const spinner = (item: Item, line: Line, alongM: number, dropM: number, turner: Turner, bearing: Bearing) => ({
    station: item.id,
    ...placedOn(layout, line, alongM),
    meetsWakeAtM: dropM + turner.reachesM,
    nominal: turner.nominal,
    bearing,
    blade: turner.blade,
  });
  const seats = spinSeats(build, layout);
  const meets = nailMeets(build, layout, seats);
  const hung = seats.map((seat): Spinner => {
    const turner = hungTurner(seat.blade, waterDensityKgM3);
    const bearing = knockedBearing(seatBearing(layout, seat, state), seat.blade, nailFor(meets, seat.item.id));
    return spinner(seat.item, seat.line, seat.holeM, seat.dropM, turner, bearing);
  });
  const onWire = ({ id, part }: Item, blade: FilmBlade | DeltaBlade) =>
    bearingOf(layout, { item: id, part, ...threadedSeat(blade) }, state === 'crossedClevis' ? 'clean' : state);
  const films = filmSeats(layout).map(({ item, line, film, hubM }): Spinner => {
    const turner = filmTurner(film, stateOf(item, 'film').foldRad, waterDensityKgM3);
    return spinner(item, line, hubM, 0, turner, filmBearing(onWire(item, film)));
  });
  const deltas = deltaSeats(layout).map((seat): Spinner => {
    const { item, line, blade, tipsM } = seat;
    const turner = deltaTurner(blade, waterDensityKgM3);
    const met = headTouch(layout, seat);
    const dragNm = met ? headDragNm(laidAlong(layout, line).carrier, blade, met.clearanceM) : 0;
    return spinner(item, line, tipsM, 0, turner, deltaBearing(onWire(item, blade), dragNm));
  });
  const all = [...hung, ...films, ...deltas].sort((a, b) => a.placeM - b.placeM);
  if (state !== 'collapsedGap') return all;
  // All on a wire have come up against the first on it.
  const strung = new Set([
    ...layout.carriers.flatMap(({ strand }) => strand.map(({ item }) => item.id)),
    ...clevisBlades(build, layout),
  ]);
  const foremost = (carrier: CarrierId) => all.find((each) => strung.has(each.station) && each.carrier === carrier);
  return all.map((each) =>
    strung.has(each.station) ? { ...each, placeM: foremost(each.carrier)?.placeM ?? each.placeM } : each,
  );
}

/** A blade that knocks on a nail has less to turn with, one that a nail holds does not turn. */
export function knockedBearing(bearing: Bearing, blade: Blade, met: KnockMeet | null): Bearing {
  if (!met || met.knock === 'misses') return bearing;
  const torqueNm =
    met.knock === 'jams' ? HELD_TORQUE_NM : knockTorque(blade, { ...met, inM: -met.gapM, fallM: met.mostM });
  return { ...bearing, steadyTorqueNm: bearing.steadyTorqueNm + torqueNm };
}

function placedOn(layout: Layout, line: Line, alongM: number): Pick<Spinner, 'carrier' | 'behind' | 'placeM' | 'at'> {
  const { id, behind, fromM } = laidAlong(layout, line);
  return { carrier: id, behind, placeM: fromM + alongM, at: pointOn(poseOf(layout, line), alongM) };
}

function clevisBlades(build: Build, layout: Layout): ItemId[] {
  return spinSeats(build, layout).flatMap(({ item, clevis }) => (clevis ? [item.id] : []));
}

function seatBearing(layout: Layout, { clevis, swivel, ring, dropM }: SpinSeat, state: BladeState): Bearing {
  if (ring?.part.kind === 'splitRing') return ringBearing(ring.part, state);
  if (swivel) return swivelBearing(swivel, state);
  if (!clevis) throw new Error('seatBearing: a blade turns on a clevis, behind a swivel or on a free ring');
  return bearingOf(layout, { item: clevis.item.id, ...clevisSeat(clevis.clevis, dropM) }, state);
}
