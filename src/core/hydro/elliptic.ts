/**
 * Complete elliptic integral of the second kind E(k), modulus k, 0 ≤ k ≤ 1, by the arithmetic–geometric mean.
 * Source: Abramowitz & Stegun 17.6; exact to rounding.
 * @throws RangeError outside 0…1
 */
export function ellipticE(k: number): number {
  if (!(k >= 0 && k <= 1)) throw new RangeError(`ellipticE: needs 0 ≤ k ≤ 1, got ${k}`);
  if (k === 1) return 1;
  let a = 1;
  let b = Math.sqrt(1 - k * k);
  let c = k;
  let power = 0.5;
  let sum = power * c * c;
  while (Math.abs(c) > 1e-16) {
    const next = (a + b) / 2;
    c = (a - b) / 2;
    b = Math.sqrt(a * b);
    a = next;
    power *= 2;
    sum += power * c * c;
  }
  return (Math.PI / (2 * a)) * (1 - sum);
}
