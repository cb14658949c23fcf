import { expectNothingForAxe } from './axe';
import { expect, test } from './bench-page';
import { MakePage } from './make-page';
import { TankPage } from './tank-page';
import { makeAll, printSheet, startFamily, takeWhatIsOffered } from './whole-job';

test('a harness of three hooks by keyboard, from bare line to tied, a bead too few mended by the offered press', async ({
  bench,
  page,
}) => {
  test.slow();
  await bench.open();
  await bench.enter('My lures');
  await page.getByRole('menuitem', { name: 'New lure' }).press('Enter');
  const asked = page.getByRole('dialog', { name: 'What are you building?' });
  await asked
    .getByRole('region', { name: 'Worm harness' })
    .getByRole('button', { name: 'Start with bare line' })
    .press('Enter');
  await expect(bench.name()).toHaveValue('New worm harness');

  const dialog = page.getByRole('dialog');
  const take = async (title: string, id: string) => {
    await expect(dialog.getByRole('heading', { name: title })).toBeVisible();
    await expect(dialog.getByRole('combobox')).toBeFocused();
    await page.keyboard.type(id);
    await expect(dialog.locator('[data-part]').first()).toHaveAttribute('data-part', id);
    await page.keyboard.press('Enter');
  };
  await bench.enter('The last hook is snelled here');
  await take('The last hook is snelled here', 'hook-octopus-8');
  await take('A hook goes ahead of it', 'hook-octopus-6');
  await take('A small bead spares the knot', 'bead-guard-2');
  await take('A bead goes behind it, to turn on', 'bead-plastic-4-black');
  await take('A blade on its clevis goes here', 'blade-french-k1');
  await take('Worm, minnow or leech goes on this hook', 'bait-worm-130');
  await expect(dialog).toHaveCount(0);

  // A third hook between the two.
  await bench.unit(/Octopus hook 8/).focus();
  await bench.enter('Insert before');
  await take('Thread on the line', 'hook-octopus-6');
  await expect.poll(async () => (await bench.order()).filter((name) => name.startsWith('Octopus hook')).length).toBe(3);

  // The blade reaches the front hook: the press that is offered puts beads below it.
  await expect(bench.findings()).toContainText('Blade reaches the hook at rest');
  await bench.enter(/^Add .* below the clevis/);
  await bench.expectAllInOrder();
  await bench.unfold('Lengths to cut');
  await expect(page.getByTestId('cut wire')).toContainText('mm');
  await bench.saved();

  // Tied step by step.
  await page.getByRole('link', { name: 'Make', exact: true }).press('Enter');
  const make = new MakePage(page);
  await make.button('All here: begin').press('Enter');
  const titles: string[] = [];
  for (;;) {
    const { at, of } = await make.place();
    titles.push(await make.step().innerText());
    await page.keyboard.press('Space');
    if (at === of) break;
    await expect.poll(async () => (await make.place()).at).toBe(at + 1);
  }
  const place = (what: RegExp) => titles.findIndex((title) => what.test(title));
  expect(place(/^Cut the/)).toBe(0);
  expect(titles.filter((title) => title.startsWith('Snell'))).toHaveLength(3);
  expect(place(/^Snell/)).toBeLessThan(place(/^Thread the guard bead|^Thread the .*guard/i));
  expect(place(/^Thread the .*clevis/i)).toBeLessThan(place(/^Knot a loop/));
  expect(place(/night worm/i)).toBe(titles.length - 1);
});

test('on a quick-change clevis another blade goes on without tools; a snell costs the line', async ({
  bench,
  page,
}) => {
  await bench.open('/bench?lure=suvra-mouth');
  await expect(bench.name()).toHaveValue('Suvra Mouth');
  await bench.button('Mark as made').click();
  await bench.swap(/Indiana blade/, 'blade-french-k1');
  await expect(page.getByText(/changes at the clevis gate, nothing cut/)).toBeVisible();
  await bench.unit(/Octopus hook 4/).click();
  await page.getByRole('button', { name: 'One wrap more' }).click();
  await expect(page.getByText(/cuts the line/)).toBeVisible();
});

test('a treble gives way to an open-eye single and a second hook on braid', async ({ bench, page }) => {
  await bench.open('/bench?lure=okkel-wisp');
  await expect(bench.name()).toHaveValue('Okkel Wisp');
  await bench.unit(/Treble hook/).click();
  await bench.button('Take off').click();
  await bench.put(/Split ring/, 'Hang on it', 'hook-open-6', 'hooks');
  await bench.put(/Open-eye single/, 'Tie on it', 'link-braid-28', 'links');
  await bench.put(/Hook braid/, 'Hang on it', 'hook-octopus-8');
  await bench.put(/Open-eye single/, 'Push a trailer or bait on', 'bait-worm-60', 'baits');
  await bench.expectAllInOrder();
  // From eye to eye, as it is cut.
  await bench.unit(/Hook braid/).click();
  await page.getByLabel('Link, eye to eye').fill('35 mm');
  await page.getByLabel('Link, eye to eye').press('Enter');
  await bench.unfold('Lengths to cut');
  await expect(page.getByTestId('cut link')).toContainText('mm');
  await expectNothingForAxe(page);
});

