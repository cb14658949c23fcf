/** Lures and blades to be set beside each other, and what of them is compared. */
import { bait, edited, on, TAIL } from '@/testing/lures';
import type { Pair } from '@/testing/ordering';
import type { Turning } from '@/core/hydro/spin';
import { GOOD_CLEVIS_BEARING } from '@/core/hydro/blade-loads';
import { referenceBlade, spinBlade, type MeasuredBlade } from '@/core/hydro/spin-blade';
import { meanSpin, type Kept } from '@/core/hydro/round-the-turn';
import { LAKE_WATER, waterDensity } from '@/core/hydro/water';
import type { Lure } from '@/core/lure/lure';
import type { BladePattern } from '@/core/parts/blade-pattern';
import { partsOfKind } from '@/core/parts/catalogue';
import type { PartOf } from '@/core/parts/part';
import type { Banded } from '@/core/predict/band';
import { predict } from '@/core/predict/predict';
import { rides } from '@/core/predict/ride';
import { keptAt } from '@/core/predict/keeping';

export const RHO = waterDensity(LAKE_WATER);
export const SPEEDS = [0.5, 0.65, 0.8, 1, 1.3];
export const WIDTHS = [0.014, 0.017, 0.02, 0.024];
export const LENGTHS = [0.024, 0.03, 0.036, 0.042];
export const blades = partsOfKind('blade');
export const colorados = blades.filter(({ pattern }) => pattern === 'colorado');
export const named = ({ id }: PartOf<'blade'>) => id.replace('blade-', '');

export function turn(blade: MeasuredBlade, speedMps: number): Turning {
  const [outcome] = meanSpin(spinBlade(blade, RHO), GOOD_CLEVIS_BEARING, RHO, [speedMps]);
  if (outcome?.outcome !== 'turning') throw new Error(`expected to turn: ${JSON.stringify(outcome)}`);
  return outcome;
}

/** Impulse given to the water each turn, N·s. */
export const thump = ({ dragN, rateHz }: Turning) => dragN / rateHz;

/** A pattern's reference blade scaled to a width or a length. */
export function scaled(pattern: BladePattern, by: 'widthM' | 'lengthM', toM: number): MeasuredBlade {
  const blade = referenceBlade(pattern);
  const factor = toM / blade[by];
  return {
    ...blade,
    lengthM: blade.lengthM * factor,
    widthM: blade.widthM * factor,
    cupDepthM: blade.cupDepthM * factor,
  };
}

/** Two patterns over a grid of sizes and speeds, by what `of` reads of each. */
export function between(
  less: BladePattern,
  more: BladePattern,
  by: 'widthM' | 'lengthM',
  of: (turning: Turning) => number,
): Pair[] {
  return (by === 'widthM' ? WIDTHS : LENGTHS).flatMap((size) =>
    SPEEDS.map((speed) => ({
      name: `${less}, ${more} of ${size * 1000} mm at ${speed} m/s`,
      less: of(turn(scaled(less, by, size), speed)),
      more: of(turn(scaled(more, by, size), speed)),
    })),
  );
}

/** As it is cast and wound, with half the cast still out: far behind, more drag straightens the line, which blurs it. */
export function depthOf(lure: Lure, speedMps = 0.8): number {
  const [at] = rides(lure.build, LAKE_WATER, [speedMps]).at;
  const [line] = at?.lines ?? [];
  return line?.outcome === 'sinks' ? line.depthM : 0;
}

export function depthBand(lure: Lure, speedMps = 0.8): Banded {
  const [ride] = predict(lure.build, LAKE_WATER, [speedMps]).rides;
  const depth = ride?.outcome === 'rides' ? ride.said.depthM : null;
  if (!depth) throw new Error('a depth can be said');
  return depth;
}

export const shallower = (name: string, shallow: Lure, deep: Lure, speedMps = 0.8): Pair => ({
  name,
  less: depthOf(shallow, speedMps),
  more: depthOf(deep, speedMps),
  bands: () => [depthBand(shallow, speedMps), depthBand(deep, speedMps)],
});

/** Over many pairs only how many come out right is asked, not how far the others are turned round. */
export const NOT_ASKED = (): readonly [Banded, Banded] => [
  { value: 0, low: 0, high: 0 },
  { value: 0, low: 0, high: 0 },
];

/** A tandem bait with these blades, front on its clevis, rear on its swivel. */
export function tandem(front: string, rear: string): Lure {
  const lure = bait(
    'spinnerbait',
    ['bead-brass-3', 'clevis-stirrup-1', 'bead-brass-3', 'bead-brass-3'],
    [
      [front, on('clevis-1', 'hung')],
      ['swivel-crane-k7', TAIL],
      ['ring-o1', on('swivel-1', 'hung')],
      [rear, on('splitRing-1', 'hung')],
    ],
  );
  return edited(lure, { kind: 'carrier', changes: { tail: { form: 'bentLoop', insideDiameterM: 0.003, gapM: 0 } } });
}

/** The slowest water it most likely keeps turning in. */
export const slowest = (kept: Kept) => {
  if (kept.outcome !== 'keeps') throw new Error('it keeps turning at some speed');
  return keptAt(kept, 0);
};
