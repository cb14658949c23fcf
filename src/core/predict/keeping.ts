/**
 * The slowest water that keeps a blade turning, as it is believed: between what holds with its flap held and with its flap
 * free (hydro/round-the-turn.ts). How much of the flap a clevis, its rub and the water round it leave is not known, so that
 * is a factor of its own: a share σ of the way from held to free, on the scale of ratios. It is at least none; it is at most
 * 0.7, for with more a willow of reference size would stop at 0.8 m/s, where all patterns are seen to turn. With it goes
 * the 5 % that the formula itself may be off. The blade's own coefficients and the rub of its bearing move it too.
 */
import { meanSolver, slowestKept, type Keeping, type Kept } from '../hydro/round-the-turn';
import { FOR_BAND, MAX_SPEED_MPS } from '../hydro/spin';
import type { Bearing, SpinBlade } from '../hydro/blade-loads';
import type { Spinner } from '../in-water/spinners';
import { HALF_WIDTHS_A_SIGMA, said, spreadOf, type Banded, type Moved, type Said } from './band';
import { coefficientsAt, movedBy, sharedAt, type Belief } from './factors';

export interface KeepsSaid {
  /** Turning, it keeps turning down to this, m/s. */
  readonly mps: Said;
  /** Hanging, it starts at this: of a hung blade the upper edge and a twitch, m/s. */
  readonly startsMps: number;
  /** It starts by itself: a balanced blade. */
  readonly isSelfStarting: boolean;
}

/** A start from hanging still takes this much more than the upper edge, as a twitch. Trade estimate, m/s. */
const TWITCH_MPS = 0.2;
/** What the formula of the two speeds may be off, as a logarithm. */
const FORMULA = 0.05;

/** Of the way from a held flap to a free one: the middle of what is believed, and as much to both sides. */
const FLAP_SHARE = 0.35;

/** @param flapping from −1, its flap held, to 1, as free as is believed */
export function keptAt({ heldMps, freeMps, startsMps }: Extract<Kept, { outcome: 'keeps' }>, flapping: number): number {
  // A balanced blade does not flap.
  if (startsMps !== null) return heldMps;
  const half = FLAP_SHARE * Math.log(freeMps / heldMps);
  return heldMps * Math.exp(half + flapping * Math.hypot(half, FORMULA));
}

/** The middles of both for a blade as estimated: what it keeps on down to, and what it starts at with a twitch; null of one that turns at no speed. */
export function turnsFrom({ nominal, bearing, blade }: Spinner, density: number) {
  const kept = slowestKept(blade(nominal), bearing, density, null, FOR_BAND);
  if (kept.outcome !== 'keeps') return null;
  const keepsMps = keptAt(kept, 0);
  return { keepsMps, startsMps: kept.startsMps ?? kept.freeMps + TWITCH_MPS };
}

/** Whether a turning blade most likely keeps on, from what is left above the two speeds it stops at. */
export function isLikelyKept(keeping: Keeping | null): boolean {
  return !keeping || leftOver(keeping) >= 0;
}

function leftOver({ held, free }: Keeping): number {
  return (1 - FLAP_SHARE) * Math.log(held) + FLAP_SHARE * Math.log(free);
}

/** The slowest water that keeps a blade turning, with its band, m/s; null when none does. @param density of the water, kg/m³ */
export function keepsSaid(
  { station, nominal, bearing, blade }: Spinner,
  density: number,
  belief: Belief,
): KeepsSaid | null {
  const { factors, middle } = belief;
  const at = (place: readonly number[]) => {
    const { rub } = sharedAt(factors, place);
    return [blade(coefficientsAt(nominal, station, factors, place)), rubbed(bearing, rub)] as const;
  };
  const { flapping } = sharedAt(factors, middle);
  const kept = slowestKept(...at(middle), density, null, FOR_BAND);
  if (kept.outcome !== 'keeps') return null;
  const mps = keptAt(kept, flapping);
  const near = movedNear(...at(middle), density, mps);
  const moved = factors.map((factor, k): Moved => {
    const isOwn = factor.of === 'blade' ? factor.station === station : factor.key === 'rub';
    if (!isOwn && factor.key !== 'flapping') return { up: mps, down: mps };
    const to = (by: number) => {
      const place = movedBy(middle, k, by);
      if (!isOwn) return keptAt(kept, sharedAt(factors, place).flapping);
      if (near) return near(...at(place));
      const then = slowestKept(...at(place), density, kept, FOR_BAND);
      return then.outcome === 'keeps' ? keptAt(then, flapping) : BEYOND * mps;
    };
    return { up: to(1), down: to(-1) };
  });
  const all = said(spreadOf(mps, 'share', moved, belief), factors);
  const { startsMps } = kept;
  return startsMps === null
    ? { mps: all, startsMps: all.high + TWITCH_MPS, isSelfStarting: false }
    : { mps: all, startsMps: Math.max(startsMps, mps), isSelfStarting: true };
}

/**
 * Where a hung blade that is nearly this one stops, by two steps along the slope that what is left above its stopping has
 * with the speed; null where gravity does nothing to it.
 */
function movedNear(
  blade: SpinBlade,
  bearing: Bearing,
  density: number,
  mps: number,
): ((moved: SpinBlade, rubbing: Bearing) => number) | null {
  const left = (solve: ReturnType<typeof meanSolver>, speedMps: number) => {
    const outcome = solve(Math.min(speedMps, MAX_SPEED_MPS));
    return outcome.outcome === 'turning' && outcome.keeping ? leftOver(outcome.keeping) : null;
  };
  const own = meanSolver(blade, bearing, density, FOR_BAND);
  const [at, faster] = [left(own, mps), left(own, mps * NEXT)];
  if (at === null || faster === null || !(faster > at)) return null;
  const slope = (faster - at) / Math.log(NEXT);
  return (moved, rubbing) => {
    const solve = meanSolver(moved, rubbing, density, FOR_BAND);
    let speed = mps;
    for (let step = 0; step < 2; step++) {
      const over = left(solve, speed);
      // Friction holds it here: it needs more.
      speed *= over === null ? 1.4 : Math.exp(Math.min(0.5, Math.max(-0.5, (at - over) / slope)));
    }
    return Math.min(speed, BEYOND * mps);
  };
}

/** The next speed a slope is taken to. */
const NEXT = 1.04;

/** A moved factor that lets it turn at no speed makes the speed so many times more. */
const BEYOND = 3;

/** A bearing that rubs so many times more. */
export function rubbed(bearing: Bearing, by: number): Bearing {
  return {
    ...bearing,
    friction: bearing.friction * by,
    faceFriction: bearing.faceFriction * by,
    steadyTorqueNm: bearing.steadyTorqueNm * by,
  };
}

/** That a blade in water of this speed keeps turning, 0…1: the band as nine in ten of a normal spread of logarithms. */
export function chanceOfTurning(speedMps: number, { value, low, high }: Banded): number {
  if (speedMps <= 0) return 0;
  const width = Math.log(speedMps < value ? value / low : high / value);
  const off = Math.log(speedMps / value);
  return width > 0 ? normalShare((off / width) * HALF_WIDTHS_A_SIGMA) : off >= 0 ? 1 : 0;
}

/** Φ(z), to 1e-7. Source: Abramowitz & Stegun 26.2.17. */
function normalShare(z: number): number {
  const t = 1 / (1 + 0.2316419 * Math.abs(z));
  const tail =
    (Math.exp((-z * z) / 2) / Math.sqrt(2 * Math.PI)) *
    t *
    (0.31938153 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))));
  return z >= 0 ? 1 - tail : tail;
}
