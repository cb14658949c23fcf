/** What can go wrong with the browser's storage, by name. The sentences are written where they are shown. */
export type StorageFailure =
  | { readonly code: 'full' }
  /** The browser could not write to the disk, or not read from it: full, taken out, or failing. */
  | { readonly code: 'disk' }
  | { readonly code: 'blocked' }
  | { readonly code: 'newerVersion' }
  | { readonly code: 'closed' }
  | { readonly code: 'unavailable' }
  | { readonly code: 'damaged'; readonly lureId: string; readonly path: string }
  | { readonly code: 'gone'; readonly lureId: string }
  /** It would not be read again: what it is, where, and what would be right. Nothing was written. */
  | { readonly code: 'faulty'; readonly of: Kept; readonly path: string; readonly message: string }
  | { readonly code: 'tooMany'; readonly of: Kept; readonly most: number }
  | { readonly code: 'other'; readonly message: string };

/** What storage keeps, by name. */
export type Kept = 'lure' | 'part' | 'rule' | 'settings' | 'run' | 'picture';

/** A failure of storage, thrown inside this room only and handed out as data. */
export class StorageError extends Error {
  constructor(readonly failure: StorageFailure) {
    super(failure.code);
  }
}

const BY_NAME: Readonly<Record<string, StorageFailure>> = {
  QuotaExceededError: { code: 'full' },
  VersionError: { code: 'newerVersion' },
  UpgradeError: { code: 'newerVersion' },
  DatabaseClosedError: { code: 'closed' },
  InvalidStateError: { code: 'closed' },
  UnknownError: { code: 'disk' },
  MissingAPIError: { code: 'unavailable' },
  SecurityError: { code: 'unavailable' },
  OpenFailedError: { code: 'unavailable' },
};

/** Names what an error from the database means; inner causes count more than wrappers. */
export function toFailure(error: unknown): StorageFailure {
  if (error instanceof StorageError) return error.failure;
  if (error instanceof Error) {
    const inner = 'inner' in error ? error.inner : undefined;
    if (inner instanceof Error && inner !== error) {
      const named = BY_NAME[inner.name];
      if (named) return named;
    }
    return BY_NAME[error.name] ?? { code: 'other', message: error.message };
  }
  return { code: 'other', message: String(error) };
}
