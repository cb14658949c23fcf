/** Why a change cannot be, in a sentence. */
import { never } from '../core/never';
import type { Refusal } from '../core/lure/structure';
import { KIND_WORDS } from './part-words';

export function refusalWords(refusal: Refusal | { readonly code: 'nothingToDo' }): string {
  switch (refusal.code) {
    case 'unknownItem':
      return `There is no ${refusal.item} on this lure.`;
    case 'itemExists':
      return `${refusal.item} is on the lure already.`;
    case 'idMismatch':
      return `The entry ${refusal.item} names itself otherwise.`;
    case 'noSuchPlace':
      return `Place ${refusal.index + 1} is beyond the string, which has ${refusal.length}.`;
    case 'cannotSit':
      return refusal.seat === 'strand'
        ? `A ${KIND_WORDS[refusal.kind].one} cannot be threaded on a wire: it has no bore for it.`
        : `A ${KIND_WORDS[refusal.kind].one} cannot hang on a wire loop.`;
    case 'nothingToHoldIt': {
      const [what, holder] = [KIND_WORDS[refusal.kind].one, KIND_WORDS[refusal.onKind].one];
      const verb = { hung: 'hang on', tied: 'be tied to', over: 'slide over' }[refusal.how];
      return `A ${what} cannot ${verb} a ${holder}: there is nothing to hold it.`;
    }
    case 'seatTaken':
      return `${refusal.on} already carries a blade; it has one lobe.`;
    case 'hangsOnItself':
      return `${refusal.item} would hang on itself.`;
    case 'leavesHanging':
      return `${refusal.item} would hang on nothing: ${refusal.on} is gone.`;
    case 'legsCrossed':
      return `The fore leg of ${refusal.item} cannot lie behind its aft leg: no way of threading gives that.`;
    case 'strandMismatch':
      return `${refusal.item} is not threaded the way its kind is: once, or once for each leg of a clevis.`;
    case 'hookWithoutRole':
      return `${refusal.item} needs a name for what it does on the lure.`;
    case 'swapKind':
      return `A ${KIND_WORDS[refusal.from].one} can only be swapped for another ${KIND_WORDS[refusal.from].one}.`;
    case 'nothingToDo':
      return 'There is nothing more to undo or redo.';
    default:
      return never(refusal, 'refusalWords');
  }
}
