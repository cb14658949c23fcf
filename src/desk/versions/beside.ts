'use client';

import { useEffect, useMemo, useState } from 'react';
import type { Build, Lure, LureId } from '@/core/lure/lure';
import { openStores } from '../stores';
import { useDesk, type Beside } from '../desk-state';

/** One of those that are compared. */
export interface Subject {
  readonly name: string;
  readonly build: Build;
  /** Null of the lure as it is now. */
  readonly beside: Beside | null;
}

/** At most so many stand beside the lure. */
export const MOST_BESIDE = 2;

/** The lure as it is now and all that is laid beside it; what has gone meanwhile is left out. */
export function useSubjects(lure: Lure, compared: readonly Beside[]): readonly Subject[] {
  const lures = useDesk((state) => state.lures);
  const [builds, setBuilds] = useState<ReadonlyMap<LureId, Build>>(new Map());
  useEffect(() => {
    let isHere = true;
    const ids = compared.flatMap((each) => (each.of === 'lure' ? [each.id] : []));
    void openStores()
      .then((stores) => Promise.all(ids.map(async (id) => [id, await stores.lures.readBuild(id)] as const)))
      .then((read) => {
        if (isHere) setBuilds(new Map(read.flatMap(([id, build]) => (build.ok ? [[id, build.value]] : []))));
      });
    return () => {
      isHere = false;
    };
  }, [compared]);
  return useMemo(() => {
    const others = compared.flatMap((beside): Subject[] => {
      if (beside.of === 'version') {
        const version = lure.versions[beside.index];
        return version ? [{ ...version, beside }] : [];
      }
      const build = builds.get(beside.id);
      const name = lures.find(({ id }) => id === beside.id)?.name;
      return build && name !== undefined ? [{ name, build, beside }] : [];
    });
    return [{ name: `${lure.name}, now`, build: lure.build, beside: null }, ...others];
  }, [lure, compared, lures, builds]);
}

/** What can be laid beside the lure: its versions first, then other lures, the last changed first. */
export function besideChoices(
  lure: Lure,
  lures: readonly { readonly id: string; readonly name: string; readonly family: string }[],
  compared: readonly Beside[],
  typed: string,
): { readonly beside: Beside; readonly name: string; readonly kind: string | null }[] {
  const words = typed.trim().toLowerCase();
  const taken = new Set(compared.map((each) => (each.of === 'version' ? each.index : each.id)));
  return [
    ...lure.versions.map(({ name }, index) => ({ beside: { of: 'version', index } as const, name, kind: null })),
    ...lures
      .filter(({ id }) => id !== lure.id)
      .map(({ id, name, family }) => ({ beside: { of: 'lure', id: id as LureId } as const, name, kind: family })),
  ].filter(
    ({ beside, name }) =>
      !taken.has(beside.of === 'version' ? beside.index : beside.id) && name.toLowerCase().includes(words),
  );
}
