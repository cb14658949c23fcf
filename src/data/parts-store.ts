/** The user's own measured parts. Lures hold their parts themselves, so nothing here is ever needed to open one. */
import { liveQuery } from 'dexie';
import { CATALOGUE } from '../core/parts/catalogue';
import { partSchema, type Part } from '../core/parts/part';
import { partIdSchema } from '../core/parts/kinds/common';
import { MOST_PARTS, PARTS_FILE_MAX_BYTES } from '../core/parts/parts-file';
import type { MazurkaDatabase } from './database';
import { StorageError } from './failure';
import { guarded, readable, type Stored } from './guarded';
import { freeId } from '../core/lure/lure-id';

export interface OwnParts {
  readonly parts: readonly Part[];
  /** Ids of records that cannot be read; they are left as they are. */
  readonly damaged: readonly string[];
}

/** Own parts together stay well below what one parts file holds. */
const MOST_CHARACTERS = PARTS_FILE_MAX_BYTES / 4;

/** Records parsed between two breaths of the page. */
const AT_ONCE = 400;

export class PartsStore {
  constructor(private readonly database: MazurkaDatabase) {}

  /** All own parts. Thousands are parsed a few hundred at a time, so that the page can answer meanwhile. */
  list(): Promise<Stored<OwnParts>> {
    return guarded(this.database, async () => {
      const rows = await this.database.parts.toArray();
      const parts: Part[] = [];
      const damaged: string[] = [];
      for (const [index, row] of rows.entries()) {
        const parsed = partSchema.safeParse(row.part);
        if (parsed.success) parts.push(parsed.data);
        else damaged.push(row.id);
        if (index % AT_ONCE === AT_ONCE - 1) await new Promise((resolve) => setTimeout(resolve, 0));
      }
      return { parts, damaged };
    });
  }

  /** Keeps parts under free ids; one that is here already, the same to the last measure, is not taken twice. */
  add(wanted: readonly Part[]): Promise<Stored<{ readonly added: readonly Part[]; readonly known: number }>> {
    const { database } = this;
    return guarded(database, () =>
      database.transaction('rw', database.parts, async () => {
        const parts = wanted.map((part) => readable(partSchema, part, 'part'));
        const rows = await database.parts.toArray();
        // An own part never goes by the id of one that ships with the app.
        const taken = new Set([...rows.map(({ id }) => id), ...CATALOGUE.map(({ id }) => id as string)]);
        const here = new Set(rows.map(({ part }) => sameness(part)));
        const fresh = parts.filter((part) => !here.has(sameness(part)));
        const characters = JSON.stringify([rows, fresh]).length;
        if (rows.length + fresh.length > MOST_PARTS || characters > MOST_CHARACTERS)
          throw new StorageError({ code: 'tooMany', of: 'part', most: MOST_PARTS });
        const added = fresh.map((part): Part => {
          const id = partIdSchema.parse(freeId(part.id, taken));
          taken.add(id);
          return { ...part, id };
        });
        await database.parts.bulkAdd(added.map((part) => ({ id: part.id, part })));
        return { added, known: parts.length - fresh.length };
      }),
    );
  }

  /** Takes one away and hands it back, so that it can be put back. */
  remove(id: string): Promise<Stored<void>> {
    return guarded(this.database, async () => {
      await this.database.parts.delete(id);
    });
  }

  watch(onChange: () => void): () => void {
    const subscription = liveQuery(() => this.database.parts.toCollection().primaryKeys()).subscribe({
      next: onChange,
      error: () => undefined,
    });
    return () => subscription.unsubscribe();
  }
}

/** Two parts are the same when all but their id agrees. */
function sameness(part: unknown): string {
  if (typeof part !== 'object' || part === null) return '';
  const entries = Object.entries(part).filter(([key]) => key !== 'id');
  return JSON.stringify(entries.sort(([a], [b]) => a.localeCompare(b)));
}
