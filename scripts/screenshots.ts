/** Takes the pictures in docs/screenshots from the demo data: `bash scripts/screenshots.sh` starts the built app for it. */
import { chromium, type Page } from '@playwright/test';

const base = process.env.MAZURKA_URL;
if (!base) throw new Error('MAZURKA_URL is not set: run scripts/screenshots.sh');

interface Picture {
  readonly name: string;
  readonly width?: number;
  readonly height?: number;
  readonly dark?: boolean;
  readonly then?: (page: Page) => Promise<void>;
}

const choose = (name: string) => async (page: Page) => {
  await page.getByRole('button', { name: 'My lures' }).click();
  await page.getByRole('menuitem', { name }).click();
  await page.waitForTimeout(900);
};

const take = async (page: Page, id: string) => {
  await page.getByRole('combobox', { name: /Find by size/ }).fill(id);
  await page.locator(`[data-part="${id}"]`).click();
};

/** So many times on from the tool check. */
const make = (lure: string, times: number) => async (page: Page) => {
  await page.goto(`${base}/make?lure=${lure}`);
  await page.getByRole('button', { name: 'All here: begin' }).click();
  await page.getByRole('button', { name: /^Done/ }).waitFor();
  for (let n = 0; n < times; n++) {
    await page.keyboard.press('Space');
    await page.waitForTimeout(120);
  }
  await page.waitForTimeout(600);
};

