import { FILM_LOBE, PATTERNS } from './blade-pattern';
import { deltaLobeArea } from './delta-form';
import { filmLobe, planArea } from './outline';
import type { Part } from './part';

/** Plan area of whatever turns, all its lobes, m²; 0 of any other part. */
export function bladeArea(part: Part): number {
  switch (part.kind) {
    case 'blade':
      return planArea(PATTERNS[part.pattern].outline, part);
    case 'filmBlade':
      return 2 * planArea(FILM_LOBE, filmLobe(part));
    case 'deltaBlade':
      return part.lobes * deltaLobeArea(part);
    default:
      return 0;
  }
}
