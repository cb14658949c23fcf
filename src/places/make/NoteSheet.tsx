'use client';

import { useEffect, useRef, useState, type RefObject } from 'react';
import type { MakeStep } from '@/core/make/plan';
import type { Run } from '@/core/make/run';
import type { RunPhoto } from '@/data/run-store';
import { stores } from '@/data/stores';
import { Sheet } from '@/ui/Sheet';
import { storageFailureWords } from '@/words/storage-words';
import { BIG } from './looks';
import { changeRun } from './make-store';
import { smallPicture } from './small-picture';

/** A note and pictures for one step. */
export function NoteSheet({
  run,
  step,
  focusAfter,
  onClose,
}: {
  readonly run: Run;
  readonly step: MakeStep;
  readonly focusAfter: RefObject<HTMLElement | null>;
  readonly onClose: () => void;
}) {
  const [photos, setPhotos] = useState<readonly RunPhoto[]>([]);
  const [trouble, setTrouble] = useState<string | null>(null);
  useEffect(() => stores().runs.watchPhotos(run.id, setPhotos), [run.id]);
  const add = async (file: File) => {
    const picture = await smallPicture(file);
    if (picture === null) {
      setTrouble('That is not a picture the browser can open. A JPEG or PNG up to 30 MB would be right.');
      return;
    }
    const added = await stores().runs.addPhoto(run.id, step.id, picture);
    setTrouble(added.ok ? null : storageFailureWords(added.failure));
  };
  const keep = (text: string) => {
    const trimmed = text.trim().slice(0, 2000);
    changeRun((each) => {
      const notes = Object.fromEntries(Object.entries(each.notes).filter(([name]) => name !== step.id));
      return { ...each, notes: trimmed === '' ? notes : { ...notes, [step.id]: trimmed } };
    });
  };
  const own = photos.filter((photo) => photo.step === step.id);
  return (
    <Sheet
      open
      focusAfter={focusAfter}
      onOpenChange={(open) => !open && onClose()}
      title="Note for this step"
      description="Kept with this piece: what you found, what you did otherwise."
    >
      <label className="flex flex-col gap-1 text-lg">
        Note
        <textarea
          data-focus-first
          className="min-h-32 rounded-lg border-2 border-line bg-panel p-3 text-lg"
          defaultValue={run.notes[step.id] ?? ''}
          maxLength={2000}
          onChange={(event) => keep(event.target.value)}
        />
      </label>
      <label className={`${BIG.plain} cursor-pointer self-start focus-within:outline-3 focus-within:outline-accent`}>
        Add a picture
        <input
          type="file"
          accept="image/*"
          capture="environment"
          className="sr-only"
          onChange={(event) => {
            const [file] = event.target.files ?? [];
            event.target.value = '';
            if (file) void add(file);
          }}
        />
      </label>
      {trouble !== null && (
        <p role="alert" className="text-lg text-fault">
          {trouble}
        </p>
      )}
      <ul className="grid grid-cols-2 gap-3 overflow-y-auto" aria-label="Pictures">
        {own.map((photo, i) => (
          <Picture key={photo.id} photo={photo} number={i + 1} />
        ))}
      </ul>
    </Sheet>
  );
}

function Picture({ photo, number }: { readonly photo: RunPhoto; readonly number: number }) {
  const shown = useRef<HTMLImageElement>(null);
  useEffect(() => {
    const url = URL.createObjectURL(photo.picture);
    if (shown.current) shown.current.src = url;
    return () => URL.revokeObjectURL(url);
  }, [photo.picture]);
  return (
    <li className="flex flex-col gap-1">
      {/* The user's own, out of storage: nothing to optimise on the way. */}
      {/* eslint-disable-next-line @next/next/no-img-element */}
      <img ref={shown} alt={`Taken at this step, ${number}`} className="rounded-lg" />
      <button type="button" className={BIG.quiet} onClick={() => void stores().runs.removePhoto(photo.id)}>
        Take it out
      </button>
    </li>
  );
}
