'use client';

import { Button } from './Button';

export interface CountFieldProps {
  /** `Wraps`: what is counted, and one of them. */
  readonly label: string;
  readonly one: string;
  readonly value: number;
  readonly least: number;
  readonly most: number;
  readonly onChange: (value: number) => void;
}

/** A small whole number, one more or one fewer at a press. */
export function CountField({ label, one, value, least, most, onChange }: CountFieldProps) {
  return (
    <div className="flex items-center justify-between gap-2" role="group" aria-label={label}>
      <span className="text-sm text-ink-soft">
        {label}: <span className="measure text-base text-ink">{value}</span>
      </span>
      <span className="flex gap-1.5">
        <Button aria-label={`One ${one} fewer`} disabled={value <= least} onClick={() => onChange(value - 1)}>
          −
        </Button>
        <Button aria-label={`One ${one} more`} disabled={value >= most} onClick={() => onChange(value + 1)}>
          +
        </Button>
      </span>
    </div>
  );
}
