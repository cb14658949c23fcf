import { expectNothingForAxe } from './axe';
import { expect, test } from './bench-page';

test('a blade is measured with caliper and scale, kept, hung on the lure, and stays with it', async ({
  bench,
  page,
}) => {
  await bench.open();
  await bench.unit(/Fluted Indiana/).click();
  await bench.button('Swap this part').click();
  await page.getByRole('button', { name: 'Measure a blade of your own' }).click();
  const form = page.getByRole('dialog', { name: 'Measure a blade' });
  const told = page.getByTestId('measured');
  await expect(told).toContainText('come first');
  await expect(form.getByRole('img', { name: 'What to measure on the blade' })).toBeVisible();
  const take = async (label: string, text: string) => {
    await form.getByLabel(label, { exact: true }).fill(text);
    await page.keyboard.press('Tab');
  };
  await form.getByLabel('Length', { exact: true }).focus();
  await expect(form.getByText('Root end to tip, the jaws square across it.')).toBeVisible();
  await take('Length', '27.2');
  await take('Width', '17.1mm');
  await take('Hole', '1/16');
  await expect(told).toContainText('come first');
  await take('Root to hole', '1.1');
  await expect(told).toContainText('Two of thickness, crown and mass are needed');
  await take('Crown', '0.2');
  await take('Thickness', '0.5');
  await expect(told).toContainText('The crown is lower than the blade is thick');
  await expect(form.getByRole('button', { name: 'Keep this blade' })).toBeDisabled();
  await take('Crown', '2.3');
  await expect(told).toContainText(/Worked out: mass\..*Thickness 0\.50 mm, hollow 1\.80 mm deep, 1\.\d+ g/);
  await take('Mass', '2.4');
  await expect(told).toContainText(/would weigh \d+ % less: look at thickness and crown again/);
  await take('Mass', '1.52');
  await expect(told).toContainText('Measured whole.');
  await expect(told).toContainText('agree');
  await take('Width', 'wide');
  await expect(form.getByRole('alert')).toContainText('does not start with a number');
  await take('Width', '17.1');
  await expectNothingForAxe(page, { within: '[role=dialog]' });
  await form.getByLabel('What you call it').fill('Per’s French');
  await form.getByRole('button', { name: 'Keep this blade' }).click();
  await expect(page.getByRole('dialog', { name: 'Your own parts' }).getByRole('list')).toContainText('Per’s French');
  await page.keyboard.press('Escape');

  await bench.button('Swap this part').click();
  await page.getByRole('combobox', { name: /Find by size/ }).fill('per’s');
  await page.keyboard.press('Enter');
  await expect(bench.unit('Per’s French')).toBeVisible();
  expect(await bench.rate()).toBeGreaterThan(3);
  const { text } = await bench.exported();
  expect(text).toContain('"maker": "measured by you"');

  // Put away, the lure keeps it; put back, it can be chosen again.
  await bench.fromFileMenu('Your own parts');
  await page.getByRole('button', { name: 'Put away Per’s French' }).click();
  await expect(page.getByText('None yet.')).toBeVisible();
  await expect(page.getByText('was put away. Lures that have it keep it.')).toBeVisible();
  await page.getByRole('button', { name: 'Put it back' }).click();
  await expect(page.getByRole('list', { name: 'Own parts' })).toContainText('Per’s French');
  await page.keyboard.press('Escape');
  await page.reload();
  await expect(bench.unit('Per’s French')).toBeVisible();
});

