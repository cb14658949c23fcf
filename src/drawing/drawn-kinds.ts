/**
 * How each kind of part is drawn: on the lure, its front at x = 0 and its line at y = 0, and alone, in lists. Millimetres.
 * A kind that is missing here is a type error.
 */
import { stateOf } from '../core/lure/item-state';
import type { Item } from '../core/lure/lure';
import type { LineKind } from '../core/geometry/placed';
import { outsideRadius } from '../core/geometry/outside-radius';
import { walkWire } from '../core/carriers/wire-path';
import { radiusProfile, type BoredPart } from '../core/parts/bored';
import type { Part, PartKind, PartOf } from '../core/parts/part';
import { skirtForm } from '../core/parts/skirt-form';
import { bodyShapes, deltaFlat, headShapes, keeperShapes, lockShapes, swivelShapes } from './bait-shapes';
import { leadPaths, wireStrokes } from './bent-wire';
import { faceOnShapes, underBellyShapes } from './blade-mesh';
import { edgeOf } from './colour';
import { paintOf } from './paint';
import { clevisOutline } from './clevis-outline';
import { boredShapes, dressingShapes, filmFaceOn, hookShapes, OUTLINE_MM, ringShapes } from './part-shapes';
import { polyline, rectangle } from './path';
import { baitShapes, discShapes, linkShapes, snapShapes, stopShapes } from './line-shapes';
import { softHalfM } from '../core/parts/soft-form';
import { nailLengthM } from '../core/parts/kinds/nail-weight';
import { bodyBox, lureBodyShapes, nailShapes, screwEyeShapes, skinStrip } from './lure-body-shapes';
import { skirtShapes, stripShapes, trailerShapes } from './soft-shapes';
import type { CoveredPoint } from '../core/geometry/covered-point';
import type { Shape } from './shape';

const MM = 1000;

/** A part alone: its shapes and the box they fill. */
export interface Portrait {
  readonly shapes: readonly Shape[];
  readonly width: number;
  readonly height: number;
  /** Left edge and middle of the box in the shapes' own coordinates, where they are not 0. */
  readonly left?: number;
  readonly middle?: number;
}

/** A piece as it sits on a lure. */
export interface Piece {
  readonly item: Item;
  /** Which of its carrier's lines it lies along. */
  readonly line: LineKind;
  /** From where to where it lies along its line, m. */
  readonly lengthM: number;
  readonly holder: Part | null;
  readonly held: readonly Part[];
  /** Of a soft body that covers a point: where that ends, behind its front and above its axis, m; null of others. */
  readonly covers: CoveredPoint | null;
}

/**
 * Where a kind is painted. What hangs or is tied lies behind the wire, soft tails before hooks, and before the wire the
 * head, then its skirt, then the lock about that. What turns is painted with the blades, a tube over what it covers, and
 * what is within something else with that.
 */
export type Depth = 'behind' | 'tail' | 'wire' | 'head' | 'skirt' | 'lock' | 'turns' | 'covers' | 'within';

export interface DrawnKind<P> {
  readonly depth: Depth;
  /** What its drawing hangs on: the part and which way round it is, or all of the piece. */
  readonly follows: 'part' | 'piece';
  readonly shapes: (part: P, piece: Piece) => Shape[];
  /** Half the height to take hold of it by, m. */
  readonly reachM: (part: P, piece: Piece) => number;
  readonly portrait: (part: P) => Portrait;
}

/** Nothing of it is drawn by itself. */
/** A shrink tube before the flame: straight, as wide as it is sold; from x = 0, mm. */
export function tubeAsSold({ suppliedBoreM, suppliedWallM, finish }: PartOf<'shrinkTube'>, lengthMm: number) {
  const radius = (suppliedBoreM * MM) / 2 + suppliedWallM * MM;
  const shapes: Shape[] = [{ d: rectangle(0, -radius, lengthMm, radius), fill: paintOf(finish, 'across') }];
  return { radius, shapes };
}

const ELSEWHERE = { follows: 'part', shapes: () => [], reachM: outsideRadius } as const;
const PART = { follows: 'part', reachM: outsideRadius } as const;

function turned(reachM: number): DrawnKind<BoredPart> {
  return {
    depth: 'wire',
    follows: 'part',
    shapes: (part, { item }) => boredShapes(part, item.flipped),
    reachM: () => reachM,
    portrait: (part) => ({
      shapes: boredShapes(part, false),
      width: part.lengthM * MM,
      height: 2 * Math.max(outsideRadius(part), ...radiusProfile(part).map(({ radiusM }) => radiusM)) * MM,
    }),
  };
}

const SMALL = turned(0.003);

/** A skirt lock lies about a collar this thick where none is known, m. */
const USUAL_COLLAR_M = 0.006;

function collarOf({ holder }: Piece): number {
  return holder?.kind === 'skirt' ? holder.collarDiameterM : USUAL_COLLAR_M;
}

