import type { Locator, Page } from '@playwright/test';
import { readFileSync } from 'node:fs';
import { expect, test } from './bench-page';

const LURES = [
  'hovna-lantern',
  'torvane-lanes',
  'lommer-clapper',
  'asp-pair',
  'halvane-twins',
  'stolk-kettle',
  'suvra-needle',
  'suvra-fan',
  'okkel-wisp',
  'mirrow-drum',
  'aalmo-link',
] as const;

interface Faults {
  /** Labels that overlap one another, the line of figures or the tools; leaders that cross. */
  readonly overlaps: string[];
  /** Text that is cut off where it stands. */
  readonly cut: string[];
  /** What can be seen and lies beyond the window. */
  readonly outside: string[];
  /** Text smaller than 14 px. */
  readonly small: string[];
}

/** Measured on the page itself, as it stands. */
function faultsOf(page: Page): Promise<Faults> {
  return page.evaluate(() => {
    const seen = (element: Element) => {
      const style = getComputedStyle(element);
      const box = element.getBoundingClientRect();
      return style.visibility === 'visible' && style.display !== 'none' && box.width > 1 && box.height > 1;
    };
    const words = (element: Element) => (element.textContent ?? '').trim().slice(0, 50);
    const boxes = [...document.querySelectorAll('[data-label]')].filter(seen);
    const fixed = [...document.querySelectorAll('[data-testid="ride"], [aria-label="Look at the drawing"]')].filter(
      seen,
    );
    const meets = (a: DOMRect, b: DOMRect) =>
      a.left < b.right - 1 && b.left < a.right - 1 && a.top < b.bottom - 1 && b.top < a.bottom - 1;
    const overlaps: string[] = [];
    boxes.forEach((a, i) => {
      for (const b of [...boxes.slice(i + 1), ...fixed])
        if (meets(a.getBoundingClientRect(), b.getBoundingClientRect())) overlaps.push(`${words(a)} on ${words(b)}`);
    });
    const lines = [...document.querySelectorAll<SVGLineElement>('[data-leader] line')].map((line) => ({
      a: { x: line.x1.baseVal.value, y: line.y1.baseVal.value },
      b: { x: line.x2.baseVal.value, y: line.y2.baseVal.value },
    }));
    type P = { x: number; y: number };
    const side = (p: P, q: P, r: P) => (q.x - p.x) * (r.y - p.y) - (q.y - p.y) * (r.x - p.x);
    lines.forEach((one, i) => {
      for (const two of lines.slice(i + 1))
        if (
          side(one.a, one.b, two.a) * side(one.a, one.b, two.b) < 0 &&
          side(two.a, two.b, one.a) * side(two.a, two.b, one.b) < 0
        )
          overlaps.push('leaders cross');
    });
    const cut: string[] = [];
    const small: string[] = [];
    const outside: string[] = [];
    const withText = [...document.querySelectorAll('body *')].filter(
      (element) =>
        !(element instanceof HTMLScriptElement) &&
        [...element.childNodes].some(
          (node) => node.nodeType === Node.TEXT_NODE && (node.textContent ?? '').trim() !== '',
        ),
    );
    for (const element of withText) {
      if (!seen(element) || element.closest('.sr-only, [aria-hidden="true"]:not(svg), option, select') !== null)
        continue;
      const style = getComputedStyle(element);
      const isSvg = element instanceof SVGElement;
      if (Number.parseFloat(style.fontSize) < 13.9) small.push(`${words(element)} ${style.fontSize}`);
      if (
        !isSvg &&
        element instanceof HTMLElement &&
        style.overflowX !== 'visible' &&
        element.scrollWidth > element.clientWidth + 1
      )
        cut.push(words(element));
      const box = element.getBoundingClientRect();
      const scroller = element.closest('[class*="overflow-x-auto"], [class*="overflow-y-auto"]');
      if (!isSvg && !scroller && (box.right > document.documentElement.clientWidth + 1 || box.left < -1))
        outside.push(words(element));
    }
    return { overlaps, cut, outside, small };
  });
}

