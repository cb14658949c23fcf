/** The rows of the database, as they lie there. */
import type { Lure } from '../core/lure/lure';

/** As stored: not trusted until parsed. `rev` rises by one with every write. */
export interface StoredLure {
  id: string;
  /** Given when the record first came about: two records under one id, in two browsers or after one was put away, differ by it. */
  birth: string;
  rev: number;
  changedAt: number;
  /** When it was put away; null while it is on the shelf. Its id stays taken. */
  awayAt: number | null;
  /** The lure without its versions. */
  lure: unknown;
  /** Its changes are the rows numbered from `from` to below `to`; those below `at` are done, the others undone. */
  from: number;
  at: number;
  to: number;
}

/** The builds of a lure kept under a name. */
export interface StoredVersions {
  id: string;
  versions: unknown;
}

/** One change of a lure. */
export interface StoredChange {
  lure: string;
  seq: number;
  change: unknown;
}

/** What a list of lures shows of each without opening it. Written with the lure, in the same transaction. */
export interface ShelfEntry {
  id: string;
  birth: string;
  name: string;
  family: string;
  isMade: boolean;
  /** The revision of the lure it was written with. */
  rev: number;
  changedAt: number;
  awayAt: number | null;
}

export function shelfEntryOf(
  { id, name, family, made }: Pick<Lure, 'id' | 'name' | 'family' | 'made'>,
  row: Pick<StoredLure, 'birth' | 'rev' | 'changedAt' | 'awayAt'>,
): ShelfEntry {
  const { birth, rev, changedAt, awayAt } = row;
  return { id, birth, name, family, isMade: made !== null, rev, changedAt, awayAt };
}

/** A part the user measured or took in; not trusted until parsed. */
export interface StoredPart {
  id: string;
  part: unknown;
}

export interface StoredRule {
  id: string;
  rule: unknown;
}

/** A lure being made, or made; not trusted until parsed. */
export interface StoredRun {
  id: string;
  birth: string;
  lureId: string;
  /** Counts its writes: what is read late is known to be old. */
  rev: number;
  changedAt: number;
  run: unknown;
}

/** A picture taken at a step. */
export interface StoredPhoto {
  id: string;
  runId: string;
  step: string;
  takenAt: number;
  picture: Blob;
}

export interface StoredSetting {
  key: string;
  value: unknown;
}

/** A record of an older database that could not be read when that was brought up to date: kept as it was. */
export interface SetAside {
  n?: number;
  id: string;
  /** The shape its history is in. */
  version: number;
  history: unknown;
}
