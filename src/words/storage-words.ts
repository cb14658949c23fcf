/** Storage failures in words: what happened, that the lure is still here, what to do. */
import { never } from '../core/never';
import type { Kept, StorageFailure } from '../data/failure';
import type { Persistence } from '../data/persistence';

/** What the browser answered when it was asked to keep what is stored. */
export const PERSISTENCE_WORDS: Readonly<Record<Persistence, string>> = {
  kept: 'This browser keeps what you make here, also when its disk runs low.',
  mayBeCleared:
    'What you make is saved in this browser, which may clear it when its disk runs low. A backup now and then is the safe copy.',
  unknown: 'This browser does not say whether it keeps what is stored when its disk runs low.',
};

const KEPT_WORDS: Readonly<Record<Kept, { readonly one: string; readonly many: string }>> = {
  lure: { one: 'lure', many: 'lures' },
  part: { one: 'part', many: 'parts of your own' },
  rule: { one: 'rule', many: 'rules' },
  settings: { one: 'record of settings', many: 'settings' },
  run: { one: 'piece of work', many: 'pieces of work' },
  picture: { one: 'picture', many: 'pictures of this piece' },
};

export function storageFailureWords(failure: StorageFailure): string {
  switch (failure.code) {
    case 'full':
      return 'The browser’s storage is full, so the last changes are not saved.';
    case 'disk':
      return 'The browser cannot write to its disk, which is full or fails, so the last changes are not saved. Make room, then try again.';
    case 'blocked':
      return 'Another tab holds the storage. Close other Mazurka tabs and try again.';
    case 'newerVersion':
      return 'A newer Mazurka has used this browser’s storage. Reload the page to get it.';
    case 'closed':
      return 'The browser closed its storage, so the last changes are not saved.';
    case 'unavailable':
      return 'This browser lets the page store nothing (a private window, perhaps).';
    case 'damaged':
      return `The stored record of ${failure.lureId} is damaged at ${failure.path || 'its start'} and was left as it is.`;
    case 'gone':
      return `The lure ${failure.lureId} is no longer in this browser’s storage.`;
    case 'faulty':
      return `Not kept, since it could not be read again: in this ${KEPT_WORDS[failure.of].one}, ${failure.path || 'its start'} would not be right (${failure.message}).`;
    case 'tooMany':
      return `Not kept: there are ${failure.most.toLocaleString('en')} ${KEPT_WORDS[failure.of].many} already, and no more are kept.`;
    case 'other':
      return `The browser’s storage failed: ${failure.message}.`;
    default:
      return never(failure, 'storageFailureWords');
  }
}
