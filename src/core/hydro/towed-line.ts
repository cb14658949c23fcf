/**
 * The line between a lure and the rod, steady, in the vertical plane of the tow.
 *
 * From the lure up, s along the line, φ its slope: cos φ forward, sin φ up. The water meets it at U from ahead. Of the
 * flow the part across the line is U sin φ, the part along it U cos φ:
 *     F_n = ½ρ C_n d U² sin²φ  on (sin φ, cos φ): aft and up        F_t = ½ρ C_t πd U² cos²φ  on (cos φ, −sin φ): aft and down
 * so the pull that the next piece of line must give, H forward and V up, grows by
 *     dH/ds = F_n sin φ + F_t cos φ,     dV/ds = w − F_n cos φ + F_t sin φ,     tan φ = V/H,     dz/ds = sin φ.
 * w is the line's own weight in water. H never falls: drag only adds. V comes to nothing where a buoyant line, or one that
 * planes up, carries all the lure pulls down: there it has come level, and what is left of it lies on the surface.
 * The part in the air, from the surface to the rod's tip, is straight and weightless.
 *
 * By the classical Runge–Kutta rule on steps that grow with their number, s_i = S(i/N)²: near a light lure in fast water
 * the line turns within centimetres. Source: J. W. Kamman and R. L. Huston's and the
 * older cable texts' two equations of a towed cable, without acceleration. C_n of a smooth cylinder by the Reynolds number of
 * the flow across it, Re = U sin φ d/ν:  C_n = 1 + 10 Re^(−2/3)  (F. M. White, Viscous Fluid Flow, eq. 3-225): thin line in slow
 * water, at Re 20 to 200, is held by half as much again as thick cable at 1.2.
 */
import { GRAVITY_MPS2 } from './water';

export interface FishingLine {
  readonly diameterM: number;
  /** Mass density of the line itself, kg/m³. */
  readonly densityKgM3: number;
  /** Drag across it, on its diameter: C_n, or what the law of a smooth cylinder is taken times where a viscosity is given. */
  readonly normalDrag: number;
  /** Kinematic viscosity of the water, m²/s; null for one C_n at any flow. */
  readonly viscosityM2S: number | null;
  /** Drag along it, on its skin. */
  readonly skinDrag: number;
}

/** What the lure pulls with: aft, and down (below zero when it lifts), N. */
export interface LinePull {
  readonly aftN: number;
  readonly downN: number;
}

export interface LineSetting {
  readonly waterDensityKgM3: number;
  readonly speedMps: number;
  /** Rod tip above the surface, m. */
  readonly tipHeightM: number;
}

export type LineShape =
  | { readonly outcome: 'sinks'; readonly depthM: number; readonly inWaterM: number; readonly tipPullN: number }
  /** The line is too short and the lure too light: it runs at the surface. */
  | { readonly outcome: 'surfaces' }
  /** The lure itself pulls up: the model of a sunk line says nothing of it. */
  | { readonly outcome: 'rises' };

/** How deep the lure runs on it; 0 at the surface. */
export function depthOf(shape: LineShape | undefined): number {
  return shape?.outcome === 'sinks' ? shape.depthM : 0;
}

/** Weight of a metre of this line in water, N/m; below zero when it floats. */
export function lineWeight({ diameterM, densityKgM3 }: FishingLine, waterDensityKgM3: number): number {
  return (densityKgM3 - waterDensityKgM3) * (Math.PI / 4) * diameterM ** 2 * GRAVITY_MPS2;
}

/** For an answer, and for the edge of a band, which is wide anyway. */
const STEPS = 120;
export const STEPS_FOR_BAND = 12;

/**
 * How deep the lure runs with each of these lengths out, from the rod's tip to the lure.
 * One integration up the longest line serves them all: seen from the lure, a shorter line is the same with its end cut off.
 * @param lengthsOutM in any order, m
 * @param steps pieces of the longest line
 */
export function lineShapes(
  line: FishingLine,
  pull: LinePull,
  setting: LineSetting,
  lengthsOutM: readonly number[],
  steps = STEPS,
): LineShape[] {
  if (pull.downN <= 0) return lengthsOutM.map(() => ({ outcome: 'rises' }));
  const up = integrate(line, pull, setting, Math.max(0, ...lengthsOutM), steps);
  return lengthsOutM.map((lengthM) => shapeOf(up, lengthM, setting.tipHeightM));
}

/**
 * The same for one length, in as few steps as keep the depth within a ten-millionth of it: several of its steps are taken as
 * one where the pull hardly turns in them. For weighing many lures.
 */
export function lineShape(line: FishingLine, pull: LinePull, setting: LineSetting, lengthOutM: number): LineShape {
  if (pull.downN <= 0) return { outcome: 'rises' };
  return shapeOf(integrate(line, pull, setting, lengthOutM, STEPS, true), lengthOutM, setting.tipHeightM);
}

