/** The lines of an action card in words and figures: name, value, spread, a plain word, and what is wanted of it. */
import { GRAVITY_MPS2 } from '../core/hydro/water';
import type { Banded } from '../core/predict/band';
import { referenceThumpNs } from '../core/predict/outputs';
import type { CardLine, Want } from '../core/tune/target';
import { UNITS } from '../core/units/quantity';
import { decimalText, type UnitSystem } from '../core/units/write';
import type { SpeedUnit } from './spin-words';

export interface CardMeasures {
  readonly system: UnitSystem;
  readonly speedUnit: SpeedUnit;
}

/** How a line is shown: its unit, what one of it is in SI, and to how many places. */
export interface LineUnit {
  readonly unit: string;
  readonly perUnit: number;
  readonly digits: number;
}

interface LineWords {
  readonly name: string;
  readonly why: string;
  readonly shown: (measures: CardMeasures) => LineUnit;
  /** Up to which value, SI, which word; the last holds beyond. */
  readonly plain: readonly (readonly [number, string])[];
}

const MORE = Infinity;
const DEGREE = Math.PI / 180;
const THUMP = referenceThumpNs();

const speed = ({ speedUnit }: CardMeasures): LineUnit => ({
  unit: UNITS[speedUnit].symbol,
  perUnit: UNITS[speedUnit].factor.valueOf(),
  digits: 2,
});
const perSecond = (): LineUnit => ({ unit: 'a second', perUnit: 1, digits: 1 });
const degrees = (): LineUnit => ({ unit: '°', perUnit: DEGREE, digits: 1 });
const area = ({ system }: CardMeasures): LineUnit =>
  system === 'metric' ? { unit: 'cm²', perUnit: 1e-4, digits: 1 } : { unit: 'in²', perUnit: 0.0254 ** 2, digits: 2 };
const flashes = (measures: CardMeasures): LineUnit => {
  const { unit, perUnit } = area(measures);
  return { unit: `${unit}/s`, perUnit, digits: 0 };
};
const pull = ({ system }: CardMeasures): LineUnit =>
  system === 'metric'
    ? { unit: 'g', perUnit: GRAVITY_MPS2 / 1000, digits: 1 }
    : { unit: 'oz', perUnit: GRAVITY_MPS2 * UNITS.oz.factor.valueOf(), digits: 2 };
const mass = ({ system }: CardMeasures): LineUnit =>
  system === 'metric'
    ? { unit: 'g', perUnit: 0.001, digits: 1 }
    : { unit: 'oz', perUnit: UNITS.oz.factor.valueOf(), digits: 2 };
const metres = ({ system }: CardMeasures): LineUnit =>
  system === 'metric' ? { unit: 'm', perUnit: 1, digits: 2 } : { unit: 'ft', perUnit: 0.3048, digits: 1 };
const shake = ({ system }: CardMeasures): LineUnit =>
  system === 'metric' ? { unit: 'mm', perUnit: 0.001, digits: 2 } : { unit: 'in', perUnit: 0.0254, digits: 3 };

