/**
 * Whether two answers about two builds differ by more than their spread. What both have in common cancels: the same water, line
 * and coefficients move both. See compare.ts.
 */
import type { Build, ItemId } from '../lure/lure';
import { itemOf } from '../lure/lure';
import { isSame } from '../same';
import type { Banded, Scale } from './band';
import type { Belief } from './factors';
import type { SoundFactor } from './sound';

/** Said of a figure beside that of the first build; `unsure` where the spread of the difference reaches over none, or nobody would notice it. */
export type Verdict = 'more' | 'less' | 'unsure';

/** Of each of these blades the one of the first that is the same part: at its own station before any other. */
export function twinsOf(
  first: Build,
  firstStations: readonly ItemId[],
  other: Build,
  stations: readonly ItemId[],
): ReadonlyMap<ItemId, ItemId> {
  const twins = new Map<ItemId, ItemId>();
  const free = new Set(firstStations);
  for (const station of stations) {
    const { part } = itemOf(other, station);
    const twin = [station, ...free].find((each) => free.has(each) && isSame(itemOf(first, each).part, part));
    if (twin === undefined) continue;
    twins.set(station, twin);
    free.delete(twin);
  }
  return twins;
}

/** For each factor of the second its place among those of the first; −1 where the first has none like it. */
export function factorPlaces(
  first: readonly SoundFactor[],
  second: readonly SoundFactor[],
  twins: ReadonlyMap<ItemId, ItemId>,
): readonly number[] {
  const nameOf = (factor: SoundFactor, station: (own: ItemId) => ItemId | undefined) =>
    factor.of === 'blade' ? `${factor.key} of ${station(factor.station)}` : factor.key;
  const places = new Map(first.map((factor, i) => [nameOf(factor, (own) => own), i]));
  return second.map((factor) => places.get(nameOf(factor, (own) => twins.get(own))) ?? -1);
}

/**
 * @param squares of the half width of their difference
 * @param mustBeApart no difference is taken for sure whose bands overlap
 */
export function verdictOf(a: Banded, b: Banded, scale: Scale, squares: number, mustBeApart: boolean): Verdict {
  const difference = scale === 'share' && a.value > 0 && b.value > 0 ? Math.log(b.value / a.value) : b.value - a.value;
  const isNoticed = Math.abs(b.value - a.value) > NOTICED * Math.max(Math.abs(a.value), Math.abs(b.value));
  if (!isNoticed || difference ** 2 <= squares || (mustBeApart && !areApart(a, b))) return 'unsure';
  return difference > 0 ? 'more' : 'less';
}

/** Of the larger of the two: nobody feels less, however sure it is. Trade estimate. */
const NOTICED = 0.03;

/** dᵀΣd, where d is how a factor moves the difference. Nothing was learnt of what only the second has. */
export function halfWidthSquared(
  a: readonly number[],
  b: readonly number[],
  places: readonly number[],
  covariance: Belief['covariance'],
): number {
  const common = covariance.map((_, i) => -(a[i] ?? 0));
  let squares = 0;
  b.forEach((slope, k) => {
    const place = places[k] ?? -1;
    if (place < 0) squares += slope ** 2;
    else common[place] = (common[place] ?? 0) + slope;
  });
  common.forEach((d, i) => {
    if (d !== 0) common.forEach((e, j) => (squares += d * e * (covariance[i]?.[j] ?? 0)));
  });
  return squares;
}

function areApart(a: Banded, b: Banded): boolean {
  return a.high < b.low || b.high < a.low;
}
