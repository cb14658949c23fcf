import { familySchema } from '../src/core/lure/lure';
import { spawnSync } from 'node:child_process';
import { describe, expect, it } from 'vitest';
import { DEMO_LURES, SCENARIO } from '../src/demo/scenario';
import { CATALOGUE } from '../src/core/parts/catalogue';
import { readLureFile, writeLureFile } from '../src/core/files/lure-file';
import { itemId, twoPieces } from '../src/testing/lures';
import { runCommand } from './commands';
import { CommandError, type CommandOptions } from './options';

const files = new Map([
  ['spinner.mazurka.json', writeLureFile(DEMO_LURES[0] ?? fail())],
  ['two.mazurka.json', writeLureFile(twoPieces())],
]);

function fail(): never {
  throw new Error('there is a demo lure');
}

function run(command: string, operands: string[] = [], options: CommandOptions = {}): unknown {
  const text = runCommand(command, operands, options, (path) => {
    const found = files.get(path);
    if (found === undefined) throw new Error('no such file');
    return found;
  });
  return JSON.parse(text) as unknown;
}

describe('the core for scripts', () => {
  it('lists the demo lures and shows each as a lure file that it reads again', () => {
    expect(run('demo')).toEqual(DEMO_LURES.map(({ id, name }) => ({ slug: id, name })));
    expect(run('show', ['demo:suvra-needle'])).toMatchObject({ format: 'mazurka-lure', lure: { id: 'suvra-needle' } });
    expect(run('show', ['spinner.mazurka.json'])).toEqual(run('show', ['demo:hovna-lantern']));
  });

  it('lists parts by kind and pattern', () => {
    expect(run('parts')).toHaveLength(CATALOGUE.length);
    const willows = run('parts', [], { kind: 'blade', pattern: 'willow' }) as { pattern: string }[];
    expect(willows.length).toBeGreaterThan(1);
    expect(new Set(willows.map(({ pattern }) => pattern))).toEqual(new Set(['willow']));
  });

  it('predicts at each speed, standing still at none', () => {
    const answer = run('predict', ['demo:mirrow-drum'], { speed: '0,0.35,0.6,2.5 mph' }) as {
      at: { speed_m_s: number; outcome: string; blades: Record<string, unknown>[] }[];
    };
    expect(answer.at.map(({ speed_m_s, outcome }) => [speed_m_s, outcome])).toEqual([
      [0, 'doesNotTurn'],
      [0.35, 'stopped'],
      [0.6, 'mayStop'],
      [2.5 * 0.44704, 'turning'],
    ]);
    const blade = answer.at[3]?.blades[0];
    expect(blade).toMatchObject({ station: 'blade-1', turning: true, chance_of_turning: 1 });
    expect(answer.at[1]?.blades[0]).toMatchObject({ turning: false, rate_hz: 0, chance_of_turning: 0 });
    expect(answer.at[2]?.blades[0]?.chance_of_turning).toBeLessThan(1);
    const [low, high] = blade?.rate_hz_spread as [number, number];
    expect(low).toBeLessThan(blade?.rate_hz as number);
    expect(high).toBeGreaterThan(blade?.rate_hz as number);
    expect(answer.at[0]?.blades[0]).toMatchObject({ turning: false, rate_hz: 0, drag_n: null });
  });

  it('gives lengths with their terms and findings with their words', () => {
    const lengths = run('lengths', ['demo:hovna-lantern']) as {
      of: string;
      total_m: number;
      terms: { length_m: number }[];
    }[];
    expect(lengths.map(({ of }) => of)).toEqual(['wire', 'shrinkTube']);
    for (const { total_m, terms } of lengths) {
      expect(terms.reduce((sum, { length_m }) => sum + length_m, 0)).toBeCloseTo(total_m, 12);
    }
    const found = run('findings', ['demo:hovna-lantern']) as {
      code: string;
      severity: string;
      words: { title: string };
    }[];
    expect(found.length).toBeGreaterThan(2);
    for (const { severity, words } of found) {
      expect(severity).toBe('good');
      expect(words.title).toMatch(/./);
    }
    expect(found.map(({ code }) => code)).toContain('bladeAgainstHook');
  });

  it.each([
    ['dance', [], {}, 'unknownCommand'],
    ['show', [], {}, 'noLure'],
    ['show', ['nowhere.json'], {}, 'cannotRead'],
    ['show', ['demo:nothing'], {}, 'unknownSlug'],
    ['parts', [], { kind: 'anchor' }, 'unknownKind'],
    ['parts', [], { pattern: 'spoon' }, 'unknownPattern'],
    ['predict', ['demo:hovna-lantern'], {}, 'noSpeed'],
    ['predict', ['demo:hovna-lantern'], { speed: 'fast' }, 'badSpeed'],
  ] as const)('%s %j %j fails as %s', (command, operands, options, code) => {
    try {
      run(command, [...operands], options);
    } catch (error) {
      expect(error).toBeInstanceOf(CommandError);
      expect((error as CommandError).code).toBe(code);
      return;
    }
    throw new Error('it should have failed');
  });

  it('as a program: reads standard input, and answers errors as JSON with exit code 2', () => {
    const core = (args: string[], input = '') =>
      spawnSync('npm', ['run', '-s', 'core', '--', ...args], { input, encoding: 'utf8' });
    const good = core(['predict', '-', '--speed', '0.8'], files.get('spinner.mazurka.json'));
    expect(good.status).toBe(0);
    expect(JSON.parse(good.stdout)).toMatchObject({ lure: 'hovna-lantern', at: [{ outcome: 'turning' }] });
    const bad = core(['predict', '-', '--speed', '0.8'], '{"format":"mazurka-lure","version":1,"lure":{}}');
    expect(bad.status).toBe(2);
    expect(JSON.parse(bad.stdout)).toMatchObject({ error: { code: 'faultyField' } });
  });
});

