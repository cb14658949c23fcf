import equal from 'fast-deep-equal';

/** Whether two pieces of plain data say the same, in whatever order their fields stand. */
export function isSame(a: unknown, b: unknown): boolean {
  return equal(a, b);
}
