import { expect, test } from './bench-page';

test('a newcomer sees a finished, turning lure at once, changes its blade and sees the rate change', async ({
  bench,
  page,
}) => {
  await bench.open('/');
  await expect(page).toHaveURL(/\/bench\?lure=hovna-lantern$/);
  await expect(bench.name()).toHaveValue('Hovna Lantern');
  await expect(page.getByRole('img', { name: /Hovna Lantern from the side, nose left: 9\d\.\d mm/ })).toBeVisible();
  await expect(page.getByRole('dialog')).toHaveCount(0);
  const before = await bench.rate();
  expect(before).toBeGreaterThan(4);

  await bench.swap(/Fluted Indiana/, 'blade-colorado-k4');
  await expect.poll(() => bench.rate()).toBeLessThan(before - 1);
  await expect(page.getByTestId('rate blade-1')).toContainText(`was ${before.toFixed(1)}`);
  await expect(bench.unit('Colorado blade #4')).toBeVisible();
});

test('the lure last on the bench stands, in its theme, before the rest of the app is there, and gives way to it', async ({
  bench,
  page,
}) => {
  await bench.open();
  await bench.choose('Mirrow Drum');
  await bench.button('Dark for dawn').click();
  const kept = () => page.evaluate(() => localStorage.getItem('mazurka picture') ?? '');
  await expect.poll(kept).toMatch(/"lureId":"mirrow-drum".*"theme":"dark"/);

  // This machine may be slow: the picture is waited for however long it takes, and so is its successor.
  await page.addInitScript(() => {
    const after = window.setTimeout.bind(window);
    window.setTimeout = ((run: TimerHandler, ms?: number) =>
      after(run, (ms ?? 0) > 1000 ? 1e9 : ms)) as typeof window.setTimeout;
  });
  let letGo: () => void = () => undefined;
  const rest = new Promise<void>((resolve) => {
    letGo = resolve;
  });
  const isPainted = () => document.querySelector('canvas[data-painted]') !== null;
  await page.route('**/*.js', async (route) => {
    if (await page.evaluate(isPainted).catch(() => false)) await rest;
    await route.continue();
  });
  await page.goto('/bench');
  await expect.poll(() => page.evaluate(isPainted)).toBe(true);
  await expect(page.locator('header')).toContainText('Mirrow Drum');
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'dark');
  await expect(bench.button('My lures')).toBeDisabled();
  await page.waitForTimeout(1000);
  await expect(page.getByTestId('elevation')).toHaveCount(0);

  letGo();
  await expect(bench.string()).toBeVisible();
  await expect(bench.name()).toHaveValue('Mirrow Drum');
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'dark');
  await expect(page.getByTestId('still')).toHaveCount(1);
});

test('the blade is picked on the drawing, and says what it is and measures', async ({ bench, page }) => {
  await bench.open();
  const sweep = page.locator('svg [data-pick="blade-1"]');
  const box = await sweep.boundingBox();
  if (!box) throw new Error('the sweep is on the page');
  await page.mouse.click(box.x + box.width - 12, box.y + 40);
  const inspector = page.getByRole('region', { name: 'Picked part' });
  await expect(inspector.getByRole('heading', { name: 'Fluted Indiana blade #3' })).toBeVisible();
  await expect(inspector).toContainText('31.0 mm');
  await expect(bench.unit(/Fluted Indiana/)).toHaveAttribute('aria-selected', 'true');
});

test('the blade turns on the drawing at the predicted rate, here 8 × slower, and stands under reduced motion', async ({
  bench,
  page,
}) => {
  await page.emulateMedia({ reducedMotion: 'no-preference' });
  await bench.open();
  const predicted = (await bench.rate()) / 8;
  await bench.button('Turning 8 × slower than in life').click();
  // A blade comes to the near side of the lure once a turn. The middle one of the times between is told: a machine that
  // stands still for a moment lengthens one of them and no more. One that paints less than two frames a turn shows no rate
  // at all: then it is counted again.
  const countTurns = (seconds: number) =>
    page.evaluate(async (forMs) => {
      const near = document.querySelector<HTMLElement>('[data-testid="near-side"]');
      if (!near) return -1;
      let last = near.dataset.side;
      const comings: number[] = [];
      const observer = new MutationObserver(() => {
        const now = near.dataset.side;
        if (now !== last && now === 'near') comings.push(performance.now());
        last = now;
      });
      observer.observe(near, { attributes: true });
      await new Promise((resolve) => setTimeout(resolve, forMs));
      observer.disconnect();
      const turns = comings
        .slice(1)
        .map((at, i) => at - (comings[i] ?? 0))
        .sort((a, b) => a - b);
      const middle = turns[Math.floor(turns.length / 2)];
      return middle === undefined ? 0 : 1000 / middle;
    }, seconds * 1000);
  await expect(async () => expect(Math.abs((await countTurns(8)) / predicted - 1)).toBeLessThan(0.1)).toPass();
  await page.emulateMedia({ reducedMotion: 'reduce' });
  expect(await countTurns(1)).toBe(0);
  await expect(page.getByText('one second')).toBeVisible();
});

