/** What turns: blades on a clevis or behind a swivel, films and buzz blades threaded on the wire. */
import { PATTERNS } from '../parts/blade-pattern';
import { DELTA_TIPS_AT } from '../parts/delta-form';
import type { Blade } from '../parts/kinds/blade';
import type { DeltaBlade } from '../parts/kinds/delta-blade';
import type { FilmBlade } from '../parts/kinds/film-blade';
import type { Bearing, SpinBlade } from '../hydro/blade-loads';
import { deltaBearing, deltaSpinBlade, DELTA_COEFFICIENTS } from '../hydro/delta-blade';
import { filmBearing, filmSpinBlade, filmSpread, FILM_COEFFICIENTS } from '../hydro/film-blade';
import { bladeCoefficients, referenceCoefficients, spinBlade, type ReferenceCoefficients } from '../hydro/spin-blade';
import { bearingOf, swivelBearing, type BladeState, type Seated } from './bearing';
import { stateOf } from './item-state';
import { layOut, type Layout } from './layout';
import { outsideRadius } from './outside-radius';
import { laidAlong, lineOf, poseOf, type Line, type PlacedClevis, type PlacedEntry } from './placed';
import { pointOn, type PlanePlace } from './wire-path';
import type { Build, CarrierId, Item, ItemId } from './lure';

/** A blade that turns about a line: hung on a clevis, or behind a swivel. */
export interface SpinSeat {
  readonly item: Item;
  readonly blade: Blade;
  readonly line: Line;
  /** The clevis on the wire that it hangs on; null behind a swivel. */
  readonly clevis: PlacedClevis | null;
  /** The swivel it turns behind; null on a clevis. */
  readonly swivel: Item | null;
  /** Axial place of the blade's hole, m. */
  readonly holeM: number;
  /** Axle to hole, m. */
  readonly dropM: number;
}

/** A film threaded on the wire. */
export interface FilmSeat {
  readonly item: Item;
  readonly line: Line;
  readonly film: FilmBlade;
  /** Axial place of its hub, m. */
  readonly hubM: number;
  readonly spreadRad: number;
}

/** A buzz blade threaded on the wire. */
export interface DeltaSeat extends PlacedEntry {
  readonly line: Line;
  readonly blade: DeltaBlade;
  /** Axial place where its tips stand, m. */
  readonly tipsM: number;
}

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

export function spinSeats(build: Build, layout: Layout = layOut(build)): SpinSeat[] {
  const clevises = layout.carriers.flatMap((each) => each.clevises);
  return layout.off
    .flatMap(({ item, line, pivotM, offAxisM }): SpinSeat[] => {
      const hanger = item.part.kind === 'blade' ? hangerAbove(build, item) : null;
      const clevis = clevises.find((each) => each.item.id === hanger?.id) ?? null;
      const swivel = hanger?.part.kind === 'swivel' ? hanger : null;
      if (item.part.kind !== 'blade' || (!clevis && !swivel)) return [];
      return [{ item, blade: item.part, line, clevis, swivel, holeM: pivotM, dropM: offAxisM }];
    })
    .sort((a, b) => a.holeM - b.holeM);
}

export function filmSeats({ carriers }: Layout): FilmSeat[] {
  return carriers.flatMap(({ id, strand }) =>
    strand.flatMap(({ item, x0M, x1M }) =>
      item.part.kind === 'filmBlade'
        ? [
            {
              item,
              line: lineOf(id, 'run'),
              film: item.part,
              hubM: (x0M + x1M) / 2,
              spreadRad: filmSpread(stateOf(item, 'film').foldRad),
            },
          ]
        : [],
    ),
  );
}

export function deltaSeats({ carriers }: Layout): DeltaSeat[] {
  return carriers.flatMap(({ id, strand }) =>
    strand.flatMap((entry) =>
      entry.item.part.kind === 'deltaBlade'
        ? [
            {
              ...entry,
              line: lineOf(id, 'run'),
              blade: entry.item.part,
              tipsM: entry.x0M + DELTA_TIPS_AT * (entry.x1M - entry.x0M),
            },
          ]
        : [],
    ),
  );
}

