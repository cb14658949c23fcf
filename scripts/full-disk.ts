/**
 * A disk that is really full, in the real browser: work until storage refuses, go on working, make room, save again, restart.
 * Whatever the page showed as saved has to be there afterwards; see scripts/full-disk.sh.
 */
import { chromium, type BrowserContext, type Page } from '@playwright/test';
import { rm, statfs, writeFile } from 'node:fs/promises';
import { join } from 'node:path';

const base = process.env.MAZURKA_URL;
const [disk] = process.argv.slice(2);
if (!base || disk === undefined) throw new Error('run scripts/full-disk.sh');
const profile = join(disk, 'profile');
const ballast = join(disk, 'ballast');

async function open(): Promise<{ context: BrowserContext; page: Page }> {
  const context = await chromium.launchPersistentContext(profile, {
    executablePath: '/usr/bin/chromium',
    args: [
      '--headless',
      '--no-sandbox',
      '--disable-gpu',
      '--no-first-run',
      '--disable-background-networking',
      '--disk-cache-size=1000000',
    ],
    serviceWorkers: 'block',
    viewport: { width: 1280, height: 800 },
  });
  const page = context.pages()[0] ?? (await context.newPage());
  await page.goto(`${base}/bench`);
  await page.getByRole('listbox', { name: 'The string, nose to tail' }).waitFor();
  // From here on storage is open: what stands on the bench is what it holds.
  await page.getByTestId('saved-state').waitFor();
  return { context, page };
}

const nameField = (page: Page) => page.getByRole('textbox', { name: 'Name of the lure' });
const state = (page: Page) => page.getByTestId('saved-state').innerText();

/** Names the lure and waits until the page says what became of it. */
async function rename(page: Page, name: string): Promise<string> {
  await nameField(page).fill(name);
  await nameField(page).press('Enter');
  for (let n = 0; n < 100; n++) {
    await page.waitForTimeout(50);
    const now = await state(page);
    if (now !== 'saving…') return now;
  }
  return 'saving…';
}

async function fill(): Promise<void> {
  const { bavail, bsize } = await statfs(disk ?? '');
  await writeFile(ballast, Buffer.alloc(Math.max(0, bavail * bsize)), { flag: 'a' }).catch(() => undefined);
}

let { context, page } = await open();
await rename(page, 'Before');
await fill();
let [shownAsSaved, refused] = ['Before', 0];
for (let n = 1; n <= 40; n++) {
  const said = await rename(page, `Full ${n}`);
  if (said === 'saved') shownAsSaved = `Full ${n}`;
  else refused++;
  // What the first refusals gave back is taken again.
  if (n % 10 === 0) await fill();
}
const told = await page
  .getByRole('alert')
  .first()
  .innerText()
  .catch(() => '');
const whileFull = await nameField(page).inputValue();
await rm(ballast, { force: true });
if ((await state(page)) !== 'saved') {
  await page.getByRole('button', { name: 'Try again' }).click();
  await page.waitForTimeout(4000);
}
const afterRoom = await state(page);
if (afterRoom === 'saved') shownAsSaved = whileFull;
const later = await rename(page, 'Room again');
if (later === 'saved') shownAsSaved = 'Room again';
await context.close();
({ context, page } = await open());
await page.waitForTimeout(500);
const found = await nameField(page).inputValue();
const notice = await page.locator('[data-sonner-toast]').allInnerTexts();
await context.close();
await rm(profile, { recursive: true, force: true });

console.log(`refused while full: ${refused} of 40 changes, told: “${told.replace(/\s+/g, ' ').slice(0, 120)}”`);
console.log(
  `with room again: ${afterRoom}, then ${later}; last shown as saved “${shownAsSaved}”, after the restart “${found}” ${notice.join(' ')}`,
);
process.exit(found === shownAsSaved ? 0 : 1);
