/** Depth against line out, towed level at one speed: the trolling curve. */
import type { Outfit } from '../hydro/outfit';
import type { Water } from '../hydro/water';
import type { Build } from '../lure/lure';
import { rides } from './ride';

/** @returns depth with each of these lengths out, m; 0 where it runs at the surface */
export function towedDepths(
  build: Build,
  water: Water,
  speedMps: number,
  outfit: Outfit,
  lengthsOutM: readonly number[],
): number[] {
  const [ride] = rides(build, water, [speedMps], outfit, lengthsOutM).at;
  return lengthsOutM.map((_, i) => {
    const line = ride?.lines[i];
    return line?.outcome === 'sinks' ? line.depthM : 0;
  });
}
