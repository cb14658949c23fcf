import 'fake-indexeddb/auto';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { demoLure, part } from '@/testing/lures';
import { DEMO_LURES } from '@/demo/scenario';
import { storageFailureWords } from '@/words/storage-words';
import { threadParts } from '../core/lure/editing';
import { startHistory, type Deed } from '../core/lure/history';
import { lureIdSchema } from '../core/lure/lure';
import { MazurkaDatabase } from './database';
import { toFailure } from './failure';
import type { Stored } from './guarded';
import { freeId, idFromName } from '../core/lure/lure-id';
import { LureStore, type OpenLure } from './lure-store';
import { USUAL_SETTINGS } from './settings';
import { SettingsStore } from './settings-store';

let names = 0;
const opened: MazurkaDatabase[] = [];
function open(name = `test-${++names}`) {
  const database = new MazurkaDatabase(name);
  opened.push(database);
  let clock = 1000;
  return { database, name, store: new LureStore(database, () => clock++) };
}
afterEach(() => {
  vi.restoreAllMocks();
  for (const database of opened.splice(0)) database.close();
});

function value<T>(stored: Stored<T>): T {
  if (!stored.ok) throw new Error(`storage failed: ${JSON.stringify(stored.failure)}`);
  return stored.value;
}

const HOVNA = lureIdSchema.parse('hovna-lantern');
const rename = (name: string): Deed => ({ do: 'change', code: 'rename', edits: [{ kind: 'rename', name }] });
const addBead = (lure: OpenLure): Deed => ({
  do: 'change',
  code: 'thread',
  edits: [threadParts(lure.history.lure.build, part('bead-brass-3'), 0)],
});

