/** Each command from arguments to the text it answers with. Files are read through the function passed in. */
import * as z from 'zod/mini';
import { BLADE_PATTERNS } from '../src/core/parts/blade-pattern';
import { CATALOGUE, findPart } from '../src/core/parts/catalogue';
import { PART_KINDS } from '../src/core/parts/part';
import { readLureFile, writeLureFile } from '../src/core/files/lure-file';
import { cutLengths } from '../src/core/lengths/lengths';
import { measureFindings } from '../src/core/judgement/checks/measures';
import { findings } from '../src/core/judgement/findings';
import { applyEdits, editSchema, type Edit } from '../src/core/lure/edit';
import type { ItemId, Lure } from '../src/core/lure/lure';
import { DEMO_LURES } from '../src/demo/scenario';
import { findingWords, repairWords } from '../src/words/finding-words';
import { refusalWords } from '../src/words/refusal-words';
import { lureFileProblemWords } from '../src/words/problem-words';
import {
  CommandError,
  readChecked,
  readOptions,
  readOutfit,
  readReadings,
  readSpeeds,
  readState,
  readWater,
  type CommandOptions,
  type OptionName,
  type ReadText,
} from './options';
import { predictions } from './predictions';
import { headJson, retrieveJson, trollJson } from './rides';
import { soundJson, type WriteFile } from './sounds';
import { cardJson } from './card';
import { movesJson } from './moves';
import { readUsed, wearJson } from './wear';
import { termWords } from '../src/words/length-words';

interface CommandForm {
  /** How many operands it takes, the lure among them. */
  readonly operands: number;
  readonly options: readonly OptionName[];
}

const COMMANDS: Readonly<Record<string, CommandForm>> = {
  demo: { operands: 0, options: [] },
  show: { operands: 1, options: [] },
  parts: { operands: 0, options: ['kind', 'pattern'] },
  predict: { operands: 1, options: ['speed', 'line-out', 'water', 'outfit', 'readings', 'state'] },
  sound: {
    operands: 1,
    options: [
      'speed',
      'seconds',
      'seed',
      'only',
      'out',
      'manner',
      'bottom',
      'hours',
      'fish',
      'water',
      'outfit',
      'line-out',
      'state',
    ],
  },
  wear: { operands: 1, options: ['hours', 'fish', 'water'] },
  card: { operands: 1, options: ['speed', 'target', 'line-out', 'water', 'outfit', 'state'] },
  moves: { operands: 1, options: ['speed', 'target', 'parts', 'line-out', 'water', 'outfit', 'state'] },
  lengths: { operands: 1, options: [] },
  findings: { operands: 1, options: [] },
  edit: { operands: 2, options: [] },
  swap: { operands: 3, options: [] },
  head: { operands: 1, options: ['speed', 'depth', 'line-out', 'water', 'outfit'] },
  troll: { operands: 1, options: ['speed', 'sinker', 'leader', 'metal', 'depth', 'line-out', 'water', 'outfit'] },
  retrieve: { operands: 1, options: ['turns', 'per-turn', 'countdown', 'line-out', 'water', 'outfit'] },
};
const DEMO_PREFIX = 'demo:';

function refuse(): never {
  throw new Error('nothing is written here');
}

export function runCommand(
  command: string,
  operands: readonly string[],
  given: Parameters<typeof readOptions>[1],
  readText: ReadText,
  writeFile: WriteFile = refuse,
): string {
  const form = Object.hasOwn(COMMANDS, command) ? COMMANDS[command] : undefined;
  if (!form) {
    const there = Object.keys(COMMANDS).join(', ');
    throw new CommandError('unknownCommand', `No command “${command}”. There are: ${there}.`);
  }
  const options: CommandOptions = readOptions(command, given, form.options);
  const [extra] = operands.slice(form.operands);
  if (extra !== undefined)
    throw new CommandError(
      'tooMany',
      `“${command}” takes ${form.operands} after its name; “${extra}” is one too many.`,
    );
  const open = () => openLure(operands, readText);
  /** One that can be, for what is worked out from its measures. */
  const whole = () => measuredSoundly(open());
  switch (command) {
    case 'demo':
      return json(DEMO_LURES.map(({ id, name }) => ({ slug: id, name })));
    case 'show':
      return writeLureFile(open());
    case 'parts':
      return json(listParts(options));
    case 'predict':
      return json(
        predictions(whole(), readSpeeds(options.speed), {
          water: readWater(options, readText),
          outfit: readOutfit(options, readText),
          readings: readReadings(options, readText),
          state: readState(options.state),
        }),
      );
    case 'sound':
      return json(
        soundJson(
          whole(),
          readWater(options, readText),
          options,
          { outfit: readOutfit(options, readText), state: readState(options.state) },
          writeFile,
        ),
      );
    case 'wear': {
      const lure = whole();
      return json({ lure: operands[0], ...wearJson(lure, readWater(options, readText), readUsed(options, lure)) });
    }
    case 'card':
      return json(cardJson(whole(), options, readText));
    case 'moves':
      return json(movesJson(whole(), options, readText));
    case 'head':
      return json(headJson(whole(), options, readText));
    case 'troll':
      return json(trollJson(whole(), options, readText));
    case 'retrieve':
      return json(retrieveJson(whole(), options, readText));
    case 'edit':
      return writeLureFile(done(open(), readEdits(operands[1], readText)));
    case 'swap':
      return writeLureFile(swapped(open(), operands[1], operands[2]));
    case 'lengths':
      return json(lengths(open()));
    case 'findings':
      return json(listFindings(open()));
    default:
      throw new Error(`runCommand: ${command} has a form and no answer`);
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

/** A lure whose parts can be as they are measured; else the first measure that cannot is named, with its limit. */
function measuredSoundly(lure: Lure): Lure {
  for (const finding of measureFindings(lure.build)) {
    if (finding.severity !== 'fault') continue;
    const { title, figure, why } = findingWords(finding, lure.build, 'metric');
    const beyond =
      finding.code === 'impossibleMeasure'
        ? { quantity: `${finding.less}_m`, value: finding.lessM, limit: finding.thanM }
        : finding.code === 'doubtfulMass'
          ? { quantity: 'mass_kg', value: finding.massKg, limit: finding.geometryKg }
          : null;
    throw new CommandError(finding.code, `${title}. ${figure}. ${why}`, beyond);
  }
  return lure;
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
  return cutLengths(lure.build).map(({ of, item, carrier, terms, totalM, cutM }) => ({
    of,
    station: item?.id ?? null,
    carrier,
    cut_m: cutM,
    total_m: totalM,
    terms: terms.map((term) => ({ code: term.code, words: termWords(term, 'metric'), length_m: term.lengthM })),
  }));
}

function listFindings(lure: Lure) {
  return findings(lure, undefined, CATALOGUE).map((finding) => ({
    ...finding,
    words: findingWords(finding, lure.build, 'metric'),
    repairs: finding.repairs().map((repair) => ({ words: repairWords(repair, 'metric'), edits: repair.edits })),
  }));
}