/** The plain words are trade estimates: where a builder would say one rather than the other. */
export const LINE_WORDS: Readonly<Record<CardLine, LineWords>> = {
  keepsMps: {
    name: 'Keeps turning to',
    why: 'The slowest retrieve at which all its blades go on turning: slower, gravity stops one on the way up.',
    shown: speed,
    plain: [
      [0.25, 'at a crawl'],
      [0.45, 'slow'],
      [0.65, 'steady'],
      [MORE, 'only fast'],
    ],
  },
  startsMps: {
    name: 'Starts at',
    why: 'From hanging still all its blades turn from this speed on; a hung blade with a twitch.',
    shown: speed,
    plain: [
      [0.4, 'by itself'],
      [0.75, 'with a twitch'],
      [MORE, 'hard to start'],
    ],
  },
  rateHz: {
    name: 'Beat',
    why: 'Turns a second of the blade that pulls most.',
    shown: perSecond,
    plain: [
      [4, 'slow'],
      [8, 'steady'],
      [14, 'quick'],
      [MORE, 'a buzz'],
    ],
  },
  beatHz: {
    name: 'Beat of two blades',
    why: 'How often the two blades come round together: the difference of their rates.',
    shown: perSecond,
    plain: [
      [0.5, 'nearly together'],
      [2, 'a slow pulse'],
      [MORE, 'a flutter'],
    ],
  },
  wobbleHz: {
    name: 'Wobble',
    why: 'How often the body swings to and fro: its lip or its wake drives it, faster water oftener.',
    shown: perSecond,
    plain: [
      [3, 'slow'],
      [6, 'steady'],
      [10, 'quick'],
      [MORE, 'a shiver'],
    ],
  },
  wobbleRad: {
    name: 'Swing of the wobble',
    why: 'How far it swings to each side before the water and its keel bring it back.',
    shown: degrees,
    plain: [
      [4 * DEGREE, 'tight'],
      [12 * DEGREE, 'middling'],
      [MORE, 'wide'],
    ],
  },
  wobbleStartMps: {
    name: 'Start of the wobble',
    why: 'Slower than this its keel holds it still.',
    shown: speed,
    plain: [
      [0.3, 'at a crawl'],
      [0.6, 'slow'],
      [MORE, 'only fast'],
    ],
  },
  thumpNs: {
    name: 'Thump',
    why: 'How hard each turn hits the water: drag over turns a second, which is what a fish’s side feels.',
    shown: () => ({ unit: 'mN·s', perUnit: 0.001, digits: 1 }),
    plain: [
      [0.35 * THUMP, 'faint'],
      [0.75 * THUMP, 'light'],
      [1.4 * THUMP, 'firm'],
      [MORE, 'heavy'],
    ],
  },
  pulseN: {
    name: 'Pulse at the tie',
    why: 'What the line tie feels go round, through the arm.',
    shown: pull,
    plain: [
      [0.01, 'faint'],
      [0.04, 'felt'],
      [0.12, 'strong'],
      [MORE, 'hard'],
    ],
  },
  shakeM: {
    name: 'Shake',
    why: 'How far the blade carries its arm, or the body, to and fro.',
    shown: shake,
    plain: [
      [0.0001, 'still'],
      [0.0004, 'trembles'],
      [0.0012, 'shakes'],
      [MORE, 'swings'],
    ],
  },
  depthM: {
    name: 'Depth',
    why: 'Where it runs at this retrieve with this line out: weight pulls it down, drag pulls it up.',
    shown: metres,
    plain: [
      [0.05, 'at the surface'],
      [0.6, 'just under'],
      [1.5, 'shallow'],
      [3, 'half deep'],
      [MORE, 'deep'],
    ],
  },
  lineSlopeRad: {
    name: 'Line slope, lift',
    why: 'How steeply the line comes up from it: weight less lift, over drag. The flatter, the more it lifts.',
    shown: degrees,
    plain: [
      [6 * DEGREE, 'lifts much'],
      [14 * DEGREE, 'lifts'],
      [26 * DEGREE, 'holds'],
      [MORE, 'pulls down'],
    ],
  },
  surfaceMps: {
    name: 'Surfaces at',
    why: 'From this speed on the line lifts it to the surface.',
    shown: speed,
    plain: [
      [0.6, 'comes up early'],
      [1.2, 'at a fast retrieve'],
      [MORE, 'stays down'],
    ],
  },
  planingMps: {
    name: 'Planes from',
    why: 'The slowest at which blade and head carry its weight on the surface.',
    shown: speed,
    plain: [
      [0.6, 'slow'],
      [0.9, 'steady'],
      [MORE, 'only fast'],
    ],
  },
  sinkMps: {
    name: 'Falls at',
    why: 'On slack line, its blades turning as it falls.',
    shown: speed,
    plain: [
      [0.3, 'slow fall'],
      [0.6, 'steady fall'],
      [MORE, 'fast fall'],
    ],
  },
  leanRad: {
    name: 'Lean',
    why: 'Where the weights below the line of pull balance what the bearing drags round.',
    shown: degrees,
    plain: [
      [4 * DEGREE, 'upright'],
      [12 * DEGREE, 'leans'],
      [MORE, 'leans far'],
    ],
  },
  sidePullRad: {
    name: 'Pulls aside',
    why: 'Each stroke of a surface blade is a paddle’s, to its own hand.',
    shown: degrees,
    plain: [
      [1.5 * DEGREE, 'straight'],
      [5 * DEGREE, 'a little'],
      [MORE, 'far'],
    ],
  },
  levelDb: {
    name: 'Noise',
    why: 'How loud it is for people in the water, beside a plain reference spinner.',
    shown: () => ({ unit: 'dB', perUnit: 1, digits: 0 }),
    plain: [
      [-15, 'nearly silent'],
      [-4, 'quiet'],
      [6, 'as loud'],
      [20, 'loud'],
      [MORE, 'very loud'],
    ],
  },
  centroidHz: {
    name: 'Pitch of its noise',
    why: 'About which pitch its noise lies.',
    shown: () => ({ unit: 'kHz', perUnit: 1000, digits: 1 }),
    plain: [
      [800, 'a thud'],
      [3000, 'dull'],
      [7000, 'clear'],
      [MORE, 'bright'],
    ],
  },
  flashFrontM2PerS: {
    name: 'Flash, outside',
    why: 'Bright area of the outsides of its blades, times their turns a second.',
    shown: flashes,
    plain: [
      [0.0015, 'a glint'],
      [0.004, 'flashes'],
      [MORE, 'blazes'],
    ],
  },
  flashBackM2PerS: {
    name: 'Flash, hollow',
    why: 'Bright area of the hollows of its blades, times their turns a second.',
    shown: flashes,
    plain: [
      [0.0015, 'a glint'],
      [0.004, 'flashes'],
      [MORE, 'blazes'],
    ],
  },
  bulkM2: {
    name: 'Bulk',
    why: 'The area it shows to the water from the side, skirt and tail in it.',
    shown: area,
    plain: [
      [0.0006, 'slim'],
      [0.0015, 'middling'],
      [MORE, 'big'],
    ],
  },
  massKg: { name: 'Mass', why: 'The parts as listed and the wire in it.', shown: mass, plain: [] },
};

