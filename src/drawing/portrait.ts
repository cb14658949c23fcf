import type { Part, PartOf } from '../core/parts/part';
import { radiusProfile } from '../core/parts/profile';
import { walkWire } from '../core/lure/wire-path';
import { bodyShapes, deltaFlat, headShapes, keeperShapes, swivelShapes } from './bait-shapes';
import { leadPaths, wireStrokes } from './bent-wire';
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
import { polyline, rectangle } from './path';
import { stripShapes, trailerShapes } from './soft-shapes';
import type { Shape } from './shape';

const MM = 1000;

export interface Portrait {
  readonly shapes: readonly Shape[];
  readonly width: number;
  readonly height: number;
  /** Left edge and middle of the box in the shapes' own coordinates, where they are not 0. */
  readonly left?: number;
  readonly middle?: number;
}

/** A part alone, for lists: its shapes and the box they fill, millimetres. */
export function portrait(part: Part): Portrait {
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
    case 'head':
      return {
        shapes: headShapes(part),
        width: (part.lengthM + part.collarLengthM) * MM,
        height: part.heightM * MM,
      };
    case 'swivel':
      return { shapes: swivelShapes(part), width: part.lengthM * MM, height: part.barrelDiameterM * MM };
    case 'deltaBlade':
      return { shapes: deltaFlat(part), width: part.lengthM * MM, height: part.spanM * MM };
    case 'skirt': {
      const collar = part.collarLengthM * MM;
      const reach = part.strands ? part.strands.lengthM * MM : 0;
      const strands = part.strands
        ? stripShapes(part.finish.hex, null, part.strands.count, reach, (part.collarDiameterM * MM) / 14)
        : [];
      const band = { x0: 0, x1: collar, radius: (part.collarDiameterM * MM) / 2 };
      return {
        shapes: [
          ...strands,
          {
            d: rectangle(band.x0, -band.radius, band.x1, band.radius),
            fill: paintOf(part.finish, 'across'),
            stroke: darker(part.finish.hex, 0.5),
            strokeWidth: OUTLINE_MM,
          },
        ],
        width: Math.max(collar, reach),
        height: part.collarDiameterM * MM * 1.4,
      };
    }
    case 'skirtLayer': {
      const length = part.lengthM * MM * 0.5;
      return {
        shapes: stripShapes(part.finish.hex, part.accentHex, part.strands, length, part.strandWidthM * MM),
        width: length,
        height: Math.min(part.strands, 14) * Math.max(part.strandWidthM * MM, 0.9),
      };
    }
    case 'trailer':
      return {
        shapes: trailerShapes(part, { of: 'trailer', cutM: 0, rounded: false, crookedRad: 0 }, false),
        width: part.lengthM * MM,
        height: part.bodyM * MM * 1.6,
      };
    case 'keeper':
      return { shapes: keeperShapes(part), width: part.legM * MM, height: 2.4 * part.standM * MM };
    case 'softWire':
      return {
        shapes: wireStrokes('M0 0C4 -3 8 3 12 0C16 -3 20 3 24 0', part.diameterM * MM, part.finish.hex),
        width: 24,
        height: 6,
      };
    case 'body':
      return { shapes: bodyShapes(part), width: part.lengthM * MM, height: part.diameterM * MM };
    case 'frame':
      return framePortrait(part);
    default:
      return {
        shapes: boredShapes(part, false),
        width: part.lengthM * MM,
        height: 2 * Math.max(...radiusProfile(part).map(({ radiusM }) => radiusM)) * MM,
      };
  }
}

/** The wire with a dot of its head: enough to tell frames apart. */
function framePortrait({ form, wire, head, finish }: PartOf<'frame'>): Portrait {
  const path = walkWire(form, wire.diameterM, { xM: head.wireAtM, yM: 0 });
  const { xM, yM, angleRad } = path.arm;
  const end = { xM: xM + form.armM * Math.cos(angleRad), yM: yM + form.armM * Math.sin(angleRad) };
  const points = [...path.sections.flatMap((section) => section.points), end];
  const xs = points.map((point) => point.xM * MM);
  const ys = points.map((point) => -point.yM * MM);
  const [left, top] = [Math.min(...xs), Math.min(...ys)];
  const right = Math.max(...xs, (head.lengthM + head.collarLengthM) * MM);
  const bottom = (head.heightM * MM) / 2;
  const middle = (top + bottom) / 2;
  const arm = polyline([
    { x: xM * MM, y: -yM * MM },
    { x: end.xM * MM, y: -end.yM * MM },
  ]);
  const shapes = [
    ...[...leadPaths(path), arm].flatMap((d) => wireStrokes(d, wire.diameterM * MM * 1.4, finish.hex)),
    ...headShapes(head),
  ];
  return { shapes, width: right - left, height: bottom - top, left, middle };
}
