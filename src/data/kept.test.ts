/** The law of storage: any sequence of accepted actions on all stores yields records that read back, export and import. */
import 'fake-indexeddb/auto';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anyAsked } from '@/testing/any-command';
import { storageFailureWords } from '@/words/storage-words';
import { CATALOGUE } from '../core/parts/catalogue';
import { readPartsFile, writePartsFile } from '../core/parts/parts-file';
import type { Part } from '../core/parts/part';
import type { LureRule } from '../core/judgement/lure-rule';
import type { LureId } from '../core/lure/lure';
import { readLureFile, writeLureFile } from '../core/files/lure-file';
import type { Run } from '../core/make/run';
import { DEMO_LURES } from '@/demo/scenario';
import { readBackup } from './backup/read-backup';
import { compareBackup, restore } from './backup/restore';
import { writeBackup } from './backup/write-backup';
import { MazurkaDatabase } from './database';
import type { Stored } from './guarded';
import { LureStore } from './lure-store';
import { PartsStore } from './parts-store';
import { RulesStore } from './rules-store';
import { RunStore } from './run-store';
import { SettingsStore } from './settings-store';
import { USUAL_SETTINGS, type Settings } from './settings';

let names = 0;
function room() {
  const database = new MazurkaDatabase(`kept-${++names}`);
  let clock = 1_000;
  const now = () => ++clock;
  return {
    database,
    lures: new LureStore(database, now),
    parts: new PartsStore(database),
    rules: new RulesStore(database),
    runs: new RunStore(database, now),
    settings: new SettingsStore(database),
  };
}
type Room = ReturnType<typeof room>;
type Action = (room: Room) => Promise<Stored<unknown>>;

const anyText = fc.oneof(
  fc.string({ unit: 'binary', maxLength: 130 }),
  fc.constantFrom('', 'a\u0000b', 'x'.repeat(3000)),
);
const anyNumber = fc.oneof(fc.double({ min: 0, max: 400, noNaN: true }), fc.constantFrom(NaN, -1, 5e-324, 0.3, 2));
const aLure = fc.nat(20);

/** The n-th lure there is, and what is done to it. */
const onLure = (n: number, act: (room: Room, id: LureId) => Promise<Stored<unknown>>): Action => {
  return async (all) => {
    const list = await all.lures.list();
    const entry = list.ok ? list.value[n % Math.max(list.value.length, 1)] : undefined;
    return entry ? act(all, entry.id as LureId) : list;
  };
};
const onRun = (n: number, act: (room: Room, run: Run) => Promise<Stored<unknown>>): Action => {
  return async (all) => {
    const list = await all.runs.list();
    const run = list.ok ? list.value[n % Math.max(list.value.length, 1)] : undefined;
    return run ? act(all, run) : list;
  };
};

