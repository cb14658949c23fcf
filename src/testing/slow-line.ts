/** A towed line the slow and obvious way: short straight pieces, each in balance by itself, walked up from the lure. For tests only. */
import type { FishingLine, LinePull, LineSetting } from '@/core/hydro/towed-line';

/**
 * Depth of the lure when the line of this length ends at the surface, m.
 * @param pieceM length of a piece; the answer is off by about as much as it turns in one
 */
export function slowDepth(
  line: FishingLine,
  pull: LinePull,
  setting: LineSetting,
  lengthM: number,
  pieceM = 0.002,
): number {
  const { waterDensityKgM3: rho, speedMps } = setting;
  let [aftN, downN, depthM] = [pull.aftN, pull.downN, 0];
  for (let s = 0; s < lengthM - 1e-9; s += pieceM) {
    const slope = Math.atan2(downN, aftN);
    const across = speedMps * Math.sin(slope);
    const along = speedMps * Math.cos(slope);
    const reynolds = line.viscosityM2S === null ? Infinity : (across * line.diameterM) / line.viscosityM2S;
    const drag = line.normalDrag * (1 + 10 * Math.max(reynolds, 1) ** (-2 / 3));
    const push = 0.5 * rho * drag * line.diameterM * across * Math.abs(across) * pieceM;
    const rub = 0.5 * rho * line.skinDrag * Math.PI * line.diameterM * along * Math.abs(along) * pieceM;
    const weight = (line.densityKgM3 - rho) * (Math.PI / 4) * line.diameterM ** 2 * 9.80665 * pieceM;
    // Across the line: back and up. Along it: back and down.
    aftN += push * Math.sin(slope) + rub * Math.cos(slope);
    downN += weight - push * Math.cos(slope) + rub * Math.sin(slope);
    depthM += Math.sin(slope) * pieceM;
  }
  return depthM;
}
