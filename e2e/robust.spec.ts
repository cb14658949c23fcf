/** Nothing takes the page away: what was once typed, undone elsewhere, held or set back, and a monkey. */
import { expect, test as base, type Page } from '@playwright/test';
import { BenchPage, expect as expectWatched, test } from './bench-page';
import { MakePage } from './make-page';
import { letLoose, unreadable } from './monkey';

test('a ten-thousandth of a millimetre typed as free room: told what would be right, nothing lost', async ({
  bench,
  page,
}) => {
  await bench.open();
  await bench
    .unit(/line tie|loop/i)
    .first()
    .click();
  const field = page.getByLabel('Free room along the wire');
  await field.fill('0.0001');
  await field.press('Enter');
  await expect(page.getByRole('alert').filter({ hasText: 'too little' })).toContainText('0.001');
  await field.fill('0.001');
  await field.press('Enter');
  await expect(field).toHaveValue('0.001 mm');
  await bench.saved();
  await expect(page.getByTestId('failed')).toHaveCount(0);
});

test('a choice of parts whose piece is taken off in another tab says so; undo there brings it back here', async ({
  bench,
  page,
  context,
}) => {
  await bench.open('/bench?lure=hovna-lantern');
  const other = new BenchPage(await context.newPage());
  await other.open('/bench?lure=hovna-lantern');
  await bench.unit('Glass bead').click();
  await bench.button(/^Swap/).click();
  await expect(page.getByRole('listbox', { name: 'Parts' })).toBeVisible();
  await other.unit('Glass bead').click();
  await other.button('Take off').click();
  await expect(page.getByRole('dialog')).toContainText('no longer on the lure');
  await other.button('Undo').click();
  await expect(page.getByRole('listbox', { name: 'Parts' })).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(bench.unit('Glass bead')).toBeVisible();
});

test('a name being typed while the other tab renames: both are told, none is lost', async ({ bench, context }) => {
  await bench.open('/bench?lure=hovna-lantern');
  const other = new BenchPage(await context.newPage());
  await other.open('/bench?lure=hovna-lantern');
  await bench.name().fill('Named he');
  await other.name().fill('Named there');
  await other.name().press('Enter');
  await other.saved();
  await expect(bench.notice(/Another tab named this lure “Named there”. What you are typing stays/)).toBeVisible();
  await expect(bench.name()).toHaveValue('Named he');
  await bench.name().fill('Named here');
  await bench.name().press('Enter');
  await bench.saved();
  await expect(other.name()).toHaveValue('Named here');
  await bench.button('Undo').click();
  await expect(bench.name()).toHaveValue('Named there');
});

test('put away here and edited there: the edit brings it back, and is kept', async ({ bench, page, context }) => {
  await bench.open('/bench?lure=mirrow-drum');
  const other = new BenchPage(await context.newPage());
  await other.open('/bench?lure=mirrow-drum');
  await bench.fromFileMenu('Put this lure away');
  await expect(other.notice(/Another tab put this lure away/)).toBeVisible();
  await other.name().fill('Drum once more');
  await other.name().press('Enter');
  await other.saved();
  await bench.choose('Drum once more');
  await bench.fromFileMenu('Put this lure away');
  await bench.button('My lures').click();
  await page.getByRole('menuitem', { name: /with their drawings/ }).click();
  await page.getByText('One lure put away').click();
  await bench.button('Put Drum once more back').click();
  await expect(bench.name()).toHaveValue('Drum once more');
});

test('at the first own change the browser is asked to keep what is stored, once, and its answer told', async ({
  bench,
  page,
}) => {
  await page.addInitScript(() => {
    const asked = { times: 0 };
    Object.assign(window, { asked });
    navigator.storage.persist = () => Promise.resolve(++asked.times > 0);
  });
  await bench.open();
  const asked = () => page.evaluate(() => (window as unknown as { asked: { times: number } }).asked.times);
  await bench.saved();
  expect(await asked()).toBe(0);
  await bench.name().fill('Mine now');
  await bench.name().press('Enter');
  await expect(bench.notice(/keeps what you make here, also when its disk runs low/)).toBeVisible();
  await page.reload();
  await bench.name().fill('Mine again');
  await bench.name().press('Enter');
  await bench.saved();
  expect(await asked()).toBe(0);
});

