import 'fake-indexeddb/auto';
import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { strToU8, unzipSync, zipSync, type Zippable } from 'fflate';
import { describe, expect, it } from 'vitest';
import { DEMO_LURES } from '@/demo/scenario';
import { demoLure } from '@/testing/lures';
import { backupAge, backupProblemWords, restoredWords, STANDING_WORDS, takingWords } from '@/words/backup-words';
import { lureIdSchema, type LureId } from '../../core/lure/lure';
import { MazurkaDatabase } from '../database';
import { LureStore } from '../lure-store';
import { PartsStore } from '../parts-store';
import { RunStore } from '../run-store';
import { readBackup } from './read-backup';
import { compareBackup, isOffered, restore } from './restore';
import { writeBackup } from './write-backup';

const FIXTURE = new Uint8Array(readFileSync('src/testing/fixtures/backup-1.zip'));

let names = 0;
function room() {
  const database = new MazurkaDatabase(`backup-${++names}`);
  let clock = 50_000;
  const now = () => ++clock;
  return {
    database,
    lures: new LureStore(database, now),
    parts: new PartsStore(database),
    runs: new RunStore(database, now),
  };
}
type Room = ReturnType<typeof room>;

const blob = (bytes: Uint8Array) => new Blob([new Uint8Array(bytes)]);
async function contentsOf(bytes: Uint8Array) {
  const read = await readBackup(blob(bytes), () => undefined);
  if (!read.ok) throw new Error(JSON.stringify(read.problem));
  return read;
}
async function saved({ database }: Room): Promise<Uint8Array> {
  return new Uint8Array(await (await writeBackup(database, new Date(0), () => undefined)).arrayBuffer());
}
async function name({ lures }: Room, id: string): Promise<string> {
  const read = await lures.read(lureIdSchema.parse(id));
  return read.ok ? read.value.history.lure.name : read.failure.code;
}
async function rename({ lures }: Room, id: LureId, to: string) {
  const read = await lures.read(id);
  if (!read.ok) throw new Error('it is here');
  await lures.perform(read.value, { do: 'change', code: 'rename', edits: [{ kind: 'rename', name: to }] });
}
async function takeAll(all: Room, bytes: Uint8Array, only?: (key: string) => boolean) {
  const { contents } = await contentsOf(bytes);
  const offers = await compareBackup(all.database, all.lures, contents);
  const chosen = new Set(offers.map(({ key }) => key).filter(only ?? (() => true)));
  const restored = await restore(all.database, all, contents, chosen, 99_000);
  if (!restored.ok) throw new Error(JSON.stringify(restored.failure));
  return { offers, restored: restored.value };
}

const HOVNA = DEMO_LURES[0]?.id ?? lureIdSchema.parse('none');

