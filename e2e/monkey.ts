/** A monkey at the page: presses, types and goes anywhere, the same for the same seed, and says when something gave way. */
import type { BrowserContext, Locator, Page } from '@playwright/test';

const PLACES = [
  '/bench',
  '/make',
  '/bench?lure=torvane-lanes',
  '/make?lure=okkel-wisp',
  '/sheet?lure=stolk-kettle',
  '/sheet?lure=asp-pair&show=template',
  '/bench?lure=nobody',
];
const TYPED = [
  '',
  '0',
  '0.0001',
  '-3',
  '1e9',
  'NaN',
  '7/16 oz',
  '.038',
  '1 3/4"',
  '#3½',
  '5mm',
  'wide',
  'x'.repeat(200),
  'Щука\u0000 №3',
  '2031-99-99',
  '12',
  '0.8',
];
const KEYS = [
  'Tab',
  'Enter',
  'Escape',
  ' ',
  'ArrowDown',
  'ArrowUp',
  'ArrowLeft',
  'ArrowRight',
  'Delete',
  'i',
  'Control+z',
  'Control+y',
  'Alt+ArrowRight',
  'Alt+ArrowLeft',
  'PageDown',
  'Home',
  'n',
  't',
];
/** What leaves the page for the machine's own windows. */
const NOT_PRESSED = /^(Print on|Import|Open a backup|Load the page again)/;

export interface Monkey {
  readonly done: number;
  readonly troubles: readonly string[];
}

export async function letLoose(context: BrowserContext, actions: number, seed: number): Promise<Monkey> {
  const troubles: string[] = [];
  let state = (seed % 2147483646) + 1;
  const random = () => {
    state = (state * 48271) % 2147483647;
    return state / 2147483647;
  };
  const oneOf = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)] as T;
  let did = 'nothing';
  const trouble = (what: string) => troubles.push(`${what} (after ${did})`);
  context.on('weberror', (error) => trouble(`error in the page: ${error.error().message}`));
  await context.addInitScript(() => {
    window.print = () => undefined;
  });
  const page = await context.newPage();
  await page.goto('/bench');
  let done = 0;
  for (; done < actions; done++) {
    const what = random();
    try {
      if (what < 0.04) {
        const place = oneOf(PLACES);
        did = `going to ${place}`;
        await page.goto(place);
      } else if (what < 0.07) {
        did = 'reloading';
        await page.reload();
      } else if (what < 0.27) {
        const key = oneOf(KEYS);
        did = `the key ${key}`;
        await page.keyboard.press(key);
      } else if (what < 0.42) {
        did = await typeSomewhere(page, random, oneOf(TYPED));
      } else did = await pressSomething(page, random);
    } catch (error) {
      // What was there a moment ago may be gone: a person would have missed it too.
      if (
        !/Timeout|not attached|detached|intercepts|outside of the viewport|not visible|destroyed|closed|ERR_ABORTED|interrupted/i.test(
          String(error),
        )
      )
        trouble(`the page did not take it: ${String(error).slice(0, 300)}`);
    }
    for (const other of context.pages()) if (other !== page && random() < 0.5) await other.close();
    const gone = await whatIsGone(page);
    if (gone !== null) trouble(gone);
    if (gone !== null || troubles.length > 5) break;
  }
  return { done, troubles };
}

async function nth(all: Locator, random: () => number): Promise<Locator | null> {
  const count = await all.count();
  return count === 0 ? null : all.nth(Math.floor(random() * count));
}

async function pressSomething(page: Page, random: () => number): Promise<string> {
  const roles =
    '[role=menuitem]:visible, [role=dialog] button:visible:enabled, button:visible:enabled, [role=option]:visible, [role=radio]:visible, summary:visible, a[href^="/"]:visible, input[type=checkbox]:visible';
  const at = await nth(page.locator(roles), random);
  if (!at) return 'pressing nothing';
  const name = (
    (await at.getAttribute('aria-label', { timeout: 500 })) ?? (await at.innerText({ timeout: 500 }))
  ).slice(0, 60);
  if (NOT_PRESSED.test(name)) return `leaving ${name}`;
  await at.click({ timeout: 700 });
  return `pressing ${name.replace(/\s+/g, ' ')}`;
}

async function typeSomewhere(page: Page, random: () => number, text: string): Promise<string> {
  const at = await nth(
    page.locator('input:visible:not([type=file]):not([type=checkbox]):not([type=range]), textarea:visible'),
    random,
  );
  if (!at) return 'typing nowhere';
  const name = (await at.getAttribute('aria-label', { timeout: 500 })) ?? 'a field';
  await at.fill(text, { timeout: 700 });
  if (random() < 0.7) await page.keyboard.press(random() < 0.8 ? 'Enter' : 'Tab');
  return `typing ${JSON.stringify(text.slice(0, 20))} into ${name}`;
}

/** What is no longer right with the page as a whole; null when all is. */
async function whatIsGone(page: Page): Promise<string | null> {
  try {
    await page.waitForLoadState('domcontentloaded', { timeout: 5000 });
    return await page.evaluate(() => {
      const failed = document.querySelector('[data-testid=failed]');
      if (failed) return `a room failed: ${failed.textContent.slice(0, 300)}`;
      const text = (document.body as HTMLElement | null)?.innerText ?? '';
      if (/This page failed|Application error/.test(text)) return 'the page is gone';
      if (/\bNaN\b|\bundefined\b/.test(text.replace(/“[^”]*”/g, '')) && !document.querySelector('input:focus'))
        return `NaN or undefined: ${/.{30}(NaN|undefined).{30}/s.exec(text)?.[0] ?? ''}`;
      if (/Damaged and left as they are/.test(text))
        return `an unreadable record: ${/Damaged[^.]*/.exec(text)?.[0] ?? ''}`;
      return document.querySelector('main, [role=status], [role=dialog]') ? null : 'the page is empty';
    });
  } catch (error) {
    return /destroyed|navigat|closed/i.test(String(error)) ? null : String(error);
  }
}

/** Every record of this browser read back; what cannot be is named. */
export async function unreadable(page: Page): Promise<readonly string[]> {
  await page.goto('/bench');
  await page.getByTestId('saved-state').waitFor();
  await page.getByRole('button', { name: 'File' }).click();
  await page.getByRole('menuitem', { name: /Backup and restore/ }).click();
  const coming = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save a backup' }).click();
  const [{ readFile }, { readBackup }] = await Promise.all([
    import('node:fs/promises'),
    import('../src/data/backup/read-backup'),
  ]);
  const zip = await readFile(await (await coming).path());
  const read = await readBackup(new Blob([new Uint8Array(zip)]), () => undefined);
  if (!read.ok) return [read.problem.code];
  return [
    ...read.unreadable.map(({ file, message }) => `${file}: ${message}`),
    ...read.contents.damaged.map(({ id }) => `${id}: damaged`),
  ];
}
