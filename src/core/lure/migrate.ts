/** Steps from older shapes of a lure to the present one, on data that has not been checked yet. */

/**
 * Version 1 to 2: every item gained `foldRad` and `pinched`. Items stand in builds, in made builds and in the edits of a
 * history, so whatever looks like an item is taken for one; anything else is left as it is.
 */
export function addItemStates(value: unknown): unknown {
  return mapObjects(value, (kept) => {
    const isItem = 'seat' in kept && 'part' in kept && 'role' in kept && 'cutLengthM' in kept;
    return isItem ? { foldRad: null, pinched: false, ...kept } : kept;
  });
}

/** Version 2 to 3: what was done to an item stands in one `state` by kind, also in the edits of a history; a lure has `versions`. */
export function oneStatePerItem(value: unknown): unknown {
  return dropEmptyAdjusts(
    mapObjects(value, (kept) => {
      if ('seat' in kept && 'part' in kept && 'cutLengthM' in kept) {
        const { cutLengthM, foldRad, pinched, ...rest } = kept;
        return { ...rest, state: stateFrom((kept.part as { kind?: unknown }).kind, { cutLengthM, foldRad, pinched }) };
      }
      if (kept.kind === 'adjust' && typeof kept.changes === 'object' && kept.changes !== null) {
        const { cutLengthM, foldRad, pinched, ...changes } = kept.changes as Record<string, unknown>;
        const state =
          foldRad !== undefined && foldRad !== null
            ? { of: 'film', foldRad }
            : pinched !== undefined
              ? { of: 'hook', pinched }
              : cutLengthM !== undefined && String(kept.item).startsWith('shrinkTube-')
                ? { of: 'tube', cutLengthM }
                : null;
        return { ...kept, changes: state ? { ...changes, state } : changes };
      }
      if ('family' in kept && 'build' in kept && 'made' in kept) return { versions: [], ...kept };
      return kept;
    }),
  );
}

function stateFrom(kind: unknown, old: { cutLengthM: unknown; foldRad: unknown; pinched: unknown }) {
  switch (kind) {
    case 'filmBlade':
      return { of: 'film', foldRad: old.foldRad ?? 0 };
    case 'hook':
      return { of: 'hook', pinched: old.pinched };
    case 'shrinkTube':
      return { of: 'tube', cutLengthM: old.cutLengthM };
    case 'sleeve':
      return { of: 'sleeve', slidUp: false };
    default:
      return null;
  }
}

/** An edit that set only what no longer is has nothing left to say; a change of nothing but such is no change. */
function dropEmptyAdjusts(value: unknown): unknown {
  return mapObjects(value, (kept) => {
    const isSomething = (edit: unknown) => {
      const { kind, changes } = edit as { kind?: unknown; changes?: object };
      return kind !== 'adjust' || Object.keys(changes ?? {}).length > 0;
    };
    const prune = (key: string) => (Array.isArray(kept[key]) ? { [key]: kept[key].filter(isSomething) } : {});
    const pruned: Record<string, unknown> = { ...kept, ...prune('edits'), ...prune('inverse') };
    for (const key of ['past', 'future']) {
      const changes = pruned[key];
      if (!Array.isArray(changes)) continue;
      pruned[key] = changes.filter((each: { edits?: unknown[] }) => each.edits === undefined || each.edits.length > 0);
    }
    return pruned;
  });
}

/** Every object in a tree of plain data, the innermost first. */
function mapObjects(value: unknown, map: (kept: Record<string, unknown>) => Record<string, unknown>): unknown {
  if (Array.isArray(value)) return value.map((each) => mapObjects(each, map));
  if (typeof value !== 'object' || value === null) return value;
  return map(Object.fromEntries(Object.entries(value).map(([key, each]) => [key, mapObjects(each, map)])));
}
