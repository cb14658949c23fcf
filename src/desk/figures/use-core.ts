'use client';

import { useEffect, useMemo, useRef, useState } from 'react';
import type { Outfit } from '@/core/hydro/outfit';
import type { Water } from '@/core/hydro/water';
import type { BladeState } from '@/core/in-water/bearing';
import type { LureRule } from '@/core/judgement/lure-rule';
import type { Mending } from '@/core/judgement/mending';
import type { Build, Lure } from '@/core/lure/lure';
import { lastPer } from '@/core/once';
import type { Part } from '@/core/parts/part';
import type { Belief } from '@/core/predict/factors';
import type { HeadFound } from '@/core/predict/head-finder';
import type { Movers } from '@/core/predict/movers';
import type { Prediction } from '@/core/predict/predict';
import type { RetrievePath } from '@/core/predict/retrieve-path';
import type { SpinPrediction } from '@/core/predict/spin';
import type { StallPrediction } from '@/core/predict/stalls';
import { askCore } from '@/workers/core-client';
import { beliefOf, useDesk } from '../desk-state';
import { FASTEST_SHOWN_MPS } from '../speed';

const POINTS = 40;
const SPEEDS = Array.from({ length: POINTS }, (_, i) => ((i + 1) / POINTS) * FASTEST_SHOWN_MPS);

export type Asked<T> =
  | { readonly state: 'working'; readonly last: T | null }
  | { readonly state: 'ready'; readonly answer: T }
  | { readonly state: 'failed'; readonly reason: string };

interface Held<Q, T> {
  readonly question: Q;
  readonly round: number;
  readonly asked: Asked<T>;
}

/**
 * Asks the worker; an answer that comes after the question has changed is dropped. While one is being answered no other is
 * asked: of the questions that come meanwhile only the last is.
 */
export function useCore<Q, T>(ask: (question: Q) => Promise<T>, question: Q): Asked<T> {
  const [held, setHeld] = useState<Held<Q, T> | null>(null);
  const round = useDesk((state) => state.round);
  const underWay = useRef<Promise<void>>(Promise.resolve());
  useEffect(() => {
    let isCurrent = true;
    const hold = (asked: Asked<T>) => isCurrent && setHeld({ question, round, asked });
    underWay.current = underWay.current.then(async () => {
      if (!isCurrent) return;
      try {
        hold({ state: 'ready', answer: await ask(question) });
      } catch (error) {
        hold({ state: 'failed', reason: error instanceof Error ? error.message : String(error) });
      }
    });
    return () => {
      isCurrent = false;
    };
  }, [ask, question, round]);
  if (held?.question === question && held.round === round) return held.asked;
  return { state: 'working', last: held ? shownOf(held.asked) : null };
}

/** What is known of an answer: itself, or the last while a new one is worked out. */
export function shownOf<T>(asked: Asked<T>): T | null {
  if (asked.state === 'ready') return asked.answer;
  return asked.state === 'working' ? asked.last : null;
}

interface BladeQuestion {
  readonly build: Build;
  readonly water: Water;
  readonly bladeState: BladeState;
  readonly learnt: Belief | null;
}

const askCurve = ({ build, water, bladeState, learnt }: BladeQuestion): Promise<SpinPrediction> =>
  askCore('predictSpin', [build, water, SPEEDS, bladeState, undefined, learnt]);
/** Asked for in several places of a page at once, and answered once. */
const stallsOf = lastPer<Build, readonly [Water, BladeState, Belief | null, number], Promise<StallPrediction[]>>(
  (build, water, bladeState, learnt) => askCore('stallSpeeds', [build, water, bladeState, learnt]),
);
const askStall = ({ build, water, bladeState, learnt }: BladeQuestion): Promise<StallPrediction[]> =>
  stallsOf(build, water, bladeState, learnt, useDesk.getState().round);

function useBladeQuestion(build: Build, water: Water, bladeState: BladeState): BladeQuestion {
  const learnt = useLearnt(build);
  return useMemo(() => ({ build, water, bladeState, learnt }), [build, water, bladeState, learnt]);
}

/** What readings have taught of this build; null where nothing was measured of it, or that is not worked out yet. */
export function useLearnt(build: Build): Belief | null {
  return useDesk((state) => beliefOf(state, build));
}

/** Rate against speed. */
export function useCurve(build: Build, water: Water, bladeState: BladeState): Asked<SpinPrediction> {
  return useCore(askCurve, useBladeQuestion(build, water, bladeState));
}

/** The slowest each blade keeps turning at. */
export function useStall(build: Build, water: Water, bladeState: BladeState): Asked<StallPrediction[]> {
  return useCore(askStall, useBladeQuestion(build, water, bladeState));
}

