/** What a command is asked for: its options as text, and each as what it stands for, or an error that says what would be right. */
import type * as z from 'zod/mini';
import { OUTFIT_RANGES, outfitSchema, USUAL_OUTFIT, type Outfit } from '../src/core/hydro/outfit';
import { MAX_SPEED_MPS } from '../src/core/hydro/spin';
import { LAKE_WATER, waterSchema, type Water } from '../src/core/hydro/water';
import { BLADE_STATES, type BladeState } from '../src/core/in-water/bearing';
import { readingsSchema, type Reading } from '../src/core/lure/reading';
import type { SoundFactor } from '../src/core/predict/sound';
import { readQuantity } from '../src/core/units/read';
import { readingProblemWords } from '../src/words/problem-words';

export class CommandError extends Error {
  /** @param beyond the quantity that is outside what the model holds for, and the limit it passed, SI */
  constructor(
    readonly code: string,
    message: string,
    readonly beyond: Beyond | null = null,
  ) {
    super(message);
  }
}

export interface Beyond {
  readonly quantity: string;
  readonly value: number;
  readonly limit: number;
}

export const OPTION_NAMES = [
  'kind',
  'pattern',
  'speed',
  'line-out',
  'water',
  'outfit',
  'readings',
  'state',
  'depth',
  'turns',
  'per-turn',
  'countdown',
  'seconds',
  'seed',
  'only',
  'out',
  'manner',
  'bottom',
  'hours',
  'fish',
  'target',
  'parts',
  'sinker',
  'leader',
  'metal',
] as const;
export type OptionName = (typeof OPTION_NAMES)[number];
export type CommandOptions = Readonly<Partial<Record<OptionName, string | undefined>>>;

/** Each option's one text, from what stood on the command line: none is given twice, and each is one the command takes. */
export function readOptions(
  command: string,
  given: Readonly<Record<string, string | boolean | readonly (string | boolean)[] | undefined>>,
  takes: readonly OptionName[],
): CommandOptions {
  const options: Partial<Record<OptionName, string>> = {};
  for (const [name, value] of Object.entries(given)) {
    if (value === undefined) continue;
    const known = takes.find((each) => each === name);
    if (!known) {
      const there = takes.length > 0 ? `It takes: ${takes.map((each) => `--${each}`).join(', ')}.` : 'It takes none.';
      throw new CommandError('unknownOption', `“${command}” takes no option --${name}. ${there}`);
    }
    const texts = [value].flat();
    const [text] = texts;
    if (texts.length > 1)
      throw new CommandError('repeatedOption', `--${name} stands ${texts.length} times. Give it once.`);
    if (typeof text !== 'string') throw new CommandError('noValue', `--${name} needs a value behind it.`);
    options[known] = text;
  }
  return options;
}

export type ReadText = (path: string) => string;

export function readSpeeds(text: string | undefined): number[] {
  if (text === undefined) throw new CommandError('noSpeed', 'Give --speed in m/s, such as --speed 0.4,0.8.');
  return text.split(',').map((each) => {
    const reading = readQuantity('speed', each, { bare: 'mps', minSi: 0 });
    if (!reading.ok) throw new CommandError('badSpeed', readingProblemWords(reading.problem));
    return withinModel(reading.si);
  });
}

/** A speed the model holds for. */
export function withinModel(speedMps: number): number {
  if (speedMps <= MAX_SPEED_MPS) return speedMps;
  throw new CommandError(
    'speedOutsideModel',
    `${speedMps} m/s is outside the model, which holds up to ${MAX_SPEED_MPS} m/s.`,
    { quantity: 'speed_m_s', value: speedMps, limit: MAX_SPEED_MPS },
  );
}

/** The text of a file, or an error that says what would be right. */
export function readSource(source: string, what: string, readText: ReadText): string {
  try {
    return readText(source);
  } catch {
    throw new CommandError('cannotRead', `Cannot read “${source}”. ${what} as docs/files.md shows would be right.`);
  }
}

/** A file checked by a schema; what it should hold is named when it does not. */
export function readChecked<T>(
  source: string,
  schema: z.ZodMiniType<T>,
  what: string,
  readText: ReadText,
  code = 'faultyField',
): T {
  let json: unknown;
  try {
    json = JSON.parse(readText(source));
  } catch {
    throw new CommandError('cannotRead', `Cannot read “${source}” as JSON. ${what} would be right.`);
  }
  const read = schema.safeParse(json);
  if (read.success) return read.data;
  const [issue] = read.error.issues;
  throw new CommandError(
    code,
    `In “${source}” at ${issue?.path.join('.') || 'the top'}: ${issue?.message ?? ''}. ${what} would be right.`,
  );
}

export function readWater({ water }: CommandOptions, readText: ReadText): Water {
  if (water === undefined) return LAKE_WATER;
  return readChecked(water, waterSchema, '{"temperatureK": 285, "salinityGPerKg": 0}', readText);
}

/** The usual outfit, or that of a file; `--line-out` goes before either's. */
export function readOutfit({ outfit, 'line-out': lineOut }: CommandOptions, readText: ReadText): Outfit {
  const what = 'An outfit such as docs/core-cli.md shows';
  const read = outfit === undefined ? USUAL_OUTFIT : readChecked(outfit, outfitSchema, what, readText);
  if (lineOut === undefined) return read;
  return {
    ...read,
    lineOutM: readNumber('badLineOut', lineOut, 'm', OUTFIT_RANGES.lineOutM.minSi, OUTFIT_RANGES.lineOutM.maxSi),
  };
}

export function readReadings({ readings }: CommandOptions, readText: ReadText): readonly Reading[] {
  if (readings === undefined) return [];
  return readChecked(readings, readingsSchema, 'A list of readings such as docs/core-cli.md shows', readText);
}

export function readState(text: string | undefined): BladeState {
  const state = BLADE_STATES.find((each) => each === (text ?? 'clean'));
  if (state) return state;
  throw new CommandError('unknownState', `No state “${String(text)}”. There are: ${BLADE_STATES.join(', ')}.`);
}

/** The one speed of a command that tells of one, m/s. */
export function readOneSpeed(command: string, speed: string | undefined): number {
  const [speedMps, second] = readSpeeds(speed);
  if (speedMps === undefined || second !== undefined)
    throw new CommandError('oneSpeed', `“${command}” is of one speed, such as --speed 0.8.`);
  return speedMps;
}

export function readNumber(code: string, text: string, unit: 'm' | 'number', minSi: number, maxSi: number): number {
  if (unit === 'number') {
    const value = Number(text);
    if (text.trim() !== '' && value >= minSi && value <= maxSi) return value;
    throw new CommandError(code, `“${text}” is no number from ${minSi} to ${maxSi}.`);
  }
  const reading = readQuantity('length', text, { bare: unit, minSi, maxSi });
  if (!reading.ok) throw new CommandError(code, readingProblemWords(reading.problem));
  return reading.si;
}

/** A factor's name for scripts. */
export function factorName(factor: SoundFactor): string {
  return factor.of === 'blade' ? `${factor.key} ${factor.station}` : factor.key;
}
