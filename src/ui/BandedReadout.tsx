'use client';

import { Popover } from 'radix-ui';

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
  /** All on one line. */
  readonly compact?: boolean;
}

/** A predicted number: value, unit, spread; press it for the why. */
export function BandedReadout({
  name,
  value,
  unit,
  band,
  why,
  more = [],
  before,
  testId,
  compact,
}: BandedReadoutProps) {
  return (
    <Popover.Root>
      <Popover.Trigger
        title={why}
        data-testid={testId}
        className={`flex rounded-md px-2 py-1 text-left hover:bg-accent-soft ${compact ? 'items-baseline gap-2 max-sm:min-h-11 pointer-coarse:min-h-11' : 'min-w-20 flex-col items-start'}`}
      >
        <span className="text-sm text-ink-soft">{name}</span>
        <span className="whitespace-nowrap">
          <span className={`measure font-semibold ${compact ? 'text-base' : 'text-2xl'}`}>{value}</span>{' '}
          <span className="text-sm">{unit}</span>
        </span>
        <span className="text-sm whitespace-nowrap text-ink-soft">
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
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
