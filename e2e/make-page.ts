/** Making a lure as a person does it: by what is written on the page. */
import { expect, type Locator, type Page } from '@playwright/test';

export class MakePage {
  constructor(readonly page: Page) {}

  async open(lure: string) {
    await this.page.goto(`/make?lure=${lure}`);
    await expect(this.page.getByRole('heading', { level: 1, name: /^Make / })).toBeVisible();
  }

  step(): Locator {
    return this.page.getByRole('heading', { level: 1 });
  }

  /** `3 of 17` as numbers. */
  async place(): Promise<{ readonly at: number; readonly of: number }> {
    const text = await this.page.getByText(/step \d+ of \d+/).innerText();
    const [, at, of] = /step (\d+) of (\d+)/.exec(text.replace(/\s+/g, ' ')) ?? [];
    return { at: Number(at), of: Number(of) };
  }

  button(name: string | RegExp): Locator {
    return this.page.getByRole('button', { name });
  }

  /** Cautions and what is closed, as they stand above the step. */
  minding(): Locator {
    return this.page.getByRole('note');
  }

  /** What was said aloud so far: call before the page is opened. */
  async listen(): Promise<() => Promise<readonly string[]>> {
    await this.page.addInitScript(() => {
      const said: string[] = [];
      Object.assign(window, { said });
      Object.defineProperty(window, 'SpeechSynthesisUtterance', {
        value: class {
          lang = '';
          rate = 1;
          constructor(readonly text: string) {}
        },
      });
      Object.defineProperty(window, 'speechSynthesis', {
        value: { cancel: () => undefined, speak: (words: { text: string }) => said.push(words.text) },
      });
    });
    return () => this.page.evaluate(() => (window as unknown as { said: string[] }).said);
  }
}
