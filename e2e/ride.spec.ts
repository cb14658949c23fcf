import { AxeBuilder } from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { expect, test } from './bench-page';

const depthOf = async (page: Page) =>
  Number(/([\d.]+)\s*m\b/.exec((await page.getByTestId('ride depthM').innerText()).replace(/\n/g, ' '))?.[1]);

test('thump, depth, surface speed and lean stand beside the rate, each with its spread, why, and what moves it', async ({
  bench,
  page,
}) => {
  await bench.open();
  await expect(page.getByTestId('ride thumpNs')).toContainText(
    /\d+\.\d\s*mN·s\s*\d+\.\d to \d+\.\d, \d+\.\d × a Colorado 3/,
  );
  await expect(page.getByTestId('ride depthM')).toContainText(/\d\.\d\d\s*m\s*\d\.\d\d to \d\.\d\d/);
  await expect(page.getByTestId('ride surfaceMps')).toContainText(/m\/s/);
  // A spinner rolls about its wire: there is no lean to tell.
  await expect(page.getByTestId('ride leanRad')).toHaveCount(0);
  await page.getByTestId('ride depthM').click();
  await expect(page.getByText(/drag of lure and line pulls it up/)).toBeVisible();
  await expect(page.getByText(/^A tenth more speed: \d\.\d\d m less; .*\.$/)).toBeVisible();
  await expect(page.getByText(/^Least known: .*\.$/)).toBeVisible();
  await page.keyboard.press('Escape');
  const before = await depthOf(page);
  await page.getByRole('slider', { name: /handle turns a second/ }).fill('2');
  await expect.poll(() => depthOf(page)).toBeLessThan(before * 0.8);
});

test('a buzzbait says from which speed it planes and to how far aside it pulls', async ({ bench, page }) => {
  await bench.open();
  await bench.choose('Lommer Clapper');
  await expect(page.getByTestId('ride planingMps')).toContainText(/Planes from/);
  await expect(page.getByTestId('ride sidePullRad')).toContainText(/\d\.\d/);
  await expect(page.getByTestId('headline')).toHaveText('Does not plane: it sinks at this speed');
  await page.getByRole('slider', { name: /handle turns a second/ }).fill('2');
  await expect(page.getByTestId('headline')).toHaveText('Planes on the surface');
});

test('line, rod and water: depth follows, a wrong entry is told what would be right, all of it stays', async ({
  bench,
  page,
}) => {
  await bench.open();
  await bench.choose('Stolk Kettle');
  await expect(page.getByTestId('ride depthM')).toBeVisible();
  const before = await depthOf(page);
  await bench.button('Ride and line').click();
  const sheet = page.getByRole('dialog', { name: 'How it rides' });
  const out = sheet.getByLabel('Line out');
  await out.fill('30 yards of it');
  await out.press('Enter');
  await expect(out).toHaveAttribute('aria-invalid', 'true');
  await expect(sheet.getByRole('alert')).toBeVisible();
  await out.fill('25');
  await out.press('Enter');
  await expect(out).toHaveValue('25 m');
  await expect(
    sheet.getByRole('figure', { name: 'Depth against line still out' }).locator('path').first(),
  ).toBeVisible();
  await sheet.getByLabel('Counted down, seconds').fill('5');
  await sheet.getByLabel('Counted down, seconds').press('Enter');
  await expect(sheet.getByText(/Deepest \d\.\d\d m/)).toBeVisible();
  await sheet.getByRole('combobox', { name: /^Water/ }).selectOption('sea');
  const results = await new AxeBuilder({ page }).include('[role="dialog"]').analyze();
  expect(results.violations).toEqual([]);
  await expect(
    sheet.getByRole('figure', { name: 'Swing of the arm against turns a second' }).locator('path').first(),
  ).toBeVisible();
  await sheet.getByText('Line’s slope').click();
  await expect(sheet.getByText(/how steeply the line leaves the lure/)).toBeVisible();
  await page.keyboard.press('Escape');
  await expect.poll(() => depthOf(page)).toBeGreaterThan(before * 1.3);
  const after = await depthOf(page);
  await page.reload();
  await expect.poll(() => depthOf(page)).toBe(after);
  await bench.button('Ride and line').click();
  await expect(sheet.getByRole('combobox', { name: /^Water/ })).toHaveValue('sea');
});

test('the lightest head for a depth is found and put on, and undone', async ({ bench, page }) => {
  await bench.open();
  await bench.choose('Stolk Kettle');
  await bench.button('Ride and line').click();
  const finder = page.getByRole('region', { name: 'The lightest head' });
  await finder.getByLabel('From').fill('1.2');
  await finder.getByLabel('From').press('Enter');
  await finder.getByLabel('To').fill('2.2');
  await finder.getByLabel('To').press('Enter');
  await expect(finder.getByTestId('lightest head')).toContainText(/g runs at \d\.\d\d m\./);
  await finder.getByRole('button', { name: 'Put it on' }).click();
  await expect(finder.getByText('It is on the lure already.')).toBeVisible();
  await finder.getByLabel('To').fill('0.5');
  await finder.getByLabel('To').press('Enter');
  await expect(finder.getByTestId('lightest head')).toHaveText('The first depth must be the lesser.');
  await page.keyboard.press('Escape');
  await bench.button('Undo').click();
  await expect(page.getByTestId('ride depthM')).toBeVisible();
});
