/** Which of a stage is taken, by cells: what a label and its leader have to keep off. */
import type { Point } from '../path';

export interface Box {
  readonly left: number;
  readonly top: number;
  readonly width: number;
  readonly height: number;
}

export type Polygon = readonly Point[];

export function polygonOf({ left, top, width, height }: Box): Polygon {
  return [
    { x: left, y: top },
    { x: left + width, y: top },
    { x: left + width, y: top + height },
    { x: left, y: top + height },
  ];
}

const CELL_PX = 6;
/** Weight of what is pressed or read: rather much of the lure is covered than one cell of it. */
export const NEVER_COVERED = 60;

export class Ground {
  private readonly columns: number;
  private readonly rows: number;
  private readonly cells: Uint8Array;
  /** Weight of the taken cells above and left of each corner; made anew after something was taken. */
  private sums: Uint32Array | null = null;

  constructor(
    readonly widthPx: number,
    readonly heightPx: number,
  ) {
    this.columns = Math.max(1, Math.ceil(widthPx / CELL_PX));
    this.rows = Math.max(1, Math.ceil(heightPx / CELL_PX));
    this.cells = new Uint8Array(this.columns * this.rows);
  }

  /** A convex or simple polygon, its edge included. @param weight each cell counts as so many: what must not be covered as many */
  takePolygon(points: Polygon, weight = 1): void {
    const top = Math.max(0, Math.floor(Math.min(...points.map(({ y }) => y)) / CELL_PX));
    const bottom = Math.min(this.rows - 1, Math.floor(Math.max(...points.map(({ y }) => y)) / CELL_PX));
    for (let row = top; row <= bottom; row++) {
      const y = (row + 0.5) * CELL_PX;
      const crossings = points
        .flatMap((a, i) => {
          const b = points[(i + 1) % points.length] ?? a;
          return a.y <= y !== b.y <= y ? [a.x + ((y - a.y) / (b.y - a.y)) * (b.x - a.x)] : [];
        })
        .sort((a, b) => a - b);
      for (let i = 0; i + 1 < crossings.length; i += 2)
        this.takeRow(row, crossings[i] ?? 0, crossings[i + 1] ?? 0, weight);
    }
    this.takeWay([...points, ...points.slice(0, 1)], 0, weight);
  }

  /** A line through these points, so thick. */
  takeWay(points: readonly Point[], thicknessPx: number, weight = 1): void {
    const half = thicknessPx / 2;
    for (let i = 0; i + 1 < points.length; i++) {
      for (const { x, y } of along(points[i], points[i + 1])) {
        const [top, bottom] = [Math.floor((y - half) / CELL_PX), Math.floor((y + half) / CELL_PX)];
        for (let row = Math.max(0, top); row <= Math.min(this.rows - 1, bottom); row++)
          this.takeRow(row, x - half, x + half, weight);
      }
    }
  }

  private takeRow(row: number, fromPx: number, toPx: number, weight: number): void {
    const from = Math.max(0, Math.floor(fromPx / CELL_PX));
    const to = Math.min(this.columns - 1, Math.floor(toPx / CELL_PX));
    for (let at = row * this.columns + from; at <= row * this.columns + to; at++)
      this.cells[at] = Math.max(this.cells[at] ?? 0, weight);
    this.sums = null;
  }

  isFree(box: Box): boolean {
    return this.takenIn(box) === 0;
  }

  /** Weight of the taken cells under a box; beyond the stage nothing is free. */
  takenIn({ left, top, width, height }: Box): number {
    if (left < 0 || top < 0 || left + width > this.widthPx || top + height > this.heightPx) return Infinity;
    const sums = (this.sums ??= this.sum());
    const stride = this.columns + 1;
    const column = (px: number, most: number) => Math.min(most, Math.max(0, px));
    const x0 = column(Math.floor(left / CELL_PX), this.columns);
    const x1 = column(Math.ceil((left + width) / CELL_PX), this.columns);
    const y0 = column(Math.floor(top / CELL_PX), this.rows);
    const y1 = column(Math.ceil((top + height) / CELL_PX), this.rows);
    const at = (x: number, y: number) => sums[y * stride + x] ?? 0;
    return at(x1, y1) - at(x0, y1) - at(x1, y0) + at(x0, y0);
  }

  /** Taken cells on the straight way between two points, those nearer to its start than `spared` left out. */
  takenBetween(from: Point, to: Point, sparedPx: number): number {
    let taken = 0;
    const length = Math.hypot(to.x - from.x, to.y - from.y);
    for (let at = sparedPx; at <= length; at += CELL_PX / 2) {
      const column = Math.floor((from.x + ((to.x - from.x) * at) / length) / CELL_PX);
      const row = Math.floor((from.y + ((to.y - from.y) * at) / length) / CELL_PX);
      if (column < 0 || row < 0 || column >= this.columns || row >= this.rows) continue;
      taken += this.cells[row * this.columns + column] ?? 0;
    }
    return taken;
  }

  private sum(): Uint32Array {
    const stride = this.columns + 1;
    const sums = new Uint32Array(stride * (this.rows + 1));
    for (let row = 0; row < this.rows; row++) {
      let inRow = 0;
      for (let column = 0; column < this.columns; column++) {
        inRow += this.cells[row * this.columns + column] ?? 0;
        sums[(row + 1) * stride + column + 1] = (sums[row * stride + column + 1] ?? 0) + inRow;
      }
    }
    return sums;
  }
}

/** Points from one to the other, not further apart than half a cell. */
function along(from: Point | undefined, to: Point | undefined): Point[] {
  if (!from || !to) return [];
  const steps = Math.max(1, Math.ceil(Math.hypot(to.x - from.x, to.y - from.y) / (CELL_PX / 2)));
  return Array.from({ length: steps + 1 }, (_, i) => ({
    x: from.x + ((to.x - from.x) * i) / steps,
    y: from.y + ((to.y - from.y) * i) / steps,
  }));
}
