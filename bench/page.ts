/** A page of the built app as the bench uses it. */
import type { Browser, Page } from '@playwright/test';
import type { Lure } from '../src/core/lure/lure';
import { DEMO_LURES } from '../src/demo/scenario';

/** The demo lure on this kind of carrier that has the most parts. */
const largestOn = (kind: Lure['build']['carrier']['kind']) =>
  DEMO_LURES.filter(({ build }) => build.carrier.kind === kind).reduce((most, lure) =>
    Object.keys(lure.build.items).length > Object.keys(most.build.items).length ? lure : most,
  );
export const LARGEST = largestOn('bentWire');
export const LARGEST_ON_LINE = largestOn('line');
export const LARGEST_ON_BODY = largestOn('body');
/** A soft body with a nail weight, which is drawn in and out. */
export const KNOCKING =
  DEMO_LURES.find(({ build }) => Object.values(build.items).some(({ part }) => part.kind === 'nailWeight')) ?? LARGEST;

/** @param script runs in the page before all else, as text */
export async function openAt(browser: Browser, address: string, script = ''): Promise<Page> {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
  const page = await context.newPage();
  if (script !== '') await page.addInitScript({ content: script });
  await page.goto(address);
  return page;
}

export async function openBench(browser: Browser, base: string, lure = 'hovna-lantern', script = ''): Promise<Page> {
  const page = await openAt(browser, `${base}/bench?lure=${lure}`, script);
  await page.getByRole('listbox', { name: 'The string, nose to tail' }).waitFor();
  return page;
}

/** As text: what runs in the page must not be rewritten by the tool that runs this file. */
export const MARK_WHEN_DRAWN = `
  requestAnimationFrame(function look() {
    if (document.querySelector('canvas[data-painted]')) requestAnimationFrame(() => performance.mark('drawing stands'));
    else requestAnimationFrame(look);
  });
`;

/** Until all of the page is there and the app is held for use without a network, which goes on behind it for a while. */
export async function atRest(page: Page): Promise<void> {
  await page.locator('.recharts-surface').first().waitFor();
  await page.evaluate(`navigator.serviceWorker.ready.then(({ active }) => new Promise((resolve) => {
    if (active.state === 'activated') resolve(null);
    else active.addEventListener('statechange', () => active.state === 'activated' && resolve(null));
  }))`);
  await page.waitForTimeout(2000);
}

/** Counts frames and remembers the longest wait between two, from when it is run until it is asked. */
export const COUNT_FRAMES = `
  window.frames_ = { count: 0, longest: 0, from: performance.now(), last: performance.now() };
  requestAnimationFrame(function step(now) {
    const f = window.frames_;
    f.count++;
    f.longest = Math.max(f.longest, now - f.last);
    f.last = now;
    requestAnimationFrame(step);
  });
`;
/** What was counted since. */
export const FRAMES_SO_FAR = `(() => { const f = window.frames_; return { perS: f.count / ((performance.now() - f.from) / 1000), longest: f.longest }; })()`;

/** As text, as all that runs in the page. What waits for the frame comes before whatever else waits. */
export const AFTER_FRAME = `(done) => requestAnimationFrame(() => scheduler.postTask(done, { priority: 'user-blocking' }))`;

export const EMPTY_FRAME = `new Promise((resolve) => {
  const started = performance.now();
  (${AFTER_FRAME})(() => resolve(performance.now() - started));
})`;
