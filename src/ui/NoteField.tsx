'use client';

import { useState } from 'react';

export interface NoteFieldProps {
  readonly label: string;
  /** The label is plain from where it stands, and only read out. */
  readonly isLabelled?: boolean;
  readonly note: string;
  readonly onCommit: (note: string) => void;
}

/** Free text of several lines, kept when one leaves it. */
export function NoteField({ label, isLabelled = true, note, onCommit }: NoteFieldProps) {
  const [typed, setTyped] = useState<string | null>(null);
  return (
    <label className="flex w-full flex-col gap-1 text-sm text-ink-soft">
      <span className={isLabelled ? '' : 'sr-only'}>{label}</span>
      <textarea
        className="w-full rounded-md border border-line bg-panel px-2.5 py-1.5 text-base text-ink"
        rows={Math.min(6, Math.max(isLabelled ? 2 : 1, (typed ?? note).split('\n').length))}
        maxLength={4000}
        placeholder={isLabelled ? undefined : 'a note on it'}
        value={typed ?? note}
        onChange={(event) => setTyped(event.target.value)}
        onBlur={() => {
          setTyped(null);
          if (typed !== null && typed !== note) onCommit(typed);
        }}
      />
    </label>
  );
}
