/**
 * A bending template at true size: the wire straight, with a mark where each bend begins and ends, measured along it with
 * its bend allowance; the form it takes; and the bar that shows whether the printer kept the size. Everything is lines and
 * words in millimetres, x right and y down; the page, the SVG, the PDF and the DXF are made from the same ones.
 */
import { wireEnd, wireOf, strandOf } from '../core/carriers/carrier';
import type { WireEnd } from '../core/parts/wire-form';
import { wireStretches } from '../core/lengths/bend-marks';
import { wireCut } from '../core/lengths/lengths';
import type { Layout } from '../core/geometry/layout';
import type { Lure } from '../core/lure/lure';
import { pointOn } from '../core/carriers/wire-path';
import { showLengthBoth, type UnitSystem } from '../core/units/write';
import { polyline, type Point } from '../drawing/path';
import { termWords } from '../words/length-words';
import { CHECK_BAR_MM, checkBarLines } from './check-bar';
import { INK, PAPERS, path, SOFT_INK, text, type Mark, type Page, type PaperName } from './page';

export type Layer = 'wire' | 'marks' | 'form' | 'bar';

export interface TemplateLine {
  readonly layer: Layer;
  readonly points: readonly Point[];
}

export interface TemplateText {
  readonly layer: Layer;
  readonly words: string;
  readonly at: Point;
  readonly sizeMm: number;
  readonly anchor: 'start' | 'middle' | 'end';
}

export interface Template {
  readonly title: string;
  readonly lines: readonly TemplateLine[];
  readonly texts: readonly TemplateText[];
  readonly widthMm: number;
  readonly heightMm: number;
}

export interface TemplateInput {
  readonly lure: Lure;
  readonly layout: Layout;
  readonly system: UnitSystem;
  /** Room across the page, mm. */
  readonly wideMm: number;
}

const MM = 1000;
const ROW_MM = 30;
const LABEL_MM = 2.6;
const TICK_MM = 4;
/** Marks closer than this have their numbers one above the other. */
const NUMBER_ROOM_MM = 4;
const TABLE_MM = 3.2;
const TABLE_ROW_MM = 5;

export function bendingTemplate({ lure, layout, system, wideMm }: TemplateInput): Template {
  const { build } = lure;
  const wire = wireOf(build.carrier);
  const cut = wireCut(build, layout);
  const title = `${lure.name}: bending template`;
  const head: TemplateText[] = [
    words('marks', title, { x: 0, y: 6 }, 6),
    words(
      'marks',
      `${wire.name}, ${showLengthBoth(wire.diameterM, system)} · cut ${showLengthBoth(cut.cutM, system)} · marks measured along the wire, bend allowance in them`,
      { x: 0, y: 11.5 },
      3.2,
    ),
  ];
  const straight = straightWire(lure, wideMm, 26);
  const formed = formedWire(lure, layout, wideMm, straight.endsMm + 10);
  const table = markTable(lure, system, formed.endsMm + 10);
  const barMm = table.endsMm + 8;
  const bar = checkBarLines().map((points): TemplateLine => ({
    layer: 'bar',
    points: points.map(({ x, y }) => ({ x, y: y + barMm })),
  }));
  return {
    title,
    lines: [...straight.lines, ...formed.lines, ...bar],
    texts: [
      ...head,
      ...straight.texts,
      ...formed.texts,
      ...table.texts,
      words(
        'bar',
        `True size when this bar measures ${CHECK_BAR_MM} mm, and the one under it 2 in. If not, print at 100 %.`,
        { x: CHECK_BAR_MM + 6, y: barMm + 1.2 },
        2.9,
      ),
    ],
    widthMm: wideMm,
    heightMm: barMm + 8,
  };
}

function words(
  layer: Layer,
  text: string,
  at: Point,
  sizeMm: number,
  anchor: TemplateText['anchor'] = 'start',
): TemplateText {
  return { layer, words: text, at, sizeMm, anchor };
}

interface Part {
  readonly lines: TemplateLine[];
  readonly texts: TemplateText[];
  readonly endsMm: number;
}

