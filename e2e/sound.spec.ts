import { readFile } from 'node:fs/promises';
import { decode } from 'node-wav';
import { expectNothingForAxe } from './axe';
import { expect, test } from './bench-page';

test('hear a clacker tick, leave it out, alone, worn in; its places lit; its sound and picture as files', async ({
  bench,
  page,
}) => {
  await bench.open('/bench?lure=lommer-clapper');
  // Nothing plays unasked.
  await expect(bench.button('Hear it')).toBeVisible();
  await expect(page.getByTestId('sounding places')).toHaveCount(0);
  await bench.button('How it sounds').click();
  const sheet = page.getByRole('dialog', { name: 'How it sounds' });
  await expect(sheet.getByTestId('sound in words')).toContainText(
    /clack of right two-lobe delta blade.*times a second/,
  );
  await expect(sheet.getByRole('img', { name: /clack of right two-lobe/ })).toBeVisible();
  await expect(sheet.getByTestId('sound levelDb')).toContainText('dB');

  await sheet.getByRole('button', { name: 'Hear it' }).click();
  await expect(sheet.getByRole('button', { name: 'Stop' })).toHaveAttribute('aria-pressed', 'true');
  const clack = sheet.getByRole('listitem').filter({ hasText: /delta blade 36 and .*head/ });
  await clack.getByRole('button', { name: /alone/ }).click();
  await expect(clack.getByRole('button', { name: /alone/ })).toHaveAttribute('aria-pressed', 'true');
  await clack.getByRole('button', { name: /left out/ }).click();
  await expect(clack.getByRole('button', { name: /alone/ })).toHaveAttribute('aria-pressed', 'false');
  await clack.getByRole('button', { name: /left out/ }).click();
  const squeak = sheet
    .getByRole('listitem')
    .filter({ hasText: 'rivet' })
    .filter({ hasText: /rub|squeak/ });
  await expect(squeak).toContainText('rub');
  await sheet.getByRole('slider', { name: 'Rivet worn in' }).fill('20');
  await expect(squeak).toContainText('squeak');

  const wav = page.waitForEvent('download');
  await sheet.getByRole('button', { name: 'Sound as a file (WAV)' }).click();
  const { sampleRate, channelData } = decode(await readFile(await (await wav).path()));
  expect([sampleRate, channelData.length, channelData[0]?.length]).toEqual([48_000, 1, 192_000]);
  const svg = page.waitForEvent('download');
  await sheet.getByRole('button', { name: 'Picture as a file (SVG)' }).click();
  expect(await readFile(await (await svg).path(), 'utf8')).toMatch(/^<svg.*data-contact="bladeOnHead/s);
  await expectNothingForAxe(page);

  await sheet.getByRole('button', { name: 'Close' }).click();
  await expect(page.getByTestId('sounding places').locator('[data-contact^=bladeOnHead]')).toHaveCount(1);
  await page.keyboard.press('h');
  await expect(bench.button('Hear it')).toBeVisible();
  await expect(page.getByTestId('sounding places')).toHaveCount(0);
});

test('by keyboard alone two lures are heard against each other, and what is surely different is told; volume is kept', async ({
  bench,
  page,
}) => {
  await bench.open('/bench?lure=mirrow-drum');
  await bench.button('How it sounds').press('Enter');
  const sheet = page.getByRole('dialog', { name: 'How it sounds' });
  await expect(sheet.getByTestId('sound in words')).toContainText('ting of brass bell');
  await sheet.getByRole('combobox', { name: 'Against' }).selectOption({ label: 'Asp Pair' });
  await expect(sheet.getByTestId('apart in sound')).toContainText(/Surely, beside Asp Pair: .*louder/);
  await sheet.getByRole('radio', { name: 'Mirrow Drum, now' }).focus();
  // A key is held for a moment by any hand.
  await page.keyboard.press('ArrowRight', { delay: 120 });
  await expect(sheet.getByRole('radio', { name: 'Asp Pair' })).toBeChecked();
  await sheet.getByRole('slider', { name: 'Volume' }).focus();
  await page.keyboard.press('ArrowRight');
  await expect(sheet.getByRole('slider', { name: 'Volume' })).toHaveValue('0.3');
  await page.keyboard.press('Escape');
  await page.reload();
  await bench.button('How it sounds').click();
  await expect(sheet.getByRole('slider', { name: 'Volume' })).toHaveValue('0.3');
});

test('at 390 px: a lure on which nothing strikes says so, and nothing runs off the side', async ({ bench, page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await bench.open('/bench?lure=stolk-kettle');
  await bench.button('How it sounds').click();
  const sheet = page.getByRole('dialog', { name: 'How it sounds' });
  await expect(sheet.getByTestId('sound in words')).toContainText('Nothing strikes.');
  const overrun = await sheet.evaluate((element) => element.scrollWidth - element.clientWidth);
  expect(overrun).toBeLessThanOrEqual(0);
  await expectNothingForAxe(page);
});

test('what wears is one line: the tie in fish, a swivel that runs gritty, a rivet that is let spin again', async ({
  bench,
  page,
}) => {
  await bench.open('/bench?lure=lommer-clapper');
  const wear = page.getByRole('region', { name: 'Wear' });
  await expect(wear).toContainText(/line tie about \d+ fish/);
  await bench.unfold('Wear');
  await expect(wear.getByTestId('wear')).toContainText(/A ring forced over it makes that about \d+ fish/);
  await expect(wear.getByTestId('wear')).toContainText('squeak 0 % worn in');
  await wear.getByRole('slider', { name: 'In the water for' }).fill('20');
  await expect(wear.getByTestId('wear')).toContainText('squeak 98 % worn in');
  await wear.getByRole('slider', { name: 'Caught with it' }).fill('60');
  await expect(wear.getByTestId('wear')).toContainText('Due: Kicking frog');
  await wear.getByRole('button', { name: 'Let it spin' }).click();
  await expect(wear.getByTestId('wear')).not.toContainText('squeak');
  await bench.button(/^Undo/).click();
  await expect(wear.getByTestId('wear')).toContainText('squeak');
  // Of a design they are tried; of a piece that is made they are kept.
  await expect(wear).toContainText('Tried on the design');
  await bench.button('Mark as made').click();
  const slide = async (name: string, value: string) => {
    await wear.getByRole('slider', { name }).fill(value);
    await wear.getByRole('slider', { name }).blur();
  };
  await expect(wear.getByRole('slider', { name: 'In the water for' })).toHaveValue('0');
  await slide('Caught with it', '7');
  await expect(wear).toContainText('due: Kicking frog');
  await wear.getByRole('listitem').filter({ hasText: 'Kicking frog' }).getByRole('button', { name: 'Renewed' }).click();
  await slide('Bent back straight', '2');
  await bench.saved();
  await page.reload();
  await expect(wear).toContainText(/line tie 7 of about \d+ fish/);
  await bench.unfold('Wear');
  await expect(wear.getByRole('slider', { name: 'Bent back straight' })).toHaveValue('2');
  expect(JSON.parse((await bench.exported()).text)).toMatchObject({
    lure: { made: { used: { hours: 0, fish: 7, straightened: 2, renewed: { 'trailer-1': { hours: 0, fish: 7 } } } } },
  });
  await bench.button(/^Undo/).click();
  await expect(wear.getByRole('slider', { name: 'Bent back straight' })).toHaveValue('0');
  await expectNothingForAxe(page);
});

test('the arm bent out falls silent, bent in too far it drags and stands; against the version of before, in the middle of a bar', async ({
  bench,
  page,
}) => {
  await bench.open('/bench?lure=lommer-clapper');
  await bench.unfold('Versions');
  await page.getByRole('region', { name: 'Versions' }).getByRole('button', { name: 'Keep' }).click();
  await bench.button('Hear it').click();
  const clack = page.getByTestId('sounding places').locator('[data-contact^=bladeOnHead]');
  await expect(clack).toHaveCount(1);
  const bend = page.getByRole('slider', { name: 'Bend of the arm, on the drawing' });
  const bendBy = async (key: 'ArrowUp' | 'ArrowDown', degrees: number) => {
    await bend.focus();
    for (let i = 0; i < degrees; i++) await page.keyboard.press(key);
  };
  await bendBy('ArrowUp', 2);
  await expect(clack).toHaveCount(0);
  const sheet = page.getByRole('dialog', { name: 'How it sounds' });
  const caption = sheet.getByTestId('sound in words');
  await bench.button('How it sounds').click();
  const meets = sheet.getByRole('listitem').filter({ hasText: /delta blade 36 and .*head/ });
  await expect(meets).toContainText('silent: the two are clear of each other');
  // Now against the version, which still clacks: one takes over from the other while it plays.
  await sheet.getByRole('combobox', { name: 'Against' }).selectOption({ index: 1 });
  await expect(sheet.getByTestId('apart in sound')).toContainText(/Surely, beside .*: .*quieter/);
  await sheet.getByRole('radio', { name: 'Lommer Clapper, now' }).press('ArrowRight', { delay: 120 });
  await expect(sheet.getByRole('button', { name: 'Stop' })).toBeVisible();
  await sheet.getByRole('button', { name: 'As loud as each other' }).click();
  await page.keyboard.press('Escape');
  await bendBy('ArrowDown', 5);
  await expect(clack).toHaveCount(1);
  await bendBy('ArrowDown', 8);
  await expect(clack).toHaveCount(0);
  await bench.button('How it sounds').click();
  await expect(caption).toContainText('Silent: nothing of it turns or strikes at this speed.');
  await expect(meets).toContainText('silent: what would drive it stands still');
});

test('in the choice the part under the hand is weighed by its sound and heard on the lure, by press and by key', async ({
  bench,
  page,
}) => {
  await bench.open('/bench?lure=mirrow-drum');
  await bench.unit(/bell/i).click();
  await bench.button(/^Swap/).click();
  const choice = page.getByRole('dialog');
  const parts = choice.getByRole('option');
  await choice.getByRole('radio', { name: 'loud' }).click();
  const levels = () =>
    parts.evaluateAll((rows) => rows.flatMap((row) => /([+−]?\d+)\s*dB/.exec(row.textContent ?? '')?.[1] ?? []));
  await expect.poll(async () => (await levels()).length).toBeGreaterThan(1);
  const numbers = (await levels()).map((text) => Number(text.replace('−', '-')));
  expect(numbers).toEqual(numbers.toSorted((a, b) => a - b));
  const heard = choice.getByTestId('hear candidate');
  await choice.getByRole('combobox').press('ArrowDown');
  await page.keyboard.press('Alt+h');
  await expect(heard.getByRole('radio', { name: /^with / })).toBeChecked();
  await expect(heard.getByTestId('apart in sound')).toContainText('beside the lure as it is', { ignoreCase: true });
  // The same once more: the lure as it is, and nothing was put on.
  await page.keyboard.press('Alt+h');
  await expect(heard.getByRole('radio', { name: 'as it is' })).toBeChecked();
  await parts.last().locator('[data-hear]').click();
  await expect(heard.getByRole('radio', { name: /^with / })).toBeChecked();
  await expect(choice).toBeVisible();
  await expectNothingForAxe(page);
  await page.keyboard.press('Escape');
  await expect(page.getByTestId('sounding places')).toHaveCount(0);
  await expect(bench.button('Undo')).toBeDisabled();
});
