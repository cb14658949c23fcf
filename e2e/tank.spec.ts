/** The Tank: a lure swims, what is wanted is said, and moves bring it there. */
import { expectNothingForAxe } from './axe';
import { expect, test } from './bench-page';
import { TankPage } from './tank-page';

const future = JSON.stringify({ format: 'mazurka-target', version: 9, name: 'from later', wants: [] });

test('a spinnerbait that rides up at the wanted speed is brought down by an offered move, which becomes a version', async ({
  page,
}) => {
  const tank = new TankPage(page);
  await tank.open('torvane-lanes');
  await tank.crank(1.9);
  const shallow = await tank.value('depthM');
  await tank.want('depthM', { least: String(Number((shallow + 0.25).toFixed(2))) });
  await page.keyboard.press('Escape');
  await tank.ranked();
  await expect(tank.row('depthM')).toContainText('✗');
  const best = tank.moves().first();
  await best.hover();
  // A ghost on the drawing and on the card, before anything is done.
  await expect(page.getByText('as it would be')).toBeVisible();
  const promised = await tank.row('depthM').getByText(/^→/).innerText();
  const name = (await best.getByRole('button', { name: /^Make it a version/ }).getAttribute('aria-label'))?.replace(
    /^.*: /,
    '',
  );
  const saved = page.getByRole('button', { name: 'Undo' });
  await expect(saved).toBeDisabled();
  await best.getByRole('button', { name: /^Make it a version/ }).click();
  await page.mouse.move(5, 5);
  await expect(saved).toBeEnabled();
  await expect(tank.card()).toHaveAttribute('aria-busy', 'false');
  // It gives what it promised.
  await expect.poll(async () => `→ ${(await tank.value('depthM')).toFixed(2)}`).toBe(promised.replace(/ m$/, ''));
  expect(await tank.value('depthM')).toBeGreaterThan(shallow);
  // Kept as a version, beside the lure as it was.
  await page.getByRole('link', { name: 'Bench' }).click();
  await expect(page.getByTestId('elevation')).toBeVisible();
  await page.getByRole('region', { name: 'Versions' }).locator('summary').click();
  await expect(page.getByRole('region', { name: 'Versions' })).toContainText(name ?? 'no name');
});

test('“make it act like that one”: windows about what the other lure does', async ({ page }) => {
  const tank = new TankPage(page);
  await tank.open('hovna-lantern');
  const own = await tank.value('rateHz');
  await tank.take('Mirrow Drum');
  await expect(page.getByLabel('Name of what is wanted')).toHaveValue('Like Mirrow Drum');
  await expect(tank.row('rateHz').getByRole('button', { name: /^What is wanted/ })).toHaveText(/^must /);
  await tank.ranked();
  await tank.open('mirrow-drum');
  expect(await tank.value('rateHz')).not.toBe(own);
  // Of the other lure itself it is met.
  await expect(tank.row('rateHz')).toContainText('✓');
  await expect(tank.row('depthM')).toContainText('✓');
});

test('a clacker from right to silent and back by offered moves; what would make it drag says so first', async ({
  page,
}) => {
  const tank = new TankPage(page);
  await tank.open('lommer-clapper');
  const noise = tank.row('levelDb');
  await expect(noise).toContainText('clack');
  const loud = await tank.value('levelDb');
  await tank.want('levelDb', { most: String(loud - 6) });
  await page.keyboard.press('Escape');
  await tank.ranked();
  await expect(tank.moves().filter({ hasText: 'But first: Blade drags on the head' }).first()).toBeVisible();
  const shorter = tank.moves().filter({ hasText: 'Arm 4.0 mm shorter' });
  await expect(shorter).toContainText('But first: Blade does not reach the head: no clack');
  await expect(shorter).toContainText('The clack goes.');
  await shorter.getByRole('button', { name: /^Make it a version/ }).click();
  await page.mouse.move(5, 5);
  await expect.poll(() => tank.value('levelDb')).toBeLessThan(loud - 6);
  await tank.take('Want nothing');
  await expect(noise).not.toContainText('clack');
  await tank.want('levelDb', { least: String(loud - 2) });
  await page.keyboard.press('Escape');
  await tank.ranked();
  const longer = tank.moves().filter({ hasText: 'Arm 4.0 mm longer' });
  await expect(longer).toContainText('Mends: Blade does not reach the head: no clack');
  await longer.getByRole('button', { name: /^Make it a version/ }).click();
  await expect.poll(() => tank.value('levelDb')).toBe(loud);
});

