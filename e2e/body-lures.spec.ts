import { expect, test } from './bench-page';
import { expectNothingForAxe } from './axe';

test('a knocker is set by ear: too proud it holds the blade, one press lets it knock, too deep it is silent', async ({
  bench,
  page,
}) => {
  await bench.open('/bench?lure=mirrow-ember');
  await expect(bench.faults()).toHaveCount(0);
  await bench.unit(/nail weight/).click();
  const out = page.getByRole('slider', { name: 'Stands out of the belly' });
  const knocking = await out.inputValue();
  await out.focus();
  for (let i = 0; i < 12; i++) await page.keyboard.press('ArrowRight');
  await expect(bench.faults()).toContainText(['it holds the blade']);
  await expect(page.getByTestId('rate blade-1')).toHaveCount(0);
  await page.getByRole('button', { name: /^Set it to stand/ }).click();
  await expect(bench.faults()).toHaveCount(0);
  await expect.poll(() => bench.rate()).toBeGreaterThan(1);
  const mended = await out.inputValue();
  expect(Math.abs(Number(mended) - Number(knocking))).toBeLessThan(0.8);
  await bench.button('How it sounds').click();
  const sheet = page.getByRole('dialog', { name: 'How it sounds' });
  await expect(sheet.getByTestId('sound in words')).toContainText('knock');
  await page.keyboard.press('Escape');

  await out.focus();
  await page.keyboard.press('Home');
  await expect(bench.findings()).toContainText('Nail weight too deep');
  await bench.button('How it sounds').click();
  await expect(sheet.getByTestId('sound in words')).not.toContainText('knock');
  await page.keyboard.press('Escape');
  await expectNothingForAxe(page);
  await bench.saved();
  await bench.button('Undo').click();
  await expect(out).toHaveValue(mended);
});

test('a blade under a belly swings and ticks; one that reaches the hook is told, and undone with the keyboard', async ({
  bench,
  page,
}) => {
  await bench.open('/bench?lure=halvane-glint');
  await expect(bench.faults()).toHaveCount(0);
  await bench.showChecksInOrder();
  await expect(bench.findings()).toContainText('Blade swings, ticks and flashes under the belly');
  await bench.swap(/blade/, 'blade-willow-o4');
  await expect(bench.faults()).toContainText(['Blade reaches the points of the hook behind it']);
  await page.keyboard.press('Control+z');
  await expect(bench.faults()).toHaveCount(0);
  await bench.button('How it sounds').click();
  await expect(page.getByRole('dialog', { name: 'How it sounds' }).getByRole('listitem').first()).toContainText(
    /blade/,
  );
});
