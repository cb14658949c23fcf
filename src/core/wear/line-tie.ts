/**
 * How many fish a bent line tie lasts, and how often an arm can be bent back straight.
 *
 * The bend is a hinge. A fish's pull P at a lever L bends it by M = P L, less the further it opens, since the lever shrinks:
 * M (1 − θ/θ₀). Beyond the moment at which all of its section yields, M_y = 1.7 Y π d³/32, it goes on bending with a share
 * h of its springing stiffness: κ = κ_y (1 + (M/M_y − 1)/h), κ_y = 2Y/(E d). What it opens and closes by, θ over the wire ℓ in
 * the bend, strains its skin by ε = (d/4) θ/ℓ to each side, and it breaks after N of those (Manson, Coffin and Basquin;
 * Manson & Halford, Fatigue and Durability of Structural Materials, 2006, ch. 3):
 *     ε = (σ_f/E)(2N)^b + ε_f (2N)^c.
 * A ring forced over the bend holds it together: it leaves a share of the moment to it. Where the wire leaves the head it is
 * bent by about as much as is left so, so that with a ring it breaks there.
 *
 * An arm that a fish has bent out of line is bent back at its tightest bend: each time that is one whole cycle of the angle it
 * was out by.
 *
 * Pull, lever, stiffness beyond yield and cycles a fish are chosen so that an open tie of light wire lasts 5 to 30 fish, which
 * is what builders find; all of it is a trade estimate with a wide band.
 */
import { findRoot, type Root } from '../root';

/** P L, N·m: a hard fish against a rod, on the way from knot to hook. */
const FISH_MOMENT_NM = 0.6;
/** Opened so far no lever is left, rad. */
const NO_LEVER_RAD = 1.3;
/** Of the springing stiffness, what is left beyond yield. */
const BEYOND_YIELD = 0.8;
const CYCLES_A_FISH = 20;
/** Of the moment, what a ring over the bend leaves to it, and what reaches the wire at the head. */
const WITH_RING = 0.66;
const AT_HEAD = 0.68;
/** A round section yields wholly at so many times the moment at which its skin does: 16/(3π). */
const WHOLE_SECTION = 16 / (3 * Math.PI);

/** Hard drawn wire: yield, Pa, and its fatigue numbers. Handbook values; springs vary by a third. */
const WIRE = {
  stainless: { youngPa: 193e9, yieldPa: 1100e6 },
  springSteel: { youngPa: 205e9, yieldPa: 1400e6 },
} as const;
const STRENGTH_PA = 1900e6;
const DUCTILITY = 0.35;
const BASQUIN = -0.09;
const COFFIN = -0.58;

/** So far out of line an arm is when it is bent back, rad. Trade estimate: 20°, give or take half. */
const ARM_OUT_RAD = 0.35;
const ARM_OUT_SPREAD = 0.5;

/** Half widths of nine cases in ten, as shares: the pull at its lever, how often a fish pulls, and wire from wire. */
const PULL_SPREAD = 0.25;
const CYCLES_SPREAD = 1;
const SCATTER = 1;

export type TieMaterial = keyof typeof WIRE;

export function isTieMaterial(material: string): material is TieMaterial {
  return material in WIRE;
}

/** A bend that works as a hinge. */
export interface Hinge {
  readonly wireM: number;
  readonly material: TieMaterial;
  readonly insideRadiusM: number;
  /** How far round it is bent, rad. */
  readonly roundRad: number;
}

export interface Lives {
  readonly value: number;
  readonly low: number;
  readonly high: number;
}

export type WeakPoint = 'tie' | 'head';

export interface TieLife {
  /** Until it breaks, fish. */
  readonly fish: Lives;
  /** Where it breaks. */
  readonly at: WeakPoint;
}

