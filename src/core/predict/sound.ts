/**
 * What is heard of a lure at a speed, and how sure that is. Its sound is worked out as believed, then with each factor of the
 * lure (factors.ts) and each of the sound's own (sound/motion.ts) moved a half width up and down, and banded (band.ts).
 */
import { armStiffness } from '../hydro/arm-shake';
import { USUAL_OUTFIT } from '../hydro/outfit';
import { REFERENCE_SPEED_MPS, type ReferenceCoefficients } from '../hydro/spin-blade';
import { LAKE_WATER, waterViscosity } from '../hydro/water';
import { buildSchema, type ItemId } from '../lure/lure';
import { type Bottom, type Contact } from '../sound/contact';
import { contactsOf } from '../sound/contacts';
import { FISH_EARS, LATERAL_LINE_HZ, type FishGroup } from '../sound/fish-ears';
import { hear, type ContactHeard, type Heard } from '../sound/heard';
import {
  SOUND_AS_ESTIMATED,
  SOUND_KEYS,
  SOUND_SPREADS,
  type Manner,
  type Motion,
  type SoundBy,
  type SoundKey,
  type TurningBlade,
} from '../sound/motion';
import { between, BAND_EDGES_HZ, centroidOf, PEOPLE_HZ, type Bands } from '../sound/radiation';
import { said, spreadOf, type Moved, type Said, type Scale } from './band';
import { beliefFor, coefficientsAt, sharedAt, type Belief, type Factor } from './factors';
import { lureInWater, type LureInWater } from './lure-in-water';
import type { BeliefCase, PredictionBasis } from './outputs';
import { rideAt, type NearbyRide, type Ride } from './ride';
import { scaledAsEstimated, scaledTo } from './scaled-lure';
import { axleCosines } from './inclined';
import { troubleAt, type Trouble } from './trouble';
import { outcomesAt, turnAll, type BladeOutcome } from './turned';
import referenceSpinner from './reference-spinner.json';

export interface SoundAsked {
  readonly manner: Manner;
  /** Hours that what rubs has been worked in. */
  readonly hours: number;
  readonly bottom: Bottom;
  readonly fish: FishGroup;
}
export const USUAL_SOUND: SoundAsked = { manner: 'steady', hours: 0, bottom: 'none', fish: 'perch' };

export type SoundFactor = Factor | { readonly of: 'sound'; readonly key: SoundKey };
export type SoundSaid = Said<SoundFactor>;

/** What is said of a whole sound, and of each contact of it. */
export const SOUND_OUTPUTS = [
  /** Beside the reference spinner, dB: of what people hear. */
  'levelDb',
  /** About which pitch it lies: bright or dull, for people. */
  'centroidHz',
  'knocksPerS',
  /** 1 like a clock, 0 like hail. */
  'regular',
  /** Of its ringing or squeaking, the note that is strongest. */
  'noteHz',
  /** What its blows and its blades give to the water each second, N·s/s: for fish. */
  'impulseN',
  /** Of its power, the share that the chosen fish hear, and that their lateral line feels. */
  'fishShare',
  'lateralShare',
] as const;
export type SoundOutput = (typeof SOUND_OUTPUTS)[number];

export const SOUND_FORMS: Readonly<Record<SoundOutput, { readonly scale: Scale; readonly most?: number }>> = {
  levelDb: { scale: 'step' },
  centroidHz: { scale: 'share' },
  knocksPerS: { scale: 'share' },
  regular: { scale: 'share', most: 1 },
  noteHz: { scale: 'share' },
  impulseN: { scale: 'share' },
  fishShare: { scale: 'share', most: 1 },
  lateralShare: { scale: 'share', most: 1 },
};

export type SoundsSaid = Readonly<Record<SoundOutput, SoundSaid | null>>;

/** A contact and what is said of it; nothing of one that is quiet. */
export interface ContactPrediction {
  readonly heard: ContactHeard;
  readonly said: SoundsSaid | null;
}

export type SoundPrediction =
  | {
      /** `onlyWater`: its blades turn, and nothing strikes or rubs. `standsStill`: nothing of it turns or touches. */
      readonly outcome: 'sounds' | 'onlyWater' | 'standsStill';
      readonly heard: Heard;
      readonly whole: SoundsSaid;
      readonly contacts: readonly ContactPrediction[];
    }
  | Trouble;

