/**
 * One blow of two pieces: how long they touch, how hard, and what of it is heard at each pitch.
 *
 * While both are elastic it is Hertz's contact (K. L. Johnson, Contact Mechanics, 1985, ch. 11.4): F = (4/3) E* √R* δ^(3/2),
 * the deepest δ = (15 m* v² / (16 E* √R*))^(2/5), and they touch for δ/v times 2 ∫₀¹ dx/√(1 − x^(5/2)) = 2.9433. Where the
 * softer one yields it is pressed as a block of constant pressure 3 Y (ch. 11.5): a spring of 2π R* · 3Y, loaded for a
 * quarter of its swing, or for half of Hertz's contact where that is longer, as it is just beyond the yield. It springs back
 * with the share e of the speed, and since the pulse keeps its shape, in the share e of the time.
 */
import type { Elastic } from './elastic';

/** A rounded piece that strikes. */
export interface Striker {
  readonly elastic: Elastic;
  /** How round it is where it strikes, m; Infinity for a flat. */
  readonly radiusM: number;
  /** All that is stopped by the blow, with the water it carries, kg; Infinity for what does not give way. */
  readonly massKg: number;
}

export interface Blow {
  /** From first touch until they part, s. */
  readonly durationS: number;
  /** N */
  readonly peakN: number;
  /** What goes over in it, N·s: m*(1 + e)v. */
  readonly impulseNs: number;
  /** Share of the speed that is left after it. */
  readonly restitution: number;
  readonly yields: boolean;
}

export type Struck =
  | { readonly outcome: 'blow'; readonly blow: Blow }
  /** The film of water between them takes the speed before they touch hard. */
  | { readonly outcome: 'damped'; readonly stokes: number };

/** 2 ∫₀¹ dx/√(1 − x^(5/2)) = (4/5) √π Γ(2/5)/Γ(9/10). */
const HERTZ_TIME = 2.94328;
/** Below it no bounce is seen of a ball in a liquid (Joseph et al., J. Fluid Mech. 433, 2001; Gondret et al. 2002). */
export const LEAST_STOKES = 10;
/** Of the approach, while nothing yields: what the pieces' own ringing takes (trade estimate). */
const ELASTIC_RESTITUTION = 0.95;
/** Pressure at the middle of the contact at which the softer one begins to yield, in its yield (Johnson, table 4.1, ν 0.3). */
const YIELDS_AT = 1.6;

/** 1/(1/a + 1/b): one of the two may be infinite. */
function joined(a: number, b: number): number {
  return 1 / (1 / a + 1 / b);
}

/**
 * What happens when two pieces meet.
 * @param speedMps how fast they come together, m/s, above 0
 * @param viscosityPaS of the water between them, Pa·s
 * @throws RangeError for a speed, radius or mass that is not above 0, or where both radii or both masses are infinite
 */
export function strike(a: Striker, b: Striker, speedMps: number, viscosityPaS: number): Struck {
  const radiusM = joined(a.radiusM, b.radiusM);
  const massKg = joined(a.massKg, b.massKg);
  for (const [what, value] of Object.entries({ speedMps, radiusM, massKg, viscosityPaS })) {
    if (!(value > 0 && value < Infinity)) throw new RangeError(`strike: needs ${what} above 0, got ${value}`);
  }
  const stokes = stokesNumber(massKg, radiusM, speedMps, viscosityPaS);
  if (stokes < LEAST_STOKES) return { outcome: 'damped', stokes };
  return { outcome: 'blow', blow: dryBlow(a.elastic, b.elastic, radiusM, massKg, speedMps) };
}

/** m v/(6π μ R²): how much of its speed a piece keeps through the film of water before a wall. */
export function stokesNumber(massKg: number, radiusM: number, speedMps: number, viscosityPaS: number): number {
  return (massKg * speedMps) / (6 * Math.PI * viscosityPaS * radiusM ** 2);
}

/** 1/E* = (1 − ν₁²)/E₁ + (1 − ν₂²)/E₂, Pa. */
export function contactModulus(a: Elastic, b: Elastic): number {
  return joined(a.youngPa / (1 - a.poisson ** 2), b.youngPa / (1 - b.poisson ** 2));
}

function dryBlow(a: Elastic, b: Elastic, radiusM: number, massKg: number, speedMps: number): Blow {
  const modulusPa = contactModulus(a, b);
  const deepestM = ((15 * massKg * speedMps ** 2) / (16 * modulusPa * Math.sqrt(radiusM))) ** 0.4;
  const elastic = {
    durationS: (HERTZ_TIME * deepestM) / speedMps,
    peakN: (4 / 3) * modulusPa * Math.sqrt(radiusM) * deepestM ** 1.5,
  };
  const yieldPa = Math.min(a.yieldPa ?? Infinity, b.yieldPa ?? Infinity);
  // The pressure at the middle: (6 F E*²/(π³ R*²))^(1/3).
  const pressurePa = ((6 * elastic.peakN * modulusPa ** 2) / (Math.PI ** 3 * radiusM ** 2)) ** (1 / 3);
  const yields = pressurePa > YIELDS_AT * yieldPa;
  if (!yields) {
    const impulseNs = massKg * speedMps * (1 + ELASTIC_RESTITUTION);
    return { ...elastic, impulseNs, restitution: ELASTIC_RESTITUTION, yields };
  }
  // Johnson 11.34: e ≈ 3.8 (Y/E*)^(1/2) (½ m v²/(Y R³))^(−1/8).
  const energy = (0.5 * massKg * speedMps ** 2) / (yieldPa * radiusM ** 3);
  const restitution = Math.min(ELASTIC_RESTITUTION, 3.8 * Math.sqrt(yieldPa / modulusPa) * energy ** -0.125);
  const stiffness = 2 * Math.PI * radiusM * 3 * yieldPa;
  const loadingS = Math.max(elastic.durationS / 2, (Math.PI / 2) * Math.sqrt(massKg / stiffness));
  return {
    durationS: loadingS * (1 + restitution),
    // A quarter of a sine that stops all of it: m v = (2/π) F t.
    peakN: ((Math.PI / 2) * massKg * speedMps) / loadingS,
    impulseNs: massKg * speedMps * (1 + restitution),
    restitution,
    yields,
  };
}

/**
 * The spectrum of a half-sine pulse of this length and peak, N·s: |∫ F sin(πt/t_c) e^(−iωt) dt| over the pulse.
 * It falls to half its power at 0.594/t_c and to a quarter at 0.82/t_c.
 */
export function pulseSpectrum({ durationS, peakN }: Pick<Blow, 'durationS' | 'peakN'>, hz: number): number {
  const x = 2 * hz * durationS;
  const whole = (2 * peakN * durationS) / Math.PI;
  // At x = 1 both go to 0; the limit is π/4.
  if (Math.abs(x - 1) < 1e-6) return (whole * Math.PI) / 4;
  return Math.abs((whole * Math.cos((Math.PI * x) / 2)) / (1 - x * x));
}