/** C_n of a smooth cylinder at this Reynolds number; below 1 it stays as it is there, where the pull is next to none. */
export function cylinderDrag(reynolds: number): number {
  return 1 + 10 / Math.cbrt(Math.max(1, reynolds) ** 2);
}

/** The line from the lure up: pull forward and up and depth gained at its nodes, which lie at S(i/N)². */
interface Integrated {
  readonly lengthM: number;
  readonly steps: number;
  /** The last node with a pull; above it the line lies level. */
  readonly last: number;
  /** The last node under water, where it is known: then nodes before it may be left out. */
  readonly under: number | null;
  readonly forwardN: Float64Array;
  readonly upN: Float64Array;
  readonly gainM: Float64Array;
}

function integrate(
  line: FishingLine,
  pull: LinePull,
  setting: LineSetting,
  lengthM: number,
  steps: number,
  isStriding = false,
): Integrated {
  const { waterDensityKgM3: rho, speedMps } = setting;
  const dynamic = 0.5 * rho * speedMps ** 2;
  const normal = dynamic * line.normalDrag * line.diameterM;
  const { viscosityM2S } = line;
  const reynolds = viscosityM2S === null ? 0 : (speedMps * line.diameterM) / viscosityM2S;
  const skin = dynamic * line.skinDrag * Math.PI * line.diameterM;
  const weight = lineWeight(line, rho);
  if (nodes.forwardN.length <= steps) nodes = nodesFor(steps);
  const { forwardN, upN, gainM } = nodes;
  const { tipHeightM } = setting;
  let h = pull.aftN;
  let v = pull.downN;
  let z = 0;
  forwardN[0] = h;
  upN[0] = v;
  gainM[0] = 0;
  let last = 0;
  let longest = isStriding ? MOST_AT_ONCE : 1;
  while (last < steps && v > 0) {
    const t = Math.sqrt(h * h + v * v);
    // Beyond the surface nothing is asked of it.
    if ((v / t) * (lengthM - lengthM * (last / steps) ** 2) <= tipHeightM) break;
    const flow = Math.max(1, (reynolds * v) / t);
    const perFlow = 1 / flow;
    const pace = reynolds > 0 ? cylinderDrag(flow) - 1 : 0;
    let sumH = 0;
    let sumV = 0;
    let sumZ = 0;
    let atH = h;
    let atV = v;
    let stride = 1;
    let step = 0;
    for (let stage = 0; stage < 4; stage++) {
      const perPull = 1 / Math.sqrt(atH * atH + atV * atV);
      const cos = atH * perPull;
      const sin = atV * perPull;
      const size = Math.abs(sin);
      const across = normal * sin * size * (1 + pace * twoThirdsLess(Math.max(1, reynolds * size) * perFlow - 1));
      const along = skin * cos * cos;
      const dh = Math.abs(across * sin) + along * cos;
      const dv = weight - across * cos + along * sin;
      if (stage === 0) {
        const turnsPerM = dh / h + Math.abs(dv) / v;
        stride = Math.min(longest, steps - last);
        while (stride > 1 && turnsPerM * stepOver(lengthM, steps, last, stride) > MOST_TURN) stride--;
        step = stepOver(lengthM, steps, last, stride);
      }
      const share = stage === 1 || stage === 2 ? 2 : 1;
      sumH += share * dh;
      sumV += share * dv;
      sumZ += share * sin;
      const ahead = stage === 2 ? step : step / 2;
      atH = h + ahead * dh;
      atV = v + ahead * dv;
    }
    const [nextH, nextV] = [h + (step * sumH) / 6, Math.max(0, v + (step * sumV) / 6)];
    const leftM = lengthM - lengthM * ((last + stride) / steps) ** 2;
    if (stride > 1 && nextV * leftM <= tipHeightM * Math.sqrt(nextH * nextH + nextV * nextV)) {
      // It strode past the surface: from here in single steps.
      longest = 1;
      continue;
    }
    h = nextH;
    v = nextV;
    z += (step * sumZ) / 6;
    last += stride;
    forwardN[last] = h;
    upN[last] = v;
    gainM[last] = z;
  }
  const isPast = isStriding && last > 0 && v > 0;
  return { lengthM, steps, last, under: isPast ? last - 1 : null, forwardN, upN, gainM };
}

/** So many steps are taken as one at most, and as many as change the pull by this share of itself. */
const MOST_AT_ONCE = 6;
const MOST_TURN = 0.05;

/** Length of line over so many steps from a node, m. */
function stepOver(lengthM: number, steps: number, from: number, stride: number): number {
  return (lengthM * stride * (2 * from + stride)) / steps ** 2;
}

/** Room for the nodes of one line at a time: its shape is read before the next is worked out. */
let nodes = nodesFor(STEPS);

