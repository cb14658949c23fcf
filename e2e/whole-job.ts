/** The job of a family from an empty bench to the printed sheet, as every journey of a new family does it. */
import type { Page } from '@playwright/test';
import { readPdf } from '../src/testing/read-pdf';
import { expect, type BenchPage } from './bench-page';
import { MakePage } from './make-page';

/** A new lure of a family. */
export async function startFamily(bench: BenchPage, family: string) {
  await bench.button('My lures').click();
  await bench.page.getByRole('menuitem', { name: 'New lure' }).click();
  await bench.page
    .getByRole('dialog', { name: 'What are you building?' })
    .getByRole('region', { name: family, exact: true })
    .getByRole('button', { name: /^Start with/ })
    .click();
  await expect(bench.name()).toHaveValue(`New ${family.toLowerCase()}`);
}

/** Each place that asks is filled with what is offered first there. @param first what the first place says */
export async function takeWhatIsOffered(page: Page, first: string) {
  await page.getByRole('toolbar', { name: 'Do with the picked part' }).getByRole('button', { name: first }).click();
  const dialog = page.getByRole('dialog');
  const title = dialog.getByRole('heading').first();
  const said = async () => ((await dialog.count()) > 0 ? dialog.innerText() : '');
  await expect(title).toBeVisible();
  for (let asked = ''; (await dialog.count()) > 0;) {
    // Two places may ask alike: then what they would weigh differs.
    asked = await said();
    await expect(dialog.getByRole('combobox')).toBeFocused();
    await expect(dialog.locator('[data-part]').first()).toBeVisible();
    await page.keyboard.press('Enter');
    await expect.poll(said).not.toBe(asked);
  }
}

/** Made step by step from the tool check on; the sentences of its steps. */
export async function makeAll(page: Page): Promise<string[]> {
  await page.getByRole('link', { name: 'Make', exact: true }).click();
  const make = new MakePage(page);
  await make.button('All here: begin').click();
  const said: string[] = [];
  for (;;) {
    const { at, of } = await make.place();
    said.push(await make.step().innerText());
    await page.keyboard.press('Space');
    if (at === of) return said;
    await expect.poll(async () => (await make.place()).at).toBe(at + 1);
  }
}

/** Its sheet on one page, with this on it. */
export async function printSheet(bench: BenchPage, text: string) {
  await bench.open('/bench');
  const opening = bench.page.context().waitForEvent('page');
  await bench.fromFileMenu(/^Build sheet/);
  const sheet = await opening;
  await expect(sheet.getByTestId('page').first()).toContainText(text);
  const printed = await readPdf(await sheet.pdf({ preferCSSPageSize: true, printBackground: true }));
  expect(printed.pages).toBe(1);
}
