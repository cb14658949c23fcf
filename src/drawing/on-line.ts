import type { PagePose } from './drawn-things';
import type { Point } from './path';
import type { StageView } from './stage-view';

/** From pixels on the stage to pixels along a line of the lure: x along it from its origin, y to its right. */
export function onLine(view: StageView, line: PagePose): string {
  const { x, y } = fromLine(view, line, 0, 0);
  return `translate(${x} ${y}) rotate(${(line.turnRad * 180) / Math.PI})`;
}

/** A point so many pixels along a line and to its right, on the stage. */
export function fromLine(view: StageView, { xMm, yMm, turnRad }: PagePose, xPx: number, yPx: number): Point {
  const [cos, sin] = [Math.cos(turnRad), Math.sin(turnRad)];
  return {
    x: view.originX + xMm * view.pxPerMm + xPx * cos - yPx * sin,
    y: view.originY + yMm * view.pxPerMm + xPx * sin + yPx * cos,
  };
}
