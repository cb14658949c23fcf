'use client';

import { useId, useState } from 'react';
import { WEIGHTS, type CardLine, type Want } from '@/core/tune/target';
import { readNumberText } from '@/core/units/number-text';
import { Button } from '@/ui/Button';
import { RadioRow } from '@/ui/RadioRow';
import { LINE_WORDS, lineNumber, type CardMeasures, type LineUnit } from '@/words/card-words';

export interface WantFormProps {
  readonly line: CardLine;
  readonly want: Want | null;
  readonly measures: CardMeasures;
  readonly onWant: (want: Want | null) => void;
}

const WEIGHT_NAMES: Readonly<Record<Want['weight'], string>> = {
  must: 'must',
  wouldLike: 'would like',
  whatever: 'whatever',
};

/** A window typed: its least, its most, how much it matters. */
export function WantForm({ line, want, measures, onWant }: WantFormProps) {
  const { name, why, shown } = LINE_WORDS[line];
  const unit = shown(measures);
  const [problem, setProblem] = useState<string | null>(null);
  const weight = want?.weight ?? 'must';
  const put = (low: number | null, high: number | null) => {
    if (low !== null && high !== null && low >= high) {
      setProblem(
        `The least has to lie below the most: ${lineNumber(low, unit)} does not lie below ${lineNumber(high, unit)}.`,
      );
      return;
    }
    setProblem(null);
    onWant(low === null && high === null ? null : { line, low, high, weight });
  };
  return (
    <div className="flex flex-col gap-2">
      <p className="font-semibold">{name}</p>
      <p className="text-sm text-ink-soft">{why}</p>
      <div className="flex gap-2">
        <EdgeField
          label="at least"
          si={want?.low ?? null}
          unit={unit}
          onCommit={(low) => put(low, want?.high ?? null)}
          onProblem={setProblem}
        />
        <EdgeField
          label="at most"
          si={want?.high ?? null}
          unit={unit}
          onCommit={(high) => put(want?.low ?? null, high)}
          onProblem={setProblem}
        />
      </div>
      {problem && (
        <p role="alert" className="text-sm text-fault">
          {problem}
        </p>
      )}
      <RadioRow
        label="How much it matters"
        className="flex gap-1"
        optionClassName="min-h-11 rounded-md border border-line px-2.5 text-sm aria-checked:border-accent aria-checked:bg-accent-soft aria-checked:font-semibold disabled:opacity-45"
        value={want ? weight : null}
        options={WEIGHTS.map((each) => ({ value: each, shown: WEIGHT_NAMES[each] }))}
        onChange={(next) => want && onWant({ ...want, weight: next })}
      />
      {want && (
        <Button look="quiet" onClick={() => onWant(null)}>
          Nothing wanted of it
        </Button>
      )}
    </div>
  );
}

interface EdgeFieldProps {
  readonly label: string;
  readonly si: number | null;
  readonly unit: LineUnit;
  readonly onCommit: (si: number | null) => void;
  readonly onProblem: (problem: string | null) => void;
}

/** One edge; left empty the window is open there. What is wrong stays, and is told. */
function EdgeField({ label, si, unit, onCommit, onProblem }: EdgeFieldProps) {
  const id = useId();
  const [typed, setTyped] = useState<string | null>(null);
  const commit = () => {
    if (typed === null) return;
    if (typed.trim() === '') {
      setTyped(null);
      onCommit(null);
      return;
    }
    const read = readNumberText(typed.replace(unit.unit, '').replace('−', '-').trim());
    if (!read || read.rest.trim() !== '') {
      onProblem(`“${typed}” is no number. Write it like ${lineNumber(1.5 * unit.perUnit, unit)}, in ${unit.unit}.`);
      return;
    }
    setTyped(null);
    onCommit(read.value.valueOf() * unit.perUnit);
  };
  return (
    <label htmlFor={id} className="flex min-w-0 flex-1 flex-col text-sm text-ink-soft">
      {label}, {unit.unit}
      <input
        id={id}
        inputMode="decimal"
        className="measure min-h-11 w-full rounded-md border border-line bg-panel px-2 text-base text-ink"
        value={typed ?? (si === null ? '' : lineNumber(si, unit))}
        placeholder="any"
        onChange={(event) => setTyped(event.target.value)}
        onBlur={commit}
        onKeyDown={(event) => event.key === 'Enter' && commit()}
      />
    </label>
  );
}
