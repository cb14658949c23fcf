import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { describe, expect, it } from 'vitest';
import { demoLure, edited, WIRE_DEMOS } from '@/testing/lures';
import { readPdf } from '@/testing/read-pdf';
import { wireStretches } from '../core/lengths/bend-marks';
import { layOut } from '../core/geometry/layout';
import { wireCut } from '../core/lengths/lengths';
import { CHECK_BAR_IN_MM, CHECK_BAR_MM } from './check-bar';
import { PAPERS, type Page, type PaperName } from './page';
import { bendingTemplate, templateDrawing, templatePages, templateWidth } from './template';
import { writeDxf } from './write-dxf';
import { writePdf, type FontFiles } from './write-pdf';
import { writeSvg } from './write-svg';

const require = createRequire(import.meta.url);
const type = (weight: number) =>
  new Uint8Array(
    readFileSync(
      require.resolve(
        `@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-${weight}-normal.woff`,
      ),
    ),
  );
const FONTS: FontFiles = { regular: [type(400)], bold: [type(700)] };
const MADE = new Date(Date.UTC(2031, 8, 14));

function templateOf(slug: string, paper: PaperName) {
  const lure = demoLure(slug);
  return bendingTemplate({ lure, layout: layOut(lure.build), system: 'metric', wideMm: templateWidth(paper) });
}