/** A length of wire or line. */
const STOCK = {
  ...ELSEWHERE,
  depth: 'within',
  portrait: ({ diameterM, finish }: Pick<PartOf<'wire' | 'line'>, 'diameterM' | 'finish'>) => ({
    shapes: [{ d: rectangle(0, (-diameterM * MM) / 2, 24, (diameterM * MM) / 2), fill: paintOf(finish, 'across') }],
    width: 24,
    height: 4,
  }),
} as const;

export const DRAWN: { readonly [K in PartKind]: DrawnKind<PartOf<K>> } = {
  wire: STOCK,
  line: STOCK,
  snap: {
    ...PART,
    depth: 'behind',
    shapes: snapShapes,
    portrait: (part) => ({ shapes: snapShapes(part), width: part.lengthM * MM, height: part.widthM * MM * 1.2 }),
  },
  stop: {
    ...PART,
    depth: 'wire',
    shapes: stopShapes,
    portrait: (part) => ({ shapes: stopShapes(part), width: part.lengthM * MM, height: part.diameterM * MM }),
  },
  bait: {
    depth: 'covers',
    follows: 'piece',
    shapes: (part) => baitShapes(part),
    reachM: ({ bodyM }) => bodyM / 2,
    portrait: (part) => ({ shapes: baitShapes(part), width: part.lengthM * MM, height: part.bodyM * MM * 1.3 }),
  },
  link: {
    depth: 'behind',
    follows: 'piece',
    shapes: (part, { lengthM }) => linkShapes(part, lengthM * MM),
    reachM: () => 0.0008,
    portrait: (part) => ({ shapes: linkShapes(part, 24), width: 24, height: 4 }),
  },
  lureBody: {
    ...ELSEWHERE,
    depth: 'within',
    portrait: (part) => ({ shapes: lureBodyShapes(part), ...bodyBox(part) }),
  },
  screwEye: {
    depth: 'behind',
    follows: 'piece',
    shapes: (part, { item: { seat } }) => screwEyeShapes(part, seat.on !== 'body' || seat.side === 'belly'),
    reachM: outsideRadius,
    portrait: (part) => ({
      shapes: [skinStrip(6), ...screwEyeShapes(part, true)],
      width: 6,
      height: 2 * outsideRadius(part) * MM + 4,
    }),
  },
  nailWeight: {
    depth: 'lock',
    follows: 'piece',
    // Drawn from the skin it goes in at.
    shapes: (part, { item, holder }) => {
      const state = stateOf(item, 'nail');
      const skinM = holder?.kind === 'trailer' ? softHalfM(holder, state.atM) : 0;
      return nailShapes(part, nailLengthM(part, state) * MM, state, skinM * MM);
    },
    reachM: ({ lengthM }) => lengthM / 2,
    portrait: (part) => ({
      shapes: nailShapes(part, part.lengthM * MM, { outM: 0, leanRad: Math.PI / 2 }, 0),
      width: part.lengthM * MM,
      height: part.diameterM * MM * 1.4,
    }),
  },
  frame: { ...ELSEWHERE, depth: 'within', portrait: framePortrait },
  clevis: { ...ELSEWHERE, depth: 'turns', portrait: clevisPortrait },
  filmBlade: {
    ...ELSEWHERE,
    depth: 'turns',
    portrait: (part) => ({ shapes: filmFaceOn(part), width: part.spanM * MM, height: part.widthM * MM }),
  },
  deltaBlade: {
    ...ELSEWHERE,
    depth: 'turns',
    portrait: (part) => ({ shapes: deltaFlat(part), width: part.lengthM * MM, height: part.spanM * MM }),
  },
  blade: {
    ...PART,
    depth: 'behind',
    // Under a belly it hangs flat along the body, so that its edge is seen.
    follows: 'piece',
    shapes: (part, { line, item }) => (line === 'skin' ? underBellyShapes(part, item.flipped) : faceOnShapes(part)),
    portrait: (part) => ({ shapes: faceOnShapes(part, 'small'), width: part.lengthM * MM, height: part.widthM * MM }),
  },
  bead: SMALL,
  sleeve: SMALL,
  striker: SMALL,
  cap: SMALL,
  weight: SMALL,
  rivet: SMALL,
  bell: turned(0.005),
  splitRing: {
    ...PART,
    depth: 'behind',
    shapes: ringShapes,
    portrait: (part) => ({
      shapes: ringShapes(part),
      width: part.outerDiameterM * MM,
      height: part.outerDiameterM * MM,
    }),
  },
  hook: {
    ...PART,
    depth: 'behind',
    shapes: hookShapes,
    portrait: (part) => ({ shapes: hookShapes(part), width: part.lengthM * MM, height: part.gapM * 2.2 * MM }),
  },
  dressing: {
    ...PART,
    depth: 'behind',
    shapes: dressingShapes,
    portrait: (part) => ({
      shapes: dressingShapes(part),
      width: part.fibreLengthM * MM,
      height: part.bulkM * 1.3 * MM,
    }),
  },
  shrinkTube: {
    ...ELSEWHERE,
    depth: 'covers',
    portrait: (part) => {
      const { radius, shapes } = tubeAsSold(part, 18);
      return { shapes, width: 18, height: 2 * radius };
    },
  },
  head: {
    ...PART,
    depth: 'head',
    shapes: headShapes,
    portrait: (part) => ({
      shapes: headShapes(part),
      width: (part.lengthM + part.collarLengthM) * MM,
      height: part.heightM * MM,
    }),
  },
  swivel: {
    ...PART,
    depth: 'behind',
    shapes: swivelShapes,
    portrait: (part) => ({ shapes: swivelShapes(part), width: part.lengthM * MM, height: part.barrelDiameterM * MM }),
  },
  body: {
    ...PART,
    depth: 'behind',
    shapes: bodyShapes,
    portrait: (part) => ({ shapes: bodyShapes(part), width: part.lengthM * MM, height: part.diameterM * MM }),
  },
  keeper: {
    ...PART,
    depth: 'behind',
    shapes: keeperShapes,
    reachM: () => 0.006,
    portrait: (part) => ({ shapes: keeperShapes(part), width: part.legM * MM, height: 2.4 * part.standM * MM }),
  },
  hookDisc: {
    ...PART,
    depth: 'head',
    shapes: discShapes,
    portrait: (part) => ({ shapes: discShapes(part), width: part.thicknessM * MM, height: part.diameterM * MM }),
  },
  trailer: {
    depth: 'tail',
    follows: 'piece',
    shapes: (part, { item, covers }) => trailerShapes(part, stateOf(item, 'trailer'), item.flipped, covers),
    reachM: ({ bodyM }) => bodyM / 2,
    portrait: (part) => ({
      shapes: trailerShapes(part, { of: 'trailer', cutM: 0, rounded: false, crookedRad: 0 }, false),
      width: part.lengthM * MM,
      height: part.bodyM * MM * 1.6,
    }),
  },
  skirt: {
    depth: 'skirt',
    follows: 'piece',
    shapes: (part, { item, held }) => skirtShapes(part, skirtForm(part, stateOf(item, 'skirt'), item.flipped, held)),
    reachM: () => 0.006,
    portrait: skirtPortrait,
  },
  skirtLayer: {
    ...ELSEWHERE,
    depth: 'within',
    portrait: (part) => {
      const length = part.lengthM * MM * 0.5;
      return {
        shapes: stripShapes(part.finish.hex, part.accentHex, part.strands, length, part.strandWidthM * MM),
        width: length,
        height: Math.min(part.strands, 14) * Math.max(part.strandWidthM * MM, 0.9),
      };
    },
  },
  softWire: {
    depth: 'lock',
    follows: 'piece',
    shapes: (part, piece) => lockShapes(part, stateOf(piece.item, 'lock').turns, collarOf(piece), piece.lengthM),
    reachM: (_, piece) => collarOf(piece) / 2,
    portrait: ({ diameterM, finish }) => ({
      shapes: wireStrokes('M0 0C4 -3 8 3 12 0C16 -3 20 3 24 0', diameterM * MM, finish.hex),
      width: 24,
      height: 6,
    }),
  },
};

