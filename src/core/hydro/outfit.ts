/** Rod, reel and line, as far as the water feels them. */
import * as z from 'zod/mini';
import '../schema';
import { SINKER_STYLES } from './sinker-line';
import type { FishingLine } from './towed-line';

export const LINE_KINDS = ['braid', 'nylon', 'fluorocarbon'] as const;
export type LineKind = (typeof LINE_KINDS)[number];
export const LINE_SWIVELS = ['none', 'free', 'gritty', 'rusty'] as const;

/** What is taken for each, SI. */
export const OUTFIT_RANGES = {
  diameterM: { minSi: 0.00005, maxSi: 0.003 },
  tipHeightM: { minSi: 0, maxSi: 8 },
  lineOutM: { minSi: 0.5, maxSi: 300 },
  sinkerKg: { minSi: 0.0005, maxSi: 0.5 },
  leaderM: { minSi: 0.02, maxSi: 6 },
  dropperM: { minSi: 0.02, maxSi: 2 },
  leastKg: { minSi: 0.1, maxSi: 60 },
} as const;

function within({ minSi, maxSi }: { readonly minSi: number; readonly maxSi: number }) {
  return z.number().check(z.minimum(minSi), z.maximum(maxSi));
}

/** What sinkers are cast of. */
export const SINKER_METALS = ['lead', 'tin', 'tungsten', 'brass', 'stainless'] as const;

export const outfitSchema = z.strictObject({
  line: z.strictObject({
    kind: z.enum(LINE_KINDS),
    diameterM: within(OUTFIT_RANGES.diameterM),
  }),
  /** What leader and links have to carry, as a mass that weighs as much, kg; absent where nothing is asked. */
  leastKg: z.optional(within(OUTFIT_RANGES.leastKg)),
  /** On the line ahead of the lure; absent where there is none. */
  sinker: z.optional(
    z.strictObject({
      massKg: within(OUTFIT_RANGES.sinkerKg),
      metal: z.enum(SINKER_METALS),
      /** How it sits on the line; a ball that slides where it is not told. */
      style: z.optional(z.enum(SINKER_STYLES)),
      /** Of the arm of a three-way that it hangs on, m; absent where it hangs on none. */
      dropperM: z.optional(within(OUTFIT_RANGES.dropperM)),
      /** From it to the front of the lure, m. */
      leaderM: within(OUTFIT_RANGES.leaderM),
    }),
  ),
  /** Between line and lure. */
  swivel: z.enum(LINE_SWIVELS),
  /** Rod tip above the surface, m. */
  tipHeightM: within(OUTFIT_RANGES.tipHeightM),
  /** From the rod's tip to the lure, m. */
  lineOutM: within(OUTFIT_RANGES.lineOutM),
});
export type Outfit = z.infer<typeof outfitSchema>;

/** Braid of 0.20 mm, no swivel before the lure, the rod's tip a metre up, half a cast out. */
export const USUAL_OUTFIT: Outfit = {
  line: { kind: 'braid', diameterM: 0.0002 },
  swivel: 'none',
  tipHeightM: 1,
  lineOutM: 10,
};

interface Stuff {
  readonly densityKgM3: number;
  readonly skinDrag: number;
  /** Stiffness against twist of a solid strand of it, Pa. */
  readonly shearPa: number;
}

/**
 * Densities from handbooks; the braid's weave rubs more; shear of wet line, and of loosely laid fibres, are trade estimates.
 */
const STUFF: Readonly<Record<LineKind, Stuff>> = {
  braid: { densityKgM3: 980, skinDrag: 0.01, shearPa: 3e7 },
  nylon: { densityKgM3: 1140, skinDrag: 0.008, shearPa: 4e8 },
  fluorocarbon: { densityKgM3: 1780, skinDrag: 0.008, shearPa: 6e8 },
};

/** Kinematic viscosity of fresh water at 20 °C. Handbook value. */
const WATER_VISCOSITY_M2S = 1.0e-6;

/** A line as towed-line.ts takes it, m and kg/m³. Densities from handbooks, drag along it a trade estimate. */
export function fishingLine({ kind, diameterM }: Outfit['line']): FishingLine {
  const { densityKgM3, skinDrag } = STUFF[kind];
  return { diameterM, densityKgM3, normalDrag: 1, viscosityM2S: WATER_VISCOSITY_M2S, skinDrag };
}

/** Torque that twists a metre of it by a radian, N·m²: G π d⁴/32 of a solid round strand. */
export function lineTorsion({ kind, diameterM }: Outfit['line']): number {
  return (STUFF[kind].shearPa * Math.PI * diameterM ** 4) / 32;
}
