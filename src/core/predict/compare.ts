/**
 * Several builds at one speed, each told beside the first: which of their differences are larger than their spread.
 *
 * What two builds have in common cancels: the same water, line and coefficients move both. So the spread of a difference is
 * not that of two free answers. With m_a and m_b the changes that a factor makes to the two, the half width of the difference
 * is √(dᵀΣd) with d = m_b − m_a over all factors of both (before any reading Σ is the identity), where a blade's own factors are common to two blades of the same part and
 * free of each other otherwise (band.ts says what a factor is). Of a blade that may stop it is said as long as it turns;
 * where it more likely stands still, the bands must lie apart.
 */
import { USUAL_OUTFIT } from '../hydro/outfit';
import type { Water } from '../hydro/water';
import type { Build, ItemId } from '../lure/lure';
import { factorPlaces, halfWidthSquared, twinsOf, verdictOf, type Verdict } from './apart';
import type { Said, Scale } from './band';
import type { Belief, Factor } from './factors';
import { lureInWater } from './lure-in-water';
import { LURE_FORMS, LURE_OUTPUTS, RIDE_FORMS, RIDE_OUTPUTS, type LureOutput, type RideOutput } from './outputs';
import { predict, type Asked, type Prediction } from './predict';
import { doesTurn } from './spin';
import { stallSpeeds, type StallPrediction } from './stalls';

/** What is told of each blade, nose first. */
export const COMPARED_OF_BLADES = ['rateHz', 'spreadRad', 'dragN', 'keepsMps'] as const;
export type ComparedOfBlade = (typeof COMPARED_OF_BLADES)[number];

export interface Verdicts {
  readonly lure: Readonly<Partial<Record<RideOutput | LureOutput, Verdict>>>;
  /** By place, nose first: those that both builds have. */
  readonly blades: readonly Readonly<Partial<Record<ComparedOfBlade, Verdict>>>[];
}

export interface Compared {
  readonly build: Build;
  readonly prediction: Prediction;
  readonly stalls: readonly StallPrediction[];
  /** Null of the first. */
  readonly verdicts: Verdicts | null;
}

/**
 * @param speedMps of all of them, m/s
 * @param asked what readings have taught of the first holds for the others too, as far as they have its blades
 */
export function compare(builds: readonly Build[], water: Water, speedMps: number, asked: Asked = {}): Compared[] {
  const { outfit = USUAL_OUTFIT, state, learnt = null } = asked;
  const stations = builds.map((build) =>
    lureInWater(build, water, outfit, state).spinners.map(({ station }) => station),
  );
  const all = builds.map((build, i): Answered => {
    const twins = twinsOf(builds[0] ?? build, stations[0] ?? [], build, stations[i] ?? []);
    const known = learnt && learntFor(learnt, twins);
    return {
      build,
      twins,
      prediction: predict(build, water, [speedMps], { ...asked, learnt: known }),
      stalls: stallSpeeds(build, water, state, known),
    };
  });
  const [first] = all;
  return all.map(({ twins, ...each }) => ({
    ...each,
    verdicts: first && each.build !== first.build ? verdictsOf(first, { ...each, twins }) : null,
  }));
}

/** What is known of the first, of a lure whose blades are those of the first that `twins` names. */
function learntFor({ factors, middle, covariance }: Belief, twins: ReadonlyMap<ItemId, ItemId>): Belief {
  const own = new Map([...twins].map(([station, twin]) => [twin, station]));
  const kept = factors.flatMap((factor, at): { readonly factor: Factor; readonly at: number }[] => {
    if (factor.of === 'shared') return [{ factor, at }];
    const station = own.get(factor.station);
    return station === undefined ? [] : [{ factor: { ...factor, station }, at }];
  });
  return {
    factors: kept.map(({ factor }) => factor),
    middle: kept.map(({ at }) => middle[at] ?? 0),
    covariance: kept.map(({ at: a }) => kept.map(({ at: b }) => covariance[a]?.[b] ?? 0)),
  };
}

interface Answered extends Omit<Compared, 'verdicts'> {
  /** Of each blade that is a part of the first too, that one. */
  readonly twins: ReadonlyMap<ItemId, ItemId>;
}

function verdictsOf(first: Answered, other: Answered): Verdicts {
  const places = factorPlaces(first.prediction.belief.factors, other.prediction.belief.factors, other.twins);
  const { covariance } = first.prediction.belief;
  const told = (a: Said | null, b: Said | null, scale: Scale, mustBeApart: boolean): Verdict | null =>
    a && b ? verdictOf(a, b, scale, halfWidthSquared(a.slopes, b.slopes, places, covariance), mustBeApart) : null;
  const isLikelyStill = [first, other].some(({ prediction }) =>
    prediction.spin.blades.some(({ at: [at] }) => at?.outcome === 'mayStop' && at.chance < 0.5),
  );
  const [rideA, rideB] = [first.prediction.rides[0], other.prediction.rides[0]];
  const rides =
    rideA?.outcome === 'rides' && rideB?.outcome === 'rides'
      ? RIDE_OUTPUTS.map((key) => {
          const { scale, isBound } = RIDE_FORMS[key];
          return [key, isBound ? 'unsure' : told(rideA.said[key], rideB.said[key], scale, isLikelyStill)] as const;
        })
      : [];
  const once = LURE_OUTPUTS.map(
    (key) => [key, told(first.prediction.lure[key], other.prediction.lure[key], LURE_FORMS[key].scale, false)] as const,
  );
  return {
    lure: withoutNone([...rides, ...once]),
    blades: first.prediction.spin.blades.flatMap((_, i) => {
      const [a, b] = [ofBlade(first, i), ofBlade(other, i)];
      return a && b ? [withoutNone(COMPARED_OF_BLADES.map((key) => [key, told(a[key], b[key], 'share', false)]))] : [];
    }),
  };
}

/** What is said of the blade at this place; null where it has none. */
export function ofBlade(
  { prediction, stalls }: Pick<Compared, 'prediction' | 'stalls'>,
  place: number,
): Readonly<Record<ComparedOfBlade, Said | null>> | null {
  const blade = prediction.spin.blades[place];
  if (!blade) return null;
  const [at] = blade.at;
  const turning = doesTurn(at) ? at : null;
  const stall = stalls.find(({ station }) => station === blade.station)?.stall;
  return {
    rateHz: turning?.rateHz ?? null,
    spreadRad: turning?.spreadRad ?? null,
    dragN: turning?.dragN ?? null,
    keepsMps: stall?.outcome === 'stalls' ? stall.keepsMps : null,
  };
}

function withoutNone<K extends string>(
  entries: readonly (readonly [K, Verdict | null])[],
): Partial<Record<K, Verdict>> {
  return Object.fromEntries(entries.filter(([, verdict]) => verdict !== null)) as Partial<Record<K, Verdict>>;
}
