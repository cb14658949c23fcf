/**
 * A blade that hangs from a body which wobbles. Its hanger goes to and fro by y; as a pendulum of arm s in the stream, which draws
 * it back with ½ρU² C A s over its inertia, it swings by β = ω² y/(s |ω_b² − ω² + 2iζ ω ω_b|). When the bait is stopped it falls
 * from lying back to hanging down; each half swing takes (8/3) κ β² from its angle, κ = ½ρ C A s³/I (quadratic drag, as any
 * text on pendulums in water has it). C, ζ and what counts as seen are trade estimates.
 */
import { bladeArea } from '../parts/blade-area';
import type { Blade } from '../parts/kinds/blade';

export interface HungBlade {
  readonly massKg: number;
  readonly areaM2: number;
  /** Hole to the middle of the blade, m. */
  readonly armM: number;
  /** Of the water that goes with it, over its own mass. */
  readonly carriedShare: number;
}

/** Water that a cupped blade carries along, over its own mass. Trade estimate. */
const CARRIED_SHARE = 1.2;
/** Middle of a blade from its root, of its length. */
const MIDDLE_AT = 0.5;

/** A blade as what hangs by its hole. */
export function hungBlade(blade: Blade): HungBlade {
  return {
    massKg: blade.massKg,
    areaM2: bladeArea(blade),
    armM: MIDDLE_AT * blade.lengthM - blade.holeOffsetM,
    carriedShare: CARRIED_SHARE,
  };
}

const DRAG = 1.1;
const DAMPING = 0.25;
const MOST_SWING_RAD = 1.2;
/** A swing this far is seen as a flash. */
const SEEN_RAD = 0.17;
const LYING_BACK_RAD = Math.PI / 2;
const MOST_SWINGS = 40;

/** How far it swings to each side, rad. @param toAndFroM of its hanger @param rateHz of that @param rho water, kg/m³ */
export function swingOf(blade: HungBlade, toAndFroM: number, rateHz: number, rho: number, speedMps: number): number {
  const { massKg, areaM2, armM, carriedShare } = blade;
  if (!(rateHz > 0) || !(armM > 0)) return 0;
  const omega = 2 * Math.PI * rateHz;
  const inertia = massKg * (1 + carriedShare) * armM;
  const own = Math.sqrt((0.5 * rho * speedMps ** 2 * DRAG * areaM2) / inertia);
  const apart = Math.hypot(own ** 2 - omega ** 2, 2 * DAMPING * omega * own);
  return Math.min((omega ** 2 * toAndFroM) / (armM * apart), MOST_SWING_RAD);
}

/** How often a blade is seen to swing once the bait is stopped, until it hangs. @param rho water, kg/m³ */
export function swingsOnPause({ massKg, areaM2, armM, carriedShare }: HungBlade, rho: number): number {
  const takes = (0.5 * rho * DRAG * areaM2 * armM) / (massKg * (1 + carriedShare));
  let angleRad = LYING_BACK_RAD;
  let swings = 0;
  while (angleRad > SEEN_RAD && swings < MOST_SWINGS) {
    // Over half a swing the drag takes its share of the square of the angle, and at most all of it.
    angleRad = angleRad / (1 + (8 / 3) * takes * angleRad);
    swings++;
  }
  return swings;
}