export function drawnKind<P extends Part>({ kind }: P): DrawnKind<P> {
  // A kind draws the parts of its own kind, and this part is of its kind.
  return DRAWN[kind] as unknown as DrawnKind<P>;
}

export function portrait(part: Part): Portrait {
  return drawnKind(part).portrait(part);
}

function clevisPortrait(part: PartOf<'clevis'>): Portrait {
  const span = (part.legGapM + 2 * part.legThicknessM) * MM;
  const { legs, bow } = clevisOutline(part, span, 1);
  const { hex } = part.finish;
  return {
    shapes: [
      { d: bow, stroke: edgeOf(hex, 0.3), strokeWidth: part.lobeThicknessM * MM, round: true },
      { d: legs, fill: hex, stroke: edgeOf(hex, 0.5), strokeWidth: OUTLINE_MM },
    ],
    width: span,
    height: 2 * (part.dropM + part.lobeThicknessM) * MM,
  };
}

function skirtPortrait({ collarLengthM, collarDiameterM, strands, finish }: PartOf<'skirt'>): Portrait {
  const collar = collarLengthM * MM;
  const reach = strands ? strands.lengthM * MM : 0;
  const tail = strands ? stripShapes(finish.hex, null, strands.count, reach, (collarDiameterM * MM) / 14) : [];
  const radius = (collarDiameterM * MM) / 2;
  return {
    shapes: [
      ...tail,
      {
        d: rectangle(0, -radius, collar, radius),
        fill: paintOf(finish, 'across'),
        stroke: edgeOf(finish.hex, 0.5),
        strokeWidth: OUTLINE_MM,
      },
    ],
    width: Math.max(collar, reach),
    height: collarDiameterM * MM * 1.4,
  };
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
