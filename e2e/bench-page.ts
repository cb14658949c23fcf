/** What the journeys have in common: the page as a person uses it, by what is written on it. */
import { expect, test as base, type Locator, type Page } from '@playwright/test';
import { readFile } from 'node:fs/promises';

export class BenchPage {
  constructor(readonly page: Page) {}

  async open(path = '/') {
    await this.page.goto(path);
    await expect(this.page.getByTestId('elevation')).toBeVisible();
    await expect(this.string()).toBeVisible();
  }

  name(): Locator {
    return this.page.getByRole('textbox', { name: 'Name of the lure' });
  }

  string(): Locator {
    return this.page.getByRole('listbox', { name: 'The string, nose to tail' });
  }

  unit(name: string | RegExp): Locator {
    return this.string().getByRole('option', { name, exact: typeof name === 'string' });
  }

  /** The string's names, nose to tail. */
  order(): Promise<string[]> {
    return this.string()
      .getByRole('option')
      .evaluateAll((options) => options.map((option) => option.getAttribute('aria-label') ?? ''));
  }

  button(name: string | RegExp): Locator {
    return this.page.getByRole('button', { name });
  }

  async choose(lure: string) {
    await this.button('My lures').click();
    await this.page.getByRole('menuitem', { name: new RegExp(lure) }).click();
    await expect(this.name()).toHaveValue(lure);
  }

  /** A new lure of this kind, on bare wire. */
  async start(kind: 'Inline spinner' | 'Spinnerbait' | 'Buzzbait') {
    await this.button('My lures').click();
    await this.page.getByRole('menuitem', { name: 'New lure' }).click();
    const asked = this.page.getByRole('dialog', { name: 'What are you building?' });
    await asked.getByRole('region', { name: kind }).getByRole('button', { name: 'Start with bare wire' }).click();
    await expect(this.name()).toHaveValue(`New ${kind.toLowerCase()}`);
  }

  /** Counts the presses of a journey. */
  presses = 0;

  async press(what: Locator) {
    this.presses++;
    await what.click();
  }

  /** Fills the places that ask, each with the part of this id, by looking for it and taking it. */
  async fillSlots(ids: readonly (readonly [title: string, id: string])[]) {
    const tools = this.page.getByRole('toolbar', { name: 'Do with the picked part' });
    await this.press(tools.getByRole('button', { name: ids[0]?.[0] ?? '' }));
    const dialog = this.page.getByRole('dialog');
    for (const [title, id] of ids) {
      await expect(dialog.getByRole('heading', { name: title })).toBeVisible();
      await dialog.getByRole('combobox').fill(id);
      await this.press(dialog.locator(`[data-part="${id}"]`));
    }
  }

  /** Presses a button with the keyboard alone. */
  async enter(name: string | RegExp) {
    await this.button(name).first().focus();
    await this.page.keyboard.press('Enter');
  }

  /** Picks a unit of the string, presses what is to be done with it, and takes this part. */
  async put(unit: string | RegExp, command: string, id: string, kind?: string) {
    await this.unit(unit).click();
    await this.button(command).click();
    await this.pickPart(id, kind);
  }

  /** Nothing is open beside the drawing. */
  async expectAllInOrder() {
    await expect(this.findings()).toContainText(/\d+ checks? in order/);
    await expect(this.findings().locator('[data-severity="fault"], [data-severity="caution"]')).toHaveCount(0);
  }

  /** The checks that are in order, one line until they are asked for. */
  async showChecksInOrder() {
    await this.findings().locator('details:not([open]) > summary').click();
  }

  /** A folded section beside the drawing, opened. */
  async unfold(name: string): Promise<Locator> {
    const section = this.page.getByRole('region', { name });
    await section.locator('details:not([open]) > summary').first().click();
    return section;
  }

  findings(): Locator {
    return this.page.getByRole('region', { name: 'Findings' });
  }

  async fromFileMenu(item: string | RegExp) {
    await this.button('File').click();
    await this.page.getByRole('menuitem', { name: item }).click();
  }

  async pickPart(id: string, kind?: string) {
    const dialog = this.page.getByRole('dialog');
    if (kind) await dialog.getByRole('radio', { name: kind, exact: true }).click();
    await dialog.getByRole('combobox').fill(id);
    await dialog.locator(`[data-part="${id}"]`).click();
    await expect(dialog).toBeHidden();
  }

  async swap(unit: string | RegExp, id: string) {
    await this.unit(unit).click();
    await this.button(/^Swap/).click();
    await this.pickPart(id);
  }

  /** Turns a second as shown. */
  async rate(): Promise<number> {
    const told = this.page.getByTestId('rate blade-1');
    // A label is laid before it is placed, and shown then.
    await expect(told).toBeVisible();
    const text = await told.innerText();
    return Number(/(\d+\.\d)\s*turns\/s/.exec(text.replace(/\n/g, ' '))?.[1]);
  }

  faults(): Locator {
    return this.page.locator('[data-severity="fault"]');
  }

  async saved() {
    await expect(this.page.getByTestId('saved-state')).toHaveText('saved');
  }

  /** The text of the file that Export gives, and its name. */
  async exported(press: () => Promise<void> = () => this.fromFileMenu('Export this lure')) {
    const downloading = this.page.waitForEvent('download');
    await press();
    const download = await downloading;
    return { name: download.suggestedFilename(), text: await readFile(await download.path(), 'utf8') };
  }

  async importText(text: string, name = 'lure.mazurka.json') {
    await this.page
      .getByLabel('Lure file to import')
      .setInputFiles({ name, mimeType: 'application/json', buffer: Buffer.from(text) });
  }

  notice(text: string | RegExp): Locator {
    return this.page.locator('[data-sonner-toast]').filter({ hasText: text });
  }
}

/** Every journey also fails on an error in the console, on a request that leaves the machine, or on a NaN on screen. */
export const test = base.extend<{ bench: BenchPage; watched: null }>({
  bench: async ({ page }, use) => use(new BenchPage(page)),
  watched: [
    async ({ context, baseURL }, use) => {
      if (!baseURL) throw new Error('MAZURKA_URL is not set: run the journeys through `npm test` or `npm run e2e`');
      const troubles: string[] = [];
      context.on('request', (request) => {
        const url = request.url();
        if (!url.startsWith(baseURL) && !/^(data|blob):/.test(url)) troubles.push(`request to ${url}`);
      });
      context.on('console', (message) => {
        if (message.type() === 'error') troubles.push(`console: ${message.text()}`);
      });
      context.on('weberror', (error) => troubles.push(`page: ${error.error().message}`));
      await use(null);
      for (const page of context.pages()) {
        const text = await page.evaluate(() => (document.body as HTMLElement | null)?.innerText ?? '');
        if (/NaN|undefined|Infinity/.test(text)) troubles.push('NaN or undefined on the page');
      }
      expect(troubles).toEqual([]);
    },
    { auto: true },
  ],
});

export { expect };
