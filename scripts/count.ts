/** Prints how much of the code is tests. Lock files, data and generated files do not count. */
import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';

const isCode = (path: string) => /\.(ts|tsx|mjs|cjs|sh|css)$/.test(path);
const isTest = (path: string) => /\.test\.tsx?$|^e2e\/|^src\/testing\//.test(path);

const files = execFileSync('git', ['ls-files', '--cached', '--others', '--exclude-standard'], { encoding: 'utf8' })
  .split('\n')
  .filter(isCode);
const lines = (paths: readonly string[]) =>
  paths.reduce(
    (sum, path) =>
      sum +
      readFileSync(path, 'utf8')
        .split('\n')
        .filter((line) => line.trim() !== '').length,
    0,
  );
const tests = lines(files.filter(isTest));
const code = lines(files);
console.log(`${files.length} files, ${code} lines, of them ${tests} of tests: ${((tests / code) * 100).toFixed(1)} %`);
