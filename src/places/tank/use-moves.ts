'use client';

import { useEffect, useMemo, useState } from 'react';
import type { Outfit } from '@/core/hydro/outfit';
import type { Water } from '@/core/hydro/water';
import type { BladeState } from '@/core/in-water/bearing';
import type { HookRule } from '@/core/judgement/hook-rule';
import type { Lure } from '@/core/lure/lure';
import type { Part } from '@/core/parts/part';
import type { Belief } from '@/core/predict/factors';
import { bestOfEachPlace, inOrder, type ToldMove } from '@/core/tune/best-moves';
import type { Card } from '@/core/tune/card';
import type { Ranked, Ranking } from '@/core/tune/rank';
import type { Want } from '@/core/tune/target';
import { useDesk } from '@/desk/desk-state';
import { useLearnt } from '@/desk/figures/use-core';
import { askCore } from '@/workers/core-client';

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
