/** Where something turns: blades on a clevis or behind a swivel, films and delta blades threaded on the wire. */
import { DELTA_TIPS_AT } from '../parts/delta-form';
import type { Blade } from '../parts/kinds/blade';
import type { DeltaBlade } from '../parts/kinds/delta-blade';
import type { FilmBlade } from '../parts/kinds/film-blade';
import { filmSpread } from '../hydro/film-blade';
import { stateOf } from '../lure/item-state';
import { carrierRoom } from '../carriers/carrier';
import { FIRST_CARRIER, type Build, type Item } from '../lure/lure';
import { carrierWith } from '../lure/strung';
import { layOut, type Layout } from './layout';
import { isLifted, lineOf, type Line, type PlacedClevis, type PlacedEntry, type Span } from './placed';

/** A blade that turns about a line: hung on a clevis, or behind a swivel. */
export interface SpinSeat {
  readonly item: Item;
  readonly blade: Blade;
  readonly line: Line;
  /** The clevis on the wire that it hangs on; null behind a swivel. */
  readonly clevis: PlacedClevis | null;
  /** The swivel it turns behind; null on a clevis. */
  readonly swivel: Item | null;
  /** The ring it hangs from with nothing beside it but what hangs there too: it may turn about that. */
  readonly ring: Item | null;
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

/** A delta blade threaded on the wire. */
export interface DeltaSeat extends PlacedEntry {
  readonly line: Line;
  readonly blade: DeltaBlade;
  /** Axial place where its tips stand, m. */
  readonly tipsM: number;
}

/** Blades on a clevis or behind a swivel, nose first. @throws Error for a build that structureProblem refuses */
export function spinSeats(build: Build, layout: Layout = layOut(build)): SpinSeat[] {
  const clevises = layout.carriers.flatMap((each) => each.clevises);
  return layout.off
    .flatMap(({ item, line, pivotM, offAxisM }): SpinSeat[] => {
      const hanger = item.part.kind === 'blade' ? hangerAbove(build, item) : null;
      const clevis = clevises.find((each) => each.item.id === hanger?.id) ?? null;
      const swivel = hanger?.part.kind === 'swivel' ? hanger : null;
      const ring = hanger?.part.kind === 'splitRing' ? hanger : null;
      if (item.part.kind !== 'blade' || (!clevis && !swivel && !ring)) return [];
      const dropM = isLifted(line) ? 0 : offAxisM;
      return [{ item, blade: item.part, line, clevis, swivel, ring, holeM: pivotM, dropM }];
    })
    .sort((a, b) => a.holeM - b.holeM);
}

/** Films threaded on a wire, by carrier and nose first. */
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

/** Delta blades threaded on a wire, by carrier and nose first. */
export function deltaSeats({ carriers }: Layout): DeltaSeat[] {
  return carriers.flatMap(({ id, strand }) =>
    strand.flatMap((entry) =>
      entry.item.part.kind === 'deltaBlade'
        ? [
            {
              ...entry,
              line: lineOf(id, 'run'),
              blade: entry.item.part,
              tipsM: deltaTipsM(entry),
            },
          ]
        : [],
    ),
  );
}

/** Where the tips of a delta blade stand that lies from here to there, m. */
export function deltaTipsM({ x0M, x1M }: Span): number {
  return x0M + DELTA_TIPS_AT * (x1M - x0M);
}

/** What an item turns on: the nearest clevis or swivel in the chain that holds it, or a ring free all round. */
export function hangerAbove(build: Build, item: Item): Item | null {
  if (item.part.kind === 'clevis' || item.part.kind === 'swivel') return item;
  if (item.seat.on !== 'item') return null;
  const parent = build.items[item.seat.item];
  if (!parent) return null;
  const isFree = item.part.kind === 'blade' && isFreeRing(build, parent);
  return hangerAbove(build, parent) ?? (isFree ? parent : null);
}

/** A ring, by others or by itself in the eye at a body's tail: nothing there is in the way of what turns. */
function isFreeRing(build: Build, { part, seat }: Item): boolean {
  if (part.kind !== 'splitRing') return false;
  if (seat.on === 'item') {
    const holder = build.items[seat.item];
    return holder !== undefined && isFreeRing(build, holder);
  }
  const on = seat.on === 'end' && seat.end === 'tail' ? carrierWith(build, seat.carrier ?? FIRST_CARRIER) : undefined;
  return on !== undefined && carrierRoom(on.carrier).hasEyes;
}
