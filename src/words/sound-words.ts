/** The sound of a lure in words and figures: what strikes what, how it sounds, why, and why nothing is heard. */
import { itemOf, type Build } from '../core/lure/lure';
import type { ContactPrediction, SoundOutput, SoundPrediction, SoundSaid } from '../core/predict/sound';
import type { Apart } from '../core/predict/sounds-apart';
import type { Bottom, Contact, ContactKind } from '../core/sound/contact';
import type { Quiet } from '../core/sound/drive';
import { FISH_EARS, type FishGroup } from '../core/sound/fish-ears';
import type { Manner } from '../core/sound/motion';
import { decimalText } from '../core/units/write';
import { capital } from './capital';
import { partTitle } from './part-words';
import { unsureWords } from './factor-words';
import { movesWords, type MovesShown } from './ride-words';

export type Sounded = Extract<SoundPrediction, { readonly whole: unknown }>;

/** What one hears of a contact, by its kind. */
export const NOISE_WORDS: Readonly<Record<ContactKind, string>> = {
  sideBySide: 'click',
  insideClevis: 'clack',
  bell: 'ting',
  bladeOnHead: 'clack',
  bladeOnRivet: 'squeak',
  bladeOnStack: 'rub',
  bladeOnHook: 'clink',
  bladeOnNail: 'knock',
  bladeOnBody: 'tick',
  headOnBottom: 'knock',
};

export const QUIET_WORDS: Readonly<Record<Quiet, string>> = {
  standsStill: 'silent: what would drive it stands still at this speed',
  notDriven: 'silent: nothing on its wire turns or shakes it',
  pressed: 'silent: the drag holds the two together; a twitch would part them',
  clear: 'silent: the two are clear of each other',
  spinsFree: 'silent: the rivet spins along',
  soft: 'silent: one of the two is too soft to be heard',
  notWornIn: 'silent until it is worn in',
  damped: 'silent: so slow that the water between them takes the blow',
  doesNotSqueak: 'silent: such a blade does not squeak on metal',
};

export const MANNER_WORDS: Readonly<Record<Manner, string>> = {
  steady: 'steadily',
  twitched: 'with twitches',
};

export const BOTTOM_WORDS: Readonly<Record<Bottom, string>> = {
  none: 'nothing',
  gravel: 'gravel',
  rock: 'rock',
  wood: 'wood',
};

export const FISH_WORDS: Readonly<Record<FishGroup, string>> = {
  perch: 'perch and zander',
  pike: 'pike',
  salmonid: 'trout and salmon',
  sunfish: 'sunfish and bass',
  carp: 'carp and catfish',
};

/** `Brass bead 4 mm and folded clevis 1`: the two that meet. */
export function contactTitle({ between: [a, b], driven }: Contact, build: Build): string {
  const first = partTitle(itemOf(build, a).part);
  if (b === null) return `${first} and ${driven.by === 'way' ? BOTTOM_WORDS[driven.bottom] : 'the bottom'}`;
  return `${first} and ${lower(partTitle(itemOf(build, b).part))}`;
}

/** What is heard of a contact, or why nothing is. */
export function contactWords({ heard }: ContactPrediction): string {
  const { kind, isWanted } = heard.contact;
  if (heard.outcome === 'quiet') return QUIET_WORDS[heard.why];
  const noise = heard.squeak ? 'squeak' : heard.knocks ? NOISE_WORDS[kind] : 'rub';
  return `${noise}${isWanted ? '' : ', not wanted'}`;
}

export interface SoundFigure {
  readonly output: SoundOutput;
  readonly name: string;
  readonly value: string;
  readonly unit: string;
  readonly band: string;
  readonly why: string;
  /** What moves it most, and what is least known; empty where nothing does. */
  readonly moves: string;
  readonly unsure: string;
}

const NAMES: Readonly<Record<SoundOutput, string>> = {
  levelDb: 'Loud',
  centroidHz: 'Bright',
  knocksPerS: 'Knocks',
  regular: 'Regular',
  noteHz: 'Note',
  impulseN: 'For fish',
  fishShare: 'They hear',
  lateralShare: 'They feel',
};

const WHY: Readonly<Record<SoundOutput, string>> = {
  levelDb:
    'What people hear of it a metre off under water, beside the reference spinner: a brass #3 Colorado and three brass beads, drawn steadily at 0.8 m/s. Ten decibels more is ten times the power.',
  centroidHz:
    'The pitch about which its power lies: hard, light, small pieces sound bright, soft and heavy ones dull. This is for people; few fish hear above one kilohertz.',
  knocksPerS: 'How often something strikes, of all that is within 20 dB of the loudest.',
  regular: 'How evenly the knocks come: 100 % like a clock.',
  noteHz: 'The strongest note that is left ringing or squeaking.',
  impulseN:
    'What blows and blades give to the water each second. A fish hears little of the click and feels this: it grows with heavier pieces and larger blades, not with brighter ones.',
  fishShare: 'Of all its power in the water, what lies below where these fish stop hearing.',
  lateralShare: 'Of all its power in the water, what lies below 150 Hz, where the lateral line feels it.',
};

/** The figures of a whole sound, or of one contact; what cannot be said is left out. */
export function soundFigures(
  said: Readonly<Record<SoundOutput, SoundSaid | null>>,
  outputs: readonly SoundOutput[],
  build: Build,
  moved: MovesShown | null = null,
): SoundFigure[] {
  return outputs.flatMap((output) => {
    const each = said[output];
    return each
      ? [
          {
            output,
            name: NAMES[output],
            ...shown(output, each),
            why: WHY[output],
            moves: moved ? movesWords(output, moved) : '',
            unsure: unsureWords(each.leastKnown, build),
          },
        ]
      : [];
  });
}

