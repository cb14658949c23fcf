/** The speed through the water that a retrieve gives, and how each way of saying it is shown. */
import type { Retrieve } from '@/data/settings';
import { showSpeed } from '@/core/units/write';

export function retrieveSpeed(retrieve: Retrieve): number {
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
  const speed = retrieveSpeed(retrieve);
  const units = (['mps', 'kmh', 'mph'] as const).filter((unit) => unit !== retrieve.by);
  return units.map((unit) => showSpeed(speed, unit)).join('  ·  ');
}

/** Changes the way of saying it and keeps the speed. */
export function sayBy(retrieve: Retrieve, by: Retrieve['by']): Retrieve {
  const speedMps = retrieveSpeed(retrieve);
  return by === 'reel'
    ? { ...retrieve, by, turnsPerS: Number((speedMps / retrieve.linePerTurnM).toFixed(3)) }
    : { ...retrieve, by, speedMps };
}

export const FASTEST_SHOWN_MPS = 2;
