import { readFile } from 'node:fs/promises';
import { expect, test, type BenchPage } from './bench-page';

/** Threads a part behind the picked one. */
async function threadAfter(bench: BenchPage, id: string, kind: string) {
  await bench.button('Insert after').click();
  await bench.pickPart(id, kind);
}

test('two blades: each has its readouts, they beat, the gap is told, and stacked they go round as one', async ({
  bench,
  page,
}) => {
  await bench.open();
  const clevises = bench.unit('Folded clevis #1');
  await bench.unit('Glass bead').click();
  await threadAfter(bench, 'clevis-folded-1', 'clevises');
  await expect(clevises).toHaveCount(2);
  await clevises.first().click();
  await bench.button('Hang on it').click();
  await bench.pickPart('blade-french-k1', 'blades');
  await expect(page.getByTestId('rate blade-1')).toBeVisible();
  await expect(page.getByTestId('rate blade-2')).toBeVisible();
  await expect(page.getByTestId('beat')).toContainText(/Beat\s*\d+\.\d\s*a second/);
  const findings = page.getByRole('region', { name: 'Findings' });
  await expect(findings).toContainText(/Blades (reach|close to|clear of) each other/);
  await expect(page.getByTestId('stall blade-1')).toContainText(/down to\s*\d\.\d\d\s*m\/s/);
  await expect(page.getByTestId('stall blade-2')).toContainText(/down to\s*\d\.\d\d\s*m\/s/);

  await clevises.first().click();
  // The aft leg of the first goes behind the fore leg of the second: interleaved.
  await bench.button('Take next part inside').click();
  await expect(findings).toContainText('Two clevises stacked, interleaved');
  await expect(findings).toContainText('both lower legs first');
  await expect(page.getByTestId('beat')).toHaveCount(0);
  await expect(findings).not.toContainText(/Blades (reach|close to|clear of) each other/);
  await bench.button('Undo').click();
  await expect(page.getByTestId('beat')).toBeVisible();
});

test('a bead inside a clevis is an intended contact; one too many has no room', async ({ bench, page }) => {
  await bench.open();
  await bench.swap('Folded clevis #1', 'clevis-folded-wide');
  const findings = page.getByRole('region', { name: 'Findings' });
  await bench.unit('Folded clevis, wide #2').click();
  await bench.button('Insert inside').click();
  await bench.pickPart('bead-brass-4');
  await expect(findings).toContainText('Bead knocks inside the clevis, as intended');
  await bench.unit('Folded clevis, wide #2, fore leg').click();
  await bench.button('Insert inside').click();
  const sheet = page.getByRole('dialog');
  await sheet.getByRole('combobox').fill('bead-brass-4');
  await expect(sheet.locator('[data-part="bead-brass-4"]')).toContainText('3.5 mm long, 1.90 mm left');
  await page.keyboard.press('Escape');
});

test('states to try: weed raises the stall and slows the blade, a crossed clevis lays it down; the lure stays as it is', async ({
  bench,
  page,
}) => {
  await bench.open();
  const stall = page.getByTestId('stall blade-1');
  await expect(stall).toContainText(/down to/);
  const low = async () => Number(/(\d\.\d+)/.exec(await stall.innerText())?.[1]);
  const [clean, rate] = [await low(), await bench.rate()];
  const spread = async () =>
    Number(/out\s*(\d+)/.exec((await page.getByTestId('spread blade-1').innerText()).replace(/\n/g, ' '))?.[1]);
  const before = await spread();
  await page.getByLabel('Try').selectOption('with weed on it');
  await expect.poll(low).toBeGreaterThan(clean);
  await expect.poll(() => bench.rate()).toBeLessThan(rate);
  await page.getByLabel('Try').selectOption('with its clevis crossed');
  await expect.poll(spread).toBeLessThan(before);
  await page.getByLabel('Try').selectOption('clean');
  await expect.poll(() => bench.rate()).toBe(rate);
  await expect(bench.button('Undo')).toBeDisabled();
});

test('a film blade is threaded, turns, and starts later the further it is folded back', async ({ bench, page }) => {
  await bench.open();
  await bench.unit('Glass bead').click();
  await threadAfter(bench, 'film-blade-30', 'film blades');
  await bench.unit('Film blade 30').click();
  await expect(page.getByTestId('spread filmBlade-1')).toContainText('90');
  const low = async () => Number(/(\d\.\d+)/.exec(await page.getByTestId('stall filmBlade-1').innerText())?.[1]);
  await expect.poll(low).toBeLessThan(0.22);
  const flat = await low();
  const fold = page.getByRole('slider', { name: /Folded back/ });
  await fold.focus();
  for (let i = 0; i < 10; i++) await page.keyboard.press('ArrowRight');
  await expect(page.getByTestId('spread filmBlade-1')).toContainText('40');
  await expect.poll(low).toBeGreaterThan(1.1 * flat);
  await bench.saved();
  await page.reload();
  await bench.unit('Film blade 30').click();
  await expect(page.getByTestId('spread filmBlade-1')).toContainText('40');
});

test('a lure in two pieces, from a file: drawn along its two wires, judged, cut lengths for both, undone', async ({
  bench,
  page,
}) => {
  await bench.open();
  await bench.importText(await readFile('src/testing/fixtures/two-pieces.mazurka.json', 'utf8'));
  await expect(bench.notice('Two pieces was imported')).toBeVisible();
  await expect(bench.name()).toHaveValue('Two pieces');
  await expect(bench.string()).toContainText('weight');
  await bench.unfold('Lengths to cut');
  await expect(page.getByTestId('cut wire')).toHaveCount(2);
  const weight = bench.unit(/Brass barrel body/);
  await weight.click();
  await page.keyboard.press('Delete');
  await expect(weight).toHaveCount(0);
  await page.keyboard.press('Control+z');
  await expect(weight).toBeVisible();
  await bench.saved();
  const file = await bench.exported();
  expect(JSON.parse(file.text)).toMatchObject({ lure: { build: { joined: [{ id: 'wire-2' }] } } });
});
