/** Each command from arguments to the text it answers with. Files are read through the function passed in. */
import * as z from 'zod/mini';
import { BLADE_PATTERNS } from '../src/core/parts/blade-pattern';
import { CATALOGUE, findPart } from '../src/core/parts/catalogue';
import { PART_KINDS } from '../src/core/parts/part';
import { readLureFile, writeLureFile } from '../src/core/lure/lure-file';
import { cutLengths } from '../src/core/lure/lengths';
import { findings } from '../src/core/lure/findings';
import { applyEdits, editSchema, type Edit } from '../src/core/lure/edit';
import type { ItemId, Lure } from '../src/core/lure/lure';
import { outfitSchema, USUAL_OUTFIT, type Outfit } from '../src/core/hydro/outfit';
import { LAKE_WATER, waterSchema, type Water } from '../src/core/hydro/water';
import { BLADE_STATES, type BladeState } from '../src/core/lure/bearing';
import { lightestHead } from '../src/core/predict/head-finder';
import { readingsSchema, type Reading } from '../src/core/predict/readings';
import { retrievePath } from '../src/core/predict/retrieve-path';
import { readQuantity } from '../src/core/units/read';
import { DEMO_LURES } from '../src/demo/scenario';
import { findingWords, repairWords } from '../src/words/finding-words';
import { refusalWords } from '../src/words/refusal-words';
import { lureFileProblemWords, readingProblemWords } from '../src/words/problem-words';
import { predictions } from './predictions';
import { termWords } from '../src/words/length-words';

export class CommandError extends Error {
  constructor(
    readonly code: string,
    message: string,
  ) {
    super(message);
  }
}

export interface CommandOptions {
  readonly kind?: string | undefined;
  readonly pattern?: string | undefined;
  readonly speed?: string | undefined;
  readonly 'line-out'?: string | undefined;
  readonly water?: string | undefined;
  readonly outfit?: string | undefined;
  readonly readings?: string | undefined;
  readonly state?: string | undefined;
  readonly depth?: string | undefined;
  readonly turns?: string | undefined;
  readonly 'per-turn'?: string | undefined;
  readonly countdown?: string | undefined;
}

type ReadText = (path: string) => string;

const COMMANDS = ['demo', 'show', 'parts', 'predict', 'lengths', 'findings', 'edit', 'swap', 'head', 'retrieve'];
const DEMO_PREFIX = 'demo:';

export function runCommand(
  command: string,
  operands: readonly string[],
  options: CommandOptions,
  readText: ReadText,
): string {
  const open = () => openLure(operands, readText);
  switch (command) {
    case 'demo':
      return json(DEMO_LURES.map(({ id, name }) => ({ slug: id, name })));
    case 'show':
      return writeLureFile(open());
    case 'parts':
      return json(listParts(options));
    case 'predict':
      return json(
        predictions(open(), readSpeeds(options.speed), {
          water: readWater(options, readText),
          outfit: readOutfit(options, readText),
          readings: readReadings(options, readText),
          state: readState(options.state),
        }),
      );
    case 'head':
      return json(headJson(open(), options, readText));
    case 'retrieve':
      return json(retrieveJson(open(), options, readText));
    case 'edit':
      return writeLureFile(done(open(), readEdits(operands[1], readText)));
    case 'swap':
      return writeLureFile(swapped(open(), operands[1], operands[2]));
    case 'lengths':
      return json(lengths(open()));
    case 'findings':
      return json(listFindings(open()));
    default:
      throw new CommandError('unknownCommand', `No command “${command}”. There are: ${COMMANDS.join(', ')}.`);
  }
}

function json(value: unknown): string {
  return `${JSON.stringify(value, null, 2)}\n`;
}

