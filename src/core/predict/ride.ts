/**
 * How a lure rides: how it shakes, hangs, leans and turns aside, how steeply its line leaves it, how deep it runs, to which
 * side it pulls. From its bodies (in-water/bodies.ts), its arm (in-water/arm.ts), what its blades do (spin.ts) and the line
 * (hydro/towed-line.ts). What is the same at every speed is laid ready once (lure-in-water.ts); a ride is then worked out for any
 * set of the shared coefficients (scaled-lure.ts). A blade that does not turn trails and flutters.
 */
import { forceOfMoment, naturalHz, shakeOfArm, shakeOfBody, type Shake } from '../hydro/arm-shake';
import { lineTwist } from '../hydro/line-twist';
import { lineTorsion, USUAL_OUTFIT, type Outfit } from '../hydro/outfit';
import type { Turning } from '../hydro/spin';
import { lureShapes } from '../hydro/outfit-line';
import { STEPS_FOR_BAND, type LinePull, type LineShape } from '../hydro/towed-line';
import { ASIDE_SHARE, leanOf, sidePull, type Lean } from '../hydro/tracking';
import { leftBehind, trimOf, yawOf, type Trim, type TrimDrag } from '../hydro/trim';
import type { Water } from '../hydro/water';
import { wobbleOf, type Wobble } from '../hydro/wobble';
import { SWIVEL_TORQUE_NM } from '../in-water/bearing';
import type { Build, ItemId } from '../lure/lure';
import { DRIVEN_AT } from '../in-water/spinners';
import { bladePulls } from './blade-pull';
import { lureInWater, type LureInWater } from './lure-in-water';
import { axleCosines } from './inclined';
import { outcomesAt, turnAll, type BladeOutcome } from './turned';
import { scaledAsEstimated, type ScaledLure } from './scaled-lure';

export interface Ride {
  readonly speedMps: number;
  readonly trim: Trim;
  /** Of the line at the lure, below the level, rad. */
  readonly lineSlopeRad: number;
  /** With each of the lengths out that were asked for. */
  readonly lines: readonly LineShape[];
  /** What each turning blade does to its arm, or to the whole where it has none. */
  readonly shakes: readonly (Shake & { readonly station: ItemId })[];
  /** Impulse given to the water at each stroke of a blade, of the one that gives most, N·s: 0 while none turns. */
  readonly thumpNs: number;
  readonly lean: Lean;
  /** Tail aside of the way it is pulled, rad. */
  readonly yawRad: number;
  /** Off the way it is pulled, to the right of one who looks after it, rad: of blades at the surface. */
  readonly sidePullRad: number;
  /** Turns put into TWIST_OVER_M of line, tied straight on and behind a free swivel. */
  readonly twistTurns: number;
  readonly twistBehindSwivelTurns: number;
  /** How its body swings by its own wake; null where it does not. */
  readonly wobble: Wobble | null;
}

export interface Rides {
  readonly massKg: number;
  /** Weight in water, N; below zero for one that floats. */
  readonly sinkingN: number;
  /** The arm's own rate, Hz; null where there is none, or none that can be worked out. */
  readonly armHz: number | null;
  readonly at: readonly Ride[];
}

/**
 * Rides with every coefficient at its estimate and no bands: for comparing lures and for what looks for one.
 * @param speedsMps through the water
 * @param lengthsOutM from the rod's tip to the lure; the outfit's own when none are asked for
 */
export function rides(
  build: Build,
  water: Water,
  speedsMps: readonly number[],
  outfit: Outfit = USUAL_OUTFIT,
  lengthsOutM: readonly number[] = [outfit.lineOutM],
): Rides {
  const inWater = lureInWater(build, water, outfit);
  const turned = turnAll(inWater.spinners, inWater.rho, speedsMps, { axleCos: axleCosines(inWater, speedsMps) });
  const scaled = scaledAsEstimated(inWater);
  return {
    massKg: scaled.massKg,
    sinkingN: scaled.sums.weightN.all,
    armHz: scaled.arm && naturalHz(scaled.arm),
    at: speedsMps.map((speedMps, i) => rideAt(inWater, scaled, outcomesAt(turned, i), speedMps, lengthsOutM)),
  };
}

/** A ride worked out already, of nearly this lure. */
export interface NearbyRide {
  readonly ride: Ride;
  readonly scaled: ScaledLure;
  readonly outcomes: readonly (BladeOutcome | undefined)[];
}

