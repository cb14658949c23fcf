/** Lengths in the measures a builder always has along: thumb, finger joint, spread hand. Each is the user's own, in metres. */

export const FINGERS = ['thumb', 'joint', 'span'] as const;
export type Finger = (typeof FINGERS)[number];
export type FingerSpans = Readonly<Record<Finger, number | null>>;

export interface InFingers {
  readonly finger: Finger;
  /** In quarters of it. */
  readonly quarters: number;
}

/** Fewer than half of one or more than this many cannot be laid off by hand. */
const LEAST_QUARTERS = 2;
const MOST_QUARTERS = 32;
/** Laid off by hand a length is worth no more than this, as a share of it. */
const MOST_OFF = 0.06;

/** The measure in which the length comes nearest to whole quarters; null where none comes near enough. */
export function inFingers(lengthM: number, spans: FingerSpans): InFingers | null {
  let best: (InFingers & { readonly off: number }) | null = null;
  for (const finger of FINGERS) {
    const ownM = spans[finger];
    if (ownM === null) continue;
    const quarters = Math.round((lengthM / ownM) * 4);
    if (quarters < LEAST_QUARTERS || quarters > MOST_QUARTERS) continue;
    const off = Math.abs((quarters * ownM) / 4 / lengthM - 1);
    if (off <= MOST_OFF && off < (best?.off ?? Infinity)) best = { finger, quarters, off };
  }
  return best && { finger: best.finger, quarters: best.quarters };
}
