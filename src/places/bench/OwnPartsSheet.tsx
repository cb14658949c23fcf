'use client';

import { useEffect, useRef, useState } from 'react';
import type { Part } from '@/core/parts/part';
import { PARTS_FILE_MAX_BYTES, writePartsFile } from '@/core/parts/parts-file';
import type { UnitSystem } from '@/core/units/write';
import { PartPortrait } from '@/drawing/PartPortrait';
import { Button } from '@/ui/Button';
import { saveFile } from '@/ui/save-file';
import { Sheet } from '@/ui/Sheet';
import { partLine, partTitle } from '@/words/part-words';
import { partsFileProblemWords } from '@/words/problem-words';
import { tell, useDesk } from '@/desk/desk-state';
import { PutBack } from '@/ui/PutBack';
import { addOwnParts, followOwnParts, importPartsText, removeOwnPart } from '@/desk/own-things';
import { MeasureBlade } from '@/desk/picker/MeasureBlade';

/** As many as are listed at once; all of them stand in every choice of parts. */
const SHOWN = 60;

/** Parts the user measured or took in: to look at, hand on, and add to. */
export function OwnPartsSheet({ system, onClose }: { readonly system: UnitSystem; readonly onClose: () => void }) {
  const parts = useDesk((state) => state.ownParts);
  const input = useRef<HTMLInputElement>(null);
  const [gone, setGone] = useState<Part | null>(null);
  const [isMeasuring, setMeasuring] = useState(parts.length === 0);
  useEffect(followOwnParts, []);
  return (
    <Sheet
      open
      onOpenChange={(open) => !open && onClose()}
      title={isMeasuring ? 'Measure a blade' : 'Your own parts'}
      description={
        isMeasuring
          ? 'A blade is its measures: with caliper and scale, two minutes.'
          : 'They stand first in every choice of parts. Lures keep the parts they are made of.'
      }
    >
      {isMeasuring ? (
        <MeasureBlade system={system} onKept={() => setMeasuring(false)} onBack={() => setMeasuring(false)} />
      ) : (
        <>
          <div className="flex flex-wrap gap-1.5">
            <Button look="main" onClick={() => setMeasuring(true)}>
              Measure a blade
            </Button>
            <Button disabled={parts.length === 0} onClick={() => exportParts(parts)}>
              Export them
            </Button>
            <Button onClick={() => input.current?.click()}>Import parts</Button>
          </div>
          <input
            ref={input}
            type="file"
            accept=".json,application/json"
            aria-label="Parts file to import"
            className="hidden"
            onChange={(event) => {
              const [file] = event.target.files ?? [];
              event.target.value = '';
              if (file) void importParts(file);
            }}
          />
          {gone && (
            <PutBack
              words={`${gone.name} was put away. Lures that have it keep it.`}
              onPutBack={() => void addOwnParts([gone]).then(() => setGone(null))}
            />
          )}
          {parts.length === 0 && (
            <p className="text-ink-soft">None yet. A blade of yours, measured, would stand here.</p>
          )}
          <ul className="flex min-h-0 flex-1 flex-col gap-1 overflow-y-auto" aria-label="Own parts">
            {parts.slice(0, SHOWN).map((part) => (
              <li key={part.id} className="flex items-center gap-3 rounded-md border border-line px-2 py-1">
                <PartPortrait part={part} width={110} height={56} scale={2.4} />
                <div className="min-w-0 flex-1">
                  <p className="truncate font-semibold">{partTitle(part)}</p>
                  <p className="truncate text-sm">{partLine(part, system)}</p>
                </div>
                <Button
                  aria-label={`Put away ${partTitle(part)}`}
                  onClick={() => void removeOwnPart(part).then(setGone)}
                >
                  Put away
                </Button>
              </li>
            ))}
            {parts.length > SHOWN && (
              <li className="p-2 text-sm text-ink-soft">
                and {(parts.length - SHOWN).toLocaleString('en')} more, all to be found where parts are chosen
              </li>
            )}
          </ul>
        </>
      )}
    </Sheet>
  );
}

function exportParts(parts: Parameters<typeof writePartsFile>[0]) {
  saveFile('own.mazurka-parts.json', writePartsFile(parts), 'application/json');
}

async function importParts(file: File) {
  if (file.size > PARTS_FILE_MAX_BYTES) {
    const problem = { code: 'tooLarge', bytes: file.size, maxBytes: PARTS_FILE_MAX_BYTES } as const;
    tell('trouble', `Not imported, and nothing here was changed. ${partsFileProblemWords(problem)}`);
    return;
  }
  await importPartsText(await file.text());
}