test('any part is copied and changed: its mass follows, what cannot be is said, and it stands first where it fits; a note goes on the file', async ({
  bench,
  page,
}) => {
  await bench.open('/bench?lure=torvane-lanes');
  await bench.unit(/bead/i).first().click();
  await bench.button(/^Copy .* and change it$/).click();
  const form = page.getByRole('dialog', { name: 'A part of your own' });
  const mass = form.getByLabel('Mass', { exact: true });
  const before = await mass.inputValue();
  await form.getByLabel('Hole', { exact: true }).fill('9 mm');
  await form.getByLabel('Hole', { exact: true }).press('Enter');
  await expect(form.getByRole('status')).toContainText('has to be smaller');
  await expect(form.getByRole('button', { name: 'Keep this part' })).toBeDisabled();
  await form.getByLabel('Hole', { exact: true }).fill('1.2 mm');
  await form.getByLabel('Hole', { exact: true }).press('Enter');
  await form.getByLabel('Diameter', { exact: true }).fill('5 mm');
  await form.getByLabel('Diameter', { exact: true }).press('Enter');
  await expect(mass).not.toHaveValue(before);
  await form.getByLabel('What you call it').fill('Runa’s bead');
  await expectNothingForAxe(page, { within: '[role=dialog]' });
  await form.getByRole('button', { name: 'Keep this part' }).click();
  const own = page.getByRole('dialog', { name: 'Your own parts' });
  await expect(own.getByRole('list', { name: 'Own parts' })).toContainText('Runa’s bead');
  // Of another kind one starts from one of its kind.
  await own.getByLabel('Measure another kind').selectOption('hook');
  await expect(page.getByRole('dialog', { name: 'A part of your own' }).getByLabel('Gap')).toBeVisible();
  await page.keyboard.press('Escape');
  await bench.unit(/bead/i).first().click();
  await bench.button(/^Swap/).click();
  await page.getByRole('combobox', { name: /Find by size/ }).fill('runa');
  await page.keyboard.press('Enter');
  await expect(bench.unit('Runa’s bead')).toBeVisible();
  const note = await bench.unfold('Note');
  await note.getByRole('textbox').fill('Slow along the drowned timber.');
  await note.getByRole('textbox').blur();
  await bench.saved();
  const { text } = await bench.exported();
  expect(text).toContain('Slow along the drowned timber.');
  expect(text).toContain('"name": "Runa’s bead"');
});

test('own rules about hooks: none at first, then every lure is checked against them and can be mended', async ({
  bench,
  page,
}) => {
  await bench.open();
  await expect(page.getByText(/your rule/)).toHaveCount(0);
  await bench.fromFileMenu('Your rules about hooks and blades');
  const sheet = page.getByRole('dialog', { name: 'Your rules about hooks and blades' });
  await expect(sheet).toContainText('None comes with Mazurka: the authority’s current text decides.');
  await sheet.getByRole('button', { name: 'Add this rule' }).click();
  await expect(sheet.getByRole('alert')).toContainText('Say which water or district');
  await sheet.getByLabel('Water or district it holds for').fill('Lake Hovna');
  await sheet.getByLabel('No barbs').check();
  await sheet.getByLabel('Most hooks on a lure').fill('2');
  await sheet.getByLabel('Where you read it').fill('board at the landing');
  await sheet.getByRole('button', { name: 'Add this rule' }).click();
  await expect(sheet.getByRole('alert')).toContainText('Give the day you read it');
  await sheet.getByLabel('On the day').fill('2031-09-14');
  await sheet.getByRole('button', { name: 'Add this rule' }).click();
  await expect(sheet.getByRole('list', { name: 'Rules' })).toContainText('at most 2 hooks, no barbs');
  await expectNothingForAxe(page, { within: '[role=dialog]' });
  await page.keyboard.press('Escape');

  const findings = page.getByRole('region', { name: 'Findings' });
  await expect(findings).toContainText('Barbed, and your rule for Lake Hovna allows no barbs');
  await expect(findings).toContainText(
    'board at the landing, looked at on 2031-09-14. The authority’s current text decides.',
  );
  await findings.getByRole('button', { name: 'Pinch the barb flat' }).click();
  await expect(findings).toContainText('Keeps your rule for Lake Hovna');
  await bench.saved();
  await page.reload();
  await expect(findings).toContainText('Keeps your rule for Lake Hovna');
  await bench.fromFileMenu('Your rules about hooks and blades');
  await sheet.getByRole('button', { name: 'Take out the rule for Lake Hovna' }).click();
  await expect(sheet.getByRole('list', { name: 'Rules' })).toHaveCount(0);
  await page.keyboard.press('Escape');
  await expect(findings).not.toContainText('your rule');
});
