/** How a lure moves where its sound is asked for: what turns and how fast, how it shakes, and how it is drawn. */
import type { Shake } from '../hydro/arm-shake';
import type { Spinning } from '../hydro/round-the-turn';
import type { Wobble } from '../hydro/wobble';
import type { ItemId } from '../lure/lure';

/** Drawn steadily, or with twitches in which the pull leaves it and comes back. */
export const MANNERS = ['steady', 'twitched'] as const;
export type Manner = (typeof MANNERS)[number];

/** A blade that turns. */
export interface TurningBlade {
  readonly spun: Pick<Spinning, 'rateHz' | 'tipRadiusM' | 'dragN' | 'dragMomentNm' | 'driveTorqueNm' | 'spreadRad'>;
  /** How often a turn it hits the water. */
  readonly strokes: number;
  /** What it shakes. */
  readonly shake: Pick<Shake, 'amplitudeM'> | null;
}

export interface Motion {
  readonly speedMps: number;
  readonly waterKgM3: number;
  readonly viscosityPaS: number;
  /** Those that turn, nose first. */
  readonly turning: ReadonlyMap<ItemId, TurningBlade>;
  /** Of the whole lure, N. */
  readonly dragN: number;
  readonly manner: Manner;
  /** How its body swings by its own wake; null where it does not. */
  readonly wobble: Wobble | null;
  /** Stiffness of the arm its blade is on, N/m; null where it has none. */
  readonly armNM: number | null;
  /** Hours that what rubs has been worked in. */
  readonly hours: number;
  /** What is believed of what the sound hangs on, as multiples of the estimates. */
  readonly by: SoundBy;
}

/** What no measure of the lure tells, as a share of the estimate, nine cases in ten. Trade estimates. */
export const SOUND_SPREADS = {
  /** How fast pieces come together over their play. */
  approach: 0.6,
  /** How round they are where they strike. */
  roundness: 0.6,
  /** How much of its ringing a plate gives to the water. */
  ring: 1,
  /** How fast a ring dies away. */
  loss: 0.7,
  /** How hard a dry root slips. */
  slip: 1,
  /** Roar of the water about the lure. */
  flow: 1,
} as const;
export type SoundKey = keyof typeof SOUND_SPREADS;
export const SOUND_KEYS = Object.keys(SOUND_SPREADS) as readonly SoundKey[];
export type SoundBy = Readonly<Record<SoundKey, number>>;
export const SOUND_AS_ESTIMATED: SoundBy = { approach: 1, roundness: 1, ring: 1, loss: 1, slip: 1, flow: 1 };
