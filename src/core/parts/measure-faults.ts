/** Measures of one part that cannot stand together: a bead's hole as wide as the bead. Plain geometry, no estimates. */
import type { Measure } from './kinds/room';
import { roomOf, type Part } from './part';

/** One measure that has to be smaller than another of the same part and is not. */
export interface MeasureFault {
  readonly less: Measure;
  readonly lessM: number;
  readonly than: Measure;
  readonly thanM: number;
}

/** All that cannot stand together in this part, the plainest first. */
export function measureFaults(part: Part): MeasureFault[] {
  return roomOf(part)
    .smaller(part)
    .flatMap(([less, lessM, than, thanM]) => (lessM < thanM ? [] : [{ less, lessM, than, thanM }]));
}
