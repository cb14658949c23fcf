/**
 * How a lure rides: how it shakes, hangs and leans, how steeply its line leaves it, how deep it runs, how fast it sinks, to
 * which side it pulls. From its bodies (lure/bodies.ts), its arm (lure/arm.ts), what its blades do (predict.ts) and the line
 * (hydro/towed-line.ts), with all coefficients as they stand. A blade that does not turn trails and flutters.
 */
import { naturalHz, shakeOfArm, shakeOfBody, type Shake } from './hydro/arm-shake';
import { USUAL_OUTFIT, type Outfit } from './hydro/outfit';
import type { SpinOutcome, Turning } from './hydro/spin';
import { lineShapes, type LineShape } from './hydro/towed-line';
import { leanOf, sidePull, type KeelWeight, type Lean } from './hydro/tracking';
import { trimOf, type Trim, type TrimDrag } from './hydro/trim';
import { GRAVITY_MPS2, waterDensity, type Water } from './hydro/water';
import { armOf } from './lure/arm';
import { bodiesOf, type Body } from './lure/bodies';
import { layOut, type Layout } from './lure/layout';
import { itemOf, type Build, type ItemId } from './lure/lure';
import { DRIVEN_AT } from './lure/spin-seats';
import { pointOn } from './lure/wire-path';
import { bladeArea } from './parts/blade-area';
import type { Part } from './parts/part';
import { predictNominal } from './predict';

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
  /** Off the way it is pulled, to the right of one who looks after it, rad: of blades at the surface. */
  readonly sidePullRad: number;
}

export interface Rides {
  readonly massKg: number;
  /** Weight in water, N; below zero for one that floats. */
  readonly sinkingN: number;
  /** The arm's own rate, Hz; null where there is none. */
  readonly armHz: number | null;
  readonly at: readonly Ride[];
}

/** Drag area of a blade that trails and flutters, as a share of its plan. Trade estimate. */
const FLUTTER_SHARE = 0.25;
/**
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
  const riding = ridingOf(build, water, speedsMps);
  const { layout, bodies, rho, sinkingN, massKg, blades } = riding;
  const arm = armOf(build, layout, bodies, rho);
  // The water that moves with it counts once more what it displaces.
  const movedKg = bodies.reduce((sum, body) => sum + body.massKg + rho * body.volumeM3, 0);
  const setting = { waterDensityKgM3: rho, tipHeightM: outfit.tipHeightM };
  return {
    massKg,
    sinkingN,
    armHz: arm && naturalHz(arm),
    at: speedsMps.map((speedMps, i) => {
      const drags = dragsOf(riding, i, speedMps);
      const trim = trimOf(bodies, drags, rho, speedMps);
      const turning = blades.flatMap(({ station, outcomes }) => {
        const outcome = outcomes[i];
        return outcome?.outcome === 'turning' ? [{ station, outcome }] : [];
      });
      const pull = { aftN: trim.dragN, downN: trim.sinkingN - trim.liftN };
      return {
        speedMps,
        trim,
        lineSlopeRad: Math.atan2(pull.downN, pull.aftN),
        lines: lineShapes(outfit.line, pull, { ...setting, speedMps }, lengthsOutM),
        shakes: turning.map(({ station, outcome }) => ({
          station,
          ...(arm
            ? shakeOfArm(arm, rotatingForce(outcome), outcome.rateHz, outcome.dragN, speedMps)
            : shakeOfBody(movedKg, rotatingForce(outcome), outcome.rateHz)),
        })),
        lean: leanOf(
          keelOf(bodies, rho, trim.pitchRad),
          turning.reduce((sum, { outcome }) => sum + outcome.frictionTorqueNm, 0),
        ),
        sidePullRad: sidePull(
          blades.flatMap(({ station }, n) => {
            const { part } = itemOf(build, station);
            const dragN = drags[n]?.dragN ?? 0;
            return part.kind === 'deltaBlade'
              ? [{ dragN, hand: part.hand === 'right' ? (1 as const) : (-1 as const) }]
              : [];
          }),
          trim.dragN,
        ),
      };
    }),
  };
}

/** Speeds at which the fall is looked at, m/s: drag areas change little between them. */
const FALLS_MPS = [0.05, 0.1, 0.15, 0.2, 0.3, 0.4, 0.6, 0.8, 1.1, 1.5, 2, 3];

