'use client';

/**
 * Keeps a fault to the room it happens in: what failed says so, with the ways out; all around it goes on. A part of the app
 * that could not be fetched is told as that, since nothing of the user's is wrong then.
 */
import type { ReactNode } from 'react';
import { ErrorBoundary } from 'react-error-boundary';
import { MissingPart } from './late-part';

export interface WayOut {
  readonly label: string;
  readonly run: () => void;
}

export interface BoundaryProps {
  /** What it holds, as said when it fails: “The retrieve”. */
  readonly name: string;
  /** A fault is forgotten when one of these changes. */
  readonly resetOn?: readonly unknown[];
  /** Ways out beside trying again. */
  readonly waysOut?: readonly WayOut[];
  /** It held something laid over the page: what it says lies over it too. */
  readonly isOver?: boolean;
  readonly children: ReactNode;
}

export function Boundary({ name, resetOn = [], waysOut = [], isOver = false, children }: BoundaryProps) {
  return (
    <ErrorBoundary
      resetKeys={[...resetOn]}
      fallbackRender={({ error, resetErrorBoundary }) => (
        <div className={isOver ? 'fixed inset-x-0 bottom-0 z-40 p-3' : 'p-2'}>
          <Failed name={name} error={error} onAgain={resetErrorBoundary} waysOut={waysOut} />
        </div>
      )}
    >
      {children}
    </ErrorBoundary>
  );
}

const BUTTON =
  'inline-flex min-h-11 items-center rounded-md border border-line bg-panel px-3 text-ink hover:bg-accent-soft';

interface FailedProps {
  readonly name: string;
  readonly error: unknown;
  readonly onAgain: () => void;
  readonly waysOut: readonly WayOut[];
}

function Failed({ name, error, onAgain, waysOut }: FailedProps) {
  const isMissing = error instanceof MissingPart;
  return (
    <div
      role="alert"
      data-testid="failed"
      className="flex flex-col items-start gap-2 rounded-md bg-fault-soft p-3 text-ink"
    >
      <p>
        <span className="font-semibold">
          {name} {isMissing ? 'could not be fetched.' : 'failed.'}
        </span>{' '}
        {isMissing
          ? 'The network is gone, or a newer Mazurka stands on the server. Nothing you made is lost.'
          : 'Everything else goes on, and nothing you made is lost.'}
      </p>
      {!isMissing && (
        <details className="text-sm text-ink-soft">
          <summary>What it said</summary>
          <p className="measure break-words">{error instanceof Error ? error.message : String(error)}</p>
        </details>
      )}
      <div className="flex flex-wrap gap-2">
        <button type="button" className={BUTTON} onClick={onAgain}>
          Try again
        </button>
        {isMissing && (
          <button type="button" className={BUTTON} onClick={() => window.location.reload()}>
            Load the page again
          </button>
        )}
        {waysOut.map(({ label, run }) => (
          <button
            key={label}
            type="button"
            className={BUTTON}
            onClick={() => {
              run();
              onAgain();
            }}
          >
            {label}
          </button>
        ))}
      </div>
    </div>
  );
}