/** What is heard of the reference spinner as it is drawn steadily at 0.8 m/s, Pa²: what others are told beside. */
export function referenceSound(): number {
  return (reference ??= workOutReference());
}

let reference: number | undefined;

function workOutReference(): number {
  const inWater = lureInWater(buildSchema.parse(referenceSpinner), LAKE_WATER, USUAL_OUTFIT);
  const heard = soundAsEstimated(inWater, waterViscosity(LAKE_WATER), REFERENCE_SPEED_MPS, USUAL_SOUND);
  if (!heard) throw new Error('referenceSound: the reference spinner turns at its own speed');
  return between(heard.bands, ...PEOPLE_HZ);
}

/** What is heard of a lure with every coefficient at its estimate; null where a blade is outside its model. */
export function soundAsEstimated(
  inWater: LureInWater,
  viscosityPaS: number,
  speedMps: number,
  asked: SoundAsked,
): Heard | null {
  return soundOnce(inWater, viscosityPaS, speedMps, asked, scaledAsEstimated(inWater), undefined);
}

/** The same with every coefficient as believed after readings: as `soundsSaid` has it, without its spreads and much sooner. */
export function soundAsBelieved(
  inWater: LureInWater,
  viscosityPaS: number,
  speedMps: number,
  asked: SoundAsked,
  learnt: Belief | null,
): Heard | null {
  const stations = inWater.spinners.map(({ station }) => station);
  const { factors, middle } = beliefFor(stations, learnt);
  const coefficients = inWater.spinners.map(({ nominal, station }) =>
    coefficientsAt(nominal, station, factors, middle),
  );
  const scaled = scaledTo(inWater, sharedAt(factors, middle));
  return soundOnce(inWater, viscosityPaS, speedMps, asked, scaled, coefficients);
}

function soundOnce(
  inWater: LureInWater,
  viscosityPaS: number,
  speedMps: number,
  asked: SoundAsked,
  scaled: BeliefCase['scaled'],
  coefficients: readonly ReferenceCoefficients[] | undefined,
): Heard | null {
  const axleCos = axleCosines(inWater, [speedMps]);
  const how = { axleCos, ...(coefficients && { coefficients }) };
  const outcomes = outcomesAt(turnAll(inWater.spinners, inWater.rho, [speedMps], how), 0);
  if (troubleAt(speedMps, outcomes)) return null;
  const ride = rideAt(inWater, scaled, outcomes, speedMps, [inWater.outfit.lineOutM]);
  return soundOfRide(inWater, ride, outcomes, viscosityPaS, asked, scaled);
}

/** The same of a ride that is worked out already. */
export function soundOfRide(
  inWater: LureInWater,
  ride: Ride,
  outcomes: readonly (BladeOutcome | undefined)[],
  viscosityPaS: number,
  asked: SoundAsked,
  scaled: BeliefCase['scaled'] = scaledAsEstimated(inWater),
): Heard {
  const contacts = contactsOf(inWater.build, inWater.layout, inWater.rho, asked.bottom);
  return hear(contacts, motionOf(inWater, ride, outcomes, viscosityPaS, asked, SOUND_AS_ESTIMATED, scaled));
}

/** The figures of all that is heard; null where one cannot be said. */
export function wholeFigures(heard: Heard, fish: FishGroup): SoundFigures {
  return figuresOf(wholeOf(heard), fish);
}

/** What is believed of a lure, and behind it the sound's own factors, each as estimated and free of all others. */
export function beliefWithSound(belief: Pick<Belief, 'factors' | 'covariance'>): {
  readonly factors: readonly SoundFactor[];
  readonly covariance: Belief['covariance'];
} {
  const factors = [...belief.factors, ...SOUND_KEYS.map((key): SoundFactor => ({ of: 'sound', key }))];
  return {
    factors,
    covariance: factors.map((_, i) => factors.map((__, j) => belief.covariance[i]?.[j] ?? (i === j ? 1 : 0))),
  };
}

