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
 * older cable texts' two equations of a towed cable, without acceleration; C_n of a thin cylinder across the flow.
 */
import { GRAVITY_MPS2 } from './water';

export interface FishingLine {
  readonly diameterM: number;
  /** Mass density of the line itself, kg/m³. */
  readonly densityKgM3: number;
  /** Drag across it, on its diameter. */
  readonly normalDrag: number;
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

/** Weight of a metre of this line in water, N/m; below zero when it floats. */
export function lineWeight({ diameterM, densityKgM3 }: FishingLine, waterDensityKgM3: number): number {
  return (densityKgM3 - waterDensityKgM3) * (Math.PI / 4) * diameterM ** 2 * GRAVITY_MPS2;
}

const STEPS = 120;

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
  const { tipHeightM } = setting;
  const longestM = Math.max(0, ...lengthsOutM);
  const up = integrate(line, pull, setting, longestM, steps);
  return lengthsOutM.map((lengthM): LineShape => {
    if (pull.downN <= 0) return { outcome: 'rises' };
    if (up.sinAt(0) * lengthM <= tipHeightM) return { outcome: 'surfaces' };
    // In the water up to where what is left reaches from the surface to the tip.
    let [under, over] = [0, lengthM];
    for (let i = 0; i < 48; i++) {
      const s = (under + over) / 2;
      if (up.sinAt(s) * (lengthM - s) > tipHeightM) under = s;
      else over = s;
    }
    return { outcome: 'sinks', depthM: up.depthAt(over), inWaterM: over, tipPullN: up.pullAt(over) };
  });
}

interface Integrated {
  readonly sinAt: (s: number) => number;
  readonly depthAt: (s: number) => number;
  readonly pullAt: (s: number) => number;
}

function integrate(
  line: FishingLine,
  pull: LinePull,
  setting: LineSetting,
  lengthM: number,
  steps: number,
): Integrated {
  const { waterDensityKgM3: rho, speedMps } = setting;
  const dynamic = 0.5 * rho * speedMps ** 2;
  const normal = dynamic * line.normalDrag * line.diameterM;
  const skin = dynamic * line.skinDrag * Math.PI * line.diameterM;
  const weight = lineWeight(line, rho);
  const [forward, upward, depth] = [[pull.aftN], [pull.downN], [0]];
  const slope = (h: number, v: number) => {
    const t = Math.hypot(h, v);
    const [cos, sin] = [h / t, v / t];
    const across = normal * sin * Math.abs(sin);
    const along = skin * cos * cos;
    return { dh: Math.abs(across * sin) + along * cos, dv: weight - across * cos + along * sin, dz: sin };
  };
  for (let i = 0; i < steps; i++) {
    const step = (lengthM * (2 * i + 1)) / steps ** 2;
    const [h, v, z] = [forward[i] ?? 0, upward[i] ?? 0, depth[i] ?? 0];
    const k1 = slope(h, v);
    const k2 = slope(h + (step / 2) * k1.dh, v + (step / 2) * k1.dv);
    const k3 = slope(h + (step / 2) * k2.dh, v + (step / 2) * k2.dv);
    const k4 = slope(h + step * k3.dh, v + step * k3.dv);
    const mean = (a: number, b: number, c: number, d: number) => (step * (a + 2 * b + 2 * c + d)) / 6;
    forward.push(h + mean(k1.dh, k2.dh, k3.dh, k4.dh));
    upward.push(v + mean(k1.dv, k2.dv, k3.dv, k4.dv));
    depth.push(z + mean(k1.dz, k2.dz, k3.dz, k4.dz));
    if ((upward[i + 1] ?? 0) <= 0) {
      upward[i + 1] = 0;
      break;
    }
  }
  const at = (values: readonly number[]) => (s: number) => {
    const place = Math.min(lengthM > 0 ? steps * Math.sqrt(s / lengthM) : 0, values.length - 1);
    const i = Math.max(Math.min(Math.floor(place), values.length - 2), 0);
    const [a, b] = [values[i] ?? values[0] ?? 0, values[i + 1] ?? values[0] ?? 0];
    // Within a step by the length along the line, which grows with the square of its number.
    const [from, to] = [i ** 2, (i + 1) ** 2];
    return a + (b - a) * ((place ** 2 - from) / (to - from));
  };
  const pulls = forward.map((h, i) => Math.hypot(h, upward[i] ?? 0));
  const sines = upward.map((v, i) => v / (pulls[i] ?? 1));
  return { sinAt: at(sines), depthAt: at(depth), pullAt: at(pulls) };
}
