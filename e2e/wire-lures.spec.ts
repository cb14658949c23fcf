import AxeBuilder from '@axe-core/playwright';
import { expect, test } from './bench-page';

test('from bare wire to a tandem spinnerbait without faults', async ({ bench, page }) => {
  test.slow();
  await bench.open();
  await bench.start('Spinnerbait');
  await expect(bench.findings()).toContainText('No head');
  await bench.name().fill('Okkel Tandem');
  await bench.name().blur();

  // Head and hook, then along the arm, tie first.
  await bench.put('nose of the wire', 'Cast a head on', 'head-minnow-10-smelt');
  await bench.put(/Minnow head/, 'Cast a hook in', 'hook-long-3-0');
  await bench.put('line tie', 'Thread the first part', 'bead-brass-4', 'beads');
  await bench.put('Brass bead', 'Insert after', 'clevis-stirrup-1', 'clevises');
  await bench.put('Stirrup clevis #1', 'Hang on it', 'blade-colorado-k1', 'blades');
  await bench.put('Stirrup clevis #1', 'Insert after', 'bead-glass-4-amber', 'beads');
  await bench.put('Glass bead', 'Insert after', 'sleeve-spacer-clear-14', 'sleeves');
  // The end of the arm, still open; what hangs in it could slip out.
  await bench.put(/end of the arm/, 'Hang on the loop', 'swivel-crane-k7', 'swivels');
  await bench.put(/Crane swivel/, 'Hang on it', 'ring-o1', 'split rings');
  await bench.put(/Split ring/, 'Hang on it', 'blade-willow-k4g', 'blades');
  await expect(bench.faults()).toContainText(['End loop open']);
  await page.getByRole('button', { name: 'Slide the tube up over the end' }).click();
  await expect(bench.faults()).toHaveCount(0);
  await expect(bench.findings()).toContainText('End loop plugged by the tube');

  // Skirt, trailer, ring over the tie.
  await bench.put(/Minnow head/, 'Push a skirt on', 'skirt-band-clear');
  await bench.put('Skirt band', 'Pull a strip in', 'strip-smelt');
  await bench.put('Skirt band', 'Pull a strip in', 'strip-pearl');
  await bench.put(/Long-shank hook/, 'Push a trailer or bait on', 'trailer-paddle-75-smelt');
  await expect(bench.findings()).toContainText('The blunt trailer balloons the skirt');
  await page.getByRole('button', { name: 'Round the head of the trailer' }).click();
  await bench.put('line tie', 'Force a ring over it', 'ring-k1');
  await bench.expectAllInOrder();
  await expect(page.getByTestId('rate blade-1')).toContainText('turns/s');
  await expect(page.getByTestId('rate blade-2')).toContainText('turns/s');
  await expect(page.getByText(/Beat/)).toBeVisible();

  // Its lengths, its file, its template.
  await bench.unfold('Lengths to cut');
  await expect(page.getByTestId('cut wire')).toContainText('mm');
  await bench.saved();
  const file = await bench.exported();
  expect(JSON.parse(file.text)).toMatchObject({ version: 9, lure: { family: 'spinnerbait', name: 'Okkel Tandem' } });
  await bench.importText(file.text);
  await expect(bench.notice(/is here already, the same to the last part/)).toBeVisible();

  const results = await new AxeBuilder({ page }).analyze();
  expect(results.violations.map(({ id, nodes }) => [id, nodes[0]?.html])).toEqual([]);
});

test('places that ask for their next part: a tandem spinnerbait without faults in 20 presses', async ({
  bench,
  page,
}) => {
  test.slow();
  await bench.open();
  await bench.press(bench.button('My lures'));
  await bench.press(page.getByRole('menuitem', { name: 'New lure' }));
  const asked = page.getByRole('dialog', { name: 'What are you building?' });
  await bench.press(
    asked.getByRole('region', { name: 'Spinnerbait' }).getByRole('button', { name: 'Start with bare wire' }),
  );
  await expect(page.getByTestId('labels').getByRole('button', { name: 'A head goes here' })).toBeVisible();
  await bench.fillSlots([
    ['A head goes here', 'head-minnow-10-smelt'],
    ['A hook is cast in the head', 'hook-long-3-0'],
    ['A bead goes next to the tie', 'bead-brass-4'],
    ['A blade on its clevis goes here', 'blade-colorado-k1'],
    ['A bead goes behind it, to turn on', 'bead-glass-4-amber'],
    ['A spacer tube goes here', 'sleeve-spacer-clear-14'],
    ['A swivel hangs at the end of the arm', 'swivel-crane-k7'],
    ['A ring goes in the swivel', 'ring-o1'],
    ['A blade hangs on this ring', 'blade-willow-k4g'],
    ['A skirt is pushed on the collar', 'skirt-band-clear'],
    ['Strands go in this band', 'strip-smelt'],
  ]);
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await bench.press(page.getByRole('button', { name: 'Slide the tube up over the end' }));
  await bench.expectAllInOrder();
  await expect(page.getByTestId('rate blade-1')).toContainText('turns/s');
  await expect(page.getByTestId('rate blade-2')).toContainText('turns/s');
  expect(bench.presses).toBeLessThanOrEqual(20);
  test.info().annotations.push({ type: 'presses', description: `tandem spinnerbait: ${bench.presses}` });
});

