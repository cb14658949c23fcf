/**
 * How a lure rides: how it shakes, hangs, leans and turns aside, how steeply its line leaves it, how deep it runs, to which
 * side it pulls. From its bodies (lure/bodies.ts), its arm (lure/arm.ts), what its blades do (spin.ts) and the line
 * (hydro/towed-line.ts). What is the same at every speed is laid ready once (`ridingOf`); a ride is then worked out for any
 * set of the shared coefficients. A blade that does not turn trails and flutters.
 */
import { naturalHz, shakeOfArm, shakeOfBody, type Arm, type Shake } from '../hydro/arm-shake';
import { KICK_SHARE } from '../hydro/kick';
import { lineTwist } from '../hydro/line-twist';
import { fishingLine, lineTorsion, USUAL_OUTFIT, type Outfit } from '../hydro/outfit';
import type { SpinOutcome, Turning } from '../hydro/spin';
import { lineShapes, STEPS_FOR_BAND, type FishingLine, type LineShape } from '../hydro/towed-line';
import { ASIDE_SHARE, leanOf, sidePull, type Lean } from '../hydro/tracking';
import { sumsOf, trimOf, yawOf, type Trim, type TrimDrag, type TrimSums } from '../hydro/trim';
import { waterDensity, type Water } from '../hydro/water';
import { armOf, type ArmOutcome } from '../lure/arm';
import { SWIVEL_TORQUE_NM, type BladeState } from '../lure/bearing';
import { bodiesOf, type Body } from '../lure/bodies';
import { layOut, type Layout } from '../lure/layout';
import { itemOf, type Build, type ItemId } from '../lure/lure';
import { DRIVEN_AT, spinners, type Spinner } from '../lure/spin-seats';
import { pointOn } from '../lure/wire-path';
import { bladeArea } from '../parts/blade-area';
import { planingAreas } from '../lure/planing-areas';
import { SHARED_KEYS, type Shared, type SharedKey } from './factors';
import { turnAll, type Turned } from './spin';

export interface Ride {
  readonly speedMps: number;
  readonly trim: Trim;
  /** Of the line at the lure, below the level, rad. */
  readonly lineSlopeRad: number;
  /** With each of the lengths out that were asked for. */
  readonly lines: readonly LineShape[];
  /** What each turning blade does to its arm, or to the whole where it has none. */
  readonly shakes: readonly (Shake & { readonly station: ItemId })[];
  readonly lean: Lean;
  /** Tail aside of the way it is pulled, rad. */
  readonly yawRad: number;
  /** Off the way it is pulled, to the right of one who looks after it, rad: of blades at the surface. */
  readonly sidePullRad: number;
  /** Turns put into TWIST_OVER_M of line, tied straight on and behind a free swivel. */
  readonly twistTurns: number;
  readonly twistBehindSwivelTurns: number;
}

export interface Rides {
  readonly massKg: number;
  /** Weight in water, N; below zero for one that floats. */
  readonly sinkingN: number;
  /** The arm's own rate, Hz; null where there is none, or none that can be worked out. */
  readonly armHz: number | null;
  readonly at: readonly Ride[];
}

/** Drag area of a blade that trails and flutters, as a share of its plan. Trade estimate. */
const FLUTTER_SHARE = 0.25;

/** Every coefficient at its estimate. */
export const AS_ESTIMATED: Shared = Object.fromEntries(SHARED_KEYS.map((key) => [key, 1])) as Record<SharedKey, number>;

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
  const riding = ridingOf(build, water, outfit);
  const turned = turnAll(riding.spinners, riding.rho, speedsMps);
  const tuned = tunedTo(riding, AS_ESTIMATED);
  return {
    massKg: tuned.massKg,
    sinkingN: tuned.sums.weightN.all,
    armHz: tuned.arm && naturalHz(tuned.arm),
    at: speedsMps.map((speedMps, i) => rideOf(riding, tuned, outcomesAt(turned, i), speedMps, lengthsOutM)),
  };
}

