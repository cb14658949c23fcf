/** What hangs on ends, skins, hooks and clevises, with what each holds in turn: where each bears, along its line. */
import { carrierRoom, type Carrier } from '../carriers/carrier';
import { childrenOf, spotOf, type Build, type CarrierId, type Holder, type Item } from '../lure/lure';
import type { Along, Bearing, How } from '../parts/kinds/room';
import { roomOf } from '../parts/part';
import { lineKind, type Line, type PlacedClevis, type PlacedEntry, type PlacedOff, type Snelled } from './placed';

/** On the line itself, covered by nothing. */
export const AT_AXIS: Bearing = { alongM: 0, offAxisM: 0, coveredToM: null, roomM: 0 };

/** All that sits on an end of the wire or its tie, with what each holds in turn. */
export function hangAll(build: Build, parent: Holder, at: Bearing, line: Line): PlacedOff[] {
  return childrenOf(build, parent).flatMap((item) =>
    seatOn(build, item, item.part.kind === 'head' ? 'moulded' : 'hung', at, line, parent),
  );
}

/** What is screwed into a body, with what each holds in turn. */
export function hangInBody(build: Build, id: CarrierId, carrier: Carrier, line: Line): PlacedOff[] {
  const { skinM } = carrierRoom(carrier);
  const spot = spotOf(id, 'body');
  return childrenOf(build, spot).flatMap((item) =>
    skinM && item.seat.on === 'body'
      ? seatOn(
          build,
          item,
          'screwed',
          skinBearing(item.seat, skinM(carrier, item.seat.atM, item.seat.side)),
          line,
          spot,
        )
      : [],
  );
}

/** Where something bears that is screwed in here. @param offAxisM of the skin there */
export function skinBearing({ atM }: { readonly atM: number }, offAxisM: number): Bearing {
  return { ...AT_AXIS, alongM: atM, offAxisM };
}

/** An item where it bears, and all that it holds. */
function seatOn(build: Build, item: Item, how: How, at: Bearing, line: Line, parent: Holder): PlacedOff[] {
  const { part, state } = item;
  const sits = roomOf(part).sits[how];
  if (!sits) throw new Error(`layOut: a ${part.kind} cannot be ${how}; structureProblem should have refused it`);
  const lies = sits.lies(part, at, state);
  const pivotM = lineKind(line) === 'head' ? lies.x0M : at.alongM;
  const own: PlacedOff = { item, parent, how, line, ...lies, pivotM, offAxisM: at.offAxisM, forward: false };
  return [own, ...heldBy(build, item, lies, at, line)];
}

function heldBy(build: Build, item: Item, lies: Along, at: Bearing, line: Line): PlacedOff[] {
  const { holds } = roomOf(item.part);
  return childrenOf(build, item.id).flatMap((child) => {
    const how = child.seat.on === 'item' ? child.seat.how : 'hung';
    const holding = holds[how];
    return holding ? seatOn(build, child, how, holding.bearing(item.part, lies, at), line, item.id) : [];
  });
}

/** A hook on the line that goes through its eye, with what it holds. */
function snelledOn(build: Build, { item, x0M }: PlacedEntry, line: Line): PlacedOff[] {
  if (item.part.kind !== 'hook') return [];
  const at = { ...AT_AXIS, alongM: x0M };
  const lies = { x0M, x1M: x0M + item.part.lengthM };
  const own: PlacedOff = {
    item,
    parent: null,
    how: 'snelled',
    line,
    ...lies,
    pivotM: x0M,
    offAxisM: 0,
    forward: false,
  };
  return [own, ...heldBy(build, item, lies, at, line)];
}

/** The snells on a strand. */
export function snellsOn(strung: readonly Pick<Item, 'part' | 'state'>[]): Snelled[] {
  return strung.flatMap(({ part, state }) =>
    part.kind === 'hook' && state?.of === 'hook' && state.snell
      ? [{ wraps: state.snell.wraps, shankM: part.wireDiameterM }]
      : [],
  );
}

/** What hangs on a clevis or is slid over a sleeve. */
export function heldOnWire(
  build: Build,
  entry: PlacedEntry,
  clevises: readonly PlacedClevis[],
  run: Line,
): PlacedOff[] {
  if (entry.leg === 'aft') return [];
  if (entry.item.part.kind === 'hook') return snelledOn(build, entry, run);
  const clevis = clevises.find(({ item }) => item.id === entry.item.id);
  const lies = clevis ? { x0M: clevis.foreM, x1M: clevis.aftM } : entry;
  return heldBy(build, entry.item, lies, AT_AXIS, run);
}
