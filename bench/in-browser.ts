/**
 * Figures of the built app in Chromium: code loaded until the drawing stands, an edit until it is painted on a processor
 * four times slower, frames while a bend is drawn round, a key in the choice of twenty thousand parts, the list of two
 * thousand lures, the stall band in the worker, and what memory that holds.
 */
import { chromium, type Browser, type CDPSession } from '@playwright/test';
import { DEMO_LURES } from '../src/demo/scenario';
import { keyInPicker, manyLures } from './lists-in-browser';
import { median, type Figure } from './measure';
import {
  AFTER_FRAME,
  atRest,
  COUNT_FRAMES,
  EMPTY_FRAME,
  FRAMES_SO_FAR,
  KNOCKING,
  LARGEST,
  LARGEST_ON_LINE,
  MARK_WHEN_DRAWN,
  openBench,
} from './page';
import { soundInBrowser } from './sound-in-browser';
import { tankInBrowser } from './tank-in-browser';

const EDITS = 30;

export async function browserFigures(base: string, tell: (figure: Figure) => void): Promise<void> {
  const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: ['--headless', '--no-sandbox', '--disable-gpu', '--disable-background-networking'],
  });
  try {
    for (const measure of [
      loaded,
      editToPaint,
      draggedBend,
      keyInPicker,
      manyLures,
      stallInWorker,
      soundInBrowser,
      tankInBrowser,
      workerMemory,
    ]) {
      for (const figure of await measure(browser, base)) tell(figure);
    }
  } finally {
    await browser.close();
  }
}

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
      bar: 180,
      note: `stands after ${first.stands.toFixed(0)} ms; ${kB(first.all).toFixed(0)} kB with all around it`,
    },
    {
      name: '  on a later visit',
      value: kB(later.needed),
      unit: 'kB',
      bar: 180,
      note: `stands after ${later.stands.toFixed(0)} ms`,
    },
  ];
}

/**
 * From the press that swaps a bead for another place until the changed drawing is painted, the page's frame and the canvas
 * of the worker both, once the page is all there; and an empty frame of the same page, to be set against it.
 */
async function editToPaint(browser: Browser, base: string): Promise<Figure[]> {
  const figures: Figure[] = [];
  for (const [lure, bead] of [
    [LARGEST, 'Brass bead'],
    [DEMO_LURES[0] ?? LARGEST, 'Glass bead'],
    [LARGEST_ON_LINE, 'Faceted bead'],
    // Its nail drawn out and in by a tenth of a millimetre.
    [KNOCKING, null],
  ] as const) {
    const page = await openBench(browser, base, lure.id);
    if (bead) await page.getByRole('option', { name: bead, exact: true }).first().click();
    const pressed = bead ? '[role="option"][aria-selected="true"]' : '[aria-label="Nail weight, on the drawing"]';
    if (!bead) await page.locator(pressed).waitFor();
    await atRest(page);
    const session = await page.context().newCDPSession(page);
    await session.send('Emulation.setCPUThrottlingRate', { rate: 4 });
    const times: number[] = [];
    const bare: number[] = [];
    for (let i = 0; i < EDITS; i++) {
      bare.push(await page.evaluate<number>(EMPTY_FRAME));
      times.push(
        await page.evaluate<number>(`(${TIME_EDIT})('${i % 2 === 0 ? 'ArrowRight' : 'ArrowLeft'}', '${pressed}')`),
      );
      await page.waitForTimeout(700);
    }
    await page.context().close();
    const [edit = 0, empty = 1] = [times, bare].map(
      (all) => all.toSorted((a, b) => a - b)[Math.ceil(0.95 * EDITS) - 1],
    );
    figures.push({
      name: `edit of ${lure.name} to painted drawing, processor 4 × slower`,
      value: edit,
      unit: 'ms',
      bar: 50,
      note: `95th of ${EDITS}; median ${median(times).toFixed(0)}; ${(edit / empty).toFixed(1)} × an empty frame of the page (${empty.toFixed(0)}); ${Object.keys(lure.build.items).length} parts`,
    });
  }
  return figures;
}

const TIME_EDIT = `(key, pressed) => new Promise((resolve, reject) => {
  setTimeout(() => reject(new Error('bench: the edit changed nothing')), 10_000);
  const drawing = document.querySelector('[data-testid="elevation"]');
  const still = document.querySelector('[data-testid="still"]');
  const option = document.querySelector(pressed);
  if (!drawing || !option) throw new Error('bench: nothing is picked');
  const before = still.dataset.painted;
  const started = performance.now();
  new MutationObserver((_, observer) => {
    observer.disconnect();
    (${AFTER_FRAME})(() => {
      const framed = performance.now();
      // The worker says at when it painted; that it did can be heard of later.
      const look = setInterval(() => {
        if (still.dataset.painted === before) return;
        clearInterval(look);
        resolve(Math.max(framed, Number(still.dataset.painted) - performance.timeOrigin) - started);
      }, 5);
    });
  }).observe(drawing, { attributes: true, childList: true, subtree: true });
  option.dispatchEvent(new KeyboardEvent('keydown', { key, altKey: true, bubbles: true }));
})`;

