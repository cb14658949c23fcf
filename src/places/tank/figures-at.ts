/** A lure at one speed with every coefficient as it stands: told at once, without asking the worker. */
import type { Outfit } from '@/core/hydro/outfit';
import type { Water } from '@/core/hydro/water';
import type { Lure } from '@/core/lure/lure';
import { lastPer, oncePer } from '@/core/once';
import type { Figures } from '@/core/prepared/figures';
import { prepare, type Prepared } from '@/core/prepared/prepared';

/** At which lures are first made ready; asked at another speed they keep what is known of their blades. */
const FIRST_MPS = 0.8;
const readyOf = lastPer((lure: Lure, water: Water, outfit: Outfit): Prepared =>
  prepare(lure, { water, outfit, speedMps: FIRST_MPS }),
);
const MOST_SPEEDS = 12;
const speedsOf = oncePer<Prepared, Map<number, Prepared>>(() => new Map());

export function preparedAt(lure: Lure, water: Water, outfit: Outfit, speedMps: number): Prepared {
  const ready = readyOf(lure, water, outfit);
  const speeds = speedsOf(ready);
  const known = speeds.get(speedMps);
  if (known) return known;
  if (speeds.size >= MOST_SPEEDS) speeds.clear();
  const found = ready.atSpeed(speedMps);
  speeds.set(speedMps, found);
  return found;
}

/** What the lure does at this speed with every coefficient as it stands: for how it is drawn swimming. */
export function swimmingFigures(lure: Lure, water: Water, outfit: Outfit, speedMps: number): Figures {
  return preparedAt(lure, water, outfit, speedMps).figures;
}
