/**
 * Speeds at which a lure's forces come into balance: at which it falls on slack line, at which its line lifts it to the
 * surface, at which a buzzbait planes. Between the speeds of GRID_MPS a blade's drag runs as a power of the speed.
 */
import { findRoot } from '../root';
import { MAX_SPEED_MPS } from '../hydro/spin';
import { axialAt, trimOf, type TrimDrag } from '../hydro/trim';
import { USUAL_OUTFIT } from '../hydro/outfit';
import { pullWithSinker } from '../hydro/outfit-line';
import type { Water } from '../hydro/water';
import type { Build } from '../lure/lure';
import { bladeDrags, bladePull } from './blade-pull';
import { axleCosines } from './inclined';
import { lureInWater, type LureInWater } from './lure-in-water';
import { scaledAsEstimated, type ScaledLure } from './scaled-lure';
import { outcomesAt, turnAll, type BladeOutcome, type Turned } from './turned';

/** Speeds at which the blades are looked at for this, m/s. */
export const GRID_MPS = [0.05, 0.1, 0.15, 0.2, 0.3, 0.4, 0.6, 0.8, 1.1, 1.5, 2, 3, MAX_SPEED_MPS] as const;
const LOG_GRID = GRID_MPS.map(Math.log);
const SLOWEST_MPS = GRID_MPS[0];

export interface Crossings {
  /** Falling on slack line, nose first, its blades turning; null for one that floats. */
  readonly sinkMps: number | null;
  /** From this speed on it runs at the surface with the outfit's line; null when it rises anyway, or not up to 5 m/s. */
  readonly surfaceMps: number | null;
  /** The slowest at which blade and head carry it on the surface; null without a delta blade. */
  readonly planingMps: number | null;
}

/**
 * @param from the index in `turned` of the first speed of GRID_MPS
 * @param near what they are for nearly this lure, for the edge of a band: then found sooner
 */
