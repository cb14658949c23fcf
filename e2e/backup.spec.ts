import { readFile } from 'node:fs/promises';
import { expect, test, type BenchPage } from './bench-page';

async function openBackup(bench: BenchPage) {
  await bench.fromFileMenu(/Backup and restore/);
  return bench.page.getByRole('dialog', { name: 'Backup and restore' });
}

async function savedBackup(bench: BenchPage): Promise<Buffer> {
  const sheet = await openBackup(bench);
  const coming = bench.page.waitForEvent('download');
  await sheet.getByRole('button', { name: 'Save a backup' }).click();
  const download = await coming;
  expect(download.suggestedFilename()).toMatch(/^\d{4}-\d\d-\d\d\.mazurka-backup\.zip$/);
  await expect(sheet).toContainText('last one today');
  await bench.page.keyboard.press('Escape');
  return readFile(await download.path());
}

/** What lies in the zip, the head with its moment aside. */
async function contents(zip: Buffer): Promise<Map<string, string>> {
  const { unzipSync, strFromU8 } = await import('fflate');
  return new Map(
    Object.entries(unzipSync(new Uint8Array(zip)))
      .filter(([name]) => name !== 'mazurka-backup.json')
      .map(([name, bytes]) => [name, strFromU8(bytes, true)]),
  );
}

test('everything goes out in one zip and into a fresh browser the same, differences shown first', async ({
  bench,
  page,
  browser,
  baseURL,
}) => {
  await bench.open();
  await bench.choose('Mirrow Drum');
  await bench.swap(/Colorado/, 'blade-hardkick-o3');
  await bench.unfold('Versions');
  await bench.button('Keep').click();
  await bench.name().fill('Drum for the bay');
  await bench.name().press('Enter');
  await bench.saved();
  await bench.choose('Asp Pair');
  await bench.fromFileMenu('Put this lure away');
  await expect(bench.notice(/was put away/)).toBeVisible();
  await page.goto('/make?lure=mirrow-drum');
  await expect(page.getByRole('heading', { name: /Make Drum for the bay/ })).toBeVisible();
  await page.keyboard.press('Space');
  await page.getByRole('button', { name: /^Note/ }).click();
  await page.getByRole('textbox', { name: 'Note' }).fill('Wire a little soft');
  await page.getByLabel('Add a picture').setInputFiles('docs/screenshots/bench.png');
  await expect(page.getByRole('img', { name: 'Taken at this step, 1' })).toBeVisible();
  await bench.open('/bench');
  const zip = await savedBackup(bench);
  const files = await contents(zip);
  expect([...files.keys()].filter((name) => /^(runs|pictures)\//.test(name))).toHaveLength(2);

  const fresh = await browser.newContext({
    baseURL,
    serviceWorkers: 'block',
    acceptDownloads: true,
    viewport: { width: 1280, height: 800 },
  });
  const there = new (bench.constructor as new (page: BenchPage['page']) => BenchPage)(await fresh.newPage());
  await there.open();
  const sheet = await openBackup(there);
  await sheet
    .getByLabel('Backup to open')
    .setInputFiles({ name: 'b.mazurka-backup.zip', mimeType: 'application/zip', buffer: zip });
  const list = sheet.getByRole('list', { name: 'In the backup' });
  await expect(list).toContainText('Drum for the bay');
  await expect(list).toContainText('further on than here');
  await expect(list).toContainText('Work on Drum for the bay');
  await sheet.getByRole('button', { name: /^Take in/ }).click();
  await expect(there.notice(/taken in/)).toBeVisible();
  await there.page.reload();
  await there.choose('Drum for the bay');
  const again = await contents(await savedBackup(there));
  expect([...again.keys()]).toEqual([...files.keys()]);
  // What stands on the bench is a setting, and here another lure was opened since.
  const apart = (all: Map<string, string>) => [...all].filter(([name]) => name !== 'settings.json');
  expect(apart(again)).toEqual(apart(files));

  const second = await openBackup(there);
  await second.getByLabel('Backup to open').setInputFiles({ name: 'b.zip', mimeType: 'application/zip', buffer: zip });
  await expect(second).toContainText(/are here already, the same/);
  await second
    .getByLabel('Backup to open')
    .setInputFiles({ name: 'x.zip', mimeType: 'application/zip', buffer: Buffer.from('no zip') });
  await expect(second.getByRole('alert')).toContainText('not a zip file');
  await second
    .getByLabel('Backup to open')
    .setInputFiles({ name: 'y.zip', mimeType: 'application/zip', buffer: zip.subarray(0, zip.length / 2) });
  await expect(second.getByRole('alert')).toContainText('cut short');
  await fresh.close();
});
