'use client';

import { costOfChange } from '@/core/lure/cost';
import type { Lure } from '@/core/lure/lure';
import type { UnitSystem } from '@/core/units/write';
import { Button } from '@/ui/Button';
import { costWords } from '@/words/finding-words';
import { change } from './bench-store';

/** Design or made; on a made lure, what the changes since then take. */
export function MadeBar({ lure, system }: { readonly lure: Lure; readonly system: UnitSystem }) {
  const { made, build } = lure;
  const costs = made ? costOfChange(made.build, build) : [];
  const mark = () => change('mark as made', [{ kind: 'mark', made: { onDay: today(), build } }]);
  return (
    <section aria-label="Made or not" className="flex flex-col gap-1.5 rounded-md border border-line px-3 py-2 text-sm">
      {made === null ? (
        <p>
          <span className="font-semibold">A design.</span> Its loops are not closed yet; everything can still change.
        </p>
      ) : costs.length === 0 ? (
        <p>
          <span className="font-semibold">Made</span> on <span className="measure">{made.onDay}</span>, as drawn. Its
          loops are closed.
        </p>
      ) : (
        <>
          <p>
            <span className="font-semibold">Made</span> on <span className="measure">{made.onDay}</span>; changed since.
            To get there:
          </p>
          <ul className="list-disc pl-5" data-testid="costs">
            {costs.map((cost) => (
              <li key={cost.code}>{costWords(cost, build, system)}</li>
            ))}
          </ul>
        </>
      )}
      <div className="flex gap-1.5">
        {(made === null || costs.length > 0) && (
          <Button className="flex-1" onClick={mark}>
            {made === null ? 'Mark as made' : 'Done: made so'}
          </Button>
        )}
        {made !== null && costs.length === 0 && (
          <Button look="quiet" className="flex-1" onClick={() => change('not made', [{ kind: 'mark', made: null }])}>
            Not made after all
          </Button>
        )}
      </div>
    </section>
  );
}

/** The user's own day. */
function today(): string {
  const now = new Date();
  const two = (value: number) => String(value).padStart(2, '0');
  return `${now.getFullYear()}-${two(now.getMonth() + 1)}-${two(now.getDate())}`;
}
