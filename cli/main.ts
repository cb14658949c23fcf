/** The core for scripts: see docs/core-cli.md. Answers are JSON on standard output; errors too, with exit code 2. */
import { readFileSync } from 'node:fs';
import { parseArgs } from 'node:util';
import { runCommand } from './commands';
import { CommandError } from './options';

const OPTIONS = {
  kind: { type: 'string' },
  pattern: { type: 'string' },
  speed: { type: 'string' },
  'line-out': { type: 'string' },
  water: { type: 'string' },
  outfit: { type: 'string' },
  readings: { type: 'string' },
  state: { type: 'string' },
  depth: { type: 'string' },
  turns: { type: 'string' },
  'per-turn': { type: 'string' },
  countdown: { type: 'string' },
} as const;

try {
  const { values, positionals } = parseArgs({ options: OPTIONS, allowPositionals: true });
  const [command = '', ...operands] = positionals;
  const answer = runCommand(command, operands, values, (path) => readFileSync(path === '-' ? 0 : path, 'utf8'));
  process.stdout.write(answer);
} catch (error) {
  const isExpected = error instanceof CommandError;
  const code = isExpected ? error.code : 'failed';
  const message = error instanceof Error ? error.message : String(error);
  process.stdout.write(`${JSON.stringify({ error: { code, message } })}\n`);
  process.exitCode = 2;
}
