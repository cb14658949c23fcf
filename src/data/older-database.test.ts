/** A database of the fifth schema, from before carriers could be joined. */
import 'fake-indexeddb/auto';
import Dexie from 'dexie';
import { afterEach, describe, expect, it } from 'vitest';
import { demoLure } from '@/testing/lures';
import { startRun } from '../core/make/run';
import { lureIdSchema, type Lure } from '../core/lure/lure';
import { MazurkaDatabase } from './database';
import { LureStore } from './lure-store';
import { RunStore } from './run-store';

const open: Dexie[] = [];
afterEach(() => open.splice(0).forEach((each) => each.close()));

/** As it was written before: no build says what is joined to it. */
function asBefore(value: unknown): unknown {
  return JSON.parse(JSON.stringify(value, (key, each: unknown) => (key === 'joined' ? undefined : each)));
}

function value<T>(stored: { ok: true; value: T } | { ok: false; failure: unknown }): T {
  if (!stored.ok) throw new Error(JSON.stringify(stored.failure));
  return stored.value;
}

describe('a database of the fifth schema', () => {
  it('opens with every build as it was: on the bench, made, kept, in what can be undone, and in runs', async () => {
    const before = new Dexie('fifth');
    open.push(before);
    before.version(5).stores({
      lures: 'id, changedAt',
      settings: 'key',
      parts: 'id',
      rules: 'id',
      shelf: 'id, changedAt',
      runs: 'id, lureId, changedAt',
      photos: 'id, runId',
      versions: 'id',
      changes: '[lure+seq]',
      setAside: '++n',
    });
    const base = demoLure('stolk-kettle');
    const { build } = base;
    const lure: Lure = { ...base, made: { onDay: '2031-09-14', build }, versions: [{ name: 'Kept', build }] };
    const { versions, ...rest } = lure;
    const row = { id: lure.id, birth: 'b-1', rev: 4, changedAt: 7, awayAt: null, from: 0, at: 1, to: 1 };
    const change = {
      code: 'goBack',
      edits: [{ kind: 'rebuild', build }],
      inverse: [{ kind: 'rebuild', build }],
    };
    const run = startRun(lure, 'run-1', 3);
    await before.table('lures').add({ ...row, lure: asBefore(rest) });
    await before.table('lures').add({ ...row, id: 'gnawed', lure: 'gnawed' });
    await before.table('versions').add({ id: lure.id, versions: asBefore(versions) });
    await before.table('changes').add({ lure: lure.id, seq: 0, change: asBefore(change) });
    await before
      .table('runs')
      .add({ id: run.id, birth: 'b-2', lureId: lure.id, rev: 1, changedAt: 3, run: asBefore(run) });
    before.close();

    const database = new MazurkaDatabase('fifth');
    open.push(database);
    const lures = new LureStore(database, () => 9);
    const read = value(await lures.read(lureIdSchema.parse(lure.id)));
    expect(read.history.lure).toEqual(lure);
    expect(read.history.past).toEqual([change]);
    expect(value(await new RunStore(database, () => 9).read(run.id)).run).toEqual(run);
    expect((await database.lures.get('gnawed'))?.lure).toBe('gnawed');
  });
});