/** What is heard at each speed, with its spread. */
export function soundsSaid(
  basis: PredictionBasis,
  viscosityPaS: number,
  speedsMps: readonly number[],
  asked: SoundAsked,
): SoundPrediction[] {
  const { inWater } = basis;
  const contacts = contactsOf(inWater.build, inWater.layout, inWater.rho, asked.bottom);
  return speedsMps.map((speedMps, i) => soundSaid(basis, contacts, viscosityPaS, speedMps, i, asked));
}

function soundSaid(
  basis: PredictionBasis,
  contacts: readonly Contact[],
  viscosityPaS: number,
  speedMps: number,
  index: number,
  asked: SoundAsked,
): SoundPrediction {
  const { inWater, belief, believed, pairs } = basis;
  const outcomes = outcomesAt(believed.turned, index);
  const trouble = troubleAt(speedMps, outcomes);
  if (trouble) return trouble;
  const lengths = [inWater.outfit.lineOutM];
  const ride = rideAt(inWater, believed.scaled, outcomes, speedMps, lengths);
  const near: NearbyRide = { ride, scaled: believed.scaled, outcomes };
  const hearCase = (one: BeliefCase, by: SoundBy): Heard => {
    const turned = one.turned === believed.turned ? outcomes : outcomesAt(one.turned, index);
    const ridden = one === believed ? ride : rideAt(inWater, one.scaled, turned, speedMps, lengths, near);
    return hear(contacts, motionOf(inWater, ridden, turned, viscosityPaS, asked, by, one.scaled), before);
  };
  const motion = motionOf(inWater, ride, outcomes, viscosityPaS, asked, SOUND_AS_ESTIMATED, believed.scaled);
  const heard = hear(contacts, motion);
  const before = { heard, motion };
  const moved = [
    ...pairs.map(({ up, down }) => [hearCase(up, SOUND_AS_ESTIMATED), hearCase(down, SOUND_AS_ESTIMATED)] as const),
    ...SOUND_KEYS.map((key) => {
      const to = (share: number) => hearCase(believed, { ...SOUND_AS_ESTIMATED, [key]: share });
      return [to(1 + SOUND_SPREADS[key]), to(1 / (1 + SOUND_SPREADS[key]))] as const;
    }),
  ];
  const spread = beliefWithSound(belief);
  const { factors } = spread;
  const sayAll = (pick: (from: Heard) => Sounding | null): SoundsSaid => {
    const own = pick(heard);
    const now = own && figuresOf(own, asked.fish);
    const then = moved.map((sides) =>
      sides.map((side) => {
        const each = pick(side);
        return each && figuresOf(each, asked.fish);
      }),
    );
    const entries = SOUND_OUTPUTS.map((key) => {
      const value = now?.[key] ?? null;
      if (value === null) return [key, null];
      const to = (side: SoundFigures | null | undefined) => side?.[key] ?? QUIET[key] ?? value;
      const changes = then.map(([up, down]): Moved => ({ up: to(up), down: to(down) }));
      const { scale, most } = SOUND_FORMS[key];
      const band = said(spreadOf(value, scale, changes, spread), factors);
      return [key, most === undefined ? band : { ...band, high: Math.min(most, band.high) }];
    });
    return Object.fromEntries(entries) as SoundsSaid;
  };
  const sounding = heard.contacts.some(({ outcome: each }) => each === 'sounds');
  return {
    outcome: sounding ? 'sounds' : heard.beats.length > 0 ? 'onlyWater' : 'standsStill',
    heard,
    whole: sayAll(wholeOf),
    contacts: heard.contacts.map((each, i) => ({
      heard: each,
      said:
        each.outcome === 'sounds'
          ? sayAll((from) => {
              const there = from.contacts[i];
              return there?.outcome === 'sounds' ? contactSounding(there) : null;
            })
          : null,
    })),
  };
}

/** A contact that a moved factor makes quiet is not heard at all: so far below what it is beside. */
const QUIET_DB = -60;
const QUIET: Partial<Record<SoundOutput, number>> = { levelDb: QUIET_DB, knocksPerS: 0, impulseN: 0 };

/** Beside the loudest of them, blows of less than this share of its power are not counted: 20 dB. */
const HEARD_BESIDE = 0.01;

/** What figures are read from: one contact, or all. */
interface Sounding {
  readonly bands: Bands;
  readonly knocks: readonly {
    readonly perS: number;
    readonly jitter: number;
    readonly impulseNs: number;
    readonly power: number;
  }[];
  readonly notes: readonly { readonly hz: number; readonly power: number }[];
  /** Impulse of the blades' own beat, N·s/s. */
  readonly beatN: number;
}