test('a fault in one room: it says so, the rest works, and the last change can be undone', async ({
  browser,
  baseURL,
}) => {
  const context = await browser.newContext({
    ...(baseURL ? { baseURL } : {}),
    serviceWorkers: 'block',
    viewport: { width: 1280, height: 800 },
  });
  const page = await context.newPage();
  const bench = new BenchPage(page);
  await bench.open();
  await bench.unit('Glass bead').click();
  await bench.button('Take off').click();
  await bench.saved();
  // The browser itself fails the drawing from now on.
  await page.evaluate(() => {
    const { prototype } = Worker;
    Object.assign(window, { whole: prototype.postMessage });
    prototype.postMessage = () => {
      throw new Error('the canvas is gone');
    };
  });
  await bench.unit('Faceted glass bead').click();
  await bench.button('Take off').click();
  const failed = page.getByTestId('failed').first();
  await expect(failed).toContainText('failed');
  await expect(bench.string()).toBeVisible();
  // It is whole again from the next press on, and not before: what is drawn anew by itself would heal without the way out.
  await page.evaluate(() => {
    const heal = () => {
      Worker.prototype.postMessage = (window as unknown as { whole: () => void }).whole;
    };
    window.addEventListener('pointerdown', heal, { capture: true, once: true });
  });
  await failed.getByRole('button', { name: 'Undo the last change' }).click();
  await expect(bench.unit('Faceted glass bead')).toBeVisible();
  await expect(page.getByTestId('elevation')).toBeVisible();
  await expect(page.getByTestId('failed')).toHaveCount(0);
  await context.close();
});

test('making: a key that is held is one step; a clock set back stops no wait; the foot never covers what has the focus', async ({
  page,
}) => {
  await page.clock.install({ time: new Date('2031-10-04T06:00:00') });
  const make = new MakePage(page);
  await make.open('okkel-wisp');
  await make.button('All here: begin').click();
  await expect(make.step()).toContainText('Tie the hackle');
  await make.button(/^Start 10:00/).click();
  const hold = async (key: string, times: number) => {
    for (let n = 0; n < times; n++) await page.keyboard.down(key);
    await page.keyboard.up(key);
  };
  const { at } = await make.place();
  await hold(' ', 12);
  await expect.poll(async () => (await make.place()).at).toBe(at + 1);
  await page.clock.runFor(60_000);
  await expect(page.getByRole('timer')).toHaveText(/^8:[45]\d|9:00$/);
  await page.clock.setSystemTime(new Date('2031-10-04T03:00:00'));
  await page.clock.runFor(60_000);
  await expect(page.getByRole('timer')).toHaveText(/^7:[45]\d|8:0\d$/);

  await page.setViewportSize({ width: 390, height: 600 });
  for (let n = 0; n < 14; n++) {
    await page.keyboard.press('Tab');
    const covered = await page.evaluate(() => {
      const at = document.activeElement;
      const foot = document.querySelector('footer[data-stays]');
      if (!at || !foot || foot.contains(at) || at === document.body) return false;
      return at.getBoundingClientRect().bottom > foot.getBoundingClientRect().top + 1;
    });
    expect(covered).toBe(false);
  }
});

test('on a phone at twice the size the sheet can be read to both of its edges', async ({ page }) => {
  await page.setViewportSize({ width: 195, height: 422 });
  await page.goto('/sheet?lure=torvane-lanes');
  await expect(page.getByTestId('page')).toBeVisible();
  const [left, right] = await page.locator('main').evaluate((main) => {
    main.scrollLeft = 0;
    const box = () => main.querySelector('svg')?.getBoundingClientRect();
    const start = (box()?.left ?? -1) - main.getBoundingClientRect().left;
    main.scrollLeft = 1e6;
    return [start, main.getBoundingClientRect().right - (box()?.right ?? 1e6)];
  });
  expect(left).toBeGreaterThanOrEqual(0);
  expect(right).toBeGreaterThanOrEqual(0);
});

base(
  'a monkey of 90 actions: no page gone, no unhandled fault, every record readable',
  async ({ browser, baseURL }) => {
    const context = await browser.newContext({
      ...(baseURL ? { baseURL } : {}),
      serviceWorkers: 'block',
      acceptDownloads: true,
      viewport: { width: 1280, height: 800 },
    });
    const { done, troubles } = await letLoose(context, 90, 20261128);
    expectWatched(troubles).toEqual([]);
    expectWatched(done).toBe(90);
    const page: Page = await context.newPage();
    expectWatched(await unreadable(page)).toEqual([]);
    await context.close();
  },
);