/** What of a lure is the same at every speed and whatever its coefficients. */
export interface Riding {
  readonly build: Build;
  readonly layout: Layout;
  readonly rho: number;
  readonly outfit: Outfit;
  /** Placed from the line tie. */
  readonly bodies: readonly Body[];
  readonly spinners: readonly Spinner[];
  /** Where each of these drags, and about which axle. */
  readonly dragsAt: readonly BladePlace[];
  readonly arm: ArmOutcome;
  readonly planing: ReturnType<typeof planingAreas>;
}

interface BladePlace {
  readonly xM: number;
  readonly yM: number;
  readonly zM: number;
  readonly axleRad: number | null;
  readonly plan: number;
  /** Of its rotating force, what comes twice a turn. */
  readonly kickShare: number;
  /** Of a surface blade; 0 of any other. */
  readonly hand: -1 | 0 | 1;
}

export function ridingOf(build: Build, water: Water, outfit: Outfit, state: BladeState = 'clean'): Riding {
  const rho = waterDensity(water);
  const layout = layOut(build);
  const tie = tieOf(layout);
  const bodies = bodiesOf(build, layout).map((body) => ({ ...body, xM: body.xM - tie.xM, yM: body.yM - tie.yM }));
  const all = spinners(build, rho, state, layout);
  return {
    build,
    layout,
    rho,
    outfit,
    bodies,
    spinners: all,
    dragsAt: all.map(({ station }) => {
      const { part } = itemOf(build, station);
      const place = placeOf(layout, station);
      return {
        xM: place.xM - tie.xM,
        yM: place.yM - tie.yM,
        zM: bodies.find(({ of }) => of === station)?.zM ?? 0,
        axleRad: axleOf(layout, station),
        plan: bladeArea(part),
        kickShare: part.kind === 'blade' ? KICK_SHARE[part.pattern] : 0,
        hand: part.kind === 'deltaBlade' ? (part.hand === 'right' ? 1 : -1) : 0,
      };
    }),
    arm: armOf(build, layout, bodies, rho),
    planing: planingAreas(build),
  };
}

/** A lure with its shared coefficients at these multiples of their estimates. */
export interface Tuned {
  readonly shared: Shared;
  readonly massKg: number;
  readonly sums: TrimSums;
  /** The same to the side. */
  readonly asideSums: TrimSums;
  readonly arm: Arm | null;
  readonly line: FishingLine;
  /** With the water that moves with it. */
  readonly movedKg: number;
}

export function tunedTo({ bodies, rho, arm, outfit }: Riding, shared: Shared): Tuned {
  const drag = { hard: shared.hardDrag, soft: shared.softDrag, wire: shared.wireDrag, blade: shared.flutter };
  const tuned = bodies.map((body) => ({
    ...body,
    massKg: body.massKg * shared.mass,
    axialM2: body.axialM2 * drag[body.kind],
    sideM2: body.sideM2 * drag[body.kind],
    slopeM2: body.slopeM2 * shared.lift,
  }));
  const line = fishingLine(outfit.line);
  return {
    shared,
    massKg: tuned.reduce((sum, { massKg }) => sum + massKg, 0),
    sums: sumsOf(tuned, rho),
    asideSums: sumsOf(
      tuned.map((body) => ({ ...body, yM: body.zM })),
      rho,
    ),
    arm: armTuned(arm, shared),
    line: { ...line, normalDrag: line.normalDrag * shared.lineDrag, skinDrag: line.skinDrag * shared.lineDrag },
    movedKg: tuned.reduce((sum, { massKg, volumeM3 }) => sum + massKg + rho * volumeM3, 0),
  };
}

/** The same with shared coefficients moved that touch neither weights nor drags: those and the line are kept. */
export function retuned(tuned: Tuned, { arm }: Riding, shared: Shared): Tuned {
  return { ...tuned, shared, arm: armTuned(arm, shared) };
}

function armTuned(arm: ArmOutcome, shared: Shared): Arm | null {
  if (arm.outcome !== 'arm') return null;
  const { youngPa, tipMassKg } = arm.arm;
  return { ...arm.arm, youngPa: youngPa * shared.armStiffness, tipMassKg: tipMassKg * shared.mass };
}

export function outcomesAt(turned: readonly Turned[], index: number): (SpinOutcome | undefined)[] {
  return turned.map(({ outcomes }) => outcomes[index]);
}

