/** Storage failures in words: what happened, that the lure is still here, what to do. */
import { never } from '../core/never';
import type { StorageFailure } from '../data/failure';

export function storageFailureWords(failure: StorageFailure): string {
  switch (failure.code) {
    case 'full':
      return 'The browser’s storage is full, so the last changes are not saved.';
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
    case 'other':
      return `The browser’s storage failed: ${failure.message}.`;
    default:
      return never(failure, 'storageFailureWords');
  }
}
