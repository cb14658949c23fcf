/** What was measured of a lure, and what came of it, in words. */
import type { Reading } from '../core/lure/reading';
import type { Unused } from '../core/predict/readings';
import { decimalText, inUnit, showDepth, type UnitSystem } from '../core/units/write';
import { UNITS } from '../core/units/quantity';
import type { SpeedUnit } from './spin-words';

/** `6.2 turns/s at 0.66 m/s`. */
export function readingWords(reading: Reading, system: UnitSystem, unit: SpeedUnit): string {
  const at = (mps: number) => `at ${decimalText(inUnit(mps, unit), 2)} ${UNITS[unit].symbol}`;
  const metres = (m: number) => showDepth(m, system);
  switch (reading.kind) {
    case 'rate':
      return `${decimalText(reading.rateHz, 1)} turns/s ${at(reading.speedMps)}`;
    case 'spread':
      return `${decimalText((reading.spreadRad * 180) / Math.PI, 0)} ° out ${at(reading.speedMps)}`;
    case 'depth':
      return `${metres(reading.depthM)} deep ${at(reading.speedMps)} with ${metres(reading.lineOutM)} out`;
    case 'sink':
      return `fell ${metres(reading.throughM)} in ${decimalText(reading.seconds, 1)} s`;
  }
}

const UNUSED_WORDS: Readonly<Record<Unused['why'], string>> = {
  noSuchBlade: 'That blade is no longer on the lure.',
  doesNotTurn: 'The model says this blade does not turn at that speed: check the speed.',
  doesNotSink: 'The model says this lure does not sink there: check speed and line out.',
  deeperThanItsLine: 'That is deeper than the line that was out.',
  doubted: 'No believable blade or water gives that, so nothing was learnt from it: measure again.',
};

/** Why nothing was learnt from a reading. */
export function unusedWords({ why }: Pick<Unused, 'why'>): string {
  return UNUSED_WORDS[why];
}

/** Readings that were taken before something was changed. */
export const NOT_OF_NOW = 'read before it was changed: not used';