describe('rides for scripts', () => {
  type Answer = Record<string, unknown> & {
    spreads: Record<string, [number, number] | null>;
    at: (Record<string, unknown> & { spreads: Record<string, [number, number] | null> })[];
  };
  const ask = (options: CommandOptions, lure = 'demo:torvane-lanes') =>
    run('predict', [lure], { speed: '0.8', ...options }) as Answer;
  const PER_SPEED = [
    'beat_hz',
    'thump_mn_s',
    'pulse_n',
    'shake_mm',
    'drag_n',
    'line_slope_deg',
    'depth_m',
    'pitch_deg',
    'lean_deg',
    'side_pull_deg',
  ];
  const ONCE = ['surface_speed_m_s', 'sinking_weight_n', 'sink_rate_m_s', 'mass_g', 'arm_natural_hz'];

  it('says every figure with its spread, and what moves it', () => {
    const answer = ask({});
    const [at] = answer.at;
    for (const [said, names] of [
      [answer, ONCE],
      [at, PER_SPEED],
    ] as const) {
      for (const name of names) {
        const [value, band] = [said?.[name], said?.spreads[name]];
        expect(typeof value, name).toBe('number');
        expect(band?.[0], name).toBeLessThanOrEqual(value as number);
        expect(band?.[1], name).toBeGreaterThanOrEqual(value as number);
      }
    }
    const [low, high] = answer.stall_speed_m_s as [number, number];
    expect(low).toBeGreaterThan(0.2);
    expect(high).toBeGreaterThan(low);
    expect((at?.movers as Record<string, unknown[]>).depth_m).toHaveLength(3);
  });

  it('takes water, outfit, line out, readings and a state from files and options', () => {
    files.set('sea.json', '{"temperatureK": 285, "salinityGPerKg": 30}');
    files.set(
      'outfit.json',
      '{"line": {"kind": "nylon", "diameterM": 0.0003}, "swivel": "free", "tipHeightM": 0.5, "lineOutM": 25}',
    );
    files.set('readings.json', '[{"kind": "rate", "station": "blade-1", "speedMps": 0.8, "rateHz": 9}]');
    const plain = ask({});
    expect(ask({ water: 'sea.json' }).sinking_weight_n).toBeLessThan(plain.sinking_weight_n as number);
    const nylon = ask({ outfit: 'outfit.json' });
    expect(nylon).toMatchObject({ line_out_m: 25, outfit: { swivel: 'free' } });
    expect(ask({ outfit: 'outfit.json', 'line-out': '12' }).line_out_m).toBe(12);
    expect(ask({ 'line-out': '20' }).at[0]?.depth_m).toBeGreaterThan(plain.at[0]?.depth_m as number);
    const read = ask({ readings: 'readings.json' });
    expect(read.readings).toEqual({ used: 1, unused: [], doubted: [] });
    const rate = (answer: Answer) =>
      (answer.at[0]?.blades as { rate_hz: number; rate_hz_spread: [number, number] }[])[0];
    expect(rate(read)?.rate_hz).toBeGreaterThan(rate(plain)?.rate_hz ?? 0);
    expect((rate(read)?.rate_hz_spread[1] ?? 0) - (rate(read)?.rate_hz_spread[0] ?? 0)).toBeLessThan(
      ((rate(plain)?.rate_hz_spread[1] ?? 0) - (rate(plain)?.rate_hz_spread[0] ?? 0)) / 2,
    );
    expect(rate(ask({ state: 'weed' }))?.rate_hz).toBeLessThan(rate(plain)?.rate_hz ?? 0);
  });

  it('trolls a lure behind a sinker: a heavier one takes both deeper, and what is wrong is told', () => {
    const troll = (options: CommandOptions) =>
      run('troll', ['demo:hovna-lantern'], { speed: '0.8', 'line-out': '20', leader: '1.5', ...options }) as Record<
        string,
        number
      >;
    const [light, heavy] = [troll({ sinker: '7 g' }), troll({ sinker: '1 oz' })];
    expect(heavy.sinker_depth_m).toBeGreaterThan((light.sinker_depth_m ?? 0) + 0.5);
    expect(heavy.lure_depth_m).toBeGreaterThan((light.lure_depth_m ?? 0) + 0.5);
    expect(troll({ sinker: '1 oz', metal: 'tungsten' }).sinker_depth_m).toBeGreaterThan(heavy.sinker_depth_m ?? 99);
    expect(troll({ sinker: '4 oz', depth: '3' })).toMatchObject({ sinker_depth_m: 3, sinker_is_on_bottom: true });
  });

  it('finds the lightest head and the way of a retrieve', () => {
    expect(run('head', ['demo:stolk-kettle'], { speed: '0.8', depth: '2,2.5' })).toMatchObject({
      outcome: 'found',
      station: expect.stringMatching(/./) as unknown,
    });
    const path = run('retrieve', ['demo:stolk-kettle'], { turns: '0.8', countdown: '4', 'line-out': '20' }) as {
      start_m: number;
      points: { depth_m: number }[];
    };
    expect(path.points[0]?.depth_m).toBe(path.start_m);
    expect(path.start_m).toBeGreaterThan(1);
  });

  it.each([
    [{ water: 'nowhere.json' }, 'cannotRead'],
    [{ water: 'hot.json' }, 'faultyField'],
    [{ outfit: 'hot.json' }, 'faultyField'],
    [{ readings: 'hot.json' }, 'faultyField'],
    [{ 'line-out': '2 km' }, 'badLineOut'],
    [{ state: 'dusty' }, 'unknownState'],
  ] as const)('%j fails as %s and says what would be right', (options, code) => {
    files.set('hot.json', '{"temperatureK": 400, "salinityGPerKg": 0}');
    try {
      ask(options);
    } catch (error) {
      expect((error as CommandError).code).toBe(code);
      expect((error as CommandError).message.length).toBeGreaterThan(20);
      return;
    }
    throw new Error('it should have failed');
  });
});