/** The straight wire in as many rows as the page asks for; a row goes on where the last one ended. */
function straightWire(lure: Lure, wideMm: number, topMm: number): Part {
  const stretches = wireStretches(lure.build);
  const wholeMm = (stretches.at(-1)?.toM ?? 0) * MM;
  const rows = Math.max(1, Math.ceil(wholeMm / wideMm));
  const lines: TemplateLine[] = [];
  const texts: TemplateText[] = [];
  const place = (alongMm: number): Point => {
    const row = Math.min(rows - 1, Math.floor(alongMm / wideMm));
    return { x: alongMm - row * wideMm, y: topMm + row * ROW_MM };
  };
  for (let row = 0; row < rows; row++) {
    const y = topMm + row * ROW_MM;
    lines.push({
      layer: 'wire',
      points: [
        { x: 0, y },
        { x: Math.min(wideMm, wholeMm - row * wideMm), y },
      ],
    });
  }
  const tick = (alongMm: number, down: number) => {
    const { x, y } = place(alongMm);
    lines.push({
      layer: 'marks',
      points: [
        { x, y: y - TICK_MM },
        { x, y: y + down },
      ],
    });
  };
  tick(0, TICK_MM);
  let lastMm = -Infinity;
  let lane = 0;
  stretches.forEach(({ toM }, i) => {
    const alongMm = toM * MM;
    tick(alongMm, TICK_MM);
    // Numbers of marks that lie close stand one above the other.
    lane = alongMm - lastMm < NUMBER_ROOM_MM ? lane + 1 : 0;
    lastMm = alongMm;
    const { x, y } = place(alongMm);
    texts.push(words('marks', String(i + 1), { x, y: y - TICK_MM - 1 - lane * 3 }, LABEL_MM, 'middle'));
  });
  return { lines, texts, endsMm: topMm + (rows - 1) * ROW_MM + 8 };
}

/** Every mark with its place along the wire, and what lies between it and the one before. */
function markTable(lure: Lure, system: UnitSystem, topMm: number): Part {
  const texts = wireStretches(lure.build).flatMap(({ becomes, toM }, i): TemplateText[] => {
    const y = topMm + i * TABLE_ROW_MM;
    return [
      words('marks', String(i + 1), { x: 4, y }, TABLE_MM, 'end'),
      words('marks', showLengthBoth(toM, system), { x: 8, y }, TABLE_MM),
      words('marks', termWords(becomes, system), { x: 46, y }, TABLE_MM),
    ];
  });
  return { lines: [], texts, endsMm: topMm + (texts.length / 3) * TABLE_ROW_MM };
}

/** The form at true size: the wire's middle line, its edges, and a tick where each bend begins and ends. */
function formedWire(lure: Lure, layout: Layout, wideMm: number, topMm: number): Part {
  const { carrier } = lure.build;
  const halfMm = (strandOf(carrier) * MM) / 2;
  const middle = middleLine(lure, layout);
  const xs = middle.map(({ x }) => x);
  const ys = middle.map(({ y }) => y);
  const shift = {
    x: Math.max(0, (wideMm - (Math.max(...xs) - Math.min(...xs))) / 2) - Math.min(...xs),
    y: topMm - Math.min(...ys),
  };
  const moved = (points: readonly Point[]) => points.map(({ x, y }) => ({ x: x + shift.x, y: y + shift.y }));
  const sections = layout.path?.sections ?? [];
  const ticks = sections
    .filter(({ section }) => section.section === 'bend')
    .flatMap(({ start, end }) =>
      [start, end].map((pose): TemplateLine => {
        const across = [-2.2 / MM, 2.2 / MM].map((upM) => pointOn(pose, 0, upM));
        return { layer: 'marks', points: moved(across.map(({ xM, yM }) => ({ x: xM * MM, y: -yM * MM }))) };
      }),
    );
  const stretches = wireStretches(lure.build);
  const names = sections.flatMap(({ section, index, points }): TemplateText[] => {
    const at = points[Math.floor(points.length / 2)];
    if (section.section === 'straight' || !at) return [];
    const [place] = moved([{ x: at.xM * MM, y: -at.yM * MM }]);
    // Sections follow the length that is cast into the head.
    const mark = stretches.findIndex(({ becomes }) => becomes.code === 'inHead') + 1 + index;
    return place
      ? [words('marks', `${mark}–${mark + 1}`, { x: place.x - 4, y: place.y - 3 + (index % 2) * 6 }, LABEL_MM, 'end')]
      : [];
  });
  return {
    lines: [
      { layer: 'form', points: moved(middle) },
      ...[-halfMm, halfMm].map((by): TemplateLine => ({ layer: 'form', points: moved(beside(middle, by)) })),
      ...ticks,
    ],
    texts: names,
    endsMm: topMm + Math.max(...ys) - Math.min(...ys),
  };
}

