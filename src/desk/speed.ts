/** The speed through the water that a retrieve gives, and how each way of saying it is shown. */
import type { Retrieve } from '@/data/settings';
import { MAX_SPEED_MPS } from '@/core/hydro/spin';
import type { SpeedUnit } from '@/words/spin-words';
import { inUnit, showSpeed, type UnitSystem } from '@/core/units/write';

/** With the current, which may carry it along faster than it is drawn: then it stands still in the water. */
export function retrieveSpeed(retrieve: Retrieve): number {
  return Math.min(MAX_SPEED_MPS, Math.max(0, drawnSpeed(retrieve) + retrieve.currentMps));
}

/** At which it is drawn, over the ground. */
function drawnSpeed(retrieve: Retrieve): number {
  return retrieve.by === 'reel' ? retrieve.turnsPerS * retrieve.linePerTurnM : retrieve.speedMps;
}

export const SPEED_WAYS: readonly { readonly by: Retrieve['by']; readonly name: string }[] = [
  { by: 'reel', name: 'reel' },
  { by: 'mph', name: 'mph' },
  { by: 'kmh', name: 'km/h' },
  { by: 'mps', name: 'm/s' },
];

/** The other way of saying it: what the reel gives, or the three units. */
export function speedInWords(retrieve: Retrieve): string {
  return otherWays(retrieve).join('  ·  ');
}

/** The first of them, where one will do. */
export function oneSpeedInWords(retrieve: Retrieve): string {
  return otherWays(retrieve)[0] ?? '';
}

function otherWays(retrieve: Retrieve): string[] {
  const units = (['mps', 'kmh', 'mph'] as const).filter((unit) => unit !== retrieve.by);
  return units.map((unit) => showSpeed(retrieveSpeed(retrieve), unit));
}

/** Changes the way of saying it and keeps the speed. */
export function sayBy(retrieve: Retrieve, by: Retrieve['by']): Retrieve {
  return atSpeed({ ...retrieve, by }, retrieveSpeed(retrieve));
}

export const FASTEST_SHOWN_MPS = 2;

/** In handle turns or in its own unit: how fast a retrieve is, as its number. */
export function retrieveNumber(retrieve: Retrieve): number {
  return retrieve.by === 'reel' ? retrieve.turnsPerS : inUnit(retrieve.speedMps, retrieve.by);
}

/** The retrieve at another speed through the water, said in the same way. */
export function atSpeed(retrieve: Retrieve, speedMps: number): Retrieve {
  const drawnMps = Math.max(0, speedMps - retrieve.currentMps);
  return retrieve.by === 'reel'
    ? { ...retrieve, turnsPerS: Number((drawnMps / retrieve.linePerTurnM).toFixed(3)) }
    : { ...retrieve, speedMps: drawnMps };
}

/** Round speeds along an axis up to the fastest shown, in the unit the retrieve is said in. */
export function speedTicks(
  by: Retrieve['by'],
  linePerTurnM: number,
): { readonly mps: number; readonly text: string }[] {
  const perMps = by === 'reel' ? 1 / linePerTurnM : inUnit(1, by);
  const most = FASTEST_SHOWN_MPS * perMps;
  const step = [0.25, 0.5, 1, 2, 5, 10].find((each) => most / each <= 6) ?? 20;
  return Array.from({ length: Math.floor(most / step + 1e-9) + 1 }, (_, i) => ({
    mps: (i * step) / perMps,
    text: String(i * step),
  }));
}

/** The unit that speeds are told in beside the retrieve: its own, or with a reel that of the chosen measures. */
export function speedUnitOf({ by }: Retrieve, system: UnitSystem): SpeedUnit {
  if (by !== 'reel') return by;
  return system === 'metric' ? 'mps' : 'mph';
}
