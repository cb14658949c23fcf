/** Work done once for each thing that never changes, and kept as long as the thing is. */
export function oncePer<K extends object, V>(work: (key: K) => V): (key: K) => V {
  const done = new WeakMap<K, { readonly value: V }>();
  return (key) => {
    const known = done.get(key);
    if (known) return known.value;
    const value = work(key);
    done.set(key, { value });
    return value;
  };
}

/**
 * Work on a thing that never changes with something beside it: of each thing the last answer is kept, and given again while
 * what stands beside it is the same.
 */
export function lastPer<K extends object, A extends readonly unknown[], V>(
  work: (key: K, ...beside: A) => V,
): (key: K, ...beside: A) => V {
  const last = new WeakMap<K, { readonly beside: A; readonly value: V }>();
  return (key, ...beside) => {
    const known = last.get(key);
    if (known && known.beside.every((each, i) => Object.is(each, beside[i]))) return known.value;
    const value = work(key, ...beside);
    last.set(key, { beside, value });
    return value;
  };
}

/** Work done when it is first asked for, and not again. */
export function once<V>(work: () => V): () => V {
  let done: { readonly value: V } | null = null;
  return () => (done ??= { value: work() }).value;
}
