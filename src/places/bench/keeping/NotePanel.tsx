'use client';

import type { Lure } from '@/core/lure/lure';
import { change } from '@/desk/open-lure';
import { Fold } from '@/ui/Fold';
import { NoteField } from '@/ui/NoteField';

/** So much of a note says what is in it. */
const GIST_LETTERS = 24;

/** What the builder wants to remember of this lure; it stands on its sheet and its card. */
export function NotePanel({ lure: { note } }: { readonly lure: Lure }) {
  const start = note.trim().replace(/\s+/g, ' ');
  const gist = start.length > GIST_LETTERS ? `${start.slice(0, GIST_LETTERS).replace(/\s\S*$/, '')} …` : start;
  return (
    <Fold title="Note" gist={start === '' ? 'none' : gist}>
      <NoteField
        label="It stands on the build sheet too"
        note={note}
        onCommit={(next) => change('note', [{ kind: 'note', note: next }])}
      />
    </Fold>
  );
}