function middleLine({ build }: Lure, layout: Layout): Point[] {
  const { carrier } = build;
  const onRun = (alongM: number, upM = 0): Point => {
    const { xM, yM } = pointOn(layout.lines.run, alongM, upM);
    return { x: xM * MM, y: -yM * MM };
  };
  const lead = (layout.path?.sections ?? []).flatMap(({ points }, i) =>
    (i === 0 ? points : points.slice(1)).map(({ xM, yM }) => ({ x: xM * MM, y: -yM * MM })),
  );
  const shaft = layout.path ? [onRun(layout.shaft.x1M)] : [onRun(layout.shaft.x0M), onRun(layout.shaft.x1M)];
  const d = strandOf(carrier);
  // A nose that is in its head has no loop.
  const noseLoop = loop(wireEnd(carrier, 'nose'), d, layout.shaft.x0M, -1);
  const tailLoop = loop(wireEnd(carrier, 'tail'), d, layout.shaft.x1M, 1);
  return [
    ...noseLoop.toReversed().map(([alongM, upM]) => onRun(alongM, upM)),
    ...lead,
    ...shaft,
    ...tailLoop.map(([alongM, upM]) => onRun(alongM, upM)),
  ];
}

/** The end from the shaft outward: through its wraps and once round its loop, or turned down. */
function loop(end: WireEnd, wireM: number, fromM: number, way: 1 | -1): [number, number][] {
  switch (end.form) {
    // Line has no template.
    case 'knot':
    case 'tiedLoop':
    case 'plain':
      return [];
    case 'bentOver':
      return [[fromM + way * wireM, -end.lengthM]];
    case 'wrappedLoop':
    case 'bentLoop': {
      const radiusM = (end.insideDiameterM + wireM) / 2;
      const neckM = fromM + way * (end.form === 'wrappedLoop' ? end.wraps * wireM : 0);
      const open = end.form === 'bentLoop' ? end.gapM / radiusM : 0;
      const round = Array.from({ length: 37 }, (_, i): [number, number] => {
        const angle = Math.PI - (i / 36) * (2 * Math.PI - open);
        return [neckM + way * (radiusM + radiusM * Math.cos(angle)), radiusM * Math.sin(angle)];
      });
      return round;
    }
  }
}

/** A line beside another, `by` to its right. */
function beside(points: readonly Point[], by: number): Point[] {
  return points.map((point, i) => {
    const [a, b] = [points[Math.max(i - 1, 0)] ?? point, points[Math.min(i + 1, points.length - 1)] ?? point];
    const length = Math.hypot(b.x - a.x, b.y - a.y) || 1;
    return { x: point.x - ((b.y - a.y) / length) * by, y: point.y + ((b.x - a.x) / length) * by };
  });
}

const LOOKS: Readonly<Record<Layer, { readonly stroke: string; readonly strokeMm: number }>> = {
  wire: { stroke: INK, strokeMm: 0.35 },
  marks: { stroke: SOFT_INK, strokeMm: 0.2 },
  form: { stroke: INK, strokeMm: 0.2 },
  bar: { stroke: '#000000', strokeMm: 0.25 },
};

const MARGIN_MM = 12;

/** Room for a template across this paper, mm. */
export function templateWidth(paper: PaperName): number {
  return PAPERS[paper].widthMm - 2 * MARGIN_MM;
}

