import 'fake-indexeddb/auto';
import Dexie from 'dexie';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { demoLure, part } from '@/testing/lures';
import { partsFileProblemWords } from '@/words/problem-words';
import { CATALOGUE } from '../core/parts/catalogue';
import { PARTS_FILE_MAX_BYTES, readPartsFile, writePartsFile } from '../core/parts/parts-file';
import type { Part } from '../core/parts/part';
import { startHistory } from '../core/lure/history';
import type { LureRule } from '../core/judgement/lure-rule';
import { lureIdSchema } from '../core/lure/lure';
import { readLureFile } from '../core/files/lure-file';
import { readHistory } from '../core/files/record';
import { migrateLure } from '../core/files/migrate';
import { MazurkaDatabase } from './database';
import { asVersion1 } from '@/testing/old-files';
import version2 from '@/testing/suvra-needle.v2.json';
import type { Stored } from './guarded';
import { readPicture, writePicture, type KeptPicture } from './kept-picture';
import { LureStore } from './lure-store';
import { PartsStore } from './parts-store';
import { RulesStore } from './rules-store';
import { settingsSchema, USUAL_SETTINGS } from './settings';

/** Histories of old databases that once stopped the bringing forward of all others. */
const THROWN_BEFORE: readonly unknown[] = [
  { lure: { build: { items: { 'hook-1': { seat: 1, part: null, role: null, cutLengthM: null } } } } },
  { past: [{ edits: [null], inverse: [null] }], lure: null },
  { past: [null], future: [null] },
  nested(900),
];

function nested(depth: number): unknown {
  let value: unknown = null;
  for (let n = 0; n < depth; n++) value = { inner: value };
  return value;
}

let names = 0;
const opened: Dexie[] = [];
function open(name = `own-${++names}`) {
  const database = new MazurkaDatabase(name);
  opened.push(database);
  return { name, database, parts: new PartsStore(database), rules: new RulesStore(database) };
}
afterEach(() => {
  for (const database of opened.splice(0)) database.close();
});

function value<T>(stored: Stored<T>): T {
  if (!stored.ok) throw new Error(`storage failed: ${JSON.stringify(stored.failure)}`);
  return stored.value;
}

const own = (id: string, changes: Partial<Part> = {}): Part => ({ ...part(id), ...changes }) as Part;

describe('own parts', () => {
  it('are kept under free ids, not taken twice, put away and put back', async () => {
    const { parts } = open();
    const first = value(await parts.add([own('blade-french-k2', { massKg: 0.00099 })]));
    // The catalogue's own id is never taken.
    expect(first.added.map(({ id }) => id)).toEqual(['blade-french-k2-2']);
    const again = value(await parts.add([own('blade-french-k2', { massKg: 0.00099 })]));
    expect(again).toEqual({ added: [], known: 1 });
    const other = value(await parts.add([own('blade-french-k2', { massKg: 0.00098 })]));
    expect(other.added[0]?.id).toBe('blade-french-k2-3');
    value(await parts.remove('blade-french-k2-2'));
    expect(value(await parts.list()).parts).toHaveLength(1);
    value(await parts.add(first.added));
    expect(value(await parts.list()).parts).toHaveLength(2);
  });

  it('a damaged one among good ones is named and left as it is', async () => {
    const { parts, database } = open();
    value(await parts.add(CATALOGUE.slice(0, 900)));
    await database.parts.put({ id: 'spoiled', part: { kind: 'blade', id: 'spoiled' } });
    const list = value(await parts.list());
    expect(list.damaged).toEqual(['spoiled']);
    expect(list.parts).toHaveLength(CATALOGUE.length);
    expect((await database.parts.get('spoiled'))?.part).toEqual({ kind: 'blade', id: 'spoiled' });
  });

  it('go out as a file and come back the same; a faulty file names its first fault', () => {
    const text = writePartsFile(CATALOGUE);
    expect(writePartsFile([...CATALOGUE].reverse())).toBe(text);
    const reading = readPartsFile(text);
    if (!reading.ok) throw new Error('it was just written');
    expect(writePartsFile(reading.parts)).toBe(text);
    expect(new Set(reading.parts)).toHaveLength(CATALOGUE.length);
    const spoiled = text.replace('"diameterM":0.00065', '"diameterM":"thin"');
    const faulty: [string, string, RegExp][] = [
      [text.slice(0, 500), 'notJson', /damaged/],
      ['{"format":"mazurka-lure","version":1}', 'notAPartsFile', /not a Mazurka parts file/],
      [text.replace('"version": 1', '"version": 7'), 'fromTheFuture', /newer Mazurka/],
      [spoiled, 'faultyField', /parts\.\d+\.diameterM/],
      [`${text}${' '.repeat(PARTS_FILE_MAX_BYTES)}`, 'tooLarge', /at most 96 MB/],
    ];
    for (const [broken, code, words] of faulty) {
      const answer = readPartsFile(broken);
      expect(answer).toMatchObject({ ok: false, problem: { code } });
      if (!answer.ok) expect(partsFileProblemWords(answer.problem)).toMatch(words);
    }
  });
});

