/** What each of many parts would do in a place: for choosing between them, so the coefficients stand as they are, no spread. */
import type { Water } from '../hydro/water';
import type { Part } from '../parts/part';
import { nominalSpin } from '../predict/spin';
import { restClearance } from './clearance';
import { applyEdits } from './edit';
import { layOut, trailingHooks } from './layout';
import type { ItemId, Lure } from './lure';
import { lureMass } from './mass';
import { placementEdits, type Placement } from './placement';
import { spinSeats } from './spin-seats';

export interface Effect {
  /** Of the blade in this place, else of the first that turns; null when none does. */
  readonly rateHz: number | null;
  readonly dragN: number | null;
  /** Of the whole lure. */
  readonly massKg: number;
  /** The least any blade keeps from a hook, lying back; null without both. */
  readonly clearanceM: number | null;
}

/** One effect per part, in order; null where the part cannot go there at all. */
export function weigh(
  lure: Lure,
  placement: Placement,
  parts: readonly Part[],
  water: Water,
  speedMps: number,
): (Effect | null)[] {
  const station = placement.put === 'swap' ? placement.item : null;
  return parts.map((part) => {
    const applied = applyEdits(lure, placementEdits(lure.build, placement, part));
    return applied.ok ? effectOf(applied.lure, station, water, speedMps) : null;
  });
}

/** What the lure does as it stands. */
export function effectOf(lure: Lure, station: ItemId | null, water: Water, speedMps: number): Effect {
  const { build } = lure;
  const layout = layOut(build);
  const hooks = trailingHooks(layout);
  const clearances = spinSeats(build, layout).flatMap((seat) =>
    hooks.map((hook) => restClearance(layout, seat, hook).clearanceM),
  );
  const spun = nominalSpin(build, water, [speedMps]);
  const own = spun.find((each) => each.station === station) ?? spun[0];
  const outcome = own?.outcomes[0];
  return {
    rateHz: outcome?.outcome === 'turning' ? outcome.rateHz : null,
    dragN: outcome?.outcome === 'turning' ? outcome.dragN : null,
    massKg: lureMass(build),
    clearanceM: clearances.length > 0 ? Math.min(...clearances) : null,
  };
}
