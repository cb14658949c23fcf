'use client';

import { useEffect, useState } from 'react';
import { costOfChange } from '@/core/costs/cost';
import type { Lure, LureId } from '@/core/lure/lure';
import type { UnitSystem } from '@/core/units/write';
import { Button } from '@/ui/Button';
import { today } from '@/ui/today';
import { costWords } from '@/words/cost-words';
import { useDesk } from '@/desk/desk-state';
import { change } from '@/desk/open-lure';
import { openStores } from '@/desk/stores';

/** Design or made; on a made lure, what the changes since then take. */
export function MadeBar({ lure, system }: { readonly lure: Lure; readonly system: UnitSystem }) {
  const { made, build } = lure;
  const costs = made ? costOfChange(made.build, build) : [];
  const numbers = useNumbers(lure.id, made?.onDay ?? null);
  // What is pressed is meant of the lure on the bench, of which this can be a moment behind.
  const live = useDesk((state) => state.history?.lure) ?? lure;
  // A piece that was changed goes on counting: it is still the same.
  const used = live.made?.used;
  const mark = () =>
    change('markMade', [{ kind: 'mark', made: { onDay: today(), build: live.build, ...(used && { used }) } }]);
  return (
    <section aria-label="Made or not" className="flex flex-col gap-1.5 border-t border-line pt-3 text-sm">
      <div className="flex items-center justify-between gap-3">
        <p>
          {made === null ? (
            <>
              <span className="font-semibold">A design</span>, not made yet.
            </>
          ) : (
            <>
              <span className="font-semibold">Made</span> on <span className="whitespace-nowrap">{made.onDay}</span>
              {numbers.length > 0 && (
                <span className="measure whitespace-nowrap"> (No. {numbers.join(', ')})</span>
              )}, {costs.length === 0 ? 'as drawn; its loops are closed.' : 'and changed since. To get there:'}
            </>
          )}
        </p>
        {made === null && (
          <Button look="quiet" className="shrink-0" onClick={mark}>
            Mark as made
          </Button>
        )}
        {made !== null && costs.length === 0 && (
          <Button
            look="quiet"
            className="shrink-0"
            onClick={() => change('markNotMade', [{ kind: 'mark', made: null }])}
          >
            Not made
          </Button>
        )}
      </div>
      <a
        href={`/make?lure=${live.id}`}
        className="inline-flex min-h-11 items-center justify-center rounded-md border-2 border-accent px-3 font-semibold text-accent hover:bg-accent-soft"
      >
        {made === null ? 'Make it, step by step' : 'Make another, step by step'}
      </a>
      {costs.length > 0 && (
        <>
          <ul className="list-disc rounded-md bg-caution-soft py-1.5 pr-2 pl-7" data-testid="costs">
            {costs.map((cost) => (
              <li key={cost.code}>{costWords(cost, made?.build ?? build, build, system)}</li>
            ))}
          </ul>
          <Button onClick={mark}>Done: made so</Button>
        </>
      )}
    </section>
  );
}

/** Numbers of the pieces made of this lure, lowest first. */
function useNumbers(id: LureId, madeOn: string | null): readonly number[] {
  const [numbers, setNumbers] = useState<readonly number[]>([]);
  useEffect(() => {
    let isHere = true;
    void openStores()
      .then(({ runs }) => runs.list(id))
      .then((list) => {
        const found = list.ok ? list.value.flatMap(({ number }) => number ?? []) : [];
        if (isHere) setNumbers(found.toSorted((a, b) => a - b));
      });
    return () => {
      isHere = false;
    };
  }, [id, madeOn]);
  return numbers;
}