const PICTURES: readonly Picture[] = [
  { name: 'bench' },
  {
    name: 'tank',
    dark: true,
    then: async (page) => {
      await page.goto(`${base}/tank?lure=torvane-lanes`);
      await page.getByRole('button', { name: 'Wanted actions' }).click();
      await page.getByRole('menuitem', { name: 'Slow, a hard thump, and down' }).click();
      await page.getByText('the best for their trouble first').waitFor({ timeout: 60_000 });
    },
  },
  {
    name: 'bench-fault',
    then: async (page) => {
      await page.getByRole('option', { name: /Brass barrel/ }).click();
      await page.getByRole('button', { name: 'Take off' }).click();
      await page.getByRole('option', { name: /Fluted/ }).click();
      await page.getByRole('button', { name: 'Swap this part' }).click();
      await take(page, 'blade-willow-o4');
    },
  },
  {
    name: 'ride',
    then: async (page) => {
      await choose('Stolk Kettle')(page);
      await page.getByRole('button', { name: 'Ride and line' }).click();
      await page.getByLabel('Line out').fill('25 m');
      await page.getByLabel('Line out').press('Enter');
      await page.getByLabel('Counted down, seconds').fill('5');
      await page.getByLabel('Counted down, seconds').press('Enter');
      await page.waitForTimeout(2500);
    },
  },
  {
    name: 'bench-picker',
    then: async (page) => {
      await choose('Suvra Needle')(page);
      await page.getByRole('option', { name: /Willow/ }).click();
      await page.getByRole('button', { name: 'Swap this part' }).click();
      await page.locator('[data-hear]').nth(2).click();
      await page.getByTestId('apart in sound').waitFor();
    },
  },
  { name: 'bench-phone', width: 390, height: 844 },
  {
    name: 'sound',
    then: async (page) => {
      await choose('Mirrow Drum')(page);
      await page.getByRole('button', { name: 'How it sounds' }).click();
      await page.getByRole('img', { name: /ting of/ }).waitFor();
      await page.waitForTimeout(500);
    },
  },
  { name: 'make-step', then: make('suvra-fan', 11) },
  { name: 'make-phone', width: 390, height: 844, then: make('suvra-mouth', 3) },
  { name: 'make-card', then: make('suvra-fan', 28) },
  { name: 'bait', then: choose('Torvane Lanes') },
  {
    name: 'harness',
    then: async (page) => {
      await page.goto(`${base}/bench?lure=suvra-mouth`);
      await page.getByTestId('rate blade-1').waitFor();
    },
  },
  {
    name: 'new-lure',
    then: async (page) => {
      await page.getByRole('button', { name: 'My lures' }).click();
      await page.getByRole('menuitem', { name: 'New lure' }).click();
    },
  },
  {
    name: 'lures',
    then: async (page) => {
      await page.getByRole('button', { name: 'My lures' }).click();
      await page.getByRole('menuitem', { name: /with their drawings/ }).click();
      await page.locator('li canvas').first().waitFor();
    },
  },
  {
    name: 'compare',
    then: async (page) => {
      await choose('Torvane Lanes')(page);
      await page.getByRole('option', { name: /Willow blade/ }).click();
      await page.getByRole('button', { name: 'Swap this part' }).click();
      await take(page, 'blade-colorado-k4');
      const bend = page.getByRole('slider', { name: /on the drawing/ }).nth(1);
      await bend.focus();
      for (let i = 0; i < 2; i++) await page.keyboard.press('Shift+ArrowUp');
      await page.getByRole('region', { name: 'Versions' }).locator('summary').click();
      await page.getByRole('button', { name: 'Compare with As first fished' }).click();
      const sheet = page.getByRole('dialog');
      await sheet.getByLabel('Lay another beside it').last().fill('stolk');
      await sheet.getByRole('button', { name: 'Lay Stolk Kettle beside it' }).click();
      await sheet.getByRole('columnheader').filter({ hasText: 'Stolk Kettle' }).waitFor();
      await sheet.getByRole('row', { name: /^Depth/ }).waitFor();
    },
  },
  {
    name: 'template',
    height: 1000,
    then: async (page) => {
      await page.goto(`${base}/sheet?lure=stolk-kettle&show=template`);
      await page.getByTestId('page').waitFor();
    },
  },
  {
    name: 'own-blade',
    then: async (page) => {
      await page.getByRole('button', { name: 'File' }).click();
      await page.getByRole('menuitem', { name: 'Your own parts' }).click();
      for (const [label, text] of [
        ['Length', '26.4'],
        ['Width', '16.8'],
        ['Hole', '1.6'],
        ['Root to hole', '1.1'],
        ['Mass', '1.41'],
        ['Crown', '2.3'],
      ] as const) {
        await page.getByLabel(label, { exact: true }).fill(text);
        await page.keyboard.press('Tab');
      }
      await page.getByLabel('Crown').focus();
    },
  },
  {
    name: 'front',
    then: async (page) => {
      await choose('Lommer Clapper')(page);
      await page.getByRole('button', { name: 'From the front' }).click();
      await page.getByTestId('from the front').getByText(/pulls/).waitFor();
    },
  },
  {
    name: 'sheet',
    height: 1240,
    then: async (page) => {
      await page.goto(`${base}/sheet?lure=hovna-lantern`);
      await page.getByTestId('page').waitFor();
    },
  },
];

const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: ['--headless', '--no-sandbox', '--disable-gpu', '--disable-background-networking'],
});
// All, or those named behind the command.
const named = process.argv.slice(2);
const pictures = PICTURES.filter(({ name }) => named.length === 0 || named.includes(name));
for (const { name, width = 1280, height = 800, dark, then } of pictures) {
  const context = await browser.newContext({
    viewport: { width, height },
    colorScheme: dark ? 'dark' : 'light',
    reducedMotion: 'reduce',
  });
  const page = await context.newPage();
  await page.goto(`${base}/bench`);
  await page.getByRole('listbox', { name: 'The string, nose to tail' }).waitFor();
  await page.locator('path.recharts-curve').first().waitFor();
  // The first picture is the first visit; the others are of people who have read what it is for.
  if (name !== 'bench' && width >= 1280) await page.getByRole('button', { name: 'Got it' }).click();
  await then?.(page);
  await page.mouse.move(width / 2, 8);
  await page.waitForTimeout(500);
  await page.screenshot({ path: `docs/screenshots/${name}.png` });
  await context.close();
}
await browser.close();
