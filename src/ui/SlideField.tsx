'use client';

import { useId } from 'react';

export interface SlideFieldProps {
  readonly label: string;
  readonly value: number;
  /** The value in words, beside the label and for those who hear it. */
  readonly words: string;
  readonly min: number;
  readonly max: number;
  readonly step: number;
  /** While it is slid; what is shown then is not yet done. */
  readonly onSlide: (value: number) => void;
  /** When it is let go. */
  readonly onSettle?: () => void;
}

/** A slider that shows what it would do while it moves and does it once it is let go. */
export function SlideField({ label, value, words, min, max, step, onSlide, onSettle }: SlideFieldProps) {
  const id = useId();
  return (
    <div className="flex flex-col text-sm text-ink-soft">
      <div className="flex justify-between gap-2">
        <label htmlFor={id}>{label}</label>
        <span className="measure text-base text-ink">{words}</span>
      </div>
      <input
        id={id}
        type="range"
        className="h-11 w-full accent-accent"
        min={min}
        max={max}
        step={step}
        value={value}
        aria-valuetext={words}
        onChange={(event) => onSlide(Number(event.target.value))}
        onPointerUp={onSettle}
        onKeyUp={onSettle}
        onBlur={onSettle}
      />
    </div>
  );
}
