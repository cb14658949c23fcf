import clsx from 'clsx';
import type { ReactNode } from 'react';

/**
 * What changes with every movement of the hand, in a place of fixed height: the browser lays it out without all that stands
 * around it. It does so for a block within a block only, hence two of them.
 */
export function LaidAlone({ className, children }: { readonly className: string; readonly children: ReactNode }) {
  return (
    <div className="min-w-0">
      <div className={clsx('contain-layout contain-size', className)}>{children}</div>
    </div>
  );
}
