import AxeBuilder from '@axe-core/playwright';
import { readFileSync } from 'node:fs';
import { writePartsFile } from '../src/core/parts/parts-file';
import type { Part } from '../src/core/parts/part';
import { expect, test } from './bench-page';

const CATALOGUE = JSON.parse(readFileSync('src/core/parts/catalogue.json', 'utf8')) as Part[];

test('the choice knows what fits, says why the rest does not, and what each would do beside the present part', async ({
  bench,
  page,
}) => {
  await bench.open();
  await bench.unit('Folded clevis #1').click();
  await bench.button('Swap this part').click();
  const sheet = page.getByRole('dialog', { name: 'Swap for' });
  await expect(sheet.getByRole('status')).toHaveText('12 of 13 fit');
  // What does not fit stands last: below what is seen at first.
  await sheet.getByRole('listbox').hover();
  await page.mouse.wheel(0, 10_000);
  await expect(sheet.getByText('Does not fit here: 1')).toBeVisible();
  const small = sheet.locator('[data-part="clevis-folded-0"]');
  await expect(small).toHaveAttribute('data-fits', 'false');
  await expect(small).toContainText(/root reaches in 1\.\d+ mm.*clevis drop 1\.60 mm/);
  await page.mouse.wheel(0, -10_000);
  await expect(sheet.locator('[data-part="clevis-folded-1"]')).toContainText('on the lure');
  // The present one leads; a wider drop swings the blade further out, which turns slower.
  await expect(sheet.locator('[data-part="clevis-stirrup-3"]')).toContainText(/−0\.\d/);
  await page.keyboard.press('Escape');

  await bench.unit(/Fluted Indiana/).click();
  await bench.button('Swap this part').click();
  await expect(sheet.locator('[data-part="blade-fluted-k3"]')).toContainText(/\d+\.\d\s*\/s/);
  const rates = async () => {
    const rows = await sheet.locator('[data-part]').allInnerTexts();
    return rows.flatMap((text) => {
      const rate = /(\d+\.\d)\s*\/s/.exec(text)?.[1];
      return rate === undefined ? [] : [Number(rate)];
    });
  };
  await sheet.getByRole('radio', { name: 'turns' }).click();
  await expect.poll(async () => (await rates()).length).toBeGreaterThan(4);
  await expect
    .poll(async () => (await rates()).every((rate, i, all) => i === 0 || rate >= (all[i - 1] ?? 0)))
    .toBe(true);
  const { violations } = await new AxeBuilder({ page }).include('[role=dialog]').analyze();
  expect(violations.map(({ id }) => id)).toEqual([]);
});

test('by keyboard alone: typed as people type, arrows, Enter', async ({ bench, page }) => {
  await bench.open();
  await bench.unit(/Fluted Indiana/).focus();
  await page.keyboard.press('Enter');
  const search = page.getByRole('combobox', { name: /Find by size/ });
  await expect(search).toBeFocused();
  await page.keyboard.type('#3 colorado');
  const options = page.getByRole('listbox', { name: 'Parts' }).getByRole('option');
  await expect(options).toHaveCount(3);
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('ArrowUp');
  const active = await search.getAttribute('aria-activedescendant');
  await expect(page.locator(`[id="${active}"]`)).toHaveAttribute('aria-selected', 'true');
  const id = await page.locator(`[id="${active}"]`).getAttribute('data-part');
  expect(id).toBe('blade-colorado-o3');
  await page.keyboard.press('Enter');
  await expect(bench.unit('Colorado blade #3')).toBeVisible();
  await expect(page.getByRole('dialog')).toHaveCount(0);

  await bench.unit('Glass bead').focus();
  await page.keyboard.press('i');
  await page.keyboard.type('5mm glass');
  await expect(options).toHaveCount(2);
  await page.keyboard.type(' purple');
  await expect(
    page.getByText('No part that goes here matches “5mm glass purple”. Fewer words show more.'),
  ).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toHaveCount(0);
});

test('parts of one’s own come from a file, stand first in every choice, and go out again the same', async ({
  bench,
  page,
}) => {
  const mine = CATALOGUE.filter(({ kind }) => kind === 'blade').map((part, i): Part => ({
    ...part,
    id: `own-${part.id}` as Part['id'],
    name: `Stall blade ${i}`,
    maker: 'Saturday stall',
  }));
  const text = writePartsFile(mine);
  await bench.open();
  await bench.fromFileMenu('Your own parts');
  await page.getByRole('button', { name: 'Own parts', exact: true }).click();
  const input = page.getByLabel('Parts file to import');
  const file = (content: string) => ({ name: 'p.json', mimeType: 'application/json', buffer: Buffer.from(content) });
  await input.setInputFiles(file('{"format":"mazurka-parts","version":1,"parts":[{}]}'));
  await expect(bench.notice(/Not imported, and nothing here was changed.*parts\.0/)).toBeVisible();
  await input.setInputFiles(file(text));
  await expect(bench.notice(`${mine.length} parts taken in.`)).toBeVisible();
  await input.setInputFiles(file(text));
  await expect(bench.notice(`0 parts taken in; ${mine.length} parts here already.`)).toBeVisible();
  const out = await bench.exported(() => page.getByRole('button', { name: 'Export them' }).click());
  expect(out.name).toBe('own.mazurka-parts.json');
  expect(out.text).toBe(text);
  await page.keyboard.press('Escape');
  await page.reload();
  await bench.unit(/Fluted Indiana/).click();
  await bench.button('Swap this part').click();
  await expect(page.getByRole('dialog').getByRole('option').nth(1)).toContainText('Stall blade');
  await page.getByRole('combobox', { name: /Find by size/ }).fill('saturday stall 11');
  await page.keyboard.press('Enter');
  await expect(bench.unit(/Stall blade 11/)).toBeVisible();
});
