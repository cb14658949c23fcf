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
import { USUAL_OUTFIT } from '../src/core/hydro/outfit';
import { LAKE_WATER } from '../src/core/hydro/water';
import { predictSpin, type BladePrediction } from '../src/core/predict/spin';
import { nominalCrossings } from '../src/core/predict/crossings';
import { rides, type Ride } from '../src/core/predict/ride';
import { readQuantity } from '../src/core/units/read';
import { DEMO_LURES } from '../src/demo/scenario';
import { findingWords, repairWords } from '../src/words/finding-words';
import { refusalWords } from '../src/words/refusal-words';
import { lureFileProblemWords, readingProblemWords } from '../src/words/problem-words';
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
}

type ReadText = (path: string) => string;

const COMMANDS = ['demo', 'show', 'parts', 'predict', 'lengths', 'findings', 'edit', 'swap'];
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
      return json(predictions(open(), readSpeeds(options.speed), readLineOut(options['line-out'])));
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
  let json: unknown;
  try {
    json = JSON.parse(readText(source));
  } catch {
    throw new CommandError('cannotRead', `Cannot read “${source}” as JSON. A list of edits would be right.`);
  }
  const edits = z.array(editSchema).check(z.maxLength(MOST_EDITS)).safeParse(json);
  if (edits.success) return edits.data;
  const [issue] = edits.error.issues;
  throw new CommandError(
    'badEdits',
    `Not a list of edits: at ${issue?.path.join('.') ?? ''}, ${issue?.message ?? ''}.`,
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

function readLineOut(text: string | undefined): number {
  if (text === undefined) return USUAL_OUTFIT.lineOutM;
  const reading = readQuantity('length', text, { bare: 'm', minSi: 0.5, maxSi: 300 });
  if (!reading.ok) throw new CommandError('badLineOut', readingProblemWords(reading.problem));
  return reading.si;
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

function predictions(lure: Lure, speeds: readonly number[], lineOutM: number) {
  const prediction = predictSpin(lure.build, LAKE_WATER, speeds);
  const ride = rides(lure.build, LAKE_WATER, speeds, USUAL_OUTFIT, [lineOutM]);
  return {
    lure: lure.id,
    water: { temperature_k: LAKE_WATER.temperatureK, salinity_g_per_kg: LAKE_WATER.salinityGPerKg },
    mass_g: ride.massKg * 1000,
    sinking_weight_n: ride.sinkingN,
    sink_rate_m_s: nominalCrossings(lure.build, LAKE_WATER).sinkMps,
    arm_natural_hz: ride.armHz,
    line_out_m: lineOutM,
    at: speeds.map((speed, i) => {
      const blades = prediction.blades.map(({ station, at }) => bladeJson(station, at[i]));
      return { speed_m_s: speed, outcome: overall(blades), blades, ...rideJson(ride.at[i], blades) };
    }),
  };
}

const RIDE_UNKNOWN = {
  drag_n: null,
  pitch_deg: null,
  line_slope_deg: null,
  line: null,
  depth_m: null,
  thump_n: null,
  shake_mm: null,
  lean: null,
  lean_deg: null,
  side_pull_deg: null,
};

/** Null where a blade is outside its model: what hangs on its drag cannot be said then. */
function rideJson(ride: Ride | undefined, blades: readonly { readonly outcome: string }[]) {
  const isKnown = blades.every(({ outcome }) => outcome === 'turning' || outcome === 'doesNotTurn');
  const [line] = ride?.lines ?? [];
  if (!ride || !isKnown) return RIDE_UNKNOWN;
  const { lean } = ride;
  return {
    drag_n: ride.trim.dragN,
    pitch_deg: degrees(ride.trim.pitchRad),
    line_slope_deg: degrees(ride.lineSlopeRad),
    line: line?.outcome ?? null,
    depth_m: line?.outcome === 'sinks' ? line.depthM : line?.outcome === 'surfaces' ? 0 : null,
    thump_n: Math.hypot(...ride.shakes.map(({ thumpN }) => thumpN)),
    shake_mm: Math.hypot(...ride.shakes.map(({ amplitudeM }) => amplitudeM * 1000)),
    lean: lean.outcome,
    lean_deg: lean.outcome === 'leans' ? degrees(lean.leanRad) : null,
    side_pull_deg: degrees(ride.sidePullRad),
  };
}

function bladeJson(station: string, at: BladePrediction | undefined) {
  const turning = at?.outcome === 'turning';
  const isStill = at?.outcome === 'doesNotTurn';
  return {
    station,
    outcome: at?.outcome ?? 'notAsked',
    ...(at && at.outcome !== 'turning' ? { detail: at } : {}),
    turning,
    rate_hz: turning ? at.rateHz.value : isStill ? 0 : null,
    rate_hz_spread: turning ? [at.rateHz.low, at.rateHz.high] : null,
    spread_deg: turning ? degrees(at.spreadRad.value) : null,
    spread_deg_spread: turning ? [degrees(at.spreadRad.low), degrees(at.spreadRad.high)] : null,
    drag_n: turning ? at.dragN.value : null,
    drag_n_spread: turning ? [at.dragN.low, at.dragN.high] : null,
  };
}

function overall(blades: readonly ReturnType<typeof bladeJson>[]) {
  if (blades.length === 0) return 'noBlade';
  const outcomes = new Set(blades.map(({ outcome }) => outcome));
  const [only] = outcomes;
  return outcomes.size === 1 ? only : 'mixed';
}

function degrees(rad: number): number {
  return (rad * 180) / Math.PI;
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
