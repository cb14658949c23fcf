import { expectNothingForAxe } from './axe';
import { expect, test } from './bench-page';

test('everything by keyboard: pick, move, insert, swap, hang, take off, undo, name, speed, files', async ({
  bench,
  page,
}) => {
  await bench.open();
  const order = await bench.order();
  const press = (...keys: string[]) =>
    keys.reduce((done, key) => done.then(() => page.keyboard.press(key)), Promise.resolve());
  const focused = () => page.evaluate(() => document.activeElement?.getAttribute('aria-label') ?? '');

  // From the top of the page to the string by Tab alone.
  let tabs = 0;
  for (; tabs < 40 && !(await focused()).startsWith('Fluted Indiana'); tabs++) await press('Tab');
  expect(tabs).toBeLessThan(40);
  await press('Home', 'ArrowRight');
  expect(await focused()).toBe('Glass bead');
  await press('Alt+ArrowRight');
  await expect
    .poll(async () => (await bench.order()).slice(1, 4))
    .toEqual(['Folded clevis #1', 'Fluted Indiana blade #3', 'Glass bead']);
  await press('Control+z');
  await expect.poll(() => bench.order()).toEqual(order);

  await bench.unit('Glass bead').focus();
  await press('i');
  await expect(page.getByRole('dialog', { name: 'Thread on the wire' })).toBeVisible();
  await expect(page.getByRole('combobox')).toBeFocused();
  await page.keyboard.type('pearl');
  await press('Enter');
  await expect(bench.unit('Plastic bead')).toBeVisible();
  await bench.unit('Plastic bead').focus();
  await press('Delete');
  await expect.poll(() => bench.order()).toEqual(order);

  await bench.unit(/Fluted Indiana/).focus();
  await press('Enter');
  await expect(page.getByRole('combobox')).toBeFocused();
  await page.keyboard.type('willow gold');
  await press('ArrowDown', 'ArrowUp', 'Enter');
  await expect(bench.unit('Willow blade #4')).toBeVisible();
  await press('Control+z');
  await expect(bench.unit(/Fluted Indiana/)).toBeVisible();
  await press('Control+Shift+z');
  await expect(bench.unit('Willow blade #4')).toBeVisible();

  await page.getByRole('slider').focus();
  const rate = await bench.rate();
  await press('ArrowRight', 'ArrowRight', 'ArrowRight', 'ArrowRight', 'ArrowRight');
  await expect.poll(() => bench.rate()).toBeGreaterThan(rate);
  await bench.button('File').focus();
  await press('Enter');
  const item = page.getByRole('menuitem', { name: 'Export this lure' });
  await expect(async () => {
    for (const key of ['Home', 'ArrowDown', 'ArrowDown']) await page.keyboard.press(key, { delay: 60 });
    await expect(item).toBeFocused({ timeout: 500 });
  }).toPass();
  const { name } = await bench.exported(() => press('Enter'));
  expect(name).toBe('hovna-lantern.mazurka.json');
});

test('a first swap within six stops of the tab key; a letter leads to another place', async ({ bench, page }) => {
  await bench.open();
  await page.keyboard.press('Tab');
  await expect(page.getByRole('button', { name: 'To the parts' })).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(bench.unit(/Fluted Indiana/)).toBeFocused();
  await page.keyboard.press('Tab');
  await expect(bench.button('Swap this part')).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('combobox', { name: /Find by size/ })).toBeFocused();
  await page.keyboard.type('#3 willow');
  await expect(page.locator('[data-part]').first()).toContainText('Willow');
  await page.keyboard.press('Enter');
  await expect(bench.unit(/Willow/)).toBeVisible();
  // Back where the hand was.
  await expect(bench.button('Swap this part')).toBeFocused();
  await bench.saved();
  await page.evaluate(() => (document.activeElement as HTMLElement).blur());
  await page.keyboard.press('m');
  await expect(page).toHaveURL(/\/make\?lure=hovna-lantern$/);
  await expect(page.getByRole('link', { name: 'Bench', exact: true })).toBeVisible();
  await page.keyboard.press('b');
  await expect(page).toHaveURL(/\/bench\?lure=hovna-lantern$/);
});

