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
