/** What `sound` answers with, and what `predict` tells of it: figures under names that carry their units. */
import type { Lure } from '../src/core/lure/lure';
import { predict, type Asked } from '../src/core/predict/predict';
import {
  SOUND_OUTPUTS,
  USUAL_SOUND,
  type ContactPrediction,
  type SoundAsked,
  type SoundOutput,
  type SoundPrediction,
  type SoundsSaid,
} from '../src/core/predict/sound';
import type { Water } from '../src/core/hydro/water';
import { BOTTOMS } from '../src/core/sound/contact';
import { FISH_GROUPS } from '../src/core/sound/fish-ears';
import { MANNERS } from '../src/core/sound/motion';
import { LEAST_SECONDS, MOST_SECONDS, renderLoop } from '../src/core/sound/render';
import { writeWav } from '../src/paper/write-wav';
import { MANNER_WORDS, soundCaption } from '../src/words/sound-words';
import { CommandError, factorName, readNumber, readOneSpeed, type CommandOptions } from './options';

export type WriteFile = (path: string, content: Uint8Array) => void;

export const SOUND_NAMES: Readonly<Record<SoundOutput, readonly [name: string, by: number]>> = {
  levelDb: ['level_db', 1],
  centroidHz: ['centroid_hz', 1],
  knocksPerS: ['knocks_per_s', 1],
  regular: ['regular', 1],
  noteHz: ['note_hz', 1],
  impulseN: ['impulse_mn_s_per_s', 1000],
  fishShare: ['fish_share', 1],
  lateralShare: ['lateral_line_share', 1],
};
/** What levels are told beside. */
const REFERENCE = 'brass #3 Colorado spinner with three brass beads, drawn steadily at 0.8 m/s';
const USUAL_SECONDS = 4;
const MOST_SEED = 2 ** 31 - 1;
const MOST_HOURS = 10_000;

/** A choice by name; the usual one where none is named. */
function oneOf<T extends string>(what: string, text: string | undefined, all: readonly T[], usual: T): T {
  const found = all.find((each) => each === (text ?? usual));
  if (found) return found;
  throw new CommandError(`unknown${what}`, `No ${what.toLowerCase()} “${String(text)}”. There are: ${all.join(', ')}.`);
}

/** As asked for; what rubs is worked in by as many hours as the lure's file tells of the piece that is made. */
export function readSound({ manner, bottom, hours, fish }: CommandOptions, { made }: Lure): SoundAsked {
  return {
    manner: oneOf('Manner', manner, MANNERS, USUAL_SOUND.manner),
    bottom: oneOf('Bottom', bottom, BOTTOMS, USUAL_SOUND.bottom),
    fish: oneOf('Fish', fish, FISH_GROUPS, USUAL_SOUND.fish),
    hours:
      hours === undefined
        ? (made?.used?.hours ?? USUAL_SOUND.hours)
        : readNumber('badHours', hours, 'number', 0, MOST_HOURS),
  };
}

/** The sound of a lure at one speed as figures, and as a WAV file where one is asked for. */
export function soundJson(lure: Lure, water: Water, options: CommandOptions, asked: Asked, writeFile: WriteFile) {
  const speedMps = readOneSpeed('sound', options.speed);
  const seconds =
    options.seconds === undefined
      ? USUAL_SECONDS
      : readNumber('badSeconds', options.seconds, 'number', LEAST_SECONDS, MOST_SECONDS);
  const seed = options.seed === undefined ? 1 : readNumber('badSeed', options.seed, 'number', 0, MOST_SEED);
  if (!Number.isInteger(seed)) throw new CommandError('badSeed', `“${String(options.seed)}” is no whole number.`);
  const sound = readSound(options, lure);
  const [prediction] = predict(lure.build, water, [speedMps], { ...asked, sound }).sounds;
  if (!prediction) throw new Error('soundJson: a sound was asked for');
  const only = options.only === undefined ? null : contactNamed(prediction, options.only);
  if (options.out !== undefined) {
    if (!('heard' in prediction))
      throw new CommandError('noSound', 'Of this speed nothing can be heard: see "outcome".');
    const loop = renderLoop(prediction.heard, { seconds, seed, ...(only === null ? {} : { only: [only] }) });
    const drawn = `${speedMps} m/s, ${MANNER_WORDS[sound.manner]}`;
    try {
      writeFile(options.out, writeWav(loop, { lure: lure.name, version: 'as it is now', drawn }));
    } catch {
      throw new CommandError(
        'cannotWrite',
        `Cannot write “${options.out}”. A file in a folder that is there would be right.`,
      );
    }
  }
  return {
    lure: lure.id,
    speed_m_s: speedMps,
    seconds,
    seed,
    only,
    out: options.out ?? null,
    ...sound,
    reference: REFERENCE,
    ...soundFigures(prediction),
    words: 'heard' in prediction ? soundCaption(prediction, lure.build) : null,
  };
}

function contactNamed(prediction: SoundPrediction, id: string): string {
  const ids = 'heard' in prediction ? prediction.contacts.map(({ heard }) => heard.contact.id) : [];
  if (ids.includes(id)) return id;
  const there = ids.length > 0 ? `There are: ${ids.map((each) => `“${each}”`).join(', ')}.` : 'It has none.';
  throw new CommandError('unknownContact', `No contact “${id}”. ${there}`);
}

/** The figures of a whole sound, and of each contact. */
export function soundFigures(prediction: SoundPrediction) {
  if (!('heard' in prediction)) return { outcome: prediction };
  return { outcome: prediction.outcome, ...saidJson(prediction.whole), contacts: prediction.contacts.map(contactJson) };
}

function contactJson({ heard, said }: ContactPrediction) {
  const { id, kind, between, isWanted } = heard.contact;
  return {
    id,
    kind,
    between,
    wanted: isWanted,
    outcome: heard.outcome,
    ...(heard.outcome === 'quiet' ? { why: heard.why } : {}),
    ...saidJson(said),
  };
}

function saidJson(said: SoundsSaid | null) {
  const each = <T>(read: (output: SoundOutput, by: number) => T) =>
    Object.fromEntries(SOUND_OUTPUTS.map((output) => [SOUND_NAMES[output][0], read(output, SOUND_NAMES[output][1])]));
  return {
    ...each((output, by) => (said?.[output] ? said[output].value * by : null)),
    spreads: each((output, by) => (said?.[output] ? [said[output].low * by, said[output].high * by] : null)),
    least_known: each((output) => said?.[output]?.leastKnown.map(factorName) ?? null),
  };
}
