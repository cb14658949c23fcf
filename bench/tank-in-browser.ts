/**
 * The Tank of the built app: code loaded until its drawing stands, a crank of the handle until its figures are painted on a
 * processor four times slower, frames while it swims, and how soon moves stand there once something is wanted.
 */
import type { Browser, Page } from '@playwright/test';
import type { Lure } from '../src/core/lure/lure';
import { median, type Figure } from './measure';
import {
  AFTER_FRAME,
  COUNT_FRAMES,
  EMPTY_FRAME,
  FRAMES_SO_FAR,
  LARGEST,
  LARGEST_ON_BODY,
  LARGEST_ON_LINE,
  MARK_WHEN_DRAWN,
  openAt,
} from './page';

const CRANKS = 30;
const TARGETS = 6;
const SWUM_MS = 3000;

async function openTank(browser: Browser, base: string, address: string, script = ''): Promise<Page> {
  const page = await openAt(browser, `${base}${address}`, script);
  await page.locator('[data-testid="action card"][aria-busy="false"]').waitFor();
  await page.locator('.recharts-surface').first().waitFor();
  await page.waitForTimeout(4000);
  return page;
}

async function loadedTank(browser: Browser, base: string): Promise<Figure> {
  const page = await openTank(browser, base, '/tank', MARK_WHEN_DRAWN);
  const [needed, stands] = await page.evaluate<[number, number]>(`(() => {
    const stands = performance.getEntriesByName('drawing stands')[0]?.startTime ?? -1;
    const scripts = performance.getEntriesByType('resource').filter(({ name, startTime }) => name.endsWith('.js') && startTime <= stands);
    return [scripts.reduce((sum, each) => sum + Math.max(each.transferSize, each.encodedBodySize), 0), stands];
  })()`);
  if (stands < 0) throw new Error('bench: the drawing in the Tank never stood');
  await page.context().close();
  return {
    name: 'JavaScript asked for until the drawing in the Tank stands',
    value: needed / 1000,
    unit: 'kB',
    bar: 220,
    note: `stands after ${stands.toFixed(0)} ms`,
  };
}

/** From the slider's event until the changed figure is in a frame, ms. */
const TIME_CRANK = `(to) => new Promise((resolve, reject) => {
  setTimeout(() => reject(new Error('bench: the crank changed nothing')), 20_000);
  const slider = document.querySelector('input[type="range"][aria-label^="Retrieve"]');
  const told = document.querySelector('[data-testid="line rateHz"]');
  const started = performance.now();
  new MutationObserver((_, observer) => {
    observer.disconnect();
    (${AFTER_FRAME})(() => resolve(performance.now() - started));
  }).observe(told, { characterData: true, childList: true, subtree: true });
  Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set.call(slider, String(to));
  slider.dispatchEvent(new Event('input', { bubbles: true }));
})`;

async function crank(browser: Browser, base: string, lure: Lure): Promise<Figure[]> {
  const page = await openTank(browser, base, `/tank?lure=${lure.id}`);
  await page.evaluate(COUNT_FRAMES);
  await page.waitForTimeout(SWUM_MS);
  const swims = await page.evaluate<{ perS: number; longest: number }>(FRAMES_SO_FAR);
  const session = await page.context().newCDPSession(page);
  await session.send('Emulation.setCPUThrottlingRate', { rate: 4 });
  const times: number[] = [];
  for (let i = 0; i < CRANKS; i++) {
    times.push(await page.evaluate<number>(`(${TIME_CRANK})(${(1 + 0.2 * ((i % 5) + 1)).toFixed(2)})`));
    await page.waitForTimeout(1200);
  }
  const empty: number[] = [];
  for (let i = 0; i < CRANKS; i++) empty.push(await page.evaluate<number>(EMPTY_FRAME));
  await page.context().close();
  return [
    {
      name: `crank of the handle to painted figures, ${lure.name}, processor 4 × slower`,
      value: times.toSorted((a, b) => a - b)[Math.ceil(0.95 * CRANKS) - 1] ?? NaN,
      unit: 'ms',
      bar: 50,
      note: `95th of ${CRANKS}; median ${median(times).toFixed(0)}; an empty frame of the page ${median(empty).toFixed(0)}`,
    },
    {
      name: `milliseconds a frame while ${lure.name} swims, blades turning`,
      value: 1000 / swims.perS,
      unit: 'ms',
      bar: 17,
      note: `${swims.perS.toFixed(0)} frames a second, the longest wait ${swims.longest.toFixed(0)} ms`,
    },
  ];
}

