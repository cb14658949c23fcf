/** What pieces are called in the steps of making, and what is said of a step. */
import { itemOf, type Build, type ItemId } from '../core/lure/lure';
import type { Part } from '../core/parts/part';
import { finishWords, partTitle } from './part-words';

export interface StepWords {
  /** What to do, in one plain sentence. */
  readonly what: string;
  /** How, where that is not plain. */
  readonly how: string;
}

/** A part's name, told from others of that name by its finish, or by standing in front or behind. */
export function distinctName(build: Build, id: ItemId): string {
  const { part } = itemOf(build, id);
  const title = lower(part);
  const kin = Object.values(build.items).filter((item) => item.part.kind === part.kind && lower(item.part) === title);
  if (kin.length < 2 || !TOLD_APART.has(part.kind)) return title;
  const isAlone = kin.filter((item) => finishWords(item.part) === finishWords(part)).length === 1;
  if (isAlone) return `${title} (${finishWords(part)})`;
  const placeOf = (item: ItemId): number => {
    const found = build.strand.findIndex((entry) => entry.item === item);
    const { seat } = itemOf(build, item);
    return found < 0 && seat.on === 'item' ? placeOf(seat.item) : found;
  };
  const [first] = kin.map((item) => item.id).sort((a, b) => placeOf(a) - placeOf(b));
  return `${first === id ? 'front' : 'rear'} ${title}`;
}

const TOLD_APART: ReadonlySet<Part['kind']> = new Set(['clevis', 'blade', 'deltaBlade', 'hook']);

/** `the bead, the blade and the ring` without its first article. */
export function listed(names: readonly string[]): string {
  return names.length < 2 ? (names[0] ?? '') : `${names.slice(0, -1).join(', the ')} and the ${names.at(-1) ?? ''}`;
}

export function lower(part: Part): string {
  const title = partTitle(part);
  return title.charAt(0).toLowerCase() + title.slice(1);
}