describe('baits for scripts', () => {
  it('a tandem has two blades, nose first, with their bands; a buzzbait one', () => {
    const tandem = run('predict', ['demo:torvane-lanes'], { speed: '1.1' }) as {
      at: { outcome: string; blades: { station: string; rate_hz: number; rate_hz_spread: [number, number] }[] }[];
    };
    expect(tandem.at[0]?.outcome).toBe('turning');
    expect(tandem.at[0]?.blades.map(({ station }) => station)).toEqual(['blade-1', 'blade-2']);
    for (const {
      rate_hz: rate,
      rate_hz_spread: [low, high],
    } of tandem.at[0]?.blades ?? []) {
      expect(low).toBeLessThan(rate);
      expect(high).toBeGreaterThan(rate);
    }
    const buzz = run('predict', ['demo:lommer-clapper'], { speed: '0.8' }) as { at: { blades: unknown[] }[] };
    expect(buzz.at[0]?.blades).toHaveLength(1);
  });

  it('lengths name each wire of several', () => {
    const lengths = run('lengths', ['two.mazurka.json']) as { carrier: string | null }[];
    expect(lengths.map(({ carrier }) => carrier)).toEqual(['wire-1', 'wire-2']);
  });

  it('lengths name wire, strips and spacers; findings the contact that is meant', () => {
    const of = (lure: string) => (run('lengths', [lure]) as { of: string }[]).map((each) => each.of);
    expect(of('demo:stolk-kettle')).toEqual(['wire', 'spacer']);
    expect(of('demo:torvane-lanes')).toEqual(expect.arrayContaining(['spacer', 'skirtLayer']));
    const found = run('findings', ['demo:lommer-clapper']) as { code: string; severity: string }[];
    expect(found.some(({ code }) => code === 'intendedContact')).toBe(true);
    expect(found.every(({ severity }) => severity === 'good')).toBe(true);
  });
});

