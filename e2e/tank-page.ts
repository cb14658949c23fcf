/** The Tank as a tuner uses it. */
import { expect, type Locator, type Page } from '@playwright/test';
import type { CardLine } from '../src/core/tune/target';

export class TankPage {
  constructor(readonly page: Page) {}

  async open(lure: string) {
    await this.page.goto(`/tank?lure=${lure}`);
    await expect(this.page.getByTestId('elevation')).toBeVisible();
    await expect(this.card()).toHaveAttribute('aria-busy', 'false');
  }

  card(): Locator {
    return this.page.getByTestId('action card');
  }

  row(line: CardLine): Locator {
    return this.page.locator(`[data-line="${line}"]`);
  }

  /** The value of a line, as it is shown. */
  async value(line: CardLine): Promise<number> {
    await expect(this.card()).toHaveAttribute('aria-busy', 'false');
    return Number((await this.page.getByTestId(`line ${line}`).innerText()).replace('−', '-'));
  }

  async take(item: string | RegExp) {
    await this.page.getByRole('button', { name: 'Wanted actions' }).click();
    await this.page.getByRole('menuitem', { name: item }).click();
  }

  /** How fast it is drawn, in handle turns a second. */
  async crank(turnsPerS: number) {
    await this.page.getByRole('slider', { name: 'Retrieve, handle turns a second' }).fill(String(turnsPerS));
    await expect(this.card()).toHaveAttribute('aria-busy', 'false');
  }

  moves(): Locator {
    return this.page.getByTestId('move');
  }

  /** All moves are looked at, and the best of them with all they promise. */
  async ranked() {
    await expect(this.page.getByTestId('moves state')).toContainText('the best for their trouble first');
  }

  /** Types a window of a line. */
  async want(line: CardLine, edges: { readonly least?: string; readonly most?: string }) {
    await this.row(line)
      .getByRole('button', { name: /^What is wanted/ })
      .click();
    const form = this.page.getByRole('dialog');
    for (const [label, text] of [
      [/^at least/, edges.least],
      [/^at most/, edges.most],
    ] as const) {
      if (text === undefined) continue;
      await form.getByLabel(label).fill(text);
      await form.getByLabel(label).press('Enter');
    }
    return form;
  }
}
