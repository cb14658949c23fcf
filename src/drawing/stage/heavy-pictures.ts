/**
 * Things of very many strokes, a skirt's strands above all, kept as painted: to paint them is most of the work of painting
 * a lure, and most changes move nothing of them.
 */
import type { CanvasContext } from '../canvas-context';
import { boxOfWay, inPlace, paintShapes, paintThings, type PlacedShapes } from '../paint-canvas';
import type { Shape } from '../shape';
import { oncePer } from '../../core/once';

interface Picture {
  readonly painted: OffscreenCanvas;
  /** How it lay when it was painted. */
  readonly matrix: DOMMatrix;
  /** From the whole pixel where its origin lies to its corner, px. */
  readonly dx: number;
  readonly dy: number;
}

/** Letters of the ways of a thing from which on a picture of it is kept. */
const HEAVY_LETTERS = 3000;
/** A larger picture costs more to keep than to paint. */
const MOST_PIXELS = 2_000_000;
/** A picture moved by less than this within its pixel is the same to the eye, px. */
const SAME_WITHIN_PX = 1 / 16;
/** Ink at the rim of a stroke, px. */
const RIM_PX = 2;

const lettersOf = oncePer((shapes: readonly Shape[]) => shapes.reduce((sum, { d }) => sum + d.length, 0));

/** The box of shapes with their strokes, mm. */
const boxOf = oncePer((shapes: readonly Shape[]) => {
  const box = { x0: Infinity, y0: Infinity, x1: -Infinity, y1: -Infinity };
  for (const { d, stroke, strokeWidth = 1 } of shapes) {
    const { x0, y0, x1, y1 } = boxOfWay(d);
    const ink = stroke === undefined ? 0 : strokeWidth;
    box.x0 = Math.min(box.x0, x0 - ink);
    box.y0 = Math.min(box.y0, y0 - ink);
    box.x1 = Math.max(box.x1, x1 + ink);
    box.y1 = Math.max(box.y1, y1 + ink);
  }
  return box;
});

export class HeavyPictures {
  private readonly kept = new WeakMap<readonly Shape[], Picture>();

  /** Paints a thing in its place, from its picture where one is kept. */
  paint(canvas: CanvasContext, thing: PlacedShapes): void {
    const isHeavy = lettersOf(thing.shapes) >= HEAVY_LETTERS && typeof OffscreenCanvas !== 'undefined';
    const matrix = isHeavy ? inPlace(canvas, thing, () => canvas.getTransform()) : null;
    const picture = matrix && this.pictureOf(thing.shapes, matrix);
    if (!picture) {
      paintThings(canvas, [thing]);
      return;
    }
    canvas.save();
    canvas.resetTransform();
    const x = Math.round(matrix.e - within(picture.matrix.e));
    const y = Math.round(matrix.f - within(picture.matrix.f));
    canvas.drawImage(picture.painted, x + picture.dx, y + picture.dy);
    canvas.restore();
  }

  /** The one that is kept where it lies alike, else a new one; undefined where it would be too large. */
  private pictureOf(shapes: readonly Shape[], matrix: DOMMatrix): Picture | undefined {
    const kept = this.kept.get(shapes);
    if (kept && isSameButForPixels(kept.matrix, matrix)) return kept;
    const picture = newPicture(shapes, matrix);
    if (picture) this.kept.set(shapes, picture);
    return picture;
  }
}

/** Where in its pixel a place lies, 0 to 1. */
function within(px: number): number {
  return px - Math.floor(px);
}

/** Turned and scaled alike, and as far into a pixel. */
function isSameButForPixels(a: DOMMatrix, b: DOMMatrix): boolean {
  const isOff = (d: number) => Math.abs(d - Math.round(d)) > SAME_WITHIN_PX;
  return a.a === b.a && a.b === b.b && a.c === b.c && a.d === b.d && !isOff(a.e - b.e) && !isOff(a.f - b.f);
}

function newPicture(shapes: readonly Shape[], matrix: DOMMatrix): Picture | undefined {
  const { x0, y0, x1, y1 } = boxOf(shapes);
  const corners = [x0, x1].flatMap((x) => [y0, y1].map((y) => matrix.transformPoint({ x, y })));
  const xs = corners.map(({ x }) => x - Math.floor(matrix.e));
  const ys = corners.map(({ y }) => y - Math.floor(matrix.f));
  const [dx, dy] = [Math.floor(Math.min(...xs)) - RIM_PX, Math.floor(Math.min(...ys)) - RIM_PX];
  const [width, height] = [Math.ceil(Math.max(...xs)) + RIM_PX - dx, Math.ceil(Math.max(...ys)) + RIM_PX - dy];
  if (!(width > 0 && height > 0 && width * height <= MOST_PIXELS)) return undefined;
  const painted = new OffscreenCanvas(width, height);
  const context = painted.getContext('2d');
  if (!context) return undefined;
  const { a, b, c, d, e, f } = matrix;
  context.setTransform(a, b, c, d, within(e) - dx, within(f) - dy);
  paintShapes(context, shapes);
  return { painted, matrix, dx, dy };
}
