/**
 * The build sheet: one page with the lure at its true size, a bar to check the printer by, the parts, the lengths, the order
 * of work and the cautions where they apply. The text shrinks until all of it stands on the page.
 */
import { isSame } from '../core/same';
import { carrierOfCut, type CutLength } from '../core/lengths/lengths';
import { drawnShort } from '../core/geometry/drawn-short';
import type { Layout } from '../core/geometry/layout';
import { spotOf, childrenOf, itemOf, type Item, type Lure } from '../core/lure/lure';
import { carriersOf } from '../core/lure/strung';
import { closingChecks } from '../core/make/closing-checks';
import type { Plan } from '../core/make/plan';
import type { Part } from '../core/parts/part';
import { showLength, showLengthBoth, showMass, type UnitSystem } from '../core/units/write';
import { CUT_WORDS, stretchWords, termWords } from '../words/length-words';
import { partLine, partTitle, stateWords } from '../words/part-words';
import { CLOSING_WORDS } from '../words/closing-words';
import { lastChanceWords, stepWords, unsaidAmounts } from '../words/make-words';
import { noWayWords } from '../words/no-way-words';
import { HAZARD_WORDS } from '../words/tool-words';
import { polyline } from '../drawing/path';
import { checkBarLines } from './check-bar';
import { lureInInk, placeLure } from './lure-drawing';
import {
  CAUTION_INK,
  PAPERS,
  path,
  SOFT_INK,
  text,
  wrap,
  type Mark,
  type Measure,
  type Page,
  type PaperName,
} from './page';

export interface BuildSheetInput {
  readonly lure: Lure;
  readonly familyName: string;
  readonly layout: Layout;
  readonly cuts: readonly CutLength[];
  readonly plan: Plan;
  readonly massKg: number;
  /** What wears on it, a line each. */
  readonly wears: readonly string[];
  readonly system: UnitSystem;
  readonly paper: PaperName;
  /** The day on the sheet, as the user's calendar says it. */
  readonly day: string;
}

const MARGIN_MM = 13;
const LARGEST_TEXT_MM = 3.3;
const SMALLEST_TEXT_MM = 1.45;
const SIZE_ROUNDS = 5;
const LEADING = 1.32;
const GUTTER_MM = 8;
/** Of the width, for the parts; the rest is for the work. */
const PARTS_SHARE = 0.44;

export function buildSheet(input: BuildSheetInput, measure: Measure): Page {
  const { lure, paper } = input;
  const { heightMm } = PAPERS[paper];
  const head = heading(input, measure);
  const drawing = drawn(input, head.endsMm);
  const room = heightMm - MARGIN_MM;
  const set = (sizeMm: number) => columns(input, drawing.endsMm, sizeMm, measure);
  let body = set(LARGEST_TEXT_MM);
  // As large as leaves all on the page, halving between the smallest and the largest.
  if (body.endsMm > room) {
    let [fits, tooLarge] = [SMALLEST_TEXT_MM, LARGEST_TEXT_MM];
    body = set(fits);
    for (let round = 0; round < SIZE_ROUNDS; round++) {
      const size = (fits + tooLarge) / 2;
      const tried = set(size);
      if (tried.endsMm > room) tooLarge = size;
      else [fits, body] = [size, tried];
    }
  }
  return { paper, title: `${lure.name}, build sheet`, marks: [...head.marks, ...drawing.marks, ...body.marks] };
}

interface Block {
  readonly marks: readonly Mark[];
  readonly endsMm: number;
}

function heading({ lure, familyName, massKg, layout, system, day, paper }: BuildSheetInput, measure: Measure): Block {
  const { widthMm } = PAPERS[paper];
  const wide = widthMm - 2 * MARGIN_MM;
  const [name = lure.name] = wrap(lure.name, wide - 44, 6.4, measure, 'bold');
  const state = lure.made ? `made on ${lure.made.onDay}` : 'a design';
  const long = showLengthBoth(layout.x1M - layout.x0M, system);
  return {
    marks: [
      text(name, MARGIN_MM, MARGIN_MM + 5.5, 6.4, { weight: 'bold' }),
      text(`${familyName}, ${state} · ${long} long · ${showMass(massKg, system)}`, MARGIN_MM, MARGIN_MM + 10.6, 3.3, {
        colour: SOFT_INK,
      }),
      text('Mazurka build sheet', widthMm - MARGIN_MM, MARGIN_MM + 5.5, 3.3, { anchor: 'end', colour: SOFT_INK }),
      text(day, widthMm - MARGIN_MM, MARGIN_MM + 10.6, 3.3, { anchor: 'end', colour: SOFT_INK }),
    ],
    endsMm: MARGIN_MM + 13,
  };
}