/** A bend of the largest lure drawn round for two seconds, the pointer moving all the while, once the page is all there. */
async function draggedBend(browser: Browser, base: string): Promise<Figure[]> {
  const page = await openBench(browser, base, LARGEST.id);
  const handle = page.getByRole('slider', { name: /on the drawing/ }).nth(1);
  await handle.waitFor();
  await atRest(page);
  const box = await handle.locator('circle').last().boundingBox();
  if (!box) throw new Error('bench: a bend has a handle');
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  const session = await page.context().newCDPSession(page);
  await session.send('Performance.enable');
  const from = await busySeconds(session);
  await page.evaluate(COUNT_FRAMES);
  const before = await handle.getAttribute('aria-valuenow');
  for (let i = 0; i < 120; i++) {
    await page.mouse.move(x + 3 * Math.sin(i / 6), y - 12 + 12 * Math.cos(i / 9));
    await page.waitForTimeout(12);
  }
  const seen = await page.evaluate<{ perS: number; longest: number }>(FRAMES_SO_FAR);
  const to = await busySeconds(session);
  if (before === (await handle.getAttribute('aria-valuenow'))) throw new Error('bench: the bend did not follow');
  await page.mouse.up();
  await page.context().close();
  return [
    {
      name: 'milliseconds a frame while a bend is drawn round',
      value: 1000 / seen.perS,
      unit: 'ms',
      bar: 17,
      note: `${seen.perS.toFixed(0)} frames a second, the longest wait ${seen.longest.toFixed(0)} ms`,
    },
    {
      name: '  the page’s own thread is busy meanwhile',
      value: (100 * (to.busy - from.busy)) / (to.at - from.at),
      unit: '%',
      bar: 50,
      note: 'scripts, layout and paint; the blades turn beside it',
    },
  ];
}

/** How long the page's own thread has been at work, and when that was asked, s. */
async function busySeconds(session: CDPSession): Promise<{ readonly busy: number; readonly at: number }> {
  const { metrics } = await session.send('Performance.getMetrics');
  const of = (name: string) => metrics.find((metric) => metric.name === name)?.value ?? NaN;
  return { busy: of('TaskDuration'), at: of('Timestamp') };
}

/** From a changed lure to the stall band on the page, all through the worker. */
async function stallInWorker(browser: Browser, base: string): Promise<Figure[]> {
  const page = await openBench(browser, base);
  const told = page.getByTestId('stall blade-1');
  await told.waitFor();
  const state = page.getByRole('combobox', { name: 'Try' });
  const times: number[] = [];
  for (let i = 0; i < 8; i++) {
    const before = await told.innerText();
    const started = Date.now();
    await state.selectOption(i % 2 === 0 ? 'weed' : 'clean');
    await page.waitForFunction(
      (text) => document.querySelector<HTMLElement>('[data-testid="stall blade-1"]')?.innerText !== text,
      before,
    );
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

/** What the worker holds after a minute's work: every demo lure opened, its speed changed many times, heads looked for. */
async function workerMemory(browser: Browser, base: string): Promise<Figure[]> {
  const page = await openBench(browser, base);
  const session = await page.context().newCDPSession(page);
  let heldBytes = 0;
  session.on('Target.receivedMessageFromTarget', ({ message }) => {
    const { result } = JSON.parse(message) as { result?: { usedSize?: number; embedderHeapUsedSize?: number } };
    if (result?.usedSize) heldBytes = result.usedSize + (result.embedderHeapUsedSize ?? 0);
  });
  const workers: string[] = [];
  session.on('Target.attachedToTarget', ({ sessionId, targetInfo }) => {
    if (targetInfo.type === 'worker') workers.push(sessionId);
  });
  await session.send('Target.setAutoAttach', { autoAttach: true, waitForDebuggerOnStart: false, flatten: false });
  for (const { id } of DEMO_LURES) {
    await page.goto(`${base}/bench?lure=${id}`);
    await page.getByTestId('ride').waitFor();
    const slider = page.getByRole('slider', { name: /handle turns/ });
    for (let n = 0; n < 12; n++) await slider.fill(String(0.5 + n / 8));
    await page.waitForTimeout(1500);
  }
  const sessionId = workers.at(-1);
  if (!sessionId) throw new Error('bench: no worker was found');
  const message = JSON.stringify({ id: 1, method: 'Runtime.getHeapUsage' });
  await session.send('Target.sendMessageToTarget', { sessionId, message });
  await page.waitForTimeout(500);
  if (heldBytes === 0) throw new Error('bench: the worker did not say what it holds');
  await page.context().close();
  return [
    {
      name: 'memory of the worker at work',
      value: heldBytes / 1e6,
      unit: 'MB',
      bar: 80,
      note: 'its heap, not collected first',
    },
  ];
}
