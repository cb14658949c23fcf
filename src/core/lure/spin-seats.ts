/** What turns about the wire: blades whose chain leads to a clevis on it, and films threaded through their middle. */
import type { Blade, FilmBlade } from '../parts/part';
import type { Bearing, SpinBlade } from '../hydro/spin';
import { filmBearing, filmSpinBlade, filmSpread, FILM_COEFFICIENTS } from '../hydro/film-blade';
import { bladeCoefficients, referenceCoefficients, spinBlade, type ReferenceCoefficients } from '../hydro/spin-blade';
import { bearingOf, type BladeState } from './bearing';
import { layOut, outsideRadius, type Layout, type PlacedClevis } from './layout';
import type { Build, Item, ItemId } from './lure';

/** A blade hung on a clevis. */
export interface SpinSeat {
  readonly item: Item;
  readonly blade: Blade;
  readonly clevis: PlacedClevis;
  /** Axial place of the blade's hole, m. */
  readonly holeM: number;
  /** Axle to hole, m. */
  readonly dropM: number;
}

/** A film threaded on the wire. */
export interface FilmSeat {
  readonly item: Item;
  readonly film: FilmBlade;
  /** Axial place of its hub, m. */
  readonly hubM: number;
  readonly spreadRad: number;
}

/** Anything that turns, as the spin model takes it. */
export interface Spinner {
  readonly station: ItemId;
  readonly placeM: number;
  /** Radius at which it meets another blade's wake, m. */
  readonly meetsWakeAtM: number;
  readonly nominal: ReferenceCoefficients;
  readonly bearing: Bearing;
  /** The blade under these coefficients. */
  readonly blade: (coefficients: ReferenceCoefficients) => SpinBlade;
}

/** Share of a blade's reach at which it meets the water it is driven by. Trade estimate. */
const DRIVEN_AT = 0.65;

export function spinSeats(build: Build, layout: Layout = layOut(build)): SpinSeat[] {
  return layout.off
    .flatMap(({ item, pivotM, offAxisM }) => {
      const clevisId = clevisAbove(build, item);
      const clevis = layout.clevises.find((each) => each.item.id === clevisId);
      if (item.part.kind !== 'blade' || !clevis) return [];
      return [{ item, blade: item.part, clevis, holeM: pivotM, dropM: offAxisM }];
    })
    .sort((a, b) => a.holeM - b.holeM);
}

export function filmSeats(layout: Layout): FilmSeat[] {
  return layout.strand.flatMap(({ item, x0M, x1M }) =>
    item.part.kind === 'filmBlade'
      ? [{ item, film: item.part, hubM: (x0M + x1M) / 2, spreadRad: filmSpread(item.foldRad ?? 0) }]
      : [],
  );
}

/** All that turns on the wire, nose first. */
export function spinners(
  build: Build,
  waterDensityKgM3: number,
  state: BladeState = 'clean',
  layout: Layout = layOut(build),
): Spinner[] {
  const hung = spinSeats(build, layout).map((seat): Spinner => {
    const { blade, clevis, dropM, item, holeM } = seat;
    const nominal = referenceCoefficients(blade.pattern);
    const prepared = spinBlade(blade, waterDensityKgM3, nominal);
    return {
      station: item.id,
      placeM: holeM,
      meetsWakeAtM: dropM + DRIVEN_AT * prepared.reachM,
      nominal,
      bearing: bearingOf(
        layout,
        {
          item: clevis.item.id,
          part: clevis.clevis,
          dropM,
          boreM: clevis.clevis.boreM,
          legRadiusM: outsideRadius(clevis.clevis),
        },
        state,
      ),
      blade: (coefficients) => ({ ...prepared, coefficients: bladeCoefficients(blade, coefficients) }),
    };
  });
  const films = filmSeats(layout).map(({ item, film, hubM }): Spinner => {
    const prepared = filmSpinBlade(film, item.foldRad ?? 0, waterDensityKgM3);
    const seated = { item: item.id, part: film, dropM: 0, boreM: film.boreM, legRadiusM: film.boreM / 2 + 0.001 };
    return {
      station: item.id,
      placeM: hubM,
      meetsWakeAtM: DRIVEN_AT * prepared.reachM,
      nominal: FILM_COEFFICIENTS,
      bearing: filmBearing(bearingOf(layout, seated, state === 'weed' ? 'weed' : 'clean')),
      blade: (coefficients) => ({ ...prepared, coefficients }),
    };
  });
  return [...hung, ...films].sort((a, b) => a.placeM - b.placeM);
}

function clevisAbove(build: Build, item: Item): ItemId | null {
  if (item.part.kind === 'clevis') return item.id;
  if (item.seat.on !== 'item') return null;
  const parent = build.items[item.seat.item];
  return parent ? clevisAbove(build, parent) : null;
}
