/** A step as it is said aloud: cautions first, units in full. */
import type { MakeStep } from '../core/make/plan';
import type { UnitSystem } from '../core/units/write';
import { AFTER_WORDS } from './after-words';
import { lastChanceWords, stepWords, unsaidAmounts } from './make-words';
import { HAZARD_WORDS } from './tool-words';

export function spokenStep(step: MakeStep, system: UnitSystem): string {
  const { what, how } = stepWords(step, system);
  const closes = lastChanceWords(step);
  const amounts = unsaidAmounts(step, system);
  const checks = step.after.map((check) => `${AFTER_WORDS[check].words}.`);
  return inFull(
    [
      ...step.hazards.map((hazard) => `Mind: ${HAZARD_WORDS[hazard]}`),
      closes === '' ? '' : `This closes. Last chance for ${closes}.`,
      what,
      how,
      amounts.length > 0 ? `${amounts.join(', ')}.` : '',
      checks.length > 0 ? `Then see: ${checks.join(' ')}` : '',
    ]
      .filter(Boolean)
      .join(' '),
  );
}

/** Signs that a voice stumbles over, as words. */
function inFull(text: string): string {
  return text
    .replace(/(\d) mm\b/g, '$1 millimetres')
    .replace(/(\d) in\b/g, '$1 inches')
    .replace(/(\d) ×/g, '$1 times')
    .replace(/#(\S)/g, 'number $1')
    .replace(/°/g, ' degrees');
}