test('places that ask: an inline spinner without faults in 18 presses; one can be gone past, and the rest left', async ({
  bench,
  page,
}) => {
  await bench.open();
  await bench.press(bench.button('My lures'));
  await bench.press(page.getByRole('menuitem', { name: 'New lure' }));
  const asked = page.getByRole('dialog', { name: 'What are you building?' });
  await bench.press(
    asked.getByRole('region', { name: 'Inline spinner' }).getByRole('button', { name: 'Start with bare wire' }),
  );
  await bench.fillSlots([
    ['A blade on its clevis goes here', 'blade-french-o2'],
    ['A bead goes behind it, to turn on', 'bead-brass-4'],
    ['A body goes here', 'weight-barrel-brass-8'],
    ['A ring goes in the tail loop', 'ring-k2'],
    ['A hook hangs on this ring', 'hook-treble-6'],
  ]);
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await bench.expectAllInOrder();
  expect(bench.presses).toBeLessThanOrEqual(18);
  // What is put on is picked, and the next goes on from there.
  await bench.unit('Brass bead').click();
  await bench.button('Insert after').click();
  await page.getByRole('dialog').getByRole('combobox').fill('bead-glass-4-amber');
  await expect(page.locator('[data-part="bead-glass-4-amber"]')).toBeVisible();
  // Also by a hand that is quicker than the page: both presses before anything is painted.
  await page.evaluate(async () => {
    const after = [...document.querySelectorAll('button')].find(({ textContent }) => textContent === 'Insert after');
    document.querySelector<HTMLElement>('[data-part="bead-glass-4-amber"]')?.click();
    await Promise.resolve();
    await Promise.resolve();
    after?.click();
  });
  await expect(page.getByRole('combobox')).toHaveValue('');
  await bench.pickPart('bead-brass-3');
  await expect
    .poll(async () => {
      const order = await bench.order();
      return order.slice(order.indexOf('Brass bead'), order.indexOf('Brass bead') + 3);
    })
    .toEqual(['Brass bead', 'Glass bead', 'Brass bead']);

  await bench.start('Inline spinner');
  await page.getByTestId('labels').getByRole('button', { name: 'A blade on its clevis goes here' }).click();
  const sheet = page.getByRole('dialog');
  await sheet.getByRole('button', { name: 'Without it' }).click();
  await expect(sheet.getByRole('heading', { name: 'A body goes here' })).toBeVisible();
  await sheet.getByRole('button', { name: 'Enough for now' }).click();
  await expect(page.getByRole('dialog')).toHaveCount(0);
});