test('a blade goes ahead of one of one’s own lures, which comes off again; a line rests in three ways', async ({
  bench,
  page,
}) => {
  await bench.open('/bench?lure=stolk-herald');
  await bench.unit(/^hook end/i).click();
  await page.getByLabel('Tie one of your lures on behind').selectOption({ label: 'Okkel Wisp' });
  await expect(bench.unit(/Treble hook/)).toBeVisible();
  await bench.expectAllInOrder();
  await expectNothingForAxe(page);
  await bench.unit(/^hook end/i).click();
  await bench.button('Take off the lure behind').click();
  await expect(bench.unit(/Treble hook/)).toHaveCount(0);
  await bench.button('Undo').click();
  await expect(bench.unit(/Treble hook/)).toBeVisible();

  await bench.open('/bench?lure=mirrow-drift');
  const rests = await bench.unfold('How its beads rest');
  await expect(rests.getByRole('img')).toHaveCount(3);
});

for (const [family, first, mends] of [
  // The bead that is offered first slips over a knot this thin: a narrow one behind it does not.
  ['Blade leader', 'A blade on its clevis goes here', /^Put on: Guard bead/],
  ['Blade ahead of a lure', 'A stop behind the blade', null],
] as const) {
  test(`a ${family.toLowerCase()} from bare line, each place filled with what is offered first, tuned, made and printed`, async ({
    bench,
    page,
  }) => {
    test.slow();
    await bench.open();
    await startFamily(bench, family);
    await takeWhatIsOffered(page, first);
    if (mends) await bench.button(mends).click();
    await bench.expectAllInOrder();
    await bench.saved();

    // In the Tank something is wanted, and what would bring it closer is ranked.
    await page.getByRole('link', { name: 'Tank', exact: true }).click();
    const tank = new TankPage(page);
    await expect(tank.card()).toHaveAttribute('aria-busy', 'false');
    await tank.take('Just under the surface');
    await tank.ranked();

    await makeAll(page);
    await printSheet(bench, family);
  });
}

test('a walking sinker that does not come to the bottom is found, with what would bring it there', async ({
  bench,
  page,
}) => {
  await bench.open('/bench?lure=suvra-mouth');
  await bench.button('Ride and line').click();
  const ride = page.getByRole('dialog', { name: 'How it rides' });
  await ride.getByRole('button', { name: 'Put a sinker ahead of the lure' }).click();
  await ride.getByLabel('How it sits on the line').selectOption({ label: 'three-way arm' });
  await ride.getByLabel('Arm it hangs on').fill('40 cm');
  await ride.getByLabel('Arm it hangs on').press('Enter');
  await expect(ride.getByLabel('Arm it hangs on')).toHaveValue('0.4 m');
  await ride.getByLabel('Line out').fill('5 m');
  await ride.getByLabel('Line out').press('Enter');
  await expectNothingForAxe(page);
  await page.keyboard.press('Escape');
  const found = page.locator('[data-severity="caution"]').filter({ hasText: 'The sinker runs over the bottom' });
  await expect(found).toContainText(/At this speed about [\d.]+ g, or [\d.]+ m of line out would bring it down/);
  await expect(found).toContainText('It is not the lure’s');
});

test.describe('at 390 px', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });

  test('a harness is begun by taps, and a sinker draws it down', async ({ bench, page }) => {
    await bench.open();
    await bench.button('My lures').tap();
    await page.getByRole('menuitem', { name: 'New lure' }).tap();
    const asked = page.getByRole('dialog', { name: 'What are you building?' });
    await asked
      .getByRole('region', { name: 'Worm harness' })
      .getByRole('button', { name: 'Start with bare line' })
      .tap();
    const dialog = page.getByRole('dialog');
    await page
      .getByRole('toolbar', { name: 'Do with the picked part' })
      .getByRole('button', { name: 'The last hook is snelled here' })
      .tap();
    for (const id of ['hook-octopus-8', 'hook-octopus-6', 'bead-guard-2']) {
      await dialog.getByRole('combobox').fill(id);
      await dialog.locator(`[data-part="${id}"]`).tap();
    }
    await dialog.getByRole('button', { name: 'Enough for now' }).tap();
    await expect(bench.unit(/Guard bead/)).toBeVisible();
    await bench.open('/bench?lure=suvra-mouth');
    await bench.button('Ride and line').tap();
    const ride = page.getByRole('dialog', { name: 'How it rides' });
    const depth = async () =>
      Number.parseFloat(
        await ride.getByRole('listitem').filter({ hasText: 'Depth' }).first().locator('.measure').first().innerText(),
      );
    await expect.poll(depth).toBeLessThan(0.5);
    await ride.getByRole('button', { name: 'Put a sinker ahead of the lure' }).tap();
    await expect.poll(depth).toBeGreaterThan(1);
    await expectNothingForAxe(page);
  });
});
