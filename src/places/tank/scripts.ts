/** Retrieves to start from, in our own words, at the speed that is drawn now. */
import { isSame } from '@/core/same';
import type { TankSettings } from '@/data/settings';

type Script = TankSettings['script'];

interface NamedScript {
  readonly name: string;
  readonly make: (speedMps: number) => Script;
  readonly is: (script: Script) => boolean;
}

const STEADY_MPS = 0.66;

function named(name: string, of: (speedMps: number) => Script): NamedScript {
  const make = (speedMps: number) => of(speedMps > 0 ? Number(speedMps.toFixed(2)) : STEADY_MPS);
  // Its fastest step tells at which speed it was made.
  const is = (script: Script) => {
    const fastest = Math.max(...script.steps.map(({ speedMps }) => speedMps));
    return [fastest, fastest / 0.6, fastest / 1.6].some((speedMps) => isSame(make(speedMps), script));
  };
  return { name, make, is };
}

const part = (speedMps: number, share: number) => Number((speedMps * share).toFixed(2));

export const SCRIPTS: readonly NamedScript[] = [
  named('Steady', (speedMps) => ({ countdownS: 0, steps: [{ seconds: 10, speedMps }], isTrolled: false })),
  named('Stop and go', (speedMps) => ({
    countdownS: 0,
    steps: [
      { seconds: 4, speedMps },
      { seconds: 1.5, speedMps: 0 },
    ],
    isTrolled: false,
  })),
  named('Pop', (speedMps) => ({
    countdownS: 0,
    steps: [
      { seconds: 0.4, speedMps: part(speedMps, 1.6) },
      { seconds: 2, speedMps: part(speedMps, 0.5) },
    ],
    isTrolled: false,
  })),
  named('Slow roll', (speedMps) => ({
    countdownS: 6,
    steps: [{ seconds: 10, speedMps: part(speedMps, 0.6) }],
    isTrolled: false,
  })),
  named('Counted down', (speedMps) => ({ countdownS: 5, steps: [{ seconds: 10, speedMps }], isTrolled: false })),
  named('Trolled', (speedMps) => ({ countdownS: 0, steps: [{ seconds: 20, speedMps }], isTrolled: true })),
  named('Reel engaged as it lands', (speedMps) => ({
    countdownS: 0,
    steps: [{ seconds: 9, speedMps }],
    isTrolled: false,
  })),
  named('Reel engaged after it lands', (speedMps) => ({
    countdownS: 0.8,
    steps: [{ seconds: 9, speedMps }],
    isTrolled: false,
  })),
];

export function nameOf(script: Script): string {
  return SCRIPTS.find(({ is }) => is(script))?.name ?? 'As drawn';
}

/** One of these follows the retrieve as that is drawn faster or slower; one drawn by hand stays as it is. */
export function atRetrieve(script: Script, speedMps: number): Script {
  return SCRIPTS.find(({ is }) => is(script))?.make(speedMps) ?? script;
}
