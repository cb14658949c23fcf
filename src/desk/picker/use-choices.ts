'use client';

import { useEffect, useMemo, useState } from 'react';
import type { Water } from '@/core/hydro/water';
import { isLoose, type Misfit } from '@/core/fits/fit';
import { misfitsInPlace, partInPlace, type Placement } from '@/core/fits/placement';
import type { Lure } from '@/core/lure/lure';
import { effectAt, type Effect } from '@/core/prepared/weigh';
import type { Part, PartKind } from '@/core/parts/part';
import { matches, readQuery, searchable, type Searchable } from '@/core/parts/search';
import { askCore } from '@/workers/core-client';

export const SORTS = ['listed', 'rate', 'drag', 'mass', 'clearance'] as const;
export type Sort = (typeof SORTS)[number];

export interface Choice {
  readonly part: Part;
  readonly misfits: readonly Misfit[];
}

export interface Choices {
  readonly fitting: readonly Choice[];
  readonly notFitting: readonly Choice[];
}

const known = new WeakMap<Part, Searchable>();

function searchableOf(part: Part): Searchable {
  const found = known.get(part) ?? searchable(part);
  known.set(part, found);
  return found;
}

/** Parts of the asked kind that match what was typed, those that fit first; the present part leads. */
export function useChoices(
  parts: readonly Part[],
  kind: PartKind,
  typed: string,
  lure: Lure,
  placement: Placement,
): Choices {
  const ofKind = useMemo(() => {
    const now = partInPlace(lure.build, placement);
    const listed = parts.filter((part) => part.kind === kind);
    const rest = listed.filter(({ id }) => id !== now?.id);
    const all = now?.kind === kind ? [now, ...rest] : rest;
    const found = misfitsInPlace(lure.build, placement, all);
    return all.map((part, i) => ({ choice: { part, misfits: found[i] ?? [] }, searched: searchableOf(part) }));
  }, [parts, kind, lure, placement]);
  return useMemo(() => {
    const query = readQuery(typed);
    const fitting: Choice[] = [];
    const notFitting: Choice[] = [];
    for (const { choice, searched } of ofKind) {
      if (!matches(query, searched)) continue;
      (choice.misfits.every(isLoose) ? fitting : notFitting).push(choice);
    }
    return { fitting, notFitting };
  }, [ofKind, typed]);
}

/** Parts asked about at once: an answer every few hundredths of a second. */
const BATCH = 120;

/** What each part would do, filled in from the worker batch by batch, those asked for first. */
export function useEffects(
  wanted: readonly Choice[],
  lure: Lure,
  placement: Placement,
  speedMps: number,
  water: Water,
): { readonly effects: ReadonlyMap<string, Effect>; readonly isWorking: boolean; readonly failed: string | null } {
  const [held, setHeld] = useState<{ lure: Lure; effects: ReadonlyMap<string, Effect>; failed: string | null }>({
    lure,
    effects: new Map(),
    failed: null,
  });
  const isCurrent = held.lure === lure;
  const effects = isCurrent ? held.effects : EMPTY;
  const failed = isCurrent ? held.failed : null;
  const missing = useMemo(() => {
    const found: Part[] = [];
    for (const { part } of wanted) {
      if (!effects.has(part.id)) found.push(part);
      if (found.length === BATCH) break;
    }
    return found;
  }, [wanted, effects]);
  useEffect(() => {
    if (missing.length === 0 || failed !== null) return;
    const wanting = new AbortController();
    askCore('weigh', [lure, placement, missing, water, speedMps], { signal: wanting.signal }).then(
      (answers) => {
        if (wanting.signal.aborted) return;
        setHeld((last) => {
          const next = new Map(last.lure === lure ? last.effects : []);
          missing.forEach(({ id }, i) => next.set(id, effectAt(answers, i) ?? NOTHING));
          return { lure, effects: next, failed: null };
        });
      },
      (error: unknown) => {
        if (wanting.signal.aborted) return;
        setHeld((last) => ({ ...last, lure, failed: error instanceof Error ? error.message : String(error) }));
      },
    );
    return () => wanting.abort();
  }, [missing, lure, placement, speedMps, water, failed]);
  return { effects, isWorking: missing.length > 0 && failed === null, failed };
}

const EMPTY: ReadonlyMap<string, Effect> = new Map();
const NOTHING: Effect = { rateHz: null, dragN: null, massKg: 0, clearanceM: null };

const VALUE: Readonly<Record<Exclude<Sort, 'listed'>, (effect: Effect) => number | null>> = {
  rate: ({ rateHz }) => rateHz,
  drag: ({ dragN }) => dragN,
  mass: ({ massKg }) => massKg,
  clearance: ({ clearanceM }) => clearanceM,
};

/** Least first; what is not known stands last. */
export function sorted(
  choices: readonly Choice[],
  sort: Sort,
  effects: ReadonlyMap<string, Effect>,
): readonly Choice[] {
  if (sort === 'listed') return choices;
  const value = ({ part }: Choice) => {
    const effect = effects.get(part.id);
    return (effect && VALUE[sort](effect)) ?? Infinity;
  };
  return choices
    .map((choice) => ({ choice, by: value(choice) }))
    .sort((a, b) => (a.by === b.by ? 0 : a.by - b.by))
    .map(({ choice }) => choice);
}