export type SoundFigures = Readonly<Record<SoundOutput, number | null>>;

function contactSounding(each: Extract<ContactHeard, { outcome: 'sounds' }>): Sounding {
  const { bands, knocks, squeak } = each;
  return {
    bands,
    knocks: knocks
      ? [
          {
            perS: knocks.perS,
            jitter: knocks.jitter,
            impulseNs: knocks.pushes * knocks.blow.impulseNs,
            power: between(bands, ...PEOPLE_HZ),
          },
        ]
      : [],
    notes: [
      ...(squeak ? [{ hz: squeak.hz, power: squeak.pascal ** 2 / 2 }] : []),
      ...(knocks?.rings ?? []).map(({ hz, pascal, lossFactor }) => ({
        hz,
        power: ((knocks?.perS ?? 0) * pascal ** 2) / (4 * Math.PI * hz * lossFactor),
      })),
    ],
    beatN: 0,
  };
}

function wholeOf({ contacts, bands, beats }: Heard): Sounding {
  const all = contacts.flatMap((each) => (each.outcome === 'sounds' ? [contactSounding(each)] : []));
  return {
    bands,
    knocks: all.flatMap(({ knocks }) => knocks),
    notes: all.flatMap(({ notes }) => notes),
    beatN: beats.reduce((sum, { forceN }) => sum + (2 / Math.PI) * forceN, 0),
  };
}

function figuresOf({ bands, knocks, notes, beatN }: Sounding, fish: FishGroup): SoundFigures {
  const people = between(bands, ...PEOPLE_HZ);
  const all = between(bands, BAND_EDGES_HZ[0] as number, PEOPLE_HZ[1]);
  const most = Math.max(...knocks.map((each) => each.power));
  const audible = knocks.filter((each) => each.power >= HEARD_BESIDE * most);
  const perS = audible.reduce((sum, each) => sum + each.perS, 0);
  const power = knocks.reduce((sum, each) => sum + each.power, 0);
  const loudest = notes.reduce<(typeof notes)[number] | null>(
    (most, each) => (each.power > (most?.power ?? 0) ? each : most),
    null,
  );
  return {
    levelDb: people > 0 ? 10 * Math.log10(people / referenceSound()) : null,
    centroidHz: centroidOf(bands),
    knocksPerS: knocks.length > 0 ? perS : null,
    regular: power > 0 ? knocks.reduce((sum, each) => sum + each.power * (1 - each.jitter), 0) / power : null,
    noteHz: loudest?.hz ?? null,
    impulseN: knocks.reduce((sum, each) => sum + each.perS * each.impulseNs, 0) + beatN || null,
    fishShare: all > 0 ? between(bands, BAND_EDGES_HZ[0] as number, FISH_EARS[fish].upToHz[1]) / all : null,
    lateralShare: all > 0 ? between(bands, BAND_EDGES_HZ[0] as number, LATERAL_LINE_HZ) / all : null,
  };
}

/** How a lure moves that rides so. */
function motionOf(
  { rho, dragsAt, spinners, arm }: LureInWater,
  ride: Ride,
  outcomes: readonly (BladeOutcome | undefined)[],
  viscosityPaS: number,
  { manner, hours }: SoundAsked,
  by: SoundBy,
  scaled: BeliefCase['scaled'],
): Motion {
  const turning = new Map<ItemId, TurningBlade>();
  outcomes.forEach((spun, i) => {
    const [spinner, place] = [spinners[i], dragsAt[i]];
    if (spun?.outcome !== 'turning' || !spinner || !place) return;
    const shake = ride.shakes.find(({ station }) => station === spinner.station) ?? null;
    turning.set(spinner.station, { spun, strokes: place.strokes, shake });
  });
  return {
    speedMps: ride.speedMps,
    waterKgM3: rho,
    viscosityPaS,
    turning,
    dragN: ride.trim.dragN,
    manner,
    wobble: ride.wobble,
    armNM: arm.outcome === 'arm' && scaled.arm ? armStiffness(scaled.arm) : null,
    hours,
    by,
  };
}
