/** Where the curve of the rate lies in its figure, so that what is laid over it keeps to it, px. */
import type { SpinPrediction } from '@/core/predict/spin';
import { doesTurn } from '@/core/predict/spin';

export const CURVE = { leftPx: 38, rightPx: 14, topPx: 6, plotPx: 48, axisPx: 22, heightPx: 76 } as const;

/** The rate at the top of the figure, Hz: a round one above all that is drawn. */
export function mostRate({ blades }: SpinPrediction): number {
  const highest = Math.max(1, ...blades.flatMap(({ at }) => at.map((each) => (doesTurn(each) ? each.rateHz.high : 0))));
  const step = highest > 20 ? 10 : highest > 8 ? 4 : 2;
  return Math.ceil(highest / step) * step;
}
