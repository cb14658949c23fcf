/**
 * The way of a lure through the water as its line is wound in, after a cast and a countdown on slack line.
 *
 * Wound in at speed v the lure goes along its line. With the line at φ to the level there, the lure moving at δ below the
 * level at U, its drag against its way and W′ − L straight down,
 *     T cos φ = D cos δ,   T sin φ + D sin δ = W′ − L   ⇒   sin(δ + φ) = tan γ cos φ,   tan γ = (W′ − L)/D:
 * on a line steeper than γ it rises, on a flatter one it sinks. Towed level for long it comes to the depth z∞(ℓ) that a
 * line of what is still out gives (hydro/towed-line.ts), where φ = γ. In between, the bow of the line is taken as the level
 * one's, and never flatter than the straight line to the rod's tip:
 *     sin φ = max( sin γ (z + h)/(z∞ + h), (z + h)/ℓ ),     dz/dt = U sin δ,     dℓ/dt = −v,     U = v.
 * It falls on slack line straight down, at most as far as the line lets it hang. The current is part of v for what the
 * blades do; it does not move the lure over the ground here.
 */
import { slopeWithSinker } from '../hydro/outfit-line';
import { waterDensity, type Water } from '../hydro/water';
import { USUAL_OUTFIT, type Outfit } from '../hydro/outfit';
import { MAX_SPEED_MPS } from '../hydro/spin';
import { depthOf } from '../hydro/towed-line';
import type { Build } from '../lure/lure';
import { nominalCrossings } from './crossings';
import { pullOnLine, rides } from './ride';

export interface Retrieving {
  /** On slack line, before the first turn of the handle. */
  readonly countdownS: number;
  /** At which the line is wound in: turns of the handle a second by what one takes in. */
  readonly speedMps: number;
}

export interface PathPoint {
  readonly lineOutM: number;
  readonly timeS: number;
  readonly depthM: number;
  /** Where it would run towed level with this much out, m. */
  readonly towedM: number;
}

export type RetrievePath =
  | {
      readonly outcome: 'runs';
      readonly points: readonly PathPoint[];
      readonly deepestM: number;
      /** Depth fallen to in the countdown. */
      readonly startM: number;
      /** It hung on the line before the countdown was over. */
      readonly hung: boolean;
    }
  | { readonly outcome: 'floats' }
  | {
      readonly outcome: 'outsideModel';
      readonly quantity: 'speedMps';
      readonly value: number;
      readonly limit: number;
    };

const STEPS = 240;
/** The last of it is lifted out. */
const LIFTED_AT_M = 1.5;

/** Where the lure is from the cast to the rod: depth in m over distance in m. */
export function retrievePath(
  build: Build,
  water: Water,
  { countdownS, speedMps }: Retrieving,
  outfit: Outfit = USUAL_OUTFIT,
): RetrievePath {
  if (!(speedMps > 0 && speedMps <= MAX_SPEED_MPS)) {
    return { outcome: 'outsideModel', quantity: 'speedMps', value: speedMps, limit: speedMps > 0 ? MAX_SPEED_MPS : 0 };
  }
  const { sinkMps } = nominalCrossings(build, water, outfit);
  if (sinkMps === null) return { outcome: 'floats' };
  const { tipHeightM: h, lineOutM } = outfit;
  const lifted = Math.min(lineOutM, Math.max(LIFTED_AT_M, h));
  const lengths = Array.from({ length: STEPS + 1 }, (_, i) => lineOutM + ((lifted - lineOutM) * i) / STEPS);
  const [ride] = rides(build, water, [speedMps], outfit, lengths).at;
  const setting = { waterDensityKgM3: waterDensity(water), tipHeightM: h, speedMps };
  const slopeRad = ride ? slopeWithSinker(outfit, pullOnLine(ride.trim), setting) : 0;
  const levelM = lengths.map((_, i) => depthOf(ride?.lines[i]));
  const hangsAtM = Math.max(0, lineOutM - h);
  const startM = Math.min(sinkMps * countdownS, hangsAtM);
  let z = startM;
  const points: PathPoint[] = [{ lineOutM, timeS: 0, depthM: z, towedM: levelM[0] ?? 0 }];
  for (let i = 1; i <= STEPS; i++) {
    const [from = 0, to = 0] = [lengths[i - 1], lengths[i]];
    const dt = (from - to) / speedMps;
    const sinks = (depthM: number) =>
      sinkingMps({ speedMps, slopeRad, levelM: levelM[i] ?? 0, depthM, lineOutM: to, tipHeightM: h });
    // Midpoint rule; the surface stops it, and so does the line: straight down is as deep as it can hang.
    const half = Math.max(0, z + (dt / 2) * sinks(z));
    z = Math.min(Math.max(0, z + dt * sinks(half)), Math.max(0, to - h));
    points.push({ lineOutM: to, timeS: (points.at(-1)?.timeS ?? 0) + dt, depthM: z, towedM: levelM[i] ?? 0 });
  }
  return {
    outcome: 'runs',
    points,
    deepestM: Math.max(...points.map(({ depthM }) => depthM)),
    startM,
    hung: sinkMps * countdownS > hangsAtM,
  };
}

/**
 * How fast a lure sinks that is wound in, m/s; below zero it rises.
 * @param at speed it is wound in at, slope of its line towed level, the depth it then comes to with so much line out, and where it is
 */
export function sinkingMps(at: {
  readonly speedMps: number;
  readonly slopeRad: number;
  readonly levelM: number;
  readonly depthM: number;
  readonly lineOutM: number;
  readonly tipHeightM: number;
}): number {
  const { speedMps, slopeRad, levelM, depthM, lineOutM, tipHeightM: h } = at;
  const bowed = (Math.sin(slopeRad) * (depthM + h)) / (levelM + h || 1e-9);
  const sinLine = Math.min(1, Math.max(bowed, (depthM + h) / lineOutM));
  const along = Math.asin(Math.min(1, Math.tan(slopeRad) * Math.sqrt(1 - sinLine ** 2)));
  return speedMps * Math.sin(along - Math.asin(sinLine));
}
