/** Buttons for gloves and wet fingers: at least 56 px. */
const BASE =
  'inline-flex min-h-14 min-w-14 items-center justify-center gap-2 rounded-lg px-4 text-lg disabled:opacity-45 aria-pressed:bg-accent-soft aria-pressed:font-semibold';

export const BIG = {
  main: `${BASE} bg-accent font-bold text-on-accent hover:opacity-90`,
  plain: `${BASE} border-2 border-line bg-panel text-ink hover:border-accent`,
  quiet: `${BASE} text-ink hover:bg-accent-soft`,
  /** Several beside each other on a phone. */
  small: `${BASE} text-ink hover:bg-accent-soft max-sm:px-1.5`,
} as const;
