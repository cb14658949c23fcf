'use client';

/** A page that failed as a whole, where no room of it could keep the fault to itself. */
export default function PageFailed({ error, reset }: { readonly error: Error; readonly reset: () => void }) {
  return (
    <main className="mx-auto flex max-w-2xl flex-col items-start gap-4 p-6">
      <h1 className="text-2xl font-bold">This page failed</h1>
      <p role="alert">What you made is saved in this browser. Try again; if it fails again, open the list of lures.</p>
      <p className="measure text-sm break-words text-ink-soft">{error.message}</p>
      <div className="flex flex-wrap gap-3">
        <button type="button" className="min-h-11 rounded-md border border-line bg-panel px-4" onClick={reset}>
          Try again
        </button>
        <a className="inline-flex min-h-11 items-center rounded-md border border-line bg-panel px-4" href="/bench">
          To the bench
        </a>
      </div>
    </main>
  );
}
