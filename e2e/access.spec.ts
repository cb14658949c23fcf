/** For keys, screen readers and poor eyes: every state of every place, by machine and by tabbing through. */
import { expectNothingForAxe } from './axe';
import { expect, test } from './bench-page';

test('axe decides every state of the Bench: menus, sheets, choices; the focus goes back to what opened each', async ({
  bench,
  page,
}) => {
  await bench.open('/bench?lure=torvane-lanes');
  await expect(page.getByTestId('ride')).toContainText(/Depth/);
  await expectNothingForAxe(page);
  for (const [menu, item] of [
    ['My lures', /with their drawings/],
    ['My lures', /New lure/],
    ['File', /Your own parts/],
    ['File', /rules about hooks/],
    ['File', /Backup and restore/],
  ] as const) {
    const button = page.getByRole('button', { name: menu, exact: true });
    await button.click();
    await expect(page.getByRole('menu')).toBeVisible();
    await expectNothingForAxe(page);
    await page.getByRole('menuitem', { name: item }).click();
    await expect(page.getByRole('dialog')).toBeVisible();
    await expectNothingForAxe(page);
    await page.keyboard.press('Escape');
    await expect(page.getByRole('dialog')).toHaveCount(0);
    await expect(button).toBeFocused();
  }
  for (const name of ['Ride and line', 'From the front', 'As large as it is', 'Swap this part']) {
    await bench.button(name).click();
    await expect(page.getByRole('dialog')).toBeVisible();
    if (name === 'Ride and line')
      await expect(page.getByRole('dialog').locator('.recharts-surface').first()).toBeVisible();
    await expectNothingForAxe(page);
    const unnamed = await page
      .locator('[tabindex="0"]:visible')
      .evaluateAll((all) =>
        all.flatMap((at) =>
          at.getAttribute('aria-label') ||
          at.textContent.trim() ||
          at.getAttribute('aria-labelledby') ||
          at.hasAttribute('data-radix-focus-guard')
            ? []
            : [at.outerHTML.slice(0, 120)],
        ),
      );
    expect(unnamed).toEqual([]);
    await page.keyboard.press('Escape');
    await expect(bench.button(name)).toBeFocused();
  }
});

test('axe decides papers, pages that stand nowhere, and what stops short; each has its heading and its main', async ({
  page,
}) => {
  for (const [address, heading] of [
    ['/sheet?lure=torvane-lanes', /build sheet/],
    ['/sheet?lure=stolk-kettle&show=template', /bending template/],
    ['/sheet?lure=nobody', 'No sheet to show'],
    ['/make', 'Make'],
    ['/make?lure=nobody', 'Nothing to make here'],
  ] as const) {
    await page.goto(address);
    await expect(page.getByRole('heading', { level: 1, name: heading })).toBeVisible();
    await expect(page.getByRole('main')).toHaveCount(1);
    await expectNothingForAxe(page);
  }
});

test('everything that can be pressed is at least 24 px, and 44 px where a finger presses', async ({ bench, page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await bench.open('/bench?lure=torvane-lanes');
  await expect(page.getByTestId('ride')).toContainText(/Depth/);
  const smaller = (px: number) =>
    page
      .locator('button:not(.sr-only):visible, a:visible, select:visible, summary:visible, [role=option]:visible')
      .evaluateAll(
        (all, least) =>
          all.flatMap((at) => {
            const { width, height } = at.getBoundingClientRect();
            return Math.min(width, height) < least - 0.5
              ? [`${at.getAttribute('aria-label') ?? at.textContent} ${width} × ${height}`]
              : [];
          }),
        px,
      );
  expect(await smaller(44)).toEqual([]);
  await bench.unit('Brass bead').click();
  await bench.button('Swap this part').click();
  await expect(page.getByRole('listbox', { name: 'Parts' })).toBeVisible();
  expect(await smaller(24)).toEqual([]);
});

test('groups of choices are one stop for Tab, and arrows choose', async ({ bench, page }) => {
  await bench.open();
  const group = page.getByRole('radiogroup', { name: 'Say the speed by' });
  await group.getByRole('radio', { checked: true }).focus();
  await page.keyboard.press('ArrowRight', { delay: 80 });
  await expect(group.getByRole('radio', { name: 'mph' })).toBeChecked();
  await page.keyboard.press('Tab');
  await expect(group.getByRole('radio').and(page.locator(':focus'))).toHaveCount(0);
});
