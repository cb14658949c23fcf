/**
 * What a prediction does not know: coefficients, each a trade estimate with a spread, and what readings have taught of them.
 *
 * A factor x multiplies its coefficient by (1 + spread)^x: x = 0 is the estimate, −1 and 1 the edges of what is believed
 * in nine cases of ten. Before any reading the factors are normal and free of each other. A belief is where they stand now:
 * the middle of each, and their covariance, in these half widths squared, so that before any reading it is the identity.
 */
import { COEFFICIENT_SPREAD, type ReferenceCoefficients } from '../hydro/spin-blade';
import type { ItemId } from '../lure/lure';

/** Of all lures alike, as a share of the coefficient, nine cases in ten. Trade estimates. */
export const SHARED_SPREADS = {
  /** What parts weigh against what they are listed with. */
  mass: 0.03,
  /** Drag of heads, bodies, beads and hooks. */
  hardDrag: 0.2,
  /** Drag of skirts, trailers and dressings. */
  softDrag: 0.3,
  wireDrag: 0.15,
  /** Drag of a blade that hangs still. */
  flutter: 0.4,
  /** Lift of heads, bodies and trailers at an angle to the flow. */
  lift: 0.3,
  /** Drag of the line, across it and along it. */
  lineDrag: 0.15,
  /** Stiffness of the arm, and what a head that is not still gives to it. */
  armStiffness: 0.2,
  /** Water that the blades carry along as their arm shakes. */
  carriedWater: 0.5,
  armDamping: 0.3,
  /** What goes round with a blade: the small difference of two large forces. */
  fling: 0.3,
  /** How far out a blade's axial force pulls, and how it bears on what carries it. */
  moment: 0.2,
  /** Of the angle between its axle and the stream, the share by which a turning blade's pull lies nearer to the stream: it
   * comes as it is, and is added. */
  towardsStream: 0.3,
  /** What a turning blade carries of its own weight. */
  carries: 0.3,
  /** How much of what goes round comes twice a turn. */
  kick: 0.5,
  /** Torque its bearings leave in the lure. */
  rub: 0.4,
  /** How freely hung blades flap round the turn, from −1, held, to 1, as free as is believed: it comes as it is, not as a multiple. */
  flapping: 1,
  /** Which way a blade turns that may turn either way: it comes as it is, from −1 to 1, not as a multiple. */
  turnsWhich: 1,
  /** Share of a surface blade's drag that pushes aside. */
  sideways: 0.3,
  /** Lift of blade and head at the surface. */
  planing: 0.25,
  /** How often a body sheds its wake, and what that gives to its swing. */
  wobbleRate: 0.35,
  wobbleDrive: 0.5,
  /** Drag as it falls, for the way it lies as it does. */
  fall: 0.3,
} as const;
export type SharedKey = keyof typeof SHARED_SPREADS;
export const SHARED_KEYS = Object.keys(SHARED_SPREADS) as readonly SharedKey[];

export const BLADE_KEYS = ['setAngleRad', 'flapFactor', 'edgeDrag'] as const;
export type BladeKey = (typeof BLADE_KEYS)[number];

/** The coefficients of one blade, or one that all lures have. A blade is its own: makers disagree about the same pattern. */
export type Factor =
  | { readonly of: 'blade'; readonly station: ItemId; readonly key: BladeKey }
  | { readonly of: 'shared'; readonly key: SharedKey };

export interface Belief {
  readonly factors: readonly Factor[];
  readonly middle: readonly number[];
  readonly covariance: readonly (readonly number[])[];
}

/** The factors of a lure with these blades: three of each blade, nose first, then the shared ones. */
export function factorsOf(stations: readonly ItemId[]): Factor[] {
  return [
    ...stations.flatMap((station) => BLADE_KEYS.map((key): Factor => ({ of: 'blade', station, key }))),
    ...SHARED_KEYS.map((key): Factor => ({ of: 'shared', key })),
  ];
}

/** What is believed before any reading. */
export function priorBelief(stations: readonly ItemId[]): Belief {
  const factors = factorsOf(stations);
  return {
    factors,
    middle: factors.map(() => 0),
    covariance: factors.map((_, i) => factors.map((__, j) => (i === j ? 1 : 0))),
  };
}

function multiplier(factor: Factor, x: number): number {
  if (factor.key === 'turnsWhich' || factor.key === 'flapping') return x;
  if (factor.key === 'towardsStream') return SHARED_SPREADS.towardsStream * x;
  return (1 + (factor.of === 'blade' ? COEFFICIENT_SPREAD : SHARED_SPREADS[factor.key])) ** x;
}

export type Shared = Readonly<Record<SharedKey, number>>;

/** Every shared coefficient at its estimate; of what comes as it is, that is its middle. */
export const AS_ESTIMATED: Shared = {
  ...(Object.fromEntries(SHARED_KEYS.map((key) => [key, 1])) as Record<SharedKey, number>),
  turnsWhich: 0,
  flapping: 0,
  towardsStream: 0,
};

/** All shared coefficients as multiples of their estimates, at these places of the factors. */
export function sharedAt(factors: readonly Factor[], at: readonly number[]): Shared {
  const shared: Record<SharedKey, number> = { ...AS_ESTIMATED };
  factors.forEach((factor, i) => {
    if (factor.of === 'shared') shared[factor.key] = multiplier(factor, at[i] ?? 0);
  });
  return shared;
}

/** The coefficients of this blade at these places of the factors. */
export function coefficientsAt(
  nominal: ReferenceCoefficients,
  station: ItemId,
  factors: readonly Factor[],
  at: readonly number[],
): ReferenceCoefficients {
  const moved = { ...nominal };
  factors.forEach((factor, i) => {
    if (factor.of === 'blade' && factor.station === station) moved[factor.key] *= multiplier(factor, at[i] ?? 0);
  });
  return moved;
}

/** These places with one factor moved by this many half widths. */
export function movedBy(at: readonly number[], index: number, by: number): number[] {
  return at.map((x, i) => (i === index ? x + by : x));
}

/** What is believed of a lure with these blades: what was learnt of the factors it still has, and the estimates of the rest. */
export function beliefFor(stations: readonly ItemId[], learnt: Belief | null): Belief {
  const prior = priorBelief(stations);
  if (!learnt) return prior;
  const name = (factor: Factor) => (factor.of === 'blade' ? `${factor.key} of ${factor.station}` : factor.key);
  const learntAt = new Map(learnt.factors.map((factor, i) => [name(factor), i]));
  const at = prior.factors.map((factor) => learntAt.get(name(factor)) ?? -1);
  return {
    factors: prior.factors,
    middle: at.map((i) => learnt.middle[i] ?? 0),
    covariance: prior.covariance.map((row, i) =>
      row.map((each, j) => {
        const [a = -1, b = -1] = [at[i], at[j]];
        return a < 0 || b < 0 ? each : (learnt.covariance[a]?.[b] ?? each);
      }),
    ),
  };
}
