'use client';

import { useMemo, useState } from 'react';
import { finishSchema, type Finish } from '@/core/parts/kinds/common';
import { copyOf, partFields, type PartChanges, type PartField } from '@/core/parts/part-fields';
import type { Part } from '@/core/parts/part';
import { idFromName } from '@/core/lure/lure-id';
import type { UnitSystem } from '@/core/units/write';
import { PartPortrait } from '@/drawing/PartPortrait';
import { Button } from '@/ui/Button';
import { NumberField } from '@/ui/NumberField';
import { QuantityField } from '@/ui/QuantityField';
import { SelectField } from '@/ui/SelectField';
import { choiceWords, copyProblemWords, partFieldWords } from '@/words/part-field-words';
import { partLine, partTitle } from '@/words/part-words';
import { addOwnParts } from '../own-things';
import { FINISHES } from './finishes';

export interface CopyPartProps {
  readonly of: Part;
  readonly system: UnitSystem;
  readonly onKept: () => void;
  readonly onBack: () => void;
}

/** A part of one's own: another copied, and changed in what is measured otherwise. */
export function CopyPart({ of, system, onKept, onBack }: CopyPartProps) {
  const [changes, setChanges] = useState<PartChanges>({});
  const [typed, setTyped] = useState('');
  const name = typed.trim() === '' ? `${of.name}, own` : typed.trim();
  const fields = useMemo(() => partFields(of), [of]);
  const copied = copyOf(of, changes, idFromName(`own ${name}`), name);
  const shown = copied.ok ? copied.part : of;
  const set = (key: PartField['key'], value: unknown) => setChanges((last) => ({ ...last, [key]: value }));
  return (
    <div className="flex min-h-0 flex-1 flex-col gap-3 overflow-y-auto pr-1">
      <div className="sticky top-0 z-10 flex shrink-0 flex-col items-center border-b border-line bg-panel pb-1">
        <PartPortrait part={shown} width={300} height={110} scale={12} />
        <p className="text-sm text-ink-soft">{partLine(shown, system)}</p>
      </div>
      <div className="grid grid-cols-2 gap-x-3 gap-y-2">
        {fields.map((field) => (
          <Field
            key={field.key}
            field={field}
            value={changes[field.key] ?? shown[field.key as keyof Part]}
            system={system}
            onSet={(value) => set(field.key, value)}
          />
        ))}
        <label className="col-span-2 flex flex-col gap-1 text-sm text-ink-soft">
          What you call it
          <input
            className="min-h-11 w-full rounded-md border border-line bg-panel px-2.5 text-base text-ink"
            value={typed}
            maxLength={120}
            placeholder={name}
            onChange={(event) => setTyped(event.target.value)}
          />
        </label>
      </div>
      <p role="status" className={`rounded-md px-2.5 py-2 text-sm ${copied.ok ? 'bg-accent-soft' : 'bg-fault-soft'}`}>
        {copied.ok
          ? `Copied from ${partTitle(of)}. What it weighs follows its measures until you weigh it.`
          : copyProblemWords(copied, of, system)}
      </p>
      <div className="flex gap-2">
        <Button
          look="main"
          className="flex-1"
          disabled={!copied.ok}
          onClick={() => void (copied.ok && addOwnParts([copied.part]).then((kept) => kept && onKept()))}
        >
          Keep this part
        </Button>
        <Button onClick={onBack}>Own parts</Button>
      </div>
    </div>
  );
}

const UNITS_SHOWN = {
  length: { metric: 'mm', trade: 'in' },
  mass: { metric: 'g', trade: 'oz' },
} as const;

interface FieldProps {
  readonly field: PartField;
  readonly value: unknown;
  readonly system: UnitSystem;
  readonly onSet: (value: unknown) => void;
}

function Field({ field, value, system, onSet }: FieldProps) {
  const label = partFieldWords(field);
  switch (field.of) {
    case 'length':
    case 'mass':
      return (
        <QuantityField
          label={label}
          kind={field.of}
          si={value as number}
          unit={UNITS_SHOWN[field.of][system]}
          minSi={0}
          maxSi={10}
          onCommit={onSet}
        />
      );
    case 'number':
      return <NumberField label={label} value={value as number} onSet={onSet} />;
    case 'yesNo':
      return (
        <SelectField
          label={label}
          value={value === true ? 'yes' : 'no'}
          options={[
            { value: 'yes', name: 'yes' },
            { value: 'no', name: 'no' },
          ]}
          onChange={(next) => onSet(next === 'yes')}
        />
      );
    case 'choice':
      return (
        <SelectField
          label={label}
          value={String(value)}
          options={field.values.map((each) => ({ value: String(each), name: choiceWords(field.key, each) }))}
          onChange={(next) => onSet(field.values.find((each) => String(each) === next))}
        />
      );
    case 'finish':
      return <FinishField label={label} value={finishSchema.parse(value)} onSet={onSet} />;
  }
}

function FinishField({ label, value, onSet }: { label: string; value: Finish; onSet: (value: Finish) => void }) {
  const all = FINISHES.some(({ name }) => name === value.name) ? FINISHES : [value, ...FINISHES];
  return (
    <SelectField
      label={label}
      value={value.name}
      options={all.map(({ name }) => ({ value: name, name }))}
      onChange={(name) => onSet(all.find((each) => each.name === name) ?? value)}
    />
  );
}
