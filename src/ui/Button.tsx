import clsx from 'clsx';
import type { ButtonHTMLAttributes } from 'react';

type Look = 'main' | 'plain' | 'quiet';

const LOOKS: Readonly<Record<Look, string>> = {
  main: 'bg-accent text-on-accent font-semibold hover:opacity-90',
  plain: 'bg-panel text-ink border border-line hover:border-accent',
  quiet: 'text-ink hover:bg-accent-soft',
};

export interface ButtonProps extends ButtonHTMLAttributes<HTMLButtonElement> {
  readonly look?: Look;
  /** Lower where a mouse points; a finger still has its 44 px. */
  readonly dense?: boolean;
}

/** A button of at least 44 px: cold hands hit it. */
export function Button({ look = 'plain', dense = false, className, ...rest }: ButtonProps) {
  return (
    <button
      type="button"
      className={clsx(
        'inline-flex items-center justify-center gap-2 rounded-md px-3 text-[0.95rem] disabled:opacity-45',
        dense
          ? 'min-h-9 min-w-9 pointer-coarse:min-h-11 pointer-coarse:min-w-11 max-sm:min-h-11 max-sm:min-w-11'
          : 'min-h-11 min-w-11',
        LOOKS[look],
        className,
      )}
      {...rest}
    />
  );
}
