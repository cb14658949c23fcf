/** Corks on the points of hooks that came on early. */
import { hookLimb } from '../core/parts/hook-form';
import type { Layout } from '../core/geometry/layout';
import type { ItemId } from '../core/lure/lure';
import { linePose, type DrawnThing } from './drawn-things';
import { limbSides } from './part-shapes';
import { rectangle } from './path';

const MM = 1000;
const CORK = '#b98a52';
const LONG_MM = 4.2;
const THICK_MM = 3;

export function corks(layout: Layout, hooks: readonly ItemId[]): DrawnThing[] {
  return layout.off.flatMap(({ item, line, x0M, offAxisM }): DrawnThing[] => {
    const { part } = item;
    if (part.kind !== 'hook' || !hooks.includes(item.id)) return [];
    const { pointTip } = hookLimb(part);
    return limbSides(part).map((side) => {
      const [x, y] = [pointTip.xM * MM, pointTip.radiusM * MM * side];
      return {
        pick: item.id,
        line: linePose(layout, line),
        atMm: x0M * MM,
        liftMm: offAxisM * MM,
        mirrored: false,
        shapes: [
          {
            d: rectangle(x - LONG_MM * 0.35, y - THICK_MM / 2, x + LONG_MM * 0.65, y + THICK_MM / 2),
            fill: CORK,
            stroke: '#6b4a22',
            strokeWidth: 0.2,
          },
        ],
        hit: { x0: x0M * MM + x - LONG_MM, x1: x0M * MM + x + LONG_MM, halfHeight: Math.abs(y) + THICK_MM },
        way: null,
      };
    });
  });
}
