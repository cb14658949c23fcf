/** What was wrong with what someone typed or opened, and what would be right. */
import { never } from '../core/never';
import type { LureFileProblem } from '../core/files/lure-file';
import type { TargetFileProblem } from '../core/tune/target-file';
import type { PartsFileProblem } from '../core/parts/parts-file';
import { UNITS, type QuantityKind } from '../core/units/quantity';
import type { QuantityProblem } from '../core/units/read';
import type { TradeScale, TradeSizeProblem } from '../core/units/trade-size';
import { inUnit, writeExact } from '../core/units/write';
import { refusalWords } from './refusal-words';

const EXAMPLES: Readonly<Record<QuantityKind, string>> = {
  length: '0.9 mm, .035, 3/32 in or 1 3/4"',
  mass: '7/16 oz or 12 g',
  temperature: '46F or 8 °C',
  speed: '1.5 mph, 2.4 km/h or 0.7 m/s',
};

const SIZE_EXAMPLES: Readonly<Record<TradeScale, string>> = {
  blade: '#3, 3½ or 00',
  clevis: '#2 or 00',
  ring: '#2 or 00',
  swivel: '#10, #1 or 1/0',
  hook: '6, 1 or 2/0',
};

export function readingProblemWords(problem: QuantityProblem): string {
  const example = EXAMPLES[problem.kind];
  switch (problem.code) {
    case 'empty':
      return `Type a ${problem.kind}, such as ${example}.`;
    case 'noNumber':
      return `“${problem.text}” does not start with a number. Write it like ${example}.`;
    case 'unknownUnit':
      return `“${problem.unitText}” is not a unit of ${problem.kind} known here. Write it like ${example}.`;
    case 'wrongKind':
      return `${UNITS[problem.unit].symbol} measures ${UNITS[problem.unit].kind}, not ${problem.kind}. Write it like ${example}.`;
    case 'outOfRange': {
      const bound = (si: number) => roughly(si, problem.unit);
      return problem.si < problem.minSi
        ? `That is too little: from ${bound(problem.minSi)} to ${bound(problem.maxSi)} would be right.`
        : `That is too much: from ${bound(problem.minSi)} to ${bound(problem.maxSi)} would be right.`;
    }
    default:
      return never(problem, 'readingProblemWords');
  }
}

function roughly(si: number, unit: keyof typeof UNITS): string {
  if (Math.abs(si) >= Number.MAX_VALUE || !Number.isFinite(si)) return 'any amount';
  const value = inUnit(si, unit);
  return Number.isInteger(value) ? writeExact(si, unit) : `${Number(value.toPrecision(3))} ${UNITS[unit].symbol}`;
}

export function tradeSizeProblemWords(problem: TradeSizeProblem): string {
  const example = SIZE_EXAMPLES[problem.scale];
  switch (problem.code) {
    case 'emptySize':
      return `Type a ${problem.scale} size, such as ${example}.`;
    case 'notASize':
      return `“${problem.text}” is not a ${problem.scale} size. Write it like ${example}.`;
    case 'sizeOutOfRange':
      return `No ${problem.scale} is made in size “${problem.text}”. Write it like ${example}.`;
    default:
      return never(problem, 'tradeSizeProblemWords');
  }
}

export function lureFileProblemWords(problem: LureFileProblem): string {
  return problem.code === 'impossibleLure'
    ? `The file describes a lure that cannot be built. ${refusalWords(problem.refusal)}`
    : fileProblemWords(problem, 'lure');
}

export function partsFileProblemWords(problem: PartsFileProblem): string {
  return fileProblemWords(problem, 'parts');
}

export function targetFileProblemWords(problem: TargetFileProblem): string {
  return fileProblemWords(problem, 'target');
}

function fileProblemWords(
  problem: Exclude<LureFileProblem, { code: 'impossibleLure' }> | PartsFileProblem | TargetFileProblem,
  what: 'lure' | 'parts' | 'target',
): string {
  switch (problem.code) {
    case 'tooLarge':
      return `The file is ${megabytes(problem.bytes)} MB; a ${what} file has at most ${megabytes(problem.maxBytes)} MB.`;
    case 'notJson':
      return 'The file is damaged: it is not JSON text from its first to its last character.';
    case 'notALureFile':
    case 'notAPartsFile':
    case 'notATargetFile':
      return `This is not a Mazurka ${what} file: it should start with "format": "mazurka-${what}" and a version.`;
    case 'tooDeep':
    case 'tooMany':
      return `This is no ${what} file that Mazurka wrote: its data goes deeper, or holds more, than any ${what} has.`;
    case 'forbiddenKey':
      return `The file has a key “${problem.key}”, which no ${what} file has; take it out.`;
    case 'fromTheFuture':
      return `The file is of version ${problem.version}; this Mazurka reads up to version ${problem.known}. A newer Mazurka will open it.`;
    case 'faultyField':
      return `The first fault is at ${problem.path || 'the top of the file'}: ${problem.message}.`;
    default:
      return never(problem, 'fileProblemWords');
  }
}

function megabytes(bytes: number): string {
  return String(Number((bytes / 1048576).toPrecision(2)));
}
