import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { beforeAll, describe, expect, it } from 'vitest';
import { demoLure, edited, part, plainSpinner, spinner } from '@/testing/lures';
import { readPdf } from '@/testing/read-pdf';
import { DEMO_LURES } from '@/demo/scenario';
import { threadParts } from '@/core/lure/editing';
import { cutLengths } from '@/core/lengths/lengths';
import { planMake } from '@/core/make/plan';
import { lastChanceWords, stepWords } from '@/words/make-words';
import { HAZARD_WORDS } from '@/words/tool-words';
import type { Lure } from '@/core/lure/lure';
import { sheetOf as sheetOn } from './sheet-of';
import { CHECK_BAR_MM } from '@/paper/check-bar';
import { PAPERS, wrap, type Mark, type Measure, type Page, type SheetPaper } from '@/paper/page';
import { lettersWithoutType, pdfMeasure, writePdf, type FontFiles } from '@/paper/write-pdf';

const require = createRequire(import.meta.url);
const type = (weight: number, letters: 'latin' | 'latin-ext') =>
  new Uint8Array(
    readFileSync(
      require.resolve(
        `@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-${letters}-${weight}-normal.woff`,
      ),
    ),
  );
const FONTS: FontFiles = {
  regular: [type(400, 'latin'), type(400, 'latin-ext')],
  bold: [type(700, 'latin'), type(700, 'latin-ext')],
};
const MADE = new Date(Date.UTC(2031, 8, 14));

let measure: Measure;
beforeAll(async () => {
  measure = await pdfMeasure(FONTS);
});

const sheetOf = (lure: Lure, paper: SheetPaper, system: 'metric' | 'trade' = 'metric'): Page =>
  sheetOn(lure, system, paper, '2031-09-14', measure);

describe.each(['a4', 'letter'] as const)('the build sheet on %s', (paper) => {
  it('as PDF: one page of the right size, the check bars 50.0 ± 0.2 mm and 2 in ± 0.2 mm', async () => {
    const read = await readPdf(await writePdf([sheetOf(demoLure('hovna-lantern'), paper)], FONTS, MADE));
    expect(read.pages).toBe(1);
    expect(read.widthMm).toBeCloseTo(PAPERS[paper].widthMm, 2);
    expect(read.heightMm).toBeCloseTo(PAPERS[paper].heightMm, 2);
    const bars = read.levelLinesMm.filter((lengthMm) => lengthMm > 45 && lengthMm < 55);
    expect(bars).toHaveLength(2);
    expect(Math.abs((bars[0] ?? 0) - CHECK_BAR_MM)).toBeLessThan(0.2);
    expect(Math.abs((bars[1] ?? 0) - 50.8)).toBeLessThan(0.2);
  });

  it('as PDF says the name, every part, every length, every step and every caution', async () => {
    // One of each family, and the spinner with most on it.
    for (const slug of ['hovna-lantern', 'halvane-twins', 'stolk-kettle', 'lommer-clapper']) {
      const lure = demoLure(slug);
      const { words } = await readPdf(await writePdf([sheetOf(lure, paper)], FONTS, MADE));
      const text = words.replace(/\s+/g, ' ');
      expect(text).toContain(lure.name);
      for (const { part: each } of Object.values(lure.build.items)) expect(text).toContain(each.name.split(' ')[0]);
      expect(text).toMatch(/Clipped wire flies/);
      expect(text).toMatch(/Sharp: cap the points/);
      expect(text).toMatch(/authority’s current text decides/);
      expect(/Line tie (lasts|closed)/.test(text)).toBe(lure.family !== 'inlineSpinner');
      for (const { cutM } of cutLengths(lure.build)) expect(text).toContain(`${(cutM * 1000).toFixed(0)}`);
    }
  });

  it('holds everything within its margins, also for a lure of sixty parts and a long note', () => {
    const crowded = edited(
      plainSpinner(),
      ...Array.from({ length: 28 }, (_, i) =>
        threadParts(plainSpinner().build, { ...part(i % 2 ? 'bead-brass-3' : 'bead-glass-3-amber') }, 2),
      ).map((edit, i) =>
        edit.kind === 'insert'
          ? {
              ...edit,
              items: edit.items.map((item) => ({ ...item, id: `bead-${100 + i}` as typeof item.id })),
              entries: edit.entries.map((entry) => ({
                ...entry,
                entry: { ...entry.entry, item: `bead-${100 + i}` as typeof entry.entry.item },
              })),
            }
          : edit,
      ),
      { kind: 'note', note: 'Slow along the drowned timber, and again at dusk. '.repeat(8) },
    );
    for (const lure of [...DEMO_LURES, crowded]) {
      for (const system of ['metric', 'trade'] as const) {
        const page = sheetOf(lure, paper, system);
        for (const mark of page.marks) {
          if (mark.mark !== 'text') continue;
          const width = measure(mark.text, mark.sizeMm, mark.weight);
          const x0 = mark.xMm - { start: 0, middle: width / 2, end: width }[mark.anchor];
          expect(x0).toBeGreaterThan(10);
          expect(x0 + width).toBeLessThan(PAPERS[paper].widthMm - 9);
          expect(mark.yMm).toBeLessThan(PAPERS[paper].heightMm - 8);
          expect(mark.text).not.toMatch(/NaN|undefined|Infinity/);
        }
      }
    }
  });
});

