/** The bar that shows whether a printer kept the size: 50 mm in tens above the line, 2 in in halves below it. */
import type { Point } from '../drawing/path';

export const CHECK_BAR_MM = 50;
export const CHECK_BAR_IN_MM = 50.8;
const BELOW_MM = 2.2;

/** Its lines from the left end of the upper one, mm, y down. */
export function checkBarLines(): Point[][] {
  const ticks = (count: number, stepMm: number, fromMm: number, heightMm: number) =>
    Array.from({ length: count + 1 }, (_, i) => [
      { x: i * stepMm, y: fromMm },
      { x: i * stepMm, y: fromMm + heightMm },
    ]);
  return [
    [
      { x: 0, y: 0 },
      { x: CHECK_BAR_MM, y: 0 },
    ],
    ...ticks(5, 10, 0, -2),
    [
      { x: 0, y: BELOW_MM },
      { x: CHECK_BAR_IN_MM, y: BELOW_MM },
    ],
    ...ticks(4, 12.7, BELOW_MM, 2),
  ];
}
