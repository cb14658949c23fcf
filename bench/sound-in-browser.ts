/** How soon after an edit its sound is ready to be heard, and whether the drawing keeps its frames while it plays. */
import type { Browser } from '@playwright/test';
import { median, type Figure } from './measure';
import { atRest, COUNT_FRAMES, FRAMES_SO_FAR, LARGEST, openBench } from './page';

const EDITS = 20;
/** An edit of a page at rest, and one of a hand that does not wait until all around the drawing has followed the one before. */
const RESTS_MS = [2000, 700] as const;
const PLAYED_MS = 3000;

/** As text: notes when a loop begins. */
const NOTE_LOOPS = `
  window.loops_ = [];
  const { start } = AudioBufferSourceNode.prototype;
  AudioBufferSourceNode.prototype.start = function (...when) {
    window.loops_.push(performance.now());
    return start.apply(this, when);
  };
`;

const UNTIL_HEARD = `new Promise((resolve) => {
  const look = setInterval(() => {
    if (window.loops_.length === 0) return;
    clearInterval(look);
    resolve(null);
  }, 20);
})`;

/** From the press that moves a part until the next loop begins, ms. */
const TIME_SOUND = `(pressed) => new Promise((resolve, reject) => {
  setTimeout(() => reject(new Error('bench: the edit changed no sound')), 60_000);
  const option = document.querySelector('[role="option"][aria-selected="true"]');
  const before = window.loops_.length;
  const started = performance.now();
  const look = setInterval(() => {
    if (window.loops_.length === before) return;
    clearInterval(look);
    resolve(window.loops_[before] - started);
  }, 5);
  option.dispatchEvent(new KeyboardEvent('keydown', { key: pressed, altKey: true, bubbles: true }));
})`;

export async function soundInBrowser(browser: Browser, base: string): Promise<Figure[]> {
  const page = await openBench(browser, base, LARGEST.id, NOTE_LOOPS);
  await page.getByRole('option', { name: 'Brass bead', exact: true }).first().click();
  await atRest(page);
  await page.getByRole('button', { name: 'Hear it' }).click();
  await page.evaluate(UNTIL_HEARD);
  const session = await page.context().newCDPSession(page);
  await page.evaluate(COUNT_FRAMES);
  await page.waitForTimeout(PLAYED_MS);
  const seen = await page.evaluate<{ perS: number; longest: number }>(FRAMES_SO_FAR);
  await session.send('Emulation.setCPUThrottlingRate', { rate: 4 });
  const figures: Figure[] = [];
  for (const [n, restMs] of RESTS_MS.entries()) {
    const times: number[] = [];
    for (let i = 0; i < EDITS; i++) {
      await page.waitForTimeout(restMs);
      times.push(await page.evaluate<number>(`(${TIME_SOUND})('${i % 2 === 0 ? 'ArrowRight' : 'ArrowLeft'}')`));
    }
    figures.push({
      name:
        n === 0 ? `edit of ${LARGEST.name} to its sound, processor 4 × slower` : `  an edit every ${restMs / 1000} s`,
      value: times.toSorted((a, b) => a - b)[Math.ceil(0.95 * EDITS) - 1] ?? NaN,
      unit: 'ms',
      bar: n === 0 ? 300 : null,
      note: `95th of ${EDITS}; median ${median(times).toFixed(0)}, ${Math.min(...times).toFixed(0)} to ${Math.max(...times).toFixed(0)}`,
    });
  }
  await page.context().close();
  return [
    ...figures,
    {
      name: 'milliseconds a frame while it plays, blades turning',
      value: 1000 / seen.perS,
      unit: 'ms',
      bar: 17,
      note: `${seen.perS.toFixed(0)} frames a second, the longest wait ${seen.longest.toFixed(0)} ms`,
    },
  ];
}
