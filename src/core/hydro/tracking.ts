/**
 * How straight and how upright a lure runs.
 *
 * Lean φ, about the pull of the line: each weight in water W at (y, z) beside it is turned to z cos φ + y sin φ; upright is
 * where these and the torque of the blades' bearings balance:  Z cos φ + Y sin φ = Q,  Y = ΣWy, Z = ΣWz. With K = √(Y² + Z²)
 * the keel: above K the torque turns it over.
 * Side pull of a blade at the surface: each stroke of it is a paddle's, to its own hand: atan(k_s D_blade/D).
 */

/** Moments of the weights in water about the line of pull, N·m: of what stands up from it, and of what stands aside. */
export interface Keel {
  readonly upNm: number;
  readonly asideNm: number;
}

export type Lean =
  | { readonly outcome: 'leans'; readonly leanRad: number; readonly keelNm: number }
  /** Nothing rights it: it turns with its blade until the line's own twist holds it. */
  | { readonly outcome: 'noKeel' }
  | { readonly outcome: 'turnsOver'; readonly torqueNm: number; readonly keelNm: number };

/** A keel of less is none: a hair of weight a hair below. N·m. */
const LEAST_KEEL_NM = 1e-6;

/** The lean at which the weight below the line holds a torque, or that it turns over. @param torqueNm what the bearings leave, N·m */
export function leanOf({ upNm: y, asideNm: z }: Keel, torqueNm: number): Lean {
  const keelNm = Math.hypot(y, z);
  if (keelNm < LEAST_KEEL_NM) return { outcome: 'noKeel' };
  if (Math.abs(torqueNm) > keelNm) return { outcome: 'turnsOver', torqueNm, keelNm };
  // K sin(φ + δ) = Q with δ = atan2(Z, Y); of its two answers the one with the weight below.
  const turned = Math.asin(torqueNm / keelNm) - Math.atan2(z, y);
  const other = Math.PI - Math.asin(torqueNm / keelNm) - Math.atan2(z, y);
  const below = (lean: number) => y * Math.cos(lean) - z * Math.sin(lean);
  const leanRad = below(turned) < below(other) ? turned : other;
  return { outcome: 'leans', leanRad: Math.atan2(Math.sin(leanRad), Math.cos(leanRad)), keelNm };
}

/** Share of a surface blade's drag that pushes it aside. Trade estimate. */
export const ASIDE_SHARE = 0.35;

/**
 * @param blades drag of each, and its hand: 1 for one that pulls right, −1 left
 * @returns off the pull, to the right of one who looks after it, rad
 */
export function sidePull(
  blades: readonly { readonly dragN: number; readonly hand: 1 | -1 }[],
  dragN: number,
  share = ASIDE_SHARE,
): number {
  const aside = blades.reduce((sum, blade) => sum + blade.hand * share * blade.dragN, 0);
  return dragN > 0 ? Math.atan(aside / dragN) : 0;
}

/** Sideways from where it was aimed after this way, m: how far to the other side to cast. */
export function aimOff(sidePullRad: number, distanceM: number): number {
  return distanceM * Math.tan(sidePullRad);
}
