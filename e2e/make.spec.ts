import { expectNothingForAxe } from './axe';
import jsQR from 'jsqr';
import { PNG } from 'pngjs';
import type { Page } from '@playwright/test';
import { readPdf } from '../src/testing/read-pdf';
import { expect, test } from './bench-page';
import { MakePage } from './make-page';

/** Clean for axe, at the contrast that Make asks for: 7 to 1. */
const expectClean = (page: Page) => expectNothingForAxe(page, { enhanced: true });

/** Everything that can be pressed is large enough for gloves. */
async function expectLargeTargets(page: Page) {
  const small = await page.locator('button:visible, a:visible, input:visible').evaluateAll((all) =>
    all.flatMap((each) => {
      const { width, height } = each.getBoundingClientRect();
      return width < 55.5 || height < 55.5 ? [`${each.textContent} ${width} × ${height}`] : [];
    }),
  );
  expect(small).toEqual([]);
}

test('by keyboard only: a double-bladed spinner on stacked clevises, from the tool check to its card', async ({
  page,
  bench,
}) => {
  const make = new MakePage(page);
  const said = await make.listen();
  await make.open('suvra-fan');
  await expectClean(page);

  // The tools: where the cutters lie, and that there is a vise to hand or not.
  const tools = page.getByRole('region', { name: 'Tools' });
  // Past the three places.
  for (let i = 0; i < 4; i++) await page.keyboard.press('Tab');
  await expect(tools.getByRole('textbox').first()).toBeFocused();
  await page.keyboard.type('drawer under the window');
  await page.keyboard.press('Tab');
  await page.keyboard.press('Space');
  await expect(page.getByRole('status').filter({ hasText: 'Missing: side cutters' })).toBeVisible();
  await page.keyboard.press('Space');
  await expect(page.getByText('Missing:')).toHaveCount(0);
  while (!(await make.button('All here: begin').evaluate((button) => button === document.activeElement)))
    await page.keyboard.press('Tab');
  await page.keyboard.press('Enter');

  const titles: string[] = [];
  const cautions = new Set<string>();
  const closings: string[] = [];
  let total = 0;
  for (;;) {
    const { at, of } = await make.place();
    total = of;
    expect(at).toBe(titles.length + 1);
    titles.push(await make.step().innerText());
    for (const text of await make.minding().allInnerTexts()) {
      if (text.startsWith('This closes')) closings.push(text);
      else cautions.add(text);
    }
    if (at === 1) {
      await expect(page.getByTestId('step-picture')).toBeVisible();
      await page.keyboard.press('r');
      expect((await said()).at(-1)).toContain('Mind: Clipped wire flies');
      expect((await said()).at(-1)).toContain('136 millimetres');
    }
    if (at === 9) {
      await expect(page.getByRole('list', { name: 'How it is done' })).toContainText('Both lower legs on');
      await expectClean(page);
      // Back and forth by the pages of a pedal.
      await page.keyboard.press('PageUp');
      await expect(make.step()).toHaveText(titles[7] ?? '');
      await page.keyboard.press('PageDown');
      await expect(make.step()).toHaveText(titles[8] ?? '');
    }
    await page.keyboard.press(at % 2 === 0 ? 'PageDown' : 'Space');
    if (at === of) break;
    await expect(page.getByText(`step ${at + 1} of ${of}`)).toBeVisible();
  }
  expect(titles).toHaveLength(total);
  const order = [
    /lower leg of the rear/,
    /lower leg of the front/,
    /Hang the willow.*rear/,
    /Hang the willow.*front/,
    /upper leg of the rear/,
    /upper leg of the front/,
  ];
  const places = order.map((each) => titles.findIndex((title) => each.test(title.replace(/\s+/g, ' '))));
  expect(places).toEqual(places.map((_, i) => (places[0] ?? -1) + i));
  expect([...cautions].join(' ')).toContain('Clipped wire flies');
  expect([...cautions].join(' ')).toContain('Sharp: cap the points');
  expect(closings.some((text) => text.includes('2 × folded clevis'))).toBe(true);

  // The last look: each point tied to what the bench worked out.
  await expect(make.step()).toHaveText('Suvra Fan: the last look');
  await expect(page.getByRole('listitem').filter({ hasText: 'stays clear of the hook' })).toContainText(
    /On the bench, in order: Blade clear of the hook.*mm/,
  );
  await expectClean(page);
  const points = await page.getByRole('group').count();
  expect(points).toBeGreaterThan(4);
  for (let n = 0; n < points; n++) await page.keyboard.press('Space');
  await expect(make.button('Give it its number')).toBeVisible();
  await page.keyboard.press('Space');
  await expect(make.step()).toHaveText('Suvra Fan is made: No. 1');
  await expectClean(page);

  // Its card, on A6, with a code that opens it.
  const card = page.getByTestId('page');
  await expect(card).toContainText('No. 1');
  const printed = await readPdf(await page.pdf({ preferCSSPageSize: true, printBackground: true }));
  expect([printed.pages, Math.round(printed.widthMm), Math.round(printed.heightMm)]).toEqual([1, 105, 148]);
  expect(printed.words).toContain('Sharp: cap the points');
  const { data, width, height } = PNG.sync.read(await card.screenshot());
  const code = jsQR(new Uint8ClampedArray(data), width, height);
  expect(code?.data).toMatch(/\/bench\?lure=suvra-fan$/);
  await bench.open(code?.data ?? '');
  await expect(bench.name()).toHaveValue('Suvra Fan');
  await expect(page.getByRole('region', { name: 'Made or not' })).toContainText(/Made on .*\(No\. 1\), as drawn/);
});

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });

  test('by tapping: a tandem spinnerbait, halves for next and back, cautions on screen, in speech and on paper', async ({
    page,
  }) => {
    const make = new MakePage(page);
    const said = await make.listen();
    await make.open('torvane-lanes');
    await expectLargeTargets(page);
    await make.button('Speak the steps').tap();
    await make.button('All here: begin').tap();
    const { of } = await make.place();
    const seen: string[] = [];
    const cautions = new Set<string>();
    for (let at = 1; at <= of; at++) {
      await expect(page.getByText(`step ${at} of ${of}`)).toBeVisible();
      seen.push((await make.step().innerText()).replace(/\s+/g, ' '));
      for (const text of await make.minding().allInnerTexts()) {
        cautions.add(text);
        // What is written above the step is said with it.
        const words = text
          .replace(/^⚠\s*/, '')
          .replace(/^This closes\.\s*/, '')
          .slice(0, 30)
          .replace(/#(\S)/g, 'number $1')
          .replace(/(\d) ×/g, '$1 times');
        await expect.poll(async () => (await said()).at(-1) ?? '').toContain(words.slice(0, 24));
      }
      if (at === 4) {
        await expectClean(page);
        await expectLargeTargets(page);
        // The left half goes back.
        await page.touchscreen.tap(60, 500);
        await expect(page.getByText(`step 3 of ${of}`)).toBeVisible();
        await page.touchscreen.tap(330, 500);
        await expect(page.getByText(`step 4 of ${of}`)).toBeVisible();
      }
      expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
      if (at % 3 === 0) await make.button(/^Done/).tap();
      else await page.touchscreen.tap(340, 420);
    }
    const inOrder = [
      /frame/,
      /Cap the point/,
      /clevis.*colorado/,
      /spacer tube\.$/,
      /Roll the end loop/,
      /swivel.* in the open loop/,
      /Close the end loop/,
      /Open the split ring.*willow/,
      /skirt band on/,
      /paddle tail.* on the hook/,
    ];
    const places = inOrder.map((each) => seen.findIndex((title) => each.test(title)));
    expect(places).not.toContain(-1);
    expect(places).toEqual(places.toSorted((a, b) => a - b));
    await expect(make.step()).toHaveText('Torvane Lanes: the last look');
    await expectLargeTargets(page);
    for (const good of await page.getByRole('button', { name: '✓ Good' }).all()) await good.tap();
    await make.button('Give it its number').tap();
    await expect(make.step()).toHaveText('Torvane Lanes is made: No. 1');

    await page.goto('/sheet?lure=torvane-lanes');
    const sheet =
      (await page
        .getByTestId('page')
        .innerText()
        .catch(() => '')) ||
      ((await page.getByTestId('page').textContent()) ?? '');
    for (const caution of [...cautions].filter((text) => text.startsWith('⚠')))
      expect(sheet.replace(/\s+/g, '')).toContain(caution.replace(/^⚠\s*/, '').slice(0, 24).replace(/\s+/g, ''));
  });
});

