/**
 * How much a lure with all its builds weighs as data. A lure that is too large for its own file must never come about, so
 * every change is held against this before it is taken.
 */
import { MOST_READINGS } from './reading';
import { charactersOf } from '../characters';
import { MOST_VERSIONS, type Build, type Lure } from './lure';
import type { Refusal } from './structure';

/** Characters of all builds of a lure together, written without spaces. A file, written for people, is less than four times this. */
export const MOST_LURE_CHARACTERS = 8 * 1024 * 1024;

/** Every build a lure holds: the one on the bench, the one made, those kept under a name. */
export function buildsOf({ build, made, versions }: Pick<Lure, 'build' | 'made' | 'versions'>): Build[] {
  return [build, ...(made ? [made.build] : []), ...versions.map((version) => version.build)];
}

/** Why this lure is too large to be kept, or null. */
export function sizeProblem(lure: Lure): Refusal | null {
  if (lure.versions.length > MOST_VERSIONS) return { code: 'beyondBounds', of: 'versions', most: MOST_VERSIONS };
  if ((lure.readings?.length ?? 0) > MOST_READINGS)
    return { code: 'beyondBounds', of: 'readings', most: MOST_READINGS };
  const characters = buildsOf(lure).reduce((sum, build) => sum + charactersOf(build), 0);
  return characters > MOST_LURE_CHARACTERS ? { code: 'beyondBounds', of: 'data', most: MOST_LURE_CHARACTERS } : null;
}
