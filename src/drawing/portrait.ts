import type { Part } from '../core/parts/part';
import { radiusProfile } from '../core/parts/profile';
import { faceOnShapes } from './blade-mesh';
import { darker } from './colour';
import { paintOf } from './paint';
import {
  boredShapes,
  clevisOutline,
  dressingShapes,
  filmFaceOn,
  hookShapes,
  OUTLINE_MM,
  ringShapes,
} from './part-shapes';
import { rectangle } from './path';
import type { Shape } from './shape';

const MM = 1000;

/** A part alone, for lists: its shapes and the box they fill, millimetres. */
export function portrait(part: Part): { shapes: Shape[]; width: number; height: number } {
  switch (part.kind) {
    case 'wire':
      return {
        shapes: [
          {
            d: rectangle(0, (-part.diameterM * MM) / 2, 24, (part.diameterM * MM) / 2),
            fill: paintOf(part.finish, 'across'),
          },
        ],
        width: 24,
        height: 4,
      };
    case 'clevis': {
      const span = (part.legGapM + 2 * part.legThicknessM) * MM;
      const { legs, bow } = clevisOutline(part, span, 1);
      const { hex } = part.finish;
      return {
        shapes: [
          { d: bow, stroke: darker(hex, 0.3), strokeWidth: part.lobeThicknessM * MM, round: true },
          { d: legs, fill: hex, stroke: darker(hex, 0.5), strokeWidth: OUTLINE_MM },
        ],
        width: span,
        height: 2 * (part.dropM + part.lobeThicknessM) * MM,
      };
    }
    case 'splitRing':
      return { shapes: ringShapes(part), width: part.outerDiameterM * MM, height: part.outerDiameterM * MM };
    case 'hook':
      return { shapes: hookShapes(part), width: part.lengthM * MM, height: part.gapM * 2.2 * MM };
    case 'dressing':
      return { shapes: dressingShapes(part), width: part.fibreLengthM * MM, height: part.bulkM * 1.3 * MM };
    case 'shrinkTube': {
      const radius = (part.suppliedBoreM * MM) / 2 + part.suppliedWallM * MM;
      return {
        shapes: [{ d: rectangle(0, -radius, 18, radius), fill: paintOf(part.finish, 'across') }],
        width: 18,
        height: 2 * radius,
      };
    }
    case 'filmBlade':
      return { shapes: filmFaceOn(part), width: part.spanM * MM, height: part.widthM * MM };
    case 'blade':
      return { shapes: faceOnShapes(part, 'small'), width: part.lengthM * MM, height: part.widthM * MM };
    default:
      return {
        shapes: boredShapes(part, false),
        width: part.lengthM * MM,
        height: 2 * Math.max(...radiusProfile(part).map(({ radiusM }) => radiusM)) * MM,
      };
  }
}
