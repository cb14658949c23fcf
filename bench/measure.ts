/** One line of the table. */
export interface Figure {
  readonly name: string;
  readonly value: number;
  readonly unit: 'ms' | 'kB' | 'MB' | '×' | '/s' | '%';
  /** The bar it is held to; null where there is none. */
  readonly bar: number | null;
  /** The bar is the least it may be, not the most. */
  readonly isLeast?: boolean;
  readonly note: string;
}

/** Median of many runs after a warm-up, ms. */
export function medianMs(task: () => unknown, forMs = 1200): number {
  const until = performance.now() + forMs / 4;
  while (performance.now() < until) task();
  const times: number[] = [];
  const end = performance.now() + forMs;
  while (performance.now() < end || times.length < 5) {
    const start = performance.now();
    task();
    times.push(performance.now() - start);
  }
  return median(times);
}

export function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.floor(sorted.length / 2)] ?? 0;
}
