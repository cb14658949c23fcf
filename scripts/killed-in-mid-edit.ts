/**
 * Kills the browser in mid-edit, many times, and looks what was lost: `npm run killed -- 50`, against the app as built; with
 * `largest` behind the number on a lure with a history of 12 MB.
 * Each round edits in the real interface as fast as it takes edits, kills every process of the browser without warning,
 * opens the same profile again, and compares what stands there with what was done. Lost work older than half a second
 * fails the run.
 */
import { chromium, type Page } from '@playwright/test';
import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtemp, readFile, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

const base = process.env.MAZURKA_URL;
if (!base) throw new Error('MAZURKA_URL is not set: run scripts/killed.sh');
const rounds = Number(process.argv[2] ?? 50);
const isLargest = process.argv[3] === 'largest';
const ALLOWED_MS = 500;

interface Running {
  readonly process: ChildProcess;
  readonly page: Page;
}

async function start(profile: string): Promise<Running> {
  const process = spawn(
    '/usr/bin/chromium',
    [
      '--headless',
      '--no-sandbox',
      '--disable-gpu',
      '--no-first-run',
      '--disable-background-networking',
      '--remote-debugging-port=0',
      `--user-data-dir=${profile}`,
      'about:blank',
    ],
    { detached: true, stdio: 'ignore' },
  );
  const portFile = join(profile, 'DevToolsActivePort');
  let port = '';
  for (let tries = 0; tries < 100 && port === ''; tries++) {
    await new Promise((resolve) => setTimeout(resolve, 100));
    port = (await readFile(portFile, 'utf8').catch(() => '')).split('\n')[0] ?? '';
  }
  const browser = await chromium.connectOverCDP(`http://127.0.0.1:${port}`);
  const [context] = browser.contexts();
  const page = context?.pages()[0] ?? (await context?.newPage());
  if (!page) throw new Error('the browser has no page');
  await page.goto(`${base}/bench`);
  await page.getByRole('listbox', { name: 'The string, nose to tail' }).waitFor();
  return { process, page };
}

/** Every process of the browser at once, as a power cut would. */
async function kill({ process: browser }: Running, profile: string): Promise<void> {
  const gone = new Promise((resolve) => browser.once('exit', resolve));
  if (browser.pid !== undefined) process.kill(-browser.pid, 'SIGKILL');
  await gone;
  await rm(join(profile, 'DevToolsActivePort'), { force: true });
  await rm(join(profile, 'SingletonLock'), { force: true });
}

const nameField = (page: Page) => page.getByRole('textbox', { name: 'Name of the lure' });

/** Numbers in 0…1, the same in every run. */
function seeded(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state * 48271) % 2147483647;
    return state / 2147483647;
  };
}

/** Gives the open lure a long history of whole builds with long names, as large as histories get: about 12 MB. */
async function growHistory(page: Page): Promise<void> {
  await page.evaluate(async () => {
    const database = await new Promise<IDBDatabase>((resolve, reject) => {
      const request = indexedDB.open('mazurka');
      request.onsuccess = () => resolve(request.result);
      request.onerror = () => reject(new Error('cannot open'));
    });
    const id = new URLSearchParams(location.search).get('lure') ?? '';
    const transaction = database.transaction(['lures', 'changes'], 'readwrite');
    const lures = transaction.objectStore('lures');
    const changes = transaction.objectStore('changes');
    await new Promise<void>((resolve, reject) => {
      transaction.oncomplete = () => resolve();
      transaction.onerror = () => reject(new Error('cannot grow'));
      const reading = lures.get(id);
      reading.onsuccess = () => {
        const row = reading.result as { lure: { build: unknown }; from: number; at: number; to: number };
        const { build } = row.lure;
        const rebuild = { kind: 'rebuild', build };
        const size = JSON.stringify(rebuild).length;
        const many = Math.max(1, Math.min(50, Math.floor(60_000 / (2 * size))));
        const edits = Array.from({ length: many }, () => rebuild);
        for (let seq = 0; seq < 199; seq++)
          changes.put({ lure: id, seq, change: { code: 'grown', edits, inverse: edits } });
        lures.put({ ...row, from: 0, at: 199, to: 199 });
      };
    });
    database.close();
  });
  await page.reload();
  await page.getByRole('listbox', { name: 'The string, nose to tail' }).waitFor();
  await page.getByTestId('saved-state').waitFor();
}

const random = seeded(20310914);
let [edits, lostEdits, worstMs, failures] = [0, 0, 0, 0];
for (let round = 1; round <= rounds; round++) {
  const profile = await mkdtemp(join(tmpdir(), 'mazurka-killed-'));
  let running = await start(profile);
  if (isLargest) await growHistory(running.page);
  const done: { readonly name: string; readonly at: number }[] = [];
  const until = performance.now() + 400 + random() * 1600;
  let killing: Promise<void> | null = null;
  const killer = new Promise<void>((resolve) => {
    setTimeout(() => {
      killing = kill(running, profile);
      void killing.then(resolve);
    }, until - performance.now());
  });
  let killedAt = 0;
  for (let n = 1; killing === null; n++) {
    const name = `Round ${round}, edit ${n}`;
    try {
      await nameField(running.page).fill(name);
      await nameField(running.page).press('Enter');
      killedAt = performance.now();
      done.push({ name, at: killedAt });
    } catch {
      break;
    }
  }
  await killer;
  killedAt = Math.max(killedAt, until);
  running = await start(profile);
  const kept = await nameField(running.page).inputValue();
  const { length } = done;
  const last = done.findLastIndex(({ name }) => name === kept);
  // The edit that was under way when the kill came may be kept too, though it was never seen to end.
  const wasUnderWay = kept === `Round ${round}, edit ${length + 1}`;
  const lost = wasUnderWay ? [] : done.slice(last + 1);
  const oldestMs = lost.length > 0 ? killedAt - (lost[0]?.at ?? killedAt) : 0;
  edits += length;
  lostEdits += lost.length;
  worstMs = Math.max(worstMs, oldestMs);
  if (oldestMs > ALLOWED_MS || (last < 0 && !wasUnderWay && length > 0 && oldestMs > ALLOWED_MS)) {
    failures++;
    console.log(`round ${round}: kept “${kept}”, lost ${lost.length} edits, the oldest ${oldestMs.toFixed(0)} ms old`);
  }
  await kill(running, profile);
  await rm(profile, { recursive: true, force: true });
}
console.log(
  `killed ${rounds} times in ${edits} edits: ${lostEdits} edits lost, the oldest ${worstMs.toFixed(0)} ms before the kill; ${failures} rounds lost work older than ${ALLOWED_MS} ms`,
);
process.exit(failures === 0 ? 0 : 1);
