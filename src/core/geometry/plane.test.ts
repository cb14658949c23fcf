import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { lineToOutline, outlineToOutline, type PlanePoint } from './plane';

const at = (xM: number, yM: number): PlanePoint => ({ xM, yM });
const square = (x: number, y: number, side: number) => [
  at(x, y),
  at(x + side, y),
  at(x + side, y + side),
  at(x, y + side),
];
const moved = (points: readonly PlanePoint[], dx: number, dy: number) =>
  points.map(({ xM, yM }) => at(xM + dx, yM + dy));
const turned = (points: readonly PlanePoint[], by: number) =>
  points.map(({ xM, yM }) => at(xM * Math.cos(by) - yM * Math.sin(by), xM * Math.sin(by) + yM * Math.cos(by)));

/** The same by brute force: both rims in small steps, every pair. */
function bySteps(a: readonly PlanePoint[], b: readonly PlanePoint[]): number {
  const fine = (outline: readonly PlanePoint[]) =>
    outline.flatMap((p, i) => {
      const q = outline[(i + 1) % outline.length] ?? p;
      return Array.from({ length: 60 }, (_, n) => at(p.xM + ((q.xM - p.xM) * n) / 60, p.yM + ((q.yM - p.yM) * n) / 60));
    });
  const [rimA, rimB] = [fine(a), fine(b)];
  let nearest = Infinity;
  for (const p of rimA) for (const q of rimB) nearest = Math.min(nearest, Math.hypot(p.xM - q.xM, p.yM - q.yM));
  return nearest;
}

describe('distances in the plane', () => {
  it('known ones: side by side, corner to corner, one in the other', () => {
    expect(outlineToOutline(square(0, 0, 1), square(3, 0, 1))).toBeCloseTo(2, 12);
    expect(outlineToOutline(square(0, 0, 1), square(4, 5, 1))).toBeCloseTo(5, 12);
    expect(outlineToOutline(square(0, 0, 4), square(1, 1.5, 1))).toBeCloseTo(-1.5, 12);
    expect(outlineToOutline(square(0, 0, 2), square(1.75, 0.5, 1))).toBeCloseTo(-0.25, 12);
    expect(lineToOutline([at(5, -1), at(5, 3)], square(0, 0, 2))).toBeCloseTo(3, 12);
    expect(lineToOutline([at(1, 5), at(1, 1.5)], square(0, 0, 2))).toBeCloseTo(-0.5, 12);
    // A line that passes a corner between two of its points.
    expect(lineToOutline([at(3, 1), at(1, 3)], square(0, 0, 1.5))).toBeCloseTo(Math.SQRT1_2, 12);
  });

  it('apart: as brute force says, either way round, wherever both lie', () => {
    let apart = 0;
    fc.assert(
      fc.property(
        fc.double({ min: 0.2, max: 2, noNaN: true }),
        fc.double({ min: 0, max: 6, noNaN: true }),
        fc.double({ min: 0, max: 6, noNaN: true }),
        fc.double({ min: -3, max: 3, noNaN: true }),
        (side, dx, dy, by) => {
          const a = square(0, 0, 1);
          const b = moved(turned(square(-side / 2, -side / 2, side), by), 1.5 + dx, dy);
          const found = outlineToOutline(a, b);
          expect(outlineToOutline(b, a)).toBeCloseTo(found, 9);
          expect(outlineToOutline(moved(a, 7, -3), moved(b, 7, -3))).toBeCloseTo(found, 9);
          expect(outlineToOutline(turned(a, 0.7), turned(b, 0.7))).toBeCloseTo(found, 9);
          if (found <= 0) return;
          apart++;
          expect(Math.abs(bySteps(a, b) - found)).toBeLessThan(0.03);
        },
      ),
      { numRuns: 120, seed: 11 },
    );
    expect(apart).toBeGreaterThan(60);
  });
});
