import { expect, test } from './bench-page';
import { expectNothingForAxe } from './axe';
import { TankPage } from './tank-page';
import { makeAll, printSheet } from './whole-job';

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

test('a belly flasher by keyboard alone, from a bare body: too wide a blade mended by a press, its wobble wanted, made and printed', async ({
  bench,
  page,
}) => {
  test.slow();
  await bench.open();
  await bench.enter('My lures');
  await page.getByRole('menuitem', { name: 'New lure' }).press('Enter');
  await page
    .getByRole('dialog', { name: 'What are you building?' })
    .getByRole('region', { name: 'Hard bait with a blade' })
    .getByRole('button', { name: 'Start with a bare body' })
    .press('Enter');
  await expect(bench.name()).toHaveValue('New hard bait with a blade');
  await expect(bench.findings()).toContainText('No blade on this bait');
  await expect(bench.findings()).toContainText('Floats');
  const dialog = page.getByRole('dialog');
  const take = async (title: string, id: string) => {
    await expect(dialog.getByRole('heading', { name: title })).toBeVisible();
    await expect(dialog.getByRole('combobox')).toBeFocused();
    await page.keyboard.press('Control+a');
    await page.keyboard.type(id);
    await expect(dialog.locator('[data-part]').first()).toHaveAttribute('data-part', id);
    await page.keyboard.press('Enter');
  };
  await bench.enter('A ring goes in this eye');
  await take('A ring goes in this eye', 'ring-k2');
  await expect(dialog.getByRole('combobox')).toHaveValue('');
  await take('A ring goes in this eye', 'ring-k2');
  await take('A blade hangs on this ring, its hollow to the body', 'blade-colorado-k2');
  await take('A treble hangs on this ring', 'hook-treble-8');
  await expect(dialog).toHaveCount(0);
  // Too wide: what is offered lies under the body.
  const wide = page.locator('[data-severity="caution"]').filter({ hasText: 'Blade wider than the belly' });
  await expect(wide).toBeVisible();
  await wide
    .getByRole('button', { name: /^Swap it for/ })
    .first()
    .press('Enter');
  await expect(wide).toHaveCount(0);
  await bench.expectAllInOrder();
  await bench.showChecksInOrder();
  await expect(bench.findings()).toContainText('Blade ends ahead of the hook');
  await expect(bench.findings()).toContainText(/1 hook with 3 points left/);
  await expect(bench.findings()).toContainText('Ring swings free in its hanger');
  await expect(bench.findings()).toContainText(/Floats[\s\S]*s a metre/);
  await bench.saved();

  await page.getByRole('link', { name: 'Tank', exact: true }).press('Enter');
  const tank = new TankPage(page);
  await expect(tank.card()).toHaveAttribute('aria-busy', 'false');
  expect(await tank.value('wobbleHz')).toBeGreaterThan(2);
  await expect(page.getByTestId('swim words')).toContainText(/swings \d+° to each side/);
  await page.getByRole('button', { name: 'Wanted actions' }).press('Enter');
  await page.getByRole('menuitem', { name: 'A wide, slow wobble' }).press('Enter');
  await tank.ranked();
  await expect(tank.moves().first()).toContainText(/in 10/);

  const said = await makeAll(page);
  expect(said[0]).toMatch(/^Take the bare/);
  expect(said.some((step) => /blade/.test(step))).toBe(true);
  expect(said.at(-1)).toMatch(/treble/i);
  await printSheet(bench, 'Hard bait with a blade');
});

