/** How much a piece of data takes as text. What is asked for never changes, so each is measured once. */
const MEASURED = new WeakMap<object, number>();

/** Characters of `data` as JSON without spaces. */
export function charactersOf(data: object): number {
  const known = MEASURED.get(data);
  if (known !== undefined) return known;
  const characters = JSON.stringify(data).length;
  MEASURED.set(data, characters);
  return characters;
}
