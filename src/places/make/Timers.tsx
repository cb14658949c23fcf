'use client';

import { useEffect, useEffectEvent, useRef, useState } from 'react';
import type { Run } from '@/core/make/run';
import { steadyNow } from '@/ui/steady-now';
import { WAIT_WORDS } from '@/words/tool-words';
import { BIG } from './looks';
import { changeRun, stepOf, useMake, type Planned } from './make-store';
import { ring, say } from './speech';

/** A wait that runs by itself while the work goes on. It counts on over reloads; the end rings once. */
export function Timers({ run, plan }: { readonly run: Run; readonly plan: Planned }) {
  const now = useNow(run.timers.length > 0);
  const timers = run.timers.map(({ step, endsAt }) => ({ step, left: leftOf(endsAt, now, plan, step) }));
  const spoken = useMake((state) => state.settings.spoken);
  const rung = useRef<ReadonlySet<string>>(new Set());
  const over = timers.filter(({ left }) => left === 0).map(({ step }) => step);
  const onOver = useEffectEvent((steps: readonly string[]) => {
    const fresh = steps.filter((step) => !rung.current.has(step));
    if (fresh.length === 0) return;
    rung.current = new Set([...rung.current, ...fresh]);
    ring();
    if (spoken) say(fresh.map((step) => `Done: ${waitOf(plan, step)}.`).join(' '));
  });
  const overKey = over.join('|');
  useEffect(() => {
    if (overKey !== '') onOver(overKey.split('|'));
  }, [overKey]);
  if (run.timers.length === 0) return null;
  return (
    <ul aria-label="Waiting" className="flex flex-wrap gap-2">
      {timers.map(({ step, left }) => {
        const isOver = left === 0;
        return (
          <li
            key={step}
            className={`flex items-center gap-3 rounded-lg border-2 px-3 ${isOver ? 'border-accent bg-accent-soft' : 'border-line bg-panel'}`}
          >
            <span className="text-lg">{waitOf(plan, step)}</span>
            <span role="timer" className="measure text-2xl font-bold">
              {isOver ? 'done' : clock(left ?? 0)}
            </span>
            <button
              type="button"
              className={BIG.quiet}
              aria-label={`Put away: ${waitOf(plan, step)}`}
              onClick={() =>
                changeRun((each) => ({ ...each, timers: each.timers.filter((timer) => timer.step !== step) }))
              }
            >
              ✕
            </button>
          </li>
        );
      })}
    </ul>
  );
}

/** Seconds left; null until the time is known. Never more than the whole wait: a clock set back does not lengthen it. */
function leftOf(endsAt: number, now: number, plan: Planned, step: string): number | null {
  if (now === 0) return null;
  const whole = stepOf(plan, step)?.wait?.seconds ?? Infinity;
  return Math.min(whole, Math.max(0, Math.ceil((endsAt - now) / 1000)));
}

/** Starts this step's wait, or starts it over. */
export function startTimer(run: Run, plan: Planned): void {
  const wait = stepOf(plan, run.at)?.wait;
  const { at } = run;
  if (!wait || at === null) return;
  const endsAt = steadyNow() + wait.seconds * 1000;
  changeRun((each) => ({ ...each, timers: [...each.timers.filter(({ step }) => step !== at), { step: at, endsAt }] }));
}

export function clock(seconds: number): string {
  return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;
}

function waitOf(plan: Planned, step: string): string {
  const wait = stepOf(plan, step)?.wait;
  return wait ? WAIT_WORDS[wait.for] : step;
}

/** The time, once a second while it is wanted; 0 until it is known. */
function useNow(isWanted: boolean): number {
  const [now, setNow] = useState(0);
  useEffect(() => {
    if (!isWanted) return;
    const tick = () => setNow(steadyNow());
    const first = setTimeout(tick, 0);
    const timer = setInterval(tick, 500);
    return () => {
      clearTimeout(first);
      clearInterval(timer);
    };
  }, [isWanted]);
  return now;
}
