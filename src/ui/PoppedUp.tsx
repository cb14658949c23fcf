'use client';

import clsx from 'clsx';
import { Popover } from 'radix-ui';
import type { ReactElement, ReactNode } from 'react';

export interface PoppedUpProps {
  /** What is pressed to open it. */
  readonly trigger: ReactElement;
  readonly label: string;
  readonly className?: string;
  /** Only rendered while it is open. */
  readonly children: ReactNode;
}

/** A small form over the page, beside what was pressed for it. */
export function PoppedUp({ trigger, label, className, children }: PoppedUpProps) {
  return (
    <Popover.Root>
      <Popover.Trigger asChild>{trigger}</Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          aria-label={label}
          sideOffset={4}
          collisionPadding={12}
          className={clsx('z-30 rounded-md border border-line bg-panel p-3 shadow-lg', className)}
        >
          {children}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
