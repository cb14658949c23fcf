export interface SelectFieldProps<T extends string> {
  readonly label: string;
  readonly value: T;
  readonly options: readonly { readonly value: T; readonly name: string }[];
  readonly onChange: (value: T) => void;
}

/** One of a few, under its label. */
export function SelectField<T extends string>({ label, value, options, onChange }: SelectFieldProps<T>) {
  return (
    <label className="flex flex-col gap-1 text-sm text-ink-soft">
      {label}
      <select
        className="min-h-11 w-full rounded-md border border-line bg-panel px-2.5 text-base text-ink"
        value={value}
        onChange={(event) => {
          const chosen = options.find((each) => each.value === event.target.value);
          if (chosen) onChange(chosen.value);
        }}
      >
        {options.map((each) => (
          <option key={each.value} value={each.value}>
            {each.name}
          </option>
        ))}
      </select>
    </label>
  );
}
