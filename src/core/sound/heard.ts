/**
 * What is heard of a lure: each contact as blows, rubs and squeaks with their strength, and under them the beat of the
 * blades and the roar of the water. Everything is a force on the water (radiation.ts); levels are sums over bands.
 */
import type { ItemId } from '../lure/lure';
import type { Contact } from './contact';
import { driveOf, type Knocks, type Quiet, type Rub, type Squeak } from './drive';
import { pulseSpectrum, strike, type Blow } from './impact';
import type { Motion } from './motion';
import {
  BAND_MIDDLES_HZ,
  BAND_PRESSURES,
  BAND_WIDTHS_HZ,
  bandOf,
  noBands,
  pressurePerN,
  type Bands,
} from './radiation';
import { notesOf } from './ringing';

/** A note that a blow leaves. */
export interface Ring {
  readonly hz: number;
  /** At first, at a metre, Pa. */
  readonly pascal: number;
  /** Share of its energy lost in a radian. */
  readonly lossFactor: number;
}

export interface KnocksHeard extends Knocks {
  readonly blow: Blow;
  /** Of the blow's force, what the water feels. */
  readonly pushes: number;
  readonly rings: readonly Ring[];
}

/** A noise by a force: its strength, and the pitch above which it fades. */
export interface NoiseHeard {
  readonly forceN: number;
  readonly upToHz: number;
  readonly swellsHz: number;
}

export interface NoteHeard {
  readonly hz: number;
  readonly pascal: number;
  readonly swellsHz: number;
}

export type ContactHeard = { readonly contact: Contact } & (
  | {
      readonly outcome: 'sounds';
      readonly knocks: KnocksHeard | null;
      readonly rub: NoiseHeard | null;
      readonly squeak: NoteHeard | null;
      readonly bands: Bands;
    }
  | { readonly outcome: 'quiet'; readonly why: Quiet }
);

/** A blade's own pressure: how often, with what force on the water, and how strong at a metre. */
export interface BeatHeard {
  readonly station: ItemId;
  readonly hz: number;
  readonly forceN: number;
  readonly pascal: number;
}

export interface Heard {
  readonly contacts: readonly ContactHeard[];
  /** The blades' own pressure, at n and 2n. */
  readonly beats: readonly BeatHeard[];
  readonly flow: NoiseHeard;
  /** Of the whole, with beats and flow. */
  readonly bands: Bands;
}

/** Two equal pieces push the water to opposite sides; for the way between them a little is left. Trade estimate. */
const LEAST_PUSH = 0.2;
/** What is left of a mode's push when all of it that moves to and fro is added up. Trade estimate. */
const MODE_PUSH = 0.1;
/** Of a blow on a clevis or a bell's neighbour, what gets into the plate that hangs there. Trade estimate. */
const THROUGH_CLEVIS = 0.05;
/** Of a rub, what is not steady; and the grain of what rubs, m. Trade estimates. */
const ROUGH_SHARE = 0.1;
const GRAIN_M = 0.00002;
/** Of a squeak, what of the press comes and goes with the slip. Trade estimate. */
const SLIP_SHARE = 0.05;
/** Of the lure's drag, what flutters in its wake, and how wide what sheds it is, m. Trade estimates. */
const FLUTTER_SHARE = 0.005;
const SHED_M = 0.003;
/** Of a blade's axial pull, what comes and goes twice a turn. Trade estimate. */
const TWICE_SHARE = 0.15;
/** Strouhal number of what is shed. */
const STROUHAL = 0.2;
/** Where a blade meets the water it drives, of its tip's radius. */
const DRIVEN_AT = 0.65;

/** What was heard of the same contacts in another motion. */
export interface HeardBefore {
  readonly heard: Heard;
  readonly motion: Motion;
}

/** Whether all that strikes does so alike in both. */
function movesAlike(a: Motion, b: Motion): boolean {
  return (
    a.by === b.by &&
    a.armNM === b.armNM &&
    a.turning.size === b.turning.size &&
    [...a.turning].every(([station, { spun, shake }]) => {
      const other = b.turning.get(station);
      return other?.spun === spun && other.shake?.amplitudeM === shake?.amplitudeM;
    })
  );
}

/** What is heard of these contacts in this motion. @param before of the same contacts, speed and water: then worked out sooner */
export function hear(contacts: readonly Contact[], motion: Motion, before: HeardBefore | null = null): Heard {
  const all =
    before && movesAlike(before.motion, motion)
      ? before.heard.contacts
      : contacts.map((contact) => hearContact(contact, motion));
  const beats = [...motion.turning].flatMap(([station, { spun, strokes }]) => {
    const turnsN = spun.driveTorqueNm / (DRIVEN_AT * spun.tipRadiusM);
    const once = strokes * spun.rateHz;
    const beat = (hz: number, forceN: number): BeatHeard => ({
      station,
      hz,
      forceN,
      pascal: forceN * pressurePerN(hz),
    });
    return [beat(once, turnsN / strokes), beat(2 * once, (TWICE_SHARE * spun.dragN) / strokes)];
  });
  const flow: NoiseHeard = {
    forceN: motion.by.flow * FLUTTER_SHARE * motion.dragN,
    upToHz: (STROUHAL * motion.speedMps) / SHED_M,
    swellsHz: 0,
  };
  const bands = noiseBands(flow);
  for (const { hz, pascal } of beats) addAt(bands, hz, pascal ** 2 / 2);
  for (const each of all) if (each.outcome === 'sounds') add(bands, each.bands);
  return { contacts: all, beats, flow, bands };
}