describe('the drawing on paper', () => {
  const boxOf = (marks: readonly Mark[], d: string) => marks.find((mark) => mark.mark === 'path' && mark.d === d);

  it('is at true size, and where a lure is longer than the paper says at what part of it', () => {
    const page = sheetOf(plainSpinner(), 'a4');
    expect(boxOf(page.marks, `M0 0L${CHECK_BAR_MM} 0`)).toMatchObject({ scaleX: 1 });
    const said = (lure: Lure) =>
      sheetOf(lure, 'a4').marks.some((mark) => mark.mark === 'text' && mark.text.startsWith('Drawn at true size'));
    expect(said(plainSpinner())).toBe(true);
    const long = spinner(Array.from({ length: 9 }, () => 'weight-cylinder-steel-6'));
    expect(said(long)).toBe(false);
    expect(sheetOf(long, 'a4').marks.some((m) => m.mark === 'text' && /Drawn at 0\.5 of its size/.test(m.text))).toBe(
      true,
    );
  });

  it('lays the blade back along the wire with its own length', () => {
    const page = sheetOf(plainSpinner('blade-willow-k3'), 'a4');
    const widths = page.marks.flatMap((mark) => {
      if (mark.mark !== 'path' || mark.fill === null || mark.opacity !== 0.45) return [];
      const xs = [...mark.d.matchAll(/[ML](-?[\d.]+)/g)].map(([, x]) => Number(x) * mark.scaleX);
      return [Math.max(...xs) - Math.min(...xs)];
    });
    expect(widths[0]).toBeCloseTo(40, 2);
  });
});

describe('text on paper', () => {
  it('wraps at words, breaks one that is wider alone, and loses no letter', () => {
    const words = 'Roll the tail loop and clip an extraordinarilylongwordthatdoesnotend tag';
    const lines = wrap(words, 22, 3, measure);
    for (const line of lines) expect(measure(line, 3, 'regular')).toBeLessThanOrEqual(22);
    expect(lines.join('').replace(/\s/g, '')).toBe(words.replace(/\s/g, ''));
  });

  it('letters beyond the first file come from the second; unknown ones are shown as such', async () => {
    const named = (name: string) => edited(plainSpinner(), { kind: 'rename', name });
    const { words } = await readPdf(await writePdf([sheetOf(named('Őrjöngő Žluť ☃'), 'a4')], FONTS, MADE));
    expect(words.replace(/\s+/g, '')).toContain('ŐrjöngőŽluť[]');
    expect(await lettersWithoutType([sheetOf(named('Žluť ☃漢'), 'a4')], FONTS)).toBe('☃漢');
  });
});

describe('the order of work on paper', () => {
  const texts = (page: Page) => page.marks.flatMap((mark) => (mark.mark === 'text' ? [mark] : []));

  it.each(DEMO_LURES.map((lure) => [lure.name, lure] as const))(
    '%s: every step of its plan in its order, each danger above it, what it closes under it',
    (_, lure) => {
      const plan = planMake(lure.build);
      if (plan.outcome !== 'planned') throw new Error('every demo lure can be made');
      const lines = texts(sheetOf(lure, 'a4'));
      const from = lines.findIndex(({ text }) => text === 'Order of work');
      const words = lines
        .slice(from)
        .map(({ text }) => text)
        .join(' ')
        .replace(/\s+/g, ' ');
      let at = 0;
      for (const step of plan.steps) {
        for (const hazard of step.hazards) {
          const found = words.indexOf(HAZARD_WORDS[hazard].slice(0, 20), at);
          expect(found, `${hazard} at ${step.id}`).toBeGreaterThanOrEqual(at);
          at = found;
        }
        const found = words.indexOf(stepWords(step, 'metric').what.slice(0, 24), at);
        expect(found, step.id).toBeGreaterThanOrEqual(at);
        at = found;
        const closes = lastChanceWords(step);
        if (closes !== '') expect(words.indexOf(`last chance for ${closes}`.slice(0, 28), at)).toBeGreaterThan(at);
      }
      expect(words.indexOf('Before it is fished', at)).toBeGreaterThan(at);
      for (const { yMm } of lines) expect(yMm).toBeLessThan(PAPERS.a4.heightMm - 8);
    },
  );

  it('says why where there is no way, instead of an order', () => {
    const bare = edited(spinner(['bead-brass-3', 'weight-barrel-brass-5']), {
      kind: 'carrier',
      changes: { tail: { form: 'plain' }, nose: { form: 'plain' } },
    });
    const words = texts(sheetOf(bare, 'a4'))
      .map(({ text }) => text)
      .join(' ');
    expect(words).toContain('Nothing holds what is strung');
  });
});