function shown(output: SoundOutput, { value, low, high }: SoundSaid): { value: string; unit: string; band: string } {
  const range = (text: (each: number) => string, unit: string) => ({
    value: text(value),
    unit,
    band: `${text(low)} to ${text(high)}`,
  });
  switch (output) {
    case 'levelDb':
      return { ...range(signed, 'dB'), band: `${low < HARDLY_DB ? 'silent' : signed(low)} to ${signed(high)}` };
    case 'centroidHz':
    case 'noteHz':
      return range((each) => decimalText(each / 1000, 1), 'kHz');
    case 'knocksPerS':
      return range((each) => decimalText(each, each < 10 ? 1 : 0), 'a second');
    case 'impulseN':
      return range((each) => decimalText(each * 1000, 1), 'mN·s a second');
    case 'regular':
      return range((each) => decimalText(each * 100, 0), '%');
    case 'fishShare':
    case 'lateralShare':
      return range((each) => (each < 0.0005 ? '< 0.1' : decimalText(each * 100, each < 0.1 ? 1 : 0)), '%');
  }
}

/** Beside the reference, what is weaker than this is not heard at all. */
const HARDLY_DB = -50;

/** `+12` */
export function signed(value: number): string {
  const text = decimalText(Math.abs(value), 0);
  return text === '0' ? '0' : `${value < 0 ? '−' : '+'}${text}`;
}

/** A share of the level that is heard beside the loudest, dB. */
const BESIDE_LOUDEST_DB = 20;
const MOST_NAMED = 3;

/** The sound in one or two sentences, for those who do not hear it. */
export function soundCaption(sound: Sounded, build: Build): string {
  const { whole, contacts, heard } = sound;
  const [beat] = heard.beats;
  const throb = beat ? `${beat.hz < 3 ? 'a slow' : 'a steady'} throb of the blade, ${often(beat.hz)}` : '';
  if (sound.outcome === 'standsStill') return 'Silent: nothing of it turns or strikes at this speed.';
  if (sound.outcome === 'onlyWater') return `Nothing strikes. ${capital(throb)}: felt more than heard.`;
  const loud = contacts
    .flatMap(({ heard: each, said }) => (each.outcome === 'sounds' && said?.levelDb ? [{ each, said }] : []))
    .sort((a, b) => (b.said.levelDb?.value ?? 0) - (a.said.levelDb?.value ?? 0));
  const most = loud[0]?.said.levelDb?.value ?? 0;
  const named = loud
    .filter(({ said }) => (said.levelDb?.value ?? -Infinity) > most - BESIDE_LOUDEST_DB)
    .slice(0, MOST_NAMED)
    .map(({ each, said }) => {
      const hz = said.centroidHz?.value ?? 0;
      const rate = each.knocks ? often(each.knocks.perS) : 'drawn out';
      return `a ${toneOf(hz)} ${contactWords({ heard: each, said })} of ${lower(contactTitle(each.contact, build))}, ${rate}`;
    });
  const under = throb === '' ? '' : ` Under it ${throb}.`;
  return `${capital(named.join('; '))}. ${capital(loudness(whole.levelDb?.value ?? 0))}.${under}`;
}

function lower(text: string): string {
  return text.charAt(0).toLowerCase() + text.slice(1);
}

function toneOf(hz: number): string {
  return hz > 9000 ? 'sharp' : hz > 4000 ? 'clear' : hz > 1500 ? 'hollow' : 'dull';
}

function loudness(db: number): string {
  if (db < -25) return 'hardly to be heard';
  if (db < -8) return 'quieter than the reference spinner';
  if (db < 8) return 'about as loud as the reference spinner';
  return db < 25 ? 'louder than the reference spinner' : 'far louder than the reference spinner';
}

const COUNTS = ['', 'once', 'twice', 'three times', 'four times', 'five times', 'six times', 'seven times'];

/** `five times a second`. */
export function often(perS: number): string {
  const count = Math.round(perS);
  if (count === 0) return `every ${decimalText(1 / perS, 0)} seconds`;
  return `${COUNTS[count] ?? `${count} times`} a second`;
}

/** What is known of where these fish stop hearing. */
export function earsWords(fish: FishGroup): string {
  const [least, usual, most] = FISH_EARS[fish].upToHz;
  return `${capital(FISH_WORDS[fish])} hear up to about ${usual} Hz (found: ${least} to ${most}).`;
}

const MORE_WORDS: Readonly<Record<SoundOutput, readonly [more: string, less: string]>> = {
  levelDb: ['louder', 'quieter'],
  centroidHz: ['brighter', 'duller'],
  knocksPerS: ['knocks more often', 'knocks less often'],
  regular: ['more even', 'less even'],
  noteHz: ['rings higher', 'rings lower'],
  impulseN: ['gives more to the water', 'gives less to the water'],
  fishShare: ['more of it is heard by these fish', 'less of it is heard by these fish'],
  lateralShare: ['more of it is felt by a fish’s side', 'less of it is felt by a fish’s side'],
};

/** What is larger than its spread in one sentence, what is not in another. */
export function apartWords(all: readonly Apart[], otherName: string): string[] {
  const words = (isSure: boolean) =>
    all
      .filter((each) => each.isSure === isSure && each.now !== each.then)
      .map(({ output, now, then }) => MORE_WORDS[output][now > then ? 0 : 1]);
  const [sure, unsure] = [words(true), words(false)];
  return [
    sure.length > 0
      ? `Surely, beside ${otherName}: ${sure.join(', ')}.`
      : `Beside ${otherName} nothing is different for sure.`,
    ...(unsure.length > 0 ? [`Perhaps: ${unsure.join(', ')}.`] : []),
  ];
}