/** All that what a lure does at one speed hangs on. */
export interface RideQuestion extends BladeQuestion {
  readonly outfit: Outfit;
  readonly speedMps: number;
}

/** A ride at one speed, and what moves it; the build and speed it is of go with it, since they may have changed since. */
export interface RideAnswer {
  readonly build: Build;
  readonly prediction: Prediction;
  readonly movers: Movers;
}

const askRide = async ({
  build,
  water,
  outfit,
  bladeState: state,
  learnt,
  speedMps,
}: RideQuestion): Promise<RideAnswer> => {
  const asked = { outfit, state };
  const [prediction, movers] = await Promise.all([
    askCore('predict', [build, water, [speedMps], { ...asked, learnt }]),
    askCore('moversOf', [build, water, speedMps, asked]),
  ]);
  return { build, prediction, movers };
};

/** How the lure rides at the chosen speed, on the chosen line. */
export function useRide(
  build: Build,
  water: Water,
  outfit: Outfit,
  bladeState: BladeState,
  speedMps: number,
): Asked<RideAnswer> {
  const learnt = useLearnt(build);
  const question = useMemo(
    () => ({ build, water, outfit, bladeState, learnt, speedMps }),
    [build, water, outfit, bladeState, learnt, speedMps],
  );
  return useCore(askRide, question);
}

interface WayQuestion {
  readonly build: Build;
  readonly water: Water;
  readonly outfit: Outfit;
  readonly speedMps: number;
  readonly countdownS: number;
}

const askWay = ({ build, water, outfit, speedMps, countdownS }: WayQuestion): Promise<RetrievePath> =>
  askCore('retrievePath', [build, water, { countdownS, speedMps }, outfit]);

/** The way of a retrieve. */
export function useWay(
  build: Build,
  water: Water,
  outfit: Outfit,
  speedMps: number,
  countdownS: number,
): Asked<RetrievePath> {
  const question = useMemo(
    () => ({ build, water, outfit, speedMps, countdownS }),
    [build, water, outfit, speedMps, countdownS],
  );
  return useCore(askWay, question);
}

interface HeadQuestion {
  readonly build: Build;
  readonly water: Water;
  readonly outfit: Outfit;
  readonly speedMps: number;
  readonly fromM: number;
  readonly toM: number;
  readonly offered: readonly Part[];
}

const askHead = (question: HeadQuestion | null): Promise<HeadFound | null> => {
  if (!question) return Promise.resolve(null);
  const { build, water, outfit, speedMps, fromM, toM, offered } = question;
  return askCore('lightestHead', [build, water, { speedMps, fromM, toM }, offered, outfit]);
};

/** @param wanted null where there is no depth to look for */
export function useLightestHead(
  build: Build,
  water: Water,
  outfit: Outfit,
  speedMps: number,
  wanted: { readonly fromM: number; readonly toM: number } | null,
  offered: readonly Part[],
): Asked<HeadFound | null> {
  const [fromM, toM] = [wanted?.fromM ?? null, wanted?.toM ?? null];
  const question = useMemo(
    () => (fromM === null || toM === null ? null : { build, water, outfit, speedMps, fromM, toM, offered }),
    [build, water, outfit, speedMps, fromM, toM, offered],
  );
  return useCore(askHead, question);
}

interface MendingQuestion {
  readonly lure: Lure;
  readonly water: Water;
  readonly speedMps: number;
  readonly rules: readonly LureRule[];
  readonly outfit: Outfit;
  readonly bottomM: number;
  readonly ownParts: readonly Part[];
}

export interface MendingAnswer {
  readonly lure: Lure;
  readonly mendings: Readonly<Record<string, Mending>>;
}

const askMendings = async ({ lure, ownParts, outfit, bottomM, ...asked }: MendingQuestion): Promise<MendingAnswer> => ({
  lure,
  mendings: await askCore('mendings', [
    lure,
    { ...asked, leastKg: outfit.leastKg, over: { outfit, bottomM } },
    ownParts,
  ]),
});

/** What would mend each open finding of a lure, tried on copies of it. */
export function useMendings(
  lure: Lure,
  water: Water,
  speedMps: number,
  rules: readonly LureRule[],
  outfit: Outfit,
  bottomM: number,
  ownParts: readonly Part[],
): Asked<MendingAnswer> {
  const question = useMemo(
    () => ({ lure, water, speedMps, rules, outfit, bottomM, ownParts }),
    [lure, water, speedMps, rules, outfit, bottomM, ownParts],
  );
  return useCore(askMendings, question);
}
