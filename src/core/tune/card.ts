/** The action card of a lure at one speed: what it does, line by line, each with its spread and what moves it. */
import type { Water } from '../hydro/water';
import type { Build } from '../lure/lure';
import type { Said, Scale } from '../predict/band';
import type { Belief } from '../predict/factors';
import { LURE_FORMS, LURE_OUTPUTS, RIDE_FORMS, RIDE_OUTPUTS } from '../predict/outputs';
import { predict, type Asked } from '../predict/predict';
import { beliefWithSound, SOUND_FORMS, SOUND_OUTPUTS, USUAL_SOUND, type SoundFactor } from '../predict/sound';
import { doesTurn } from '../predict/spin';
import { stallSpeeds } from '../predict/stalls';
import { CARD_LINES, type CardLine } from './target';

export interface Card {
  readonly speedMps: number;
  readonly lines: Readonly<Record<CardLine, Said<SoundFactor> | null>>;
  /** Of the factors whose slopes every line gives in the same order: those of the lure, then those of its sound. */
  readonly covariance: Belief['covariance'];
}

/** How the spread of each line is taken. */
export const LINE_SCALES = Object.fromEntries(CARD_LINES.map((line) => [line, scaleOf(line)])) as Readonly<
  Record<CardLine, Scale>
>;

function scaleOf(line: CardLine): Scale {
  if (isOneOf(RIDE_OUTPUTS, line)) return RIDE_FORMS[line].scale;
  if (isOneOf(LURE_OUTPUTS, line)) return LURE_FORMS[line].scale;
  return isOneOf(SOUND_OUTPUTS, line) ? SOUND_FORMS[line].scale : 'share';
}

/** Lines that are only said of blades that turn. */
export const OF_TURNING: ReadonlySet<CardLine> = new Set(['rateHz', 'thumpNs', 'pulseN', 'shakeM']);

function isOneOf<T extends string>(all: readonly T[], line: string): line is T {
  return (all as readonly string[]).includes(line);
}

/** @param speedMps through the water, m/s */
export function cardOf(build: Build, water: Water, speedMps: number, asked: Asked = {}): Card {
  const { spin, rides, sounds, lure, belief } = predict(build, water, [speedMps], { sound: USUAL_SOUND, ...asked });
  const [ride, sound] = [rides[0], sounds[0]];
  const turning = spin.blades.flatMap(({ at: [at] }) => (at && doesTurn(at) ? [at] : []));
  const pulling = turning.reduce<(typeof turning)[number] | null>(
    (most, each) => (each.dragN.value > (most?.dragN.value ?? 0) ? each : most),
    null,
  );
  const keeps = stallSpeeds(build, water, asked.state, asked.learnt ?? null).map(({ stall }) =>
    stall.outcome === 'stalls' ? stall.keepsMps : null,
  );
  // Where one of them turns at no speed, there is none down to which all keep on.
  const first = keeps.includes(null)
    ? null
    : keeps.reduce((most, each) => (each && (!most || each.value > most.value) ? each : most), null);
  const of = (line: CardLine): Said<SoundFactor> | null => {
    if (line === 'keepsMps') return first;
    if (line === 'rateHz') return pulling && pulling.rateHz;
    if (isOneOf(RIDE_OUTPUTS, line)) return ride?.outcome === 'rides' ? ride.said[line] : null;
    if (isOneOf(LURE_OUTPUTS, line)) return lure[line];
    return sound && 'whole' in sound && isOneOf(SOUND_OUTPUTS, line) ? sound.whole[line] : null;
  };
  return {
    speedMps,
    lines: Object.fromEntries(CARD_LINES.map((line) => [line, of(line)])) as Card['lines'],
    covariance: beliefWithSound(belief).covariance,
  };
}
