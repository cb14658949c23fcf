/** What became of the measures of a body, and of the marks on a photo of one. */
import { never } from '../core/never';
import { VOLUME_AGREES_WITHIN, type MeasuredBody, type OpenReading } from '../core/hydro/measure-body';
import type { BodyShape } from '../core/parts/body-form';
import type { OpenMark, Traced } from '../core/parts/traced-form';
import { decimalText, showLength, showMass, type UnitSystem } from '../core/units/write';
import { degrees } from './angle-words';
import type { MeasuredWords } from './measuring-words';

export const BODY_SHAPE_WORDS: Readonly<Record<BodyShape, string>> = {
  diver: 'diver, fat ahead',
  minnow: 'minnow, slender',
  lipless: 'lipless, flat-sided',
  popper: 'popper, cupped face',
  walker: 'walker, heavy behind',
  swimmer: 'swimmer, long tail',
  spoon: 'spoon, bent sheet',
  bladeBait: 'blade bait, cast sheet',
};

const OPEN_WORDS: Readonly<Record<OpenReading, string>> = {
  lengthM: 'length',
  heightM: 'height',
  widthM: 'width',
  massKg: 'mass',
  inWater: 'what it does in water',
  tieAtM: 'place of the line eye',
  lipLengthM: 'length of the lip',
  lipWidthM: 'width of the lip',
};

export function measuredBodyWords(result: MeasuredBody, system: UnitSystem): MeasuredWords {
  switch (result.outcome) {
    case 'open':
      return { tone: 'news', title: `Still open: ${listed(result.open.map((each) => OPEN_WORDS[each]))}.`, lines: [] };
    case 'heavierInWater':
      return {
        tone: 'fault',
        title: 'It weighs more in water than above it.',
        lines: [
          `With what hangs on it, at most ${showMass(result.mostKg, system)} under water. Read both scales again.`,
        ],
      };
    case 'tooFast':
      return {
        tone: 'fault',
        title: 'No bait moves a metre so fast.',
        lines: [`At least ${decimalText(result.leastS, 2)} s a metre; time it over a known depth and divide.`],
      };
    case 'measured': {
      const { measures, inWaterKg, agreement } = result;
      const does = inWaterKg < 0 ? 'floats' : 'sinks';
      const percent = Math.round(Math.abs(1 / agreement - 1) * 100);
      const agrees = Math.abs(agreement - 1) <= VOLUME_AGREES_WITHIN;
      return {
        tone: agrees ? 'news' : 'fault',
        title: `Displaces ${decimalText(measures.volumeM3 * 1e6, 1)} cm³; bare it ${does}, ${showMass(Math.abs(inWaterKg), system)} in water.`,
        lines: [
          agrees
            ? 'Its outline and width take up about as much.'
            : `Its outline and width would take up ${percent} % ${agreement > 1 ? 'less' : 'more'}: look at height, width and mass again.`,
        ],
      };
    }
    default:
      return never(result, 'measuredBodyWords');
  }
}

const MARK_WORDS: Readonly<Record<OpenMark, string>> = {
  scale: 'both ends of a known length',
  scaleLength: 'how long that is',
  nose: 'the nose',
  tail: 'the tail',
  back: 'two places or more along the back',
  belly: 'two places or more along the belly',
};

const IMPOSSIBLE_WORDS = {
  scaleNoLength: 'Both ends of the known length lie in one place: mark its two ends.',
  noLength: 'Nose and tail lie in one place: mark the two ends of the body.',
  bellyOverBack:
    'A mark of the belly lies on the back’s side of the line from nose to tail, or the other way round: move it.',
  tooLarge: 'That is no lure: longer than 60 cm, or higher than long. Look at the known length again.',
} as const;

/** What the marks give so far. */
export function tracedWords(traced: Traced, system: UnitSystem): string {
  switch (traced.outcome) {
    case 'open':
      return `Still to mark: ${listed(traced.open.map((each) => MARK_WORDS[each]))}.`;
    case 'impossible':
      return IMPOSSIBLE_WORDS[traced.reason];
    case 'traced': {
      const { lengthM, heightM, bellyEyesM, lip } = traced.form;
      return [
        `${showLength(lengthM, system)} long, ${showLength(heightM, system)} high`,
        ...(lip ? [`lip ${showLength(lip.lengthM, system)}, ${degrees(lip.downRad)} down`] : []),
        ...bellyEyesM.map((atM) => `hanger at ${showLength(atM, system)}`),
      ].join('; ');
    }
    default:
      return never(traced, 'tracedWords');
  }
}

function listed(words: readonly string[]): string {
  return words.length < 2 ? words.join('') : `${words.slice(0, -1).join(', ')} and ${words.at(-1) ?? ''}`;
}
