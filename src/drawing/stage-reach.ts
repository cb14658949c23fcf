/** How far a lure and what turns on it reach: what the stage makes room for. */
import { poseOf } from '../core/geometry/placed';
import type { Layout } from '../core/geometry/layout';
import { pointOn, type PlanePlace } from '../core/carriers/wire-path';
import type { Motion } from './motion';
import type { StageReach } from './stage-view';

/** Room for a blade somewhat wider than its pattern's usual spread, so that speed does not move the page. */
const ROOM_BEYOND_DEG = 8;
const LEAST_HALF_HEIGHT_M = 0.016;

/** The sine of the widest spread that is given room. */
export function usualSine(spreadRad: number): number {
  return Math.sin(Math.min(spreadRad + (ROOM_BEYOND_DEG * Math.PI) / 180, Math.PI / 2));
}

/** Metres above and below the axis that everything takes, at its usual sweep. */
export function heights(layout: Layout, motions: readonly Motion[]): { readonly upM: number; readonly downM: number } {
  const sweeps = motions.map(({ line, holeM, dropM, reachM, usualSpreadRad }) => {
    const { yM } = pointOn(poseOf(layout, line), holeM);
    const radiusM = dropM + reachM * usualSine(usualSpreadRad);
    return { upM: yM + radiusM, downM: radiusM - yM };
  });
  if (!layout.path) {
    const halfM = Math.max(LEAST_HALF_HEIGHT_M, ...sweeps.map(({ upM }) => upM));
    return { upM: halfM, downM: halfM };
  }
  return {
    upM: Math.max(layout.y1M, ...sweeps.map(({ upM }) => upM)) + SPARE_M,
    downM: Math.max(-layout.y0M + DRAPE_M, ...sweeps.map(({ downM }) => downM)),
  };
}

/** Room below a head for the strands that drape from it, and above an arm for the eye. */
const DRAPE_M = 0.012;
const SPARE_M = 0.002;

export function reachOf(layout: Layout, motions: readonly Motion[]): StageReach {
  const { x0M, x1M } = layout;
  return { x0M, x1M, ...heights(layout, motions) };
}

const AHEAD_OF_HOLE_M = 0.012;

/** The corners of what the turning blades can reach, m. */
export function sweptCorners(layout: Layout, motions: readonly Motion[]): PlanePlace[] {
  return motions.flatMap(({ line, holeM, dropM, reachM, spreadRad, usualSpreadRad }) => {
    const radiusM = dropM + reachM * Math.max(usualSine(usualSpreadRad), Math.sin(spreadRad));
    return [holeM - AHEAD_OF_HOLE_M, holeM + Math.max(reachM, AHEAD_OF_HOLE_M)].flatMap((alongM) =>
      [-radiusM, radiusM].map((upM) => pointOn(poseOf(layout, line), alongM, upM)),
    );
  });
}
