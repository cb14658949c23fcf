/** The middle of each line of the card from a prepared lure, which is asked of hundreds of moves; spreads come with the card itself. */
import { USUAL_OUTFIT } from '../hydro/outfit';
import { waterViscosity } from '../hydro/water';
import { stackedPairs } from '../geometry/stacking';
import { layOut } from '../geometry/layout';
import { itemOf, type Build } from '../lure/lure';
import type { Banded } from '../predict/band';
import { lureInWater } from '../predict/lure-in-water';
import { soundAsEstimated, USUAL_SOUND, wholeFigures, type SoundFigures } from '../predict/sound';
import type { Figures } from '../prepared/figures';
import type { Setting } from '../prepared/prepared';
import { brightM2 } from '../sight/flash';
import { once } from '../once';
import { LINE_SCALES, type Card } from './card';
import type { CardLine } from './target';

export type Middles = ReadonlyMap<CardLine, number | null>;

/** Of these lines. Its start is told by the card alone: here it goes with the slowest that keeps it turning. */
export function middlesOf(figures: Figures, build: Build, lines: readonly CardLine[], setting: Setting): Middles {
  const heard = once(() => heardOf(build, setting));
  return new Map(lines.map((line) => [line, middleOf(line, figures, build, heard)]));
}

function middleOf(line: CardLine, figures: Figures, build: Build, heard: () => SoundFigures | null): number | null {
  const { trim } = figures;
  const ride = () => figures.ride();
  switch (line) {
    case 'keepsMps':
    case 'startsMps': {
      const all = figures.keptDownToMps();
      return all.length === 0 || all.includes(null) ? null : Math.max(...all.map((each) => each ?? 0));
    }
    case 'rateHz':
      return pullingMost(figures)?.rateHz ?? null;
    case 'beatHz': {
      const [a, b] = turningOf(figures);
      const isOne = !a || !b || (figures.blades.length > 1 && stackedPairs(layOut(build)).length > 0);
      return isOne ? null : Math.abs(a.outcome.rateHz - b.outcome.rateHz);
    }
    case 'wobbleHz':
      return ride()?.wobble?.rateHz ?? null;
    case 'wobbleRad':
      return ride()?.wobble?.swingRad ?? null;
    case 'wobbleStartMps':
      return figures.wobbleStartMps();
    case 'thumpNs':
      return trim ? figures.thumpNs : null;
    case 'pulseN':
    case 'shakeM': {
      const shakes = figures.isShaken ? ride()?.shakes : null;
      if (!shakes) return null;
      return Math.hypot(...shakes.map(({ pulseN, amplitudeM }) => (line === 'pulseN' ? pulseN : amplitudeM)));
    }
    case 'depthM':
      return trim ? figures.depthM : null;
    case 'lineSlopeRad':
      return ride()?.lineSlopeRad ?? null;
    case 'surfaceMps':
    case 'planingMps':
    case 'sinkMps':
      return figures.crossings()[line];
    case 'leanRad': {
      const lean = ride()?.lean;
      if (lean?.outcome === 'turnsOver') return Math.PI / 2;
      return lean?.outcome === 'leans' ? lean.leanRad : null;
    }
    case 'sidePullRad':
      return ride()?.sidePullRad ?? null;
    case 'levelDb':
    case 'centroidHz':
      return heard()?.[line] ?? null;
    case 'flashFrontM2PerS':
      return flash(figures, build, 'front');
    case 'flashBackM2PerS':
      return flash(figures, build, 'back');
    case 'bulkM2':
      return figures.bulkM2;
    case 'massKg':
      return figures.massKg;
  }
}

function turningOf({ blades }: Figures) {
  return blades.flatMap(({ station, outcome }) => (outcome.outcome === 'turning' ? [{ station, outcome }] : []));
}

/** Of the blades that turn the one that pulls most; null where none turns. */
export function pullingMost(figures: Figures): { readonly rateHz: number; readonly dragN: number } | null {
  return turningOf(figures).reduce<{ dragN: number; rateHz: number } | null>(
    (most, { outcome }) => (outcome.dragN > (most?.dragN ?? 0) ? outcome : most),
    null,
  );
}

function flash(figures: Figures, build: Build, face: 'front' | 'back'): number | null {
  const turning = turningOf(figures);
  if (turning.length === 0) return null;
  return turning.reduce((sum, { station, outcome }) => {
    return sum + outcome.rateHz * (brightM2(itemOf(build, station).part)?.[face] ?? 0);
  }, 0);
}

function heardOf(build: Build, { water, outfit = USUAL_OUTFIT, speedMps }: Setting): SoundFigures | null {
  const heard = soundAsEstimated(lureInWater(build, water, outfit), waterViscosity(water), speedMps, USUAL_SOUND);
  return heard && wholeFigures(heard, USUAL_SOUND.fish);
}

/** Of a line that the lure now does not have: a spread such as most have, as a share. */
const UNKNOWN_SPREAD = 0.3;

/**
 * What a line comes to with a move: the card's own, moved as far as the prepared lure's middle moves, as wide as it is now.
 * @param before and @param after of the prepared lure, without and with the move
 */
export function carried({ lines }: Card, line: CardLine, before: Middles, after: Middles): Banded | null {
  const [said, from, to] = [lines[line], before.get(line) ?? null, after.get(line) ?? null];
  if (to === null) return null;
  if (!said || from === null || (LINE_SCALES[line] === 'share' && (from <= 0 || to <= 0))) return about(to);
  const { value, low, high } = said;
  if (LINE_SCALES[line] === 'step') {
    const by = to - from;
    return { value: value + by, low: low + by, high: high + by };
  }
  const by = to / from;
  return { value: value * by, low: low * by, high: high * by };
}

function about(value: number): Banded {
  const by = UNKNOWN_SPREAD * Math.abs(value);
  return { value, low: value - by, high: value + by };
}
