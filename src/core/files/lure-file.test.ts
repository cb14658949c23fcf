import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { lureFileJsonSchema } from '../../../scripts/lure-file-schema';
import { demoLure } from '@/testing/lures';
import { lureFileProblemWords } from '../../words/problem-words';
import { LURE_FILE_MAX_BYTES, readLureFile, writeLureFile } from './lure-file';

const good = writeLureFile(demoLure('mirrow-drum'));

/** The good file with one thing changed in its data. */
function spoiled(spoil: (file: Record<string, never>) => void): string {
  const file = JSON.parse(good) as Record<string, never>;
  spoil(file);
  return JSON.stringify(file);
}

type Loose = {
  lure: { build: { items: Record<string, { part: Record<string, unknown>; role: unknown }>; strand: unknown[] } };
};

describe('the lure file', () => {
  const faulty: [string, string, string, RegExp][] = [
    ['cut short', good.slice(0, good.length / 2), 'notJson', /damaged/],
    ['another program’s', '{"name":"thing","version":3}', 'notALureFile', /not a Mazurka lure file/],
    ['a list', '[]', 'notALureFile', /not a Mazurka lure file/],
    ['from the future', spoiled((file) => Object.assign(file, { version: 99 })), 'fromTheFuture', /newer Mazurka/],
    [
      'with a field missing',
      spoiled((file) => delete (file as unknown as Loose).lure.build.items['blade-1']?.part.thicknessM),
      'faultyField',
      /lure\.build\.items\.blade-1\.part\.thicknessM/,
    ],
    [
      'with a word for a number',
      spoiled((file) =>
        Object.assign((file as unknown as Loose).lure.build.items['hook-1']?.part ?? {}, { gapM: 'wide' }),
      ),
      'faultyField',
      /lure\.build\.items\.hook-1\.part\.gapM/,
    ],
    [
      'with a field of its own',
      spoiled((file) => Object.assign((file as unknown as Loose).lure, { script: 'x' })),
      'faultyField',
      /script/,
    ],
    [
      'of a lure that cannot be',
      spoiled((file) => (file as unknown as Loose).lure.build.strand.reverse()),
      'impossibleLure',
      /cannot be built.*leg/,
    ],
    ['too large', `${good}${' '.repeat(LURE_FILE_MAX_BYTES)}`, 'tooLarge', /at most 32 MB/],
  ];
  it.each(faulty)('%s is refused and the first fault named', (_, text, code, words) => {
    const reading = readLureFile(text);
    expect(reading).toMatchObject({ ok: false, problem: { code } });
    if (!reading.ok) expect(lureFileProblemWords(reading.problem)).toMatch(words);
  });

  it('of version 8, which knew no traced outline, opens the same; with one it comes back as it was', () => {
    const lure = demoLure('halvane-glint');
    const older = { ...(JSON.parse(writeLureFile(lure)) as object), version: 8 };
    expect(readLureFile(JSON.stringify(older))).toEqual(readLureFile(writeLureFile(lure)));
    const { carrier } = lure.build;
    if (carrier.kind !== 'body') throw new Error('a hard bait');
    const traced = [
      { at: 0, up: 0, down: 0 },
      { at: 0.4, up: 0.55, down: 0.45 },
      { at: 1, up: 0, down: 0 },
    ];
    const own = {
      ...lure,
      build: { ...lure.build, carrier: { ...carrier, wire: { ...carrier.wire, traced } } },
    };
    expect(readLureFile(writeLureFile(own))).toMatchObject({ ok: true, lure: own });
    const backwards = writeLureFile({
      ...own,
      build: { ...own.build, carrier: { ...carrier, wire: { ...carrier.wire, traced: traced.toReversed() } } },
    });
    expect(readLureFile(backwards).ok).toBe(false);
  });

  it('is described by the committed JSON Schema', () => {
    const committed: unknown = JSON.parse(readFileSync('docs/lure-file.schema.json', 'utf8'));
    expect(committed).toEqual(JSON.parse(JSON.stringify(lureFileJsonSchema())));
  });
});
