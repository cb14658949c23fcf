/** The spin of a blade in words: what it does, why, and what would make it surer. */
import { never } from '../core/never';
import type { BladeState } from '../core/in-water/bearing';
import { chanceOfTurning } from '../core/predict/keeping';
import type { BladePrediction } from '../core/predict/spin';
import type { Stall } from '../core/predict/stalls';
import { UNITS } from '../core/units/quantity';
import { decimalText, inUnit } from '../core/units/write';

/** What a speed through the water is told in. */
export type SpeedUnit = 'mps' | 'kmh' | 'mph';
type NotTurning = Exclude<BladePrediction, { readonly rateHz: unknown }>;

/** What a blade that does not turn does instead, in two words and in one sentence of why. */
export function outcomeWords(prediction: NotTurning): { readonly short: string; readonly why: string } {
  switch (prediction.outcome) {
    case 'stopped':
      return { short: 'Stops', why: 'At this speed gravity stops it on the way up: it hangs and drags. Go faster.' };
    case 'doesNotTurn':
      return {
        short: 'Does not turn',
        why:
          prediction.reason === 'noFlow'
            ? 'No water moves past it.'
            : 'Friction of what it turns on, or a part that it meets, holds it at this speed: go faster, or free it.',
      };
    case 'outsideModel':
      return {
        short: 'Cannot be said',
        why: {
          speedMps: `The model holds up to ${prediction.limit} m/s.`,
          planAreaM2: 'This blade has no area to turn by.',
          sheetMassKgM2: 'This blade’s thickness or material makes no sense.',
          spreadRad: 'It would stand straight out, where the model ends.',
        }[prediction.quantity],
      };
    case 'didNotConverge':
      return { short: 'Cannot be said', why: 'No steady turning could be worked out for this speed.' };
    case 'notFinite':
      return {
        short: 'Cannot be said',
        why: `The arithmetic failed at the ${prediction.where}; please keep this lure file and report it.`,
      };
    default:
      return never(prediction, 'outcomeWords');
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

type Stalls = Extract<Stall, { outcome: 'stalls' }>;

/** The slowest speed at which it goes on turning, and in its why what starts it. */
export function keepsFigure({ keepsMps, startsMps, isSelfStarting }: Stalls, unit: SpeedUnit) {
  const text = (mps: number) => decimalText(inUnit(mps, unit), 2);
  const { symbol } = UNITS[unit];
  return {
    value: text(keepsMps.value),
    unit: symbol,
    band: `${text(keepsMps.low)} to ${text(keepsMps.high)}`,
    why: `Slower than this gravity stops it on the way up. Hanging, it starts ${isSelfStarting ? 'by itself ' : ''}at ${text(startsMps)} ${symbol}${isSelfStarting ? '' : ', with a twitch'}. Slow down once until it stops to make it surer.`,
  };
}

/** `may stop: turns 3 times in 10`. */
export function chanceWords({ keepsMps }: Stalls, speedMps: number): string {
  return `may stop: turns ${tenthsWords(chanceOfTurning(speedMps, keepsMps))}`;
}

/** A chance in tenths: “3 times in 10”. */
function tenthsWords(chance: number): string {
  return `${Math.min(9, Math.max(1, Math.round(chance * 10)))} times in 10`;
}
