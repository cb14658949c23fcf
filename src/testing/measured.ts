/**
 * Writes down what a test measured, for docs/verification.md: `npm run verify` sets the file, elsewhere nothing is written.
 * One line of JSON per figure; scripts/write-verification.ts puts them in order.
 */
import { appendFileSync } from 'node:fs';

export const CHAPTERS = [
  'Limits and identities',
  'Published and worked values',
  'Orderings',
  'Second implementations',
  'Steady against time',
  'Meshes',
  'Bands and readings',
  'Any lure',
] as const;
export type Chapter = (typeof CHAPTERS)[number];

export interface Measured {
  readonly chapter: Chapter;
  readonly what: string;
  readonly got: string;
  readonly wanted: string;
  readonly source?: string;
}

export function measured(chapter: Chapter, what: string, got: string, wanted: string, source = ''): void {
  const file = process.env.MAZURKA_MEASURED;
  if (!file) return;
  const line: Measured = { chapter, what, got, wanted, source };
  appendFileSync(file, `${JSON.stringify(line)}\n`);
}

/** What is less is the rounding of the machine. */
const NOTHING = 1e-9;

/** A number to so many figures, without an exponent where it can be read. */
export function figures(value: number, digits = 3): string {
  if (Math.abs(value) < NOTHING) return value === 0 ? '0' : '< 1e-9';
  const text = Number(value.toPrecision(digits));
  return Math.abs(text) >= 1e-3 && Math.abs(text) < 1e6 ? String(text) : text.toExponential();
}

export function percent(share: number, digits = 2): string {
  return `${figures(share * 100, digits)} %`;
}
