'use client';

import { useEffect, useState } from 'react';
import { LAKE_WATER } from '@/core/hydro/water';
import type { BladeState } from '@/core/lure/bearing';
import type { Build } from '@/core/lure/lure';
import type { SpinPrediction } from '@/core/predict/spin';
import type { StallPrediction } from '@/core/predict/stalls';
import { askCore } from '@/workers/core-client';
import { FASTEST_SHOWN_MPS } from './speed';

const POINTS = 40;
const SPEEDS = Array.from({ length: POINTS }, (_, i) => ((i + 1) / POINTS) * FASTEST_SHOWN_MPS);

export type Asked<T> =
  | { readonly state: 'working'; readonly last: T | null }
  | { readonly state: 'ready'; readonly answer: T }
  | { readonly state: 'failed'; readonly reason: string; readonly again: () => void };

interface Question<T> {
  readonly build: Build;
  readonly bladeState: BladeState;
  readonly round: number;
  readonly asked: Asked<T>;
}

/** Asks the worker about a build; an answer that comes after it has changed again is dropped. */
function useCore<T>(ask: (build: Build, bladeState: BladeState) => Promise<T>, build: Build, bladeState: BladeState) {
  const [held, setHeld] = useState<Question<T> | null>(null);
  const [round, setRound] = useState(0);
  useEffect(() => {
    let isCurrent = true;
    const hold = (asked: Asked<T>) => isCurrent && setHeld({ build, bladeState, round, asked });
    ask(build, bladeState).then(
      (answer) => hold({ state: 'ready', answer }),
      (error: unknown) =>
        hold({
          state: 'failed',
          reason: error instanceof Error ? error.message : String(error),
          again: () => setRound((last) => last + 1),
        }),
    );
    return () => {
      isCurrent = false;
    };
  }, [ask, build, bladeState, round]);
  if (held?.build === build && held.bladeState === bladeState && held.round === round) return held.asked;
  const last = held?.asked.state === 'ready' ? held.asked.answer : null;
  return { state: 'working', last } as const;
}

const askCurve = (build: Build, bladeState: BladeState): Promise<SpinPrediction> =>
  askCore((core) => core.predictSpin(build, LAKE_WATER, SPEEDS, bladeState));
const askStall = (build: Build, bladeState: BladeState): Promise<StallPrediction[]> =>
  askCore((core) => core.stallSpeeds(build, LAKE_WATER, bladeState));

/** Rate against speed. */
export function useCurve(build: Build, bladeState: BladeState): Asked<SpinPrediction> {
  return useCore(askCurve, build, bladeState);
}

/** The slowest each blade keeps turning at. */
export function useStall(build: Build, bladeState: BladeState): Asked<StallPrediction[]> {
  return useCore(askStall, build, bladeState);
}
