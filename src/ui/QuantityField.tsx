'use client';

import { useId, useState } from 'react';
import { LEAST_LENGTH_M } from '@/core/schema';
import { readQuantity } from '@/core/units/read';
import { UNITS, type QuantityKind, type UnitId } from '@/core/units/quantity';
import { inUnit, showLength, showMass, writeExact } from '@/core/units/write';
import { readingProblemWords } from '@/words/problem-words';

export interface QuantityFieldProps {
  readonly label: string;
  readonly kind: QuantityKind;
  /** Null while nothing is known. */
  readonly si: number | null;
  /** The unit shown, and taken when none is typed. */
  readonly unit: UnitId;
  readonly minSi?: number;
  readonly maxSi?: number;
  /** Label and field in one row. */
  readonly beside?: boolean;
  readonly onCommit: (si: number) => void;
  /** Given where the field may be left empty. */
  readonly onClear?: () => void;
  readonly onFocus?: () => void;
}

/** Takes what people write (`.038`, `1 3/4"`, `5mm`); a wrong entry stays, and the field says what would be right. */
export function QuantityField({
  label,
  kind,
  si,
  unit,
  minSi,
  maxSi,
  beside,
  onCommit,
  onClear,
  onFocus,
}: QuantityFieldProps) {
  const id = useId();
  const [typed, setTyped] = useState<string | null>(null);
  const [problem, setProblem] = useState<string | null>(null);

  const commit = () => {
    if (typed === null) return;
    if (typed.trim() === '' && onClear) {
      setTyped(null);
      setProblem(null);
      onClear();
      return;
    }
    const reading = readQuantity(kind, typed, {
      bare: unit,
      ...(minSi === undefined ? {} : { minSi }),
      ...(maxSi === undefined ? {} : { maxSi }),
    });
    if (!reading.ok) {
      setProblem(readingProblemWords(reading.problem));
      return;
    }
    const size = Math.abs(reading.si);
    if (kind === 'length' && size > 0 && size < LEAST_LENGTH_M) {
      const bounds = { minSi: LEAST_LENGTH_M, maxSi: maxSi ?? Number.MAX_VALUE };
      setProblem(readingProblemWords({ code: 'outOfRange', kind, si: reading.si, ...bounds, unit: reading.unit }));
      return;
    }
    setTyped(null);
    setProblem(null);
    if (reading.si !== si) onCommit(reading.si);
  };

  return (
    <div className={beside ? 'flex flex-wrap items-center gap-x-3' : 'flex flex-col gap-1'}>
      <label htmlFor={id} className="text-sm text-ink-soft">
        {label}
      </label>
      <input
        id={id}
        className={`measure rounded-md border border-line bg-panel px-2.5 aria-invalid:border-fault ${beside ? 'min-h-9 w-24 max-sm:min-h-11 pointer-coarse:min-h-11' : 'min-h-11 w-full'}`}
        value={typed ?? (si === null ? '' : readable(si, unit))}
        aria-invalid={problem !== null}
        aria-describedby={problem === null ? undefined : `${id}-problem`}
        autoComplete="off"
        spellCheck={false}
        onChange={(event) => setTyped(event.target.value)}
        onFocus={onFocus}
        onBlur={commit}
        onKeyDown={(event) => {
          if (event.key === 'Enter') commit();
          if (event.key === 'Escape') {
            setTyped(null);
            setProblem(null);
          }
        }}
      />
      {problem !== null && (
        <p id={`${id}-problem`} role="alert" className="text-sm text-fault">
          {problem}
        </p>
      )}
    </div>
  );
}

/** Exact where that is short; a value with a long tail, from the other system, as it is written elsewhere until typed anew. */
function readable(si: number, unit: UnitId): string {
  const exact = writeExact(si, unit);
  const isShort = exact.length <= 10 && !/\d{2,}\/(?:32|64)|\.\d{4,}/.test(exact);
  if (isShort) return exact;
  if (unit === 'in') return showLength(si, 'trade');
  if (unit === 'oz') return showMass(si, 'trade');
  return `${Number(inUnit(si, unit).toPrecision(5))} ${UNITS[unit].symbol}`;
}
