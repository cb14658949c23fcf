const NUMBERS_AS_NUMBERS = new Intl.Collator('en', { numeric: true });

/** The one order of ids: `bead-9` before `bead-10`, and of `k0` and `k00`, which count the same, the shorter first. */
export function byId(a: string, b: string): number {
  return NUMBERS_AS_NUMBERS.compare(a, b) || (a < b ? -1 : a > b ? 1 : 0);
}
