/**
 * The notes of a thin free disc, which a blade, a bell's rim or a spoon is close to.
 *
 * In air f = λ²/(2π a²) √(D/(ρ h)), D = E h³/(12 (1 − ν²)); λ follows from a rim without moment and shear (Leissa, Vibration
 * of Plates, NASA SP-160, 1969, eq. 2.15). In water the disc carries water along: f falls by √(1 + β ρ_w a/(ρ_p h)), β =
 * 0.31 for (2,0). What a mode carries goes with the length of its waves, so for the others β is 0.31 λ₂₀/λ, a trade
 * estimate good to about a fifth of the added mass.
 */
import type { Elastic } from './elastic';

export interface DiscMode {
  /** Nodal diameters and nodal circles. */
  readonly diameters: number;
  readonly circles: number;
  /** λ², a pure number. */
  readonly lambdaSquared: number;
}

export interface Disc {
  readonly radiusM: number;
  readonly thicknessM: number;
  readonly densityKgM3: number;
  readonly elastic: Elastic;
}

const ADDED_MASS_20 = 0.31;

/** Hz in air. */
export function noteInAir(disc: Disc, { lambdaSquared }: DiscMode): number {
  const { radiusM, thicknessM, densityKgM3, elastic } = disc;
  const stiffness = (elastic.youngPa * thicknessM ** 3) / (12 * (1 - elastic.poisson ** 2));
  return (lambdaSquared / (2 * Math.PI * radiusM ** 2)) * Math.sqrt(stiffness / (densityKgM3 * thicknessM));
}

/** Hz in water of this density, kg/m³, on both sides. */
export function noteInWater(disc: Disc, mode: DiscMode, waterKgM3: number): number {
  return noteInAir(disc, mode) / Math.sqrt(1 + carriedWater(disc, mode, waterKgM3));
}

/** What water a mode carries along, over what of the disc moves in it: β ρ_w a/(ρ_p h). */
export function carriedWater(
  { radiusM, thicknessM, densityKgM3, elastic }: Disc,
  { lambdaSquared }: DiscMode,
  waterKgM3: number,
): number {
  const first = discMode(2, 0, elastic.poisson);
  const beta = ADDED_MASS_20 * Math.sqrt(first.lambdaSquared / lambdaSquared);
  return (beta * waterKgM3 * radiusM) / (densityKgM3 * thicknessM);
}

/** λ is looked for in steps of this much, and up to the most that a sum of this many terms gives exactly. */
const STEP = 0.05;
const MOST_LAMBDA = 14;

/**
 * One mode of a free disc.
 * @throws RangeError for modes that are not whole numbers, stiff motions ((0,0), (1,0)), or ones too high to be found
 */
export function discMode(diameters: number, circles: number, poisson: number): DiscMode {
  const name = `${diameters} ${circles} ${poisson}`;
  const known = KNOWN.get(name);
  if (known) return known;
  const found = lookedFor(diameters, circles, poisson);
  if (KNOWN.size < MOST_KNOWN) KNOWN.set(name, found);
  return found;
}

/** Materials are few: each mode is looked for once. */
const KNOWN = new Map<string, DiscMode>();
const MOST_KNOWN = 500;

function lookedFor(diameters: number, circles: number, poisson: number): DiscMode {
  if (!(Number.isInteger(diameters) && Number.isInteger(circles) && diameters >= 0 && circles >= 0))
    throw new RangeError(`discMode: needs whole numbers of nodes, got (${diameters}, ${circles})`);
  const isStiff = diameters < 2 && circles === 0;
  if (isStiff) throw new RangeError(`discMode: (${diameters}, 0) moves the disc without bending it`);
  // Of 0 and 1 diameters the first bending mode has a circle.
  let wanted = diameters < 2 ? circles - 1 : circles;
  const rim = (lambda: number) => rimOf(diameters, lambda, poisson);
  for (let at = 0.5; at < MOST_LAMBDA; at += STEP) {
    if (rim(at) * rim(at + STEP) > 0) continue;
    if (wanted-- > 0) continue;
    const lambda = bisected(rim, at, at + STEP);
    return { diameters, circles, lambdaSquared: lambda ** 2 };
  }
  throw new RangeError(`discMode: (${diameters}, ${circles}) is higher than is looked for`);
}

function bisected(f: (x: number) => number, from: number, to: number): number {
  let [a, b] = [from, to];
  const isUp = f(a) < 0;
  for (let i = 0; i < 60; i++) {
    const middle = (a + b) / 2;
    if (f(middle) < 0 === isUp) a = middle;
    else b = middle;
  }
  return (a + b) / 2;
}

/**
 * Zero where neither moment nor shear is left at the rim of w = J_n(λr/a) + c I_n(λr/a), multiplied out so that nothing is
 * divided by 0.
 */
function rimOf(n: number, lambda: number, poisson: number): number {
  const [j, i] = [bessel(n, lambda, -1), bessel(n, lambda, 1)];
  const v = 1 - poisson;
  const [square, cube] = [lambda ** 2, lambda ** 3];
  const momentJ = square * j.value + v * (lambda * j.slope - n * n * j.value);
  const momentI = square * i.value - v * (lambda * i.slope - n * n * i.value);
  const shearJ = cube * j.slope + v * n * n * (lambda * j.slope - j.value);
  const shearI = cube * i.slope - v * n * n * (lambda * i.slope - i.value);
  return momentJ * shearI - shearJ * momentI;
}

/**
 * J_n (sign −1) or I_n (sign +1) and its slope, by their power series Σ (±1)^k (x/2)^(2k+n)/(k! (k+n)!)
 * (Abramowitz & Stegun 9.1.10, 9.6.10).
 */
function bessel(n: number, x: number, sign: 1 | -1): { readonly value: number; readonly slope: number } {
  let term = 1;
  for (let k = 1; k <= n; k++) term *= x / 2 / k;
  let [value, slope] = [0, 0];
  for (let k = 0; k < 80; k++) {
    value += term;
    slope += (term * (2 * k + n)) / x;
    term *= (sign * (x / 2) ** 2) / ((k + 1) * (k + 1 + n));
  }
  return { value, slope };
}
