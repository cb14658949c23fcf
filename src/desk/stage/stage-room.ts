/** The room a stage has for the lure itself. */
import type { StageRoom } from '@/drawing/stage-view';
import type { Size } from '@/ui/use-media';

/** Height of the line of figures at the top of a stage that is wide enough for it, px. */
export const FIGURE_LINE_PX = 56;
/** A stage so wide has room for what is written about the lure; under a narrower one it stands below. */
const LABELS_FROM_PX = 700;

export function isWideStage({ width }: Size): boolean {
  return width >= LABELS_FROM_PX;
}

export function stageRoom(size: Size): StageRoom {
  return { widthPx: size.width, heightPx: size.height, topPx: isWideStage(size) ? FIGURE_LINE_PX : 0 };
}
