'use client';

import { useEffect, useRef, useState } from 'react';
import { CATALOGUE } from '@/core/parts/catalogue';
import { startOf } from '@/core/parts/part-fields';
import { PART_KINDS, type Part, type PartKind } from '@/core/parts/part';
import { PARTS_FILE_MAX_BYTES, writePartsFile } from '@/core/parts/parts-file';
import type { UnitSystem } from '@/core/units/write';
import { PartPortrait } from '@/drawing/PartPortrait';
import { Button } from '@/ui/Button';
import { SelectField } from '@/ui/SelectField';
import { saveFile } from '@/ui/save-file';
import { Sheet } from '@/ui/Sheet';
import { KIND_WORDS, partLine, partTitle } from '@/words/part-words';
import { partsFileProblemWords } from '@/words/problem-words';
import { tell, useDesk } from '@/desk/desk-state';
import { PutBack } from '@/ui/PutBack';
import { addOwnParts, followOwnParts, importPartsText, removeOwnPart } from '@/desk/own-things';
import { CopyPart } from '@/desk/picker/CopyPart';
import { MeasureBlade } from '@/desk/picker/MeasureBlade';
import { MeasureBody } from '@/desk/picker/MeasureBody';

/** As many as are listed at once; all of them stand in every choice of parts. */
const SHOWN = 60;

type Doing = { readonly what: 'list' | 'measureBlade' | 'measureBody' } | { readonly what: 'copy'; readonly of: Part };

/** Kinds that a part of one's own can be; a blade and a body are measured with a drawing beside them. */
const MEASURED_KINDS = PART_KINDS.filter((kind) => kind !== 'blade' && kind !== 'lureBody').map((value) => ({
  value,
  name: KIND_WORDS[value].one,
}));

/** Parts the user measured or took in: to look at, hand on, and add to. */
export function OwnPartsSheet({ system, onClose }: { readonly system: UnitSystem; readonly onClose: () => void }) {
  const parts = useDesk((state) => state.ownParts);
  const input = useRef<HTMLInputElement>(null);
  const [gone, setGone] = useState<Part | null>(null);
  const begun = useDesk((state) => state.partBegun);
  const [doing, setDoing] = useState<Doing>(() => {
    if (begun?.what === 'measure') return measured(begun.kind);
    return begun ?? { what: parts.length === 0 ? 'measureBlade' : 'list' };
  });
  useEffect(followOwnParts, []);
  const toList = () => setDoing({ what: 'list' });
  return (
    <Sheet
      open
      onOpenChange={(open) => !open && onClose()}
      title={
        {
          list: 'Your own parts',
          measureBlade: 'Measure a blade',
          measureBody: 'Measure a body',
          copy: 'A part of your own',
        }[doing.what]
      }
      description={
        {
          list: 'They stand first in every choice of parts. Lures keep the parts they are made of.',
          measureBlade: 'A blade is its measures: with caliper and scale, two minutes.',
          measureBody: 'A hard bait by rule and scale, or traced on a photo, and what it does in water.',
          copy: 'Type what is measured otherwise; the rest stays as it is in the part it is copied from.',
        }[doing.what]
      }
    >
      {doing.what === 'measureBlade' && <MeasureBlade system={system} onKept={toList} onBack={toList} />}
      {doing.what === 'measureBody' && <MeasureBody system={system} onKept={toList} onBack={toList} />}
      {doing.what === 'copy' && <CopyPart of={doing.of} system={system} onKept={toList} onBack={toList} />}
      {doing.what === 'list' && (
        <>
          <div className="flex flex-wrap items-end gap-1.5">
            <Button look="main" onClick={() => setDoing({ what: 'measureBlade' })}>
              Measure a blade
            </Button>
            <Button onClick={() => setDoing({ what: 'measureBody' })}>Measure a body</Button>
            <SelectField
              label="Measure another kind"
              value=""
              options={[{ value: '', name: 'choose one' }, ...MEASURED_KINDS]}
              onChange={(kind) => kind !== '' && setDoing(measured(kind as PartKind))}
            />
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
            <p className="text-ink-soft">
              None yet. A part of yours, measured or copied from another, would stand here.
            </p>
          )}
          <ul className="flex min-h-0 flex-1 flex-col gap-1 overflow-y-auto" aria-label="Own parts">
            {parts.slice(0, SHOWN).map((part) => (
              <li key={part.id} className="flex items-center gap-3 rounded-md border border-line px-2 py-1">
                <PartPortrait part={part} width={110} height={56} scale={2.4} />
                <div className="min-w-0 flex-1">
                  <p className="font-semibold break-words">{partTitle(part)}</p>
                  <p className="text-sm">{partLine(part, system)}</p>
                </div>
                <Button
                  look="quiet"
                  aria-label={`Copy ${partTitle(part)} and change it`}
                  onClick={() => setDoing({ what: 'copy', of: part })}
                >
                  Copy
                </Button>
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

/** A blade and a body are measured with a drawing beside them; of another kind, its middle one is copied and changed. */
function measured(kind: PartKind): Doing {
  if (kind === 'lureBody') return { what: 'measureBody' };
  const of = kind === 'blade' ? null : startOf(kind, CATALOGUE);
  return of ? { what: 'copy', of } : { what: 'measureBlade' };
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
