/**
 * Figures of the built app in Chromium: code loaded until the drawing stands, an edit until it is painted on a processor
 * four times slower, a key in the choice of twenty thousand parts, the stall band in the worker.
 */
import { chromium, type Browser, type Page } from '@playwright/test';
import { mkdtemp, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { CATALOGUE } from '../src/core/parts/catalogue';
import { writePartsFile } from '../src/core/parts/parts-file';
import { partIdSchema, type Part } from '../src/core/parts/part';
import { median, type Figure } from './measure';

const PARTS = 20_000;
const EDITS = 15;

export async function browserFigures(base: string, tell: (figure: Figure) => void): Promise<void> {
  const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: ['--headless', '--no-sandbox', '--disable-gpu', '--disable-background-networking'],
  });
  try {
    for (const measure of [loaded, editToPaint, keyInPicker, stallInWorker]) {
      for (const figure of await measure(browser, base)) tell(figure);
    }
  } finally {
    await browser.close();
  }
}

async function openBench(browser: Browser, base: string): Promise<Page> {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
  const page = await context.newPage();
  await page.goto(`${base}/bench`);
  await page.getByRole('listbox', { name: 'The string, nose to tail' }).waitFor();
  return page;
}

/** As text: what runs in the page must not be rewritten by the tool that runs this file. */
const MARK_WHEN_DRAWN = `
  requestAnimationFrame(function look() {
    if (document.querySelector('canvas[data-side]')) requestAnimationFrame(() => performance.mark('drawing stands'));
    else requestAnimationFrame(look);
  });
`;

/** Compressed JavaScript that came over the wire before the blade was painted, on a first visit and on a later one. */
async function loaded(browser: Browser, base: string): Promise<Figure[]> {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
  const visit = async () => {
    const page = await context.newPage();
    const session = await context.newCDPSession(page);
    await session.send('Network.enable');
    await session.send('Network.setCacheDisabled', { cacheDisabled: true });
    const scripts = new Map<string, { bytes: number; at: number }>();
    const isScript = new Set<string>();
    session.on('Network.responseReceived', ({ requestId, response }) => {
      if (/javascript/.test(response.mimeType)) isScript.add(requestId);
    });
    session.on('Network.loadingFinished', ({ requestId, encodedDataLength, timestamp }) => {
      if (isScript.has(requestId)) scripts.set(requestId, { bytes: encodedDataLength, at: timestamp });
    });
    await page.addInitScript({ content: MARK_WHEN_DRAWN });
    await page.goto(`${base}/bench`);
    await page.getByRole('listbox', { name: 'The string, nose to tail' }).waitFor();
    const stands = await page.evaluate(() => performance.getEntriesByName('drawing stands')[0]?.startTime ?? -1);
    if (stands < 0) throw new Error('bench: the drawing never stood');
    // Chunks asked for before the mark may end after it, so what counts is when their loading began to be needed:
    // every script finished by then, in the page's own clock.
    const entries = await page.evaluate(() =>
      performance
        .getEntriesByType('resource')
        .filter((entry): entry is PerformanceResourceTiming => entry instanceof PerformanceResourceTiming)
        .filter(({ name }) => name.endsWith('.js'))
        .map(({ startTime, transferSize, encodedBodySize }) => ({
          startTime,
          bytes: Math.max(transferSize, encodedBodySize),
        })),
    );
    const needed = entries.filter(({ startTime }) => startTime <= stands).reduce((sum, { bytes }) => sum + bytes, 0);
    const all = [...scripts.values()].reduce((sum, { bytes }) => sum + bytes, 0);
    await page.waitForTimeout(600);
    await page.close();
    return { needed, all, stands };
  };
  const first = await visit();
  const later = await visit();
  await context.close();
  const kB = (bytes: number) => bytes / 1000;
  return [
    {
      name: 'JavaScript asked for until the drawing stands, first visit',
      value: kB(first.needed),
      unit: 'kB',
      bar: 220,
      note: `stands after ${first.stands.toFixed(0)} ms; ${kB(first.all).toFixed(0)} kB with all around it`,
    },
    {
      name: '  on a later visit',
      value: kB(later.needed),
      unit: 'kB',
      bar: 220,
      note: `stands after ${later.stands.toFixed(0)} ms`,
    },
  ];
}