/** Level lines of an SVG file, mm: read from its own text, its viewBox against its size in millimetres. */
function svgLevels(svg: string): number[] {
  const [, width = '0'] = /width="([\d.]+)mm"/.exec(svg) ?? [];
  const [, box = '0'] = /viewBox="0 0 ([\d.]+) /.exec(svg) ?? [];
  const mmPerUnit = Number(width) / Number(box);
  return [...svg.matchAll(/<path d="M([-\d.]+) ([-\d.]+)L([-\d.]+) ([-\d.]+)"[^>]*scale\(([\d.]+) /g)].flatMap(
    ([, x0, y0, x1, y1, scale]) => (y0 === y1 ? [Math.abs(Number(x1) - Number(x0)) * Number(scale) * mmPerUnit] : []),
  );
}

/** Level polylines of two points in a DXF file, mm, by layer: group codes 8, 10 and 20, read pair by pair. */
function dxfLevels(dxf: string): { units: string; levels: number[] } {
  const lines = dxf.split(/\r?\n/).map((line) => line.trim());
  const levels: number[] = [];
  for (let i = 0; i + 1 < lines.length; i += 2) {
    if (lines[i] !== '0' || lines[i + 1] !== 'LWPOLYLINE') continue;
    const [xs, ys]: [number[], number[]] = [[], []];
    for (let j = i + 2; j + 1 < lines.length && lines[j] !== '0'; j += 2) {
      if (lines[j] === '10') xs.push(Number(lines[j + 1]));
      if (lines[j] === '20') ys.push(Number(lines[j + 1]));
    }
    const [x0 = 0, x1 = 0] = xs;
    if (xs.length === 2 && ys[0] === ys[1]) levels.push(Math.abs(x1 - x0));
  }
  return { units: lines[lines.indexOf('$INSUNITS') + 2] ?? '', levels };
}

function onePage([page, ...more]: readonly Page[]): Page {
  if (!page || more.length > 0) throw new Error('it should stand on one page');
  return page;
}

const near = (levels: readonly number[], mm: number) => levels.some((each) => Math.abs(each - mm) < 0.2);

describe('the bending template', () => {
  it.each([
    ['stolk-kettle', 'a4'],
    ['stolk-kettle', 'letter'],
    ['asp-pair', 'a4'],
    ['hovna-lantern', 'a4'],
  ] as const)(
    'of %s on %s measures the same in SVG, DXF and PDF: the bar, and the wire straight',
    async (slug, paper) => {
      const template = templateOf(slug, paper);
      const page = onePage(templatePages(template, paper));
      const lure = demoLure(slug);
      const cutMm = wireCut(lure.build).totalM * 1000;
      const rowMm = templateWidth(paper);
      // The wire lies in rows as long as the page is wide, the rest in the last.
      const rows = [...Array.from({ length: Math.floor(cutMm / rowMm) }, () => rowMm), cutMm % rowMm];
      const svg = svgLevels(writeSvg(page));
      const { units, levels: dxf } = dxfLevels(writeDxf(template));
      const pdf = await readPdf(await writePdf([page], FONTS, MADE));
      expect(units).toBe('4');
      expect(pdf.widthMm).toBeCloseTo(PAPERS[paper].widthMm, 2);
      for (const levels of [svg, dxf, pdf.levelLinesMm]) {
        for (const mm of [CHECK_BAR_MM, CHECK_BAR_IN_MM, ...rows]) expect(near(levels, mm)).toBe(true);
      }
      expect(pdf.words.replace(/\s+/g, ' ')).toContain('bending template');
    },
  );

  it('longer than the page it lies on several, joined cross on cross; as one drawing in SVG and DXF', async () => {
    const lure = edited(demoLure('stolk-kettle'), { kind: 'carrier', changes: { armM: 0.5 } });
    const template = bendingTemplate({
      lure,
      layout: layOut(lure.build),
      system: 'metric',
      wideMm: templateWidth('a4'),
    });
    const pages = templatePages(template, 'a4');
    expect(pages.length).toBeGreaterThan(2);
    const crosses = (page: Page) => page.marks.filter((mark) => mark.mark === 'path' && mark.d === 'M-4 0H4');
    for (const page of pages) expect(crosses(page).length).toBeGreaterThanOrEqual(2);
    // What is at the right crosses of one page is at the left crosses of the next.
    const [first, second] = pages;
    const tileMm = PAPERS.a4.widthMm - 24;
    const xOf = (page: Page | undefined, i: number) => {
      const mark = page?.marks[i];
      return mark?.mark === 'path' ? mark.xMm : NaN;
    };
    expect(xOf(first, 0) - xOf(second, 0)).toBeCloseTo(tileMm, 9);
    expect((await readPdf(await writePdf(pages, FONTS, MADE))).pages).toBe(pages.length);
    const drawing = templateDrawing(template);
    const whole = svgLevels(writeSvg(drawing));
    expect(near(whole, CHECK_BAR_MM)).toBe(true);
    expect(typeof drawing.paper === 'object' && drawing.paper.widthMm).toBeGreaterThan(PAPERS.a4.widthMm * 2);
  });

  it('a name with line breaks, control characters and other scripts breaks neither SVG nor DXF', () => {
    const lure = { ...demoLure('stolk-kettle'), name: 'a\r\n0\r\nEOF\u0000\u0007 Щука 50%%d <&>' };
    const template = bendingTemplate({ lure, layout: layOut(lure.build), system: 'metric', wideMm: 180 });
    const dxf = writeDxf(template);
    expect(dxf).toContain('$DWGCODEPAGE');
    expect(dxf).toContain('\\U+0429\\U+0443');
    expect(dxf).toMatch(/^[\x20-\x7e\r\n\t]*$/);
    expect(dxf.split('EOF').length - 1).toBe(2);
    expect(dxf).not.toContain('%%');
    const svg = writeSvg(templateDrawing(template));
    expect(svg).not.toMatch(/[\u0000-\u0008\u000b\u000c\u000e-\u001f]/);
    expect(svg).toContain('Щука 50%%d &lt;&amp;&gt;');
  });

  it('has a mark at every end of a stretch, where it lies along the wire, and fits its page, for every demo lure of wire', () => {
    for (const lure of WIRE_DEMOS) {
      for (const paper of ['a4', 'letter'] as const) {
        const wideMm = templateWidth(paper);
        const template = bendingTemplate({ lure, layout: layOut(lure.build), system: 'trade', wideMm });
        const ticks = template.lines.filter(({ layer, points: [a, b] }) => layer === 'marks' && a && b && a.x === b.x);
        const topMm = Math.min(
          ...template.lines.filter(({ layer }) => layer === 'wire').map(({ points }) => points[0]?.y ?? 0),
        );
        const along = ticks.map(({ points: [a, b] }) => {
          const row = Math.round((((a?.y ?? 0) + (b?.y ?? 0)) / 2 - topMm) / 30);
          return row * wideMm + (a?.x ?? 0);
        });
        for (const { toM } of wireStretches(lure.build)) {
          expect(Math.min(...along.map((mm) => Math.abs(mm - toM * 1000)))).toBeLessThan(0.01);
        }
        const all = template.lines.flatMap(({ points }) => points);
        for (const { x, y } of all) {
          expect(x).toBeGreaterThanOrEqual(-0.01);
          expect(x).toBeLessThanOrEqual(wideMm + 0.01);
          expect(y).toBeLessThanOrEqual(PAPERS[paper].heightMm - 24);
        }
      }
    }
  });

  it('draws the form as large as the wire is bent', () => {
    const lure = demoLure('stolk-kettle');
    const layout = layOut(lure.build);
    const [middle] = templateOf('stolk-kettle', 'a4').lines.filter(({ layer }) => layer === 'form');
    const xs = middle?.points.map(({ x }) => x) ?? [];
    const path = layout.path?.sections.flatMap(({ points }) => points.map(({ xM }) => xM * 1000)) ?? [];
    expect(Math.min(...xs) - (xs[0] ?? 0)).toBeCloseTo(Math.min(...path) - (path[0] ?? 0), 6);
  });
});
