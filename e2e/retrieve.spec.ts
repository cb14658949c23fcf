import { expect, test } from './bench-page';

test('the retrieve is said by reel, mph, km/h or m/s, and the rate follows', async ({ bench, page }) => {
  await bench.open();
  await expect(page.getByTestId('speed-words')).toHaveText('= 0.66 m/s');
  const before = await bench.rate();
  const slider = page.getByRole('slider', { name: /handle turns a second/ });
  await slider.fill('2');
  await expect.poll(() => bench.rate()).toBeGreaterThan(1.8 * before);
  await page.getByRole('radio', { name: 'mph' }).click();
  await expect(page.getByRole('region', { name: 'Retrieve' })).toContainText('2.95');
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
  const field = page.getByLabel('per turn');
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
  await expect(page.getByText(/a tenth larger .*: \d+ % (less|more)/i)).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByTestId('drag blade-1')).toContainText(/\d\.\d to \d+\.\d/);
  const curve = page.getByRole('figure', { name: 'Turns a second against speed' });
  await expect(curve.locator('path.recharts-curve').first()).toBeVisible();
});

test('measures change between millimetres and inches, and stay so', async ({ bench, page }) => {
  await bench.open();
  await bench.button(/^Measures in millimetres/).click();
  await bench.unfold('Lengths to cut');
  await expect(page.getByTestId('cut wire')).toHaveText('5 in');
  await bench.unit(/Fluted/).click();
  await expect(page.getByRole('region', { name: 'Picked part' })).toContainText('1 1/4 in');
  await page.reload();
  await bench.unfold('Lengths to cut');
  await expect(page.getByTestId('cut wire')).toHaveText('5 in');
});

test('turns counted at a known speed are typed in where the rate is told, and narrow it', async ({ bench, page }) => {
  await bench.open();
  const rate = page.getByTestId(/^rate blade/);
  const width = async () => {
    const [low = 0, high = 0] = [...((await rate.textContent()) ?? '').matchAll(/(\d+\.\d) to (\d+\.\d)/g)].flatMap(
      ([, a, b]) => [Number(a), Number(b)],
    );
    return high - low;
  };
  await expect.poll(width).toBeGreaterThan(1);
  const before = await width();
  await rate.click();
  const form = page.getByRole('dialog').filter({ hasText: 'Counted it?' });
  await form.getByLabel('turns').fill('nine');
  await form.getByRole('button', { name: 'Keep it' }).click();
  await expect(form.getByRole('alert')).toContainText('would be right');
  await form.getByLabel('turns').fill('68');
  await form.getByRole('button', { name: 'Keep it' }).click();
  await expect(form.getByRole('listitem')).toContainText('6.8 turns/s at 0.66 m/s');
  await expect.poll(width).toBeLessThan(before / 2);
  await page.keyboard.press('Escape');
  await expect(page.getByTestId('saved-state')).toHaveText('saved');
  await page.reload();
  await expect.poll(width).toBeLessThan(before / 2);
  await bench.button('Undo').click();
  await expect.poll(width).toBeGreaterThan(before * 0.9);
});