test('one search over all kinds: a Colorado for the bare wire goes on with its clevis', async ({ bench, page }) => {
  await bench.open();
  await bench.start('Inline spinner');
  await bench.button('Thread the first part').click();
  const sheet = page.getByRole('dialog');
  await sheet.getByRole('combobox').fill('#3 colorado');
  const found = sheet.locator('[data-part][data-fits="true"]').first();
  await expect(found).toContainText('Colorado blade #3');
  await found.click();
  await expect(bench.unit(/clevis/)).toBeVisible();
  await expect(bench.unit(/Colorado blade #3/)).toHaveAttribute('aria-selected', 'true');
  await expect(page.getByTestId('rate blade-1')).toContainText('turns/s');
  // What was taken last stands first where it fits again.
  await bench.button('Swap this part').click();
  await expect(page.getByRole('dialog').locator('[data-part]').first()).toContainText('Colorado blade #3');
});

test('from bare wire to a clacking buzzbait: bent in until it ticks, crimped, and without faults', async ({
  bench,
  page,
}) => {
  test.slow();
  await bench.open();
  await bench.start('Buzzbait');
  // A bought frame brings head and hook.
  await bench.unit('nose of the wire').click();
  await bench.button('Swap the wire').click();
  await bench.pickPart('frame-buzz-k7', 'frames');
  await expect(bench.unit(/Keel head/)).toBeVisible();
  await bench.put('line tie', 'Thread the first part', 'bead-brass-4', 'beads');
  await bench.put('Brass bead', 'Insert after', 'delta-2-right-36-bright', 'delta blades');
  await expect(bench.findings()).toContainText('Nothing stops the blade');
  await bench.put(/delta blade/, 'Insert after', 'rivet-alu-5', 'rivets');
  await expect(bench.findings()).toContainText('Blade clear of the head: silent');

  await bench.unit(/delta blade/).click();
  await page.getByRole('button', { name: 'It is meant to tick on the head' }).click();
  await expect(bench.findings()).toContainText('no clack');
  await page.getByRole('button', { name: /^Bend the arm (in|out) by/ }).click();
  await expect(bench.findings()).toContainText('Blade ticks on the head, as intended');
  await bench.unit('Flanged rivet').click();
  await page.getByRole('combobox', { name: 'How it sits on the wire' }).selectOption('crimped');
  await expect(bench.findings()).toContainText('Rivet crimped: the blade rubs on it');
  await bench.put(/Keel head/, 'Push a skirt on', 'skirt-one-white');
  await bench.expectAllInOrder();

  // Another inch in it drags, and says so; undo brings the tick back.
  const bend = page.getByRole('slider', { name: 'Line tie, on the drawing' });
  await bend.focus();
  for (let i = 0; i < 3; i++) await page.keyboard.press('Shift+ArrowDown');
  await expect(bench.faults()).toContainText(['Blade drags on the head']);
  for (let i = 0; i < 3; i++) await bench.button('Undo').click();
  await expect(bench.faults()).toHaveCount(0);
});

test('a bend is drawn round by hand and by touch, as one change each, and survives a reload', async ({
  bench,
  page,
}) => {
  await bench.open('/bench?lure=stolk-kettle');
  const bend = page.getByRole('slider', { name: 'Line tie, on the drawing' });
  const angle = async () => Number(await bend.getAttribute('aria-valuenow'));
  const before = await angle();
  const grip = await bend.locator('circle').last().boundingBox();
  if (!grip) throw new Error('the bend has a handle');
  await page.mouse.move(grip.x + 6, grip.y + 6);
  await page.mouse.down();
  for (let i = 1; i <= 8; i++) await page.mouse.move(grip.x + 6, grip.y + 6 - i * 3);
  // What the bend can put wrong stays in sight under the hand.
  await expect(page.getByRole('list', { name: 'What the bend touches' }).getByRole('listitem').first()).toBeVisible();
  await page.mouse.up();
  await expect(page.getByRole('list', { name: 'What the bend touches' })).toHaveCount(0);
  await expect.poll(angle).toBeGreaterThan(before + 15);
  const drawn = await angle();
  await bench.saved();
  await page.reload();
  await expect.poll(angle).toBe(drawn);
  await bench.button('Undo').click();
  await expect.poll(angle).toBe(before);
  // The same on its slider beside the drawing.
  await bench.unit('line tie').click();
  const slider = page.getByRole('slider', { name: 'Line tie', exact: true });
  await slider.focus();
  await page.keyboard.press('ArrowRight');
  await expect.poll(angle).toBe(before + 1);
});

test('a version is kept, compared, gone back to; the lure starts another as a copy', async ({ bench, page }) => {
  await bench.open('/bench?lure=stolk-kettle');
  const versions = await bench.unfold('Versions');
  await versions.getByRole('textbox').fill('Big beat');
  await versions.getByRole('button', { name: 'Keep' }).click();
  await bench.swap('Colorado blade #5', 'blade-indiana-k4');
  await versions.getByRole('button', { name: 'Compare with Big beat' }).click();
  const sheet = page.getByRole('dialog', { name: 'Compare Stolk Kettle' });
  await expect(sheet.getByTestId('differences')).toContainText('Colorado blade #5 became Indiana blade #4');
  await expect(sheet.getByRole('img', { name: /in outline over it/ })).toBeVisible();
  // Two beside it: all figures with their spreads, and which differences are larger than theirs.
  await sheet.getByRole('textbox', { name: 'Lay another beside it' }).fill('hovna');
  await sheet.getByRole('button', { name: 'Lay Hovna Lantern beside it' }).click();
  await expect(sheet.getByRole('columnheader').filter({ hasText: 'Hovna Lantern' })).toBeVisible();
  const mass = sheet.getByRole('row', { name: /^Mass / });
  await expect(mass).toContainText(/▼ less/);
  await expect(sheet.getByRole('row', { name: /^Depth / })).toContainText(/\d\.\d\d to \d\.\d\d/);
  const results = await new AxeBuilder({ page }).include('[role="dialog"]').analyze();
  expect(results.violations.map(({ id }) => id)).toEqual([]);
  await page.keyboard.press('Escape');
  await versions.getByRole('button', { name: 'Go back to Big beat' }).click();
  await expect(bench.unit('Colorado blade #5')).toBeVisible();
  await bench.fromFileMenu('Start from a copy of this one');
  await expect(bench.name()).toHaveValue('Stolk Kettle, copy');
});

test('lures are chosen by their drawings, with keys; a bank card sets the true size', async ({ bench, page }) => {
  await bench.open();
  await bench.button('My lures').click();
  await page.getByRole('menuitem', { name: /^All \d+, with their drawings/ }).click();
  const sheet = page.getByRole('dialog', { name: 'My lures' });
  await expect(sheet.locator('li canvas').first()).toBeVisible();
  await sheet.getByRole('combobox', { name: 'Kind' }).selectOption('Buzzbait');
  await expect(sheet.getByRole('listitem')).toHaveCount(2);
  const results = await new AxeBuilder({ page }).include('[role="dialog"]').analyze();
  expect(results.violations.map(({ id }) => id)).toEqual([]);
  await sheet.getByRole('textbox', { name: 'Find by name' }).focus();
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Enter');
  await expect(bench.name()).toHaveValue('Asp Pair');

  await bench.button('As large as it is').click();
  const card = page.getByTestId('card');
  await page.getByRole('slider', { name: 'Size of the drawn card' }).fill('4');
  const box = await card.boundingBox();
  expect(box?.width).toBeCloseTo(85.6 * 4, 0);
  expect(box?.height).toBeCloseTo(53.98 * 4, 0);
  await page.getByRole('button', { name: /show the lure at true size/ }).click();
  await expect(page.getByTestId('elevation')).toHaveAttribute('data-px-per-mm', '4');
  await page.reload();
  await expect(page.getByTestId('elevation')).toHaveAttribute('data-px-per-mm', '4');
  await bench.button('As large as it is').click();
  await expect(page.getByTestId('elevation')).not.toHaveAttribute('data-px-per-mm', '4');
});

test('a bending template is looked at and kept as SVG, DXF and PDF', async ({ bench, page }) => {
  await bench.open('/bench?lure=stolk-kettle');
  await bench.saved();
  await page.goto('/sheet?lure=stolk-kettle&show=template');
  await expect(page.getByRole('heading', { name: 'Stolk Kettle: bending template' })).toBeVisible();
  for (const [button, name, begins] of [
    ['Save as SVG', 'stolk-kettle-template-a4.svg', '<?xml'],
    ['Save as DXF', 'stolk-kettle-template.dxf', '0'],
    ['Save as PDF', 'stolk-kettle-template-a4.pdf', '%PDF-1.7'],
  ] as const) {
    const file = await bench.exported(() => page.getByRole('button', { name: button }).click());
    expect(file.name).toBe(name);
    expect(file.text.trimStart().startsWith(begins)).toBe(true);
  }
});

test('what the hand does to each piece: set beside the drawing, shown, undone', async ({ bench, page }) => {
  test.slow();
  await bench.open('/bench?lure=torvane-lanes');
  const piece = page.getByRole('region', { name: 'Picked part' });
  const undo = () => bench.button('Undo').click();

  await bench.unit(/Ball-bearing swivel/).click();
  const condition = piece.getByRole('combobox', { name: /Condition/ });
  await expect(page.getByTestId('rate blade-2')).toBeVisible();
  // A willow has little to turn a gritty swivel with.
  await condition.selectOption('gritty');
  await expect(page.getByTestId('still blade-2')).toContainText('Does not turn');
  await undo();
  await expect(page.getByTestId('rate blade-2')).toBeVisible();

  await bench.unit('Skirt band').click();
  await piece.getByRole('button', { name: 'Leave the tips even' }).click();
  await expect(bench.findings()).toContainText('Strands lie over the kicking tail');
  await page.getByRole('button', { name: 'Thin the tips unevenly by hand' }).click();
  await expect(bench.findings()).not.toContainText('Strands lie over');
  await expect(bench.findings()).toContainText('Long side of the skirt to the tail');
  await piece.getByRole('button', { name: 'Turn the long side to the nose' }).click();
  await expect(bench.findings()).toContainText('Long side of the skirt to the nose');
  const collar = piece.getByRole('slider', { name: /Collar along the strands/ });
  await collar.focus();
  await page.keyboard.press('ArrowRight');
  await expect(collar).toHaveAttribute('aria-valuetext', '31 %');

  await bench.unit(/Paddle tail/).click();
  const crooked = piece.getByRole('slider', { name: 'Threaded off straight' });
  await crooked.focus();
  for (let i = 0; i < 4; i++) await page.keyboard.press('ArrowRight');
  await expect(bench.findings()).toContainText('Trailer threaded crooked');
  await page.getByRole('button', { name: 'Thread it again, dead straight' }).click();
  await expect(bench.findings()).toContainText('Trailer threaded straight');

  await bench.unit('Spacer tube').click();
  await piece.getByRole('button', { name: 'Slide it off the end again' }).click();
  await expect(bench.faults()).toContainText(['End loop open']);
  await page.getByRole('button', { name: 'Close the loop with pliers' }).click();
  await expect(bench.faults()).toHaveCount(0);
  await bench.unit(/end of the arm/).click();
  await expect(piece.getByRole('button', { name: 'Open the loop' })).toBeVisible();

  await bench.unit('line tie').click();
  const twist = piece.getByRole('slider', { name: 'Twisted out of flat' }).last();
  await twist.focus();
  for (let i = 0; i < 5; i++) await page.keyboard.press('ArrowRight');
  await expect(bench.faults()).toContainText(['The bend is twisted']);
  await page.getByRole('button', { name: 'Straighten the twisted bends' }).click();
  await expect(bench.faults()).toHaveCount(0);
  await bench.saved();
});

test('a stinger against the user’s own rule: told with its source, and taken off in one press', async ({
  bench,
  page,
}) => {
  await bench.open('/bench?lure=lommer-clapper');
  await bench.put(/Long-shank hook/, 'Hang a stinger', 'hook-stinger-2-0');
  await expect(bench.unit(/stinger hook/)).toBeVisible();
  await expect(bench.faults()).toHaveCount(0);
  await bench.fromFileMenu('Your rules about hooks and blades');
  await page.getByLabel('Water or district it holds for').fill('Lake Hovna');
  await page.getByLabel('Most hooks on a lure').fill('1');
  await page.getByLabel('Where you read it').fill('board at the landing');
  await page.getByLabel('On the day').fill('2031-09-14');
  await page.getByRole('button', { name: 'Add this rule' }).click();
  await page.keyboard.press('Escape');
  await expect(bench.faults()).toHaveCount(1);
  await expect(bench.faults()).toContainText('board at the landing');
  await page.getByRole('button', { name: 'Take the stinger off' }).click();
  await expect(bench.faults()).toHaveCount(0);
  await expect(bench.unit(/stinger hook/)).toHaveCount(0);
});

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });

  test('a bait is picked, bent and put right with a finger', async ({ bench, page }) => {
    await bench.open('/bench?lure=lommer-clapper');
    const stage = page.getByTestId('elevation');
    expect((await stage.boundingBox())?.width).toBeLessThanOrEqual(390);
    await bench.unit('line tie').tap();
    const bend = page.getByRole('slider', { name: 'Line tie', exact: true });
    await bend.scrollIntoViewIfNeeded();
    const before = Number(await bend.inputValue());
    const box = await bend.boundingBox();
    if (!box) throw new Error('the bend has a slider');
    expect(box.height).toBeGreaterThanOrEqual(44);
    await page.touchscreen.tap(box.x + box.width * 0.15, box.y + box.height / 2);
    await expect.poll(async () => Number(await bend.inputValue())).not.toBe(before);
    await bench.saved();
    await bench.button('Undo').tap();
    await expect.poll(async () => Number(await bend.inputValue())).toBe(before);
    const wide = await page.evaluate(() => document.documentElement.scrollWidth);
    expect(wide).toBeLessThanOrEqual(390);
  });
});
