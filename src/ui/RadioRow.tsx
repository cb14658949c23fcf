'use client';

import { RadioGroup } from 'radix-ui';
import type { ReactNode } from 'react';

export interface RadioRowProps<T extends string> {
  readonly label: string;
  readonly value: T | null;
  readonly options: readonly { readonly value: T; readonly shown: ReactNode; readonly label?: string }[];
  readonly onChange: (value: T) => void;
  readonly className?: string;
  readonly optionClassName: string;
  readonly isColumn?: boolean;
}

/** One of several: arrows choose, Tab goes past. */
export function RadioRow<T extends string>(props: RadioRowProps<T>) {
  const { label, value, options, onChange, className, optionClassName, isColumn = false } = props;
  return (
    <RadioGroup.Root
      aria-label={label}
      value={value}
      onValueChange={(chosen) => {
        const option = options.find((each) => each.value === chosen);
        if (option) onChange(option.value);
      }}
      orientation={isColumn ? 'vertical' : 'horizontal'}
      className={className}
    >
      {options.map((option) => (
        <RadioGroup.Item key={option.value} value={option.value} aria-label={option.label} className={optionClassName}>
          {option.shown}
        </RadioGroup.Item>
      ))}
    </RadioGroup.Root>
  );
}
