/** Backups of what this browser holds: written, their age, read, and taken in again. */
import { ownDatabase, stores } from '../stores';
import { guarded, type Stored } from '../guarded';
import { settingsSchema, type Settings } from '../settings';
import { persistence, type Persistence } from '../persistence';
import type { BackupContents } from './backup-format';
import { lastBackup, noteBackup } from './last-backup';
import { compareBackup, restore, type Offer, type Restored } from './restore';
import { writeBackup, type Progress } from './write-backup';

export { readBackup, type BackupProblem } from './read-backup';
export { isOffered, type Offer, type Restored, type Standing } from './restore';
export type { BackupContents } from './backup-format';
export type { Progress } from './write-backup';

export interface StorageState {
  readonly persistence: Persistence;
  /** Bytes this app has in the browser, and how many it may have; null where the browser does not say. */
  readonly usedBytes: number | null;
  readonly mostBytes: number | null;
  /** When the last backup was saved; null when none was. */
  readonly lastAt: number | null;
}

export function makeBackup(now: number, onProgress: (progress: Progress) => void): Promise<Stored<Blob>> {
  const database = ownDatabase();
  return guarded(database, () => writeBackup(database, new Date(now), onProgress));
}

/** Notes that a backup was handed to the user. */
export function backupSaved(now: number): Promise<Stored<void>> {
  return noteBackup(ownDatabase(), now);
}

export async function storageState(): Promise<StorageState> {
  const estimate = await navigator.storage?.estimate?.().catch(() => null);
  return {
    persistence: await persistence(),
    usedBytes: estimate?.usage ?? null,
    mostBytes: estimate?.quota ?? null,
    lastAt: await lastBackup(ownDatabase()),
  };
}

export function offersOf(contents: BackupContents): Promise<Stored<readonly Offer[]>> {
  return guarded(ownDatabase(), () => compareBackup(ownDatabase(), stores().lures, contents));
}

export function takeIn(contents: BackupContents, chosen: ReadonlySet<string>, now: number): Promise<Stored<Restored>> {
  return restore(ownDatabase(), stores(), contents, chosen, now);
}

/** Settings as they were before a backup's were taken. */
export function putSettingsBack(settings: Settings): Promise<Stored<void>> {
  return stores().settings.write(settingsSchema.parse(settings));
}
