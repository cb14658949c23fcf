/**
 * A value with the band it is believed to lie in, nine cases in ten, linearised: each factor is moved a half width up and
 * down alone and the answer worked out afresh, as logarithms where an output is a product of powers, else as differences.
 * With a_k and b_k these changes and m_k = (a_k − b_k)/2, the half width is √(mᵀΣm); before any reading, Σ the identity,
 * each side adds its own changes as the root of their squares, and that lopsidedness is kept as the band narrows.
 * A test holds the bands against random draws of all factors together.
 */
import type { Belief, Factor } from './factors';

/** Always low ≤ value ≤ high. */
export interface Banded {
  readonly value: number;
  readonly low: number;
  readonly high: number;
}

/** How an output's changes are taken: `share` as logarithms of ratios, `step` as differences. */
export type Scale = 'share' | 'step';

/** What an output becomes with one factor moved a half width up and down. */
export interface Moved {
  readonly up: number;
  readonly down: number;
}

/** A half width of nine cases in ten in standard deviations of a normal spread. */
export const HALF_WIDTHS_A_SIGMA = 1.645;

/** A change by more than this logarithm is to nothing: a blade that stopped, a band that reaches down to a standstill. */
export const TO_NOTHING = 3;

export interface Spread {
  readonly banded: Banded;
  /** Signed change with each factor a half width up, in the output's own scale. */
  readonly slopes: readonly number[];
  /** Half width that each factor alone gives the band, in the output's own scale: largest is least known. */
  readonly byFactor: readonly number[];
}

/** @param moved one per factor of the belief, in order; @param floor the output never falls below it */
export function spreadOf(
  value: number,
  scale: Scale,
  moved: readonly Moved[],
  belief: Pick<Belief, 'covariance'>,
  floor = Number.NEGATIVE_INFINITY,
): Spread {
  const change = (to: number) => {
    if (scale === 'step') return to - value;
    if (value === 0) return 0;
    const ratio = to / value;
    return ratio > 0 ? Math.max(-TO_NOTHING, Math.log(ratio)) : -TO_NOTHING;
  };
  const slope = new Float64Array(moved.length);
  let [upSquares, downSquares, squares] = [0, 0, 0];
  moved.forEach((each, k) => {
    const [a, b] = [change(each.up), change(each.down)];
    slope[k] = (a - b) / 2;
    squares += ((a - b) / 2) ** 2;
    upSquares += Math.max(0, a, b) ** 2;
    downSquares += Math.max(0, -a, -b) ** 2;
  });
  const { covariance } = belief;
  const variance = goTogether(slope, slope, covariance);
  const kept = squares > 0 ? Math.sqrt(Math.max(0, variance) / squares) : 1;
  const [upPrior, downPrior] = [Math.sqrt(upSquares), Math.sqrt(downSquares)];
  const [up, down] = [upPrior * kept, downPrior * kept];
  const [low, high] =
    scale === 'step'
      ? [value - down, value + up]
      : [down >= TO_NOTHING ? 0 : value * Math.exp(-down), value * Math.exp(up)];
  return {
    banded: { value, low: Math.min(value, Math.max(floor, low)), high },
    slopes: Array.from(slope),
    byFactor: Array.from(slope, (m, k) => Math.abs(m) * Math.sqrt(Math.max(0, covariance[k]?.[k] ?? 0))),
  };
}

/** aᵀΣb: how two outputs with these slopes go together, in half widths squared. */
export function goTogether(a: ArrayLike<number>, b: ArrayLike<number>, covariance: Belief['covariance']): number {
  let sum = 0;
  for (let i = 0; i < a.length; i++) {
    const [m, row] = [a[i] as number, covariance[i]];
    if (m === 0 || !row) continue;
    for (let j = 0; j < b.length; j++) if (b[j] !== 0) sum += m * (b[j] as number) * (row[j] ?? 0);
  }
  return sum;
}

/** An output with its band and, most first, the factors that make it so wide; null where it cannot be said. */
export interface Said<F = Factor> extends Banded {
  /** Signed change with each factor of the belief a half width up: as a logarithm of a share, or a step (its form says which). */
  readonly slopes: readonly number[];
  readonly leastKnown: readonly F[];
}
/** How many of the factors are named. */
const LEAST_KNOWN = 3;
/** Less than this share of the widest is not worth naming. */
const WORTH_NAMING = 0.1;

/** The band of an output, and what makes it so wide. */
export function said<F>({ banded, slopes, byFactor }: Spread, factors: readonly F[]): Said<F> {
  let most = 0;
  for (const width of byFactor) most = Math.max(most, width);
  // Widest first; of equal ones the first.
  const widest: number[] = [];
  byFactor.forEach((width, k) => {
    if (!(width > WORTH_NAMING * most)) return;
    const at = widest.findIndex((each) => (byFactor[each] ?? 0) < width);
    widest.splice(at < 0 ? widest.length : at, 0, k);
    if (widest.length > LEAST_KNOWN) widest.pop();
  });
  return { ...banded, slopes, leastKnown: widest.flatMap((k) => factors[k] ?? []) };
}
