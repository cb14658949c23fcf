import { useEffect, useEffectEvent } from 'react';

const WORDS =
  'A part of Mazurka could not be fetched: the network is gone, or a newer Mazurka stands on the server. What you made is saved; load the page again.';

/** Tells of code that something asked for and that could not be fetched, where no room is there to say so itself. */
export function useMissingParts(onMissing: (words: string) => void): void {
  const onRejection = useEffectEvent((event: PromiseRejectionEvent) => {
    const reason: unknown = event.reason;
    const isMissing =
      reason instanceof Error && /chunk|dynamically imported module|fetch/i.test(`${reason.name} ${reason.message}`);
    if (!isMissing) return;
    event.preventDefault();
    onMissing(WORDS);
  });
  useEffect(() => {
    window.addEventListener('unhandledrejection', onRejection);
    return () => window.removeEventListener('unhandledrejection', onRejection);
  }, []);
}