/** The template as one drawing, as large as it is: for a file. */
export function templateDrawing(template: Template): Page {
  const box = boxOf(template);
  const size = { widthMm: box.x1 + 2 * MARGIN_MM, heightMm: box.y1 + 2 * MARGIN_MM };
  return { paper: size, title: template.title, marks: marksAt(template, MARGIN_MM, MARGIN_MM) };
}

/**
 * The template on pages of this paper: one, or where it is larger as many as it takes, side by side and below each other,
 * with a cross at each corner where they join.
 */
export function templatePages(template: Template, paper: PaperName): Page[] {
  const { widthMm, heightMm } = PAPERS[paper];
  const [tileMm, tallMm] = [widthMm - 2 * MARGIN_MM, heightMm - 2 * MARGIN_MM];
  const box = boxOf(template);
  const across = Math.max(1, Math.ceil((box.x1 - SLACK_MM) / tileMm));
  const down = Math.max(1, Math.ceil((box.y1 - SLACK_MM) / tallMm));
  const pages: Page[] = [];
  for (let row = 0; row < down; row++) {
    for (let column = 0; column < across; column++) {
      const marks = marksAt(template, MARGIN_MM - column * tileMm, MARGIN_MM - row * tallMm);
      const joins = across * down === 1 ? [] : joiningMarks({ row, column, across, down, tileMm, tallMm });
      pages.push({ paper, title: template.title, marks: [...marks, ...joins] });
    }
  }
  return pages;
}

/** What may hang over the last page's edge into its margin. */
const SLACK_MM = 4;
const CROSS_MM = 4;

interface Tile {
  readonly row: number;
  readonly column: number;
  readonly across: number;
  readonly down: number;
  readonly tileMm: number;
  readonly tallMm: number;
}

/** Crosses at the corners of what a page shows of the whole, and which page it is. Laid cross on cross the pages join. */
function joiningMarks({ row, column, across, down, tileMm, tallMm }: Tile): Mark[] {
  const corners = [0, 1].flatMap((right) => [0, 1].map((below) => ({ right, below })));
  const inner = corners.filter(({ right, below }) => {
    const [x, y] = [column + right, row + below];
    return (x > 0 && x < across) || (y > 0 && y < down);
  });
  const crosses = inner.flatMap(({ right, below }): Mark[] => {
    const [x, y] = [MARGIN_MM + right * tileMm, MARGIN_MM + below * tallMm];
    return [
      path(`M${-CROSS_MM} 0H${CROSS_MM}`, x, y, { stroke: INK, strokeMm: 0.2 }),
      path(`M0 ${-CROSS_MM}V${CROSS_MM}`, x, y, { stroke: INK, strokeMm: 0.2 }),
    ];
  });
  const number = row * across + column + 1;
  const words = `Page ${number} of ${across * down}: row ${row + 1}, from the left ${column + 1}. Lay cross on cross and tape.`;
  return [...crosses, text(words, MARGIN_MM, MARGIN_MM + tallMm + 8, 2.9, { colour: SOFT_INK })];
}

/** How far the template reaches, mm from its top left. */
function boxOf({ lines, widthMm, heightMm }: Template): { readonly x1: number; readonly y1: number } {
  let [x1, y1] = [widthMm, heightMm];
  for (const { points } of lines) {
    for (const { x, y } of points) {
      x1 = Math.max(x1, x);
      y1 = Math.max(y1, y);
    }
  }
  return { x1, y1 };
}

function marksAt(template: Template, xMm: number, yMm: number): Mark[] {
  const lines = template.lines.map(({ layer, points }): Mark => path(polyline(points), xMm, yMm, LOOKS[layer]));
  const texts = template.texts.map((each): Mark =>
    text(each.words, xMm + each.at.x, yMm + each.at.y, each.sizeMm, {
      anchor: each.anchor,
      colour: each.sizeMm > 4 ? INK : SOFT_INK,
      weight: each.sizeMm > 4 ? 'bold' : 'regular',
    }),
  );
  return [...lines, ...texts];
}