export function lineNumber(si: number, { perUnit, digits }: LineUnit): string {
  return decimalText(si / perUnit, digits).replace('-', '−');
}

/** `1.2 mN·s`, `4°`. */
export function lineValue(line: CardLine, si: number, measures: CardMeasures): string {
  const shown = LINE_WORDS[line].shown(measures);
  return `${lineNumber(si, shown)}${shown.unit === '°' ? '' : ' '}${shown.unit}`;
}

/** `1.0 to 1.4`, or that there is no spread. */
export function lineBand(line: CardLine, { low, high }: Banded, measures: CardMeasures): string {
  const shown = LINE_WORDS[line].shown(measures);
  return low === high ? 'no spread' : `${lineNumber(low, shown)} to ${lineNumber(high, shown)}`;
}

export function plainWord(line: CardLine, si: number): string {
  return LINE_WORDS[line].plain.find(([to]) => si <= to)?.[1] ?? '';
}

/** `at least 4.0 mN·s`, `0.8 to 1.2 m`. */
export function windowWords({ line, low, high }: Want, measures: CardMeasures): string {
  if (low !== null && high !== null) {
    const shown = LINE_WORDS[line].shown(measures);
    return `${lineNumber(low, shown)} to ${lineValue(line, high, measures)}`;
  }
  if (low !== null) return `at least ${lineValue(line, low, measures)}`;
  return high === null ? 'anything' : `at most ${lineValue(line, high, measures)}`;
}

/** The same as short as a column is: `≥ 4.0 mN·s`. */
export function shortWindow({ line, low, high }: Want, measures: CardMeasures): string {
  if (low !== null && high !== null) {
    const shown = LINE_WORDS[line].shown(measures);
    return `${lineNumber(low, shown)}–${lineValue(line, high, measures)}`;
  }
  if (low !== null) return `≥ ${lineValue(line, low, measures)}`;
  return high === null ? 'anything' : `≤ ${lineValue(line, high, measures)}`;
}

/** `9 in 10`, `hardly ever`: a chance as people say it. */
export function oftenWords(chance: number): string {
  if (chance < 0.03) return 'hardly ever';
  if (chance > 0.97) return 'nearly always';
  return `${Math.max(1, Math.round(chance * 10))} in 10`;
}

/** Two wishes that work against each other. */
export function againstWords([a, b]: readonly [Want, Want], measures: CardMeasures): string {
  const said = (want: Want) => `“${LINE_WORDS[want.line].name} ${windowWords(want, measures)}”`;
  return `${said(a)} and ${said(b)} work against each other on this lure: what brings one nearer takes the other away.`;
}
