/**
 * How a lure hangs on its line and how steeply the line leaves it, in the vertical plane, steady at speed U.
 *
 * The lure is stiff and free to pitch about its line tie; θ is nose up. A place (x, y) behind and above the tie comes to
 *     X = x cos θ + y sin θ,     Y = −x sin θ + y cos θ,
 * and the moment that lowers the tail is  M = Σ(−X F_y + Y F_x). Forces, with q = ½ρU²:
 *     weight less water displaced           F_y = −(m − ρV)g
 *     drag along                            q A_a cos²θ along the lure, taken aft; strands lie down as it goes faster
 *     force across, slender part            q S sin θ cos θ   (Munk; S twice the base)
 *     force across, blunt part              q A_s sin θ |sin θ|
 *     a lip                                 q A C_N(δ − θ) square to it, aft and down; δ its slope below the lure's axis
 *     a turning blade                       its drag in the stream along its axle, at τχ nearer to the stream than its
 *                                           axle, and what it carries of its own weight, up; aft behind a swivel
 * The two across the lure act at right angles to it: sin θ of them aft, cos θ up. M falls through zero at the angle the
 * lure hangs at; then D = ΣF_x, L = ΣF_y without the weights, and tan γ = (W′ − L)/D is the slope of the line at the lure.
 *
 * Strands of a skirt bend: their area falls as (1 + (U/U_l)²)^(−1/3), so that their drag comes to grow as U^(4/3), the law of
 * a flexible fibre (S. Alben, M. Shelley, J. Zhang, Nature 420, 2002). U_l is a trade estimate.
 *
 * A leader of line ahead of a lure bends: the lure pitches about its own tie behind it, and what is on the leader only drags and
 * weighs, drawn along the stream.
 * All of it but the lip is linear in the areas and weights, so a lure is fifteen sums (`sumsOf`), worked out once for all speeds.
 * C_N of a flat plate is that of hydro/spin.ts.
 * In the horizontal plane the same holds without weights: θ is then the yaw (`yawOf`).
 * Source: sums over slender bodies as in any text on towed bodies; coefficients in in-water/bodies.ts.
 */
import { findRoot } from '../root';
import type { Plate } from '../parts/kinds/room';
import { normalSlope, STALLED_NORMAL } from './blade-loads';
import { GRAVITY_MPS2 } from './water';

export interface TrimBody {
  /** Behind and above the line tie, m. */
  readonly xM: number;
  readonly yM: number;
  readonly massKg: number;
  readonly volumeM3: number;
  readonly axialM2: number;
  /** Drag area along of strands that bend, as it is at STRANDS_AT_MPS. */
  readonly strandM2: number;
  readonly sideM2: number;
  readonly slopeM2: number;
  /** A flat lip with its middle there. */
  readonly plate?: Plate;
  /** On the line ahead of what pitches: it turns nothing. */
  readonly isLead?: boolean;
}

/** A lip where it stands, from the tie. */
export interface PlacedPlate extends Plate {
  readonly xM: number;
  readonly yM: number;
}

/** A blade's drag at its own place. */
export interface TrimDrag {
  readonly xM: number;
  readonly yM: number;
  readonly dragN: number;
  /** Which way its axle runs aft, up positive, in the lure; null for one that turns itself into the flow. */
  readonly axleRad: number | null;
  /** Of the angle between its axle and the stream, the share by which its pull lies nearer to the stream. */
  readonly towardsStream: number;
  /** What it lifts of its own weight as it turns, N. */
  readonly carriesN: number;
  /** On the line ahead of what pitches: it turns nothing. */
  readonly isLead?: boolean;
  /** Share of the speed that is missing in its wake where the lure behind it is. */
  readonly slows?: number;
}

/** What is left of the speed for a lure behind blades on its line. */
export function leftBehind(drags: readonly TrimDrag[]): number {
  let left = 1;
  for (const { slows = 0 } of drags) left *= 1 - slows;
  return left;
}

export interface Trim {
  readonly pitchRad: number;
  readonly dragN: number;
  readonly liftN: number;
  readonly sinkingN: number;
}

/** A quantity summed over the bodies, and its first moments about the tie, of what pitches alone. */
export interface Sum {
  readonly all: number;
  readonly x: number;
  readonly y: number;
}

export interface TrimSums {
  readonly weightN: Sum;
  readonly axialM2: Sum;
  readonly strandM2: Sum;
  readonly sideM2: Sum;
  readonly slopeM2: Sum;
  readonly plates: readonly PlacedPlate[];
  /** Of all these, what is on the line ahead: it lies along the stream however the lure pitches. */
  readonly lead: LeadAreas;
}

export interface LeadAreas {
  readonly axialM2: number;
  readonly sideM2: number;
  readonly slopeM2: number;
}

export const NO_LEAD: LeadAreas = { axialM2: 0, sideM2: 0, slopeM2: 0 };

