import type { Page } from '@playwright/test';
import { expect, test } from './bench-page';

/** Opens the raw database at a version from a page that is not the bench, and keeps it open. */
async function holdDatabase(page: Page, version: number) {
  await page.route('**/quiet', (route) => route.fulfill({ contentType: 'text/html', body: '<title>quiet</title>' }));
  await page.goto('/quiet');
  await page.evaluate(
    (wanted) =>
      new Promise<void>((resolve, reject) => {
        const request = indexedDB.open('mazurka', wanted);
        request.onsuccess = () => {
          Object.assign(window, { letGo: () => request.result.close() });
          resolve();
        };
        request.onerror = () => reject(new Error('cannot open'));
      }),
    version,
  );
}

const letGo = (page: Page) => page.evaluate(() => (window as unknown as { letGo: () => void }).letGo());

const banner = (page: Page) => page.getByRole('alert').filter({ hasText: 'Not saved.' });

test('blocked: another tab holds an older storage; told, worked on all the same, saved once it is let go', async ({
  bench,
  page,
  context,
}) => {
  const other = await context.newPage();
  await holdDatabase(other, 1);
  await bench.open();
  await expect(banner(page)).toContainText('Another tab holds the storage');
  await bench.unit('Glass bead').click();
  await bench.button('Take off').click();
  await expect(bench.unit('Glass bead')).toHaveCount(0);
  // What was waiting is written by itself as soon as it can be.
  await letGo(other);
  await expect(banner(page)).toHaveCount(0);
  await bench.saved();
  // The page has caught up with the start it could not make: it is at this lure's address, the others are in the list.
  await expect(page).toHaveURL(/lure=hovna-lantern/);
  await page.reload();
  await expect(bench.name()).toHaveValue('Hovna Lantern');
  await bench.saved();
  await expect(bench.unit('Glass bead')).toHaveCount(0);
  await bench.choose('Suvra Needle');
});

test('schema from the future: told, nothing written to it, the lure can be kept as a file', async ({
  bench,
  page,
  context,
}) => {
  const other = await context.newPage();
  await holdDatabase(other, 999);
  await letGo(other);
  await bench.open();
  await expect(banner(page)).toContainText('A newer Mazurka has used this browser’s storage');
  await bench.unit('Glass bead').click();
  await bench.button('Take off').click();
  await banner(page).getByRole('button', { name: 'Try again' }).click();
  await expect(banner(page)).toContainText('A newer Mazurka');
  const { text } = await bench.exported(() => banner(page).getByRole('button', { name: 'Export this lure' }).click());
  expect(text).not.toContain('bead-glass-3-amber');
  const version = await page.evaluate(
    async () => (await indexedDB.databases()).find(({ name }) => name === 'mazurka')?.version,
  );
  expect(version).toBe(999);
});

test('closed in mid-write: told, the change stays on the bench, and the next write has it', async ({ bench, page }) => {
  await page.addInitScript(() => {
    const transaction = IDBDatabase.prototype.transaction;
    IDBDatabase.prototype.transaction = function (stores, mode, options) {
      const begun = transaction.call(this, stores, mode, options);
      if (mode !== 'readwrite' || !('closing' in window)) return begun;
      // The write has begun when the browser takes the connection away, and goes on taking it away.
      begun.abort();
      throw new DOMException('The database connection is closing.', 'InvalidStateError');
    };
  });
  await bench.open();
  await bench.saved();
  await page.evaluate(() => Object.assign(window, { closing: true }));
  await bench.unit('Glass bead').click();
  await bench.button('Take off').click();
  await expect(bench.unit('Glass bead')).toHaveCount(0);
  await expect(banner(page)).toContainText('The browser closed its storage');
  await page.evaluate(() => Reflect.deleteProperty(window, 'closing'));
  await banner(page).getByRole('button', { name: 'Try again' }).click();
  await expect(banner(page)).toHaveCount(0);
  await bench.saved();
  await page.reload();
  await expect(bench.string()).toBeVisible();
  await expect(bench.unit('Glass bead')).toHaveCount(0);
  await bench.button('Undo').click();
  await expect(bench.unit('Glass bead')).toBeVisible();
});