/** A ride worked out already, of nearly this lure. */
export interface Near {
  readonly ride: Ride;
  readonly tuned: Tuned;
  readonly outcomes: readonly (SpinOutcome | undefined)[];
}

/** @param near for the edge of a band: then worked out sooner, less finely; where nothing drags otherwise, its trim is kept */
export function rideOf(
  riding: Riding,
  tuned: Tuned,
  outcomes: readonly (SpinOutcome | undefined)[],
  speedMps: number,
  lengthsOutM: readonly number[],
  near: Near | null = null,
  lineSteps: number | undefined = near ? STEPS_FOR_BAND : undefined,
): Ride {
  const { rho, spinners: all, dragsAt, outfit } = riding;
  const { shared, sums, asideSums, arm, line, movedKg } = tuned;
  const dragsN = bladeDrags(riding, shared, outcomes, speedMps);
  const drags = dragsAt.map(({ xM, yM, axleRad }, i): TrimDrag => ({ xM, yM, axleRad, dragN: dragsN[i] ?? 0 }));
  const isTrimKept = near !== null && near.tuned.sums === sums && near.outcomes === outcomes;
  const trim = isTrimKept ? near.ride.trim : trimOf(sums, drags, rho, speedMps, near && near.ride.trim.pitchRad);
  const pull = { aftN: trim.dragN, downN: trim.sinkingN - trim.liftN };
  let [torqueNm, bladeTurnsPerM] = [0, 0];
  const shakes: (Shake & { readonly station: ItemId })[] = [];
  outcomes.forEach((outcome, i) => {
    if (outcome?.outcome !== 'turning') return;
    const forceN = shared.fling * rotatingForce(outcome);
    torqueNm += shared.rub * outcome.frictionTorqueNm;
    bladeTurnsPerM = Math.max(bladeTurnsPerM, speedMps > 0 ? outcome.rateHz / speedMps : 0);
    // Of an arm that cannot be worked out nothing is said.
    if (riding.arm.outcome === 'outsideModel') return;
    const shakeAt = (rateHz: number, share: number) =>
      arm
        ? shakeOfArm(arm, share * forceN, rateHz, outcome.dragN, speedMps, shared.armDamping)
        : shakeOfBody(movedKg, share * forceN, rateHz);
    const once = shakeAt(outcome.rateHz, 1);
    const kick = shared.kick * (dragsAt[i]?.kickShare ?? 0);
    const shake = kick > 0 ? bothShakes(once, shakeAt(2 * outcome.rateHz, kick)) : once;
    shakes.push({ station: all[i]?.station as ItemId, ...shake });
  });
  const { weightN } = sums;
  // It rolls about its own axis through the tie: of the weights counts what pulls across that.
  const across = Math.cos(trim.pitchRad);
  const lean = leanOf({ upNm: weightN.y * across, asideNm: asideSums.weightN.y * across }, torqueNm);
  // What a keel holds does not reach the line.
  const freeNm = lean.outcome === 'leans' ? 0 : lean.outcome === 'turnsOver' ? torqueNm - lean.keelNm : torqueNm;
  const twist = (mostNm: number) => lineTwist(Math.min(freeNm, mostNm), lineTorsion(outfit.line), bladeTurnsPerM);
  return {
    speedMps,
    trim,
    lineSlopeRad: Math.atan2(pull.downN, pull.aftN),
    lines: isTrimKept
      ? near.ride.lines
      : lineShapes(
          line,
          pull,
          { waterDensityKgM3: rho, tipHeightM: outfit.tipHeightM, speedMps },
          lengthsOutM,
          lineSteps,
        ),
    shakes,
    lean,
    yawRad: isTrimKept
      ? near.ride.yawRad
      : yawOf(
          asideSums,
          dragsAt.map(({ xM, zM }, i): TrimDrag => ({ xM, yM: zM, axleRad: null, dragN: dragsN[i] ?? 0 })),
          rho,
          speedMps,
        ),
    sidePullRad: sidePull(
      dragsAt.flatMap(({ hand }, i) => (hand === 0 ? [] : [{ hand, dragN: dragsN[i] ?? 0 }])),
      trim.dragN,
      ASIDE_SHARE * shared.sideways,
    ),
    twistTurns: twist(outfit.swivel === 'none' ? Infinity : SWIVEL_TORQUE_NM[outfit.swivel]),
    twistBehindSwivelTurns: twist(SWIVEL_TORQUE_NM.free),
  };
}

