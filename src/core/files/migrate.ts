/**
 * Steps from older shapes of a lure to the present one, on data that has not been checked yet: `plainDataProblem` must have
 * found nothing in it. A step never throws; what does not look like what it knows is left as it is, and the schema that
 * reads the result names what is wrong with it.
 */

/** The present shape of a lure, wherever it stands: in a file, a record of the browser's storage, a backup. */
export const LURE_VERSION = 9;

/** Steps: STEPS[n] turns data of version n into version n + 1. Versions 5 to 9 only brought what a lure of before has none of: readings, notes on versions; what was done with a made piece; line; bodies; traced outlines. */
const STEPS: Readonly<Record<number, (value: unknown) => unknown>> = {
  1: addItemStates,
  2: oneStatePerItem,
  3: joinCarriers,
};

/** A lure, or a history of one, of an older version in the present shape. Not checked: the schema does that. */
export function migrateLure(value: unknown, fromVersion: number): unknown {
  let migrated = value;
  for (let version = fromVersion; version < LURE_VERSION; version++) migrated = STEPS[version]?.(migrated) ?? migrated;
  return migrated;
}

/**
 * Version 1 to 2: every item gained `foldRad` and `pinched`. Items stand in builds, in made builds and in the edits of a
 * history, so whatever looks like an item is taken for one; anything else is left as it is.
 */
function addItemStates(value: unknown): unknown {
  return mapObjects(value, (kept) => {
    const isItem = 'seat' in kept && 'part' in kept && 'role' in kept && 'cutLengthM' in kept;
    return isItem ? { foldRad: null, pinched: false, ...kept } : kept;
  });
}

/** Version 2 to 3: what was done to an item stands in one `state` by kind, also in the edits of a history; a lure has `versions`. */
function oneStatePerItem(value: unknown): unknown {
  return dropEmptyAdjusts(
    mapObjects(value, (kept) => {
      if ('seat' in kept && 'part' in kept && 'cutLengthM' in kept) {
        const { cutLengthM, foldRad, pinched, ...rest } = kept;
        return { ...rest, state: stateFrom(asObject(kept.part)?.kind, { cutLengthM, foldRad, pinched }) };
      }
      const set = kept.kind === 'adjust' ? asObject(kept.changes) : null;
      if (set) {
        const { cutLengthM, foldRad, pinched, ...changes } = set;
        const state =
          foldRad !== undefined && foldRad !== null
            ? { of: 'film', foldRad }
            : pinched !== undefined
              ? { of: 'hook', pinched }
              : cutLengthM !== undefined && typeof kept.item === 'string' && kept.item.startsWith('shrinkTube-')
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
  const isSomething = (edit: unknown) => {
    const known = asObject(edit);
    const changes = asObject(known?.changes);
    return known?.kind !== 'adjust' || changes === null || Object.keys(changes).length > 0;
  };
  const hasEdits = (change: unknown) => {
    const edits = asObject(change)?.edits;
    return !Array.isArray(edits) || edits.length > 0;
  };
  return mapObjects(value, (kept) => {
    const pruned = { ...kept };
    for (const key of ['edits', 'inverse']) {
      const edits = kept[key];
      if (Array.isArray(edits)) pruned[key] = edits.filter(isSomething);
    }
    for (const key of ['past', 'future']) {
      const changes = kept[key];
      if (Array.isArray(changes)) pruned[key] = changes.filter(hasEdits);
    }
    return pruned;
  });
}

/** Version 3 to 4: a build may have carriers joined to its first; one of before has none. */
function joinCarriers(value: unknown): unknown {
  return mapObjects(value, (kept) =>
    'carrier' in kept && 'items' in kept && 'strand' in kept ? { joined: [], ...kept } : kept,
  );
}

type Loose = Record<string, unknown>;

function asObject(value: unknown): Loose | null {
  return typeof value === 'object' && value !== null && !Array.isArray(value) ? (value as Loose) : null;
}

/** Every object in a tree of plain data, the innermost first. */
function mapObjects(value: unknown, map: (kept: Loose) => Loose): unknown {
  if (Array.isArray(value)) return value.map((each) => mapObjects(each, map));
  const kept = asObject(value);
  if (!kept) return value;
  return map(Object.fromEntries(Object.entries(kept).map(([key, each]) => [key, mapObjects(each, map)])));
}
