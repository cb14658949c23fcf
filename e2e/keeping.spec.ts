import { expect, test, BenchPage } from './bench-page';

test('a reload keeps the lure, its undo and its redo', async ({ bench, page }) => {
  await bench.open();
  const start = await bench.exported();
  await bench.swap(/Fluted Indiana/, 'blade-french-o4');
  await bench.unit('Glass bead').click();
  await bench.button('Take off').click();
  const changed = await bench.exported();
  await page.keyboard.press('Control+z');
  await bench.saved();
  await page.reload();
  await expect(bench.unit('French blade #4')).toBeVisible();
  await expect(bench.unit('Glass bead')).toBeVisible();
  await bench.button('Redo').click();
  expect((await bench.exported()).text).toBe(changed.text);
  await bench.button('Undo').click();
  await bench.button('Undo').click();
  await expect(bench.button('Undo')).toBeDisabled();
  expect((await bench.exported()).text).toBe(start.text);
});

test('two tabs show the same, and work done in both is kept', async ({ bench, context }) => {
  await bench.open();
  const other = new BenchPage(await context.newPage());
  await other.open('/bench?lure=hovna-lantern');
  await bench.swap(/Fluted Indiana/, 'blade-colorado-k3');
  await expect(other.unit('Colorado blade #3')).toBeVisible();
  await other.unit('Glass bead').click();
  await other.button('Take off').click();
  await expect(bench.unit('Glass bead')).toHaveCount(0);
  await bench.button('Undo').click();
  await expect(other.unit('Glass bead')).toBeVisible();
  await bench.saved();
  await other.saved();
  expect((await bench.exported()).text).toBe((await other.exported()).text);
});

test('export, wipe, import: the lure is identical', async ({ bench, page }) => {
  await bench.open();
  await bench.choose('Mirrow Drum');
  await bench.fromFileMenu('Start from a copy of this one');
  await expect(bench.name()).toHaveValue('Mirrow Drum, copy');
  await bench.swap(/Colorado/, 'blade-hardkick-o3');
  await bench.name().fill('Mirrow Drum, heavier');
  await bench.name().press('Enter');
  await bench.saved();
  const { name, text } = await bench.exported();
  expect(name).toBe('mirrow-drum-copy.mazurka.json');

  // A page of the same place without the app, so that nothing holds the storage open.
  await page.route('**/empty', (route) => route.fulfill({ contentType: 'text/html', body: '<title>empty</title>' }));
  await page.goto('/empty');
  await page.evaluate(async () => {
    for (const { name: each } of await indexedDB.databases()) if (each) indexedDB.deleteDatabase(each);
  });
  await bench.open();
  await bench.button('My lures').click();
  await expect(page.getByRole('menuitem', { name: /heavier/ })).toHaveCount(0);
  await page.keyboard.press('Escape');
  await bench.importText(text);
  await expect(bench.name()).toHaveValue('Mirrow Drum, heavier');
  expect((await bench.exported()).text).toBe(text);
});

test('the same lure twice is only opened; a different one under its id comes beside it', async ({ bench, page }) => {
  await bench.open();
  const { text } = await bench.exported();
  await bench.importText(text);
  await expect(bench.notice(/here already, the same to the last part/)).toBeVisible();
  await bench.importText(text.replace('Hovna Lantern', 'Hovna Lamp'));
  await expect(bench.name()).toHaveValue('Hovna Lamp');
  await bench.button('My lures').click();
  await expect(page.getByRole('menuitem', { name: /Hovna/ })).toHaveCount(2);
});

test('a damaged or foreign file names its first fault and changes nothing', async ({ bench, page }) => {
  await bench.open();
  const { text } = await bench.exported();
  const lures = async () => {
    await bench.button('My lures').click();
    // Drawings and sizes come after the names.
    const names = (await page.getByRole('menuitem').allInnerTexts()).map((text) => text.split('\n')[0]);
    await page.keyboard.press('Escape');
    return names;
  };
  const before = await lures();
  await bench.importText(text.replace('"thicknessM": 0.0005', '"thicknessM": "thin"'));
  await expect(bench.notice(/blade-1\.part\.thicknessM/)).toBeVisible();
  await bench.importText(text.slice(0, 900));
  await expect(bench.notice(/damaged: it is not JSON/)).toBeVisible();
  await bench.importText('{"hello":"there"}');
  await expect(bench.notice(/not a Mazurka lure file/)).toBeVisible();
  await bench.importText(`${text}${' '.repeat(32 * 1024 * 1024)}`);
  await expect(bench.notice(/at most 32 MB/)).toBeVisible();
  expect(await lures()).toEqual(before);
  expect((await bench.exported()).text).toBe(text);
});

test('a lure put away is put back from the notice', async ({ bench, page }) => {
  await bench.open();
  const { text } = await bench.exported();
  await bench.fromFileMenu('Put this lure away');
  await expect(bench.name()).not.toHaveValue('Hovna Lantern');
  await page.getByRole('button', { name: 'Put it back' }).click();
  await expect(bench.name()).toHaveValue('Hovna Lantern');
  expect((await bench.exported()).text).toBe(text);
});

test('while a sheet lies over the Bench nothing of it can be reached, also when something is told beside it', async ({
  bench,
  page,
}) => {
  await bench.open();
  await bench.fromFileMenu('Put this lure away');
  await expect(bench.notice(/put away/)).toBeVisible();
  await bench.button('Swap this part').click();
  await expect(page.getByRole('dialog')).toBeVisible();
  const isInert = (part: string) => page.locator(part).evaluate((at) => at.closest('[inert]') !== null);
  for (const part of ['header', 'main', 'aside']) expect(await isInert(part), part).toBe(true);
  expect(await isInert('[data-sonner-toaster]')).toBe(false);
});

test('a full storage is told; the lure stays, can be exported, and is saved once there is room', async ({
  bench,
  page,
}) => {
  await bench.open();
  await bench.saved();
  await page.evaluate(() => {
    const put = IDBObjectStore.prototype.put;
    Object.assign(window, { mend: () => Object.assign(IDBObjectStore.prototype, { put }) });
    IDBObjectStore.prototype.put = () => {
      throw new DOMException('no room', 'QuotaExceededError');
    };
  });
  await bench.swap(/Fluted Indiana/, 'blade-french-o4');
  const banner = page.getByRole('alert').filter({ hasText: 'Not saved.' });
  await expect(banner).toContainText('storage is full');
  await bench.unit('Glass bead').click();
  await bench.button('Take off').click();
  const kept = await bench.exported(() => banner.getByRole('button', { name: 'Export this lure' }).click());
  expect(kept.text).toContain('blade-french-o4');
  expect(kept.text).not.toContain('bead-glass-3-amber');
  await page.evaluate(() => (window as unknown as { mend: () => void }).mend());
  await banner.getByRole('button', { name: 'Try again' }).click();
  await expect(banner).toHaveCount(0);
  await bench.saved();
  await page.reload();
  await expect(bench.unit('French blade #4')).toBeVisible();
  expect((await bench.exported()).text).toBe(kept.text);
});

test('without any storage a lure still stands on the bench, can be worked on and exported', async ({ bench, page }) => {
  await page.addInitScript(() => Object.defineProperty(window, 'indexedDB', { value: undefined }));
  await bench.open();
  await expect(page.getByRole('alert').filter({ hasText: 'Not saved.' })).toBeVisible();
  await bench.swap(/Fluted Indiana/, 'blade-french-o4');
  await expect(bench.unit('French blade #4')).toBeVisible();
  expect((await bench.exported()).text).toContain('blade-french-o4');
});
