/** The findings of the open lure and its lengths to cut: it loads once the drawing is painted, with the catalogue repairs reach for. */
import { lastPer } from '@/core/once';
import { CATALOGUE } from '@/core/parts/catalogue';
import type { Outfit } from '@/core/hydro/outfit';
import type { Water } from '@/core/hydro/water';
import type { Finding } from '@/core/judgement/finding';
import { findings } from '@/core/judgement/findings';
import type { LureRule } from '@/core/judgement/lure-rule';
import { cutLengths, type CutLength } from '@/core/lengths/lengths';
import type { Lure } from '@/core/lure/lure';
import type { SpinPrediction } from '@/core/predict/spin';

export interface FindingsAndCuts {
  readonly findings: readonly Finding[];
  readonly cuts: readonly CutLength[];
}

export const findingsAndCuts = lastPer(
  (
    lure: Lure,
    prediction: SpinPrediction,
    speedMps: number,
    water: Water,
    rules: readonly LureRule[],
    outfit: Outfit,
    bottomM: number,
  ): FindingsAndCuts => ({
    findings: findings(
      lure,
      { water, speedMps, rules, leastKg: outfit.leastKg, over: { outfit, bottomM }, prediction },
      CATALOGUE,
    ),
    cuts: cutLengths(lure.build),
  }),
);
