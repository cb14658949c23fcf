/** Why a change cannot be, in a sentence. */
import { never } from '../core/never';
import { showLengthBoth } from '../core/units/write';
import type { Bounded, Refusal } from '../core/lure/structure';
import { CARRIER_WORDS } from './carrier-words';
import { KIND_WORDS } from './part-words';

const BEYOND_WORDS: Readonly<Record<Bounded, (most: number) => string>> = {
  readings: (most) => `${most} readings are kept; take one out first.`,
  versions: (most) => `${most} versions are kept; forget one, or start a copy of this lure.`,
  items: (most) => `A lure has at most ${most} pieces; take something off first.`,
  entries: (most) => `At most ${most} things are threaded on one wire; take something off first.`,
  carriers: (most) => `At most ${most} wires are joined to the first.`,
  depth: (most) => `At most ${most} pieces hang one on another.`,
  data: () => 'This lure with its versions would be too large for its file; forget a version first.',
  edits: (most) => `That is more than ${most} changes in one; do it in smaller steps.`,
};

export function refusalWords(refusal: Refusal | { readonly code: 'nothingToDo' }): string {
  switch (refusal.code) {
    case 'unknownItem':
      return `There is no ${refusal.item} on this lure.`;
    case 'unknownCarrier':
      return `There is no ${refusal.carrier} on this lure.`;
    case 'carrierExists':
      return `${refusal.carrier} is on the lure already.`;
    case 'joinsItself':
      return `${refusal.carrier} would hang on itself.`;
    case 'cannotJoin':
      return `${refusal.carrier} cannot hang on ${refusal.on}: a loop is held by a ring, a swivel or another loop.`;
    case 'itemExists':
      return `${refusal.item} is on the lure already.`;
    case 'idMismatch':
      return `The entry ${refusal.item} names itself otherwise.`;
    case 'notMade':
      return 'Hours and fish are counted for a lure that is made: mark it as made first.';
    case 'noSuchPlace':
      return `Place ${refusal.index + 1} is beyond the string, which has ${refusal.length}.`;
    case 'cannotSit':
      switch (refusal.seat) {
        case 'strand':
          return `A ${KIND_WORDS[refusal.kind].one} cannot be threaded on this: it has no bore for it, or this is a body.`;
        case 'body':
          return `A ${KIND_WORDS[refusal.kind].one} cannot be screwed into this.`;
        case 'tie':
          return `A ${KIND_WORDS[refusal.kind].one} cannot go over the line tie of this wire.`;
        default:
          return `A ${KIND_WORDS[refusal.kind].one} cannot be put on this end of the wire.`;
      }
    case 'offBody':
      return `A ${KIND_WORDS[refusal.kind].one} has to sit in the body, which is ${showLengthBoth(refusal.lengthM, 'metric')} long.`;
    case 'nothingToHoldIt': {
      const [what, holder] = [KIND_WORDS[refusal.kind].one, KIND_WORDS[refusal.onKind].one];
      const verb = {
        hung: 'hang on',
        tied: 'be tied to',
        over: 'slide over',
        moulded: 'be cast into',
        collared: 'sit on the collar of',
        banded: 'be pulled through',
        pushed: 'be pushed on',
        kept: 'be pushed over the point of',
        screwed: 'be screwed into',
      }[refusal.how];
      return `A ${what} cannot ${verb} a ${holder}: there is nothing to hold it.`;
    }
    case 'seatTaken':
      return `${refusal.on} carries one already, and has room for no other.`;
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
    case 'wrongState':
      return `${refusal.item} is a ${KIND_WORDS[refusal.kind].one}: what is set of it here belongs to another kind of part.`;
    case 'notOfThisWire':
      return CARRIER_WORDS[refusal.carrier].hasNot;
    case 'swapKind':
      return `A ${KIND_WORDS[refusal.from].one} can only be swapped for another ${KIND_WORDS[refusal.from].one}.`;
    case 'beyondBounds':
      return BEYOND_WORDS[refusal.of](refusal.most);
    case 'faultyValue':
      return faultyValueWords(refusal);
    case 'noSuchVersion':
      return `There is no version ${refusal.index + 1}; ${refusal.length} are kept.`;
    case 'noSuchReading':
      return `There is no reading ${refusal.index + 1}; ${refusal.length} are kept.`;
    case 'nothingToDo':
      return 'There is nothing more to undo or redo.';
    default:
      return never(refusal, 'refusalWords');
  }
}

/** A value that the lure's own file would not take, said as what would be right. */
function faultyValueWords({ path, message }: { readonly path: string; readonly message: string }): string {
  const field = path.split('.').at(-1) ?? '';
  if (field === 'name') return 'A name has from 1 to 120 letters.';
  if (field === 'note') return 'A note has at most 4,000 letters.';
  if (field === 'role') return 'A hook is called by 1 to 120 letters.';
  return `That cannot be kept: ${field === '' ? 'the value' : field} would not be right (${message}).`;
}
