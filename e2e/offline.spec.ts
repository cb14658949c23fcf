/** Without a network: a server of its own between page and app is really taken away, and brings a newer build when told. */
import { createServer, request, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { expect, test as base, type Page } from '@playwright/test';
import { BenchPage } from './bench-page';

/** Passes everything on to the app; can be down, and can change the service worker as a new build would. */
class Between {
  isDown = false;
  build = 1;
  private constructor(
    private readonly server: Server,
    readonly url: string,
  ) {}

  static async start(app: string): Promise<Between> {
    const target = new URL(app);
    const server = createServer((from, to) => {
      if (between.isDown) return void from.socket.destroy();
      const isWorker = from.url === '/serwist/sw.js';
      const options = {
        host: target.hostname,
        port: target.port,
        path: from.url,
        method: from.method,
        headers: { ...from.headers, 'accept-encoding': 'identity' },
      };
      const passing = request(options, (answer) => {
        if (!isWorker) {
          to.writeHead(answer.statusCode ?? 500, answer.headers);
          return void answer.pipe(to);
        }
        const chunks: Buffer[] = [];
        answer.on('data', (chunk: Buffer) => chunks.push(chunk));
        answer.on('end', () => {
          const body = Buffer.concat([...chunks, Buffer.from(`\n// build ${between.build}`)]);
          to.writeHead(200, { ...answer.headers, 'content-length': body.length, 'cache-control': 'no-store' });
          to.end(body);
        });
      });
      passing.on('error', () => to.destroy());
      from.pipe(passing);
    });
    await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
    const between = new Between(server, `http://127.0.0.1:${(server.address() as AddressInfo).port}`);
    return between;
  }

  stop() {
    this.server.closeAllConnections();
    this.server.close();
  }
}

const test = base.extend<{ between: Between; page: Page; bench: BenchPage }>({
  between: async ({ baseURL }, use) => {
    const between = await Between.start(baseURL ?? '');
    await use(between);
    between.stop();
  },
  page: async ({ browser, between }, use) => {
    const context = await browser.newContext({
      baseURL: between.url,
      serviceWorkers: 'allow',
      acceptDownloads: true,
      viewport: { width: 1280, height: 800 },
    });
    const page = await context.newPage();
    const troubles: string[] = [];
    context.on('weberror', (error) => troubles.push(error.error().message));
    await use(page);
    expect(troubles).toEqual([]);
    await context.close();
  },
  bench: async ({ page }, use) => use(new BenchPage(page)),
});

/** First visit: the app is held once its worker is in charge. */
async function held(page: Page) {
  await page.waitForFunction(async () => {
    await navigator.serviceWorker.ready;
    return navigator.serviceWorker.controller !== null;
  });
}

const failed = (page: Page) => page.getByTestId('failed');

test('after the first visit everything works with the network cut: reload, new tab, every sheet, figures, papers, making', async ({
  bench,
  page,
  between,
}) => {
  await bench.open('/bench');
  await held(page);
  between.isDown = true;
  await page.reload();
  await bench.open('/bench?lure=torvane-lanes');
  await expect(bench.name()).toHaveValue('Torvane Lanes');
  await expect(page.getByTestId('ride')).toContainText(/Depth/);

  for (const [menu, item, title] of [
    ['My lures', /with their drawings/, 'My lures'],
    ['My lures', /New lure/, 'What are you building?'],
    ['File', /Your own parts/, 'Measure a blade'],
    ['File', /rules about hooks/, /ules/],
    ['File', /Backup and restore/, 'Backup and restore'],
  ] as const) {
    await bench.button(menu).first().click();
    await page.getByRole('menuitem', { name: item }).click();
    await expect(page.getByRole('dialog', { name: title })).toBeVisible();
    await page.keyboard.press('Escape');
    await expect(page.getByRole('dialog')).toHaveCount(0);
  }
  await bench.button('Ride and line').click();
  await expect(page.getByRole('dialog').locator('.recharts-surface').first()).toBeVisible();
  await page.keyboard.press('Escape');
  await bench.button('As large as it is').click();
  await expect(page.getByRole('dialog')).toBeVisible();
  await page.keyboard.press('Escape');
  await bench.button('Swap this part').click();
  await expect(page.getByRole('listbox', { name: 'Parts' }).getByRole('option').first()).toBeVisible();
  await page.keyboard.press('Escape');
  await bench.unfold('Versions');
  await bench.button('Keep').click();
  await bench
    .button(/Compare with/)
    .first()
    .click();
  await expect(page.getByRole('dialog')).toBeVisible();
  await page.keyboard.press('Escape');
  await bench.name().fill('Named on the water');
  await bench.name().press('Enter');
  await bench.saved();
  expect((await bench.exported()).text).toContain('Named on the water');
  await expect(failed(page)).toHaveCount(0);

  const paper = await page.context().newPage();
  await paper.goto('/sheet?lure=torvane-lanes&show=template');
  await expect(paper.getByTestId('page').first()).toBeVisible();
  for (const name of ['Save as PDF', 'Save as DXF', 'Save as SVG']) {
    const coming = paper.waitForEvent('download');
    await paper.getByRole('button', { name }).click();
    expect((await (await coming).path()).length).toBeGreaterThan(0);
  }
  await paper.goto('/make?lure=torvane-lanes');
  await expect(paper.getByRole('heading', { name: /Make Named on the water/ })).toBeVisible();
  await paper.keyboard.press('Space');
  await expect(paper.getByText(/step 1 of/)).toBeVisible();
  await paper.getByRole('button', { name: /^Note/ }).click();
  await expect(paper.getByRole('dialog', { name: 'Note for this step' })).toBeVisible();
  await expect(failed(paper)).toHaveCount(0);
});

test('it can be installed: a manifest with icons that are there', async ({ page }) => {
  await page.goto('/bench');
  const href = await page.locator('link[rel=manifest]').getAttribute('href');
  const manifest = (await (await page.request.get(href ?? '')).json()) as {
    start_url: string;
    icons: { src: string; sizes: string }[];
  };
  expect(manifest.start_url).toBe('/bench');
  expect(manifest.icons.map(({ sizes }) => sizes)).toContain('512x512');
  for (const { src } of manifest.icons)
    expect((await page.request.get(src)).headers()['content-type']).toBe('image/png');
});

test('a newer build waits until it is asked for', async ({ bench, page, between }) => {
  await bench.open('/bench');
  await held(page);
  between.build = 2;
  await page.evaluate(async () => (await navigator.serviceWorker.ready).update());
  const news = page.getByRole('complementary', { name: 'A newer Mazurka' });
  await expect(news).toBeVisible();
  const waits = () => page.evaluate(async () => (await navigator.serviceWorker.ready).waiting !== null);
  expect(await waits()).toBe(true);
  await bench.name().fill('Done meanwhile');
  await bench.name().press('Enter');
  await bench.saved();
  await Promise.all([page.waitForEvent('load'), news.getByRole('button', { name: 'Use it now' }).click()]);
  await expect(bench.name()).toHaveValue('Done meanwhile');
  expect(await waits()).toBe(false);
});

test('a part that cannot be fetched says so in its place; the rest goes on, and it comes once the network is back', async ({
  browser,
  between,
}) => {
  const context = await browser.newContext({
    baseURL: between.url,
    serviceWorkers: 'block',
    viewport: { width: 1280, height: 800 },
  });
  const page = await context.newPage();
  const bench = new BenchPage(page);
  const sheet = () => failed(page).filter({ hasText: 'This sheet' });
  await bench.open('/bench');
  await bench.saved();
  await expect(bench.button('File').first()).toBeEnabled();
  // What comes later by itself has come.
  await page.waitForLoadState('networkidle');
  between.isDown = true;
  await bench.button('Ride and line').click();
  await expect(sheet()).toContainText('could not be fetched');
  await bench.name().fill('Still works');
  await bench.name().press('Enter');
  await bench.saved();
  // With the lure changed the sheet was asked for again, and failed again.
  await expect(sheet()).toContainText('could not be fetched');
  between.isDown = false;
  await sheet().getByRole('button', { name: 'Load the page again' }).click();
  await expect(bench.name()).toHaveValue('Still works');
  await bench.button('Ride and line').click();
  await expect(page.getByRole('dialog')).toBeVisible();
  await context.close();
});
