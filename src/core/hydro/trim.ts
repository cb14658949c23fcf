/**
 * How a lure hangs on its line and how steeply the line leaves it, in the vertical plane, steady at speed U.
 *
 * The lure is stiff and free to pitch about its line tie; θ is nose up. A place (x, y) behind and above the tie comes to
 *     X = x cos θ + y sin θ,     Y = −x sin θ + y cos θ,
 * and the moment that lowers the tail is  M = Σ(−X F_y + Y F_x). Forces, with q = ½ρU²:
 *     weight less water displaced           F_y = −(m − ρV)g
 *     drag along                            q A_a cos²θ along the lure, taken aft
 *     force across, slender part            q S sin θ cos θ   (Munk; S twice the base)
 *     force across, blunt part              q A_s sin θ |sin θ|
 *     a turning blade                       its own drag, along its axle, as an autorotating rotor's; aft behind a swivel
 * The two across the lure act at right angles to it: sin θ of them aft, cos θ up. M falls through zero at the angle the
 * lure hangs at; then D = ΣF_x, L = ΣF_y without the weights, and tan γ = (W′ − L)/D is the slope of the line at the lure.
 * Source: sums over slender bodies as in any text on towed bodies; coefficients in lure/bodies.ts.
 */
import { GRAVITY_MPS2 } from './water';

export interface TrimBody {
  /** Behind and above the line tie, m. */
  readonly xM: number;
  readonly yM: number;
  readonly massKg: number;
  readonly volumeM3: number;
  readonly axialM2: number;
  readonly sideM2: number;
  readonly slopeM2: number;
}

/** A blade's drag at its own place. */
export interface TrimDrag {
  readonly xM: number;
  readonly yM: number;
  readonly dragN: number;
  /** Which way its axle runs aft, up positive, in the lure; null for one that turns itself into the flow. */
  readonly axleRad: number | null;
}

export interface Trim {
  readonly pitchRad: number;
  readonly dragN: number;
  readonly liftN: number;
  readonly sinkingN: number;
}

const STEEPEST_RAD = 1.55;
const ROUNDS = 44;

export function trimOf(bodies: readonly TrimBody[], drags: readonly TrimDrag[], rho: number, speedMps: number): Trim {
  const q = 0.5 * rho * speedMps ** 2;
  const at = (pitch: number) => forces(bodies, drags, rho, q, pitch);
  // With the tail light it hangs nose down: the moment changes sign once between the two.
  let [low, high] = [-STEEPEST_RAD, STEEPEST_RAD];
  for (let i = 0; i < ROUNDS; i++) {
    const middle = (low + high) / 2;
    if (at(middle).lowersTail > 0) low = middle;
    else high = middle;
  }
  const pitchRad = (low + high) / 2;
  const { dragN, liftN, sinkingN } = at(pitchRad);
  return { pitchRad, dragN, liftN, sinkingN };
}

function forces(bodies: readonly TrimBody[], drags: readonly TrimDrag[], rho: number, q: number, pitch: number) {
  const [sin, cos] = [Math.sin(pitch), Math.cos(pitch)];
  let [lowersTail, dragN, liftN, sinkingN] = [0, 0, 0, 0];
  for (const { xM, yM, massKg, volumeM3, axialM2, sideM2, slopeM2 } of bodies) {
    const [x, y] = [xM * cos + yM * sin, -xM * sin + yM * cos];
    const weight = (massKg - rho * volumeM3) * GRAVITY_MPS2;
    const across = q * (slopeM2 * sin * cos + sideM2 * sin * Math.abs(sin));
    const aft = q * axialM2 * cos * cos + across * sin;
    const up = across * cos;
    lowersTail += x * (weight - up) + y * aft;
    dragN += aft;
    liftN += up;
    sinkingN += weight;
  }
  for (const { xM, yM, dragN: blade, axleRad } of drags) {
    const along = axleRad === null ? 0 : axleRad - pitch;
    const [aft, up] = [blade * Math.cos(along), blade * Math.sin(along)];
    lowersTail += (-xM * sin + yM * cos) * aft - (xM * cos + yM * sin) * up;
    dragN += aft;
    liftN += up;
  }
  return { lowersTail, dragN, liftN, sinkingN };
}
