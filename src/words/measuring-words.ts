/** What became of the measures of a blade. */
import { never } from '../core/never';
import { MATERIALS, type MaterialId } from '../core/parts/material';
import { MASS_AGREES_WITHIN, type BladeFromReadings, type BladeReading } from '../core/parts/measure-blade';
import { showLength, showMass, type UnitSystem } from '../core/units/write';

export interface MeasuredWords {
  readonly tone: 'news' | 'fault';
  readonly title: string;
  readonly lines: readonly string[];
}

const READING_WORDS: Readonly<Record<BladeReading, string>> = {
  thicknessM: 'thickness',
  crownM: 'crown',
  massKg: 'mass',
};

export function measuredWords(result: BladeFromReadings | null, system: UnitSystem): MeasuredWords {
  const news = (title: string, ...lines: string[]): MeasuredWords => ({ tone: 'news', title, lines });
  const fault = (title: string, ...lines: string[]): MeasuredWords => ({ tone: 'fault', title, lines });
  if (result === null) return news('Length, width, hole and root to hole come first.');
  switch (result.outcome) {
    case 'tooFew': {
      const names = result.missing.map((reading) => READING_WORDS[reading]);
      return news(`Two of thickness, crown and mass are needed; ${names.join(' and ')} are open.`);
    }
    case 'impossible': {
      const length = showLength(result.limit, system);
      switch (result.reason) {
        case 'crownBelowThickness':
          return fault(
            'The crown is lower than the blade is thick.',
            `Lying hollow down it stands at least its thickness, ${length}, over the table.`,
          );
        case 'wider':
          return fault('It is wider than long.', `Length runs from root to tip; the width is at most ${length}.`);
        case 'holeOutside':
          return fault('The hole lies in the outer half.', `Root to hole and hole together stay below ${length}.`);
        case 'holeTooWide':
          return fault('The hole is as wide as the blade.', `It stays well below the width, ${length}.`);
        case 'tooLight':
          return fault('It weighs less than the thinnest such sheet.', `At least ${showMass(result.limit, system)}.`);
        case 'tooHeavy':
          return fault('It weighs more than such a sheet can.', `At most ${showMass(result.limit, system)}.`);
        default:
          return never(result.reason, 'measuredWords');
      }
    }
    case 'measured': {
      const { thicknessM, cupDepthM, massKg, computed } = result;
      const all = `Thickness ${showLength(thicknessM, system)}, hollow ${showLength(cupDepthM, system)} deep, ${showMass(massKg, system)}.`;
      return computed === null ? news('Measured whole.', all) : news(`Worked out: ${READING_WORDS[computed]}.`, all);
    }
    default:
      return never(result, 'measuredWords');
  }
}

/** How the mass of the measures stands to the mass on the scale. */
export function agreementWords(agreement: number, material: MaterialId): string {
  const percent = Math.round(Math.abs(agreement - 1) * 100);
  const metal = MATERIALS[material].name;
  if (Math.abs(agreement - 1) <= MASS_AGREES_WITHIN) {
    return percent === 0
      ? 'The scale agrees with the measures.'
      : `The measures give ${percent} % ${agreement > 1 ? 'more' : 'less'} than the scale: that agrees.`;
  }
  return agreement > 1
    ? `In ${metal} these measures would weigh ${percent} % more: look at thickness and crown again, or is it a lighter metal?`
    : `In ${metal} these measures would weigh ${percent} % less: look at thickness and crown again, or is it a heavier metal?`;
}