/** From what is done until so much stands among the moves, ms: some, and all ranked. */
const TIME_MOVES = (what: string) => `() => new Promise((resolve, reject) => {
  setTimeout(() => reject(new Error('bench: no moves came')), 60_000);
  const state = document.querySelector('[data-testid="moves state"]');
  let started = 0;
  let first = 0;
  let tried = 0;
  const look = () => {
    const now = Number(/^(\\d+) changes tried/.exec(state.textContent)?.[1] ?? 0);
    if (first > 0 && now > tried) {
      observer.disconnect();
      resolve([first, performance.now() - started]);
    }
    // What stood there before is taken away first.
    if (now === 0) wasEmpty = true;
    if (first > 0 || now === 0 || !wasEmpty) return;
    first = performance.now() - started;
    tried = now;
  };
  let wasEmpty = false;
  const observer = new MutationObserver(look);
  observer.observe(state, { characterData: true, childList: true, subtree: true });
  started = performance.now();
  ${what}
})`;

const chosen = (name: string) =>
  TIME_MOVES(
    `[...document.querySelectorAll('[role="menuitem"]')].find(({ textContent }) => textContent === ${JSON.stringify(name)}).click();`,
  );
const cranked = (to: number) =>
  TIME_MOVES(`
    const slider = document.querySelector('input[type="range"][aria-label^="Retrieve"]');
    Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set.call(slider, '${to}');
    slider.dispatchEvent(new Event('input', { bubbles: true }));`);

async function moves(browser: Browser, base: string, lure: Lure): Promise<Figure[]> {
  const page = await openTank(browser, base, `/tank?lure=${lure.id}`);
  const rests = () => page.waitForTimeout(8000);
  const timesOf = (script: string) => page.evaluate<[number, number]>(`(${script})()`);
  const ahead: [number, number][] = [];
  const anew: [number, number][] = [];
  await rests();
  for (let i = 0; i < TARGETS; i++) {
    await page.getByRole('button', { name: 'Wanted actions' }).click();
    const name = i % 2 === 0 ? 'Slow, a hard thump, and down' : 'Just under the surface';
    await page.getByRole('menuitem', { name }).waitFor();
    ahead.push(await timesOf(chosen(name)));
    await rests();
  }
  for (let i = 0; i < TARGETS; i++) {
    anew.push(await timesOf(cranked(1.2 + 0.15 * i)));
    await rests();
  }
  await page.context().close();
  return [
    ...told(`moves of ${lure.name} after a target is chosen`, ahead),
    ...told(`moves of ${lure.name} after the retrieve is changed, its card with them`, anew),
  ];
}

function told(name: string, times: readonly (readonly [number, number])[]): Figure[] {
  const [first, all] = [times.map(([ms]) => ms), times.map(([, ms]) => ms)];
  const most = (ms: readonly number[]) => `median of ${TARGETS}, ${Math.max(...ms).toFixed(0)} at most`;
  return [
    { name: `first ${name}`, value: median(first), unit: 'ms', bar: 200, note: most(first) },
    { name: '  all of them ranked', value: median(all), unit: 'ms', bar: 1000, note: most(all) },
  ];
}

export async function tankInBrowser(browser: Browser, base: string): Promise<Figure[]> {
  const figures = [await loadedTank(browser, base)];
  for (const lure of [LARGEST, LARGEST_ON_LINE, LARGEST_ON_BODY]) {
    figures.push(...(await crank(browser, base, lure)), ...(await moves(browser, base, lure)));
  }
  return figures;
}
