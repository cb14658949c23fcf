/** A lure with its history as rows of the database, and back. */
import type { LureHistory } from '../core/lure/history';
import { readHistory, type HistoryReading } from '../core/files/record';
import type { StoredChange, StoredLure, StoredVersions } from './stored';

/** What a record says of itself beside the lure. */
export type RecordHead = Pick<StoredLure, 'birth' | 'rev' | 'changedAt' | 'awayAt'>;

export interface LureRows {
  readonly row: StoredLure;
  readonly versions: StoredVersions;
  readonly changes: readonly StoredChange[];
}

/** Done and undone changes in the order of time. */
export function timelineOf({ past, future }: LureHistory): LureHistory['past'] {
  return [...past, ...future.toReversed()];
}

/** @param from the number of the first change */
export function rowsOf(history: LureHistory, head: RecordHead, from: number): LureRows {
  const { versions, ...lure } = history.lure;
  const timeline = timelineOf(history);
  const { birth, rev, changedAt, awayAt } = head;
  const at = from + history.past.length;
  return {
    row: { id: lure.id, birth, rev, changedAt, awayAt, lure, from, at, to: from + timeline.length },
    versions: { id: lure.id, versions },
    changes: timeline.map((change, i) => ({ lure: lure.id, seq: from + i, change })),
  };
}

/** What the rows of one lure hold, as data that nobody has checked. */
export function rawHistory(
  row: StoredLure,
  versions: StoredVersions | undefined,
  changes: readonly StoredChange[],
): unknown {
  const timeline = changes.filter(({ seq }) => seq >= row.from && seq < row.to);
  const part = (isIn: (seq: number) => boolean) => timeline.filter(({ seq }) => isIn(seq)).map(({ change }) => change);
  const lure = typeof row.lure === 'object' && row.lure !== null ? row.lure : {};
  return {
    lure: { ...lure, versions: versions?.versions ?? [] },
    past: part((seq) => seq < row.at),
    future: part((seq) => seq >= row.at).reverse(),
  };
}

/** Reads the rows of one lure; the damage is named where they cannot be read. */
export function historyOf(
  row: StoredLure,
  versions: StoredVersions | undefined,
  changes: readonly StoredChange[],
): HistoryReading {
  const read = readHistory(rawHistory(row, versions, changes));
  if (!read.ok) return read;
  const isWhole = read.history.past.length === row.at - row.from && read.history.future.length === row.to - row.at;
  if (!isWhole) return { ok: false, damage: { path: 'past', message: 'changes are missing' } };
  return read.history.lure.id === row.id
    ? read
    : { ok: false, damage: { path: 'lure.id', message: `the id ${row.id}` } };
}