/** How far the hinge opens and closes with this share of the fish's moment, rad. */
export function opensBy({ wireM, material, insideRadiusM, roundRad }: Hinge, share: number): number {
  const { youngPa, yieldPa } = WIRE[material];
  const yieldNm = (WHOLE_SECTION * yieldPa * Math.PI * wireM ** 3) / 32;
  const yieldPerM = (2 * yieldPa) / (youngPa * wireM);
  const wireInM = (insideRadiusM + wireM / 2) * roundRad;
  const bentBy = (momentNm: number) =>
    momentNm <= yieldNm ? (momentNm / yieldNm) * yieldPerM : yieldPerM * (1 + (momentNm / yieldNm - 1) / BEYOND_YIELD);
  const tooLittle = (rad: number) => bentBy(share * FISH_MOMENT_NM * (1 - rad / NO_LEVER_RAD)) * wireInM - rad;
  return rootOf(findRoot(tooLittle, 0, NO_LEVER_RAD, 1e-9), 'opensBy');
}

/** @throws Error where there is none: a bracket holds one by what it stands for */
function rootOf(root: Root, where: string): number {
  if (root.outcome !== 'converged') throw new Error(`${where}: ${root.outcome}`);
  return root.x;
}

/** Cycles until the hinge breaks that opens and closes by this much. */
function lasts({ wireM, material, insideRadiusM, roundRad }: Hinge, openedRad: number): number {
  const { youngPa } = WIRE[material];
  const strain = ((wireM / 4) * openedRad) / ((insideRadiusM + wireM / 2) * roundRad);
  const left = (logN: number) =>
    (STRENGTH_PA / youngPa) * Math.exp(BASQUIN * (logN + Math.LN2)) + DUCTILITY * Math.exp(COFFIN * (logN + Math.LN2));
  // So far bent it breaks at once, or so little that nothing ever breaks it.
  if (left(0) <= strain) return 1;
  if (left(MOST_LOG_CYCLES) >= strain) return Math.exp(MOST_LOG_CYCLES);
  const logCycles = rootOf(
    findRoot((logN) => left(logN) - strain, 0, MOST_LOG_CYCLES, 1e-9),
    'lasts',
  );
  return Math.exp(logCycles);
}

/** Beyond it nothing of a lure is ever pulled. */
const MOST_LOG_CYCLES = Math.log(1e8);

/** How many fish it lasts, and where it breaks. @param isRinged whether a ring is forced over the bend */
export function tieLife(tie: Hinge, isRinged: boolean): TieLife {
  const lives = (pull: number) => {
    const atTie = lasts(tie, opensBy(tie, pull * (isRinged ? WITH_RING : 1))) / CYCLES_A_FISH;
    const atHead = lasts(tie, opensBy(tie, pull * AT_HEAD)) / CYCLES_A_FISH;
    return atTie <= atHead ? { fish: atTie, at: 'tie' as const } : { fish: atHead, at: 'head' as const };
  };
  const { fish, at } = lives(1);
  const others = Math.hypot(Math.log(1 + CYCLES_SPREAD), Math.log(1 + SCATTER));
  return { fish: between(fish, lives(1 / (1 + PULL_SPREAD)).fish, lives(1 + PULL_SPREAD).fish, others), at };
}

/** How often an arm can be bent back at this bend until it breaks. */
export function straightenings(bend: Hinge): Lives {
  const lives = (outRad: number) => lasts(bend, outRad);
  const [more, less] = [lives(ARM_OUT_RAD / (1 + ARM_OUT_SPREAD)), lives(ARM_OUT_RAD * (1 + ARM_OUT_SPREAD))];
  return between(lives(ARM_OUT_RAD), more, less, Math.log(1 + SCATTER));
}

/** A life with its band: from what the main unknown makes of it, and the logarithm of what the others do. */
function between(value: number, ifLess: number, ifMore: number, others: number): Lives {
  const [up, down] = [Math.hypot(Math.log(ifLess / value), others), Math.hypot(Math.log(value / ifMore), others)];
  return { value, low: value * Math.exp(-down), high: value * Math.exp(up) };
}
