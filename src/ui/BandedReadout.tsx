'use client';

import clsx from 'clsx';
import { Popover } from 'radix-ui';
import type { ReactNode } from 'react';

export interface BandedReadoutProps {
  readonly name: string;
  readonly value: string;
  readonly unit: string;
  readonly band: string;
  /** One sentence of why, and what would make it surer. */
  readonly why: string;
  /** What else is worth knowing of it, each a sentence. */
  readonly more?: readonly string[];
  readonly before?: string | null;
  readonly testId?: string;
  /** Where what was measured is typed in. */
  readonly children?: ReactNode;
  /** The figure that matters most where it stands, one of several, a lesser one, or in two rows, the band below. */
  readonly look?: 'first' | 'among' | 'small' | 'rows';
  /** The name is plain from where it stands, and only read out. */
  readonly isNamed?: boolean;
}

/** A predicted number: value, unit, spread; press it for the why. */
export function BandedReadout(props: BandedReadoutProps) {
  const { name, value, unit, band, why, more = [], before, testId, look = 'among', isNamed = true, children } = props;
  return (
    <Popover.Root>
      <Popover.Trigger
        title={why}
        data-testid={testId}
        className={clsx(
          'flex rounded-md text-left whitespace-nowrap hover:bg-accent-soft max-sm:min-h-11 pointer-coarse:min-h-11',
          look === 'small' ? 'px-1' : 'px-1.5',
          look === 'rows' ? 'flex-col items-start justify-center py-0.5' : 'items-baseline gap-x-1.5',
        )}
      >
        <span className="flex items-baseline gap-x-1.5">
          <span className={isNamed ? 'text-sm text-ink-soft' : 'sr-only'}>{name}</span>
          <span
            className={clsx(
              'measure font-semibold',
              { first: 'text-2xl', among: 'text-lg', rows: 'text-lg', small: 'text-base' }[look],
            )}
          >
            {value}
          </span>
          {unit !== '' && <span className="text-sm">{unit}</span>}
        </span>
        <span className="text-sm text-ink-soft">
          {band}
          {before && <span className="ml-2 font-semibold text-accent">{before}</span>}
        </span>
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          sideOffset={6}
          collisionPadding={12}
          className="z-30 max-w-80 rounded-md border border-line bg-panel p-3 text-sm shadow-lg"
        >
          {why}
          {more.map((sentence) => (
            <p key={sentence} className="mt-1.5 text-ink-soft">
              {sentence}
            </p>
          ))}
          {children}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
