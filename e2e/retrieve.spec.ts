import { expect, test } from './bench-page';

test('the retrieve is said by reel, mph, km/h or m/s, and the rate follows', async ({ bench, page }) => {
  await bench.open();
  await expect(page.getByTestId('speed-words')).toHaveText('0.66 m/s · 2.38 km/h · 1.48 mph');
  const before = await bench.rate();
  const slider = page.getByRole('slider', { name: /handle turns a second/ });
  await slider.fill('2');
  await expect.poll(() => bench.rate()).toBeGreaterThan(1.8 * before);
  await page.getByRole('radio', { name: 'mph' }).click();
  await expect(page.getByTestId('speed-words')).toHaveText('1.32 m/s · 4.75 km/h');
  const fast = await bench.rate();
  await page.getByRole('slider').fill('0');
  await expect(page.getByText('No water moves past it.')).toBeVisible();
  await page.getByRole('radio', { name: 'reel' }).click();
  await page.getByRole('slider').fill('2');
  await expect.poll(() => bench.rate()).toBeCloseTo(fast, 1);
});

test('line per turn takes what people write; a wrong entry stays and is told what would be right', async ({
  bench,
  page,
}) => {
  await bench.open();
  const field = page.getByLabel('Line taken in by one handle turn');
  const before = await bench.rate();
  await field.fill('30 in');
  await field.press('Enter');
  await expect(field).toHaveValue('76.2 cm');
  await expect.poll(() => bench.rate()).toBeGreaterThan(before + 0.5);
  const rate = await bench.rate();
  await field.fill('a lot');
  await field.press('Enter');
  await expect(field).toHaveValue('a lot');
  await expect(field).toHaveAttribute('aria-invalid', 'true');
  await expect(page.getByText('“a lot” does not start with a number.')).toBeVisible();
  expect(await bench.rate()).toBe(rate);
  await field.fill('9 m');
  await field.press('Enter');
  await expect(page.getByText('from 5 cm to 300 cm would be right').or(page.getByText(/too much: from/))).toBeVisible();
  await field.press('Escape');
  await expect(field).toHaveValue('76.2 cm');
});

test('every figure says why and what would make it surer; the curve is drawn', async ({ bench, page }) => {
  await bench.open();
  await page.getByTestId('spread blade-1').click();
  await expect(page.getByText(/balances the push of the flow\. A photograph/)).toBeVisible();
  await expect(page.getByText(/^A tenth more of: .*size of the/)).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByTestId('drag blade-1')).toContainText(/\d\.\d to \d+\.\d/);
  const curve = page.getByRole('figure', { name: 'Turns a second against speed' });
  await expect(curve.locator('path.recharts-curve').first()).toBeVisible();
});

test('measures change between millimetres and inches, and stay so', async ({ bench, page }) => {
  await bench.open();
  await bench.button(/^Measures in millimetres/).click();
  await expect(page.getByTestId('cut wire')).toHaveText('5.00 in (127 mm)');
  await bench.unit(/Fluted/).click();
  await expect(page.getByRole('region', { name: 'Picked part' })).toContainText('1.22 in');
  await page.reload();
  await expect(page.getByTestId('cut wire')).toHaveText('5.00 in (127 mm)');
});