const anyAction: fc.Arbitrary<Action> = fc.oneof(
  {
    weight: 6,
    arbitrary: fc.tuple(aLure, anyAsked()).map(([n, ask]) =>
      onLure(n, async ({ lures }, id) => {
        const read = await lures.read(id);
        return read.ok ? lures.perform(read.value, ask(read.value.history.lure)) : read;
      }),
    ),
  },
  fc.tuple(fc.constantFrom(...DEMO_LURES), anyText).map(
    ([lure, name]): Action =>
      ({ lures }) =>
        lures.add({ ...lure, name }),
  ),
  aLure.map((n) => onLure(n, ({ lures }, id) => lures.putAway(id))),
  fc.constantFrom(...DEMO_LURES).map(
    ({ id }): Action =>
      ({ lures }) =>
        lures.putBack(id),
  ),
  fc.tuple(fc.constantFrom<Part>(...CATALOGUE), anyText, anyNumber).map(
    ([part, name, massKg]): Action =>
      ({ parts }) =>
        parts.add([{ ...part, name, massKg } as Part]),
  ),
  fc.tuple(anyText, fc.nat(40), fc.constantFrom('2031-09-14', '2031-99-99', '')).map(
    ([place, n, onDay]): Action =>
      ({ rules }) =>
        rules.put({
          id: `rule-${n}`,
          place,
          mostHooks: n,
          mostPoints: 1,
          barbless: true,
          source: place,
          onDay,
        } as LureRule),
  ),
  fc.tuple(anyNumber, anyText).map(
    ([countdownS, place]): Action =>
      ({ settings }) =>
        settings.write({
          ...USUAL_SETTINGS,
          countdownS,
          tools: { sideCutters: { place, isMissing: false } },
        } as unknown as Settings),
  ),
  aLure.map((n) =>
    onLure(n, async ({ lures, runs }, id) => {
      const read = await lures.read(id);
      return read.ok ? runs.start(read.value.history.lure) : read;
    }),
  ),
  fc.tuple(aLure, anyText, anyNumber).map(([n, text, endsAt]) =>
    onRun(n, ({ runs }, { id }) =>
      runs.change(
        id,
        (run) =>
          ({
            ...run,
            notes: { ...run.notes, step: text },
            timers: [...run.timers, { step: text, endsAt, seconds: endsAt }],
          }) as Run,
      ),
    ),
  ),
  aLure.map((n) => onRun(n, ({ runs }, { id }) => runs.number(id, '2031-09-14'))),
  aLure.map((n) =>
    onRun(n, ({ runs }, { id }) => runs.addPhoto(id, 'step', new Blob(['x'.repeat(n)], { type: 'image/jpeg' }))),
  ),
);

describe('whatever is done', () => {
  it('property: records read back, export and import, and a backup restores the same', async () => {
    let [taken, turnedDown] = [0, 0];
    await fc.assert(
      fc.asyncProperty(fc.array(anyAction, { minLength: 5, maxLength: 25 }), async (actions) => {
        const all = room();
        await all.lures.seed(DEMO_LURES.slice(0, 4));
        for (const action of actions) {
          const result = await action(all);
          if (result.ok) taken++;
          else {
            turnedDown++;
            expect(storageFailureWords(result.failure)).toMatch(/\.$/);
            expect(['faulty', 'tooMany']).toContain(result.failure.code);
          }
        }
        expect(await all.lures.damaged(() => Promise.resolve())).toEqual({ ok: true, value: [] });
        for (const { id } of await all.database.shelf.toArray()) {
          const read = await all.lures.read(id as LureId);
          if (!read.ok) throw new Error(JSON.stringify(read));
          const { lure } = read.value.history;
          expect(readLureFile(writeLureFile(lure))).toEqual({ ok: true, lure });
        }
        const parts = await all.parts.list();
        if (!parts.ok) throw new Error('parts are readable');
        expect(parts.value.damaged).toEqual([]);
        if (parts.value.parts.length > 0)
          expect(readPartsFile(writePartsFile(parts.value.parts))).toMatchObject({ ok: true });
        const runs = await all.runs.list();
        expect(runs.ok && runs.value.length).toBe(await all.database.runs.count());

        const backup = await writeBackup(all.database, new Date(0), () => undefined);
        const read = await readBackup(backup, () => undefined);
        if (!read.ok) throw new Error(JSON.stringify(read.problem));
        expect(read.unreadable).toEqual([]);
        const fresh = room();
        await fresh.lures.seed(DEMO_LURES.slice(0, 4));
        const offers = await compareBackup(fresh.database, fresh.lures, read.contents);
        const restored = await restore(fresh.database, fresh, read.contents, new Set(offers.map(({ key }) => key)), 5);
        expect(restored).toMatchObject({ ok: true, value: { beside: [], putAway: [] } });
        const again = await writeBackup(fresh.database, new Date(0), () => undefined);
        expect(new Uint8Array(await again.arrayBuffer())).toEqual(new Uint8Array(await backup.arrayBuffer()));
        for (const { database } of [all, fresh]) database.close();
      }),
      { numRuns: 25, seed: 20261129 },
    );
    expect(taken).toBeGreaterThan(100);
    expect(turnedDown).toBeGreaterThan(30);
  });
});
