/** What each of many parts would do in a place: for choosing between them, so the coefficients stand as they are, no spread. */
import { USUAL_OUTFIT } from '../hydro/outfit';
import { waterViscosity, type Water } from '../hydro/water';
import { restClearance } from '../geometry/clearance';
import { applyEdits } from '../lure/edit';
import { layOut, trailingHooks } from '../geometry/layout';
import type { Build, ItemId, Lure } from '../lure/lure';
import { itemPut, placementEdits, type Placement } from '../fits/placement';
import { spinSeats } from '../geometry/seats';
import type { Part } from '../parts/part';
import { lureInWater } from '../predict/lure-in-water';
import { soundAsEstimated, USUAL_SOUND, wholeFigures } from '../predict/sound';
import type { Figures } from './figures';
import { prepare } from './prepared';

export interface Effect {
  /** Of the blade in this place, else of the first that turns; null when none does. */
  readonly rateHz: number | null;
  readonly dragN: number | null;
  /** Of the whole lure. */
  readonly massKg: number;
  /** The least any blade keeps from a hook, lying back; null without both. */
  readonly clearanceM: number | null;
  /** How loud the lure is, drawn steadily, beside the reference spinner; null where that cannot be said. */
  readonly levelDb: number | null;
}

/** Effects of many parts, in their order, as columns that pass from a worker without being copied. */
export interface Effects {
  /** 1 where the part can go there at all. */
  readonly goes: Uint8Array<ArrayBuffer>;
  /** NaN where there is none. */
  readonly rateHz: Float64Array<ArrayBuffer>;
  readonly dragN: Float64Array<ArrayBuffer>;
  readonly massKg: Float64Array<ArrayBuffer>;
  readonly clearanceM: Float64Array<ArrayBuffer>;
  readonly levelDb: Float64Array<ArrayBuffer>;
}

/** The effect of the part at this index; null where it cannot go there. */
export function effectAt(effects: Effects, index: number): Effect | null {
  const { goes, rateHz, dragN, massKg, clearanceM, levelDb } = effects;
  if (goes[index] !== 1) return null;
  const known = (column: Float64Array) => {
    const value = column[index];
    return value === undefined || Number.isNaN(value) ? null : value;
  };
  return {
    rateHz: known(rateHz),
    dragN: known(dragN),
    massKg: massKg[index] ?? 0,
    clearanceM: known(clearanceM),
    levelDb: known(levelDb),
  };
}

/**
 * Weighs the parts one after another, and says after each how many are done.
 * @param speedMps through the water, m/s
 */
export function* weighing(
  lure: Lure,
  placement: Placement,
  parts: readonly Part[],
  water: Water,
  speedMps: number,
): Generator<number, Effects> {
  const column = () => new Float64Array(parts.length);
  const effects: Effects = {
    goes: new Uint8Array(parts.length),
    rateHz: column(),
    dragN: column(),
    massKg: column(),
    clearanceM: column(),
    levelDb: column(),
  };
  const weighOne = weigher(lure, placement, water, speedMps);
  for (const [i, part] of parts.entries()) {
    const effect = weighOne(part);
    if (effect) {
      effects.goes[i] = 1;
      effects.rateHz[i] = effect.rateHz ?? NaN;
      effects.dragN[i] = effect.dragN ?? NaN;
      effects.massKg[i] = effect.massKg;
      effects.clearanceM[i] = effect.clearanceM ?? NaN;
      effects.levelDb[i] = effect.levelDb ?? NaN;
    }
    yield i + 1;
  }
  return effects;
}

/** The same at one go. */
export function weigh(...asked: Parameters<typeof weighing>): Effects {
  const work = weighing(...asked);
  for (;;) {
    const step = work.next();
    if (step.done) return step.value;
  }
}

/** Weighs one part after another in this place; null of one that cannot go there. */
function weigher(lure: Lure, placement: Placement, water: Water, speedMps: number): (part: Part) => Effect | null {
  const prepared = prepare(lure, { water, speedMps });
  const viscosityPaS = waterViscosity(water);
  const effectOf = (figures: Figures, build: Build, station: ItemId | null): Effect => {
    const own = figures.blades.find((each) => each.station === station) ?? figures.blades[0];
    const turning = own?.outcome.outcome === 'turning' ? own.outcome : null;
    const heard = soundAsEstimated(lureInWater(build, water, USUAL_OUTFIT), viscosityPaS, speedMps, USUAL_SOUND);
    return {
      rateHz: turning?.rateHz ?? null,
      dragN: turning?.dragN ?? null,
      massKg: figures.massKg,
      clearanceM: leastClearance(build),
      levelDb: heard && wholeFigures(heard, USUAL_SOUND.fish).levelDb,
    };
  };
  return (part) => {
    const station = itemPut(lure.build, placement, part);
    const edits = placementEdits(lure.build, placement, part);
    if (placement.put === 'swap') {
      const swapped = applyEdits(lure, edits);
      return swapped.ok ? effectOf(prepared.swap(placement.item, part), swapped.lure.build, station) : null;
    }
    const after = prepared.after(edits);
    return after.ok ? effectOf(after.prepared.figures, after.prepared.lure.build, station) : null;
  };
}

function leastClearance(build: Build): number | null {
  const layout = layOut(build);
  const hooks = trailingHooks(layout);
  let least: number | null = null;
  for (const seat of spinSeats(build, layout)) {
    for (const hook of hooks) {
      const { clearanceM } = restClearance(layout, seat, hook);
      if (least === null || clearanceM < least) least = clearanceM;
    }
  }
  return least;
}