function openLure(operands: readonly string[], readText: ReadText): Lure {
  const [source] = operands;
  if (source === undefined) {
    throw new CommandError('noLure', 'Name a lure: a file, demo:slug, or - for standard input.');
  }
  if (source.startsWith(DEMO_PREFIX)) {
    const slug = source.slice(DEMO_PREFIX.length);
    const found = DEMO_LURES.find(({ id }) => id === slug);
    if (found) return found;
    const slugs = DEMO_LURES.map(({ id }) => id).join(', ');
    throw new CommandError('unknownSlug', `No demo lure “${slug}”. There are: ${slugs}.`);
  }
  let text: string;
  try {
    text = readText(source);
  } catch {
    throw new CommandError('cannotRead', `Cannot read “${source}”. Name a lure file, demo:slug, or -.`);
  }
  const reading = readLureFile(text);
  if (!reading.ok) throw new CommandError(reading.problem.code, lureFileProblemWords(reading.problem));
  return reading.lure;
}

function readEdits(source: string | undefined, readText: ReadText): readonly Edit[] {
  if (source === undefined) throw new CommandError('noEdits', 'Name a file with a list of edits, after the lure.');
  return readChecked(
    source,
    z.array(editSchema).check(z.maxLength(MOST_EDITS)),
    'A list of edits',
    readText,
    'badEdits',
  );
}

const MOST_EDITS = 1000;

/** The lure after these edits, as one change. */
function done(lure: Lure, edits: readonly Edit[]): Lure {
  const applied = applyEdits(lure, edits);
  if (!applied.ok) throw new CommandError(applied.refusal.code, refusalWords(applied.refusal));
  return applied.lure;
}

function swapped(lure: Lure, station: string | undefined, partId: string | undefined): Lure {
  const item = lure.build.items[station as ItemId];
  if (!item) {
    const stations = Object.keys(lure.build.items).join(', ');
    throw new CommandError('unknownStation', `No station “${String(station)}”. There are: ${stations}.`);
  }
  const part = partId === undefined ? undefined : findPart(partId);
  if (!part) throw new CommandError('unknownPart', `No part “${String(partId)}” in the catalogue. “parts” lists them.`);
  return done(lure, [{ kind: 'swapPart', item: item.id, part }]);
}

function readSpeeds(text: string | undefined): number[] {
  if (text === undefined) throw new CommandError('noSpeed', 'Give --speed in m/s, such as --speed 0.4,0.8.');
  return text.split(',').map((each) => {
    const reading = readQuantity('speed', each, { bare: 'mps', minSi: 0 });
    if (!reading.ok) throw new CommandError('badSpeed', readingProblemWords(reading.problem));
    return reading.si;
  });
}