/** The fifteen sums of these bodies, N and m² and their moments about the tie. @param rho density of the water, kg/m³ */
export function sumsOf(bodies: readonly TrimBody[], rho: number): TrimSums {
  return {
    weightN: weightOf(bodies, rho),
    axialM2: summed(bodies, ({ axialM2 }) => axialM2),
    strandM2: summed(bodies, ({ strandM2 }) => strandM2),
    sideM2: summed(bodies, ({ sideM2 }) => sideM2),
    slopeM2: summed(bodies, ({ slopeM2 }) => slopeM2),
    lead: leadOf(bodies),
    plates: bodies.flatMap(({ plate, xM, yM }) => (plate ? [{ ...plate, xM, yM }] : [])),
  };
}

/** Weight in water, N, and its moments about the tie, N·m. */
export function weightOf(bodies: readonly TrimBody[], rho: number): Sum {
  return summed(bodies, ({ massKg, volumeM3 }) => (massKg - rho * volumeM3) * GRAVITY_MPS2);
}

function leadOf(bodies: readonly TrimBody[]): LeadAreas {
  const lead = bodies.filter(({ isLead }) => isLead);
  if (lead.length === 0) return NO_LEAD;
  return {
    axialM2: lead.reduce((sum, { axialM2 }) => sum + axialM2, 0),
    sideM2: lead.reduce((sum, { sideM2 }) => sum + sideM2, 0),
    slopeM2: lead.reduce((sum, { slopeM2 }) => sum + slopeM2, 0),
  };
}

function summed(bodies: readonly TrimBody[], of: (body: TrimBody) => number): Sum {
  let [all, x, y] = [0, 0, 0];
  for (const body of bodies) {
    const value = of(body);
    all += value;
    if (body.isLead) continue;
    x += value * body.xM;
    y += value * body.yM;
  }
  return { all, x, y };
}

/** The speed a skirt's area is stated for, and the one from which on its strands lie down, m/s. Trade estimates. */
const STRANDS_AT_MPS = 0.8;
const STRANDS_BEND_AT_MPS = 0.4;

/** Area of strands at this speed over what it is at STRANDS_AT_MPS. */
export function strandShare(speedMps: number): number {
  const bent = (mps: number) => 1 + (mps / STRANDS_BEND_AT_MPS) ** 2;
  return Math.cbrt(bent(STRANDS_AT_MPS) / bent(speedMps));
}

/** Drag area along, of what is stiff and of strands as they lie at this speed. */
export function axialAt({ axialM2, strandM2 }: TrimSums, speedMps: number): Sum {
  if (strandM2.all === 0) return axialM2;
  const share = strandShare(speedMps);
  return {
    all: axialM2.all + share * strandM2.all,
    x: axialM2.x + share * strandM2.x,
    y: axialM2.y + share * strandM2.y,
  };
}

/** Of a flat plate this wide for its length at this angle to the stream, attached to stalled; the sign of the angle. */
export function normalCoefficient(angleRad: number, aspect: number): number {
  const slope = normalSlope(aspect, aspect);
  const sin = Math.sin(angleRad);
  return sin / (1 / slope + (1 / STALLED_NORMAL - 1 / slope) * Math.abs(sin));
}

/** Straight down, and straight up. */
const STEEPEST_RAD = Math.PI / 2;
export const TOLERANCE_RAD = 1e-10;
/** Near a pitch that is known, for the edge of a band: how far to look, and how closely. */
const NEAR_RAD = 0.08;
const NEAR_TOLERANCE_RAD = 1e-6;

/** @param nearRad a pitch it is known to be near: then found sooner, to this tolerance; by the secant for an answer's own */
export function trimOf(
  still: TrimSums,
  drags: readonly TrimDrag[],
  rho: number,
  speedMps: number,
  nearRad: number | null = null,
  nearToleranceRad = NEAR_TOLERANCE_RAD,
): Trim {
  const onLine = 0.5 * rho * speedMps ** 2;
  const q = onLine * leftBehind(drags) ** 2;
  const sums = { ...still, axialM2: axialAt(still, speedMps) };
  const pitchRad = balancedPitch((pitch) => tailMoment(sums, drags, q, pitch), nearRad, nearToleranceRad);
  const [sin, cos] = [Math.sin(pitchRad), Math.cos(pitchRad)];
  const { lead } = sums;
  const slopeM2 = sums.slopeM2.all - lead.slopeM2;
  const sideM2 = sums.sideM2.all - lead.sideM2;
  const across = q * (slopeM2 * sin * cos + sideM2 * sin * Math.abs(sin));
  let dragN = q * (sums.axialM2.all - lead.axialM2) * cos * cos + onLine * lead.axialM2 + across * sin;
  let liftN = across * cos;
  for (const plate of sums.plates) {
    const pushN = pushOn(plate, q, pitchRad);
    dragN += pushN.aft;
    liftN += pushN.up;
  }
  for (const drag of drags) {
    const [aft, up] = pullOf(drag, pitchRad);
    dragN += aft;
    liftN += up;
  }
  return { pitchRad, dragN, liftN, sinkingN: sums.weightN.all };
}