test('a part that has gone is offered no more', async ({ bench, page, context }) => {
  await bench.open('/bench?lure=torvane-lanes');
  await bench.unit(/head/i).click();
  await bench.button(/^Copy .* and change it$/).click();
  const form = page.getByRole('dialog', { name: 'A part of your own' });
  await form.getByLabel('Mass', { exact: true }).fill('25 g');
  await form.getByLabel('Mass', { exact: true }).press('Enter');
  await form.getByLabel('What you call it').fill('Runa’s head');
  await form.getByRole('button', { name: 'Keep this part' }).click();
  const tank = new TankPage(await context.newPage());
  await tank.open('torvane-lanes');
  await tank.want('massKg', { least: String((await tank.value('massKg')) + 6) });
  await tank.page.keyboard.press('Escape');
  await tank.ranked();
  const offered = tank.moves().filter({ hasText: 'Runa’s head' });
  await expect(offered).toBeVisible();
  await expect(offered).not.toContainText('a part to get');
  await page.getByRole('button', { name: 'Put away Runa’s head' }).click();
  await expect(offered).toHaveCount(0);
  await tank.ranked();
  await expect(offered).toHaveCount(0);
});

test('the current against the lure turns its blades faster than still water, with it slower', async ({ page }) => {
  const tank = new TankPage(page);
  await tank.open('torvane-lanes');
  const still = await tank.value('rateHz');
  await page.getByRole('button', { name: 'Water and line' }).click();
  const form = page.getByRole('dialog', { name: 'Water and line' });
  await form.getByLabel('Current').first().fill('0.2 m/s');
  await form.getByLabel('Current').first().press('Enter');
  await expect.poll(() => tank.value('rateHz')).toBeGreaterThan(still);
  await form.getByRole('radio', { name: 'with it' }).click();
  await expect.poll(() => tank.value('rateHz')).toBeLessThan(still);
});

test('wishes that work against each other are named; what stands in the way is told', async ({ page }) => {
  const tank = new TankPage(page);
  await tank.open('hovna-lantern');
  const [thump, rate] = [await tank.value('thumpNs'), await tank.value('rateHz')];
  await tank.want('thumpNs', { least: (thump * 1.02).toFixed(1) });
  await page.keyboard.press('Escape');
  await tank.want('rateHz', { least: (rate * 1.02).toFixed(1) });
  await page.keyboard.press('Escape');
  await expect(page.getByTestId('against').or(page.getByTestId('all musts')).first()).toBeVisible();
  await tank.want('thumpNs', { least: (thump * 4).toFixed(1) });
  await page.keyboard.press('Escape');
  await tank.ranked();
  await expect(page.getByTestId('in the way')).toContainText(/What stands in the way most: thump at least/);
});

test('a worker that dies in mid-ranking is started again, and the ranking comes', async ({ page, context }) => {
  const tank = new TankPage(page);
  await tank.open('torvane-lanes');
  await tank.take('Quick and flashing');
  const session = await context.newCDPSession(page);
  await session.send('Target.setAutoAttach', { autoAttach: true, waitForDebuggerOnStart: false, flatten: true });
  for (const worker of page.workers()) await worker.evaluate(() => self.close()).catch(() => undefined);
  await expect(
    page
      .getByTestId('moves state')
      .or(page.getByRole('button', { name: 'Work them out again' }))
      .first(),
  ).toBeVisible();
  const again = page.getByRole('button', { name: /Work (it|them) out again/ });
  if (await again.first().isVisible()) await again.first().click();
  await tank.ranked();
});

test('by keyboard alone: a window by its edges, its weight, a move made and undone', async ({ page }) => {
  const tank = new TankPage(page);
  await tank.open('hovna-lantern');
  const want = tank.row('thumpNs').getByRole('button', { name: /^What is wanted/ });
  await want.focus();
  await page.keyboard.press('Enter');
  const form = page.getByRole('dialog');
  const least = form.getByLabel(/^at least/);
  await least.focus();
  await page.keyboard.type(String(((await tank.value('thumpNs')) * 1.4).toFixed(1)));
  await page.keyboard.press('Enter');
  await form.getByRole('radio', { name: 'must', exact: true }).focus();
  // Held as long as a finger holds it.
  await page.keyboard.press('ArrowRight', { delay: 60 });
  await expect(form.getByRole('radio', { name: 'would like' })).toBeChecked();
  await page.keyboard.press('ArrowLeft', { delay: 60 });
  await page.keyboard.press('Escape');
  // The focus comes back to what opened the form.
  await expect(want).toBeFocused();
  const edge = tank.row('thumpNs').getByRole('slider', { name: /least that is wanted/ });
  const before = Number(await edge.getAttribute('aria-valuenow'));
  await edge.focus();
  await page.keyboard.press('ArrowLeft');
  await expect.poll(async () => Number(await edge.getAttribute('aria-valuenow'))).toBeLessThan(before);
  await tank.ranked();
  const make = tank
    .moves()
    .first()
    .getByRole('button', { name: /^Make it a version/ });
  await make.focus();
  await expect(page.getByText('as it would be')).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: 'Undo' })).toHaveAttribute('title', /make a move/);
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('button', { name: 'Redo' })).toBeEnabled();
});