/** A file checked by a schema; what it should hold is named when it does not. */
function readChecked<T>(
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

function readWater({ water }: CommandOptions, readText: ReadText): Water {
  if (water === undefined) return LAKE_WATER;
  return readChecked(water, waterSchema, '{"temperatureK": 285, "salinityGPerKg": 0}', readText);
}

/** The usual outfit, or that of a file; `--line-out` goes before either's. */
function readOutfit({ outfit, 'line-out': lineOut }: CommandOptions, readText: ReadText): Outfit {
  const what = 'An outfit such as docs/core-cli.md shows';
  const read = outfit === undefined ? USUAL_OUTFIT : readChecked(outfit, outfitSchema, what, readText);
  if (lineOut === undefined) return read;
  return { ...read, lineOutM: readNumber('badLineOut', lineOut, 'm', 0.5, 300) };
}

function readReadings({ readings }: CommandOptions, readText: ReadText): readonly Reading[] {
  if (readings === undefined) return [];
  return readChecked(readings, readingsSchema, 'A list of readings such as docs/core-cli.md shows', readText);
}

function readState(text: string | undefined): BladeState {
  const state = BLADE_STATES.find((each) => each === (text ?? 'clean'));
  if (state) return state;
  throw new CommandError('unknownState', `No state “${String(text)}”. There are: ${BLADE_STATES.join(', ')}.`);
}

function readNumber(code: string, text: string, unit: 'm' | 's', minSi: number, maxSi: number): number {
  if (unit === 's') {
    const seconds = Number(text);
    if (text.trim() !== '' && seconds >= minSi && seconds <= maxSi) return seconds;
    throw new CommandError(code, `“${text}” is no number from ${minSi} to ${maxSi}.`);
  }
  const reading = readQuantity('length', text, { bare: unit, minSi, maxSi });
  if (!reading.ok) throw new CommandError(code, readingProblemWords(reading.problem));
  return reading.si;
}

/** The lightest head or weight for a depth at a speed. */
function headJson(lure: Lure, options: CommandOptions, readText: ReadText) {
  const [speedMps = 0] = readSpeeds(options.speed);
  const [from = '', to = ''] = (options.depth ?? '').split(',');
  const fromM = readNumber('badDepth', from, 'm', 0, 100);
  const toM = readNumber('badDepth', to, 'm', 0, 100);
  if (toM <= fromM) throw new CommandError('badDepth', 'Give --depth as two depths, the lesser first: --depth 1,1.5.');
  const found = lightestHead(
    lure.build,
    readWater(options, readText),
    { speedMps, fromM, toM },
    CATALOGUE,
    readOutfit(options, readText),
  );
  if (found.outcome === 'noHead') return found;
  return {
    outcome: found.outcome,
    mass_g: found.massKg * 1000,
    depth_m: found.depthM,
    ...(found.outcome === 'found'
      ? {
          station: found.station,
          part: found.part && {
            id: found.part.part.id,
            mass_g: found.part.part.massKg * 1000,
            depth_m: found.part.depthM,
          },
        }
      : {}),
  };
}

/** The way of a retrieve, as points. */
function retrieveJson(lure: Lure, options: CommandOptions, readText: ReadText) {
  const path = retrievePath(
    lure.build,
    readWater(options, readText),
    {
      turnsPerS: readNumber('badTurns', options.turns ?? '1', 's', 0, 8),
      linePerTurnM: readNumber('badPerTurn', options['per-turn'] ?? '0.66', 'm', 0.05, 3),
      countdownS: readNumber('badCountdown', options.countdown ?? '0', 's', 0, 600),
    },
    readOutfit(options, readText),
  );
  if (path.outcome !== 'runs') return path;
  return {
    outcome: path.outcome,
    start_m: path.startM,
    hung: path.hung,
    deepest_m: path.deepestM,
    points: path.points.map(({ lineOutM, timeS, depthM }) => ({
      line_out_m: lineOutM,
      time_s: timeS,
      depth_m: depthM,
    })),
  };
}

function listParts({ kind, pattern }: CommandOptions) {
  const isKnown = (list: readonly string[], value: string | undefined) => value === undefined || list.includes(value);
  if (!isKnown(PART_KINDS, kind)) {
    throw new CommandError('unknownKind', `No kind “${String(kind)}”. There are: ${PART_KINDS.join(', ')}.`);
  }
  if (!isKnown(BLADE_PATTERNS, pattern)) {
    throw new CommandError(
      'unknownPattern',
      `No pattern “${String(pattern)}”. There are: ${BLADE_PATTERNS.join(', ')}.`,
    );
  }
  return CATALOGUE.filter(
    (part) =>
      (kind === undefined || part.kind === kind) &&
      (pattern === undefined || (part.kind === 'blade' && part.pattern === pattern)),
  );
}

function lengths(lure: Lure) {
  return cutLengths(lure.build).map(({ of, item, terms, totalM, cutM }) => ({
    of,
    station: item?.id ?? null,
    cut_m: cutM,
    total_m: totalM,
    terms: terms.map((term) => ({ code: term.code, words: termWords(term, 'metric'), length_m: term.lengthM })),
  }));
}

function listFindings(lure: Lure) {
  return findings(lure, undefined, CATALOGUE).map((finding) => ({
    ...finding,
    words: findingWords(finding, lure.build, 'metric'),
    repairs: finding.repairs.map((repair) => ({ words: repairWords(repair, 'metric'), edits: repair.edits })),
  }));
}
