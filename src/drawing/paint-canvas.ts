/**
 * Shapes painted on a canvas whose units are millimetres. Ways and gradients are made once per shape and kept while it
 * lives, so that painting a lure again after a change costs little more than its ink.
 */
import type { CanvasContext } from './canvas-context';
import type { DrawnThing } from './drawn-things';
import type { Paint } from './paint';
import type { Shape } from './shape';

const ways = new WeakMap<Shape, Path2D>();
const gradients = new WeakMap<Shape, CanvasGradient>();

export type PlacedShapes = Pick<DrawnThing, 'line' | 'atMm' | 'liftMm' | 'mirrored' | 'shapes'>;

/** Paints things in their places, back to front. */
export function paintThings(canvas: CanvasContext, things: readonly PlacedShapes[]): void {
  for (const thing of things) inPlace(canvas, thing, () => paintShapes(canvas, thing.shapes));
}

/** Draws only the outlines of things, in one colour. */
export function traceThings(canvas: CanvasContext, things: readonly DrawnThing[], colour: string): void {
  for (const thing of things) {
    inPlace(canvas, thing, () => {
      canvas.strokeStyle = colour;
      for (const shape of thing.shapes) {
        // Strands and wire are lines already: many of them, so they are traced lightly.
        const isLine = shape.fill === undefined;
        canvas.globalAlpha = isLine ? 0.45 : 0.9;
        canvas.lineWidth = isLine ? 0.16 : 0.3;
        canvas.stroke(wayOf(shape));
      }
      canvas.globalAlpha = 1;
    });
  }
}

/** Does something with the canvas in the coordinates of the thing. */
export function inPlace<T>(
  canvas: CanvasContext,
  { line, atMm, liftMm, mirrored }: Omit<PlacedShapes, 'shapes'>,
  act: () => T,
): T {
  canvas.save();
  canvas.translate(line.xMm, line.yMm);
  if (line.turnRad !== 0) canvas.rotate(line.turnRad);
  canvas.translate(atMm, -liftMm);
  if (mirrored) canvas.scale(-1, 1);
  const answer = act();
  canvas.restore();
  return answer;
}

export function paintShapes(canvas: CanvasContext, shapes: readonly Shape[]): void {
  canvas.lineJoin = 'round';
  for (const shape of shapes) {
    const { fill, stroke, strokeWidth = 1, opacity = 1, round, dash } = shape;
    const way = wayOf(shape);
    canvas.globalAlpha = opacity;
    if (fill !== undefined) {
      canvas.fillStyle = typeof fill === 'string' ? fill : gradientOf(canvas, shape, fill);
      canvas.fill(way);
    }
    if (stroke !== undefined) {
      canvas.strokeStyle = stroke;
      canvas.lineWidth = strokeWidth;
      canvas.lineCap = round ? 'round' : 'butt';
      if (dash) canvas.setLineDash([...dash]);
      canvas.stroke(way);
      if (dash) canvas.setLineDash([]);
    }
  }
  canvas.globalAlpha = 1;
}

function wayOf(shape: Shape): Path2D {
  let way = ways.get(shape);
  if (!way) {
    way = new Path2D(shape.d);
    ways.set(shape, way);
  }
  return way;
}

function gradientOf(canvas: CanvasContext, shape: Shape, paint: Paint): CanvasGradient {
  let gradient = gradients.get(shape);
  if (!gradient) {
    const { x0, y0, x1, y1 } = boxOfWay(shape.d);
    const size = Math.max(x1 - x0, y1 - y0);
    const [focusX, focusY] = [x0 + 0.38 * (x1 - x0), y0 + 0.3 * (y1 - y0)];
    gradient =
      paint.form === 'ball'
        ? canvas.createRadialGradient(focusX, focusY, 0, focusX, focusY, 0.75 * size)
        : canvas.createLinearGradient(0, y0, 0, y1);
    for (const { at, colour, opacity } of paint.stops) {
      gradient.addColorStop(
        at,
        opacity === 1
          ? colour
          : `${colour}${Math.round(opacity * 255)
              .toString(16)
              .padStart(2, '0')}`,
      );
    }
    gradients.set(shape, gradient);
  }
  return gradient;
}

/** The box of a way as path.ts writes them: absolute M, L, C, H, V and the two half turns of an ellipse. */
export function boxOfWay(d: string): { x0: number; y0: number; x1: number; y1: number } {
  const box = { x0: Infinity, y0: Infinity, x1: -Infinity, y1: -Infinity };
  let [x, y] = [0, 0];
  const reach = () => {
    box.x0 = Math.min(box.x0, x);
    box.x1 = Math.max(box.x1, x);
    box.y0 = Math.min(box.y0, y);
    box.y1 = Math.max(box.y1, y);
  };
  for (const [, command = '', rest = ''] of d.matchAll(/([MLCHVaZ])([^MLCHVaZ]*)/g)) {
    const numbers = (rest.match(/-?\d*\.?\d+(?:e-?\d+)?/g) ?? []).map(Number);
    if (command === 'H') x = numbers[0] ?? x;
    else if (command === 'V') y = numbers[0] ?? y;
    else if (command === 'a') {
      const [radiusX = 0, radiusY = 0] = numbers;
      box.y0 = Math.min(box.y0, y - radiusY);
      box.y1 = Math.max(box.y1, y + radiusY);
      box.x1 = Math.max(box.x1, x + 2 * radiusX);
    } else {
      for (let i = 0; i + 1 < numbers.length; i += 2) {
        [x, y] = [numbers[i] ?? x, numbers[i + 1] ?? y];
        reach();
      }
    }
    if (command === 'H' || command === 'V') reach();
  }
  return box;
}