/** The lure at true size where the paper is long enough, else at the largest plain fraction of it, said so. */
function drawn({ lure, paper }: BuildSheetInput, topMm: number): Block {
  const { widthMm } = PAPERS[paper];
  const wide = widthMm - 2 * MARGIN_MM;
  const { build, layout } = drawnShort(lure.build);
  const { scale, xMm, axisMm, endsMm } = placeLure(layout, MARGIN_MM, topMm + 2, wide, [1, 0.5, 0.25]);
  const barMm = endsMm + 7;
  const words =
    scale === 1 ? 'Drawn at true size when this bar measures' : `Drawn at ${scale} of its size; this bar measures`;
  return {
    marks: [
      ...lureInInk(build, layout, xMm, axisMm, scale),
      ...checkBar(MARGIN_MM, barMm),
      text(`${words} 50 mm, and the one under it 2 in. If not, print at 100 %.`, MARGIN_MM + 56, barMm + 1.2, 2.9, {
        colour: SOFT_INK,
      }),
    ],
    endsMm: barMm + 9,
  };
}

function checkBar(xMm: number, yMm: number): Mark[] {
  return checkBarLines().map((points) => path(polyline(points), xMm, yMm, { stroke: '#000000', strokeMm: 0.25 }));
}

function columns(input: BuildSheetInput, topMm: number, sizeMm: number, measure: Measure): Block {
  const { paper } = input;
  const wide = PAPERS[paper].widthMm - 2 * MARGIN_MM;
  const left = new Column(MARGIN_MM, topMm, wide * PARTS_SHARE - GUTTER_MM / 2, sizeMm, measure);
  const right = new Column(
    MARGIN_MM + wide * PARTS_SHARE + GUTTER_MM / 2,
    topMm,
    wide * (1 - PARTS_SHARE) - GUTTER_MM / 2,
    sizeMm,
    measure,
  );
  partsInto(left, input);
  lengthsInto(left, input);
  if (input.wears.length > 0) left.head('What wears');
  for (const each of input.wears) left.row('', each);
  if (input.lure.note.trim() !== '') {
    left.head('Note');
    left.words(input.lure.note.trim());
  }
  workInto(right, input);
  return { marks: [...left.marks, ...right.marks], endsMm: Math.max(left.yMm, right.yMm) };
}

/** Text set down a column, line by line. */
class Column {
  readonly marks: Mark[] = [];

  constructor(
    private readonly xMm: number,
    public yMm: number,
    private readonly widthMm: number,
    private readonly sizeMm: number,
    private readonly measure: Measure,
  ) {}

  head(words: string) {
    this.yMm += this.sizeMm * LEADING * 1.45;
    this.marks.push(text(words, this.xMm, this.yMm, this.sizeMm * 1.2, { weight: 'bold' }));
    this.yMm += this.sizeMm * 0.45;
  }

  words(words: string, indentMm = 0, look: Parameters<typeof text>[4] = {}) {
    for (const line of wrap(words, this.widthMm - indentMm, this.sizeMm, this.measure, look.weight)) {
      this.yMm += this.sizeMm * LEADING;
      this.marks.push(text(line, this.xMm + indentMm, this.yMm, this.sizeMm, look));
    }
  }

  /** A row with something before it and something at its end. */
  row(before: string, words: string, end = '', soft = '') {
    const indentMm = before === '' ? 0 : this.sizeMm * 2.4;
    const endMm = end === '' ? 0 : this.measure(end, this.sizeMm, 'regular') + 2;
    const startsMm = this.yMm + this.sizeMm * LEADING;
    if (before !== '') this.marks.push(text(before, this.xMm, startsMm, this.sizeMm));
    if (end !== '') this.marks.push(text(end, this.xMm + this.widthMm, startsMm, this.sizeMm, { anchor: 'end' }));
    for (const line of wrap(words, this.widthMm - indentMm - endMm, this.sizeMm, this.measure)) {
      this.yMm += this.sizeMm * LEADING;
      this.marks.push(text(line, this.xMm + indentMm, this.yMm, this.sizeMm));
    }
    if (soft !== '') this.words(soft, indentMm, { colour: SOFT_INK });
    this.yMm += this.sizeMm * 0.22;
  }

