/** A PDF read back by a reader of its own: its size, its words, and its level lines measured. */
import { getDocument, OPS } from 'pdfjs-dist/legacy/build/pdf.mjs';

const POINTS_PER_MM = 72 / 25.4;

type Matrix = readonly number[];

function times(m: Matrix, n: Matrix): Matrix {
  const [a = 1, b = 0, c = 0, d = 1, e = 0, f = 0] = m;
  const [g = 1, h = 0, i = 0, j = 1, k = 0, l = 0] = n;
  return [a * g + c * h, b * g + d * h, a * i + c * j, b * i + d * j, a * k + c * l + e, b * k + d * l + f];
}

export interface ReadPdf {
  readonly pages: number;
  readonly widthMm: number;
  readonly heightMm: number;
  readonly words: string;
  /** Straight horizontal strokes, mm. */
  readonly levelLinesMm: readonly number[];
}

export async function readPdf(bytes: Uint8Array): Promise<ReadPdf> {
  const document = await getDocument({ data: Uint8Array.from(bytes), verbosity: 0 }).promise;
  const page = await document.getPage(1);
  const { width, height } = page.getViewport({ scale: 1 });
  const content = await page.getTextContent();
  const words = content.items.map((item) => ('str' in item ? item.str : '')).join(' ');
  const { fnArray, argsArray } = await page.getOperatorList();
  const levelLinesMm: number[] = [];
  const stack: Matrix[] = [];
  let now: Matrix = [1, 0, 0, 1, 0, 0];
  fnArray.forEach((operator, i) => {
    const args = argsArray[i] as unknown[];
    if (operator === OPS.save) stack.push(now);
    else if (operator === OPS.restore) now = stack.pop() ?? now;
    else if (operator === OPS.transform) now = times(now, args as number[]);
    else if (operator === OPS.constructPath) {
      // One path: [x0, y0, x1, y1] is its box, in its own units.
      const box = args[2] as ArrayLike<number> | undefined;
      if (!box) return;
      const [x0 = 0, y0 = 0, x1 = 0, y1 = 0] = Array.from(box);
      const [a = 1, , , d = 1] = now;
      if (Math.abs((y1 - y0) * d) < 1e-6) levelLinesMm.push(Math.abs((x1 - x0) * a) / POINTS_PER_MM);
    }
  });
  return {
    pages: document.numPages,
    widthMm: width / POINTS_PER_MM,
    heightMm: height / POINTS_PER_MM,
    words,
    levelLinesMm,
  };
}
