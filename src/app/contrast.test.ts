import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { INK, SOFT_INK } from '../paper/page';

const css = readFileSync('src/app/globals.css', 'utf8');

/** The colours of one theme. */
function theme(selector: string): ReadonlyMap<string, string> {
  const block = css.slice(css.indexOf(`${selector} {`));
  return new Map(
    [...block.slice(0, block.indexOf('}')).matchAll(/--([a-z-]+): (#[0-9a-f]{6});/g)].map(([, name = '', hex = '']) => [
      name,
      hex,
    ]),
  );
}

/** Contrast of two colours, WCAG 2.2. */
function contrast(a: string, b: string): number {
  const luminance = (hex: string) => {
    const [red = 0, green = 0, blue = 0] = [1, 3, 5].map((at) => {
      const share = Number.parseInt(hex.slice(at, at + 2), 16) / 255;
      return share <= 0.04045 ? share / 12.92 : ((share + 0.055) / 1.055) ** 2.4;
    });
    return 0.2126 * red + 0.7152 * green + 0.0722 * blue;
  };
  const [light = 0, dark = 0] = [luminance(a), luminance(b)].sort((x, y) => y - x);
  return (light + 0.05) / (dark + 0.05);
}

const GROUNDS = ['paper', 'panel', 'stage', 'accent-soft', 'fault-soft', 'caution-soft'];

describe.each([':root', "[data-theme='dark']"])('the colours of %s', (selector) => {
  const colours = theme(selector);
  const of = (name: string) => colours.get(name) ?? '';

  it.each(['ink', 'ink-soft', 'accent', 'fault', 'caution', 'good'])(
    '%s reads on every ground it can lie on, 4.5 : 1',
    (ink) => {
      for (const ground of GROUNDS)
        expect(contrast(of(ink), of(ground)), `${ink} on ${ground}`).toBeGreaterThanOrEqual(4.5);
    },
  );

  it('a pressed button reads, and plain ink reads at 7 : 1', () => {
    expect(contrast(of('on-accent'), of('accent'))).toBeGreaterThanOrEqual(4.5);
    for (const ground of GROUNDS) expect(contrast(of('ink'), of(ground))).toBeGreaterThanOrEqual(7);
  });
});

it('the inks of paper read on white', () => {
  for (const ink of [INK, SOFT_INK]) expect(contrast(ink, '#ffffff')).toBeGreaterThanOrEqual(7);
});
