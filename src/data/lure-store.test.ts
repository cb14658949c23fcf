import 'fake-indexeddb/auto';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { demoLure, part } from '@/testing/lures';
import { DEMO_LURES } from '@/demo/scenario';
import { storageFailureWords } from '@/words/storage-words';
import { threadParts } from '../core/lure/editing';
import { startHistory, type Command } from '../core/lure/history';
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
const rename = (name: string): Command => ({ do: 'change', code: 'rename', edits: [{ kind: 'rename', name }] });
const addBead = (lure: OpenLure): Command => ({
  do: 'change',
  code: 'add',
  edits: [threadParts(lure.history.lure.build, part('bead-brass-3'), 0)],
});

describe('lures in storage', () => {
  it('are seeded once, and what the user made of them stands', async () => {
    const { store } = open();
    value(await store.seed(DEMO_LURES));
    expect(value(await store.list()).map(({ id }) => id)).toEqual(DEMO_LURES.map(({ id }) => id));
    expect(value(await store.putAway(HOVNA))).toBe(true);
    value(await store.seed(DEMO_LURES));
    expect(value(await store.list())).toHaveLength(DEMO_LURES.length - 1);
  });

  it('kept while seeding failed are not seeded over', async () => {
    const { store } = open();
    const lure = demoLure('hovna-lantern');
    const unborn = { rev: 0, birth: '', from: 0, isAway: false };
    value(await store.save({ ...unborn, history: startHistory({ ...lure, name: 'Mine' }) }));
    value(await store.seed(DEMO_LURES));
    expect(value(await store.read(HOVNA)).history.lure.name).toBe('Mine');
    expect(value(await store.list())).toHaveLength(DEMO_LURES.length);
  });

  it('keep every command, with undo and redo, over a closed and reopened database', async () => {
    const { store, database, name } = open();
    value(await store.seed(DEMO_LURES));
    let lure = value(await store.read(HOVNA));
    for (const command of [addBead(lure), rename('Second'), { do: 'undo' } as const]) {
      const result = value(await store.perform(lure, command));
      expect(result.refusals).toEqual([]);
      lure = result.open;
    }
    database.close();
    const again = value(await open(name).store.read(HOVNA));
    expect(again).toEqual(lure);
    expect(again.history.future).toHaveLength(1);
    expect(again.history.lure.name).toBe('Hovna Lantern');
  });

  it('two tabs on one lure: the second’s command is done on top of the first’s, and both end the same', async () => {
    const { store: one, name } = open();
    const { store: two } = open(name);
    value(await one.seed(DEMO_LURES));
    const [first, second] = [value(await one.read(HOVNA)), value(await two.read(HOVNA))];
    value(await one.perform(first, rename('Named by one')));
    const result = value(await two.perform(second, addBead(second)));
    expect(result).toMatchObject({ done: 1, onOthersWork: true });
    const end = value(await one.read(HOVNA));
    expect(end).toEqual(result.open);
    expect(end.history.lure.name).toBe('Named by one');
    expect(end.history.past.map(({ code }) => code)).toEqual(['rename', 'add']);
    const stale = value(await one.perform(first, addBead(first)));
    expect(stale).toMatchObject({ done: 0, refusals: [{ code: 'itemExists' }] });
    expect(value(await two.read(HOVNA))).toEqual(end);
  });

  it('commands done faster than they are written are written at once; one refused leaves the others', async () => {
    const { store: one, name, database } = open();
    const { store: two } = open(name);
    value(await one.seed(DEMO_LURES));
    const [mine, theirs] = [value(await one.read(HOVNA)), value(await two.read(HOVNA))];
    value(await two.perform(theirs, addBead(theirs)));
    const heads = vi.spyOn(database.lures, 'put');
    const result = value(await one.perform(mine, rename('One'), addBead(mine), rename('Two'), rename('Three')));
    expect(heads).toHaveBeenCalledTimes(1);
    expect(result).toMatchObject({ done: 3, onOthersWork: true, refusals: [{ code: 'itemExists' }] });
    expect(value(await two.read(HOVNA))).toEqual(result.open);
    expect(result.open.history.past.map(({ code }) => code)).toEqual(['add', 'rename', 'rename', 'rename']);
    expect(result.open.history.lure.name).toBe('Three');
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
    expect(saved.open.birth).not.toBe(mine.birth);
    expect(value(await store.read(saved.open.history.lure.id))).toEqual(saved.open);
  });

  it('put away here and edited there: the later edit brings it back and survives putting back', async () => {
    const { store: one, name } = open();
    const { store: two } = open(name);
    value(await one.seed(DEMO_LURES));
    const there = value(await two.read(HOVNA));
    value(await one.putAway(HOVNA));
    expect(value(await one.list()).some(({ id }) => id === HOVNA)).toBe(false);
    const edit = value(await two.perform(there, rename('Still in the hand')));
    expect(edit).toMatchObject({ done: 1, isBack: true, isBeside: false });
    value(await one.putBack(HOVNA));
    expect(value(await one.read(HOVNA)).history.lure.name).toBe('Still in the hand');
    expect(value(await one.list())[0]).toMatchObject({ id: HOVNA, name: 'Still in the hand', awayAt: null });
  });

  it('an id stays taken by a lure put away; another imported under it comes beside, and both live on', async () => {
    const { store } = open();
    value(await store.seed(DEMO_LURES));
    const stale = value(await store.read(HOVNA));
    value(await store.putAway(HOVNA));
    const imported = value(await store.add({ ...demoLure('hovna-lantern'), name: 'Another' }));
    expect(imported.id).toBe('hovna-lantern-2');
    const done = value(await store.perform(stale, rename('The old one')));
    expect(done).toMatchObject({ done: 1, isBack: true });
    expect(value(await store.read(imported.id)).history.lure.name).toBe('Another');
    expect(value(await store.read(HOVNA)).birth).not.toBe(value(await store.read(imported.id)).birth);
  });

  it('a command for a lure that another record stands in the place of is kept beside that one', async () => {
    const { store, database } = open();
    value(await store.seed(DEMO_LURES));
    let mine = value(await store.read(HOVNA));
    for (const name of ['One', 'Two']) {
      const done = value(await store.perform(mine, rename(name)));
      mine = done.open;
    }
    // All storage was cleared in another tab, and the demo lures came anew: the same birth, an earlier revision.
    await Promise.all([
      database.lures.clear(),
      database.changes.clear(),
      database.settings.clear(),
      database.shelf.clear(),
    ]);
    value(await store.seed(DEMO_LURES));
    const done = value(await store.perform(mine, rename('Three')));
    expect(done).toMatchObject({
      done: 1,
      isBeside: true,
      open: { history: { lure: { id: 'hovna-lantern-2' } } },
    });
    expect(value(await store.read(HOVNA)).history.lure.name).toBe('Hovna Lantern');
    expect(value(await store.read(done.open.history.lure.id)).history.past.map(({ code }) => code)).toHaveLength(3);
  });

  it('a command writes what it changed: one row of history, and the versions only when they change', async () => {
    const { store, database } = open();
    value(await store.seed(DEMO_LURES));
    let lure = value(await store.read(HOVNA));
    const keep: Command = {
      do: 'change',
      code: 'keepVersion',
      edits: [{ kind: 'keepVersion', at: 0, version: { name: 'V', build: lure.history.lure.build } }],
    };
    for (const command of [keep, ...Array.from({ length: 205 }, (_, i) => rename(`N${i}`))]) {
      const done = value(await store.perform(lure, command));
      lure = done.open;
    }
    expect(await database.changes.where('[lure+seq]').between([HOVNA, 0], [HOVNA, 1e6]).count()).toBe(200);
    const [changes, versions] = [vi.spyOn(database.changes, 'bulkPut'), vi.spyOn(database.versions, 'put')];
    for (const command of [
      rename('Last'),
      { do: 'undo' },
      { do: 'undo' },
      { do: 'redo' },
      rename('Instead'),
    ] as Command[]) {
      const done = value(await store.perform(lure, command));
      lure = done.open;
    }
    expect(changes.mock.calls.map(([rows]) => rows.length)).toEqual([1, 0, 0, 0, 1]);
    expect(versions).not.toHaveBeenCalled();
    expect(value(await store.read(HOVNA))).toEqual(lure);
  });

  it('what can be read of a damaged record is handed out, and the record as it lies', async () => {
    const { store, database } = open();
    value(await store.seed(DEMO_LURES));
    const row = await database.lures.get(HOVNA);
    const stored = row?.lure as { build: { items: Record<string, unknown> } } | undefined;
    if (!row || !stored) throw new Error('seeded');
    stored.build.items['blade-1'] = { id: 'blade-1', gnawed: true };
    await database.lures.put(row);
    expect(await store.readBuild(HOVNA)).toMatchObject({ ok: false, failure: { code: 'damaged' } });
    const [record] = value(await store.damaged(() => Promise.resolve()));
    if (!record) throw new Error('it is damaged');
    const { raw, salvaged } = value(await store.readDamaged(record));
    expect(JSON.stringify(raw)).toContain('gnawed');
    expect(salvaged?.leftOut).toContain('lure.build.items.blade-1');
    expect(salvaged?.history.lure.name).toBe('Hovna Lantern');
    if (salvaged) expect(value(await store.add(salvaged.history.lure)).id).toBe('hovna-lantern-2');
  });

  it('a damaged record is named and left as it is; the others are in order', async () => {
    const { store, database } = open();
    value(await store.seed(DEMO_LURES));
    const row = await database.lures.get(HOVNA);
    if (!row) throw new Error('seeded');
    await database.lures.put({ ...row, lure: { id: 'hovna-lantern' } });
    let pauses = 0;
    const damaged = value(await store.damaged(async () => void (await Promise.resolve(pauses++))));
    expect(damaged).toEqual([{ id: 'hovna-lantern', setAside: null }]);
    expect(pauses).toBe(Math.ceil(DEMO_LURES.length / 8));
    const read = await store.read(HOVNA);
    expect(read).toMatchObject({ ok: false, failure: { code: 'damaged' } });
    expect((await database.lures.get(HOVNA))?.lure).toEqual({ id: 'hovna-lantern' });
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
    // A connection that the browser closed is opened again for the next command.
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
    value(await store.putAway(copy.id));
    expect(value(await store.list()).some(({ id }) => id === copy.id)).toBe(false);
    expect(value(await store.listAway()).map(({ id }) => id)).toEqual([copy.id]);
    expect(value(await store.add(demoLure('hovna-lantern'))).id).toBe('hovna-lantern-3');
    value(await store.putBack(copy.id));
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