describe('own rules', () => {
  const rule: LureRule = {
    id: 'rule-1',
    place: 'Lake Hovna',
    mostHooks: 1,
    mostPoints: 1,
    barbless: true,
    source: 'board at the landing',
    onDay: '2031-09-14',
  };

  it('are told as they change, and an unreadable one is left out and left alone', async () => {
    const { rules, database } = open();
    const seen: (readonly LureRule[])[] = [];
    const stop = rules.watch((now) => seen.push(now));
    value(await rules.put(rule));
    await database.rules.put({ id: 'rule-9', rule: { id: 'rule-9', mostHooks: 'few' } });
    await expect.poll(() => seen.at(-1)).toEqual([rule]);
    expect(await database.rules.count()).toBe(2);
    value(await rules.remove(rule.id));
    await expect.poll(() => seen.at(-1)).toEqual([]);
    stop();
  });
});

describe('what an earlier Mazurka wrote', () => {
  const asLure = (file: unknown) => {
    const reading = readLureFile(JSON.stringify(file));
    if (!reading.ok) throw new Error(JSON.stringify(reading.problem));
    return reading.lure;
  };
  const now = demoLure('suvra-needle');

  it('lure files of versions 1 and 2 open as the lure they were', () => {
    expect(asLure(version2)).toEqual(now);
    expect(asLure(asVersion1(version2))).toEqual(now);
  });

  it('keeps what the hand had done, in the items and in the changes that can be undone', () => {
    const adjust = (changes: object, item = 'hook-1') => ({ kind: 'adjust', item, changes });
    const { lure } = version2 as { lure: unknown };
    const history = {
      lure,
      past: [
        { code: 'barb', edits: [adjust({ pinched: true })], inverse: [adjust({ pinched: false })] },
        { code: 'nothing', edits: [adjust({ cutLengthM: 0.01 })], inverse: [adjust({ cutLengthM: null })] },
        {
          code: 'tube',
          edits: [adjust({ cutLengthM: 0.01 }, 'shrinkTube-1')],
          inverse: [adjust({ cutLengthM: null }, 'shrinkTube-1')],
        },
      ],
      future: [],
    };
    const read = readHistory(history, 2);
    expect(read.ok && read.history.past.map(({ edits }) => edits)).toEqual([
      [adjust({ state: { of: 'hook', pinched: true } })],
      [adjust({ state: { of: 'tube', cutLengthM: 0.01 } }, 'shrinkTube-1')],
    ]);
  });

  it('leaves alone what is no item, and what has been brought forward already', () => {
    const history = startHistory(now);
    expect(migrateLure(history, 2)).toEqual(history);
    for (const odd of [null, 7, 'x', [], { seat: 1 }]) {
      expect(migrateLure(odd, 1)).toEqual(odd);
    }
  });

  it('a database of version 1 is brought forward with its lures, damaged ones as they are', async () => {
    const name = `own-${++names}`;
    const old = new Dexie(name);
    old.version(1).stores({ lures: 'id, changedAt', settings: 'key' });
    const { lure } = asVersion1(version2) as { lure: unknown };
    await old
      .table('lures')
      .bulkAdd([
        { id: now.id, rev: 3, changedAt: 1, history: { lure, past: [], future: [] } },
        { id: 'spoiled', rev: 1, changedAt: 0, history: 'gnawed' },
        ...THROWN_BEFORE.map((history, i) => ({ id: `thrown-${i}`, rev: 1, changedAt: 0, history })),
      ]);
    old.close();
    const { database } = open(name);
    const store = new LureStore(database, () => 5);
    const entry = {
      id: now.id,
      name: now.name,
      family: 'inlineSpinner',
      isMade: now.made !== null,
      rev: 3,
      changedAt: 1,
      awayAt: null,
      birth: expect.any(String) as string,
    };
    expect(value(await store.list())).toEqual([entry]);
    const damaged = value(await store.damaged(() => Promise.resolve()));
    expect(damaged.map(({ id }) => id)).toEqual(['spoiled', ...THROWN_BEFORE.map((_, i) => `thrown-${i}`)]);
    const read = value(await store.read(lureIdSchema.parse(now.id)));
    expect(read).toMatchObject({ rev: 3, history: startHistory(now), isAway: false });
    const [spoiled] = damaged;
    expect(spoiled && value(await store.readDamaged(spoiled))).toEqual({ raw: 'gnawed', salvaged: null });
  });
});