/** What each blade drags at this speed, turning or not, N. */
export function bladeDrags(
  { dragsAt, rho }: Riding,
  shared: Shared,
  outcomes: readonly (SpinOutcome | undefined)[],
  speedMps: number,
): number[] {
  return dragsAt.map(({ plan }, i) => {
    const outcome = outcomes[i];
    if (outcome?.outcome === 'turning') return outcome.dragN;
    return 0.5 * rho * speedMps ** 2 * FLUTTER_SHARE * shared.flutter * plan;
  });
}

/** Two shakes of different rates together: their mean squares add. */
function bothShakes(once: Shake, twice: Shake): Shake {
  return {
    ...once,
    amplitudeM: Math.hypot(once.amplitudeM, twice.amplitudeM),
    thumpN: Math.hypot(once.thumpN, twice.thumpN),
  };
}

/** What goes round with a blade: what is left of its centrifugal pull against the water's, and what drives it round, N. */
function rotatingForce({ hingeRadialN, driveTorqueNm, tipRadiusM }: Turning): number {
  return Math.hypot(hingeRadialN, driveTorqueNm / (DRIVEN_AT * tipRadiusM));
}

interface Place {
  readonly xM: number;
  readonly yM: number;
}

/** Where the line pulls: the tie of a bent wire, the nose loop of a straight one. */
function tieOf(layout: Layout): Place {
  if (layout.path) return layout.path.tie ?? pointOn(layout.lines.run, 0);
  return pointOn(layout.lines.run, layout.nose.loopCentreM);
}

function placeOf(layout: Layout, station: ItemId): Place {
  const strung = layout.strand.find(({ item }) => item.id === station);
  if (strung) return pointOn(layout.lines.run, (strung.x0M + strung.x1M) / 2);
  const hung = layout.off.find(({ item }) => item.id === station);
  return hung ? pointOn(layout.lines[hung.line], hung.pivotM) : { xM: 0, yM: 0 };
}

/** A blade on the wire has the wire for its axle; what hangs behind a swivel turns into the flow. */
function axleOf(layout: Layout, station: ItemId): number | null {
  const hung = layout.off.find(({ item }) => item.id === station);
  return hung && hung.line !== 'run' ? null : layout.lines.run.angleRad;
}

/** Where mass, displaced water and drag of a lure have their middles, m behind and above the line tie and beside its plane. */
export interface Centres {
  readonly ofMass: Centre;
  readonly ofBuoyancy: Centre;
  /** Of all drag at this speed, blades included. */
  readonly ofDrag: Centre;
}
export interface Centre {
  readonly xM: number;
  readonly yM: number;
  readonly zM: number;
}

export function centresOf(riding: Riding, outcomes: readonly (SpinOutcome | undefined)[], speedMps: number): Centres {
  const { bodies, dragsAt, rho } = riding;
  const drags = bladeDrags(riding, AS_ESTIMATED, outcomes, speedMps);
  const q = 0.5 * rho * speedMps ** 2;
  return {
    ofMass: centre(bodies, ({ massKg }) => massKg),
    ofBuoyancy: centre(bodies, ({ volumeM3 }) => volumeM3),
    ofDrag: centre(
      [
        ...bodies.map(({ xM, yM, zM, axialM2 }) => ({ xM, yM, zM, dragN: q * axialM2 })),
        ...dragsAt.map(({ xM, yM, zM }, i) => ({ xM, yM, zM, dragN: drags[i] ?? 0 })),
      ],
      ({ dragN }) => dragN,
    ),
  };
}

function centre<T extends Centre>(things: readonly T[], weightOf: (thing: T) => number): Centre {
  const all = things.reduce((sum, thing) => sum + weightOf(thing), 0);
  const mean = (of: (thing: T) => number) =>
    all > 0 ? things.reduce((sum, thing) => sum + weightOf(thing) * of(thing), 0) / all : 0;
  return { xM: mean(({ xM }) => xM), yM: mean(({ yM }) => yM), zM: mean(({ zM }) => zM) };
}
