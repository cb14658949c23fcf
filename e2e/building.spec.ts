import type { Locator, Page } from '@playwright/test';
import { expect, test } from './bench-page';

/** Takes one handle of the string by mouse and lets it go on another, past its middle. */
async function drag(page: Page, what: Locator, to: Locator, side: 'before' | 'behind') {
  const [from, over] = [await what.boundingBox(), await to.boundingBox()];
  if (!from || !over) throw new Error('both are on the page');
  const y = over.y + over.height / 2;
  await page.mouse.move(from.x + from.width / 2, from.y + from.height / 2);
  await page.mouse.down();
  await page.mouse.move(over.x + over.width / 2, y, { steps: 12 });
  await page.mouse.move(over.x + over.width / 2 + (side === 'behind' ? 4 : -4), y, { steps: 4 });
  await page.mouse.up();
}

test('a fault appears at once with its measure in mm and inches, and one press mends it', async ({ bench, page }) => {
  await bench.open();
  await expect(bench.faults()).toHaveCount(0);
  await bench.unit(/Brass barrel body/).click();
  await bench.button('Take off').click();
  await bench.swap(/Fluted Indiana/, 'blade-willow-o4');
  const fault = bench.faults().first();
  await expect(fault).toContainText('Blade reaches the hook at rest');
  await expect(fault).toContainText(/\d+\.\d mm too far/);
  const beads = await bench.unit(/bead/).count();
  await fault.getByRole('button', { name: /^Add five 5 mm beads below the clevis$/ }).click();
  await expect(bench.faults()).toHaveCount(0);
  await expect(bench.unit(/bead/)).toHaveCount(beads + 5);
  await bench.showChecksInOrder();
  await expect(page.getByText('Blade clear of the hook at rest')).toBeVisible();
});

test('from nothing to a spinner without faults, its lengths and its file', async ({ bench, page }) => {
  await bench.open();
  await bench.start('Inline spinner');
  await expect(page.getByText('No blade turns on this wire yet')).toBeVisible();
  await expect(page.locator('[data-severity="caution"]')).toHaveCount(2);

  await bench.name().fill('Okkel Lark');
  await bench.name().press('Enter');
  await bench.unit(/line tie/).click();
  await bench.button('Thread the first part').click();
  await bench.pickPart('clevis-folded-1', 'clevises');
  await bench.unit(/Folded clevis/).click();
  await bench.button('Hang on it').click();
  await bench.pickPart('blade-french-o2');
  for (const [id, kind] of [
    ['weight-barrel-brass-8', 'weights'],
    ['bead-brass-4', 'beads'],
    ['bead-washer-3', 'beads'],
  ] as const) {
    await bench.unit(/Folded clevis/).click();
    await bench.button('Insert after').click();
    await bench.pickPart(id, kind);
  }
  await bench.unit(/tail loop/).click();
  await bench.button('Hang on the loop').click();
  await bench.pickPart('ring-k2', 'split rings');
  await bench.unit(/Split ring/).click();
  await bench.button('Hang on it').click();
  await bench.pickPart('hook-treble-6', 'hooks');
  await bench.unit(/Treble/).click();
  await page.getByLabel('What this hook is called on the lure').fill('perch treble');
  await page.getByLabel('What this hook is called on the lure').press('Tab');
  await bench.unit(/Treble hook 6, perch treble/).click();
  await bench.button('Tie on it').click();
  await bench.pickPart('dressing-hackle-olive');

  await expect(page.locator('[data-severity="fault"], [data-severity="caution"]')).toHaveCount(0);
  await expect
    .poll(async () => (await bench.order()).slice(0, 6))
    .toEqual([
      'line tie loop, 3.2 mm inside',
      'Folded clevis #1',
      'French blade #2',
      'Bearing washer',
      'Brass bead',
      'Brass barrel body B8',
    ]);
  await bench.unfold('Lengths to cut');
  await expect(page.getByTestId('cut wire')).toHaveText(/^12\d mm$/);
  expect(await bench.rate()).toBeGreaterThan(5);
  await bench.saved();
  const { name, text } = await bench.exported();
  expect(name).toBe('new-inline-spinner.mazurka.json');
  expect(JSON.parse(text)).toMatchObject({ lure: { name: 'Okkel Lark' } });
});

test('parts are moved by mouse along the string, and a clevis takes a bead inside leg by leg', async ({
  bench,
  page,
}) => {
  await bench.open();
  const order = await bench.order();
  await drag(page, bench.unit('Glass bead'), bench.unit(/Brass barrel/), 'behind');
  const barrelThen = (list: string[]) => list.indexOf('Glass bead') - list.indexOf('Brass barrel body B8');
  expect(barrelThen(order)).toBeLessThan(0);
  await expect.poll(async () => barrelThen(await bench.order())).toBe(1);
  await bench.button('Undo').click();
  await expect.poll(() => bench.order()).toEqual(order);

  await bench.unit('Folded clevis #1').click();
  await bench.button('Take next part inside').click();
  await expect(bench.unit('Folded clevis #1, aft leg')).toBeVisible();
  await bench.button('Let one out').click();
  await expect.poll(() => bench.order()).toEqual(order);
});

test('what no order of work could reach is refused with the reason, and nothing changes', async ({ bench, page }) => {
  await bench.open();
  await bench.unit('Folded clevis #1').click();
  await bench.button('Take next part inside').click();
  await expect(bench.unit('Folded clevis #1, aft leg')).toBeVisible();
  const order = await bench.order();
  await drag(page, bench.unit('Folded clevis #1, aft leg'), bench.unit('Glass bead'), 'before');
  await expect(bench.notice(/fore leg.*cannot lie behind its aft leg/)).toBeVisible();
  expect(await bench.order()).toEqual(order);
});

test('on a made lure a change says what it costs, and is then marked made so', async ({ bench, page }) => {
  await bench.open();
  await bench.choose('Suvra Needle');
  await expect(page.getByText(/on 2031-09-21, as drawn/)).toBeVisible();
  await bench.unit(/Willow/).click();
  await bench.button('Swap this part').click();
  await expect(page.getByRole('dialog')).toContainText('cuts the wire: new 1.00 mm wire, 159 mm');
  await bench.pickPart('blade-willow-k3');
  await expect(page.getByTestId('costs')).toHaveText('cuts the wire: new 1.00 mm wire, 159 mm');
  await bench.button('Done: made so').click();
  await expect(page.getByTestId('costs')).toHaveCount(0);
  await bench.button('Undo').click();
  await bench.button('Undo').click();
  await expect(page.getByText(/on 2031-09-21, as drawn/)).toBeVisible();
});

test('lengths to cut show each term, and a new loop lengthens the wire', async ({ bench, page }) => {
  await bench.open();
  const lengths = await bench.unfold('Lengths to cut');
  await expect(lengths.getByTestId('cut wire')).toHaveText('127 mm');
  await lengths.getByText('Each term').first().click();
  await expect(lengths).toContainText('nose loop, 3.2 mm inside');
  await expect(lengths).toContainText('shaft under the tail wraps');
  await expect(lengths).toContainText('Clipped wire flies');
  await bench.unit(/tail loop/).click();
  await page.getByLabel('Loop inside').fill('3/16');
  await page.getByLabel('Loop inside').press('Enter');
  await expect(lengths.getByTestId('cut wire')).toHaveText('132 mm');
  await bench.button('One wrap more').click();
  await expect(lengths.getByTestId('cut wire')).toHaveText('138 mm');
});