describe('the shelf', () => {
  it('lists hundreds of lures without opening one, follows every write, and loses none to a missing entry', async () => {
    const { database } = open();
    let clock = 0;
    const store = new LureStore(database, () => ++clock);
    const many = Array.from({ length: 300 }, (_, i) => ({
      ...demoLure('stolk-kettle'),
      id: lureIdSchema.parse(`kettle-${i}`),
      name: `Kettle ${i}`,
    }));
    value(await store.seed(many));
    const opened = vi.spyOn(database.lures, 'get');
    const list = value(await store.list());
    expect(list).toHaveLength(300);
    expect(opened).not.toHaveBeenCalled();
    opened.mockRestore();

    const open5 = value(await store.read(lureIdSchema.parse('kettle-5')));
    const renamed = value(
      await store.perform(open5, { do: 'change', code: 'rename', edits: [{ kind: 'rename', name: 'First now' }] }),
    );
    expect(value(await store.list())[0]).toMatchObject({ name: 'First now', rev: 2 });
    value(await store.putAway(lureIdSchema.parse('kettle-5')));
    expect(value(await store.list())).toHaveLength(299);
    value(await store.putBack(lureIdSchema.parse('kettle-5')));
    expect(value(await store.list()).some(({ id }) => id === 'kettle-5')).toBe(true);
    expect(renamed.done).toBe(1);

    await database.shelf.delete('kettle-7');
    expect(value(await store.list()).some(({ id }) => id === 'kettle-7')).toBe(false);
    expect(value(await store.damaged(() => Promise.resolve()))).toEqual([]);
    expect(value(await store.list()).some(({ id }) => id === 'kettle-7')).toBe(true);
  });

  it('gives a lure’s build for its picture, and names a damaged one', async () => {
    const { database } = open();
    const store = new LureStore(database, () => 1);
    value(await store.seed([demoLure('asp-pair')]));
    expect(value(await store.readBuild(lureIdSchema.parse('asp-pair')))).toEqual(demoLure('asp-pair').build);
    const gone = await store.readBuild(lureIdSchema.parse('nobody'));
    expect(gone).toMatchObject({ ok: false, failure: { code: 'damaged' } });
  });

  it('settings of an earlier Mazurka keep what they said; what is new has its usual', () => {
    const { screenPxPerMm, trueSize, ...earlier } = USUAL_SETTINGS;
    expect(settingsSchema.parse({ ...earlier, system: 'trade' })).toEqual({
      ...earlier,
      system: 'trade',
      screenPxPerMm,
      trueSize,
    });
    expect(settingsSchema.safeParse({ ...USUAL_SETTINGS, screenPxPerMm: -1 }).success).toBe(false);
  });
});

describe('a clock that was set back', () => {
  it('changes the order of the list and nothing else: revisions, not times, say who was first', async () => {
    const { database } = open();
    let clock = 5000;
    const store = new LureStore(database, () => clock);
    value(await store.seed([demoLure('hovna-lantern'), demoLure('mirrow-drum')]));
    const rename = (name: string) => ({ do: 'change', code: 'rename', edits: [{ kind: 'rename', name }] }) as const;
    value(await store.perform(value(await store.read(lureIdSchema.parse('mirrow-drum'))), rename('Changed before')));
    const lure = value(await store.read(lureIdSchema.parse('hovna-lantern')));
    clock = 10;
    const done = value(await store.perform(lure, rename('Earlier than it was')));
    expect(done).toMatchObject({ done: 1, onOthersWork: false, open: { rev: 2 } });
    const stale = value(await store.perform(lure, rename('From an older page')));
    expect(stale).toMatchObject({ done: 1, onOthersWork: true, open: { rev: 3 } });
    expect(value(await store.list()).map(({ name }) => name)).toEqual(['Changed before', 'From an older page']);
  });
});

describe('the picture of what was last drawn', () => {
  function shelf(): Storage {
    const kept = new Map<string, string>();
    return {
      length: 0,
      clear: () => kept.clear(),
      key: () => null,
      getItem: (key) => kept.get(key) ?? null,
      setItem: (key, text) => void kept.set(key, text),
      removeItem: (key) => void kept.delete(key),
    };
  }

  const picture: KeptPicture = {
    form: 2,
    lureId: 'mirrow-drum',
    name: 'Mirrow Drum',
    system: 'trade',
    theme: 'dark',
    things: [],
    turning: [],
    reach: { x0M: 0, x1M: 0.08, upM: 0.02, downM: 0.02 },
    swept: [{ xM: 0, yM: 0.01 }],
    leftOut: [],
    fixedPxPerMm: null,
  };

  it('comes back as it was, and is nothing when it is damaged, of another form, or cannot be kept', () => {
    const storage = shelf();
    expect(readPicture(storage)).toBeNull();
    writePicture(storage, picture);
    expect(readPicture(storage)).toEqual(picture);
    const others = [
      { ...picture, form: 1 },
      { ...picture, reach: {} },
      { ...picture, things: 'none' },
    ];
    for (const text of ['{', '[]', 'null', '{"lure":{}}', ...others.map((each) => JSON.stringify(each))]) {
      storage.setItem('mazurka picture', text);
      expect(readPicture(storage)).toBeNull();
    }
    const full = {
      ...shelf(),
      setItem: () => {
        throw new DOMException('no room', 'QuotaExceededError');
      },
    };
    expect(() => writePicture(full, picture)).not.toThrow();
    expect(readPicture(undefined)).toBeNull();
  });
});
