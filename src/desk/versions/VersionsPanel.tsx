'use client';

import { useState } from 'react';
import type { Lure } from '@/core/lure/lure';
import { Button } from '@/ui/Button';
import { Fold } from '@/ui/Fold';
import { NoteField } from '@/ui/NoteField';
import { compareWith } from '../desk-state';
import { change, goBackTo } from '../open-lure';

/** The builds kept under a name: to keep this one, go back to one, or lay one beside this. */
export function VersionsPanel({ lure }: { readonly lure: Lure }) {
  const { versions, build } = lure;
  const [name, setName] = useState('');
  const keep = () => {
    const kept = name.trim() === '' ? `Version ${versions.length + 1}` : name.trim();
    if (change('keepVersion', [{ kind: 'keepVersion', at: versions.length, version: { name: kept, build } }]))
      setName('');
  };
  return (
    <Fold title="Versions" gist={versions.length === 0 ? 'none kept' : `${versions.length} kept`}>
      {versions.map((version, index) => (
        <div key={index} className="flex flex-wrap items-center gap-1.5 border-t border-line pt-1.5">
          <span className="w-full font-semibold break-words">{version.name}</span>
          <NoteField
            label={`Note on ${version.name}`}
            isLabelled={false}
            note={version.note ?? ''}
            onCommit={(note) => change('noteVersion', [{ kind: 'noteVersion', at: index, note }])}
          />
          <Button aria-label={`Compare with ${version.name}`} onClick={() => compareWith([{ of: 'version', index }])}>
            Compare
          </Button>
          <Button look="quiet" aria-label={`Go back to ${version.name}`} onClick={() => goBackTo(version.build)}>
            Go back
          </Button>
          <Button
            look="quiet"
            aria-label={`Forget ${version.name}`}
            onClick={() => change('forgetVersion', [{ kind: 'forgetVersion', at: index }])}
          >
            Forget
          </Button>
        </div>
      ))}
      {versions.length > 0 && (
        <Button look="quiet" className="self-start" onClick={() => compareWith([])}>
          Compare with another lure
        </Button>
      )}
      <form
        className="flex items-end gap-1.5"
        onSubmit={(event) => {
          event.preventDefault();
          keep();
        }}
      >
        <label className="flex min-w-0 flex-1 flex-col gap-1 text-sm text-ink-soft">
          Keep it as it is now, under a name
          <input
            className="min-h-11 rounded-md border border-line bg-panel px-2.5 text-base text-ink"
            value={name}
            maxLength={120}
            placeholder={`Version ${versions.length + 1}`}
            onChange={(event) => setName(event.target.value)}
          />
        </label>
        <Button type="submit">Keep</Button>
      </form>
    </Fold>
  );
}
