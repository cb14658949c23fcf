/** An ordering that must come out right: in four pairs of five, with no reversal beyond the spread; the rest are printed. */
import { expect } from 'vitest';
import type { Banded } from '@/core/predict/band';
import { measured } from './measured';

export interface Pair {
  readonly name: string;
  /** What must be the lesser, and the greater. */
  readonly less: number;
  readonly more: number;
  /** The bands of both, asked for of an exception only. */
  readonly bands?: () => readonly [less: Banded, more: Banded];
}

/** Without bands of its own a pair may be turned round by as much as the coefficients are known to, ± 20 %. */
const BEYOND = 1.2;

/** @param ordering its number and words, as the brief has them */
export function expectOrdering(ordering: string, pairs: readonly Pair[], least = 9) {
  expect(pairs.length).toBeGreaterThanOrEqual(least);
  const exceptions = pairs.filter(({ less, more }) => !(less < more));
  const names = exceptions.map(({ name }) => name).join('; ');
  measured(
    'Orderings',
    ordering,
    `${pairs.length - exceptions.length} of ${pairs.length}${names ? `; not: ${shortened(names)}` : ''}`,
    'four of five, none reversed beyond the spread',
  );
  if (names) console.info(`${ordering}: exceptions: ${names}`);
  expect(exceptions.length / pairs.length, names).toBeLessThanOrEqual(0.2);
  for (const { name, less, more, bands } of exceptions) {
    const [lower, upper] = bands?.() ?? [];
    if (lower && upper) expect(lower.low, `${name} is reversed beyond the spread`).toBeLessThanOrEqual(upper.high);
    else expect(Math.abs(less), `${name} is reversed beyond the spread`).toBeLessThanOrEqual(BEYOND * Math.abs(more));
  }
}

const MOST_CHARACTERS = 260;

function shortened(text: string): string {
  return text.length <= MOST_CHARACTERS ? text : `${text.slice(0, text.lastIndexOf('; ', MOST_CHARACTERS))}; …`;
}
