/** A sinker ahead of the lure against the depth of the water, the speed and the current: whether it comes down, and what would. */
import { fishingLine, OUTFIT_RANGES, type Outfit } from '../../hydro/outfit';
import { rigsOver } from '../../hydro/outfit-line';
import { waterDensity, type Water } from '../../hydro/water';
import type { Build } from '../../lure/lure';
import { pullOnLine, rides } from '../../predict/ride';
import { noRepairs, type Finding } from '../finding';

/** Where a lure is fished: with what, and over how much water. */
export interface FishedOver {
  readonly outfit: Outfit;
  /** Depth of the bottom, m. */
  readonly bottomM: number;
}

/** Steps of the line for this: a centimetre is near enough. */
const STEPS = 40;
/** To half a per cent between the least and the most. */
const HALVINGS = 10;

/** @param speedMps through the water, so with the current in it */
export function sinkerFindings(
  build: Build,
  water: Water,
  speedMps: number,
  { outfit, bottomM }: FishedOver,
): Finding[] {
  const { sinker } = outfit;
  const trim = sinker && rides(build, water, [speedMps], outfit).at[0]?.trim;
  if (!sinker || !trim) return [];
  const setting = { waterDensityKgM3: waterDensity(water), speedMps, tipHeightM: outfit.tipHeightM };
  const [line, pull] = [fishingLine(outfit.line), pullOnLine(trim)];
  const rig = (massKg: number, lineOutM: number) =>
    rigsOver(line, { ...sinker, massKg }, pull, setting, [lineOutM], bottomM, STEPS)[0];
  const reaches = (massKg: number, lineOutM: number) => {
    const shape = rig(massKg, lineOutM);
    return shape?.outcome === 'sinks' && shape.isOnBottom;
  };
  const now = rig(sinker.massKg, outfit.lineOutM);
  const runs = now?.outcome === 'sinks' ? now : null;
  const isOnBottom = runs?.isOnBottom ?? false;
  // What slides on the line may be meant to swim; what walks or hangs on an arm is meant for the bottom.
  const isForBottom = sinker.style === 'walking' || sinker.style === 'threeWay';
  const least = (most: number, from: number, holds: (value: number) => boolean) =>
    isOnBottom || !holds(most) ? null : leastThat(from, most, holds);
  return [
    {
      code: 'sinkerReach',
      key: 'sinkerReach',
      severity: isForBottom && !isOnBottom ? 'caution' : 'good',
      items: [],
      bottomM,
      isOnBottom,
      sinkerDepthM: runs?.sinkerDepthM ?? 0,
      lureOverBottomM: bottomM - (runs?.baitDepthM ?? 0),
      neededKg: least(OUTFIT_RANGES.sinkerKg.maxSi, sinker.massKg, (massKg) => reaches(massKg, outfit.lineOutM)),
      neededLineM: least(OUTFIT_RANGES.lineOutM.maxSi, outfit.lineOutM, (lineM) => reaches(sinker.massKg, lineM)),
      repairs: noRepairs,
    },
  ];
}

/** The least value that holds, between one that does not and one that does. */
function leastThat(fails: number, does: number, holds: (value: number) => boolean): number {
  let [low, high] = [fails, does];
  for (let i = 0; i < HALVINGS; i++) {
    const middle = Math.sqrt(low * high);
    if (holds(middle)) high = middle;
    else low = middle;
  }
  return high;
}
