import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { DEMO_LURES } from '@/demo/scenario';
import { anyAsked } from '@/testing/any-command';
import { bait, demoLure, edited, itemId, on, part, plainSpinner } from '@/testing/lures';
import { refusalWords } from '../../words/refusal-words';
import type { Edit } from './edit';
import { threadParts } from './editing';
import { HISTORY_CHARACTERS, performCommand, startHistory, type LureHistory } from './history';
import { DEEPEST, type Build, type Item, type Lure } from './lure';
import { LURE_FILE_MAX_BYTES, readLureFile, writeLureFile } from '../files/lure-file';
import { readHistory, salvage } from '../files/record';
import { MOST_LURE_CHARACTERS } from './size';
import { structureProblem } from './structure';

function refused(lure: Lure, ...edits: Edit[]): string {
  const result = performCommand(startHistory(lure), { do: 'change', code: 'move', edits });
  if (result.ok) throw new Error('it was taken');
  return refusalWords(result.refusal);
}

const reads = (history: LureHistory) => readHistory(structuredClone(history));

describe('what can be done can be stored and read again', () => {
  const sound = plainSpinner();

  it('a forty-first version is refused in words, and forgetting one makes room', () => {
    let history = startHistory(sound);
    const keep = (at: number) =>
      ({ kind: 'keepVersion', at, version: { name: `V${at}`, build: sound.build } }) as const;
    for (let n = 0; n < 40; n++) {
      const kept = performCommand(history, { do: 'change', code: 'keepVersion', edits: [keep(n)] });
      if (!kept.ok) throw new Error(JSON.stringify(kept.refusal));
      history = kept.history;
    }
    expect(refused(history.lure, keep(40))).toMatch(/40 versions are kept; forget one/);
    expect(reads(history)).toMatchObject({ ok: true });
    const { lure } = history;
    expect(refused(lure, { kind: 'forgetVersion', at: 40 })).toMatch(/no version 41/);
    expect(edited(edited(lure, { kind: 'forgetVersion', at: 3 }), keep(39)).versions).toHaveLength(40);
  });

  it('keeping a version writes that version, not all of them', () => {
    const kept = performCommand(startHistory(sound), {
      do: 'change',
      code: 'keepVersion',
      edits: [{ kind: 'keepVersion', at: 0, version: { name: 'One', build: sound.build } }],
    });
    expect(kept.ok && kept.history.past[0]?.inverse).toEqual([{ kind: 'forgetVersion', at: 0 }]);
  });

  it.each<[string, Edit[], RegExp]>([
    ['201 entries on a strand', [threadParts(sound.build, part('bead-brass-3'), 0, 198)], /200 things are threaded/],
    ['an empty name', [{ kind: 'rename', name: ' \n ' }], /from 1 to 120 letters/],
    ['a length that is no number', [{ kind: 'carrier', changes: { freeRoomM: NaN } }], /freeRoomM would not be right/],
    [
      'a denormal length',
      [{ kind: 'carrier', changes: { freeRoomM: 5e-324 } }],
      /freeRoomM would not be right \(Too small/,
    ],
    [
      'a day the calendar lacks',
      [{ kind: 'mark', made: { onDay: '2031-99-99', build: sound.build } }],
      /a day that the calendar has/,
    ],
    [
      'fifty-one edits in one',
      Array.from({ length: 51 }, () => ({ kind: 'note', note: '' }) as const),
      /smaller steps/,
    ],
    ['a note of a book’s length', [{ kind: 'note', note: 'x'.repeat(4001) }], /4,000 letters/],
  ])('%s is refused in words', (_, edits, words) => {
    expect(refused(sound, ...edits)).toMatch(words);
  });

  it('a name in two lines becomes one, so that nothing it is written on breaks', () => {
    const done = performCommand(startHistory(sound), {
      do: 'change',
      code: 'rename',
      edits: [{ kind: 'rename', name: ' a\r\nb\u0000 ' }],
    });
    expect(done.ok && done.history.lure.name).toBe('a b');
  });

  it(`a chain of rings ends at ${DEEPEST}; one of 1,500 in a file is refused and overflows nothing`, () => {
    const chain = ringChain(sound.build, 1500);
    expect(structureProblem(chain)).toMatchObject({ code: 'beyondBounds' });
    const short = ringChain(sound.build, 200);
    expect(structureProblem(short)).toEqual({ code: 'beyondBounds', of: 'depth', most: DEEPEST });
    const file = writeLureFile({ ...sound, build: chain });
    expect(readLureFile(file)).toMatchObject({ ok: false, problem: { code: 'impossibleLure' } });
    const saved = salvage({ lure: { ...sound, build: short }, past: [], future: [] });
    expect(saved && structureProblem(saved.history.lure.build)).toBeNull();
  });

  it('the largest lure that can come about is within its own file', () => {
    const long = 'Ж'.repeat(120);
    let lure = edited(sound, threadParts(sound.build, { ...part('bead-brass-3'), name: long, maker: long }, 0, 190));
    let history = startHistory(lure);
    for (let n = 0; ; n++) {
      const kept = performCommand(history, {
        do: 'change',
        code: 'keepVersion',
        edits: [{ kind: 'keepVersion', at: n, version: { name: long, build: { ...lure.build } } }],
      });
      if (!kept.ok) break;
      history = kept.history;
      lure = history.lure;
    }
    expect(lure.versions.length).toBeGreaterThan(10);
    const file = writeLureFile(lure);
    expect(JSON.stringify(lure).length).toBeLessThan(MOST_LURE_CHARACTERS * 1.1);
    expect(new TextEncoder().encode(file).length).toBeLessThan(LURE_FILE_MAX_BYTES);
    expect(readLureFile(file)).toEqual({ ok: true, lure });
    expect(JSON.stringify(history.past).length).toBeLessThan(HISTORY_CHARACTERS * 1.1);
  });

  it('property: any sequence of accepted commands reads back, exports and imports as it is', () => {
    let [taken, turnedDown] = [0, 0];
    fc.assert(
      fc.property(fc.constantFrom(...DEMO_LURES), fc.array(anyAsked(), { maxLength: 25 }), (start, asked) => {
        let history = startHistory(start);
        for (const ask of asked) {
          const result = performCommand(history, ask(history.lure));
          if (result.ok) taken++;
          else turnedDown++;
          if (result.ok) history = result.history;
          else expect(refusalWords(result.refusal)).toMatch(/\.$/);
        }
        expect(reads(history)).toEqual({ ok: true, history });
        expect(readLureFile(writeLureFile(history.lure))).toEqual({ ok: true, lure: history.lure });
        const back = history.past.toReversed().reduce<LureHistory>((now) => {
          const undone = performCommand(now, { do: 'undo' });
          return undone.ok ? undone.history : now;
        }, history);
        expect(back.past).toEqual([]);
      }),
      { numRuns: 250, seed: 20261127 },
    );
    expect(Math.min(taken, turnedDown)).toBeGreaterThan(300);
  });
});

function ringChain(build: Build, length: number): Build {
  const items: Record<string, Item> = { ...build.items };
  for (let n = 0; n < length; n++) {
    const id = itemId(`splitRing-${n + 50}`);
    const seat = n === 0 ? on('splitRing-1', 'hung') : on(`splitRing-${n + 49}`, 'hung');
    items[id] = { id, part: part('ring-k2'), seat, role: null, flipped: false, state: null };
  }
  return { ...build, items };
}

describe('what can be read of a damaged lure', () => {
  const whole = startHistory(bait('spinnerbait', ['bead-brass-4', 'bead-brass-4']));
  const damage = (spoil: (record: never) => void) => {
    const record = structuredClone({ ...whole, lure: { ...demoLure('torvane-lanes') } });
    spoil(record as never);
    expect(readHistory(record)).toMatchObject({ ok: false });
    return salvage(record);
  };
  type Loose = {
    lure: { name: unknown; build: { items: Record<string, unknown>; strand: unknown; carrier: unknown } };
  };

  it('is the rest of it: each damaged piece is left out and named', () => {
    const saved = damage((record: Loose) => {
      const [first = ''] = Object.keys(record.lure.build.items);
      record.lure.build.items[first] = { id: first };
      record.lure.name = '';
    });
    expect(saved?.leftOut.length).toBeGreaterThan(1);
    expect(saved && reads(saved.history)).toMatchObject({ ok: true });
    expect(Object.keys(saved?.history.lure.build.items ?? {}).length).toBeGreaterThan(5);
  });

  it('is nothing without its wire, and never an error', () => {
    expect(damage((record: Loose) => void (record.lure.build.carrier = null))).toBeNull();
    for (const odd of [null, 7, [], { lure: { build: [] } }, { lure: null }]) expect(salvage(odd)).toBeNull();
  });
});
