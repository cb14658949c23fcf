'use client';

import { carrierRoom } from '@/core/carriers/carrier';
import { isGentleOnLine } from '@/core/judgement/checks/lines';
import { useEffect, useMemo, useState } from 'react';
import type { Water } from '@/core/hydro/water';
import { isLoose, type Misfit } from '@/core/fits/misfit';
import { isUsualForSlot } from '@/core/judgement/families/usual';
import { isUsualIn, misfitsInPlace, partInPlace, type Placement } from '@/core/fits/placement';
import type { Build, Lure } from '@/core/lure/lure';
import { effectAt, type Effect } from '@/core/prepared/weigh';
import type { Part, PartKind, PartOf } from '@/core/parts/part';
import { matches, readQuery, searchable, type Searchable } from '@/core/parts/search';
import { askCore } from '@/workers/core-client';
import type { PickerAim } from './picker-state';

export const SORTS = ['listed', 'rate', 'drag', 'mass', 'clearance', 'sound'] as const;
export type Sort = (typeof SORTS)[number];

export interface Choice {
  readonly part: Part;
  readonly misfits: readonly Misfit[];
  /** Where it goes: the place asked for, or for a blade on the bare wire, on a clevis that goes on with it. */
  readonly placement: Placement;
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

/**
 * Parts that match what was typed, those that fit first. The present part leads; then what was taken last, own parts, and
 * the kinds in their order, in each what is usual there.
 * @param kind null for all that could go there
 * @param recent ids of parts, the last taken first
 */
export function useChoices(
  parts: readonly Part[],
  ownCount: number,
  kind: PartKind | null,
  typed: string,
  lure: Lure,
  { placement, kinds, slot }: PickerAim,
  recent: readonly string[],
): Choices {
  const offered = useMemo(() => {
    const wanted = kind === null ? kinds : [kind];
    const now = partInPlace(lure.build, placement);
    const rank = (part: Part, index: number): number => {
      if (part.id === now?.id) return -1;
      const lately = recent.indexOf(part.id);
      const familiar = lately >= 0 ? lately / 1000 : index < ownCount ? 1 : 2;
      // A place that asks for its part asks for one kind before another; else what was taken last comes before all.
      const byKind = lately >= 0 && slot === null ? 0 : wanted.indexOf(part.kind) * 10;
      const isUsual = isUsualIn(placement, part) && isUsualForSlot(lure, slot, part);
      return byKind + familiar + (isUsual ? 0 : 5);
    };
    const listed = parts
      .map((part, index) => ({ part, index }))
      .filter(({ part }) => wanted.includes(part.kind) && part.id !== now?.id);
    const all = now && wanted.includes(now.kind) ? [{ part: now, index: 0 }, ...listed] : listed;
    const ranked = all
      .map(({ part, index }) => ({ part, by: rank(part, index) }))
      .sort((a, b) => a.by - b.by)
      .map(({ part }) => part);
    return offersOf(ranked, parts, lure, placement).map((choice) => ({ choice, searched: searchableOf(choice.part) }));
  }, [parts, ownCount, kind, kinds, slot, lure, placement, recent]);
  return useMemo(() => {
    const query = readQuery(typed);
    const fitting: Choice[] = [];
    const notFitting: Choice[] = [];
    for (const { choice, searched } of offered) {
      if (!matches(query, searched)) continue;
      (choice.misfits.every(isLoose) ? fitting : notFitting).push(choice);
    }
    return { fitting, notFitting };
  }, [offered, typed]);
}

/** Clevises tried for a blade that is put on the bare wire. */
const MOST_CLEVISES = 4;

/** Each part with why it does not go there; a blade for the wire itself goes on with the first clevis that takes it. */
export function offersOf(
  ranked: readonly Part[],
  parts: readonly Part[],
  { build }: Lure,
  placement: Placement,
): Choice[] {
  const byClevis = new Map<Part, Choice>();
  if (placement.put === 'thread') {
    const blades = ranked.filter(({ kind }) => kind === 'blade');
    for (const clevis of blades.length === 0 ? [] : clevisesFor(parts, build, placement)) {
      const onIt: Placement = { put: 'threadOnClevis', index: placement.index, clevis };
      const found = misfitsInPlace(build, onIt, blades);
      for (const [i, part] of blades.entries()) {
        const known = byClevis.get(part);
        const its = found[i] ?? [];
        if (!known || (known.misfits.length > 0 && its.length === 0))
          byClevis.set(part, { part, misfits: its, placement: onIt });
      }
    }
  }
  const plain = ranked.filter((part) => !byClevis.has(part));
  const found = misfitsInPlace(build, placement, plain);
  const own = new Map(plain.map((part, i): [Part, Choice] => [part, { part, misfits: found[i] ?? [], placement }]));
  return ranked.flatMap((part) => byClevis.get(part) ?? own.get(part) ?? []);
}

function clevisesFor(parts: readonly Part[], build: Build, placement: Placement): PartOf<'clevis'>[] {
  const clevises = parts.filter((part) => part.kind === 'clevis');
  const found = misfitsInPlace(build, placement, clevises);
  const fitting = clevises.filter((_, i) => found[i]?.length === 0);
  // On line one that does not saw it comes first.
  const isOnLine = carrierRoom(build.carrier).isLimp;
  const gentle = isOnLine ? fitting.toSorted((a, b) => Number(isGentleOnLine(b)) - Number(isGentleOnLine(a))) : fitting;
  return gentle.slice(0, MOST_CLEVISES);
}

/** Parts asked about at once: an answer every few hundredths of a second. */
const BATCH = 120;

/** What each part would do, filled in from the worker batch by batch, those asked for first. */
export function useEffects(
  wanted: readonly Choice[],
  lure: Lure,
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
    let placement: Placement | null = null;
    for (const choice of wanted) {
      if (effects.has(choice.part.id)) continue;
      // One place at a time: the next batch is of the next.
      placement ??= choice.placement;
      if (choice.placement === placement) found.push(choice.part);
      if (found.length === BATCH) break;
    }
    return placement && { placement, parts: found };
  }, [wanted, effects]);
  useEffect(() => {
    if (!missing || failed !== null) return;
    const wanting = new AbortController();
    askCore('weigh', [lure, missing.placement, missing.parts, water, speedMps], { signal: wanting.signal }).then(
      (answers) => {
        if (wanting.signal.aborted) return;
        setHeld((last) => {
          const next = new Map(last.lure === lure ? last.effects : []);
          missing.parts.forEach(({ id }, i) => next.set(id, effectAt(answers, i) ?? NOTHING));
          return { lure, effects: next, failed: null };
        });
      },
      (error: unknown) => {
        if (wanting.signal.aborted) return;
        setHeld((last) => ({ ...last, lure, failed: error instanceof Error ? error.message : String(error) }));
      },
    );
    return () => wanting.abort();
  }, [missing, lure, speedMps, water, failed]);
  return { effects, isWorking: missing !== null && failed === null, failed };
}

const EMPTY: ReadonlyMap<string, Effect> = new Map();
const NOTHING: Effect = { rateHz: null, dragN: null, massKg: 0, clearanceM: null, levelDb: null };

const VALUE: Readonly<Record<Exclude<Sort, 'listed'>, (effect: Effect) => number | null>> = {
  rate: ({ rateHz }) => rateHz,
  drag: ({ dragN }) => dragN,
  mass: ({ massKg }) => massKg,
  clearance: ({ clearanceM }) => clearanceM,
  sound: ({ levelDb }) => levelDb,
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
