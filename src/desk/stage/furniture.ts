/** What always stands on the stage beside the lure: the line of figures, the tools, the rule. */
import { polygonOf, type Polygon } from '@/drawing/labels/ground';
import { RULE_PX, type StageView } from '@/drawing/stage-view';
import { FIGURE_LINE_PX } from './stage-room';

const TOOLS_PX = { width: 48, height: 292 };

export function furniture({ widthPx, heightPx }: StageView): Polygon[] {
  return [
    { left: 0, top: 0, width: widthPx, height: FIGURE_LINE_PX },
    { left: widthPx - TOOLS_PX.width, top: heightPx - RULE_PX - TOOLS_PX.height, ...TOOLS_PX },
    { left: 0, top: heightPx - RULE_PX, width: widthPx, height: RULE_PX },
  ].map(polygonOf);
}