describe('a backup', () => {
  it('of the first format opens, with lures of every version in it', async () => {
    const { contents, unreadable } = await contentsOf(FIXTURE);
    expect(unreadable).toEqual([]);
    expect(contents.lures.map(({ history }) => history.lure.id).sort()).toContain('needle-one');
    const needle = { ...demoLure('suvra-needle'), id: undefined };
    for (const id of ['needle-one', 'needle-two'])
      expect({ ...contents.lures.find(({ history }) => history.lure.id === id)?.history.lure, id: undefined }).toEqual(
        needle,
      );
    expect([contents.runs.length, contents.pictures.length, contents.parts.length, contents.rules.length]).toEqual([
      1, 1, 1, 1,
    ]);
    expect(contents.settings?.system).toBe('trade');
  });

  it('restored wholly: what is new comes, an untouched demo lure gives way, and a second time nothing is left to do', async () => {
    const here = room();
    await here.lures.seed(DEMO_LURES);
    const { offers, restored } = await takeAll(here, FIXTURE);
    expect(offers.find(({ key }) => key === `lure ${HOVNA}`)?.standing).toBe('later');
    expect(restored).toMatchObject({ beside: [], putAway: [] });
    expect(await name(here, HOVNA)).toBe('Lantern of the fixture');
    expect(await name(here, 'needle-one')).toBe('Suvra Needle');
    const again = await takeAll(here, FIXTURE);
    expect(new Set(again.offers.map(({ standing }) => standing))).toEqual(new Set(['same']));
    for (const offer of offers) expect(`${STANDING_WORDS[offer.standing]} ${takingWords(offer)}`).toMatch(/\w/);
    expect(restoredWords(restored)).toMatch(/taken in/);
  });

  it('restored in part: only what was ticked', async () => {
    const here = room();
    await here.lures.seed(DEMO_LURES);
    await takeAll(here, FIXTURE, (key) => key === 'rules');
    expect(await here.database.rules.count()).toBe(1);
    expect(await name(here, HOVNA)).toBe('Hovna Lantern');
    expect(await here.database.runs.count()).toBe(0);
  });

  it('a later state takes over where undoing leads back to the one here, and else puts that one away, never over it', async () => {
    const [one, two] = [room(), room()];
    await one.lures.seed(DEMO_LURES);
    await rename(one, HOVNA, 'First');
    const early = await saved(one);
    await rename(one, HOVNA, 'Second');
    await takeAll(two, early);
    const straight = await takeAll(two, await saved(one));
    expect(straight.restored.putAway).toEqual([]);
    expect(await name(two, HOVNA)).toBe('Second');

    // Now both go on by themselves.
    await rename(two, HOVNA, 'Only here');
    await rename(one, HOVNA, 'Third');
    await rename(one, HOVNA, 'Fourth');
    const parted = await takeAll(two, await saved(one));
    expect(await name(two, HOVNA)).toBe('Fourth');
    expect(parted.restored.putAway).toEqual([`${HOVNA}-2`]);
    const away = await two.lures.listAway();
    expect(away.ok && away.value.map((entry) => entry.name)).toEqual(['Only here']);
  });

  it('an earlier state, or another lure under the same id, comes beside and is not ticked', async () => {
    const here = room();
    await here.lures.seed(DEMO_LURES);
    const early = await saved(here);
    await rename(here, HOVNA, 'Further on');
    const { contents } = await contentsOf(early);
    const offers = await compareBackup(here.database, here.lures, contents);
    const offer = offers.find(({ key }) => key === `lure ${HOVNA}`);
    expect(offer?.standing).toBe('earlier');
    expect(offer && isOffered(offer)).toBe(false);
    const { restored } = await takeAll(here, early, (key) => key === `lure ${HOVNA}`);
    expect(restored.beside).toEqual([`${HOVNA}-2`]);
    expect(await name(here, HOVNA)).toBe('Further on');
    expect(await name(here, `${HOVNA}-2`)).toBe('Hovna Lantern');
  });

  it('carries damaged records as they lie, and brings them where they can be looked at', async () => {
    const [here, there] = [room(), room()];
    await here.lures.seed(DEMO_LURES.slice(0, 3));
    const row = await here.database.lures.get(HOVNA);
    if (!row) throw new Error('seeded');
    await here.database.lures.put({ ...row, lure: { gnawed: true } });
    await takeAll(there, await saved(here));
    const damaged = await there.lures.damaged(() => Promise.resolve());
    expect(damaged.ok && damaged.value.map(({ id }) => id)).toEqual([HOVNA]);
    expect(JSON.stringify(await there.database.setAside.toArray())).toContain('gnawed');
  });

  it('with files of it spoiled: those are named, the others are read; foreign and future zips are refused in words', async () => {
    const files: Zippable = unzipSync(FIXTURE);
    files['lures/needle-one.json'] = strToU8('{"format":"mazurka-lure-record"');
    files['rules.json'] = strToU8('{"__proto__":{"x":1},"format":"mazurka-rules","version":1,"rules":[]}');
    files['lures/needle-two.json'] = strToU8(
      JSON.stringify({
        format: 'mazurka-lure-record',
        version: 3,
        birth: 'b',
        rev: 1,
        changedAt: 0,
        awayAt: null,
        history: { lure: null },
      }),
    );
    files['more/strange.json'] = strToU8('[]');
    const { contents, unreadable } = await contentsOf(zipSync(files));
    expect(unreadable.map(({ file }) => file).sort()).toEqual([
      'lures/needle-one.json',
      'lures/needle-two.json',
      'rules.json',
    ]);
    expect(contents.parts).toHaveLength(1);
    const refusals = await Promise.all(
      [
        zipSync({ 'a.txt': strToU8('hello') }),
        zipSync({ 'mazurka-backup.json': strToU8('{"format":"mazurka-backup","version":9,"madeAt":"2031"}') }),
        strToU8('no zip at all'),
        FIXTURE.subarray(0, 2000),
      ].map((bytes) => readBackup(blob(bytes), () => undefined)),
    );
    expect(refusals.map((each) => (each.ok ? 'ok' : each.problem.code))).toEqual([
      'notABackup',
      'fromTheFuture',
      'notAZip',
      'cutShort',
    ]);
    for (const each of refusals) if (!each.ok) expect(backupProblemWords(each.problem)).toMatch(/\.$/);
  });

  it('property: bytes that something has been at are read or refused, and never an error', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.array(fc.tuple(fc.nat(FIXTURE.length - 1), fc.nat(255)), { minLength: 1, maxLength: 20 }),
        fc.nat(FIXTURE.length),
        async (spoils, cut) => {
          const bytes = FIXTURE.slice(0, cut % 3 === 0 ? cut : FIXTURE.length);
          for (const [at, value] of spoils) if (at < bytes.length) bytes[at] = value;
          const read = await readBackup(blob(bytes), () => undefined);
          if (!read.ok) expect(backupProblemWords(read.problem)).toMatch(/\.$/);
        },
      ),
      { numRuns: 150, seed: 20261130 },
    );
  });

  it('its age is told quietly, and pointed at after a month', () => {
    const now = Date.UTC(2031, 9, 31);
    expect(backupAge(null, now)).toEqual({ words: 'no backup yet', isOld: true });
    expect(backupAge(now - 3_600_000, now)).toEqual({ words: 'last one today', isOld: false });
    expect(backupAge(now - 12 * 86_400_000, now)).toEqual({ words: 'last one 12 days ago', isOld: false });
    expect(backupAge(now - 40 * 86_400_000, now).isOld).toBe(true);
  });
});
