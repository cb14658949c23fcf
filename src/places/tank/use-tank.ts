'use client';

import { useEffect, useMemo, useState } from 'react';
import type { Outfit } from '@/core/hydro/outfit';
import type { Water } from '@/core/hydro/water';
import type { BladeState } from '@/core/in-water/bearing';
import type { HookRule } from '@/core/judgement/hook-rule';
import type { Build, Lure } from '@/core/lure/lure';
import type { Part } from '@/core/parts/part';
import type { Belief } from '@/core/predict/factors';
import type { RetrieveScript, ScriptPath } from '@/core/predict/retrieve-script';
import { bestOfEachPlace, inOrder, type ToldMove } from '@/core/tune/best-moves';
import type { Card } from '@/core/tune/card';
import { carried, middlesOf } from '@/core/tune/middles';
import type { Ranked, Ranking } from '@/core/tune/rank';
import { CARD_LINES, type CardLine, type Want } from '@/core/tune/target';
import { useDesk } from '@/desk/desk-state';
import { shownOf, useCore, useLearnt, type Asked } from '@/desk/figures/use-core';
import { oncePer } from '@/core/once';
import type { Prepared } from '@/core/prepared/prepared';
import { askCore } from '@/workers/core-client';
import { preparedAt } from './figures-at';

interface CardQuestion {
  readonly build: Build;
  readonly water: Water;
  readonly outfit: Outfit;
  readonly bladeState: BladeState;
  readonly learnt: Belief | null;
  readonly speedMps: number;
}

interface CardAnswer {
  readonly of: CardQuestion;
  readonly card: Card;
}

const askCard = async (of: CardQuestion): Promise<CardAnswer> => {
  const { build, water, outfit, bladeState: state, learnt, speedMps } = of;
  return { of, card: await askCore('cardOf', [build, water, speedMps, { outfit, state, learnt }]) };
};

export interface CardShown {
  readonly card: Card;
  /** Its middles are of this moment, its spreads and its sound those of a moment ago. */
  readonly isRough: boolean;
}

/** Lines that hang on the speed and that a prepared lure tells at once: of sound only the worker tells. */
const AT_ONCE: readonly CardLine[] = [
  'rateHz',
  'beatHz',
  'thumpNs',
  'pulseN',
  'shakeM',
  'depthM',
  'lineSlopeRad',
  'leanRad',
  'sidePullRad',
  'flashFrontM2PerS',
  'flashBackM2PerS',
];

const middlesAtOnce = oncePer((prepared: Prepared) =>
  middlesOf(prepared.figures, prepared.lure.build, AT_ONCE, prepared.setting),
);

/** The card of the open lure; while the hand turns the retrieve its middles follow at once, the rest when it rests. */
export function useCard(
  lure: Lure,
  speedMps: number,
): { readonly asked: Asked<CardAnswer>; readonly shown: CardShown | null } {
  const { build } = lure;
  const water = useDesk((state) => state.settings.water);
  const outfit = useDesk((state) => state.settings.outfit);
  const bladeState = useDesk((state) => state.bladeState);
  const learnt = useLearnt(build);
  const question = useMemo(
    () => ({ build, water, outfit, bladeState, learnt, speedMps }),
    [build, water, outfit, bladeState, learnt, speedMps],
  );
  const asked = useCore(askCard, question);
  const last = shownOf(asked);
  const shown = useMemo((): CardShown | null => {
    if (!last) return null;
    const { of, card } = last;
    if (of === question) return { card, isRough: false };
    if (of.build !== build || of.water !== water || of.outfit !== outfit || !(speedMps > 0))
      return { card, isRough: true };
    const middles = (at: number) => middlesAtOnce(preparedAt(lure, water, outfit, at));
    const [before, after] = [middles(of.speedMps), middles(speedMps)];
    const lines = CARD_LINES.map((line) => {
      const said = card.lines[line];
      const now = AT_ONCE.includes(line) ? carried(card, line, before, after) : said;
      return [line, now && { slopes: [], leastKnown: [], ...said, ...now }];
    });
    return { card: { ...card, speedMps, lines: Object.fromEntries(lines) as Card['lines'] }, isRough: true };
  }, [last, question, lure, build, water, outfit, speedMps]);
  return { asked, shown };
}

interface ScriptQuestion {
  readonly build: Build;
  readonly water: Water;
  readonly outfit: Outfit;
  readonly script: RetrieveScript;
}

const askScript = ({ build, water, script, outfit }: ScriptQuestion): Promise<ScriptPath> =>
  askCore('followScript', [build, water, script, outfit]);

export function useScriptPath(build: Build, script: RetrieveScript): Asked<ScriptPath> {
  const water = useDesk((state) => state.settings.water);
  const outfit = useDesk((state) => state.settings.outfit);
  const question = useMemo(() => ({ build, water, outfit, script }), [build, water, outfit, script]);
  return useCore(askScript, question);
}

