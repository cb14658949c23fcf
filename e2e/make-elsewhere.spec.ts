import { expect, test } from './bench-page';
import { MakePage } from './make-page';

test('numbers in millimetres, inches and one’s own hand; the drawing at true size once the screen is measured', async ({
  page,
}) => {
  // A browser without a voice: it stays silent, nothing else is different.
  await page.addInitScript(() => Object.defineProperty(window, 'speechSynthesis', { value: undefined }));
  const make = new MakePage(page);
  await make.open('suvra-fan');
  await make.button('Speak the steps').click();
  await make.button('Measures of your hand').click();
  await page.getByLabel('Width of your thumb').fill('21 mm');
  await page.getByLabel('Thumb to little finger').fill('9 in');
  await page.keyboard.press('Enter');
  await page.keyboard.press('Escape');
  await make.button('All here: begin').click();
  await expect(page.locator('dl')).toContainText(/136 mm\s*5 3\/8 in\s*≈ 6½ thumbs/);
  await page.keyboard.press('r');
  await make.button('True size').click();
  await page.getByRole('slider', { name: 'Size of the drawn card' }).focus();
  await page.keyboard.press('ArrowRight');
  await page.getByRole('button', { name: /They are the same/ }).click();
  await expect(make.button('True size')).toHaveAttribute('aria-pressed', 'true');
  const scale = Number(await page.getByTestId('step-picture').getAttribute('data-px-per-mm'));
  expect(scale).toBeCloseTo(96 / 25.4, 1);
});

test('a lure that no order of work makes says why and leads back; one that is not here does too', async ({
  page,
  bench,
}) => {
  await bench.open();
  const { text } = await bench.exported();
  const stored = JSON.parse(text) as { lure: { build: { carrier: { nose: object; tail: object } } } };
  stored.lure.build.carrier.nose = { form: 'plain' };
  stored.lure.build.carrier.tail = { form: 'plain' };
  const open = { ...stored, lure: { ...stored.lure, id: 'no-loops', name: 'No loops' } };
  await bench.importText(JSON.stringify(open));
  await expect(bench.name()).toHaveValue('No loops');
  await page.getByRole('link', { name: 'Make it, step by step' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('No loops cannot be made yet');
  await expect(page.locator('main').getByRole('alert')).toContainText('that has no loop: give it one');
  await page.goto('/make?lure=never-made');
  await expect(page.locator('main').getByRole('alert')).toContainText('no longer in this browser’s storage');
  await page.getByRole('link', { name: 'To the bench' }).click();
  await expect(page.getByTestId('elevation')).toBeVisible();
});

test('two tabs on one run follow each other; what is not right is said, against the user’s own rule too', async ({
  page,
  bench,
  context,
}) => {
  await bench.open();
  await bench.fromFileMenu('Your rules about hooks and blades');
  const rules = page.getByRole('dialog');
  await rules.getByLabel('Water or district it holds for').fill('Lake Hovna');
  await rules.getByLabel('Most points on a hook').selectOption('1');
  await rules.getByLabel('Where you read it').fill('the board at the landing');
  await rules.getByLabel('On the day').fill('2031-09-02');
  await rules.getByRole('button', { name: 'Add this rule' }).click();
  await page.keyboard.press('Escape');

  const make = new MakePage(page);
  await make.open('okkel-wisp');
  await make.button('All here: begin').click();
  await expect(page.getByText('step 1 of')).toBeVisible();
  await page.keyboard.press('Space');
  await expect(page.getByText('step 2 of')).toBeVisible();
  const second = await context.newPage();
  await second.goto(page.url());
  const other = new MakePage(second);
  await expect(second.getByText('step 2 of')).toBeVisible();
  await second.keyboard.press('Space');
  await expect(page.getByText('step 3 of')).toBeVisible();
  const { of } = await make.place();
  for (let at = 3; at <= of; at++) {
    await (at % 2 === 0 ? page : second).keyboard.press('PageDown');
    if (at < of) for (const tab of [page, second]) await expect(tab.getByText(`step ${at + 1} of ${of}`)).toBeVisible();
  }
  await expect(other.step()).toHaveText('Okkel Wisp: the last look');
  const hooks = second.getByRole('listitem').filter({ hasText: 'Count hooks and barbs' });
  await expect(hooks).toContainText('On the bench, fault');
  await expect(hooks).toContainText('the authority’s current text decides');
  await hooks.getByRole('button', { name: '✕ Not right' }).click();
  await expect(second.getByRole('note')).toContainText('One thing is not right');
  await expect(
    page.getByRole('listitem').filter({ hasText: 'Count hooks' }).getByRole('button', { name: '✕ Not right' }),
  ).toHaveAttribute('aria-pressed', 'true');
  // Back to the last step and forth again; the judgement stays.
  await second.getByRole('button', { name: 'Back' }).click();
  await expect(page.getByText(`step ${of} of ${of}`)).toBeVisible();
});
