/**
 * What a knock takes from a blade. A back of chord c that falls away by h to its edges meets a nail that reaches in by o
 * where it still rises at 4√(h o)/c; there its surface comes at v = ω r · 4√(h o)/c, and a share 1 − e² of ½ m v² is lost.
 * Once a turn, that is the torque E/2π. Taken at the reference speed of the blade's pattern: blade and loss then grow alike.
 * A blade that is held turns at no speed.
 */
import { PATTERNS } from '../parts/blade-pattern';
import type { Blade } from '../parts/kinds/blade';
import { bladeReach } from '../parts/outline';
import { REFERENCE_SPEED_MPS } from './spin-blade';

/** Of a blade's mass with its water, what a knock at its widest has to turn aside: the rest swings about it. Trade estimate. */
const STRUCK_SHARE = 0.5;
const CARRIED_WATER_SHARE = 0.4;
/** Of that energy, what a knock on metal in water takes. Trade estimate. */
const LOST_SHARE = 0.8;
/** What holds a blade that meets a nail square. */
export const HELD_TORQUE_NM = 0.05;

export interface KnockShape {
  readonly inM: number;
  readonly fallM: number;
  readonly radiusM: number;
  readonly chordM: number;
}

/** How steeply a blade's back still rises where a nail that reaches so far in is met. */
export function riseAt({ inM, fallM, chordM }: KnockShape): number {
  return chordM > 0 ? (4 * Math.sqrt(Math.max(fallM * inM, 0))) / chordM : 0;
}

/** The torque that one knock a turn comes to, N·m. */
export function knockTorque(blade: Blade, shape: KnockShape): number {
  const { tipSpeedRatio } = PATTERNS[blade.pattern].reference;
  const omega = (tipSpeedRatio * REFERENCE_SPEED_MPS) / bladeReach(blade);
  const approachMps = omega * shape.radiusM * riseAt(shape);
  const massKg = STRUCK_SHARE * blade.massKg * (1 + CARRIED_WATER_SHARE);
  return (LOST_SHARE * 0.5 * massKg * approachMps ** 2) / (2 * Math.PI);
}

/** How unevenly the turns come as a nail stands nearer to holding the blade: none where it just ticks, a half at the edge. */
export function unevenness(inM: number, mostM: number): number {
  const share = Math.min(Math.max(inM / mostM, 0), 1);
  return LEAST_UNEVEN + (MOST_UNEVEN - LEAST_UNEVEN) * share ** 3;
}

/** Of the time of a turn. Trade estimates. */
const LEAST_UNEVEN = 0.03;
const MOST_UNEVEN = 0.5;