test('the focus is always to be seen', async ({ bench, page }) => {
  await bench.open();
  for (let i = 0; i < 14; i++) {
    await page.keyboard.press('Tab');
    const outline = await page.evaluate(() => {
      const style = document.activeElement ? getComputedStyle(document.activeElement) : null;
      return style ? `${style.outlineStyle} ${style.outlineWidth}` : '';
    });
    expect(outline).toBe('solid 3px');
  }
});

test.describe('by touch, at 390 px', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });

  test('a part is tapped, swapped and moved; nothing runs off the side', async ({ bench, page }) => {
    await bench.open();
    // Tapped once all stands in its place.
    await expect(page.getByTestId('ride')).toContainText('Depth');
    await bench.unit(/Fluted Indiana/).tap();
    await bench.button('Swap this part').tap();
    await page.locator('[data-part="blade-colorado-k3"]').tap();
    await expect(bench.unit('Colorado blade #3')).toBeVisible();
    await bench.unit('Glass bead').tap();
    await bench.button('Move towards the tail').tap();
    await expect.poll(async () => (await bench.order()).indexOf('Glass bead')).toBe(3);
    const overflow = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
    expect(overflow).toBeLessThanOrEqual(0);
    for (const name of ['Swap this part', 'Take off', 'Undo', 'File']) {
      const box = await bench.button(name).boundingBox();
      expect(Math.min(box?.width ?? 0, box?.height ?? 0)).toBeGreaterThanOrEqual(44);
    }
    await expectNothingForAxe(page);
  });

  test('a part is held and dragged along the string with a finger', async ({ bench, page, context }) => {
    await bench.open();
    // Measured once all stands in its place.
    await expect(page.getByTestId('ride')).toContainText('Depth');
    const [from, to] = [
      await bench.unit('Glass bead').boundingBox(),
      await bench.unit('Faceted glass bead').boundingBox(),
    ];
    if (!from || !to) throw new Error('both are on the page');
    const finger = await context.newCDPSession(page);
    const touch = (type: 'touchStart' | 'touchMove' | 'touchEnd', x = 0, y = 0) =>
      finger.send('Input.dispatchTouchEvent', { type, touchPoints: type === 'touchEnd' ? [] : [{ x, y }] });
    const y = from.y + from.height / 2;
    const [start, end] = [from.x + from.width / 2, to.x + to.width / 2 + 6];
    await touch('touchStart', start, y);
    await page.waitForTimeout(350);
    for (let n = 1; n <= 12; n++) await touch('touchMove', start + ((end - start) * n) / 12, y);
    await page.waitForTimeout(150);
    await touch('touchEnd');
    await expect
      .poll(async () => {
        const order = await bench.order();
        return order.indexOf('Glass bead') - order.indexOf('Faceted glass bead');
      })
      .toBe(1);
  });
});

test('axe finds nothing: light, dark, with a fault, with the picker open', async ({ bench, page }) => {
  test.slow();
  await bench.open();
  await expect(page.locator('path.recharts-curve').first()).toBeVisible();
  await expectNothingForAxe(page);
  await bench.button('Dark for dawn').click();
  await expectNothingForAxe(page);
  await bench.unit(/Brass barrel body/).click();
  await bench.button('Take off').click();
  await bench.swap(/Fluted Indiana/, 'blade-willow-o4');
  await expect(bench.faults()).toHaveCount(1);
  await expectNothingForAxe(page);
  await bench.unit('Glass bead').click();
  await bench.button('Insert after').click();
  await expect(page.getByRole('dialog')).toBeVisible();
  await expectNothingForAxe(page);
  await page.keyboard.press('Escape');
  await bench.button('Light for the garage').click();
  await expectNothingForAxe(page);
});
