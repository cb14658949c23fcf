/** The action card of a lure at one speed: what it does, line by line, each with its spread and what moves it. */
import { USUAL_OUTFIT } from '../hydro/outfit';
import type { Water } from '../hydro/water';
import { itemOf, type Build } from '../lure/lure';
import { sumsOf } from '../hydro/trim';
import type { Said, Scale } from '../predict/band';
import { lureInWater } from '../predict/lure-in-water';
import { LURE_FORMS, LURE_OUTPUTS, RIDE_FORMS, RIDE_OUTPUTS, type LineOutcome } from '../predict/outputs';
import { predict, type Asked, type Prediction } from '../predict/predict';
import type { ContactKind } from '../sound/contact';
import {
  beliefWithSound,
  SOUND_FORMS,
  SOUND_OUTPUTS,
  USUAL_SOUND,
  type ContactPrediction,
  type SoundFactor,
} from '../predict/sound';
import { doesTurn, type TurningPrediction } from '../predict/spin';
import { stallSpeeds, type Stall } from '../predict/stalls';
import { brightM2 } from '../sight/flash';
import type { ItemId } from '../lure/lure';
import { CARD_LINES, type CardLine } from './target';

export type CardSaid = Said<SoundFactor>;

export interface Card {
  readonly speedMps: number;
  readonly lines: Readonly<Record<CardLine, CardSaid | null>>;
  /** Of the factors whose slopes every line gives in the same order: those of the lure, then those of its sound. */
  readonly factors: readonly SoundFactor[];
  readonly covariance: readonly (readonly number[])[];
  /** What is heard of it, by kind, loudest first. */
  readonly noises: readonly ContactKind[];
  /** How its line lies; null where a blade is outside its model. */
  readonly line: LineOutcome | null;
}

const OWN_SCALES: Readonly<Partial<Record<CardLine, Scale>>> = { beatHz: 'step' };

/** How the spread of each line is taken. */
export const LINE_SCALES = Object.fromEntries(CARD_LINES.map((line) => [line, scaleOf(line)])) as Readonly<
  Record<CardLine, Scale>
>;

function scaleOf(line: CardLine): Scale {
  if (isOneOf(RIDE_OUTPUTS, line)) return RIDE_FORMS[line].scale;
  if (isOneOf(LURE_OUTPUTS, line)) return LURE_FORMS[line].scale;
  if (isOneOf(SOUND_OUTPUTS, line)) return SOUND_FORMS[line].scale;
  return OWN_SCALES[line] ?? 'share';
}

/** What is heard. */
export const OF_SOUND: ReadonlySet<CardLine> = new Set<CardLine>(['levelDb', 'centroidHz']);

/** Lines that are only said of blades that turn. */
export const OF_TURNING: ReadonlySet<CardLine> = new Set([
  'rateHz',
  'beatHz',
  'thumpNs',
  'pulseN',
  'shakeM',
  'flashFrontM2PerS',
  'flashBackM2PerS',
]);

function isOneOf<T extends string>(all: readonly T[], line: string): line is T {
  return (all as readonly string[]).includes(line);
}

/** What skirts and soft tails show to the water from the side is known about so well, nine cases in ten. Trade estimate. */
const BULK_SPREAD = 0.2;

