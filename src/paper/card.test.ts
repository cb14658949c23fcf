import jsQR from 'jsqr';
import { describe, expect, it } from 'vitest';
import { DEMO_LURES } from '@/demo/scenario';
import { demoLure, edited, part } from '@/testing/lures';
import { threadParts } from '../core/lure/editing';
import type { Lure } from '../core/lure/lure';
import { startRun } from '../core/make/run';
import { cardPage } from './card';
import { codeOf } from './code';
import { PAPERS, pageSize, type Mark, type Measure } from './page';

const measure: Measure = (text, sizeMm) => text.length * sizeMm * 0.5;

function cardOf(lure: Lure, note = lure.note) {
  const run = { ...startRun(lure, 'run-1', 0), number: 17, madeOn: '2031-10-04' };
  const code = codeOf(`https://bench.example/bench?lure=${lure.id}`);
  return cardPage({ run, familyName: 'Inline spinner', note, code, system: 'metric' }, measure);
}

const texts = (marks: readonly Mark[]) => marks.flatMap((mark) => (mark.mark === 'text' ? [mark] : []));

describe('the card of a piece', () => {
  it.each(DEMO_LURES.map((lure) => [lure.name, lure] as const))(
    '%s: everything on A6, nothing under the code',
    (_, lure) => {
      const card = cardOf(lure);
      const { marks } = card;
      const { widthMm, heightMm } = pageSize(card);
      const code = marks.at(-1);
      if (code?.mark !== 'path') throw new Error('the code comes last');
      const words = texts(marks);
      expect(words.map(({ text }) => text)).toContain('No. 17');
      for (const { xMm, yMm, sizeMm, text, anchor, weight } of words) {
        const long = measure(text, sizeMm, weight);
        const [x0, x1] = anchor === 'end' ? [xMm - long, xMm] : [xMm, xMm + long];
        expect(x0).toBeGreaterThanOrEqual(0);
        expect(x1).toBeLessThanOrEqual(widthMm);
        expect(yMm).toBeLessThanOrEqual(heightMm - 4);
        const isBeside = yMm < code.yMm || x1 <= code.xMm;
        expect(isBeside, text).toBe(true);
      }
    },
  );

  it('a note too long for it is cut, a lead weight brings its caution, the sharp points always', () => {
    const lure = demoLure('hovna-lantern');
    const long = texts(cardOf(lure, 'Slow along the drowned timber. '.repeat(80)).marks);
    expect(Math.max(...long.map(({ yMm }) => yMm))).toBeLessThan(PAPERS.a6.heightMm);
    const said = (each: Lure) =>
      texts(cardOf(each).marks)
        .map(({ text }) => text)
        .join(' ');
    expect(said(lure)).toContain('Sharp: cap the points');
    expect(said(lure)).not.toContain('Lead: wash');
    expect(said(edited(lure, threadParts(lure.build, part('weight-egg-lead-7'), 3)))).toContain('Lead: wash');
  });

  it('the code on it is read back to the address it was made from', () => {
    const address = 'https://bench.example/bench?lure=suvra-fan';
    const { size, isDark } = codeOf(address);
    const [cell, quiet] = [4, 4];
    const side = (size + 2 * quiet) * cell;
    const pixels = new Uint8ClampedArray(side * side * 4).fill(255);
    for (let row = 0; row < size; row++) {
      for (let column = 0; column < size; column++) {
        if (!isDark(row, column)) continue;
        for (let y = 0; y < cell; y++) {
          const from = (((row + quiet) * cell + y) * side + (column + quiet) * cell) * 4;
          for (let x = 0; x < cell; x++) pixels.set([0, 0, 0], from + 4 * x);
        }
      }
    }
    expect(jsQR(pixels, side, side)?.data).toBe(address);
  });
});
