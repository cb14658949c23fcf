/** A page of paper as marks in millimetres, x right and y down from its top left corner. One page is shown, printed and written as PDF. */

export const PAPERS = {
  a4: { name: 'A4', widthMm: 210, heightMm: 297 },
  letter: { name: 'Letter', widthMm: 215.9, heightMm: 279.4 },
  a6: { name: 'A6', widthMm: 105, heightMm: 148 },
} as const;
export type PaperName = keyof typeof PAPERS;

/** Papers that whole sheets are printed on; a card is always A6. */
export const SHEET_PAPERS = ['a4', 'letter'] as const satisfies readonly PaperName[];
export type SheetPaper = (typeof SHEET_PAPERS)[number];

export type Weight = 'regular' | 'bold';

export type Mark =
  | {
      readonly mark: 'path';
      readonly d: string;
      /** Where the path's own origin lies on the page, and its scale; negative runs to the left. */
      readonly xMm: number;
      readonly yMm: number;
      readonly scaleX: number;
      readonly scaleY: number;
      /** Turned clockwise about its origin, before it is moved there, rad. */
      readonly turnRad: number;
      readonly fill: string | null;
      readonly stroke: string | null;
      readonly strokeMm: number;
      readonly opacity: number;
    }
  | {
      readonly mark: 'text';
      readonly text: string;
      readonly xMm: number;
      /** Baseline. */
      readonly yMm: number;
      readonly sizeMm: number;
      readonly weight: Weight;
      readonly anchor: 'start' | 'middle' | 'end';
      readonly colour: string;
    };

export interface PageSize {
  readonly widthMm: number;
  readonly heightMm: number;
}

export interface Page {
  /** A paper it is printed on, or the size of a drawing that is only a file. */
  readonly paper: PaperName | PageSize;
  readonly title: string;
  readonly marks: readonly Mark[];
}

export function pageSize({ paper }: Page): PageSize {
  return typeof paper === 'string' ? PAPERS[paper] : paper;
}

/** Width of a text, mm. */
export type Measure = (text: string, sizeMm: number, weight: Weight) => number;

export function path(d: string, xMm: number, yMm: number, look: Partial<Extract<Mark, { mark: 'path' }>>): Mark {
  return {
    mark: 'path',
    d,
    xMm,
    yMm,
    scaleX: 1,
    scaleY: 1,
    turnRad: 0,
    fill: null,
    stroke: null,
    strokeMm: 0.2,
    opacity: 1,
    ...look,
  };
}

export function text(
  words: string,
  xMm: number,
  yMm: number,
  sizeMm: number,
  look: Partial<Extract<Mark, { mark: 'text' }>> = {},
): Mark {
  return {
    mark: 'text',
    text: words,
    xMm,
    yMm,
    sizeMm,
    weight: 'regular',
    anchor: 'start',
    colour: INK,
    ...look,
  };
}

export const INK = '#14201e';
export const SOFT_INK = '#4a5856';
export const CAUTION_INK = '#8a1c12';

/** The words in lines no wider than `widthMm`; a word that is wider alone is broken. */
export function wrap(words: string, widthMm: number, sizeMm: number, measure: Measure, weight: Weight = 'regular') {
  const lines: string[] = [];
  let line = '';
  for (const word of words.split(/\s+/).filter(Boolean)) {
    const longer = line === '' ? word : `${line} ${word}`;
    if (measure(longer, sizeMm, weight) <= widthMm) {
      line = longer;
      continue;
    }
    if (line !== '') lines.push(line);
    line = word;
    while (measure(line, sizeMm, weight) > widthMm && line.length > 1) {
      let take = line.length - 1;
      while (take > 1 && measure(line.slice(0, take), sizeMm, weight) > widthMm) take--;
      lines.push(line.slice(0, take));
      line = line.slice(take);
    }
  }
  if (line !== '') lines.push(line);
  return lines;
}

/** A path's place as an SVG transform. */
export function placeText({ xMm, yMm, turnRad, scaleX, scaleY }: Extract<Mark, { mark: 'path' }>): string {
  const turn = turnRad === 0 ? '' : ` rotate(${(turnRad * 180) / Math.PI})`;
  return `translate(${xMm} ${yMm})${turn} scale(${scaleX} ${scaleY})`;
}
