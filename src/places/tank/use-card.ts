'use client';

import { useMemo } from 'react';
import type { Lure } from '@/core/lure/lure';
import { OF_TURNING, type Card } from '@/core/tune/card';
import { carried, middlesOf } from '@/core/tune/middles';
import { CARD_LINES, type CardLine, type Want } from '@/core/tune/target';
import { useDesk } from '@/desk/desk-state';
import { retrieveSpeed } from '@/desk/speed';
import { shownOf, useCore, useLearnt, type Asked, type RideQuestion } from '@/desk/figures/use-core';
import { oncePer } from '@/core/once';
import type { Prepared } from '@/core/prepared/prepared';
import { askCore } from '@/workers/core-client';
import { preparedAt } from './figures-at';

interface CardAnswer {
  readonly of: RideQuestion;
  readonly card: Card;
}

const askCard = async (of: RideQuestion): Promise<CardAnswer> => {
  const { build, water, outfit, bladeState: state, learnt, speedMps } = of;
  return { of, card: await askCore('cardOf', [build, water, speedMps, { outfit, state, learnt }]) };
};

export interface CardShown {
  readonly card: Card;
  /** The last that was asked for, from which it is carried to other speeds. */
  readonly from: CardAnswer;
  /** Its middles are of this moment, its spreads and its sound those of a moment ago. */
  readonly isRough: boolean;
}

/** Lines that hang on the speed and that a prepared lure tells at once: of sound only the worker tells. */
const AT_ONCE: readonly CardLine[] = [
  'rateHz',
  'beatHz',
  'wobbleHz',
  'wobbleRad',
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

/** The card carried to another speed of the same lure; null where it is of another. */
function cardAt(
  { of, card }: CardAnswer,
  { lure, water, outfit, speedMps }: Pick<RideQuestion, 'water' | 'outfit' | 'speedMps'> & { readonly lure: Lure },
): Card | null {
  if (of.build !== lure.build || of.water !== water || of.outfit !== outfit || !(speedMps > 0)) return null;
  const middles = (at: number) => middlesAtOnce(preparedAt(lure, water, outfit, at));
  const [before, after] = [middles(of.speedMps), middles(speedMps)];
  const lines = CARD_LINES.map((line) => {
    const said = card.lines[line];
    const now = AT_ONCE.includes(line) ? carried(card, line, before, after) : said;
    return [line, now && { slopes: [], leastKnown: [], ...said, ...now }];
  });
  return { ...card, speedMps, lines: Object.fromEntries(lines) as Card['lines'] };
}

/** The card of the open lure; while another speed is worked out it is carried there from the last. */
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
  const from = shownOf(asked);
  const shown = useMemo((): CardShown | null => {
    if (!from) return null;
    if (from.of === question) return { card: from.card, from, isRough: false };
    return { card: cardAt(from, { lure, water, outfit, speedMps }) ?? from.card, from, isRough: true };
  }, [from, question, lure, water, outfit, speedMps]);
  return { asked, shown };
}

/** The card as the hand holds the retrieve at this moment, before all else follows. */
export function useCardNow(lure: Lure, { card, from }: CardShown): Card {
  const water = useDesk((state) => state.settings.water);
  const outfit = useDesk((state) => state.settings.outfit);
  const speedMps = useDesk(({ settings }) => retrieveSpeed(settings.retrieve));
  return useMemo(
    () => (card.speedMps === speedMps ? card : (cardAt(from, { lure, water, outfit, speedMps }) ?? card)),
    [card, from, lure, water, outfit, speedMps],
  );
}

/** Lines worth a row: those that can be said of this lure, or that something is wanted of. */
export function linesShown(card: Card, wants: readonly Want[]): readonly CardLine[] {
  const wanted = new Set(wants.map(({ line }) => line));
  return CARD_LINES.filter((line) => {
    if (wanted.has(line)) return true;
    const said = card.lines[line];
    if (!said) return false;
    // Of a bait that wobbles with nothing that turns, nothing comes once a turn.
    if (card.lines.wobbleStartMps && OF_TURNING.has(line) && said.high === 0) return false;
    return line !== 'sidePullRad' || said.high > 0 || said.low < 0;
  });
}