test('wrong windows and files say what would be right, and nothing that was there is lost', async ({ page }) => {
  const tank = new TankPage(page);
  await tank.open('hovna-lantern');
  await tank.take('Turns at a crawl');
  const form = await tank.want('keepsMps', { least: '0.9' });
  await expect(form.getByRole('alert')).toContainText('has to lie below the most');
  await form.getByLabel(/^at most/).fill('fast');
  await form.getByLabel(/^at most/).press('Enter');
  await expect(form.getByRole('alert')).toContainText('is no number');
  await page.keyboard.press('Escape');
  await page.getByLabel('Target file to take in').setInputFiles({
    name: 'later.json',
    mimeType: 'application/json',
    buffer: Buffer.from(future),
  });
  await expect(page.locator('[data-sonner-toast]').filter({ hasText: 'version 9' })).toBeVisible();
  await expect(page.getByLabel('Name of what is wanted')).toHaveValue('Turns at a crawl');
  // Out as a file and in again.
  const downloading = page.waitForEvent('download');
  await tank.take('Export it as a file');
  const path = await (await downloading).path();
  await tank.take('Want nothing');
  await expect(page.getByText('What do you want it to do?')).toBeVisible();
  await page.getByLabel('Target file to take in').setInputFiles(path);
  await expect(page.getByLabel('Name of what is wanted')).toHaveValue('Turns at a crawl');
});

test('a target is kept over a reload and is there in another tab; a move made there comes here', async ({
  page,
  context,
}) => {
  const tank = new TankPage(page);
  await tank.open('aalmo-link');
  await tank.take('Slow, a hard thump, and down');
  await tank.take(/^Keep “Slow/);
  await expect(page.locator('[data-sonner-toast]').filter({ hasText: 'is kept' })).toBeVisible();
  const other = new TankPage(await context.newPage());
  await other.open('aalmo-link');
  await expect(other.page.getByLabel('Name of what is wanted')).toHaveValue('Slow, a hard thump, and down');
  await other.ranked();
  const before = await tank.value('massKg');
  await other
    .moves()
    .first()
    .getByRole('button', { name: /^Make it a version/ })
    .click();
  await expect.poll(() => tank.value('massKg')).not.toBe(before);
});

test('the retrieve as a script: drawn by keys and in numbers, with what the pause brings', async ({ page }) => {
  const tank = new TankPage(page);
  await tank.open('torvane-lanes');
  const script = page.getByRole('region', { name: 'Retrieve script' });
  await script.getByRole('button', { name: 'Steady' }).click();
  await page.getByRole('menuitem', { name: 'Stop and go' }).click();
  await expect(script.getByTestId('script words')).toContainText('On the pause it falls at');
  const second = script.getByRole('slider', { name: 'Step 2 of the retrieve' });
  await expect(second).toHaveAttribute('aria-valuetext', /^pause for 1.5 s/);
  await second.focus();
  await page.keyboard.press('ArrowRight');
  await expect(second).toHaveAttribute('aria-valuetext', /^pause for 1.6 s/);
  await expect(script.getByRole('button', { name: 'As drawn' })).toBeVisible();
  await script.getByRole('button', { name: 'in numbers' }).click();
  await page.getByRole('dialog').getByLabel('Counted down before, s').fill('8');
  await page.keyboard.press('Escape');
  const deepest = async () =>
    Number(/to (\d+\.\d+) m deep/.exec(await script.getByTestId('script words').innerText())?.[1]);
  await expect.poll(deepest).toBeGreaterThan(1);
});

test('axe decides the Tank with and without a target, a window and a move open; nothing moves where that is asked', async ({
  page,
}) => {
  await page.emulateMedia({ reducedMotion: 'reduce' });
  const tank = new TankPage(page);
  await tank.open('torvane-lanes');
  await expect(page.getByTestId('moves state')).toContainText('Say what you want');
  await expectNothingForAxe(page);
  await tank.take('Slow, a hard thump, and down');
  await tank.ranked();
  await expectNothingForAxe(page);
  await tank
    .row('depthM')
    .getByRole('button', { name: /^What is wanted/ })
    .click();
  await expectNothingForAxe(page);
  await page.keyboard.press('Escape');
  await tank
    .moves()
    .first()
    .getByRole('button', { name: /^Make it a version/ })
    .focus();
  await expectNothingForAxe(page);
  expect(await page.evaluate(() => document.getAnimations().length)).toBe(0);
  await expect(page.getByTestId('swim words')).toContainText('turns a second');
});

test('at 390 px by taps: a wanted action, a move, and nothing wider than the page', async ({ browser, baseURL }) => {
  const context = await browser.newContext({
    viewport: { width: 390, height: 844 },
    hasTouch: true,
    isMobile: true,
    serviceWorkers: 'block',
    ...(baseURL === undefined ? {} : { baseURL }),
  });
  const page = await context.newPage();
  const tank = new TankPage(page);
  await tank.open('torvane-lanes');
  await page.getByRole('button', { name: 'Wanted actions' }).tap();
  await page.getByRole('menuitem', { name: 'Slow, a hard thump, and down' }).tap();
  await tank.ranked();
  const widest = await page.evaluate(() => document.documentElement.scrollWidth);
  expect(widest).toBeLessThanOrEqual(390);
  await tank
    .moves()
    .first()
    .getByRole('button', { name: /^Make it a version/ })
    .tap();
  await expect(page.getByRole('button', { name: 'Undo' })).toBeEnabled();
  await context.close();
});
