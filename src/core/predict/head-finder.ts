/**
 * The lightest head that holds a lure in a wanted depth at a wanted speed with its blades: its head, or on a lure without
 * one its weight, made heavier or lighter with all its lengths; and the lightest of the parts at hand that does it.
 */
import { findRoot } from '../root';
import { USUAL_OUTFIT, type Outfit } from '../hydro/outfit';
import { depthOf } from '../hydro/towed-line';
import type { Water } from '../hydro/water';
import type { Build, ItemId } from '../lure/lure';
import { ballastOf, heavier, withPart } from '../lure/resized';
import type { Part } from '../parts/part';
import { rides } from './ride';

export interface DepthWanted {
  readonly speedMps: number;
  readonly fromM: number;
  readonly toM: number;
}

export type HeadFound =
  | {
      readonly outcome: 'found';
      readonly station: ItemId;
      readonly massKg: number;
      readonly depthM: number;
      /** The lightest of the parts offered that runs within the band; null when none does. */
      readonly part: { readonly part: Part; readonly depthM: number } | null;
    }
  /** Nothing on it can be had heavier or lighter. */
  | { readonly outcome: 'noHead' }
  /** Even this light it runs deeper than wanted. */
  | { readonly outcome: 'tooDeep'; readonly massKg: number; readonly depthM: number }
  /** Even this heavy it does not get down there. */
  | { readonly outcome: 'notDeepEnough'; readonly massKg: number; readonly depthM: number };

/** No head is lighter or heavier. */
export const LIGHTEST_KG = 0.0005;
export const HEAVIEST_KG = 0.12;
/** A head is found to this share of its mass. */
const TOLERANCE = 1e-3;

/** @param offered parts of the same kind to choose from, such as the catalogue's */
export function lightestHead(
  build: Build,
  water: Water,
  { speedMps, fromM, toM }: DepthWanted,
  offered: readonly Part[] = [],
  outfit: Outfit = USUAL_OUTFIT,
): HeadFound {
  if (!(fromM >= 0 && toM > fromM)) throw new Error('lightestHead: needs 0 ≤ fromM < toM');
  const station = ballastOf(build);
  const ballast = station && build.items[station]?.part;
  if (!station || !ballast) return { outcome: 'noHead' };
  const depthWith = (part: Part) => {
    const [at] = rides(
      withPart(build, station, () => part),
      water,
      [speedMps],
      outfit,
    ).at;
    return depthOf(at?.lines[0]);
  };
  const scaledTo = (massKg: number) => heavier(ballast, massKg / ballast.massKg);
  const deepest = depthWith(scaledTo(HEAVIEST_KG));
  if (deepest < fromM) return { outcome: 'notDeepEnough', massKg: HEAVIEST_KG, depthM: deepest };
  const shallowest = depthWith(scaledTo(LIGHTEST_KG));
  if (shallowest > toM) return { outcome: 'tooDeep', massKg: LIGHTEST_KG, depthM: shallowest };
  const isDeep = (massKg: number) => depthWith(scaledTo(massKg)) - fromM;
  const root = findRoot(
    (x) => isDeep(Math.exp(x)),
    Math.log(LIGHTEST_KG),
    Math.log(HEAVIEST_KG),
    TOLERANCE,
    shallowest - fromM,
    deepest - fromM,
  );
  // Heavier by the tolerance, so that it is in the band and not a hair above it.
  const massKg = root.outcome === 'converged' ? Math.exp(root.x + TOLERANCE) : LIGHTEST_KG;
  const [part = null] = offered
    .filter(({ kind }) => kind === ballast.kind)
    .toSorted((a, b) => a.massKg - b.massKg)
    .map((each) => ({ part: each, depthM: depthWith(each) }))
    .filter(({ depthM }) => depthM >= fromM && depthM <= toM);
  return { outcome: 'found', station, massKg, depthM: depthWith(scaledTo(massKg)), part };
}
