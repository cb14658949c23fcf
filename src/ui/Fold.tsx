'use client';

import ChevronRight from 'lucide-react/icons/chevron-right';
import type { ReactNode } from 'react';

export interface FoldProps {
  readonly title: string;
  /** What is worth knowing of it while it is folded. */
  readonly gist: ReactNode;
  readonly children: ReactNode;
}

/** A section that is one line until it is asked for. */
export function Fold({ title, gist, children }: FoldProps) {
  return (
    <section aria-label={title} className="border-t border-line">
      <details className="group">
        <summary className="flex min-h-10 cursor-pointer list-none items-center gap-1.5 max-sm:min-h-11 pointer-coarse:min-h-11">
          <ChevronRight aria-hidden size={16} className="shrink-0 text-ink-soft group-open:rotate-90" />
          <h2 className="font-semibold whitespace-nowrap">{title}</h2>
          <span className="ml-auto min-w-0 text-right text-sm text-ink-soft">{gist}</span>
        </summary>
        <div className="flex flex-col gap-3 pt-1 pb-3">{children}</div>
      </details>
    </section>
  );
}