test('the tab is killed half way: days later it goes on at the same step, note, wait and all', async ({
  page,
  context,
}) => {
  const make = new MakePage(page);
  await make.open('hovna-lantern');
  await make.button('All here: begin').click();
  await expect(make.step()).toContainText('Tie the squirrel tail');
  await page.keyboard.press('t');
  await expect(page.getByRole('timer')).toHaveText(/9:\d\d|10:00/);
  await page.keyboard.press('n');
  await page.getByRole('textbox', { name: 'Note' }).fill('Twice round at the neck, it slipped once.');
  await page.keyboard.press('Escape');
  for (let at = 1; at < 6; at++) {
    await page.keyboard.press('Space');
    await expect(page.getByText(`step ${at + 1} of 16`)).toBeVisible();
  }
  const title = await make.step().innerText();
  const devtools = await context.newCDPSession(page);
  // What is promised: nothing older than half a second is lost.
  await page.waitForTimeout(500);
  const crashed = page.waitForEvent('crash');
  void devtools.send('Page.crash').catch(() => undefined);
  await crashed;

  const later = await context.newPage();
  await later.goto('/make?lure=hovna-lantern');
  const underWay = later.getByRole('region', { name: 'Under way' });
  await expect(underWay).toContainText('5 steps done');
  await underWay.getByRole('button', { name: 'Go on' }).click();
  const resumed = new MakePage(later);
  await expect(resumed.step()).toHaveText(title.replace(/\s+/g, ' '));
  await expect(later.getByRole('timer')).toHaveText(/\d+:\d\d/);
  // A reload comes back to the same run.
  await later.reload();
  await expect(resumed.step()).toHaveText(title.replace(/\s+/g, ' '));
  for (let n = 0; n < 5; n++) await later.keyboard.press('PageUp');
  await expect(later.getByText('step 1 of 16')).toBeVisible();
  await later.keyboard.press('n');
  await expect(later.getByRole('textbox', { name: 'Note' })).toHaveValue('Twice round at the neck, it slipped once.');
  await later.keyboard.press('Escape');

  // Given up by mistake, and taken up again.
  await later.goto('/make');
  await later.getByRole('button', { name: 'Give it up' }).click();
  await later.getByRole('button', { name: 'Put it back' }).click();
  await expect(later.getByRole('region', { name: 'Under way' })).toContainText('Hovna Lantern');
  await page.close();
});

