export interface NumberFieldProps {
  readonly label: string;
  /** Null or NaN while nothing is known. */
  readonly value: number | null;
  /** NaN when it is emptied. */
  readonly onSet: (value: number) => void;
  readonly onFocus?: () => void;
}

/** A number without a unit, or in the one that its label names. */
export function NumberField({ label, value, onSet, onFocus }: NumberFieldProps) {
  return (
    <label className="flex flex-col gap-1 text-sm text-ink-soft">
      {label}
      <input
        type="number"
        step="any"
        className="measure min-h-11 w-full rounded-md border border-line bg-panel px-2.5 text-base text-ink"
        value={value === null || Number.isNaN(value) ? '' : value}
        onFocus={onFocus}
        onChange={(event) => onSet(event.target.valueAsNumber)}
      />
    </label>
  );
}
