/**
 * The slower water behind a turning blade, as an actuator disc of the tip's radius R.
 *     C_T = D/(½ρU²πR²),   a = ½(1 − √(1 − C_T)),   above a = 0.4 Buhl's  a = (2 + 3√(14C_T − 12))/14
 *     deficit at x behind:  a(1 + x/√(R² + x²)),   weighted by the share of the rear disc that lies in it,
 * and mixing away beyond 2R as (2R/x)^⅔, the decay of a far axisymmetric wake.
 * Sources: momentum theory of an actuator disc; M. L. Buhl, NREL/TP-500-36834 (2005); the decay is classical, where it
 * starts is an estimate.
 */
import type { Turning } from './spin';

/**
 * Share of the speed that is missing where the rear blade turns, 0…0.95.
 * @param asideM how far the middle of the rear blade's disc lies off that of the wake, m
 */
export function wakeDeficit(
  front: Pick<Turning, 'tipRadiusM' | 'dragAreaM2'>,
  behindM: number,
  rearRadiusM: number,
  asideM = 0,
): number {
  const radiusM = front.tipRadiusM;
  const thrust = front.dragAreaM2 / (Math.PI * radiusM ** 2);
  const induction = inductionFactor(thrust);
  const behind = Math.max(behindM, 0);
  const near = induction * (1 + behind / Math.hypot(radiusM, behind));
  const overlap = asideM === 0 ? Math.min(1, (radiusM / rearRadiusM) ** 2) : lensShare(radiusM, rearRadiusM, asideM);
  const mixing = behind > 2 * radiusM ? ((2 * radiusM) / behind) ** (2 / 3) : 1;
  return Math.min(near * overlap * mixing, 0.95);
}

/** Share of the rear disc that lies in the front one: the lens that two circles have in common. */
function lensShare(frontM: number, rearM: number, asideM: number): number {
  if (asideM >= frontM + rearM) return 0;
  if (asideM <= Math.abs(frontM - rearM)) return Math.min(1, (frontM / rearM) ** 2);
  const half = (a: number, b: number) => Math.acos((asideM ** 2 + a ** 2 - b ** 2) / (2 * asideM * a));
  const [front, rear] = [half(frontM, rearM), half(rearM, frontM)];
  const area =
    frontM ** 2 * (front - Math.sin(front) * Math.cos(front)) + rearM ** 2 * (rear - Math.sin(rear) * Math.cos(rear));
  return area / (Math.PI * rearM ** 2);
}

/** a of an actuator disc at thrust coefficient C_T, momentum theory up to a = 0.4 and Buhl's line above. */
export function inductionFactor(thrustCoefficient: number): number {
  if (thrustCoefficient <= 0.96) return (1 - Math.sqrt(1 - Math.max(thrustCoefficient, 0))) / 2;
  return (2 + 3 * Math.sqrt(14 * thrustCoefficient - 12)) / 14;
}
