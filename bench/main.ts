/**
 * Every figure the project quotes, in one table: `npm run bench`. Figures from one run on one machine; quote ratios.
 * The part in the browser needs the app as built, whose address scripts/bench.sh gives.
 */
import { browserFigures } from './in-browser';
import { coreFigures } from './core';
import type { Figure } from './measure';

const base = process.env.MAZURKA_URL;
if (!base) throw new Error('MAZURKA_URL is not set: run scripts/bench.sh');

function line({ name, value, unit, bar, isLeast = false, note }: Figure): string {
  const digits = value < 1 ? 3 : value < 20 ? 2 : 0;
  const held = bar === null ? '' : `${(isLeast ? value >= bar : value <= bar) ? 'within' : 'BEYOND'} ${bar} ${unit}`;
  return `${name.padEnd(58)} ${value.toFixed(digits).padStart(8)} ${unit}   ${held.padEnd(16)} ${note}`;
}

const tell = (figure: Figure) => console.log(line(figure));
coreFigures().forEach(tell);
await browserFigures(base, tell);