/** @param speedMps through the water, m/s */
export function cardOf(build: Build, water: Water, speedMps: number, asked: Asked = {}): Card {
  const prediction = predict(build, water, [speedMps], { sound: USUAL_SOUND, ...asked });
  const { spin, rides, sounds, lure, belief } = prediction;
  const [ride, sound] = [rides[0], sounds[0]];
  const turning = spin.blades.flatMap(({ station, at: [at] }) => (at && doesTurn(at) ? [{ station, at }] : []));
  const pulling = turning.reduce<(typeof turning)[number] | null>(
    (most, each) => (each.at.dragN.value > (most?.at.dragN.value ?? 0) ? each : most),
    null,
  );
  const stalls = stallSpeeds(build, water, asked.state, asked.learnt ?? null).map(({ stall }) => stall);
  const { bodies, rho } = lureInWater(build, water, asked.outfit ?? USUAL_OUTFIT, asked.state);
  const bulkM2 = sumsOf(bodies, rho).sideM2.all;
  const of = (line: CardLine): CardSaid | null => {
    if (isOneOf(RIDE_OUTPUTS, line)) return ride?.outcome === 'rides' ? ride.said[line] : null;
    if (isOneOf(LURE_OUTPUTS, line)) return lure[line];
    if (isOneOf(SOUND_OUTPUTS, line)) return sound && 'whole' in sound ? sound.whole[line] : null;
    switch (line) {
      case 'keepsMps':
        return slowest(stalls, ({ keepsMps }) => keepsMps);
      case 'startsMps':
        return slowest(stalls, ({ keepsMps, startsMps }) => times(keepsMps, startsMps / keepsMps.value));
      case 'rateHz':
        return pulling && pulling.at.rateHz;
      case 'beatHz':
        return beat(prediction);
      case 'flashFrontM2PerS':
        return flash(build, turning, ({ front }) => front);
      case 'flashBackM2PerS':
        return flash(build, turning, ({ back }) => back);
      case 'bulkM2':
        return {
          value: bulkM2,
          low: bulkM2 / (1 + BULK_SPREAD),
          high: bulkM2 * (1 + BULK_SPREAD),
          slopes: [],
          leastKnown: [],
        };
    }
  };
  return {
    speedMps,
    lines: Object.fromEntries(CARD_LINES.map((line) => [line, of(line)])) as Card['lines'],
    ...beliefWithSound(belief),
    noises: sound && 'heard' in sound ? noisesOf(sound.contacts) : [],
    line: ride?.outcome === 'rides' ? ride.line : null,
  };
}

function noisesOf(contacts: readonly ContactPrediction[]): readonly ContactKind[] {
  const loud = contacts.flatMap(({ heard, said }) =>
    heard.outcome === 'sounds' && said?.levelDb ? [{ kind: heard.contact.kind, db: said.levelDb.value }] : [],
  );
  return [...new Set(loud.sort((a, b) => b.db - a.db).map(({ kind }) => kind))];
}

type Stalls = Extract<Stall, { outcome: 'stalls' }>;

/** Of the blade that needs most; null where one of them turns at no speed: there is none down to which all keep on. */
function slowest(stalls: readonly Stall[], pick: (stall: Stalls) => CardSaid): CardSaid | null {
  let most: CardSaid | null = null;
  for (const stall of stalls) {
    if (stall.outcome !== 'stalls') return null;
    const each = pick(stall);
    if (!most || each.value > most.value) most = each;
  }
  return most;
}

function times(said: CardSaid, by: number): CardSaid {
  return { ...said, value: said.value * by, low: said.low * by, high: said.high * by };
}

/** |n₁ − n₂| of the first two blades that turn by themselves; each factor moves it by what it moves the one less the other. */
function beat({ spin }: Prediction): CardSaid | null {
  const pair = spin.beats[0];
  const banded = pair?.at[0];
  if (!pair || !banded) return null;
  const [a, b] = pair.stations.map((id) => spin.blades.find(({ station }) => station === id)?.at[0]);
  if (!doesTurn(a) || !doesTurn(b)) return null;
  const sign = a.rateHz.value >= b.rateHz.value ? 1 : -1;
  const slopes = a.rateHz.slopes.map(
    (slope, k) => sign * (slope * a.rateHz.value - (b.rateHz.slopes[k] ?? 0) * b.rateHz.value),
  );
  return { ...banded, slopes, leastKnown: b.rateHz.leastKnown };
}

function flash(
  build: Build,
  turning: readonly { readonly station: ItemId; readonly at: TurningPrediction }[],
  face: (bright: { readonly front: number; readonly back: number }) => number,
): CardSaid | null {
  const each = turning.map(({ station, at }) => {
    const bright = brightM2(itemOf(build, station).part);
    return { rate: at.rateHz, area: bright ? face(bright) : 0 };
  });
  const value = each.reduce((sum, { rate, area }) => sum + rate.value * area, 0);
  const [first] = each;
  if (!first || value === 0) return null;
  const share = ({ rate, area }: (typeof each)[number]) => (rate.value * area) / value;
  return {
    value,
    // The blades' rates are not known alike: the widest reading.
    low: each.reduce((sum, { rate, area }) => sum + rate.low * area, 0),
    high: each.reduce((sum, { rate, area }) => sum + rate.high * area, 0),
    slopes: first.rate.slopes.map((_, k) => each.reduce((sum, one) => sum + share(one) * (one.rate.slopes[k] ?? 0), 0)),
    leastKnown: each.reduce((most, one) => (share(one) > share(most) ? one : most), first).rate.leastKnown,
  };
}
