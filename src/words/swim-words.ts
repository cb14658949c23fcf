/** How a lure hangs and shakes as it swims, in one line. */
import { decimalText, showLength, type UnitSystem } from '../core/units/write';
import { degrees } from './angle-words';

export interface Swim {
  readonly pitchRad: number;
  readonly leanRad: number;
  /** Null where nothing shakes, or that cannot be said. */
  readonly shakeM: number | null;
  /** So many times its size it is drawn. */
  readonly factor: number;
  readonly rateHz: number;
  /** Of a body that its own wake swings; null of any other. */
  readonly wobble: { readonly rateHz: number; readonly swingRad: number } | null;
  /** Nothing on the page moves: the rate is told instead. */
  readonly isStill: boolean;
}

const NONE_RAD = 0.004;

export function swimWords(
  { pitchRad, leanRad, shakeM, factor, rateHz, wobble, isStill }: Swim,
  system: UnitSystem,
): string {
  const nose =
    Math.abs(pitchRad) < NONE_RAD
      ? 'hangs level'
      : `nose ${degrees(Math.abs(pitchRad))} ${pitchRad > 0 ? 'up' : 'down'}`;
  const lean = Math.abs(leanRad) < NONE_RAD ? 'upright' : `leans ${degrees(Math.abs(leanRad))}`;
  const shake =
    shakeM === null || !(shakeM > 0)
      ? 'no shake'
      : `shakes ${showLength(shakeM, system)}${isStill ? '' : factor === 1 ? ', drawn as it is' : `, drawn ${factor} times`}`;
  const swings = wobble
    ? `swings ${degrees(wobble.swingRad)} to each side, ${decimalText(wobble.rateHz, 1)} times a second`
    : null;
  const turns = rateHz > 0 && isStill ? [`${decimalText(rateHz, 1)} turns a second`] : [];
  return [
    nose,
    lean,
    ...(swings && !(shakeM !== null && shakeM > 0) ? [] : [shake]),
    ...(swings ? [swings] : []),
    ...turns,
  ].join(' · ');
}