/** From the press that swaps a bead for another place until the frame with the changed drawing is presented. */
async function editToPaint(browser: Browser, base: string): Promise<Figure[]> {
  const page = await openBench(browser, base);
  await page.getByRole('option', { name: 'Glass bead', exact: true }).click();
  const session = await page.context().newCDPSession(page);
  await session.send('Emulation.setCPUThrottlingRate', { rate: 4 });
  const times: number[] = [];
  for (let i = 0; i < EDITS; i++) {
    const key = i % 2 === 0 ? 'ArrowRight' : 'ArrowLeft';
    times.push(
      await page.evaluate(
        (pressed) =>
          new Promise<number>((resolve, reject) => {
            setTimeout(() => reject(new Error('bench: the edit changed nothing')), 10_000);
            const drawing = document.querySelector('[data-testid="elevation"]');
            const option = document.querySelector('[role="option"][aria-selected="true"]');
            if (!drawing || !option) throw new Error('bench: nothing is picked');
            const started = performance.now();
            new MutationObserver((_, observer) => {
              observer.disconnect();
              // The next frame's callback runs before its paint; a message after it comes once that is done.
              requestAnimationFrame(() => {
                const channel = new MessageChannel();
                channel.port1.onmessage = () => resolve(performance.now() - started);
                channel.port2.postMessage(null);
              });
            }).observe(drawing, { attributes: true, childList: true, subtree: true });
            option.dispatchEvent(new KeyboardEvent('keydown', { key: pressed, altKey: true, bubbles: true }));
          }),
        key,
      ),
    );
    await page.waitForTimeout(700);
  }
  await page.context().close();
  return [
    {
      name: 'edit to painted drawing, processor 4 × slower',
      value: median(times),
      unit: 'ms',
      bar: 50,
      note: `of ${EDITS}: ${Math.min(...times).toFixed(0)} to ${Math.max(...times).toFixed(0)}`,
    },
  ];
}

/** From a key until what it changed is painted: two frames on, a message comes once that is done. */
const TIME_KEYS = `
  document.querySelector('input[role="combobox"]').addEventListener('keydown', () => {
    const started = performance.now();
    requestAnimationFrame(() => requestAnimationFrame(() => {
      const channel = new MessageChannel();
      channel.port1.onmessage = () => { document.documentElement.dataset.keyMs = performance.now() - started; };
      channel.port2.postMessage(null);
    }));
  }, { capture: true });
`;

/** Own parts by the thousand, each a little different. */
function manyParts(): Part[] {
  return Array.from({ length: PARTS }, (_, i): Part => {
    const part = CATALOGUE[i % CATALOGUE.length] as Part;
    const by = 1 + ((i * 37) % 101) / 1000;
    return {
      ...part,
      id: partIdSchema.parse(`own-${part.id}-${i}`),
      name: `${part.name} ${String.fromCharCode(97 + (i % 26))}${i}`,
      massKg: part.massKg * by,
    };
  });
}

async function keyInPicker(browser: Browser, base: string): Promise<Figure[]> {
  const page = await openBench(browser, base);
  const file = join(await mkdtemp(join(tmpdir(), 'mazurka-bench-')), 'many.mazurka-parts.json');
  await writeFile(file, writePartsFile(manyParts()));
  await page.getByRole('button', { name: 'File' }).click();
  await page.getByRole('menuitem', { name: 'Your own parts' }).click();
  await page.getByRole('button', { name: 'Own parts', exact: true }).click();
  await page.getByLabel('Parts file to import').setInputFiles(file);
  await page.getByText(/20,000 parts taken in/).waitFor({ timeout: 60_000 });
  await page.keyboard.press('Escape');
  await page.getByRole('option', { name: /Fluted Indiana/ }).click();
  const opening = Date.now();
  await page.getByRole('button', { name: 'Swap this part' }).click();
  await page.getByRole('combobox', { name: /Find by size/ }).waitFor();
  await page.locator('[data-part]').first().waitFor();
  const openedMs = Date.now() - opening;
  await page.waitForTimeout(1500);
  await page.evaluate(TIME_KEYS);
  const times: number[] = [];
  for (const letter of [...'colorado #3', ...Array.from({ length: 11 }, () => '\b'), ...'willow gold']) {
    await page.keyboard.press(letter === '\b' ? 'Backspace' : letter === ' ' ? 'Space' : letter);
    await page.waitForTimeout(150);
    times.push(await page.evaluate(() => Number(document.documentElement.dataset.keyMs)));
  }
  await page.context().close();
  return [
    {
      name: `a key among ${PARTS.toLocaleString('en')} parts, until painted`,
      value: median(times),
      unit: 'ms',
      bar: 50,
      note: `of ${times.length}: up to ${Math.max(...times).toFixed(0)}; the sheet opens in ${openedMs} ms`,
    },
  ];
}

/** From a changed lure to the stall band on the page, all through the worker. */
async function stallInWorker(browser: Browser, base: string): Promise<Figure[]> {
  const page = await openBench(browser, base);
  const told = page.getByTestId('stall');
  await told.getByText(/Stalls at/).waitFor();
  const state = page.getByRole('combobox', { name: 'Try' });
  const times: number[] = [];
  for (let i = 0; i < 8; i++) {
    const started = Date.now();
    await state.selectOption(i % 2 === 0 ? 'weed' : 'clean');
    await page.locator('[data-testid="stall"][aria-busy="false"]').waitFor();
    times.push(Date.now() - started);
  }
  await page.context().close();
  return [
    {
      name: 'stall band from the worker to the page',
      value: median(times),
      unit: 'ms',
      bar: 500,
      note: `of ${times.length}`,
    },
  ];
}
