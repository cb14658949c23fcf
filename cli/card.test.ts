import { describe, expect, it } from 'vitest';
import { CARD_LINES } from '../src/core/tune/target';
import { runCommand } from './commands';

const LURE = 'demo:torvane-lanes';

interface Answered {
  readonly lines: readonly {
    readonly line: string;
    readonly value: number | null;
    readonly spread: readonly [number, number] | null;
  }[];
  readonly target: {
    readonly chance_that_all_musts_are_met: number;
    readonly wants: readonly { readonly chance: number | null }[];
  } | null;
}

const card = (target?: unknown) =>
  JSON.parse(
    runCommand('card', [LURE], { speed: '0.8', ...(target === undefined ? {} : { target: 't.json' }) }, () =>
      JSON.stringify(target),
    ),
  ) as Answered;

describe('the card for scripts', () => {
  it('tells every line with its spread, and how likely a target is met', () => {
    const { lines, target } = card();
    expect(lines.map(({ line }) => line)).toEqual(CARD_LINES);
    for (const { value, spread } of lines)
      if (value !== null) expect((spread?.[0] ?? NaN) <= value && value <= (spread?.[1] ?? NaN)).toBe(true);
    expect(target).toBeNull();
    const thump = lines.find(({ line }) => line === 'thumpNs')?.value ?? 0;
    const wants = (low: number) => [{ line: 'thumpNs', low, high: null, weight: 'must' }];
    const file = { format: 'mazurka-target', version: 1, name: 'harder' };
    const chance = (low: number) => card({ ...file, wants: wants(low) }).target?.chance_that_all_musts_are_met ?? NaN;
    expect(chance(thump * 0.5)).toBeGreaterThan(chance(thump));
    expect(chance(thump)).toBeGreaterThan(chance(thump * 1.5));
  });

  it('says what would be right of a target that cannot be', () => {
    expect(() => card({ format: 'mazurka-target', version: 9, name: 'x', wants: [] })).toThrow(/version/);
    expect(() => runCommand('card', [LURE], { speed: '0.8,0.9' }, () => '')).toThrow(/one speed/);
  });
});

describe('moves for scripts', () => {
  const moves = (parts?: unknown) => {
    const target = {
      format: 'mazurka-target',
      version: 1,
      name: 'harder, and down',
      wants: [
        { line: 'thumpNs', low: 0.006, high: null, weight: 'must' },
        { line: 'depthM', low: 1, high: null, weight: 'must' },
      ],
    };
    const texts: Readonly<Record<string, unknown>> = { 't.json': target, 'own.json': parts };
    const options = { speed: '0.8', target: 't.json', ...(parts === undefined ? {} : { parts: 'own.json' }) };
    return JSON.parse(runCommand('moves', [LURE], options, (path) => JSON.stringify(texts[path]))) as {
      readonly target: { readonly worth: number };
      readonly moves: readonly {
        readonly edits: readonly unknown[];
        readonly worth: number;
        readonly needs_part: boolean;
        readonly lines: unknown;
      }[];
    };
  };

  it('are each as good as they say: the lure with the edits made has the card that was promised', () => {
    const { moves: told, target } = moves();
    expect(told.length).toBeGreaterThan(3);
    const best = told[0];
    expect(best?.worth).toBeGreaterThan(target.worth);
    const edited = runCommand('edit', [LURE, 'e.json'], {}, () => JSON.stringify(best?.edits));
    const after = runCommand('card', ['after.json'], { speed: '0.8' }, () => edited);
    expect((JSON.parse(after) as { readonly lines: unknown }).lines).toEqual(best?.lines);
  }, 60_000);

  it('say what would be right of what is missing or no parts file', () => {
    expect(() => runCommand('moves', [LURE], { speed: '0.8' }, () => '')).toThrow(/--target/);
    expect(() => moves({ format: 'mazurka-lure' })).toThrow(/mazurka-parts/);
  });
});
