/** The wobble of a body followed in time, step by step: slow, and beside the formula of hydro/wobble.ts. */
import { wobbleTerms, type Wobble, type WobblingBody } from '@/core/hydro/wobble';

/** How a body swings once it has settled, from a push. */
export function wobbleInTime(body: WobblingBody, rho: number, speedMps: number, turns = 150): Wobble {
  const { gives, stiffness } = wobbleTerms(body, rho, speedMps);
  const steps = 200;
  const stepS = (2 * Math.PI) / Math.sqrt(stiffness / body.inertia) / steps;
  const brakes = 0.5 * rho * body.brakesM5;
  let [angle, turning] = [0.3, 0];
  let [most, crossings, firstS, lastS] = [0, 0, 0, 0];
  const turned = (at: number, by: number) => (gives * by - brakes * Math.abs(by) * by - stiffness * at) / body.inertia;
  for (let step = 0; step < turns * steps; step++) {
    const before = angle;
    // Midpoint rule.
    const [middle, way] = [angle + (stepS / 2) * turning, turning + (stepS / 2) * turned(angle, turning)];
    angle += stepS * way;
    turning += stepS * turned(middle, way);
    if (step < (turns * steps) / 2) continue;
    most = Math.max(most, Math.abs(angle));
    if (before < 0 && angle >= 0) {
      lastS = (step + before / (before - angle)) * stepS;
      if (crossings === 0) firstS = lastS;
      crossings++;
    }
  }
  return { rateHz: crossings > 1 ? (crossings - 1) / (lastS - firstS) : 0, swingRad: most };
}
