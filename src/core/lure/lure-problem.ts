/** What stands against a lure whose fields are each in order. */
import type { Lure } from './lure';
import { buildsOf, sizeProblem } from './size';
import { structureProblem, type Refusal } from './structure';

/** Why a lure can still not be, in any of its builds or as a whole; null when it can. */
export function lureProblem(lure: Lure): Refusal | null {
  return (
    buildsOf(lure)
      .map(structureProblem)
      .find((problem) => problem !== null) ?? sizeProblem(lure)
  );
}
