/** Numbers as if by chance, the same from the same seed on every machine. */

/** Numbers from 0 to 1, the same for the same seed (xorshift32, Marsaglia 2003). */
export function seeded(seed: number): () => number {
  let state = (Math.imul(seed | 0, 0x9e3779b1) ^ 0x85ebca6b) | 0 || 1;
  return () => {
    state ^= state << 13;
    state ^= state >>> 17;
    state ^= state << 5;
    return (state >>> 0) / 4294967296;
  };
}

/** Normal numbers of standard deviation 1 from uniform ones (Box and Muller). */
export function normals(random: () => number): () => number {
  return () => Math.sqrt(-2 * Math.log(random())) * Math.cos(2 * Math.PI * random());
}
