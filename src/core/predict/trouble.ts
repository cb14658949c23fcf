/** Why nothing is said of a lure at a speed: what hangs on a blade outside its model cannot be. */
import { MAX_SPEED_MPS, type SpinOutcome } from '../hydro/spin';
import type { BladeOutcome } from './turned';

export type Trouble =
  | {
      readonly outcome: 'outsideModel';
      readonly quantity: Extract<SpinOutcome, { outcome: 'outsideModel' }>['quantity'];
      readonly value: number;
      readonly limit: number;
    }
  | { readonly outcome: 'notWorkedOut'; readonly where: string };

/** Why nothing is said of a lure at this speed; null where all of it can be. */
export function troubleAt(speedMps: number, outcomes: readonly (BladeOutcome | undefined)[]): Trouble | null {
  if (!(speedMps >= 0 && speedMps <= MAX_SPEED_MPS)) {
    const isFast = speedMps > MAX_SPEED_MPS;
    return {
      outcome: 'outsideModel',
      quantity: 'speedMps',
      value: Number.isFinite(speedMps) ? speedMps : 0,
      limit: isFast ? MAX_SPEED_MPS : 0,
    };
  }
  for (const outcome of outcomes) {
    if (outcome?.outcome === 'outsideModel') return outcome;
    if (outcome?.outcome === 'didNotConverge') return { outcome: 'notWorkedOut', where: 'spin' };
    if (outcome?.outcome === 'notFinite') return { outcome: 'notWorkedOut', where: outcome.where };
  }
  return null;
}
