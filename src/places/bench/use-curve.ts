'use client';

import { useEffect, useState } from 'react';
import { LAKE_WATER } from '@/core/hydro/water';
import type { Build } from '@/core/lure/lure';
import type { Prediction } from '@/core/predict';
import { askCore } from '@/workers/core-client';
import { FASTEST_SHOWN_MPS } from './speed';

const POINTS = 40;
const SPEEDS = Array.from({ length: POINTS }, (_, i) => ((i + 1) / POINTS) * FASTEST_SHOWN_MPS);

export type Curve =
  | { readonly state: 'working'; readonly last: Prediction | null }
  | { readonly state: 'ready'; readonly prediction: Prediction }
  | { readonly state: 'failed'; readonly reason: string };

/** Rate against speed from the worker; an answer that comes after the lure has changed again is dropped. */
export function useCurve(build: Build): Curve {
  const [answer, setAnswer] = useState<{ build: Build; curve: Curve } | null>(null);
  useEffect(() => {
    let isCurrent = true;
    askCore((core) => core.predict(build, LAKE_WATER, SPEEDS)).then(
      (prediction) => isCurrent && setAnswer({ build, curve: { state: 'ready', prediction } }),
      (error: unknown) =>
        isCurrent &&
        setAnswer({
          build,
          curve: { state: 'failed', reason: error instanceof Error ? error.message : String(error) },
        }),
    );
    return () => {
      isCurrent = false;
    };
  }, [build]);
  if (answer?.build === build) return answer.curve;
  return { state: 'working', last: answer?.curve.state === 'ready' ? answer.curve.prediction : null };
}
