import FFT from 'fft.js';
import { decode } from 'node-wav';
import { describe, expect, it } from 'vitest';
import { heardOf, soundings } from '@/testing/hearing';
import { demoLure } from '@/testing/lures';
import { measured } from '@/testing/measured';
import { runCommand } from './commands';
import { CommandError, type CommandOptions } from './options';

const LURE = 'demo:lommer-clapper';

interface Answered {
  readonly outcome: string;
  readonly level_db: number;
  readonly words: string;
  readonly contacts: readonly {
    readonly id: string;
    readonly wanted: boolean;
    readonly outcome: string;
    readonly knocks_per_s: number | null;
    readonly spreads: Readonly<Record<string, readonly [number, number] | null>>;
  }[];
}

function run(options: CommandOptions, lure = LURE) {
  const written = new Map<string, Uint8Array>();
  const text = runCommand(
    'sound',
    [lure],
    options,
    () => '',
    (path, content) => {
      if (path.startsWith('/nowhere')) throw new Error('no such folder');
      written.set(path, content);
    },
  );
  return { answer: JSON.parse(text) as Answered, written };
}

describe('the sound for scripts', () => {
  it('tells each contact and the whole with spreads, and in words', () => {
    const { answer } = run({ speed: '0.8' });
    expect(answer.outcome).toBe('sounds');
    const clack = answer.contacts.find(({ id }) => id.startsWith('bladeOnHead'));
    expect(clack).toMatchObject({ wanted: true, outcome: 'sounds' });
    const [low, high] = clack?.spreads.knocks_per_s ?? [0, 0];
    expect(low).toBeLessThan(clack?.knocks_per_s ?? 0);
    expect(high).toBeGreaterThan(clack?.knocks_per_s ?? 0);
    expect(answer.words).toMatch(/clack of .* times a second/);
  });

  it('writes a WAV that others read: 48 kHz, one channel, as long as asked, below full scale', () => {
    const { written } = run({ speed: '0.8', seconds: '2', seed: '9', out: 'x.wav' });
    const file = written.get('x.wav');
    if (!file) throw new Error('it was written');
    const { sampleRate, channelData } = decode(file);
    expect(sampleRate).toBe(48_000);
    expect(channelData).toHaveLength(1);
    expect(channelData[0]).toHaveLength(96_000);
    const peak = (channelData[0] ?? new Float32Array()).reduce((most, each) => Math.max(most, Math.abs(each)), 0);
    expect(peak).toBeLessThan(1);
    expect(peak).toBeGreaterThan(0.8);
    expect(Buffer.from(file).toString('latin1')).toMatch(/INAM.*Lommer Clapper, as it is now/s);
    const again = run({ speed: '0.8', seconds: '2', seed: '9', out: 'x.wav' }).written.get('x.wav');
    expect(again && Buffer.from(again).equals(Buffer.from(file))).toBe(true);
  });

  it('has its peaks where the core says: the notes of a bell and of a clacking blade', () => {
    for (const [slug, kind] of [
      ['mirrow-drum', 'bell'],
      ['lommer-clapper', 'bladeOnHead'],
    ] as const) {
      const [there] = soundings(heardOf(demoLure(slug)), kind);
      const ring = there?.knocks?.rings.toSorted((a, b) => b.pascal - a.pascal)[0];
      if (!there || !ring) throw new Error('it rings');
      const { written } = run({ speed: '0.8', only: there.contact.id, out: 'x.wav' }, `demo:${slug}`);
      const [samples] = decode(written.get('x.wav') ?? new Uint8Array()).channelData;
      const size = 2 ** 17;
      const fft = new FFT(size);
      const out = fft.createComplexArray();
      fft.realTransform(out, (samples ?? new Float32Array()).slice(0, size));
      const strength = (hz: number) => {
        // Of a band a fiftieth wide, over the knocks' own comb.
        let sum = 0;
        for (let i = Math.round((hz * 0.99 * size) / 48_000); i <= Math.round((hz * 1.01 * size) / 48_000); i++)
          sum += (out[2 * i] ?? 0) ** 2 + (out[2 * i + 1] ?? 0) ** 2;
        return sum / hz;
      };
      const at = strength(ring.hz);
      // Its next note stands 5 % below.
      for (const beside of [0.88, 1.1]) expect(at, slug).toBeGreaterThan(3 * strength(ring.hz * beside));
      measured(
        'Published and worked values',
        `Spectral peak of the WAV of ${slug} at its note`,
        `${Math.round(ring.hz)} Hz`,
        'where the core says',
      );
    }
  });

  it('says what would be right of seconds, contacts, choices and places that cannot be', () => {
    const refused = (options: CommandOptions) => {
      try {
        run({ speed: '0.8', ...options });
      } catch (error) {
        if (error instanceof CommandError) return `${error.code}: ${error.message}`;
        throw error;
      }
      return 'taken';
    };
    expect(refused({ seconds: '0' })).toMatch(/badSeconds: .*0\.5 to 60/);
    expect(refused({ seconds: '10000' })).toMatch(/badSeconds/);
    expect(refused({ only: 'bell' })).toMatch(/unknownContact: .*There are: “/);
    expect(refused({ out: '/nowhere/x.wav' })).toMatch(/cannotWrite: .*folder that is there/);
    expect(refused({ speed: '0.4,0.8' })).toMatch(/oneSpeed/);
    expect(refused({ manner: 'wild' })).toMatch(/unknownManner: .*steady, twitched/);
    expect(refused({ fish: 'cod' })).toMatch(/unknownFish/);
    expect(refused({ bottom: 'mud' })).toMatch(/unknownBottom/);
    expect(refused({ hours: '-1' })).toMatch(/badHours/);
    expect(refused({ seed: '1.5' })).toMatch(/badSeed/);
  });
});

describe('wear for scripts', () => {
  const wear = (options: CommandOptions, lure = LURE) =>
    JSON.parse(runCommand('wear', [lure], options, () => '')) as {
      readonly tie: Readonly<Record<string, unknown>> | null;
      readonly clocks: readonly { readonly clock: string; readonly words: { readonly title: string } }[];
    };

  it('tells the tie in fish with its band, and clocks in words', () => {
    const { tie, clocks } = wear({ hours: '20', fish: '3' });
    expect(tie).toMatchObject({
      outcome: 'open',
      ring_over_it: false,
      breaks_at: 'tie',
      with_ring: { breaks_at: 'head' },
    });
    expect(clocks.map(({ clock }) => clock)).toEqual(expect.arrayContaining(['squeak', 'band', 'bait']));
    expect(wear({}, 'demo:suvra-needle').tie).toBeNull();
  });

  it('says what would be right of hours and fish that cannot be', () => {
    for (const options of [{ hours: '-1' }, { fish: 'many' }])
      expect(() => wear(options)).toThrow(/is no number from 0 to/);
  });
});