export function crossingsOf(
  inWater: Pick<LureInWater, 'rho' | 'outfit' | 'planing' | 'dragsAt'>,
  scaled: ScaledLure,
  turned: readonly Turned[],
  from: number,
  near: Crossings | null = null,
): Crossings {
  const { rho, outfit, planing, dragsAt } = inWater;
  const { shared, sums } = scaled;
  const sinkingN = sums.weightN.all;
  const logsOf = (outcomesOn: (index: number) => readonly (BladeOutcome | undefined)[]) => {
    const onGrid = GRID_MPS.map((speed, i) => bladeDrags(inWater, shared, outcomesOn(from + i), speed));
    return dragsAt.map((_, blade) => onGrid.map((drags) => Math.log(Math.max(drags[blade] ?? 0, 1e-12))));
  };
  const towed = logsOf((index) => outcomesAt(turned, index));
  // As it falls its axle stands steep in the stream: gravity does not stop it round the turn, and all of the stream is along it.
  const falling = logsOf((index) =>
    turned.map(({ ifTurning, axleCos }) => {
      const each = ifTurning[index];
      return each?.outcome === 'turning' ? { ...each, dragN: each.dragN / (axleCos[index] ?? 1) ** 2 } : each;
    }),
  );
  const pulls = dragsAt.map((place, blade) =>
    GRID_MPS.map((_, i) => bladePull(place, outcomesAt(turned, from + i)[blade], shared)),
  );
  let pitchRad: number | null = null;
  const bladeDragN = (logDrags: readonly (readonly number[])[], blade: number, speedMps: number) => {
    const logs = logDrags[blade] ?? [];
    const x = Math.log(speedMps);
    const over = LOG_GRID.findIndex((each) => each >= x);
    const i = Math.max(1, over < 0 ? LOG_GRID.length - 1 : over);
    const [x0 = 0, x1 = 1, y0 = 0, y1 = 0] = [LOG_GRID[i - 1], LOG_GRID[i], logs[i - 1], logs[i]];
    return Math.exp(y0 + ((y1 - y0) * (x - x0)) / (x1 - x0));
  };
  const fallDragN = (speedMps: number) =>
    shared.fall *
    (0.5 * rho * speedMps ** 2 * axialAt(sums, speedMps).all +
      dragsAt.reduce((sum, _, blade) => sum + bladeDragN(falling, blade, speedMps), 0));
  const pullAt = (speedMps: number) => {
    const drags = dragsAt.map(({ xM, yM, axleRad }, blade): TrimDrag => ({
      xM,
      yM,
      axleRad,
      dragN: bladeDragN(towed, blade, speedMps),
      ...(pulls[blade]?.[nearest(speedMps)] ?? STILL),
    }));
    const trim = trimOf(sums, drags, rho, speedMps, pitchRad);
    ({ pitchRad } = trim);
    return { aftN: trim.dragN, downN: sinkingN - trim.liftN };
  };
  const { tipHeightM, lineOutM } = outfit;
  /** On slack line, its sinker with it: what holds it up and what draws it down. */
  const falls = (speedMps: number) =>
    pullWithSinker(
      outfit,
      { aftN: fallDragN(speedMps), downN: sinkingN },
      { waterDensityKgM3: rho, tipHeightM, speedMps },
    );
  const tipSine = Math.min(1, tipHeightM / lineOutM);
  // What floats or dives does not rise as it is drawn faster.
  const isHeldDown = sinkingN < 0 || sums.plates.length > 0;
  return {
    sinkMps:
      falls(SLOWEST_MPS).downN > 0
        ? speedOf(
            (speed) => {
              const { aftN, downN } = falls(speed);
              return aftN - downN;
            },
            near?.sinkMps,
            true,
          )
        : null,
    surfaceMps: isHeldDown
      ? null
      : speedOf((speed) => {
          const setting = { waterDensityKgM3: rho, tipHeightM, speedMps: speed };
          const { aftN, downN } = pullWithSinker(outfit, pullAt(speed), setting);
          return downN / Math.hypot(aftN, downN) - tipSine;
        }, near?.surfaceMps),
    planingMps:
      planing === null
        ? null
        : speedOf((speed) => {
            const liftedN = 0.5 * rho * speed ** 2 * planing * shared.planing;
            const byLineN = (pullAt(speed).aftN * tipSine) / Math.sqrt(Math.max(1e-6, 1 - tipSine ** 2));
            return sinkingN - liftedN - byLineN;
          }, near?.planingMps),
  };
}

/** The same with every coefficient at its estimate and no bands. */
export function nominalCrossings(build: Build, water: Water, outfit = USUAL_OUTFIT): Crossings {
  const inWater = lureInWater(build, water, outfit);
  const turned = turnAll(inWater.spinners, inWater.rho, GRID_MPS, { axleCos: axleCosines(inWater, GRID_MPS) });
  return crossingsOf(inWater, scaledAsEstimated(inWater), turned, 0);
}

const STILL = { towardsStream: 1, carriesN: 0 };

/** Which speed of the grid is nearest. */
function nearest(speedMps: number): number {
  const x = Math.log(speedMps);
  return LOG_GRID.reduce((best, each, i) => (Math.abs(each - x) < Math.abs((LOG_GRID[best] ?? 0) - x) ? i : best), 0);
}

const TOLERANCE = 1e-7;
const NEAR_TOLERANCE = 1e-4;
const NEAR_RATIO = Math.log(1.25);

/**
 * Where `f` changes sign, looked for on a scale of ratios; null where it does not.
 * @param beyond for a fall: slower than the grid, drag goes with the square of the speed
 */
function speedOf(f: (speedMps: number) => number, nearMps: number | null = null, beyond = false): number | null {
  const ofLog = (x: number) => f(Math.exp(x));
  if (nearMps !== null) {
    const x = Math.log(nearMps);
    const near = findRoot(ofLog, x - NEAR_RATIO, x + NEAR_RATIO, NEAR_TOLERANCE);
    if (near.outcome === 'converged') return Math.exp(near.x);
  }
  const low = Math.log(SLOWEST_MPS) - (beyond ? 3 : 0);
  const root = findRoot(ofLog, low, Math.log(MAX_SPEED_MPS), TOLERANCE);
  return root.outcome === 'converged' ? Math.exp(root.x) : null;
}
