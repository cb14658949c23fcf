/** The card of one piece: A6, its number, the lure at true size where it fits, what it is made of, and the code that opens it. */
import { PATTERNS } from '../core/parts/blade-pattern';
import { drawnShort, wholeLengthM } from '../core/geometry/drawn-short';
import { lureMass } from '../core/lengths/mass';
import type { Run } from '../core/make/run';
import { showLength, showMass, type UnitSystem } from '../core/units/write';
import { HOOK_POINTS, LEAD } from '../words/caution-words';
import { partTitle } from '../words/part-words';
import type { Code } from './code';
import { lureInInk, placeLure } from './lure-drawing';
import { CAUTION_INK, INK, PAPERS, path, SOFT_INK, text, wrap, type Mark, type Measure, type Page } from './page';

export interface CardInput {
  readonly run: Run;
  readonly familyName: string;
  readonly note: string;
  readonly code: Code;
  readonly system: UnitSystem;
}

const MARGIN_MM = 8;
const CODE_MM = 26;
const LEADING = 1.35;

export function cardPage({ run, familyName, note, code, system }: CardInput, measure: Measure): Page {
  const { widthMm, heightMm } = PAPERS.a6;
  const wide = widthMm - 2 * MARGIN_MM;
  const { build } = run;
  const short = drawnShort(build);
  const { layout } = short;
  const { scale, xMm, axisMm, endsMm } = placeLure(layout, MARGIN_MM, MARGIN_MM + 20, wide, [1, 0.75, 0.5, 0.25]);
  let y = endsMm + 5;
  const marks: Mark[] = [];
  const line = (words: string, sizeMm: number, widthMmOf: number, look: Parameters<typeof text>[4] = {}) => {
    for (const each of wrap(words, widthMmOf, sizeMm, measure, look.weight)) {
      y += sizeMm * LEADING;
      marks.push(text(each, MARGIN_MM, y, sizeMm, look));
    }
  };
  const said = scale === 1 ? 'True size' : `Drawn at ${scale} of its size`;
  const facts = [familyName, `${showLength(wholeLengthM(build), system)} long`, showMass(lureMass(build), system)];
  line([said, ...facts.filter(Boolean)].join(' · '), 3, wide, { colour: SOFT_INK });
  y += 1.5;
  for (const row of madeOf(run)) line(row, 3.1, wide);
  if (note.trim() !== '') {
    y += 1.5;
    const all = wrap(note.trim(), wide, 3, measure);
    const room = Math.max(0, Math.floor((heightMm - MARGIN_MM - CODE_MM - 4 - y) / (3 * LEADING)));
    for (const each of all.slice(0, room)) {
      y += 3 * LEADING;
      marks.push(text(each, MARGIN_MM, y, 3, { colour: SOFT_INK }));
    }
  }
  const bottom = heightMm - MARGIN_MM;
  const cautions = [HOOK_POINTS, ...(hasLead(run) ? [LEAD] : [])];
  let under = bottom - CODE_MM + 3;
  for (const caution of cautions) {
    for (const each of wrap(caution, wide - CODE_MM - 5, 2.6, measure)) {
      under += 2.6 * LEADING;
      marks.push(text(each, MARGIN_MM, under, 2.6, { colour: CAUTION_INK }));
    }
  }
  const [name = run.lureName] = wrap(run.lureName, wide - 26, 6, measure, 'bold');
  return {
    paper: 'a6',
    title: `${run.lureName}, number ${run.number ?? ''}`,
    marks: [
      text(name, MARGIN_MM, MARGIN_MM + 6, 6, { weight: 'bold' }),
      text(`No. ${run.number ?? ''}`, widthMm - MARGIN_MM, MARGIN_MM + 6, 6, { weight: 'bold', anchor: 'end' }),
      text(`made on ${run.madeOn ?? ''}`, MARGIN_MM, MARGIN_MM + 11.5, 3.1, { colour: SOFT_INK }),
      ...lureInInk(short.build, layout, xMm, axisMm, scale),
      ...marks,
      codeMark(code, widthMm - MARGIN_MM - CODE_MM, bottom - CODE_MM),
    ],
  };
}

function madeOf({ build }: Run): string[] {
  const items = Object.values(build.items);
  const named = (kinds: readonly string[]) =>
    items
      .filter(({ part }) => kinds.includes(part.kind))
      .map(({ part }) =>
        part.kind === 'blade' ? `${PATTERNS[part.pattern].name} ${part.label ?? ''}`.trim() : partTitle(part),
      );
  const row = (label: string, all: readonly string[]) => (all.length === 0 ? [] : [`${label}: ${all.join(', ')}`]);
  return [
    ...row('Blades', named(['blade', 'filmBlade', 'deltaBlade'])),
    ...row('Head', named(['head'])),
    ...row('Weight', named(['weight', 'body'])),
    ...row('Hooks', named(['hook'])),
    ...row('Dressing', named(['dressing', 'trailer'])),
    `Wire: ${build.carrier.wire.name}`,
  ];
}

function hasLead({ build }: Run): boolean {
  return Object.values(build.items).some(({ part }) => part.material === 'lead');
}

/** One path: a square for every run of dark modules in a row. */
function codeMark({ size, isDark }: Code, xMm: number, yMm: number): Mark {
  const cell = CODE_MM / size;
  let d = '';
  for (let row = 0; row < size; row++) {
    for (let column = 0; column < size; column++) {
      if (!isDark(row, column)) continue;
      let to = column;
      while (to < size && isDark(row, to)) to++;
      const [x0, x1, y0, y1] = [column * cell, to * cell, row * cell, (row + 1) * cell];
      d += `M${x0.toFixed(4)} ${y0.toFixed(4)}H${x1.toFixed(4)}V${y1.toFixed(4)}H${x0.toFixed(4)}Z`;
      column = to;
    }
  }
  return path(d, xMm, yMm, { fill: INK });
}
