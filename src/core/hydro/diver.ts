/**
 * A diving bait with a blade ahead of it on the line. The bait's lip presses down with ½ρU²·S_d and drags with ½ρU²·A_d;
 * the blade adds its own drag to the pull on the line and leaves slower water for the lip (wake.ts): both take depth from it.
 */
import { lineShapes, type FishingLine, type LineSetting, type LineShape } from './towed-line';
import { wakeDeficit } from './wake';
import { CARRIES } from './round-the-turn';
import type { Turning } from './spin';

export interface Diver {
  /** Area its lip presses down with, and its drag area, m². */
  readonly diveM2: number;
  readonly dragM2: number;
  /** Weight in water, N; below zero for one that floats at rest. */
  readonly sinkingN: number;
  /** Half the width of its lip, m. */
  readonly lipRadiusM: number;
}

export interface BladeAhead {
  readonly turning: Turning;
  readonly weightInWaterN: number;
  /** From the blade to the lip, m. */
  readonly gapM: number;
}

/** How deep it dives with this line out. @param ahead null for the bait alone */
export function divesTo(
  diver: Diver,
  ahead: BladeAhead | null,
  line: FishingLine,
  setting: LineSetting,
  lineOutM: number,
): LineShape {
  const met = ahead ? 1 - wakeDeficit(ahead.turning, ahead.gapM, diver.lipRadiusM) : 1;
  const q = 0.5 * setting.waterDensityKgM3 * (setting.speedMps * met) ** 2;
  const pull = {
    aftN: q * diver.dragM2 + (ahead?.turning.dragN ?? 0),
    downN: q * diver.diveM2 + diver.sinkingN + (1 - CARRIES) * (ahead?.weightInWaterN ?? 0),
  };
  const [shape] = lineShapes(line, pull, setting, [lineOutM]);
  return shape ?? { outcome: 'surfaces' };
}
