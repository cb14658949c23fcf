/**
 * A body that swings by its own wake, as a limit cycle (galloping). The water behind its lip, or behind its blunt self, gives to
 * the swing what its way across takes:
 *     I φ¨ + (c₀ − ½ρU N) φ˙ + ½ρB |φ˙| φ˙ + (I ω_s² + K) φ = 0,     ω_s = 2π St U / b
 * φ the swing about the line eye, N and B of the wake and of the way across, K and c₀ = 2ζ√(K I) of its keel: a bait that hangs
 * still settles so. ω_s is the rate at which a wake of width b sheds; as the swing and its wake go together, that is how stiff
 * the stream holds it. Balance over a turn (equivalent linear damping, 8/(3π) ω φ₀ for the quadratic part):
 *     ω² = ω_s² + K/I,      φ₀ = 3π (½ρU N − c₀)/(8 · ½ρB ω),      it swings where ½ρU N > c₀.
 * Source of the form: R. D. Blevins, Flow-Induced Vibration, 2nd ed., ch. 4, galloping. St, ζ and what N is made of are trade
 * estimates, chosen so that usual divers swing 10 to 25° to each side, five to twelve times a second. Without a wake of its own
 * a body has no such cycle. A test follows the equation in time.
 */
export interface WobblingBody {
  /** Width that its wake comes from, of its lip or of itself, m. */
  readonly wakeM: number;
  /** About the line eye, with the water that goes along, kg m². */
  readonly inertia: number;
  /** Of its weights, N·m/rad. */
  readonly keelNm: number;
  /** What the wake gives, over ½ρU, m⁴; what the way across takes, over ½ρ, m⁵. */
  readonly drivesM4: number;
  readonly brakesM5: number;
}

export interface Wobble {
  readonly rateHz: number;
  /** To each side, rad. */
  readonly swingRad: number;
}

/** Of a wake on the width it comes from. Trade estimate, 0.1 to 0.2. */
const STROUHAL = 0.15;
/** Of the swing of a bait that hangs in still water. Trade estimate. */
const SETTLING = 0.2;
/** Not further than this, however it is driven: there it lies across the stream. */
const MOST_SWING_RAD = 0.9;

/** The cycle it comes to at this speed; null where it does not swing. @param rho water, kg/m³ @param speedMps m/s */
export function wobbleOf(body: WobblingBody, rho: number, speedMps: number): Wobble | null {
  const { gives, stiffness } = wobbleTerms(body, rho, speedMps);
  if (!(gives > 0)) return null;
  const omega = Math.sqrt(stiffness / body.inertia);
  const swingRad = (3 * Math.PI * gives) / (8 * 0.5 * rho * body.brakesM5 * omega);
  return { rateHz: omega / (2 * Math.PI), swingRad: Math.min(swingRad, MOST_SWING_RAD) };
}

/** The slowest speed at which it swings, m/s. @param rho water, kg/m³ */
export function wobbleStarts({ keelNm, inertia, drivesM4 }: WobblingBody, rho: number): number {
  return (2 * settling(keelNm, inertia)) / (rho * drivesM4);
}

function settling(keelNm: number, inertia: number): number {
  return 2 * SETTLING * Math.sqrt(Math.max(keelNm, 0) * inertia);
}

/** What the wake gives at this speed beyond what its settling takes, N·m·s, and how stiff it is held, N·m/rad. */
export function wobbleTerms({ wakeM, inertia, keelNm, drivesM4 }: WobblingBody, rho: number, speedMps: number) {
  const shedding = (2 * Math.PI * STROUHAL * speedMps) / wakeM;
  return {
    gives: 0.5 * rho * speedMps * drivesM4 - settling(keelNm, inertia),
    stiffness: inertia * shedding ** 2 + Math.max(keelNm, 0),
  };
}
