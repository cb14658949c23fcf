'use client';

import { useState } from 'react';
import type { Run } from '@/core/make/run';
import type { RemovedRun } from '@/data/run-store';
import { PutBack } from '@/ui/PutBack';
import { BIG } from './looks';
import { giveUp, showRun, takeUpAgain } from './make-store';

/** What was begun and not finished, and what was made, with no lure asked for. */
export function UnderWay({ runs }: { readonly runs: readonly Run[] }) {
  const made = runs.filter(({ stage }) => stage === 'made');
  return (
    <main className="mx-auto flex max-w-3xl flex-col gap-6 p-5">
      <h1 className="text-3xl font-bold">Make</h1>
      <RunsUnderWay runs={runs.filter(({ stage }) => stage !== 'made')} />
      {made.length > 0 && (
        <section className="flex flex-col gap-2">
          <h2 className="text-2xl font-semibold">Made</h2>
          <ul className="flex flex-col gap-2">
            {made.map((run) => (
              <li key={run.id}>
                <button type="button" className={`${BIG.plain} w-full justify-between`} onClick={() => showRun(run)}>
                  <span>
                    <span className="measure font-bold">No. {run.number}</span> {run.lureName}
                  </span>
                  <span>{run.madeOn}</span>
                </button>
              </li>
            ))}
          </ul>
        </section>
      )}
      <a className={`${BIG.main} self-start`} href="/bench">
        Choose a lure on the bench
      </a>
    </main>
  );
}

/** Runs that stopped half way, to go on with or to give up. */
export function RunsUnderWay({ runs }: { readonly runs: readonly Run[] }) {
  const [gone, setGone] = useState<{ readonly run: Run; readonly removed: RemovedRun } | null>(null);
  const remove = async (run: Run) => {
    const removed = await giveUp(run);
    if (removed) setGone({ run, removed });
  };
  if (runs.length === 0 && !gone) return null;
  return (
    <section aria-label="Under way" className="flex flex-col gap-2">
      <h2 className="text-2xl font-semibold">Under way</h2>
      {gone && (
        <PutBack
          words={`The work on ${gone.run.lureName} was given up.`}
          onPutBack={() => void takeUpAgain(gone.removed, gone.run).then(() => setGone(null))}
        />
      )}
      <ul className="flex flex-col gap-2">
        {runs.map((run) => (
          <li key={run.id} className="flex flex-wrap items-center gap-3 rounded-lg border-2 border-line bg-panel p-3">
            <span className="flex-1 text-lg max-sm:basis-full">
              <span className="font-semibold">{run.lureName}</span>, {run.done.length}{' '}
              {run.done.length === 1 ? 'step' : 'steps'} done, begun{' '}
              {new Date(run.startedAt).toLocaleDateString('en-GB', { day: 'numeric', month: 'long' })}
            </span>
            <button type="button" className={BIG.main} onClick={() => showRun(run)}>
              Go on
            </button>
            <button type="button" className={BIG.quiet} onClick={() => void remove(run)}>
              Give it up
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}
