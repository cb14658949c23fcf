/** What the charts' axes have in common. */

export const AXIS_TEXT = { fontSize: 14, fill: 'var(--ink-soft)' };

const STEPS = [0.1, 0.2, 0.5, 1, 2, 5, 10, 20, 50, 100];

/** Marks of an axis: from nothing to at least this, three to six even steps. */
export function evenTicks(most: number): number[] {
  const step = STEPS.find((each) => most / each <= 5) ?? 200;
  return Array.from({ length: Math.max(1, Math.ceil(most / step - 1e-9)) + 1 }, (_, i) =>
    Number((i * step).toFixed(1)),
  );
}
