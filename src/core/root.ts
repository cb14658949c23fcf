/**
 * A bracketed root by Brent's method (R. P. Brent, Algorithms for Minimization without Derivatives, 1973, ch. 4):
 * never slower than bisection by much, never leaves the bracket.
 */
export type Root =
  | { readonly outcome: 'converged'; readonly x: number; readonly residual: number; readonly evaluations: number }
  | { readonly outcome: 'noBracket'; readonly fLow: number; readonly fHigh: number }
  | { readonly outcome: 'notFinite'; readonly at: number }
  | { readonly outcome: 'didNotConverge'; readonly x: number; readonly residual: number };

/** The root of `f` between `low` and `high`, to `tolerance` in x. The signs of f at the two ends must differ. */
export function findRoot(
  f: (x: number) => number,
  low: number,
  high: number,
  tolerance: number,
  fLow = f(low),
  fHigh = f(high),
): Root {
  if (!Number.isFinite(fLow)) return { outcome: 'notFinite', at: low };
  if (!Number.isFinite(fHigh)) return { outcome: 'notFinite', at: high };
  if (fLow * fHigh > 0) return { outcome: 'noBracket', fLow, fHigh };

  let a = low;
  let b = high;
  let c = low;
  let fa = fLow;
  let fb = fHigh;
  let fc = fLow;
  let d = b - a;
  let e = d;
  for (let evaluations = 2; evaluations < 100; evaluations++) {
    if (Math.abs(fc) < Math.abs(fb)) {
      a = b;
      b = c;
      c = a;
      fa = fb;
      fb = fc;
      fc = fa;
    }
    const limit = 2 * Number.EPSILON * Math.abs(b) + tolerance / 2;
    const half = (c - b) / 2;
    if (Math.abs(half) <= limit || fb === 0) return { outcome: 'converged', x: b, residual: fb, evaluations };

    if (Math.abs(e) >= limit && Math.abs(fa) > Math.abs(fb)) {
      const s = fb / fa;
      let p: number;
      let q: number;
      if (a === c) {
        p = 2 * half * s;
        q = 1 - s;
      } else {
        const r = fb / fc;
        q = fa / fc;
        p = s * (2 * half * q * (q - r) - (b - a) * (r - 1));
        q = (q - 1) * (r - 1) * (s - 1);
      }
      if (p > 0) q = -q;
      else p = -p;
      if (2 * p < Math.min(3 * half * q - Math.abs(limit * q), Math.abs(e * q))) {
        e = d;
        d = p / q;
      } else {
        d = half;
        e = d;
      }
    } else {
      d = half;
      e = d;
    }
    a = b;
    fa = fb;
    b += Math.abs(d) > limit ? d : Math.sign(half) * limit;
    fb = f(b);
    if (!Number.isFinite(fb)) return { outcome: 'notFinite', at: b };
    if (fb * fc > 0) {
      c = a;
      fc = fa;
      d = b - a;
      e = d;
    }
  }
  return { outcome: 'didNotConverge', x: b, residual: fb };
}
