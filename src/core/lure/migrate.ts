/** Steps from older shapes of a lure to the present one, on data that has not been checked yet. */

/**
 * Version 1 to 2: every item gained `foldRad` and `pinched`. Items stand in builds, in made builds and in the edits of a
 * history, so whatever looks like an item is taken for one; anything else is left as it is.
 */
export function addItemStates(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(addItemStates);
  if (typeof value !== 'object' || value === null) return value;
  const kept = Object.fromEntries(Object.entries(value).map(([key, each]) => [key, addItemStates(each)]));
  const isItem = 'seat' in kept && 'part' in kept && 'role' in kept && 'cutLengthM' in kept;
  return isItem ? { foldRad: null, pinched: false, ...kept } : kept;
}
