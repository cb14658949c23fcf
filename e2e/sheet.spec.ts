import AxeBuilder from '@axe-core/playwright';
import { readFile } from 'node:fs/promises';
import { readPdf } from '../src/testing/read-pdf';
import { expect, test } from './bench-page';

test('from the bench to paper: the sheet prints on one page with a true bar, and saves as PDF', async ({
  bench,
  page,
  context,
}) => {
  await bench.open();
  const opening = context.waitForEvent('page');
  await bench.fromFileMenu('Build sheet, to print');
  const sheet = await opening;
  await expect(sheet).toHaveURL(/\/sheet\?lure=hovna-lantern$/);
  const paper = sheet.getByTestId('page');
  await expect(paper).toContainText('Hovna Lantern');
  await expect(paper).toContainText('Clipped wire flies: wear eye protection');
  await expect(paper).toContainText('Heat near hair, feathers and plastics');
  await expect(paper).toContainText('Sharp: cap the points');

  for (const [name, widthMm, heightMm] of [
    ['A4', 210, 297],
    ['Letter', 215.9, 279.4],
  ] as const) {
    await sheet.getByRole('radio', { name }).click();
    const printed = await readPdf(await sheet.pdf({ preferCSSPageSize: true, printBackground: true }));
    expect(printed.pages).toBe(1);
    expect(Math.abs(printed.widthMm - widthMm)).toBeLessThan(0.5);
    expect(Math.abs(printed.heightMm - heightMm)).toBeLessThan(0.5);
    expect(printed.words).toContain('Order of work');
    expect(printed.words).not.toContain('Save as PDF');
    const bars = printed.levelLinesMm.filter((lengthMm) => Math.abs(lengthMm - 50) < 0.2);
    expect(bars).toHaveLength(1);

    const downloading = sheet.waitForEvent('download');
    await sheet.getByRole('button', { name: 'Save as PDF' }).click();
    const download = await downloading;
    expect(download.suggestedFilename()).toBe(`hovna-lantern-${name.toLowerCase()}.pdf`);
    const saved = await readPdf(new Uint8Array(await readFile(await download.path())));
    expect(saved.pages).toBe(1);
    expect(saved.levelLinesMm.filter((lengthMm) => Math.abs(lengthMm - 50) < 0.2)).toHaveLength(1);
    expect(saved.words).toContain('Order of work');
    expect(saved.words).toContain('flame');
  }
  const { violations } = await new AxeBuilder({ page: sheet }).analyze();
  expect(violations.map(({ id }) => id)).toEqual([]);
  await expect(page.getByTestId('elevation')).toBeVisible();
});

test('a sheet of a lure that is not here says so and leads back', async ({ page }) => {
  await page.goto('/sheet?lure=never-made');
  await expect(page.locator('main').getByRole('alert')).toContainText('no longer in this browser’s storage');
  await page.goto('/sheet');
  await expect(page.locator('main').getByRole('alert')).toContainText('The address names no lure');
  await page.getByRole('link', { name: 'To the bench' }).click();
  await expect(page.getByTestId('elevation')).toBeVisible();
});