/** So many moves are told with their whole card. */
const TOLD = 8;
/** So many are ranked first: something stands there while the rest are looked at. */
const AT_FIRST = 60;

export type MovesShown =
  | { readonly state: 'nothingWanted' | 'working' }
  | { readonly state: 'failed'; readonly reason: string }
  | {
      readonly state: 'ranked';
      readonly ranking: Ranking;
      /** The best of each place, in the order of their estimates. */
      readonly best: readonly Ranked[];
      /** Those whose whole card is there, in the order of that. */
      readonly told: readonly ToldMove[];
      readonly isDone: boolean;
    };

interface MovesQuestion {
  readonly lure: Lure;
  readonly card: Card;
  readonly wants: readonly Want[];
  readonly water: Water;
  readonly outfit: Outfit;
  readonly bladeState: BladeState;
  readonly learnt: Belief | null;
  readonly ownParts: readonly Part[];
  readonly rules: readonly HookRule[];
  readonly round: number;
}

/** The moves of the lure towards what is wanted: ranked in the worker, the first of them with all they promise. */
export function useMoves(lure: Lure, card: Card | null, wants: readonly Want[]): MovesShown {
  const water = useDesk((state) => state.settings.water);
  const outfit = useDesk((state) => state.settings.outfit);
  const bladeState = useDesk((state) => state.bladeState);
  const ownParts = useDesk((state) => state.ownParts);
  const rules = useDesk((state) => state.rules);
  const round = useDesk((state) => state.round);
  const learnt = useLearnt(lure.build);
  const question = useMemo(
    (): MovesQuestion | null =>
      card && wants.length > 0
        ? { lure, card, wants, water, outfit, bladeState, learnt, ownParts, rules, round }
        : null,
    [lure, card, wants, water, outfit, bladeState, learnt, ownParts, rules, round],
  );
  const [held, setHeld] = useState<{ readonly of: MovesQuestion | null; readonly shown: MovesShown }>({
    of: null,
    shown: { state: 'working' },
  });
  useEffect(() => {
    if (!question) return;
    const wanting = new AbortController();
    const show = (shown: MovesShown) => !wanting.signal.aborted && setHeld({ of: question, shown });
    rankAndPromise(question, wanting.signal, show).catch((error: unknown) =>
      show({ state: 'failed', reason: error instanceof Error ? error.message : String(error) }),
    );
    return () => wanting.abort();
  }, [question]);
  if (!question) return { state: card && wants.length === 0 ? 'nothingWanted' : 'working' };
  return held.of === question ? held.shown : { state: 'working' };
}

async function rankAndPromise(
  { lure, card, wants, water, outfit, bladeState, learnt, ownParts, rules }: MovesQuestion,
  signal: AbortSignal,
  show: (shown: MovesShown) => void,
) {
  const asked = { outfit, state: bladeState, learnt };
  const { speedMps } = card;
  const ask = (most?: number) =>
    askCore(
      'ranking',
      [
        { lure, setting: { water, outfit, speedMps }, card, wants, asked, ...(most === undefined ? {} : { most }) },
        ownParts,
      ],
      { signal },
    );
  const first = await ask(AT_FIRST);
  if (signal.aborted) return;
  show({ state: 'ranked', ranking: first, best: bestOfEachPlace(first.ranked), told: [], isDone: false });
  const ranking = await ask();
  if (signal.aborted) return;
  const best = bestOfEachPlace(ranking.ranked);
  show({ state: 'ranked', ranking, best, told: [], isDone: false });
  const asking = { lure, water, speedMps, wants, rules, asked, before: card };
  const promised: Omit<ToldMove, 'isTied'>[] = [];
  const few = best.slice(0, TOLD);
  for (const [i, ranked] of few.entries()) {
    const promise = await askCore('promiseOf', [ranked.move, asking], { signal });
    if (signal.aborted) return;
    if (promise) promised.push({ ranked, promised: promise });
    show({ state: 'ranked', ranking, best, told: inOrder(promised, asking), isDone: i === few.length - 1 });
  }
  if (few.length === 0) show({ state: 'ranked', ranking, best, told: [], isDone: true });
}

/** Lines worth a row: those that can be said of this lure, or that something is wanted of. */
export function linesShown(card: Card, wants: readonly Want[]): readonly CardLine[] {
  const wanted = new Set(wants.map(({ line }) => line));
  return CARD_LINES.filter((line) => {
    if (wanted.has(line)) return true;
    const said = card.lines[line];
    if (!said) return false;
    return line !== 'sidePullRad' || said.high > 0 || said.low < 0;
  });
}
