/** The long run of the monkey: see scripts/monkey.sh. Each seed plays in a browser profile of its own. */
import { chromium } from '@playwright/test';
import { letLoose, unreadable } from '../e2e/monkey';

const base = process.env.MAZURKA_URL;
if (!base) throw new Error('MAZURKA_URL is not set: run scripts/monkey.sh');
const [actions = 3000, seed = 1] = process.argv.slice(2).map(Number);
/** One profile grows heavy with what a monkey makes; each plays this many actions. */
const A_PROFILE = 500;

const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: ['--headless', '--no-sandbox', '--disable-gpu', '--no-first-run', '--disable-background-networking'],
});
let [done, found] = [0, 0];
for (let n = 0; done < actions; n++) {
  const context = await browser.newContext({
    baseURL: base,
    serviceWorkers: 'block',
    acceptDownloads: true,
    viewport: n % 3 === 2 ? { width: 390, height: 844 } : { width: 1280, height: 800 },
  });
  const run = await letLoose(context, Math.min(A_PROFILE, actions - done), seed + n);
  done += Math.max(run.done, 1);
  const records = await unreadable(await context.newPage());
  for (const trouble of [...run.troubles, ...records.map((record) => `unreadable: ${record}`)]) {
    found++;
    console.log(`seed ${seed + n}, action ${run.done}: ${trouble}`);
  }
  await context.close();
}
await browser.close();
console.log(`${done} actions from seed ${seed}: ${found} pages gone, unhandled faults or unreadable records`);
process.exit(found === 0 ? 0 : 1);
