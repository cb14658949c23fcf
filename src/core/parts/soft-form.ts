/** How far a soft body reaches from its axis, along it. One form serves drawing, nail weights and contact. */
import type { Trailer } from './kinds/trailer';

/** A fish's back and belly, fullest behind the head: half its height over half the greatest, at shares of the way to where it kicks. */
export const SWIMMER_SIDE: readonly (readonly [at: number, half: number])[] = [
  [0, 0.82],
  [0.14, 0.97],
  [0.32, 1],
  [0.55, 0.82],
  [0.8, 0.45],
  [1, 0.2],
];

/** Half its height this far behind its head as it came, m; of styles other than a swimmer that of its body. */
export function softHalfM({ style, bodyM, kicksFromM }: Trailer, atM: number): number {
  if (style !== 'swimmer') return bodyM / 2;
  const at = Math.min(Math.max(atM / kicksFromM, 0), 1);
  const next = Math.max(
    SWIMMER_SIDE.findIndex(([x]) => x >= at),
    1,
  );
  const [x0, half0] = SWIMMER_SIDE[next - 1] ?? [0, 1];
  const [x1, half1] = SWIMMER_SIDE[next] ?? [1, 0.2];
  return (bodyM / 2) * (half0 + ((half1 - half0) * (at - x0)) / Math.max(x1 - x0, 1e-9));
}
