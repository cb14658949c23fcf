/** The spin of a blade in words: what it does, why, and what would make it surer. */
import { never } from '../core/never';
import type { BladeState } from '../core/in-water/bearing';
import { chanceOfTurning } from '../core/predict/keeping';
import type { BladePrediction } from '../core/predict/spin';
import type { Stall } from '../core/predict/stalls';
import { UNITS } from '../core/units/quantity';
import { decimalText, inUnit } from '../core/units/write';

/** Why a blade does not turn, or why nothing can be said, in one sentence. Null when it turns. */
export function stillWords(prediction: BladePrediction): string | null {
  switch (prediction.outcome) {
    case 'turning':
    case 'mayStop':
      return null;
    case 'stopped':
      return 'At this speed gravity stops it on the way up: it hangs and drags. Go faster.';
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
  rateIfTurning: 'It may stop at this speed; this is how it turns as long as it does.',
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

/** Down to where a blade keeps turning, what starts it, and how the present speed stands to that. */
export function stallWords(stall: Stall, speedMps: number, unit: 'mps' | 'kmh' | 'mph', brief = false): string {
  switch (stall.outcome) {
    case 'doesNotTurn':
      return 'Does not keep turning at any speed.';
    case 'outsideModel':
      return 'Where it stops cannot be said: its measures make no sense.';
    case 'stalls': {
      const { keepsMps, startsMps, isSelfStarting } = stall;
      const text = (mps: number) => decimalText(inUnit(mps, unit), 2);
      const chance = speedMps > 0 ? chanceOfTurning(speedMps, keepsMps) : 1;
      const now =
        speedMps <= 0 || speedMps >= keepsMps.high
          ? ''
          : speedMps < keepsMps.low
            ? ' At this speed it stops.'
            : ` At this speed it may stop: it turns ${tenthsWords(chance)}.`;
      const band = `Keeps turning down to ${text(keepsMps.value)} ${UNITS[unit].symbol} (${text(keepsMps.low)} to ${text(keepsMps.high)})`;
      if (brief) return `${band}.${now}`;
      return `${band}; starts ${isSelfStarting ? 'by itself ' : ''}at ${text(startsMps)}${isSelfStarting ? '' : ', with a twitch'}.${now}`;
    }
    default:
      return never(stall, 'stallWords');
  }
}

/** A chance in tenths: “in 3 cases of 10”. */
function tenthsWords(chance: number): string {
  return `in ${Math.min(9, Math.max(1, Math.round(chance * 10)))} cases of 10`;
}