describe('the demo scenario', () => {
  it('hangs together: its makers make the parts, its lures differ in more than colour', () => {
    const makers = new Set(CATALOGUE.map(({ maker }) => maker));
    for (const { name } of SCENARIO.makers) expect(makers).toContain(name);
    expect(makers.size).toBe(3);
    const shapes = DEMO_LURES.map(({ build }) =>
      Object.values(build.items)
        .map(({ part }) => (part.kind === 'blade' ? part.pattern : part.kind === 'hook' ? part.points : part.kind))
        .sort()
        .join(' '),
    );
    expect(DEMO_LURES.length).toBeGreaterThanOrEqual(8);
    expect(new Set(shapes).size).toBe(DEMO_LURES.length);
    const families = new Set(DEMO_LURES.map(({ family }) => family));
    expect(families).toEqual(new Set(familySchema.options));
    for (const lure of DEMO_LURES) {
      for (const item of Object.values(lure.build.items)) expect(item.role !== null).toBe(item.part.kind === 'hook');
    }
  });
});

describe('strictness', () => {
  const refused = (command: string, operands: string[], given: Parameters<typeof runCommand>[2], text = '') => {
    try {
      runCommand(command, operands, given, () => text);
    } catch (error) {
      if (error instanceof CommandError) return error;
      throw error;
    }
    throw new Error(`${command} ${operands.join(' ')} should have been refused`);
  };
  const ASP = 'demo:suvra-fan';

  it('refuses by name what it does not take: options, extra lures, an option twice or without a value', () => {
    expect(refused('predict', [ASP], { speed: '0.8', sped: '0.9' })).toMatchObject({ code: 'unknownOption' });
    expect(refused('predict', [ASP], { speed: '0.8', depth: '1,2' }).message).toContain('--depth');
    expect(refused('lengths', [ASP], { speed: '0.8' }).message).toMatch(/takes none/);
    expect(refused('predict', [ASP, 'demo:mirrow-drum'], { speed: '0.8' }).message).toContain('mirrow-drum');
    expect(refused('demo', [ASP], {})).toMatchObject({ code: 'tooMany' });
    expect(refused('predict', [ASP], { speed: ['0.8', '1.1'] })).toMatchObject({ code: 'repeatedOption' });
    expect(refused('predict', [ASP], { speed: [true] })).toMatchObject({ code: 'noValue' });
    expect(refused('constructor', [], {})).toMatchObject({ code: 'unknownCommand' });
    expect(refused('head', [ASP], { speed: '0.8,1', depth: '1,2' })).toMatchObject({ code: 'badSpeed' });
    expect(refused('troll', [ASP], { speed: '0.8', sinker: 'heavy' })).toMatchObject({ code: 'badSinker' });
    expect(refused('troll', [ASP], { speed: '0.8', sinker: '7 g', metal: 'gold' }).message).toContain('tungsten');
  });

  it('refuses a speed beyond the model in every command that takes one, with quantity and limit', () => {
    const beyond = { code: 'speedOutsideModel', beyond: { quantity: 'speed_m_s', limit: 5 } };
    expect(refused('predict', [ASP], { speed: '0.8,6' })).toMatchObject(beyond);
    expect(refused('head', [ASP], { speed: '6', depth: '1,2' })).toMatchObject(beyond);
    expect(refused('troll', [ASP], { speed: '6', sinker: '7 g' })).toMatchObject(beyond);
    expect(refused('retrieve', [ASP], { turns: '8', 'per-turn': '3 m' })).toMatchObject(beyond);
  });

  it('refuses to work out a lure with a measure beyond sense, naming it and its limit', () => {
    const spoilt = (edit: (lure: { build: Spoilt }) => void) => {
      const file = JSON.parse(runCommand('show', ['demo:torvane-lanes'], {}, () => '')) as { lure: { build: Spoilt } };
      edit(file.lure);
      return JSON.stringify(file);
    };
    const piece = ({ build }: { build: Spoilt }, kind: string) => {
      const found = Object.values(build.items).find(({ part }) => part.kind === kind);
      if (!found) throw new Error(`it has a ${kind}`);
      return found.part;
    };
    const hole = spoilt((lure) => Object.assign(piece(lure, 'blade'), { holeOffsetM: 0.5 }));
    const head = spoilt((lure) => Object.assign(piece(lure, 'head'), { massKg: 0.5 }));
    for (const [command, given] of [
      ['predict', { speed: '0.8' }],
      ['head', { speed: '0.8', depth: '1,2' }],
      ['retrieve', {}],
    ] as const) {
      expect(refused(command, ['-'], given, hole)).toMatchObject({
        code: 'impossibleMeasure',
        beyond: { quantity: 'rootToHole_m' },
      });
      expect(refused(command, ['-'], given, head)).toMatchObject({
        code: 'doubtfulMass',
        beyond: { quantity: 'mass_kg', value: 0.5 },
      });
    }
    // What no part can be is refused as the file is read.
    const wire = spoilt(({ build }) => Object.assign(build.carrier.wire, { diameterM: 0.5 }));
    expect(refused('predict', ['-'], { speed: '0.8' }, wire).message).toMatch(/diameterM/);
  });
});

