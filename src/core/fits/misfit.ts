/** Why a part does not go where it is wanted. */
export type Through = 'wire' | 'sleeve' | 'collar';

/** Why a part does not go there, with the numbers; `loose` goes there but not well. */
export type Misfit =
  | {
      readonly code: 'boreTooTight';
      readonly boreM: number;
      readonly throughM: number;
      readonly what: Through;
    }
  | { readonly code: 'boreTooLoose'; readonly boreM: number; readonly throughM: number; readonly mostM: number }
  | { readonly code: 'holeTooSmall'; readonly holeM: number; readonly lobeM: number }
  | { readonly code: 'rootMeetsWire'; readonly shortM: number; readonly dropM: number; readonly rootM: number }
  | { readonly code: 'eyeTooSmall'; readonly eyeM: number; readonly ringWiresM: number }
  | { readonly code: 'loopTooSmall'; readonly insideM: number; readonly ringWiresM: number }
  | { readonly code: 'ringTooSmall'; readonly insideM: number; readonly neededM: number }
  | { readonly code: 'ringTooLarge'; readonly insideM: number; readonly mostM: number }
  | { readonly code: 'bandTooLoose'; readonly boreM: number; readonly collarM: number }
  | { readonly code: 'bandTooTight'; readonly boreM: number; readonly collarM: number }
  | { readonly code: 'noRoomInClevis'; readonly lengthM: number; readonly roomM: number };

/** Misfits that only mar: the part goes on all the same. */
const LOOSE: ReadonlySet<Misfit['code']> = new Set(['boreTooLoose', 'ringTooLarge']);

/** Whether a part goes there all the same, only not well. */
export function isLoose({ code }: Misfit): boolean {
  return LOOSE.has(code);
}