  /** A caution: a warning triangle and its sentence. */
  caution(words: string, indentMm: number) {
    const s = this.sizeMm;
    const y = this.yMm + s * LEADING;
    this.marks.push(
      path(`M0 0H${s}L${s / 2} ${-s * 0.92}Z`, this.xMm + indentMm, y, { stroke: CAUTION_INK, strokeMm: s * 0.09 }),
      path(`M0 0V${-s * 0.36}`, this.xMm + indentMm + s / 2, y - s * 0.26, { stroke: CAUTION_INK, strokeMm: s * 0.13 }),
    );
    this.words(words, indentMm + s * 1.35, { colour: CAUTION_INK });
  }
}

/** Nose to tail; neighbours that are the same part stand in one row. */
function partsInto(column: Column, { lure, system }: BuildSheetInput) {
  const { build } = lure;
  column.head('Parts, nose to tail');
  for (const { carrier } of carriersOf(build)) {
    const { wire } = carrier;
    // Wire and line bear one measure in their name: the other is told. A body is told whole.
    const size =
      wire.kind === 'lureBody'
        ? partLine(wire, system)
        : showLength(wire.diameterM, system === 'metric' ? 'trade' : 'metric');
    column.row('1 ×', partTitle(wire), '', wire.kind === 'lureBody' ? size : `${size}, ${wire.maker}`);
  }
  const rows: { part: Part; count: number; extra: string }[] = [];
  for (const { part, extra } of partsInOrder(lure)) {
    const last = rows.at(-1);
    if (last && last.extra === extra && isSame(last.part, part)) last.count++;
    else rows.push({ part, count: 1, extra });
  }
  for (const { part, count, extra } of rows) {
    const line = partLine(part, system);
    const mass = showMass(part.massKg, system);
    const weighs = part.kind === 'shrinkTube' || line.includes(mass) ? '' : mass;
    column.row(`${count} ×`, partTitle(part), '', [extra, line, weighs, part.maker].filter(Boolean).join(' · '));
  }
}

/** What the wire goes through, each with what hangs on it, then the ends. */
function partsInOrder({ build }: Lure): { part: Part; extra: string }[] {
  const withHeld = (item: Item): Item[] => [item, ...childrenOf(build, item.id).flatMap(withHeld)];
  return carriersOf(build)
    .flatMap(({ id, strand }) => {
      // A clevis stands on the strand twice, once for each leg.
      const threaded = [...new Set(strand.map(({ item }) => item))].map((each) => itemOf(build, each));
      const at = (spot: 'nose' | 'tie' | 'tail') => childrenOf(build, spotOf(id, spot));
      return [...at('nose'), ...at('tie'), ...threaded, ...at('tail')];
    })
    .flatMap(withHeld)
    .map(({ part, role, state }) => ({
      part,
      extra: [role ?? '', stateWords({ part, state })].filter(Boolean).join(', '),
    }));
}

function lengthsInto(column: Column, { lure, cuts, system }: BuildSheetInput) {
  column.head('Lengths to cut');
  for (const cut of cuts) {
    const { of, item, cutM, terms } = cut;
    const carrier = carrierOfCut(lure.build, cut);
    const name = carrier?.wire.name ?? (item ? partTitle(item.part) : CUT_WORDS[of]);
    const sum = terms.map((term) => `${termWords(term, system)} ${showLength(term.lengthM, system)}`).join(' + ');
    const stretch = carrier && stretchWords(carrier, system);
    column.row('', name, showLengthBoth(cutM, system), [sum, stretch].filter((each) => each !== null).join('. '));
  }
}

function workInto(column: Column, { plan, lure, system }: BuildSheetInput) {
  column.head('Order of work');
  if (plan.outcome === 'noWay') column.caution(noWayWords(plan.why, lure.build), 0);
  else {
    plan.steps.forEach((step, i) => {
      for (const hazard of step.hazards) column.caution(HAZARD_WORDS[hazard], 0);
      const { what, how } = stepWords(step, system);
      const closes = lastChanceWords(step);
      const measures = unsaidAmounts(step, system).join(', ');
      const also = [how, measures === '' ? '' : `${measures.charAt(0).toUpperCase()}${measures.slice(1)}.`];
      column.row(
        `${i + 1}`,
        [what, ...also].filter(Boolean).join(' '),
        '',
        closes === '' ? '' : `Closes: last chance for ${closes}.`,
      );
    });
  }
  column.head('Before it is fished');
  for (const { check } of closingChecks(lure.build, [])) column.row('–', CLOSING_WORDS[check]);
  column.words(
    'Rules on hooks, barbs and lead are local: the authority’s current text decides. Building for sale can bring tax, labelling and liability duties: ask those licensed to advise.',
    0,
    { colour: SOFT_INK },
  );
}