test('a blade goes ahead of a diver: less depth than without it, the schools told, the bait made first and hung on', async ({
  bench,
  page,
}) => {
  test.slow();
  const depth = async () => {
    const told = page.getByTestId('ride depthM');
    await expect(told).toContainText(/\d/);
    return Number.parseFloat((/[\d.]+/.exec(await told.innerText()) ?? [''])[0]);
  };
  await bench.open('/bench?lure=stolk-herald');
  await bench.unit(/^hook end/i).click();
  await page.getByLabel('Tie one of your lures on behind').selectOption({ label: 'Halvane Glint' });
  await expect(bench.unit(/Treble hook/)).toBeVisible();
  await bench.expectAllInOrder();
  // The same line with the blade off it: the bait goes deeper.
  const wobble = page.getByTestId('ride wobbleHz');
  await expect(wobble).toBeVisible();
  const ahead = await depth();
  await bench.unit(/French blade/).click();
  await bench.button('Take off').click();
  await expect.poll(depth).toBeGreaterThan(ahead);
  await bench.button('Undo').click();
  await expect.poll(depth).toBe(ahead);
  await bench.expectAllInOrder();
  await bench.showChecksInOrder();
  await expect(bench.findings()).toContainText('Blade ahead of a diver: builders differ');
  await expect(bench.findings()).toContainText('The blade keeps its distance from the lure');
  await expectNothingForAxe(page);
  await bench.saved();
  const said = await makeAll(page);
  const at = (what: RegExp) => said.findIndex((step) => what.test(step));
  expect(at(/^Take the bare/)).toBe(0);
  expect(at(/^Cut the/)).toBeGreaterThan(at(/treble/i));
  expect(at(/^Hang the diving bait/)).toBe(said.length - 1);
  await printSheet(bench, 'Blade ahead of a lure');
});

test('a nail weight is drawn out on the drawing, by mouse and by keys', async ({ bench, page }) => {
  await bench.open('/bench?lure=mirrow-ember');
  const knob = page.getByRole('slider', { name: 'Nail weight, on the drawing' });
  const out = async () => Number(await knob.getAttribute('aria-valuenow'));
  const before = await out();
  const box = await knob.locator('circle').last().boundingBox();
  if (!box) throw new Error('the knob is on the page');
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2 + 40, { steps: 8 });
  await expect.poll(out).toBeGreaterThan(before + 1);
  await page.mouse.up();
  await expect(bench.faults()).toContainText(['it holds the blade']);
  await bench.button('Undo').click();
  await expect.poll(out).toBe(before);
  await knob.focus();
  await page.keyboard.press('ArrowUp');
  await expect.poll(out).toBeCloseTo(before - 0.1, 6);
});

test.describe('at 390 px', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });

  test('an underspin by taps, from bare wire: each place filled with what is offered first, its knocker mended, made and printed', async ({
    bench,
    page,
  }) => {
    test.slow();
    await bench.open();
    await bench.button('My lures').tap();
    await page.getByRole('menuitem', { name: 'New lure' }).tap();
    await page
      .getByRole('dialog', { name: 'What are you building?' })
      .getByRole('region', { name: 'Underspin' })
      .getByRole('button', { name: 'Start with bare wire' })
      .tap();
    await page
      .getByRole('toolbar', { name: 'Do with the picked part' })
      .getByRole('button', { name: 'A head goes here' })
      .tap();
    const dialog = page.getByRole('dialog');
    for (const [title, id] of [
      ['A head goes here', null],
      ['A hook is cast in the head', null],
      ['A swivel hangs at the end of the arm', null],
      ['A ring goes in the swivel', null],
      ['A blade hangs on this ring', 'blade-colorado-o0'],
      ['A soft body goes on the hook', null],
      ['A nail weight for the blade to knock on', 'nail-tungsten-12'],
    ] as const) {
      await expect(dialog.getByRole('heading', { name: title })).toBeVisible();
      if (id) await dialog.getByRole('combobox').fill(id);
      await dialog
        .locator(id ? `[data-part="${id}"]` : '[data-part]')
        .first()
        .tap();
    }
    await expect(dialog).toHaveCount(0);
    const deep = page.locator('[data-severity="caution"]').filter({ hasText: 'Nail weight too deep' });
    await expect(deep).toBeVisible();
    await deep.getByRole('button', { name: /^Swap it for/ }).tap();
    await expect(deep).toHaveCount(0);
    await bench.expectAllInOrder();
    await bench.showChecksInOrder();
    await expect(bench.findings()).toContainText(/Knocks once a turn[\s\S]*early or late/);
    await expectNothingForAxe(page);
    await bench.saved();
    const said = await makeAll(page);
    expect(said.at(-1)).toMatch(/^Screw the tungsten nail weight/);
    await printSheet(bench, 'Underspin');
  });
});
