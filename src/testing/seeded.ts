/** Numbers from a seed, the same on every machine (Park and Miller, Comm. ACM 31, 1988). */
export function seeded(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state * 48271) % 2147483647;
    return state / 2147483647;
  };
}
