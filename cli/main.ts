/** The core for scripts: see docs/core-cli.md. Answers are JSON on standard output; errors too, with exit code 2. */
import { readFileSync, writeFileSync } from 'node:fs';
import { parseArgs } from 'node:util';
import { runCommand } from './commands';
import { CommandError, OPTION_NAMES } from './options';

/** All may stand more than once here, so that one that does can be refused by name; so may unknown ones. */
const OPTIONS = Object.fromEntries(OPTION_NAMES.map((name) => [name, { type: 'string', multiple: true }] as const));

try {
  const { values, positionals } = parseArgs({ options: OPTIONS, allowPositionals: true, strict: false });
  const [command = '', ...operands] = positionals;
  const answer = runCommand(
    command,
    operands,
    values,
    (path) => readFileSync(path === '-' ? 0 : path, 'utf8'),
    (path, content) => writeFileSync(path, content),
  );
  process.stdout.write(answer);
} catch (error) {
  const isExpected = error instanceof CommandError;
  const code = isExpected ? error.code : 'failed';
  const message = error instanceof Error ? error.message : String(error);
  const beyond = isExpected && error.beyond ? error.beyond : {};
  process.stdout.write(`${JSON.stringify({ error: { code, message, ...beyond } })}\n`);
  process.exitCode = 2;
}
