/** Long lists in the built app: a key typed in the choice of 20,000 parts, and 2,000 lures listed. */
import type { Browser } from '@playwright/test';
import { mkdtemp, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { CATALOGUE } from '../src/core/parts/catalogue';
import { writePartsFile } from '../src/core/parts/parts-file';
import type { Part } from '../src/core/parts/part';
import { partIdSchema } from '../src/core/parts/kinds/common';
import { DEMO_LURES } from '../src/demo/scenario';
import { median, type Figure } from './measure';
import { AFTER_FRAME, COUNT_FRAMES, FRAMES_SO_FAR, openBench } from './page';

const PARTS = 20_000;

/** From a key until what it changed is painted: two frames on, a message comes once that is done. */
const TIME_KEYS = `
  document.querySelector('input[role="combobox"]').addEventListener('keydown', () => {
    const started = performance.now();
    requestAnimationFrame(() => requestAnimationFrame(() => {
      const channel = new MessageChannel();
      channel.port1.onmessage = () => { document.documentElement.dataset.keyMs = performance.now() - started; };
      channel.port2.postMessage(null);
    }));
  }, { capture: true });
`;

/** Own parts by the thousand, each a little different. */
function manyParts(): Part[] {
  return Array.from({ length: PARTS }, (_, i): Part => {
    const part = CATALOGUE[i % CATALOGUE.length] as Part;
    const by = 1 + ((i * 37) % 101) / 1000;
    return {
      ...part,
      id: partIdSchema.parse(`own-${part.id}-${i}`),
      name: `${part.name} ${String.fromCharCode(97 + (i % 26))}${i}`,
      massKg: part.massKg * by,
    };
  });
}

export async function keyInPicker(browser: Browser, base: string): Promise<Figure[]> {
  const page = await openBench(browser, base);
  const file = join(await mkdtemp(join(tmpdir(), 'mazurka-bench-')), 'many.mazurka-parts.json');
  await writeFile(file, writePartsFile(manyParts()));
  await page.getByRole('button', { name: 'File' }).click();
  await page.getByRole('menuitem', { name: 'Your own parts' }).click();
  await page.getByRole('button', { name: 'Own parts', exact: true }).click();
  await page.getByLabel('Parts file to import').setInputFiles(file);
  await page.getByText(/20,000 parts taken in/).waitFor({ timeout: 60_000 });
  await page.keyboard.press('Escape');
  await page.getByRole('option', { name: /Fluted Indiana/ }).click();
  const opening = Date.now();
  await page.getByRole('button', { name: 'Swap this part' }).click();
  await page.getByRole('combobox', { name: /Find by size/ }).waitFor();
  await page.locator('[data-part]').first().waitFor();
  const openedMs = Date.now() - opening;
  await page.waitForTimeout(1500);
  await page.evaluate(TIME_KEYS);
  const times: number[] = [];
  for (const letter of [...'colorado #3', ...Array.from({ length: 11 }, () => '\b'), ...'willow gold']) {
    await page.keyboard.press(letter === '\b' ? 'Backspace' : letter === ' ' ? 'Space' : letter);
    await page.waitForTimeout(150);
    times.push(await page.evaluate(() => Number(document.documentElement.dataset.keyMs)));
  }
  await page.context().close();
  return [
    {
      name: `a key among ${PARTS.toLocaleString('en')} parts, until painted`,
      value: median(times),
      unit: 'ms',
      bar: 50,
      note: `of ${times.length}: up to ${Math.max(...times).toFixed(0)}; the sheet opens in ${openedMs} ms`,
    },
  ];
}

const LURES = 2_000;

/** Lures by the thousand, copies of the demo ones, put into the storage in the rows that the app writes (data/stored.ts). */
function fillStorage(): string {
  const all = DEMO_LURES.map((lure) => ({ ...lure, versions: undefined }));
  return `new Promise((resolve, reject) => {
    const all = ${JSON.stringify(all)};
    const request = indexedDB.open('mazurka');
    request.onerror = () => reject(new Error('cannot open'));
    request.onsuccess = () => {
      const write = request.result.transaction(['lures', 'shelf', 'versions'], 'readwrite');
      for (let i = 0; i < ${LURES}; i++) {
        const demo = all[i % all.length];
        const lure = { ...demo, id: demo.id + '-' + i, name: demo.name + ' ' + i };
        const head = { id: lure.id, birth: 'many-' + i, rev: 1, changedAt: i + 1, awayAt: null };
        write.objectStore('lures').put({ ...head, lure, from: 0, at: 0, to: 0 });
        write.objectStore('versions').put({ id: lure.id, versions: [] });
        write.objectStore('shelf').put({ ...head, name: lure.name, family: lure.family, isMade: lure.made !== null });
      }
      write.oncomplete = () => { request.result.close(); resolve(null); };
    };
  })`;
}

/** From the press that asks for the list until the frame with its first names, and that with its first drawing, is painted. */
const TIME_LIST = `
  window.list_ = {};
  addEventListener('pointerdown', () => {
    const started = performance.now();
    const told = (key) => (${AFTER_FRAME})(() => { window.list_[key] = performance.now() - started; });
    let hasNames = false;
    new MutationObserver((_, observer) => {
      if (!hasNames && document.querySelector('[role="dialog"] li button')) {
        hasNames = true;
        told('names');
      }
      if (document.querySelector('[role="dialog"] li canvas')) {
        observer.disconnect();
        told('drawing');
      }
    }).observe(document, { subtree: true, childList: true });
  }, { capture: true, once: true });
`;

export async function manyLures(browser: Browser, base: string): Promise<Figure[]> {
  const page = await openBench(browser, base);
  await page.evaluate(fillStorage());
  await page.reload();
  await page.getByRole('listbox', { name: 'The string, nose to tail' }).waitFor();
  await page.waitForTimeout(1000);
  await page.getByRole('button', { name: 'My lures' }).click();
  await page.getByRole('menuitem', { name: /^All / }).hover();
  await page.waitForTimeout(500);
  await page.evaluate(TIME_LIST);
  await page.mouse.down();
  await page.mouse.up();
  await page.locator('li canvas').first().waitFor();
  await page.waitForTimeout(500);
  const { names, drawing } = await page.evaluate<{ names: number; drawing: number }>('window.list_');
  await page.waitForTimeout(500);
  const list = page.getByRole('list', { name: 'My lures' });
  await list.hover();
  await page.evaluate(COUNT_FRAMES);
  for (let i = 0; i < 60; i++) {
    await page.mouse.wheel(0, 220);
    await page.waitForTimeout(16);
  }
  const seen = await page.evaluate<{ perS: number; longest: number }>(FRAMES_SO_FAR);
  await page.context().close();
  return [
    {
      name: `the list of ${LURES.toLocaleString('en')} lures, from the press until its names are painted`,
      value: names,
      unit: 'ms',
      bar: 300,
      note: `its first drawing stands after ${drawing.toFixed(0)} ms; scrolled at ${seen.perS.toFixed(0)} frames a second, the longest wait ${seen.longest.toFixed(0)} ms`,
    },
  ];
}