test('drawing, string and rule share one true scale', async ({ bench, page }) => {
  await bench.open();
  const scale = Number(await page.getByTestId('elevation').getAttribute('data-px-per-mm'));
  const length = async (unit: string) => {
    const box = page.getByTestId('string-bar').locator(`[data-span="${unit}"]`);
    return Number(await box.getAttribute('width')) / scale;
  };
  expect(await length('weight-1')).toBeCloseTo(22, 6);
  expect(await length('bead-3')).toBeCloseTo(4.4, 6);
  expect(await length('blade-1')).toBeCloseTo(31 - 1.8, 6);
  // A row of the drawing 2.6 mm above the axis meets only the body, nearly as long as it is: its ends are rounded.
  const drawn = await page.evaluate((pxPerMm) => {
    const canvas = document.querySelector<HTMLCanvasElement>('canvas[data-testid="still"]');
    const body = document.querySelector('[data-testid="elevation"] rect[data-pick="weight-1"]');
    // The canvas itself is painted by a worker: what it shows is copied to one that can be read.
    const copy = document.createElement('canvas');
    [copy.width, copy.height] = [canvas?.width ?? 0, canvas?.height ?? 0];
    const context = copy.getContext('2d');
    if (!canvas || !context || !body) return 0;
    context.drawImage(canvas, 0, 0);
    const ratio = canvas.width / canvas.clientWidth;
    const [box, stage] = [body.getBoundingClientRect(), canvas.getBoundingClientRect()];
    const y = Math.round((box.top + box.height / 2 - stage.top - 2.6 * pxPerMm) * ratio);
    const from = Math.round((box.left - stage.left) * ratio);
    const { data } = context.getImageData(from, y, Math.round(box.width * ratio), 1);
    let inked = 0;
    for (let x = 3; x < data.length; x += 4) if ((data[x] ?? 0) > 128) inked++;
    return inked / ratio;
  }, scale);
  expect(drawn / scale).toBeGreaterThan(21);
  expect(drawn / scale).toBeLessThan(22);

  // Nearer, the string follows; drawn aside, it goes along; all of it is where it was.
  const shown = async () => Number(await page.getByTestId('elevation').getAttribute('data-px-per-mm'));
  const weight = page.getByTestId('string-bar').locator('[data-span="weight-1"]');
  await bench.button('Nearer').click();
  await expect.poll(shown).toBeCloseTo(scale * 1.35, 3);
  await expect.poll(async () => Number(await weight.getAttribute('width'))).toBeCloseTo(22 * scale * 1.35, 2);
  const at = async () => Number(await weight.getAttribute('x'));
  const before = await at();
  const stage = await page.getByTestId('elevation').boundingBox();
  if (!stage) throw new Error('the stage is on the page');
  const from = { x: stage.x + 120, y: stage.y + stage.height - 70 };
  await page.mouse.move(from.x, from.y);
  await page.mouse.down();
  await page.mouse.move(from.x + 60, from.y - 10, { steps: 6 });
  await page.mouse.up();
  await expect.poll(at).toBeGreaterThan(before + 40);
  await bench.button('All of it').click();
  await expect.poll(shown).toBe(scale);
});

test('nothing is asked of anywhere else, and the policy forbids eval', async ({ bench, page }) => {
  const response = await page.request.get('/bench');
  const policy = response.headers()['content-security-policy'] ?? '';
  expect(policy).toContain("default-src 'self'");
  expect(policy).not.toContain('unsafe-eval');
  await bench.open();
  const fonts = await page.evaluate(async () => {
    await document.fonts.ready;
    return [...document.fonts].filter(({ status }) => status === 'loaded').map(({ family }) => family);
  });
  expect(fonts.join(' ')).toContain('Atkinson Hyperlegible');
  // Later, from the page itself: what the tools run is not held to the policy.
  await page.evaluate(() => {
    const script = document.createElement('script');
    script.text = `setTimeout(() => { try { new Function('return 1')(); document.title = 'allowed'; } catch { document.title = 'forbidden'; } }, 50)`;
    document.head.append(script);
  });
  await expect(page).toHaveTitle('forbidden');
});
