/** Adds up the two test reports into the closing line; the checks without a count weigh as one failure when any failed. */
import { readFileSync } from 'node:fs';

const [, , folder, status] = process.argv;

function read(name) {
  try {
    return JSON.parse(readFileSync(`${folder}/${name}`, 'utf8'));
  } catch {
    return null;
  }
}

const unit = read('unit.json');
const browser = read('browser.json');
const passed = (unit?.numPassedTests ?? 0) + (browser?.stats.expected ?? 0) + (browser?.stats.flaky ?? 0);
let failed = (unit?.numFailedTests ?? 0) + (browser?.stats.unexpected ?? 0);
if (failed === 0 && (status !== '0' || !unit || !browser)) failed = 1;
if (browser?.stats.flaky) console.log(`${browser.stats.flaky} of them passed only at the second try.`);
console.log(`${passed} passed, ${failed} failed`);
process.exitCode = failed === 0 ? 0 : 1;
