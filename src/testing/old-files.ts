/** Files as earlier versions of Mazurka wrote them. */

/** A version 2 lure file as version 1 did: items without the fold of a film and the pinched barb. */
export function asVersion1(version2: unknown): unknown {
  return JSON.parse(
    JSON.stringify({ ...(version2 as object), version: 1 }, (key, value: unknown) =>
      key === 'foldRad' || key === 'pinched' ? undefined : value,
    ),
  );
}