interface Spoilt {
  readonly carrier: { readonly wire: object };
  readonly items: Readonly<Record<string, { readonly part: { readonly kind: string } }>>;
}

describe('for scripts, further', () => {
  it('says how deep a lure runs and how it falls, deeper with more line', () => {
    interface Ridden {
      mass_g: number;
      sinking_weight_n: number;
      sink_rate_m_s: number;
      at: { depth_m: number | null; drag_n: number | null; line_slope_deg: number | null }[];
    }
    const near = run('predict', ['demo:torvane-lanes'], { speed: '0.5,0.8' }) as Ridden;
    const far = run('predict', ['demo:torvane-lanes'], { speed: '0.5,0.8', 'line-out': '20 m' }) as Ridden;
    expect(near.mass_g).toBeGreaterThan(15);
    expect(near.sinking_weight_n).toBeLessThan((near.mass_g / 1000) * 9.81);
    expect(near.sink_rate_m_s).toBeGreaterThan(0.2);
    const [slow, fast] = near.at.map(({ depth_m: depth }) => depth);
    expect(slow).toBeGreaterThan(fast ?? 9);
    expect(far.at[1]?.depth_m).toBeGreaterThan(fast ?? 9);
    expect(() => run('predict', ['demo:torvane-lanes'], { speed: '0.8', 'line-out': 'far' })).toThrow(CommandError);
  });

  it('edits a lure as one change and swaps a part, or says what would be right and gives no lure', () => {
    const edits = JSON.stringify([
      { kind: 'rename', name: 'Reworked' },
      { kind: 'carrier', changes: { freeRoomM: 0.002 } },
    ]);
    const read = (text: string) => () => text;
    const after = runCommand('edit', ['demo:suvra-fan', 'edits.json'], {}, read(edits));
    expect(readLureFile(after)).toMatchObject({
      ok: true,
      lure: { name: 'Reworked', build: { carrier: { freeRoomM: 0.002 } } },
    });
    const swap = runCommand('swap', ['demo:suvra-fan', 'blade-1', 'blade-willow-k5'], {}, read(''));
    const swapped = readLureFile(swap);
    expect(swapped.ok && swapped.lure.build.items[itemId('blade-1')]?.part.id).toBe('blade-willow-k5');
    const codes = (command: string, operands: string[], text = '[]') => {
      try {
        runCommand(command, operands, {}, read(text));
        return 'none';
      } catch (error) {
        return error instanceof CommandError ? error.code : 'thrown';
      }
    };
    expect(codes('edit', ['demo:suvra-fan'])).toBe('noEdits');
    expect(codes('edit', ['demo:suvra-fan', 'e.json'], '{')).toBe('cannotRead');
    expect(codes('edit', ['demo:suvra-fan', 'e.json'], '[{"kind":"paint"}]')).toBe('badEdits');
    expect(codes('edit', ['demo:suvra-fan', 'e.json'], '[{"kind":"remove","items":["bead-99"]}]')).toBe('unknownItem');
    expect(codes('swap', ['demo:suvra-fan', 'bead-99', 'blade-willow-k5'])).toBe('unknownStation');
    expect(codes('swap', ['demo:suvra-fan', 'blade-1', 'no-such'])).toBe('unknownPart');
    expect(codes('swap', ['demo:suvra-fan', 'blade-1', 'bead-brass-3'])).toBe('swapKind');
  });
});
