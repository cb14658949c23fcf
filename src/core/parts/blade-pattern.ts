/**
 * The blade patterns: outline shape and the reference blade each pattern's coefficients are calibrated to.
 * x runs from 0 at the root end to 1 at the tip of the whole blade. The reference behaviour at 0.8 m/s (brass, good
 * clevis bearing) is a trade estimate, ±20 % until measured.
 */
export const BLADE_PATTERNS = [
  'colorado',
  'hardKick',
  'ridgedIndiana',
  'indiana',
  'flutedIndiana',
  'french',
  'willow',
  'alwaysTurning',
] as const;
export type BladePattern = (typeof BLADE_PATTERNS)[number];

/** Chord c/W = (1 − uᵖ)ᵉ on each side of the widest station, u the distance from it over that side's length. */
export interface OutlineShape {
  readonly widestAt: number;
  readonly root: { readonly p: number; readonly e: number };
  readonly tip: { readonly p: number; readonly e: number };
}

export interface PatternReference {
  readonly lengthM: number;
  readonly widthM: number;
  readonly thicknessM: number;
  /** Cup depth over width, d/W. */
  readonly cupRatio: number;
  /** Tip-speed ratio λ = ωR/U at 0.8 m/s. */
  readonly tipSpeedRatio: number;
  readonly spreadDeg: number;
  /** Drag over ½ρU² times the blade's plan area. */
  readonly dragCoefficient: number;
}

export interface PatternFacts {
  readonly name: string;
  readonly outline: OutlineShape;
  readonly reference: PatternReference;
}

/** One lobe of a film blade, from the hub (x = 0) to its tip. */
export const FILM_LOBE: OutlineShape = { widestAt: 0.62, root: { p: 1.5, e: 0.8 }, tip: { p: 2, e: 0.5 } };

const ROUND = { p: 2, e: 0.5 } as const;
const POINTED = { p: 2, e: 1 } as const;
const SHOULDERED = { p: 1.8, e: 0.65 } as const;
const SOFT_SHOULDER = { p: 1.8, e: 0.6 } as const;

function facts(
  name: string,
  size: [lengthMm: number, widthMm: number, thicknessMm: number, cupRatio: number],
  outline: OutlineShape,
  behaviour: [tipSpeedRatio: number, spreadDeg: number, dragCoefficient: number],
): PatternFacts {
  const [lengthMm, widthMm, thicknessMm, cupRatio] = size;
  const [tipSpeedRatio, spreadDeg, dragCoefficient] = behaviour;
  return {
    name,
    outline,
    reference: {
      lengthM: lengthMm / 1000,
      widthM: widthMm / 1000,
      thicknessM: thicknessMm / 1000,
      cupRatio,
      tipSpeedRatio,
      spreadDeg,
      dragCoefficient,
    },
  };
}

export const PATTERNS: Readonly<Record<BladePattern, PatternFacts>> = {
  colorado: facts('Colorado', [30, 24, 0.6, 0.16], { widestAt: 0.55, root: ROUND, tip: ROUND }, [1.15, 50, 0.6]),
  hardKick: facts('hard-kick', [32, 24, 0.65, 0.2], { widestAt: 0.58, root: ROUND, tip: ROUND }, [1.1, 51, 0.62]),
  ridgedIndiana: facts(
    'ridged Indiana',
    [34, 22, 0.55, 0.12],
    { widestAt: 0.6, root: SOFT_SHOULDER, tip: ROUND },
    [1.3, 43, 0.52],
  ),
  indiana: facts('Indiana', [34.5, 21, 0.55, 0.13], { widestAt: 0.6, root: SHOULDERED, tip: ROUND }, [1.4, 40, 0.45]),
  flutedIndiana: facts(
    'fluted Indiana',
    [34.5, 21, 0.5, 0.12],
    { widestAt: 0.6, root: SHOULDERED, tip: ROUND },
    [1.5, 40, 0.42],
  ),
  french: facts(
    'French',
    [26.5, 16.5, 0.45, 0.1],
    { widestAt: 0.57, root: SOFT_SHOULDER, tip: ROUND },
    [1.6, 41, 0.39],
  ),
  willow: facts('willow', [47, 16, 0.5, 0.12], { widestAt: 0.5, root: POINTED, tip: POINTED }, [1.45, 24, 0.22]),
  // Named for what it does: of its length it keeps turning down to the lowest speed. That takes a tip faster by a sixth and more
  // than its shape alone would be given, within the fifth that the estimate leaves open.
  alwaysTurning: facts(
    'always-turning',
    [40, 17, 0.55, 0.14],
    { widestAt: 0.6, root: SHOULDERED, tip: { p: 2, e: 0.6 } },
    [1.72, 34, 0.36],
  ),
};

/** The spread that a blade of this pattern usually turns at, rad: that of its reference. */
export function usualSpreadRad(pattern: BladePattern): number {
  return (PATTERNS[pattern].reference.spreadDeg * Math.PI) / 180;
}
