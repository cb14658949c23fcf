/**
 * Writes docs/verification.md from what the tests measured: `npm run verify` runs them with MAZURKA_MEASURED set.
 * With --check it changes nothing and fails where the committed page says something else.
 */
import { readFileSync, writeFileSync } from 'node:fs';
import { CHAPTERS, type Measured } from '../src/testing/measured';

const [file, check] = process.argv.slice(2);
if (!file) throw new Error('write-verification: name the file the tests wrote to');
const page = new URL('../docs/verification.md', import.meta.url);

const seen = new Map<string, Measured>();
for (const line of readFileSync(file, 'utf8').split('\n')) {
  if (line === '') continue;
  const each = JSON.parse(line) as Measured;
  seen.set(`${each.chapter} ${each.what}`, each);
}
const all = [...seen.values()];

const cell = (text: string) => text.replaceAll('|', '\\|');

function chapter(name: Measured['chapter']): string {
  const rows = all
    .filter((each) => each.chapter === name)
    .sort((a, b) => a.what.localeCompare(b.what, 'en', { numeric: true }));
  if (rows.length === 0) throw new Error(`write-verification: nothing was measured for “${name}”`);
  const hasSource = rows.some(({ source }) => source);
  const head = ['what', 'measured', 'wanted', ...(hasSource ? ['source'] : [])];
  const lines = rows.map(({ what, got, wanted, source = '' }) => [what, got, wanted, ...(hasSource ? [source] : [])]);
  const table = [head, head.map(() => '---'), ...lines].map((row) => `| ${row.map(cell).join(' | ')} |`).join('\n');
  return `## ${name}\n\n${table}\n`;
}

const text = `# What was verified

Every number here was written down by the test that checks it: \`npm run verify\` runs them and writes this page, and \`npm test\`
fails where it is not current. What each model is stands in [model.md](model.md). An ordering holds when it holds in four pairs of
five with no reversal beyond the spread; its exceptions are named.

${CHAPTERS.map(chapter).join('\n')}`;

if (check === '--check') {
  if (readFileSync(page, 'utf8') !== text) {
    console.error('docs/verification.md is not what the tests measured: npm run verify writes it anew.');
    process.exitCode = 1;
  }
} else writeFileSync(page, text);