test('a damaged record among good ones: named, left as it is, the others open', async ({ bench, page }) => {
  await bench.open();
  await bench.saved();
  const spoil = (id: string, lure: unknown) =>
    page.evaluate(
      ([key, spoiled]) =>
        new Promise<unknown>((resolve, reject) => {
          const request = indexedDB.open('mazurka');
          request.onerror = () => reject(new Error('cannot open'));
          request.onsuccess = () => {
            const store = request.result.transaction('lures', 'readwrite').objectStore('lures');
            const reading = store.get(key as string);
            reading.onsuccess = () => {
              const row = reading.result as { lure: unknown };
              const had = row.lure;
              if (spoiled !== undefined) store.put({ ...row, lure: spoiled });
              store.transaction.oncomplete = () => {
                request.result.close();
                resolve(had);
              };
            };
          };
        }),
      [id, lure] as const,
    );
  const whole = (await spoil('suvra-needle', undefined)) as { build: { items: Record<string, unknown> } };
  const gnawed = { ...whole, build: { ...whole.build, items: { ...whole.build.items, 'blade-1': { gnawed: true } } } };
  await spoil('suvra-needle', gnawed);
  await page.goto('/bench?lure=suvra-needle');
  await expect(bench.notice(/Damaged and left as they are: suvra-needle. The other lures are in order/)).toBeVisible();
  await expect(bench.name()).toHaveValue('Hovna Lantern');
  await bench.choose('Mirrow Drum');
  await bench.button('My lures').click();
  await expect(page.getByRole('menuitem', { name: /Suvra Needle/ })).toHaveCount(0);
  await page.keyboard.press('Escape');
  expect(await spoil('suvra-needle', undefined)).toEqual(gnawed);

  // As far as it can be read it is opened beside; the record goes out as it lies.
  await bench.button('My lures').click();
  await page.getByRole('menuitem', { name: /with their drawings/ }).click();
  const asItIs = await bench.exported(() => bench.button('Export suvra-needle as it is').click());
  expect(asItIs.text).toContain('gnawed');
  await bench.button('Open what can be read of suvra-needle').click();
  await expect(bench.notice(/Left out: lure.build.items.blade-1/)).toBeVisible();
  await expect(bench.name()).toHaveValue('Suvra Needle');
  await expect(page).toHaveURL(/suvra-needle-2/);
  await expect(bench.unit(/French|Willow|Colorado|Indiana/)).toHaveCount(0);
});

test('worker death: replaced and asked again; dying again told beside the figures that still hold', async ({
  bench,
  page,
}) => {
  await bench.open();
  await expect(page.locator('path.recharts-curve').first()).toBeVisible();
  await expect(page.getByTestId('stall blade-1')).toContainText(/down to\s*0\.\d+\s*m\/s/);
  const closeAll = () =>
    Promise.all(page.workers().map((worker) => worker.evaluate(() => self.close()).catch(() => null)));
  const trouble = page.getByRole('alert').filter({ hasText: 'The curve could not be worked out' });
  await closeAll();
  await bench.swap(/Fluted Indiana/, 'blade-colorado-k4');
  expect(await bench.rate()).toBeGreaterThan(2);
  // One that died is replaced and asked again: nothing is told.
  await expect(page.locator('path.recharts-curve').first()).toBeVisible();
  await expect(trouble).toHaveCount(0);
  await bench.saved();

  // From now on each dies as soon as it is asked anything.
  await page.evaluate(() => {
    class Dying extends EventTarget {
      postMessage() {
        setTimeout(() => this.dispatchEvent(new ErrorEvent('error', { message: 'gone' })));
      }
      terminate() {}
    }
    Object.assign(window, { LivingWorker: Worker, Worker: Dying });
  });
  await closeAll();
  await bench.swap(/Colorado/, 'blade-french-k2');
  expect(await bench.rate()).toBeGreaterThan(2);
  await expect(trouble).toContainText('The lure and the figures on the drawing hold');
  await bench.saved();
  await page.evaluate(() => Object.assign(window, { Worker: (window as { LivingWorker?: unknown }).LivingWorker }));
  await trouble.getByRole('button', { name: 'Work it out again' }).click();
  await expect(page.locator('path.recharts-curve').first()).toBeVisible();
  await expect(page.getByRole('alert').filter({ hasText: 'could not be worked out' })).toHaveCount(0);
});

test('a clock set back by a year: work goes on, is kept, and its order is its own', async ({ bench, page }) => {
  await page.clock.install({ time: new Date('2031-09-14T18:00:00') });
  await bench.open();
  await bench.unit('Glass bead').click();
  await bench.button('Take off').click();
  await bench.saved();
  await page.clock.setSystemTime(new Date('2030-09-14T18:00:00'));
  await bench.swap(/Fluted Indiana/, 'blade-colorado-k4');
  await bench.saved();
  await page.reload();
  await expect(bench.unit('Colorado blade #4')).toBeVisible();
  await expect(bench.unit('Glass bead')).toHaveCount(0);
  await bench.button('Undo').click();
  await expect(bench.unit(/Fluted Indiana/)).toBeVisible();
  await bench.button('Undo').click();
  await expect(bench.unit('Glass bead')).toBeVisible();
});
