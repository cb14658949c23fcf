'use client';

import { useEffect, useMemo, useState } from 'react';
import type { Outfit } from '@/core/hydro/outfit';
import type { Water } from '@/core/hydro/water';
import type { BladeState } from '@/core/in-water/bearing';
import type { LureRule } from '@/core/judgement/lure-rule';
import type { Lure } from '@/core/lure/lure';
import type { Part } from '@/core/parts/part';
import type { Belief } from '@/core/predict/factors';
import { bestOfEachPlace, inOrder, type ToldMove } from '@/core/tune/best-moves';
import type { Card } from '@/core/tune/card';
import type { Ranked, Ranking } from '@/core/tune/rank';
import type { Want } from '@/core/tune/target';
import { useDesk } from '@/desk/desk-state';
import { useLearnt } from '@/desk/figures/use-core';
import { askCore, askCoreOfMoves } from '@/workers/core-client';

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
  readonly rules: readonly LureRule[];
  readonly round: number;
}

/** The hand rests so long before moves are tried that nobody has asked for. */
const REST_MS = 600;

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
      card && { lure, card, wants, water, outfit, bladeState, learnt, ownParts, rules, round },
    [lure, card, wants, water, outfit, bladeState, learnt, ownParts, rules, round],
  );
  const [held, setHeld] = useState<{ readonly of: MovesQuestion | null; readonly shown: MovesShown }>({
    of: null,
    shown: { state: 'working' },
  });
  useEffect(() => {
    if (!question) return;
    const wanting = new AbortController();
    const { signal } = wanting;
    const show = (shown: MovesShown) => !signal.aborted && setHeld({ of: question, shown });
    const ranked =
      question.wants.length === 0
        ? Promise.resolve()
        : rankAndPromise(question, signal, show).catch((error: unknown) =>
            show({ state: 'failed', reason: error instanceof Error ? error.message : String(error) }),
          );
    void ranked.then(() => tryAhead(question, signal));
    return () => wanting.abort();
  }, [question]);
  if (!question) return { state: 'working' };
  if (wants.length === 0) return { state: 'nothingWanted' };
  return held.of === question ? held.shown : { state: 'working' };
}

const askedOf = ({ lure, card, water, outfit }: MovesQuestion) => ({
  lure,
  setting: { water, outfit, speedMps: card.speedMps },
});

/** Tries every move while nobody waits: whatever is wanted next is then soon ranked. */
async function tryAhead(question: MovesQuestion, signal: AbortSignal) {
  await new Promise((resolve) => setTimeout(resolve, REST_MS));
  // Given up, or it failed: it is tried again once something is wanted, and told then.
  await askCoreOfMoves('tryMoves', [askedOf(question), question.ownParts], { signal }).catch(() => undefined);
}

async function rankAndPromise(question: MovesQuestion, signal: AbortSignal, show: (shown: MovesShown) => void) {
  const { lure, card, wants, water, outfit, bladeState, learnt, ownParts, rules } = question;
  const asked = { outfit, state: bladeState, learnt };
  const { speedMps } = card;
  const ask = (most?: number) =>
    askCoreOfMoves(
      'ranking',
      [{ ...askedOf(question), card, wants, asked, ...(most === undefined ? {} : { most }) }, ownParts],
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