function hearContact(contact: Contact, motion: Motion): ContactHeard {
  const drive = driveOf(contact, motion);
  if (drive.outcome === 'quiet') return { contact, outcome: 'quiet', why: drive.why };
  const knocks = drive.knocks && knocksHeard(contact, drive.knocks, motion);
  const rub = drive.rub && rubHeard(drive.rub);
  const squeak = drive.squeak && squeakHeard(contact, drive.squeak, motion);
  if (!knocks && !rub && !squeak) return { contact, outcome: 'quiet', why: 'damped' };
  const bands = rub ? noiseBands(rub) : noBands();
  if (knocks) add(bands, knockBands(knocks));
  if (squeak) for (const [hz, meanSquare] of overtones(squeak)) addAt(bands, hz, meanSquare);
  return { contact, outcome: 'sounds', knocks, rub, squeak, bands };
}

/** The blows; null where the water between takes the speed. */
function knocksHeard(contact: Contact, knocks: Knocks, motion: Motion): KnocksHeard | null {
  const [a, b] = contact.pieces;
  if (!a || !b) return null;
  const { by, viscosityPaS, waterKgM3 } = motion;
  const rounder = { ...a, radiusM: a.radiusM * by.roundness };
  const struck = strike(rounder, { ...b, radiusM: b.radiusM * by.roundness }, knocks.approachMps, viscosityPaS);
  if (struck.outcome === 'damped') return null;
  const { blow } = struck;
  const isPinched = contact.driven.by === 'swing' && contact.driven.isPinched;
  const through = contact.kind === 'sideBySide' || contact.kind === 'insideClevis' ? THROUGH_CLEVIS : 1;
  const rings = contact.ringing.flatMap((part) =>
    notesOf(part, waterKgM3, isPinched).map(({ hz, massKg, waterKg, lossFactor }): Ring => {
      const speedMps = (through * pulseSpectrum(blow, hz)) / massKg;
      const pushN = by.ring * MODE_PUSH * waterKg * 2 * Math.PI * hz * speedMps;
      return { hz, pascal: pushN * pressurePerN(hz), lossFactor: by.loss * lossFactor };
    }),
  );
  const pushes = Math.max(Math.abs(a.pushes - b.pushes), (LEAST_PUSH * (a.pushes + b.pushes)) / 2);
  return { ...knocks, blow, pushes, rings };
}

function rubHeard({ pressN, slipMps, swellsHz }: Rub): NoiseHeard {
  return { forceN: ROUGH_SHARE * pressN, upToHz: Math.min(MOST_RUB_HZ, slipMps / GRAIN_M), swellsHz };
}

const MOST_RUB_HZ = 8000;

/** A squeak holds on to the lowest note of the blade that slips; one that has none squeaks by the ears it hangs by. */
function squeakHeard(contact: Contact, { pressN, worn, swellsHz }: Squeak, motion: Motion): NoteHeard {
  const notes = contact.ringing.flatMap((part) => notesOf(part, motion.waterKgM3));
  const hz = notes[0]?.hz ?? EARS_HZ;
  return { hz, pascal: SLIP_SHARE * worn * pressN * pressurePerN(hz), swellsHz };
}

/** Trade estimate. */
const EARS_HZ = 1500;
/** A stick and slip is no pure tone: of each overtone, the share of the note. */
export const OVERTONES = [1, 0.5, 0.33] as const;
/** A squeak swells and fades: its mean square over that of a steady one, of (1 + cos)/2 squared. */
const SWELLS = 3 / 8;

function overtones({ hz, pascal, swellsHz }: NoteHeard): [number, number][] {
  return OVERTONES.map((share, i) => [(i + 1) * hz, ((share * pascal) ** 2 / 2) * (swellsHz > 0 ? SWELLS : 1)]);
}

/**
 * Of blows n times a second each of energy spectrum 2|p̂|² a mean square of n times that; of a ring that starts with p and
 * falls as e^(−π f η t) the energy p²/(4π f η) in the bands about its own.
 */
function knockBands({ perS, blow, pushes, rings }: KnocksHeard): Bands {
  const bands = noBands();
  for (let i = 0; i < bands.length; i++) {
    const hz = BAND_MIDDLES_HZ[i] as number;
    const pascalS = pushes * pulseSpectrum(blow, hz) * (BAND_PRESSURES[i] as number);
    bands[i] = perS * 2 * pascalS ** 2 * (BAND_WIDTHS_HZ[i] as number);
  }
  for (const { hz, pascal, lossFactor } of rings)
    addAt(bands, hz, (perS * pascal ** 2) / (4 * Math.PI * hz * lossFactor));
  return bands;
}

/** A force even up to a pitch and falling fast beyond, as after two filters of one pole: 1/(1 + (f/f₀)²)², all of it F². */
export function noiseBands({ forceN, upToHz, swellsHz }: NoiseHeard): Bands {
  const bands = noBands();
  if (!(forceN > 0 && upToHz > 0)) return bands;
  const perHz = (forceN ** 2 * (swellsHz > 0 ? SWELLS : 1) * 4) / (Math.PI * upToHz);
  for (let i = 0; i < bands.length; i++) {
    const hz = BAND_MIDDLES_HZ[i] as number;
    bands[i] =
      ((perHz * (BAND_WIDTHS_HZ[i] as number)) / (1 + (hz / upToHz) ** 2) ** 2) * (BAND_PRESSURES[i] as number) ** 2;
  }
  return bands;
}

function addAt(bands: Bands, hz: number, meanSquare: number) {
  const i = bandOf(hz);
  if (i >= 0) bands[i] = (bands[i] as number) + meanSquare;
}

function add(bands: Bands, more: Bands) {
  for (let i = 0; i < bands.length; i++) bands[i] = (bands[i] as number) + (more[i] as number);
}