const SOUND: Faults = { overlaps: [], cut: [], outside: [], small: [] };

const SIZES = [
  [1280, 800, 'light'],
  [1024, 768, 'dark'],
  [640, 400, 'light'],
  [390, 844, 'light'],
] as const;

for (const [about, lures, isTrade] of [
  ['millimetres', LURES.slice(0, 6), false],
  ['inches', LURES.slice(6), true],
] as const) {
  test(`every demo lure on a laptop, a small one, at 200 % and on a phone, in ${about}: nothing overlaps, is cut off or leaves the window`, async ({
    bench,
    page,
  }) => {
    await page.emulateMedia({ reducedMotion: 'reduce' });
    await bench.open();
    if (isTrade) await bench.button(/^Measures in/).click();
    for (const lure of lures) {
      await page.setViewportSize({ width: 1280, height: 800 });
      await page.goto(`/bench?lure=${lure}`);
      await expect(page.getByTestId('ride')).toContainText(/Depth|plane|Surfaces/);
      for (const [width, height, colorScheme] of SIZES) {
        await page.setViewportSize({ width, height });
        await page.emulateMedia({ colorScheme });
        await page.waitForTimeout(400);
        const where = `${lure} at ${width} × ${height}`;
        expect(await faultsOf(page), where).toEqual(SOUND);
        const bottomOf = async (of: Locator) => {
          const box = await of.boundingBox();
          return (box?.y ?? Infinity) + (box?.height ?? 0);
        };
        if (width >= 1024) {
          const { scrollHeight, clientHeight } = await page.evaluate(() => ({
            scrollHeight: document.documentElement.scrollHeight,
            clientHeight: document.documentElement.clientHeight,
          }));
          expect(scrollHeight, where).toBeLessThanOrEqual(clientHeight);
          expect(await bottomOf(page.getByRole('region', { name: 'Retrieve' })), where).toBeLessThanOrEqual(height + 1);
        }
        if (width === 390)
          expect(await bottomOf(page.getByRole('button', { name: /^Swap/ })), where).toBeLessThanOrEqual(height);
      }
    }
  });
}

/** Files of 50 random lures, written before the journeys start (scripts/e2e.sh). */
const RANDOM = JSON.parse(readFileSync(process.env.MAZURKA_RANDOM_LURES ?? '', 'utf8')) as readonly string[];

/** Lures that a builder could reach, sensible or not; each at one of the sizes, both themes and both measures among them. */
for (const [half, about] of [
  [0, 'millimetres'],
  [1, 'inches'],
] as const) {
  test(`random lures, in ${about}: nothing overlaps, is cut off or leaves the window`, async ({ bench, page }) => {
    await page.emulateMedia({ reducedMotion: 'reduce' });
    await bench.open();
    if (half === 1) await bench.button(/^Measures in/).click();
    const lures = RANDOM.filter((_, i) => i % 2 === half);
    expect(lures.length).toBe(25);
    for (const [i, text] of lures.entries()) {
      const name = `Random ${2 * i + half + 1}`;
      const file = { name: 'random.json', mimeType: 'application/json', buffer: Buffer.from(text) };
      await page.getByLabel('Lure file to import').setInputFiles(file);
      await expect(bench.name()).toHaveValue(name);
      await expect(page.getByTestId('ride')).toHaveAttribute('aria-busy', 'false');
      const [width, height] = SIZES[i % SIZES.length] ?? SIZES[0];
      await page.setViewportSize({ width, height });
      await page.emulateMedia({ colorScheme: i % 3 === 0 ? 'dark' : 'light' });
      // What is written about it follows a moment behind the drawing.
      await expect.poll(() => faultsOf(page), { message: `${name} at ${width} × ${height}` }).toEqual(SOUND);
    }
  });
}
