/** What stands around the drawing, worked out once that is painted: it loads then, with the catalogue it reaches for. */
import { CATALOGUE } from '@/core/parts/catalogue';
import type { Water } from '@/core/hydro/water';
import type { Finding } from '@/core/judgement/finding';
import { findings } from '@/core/judgement/findings';
import type { HookRule } from '@/core/judgement/hook-rule';
import { cutLengths, type CutLength } from '@/core/lengths/lengths';
import type { Lure } from '@/core/lure/lure';
import type { SpinPrediction } from '@/core/predict/spin';

export interface Around {
  readonly findings: readonly Finding[];
  readonly cuts: readonly CutLength[];
}

export function aroundOf(
  lure: Lure,
  prediction: SpinPrediction,
  speedMps: number,
  water: Water,
  rules: readonly HookRule[],
): Around {
  return {
    findings: findings(lure, { water, speedMps, rules, prediction }, CATALOGUE),
    cuts: cutLengths(lure.build),
  };
}
