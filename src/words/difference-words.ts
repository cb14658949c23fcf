/** What two versions of a lure differ in, in sentences. */
import { never } from '../core/never';
import type { Difference } from '../core/costs/difference';
import type { UnitSystem } from '../core/units/write';
import { partLine, partTitle, stateWords } from './part-words';

export function differenceWords(difference: Difference, system: UnitSystem): string {
  switch (difference.code) {
    case 'added':
      return `${partTitle(difference.part)} put on`;
    case 'takenOff':
      return `${partTitle(difference.part)} taken off`;
    case 'swapped': {
      const [from, to] = [partTitle(difference.from), partTitle(difference.to)];
      return from === to
        ? `${from}: ${partLine(difference.from, system)} became ${partLine(difference.to, system)}`
        : `${from} became ${to}`;
    }
    case 'turned':
      return `${partTitle(difference.part)} turned over`;
    case 'handled': {
      const words = stateWords(difference.to);
      return `${partTitle(difference.to.part)} ${words === '' ? 'as it came' : words}`;
    }
    case 'placedElsewhere':
      return `${partTitle(difference.part)} in another place`;
    case 'wire':
      return `${partTitle(difference.from)} became ${partTitle(difference.to)}`;
    case 'bent':
      return 'The wire is bent otherwise';
    case 'ends':
      return 'The ends of the wire are formed otherwise';
    case 'restrung':
      return 'The parts stand in another order';
    default:
      return never(difference, 'differenceWords');
  }
}
