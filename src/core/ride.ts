/**
 * How a lure rides: how it hangs, how steeply its line leaves it, how deep it runs, how fast it sinks. From its bodies
 * (lure/bodies.ts), the drag of its blades (predict.ts) and the line (hydro/towed-line.ts), with all coefficients as they
 * stand. A blade that does not turn trails and flutters.
 */
import type { Outfit } from './hydro/outfit';
import { USUAL_OUTFIT } from './hydro/outfit';
import type { SpinOutcome } from './hydro/spin';
import { lineShapes, type LineShape } from './hydro/towed-line';
import { trimOf, type Trim, type TrimDrag } from './hydro/trim';
import { GRAVITY_MPS2, waterDensity, type Water } from './hydro/water';
import { bodiesOf, type Body } from './lure/bodies';
import { layOut, type Layout } from './lure/layout';
import { itemOf, type Build, type ItemId } from './lure/lure';
import { pointOn } from './lure/wire-path';
import type { Part } from './parts/part';
import { predictNominal } from './predict';

export interface Ride {
  readonly speedMps: number;
  readonly trim: Trim;
  /** Of the line at the lure, below the level, rad. */
  readonly lineSlopeRad: number;
  /** With each of the lengths out that were asked for. */
  readonly lines: readonly LineShape[];
}

export interface Rides {
  readonly massKg: number;
  /** Weight in water, N; below zero for one that floats. */
  readonly sinkingN: number;
  /** Falling on slack line, m/s; null for one that floats. */
  readonly sinkMps: number | null;
  readonly at: readonly Ride[];
}

/** Drag area of a blade that trails and flutters, as a share of its plan. Trade estimate. */
const FLUTTER_SHARE = 0.25;
/** Speeds at which the fall is looked at, m/s: drag areas change little between them. */
const FALLS_MPS = [0.05, 0.1, 0.15, 0.2, 0.3, 0.4, 0.6, 0.8, 1.1, 1.5, 2, 3];

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
  const rho = waterDensity(water);
  const layout = layOut(build);
  const tie = tieOf(layout);
  const bodies = bodiesOf(build, layout).map((body) => ({ ...body, xM: body.xM - tie.xM, yM: body.yM - tie.yM }));
  const massKg = bodies.reduce((sum, body) => sum + body.massKg, 0);
  const sinkingN = bodies.reduce((sum, body) => sum + (body.massKg - rho * body.volumeM3) * GRAVITY_MPS2, 0);
  const blades = predictNominal(build, water, [...speedsMps, ...FALLS_MPS]);
  const dragsAt = (index: number, speedMps: number): TrimDrag[] =>
    blades.map(({ station, outcomes }) => ({
      ...from(tie, placeOf(layout, station)),
      axleRad: axleOf(layout, station),
      dragN: dragOf(outcomes[index], itemOf(build, station).part, rho, speedMps),
    }));
  const setting = { waterDensityKgM3: rho, tipHeightM: outfit.tipHeightM };
  return {
    massKg,
    sinkingN,
    sinkMps: sinkRate(bodies, sinkingN, rho, (fall) =>
      dragsAt(speedsMps.length + fall, FALLS_MPS[fall] ?? 0).reduce((sum, { dragN }) => sum + dragN, 0),
    ),
    at: speedsMps.map((speedMps, i) => {
      const trim = trimOf(bodies, dragsAt(i, speedMps), rho, speedMps);
      const pull = { aftN: trim.dragN, downN: trim.sinkingN - trim.liftN };
      return {
        speedMps,
        trim,
        lineSlopeRad: Math.atan2(pull.downN, pull.aftN),
        lines: lineShapes(outfit.line, pull, { ...setting, speedMps }, lengthsOutM),
      };
    }),
  };
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
  return 0.5 * rho * speedMps ** 2 * FLUTTER_SHARE * planOf(part);
}

function planOf(part: Part): number {
  switch (part.kind) {
    case 'blade':
      return 0.75 * part.lengthM * part.widthM;
    case 'filmBlade':
      return 0.7 * part.spanM * part.widthM;
    case 'deltaBlade':
      return 0.4 * part.spanM * part.lengthM;
    default:
      return 0;
  }
}

/**
 * The speed at which what drags it balances what pulls it down, nose first, its blades turning as they fall.
 * @param bladesN their drag at the speed of this place among those looked at, N
 */
function sinkRate(
  bodies: readonly Body[],
  sinkingN: number,
  rho: number,
  bladesN: (fall: number) => number,
): number | null {
  if (sinkingN <= 0) return null;
  const axialM2 = bodies.reduce((sum, body) => sum + body.axialM2, 0);
  const drags = FALLS_MPS.map((speed, i) => 0.5 * rho * speed ** 2 * axialM2 + bladesN(i));
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
