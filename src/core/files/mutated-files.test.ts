/** Lure files of every version, spoiled in every way that could be thought of: read or refused in words, never an error. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import version2 from '@/testing/suvra-needle.v2.json';
import { asVersion1 } from '@/testing/old-files';
import version3 from '@/testing/fixtures/predictions-v3.json';
import { demoLure, twoPieces } from '@/testing/lures';
import { lureFileProblemWords } from '../../words/problem-words';
import { readLureFile, writeLureFile } from './lure-file';

/** 100,000 as a command of its own (`npm run mutated`); fewer each time. */
const RUNS = Number(process.env.MAZURKA_MUTATED ?? 4000);

const FILES = [
  JSON.stringify(asVersion1(version2)),
  JSON.stringify(version2),
  JSON.stringify(version3[0]?.file),
  writeLureFile(demoLure('okkel-wisp')),
  writeLureFile(twoPieces()),
];

type Mutation = (text: string) => string;

const values = fc.constantFrom<unknown>(
  null,
  [],
  {},
  [null],
  true,
  0,
  -0,
  1e308,
  5e-324,
  '',
  'splitRing-1',
  { kind: null },
  { past: [null], edits: [null], changes: null, kind: 'adjust' },
  { seat: 1, part: null, role: null, cutLengthM: 1 },
  ['__proto__'],
);

/** Sets, takes out or adds something at the n-th place of the data. */
const inTree: fc.Arbitrary<Mutation> = fc
  .tuple(fc.nat(4000), values, fc.constantFrom('set', 'drop', 'add', 'proto', 'nest'))
  .map(([place, value, how]) => (text) => {
    const file: unknown = JSON.parse(text);
    const holders: Record<string, unknown>[] = [];
    const walk = (at: unknown) => {
      if (typeof at !== 'object' || at === null) return;
      holders.push(at as Record<string, unknown>);
      Object.values(at).forEach(walk);
    };
    walk(file);
    const holder = holders[place % holders.length] ?? {};
    const keys = Object.keys(holder);
    const key = keys[place % Math.max(keys.length, 1)] ?? 'extra';
    if (how === 'set') holder[key] = value;
    else if (how === 'drop') Reflect.deleteProperty(holder, key);
    else if (how === 'add') holder.extra = value;
    else if (how === 'proto') return JSON.stringify(file).replace('{', '{"__proto__":{"x":1},');
    else holder[key] = Array.from({ length: 80 }).reduce<unknown>((inner) => ({ inner }), value);
    return JSON.stringify(file);
  });
const inText: fc.Arbitrary<Mutation> = fc.oneof(
  fc.nat(20_000).map(
    (at): Mutation =>
      (text) =>
        text.slice(0, at % text.length),
  ),
  fc.tuple(fc.nat(20_000), fc.string({ maxLength: 3 })).map(([at, put]): Mutation => (text) => {
    const place = at % text.length;
    return text.slice(0, place) + put + text.slice(place + put.length);
  }),
);

describe('a lure file that something has been at', () => {
  it(`property: ${RUNS} of versions 1 to 4 are read, or refused with the reason in words`, { timeout: 600_000 }, () => {
    const seen = new Map<string, number>();
    fc.assert(
      fc.property(
        fc.constantFrom(...FILES),
        fc.array(inTree, { minLength: 1, maxLength: 3 }),
        fc.option(inText),
        (file, trees, cut) => {
          const mutated = trees.reduce((text, mutate) => mutate(text), file);
          const reading = readLureFile(cut ? cut(mutated) : mutated);
          const outcome = reading.ok ? 'ok' : reading.problem.code;
          seen.set(outcome, (seen.get(outcome) ?? 0) + 1);
          if (!reading.ok) expect(lureFileProblemWords(reading.problem)).toMatch(/[.:;]/);
        },
      ),
      { numRuns: RUNS, seed: 20261128 },
    );
    for (const outcome of ['ok', 'notJson', 'notALureFile', 'faultyField', 'forbiddenKey', 'tooDeep', 'impossibleLure'])
      expect(seen.get(outcome) ?? 0, outcome).toBeGreaterThan(0);
  });

  it('a key that JavaScript gives a meaning is refused by its name, not dropped', () => {
    const file = writeLureFile(demoLure('okkel-wisp')).replace(
      '"lure": {',
      '"lure": { "__proto__": { "isAdmin": true },',
    );
    const reading = readLureFile(file);
    expect(reading).toEqual({ ok: false, problem: { code: 'forbiddenKey', key: '__proto__' } });
  });

  it('brackets without end are no file, and overflow nothing', () => {
    expect(readLureFile('['.repeat(5_000_000))).toMatchObject({ ok: false, problem: { code: 'notJson' } });
    const deep = `{"format":"mazurka-lure","version":1,"lure":${'['.repeat(4000)}${']'.repeat(4000)}}`;
    expect(readLureFile(deep)).toMatchObject({ ok: false, problem: { code: 'tooDeep' } });
  });
});
