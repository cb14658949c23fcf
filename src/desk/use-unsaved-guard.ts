import { useEffect } from 'react';
import { useDesk } from './desk-state';

/** The browser asks before a page with unsaved work goes away. */
export function useUnsavedGuard() {
  const isUnsaved = useDesk((state) => state.saving.state === 'failed');
  useEffect(() => {
    if (!isUnsaved) return;
    const onLeave = (event: BeforeUnloadEvent) => event.preventDefault();
    window.addEventListener('beforeunload', onLeave);
    return () => window.removeEventListener('beforeunload', onLeave);
  }, [isUnsaved]);
}
