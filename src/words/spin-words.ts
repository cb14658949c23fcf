/** The spin of a blade in words: what it does, why, and what would make it surer. */
import { never } from '../core/never';
import type { Stall } from '../core/hydro/stall';
import type { BladeState } from '../core/lure/bearing';
import type { BladePrediction } from '../core/predict/spin';
import { UNITS } from '../core/units/quantity';
import { decimalText, inUnit } from '../core/units/write';

/** Why a blade does not turn, or why nothing can be said, in one sentence. Null when it turns. */
export function stillWords(prediction: BladePrediction): string | null {
  switch (prediction.outcome) {
    case 'turning':
      return null;
    case 'doesNotTurn':
      return prediction.reason === 'noFlow'
        ? 'No water moves past it.'
        : 'Friction holds it at this speed: go faster, or free the clevis.';
    case 'outsideModel':
      return {
        speedMps: `The model holds up to ${prediction.limit} m/s.`,
        planAreaM2: 'This blade has no area to turn by.',
        sheetMassKgM2: 'This blade’s thickness or material makes no sense.',
        spreadRad: 'It would stand straight out, where the model ends.',
      }[prediction.quantity];
    case 'didNotConverge':
      return 'No steady turning could be worked out for this speed.';
    case 'notFinite':
      return `The arithmetic failed at the ${prediction.where}; please keep this lure file and report it.`;
    default:
      return never(prediction, 'stillWords');
  }
}

export const READOUT_WHY = {
  rate: 'The speed at which the water’s drive on the set blade equals its own drag and the clevis’s friction. It is the beat felt at the line tie. Count the turns of the blade once at a known speed to make it surer.',
  spread:
    'Where the fling of the turning blade and its cupped water balances the push of the flow. A photograph from the side would make it surer.',
  beat: 'How often the two blades come round together: the difference of their rates. The gap between them changes it.',
  drag: 'The pull of the blade alone, from the water’s push on it at that angle. One counted rate narrows it most.',
} as const;

export const BLADE_STATE_WORDS: Readonly<Record<BladeState, string>> = {
  clean: 'clean',
  weed: 'with weed on it',
  crossedClevis: 'with its clevis crossed',
  collapsedGap: 'with its gap lost',
};

/** A start from hanging still takes this much more than the stall speed, as a twitch. Trade estimate. */
const TWITCH_MPS = 0.2;

/** Where a blade stalls, what starts it, and how the present speed stands to that. */
export function stallWords(stall: Stall, speedMps: number, unit: 'mps' | 'kmh' | 'mph', brief = false): string {
  switch (stall.outcome) {
    case 'doesNotTurn':
      return 'Does not keep turning at any speed.';
    case 'outsideModel':
      return 'Where it stalls cannot be said: its measures make no sense.';
    case 'stalls': {
      const text = (mps: number) => decimalText(inUnit(mps, unit), 2);
      const now =
        speedMps <= 0 || speedMps >= stall.highMps
          ? ''
          : speedMps < stall.lowMps
            ? ' At this speed it stops.'
            : ' At this speed it may stop.';
      const band = `Stalls at ${text(stall.lowMps)} to ${text(stall.highMps)} ${UNITS[unit].symbol}`;
      if (brief) return `${band}.${now}`;
      return `${band}; twitch it to ${text(stall.highMps + TWITCH_MPS)} to start it.${now}`;
    }
    default:
      return never(stall, 'stallWords');
  }
}
