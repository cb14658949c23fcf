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
  await page.getByRole('button', { name: 'Lures' }).click();
  await page.getByRole('menuitem', { name }).click();
  await page.waitForTimeout(900);
};

const PICTURES: readonly Picture[] = [
  { name: 'bench' },
  { name: 'bench-dark', dark: true, then: choose('Mirrow Drum') },
  {
    name: 'bench-fault',
    then: async (page) => {
      await page.getByRole('option', { name: /Brass barrel/ }).click();
      await page.getByRole('button', { name: 'Take off' }).click();
      await page.getByRole('option', { name: /Fluted/ }).click();
      await page.getByRole('button', { name: 'Swap this part' }).click();
      await page.locator('[data-part=blade-willow-o4]').click();
    },
  },
  {
    name: 'bench-picker',
    then: async (page) => {
      await choose('Suvra Needle')(page);
      await page.getByRole('option', { name: /Willow/ }).click();
      await page.getByRole('button', { name: 'Swap this part' }).click();
      await page.waitForTimeout(400);
    },
  },
  { name: 'bench-phone', width: 390, height: 844 },
];

const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: ['--headless', '--no-sandbox', '--disable-gpu', '--disable-background-networking'],
});
for (const { name, width = 1280, height = 800, dark, then } of PICTURES) {
  const context = await browser.newContext({
    viewport: { width, height },
    colorScheme: dark ? 'dark' : 'light',
    reducedMotion: 'reduce',
  });
  const page = await context.newPage();
  await page.goto(`${base}/bench`);
  await page.getByTestId('elevation').waitFor();
  await page.locator('path.recharts-curve').first().waitFor();
  await then?.(page);
  await page.waitForTimeout(500);
  await page.screenshot({ path: `docs/screenshots/${name}.png` });
  await context.close();
}
await browser.close();
