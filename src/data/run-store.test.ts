import 'fake-indexeddb/auto';
import Dexie from 'dexie';
import { afterEach, describe, expect, it } from 'vitest';
import { demoLure } from '@/testing/lures';
import { startHistory } from '../core/lure/history';
import { MazurkaDatabase } from './database';
import type { Stored } from './guarded';
import { lureIdSchema } from '../core/lure/lure';
import { LureStore } from './lure-store';
import { RunStore } from './run-store';
import { settingsSchema, USUAL_SETTINGS } from './settings';

let names = 0;
const opened: Dexie[] = [];
function open(name = `runs-${++names}`) {
  const database = new MazurkaDatabase(name);
  opened.push(database);
  let clock = 1_000_000;
  return { name, database, runs: new RunStore(database, () => ++clock) };
}
afterEach(() => {
  for (const database of opened.splice(0)) database.close();
});

function value<T>(stored: Stored<T>): T {
  if (!stored.ok) throw new Error(`storage failed: ${JSON.stringify(stored.failure)}`);
  return stored.value;
}

describe('runs in storage', () => {
  it('a step is there after the tab is gone: another store on the same database goes on with it', async () => {
    const { name, database, runs } = open();
    const { run } = value(await runs.start(demoLure('suvra-fan')));
    value(await runs.change(run.id, (each) => ({ ...each, stage: 'steps', at: 'cutWire', done: ['cutWire'] })));
    database.close();
    const again = open(name);
    const [found] = value(await again.runs.list(run.lureId));
    expect(found).toMatchObject({ id: run.id, at: 'cutWire', done: ['cutWire'] });
    expect(found?.build).toEqual(demoLure('suvra-fan').build);
  });

  it('two tabs on one run: each change is made on what the other wrote', async () => {
    const { name, runs } = open();
    const other = open(name).runs;
    const { run } = value(await runs.start(demoLure('hovna-lantern')));
    await Promise.all([
      runs.change(run.id, (each) => ({ ...each, notes: { ...each.notes, a: 'from one' } })),
      other.change(run.id, (each) => ({ ...each, notes: { ...each.notes, b: 'from the other' } })),
    ]);
    expect(value(await runs.read(run.id))).toMatchObject({
      rev: 3,
      run: { notes: { a: 'from one', b: 'from the other' } },
    });
  });

  it('every finished piece has its own number, and keeps it', async () => {
    const { runs } = open();
    const all = await Promise.all(
      ['suvra-fan', 'hovna-lantern', 'suvra-fan'].map((slug) => runs.start(demoLure(slug))),
    );
    const numbers: (number | null)[] = [];
    for (const started of all) numbers.push(value(await runs.number(value(started).run.id, '2031-10-04')).run.number);
    expect(numbers).toEqual([1, 2, 3]);
    const [first] = all;
    if (!first) throw new Error('three were started');
    expect(value(await runs.number(value(first).run.id, '2031-11-01')).run).toMatchObject({
      number: 1,
      madeOn: '2031-10-04',
    });
  });

  it('given up and put back whole, pictures too; a damaged record is left out of the list and named when asked for', async () => {
    const { database, runs } = open();
    const { run, rev, birth } = value(await runs.start(demoLure('okkel-wisp')));
    value(await runs.addPhoto(run.id, 'cutWire', new Blob(['x'], { type: 'image/jpeg' })));
    const removed = value(await runs.remove(run.id));
    expect(value(await runs.list())).toEqual([]);
    expect(await runs.read(run.id)).toMatchObject({ ok: false, failure: { code: 'gone' } });
    value(await runs.putBack(removed));
    expect(value(await runs.read(run.id))).toEqual({ run, rev, birth });
    expect(await database.photos.count()).toBe(1);
    await database.runs.update(run.id, { run: { ...run, stage: 'nowhere' } });
    expect(value(await runs.list())).toEqual([]);
    expect(await runs.read(run.id)).toMatchObject({ ok: false, failure: { code: 'damaged' } });
  });
});

describe('a storage from before runs were kept', () => {
  it('is brought up to date with its lures as they were, and takes runs then', async () => {
    const name = `before-${++names}`;
    const before = new Dexie(name);
    before
      .version(3)
      .stores({ lures: 'id, changedAt', shelf: 'id, changedAt', settings: 'key', parts: 'id', rules: 'id' });
    const row = { id: 'suvra-fan', rev: 4, changedAt: 7, history: startHistory(demoLure('suvra-fan')) };
    await before.table('lures').add(row);
    before.close();
    const { database, runs } = open(name);
    expect(value(await runs.list())).toEqual([]);
    const lures = new LureStore(database, () => 9);
    const read = value(await lures.read(lureIdSchema.parse('suvra-fan')));
    expect(read).toMatchObject({ rev: row.rev, history: row.history });
    expect(read.birth).not.toBe('');
    const { run } = value(await runs.start(demoLure('suvra-fan')));
    expect(value(await runs.list()).map(({ id }) => id)).toEqual([run.id]);
  });
});

describe('settings from before tools and hands were kept', () => {
  it('read as they were, with what is new at its usual', () => {
    const { fingers, tools, spoken, ...before } = USUAL_SETTINGS;
    const read = settingsSchema.parse({ ...before, system: 'trade' });
    expect(read).toEqual({ ...USUAL_SETTINGS, system: 'trade' });
    expect({ fingers, tools, spoken }).toEqual({
      fingers: { thumb: null, joint: null, span: null },
      tools: {},
      spoken: false,
    });
    const bad = { ...USUAL_SETTINGS, tools: { hammer: { place: '', isMissing: false } } };
    expect(settingsSchema.safeParse(bad).success).toBe(false);
  });
});