function usualSpread({ pattern }: Blade): number {
  return (PATTERNS[pattern].reference.spreadDeg * Math.PI) / 180;
}

/** A part that turns, as the spin model takes it wherever it sits. */
export interface Turner {
  readonly nominal: ReferenceCoefficients;
  /** The blade under these coefficients. */
  readonly blade: (coefficients: ReferenceCoefficients) => SpinBlade;
  /** How far from its hole or its axle it meets another blade's wake, m. */
  readonly reachesM: number;
}

export function hungTurner(blade: Blade, waterDensityKgM3: number): Turner {
  const nominal = referenceCoefficients(blade.pattern);
  const prepared = spinBlade(blade, waterDensityKgM3, nominal);
  return {
    nominal,
    blade: (coefficients) => ({ ...prepared, coefficients: bladeCoefficients(blade, coefficients) }),
    reachesM: DRIVEN_AT * prepared.reachM * Math.sin(usualSpread(blade)),
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

export function filmTurner(film: FilmBlade, foldRad: number, waterDensityKgM3: number): Turner {
  return threadedTurner(filmSpinBlade(film, foldRad, waterDensityKgM3), FILM_COEFFICIENTS);
}

export function deltaTurner(blade: DeltaBlade, waterDensityKgM3: number): Turner {
  return threadedTurner(deltaSpinBlade(blade, waterDensityKgM3), DELTA_COEFFICIENTS);
}

/** What of a film or a buzz blade sits on the wire. */
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
  const hung = spinSeats(build, layout).map((seat): Spinner => {
    const turner = hungTurner(seat.blade, waterDensityKgM3);
    return spinner(seat.item, seat.line, seat.holeM, seat.dropM, turner, seatBearing(layout, seat, state));
  });
  const onWire = ({ id, part }: Item, blade: FilmBlade | DeltaBlade) =>
    bearingOf(layout, { item: id, part, ...threadedSeat(blade) }, state === 'crossedClevis' ? 'clean' : state);
  const films = filmSeats(layout).map(({ item, line, film, hubM }): Spinner => {
    const turner = filmTurner(film, stateOf(item, 'film').foldRad, waterDensityKgM3);
    return spinner(item, line, hubM, 0, turner, filmBearing(onWire(item, film)));
  });
  const deltas = deltaSeats(layout).map(({ item, line, blade, tipsM }): Spinner => {
    const turner = deltaTurner(blade, waterDensityKgM3);
    return spinner(item, line, tipsM, 0, turner, deltaBearing(onWire(item, blade)));
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

function placedOn(layout: Layout, line: Line, alongM: number): Pick<Spinner, 'carrier' | 'behind' | 'placeM' | 'at'> {
  const { id, behind, fromM } = laidAlong(layout, line);
  return { carrier: id, behind, placeM: fromM + alongM, at: pointOn(poseOf(layout, line), alongM) };
}

function clevisBlades(build: Build, layout: Layout): ItemId[] {
  return spinSeats(build, layout).flatMap(({ item, clevis }) => (clevis ? [item.id] : []));
}

function seatBearing(layout: Layout, { clevis, swivel, dropM }: SpinSeat, state: BladeState): Bearing {
  if (swivel) return swivelBearing(swivel, state);
  if (!clevis) throw new Error('seatBearing: a blade turns on a clevis or behind a swivel');
  return bearingOf(
    layout,
    {
      item: clevis.item.id,
      part: clevis.clevis,
      dropM,
      boreM: clevis.clevis.boreM,
      legRadiusM: outsideRadius(clevis.clevis),
    },
    state,
  );
}

/** The nearest clevis or swivel in the chain that holds this item. */
function hangerAbove(build: Build, item: Item): Item | null {
  if (item.part.kind === 'clevis' || item.part.kind === 'swivel') return item;
  if (item.seat.on !== 'item') return null;
  const parent = build.items[item.seat.item];
  return parent ? hangerAbove(build, parent) : null;
}
