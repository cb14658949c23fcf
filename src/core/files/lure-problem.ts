/** What stands against a lure whose fields are each in order. */
import type { Lure } from '../lure/lure';
import { buildsOf, sizeProblem } from '../lure/size';
import { structureProblem, type Refusal } from '../lure/structure';

/** Why a lure can still not be, in any of its builds or as a whole; null when it can. */
export function lureProblem(lure: Lure): Refusal | null {
  return (
    buildsOf(lure)
      .map(structureProblem)
      .find((problem) => problem !== null) ?? sizeProblem(lure)
  );
}