/** @param near for the edge of a band: then worked out sooner, less finely; where nothing drags otherwise, its trim is kept */
export function rideAt(
  inWater: Pick<LureInWater, 'rho' | 'spinners' | 'dragsAt' | 'outfit' | 'arm' | 'twisting'>,
  scaled: ScaledLure,
  outcomes: readonly (BladeOutcome | undefined)[],
  speedMps: number,
  lengthsOutM: readonly number[],
  near: NearbyRide | null = null,
  lineSteps: number | undefined = near ? STEPS_FOR_BAND : undefined,
): Ride {
  const { rho, spinners: all, dragsAt, outfit } = inWater;
  const { shared, sums, asideSums, arm, line, movedKg, forcePerMoment } = scaled;
  const drags = bladePulls(inWater, shared, outcomes, speedMps);
  const isTrimKept = near !== null && near.scaled.sums === sums && near.outcomes === outcomes;
  const trim = isTrimKept ? near.ride.trim : trimOf(sums, drags, rho, speedMps, near && near.ride.trim.pitchRad);
  const pull = pullOnLine(trim);
  // What the bearings leave in the lure: in all, and to the side it turns it to, where that is known.
  let [torqueNm, turningNm, bladeTurnsPerM, thumpNs] = [0, 0, 0, 0];
  const shakes: (Shake & { readonly station: ItemId })[] = [];
  outcomes.forEach((outcome, i) => {
    if (outcome?.outcome !== 'turning') return;
    const place = dragsAt[i];
    if (!place) return;
    const { strokes, momentShare, kickShare, hand } = place;
    thumpNs = Math.max(thumpNs, thumpOf(outcome, strokes));
    const rubNm = shared.rub * outcome.frictionTorqueNm;
    torqueNm += rubNm;
    turningNm += rubNm * (hand === 0 ? shared.turnsWhich : -hand);
    bladeTurnsPerM = Math.max(bladeTurnsPerM, speedMps > 0 ? outcome.rateHz / speedMps : 0);
    // Of an arm that cannot be worked out nothing is said.
    if (inWater.arm.outcome === 'outsideModel') return;
    const momentNm = shared.moment * momentShare * outcome.dragMomentNm;
    const ofMomentN = arm ? forceOfMoment(arm, momentNm) : momentNm * forcePerMoment;
    // Of several lobes the forces cancel.
    const forceN = Math.hypot(strokes === 1 ? shared.fling * rotatingForce(outcome) : 0, ofMomentN);
    const shakeAt = (rateHz: number, share: number) =>
      arm
        ? shakeOfArm(arm, share * forceN, rateHz, outcome.dragN, speedMps, shared.armDamping)
        : shakeOfBody(movedKg, share * forceN, rateHz);
    const beatHz = strokes * outcome.rateHz;
    const once = shakeAt(beatHz, 1);
    const kick = shared.kick * kickShare;
    const shake = kick > 0 ? bothShakes(once, shakeAt(2 * beatHz, kick)) : once;
    shakes.push({ station: all[i]?.station as ItemId, ...shake });
  });
  const { weightN } = sums;
  // It rolls about its own axis through the tie: of the weights counts what pulls across that.
  const across = Math.cos(trim.pitchRad);
  const keel = { upNm: weightN.y * across, asideNm: asideSums.weightN.y * across };
  const held = leanOf(keel, torqueNm);
  const lean = held.outcome === 'leans' ? leanOf(keel, turningNm) : held;
  // What a keel holds does not reach the line.
  const freeNm = lean.outcome === 'leans' ? 0 : lean.outcome === 'turnsOver' ? torqueNm - lean.keelNm : torqueNm;
  // A bait rolls behind all that a keel holds.
  const { roll, noseNm } = inWater.twisting;
  const rollNm = roll ? 0.5 * rho * speedMps ** 2 * roll.torqueM3 : 0;
  const turnsPerM = Math.max(bladeTurnsPerM, roll?.turnsPerM ?? 0);
  const twist = (mostNm: number) =>
    lineTwist(Math.min(freeNm + rollNm, mostNm, noseNm), lineTorsion(outfit.line), turnsPerM);
  return {
    speedMps,
    trim,
    lineSlopeRad: Math.atan2(pull.downN, pull.aftN),
    lines: isTrimKept
      ? near.ride.lines
      : lureShapes(
          line,
          outfit,
          pull,
          { waterDensityKgM3: rho, tipHeightM: outfit.tipHeightM, speedMps },
          lengthsOutM,
          lineSteps,
        ),
    shakes,
    thumpNs,
    lean,
    yawRad: isTrimKept
      ? near.ride.yawRad
      : yawOf(
          asideSums,
          dragsAt.map(({ xM, zM, isLead }, i): TrimDrag => ({
            isLead,
            xM,
            yM: zM,
            axleRad: null,
            dragN: drags[i]?.dragN ?? 0,
            towardsStream: 1,
            carriesN: 0,
          })),
          rho,
          speedMps,
        ),
    sidePullRad: sidePull(
      dragsAt.flatMap(({ hand }, i) => (hand === 0 ? [] : [{ hand, dragN: drags[i]?.dragN ?? 0 }])),
      trim.dragN,
      ASIDE_SHARE * shared.sideways,
    ),
    twistTurns: twist(outfit.swivel === 'none' ? Infinity : SWIVEL_TORQUE_NM[outfit.swivel]),
    twistBehindSwivelTurns: twist(SWIVEL_TORQUE_NM.free),
    wobble: scaled.wobbling && wobbleOf(scaled.wobbling, rho, speedMps * leftBehind(drags)),
  };
}

/** What a lure hanging so pulls its line with. */
export function pullOnLine({ dragN, sinkingN, liftN }: Trim): LinePull {
  return { aftN: dragN, downN: sinkingN - liftN };
}

/** Impulse that a blade gives to the water at each stroke, N·s. */
export function thumpOf({ dragN, rateHz }: Turning, strokes: number): number {
  return dragN / (strokes * rateHz);
}

/** Two shakes of different rates together: their mean squares add. */
function bothShakes(once: Shake, twice: Shake): Shake {
  return {
    ...once,
    amplitudeM: Math.hypot(once.amplitudeM, twice.amplitudeM),
    pulseN: Math.hypot(once.pulseN, twice.pulseN),
  };
}

/** What goes round with a blade: what is left of its centrifugal pull against the water's, and what drives it round, N. */
function rotatingForce({ hingeRadialN, driveTorqueNm, tipRadiusM }: Turning): number {
  return Math.hypot(hingeRadialN, driveTorqueNm / (DRIVEN_AT * tipRadiusM));
}
