/**
 * Lures being made, and those made. Every change is read, done and written in one transaction on what stands there, so that
 * a step is kept as soon as it is taken and two tabs on one run do not undo each other.
 */
import { liveQuery } from 'dexie';
import type { LureId } from '../core/lure/lure';
import { runSchema, startRun, type Run, type ToMake } from '../core/make/run';
import { newBirth, type MazurkaDatabase } from './database';
import type { StoredPhoto, StoredRun } from './stored';
import { StorageError } from './failure';
import { guarded, readable, type Stored } from './guarded';

/** A picture is made small before it is kept; see small-picture.ts. */
const MOST_PICTURE_BYTES = 8 * 1024 * 1024;
const MOST_PICTURES = 200;

export interface RunPhoto {
  readonly id: string;
  readonly step: string;
  readonly picture: Blob;
}

/** A run as it stands in storage. */
export interface OpenRun {
  readonly run: Run;
  readonly rev: number;
  readonly birth: string;
}

/** A run taken out, whole. */
export interface RemovedRun {
  readonly row: StoredRun | null;
  readonly photos: readonly StoredPhoto[];
}

export class RunStore {
  constructor(
    private readonly database: MazurkaDatabase,
    private readonly now: () => number,
  ) {}

  start(lure: ToMake): Promise<Stored<OpenRun>> {
    const { database } = this;
    return guarded(database, () =>
      database.transaction('rw', database.runs, async () => {
        const at = this.now();
        let id = `run-${at.toString(36)}`;
        for (let n = 2; await database.runs.get(id); n++) id = `run-${at.toString(36)}-${n}`;
        return this.put({ run: startRun(lure, id, at), rev: 1, birth: newBirth() });
      }),
    );
  }

  /** Changes a run on what stands in storage and hands it back as written. */
  change(id: string, change: (run: Run) => Run): Promise<Stored<OpenRun>> {
    const { database } = this;
    return guarded(database, () =>
      database.transaction('rw', database.runs, async () => {
        const open = opened(await database.runs.get(id), id);
        return this.put({ ...open, run: change(open.run), rev: open.rev + 1 });
      }),
    );
  }

  /** Gives a finished run the next number and the day. A run that has one keeps it. */
  number(id: string, onDay: string): Promise<Stored<OpenRun>> {
    const { database } = this;
    return guarded(database, () =>
      database.transaction('rw', database.runs, async () => {
        const open = opened(await database.runs.get(id), id);
        if (open.run.number !== null) return open;
        const rows = await database.runs.toArray();
        const numbers = rows.map((row) => runSchema.safeParse(row.run).data?.number ?? 0);
        const run: Run = { ...open.run, stage: 'made', number: Math.max(0, ...numbers) + 1, madeOn: onDay };
        return this.put({ ...open, run, rev: open.rev + 1 });
      }),
    );
  }

  read(id: string): Promise<Stored<OpenRun>> {
    return guarded(this.database, async () => opened(await this.database.runs.get(id), id));
  }

  /** Readable runs, of this lure or of all, last changed first. */
  list(lureId?: LureId): Promise<Stored<readonly Run[]>> {
    return guarded(this.database, async () => {
      const rows = await this.database.runs.orderBy('changedAt').reverse().toArray();
      return rows.flatMap((row) => {
        if (lureId !== undefined && row.lureId !== lureId) return [];
        const known = runSchema.safeParse(row.run);
        return known.success ? [known.data] : [];
      });
    });
  }

  /** Takes a run and its pictures out, and hands them back so that they can be put back. */
  remove(id: string): Promise<Stored<RemovedRun>> {
    const { database } = this;
    return guarded(database, () =>
      database.transaction('rw', database.runs, database.photos, async () => {
        const removed = {
          row: (await database.runs.get(id)) ?? null,
          photos: await database.photos.where('runId').equals(id).toArray(),
        };
        await database.photos.where('runId').equals(id).delete();
        await database.runs.delete(id);
        return removed;
      }),
    );
  }

  putBack({ row, photos }: RemovedRun): Promise<Stored<void>> {
    const { database } = this;
    return guarded(database, () =>
      database.transaction('rw', database.runs, database.photos, async () => {
        if (row) await database.runs.put(row);
        await database.photos.bulkPut([...photos]);
      }),
    );
  }

  addPhoto(runId: string, step: string, picture: Blob): Promise<Stored<void>> {
    return guarded(this.database, async () => {
      if (picture.size > MOST_PICTURE_BYTES)
        throw new StorageError({ code: 'faulty', of: 'picture', path: 'size', message: 'at most 8 MB' });
      if ((await this.database.photos.where('runId').equals(runId).count()) >= MOST_PICTURES)
        throw new StorageError({ code: 'tooMany', of: 'picture', most: MOST_PICTURES });
      const takenAt = this.now();
      const id = `${runId} ${takenAt.toString(36)}`;
      await this.database.photos.put({ id, runId, step, takenAt, picture });
    });
  }

  removePhoto(id: string): Promise<Stored<void>> {
    return guarded(this.database, () => this.database.photos.delete(id));
  }

  /** Calls back with the pictures of a run, oldest first, now and after every change. */
  watchPhotos(runId: string, onPhotos: (photos: readonly RunPhoto[]) => void): () => void {
    const subscription = liveQuery(() => this.database.photos.where('runId').equals(runId).sortBy('takenAt')).subscribe(
      {
        next: (rows: readonly StoredPhoto[]) => onPhotos(rows.map(({ id, step, picture }) => ({ id, step, picture }))),
        error: () => undefined,
      },
    );
    return () => subscription.unsubscribe();
  }

  /** Calls back with a run, now and each time it changes, in this tab or another. */
  watch(id: string, onRun: (open: OpenRun) => void): () => void {
    const subscription = liveQuery(() => this.database.runs.get(id)).subscribe({
      next: (row) => {
        const known = runSchema.safeParse(row?.run);
        if (row && known.success) onRun({ run: known.data, rev: row.rev, birth: row.birth });
      },
      error: () => undefined,
    });
    return () => subscription.unsubscribe();
  }

  private async put({ run, rev, birth }: OpenRun): Promise<OpenRun> {
    const kept = readable(runSchema, run, 'run');
    await this.database.runs.put({ id: kept.id, birth, lureId: kept.lureId, rev, changedAt: this.now(), run: kept });
    return { run: kept, rev, birth };
  }
}

function opened(row: StoredRun | undefined, id: string): OpenRun {
  if (!row) throw new StorageError({ code: 'gone', lureId: id });
  const known = runSchema.safeParse(row.run);
  if (known.success) return { run: known.data, rev: row.rev, birth: row.birth };
  const path = known.error.issues[0]?.path.map(String).join('.') ?? '';
  throw new StorageError({ code: 'damaged', lureId: id, path });
}