test('the screen stays on; a wait rings when it is over, also two steps on; in the dark it reads as well', async ({
  page,
}) => {
  await page.emulateMedia({ colorScheme: 'dark' });
  await page.clock.install({ time: new Date('2031-10-04T06:00:00') });
  await page.addInitScript(() => {
    const asked: string[] = [];
    Object.assign(window, { asked });
    Object.defineProperty(navigator, 'wakeLock', {
      value: {
        request: (kind: string) => {
          asked.push(kind);
          return Promise.resolve({ release: () => Promise.resolve(asked.push('released')) });
        },
      },
    });
  });
  const make = new MakePage(page);
  const said = await make.listen();
  await make.open('okkel-wisp');
  await expectClean(page);
  await make.button('Speak the steps').click();
  await make.button('All here: begin').click();
  await expect(make.step()).toContainText('Tie the hackle');
  await expect.poll(() => page.evaluate(() => (window as unknown as { asked: string[] }).asked)).toEqual(['screen']);
  await make.button('Start 10:00: cement to dry').click();
  await page.keyboard.press('Space');
  await expect(make.step()).toContainText('Cut the stainless wire');
  await expect(page.getByRole('timer')).toHaveText(/9:5\d|10:00/);
  await expectClean(page);
  await page.keyboard.press('Space');
  await expect(make.step()).toContainText('Roll the tail loop');
  await page.clock.fastForward('10:01');
  await expect(page.getByRole('timer')).toHaveText('done');
  await expect.poll(async () => (await said()).at(-1)).toBe('Done: cement to dry.');
  await page.getByRole('button', { name: 'Put away: cement to dry' }).click();
  await expect(page.getByRole('timer')).toHaveCount(0);
  await page.getByRole('link', { name: 'Pause' }).click();
  await expect(page.getByTestId('elevation')).toBeVisible();
});

test('a piece spoiled half way: noted, its sound parts stay, only what hangs on it comes again; a picture is kept', async ({
  page,
}) => {
  const make = new MakePage(page);
  await make.open('hovna-lantern');
  await make.button('All here: begin').click();
  await expect(make.step()).toContainText('Tie');
  await expect(page.getByText('step 1 of 16')).toBeVisible();
  await make.button('Note').click();
  const small = Buffer.from(
    'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
    'base64',
  );
  await page.getByLabel('Add a picture').setInputFiles({ name: 'neck.png', mimeType: 'image/png', buffer: small });
  await expect(page.getByRole('img', { name: 'Taken at this step, 1' })).toBeVisible();
  await page
    .getByLabel('Add a picture')
    .setInputFiles({ name: 'no.png', mimeType: 'image/png', buffer: Buffer.from('no picture') });
  await expect(page.getByRole('dialog').getByRole('alert')).toContainText('A JPEG or PNG');
  await page.keyboard.press('Escape');
  for (let at = 1; at < 16; at++) {
    await page.keyboard.press('Space');
    await expect(page.getByText(`step ${at + 1} of 16`)).toBeVisible();
  }
  await make.button('Spoiled').click();
  await page.getByRole('radio', { name: 'Stainless wire' }).click();
  const told = page.getByRole('dialog').getByRole('status');
  await expect(told).toContainText(/Lost: Stainless wire 0\.90 mm, Shrink tube/);
  await expect(told).toContainText(/Sound, used again:.*Fluted Indiana/);
  await make.button('Note it and go back').click();
  await expect(make.step()).toContainText('Cut the stainless wire');
  await expect(page.getByText('step 2 of 16')).toBeVisible();
  await page.reload();
  await expect(make.step()).toContainText('Cut the stainless wire');
});
