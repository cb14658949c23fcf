'use client';

import { useEffect, useState } from 'react';
import type { Finding } from '@/core/judgement/finding';
import { closingChecks, type ClosingCheck } from '@/core/make/closing-checks';
import { stepBack, type Run } from '@/core/make/run';
import { stores } from '@/data/stores';
import { today } from '@/ui/today';
import { CLOSING_WORDS } from '@/words/closing-words';
import { findingWords, SEVERITY_WORDS } from '@/words/finding-words';
import { useHandsFree, useWakeLock } from './hands-free';
import { BIG } from './looks';
import { changeRun, finish, useMake } from './make-store';
import { say } from './speech';

/** The last look over it, each point with what the Bench worked out about it. */
export function Checks({ run, names }: { readonly run: Run; readonly names: readonly string[] }) {
  const found = useFindings(run);
  const { spoken } = useMake((state) => state.settings);
  const checks = closingChecks(run.build, found ?? []);
  const open = checks.find(({ check }) => run.checks[check] === undefined) ?? null;
  const wrong = checks.filter(({ check }) => run.checks[check] === 'wrong');
  const judge = (check: ClosingCheck['check'], value: 'good' | 'wrong') =>
    changeRun((each) => ({ ...each, checks: { ...each.checks, [check]: value } }));
  const next = () => {
    if (open) judge(open.check, 'good');
    else void finish(today());
  };
  const words = open ? CLOSING_WORDS[open.check] : 'All seen to.';
  useEffect(() => {
    if (spoken) say(words);
  }, [spoken, words]);
  useWakeLock();
  useHandsFree({
    onNext: next,
    onBack: () => changeRun((each) => stepBack(each, names)),
    onRepeat: () => say(words),
  });
  return (
    <div className="flex min-h-dvh flex-col">
      <main className="mx-auto flex w-full max-w-4xl flex-1 flex-col gap-4 p-4">
        <h1 className="text-3xl font-bold">{run.lureName}: the last look</h1>
        <p className="text-xl">Good where it is, and Space says so too; what is not, say so.</p>
        <ol className="flex flex-col gap-3">
          {checks.map((each) => (
            <CheckRow
              key={each.check}
              each={each}
              run={run}
              isNow={each === open}
              onJudge={(value) => judge(each.check, value)}
            />
          ))}
        </ol>
        {wrong.length > 0 && (
          <p role="note" className="rounded-lg border-l-8 border-caution bg-caution-soft px-3 py-2 text-xl">
            {wrong.length === 1 ? 'One thing is' : `${wrong.length} things are`} not right. Go back to the step, or mend
            the design on the bench; the number can be given all the same.
          </p>
        )}
      </main>
      <footer data-stays className="sticky bottom-0 grid grid-cols-[1fr_2fr] gap-3 border-t-2 border-line bg-panel p-3">
        <button
          type="button"
          className={`${BIG.plain} min-h-16 text-xl`}
          onClick={() => changeRun((each) => stepBack(each, names))}
        >
          Back
        </button>
        <button type="button" className={`${BIG.main} min-h-16 text-2xl`} onClick={next}>
          {open ? 'Good, next' : 'Give it its number'}
        </button>
      </footer>
    </div>
  );
}

interface CheckRowProps {
  readonly each: ClosingCheck;
  readonly run: Run;
  readonly isNow: boolean;
  readonly onJudge: (value: 'good' | 'wrong') => void;
}

function CheckRow({ each, run, isNow, onJudge }: CheckRowProps) {
  const { system } = useMake((state) => state.settings);
  const { check, findings } = each;
  const judged = run.checks[check];
  const worst = findings[0];
  const words = worst ? findingWords(worst, run.build, system) : null;
  return (
    <li
      aria-current={isNow ? 'step' : undefined}
      className="flex flex-wrap items-center gap-3 rounded-lg border-2 border-line bg-panel p-3 aria-[current]:border-accent"
    >
      <div className="min-w-64 flex-1">
        <p className={isNow ? 'text-2xl leading-snug font-bold' : 'text-xl leading-snug'}>{CLOSING_WORDS[check]}</p>
        {worst && words && (
          <p className="mt-1 text-lg">
            <span className="font-semibold">On the bench, {SEVERITY_WORDS[worst.severity].toLowerCase()}:</span>{' '}
            {words.title}
            {words.figure === '' ? '' : `, ${words.figure}`}
          </p>
        )}
      </div>
      <div role="group" aria-label={CLOSING_WORDS[check]} className="flex gap-2">
        <button type="button" className={BIG.plain} aria-pressed={judged === 'good'} onClick={() => onJudge('good')}>
          ✓ Good
        </button>
        <button type="button" className={BIG.plain} aria-pressed={judged === 'wrong'} onClick={() => onJudge('wrong')}>
          ✕ Not right
        </button>
      </div>
    </li>
  );
}

/** What the Bench finds about this build against the user's own rules; null until it is worked out. */
function useFindings(run: Run): readonly Finding[] | null {
  const [found, setFound] = useState<readonly Finding[] | null>(null);
  const { id } = run;
  useEffect(() => {
    let isHere = true;
    const stop = stores().rules.watch((rules) => {
      void Promise.all([import('@/core/judgement/findings'), stores().lures.read(run.lureId)]).then(
        ([{ findings, USUAL_CONTEXT }, read]) => {
          const { make } = useMake.getState();
          if (!isHere || !read.ok || make.state !== 'run') return;
          const lure = { ...read.value.history.lure, build: make.run.build };
          setFound(findings(lure, { ...USUAL_CONTEXT, rules }));
        },
      );
    });
    return () => {
      isHere = false;
      stop();
    };
    // A run keeps its build.
  }, [id, run.lureId]);
  return found;
}
