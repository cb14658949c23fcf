'use client';

import { Button } from '@/ui/Button';
import { storageFailureWords } from '@/words/storage-words';
import { useDesk } from './desk-state';
import { exportOpenLure } from './export-lure';
import { saveWhole } from './open-lure';

/** The storage failed: what happened, that the lure is here, and the two things to do. */
export function NotSaved() {
  const saving = useDesk((state) => state.saving);
  if (saving.state !== 'failed') return null;
  return (
    <div role="alert" className="flex flex-wrap items-center gap-2 border-b border-fault bg-fault-soft px-4 py-2">
      <p className="flex-1">
        <span className="font-semibold">Not saved.</span> {storageFailureWords(saving.failure)} The lure is still here,
        whole: keep it as a file, or try again.
      </p>
      <Button look="main" onClick={exportOpenLure}>
        Export this lure
      </Button>
      <Button onClick={() => void saveWhole()}>Try again</Button>
    </div>
  );
}