/** What the stream pushes a lip with at this pitch, N. */
export function pushOn({ areaM2, aspect, downRad }: Plate, q: number, pitchRad: number) {
  const against = downRad - pitchRad;
  const pushN = q * areaM2 * normalCoefficient(against, aspect);
  return { aft: pushN * Math.sin(against), up: -pushN * Math.cos(against) };
}

/** What a blade pulls with at this pitch, aft and up, N. */
function pullOf(
  { dragN, axleRad, towardsStream, carriesN, isLead }: TrimDrag,
  pitchRad: number,
): readonly [number, number] {
  if (axleRad === null || isLead) return [dragN, carriesN];
  const along = (axleRad - pitchRad) * (1 - towardsStream);
  return [dragN * Math.cos(along), dragN * Math.sin(along) + carriesN];
}

function balancedPitch(
  lowersTail: (pitchRad: number) => number,
  nearRad: number | null,
  nearToleranceRad: number,
): number {
  if (nearRad !== null) {
    const very = nearToleranceRad === TOLERANCE_RAD ? secantNear(lowersTail, nearRad) : null;
    if (very !== null) return very;
    const near = findRoot(lowersTail, nearRad - NEAR_RAD, nearRad + NEAR_RAD, nearToleranceRad);
    if (near.outcome === 'converged') return near.x;
  }
  // With the tail light it hangs nose down: the moment changes sign once between the two.
  const root = findRoot(lowersTail, -STEEPEST_RAD, STEEPEST_RAD, TOLERANCE_RAD);
  if (root.outcome === 'converged') return root.x;
  return root.outcome === 'noBracket' && root.fHigh > 0 ? STEEPEST_RAD : -STEEPEST_RAD;
}

/** A first step to learn the slope by, and how often the secant is followed. */
const SECANT_RAD = 1e-4;
const MOST_SECANT_STEPS = 8;

/** The root very near this pitch, to TOLERANCE_RAD, by the secant; null where that leads away. */
function secantNear(lowersTail: (pitchRad: number) => number, nearRad: number): number | null {
  let from = nearRad;
  let to = nearRad + SECANT_RAD;
  let fFrom = lowersTail(from);
  let fTo = lowersTail(to);
  // Where it hangs, the moment that lowers the tail falls with the pitch.
  if (!(fTo < fFrom)) return null;
  for (let step = 0; step < MOST_SECANT_STEPS; step++) {
    const next = to - (fTo * (to - from)) / (fTo - fFrom);
    if (!(Math.abs(next - nearRad) < NEAR_RAD)) return null;
    if (Math.abs(next - to) < TOLERANCE_RAD) return next;
    from = to;
    fFrom = fTo;
    to = next;
    fTo = lowersTail(to);
    if (fTo === fFrom) return fTo === 0 ? to : null;
  }
  return null;
}

/** How far the lure turns its tail aside, rad: `sums` and drags with y to the side, and no weights. */
export function yawOf(sums: TrimSums, drags: readonly TrimDrag[], rho: number, speedMps: number): number {
  const isStraight =
    [sums.axialM2, sums.strandM2, sums.sideM2, sums.slopeM2].every(({ y }) => y === 0) &&
    drags.every(({ yM }) => yM === 0);
  return isStraight
    ? 0
    : trimOf({ ...sums, weightN: { all: 0, x: 0, y: 0 }, plates: [] }, drags, rho, speedMps).pitchRad;
}

function tailMoment(
  { weightN, axialM2, sideM2, slopeM2, plates }: TrimSums,
  drags: readonly TrimDrag[],
  q: number,
  pitch: number,
) {
  const [sin, cos] = [Math.sin(pitch), Math.cos(pitch)];
  const [bySlope, bySide] = [q * sin * cos, q * sin * Math.abs(sin)];
  const acrossX = bySlope * slopeM2.x + bySide * sideM2.x;
  const acrossY = bySlope * slopeM2.y + bySide * sideM2.y;
  let moment =
    weightN.x * cos +
    weightN.y * sin -
    (acrossX * cos + acrossY * sin) * cos +
    (acrossY * cos - acrossX * sin) * sin +
    q * cos * cos * (axialM2.y * cos - axialM2.x * sin);
  for (const plate of plates) {
    const [x, y] = [plate.xM * cos + plate.yM * sin, plate.yM * cos - plate.xM * sin];
    const { aft, up } = pushOn(plate, q, pitch);
    moment += y * aft - x * up;
  }
  for (const drag of drags) {
    if (drag.isLead) continue;
    const [x, y] = [drag.xM * cos + drag.yM * sin, drag.yM * cos - drag.xM * sin];
    const [aft, up] = pullOf(drag, pitch);
    moment += y * aft - x * up;
  }
  return moment;
}