/** How fast it falls on slack line, nose first, its blades turning as they fall, m/s; null for one that floats. */
export function sinkRate(build: Build, water: Water): number | null {
  const riding = ridingOf(build, water, FALLS_MPS);
  const { bodies, rho, sinkingN } = riding;
  if (sinkingN <= 0) return null;
  const axialM2 = bodies.reduce((sum, body) => sum + body.axialM2, 0);
  const drags = FALLS_MPS.map(
    (speed, i) =>
      0.5 * rho * speed ** 2 * axialM2 + dragsOf(riding, i, speed).reduce((sum, { dragN }) => sum + dragN, 0),
  );
  const over = drags.findIndex((drag) => drag >= sinkingN);
  if (over === 0) return (FALLS_MPS[0] ?? 0) * Math.sqrt(sinkingN / (drags[0] ?? 1));
  const i = over < 0 ? FALLS_MPS.length - 1 : over - 1;
  const [slow, fast] = [FALLS_MPS[i] ?? 0, FALLS_MPS[i + 1]];
  const [less, more] = [drags[i] ?? 1, drags[i + 1]];
  if (fast === undefined || more === undefined) return slow * Math.sqrt(sinkingN / less);
  // Between two of them as a power of the speed.
  const power = Math.log(more / less) / Math.log(fast / slow);
  return slow * (sinkingN / less) ** (1 / power);
}

/** What of a lure is the same at every speed, and what its blades do at these. */
interface Riding {
  readonly build: Build;
  readonly layout: Layout;
  /** Placed from the line tie. */
  readonly bodies: readonly Body[];
  readonly tie: Place;
  readonly rho: number;
  readonly massKg: number;
  readonly sinkingN: number;
  readonly blades: ReturnType<typeof predictNominal>;
}

function ridingOf(build: Build, water: Water, speedsMps: readonly number[]): Riding {
  const rho = waterDensity(water);
  const layout = layOut(build);
  const tie = tieOf(layout);
  const bodies = bodiesOf(build, layout).map((body) => ({ ...body, xM: body.xM - tie.xM, yM: body.yM - tie.yM }));
  return {
    build,
    layout,
    bodies,
    tie,
    rho,
    massKg: bodies.reduce((sum, body) => sum + body.massKg, 0),
    sinkingN: bodies.reduce((sum, body) => sum + (body.massKg - rho * body.volumeM3) * GRAVITY_MPS2, 0),
    blades: predictNominal(build, water, speedsMps, layout),
  };
}

/** Each blade's drag at its place, at the speed of this index. */
function dragsOf({ build, layout, tie, rho, blades }: Riding, index: number, speedMps: number): TrimDrag[] {
  return blades.map(({ station, outcomes }) => ({
    ...from(tie, placeOf(layout, station)),
    axleRad: axleOf(layout, station),
    dragN: dragOf(outcomes[index], itemOf(build, station).part, rho, speedMps),
  }));
}

/** What goes round with a blade: what is left of its centrifugal pull against the water's, and what drives it round, N. */
function rotatingForce({ hingeRadialN, driveTorqueNm, tipRadiusM }: Turning): number {
  return Math.hypot(hingeRadialN, driveTorqueNm / (DRIVEN_AT * tipRadiusM));
}

/** Weights in water about the pull, at the pitch it runs with. */
function keelOf(bodies: readonly Body[], rho: number, pitchRad: number): KeelWeight[] {
  const [sin, cos] = [Math.sin(pitchRad), Math.cos(pitchRad)];
  return bodies.map(({ xM, yM, zM, massKg, volumeM3 }) => ({
    yM: yM * cos - xM * sin,
    zM,
    weightN: (massKg - rho * volumeM3) * GRAVITY_MPS2,
  }));
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

function from(tie: Place, { xM, yM }: Place): Place {
  return { xM: xM - tie.xM, yM: yM - tie.yM };
}

function dragOf(outcome: SpinOutcome | undefined, part: Part, rho: number, speedMps: number): number {
  if (outcome?.outcome === 'turning') return outcome.dragN;
  return 0.5 * rho * speedMps ** 2 * FLUTTER_SHARE * bladeArea(part);
}