describe('lures in storage', () => {
  it('are seeded once, and what the user made of them stands', async () => {
    const { store } = open();
    value(await store.seed(DEMO_LURES));
    expect(value(await store.list()).map(({ id }) => id)).toEqual(DEMO_LURES.map(({ id }) => id));
    value(await store.remove(HOVNA));
    value(await store.seed(DEMO_LURES));
    expect(value(await store.list())).toHaveLength(DEMO_LURES.length - 1);
  });

  it('kept while seeding failed are not seeded over', async () => {
    const { store } = open();
    const lure = demoLure('hovna-lantern');
    value(await store.save({ history: startHistory({ ...lure, name: 'Mine' }), rev: 0 }));
    value(await store.seed(DEMO_LURES));
    expect(value(await store.read(HOVNA)).history.lure.name).toBe('Mine');
    expect(value(await store.list())).toHaveLength(DEMO_LURES.length);
  });

  it('keep every deed, with undo and redo, over a closed and reopened database', async () => {
    const { store, database, name } = open();
    value(await store.seed(DEMO_LURES));
    let lure = value(await store.read(HOVNA));
    for (const deed of [addBead(lure), rename('Second'), { do: 'undo' } as const]) {
      const result = value(await store.perform(lure, deed));
      expect(result.outcome).toBe('done');
      lure = result.open;
    }
    database.close();
    const again = value(await open(name).store.read(HOVNA));
    expect(again).toEqual(lure);
    expect(again.history.future).toHaveLength(1);
    expect(again.history.lure.name).toBe('Hovna Lantern');
  });

  it('two tabs on one lure: the second’s deed is done on top of the first’s, and both end the same', async () => {
    const { store: one, name } = open();
    const { store: two } = open(name);
    value(await one.seed(DEMO_LURES));
    const [first, second] = [value(await one.read(HOVNA)), value(await two.read(HOVNA))];
    value(await one.perform(first, rename('Named by one')));
    const result = value(await two.perform(second, addBead(second)));
    expect(result).toMatchObject({ outcome: 'done', onOthersWork: true });
    const end = value(await one.read(HOVNA));
    expect(end).toEqual(result.open);
    expect(end.history.lure.name).toBe('Named by one');
    expect(end.history.past.map(({ code }) => code)).toEqual(['rename', 'thread']);
    const stale = value(await one.perform(first, addBead(first)));
    expect(stale.outcome).toBe('refused');
    expect(value(await two.read(HOVNA))).toEqual(end);
  });

  it('tell the other tab: the revision is seen to rise', async () => {
    const { store, name } = open();
    value(await store.seed(DEMO_LURES));
    const seen: number[] = [];
    const stop = open(name).store.watchRevision(HOVNA, (rev) => seen.push(rev));
    value(await store.perform(value(await store.read(HOVNA)), rename('Seen')));
    await vi.waitFor(() => expect(seen.at(-1)).toBe(2));
    stop();
  });

  it('what one tab could not save is kept beside what another wrote meanwhile', async () => {
    const { store } = open();
    value(await store.seed(DEMO_LURES));
    const mine = value(await store.read(HOVNA));
    value(await store.perform(mine, rename('Theirs')));
    const unsaved = { ...mine, history: { ...mine.history, lure: { ...mine.history.lure, name: 'Mine' } } };
    const saved = value(await store.save(unsaved));
    expect(saved).toMatchObject({
      isBeside: true,
      open: { history: { lure: { id: 'hovna-lantern-2', name: 'Mine' } } },
    });
    expect(value(await store.read(HOVNA)).history.lure.name).toBe('Theirs');
    expect(value(await store.read(saved.open.history.lure.id))).toEqual(saved.open);
  });

  it('a damaged record is named and left as it is; the others are in order', async () => {
    const { store, database } = open();
    value(await store.seed(DEMO_LURES));
    const row = await database.lures.get(HOVNA);
    if (!row) throw new Error('seeded');
    await database.lures.put({ ...row, history: { lure: { id: 'hovna-lantern' } } });
    let pauses = 0;
    const damaged = value(await store.damaged(async () => void (await Promise.resolve(pauses++))));
    expect(damaged).toEqual(['hovna-lantern']);
    expect(pauses).toBe(Math.ceil(DEMO_LURES.length / 8));
    const read = await store.read(HOVNA);
    expect(read).toMatchObject({ ok: false, failure: { code: 'damaged' } });
    expect((await database.lures.get(HOVNA))?.history).toEqual({ lure: { id: 'hovna-lantern' } });
  });

  it('a full, closed or newer storage is a named failure, and what is stored stays', async () => {
    const { store, database } = open();
    value(await store.seed(DEMO_LURES));
    const lure = value(await store.read(HOVNA));
    const full = vi.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(() => {
      throw new DOMException('no room', 'QuotaExceededError');
    });
    expect(await store.perform(lure, rename('Lost?'))).toMatchObject({ ok: false, failure: { code: 'full' } });
    full.mockRestore();
    expect(value(await store.read(HOVNA))).toEqual(lure);
    expect(value(await store.save(lure))).toMatchObject({ isBeside: false, open: { rev: lure.rev + 1 } });
    database.close();
    // A connection that the browser closed is opened again for the next deed.
    expect(value(await store.read(HOVNA)).history).toEqual(lure.history);

    const named = (name: string) => toFailure(Object.assign(new Error(name), { name }));
    expect(named('DatabaseClosedError')).toEqual({ code: 'closed' });
    expect(named('VersionError')).toEqual({ code: 'newerVersion' });
    expect(named('MissingAPIError')).toEqual({ code: 'unavailable' });
    const wrapped = Object.assign(new Error('aborted'), {
      name: 'AbortError',
      inner: Object.assign(new Error('no room'), { name: 'QuotaExceededError' }),
    });
    expect(toFailure(wrapped)).toEqual({ code: 'full' });
    expect(storageFailureWords(toFailure('odd'))).toMatch(/odd/);
  });

  /** Opens the raw database at a version and leaves it open, as another tab would. */
  function rawOpen(name: string, version: number): Promise<IDBDatabase> {
    return new Promise((resolve, reject) => {
      const request = indexedDB.open(name, version);
      request.onupgradeneeded = () => undefined;
      request.onsuccess = () => resolve(request.result);
      request.onerror = () => reject(new Error('cannot open'));
    });
  }

  it('a database of a later version is told as such, and is not written to', async () => {
    const { name, database, store } = open();
    value(await store.seed(DEMO_LURES));
    database.close();
    (await rawOpen(name, 9999)).close();
    const later = open(name).store;
    expect(await later.read(HOVNA)).toEqual({ ok: false, failure: { code: 'newerVersion' } });
    expect(await later.add(demoLure('hovna-lantern'))).toEqual({ ok: false, failure: { code: 'newerVersion' } });
    const raw = await rawOpen(name, 9999);
    const count = await new Promise((resolve) => {
      const request = raw.transaction('lures').objectStore('lures').count();
      request.onsuccess = () => resolve(request.result);
    });
    raw.close();
    expect(count).toBe(DEMO_LURES.length);
  });

  it('an older version held open by another tab is told as blocked, and works once it is let go', async () => {
    const name = `test-${++names}`;
    const held = await rawOpen(name, 1);
    const { store } = open(name);
    expect(await store.seed(DEMO_LURES)).toEqual({ ok: false, failure: { code: 'blocked' } });
    held.close();
    value(await store.seed(DEMO_LURES));
    expect(value(await store.list())).toHaveLength(DEMO_LURES.length);
  });

  it('give a lure a free id, and put back what was taken away', async () => {
    const { store } = open();
    value(await store.seed(DEMO_LURES));
    const copy = value(await store.add(demoLure('hovna-lantern')));
    expect(copy.id).toBe('hovna-lantern-2');
    expect(freeId('a', new Set(['a', 'a-2']))).toBe('a-3');
    expect(idFromName('Ålö’s Nº 3 — Döner')).toBe('alo-s-no-3-doner');
    expect(idFromName('★')).toBe('lure');
    const row = value(await store.remove(copy.id));
    if (!row) throw new Error('it was there');
    value(await store.putBack(row));
    expect(value(await store.read(copy.id)).history.lure).toEqual(copy);
  });

  it('settings come back as they were, and the usual ones where they cannot be read', async () => {
    const { database } = open();
    const settings = new SettingsStore(database);
    expect(await settings.read()).toEqual(USUAL_SETTINGS);
    await settings.write({ ...USUAL_SETTINGS, system: 'trade', slowedBy: 8 });
    expect(await settings.read()).toMatchObject({ system: 'trade', slowedBy: 8 });
    await database.settings.put({ key: 'settings', value: { system: 'cubits' } });
    expect(await settings.read()).toEqual(USUAL_SETTINGS);
  });
});
