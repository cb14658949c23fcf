import type { Page } from '@playwright/test';
import { expectNothingForAxe } from './axe';
import { expect, test } from './bench-page';

/** A photo made up for this test: a body 61 mm long beside 50 mm of rule, aslant, ten pixels a millimetre. */
const ASLANT_RAD = (8 * Math.PI) / 180;
const PHOTO = `<svg xmlns="http://www.w3.org/2000/svg" width="900" height="500"><rect width="900" height="500" fill="#d8cfbd"/>
<g transform="rotate(8 450 250)"><path d="M150 250C200 150 420 130 560 200C660 235 740 240 760 250C700 262 640 275 540 300C400 340 200 340 150 250Z" fill="#6d7a3a"/>
<path d="M165 270L90 330" stroke="#eee" stroke-width="10"/><path d="M150 420H650" stroke="#222" stroke-width="8"/></g></svg>`;

async function marker(page: Page) {
  const photo = page.getByTestId('photo');
  await photo.waitFor();
  const box = await photo.boundingBox();
  if (!box) throw new Error('the photo is shown');
  const scale = Math.min(box.width / 900, box.height / 500);
  const [left, top] = [box.x + (box.width - 900 * scale) / 2, box.y + (box.height - 500 * scale) / 2];
  return async (x: number, y: number) => {
    const [dx, dy] = [x - 450, y - 250];
    await page.mouse.click(
      left + (450 + dx * Math.cos(ASLANT_RAD) - dy * Math.sin(ASLANT_RAD)) * scale,
      top + (250 + dx * Math.sin(ASLANT_RAD) + dy * Math.cos(ASLANT_RAD)) * scale,
    );
  };
}

test('a body of one’s own: traced on a photo at scale, timed in a glass of water, kept, and taken for a bait', async ({
  bench,
  page,
}) => {
  await bench.open('/bench?lure=halvane-glint');
  await bench.unit(/body/).first().click();
  await bench.button(/^Swap/).click();
  await page.getByRole('button', { name: 'Measure a body of your own' }).click();
  const form = page.getByRole('dialog', { name: 'Measure a body' });
  const told = page.getByTestId('measured body');
  await expect(told).toContainText('Still open: length, height, width, mass and what it does in water.');
  const photo = form.getByLabel('Photo of the body from its side');
  await photo.setInputFiles({ name: 'note.txt', mimeType: 'text/plain', buffer: Buffer.from('no picture') });
  await expect(form.getByRole('alert')).toContainText('A photo as PNG, JPEG or WebP would be right');
  await form.getByRole('button', { name: 'Back to the measures' }).click();
  await photo.setInputFiles({ name: 'bait.svg', mimeType: 'image/svg+xml', buffer: Buffer.from(PHOTO) });
  const mark = await marker(page);
  const now = (word: string) => form.getByRole('radio', { name: new RegExp(`^${word}`) }).click();
  const traced = page.getByTestId('traced');
  await mark(150, 420);
  await mark(650, 420);
  await mark(150, 250);
  await mark(760, 250);
  for (const [x, y] of [
    [200, 190],
    [300, 160],
    [420, 160],
    [560, 200],
    [680, 236],
  ] as const) {
    await mark(x, y);
  }
  await expect(traced).toContainText('Still to mark: how long that is and two places or more along the belly.');
  await now('Belly');
  for (const [x, y] of [
    [200, 301],
    [300, 320],
    [420, 320],
    [540, 300],
    [680, 267],
  ] as const) {
    await mark(x, y);
  }
  await now('Hangers');
  await mark(380, 322);
  // With the keys alone: the cross goes, Enter marks, Delete takes it back.
  await now('Line eye');
  await page.getByTestId('photo').focus();
  await page.keyboard.press('ArrowLeft');
  await page.keyboard.press('Enter');
  await expect(form.getByRole('radio', { name: 'Line eye ✓' })).toBeChecked();
  await page.keyboard.press('Delete');
  await expect(form.getByRole('radio', { name: 'Line eye', exact: true })).toBeChecked();
  await now('Lip');
  await mark(90, 330);
  await form.getByLabel('The known length').fill('50 mm');
  await page.keyboard.press('Tab');
  await expect(traced).toContainText(
    /6[01]\.\d mm long, 1[56]\.\d mm high; lip \d+\.\d mm, \d+° down; hanger at 2[23]\.\d mm/,
  );
  await expectNothingForAxe(page, { within: '[role=dialog]' });
  await form.getByRole('button', { name: 'Take these measures' }).click();

  const take = async (label: string, text: string) => {
    await form.getByLabel(label, { exact: true }).fill(text);
    await page.keyboard.press('Tab');
  };
  await take('Width', '14');
  await take('Mass, bare', '4.2');
  await take('Lip, across', '14');
  await take('Hooks and rings that were on it', '1.1');
  await take('Seconds for a metre', '0.1');
  await expect(told).toContainText('No bait moves a metre so fast.');
  await expect(form.getByRole('button', { name: 'Keep this body' })).toBeDisabled();
  await take('Seconds for a metre', '7.5');
  await expect(told).toContainText(/Displaces \d\.\d cm³; bare it floats/);
  await expect(told).toContainText('take up about as much');
  await form.getByLabel('What you call it').fill('Ulva’s carved diver');
  await expectNothingForAxe(page, { within: '[role=dialog]' });
  await form.getByRole('button', { name: 'Keep this body' }).click();
  await expect(page.getByRole('dialog', { name: 'Your own parts' }).getByRole('list')).toContainText('Ulva’s carved');
  await page.keyboard.press('Escape');

  await bench.unit(/body/).first().click();
  await bench.button(/^Swap/).click();
  await page.getByRole('combobox', { name: /Find by size/ }).fill('ulva');
  await page.keyboard.press('Enter');
  await expect(bench.findings()).toContainText(/Floats|No longer floats|Sinks/);
  await bench.saved();
  await page.reload();
  const { text } = await bench.exported();
  expect(text).toContain('"traced"');
  expect(text).toContain('Ulva’s carved diver');
});