function nodesFor(steps: number): Pick<Integrated, 'forwardN' | 'upN' | 'gainM'> {
  const room = () => new Float64Array(steps + 1);
  return { forwardN: room(), upN: room(), gainM: room() };
}

/** (1 + x)^(−2/3); near 0, where a step of the line mostly stays, by its binomial series, to 1e-12. */
function twoThirdsLess(x: number): number {
  if (Math.abs(x) > 0.03) return 1 / Math.cbrt((1 + x) * (1 + x));
  const x2 = x * x;
  const high = 110 / 243 - (308 / 729) * x + x2 * (2618 / 6561 - (7480 / 19683) * x);
  return 1 - (2 / 3) * x + x2 * (5 / 9 - (40 / 81) * x) + x2 * x2 * high;
}

/** In the water up to where what is left of it reaches, straight, from the surface to the tip. */
function shapeOf(up: Integrated, lengthM: number, tipHeightM: number): LineShape {
  const { steps, last, forwardN, upN, gainM } = up;
  const nodeM = (i: number) => up.lengthM * (i / steps) ** 2;
  const pullN = (i: number) => Math.hypot(forwardN[i] ?? 0, upN[i] ?? 0);
  const sine = (i: number) => (upN[i] ?? 0) / pullN(i);
  const reaches = (i: number) => sine(i) * (lengthM - nodeM(i)) > tipHeightM;
  if (!reaches(0)) return { outcome: 'surfaces' };
  // The node before the surface: what is left still reaches from it, and no longer from the next.
  let [under, over] = up.under === null ? [0, last + 1] : [up.under, up.under + 1];
  while (over - under > 1) {
    const middle = (under + over) >> 1;
    if (reaches(middle)) under = middle;
    else over = middle;
  }
  if (under >= last) {
    // It came level or to its end before the surface; what is left of it lies there.
    return { outcome: 'sinks', depthM: gainM[last] ?? 0, inWaterM: lengthM, tipPullN: pullN(last) };
  }
  const [s0, s1] = [nodeM(under), nodeM(under + 1)];
  const [sin0, sin1] = [sine(under), sine(under + 1)];
  // Between two nodes the sine runs straight with s: (sin0 + t·Δsin)(left − t·Δs) = tip height, 0 ≤ t ≤ 1.
  const [ds, dsin, left] = [s1 - s0, sin1 - sin0, lengthM - s0];
  const [a, b, c] = [-dsin * ds, dsin * left - sin0 * ds, sin0 * left - tipHeightM];
  const disc = Math.sqrt(Math.max(0, b * b - 4 * a * c));
  const t = Math.min(1, Math.max(0, Math.abs(a) < 1e-15 ? -c / b : (2 * c) / (-b + disc)));
  const between = (values: Float64Array) =>
    (values[under] ?? 0) + t * ((values[under + 1] ?? 0) - (values[under] ?? 0));
  return {
    outcome: 'sinks',
    depthM: between(gainM),
    inWaterM: s0 + t * ds,
    tipPullN: Math.hypot(between(forwardN), between(upN)),
  };
}

/** A point of the line, m: forward of the lure, and below the surface; above it less than none. */
export interface LinePoint {
  readonly forwardM: number;
  readonly depthM: number;
}

/** The line from the lure to the rod's tip; a lure that is not sunk lies at the surface, its line straight. */
export function lineCurve(line: FishingLine, pull: LinePull, setting: LineSetting, lengthM: number): LinePoint[] {
  const { tipHeightM } = setting;
  const shape = pull.downN > 0 ? lineShapes(line, pull, setting, [lengthM])[0] : undefined;
  const straight = (fromM: number, depthM: number, leftM: number): LinePoint[] => {
    const upM = Math.min(leftM, depthM + tipHeightM);
    return [{ forwardM: fromM + Math.sqrt(Math.max(0, leftM ** 2 - upM ** 2)), depthM: depthM - upM }];
  };
  if (shape?.outcome !== 'sinks') return [{ forwardM: 0, depthM: 0 }, ...straight(0, 0, lengthM)];
  const { steps, last, forwardN, upN, gainM } = integrate(line, pull, setting, lengthM, STEPS);
  const points: LinePoint[] = [{ forwardM: 0, depthM: shape.depthM }];
  let forwardM = 0;
  for (let i = 1; i <= last && (gainM[i] ?? 0) < shape.depthM; i++) {
    const ds = lengthM * ((i / steps) ** 2 - ((i - 1) / steps) ** 2);
    forwardM += (ds * (forwardN[i] ?? 0)) / Math.hypot(forwardN[i] ?? 0, upN[i] ?? 0);
    points.push({ forwardM, depthM: shape.depthM - (gainM[i] ?? 0) });
  }
  const leftM = Math.max(0, lengthM - shape.inWaterM);
  return [...points, { forwardM, depthM: 0 }, ...straight(forwardM, 0, leftM)];
}
